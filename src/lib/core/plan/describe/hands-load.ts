// Where hands are wanted again and again, and where a cook has time.
import { minute } from '../../units/time';

interface Stretch {
	readonly cook: string;
	readonly from: number;
	readonly to: number;
}
interface Tight {
	readonly from: number;
	readonly to: number;
	readonly count: number;
}

/** A crush: at least this many calls on one cook within this long. */
const crush = { count: 5, within: 6 * minute };
/** A pause worth naming. */
const pause = 5 * minute;
const mostShown = 3;

/** The worst crushes, in order of time, none overlapping. */
export function findTight(hands: readonly Stretch[]): readonly Tight[] {
	const found: Tight[] = [];
	for (const cook of new Set(hands.map((h) => h.cook))) {
		const calls = hands.filter((h) => h.cook === cook).toSorted((a, b) => a.from - b.from);
		calls.forEach((first, i) => {
			const within = calls.slice(i).filter((c) => c.from < first.from + crush.within);
			const to = Math.max(...within.map((c) => c.to));
			if (within.length >= crush.count) found.push({ from: first.from, to, count: within.length });
		});
	}
	const kept: Tight[] = [];
	for (const t of found.toSorted((a, b) => b.count - a.count || a.to - a.from - (b.to - b.from))) {
		if (kept.length < mostShown && kept.every((k) => t.to <= k.from || k.to <= t.from)) kept.push(t);
	}
	return kept.toSorted((a, b) => a.from - b.from);
}

/** Pauses of each cook between the first and the last call. */
export function findIdle(hands: readonly Stretch[]): readonly Stretch[] {
	return [...new Set(hands.map((h) => h.cook))].flatMap((cook) => {
		const calls = hands.filter((h) => h.cook === cook).toSorted((a, b) => a.from - b.from);
		let busy = calls[0]?.to ?? 0;
		return calls.flatMap((call) => {
			const gap = { cook, from: busy, to: call.from };
			busy = Math.max(busy, call.to);
			return gap.to - gap.from >= pause ? [gap] : [];
		});
	});
}
