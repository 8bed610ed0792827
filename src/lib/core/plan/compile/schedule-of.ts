// A plan in words back as an answer to the problem it came from: where a replan begins.
import type { Kitchen } from '../../model/kitchen';
import type { Plan } from '../../model/plan';
import type { Compiled, Way } from './compile';
import { canServe } from './crew';
import { stationsBehind } from './places';
import type { Schedule } from '../problem';

/** Starts, modes and slips of a plan; steps that the problem lacks, or does otherwise, are left out. */
export function scheduleOf(plan: Plan, { problem, trace }: Compiled, kitchen: Kitchen): Schedule {
	const starts: Record<string, number> = {};
	const modes: Record<string, number> = {};
	for (const step of plan.steps) {
		const ways = trace.steps.get(step.id)?.ways;
		if (!ways) continue;
		starts[step.id] = step.from - trace.origin;
		const isHere = ({ place }: Way) =>
			!place ||
			(place.setting === step.setting && stationsBehind(place.resource, kitchen).some((s) => s.id === step.lane));
		const [first] = step.hands;
		const cook = kitchen.cooks.find((c) => c.id === first?.cook);
		const isTheirs = ({ crew }: Way) => cook === undefined || canServe(cook, crew);
		const exact = ways.findIndex((way) => isHere(way) && isTheirs(way));
		const mode = exact >= 0 ? exact : ways.findIndex(isHere);
		if (mode >= 0) modes[step.id] = mode;
	}
	for (const { course, plating, cook: who } of plan.services) {
		const id = trace.plating.get(course);
		if (id === undefined) continue;
		const cook = kitchen.cooks.find((c) => c.id === who);
		const task = problem.tasks.find((t) => t.id === id);
		const theirs = (task?.modes ?? []).findIndex(
			(mode) =>
				cook === undefined ||
				canServe(
					cook,
					(mode.uses ?? []).map((u) => u.resource)
				)
		);
		starts[id] = plating - trace.origin;
		modes[id] = Math.max(0, theirs);
	}
	const slips = Object.fromEntries(
		problem.services.map((s) => {
			const at = plan.services.find((x) => x.course === s.id)?.at ?? 0;
			return [s.id, Math.max(0, at - trace.origin - s.due)];
		})
	);
	const picks = Object.fromEntries(
		problem.choices.flatMap((c) => {
			const option = c.options.find((o) => o.tasks.some((task) => starts[task] !== undefined));
			return option ? [[c.id, option.id] as const] : [];
		})
	);
	return {
		format: 'juntos-schedule',
		version: 1,
		problem: problem.name,
		status: 'feasible',
		starts,
		modes,
		picks,
		slips
	};
}
