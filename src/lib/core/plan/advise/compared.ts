// Two plans of a meal side by side: what a change does to the evening, to hands, and to the stations of one part.
import type { Plan, PlannedStep } from '../../model/plan';

export interface Difference {
	/** Seconds from the first start to the last service, of hands, of waiting at the pass; more is positive. */
	readonly evening: number;
	readonly hands: number;
	readonly waiting: number;
	/** Seconds that the new plan is late. */
	readonly late: number;
	/** Stations that the part no longer uses, and those that it uses now, by name. */
	readonly gives: readonly string[];
	readonly takes: readonly string[];
}

/** What of a plan is compared, spoken or not. */
type Comparable = Pick<Plan, 'from' | 'to' | 'parts' | 'services' | 'lanes'> & {
	readonly steps: readonly Pick<PlannedStep, 'part' | 'lane' | 'hands'>[];
};

export function compared(before: Comparable, after: Comparable, part: string): Difference {
	const evening = (p: Comparable) => p.to - p.from;
	const hands = (p: Comparable) => p.steps.reduce((sum, s) => sum + s.hands.reduce((t, h) => t + h.to - h.from, 0), 0);
	const waiting = (p: Comparable) => p.parts.reduce((sum, x) => sum + Math.max(0, x.wait - x.free), 0);
	const late = after.services.reduce((sum, s) => sum + Math.max(0, s.at - s.due), 0);
	const stations = (p: Comparable) => {
		const own = new Set(p.parts.filter((x) => (x.of ?? x.id) === part).map((x) => x.id));
		const lanes = new Set(p.steps.filter((s) => own.has(s.part)).map((s) => s.lane));
		return new Set(p.lanes.filter((l) => lanes.has(l.id) && l.kind !== 'rest' && l.kind !== 'keep').map((l) => l.name));
	};
	const [a, b] = [stations(before), stations(after)];
	return {
		evening: evening(after) - evening(before),
		hands: hands(after) - hands(before),
		waiting: waiting(after) - waiting(before),
		late,
		gives: [...a].filter((name) => !b.has(name)),
		takes: [...b].filter((name) => !a.has(name))
	};
}
