// How good our own predictions were: of the times given at 80 %, how many fell inside; and how far off they were, evening by evening.
import { normalQuantile } from '../learn/spread';
import { tookOf, type CookedEvening, type CookedStep } from './evening';

/** Times of one kind: how many lay within their band, below and above it. */
export interface Calibration {
	readonly kind: 'hands' | 'heat';
	readonly count: number;
	readonly inside: number;
	readonly below: number;
	readonly above: number;
	/** Bounds of the share inside, at 90 %. */
	readonly least: number;
	readonly most: number;
}

const counts = (step: CookedStep) => tookOf(step) !== undefined && step.disturbed !== true && step.byClock !== true;

/** Of all times that were given, by kind; kinds without any are left out. */
export function calibrationOf(evenings: readonly CookedEvening[]): readonly Calibration[] {
	const steps = evenings.filter((e) => e.archived !== true).flatMap((e) => e.steps.filter(counts));
	return (['hands', 'heat'] as const).flatMap((kind) => {
		const own = steps.filter((s) => s.kind === kind);
		if (own.length === 0) return [];
		const below = own.filter((s) => (tookOf(s) ?? 0) < s.p10).length;
		const above = own.filter((s) => (tookOf(s) ?? 0) > s.p90).length;
		const inside = own.length - below - above;
		const [least, most] = wilson(inside, own.length);
		return [{ kind, count: own.length, inside, below, above, least, most }];
	});
}

/** Bounds of a share of so many, at 90 % (Wilson 1927, J. Am. Stat. Assoc. 22, 209–212). */
function wilson(hits: number, of: number): readonly [number, number] {
	const z = normalQuantile(0.95);
	const p = hits / of;
	const middle = p + (z * z) / (2 * of);
	const half = z * Math.sqrt((p * (1 - p)) / of + (z * z) / (4 * of * of));
	const under = 1 + (z * z) / of;
	return [Math.max(0, (middle - half) / under), Math.min(1, (middle + half) / under)];
}

export interface Missed {
	readonly evening: string;
	readonly date: string;
	/** Half of the times were off by less: a share of the time. */
	readonly median: number;
	/** How far too long things took in the middle: a share, negative where they were quicker. */
	readonly bias: number;
	readonly count: number;
}

/** How far predictions were off, evening by evening; evenings without a timed step are left out. */
export function missedOver(evenings: readonly CookedEvening[]): readonly Missed[] {
	return evenings
		.filter((e) => e.archived !== true)
		.flatMap((e) => {
			const off = e.steps.filter(counts).map((s) => Math.log((tookOf(s) ?? s.p50) / s.p50));
			if (off.length === 0) return [];
			return [
				{
					evening: e.id,
					date: e.date,
					median: Math.expm1(median(off.map(Math.abs))),
					bias: Math.expm1(median(off)),
					count: off.length
				}
			];
		});
}

/** One kind of step over its evenings, the oldest first: what was thought, what it took, s. */
export function stepHistory(
	evenings: readonly CookedEvening[],
	key: string
): readonly { readonly date: string; readonly p10: number; readonly p90: number; readonly took: number }[] {
	return evenings
		.toSorted((a, b) => a.origin - b.origin)
		.flatMap((e) =>
			e.steps.flatMap((s) => {
				const took = s.key === key ? tookOf(s) : undefined;
				return took === undefined ? [] : [{ date: e.date, p10: s.p10, p90: s.p90, took }];
			})
		);
}

function median(list: readonly number[]): number {
	const sorted = list.toSorted((a, b) => a - b);
	const middle = sorted.length / 2;
	const at = (i: number) => sorted[i] ?? 0;
	return (at(Math.ceil(middle) - 1) + at(Math.floor(middle))) / 2;
}
