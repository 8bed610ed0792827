// Compile → solve → explain: from a meal and a kitchen to a plan, better and better.
import type { Issue } from '../issues';
import type { Kitchen } from '../model/kitchen';
import type { Meal } from '../model/meal';
import type { Plan } from '../model/plan';
import type { Technique } from '../model/technique';
import { compileMeal, type Compiled } from './compile/compile';
import { wordConflict } from './explain/conflict';
import { explainPlan } from './explain/explain';
import type { Schedule } from './problem';
import { scheduleOf } from './explain/schedule-of';
import { withBegun, type Standing } from './replan';
import { solve } from './solve/solve';

export interface PlanRequest {
	readonly meal: Meal;
	readonly kitchen: Kitchen;
	readonly techniques: readonly Technique[];
	readonly seed: number;
	/** Work to spend, in propagator runs; with the seed it fixes the answer. */
	readonly budget: number;
	/** The plan in force and how it stands: it is kept to as far as can be. */
	readonly standing?: Standing | undefined;
}

export type PlanOutcome =
	| {
			readonly kind: 'plan';
			readonly plan: Plan;
			/** Steps that start at another time than in the plan in force, by id. */
			readonly moved: readonly string[];
	  }
	/** Proven: nothing fits. */
	| { readonly kind: 'conflict'; readonly reasons: readonly string[] }
	/** The kitchen lacks something. */
	| { readonly kind: 'issues'; readonly issues: readonly Issue[] }
	/** Nothing found within the budget, nothing proven. */
	| { readonly kind: 'unknown' };

export interface PlanProgress {
	/** Present when there is a better plan than before. */
	readonly plan: Plan | undefined;
	/** The answer behind it, with the bound: what searches of the same request tell each other. */
	readonly answer: Schedule;
	/** Share of the budget spent, 0 to 1. */
	readonly spent: number;
}

/**
 * Plan a consistent meal, as a stream the caller pulls and may drop; the value returned is final. What is passed to `next`
 * is the answer of another search for the same request.
 */
export function* planMeal(request: PlanRequest): Generator<PlanProgress, PlanOutcome, Schedule | undefined> {
	const { meal, kitchen, techniques, seed, budget, standing } = request;
	if (meal.parts.length === 0) {
		return {
			kind: 'issues',
			issues: [{ code: 'shape', path: [], detail: 'There is nothing to cook yet: add a part' }]
		};
	}
	const compiled = compileMeal(meal, kitchen, new Map(techniques.map((t) => [t.id, t])));
	if (!compiled.ok) return { kind: 'issues', issues: compiled.issues };
	const previous = standing && scheduleOf(standing.plan, compiled.value, kitchen);
	const asked = standing && previous ? withBegun(compiled.value, previous, standing) : compiled.value;
	const search = solve(asked.problem, { seed, budget, previous });
	let news: Schedule | undefined;
	for (;;) {
		const step = search.next(news);
		if (step.done) return outcome(request, asked, step.value);
		const { schedule: answer, improved, spent } = step.value;
		const plan = improved ? explainPlan(meal, kitchen, asked, answer) : undefined;
		news = yield { plan, answer, spent };
	}
}

/** Plan to the end of the budget. */
export function planMealNow(request: PlanRequest): PlanOutcome {
	const search = planMeal(request);
	for (;;) {
		const step = search.next(undefined);
		if (step.done) return step.value;
	}
}

function outcome({ meal, kitchen }: PlanRequest, compiled: Compiled, answer: Schedule): PlanOutcome {
	switch (answer.status) {
		case 'optimal':
		case 'feasible':
			return { kind: 'plan', plan: explainPlan(meal, kitchen, compiled, answer), moved: answer.moved ?? [] };
		case 'infeasible':
			return { kind: 'conflict', reasons: wordConflict(answer.conflict ?? [], compiled.trace, kitchen) };
		case 'unknown':
			return { kind: 'unknown' };
	}
}
