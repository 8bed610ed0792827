// From a meal and a kitchen to a plan, better and better.
import type { Issue } from '../issues';
import type { Plan } from '../model/plan';
import type { Schedule } from './problem';
import { overrunsOf, type Overrun } from './replan';
import { seek, type Found, type Seeking, type Sought } from './seek';
import { conflictOf, type Conflict } from './why/conflict';

/** A cook would rather wait a few seconds than be told of an evening that is late: so many times the budget, then. */
const latePatience = 5;

export type PlanRequest = Sought;
export type PlanProgress = Seeking;

export type PlanOutcome =
	| {
			readonly kind: 'plan';
			readonly plan: Plan;
			/** Steps that start at another time than in the plan in force, by id. */
			readonly moved: readonly string[];
			/** In a replan: steps that come later than what they follow can bear. */
			readonly overruns: readonly Overrun[];
	  }
	/** Proven: nothing fits. */
	| { readonly kind: 'conflict'; readonly conflict: Conflict }
	/** The meal or the kitchen lacks something. */
	| { readonly kind: 'issues'; readonly issues: readonly Issue[] }
	/** Nothing found within the budget, nothing proven. */
	| { readonly kind: 'unknown' };

/**
 * Plan a consistent meal, as a stream the caller pulls and may drop; the value returned is final. What is passed to `next`
 * is the answer of another search for the same request.
 */
export function* planMeal(request: PlanRequest): Generator<PlanProgress, PlanOutcome, Schedule | undefined> {
	if (request.meal.parts.length === 0)
		return { kind: 'issues', issues: [{ code: 'nothing-to-cook', path: ['parts'] }] };
	return outcome(request, yield* seek(request, { patience: request.standing ? 1 : latePatience }));
}

/** Plan to the end of the budget. */
export function planMealNow(request: PlanRequest): PlanOutcome {
	const search = planMeal(request);
	for (;;) {
		const step = search.next(undefined);
		if (step.done) return step.value;
	}
}

function outcome({ kitchen, standing }: PlanRequest, found: Found): PlanOutcome {
	if (found.kind === 'issues') return found;
	const { answer, plan, compiled, before } = found;
	if (plan)
		return {
			kind: 'plan',
			plan,
			moved: answer.moved ?? [],
			overruns: standing ? overrunsOf(before, plan, standing) : []
		};
	if (answer.status !== 'infeasible') return { kind: 'unknown' };
	return { kind: 'conflict', conflict: conflictOf(answer.conflict ?? [], compiled.trace, kitchen) };
}
