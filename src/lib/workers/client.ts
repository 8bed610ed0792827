// The planner in web workers: a team of them.
import { proxy, wrap } from 'comlink';
import { clientOf, type PlannerClient } from './jobs';
import type { Planner } from './protocol';

export type { PlannerClient } from './jobs';

/** The worker has gone: it could not start, or failed. */
class WorkerError extends Error {
	readonly code = 'worker-gone';
	constructor(cause: unknown) {
		super('The planner stopped. Reload the page to start it again; nothing is lost.', { cause });
		this.name = 'WorkerError';
	}
}

/** More than so many searches find little that the others do not. */
const largestTeam = 4;

/**
 * Start a planner in workers of its own: one for each core but the one that the page needs. Its promises reject with a
 * WorkerError once a worker is gone.
 */
export function startPlanner(cores = navigator.hardwareConcurrency): PlannerClient {
	const count = Math.max(1, Math.min(largestTeam, cores - 1));
	const workers = Array.from(
		{ length: count },
		() => new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' })
	);
	const gone = new Promise<never>((_, reject) => {
		for (const worker of workers) {
			worker.onerror = (event) => {
				reject(new WorkerError(event.message));
			};
		}
	});
	gone.catch(() => undefined);
	return clientOf(
		workers.map((worker) => wrap<Planner>(worker)),
		(answer) => Promise.race([answer, gone]),
		(callback) => proxy(callback),
		() => {
			for (const worker of workers) worker.terminate();
		}
	);
}
