// The tasks of an answer with their times, modes and waits in one place.
import type { Problem, Schedule } from '../problem';

/** A task as it happens in an answer; times in seconds from instant 0. */
export interface Timed {
	readonly id: string;
	/** Index of its mode. */
	readonly mode: number;
	readonly start: number;
	readonly end: number;
	/** Where it is done, where its mode says so. */
	readonly at: string | undefined;
	readonly uses: readonly {
		readonly resource: string;
		readonly amount: number;
		readonly from: number;
		readonly to: number;
	}[];
	readonly state: { readonly id: string; readonly value: number } | undefined;
	/** Wait before it is served, where it is. */
	readonly wait: number | undefined;
	/** What that wait costs. */
	readonly cost: number;
}

export function timedTasks(problem: Problem, answer: Schedule): ReadonlyMap<string, Timed> {
	const result = new Map<string, Timed>();
	for (const task of problem.tasks) {
		const start = answer.starts?.[task.id];
		const mode = answer.modes?.[task.id];
		const way = mode === undefined ? undefined : task.modes[mode];
		if (start === undefined || mode === undefined || !way) continue;
		const end = start + way.duration;
		const serves = problem.serve.filter((s) => s.task === task.id);
		const [serve] = serves;
		const service = problem.services.find((s) => s.id === serve?.service);
		const wait = serve && service ? service.due + (answer.slips?.[service.id] ?? 0) - serve.offset - end : undefined;
		result.set(task.id, {
			id: task.id,
			mode,
			start,
			end,
			uses: (way.uses ?? []).map((u) => ({
				resource: u.resource,
				amount: u.amount,
				from: u.from ?? 0,
				to: u.to ?? way.duration
			})),
			at: way.at,
			state: way.state,
			wait,
			cost: wait === undefined ? 0 : serves.reduce((sum, s) => sum + s.rate * Math.max(0, wait - s.free), 0)
		});
	}
	return result;
}
