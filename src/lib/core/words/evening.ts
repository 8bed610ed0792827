// How an evening begins and ends, in a cook's words.
import type { Plan } from '../model/plan';
import { formatClock } from '../units/time';

/** When to begin; what heats before anything is done by hand is told apart. */
export function wordBegin(plan: Plan): string {
	const hands = Math.min(...plan.steps.map((s) => s.from), ...plan.services.map((s) => s.plating));
	if (plan.from >= hands) return `begin ${formatClock(plan.from)}`;
	const lit = plan.terrain.filter((t) =>
		t.points.some((p, i) => p.at <= plan.from && (t.points[i + 1]?.celsius ?? 0) > p.celsius)
	);
	const names = lit.map((t) => plan.lanes.find((l) => l.id === t.lane)?.name.toLowerCase() ?? t.lane);
	return `${names.join(', ')} on ${formatClock(plan.from)}, begin ${formatClock(hands)}`;
}

/** Courses whose plates go out in waves, and what more hands would do. */
export function wordWaves(plan: Plan): string {
	return plan.services
		.flatMap((s) => {
			const out = (s.platings ?? []).filter((p) => p.goesOut);
			if (out.length < 2) return [];
			const last = out.at(-1);
			return [
				`${s.name}: plates in ${out.length} waves, the last ${formatClock(last?.to ?? s.at)}; ${out.length * Math.max(1, last?.cooks.length ?? 1)} pairs of hands would plate them at once`
			];
		})
		.join('. ');
}
