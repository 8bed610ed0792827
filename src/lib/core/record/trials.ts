// A part over its evenings, or several variants of one evening, side by side: what was set, what was measured, what was said of it.
import { holding, verdictOn, type CookedEvening, type CookedPart, type Verdict } from './evening';
import { lossOf } from './taught';

export interface Trial {
	readonly evening: string;
	readonly date: string;
	readonly origin: number;
	readonly part: CookedPart;
	/** Seconds from its first step to its last; later than planned; stood beyond what it bears. */
	readonly took: number | undefined;
	readonly late: number | undefined;
	readonly stood: number | undefined;
	/** Core as it was read last, and the highest, °C. */
	readonly core: number | undefined;
	readonly highest: number | undefined;
	/** Share of the raw weight. */
	readonly loss: number | undefined;
	readonly verdict: Partial<Verdict>;
	readonly pictures: readonly string[];
}

/** All times that a technique was cooked, the newest first. */
export function trialsOf(evenings: readonly CookedEvening[], technique: string): readonly Trial[] {
	return evenings
		.filter((e) => e.archived !== true)
		.flatMap((e) => e.parts.filter((p) => p.technique === technique).map((p) => trialOf(e, p)))
		.toSorted((a, b) => b.origin - a.origin);
}

function trialOf(evening: CookedEvening, part: CookedPart): Trial {
	const steps = evening.steps.filter((s) => s.part === part.id);
	const began = steps.flatMap((s) => s.began ?? []);
	const { ready, served, planned, free } = part;
	const cores = part.readings.map(([, celsius]) => celsius);
	const pictures = holding(evening).flatMap((s) =>
		s.kind === 'picture' && (s.part === part.id || s.part === part.of) ? [s.picture] : []
	);
	return {
		evening: evening.id,
		date: evening.date,
		origin: evening.origin,
		part,
		took: ready === undefined || began.length === 0 ? undefined : ready - Math.min(...began),
		late: ready === undefined ? undefined : ready - planned,
		stood: ready === undefined || served === undefined ? undefined : Math.max(0, served - ready - free),
		core: cores.at(-1),
		highest: cores.length === 0 ? undefined : Math.max(...cores),
		loss: lossOf(evening, part.id),
		verdict: verdictOn(evening, part.id),
		pictures
	};
}

/** Settings that are not the same in all of them. */
export function differing(trials: readonly Trial[]): readonly string[] {
	const names = [...new Set(trials.flatMap((t) => Object.keys(t.part.settings)))];
	return names.filter((n) => new Set(trials.map((t) => t.part.settings[n])).size > 1);
}

/** Techniques that were cooked, with how often and under what name last; the most often first. */
export function cookedTechniques(
	evenings: readonly CookedEvening[]
): readonly { readonly technique: string; readonly name: string; readonly count: number }[] {
	const found = new Map<string, { name: string; count: number }>();
	for (const { parts } of evenings.filter((e) => e.archived !== true))
		for (const { technique, name } of parts) {
			if (technique === '') continue;
			found.set(technique, { name, count: (found.get(technique)?.count ?? 0) + 1 });
		}
	return [...found]
		.map(([technique, x]) => ({ technique, ...x }))
		.toSorted((a, b) => b.count - a.count || (a.name < b.name ? -1 : 1));
}
