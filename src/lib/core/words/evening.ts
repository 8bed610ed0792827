// How an evening begins and ends, in a cook's words.
import type { Plan } from '../model/plan';
import type { LateStart } from '../run/late-start';
import { formatClock, formatDuration } from '../units/time';

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

/** That it is too late to begin as planned, and what is possible still. */
export function wordLateStart(plan: Plan, late: LateStart): string {
	const [first] = plan.services.toSorted((a, b) => a.at - b.at);
	const name = first?.name.toLowerCase() ?? 'it';
	const what =
		late.kind === 'past'
			? `By this clock ${name} should have been on the table ${formatDuration(late.ago)} ago.`
			: `By this clock work should have begun ${formatDuration(late.ago)} ago.`;
	return `${what} Begun now, ${name} can be on the table at ${formatClock(late.possible)}.`;
}
