// The planner as the page sees it.
import { proxy, wrap } from 'comlink';
import type { Plan } from '../core/model/plan';
import type { Slack } from '../core/plan/explain/slack';
import type { WhatIf } from '../core/plan/what-if/what-if';
import type { PlanProgress, PlanRequest } from '../core/plan/plan-meal';
import type { PlanAnswer, Planner } from './protocol';

/** The worker has gone: it could not start, or failed. */
class WorkerError extends Error {
	readonly code = 'worker-gone';
	constructor(cause: unknown) {
		super('The planner stopped. Reload the page to start it again; nothing is lost.', { cause });
		this.name = 'WorkerError';
	}
}

export interface PlannerClient {
	/** @throws {WorkerError} */
	plan(request: PlanRequest, onProgress: (progress: PlanProgress) => void): Promise<PlanAnswer>;
	/** @throws {WorkerError} */
	whatIf(request: PlanRequest, plan: Plan, onFound: (found: WhatIf) => void): Promise<void>;
	/** @throws {WorkerError} */
	slack(request: PlanRequest, plan: Plan, step: string): Promise<Slack | undefined>;
	cancel(): Promise<void>;
	close(): void;
}

/** Start a planner in a worker of its own. */
export function startPlanner(): PlannerClient {
	const worker = new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' });
	const remote = wrap<Planner>(worker);
	const gone = new Promise<never>((_, reject) => {
		worker.onerror = (event) => {
			reject(new WorkerError(event.message));
		};
	});
	gone.catch(() => undefined);
	return {
		plan: (request, onProgress) => Promise.race([remote.plan(request, proxy(onProgress)), gone]),
		whatIf: (request, plan, onFound) => Promise.race([remote.whatIf(request, plan, proxy(onFound)), gone]),
		slack: (request, plan, step) => Promise.race([remote.slack(request, plan, step), gone]),
		cancel: () => remote.cancel(),
		close: () => {
			worker.terminate();
		}
	};
}
