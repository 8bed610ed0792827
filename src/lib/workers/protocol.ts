// What the page and the planner's worker say to each other. Every message names its job: what is said to one is not heard by
// another, however late it comes.
import type { Plan, PlannedStep } from '../core/model/plan';
import type { Cure } from '../core/plan/advise/cures';
import type { Offer } from '../core/plan/advise/offers';
import type { Standing } from '../core/plan/replan';
import type { WhatIf } from '../core/plan/advise/what-if';
import type { PlanOutcome, PlanProgress, PlanRequest } from '../core/plan/plan-meal';
import type { Told } from '../core/probe/estimate';
import type { How } from '../core/rehearse/how';
import type { Prospects } from '../core/rehearse/going-on';
import type { Rehearsed } from '../core/rehearse/offers';
import type { Reading } from '../core/probe/posterior';
import type { Schedule } from '../core/plan/problem';
import type { StepSlack } from '../core/plan/why/slack';

/** A number of its own for each piece of work, given by whoever asks for it. */
export type Job = number;

/** The outcome, or word that the job was cancelled. */
export type PlanAnswer = PlanOutcome | { readonly kind: 'superseded' };

export interface Planner {
	/** Plan to the end of the budget, or until it is cancelled. */
	plan(job: Job, request: PlanRequest, onProgress: (progress: PlanProgress) => void): Promise<PlanAnswer>;
	/** Try what would help, and tell of each as it is known. */
	whatIf(job: Job, request: PlanRequest, plan: Plan, onFound: (found: WhatIf) => Promise<void> | void): Promise<void>;
	/** Plans that break one promise, where the request has none that keeps them all. */
	cures(job: Job, request: PlanRequest, onFound: (found: Cure) => Promise<void> | void): Promise<void>;
	/** How much later steps of a plan may be, services unmoved: one after the other, as they are known. */
	slack(
		job: Job,
		request: PlanRequest,
		plan: Plan,
		steps: readonly string[],
		onFound: (found: StepSlack) => Promise<void> | void
	): Promise<void>;
	/** How likely a plan is on time, better known as it goes on; then what room behind its steps would bring. */
	rehearse(
		job: Job,
		request: PlanRequest,
		plan: Plan,
		how: How,
		onFound: (found: Rehearsed) => Promise<void> | void
	): Promise<void>;
	/** What a probe's stream says of a step: seconds since that began, °C; and the moment of asking. */
	probe(step: PlannedStep, readings: readonly Reading[], now: number): Promise<Told | undefined> | Told | undefined;
	/** What idle hands could begin now. */
	offers(request: PlanRequest, standing: Standing): Promise<readonly Offer[]> | readonly Offer[];
	/** What may be expected of the rest of an evening: going on by a plan, and by one of the rest made anew. */
	prospects(
		request: PlanRequest & { readonly standing: Standing },
		anew: Plan
	): Promise<Prospects | undefined> | Prospects | undefined;
	/** What another search for the same request has found. */
	hear(job: Job, answer: Schedule): Promise<void> | void;
	cancel(job: Job): Promise<void> | void;
}
