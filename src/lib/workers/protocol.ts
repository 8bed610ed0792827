// What the page and the planner's worker say to each other.
import type { PlanOutcome, PlanProgress, PlanRequest } from '../core/plan/plan-meal';

/** The outcome, or word that a newer request took this one's place. */
export type PlanAnswer = PlanOutcome | { readonly kind: 'superseded' };

export interface Planner {
	/** Plan to the end of the budget; a newer call, or `cancel`, ends an older one. */
	plan(request: PlanRequest, onProgress: (progress: PlanProgress) => void): Promise<PlanAnswer>;
	cancel(): void;
}
