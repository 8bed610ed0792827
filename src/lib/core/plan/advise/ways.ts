// All ways to make a part side by side: what each asks of the evening, computed by planning the meal with it.
import type { Plan, PlannedStep } from '../../model/plan';
import type { Technique } from '../../model/technique';
import { compared, type Difference } from './compared';

/** One way to make a part, by a plan of the whole meal with it. Seconds; clock times after midnight. */
export interface Way {
	/** From the first of the part's steps to its plate; hands for it; of all the evening's hands, more or less. */
	readonly minutes: number;
	readonly hands: number;
	readonly more: number;
	/** When its first step must start. */
	readonly begins: number;
	/** How long it waits without loss once it is done, and how long at the most; made before: how long it keeps. */
	readonly free: number;
	readonly most: number;
	readonly before: number | undefined;
	readonly stations: readonly string[];
	/** Other parts that begin a minute or more earlier or later for it, by name. */
	readonly moves: readonly string[];
	readonly late: number;
	readonly evening: number;
}

export const wayColumns = ['minutes', 'hands', 'begins', 'most', 'evening'] as const;
export type WayColumn = (typeof wayColumns)[number];

type Planned = Omit<Parameters<typeof compared>[0], 'steps'> & {
	readonly steps: readonly Pick<PlannedStep, 'part' | 'lane' | 'hands' | 'from'>[];
};

/** Another part is moved where it begins so much earlier or later, seconds. */
const worthTelling = 60;

/**
 * What a way asks, by a plan of the meal with it.
 *
 * @param now the plan in force, whatever way it has
 * @param part id of the part in the meal
 */
export function wayOf(
	now: Planned,
	plan: Plan,
	part: string,
	{ plate, ahead }: Pick<Technique, 'plate' | 'ahead'>
): Way {
	const ofMeal = (p: { readonly id: string; readonly of?: string | undefined }) => p.of ?? p.id;
	const own = new Set(plan.parts.filter((p) => ofMeal(p) === part).map((p) => p.id));
	const steps = plan.steps.filter((s) => own.has(s.part));
	const begins = Math.min(plan.to, ...steps.map((s) => s.from));
	const done = Math.max(begins, ...plan.parts.filter((p) => own.has(p.id)).map((p) => p.plated));
	const beginOf = (p: Planned, id: string) =>
		Math.min(Infinity, ...p.steps.filter((s) => s.part === id).map((s) => s.from));
	const difference: Difference = compared(now, plan, part);
	const lanes = new Set(steps.map((s) => s.lane));
	return {
		minutes: done - begins,
		hands: steps.reduce((sum, s) => sum + s.hands.reduce((t, h) => t + h.to - h.from, 0), 0),
		more: difference.hands,
		begins,
		free: plate.free,
		most: plate.most,
		before: ahead?.keeps,
		stations: plan.lanes.filter((l) => lanes.has(l.id) && l.kind !== 'rest' && l.kind !== 'keep').map((l) => l.name),
		moves: plan.parts
			.filter((p) => !own.has(p.id) && Math.abs(beginOf(plan, p.id) - beginOf(now, p.id)) >= worthTelling)
			.map((p) => p.name),
		late: difference.late,
		evening: plan.to - plan.from
	};
}

/** Rows in the order of a column: least first, latest start first, keeps longest first; what has no plan last. */
export function sortedWays<R extends { readonly way: Way | undefined }>(
	rows: readonly R[],
	by: WayColumn
): readonly R[] {
	const sign = by === 'begins' || by === 'most' ? -1 : 1;
	return rows.toSorted(
		(a, b) => (a.way ? 0 : 1) - (b.way ? 0 : 1) || (a.way && b.way ? sign * (a.way[by] - b.way[by]) : 0)
	);
}
