// What of a plan is on the slice around now: lanes where something is on, and the cords that are in it.
import type { SpokenPlan } from '../../core/words/speak';

/** So long before and after now, seconds. */
export const reach = 30 * 60;

/** The plan with only what the slice shows; what is cut off at its edges goes on beyond them. */
export function inSlice(plan: SpokenPlan, clock: number): SpokenPlan {
	const isIn = ({ from, to }: { readonly from: number; readonly to: number }) =>
		from < clock + 1.25 * reach && to > clock - reach;
	const steps = plan.steps.filter(isIn);
	const lanes = new Set(steps.map((s) => s.lane));
	const ends = new Map(
		plan.parts.map((p) => [p.id, Math.max(...plan.steps.flatMap((s) => (s.part === p.id ? [s.to] : [])))])
	);
	// A cord whose last piece is not in it has no knot there either.
	const parts = plan.parts.map((p) =>
		isIn({ from: ends.get(p.id) ?? p.ready, to: p.plated }) ? p : { ...p, into: [] }
	);
	return {
		...plan,
		steps,
		parts,
		lanes: plan.lanes.filter((l) => lanes.has(l.id)),
		waits: plan.waits.filter((w) => isIn(w) && w.lane !== 'keep'),
		terrain: plan.terrain.filter((t) => lanes.has(t.lane)),
		tight: [],
		idle: []
	};
}
