// The planner as the page sees it: a team of workers.
import { proxy, wrap } from 'comlink';
import type { Plan } from '../core/model/plan';
import type { StepSlack } from '../core/plan/explain/slack';
import type { PlanOutcome, PlanProgress, PlanRequest } from '../core/plan/plan-meal';
import type { Cure } from '../core/plan/what-if/cures';
import type { WhatIf } from '../core/plan/what-if/what-if';
import type { PlanAnswer, Planner } from './protocol';
import { planTogether, type Member } from './team';

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
	preview(request: PlanRequest): Promise<PlanOutcome>;
	/** @throws {WorkerError} */
	whatIf(request: PlanRequest, plan: Plan, onFound: (found: WhatIf) => void): Promise<void>;
	/** @throws {WorkerError} */
	cures(request: PlanRequest, onFound: (found: Cure) => void): Promise<void>;
	/** @throws {WorkerError} */
	slack(request: PlanRequest, plan: Plan, steps: readonly string[], onFound: (found: StepSlack) => void): Promise<void>;
	cancel(): Promise<void>;
	close(): void;
}

/** More than so many searches find little that the others do not. */
const largestTeam = 4;

/** Start a planner in workers of its own: one for each core but the one that the page needs. */
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
	const remotes = workers.map((worker) => wrap<Planner>(worker));
	const members = remotes.map((remote): Member => ({
		plan: (request, onProgress) => remote.plan(request, proxy(onProgress)),
		hear: (answer) => remote.hear(answer),
		cancel: () => remote.cancel()
	}));
	const [first] = remotes;
	if (!first) throw new RangeError('a team of none');
	return {
		plan: (request, onProgress) => Promise.race([planTogether(members, request, onProgress), gone]),
		preview: (request) => Promise.race([first.preview(request), gone]),
		whatIf: (request, plan, onFound) => Promise.race([first.whatIf(request, plan, proxy(onFound)), gone]),
		cures: (request, onFound) => Promise.race([first.cures(request, proxy(onFound)), gone]),
		slack: (request, plan, steps, onFound) => Promise.race([first.slack(request, plan, steps, proxy(onFound)), gone]),
		cancel: async () => {
			await Promise.all(remotes.map((remote) => remote.cancel()));
		},
		close: () => {
			for (const worker of workers) worker.terminate();
		}
	};
}
