// What a calm evening is worth: handwork that keeps is done before the rush, by how much, and in which order of an evening.
import { evenings, type Evening, type Meal } from '../../model/meal';
import type { Step, Technique } from '../../model/technique';
import { minute } from '../../units/time';
import type { Problem } from '../problem';
import { gridDown } from '../grid';
import type { TracedStep } from './traced';

/** Prices of a second, beside those of lateness and of what fades on its way to the plate. */
export interface Weights {
	/** Of a service that is late. */
	readonly slip: number;
	/** Of the evening's length. */
	readonly span: number;
	/** Of handwork that keeps, done later than it could be. */
	readonly mise: number;
	/** Of a set point that is not the technique's own, for each °C. */
	readonly away: number;
}

const common = { slip: 1000, span: 1, away: 15 } as const;
/** *calm*: everything that keeps is done before; *even*: where it costs little; *short*: the evening is as short as can be. */
export const weightsOf: Readonly<Record<Evening, Weights>> = {
	calm: { ...common, mise: 2 },
	even: { ...common, mise: 1 },
	short: { ...common, mise: 0 }
};
/** Handwork is out of the way so long before the first service, seconds. */
const rush = 30 * minute;
/** What must be used sooner than this is not done ahead of it, seconds. */
const keeps = 20 * minute;

export const eveningOf = (meal: Pick<Meal, 'evening'>): Evening => meal.evening ?? evenings[1];

/** Whether a step is handwork that keeps: nothing of its part has been on the heat, and what follows does not press. */
function isMise({ steps }: Technique, step: Step): boolean {
	if (step.kind !== 'prep' || step.hands.kind !== 'whole' || step.ahead === true) return false;
	const before = new Set([step.id]);
	for (const id of before) for (const a of steps.find((s) => s.id === id)?.after ?? []) before.add(a.step);
	if (steps.some((s) => before.has(s.id) && s.kind === 'cook')) return false;
	const next = steps.flatMap((s) => s.after.filter((a) => a.step === step.id));
	return steps.some((s) => s.id === step.id) && next.every((a) => a.most === undefined || a.most >= keeps);
}

/** Handwork that keeps should have ended before the rush begins. */
export function wantsOf(meal: Meal, first: number, steps: ReadonlyMap<string, TracedStep>): Problem['wants'] {
	const rate = weightsOf[eveningOf(meal)].mise;
	const by = Math.max(0, gridDown(first - rush));
	if (rate === 0) return [];
	return [...steps].flatMap(([task, { technique, step }]) => (isMise(technique, step) ? [{ task, by, rate }] : []));
}
