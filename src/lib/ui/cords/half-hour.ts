// Half an hour of the plan, large: what is on in it, with words, by its beginning.
import type { SpokenPlan, SpokenStep } from '../../core/words/speak';

export const stretch = 30 * 60;
/** From one stretch to the next, seconds. */
export const stride = 15 * 60;

export interface Bar {
	readonly step: SpokenStep;
	/** Shares of the stretch, 0 to 1. */
	readonly from: number;
	readonly to: number;
	/** It began before, or goes on after. */
	readonly isCut: { readonly before: boolean; readonly after: boolean };
	/** Shares at which it wants hands. */
	readonly touches: readonly number[];
}

/** The bars of the stretch that begins at a clock time, in the order in which they begin. */
export function barsOf(plan: Pick<SpokenPlan, 'steps'>, begin: number): readonly Bar[] {
	const end = begin + stretch;
	const share = (at: number) => Math.min(1, Math.max(0, (at - begin) / stretch));
	return plan.steps
		.filter((s) => s.from < end && s.to > begin)
		.toSorted((a, b) => a.from - b.from || a.to - b.to)
		.map((step) => ({
			step,
			from: share(step.from),
			to: share(step.to),
			isCut: { before: step.from < begin, after: step.to > end },
			touches: step.hands.filter((h) => !h.whole && h.from >= begin && h.from < end).map((h) => share(h.from))
		}));
}

/** Where the stretch begins that shows a clock time: on a quarter hour, within the plan. */
export function beginOf(plan: Pick<SpokenPlan, 'from' | 'to'>, at: number): number {
	const within = Math.min(Math.max(at, plan.from), Math.max(plan.from, plan.to - stride));
	return Math.floor(within / stride) * stride;
}
