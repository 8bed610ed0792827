// The demo meal's plan, made when the pages are built: it is on screen before any script runs.
import { building } from '$app/environment';
import { demoKitchens, demoMeals } from '$lib/core/library/demo';
import { library } from '$lib/core/library/library';
import { usualBudget, usualSeed } from '$lib/core/plan/effort';
import { planMealNow } from '$lib/core/plan/plan-meal';
import type { Plan } from '$lib/core/model/plan';

/** Work that finds a first plan of the demo, in propagator runs; and how often it is made four times as much. */
const quickBudget = 500;
const mostTries = 6;

let made: Plan | undefined;

export const load = (): { plan: Plan } => ({ plan: (made ??= planDemo()) });

function planDemo(): Plan {
	const [meal] = demoMeals;
	const kitchen = demoKitchens.find((k) => k.id === meal?.kitchen);
	if (!meal || !kitchen) throw new RangeError('the demo has no meal, or no kitchen for it');
	const request = { meal, kitchen, techniques: [...library.values()], seed: usualSeed };
	// A running server only makes the page that says there is nothing: any plan will do for that, at once.
	const budgets = building ? [usualBudget] : Array.from({ length: mostTries }, (_, i) => quickBudget * 4 ** i);
	for (const budget of budgets) {
		const outcome = planMealNow({ ...request, budget });
		if (outcome.kind === 'plan') return outcome.plan;
	}
	throw new Error('the demo meal has no plan');
}
