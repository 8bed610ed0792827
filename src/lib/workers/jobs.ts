// The planner as the page sees it: jobs in lanes. A newer request of a lane takes the place of what that lane is at.
import type { Plan, PlannedStep } from '../core/model/plan';
import type { Cure } from '../core/plan/advise/cures';
import type { Offer } from '../core/plan/advise/offers';
import type { Standing } from '../core/plan/replan';
import type { WhatIf } from '../core/plan/advise/what-if';
import type { Told } from '../core/probe/estimate';
import type { How } from '../core/rehearse/how';
import type { Prospects } from '../core/rehearse/going-on';
import type { Rehearsed } from '../core/rehearse/offers';
import type { Reading } from '../core/probe/posterior';
import type { PlanProgress, PlanRequest } from '../core/plan/plan-meal';
import type { StepSlack } from '../core/plan/why/slack';
import type { Job, PlanAnswer, Planner } from './protocol';
import { planTogether } from './team';

/** What is asked for side by side: the plan on the table, the rest of an evening that is on, a look at something else, evenings played. */
type Lane = 'table' | 'run' | 'preview' | 'rehearsal';

export interface PlannerClient {
	/** Plan; whatever this lane was at is cancelled. */
	plan(request: PlanRequest, onProgress: (progress: PlanProgress) => void, lane?: Lane): Promise<PlanAnswer>;
	/** A quick plan of something else, beside what is being planned. */
	preview(request: PlanRequest): Promise<PlanAnswer>;
	/** These go on until the next plan of their lane. */
	whatIf(request: PlanRequest, plan: Plan, onFound: (found: WhatIf) => void): Promise<void>;
	cures(request: PlanRequest, onFound: (found: Cure) => void, lane?: Lane): Promise<void>;
	slack(request: PlanRequest, plan: Plan, steps: readonly string[], onFound: (found: StepSlack) => void): Promise<void>;
	/** How likely a plan is on time: by the last of the planners; whatever was being rehearsed is cancelled. */
	rehearse(request: PlanRequest, plan: Plan, how: How, onFound: (found: Rehearsed) => void): Promise<void>;
	/** What a probe's stream says: by the last of the planners, which plans least alone. */
	probe(step: PlannedStep, readings: readonly Reading[], now: number): Promise<Told | undefined>;
	/** What idle hands could begin now. */
	offers(request: PlanRequest, standing: Standing): Promise<readonly Offer[]>;
	/** What may be expected of the rest of an evening, going on and planned anew: by the planner that plans least alone. */
	prospects(request: PlanRequest & { readonly standing: Standing }, anew: Plan): Promise<Prospects | undefined>;
	/** Cancel all that a lane is at. */
	cancel(lane?: Lane): void;
	close(): void;
}

/**
 * A client of some planners: the first does what one alone can do, all of them plan together.
 *
 * @param guard rejects when a planner is gone
 * @param shared wraps a callback so that it can be sent to a planner
 * @param close ends the planners
 */
export function clientOf(
	planners: readonly Planner[],
	guard: <T>(answer: Promise<T>) => Promise<T>,
	shared: <F extends object>(callback: F) => F,
	close: () => void
): PlannerClient {
	const [first] = planners;
	if (!first) throw new RangeError('a team of none');
	let last: Job = 0;
	const lanes = new Map<Lane, Set<Job>>();
	const members = planners.map((p) => ({
		plan: (job: Job, request: PlanRequest, onProgress: (progress: PlanProgress) => void) =>
			p.plan(job, request, shared(onProgress)),
		hear: (job: Job, answer: Parameters<Planner['hear']>[1]) => p.hear(job, answer),
		cancel: (job: Job) => p.cancel(job)
	}));
	const cancel = (lane: Lane) => {
		for (const job of lanes.get(lane) ?? []) for (const p of planners) void p.cancel(job);
		lanes.delete(lane);
	};
	/** Do something as a job of a lane. */
	const inLane = async <T>(lane: Lane, work: (job: Job) => Promise<T>): Promise<T> => {
		const job = ++last;
		const own = lanes.get(lane) ?? new Set();
		lanes.set(lane, own.add(job));
		try {
			return await guard(work(job));
		} finally {
			own.delete(job);
		}
	};
	return {
		plan(request, onProgress, lane = 'table') {
			cancel(lane);
			// Nobody asks any more how likely the plan before was.
			if (lane === 'table') cancel('rehearsal');
			return inLane(lane, (job) => planTogether(members, job, request, onProgress));
		},
		preview(request) {
			cancel('preview');
			return inLane('preview', (job) =>
				first.plan(
					job,
					request,
					shared(() => undefined)
				)
			);
		},
		whatIf: (request, plan, onFound) => inLane('table', (job) => first.whatIf(job, request, plan, shared(onFound))),
		cures: (request, onFound, lane = 'table') => inLane(lane, (job) => first.cures(job, request, shared(onFound))),
		slack: (request, plan, steps, onFound) =>
			inLane('table', (job) => first.slack(job, request, plan, steps, shared(onFound))),
		rehearse(request, plan, how, onFound) {
			cancel('rehearsal');
			const own = planners.at(-1) ?? first;
			return inLane('rehearsal', (job) => own.rehearse(job, request, plan, how, shared(onFound)));
		},
		probe: async (...asked) => await guard(Promise.resolve((planners.at(-1) ?? first).probe(...asked))),
		offers: async (...asked) => await guard(Promise.resolve((planners.at(-1) ?? first).offers(...asked))),
		prospects: async (...asked) => await guard(Promise.resolve((planners.at(-1) ?? first).prospects(...asked))),
		cancel: (lane = 'table') => {
			cancel(lane);
		},
		close
	};
}
