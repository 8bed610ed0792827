// What the page and the planner's worker say to each other.
import type { Plan } from '../core/model/plan';
import type { Slack } from '../core/plan/explain/slack';
import type { WhatIf } from '../core/plan/what-if/what-if';
import type { PlanOutcome, PlanProgress, PlanRequest } from '../core/plan/plan-meal';

/** The outcome, or word that a newer request took this one's place. */
export type PlanAnswer = PlanOutcome | { readonly kind: 'superseded' };

export interface Planner {
	/** Plan to the end of the budget; a newer call, or `cancel`, ends an older one. */
	plan(request: PlanRequest, onProgress: (progress: PlanProgress) => void): Promise<PlanAnswer>;
	/** Try what would help, and tell of each as it is known. */
	whatIf(request: PlanRequest, plan: Plan, onFound: (found: WhatIf) => void): Promise<void>;
	/** How much later a step of a plan may be, services unmoved. */
	slack(request: PlanRequest, plan: Plan, step: string): Promise<Slack | undefined>;
	cancel(): void;
}
