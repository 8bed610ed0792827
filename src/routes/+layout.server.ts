// The demo meal's plan, made when the pages are built: it is on screen before any script runs.
import { demoKitchens, demoMeals } from '$lib/core/library/demo';
import { library } from '$lib/core/library/library';
import { usualBudget, usualSeed } from '$lib/core/plan/effort';
import { planMealNow } from '$lib/core/plan/plan-meal';
import type { Plan } from '$lib/core/model/plan';

let made: Plan | undefined;

export const load = (): { plan: Plan } => ({ plan: (made ??= planDemo()) });

function planDemo(): Plan {
	const [meal] = demoMeals;
	const kitchen = demoKitchens.find((k) => k.id === meal?.kitchen);
	if (!meal || !kitchen) throw new RangeError('the demo has no meal, or no kitchen for it');
	const outcome = planMealNow({
		meal,
		kitchen,
		techniques: [...library.values()],
		seed: usualSeed,
		budget: usualBudget
	});
	if (outcome.kind !== 'plan') throw new Error(`the demo meal has no plan: ${JSON.stringify(outcome)}`);
	return outcome.plan;
}
