// What the page and the planner's worker say to each other.
import type { Plan } from '../core/model/plan';
import type { StepSlack } from '../core/plan/explain/slack';
import type { Cure } from '../core/plan/what-if/cures';
import type { WhatIf } from '../core/plan/what-if/what-if';
import type { Schedule } from '../core/plan/problem';
import type { PlanOutcome, PlanProgress, PlanRequest } from '../core/plan/plan-meal';

/** The outcome, or word that a newer request took this one's place. */
export type PlanAnswer = PlanOutcome | { readonly kind: 'superseded' };

export interface Planner {
	/** Plan to the end of the budget; a newer call, or `cancel`, ends an older one. */
	plan(request: PlanRequest, onProgress: (progress: PlanProgress) => void): Promise<PlanAnswer>;
	/** Try what would help, and tell of each as it is known. */
	/** A quick plan of something else, beside what is being planned. */
	preview(request: PlanRequest): Promise<PlanOutcome>;
	whatIf(request: PlanRequest, plan: Plan, onFound: (found: WhatIf) => void): Promise<void>;
	/** Plans that break one promise, where the request has none that keeps them all. */
	cures(request: PlanRequest, onFound: (found: Cure) => void): Promise<void>;
	/** How much later steps of a plan may be, services unmoved: one after the other, as they are known. */
	slack(request: PlanRequest, plan: Plan, steps: readonly string[], onFound: (found: StepSlack) => void): Promise<void>;
	/** What another search for the same request has found. */
	hear(answer: Schedule): void;
	cancel(): void;
}
