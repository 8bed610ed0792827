// A plan in words back as an answer to the problem it came from: where a replan begins.
import type { Kitchen } from '../../model/kitchen';
import { platingsOf, type Plan } from '../../model/plan';
import type { Compiled } from './compile';
import type { Way } from './traced';
import { canServe, crewMembers } from './crew';
import { stationsBehind } from './places';
import { grid, gridUp } from '../grid';
import type { Problem, Schedule } from '../problem';
import { isWash } from './clean';
import { isPrice } from './set-points';
import { isTrayOut } from './trays';

/** What a plan does not show: tasks that only carry a price or hold ends together, and what is washed when all is served. */
function addUnseen(
	problem: Problem,
	starts: Record<string, number>,
	modes: Record<string, number>,
	over: number
): void {
	let free = gridUp(over);
	const options = problem.choices.flatMap((c) => c.options);
	const isThere = (id: string) =>
		options.find((o) => o.tasks.includes(id))?.tasks.some((t) => starts[t] !== undefined) ?? true;
	for (const { id, modes: ways } of problem.tasks) {
		if (isWash(id) && starts[id] === undefined && isThere(id)) {
			starts[id] = free;
			modes[id] = 0;
			free += ways[0]?.duration ?? 0;
		}
		if (isTrayOut(id)) {
			const from = problem.lags.find((l) => l.to === id)?.from ?? '';
			const start = starts[from];
			if (start === undefined) continue;
			const length = problem.tasks.find((t) => t.id === from)?.modes[modes[from] ?? 0]?.duration ?? 0;
			starts[id] = start + length;
			modes[id] = 0;
		}
		if (!isPrice(id)) continue;
		const partner = problem.ties.find((tie) => tie.includes(id))?.find((t) => t !== id);
		const at = problem.tasks.find((t) => t.id === partner)?.modes[modes[partner ?? ''] ?? 0]?.at;
		starts[id] = 0;
		modes[id] = Math.max(
			0,
			ways.findIndex((m) => m.at === at)
		);
	}
}

/** What life has shifted lies between the instants of the grid; all of it is rounded alike, so that its order stays. */
const onGrid = (seconds: number) => Math.max(0, Math.round(seconds / grid) * grid);

/** Starts, modes and slips of a plan; steps that the problem lacks, or does otherwise, are left out. */
export function scheduleOf(plan: Plan, { problem, trace }: Compiled, kitchen: Kitchen): Schedule {
	const starts: Record<string, number> = {};
	const modes: Record<string, number> = {};
	for (const step of plan.steps) {
		const ways = trace.steps.get(step.id)?.ways;
		if (!ways) continue;
		starts[step.id] = onGrid(step.from - trace.origin);
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
	const platings = plan.services.flatMap((service) => {
		const stretches = platingsOf(plan, service);
		let goneOut = 0;
		return (trace.plating.get(service.course) ?? []).flatMap(({ task, parts, goesOut }) => {
			const own = stretches.filter((p) => p.parts === undefined || parts.every((id) => p.parts?.includes(id)));
			const stretch = own[goneOut] ?? own[0];
			if (goesOut) goneOut++;
			return stretch ? [{ id: task, stretch }] : [];
		});
	});
	const usedUntil = new Map<unknown, number>();
	for (const { id, stretch } of platings) {
		const cooks = kitchen.cooks.filter((c) => stretch.cooks.includes(c.id));
		const task = problem.tasks.find((t) => t.id === id);
		// Those who did it are enough of every set of cooks that the mode asks for.
		const theirs = (task?.modes ?? []).findIndex((mode) =>
			(mode.uses ?? []).every(
				({ resource, amount }) =>
					crewMembers(resource) === undefined || cooks.filter((c) => canServe(c, [resource])).length >= amount
			)
		);
		// Parts that were set in one stretch go on one after the other.
		const from = usedUntil.get(stretch) ?? onGrid(stretch.from - trace.origin);
		starts[id] = from;
		modes[id] = Math.max(0, theirs);
		usedUntil.set(stretch, from + (task?.modes[Math.max(0, theirs)]?.duration ?? 0));
	}
	addUnseen(problem, starts, modes, Math.max(...plan.services.map((s) => s.at), plan.to) - trace.origin);
	const slips = Object.fromEntries(
		problem.services.map((s) => {
			const at = plan.services.find((x) => x.course === s.id)?.at ?? 0;
			return [s.id, onGrid(at - trace.origin - s.due)];
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
