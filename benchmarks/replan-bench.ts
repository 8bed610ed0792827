// How soon the rest of an evening is planned anew: from any instant, after whatever happens.
import { demoKitchens, demoMeals } from '$lib/core/library/demo';
import { library } from '$lib/core/library/library';
import type { Kitchen } from '$lib/core/model/kitchen';
import { shelfOf, techniquesFor, type Meal } from '$lib/core/model/meal';
import type { Plan } from '$lib/core/model/plan';
import { planMeal, planMealNow, type PlanRequest } from '$lib/core/plan/plan-meal';
import { compileOnce } from '$lib/core/plan/compile/once';
import { scheduleOf } from '$lib/core/plan/compile/schedule-of';
import { describePlan } from '$lib/core/plan/describe/describe';
import type { Problem } from '$lib/core/plan/problem';
import { movedIn, withFacts } from '$lib/core/plan/replan';
import { solve } from '$lib/core/plan/solve/solve';
import { uniformOf } from '$lib/core/rehearse/luck';
import { kitchenDuring, mealDuring } from '$lib/core/run/during';
import { instantAt, type Happening, type Run } from '$lib/core/run/events';
import { factsOf } from '$lib/core/run/facts';
import { standingOf, viewRun } from '$lib/core/run/view';
import { runOf, runUntil, withEvent } from '$lib/core/testing/some-run';
import { table } from './table';

const budget = 20_000;
const kinds = ['late', 'late', 'failed', 'away', 'guests', 'service'] as const;

function happeningOf(seed: number, meal: Meal, kitchen: Kitchen, plan: Plan, run: Run, clock: number): Happening {
	const pick = <T>(list: readonly T[], what: string): T | undefined =>
		list[Math.floor(uniformOf(seed, what) * list.length)];
	const on = viewRun(run, instantAt(run, clock)).on.map((o) => o.step.id);
	const late = { kind: 'late', step: pick(on, 'step') ?? plan.steps[0]?.id ?? '', seconds: 300 } as const;
	switch (pick(kinds, 'kind')) {
		case 'failed':
			return { kind: 'failed', part: pick(meal.parts, 'part')?.id ?? '', then: 'again' };
		case 'away':
			return { kind: 'out', what: pick(kitchen.cooks, 'cook')?.id ?? '', seconds: 600 };
		case 'guests':
			return { kind: 'guests', covers: meal.covers + (uniformOf(seed, 'more') < 0.5 ? 1 : -1) };
		case 'service': {
			const course = pick(plan.services, 'course');
			return course ? { kind: 'service', course: course.course, to: instantAt(run, course.at + 600) } : late;
		}
		case 'late':
		case undefined:
			return late;
	}
}

/** The fewest steps that any plan of the rest moves which is no later than it must be; `undefined`: not proven. */
function fewestMoves({ meal, kitchen, techniques, standing }: Required<PlanRequest>): number | undefined {
	const read = compileOnce(meal, kitchen, new Map(techniques.map((t) => [t.id, t])), 'pooled');
	if (!read.ok || !standing) return undefined;
	const previous = scheduleOf(standing.plan, read.value, kitchen);
	const compiled = withFacts(read.value, previous, standing);
	const { problem } = compiled;
	const late: Problem = {
		...problem,
		weights: { ...problem.weights, span: 0 },
		serve: problem.serve.map((s) => ({ ...s, rate: 0 })),
		wants: [],
		choices: problem.choices.map((c) => ({ ...c, options: c.options.map((o) => ({ ...o, cost: 0 })) }))
	};
	const search = solve(late, { seed: 1, budget: 60_000, previous, infeasible: 'say' });
	for (;;) {
		const step = search.next(undefined);
		if (!step.done) continue;
		if (step.value.status !== 'optimal') return undefined;
		return movedIn(describePlan(meal, kitchen, compiled, step.value).plan, standing).length;
	}
}

/** Each demo meal at so many random instants, each with something that happens: time to the first plan, and whether there is one. */
export function benchReplans(instants = 500): string {
	const rows = demoMeals.map((meal) => {
		const kitchen = demoKitchens.find((k) => k.id === meal.kitchen);
		if (!kitchen) throw new RangeError(`no kitchen ${meal.kitchen}`);
		const shelf = shelfOf(library, []);
		const common = { seed: 1, budget };
		const outcome = planMealNow({ meal, kitchen, techniques: techniquesFor(meal, shelf), ...common });
		if (outcome.kind !== 'plan') throw new RangeError(`no plan of ${meal.name}`);
		const { plan } = outcome;
		const times: number[] = [];
		let [none, moved, fewest, known, within] = [0, 0, 0, 0, 0];
		for (let n = 0; n < Math.ceil(instants / demoMeals.length); n++) {
			const clock = Math.round(plan.from + (0.02 + 0.95 * uniformOf(n, meal.id)) * (plan.to - plan.from));
			const run = runUntil(runOf(plan), clock);
			const told = withEvent(run, happeningOf(n, meal, kitchen, plan, run, clock), instantAt(run, clock));
			const facts = factsOf(told);
			const own = mealDuring(meal, facts, library);
			const request = {
				meal: own,
				kitchen: kitchenDuring(kitchen, facts),
				techniques: techniquesFor(own, shelf),
				...common,
				standing: standingOf(told, instantAt(told, clock))
			};
			const began = performance.now();
			const search = planMeal(request);
			for (;;) {
				const step = search.next(undefined);
				if (!step.done && !step.value.plan) continue;
				if (step.done && step.value.kind !== 'plan') none++;
				else times.push(performance.now() - began);
				const found = step.done ? (step.value.kind === 'plan' ? step.value.plan : undefined) : step.value.plan;
				if (!found) break;
				const moves = movedIn(found, request.standing).length;
				const least = fewestMoves(request);
				moved += moves;
				if (least === undefined) break;
				known++;
				fewest += least;
				if (moves <= least + 1) within++;
				break;
			}
		}
		times.sort((a, b) => a - b);
		const at = (share: number) => `${(times[Math.floor(share * times.length)] ?? NaN).toFixed(0)} ms`;
		const count = times.length + none;
		return [
			meal.name,
			String(count),
			at(0.5),
			at(0.9),
			at(0.99),
			String(none),
			(moved / count).toFixed(1),
			(fewest / known).toFixed(1),
			`${within} of ${known}`
		];
	});
	return table(
		['meal', 'instants', 'median', '90 %', '99 %', 'without a plan', 'steps moved', 'fewest', 'at most one more'],
		rows
	);
}
