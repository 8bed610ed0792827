// The demo meals, compiled and planned, for tests.
import { demoKitchens, demoMeals } from '../library/demo';
import { library } from '../library/library';
import type { Kitchen } from '../model/kitchen';
import type { Meal } from '../model/meal';
import type { Plan } from '../model/plan';
import { compileMeal, type Compiled } from '../plan/compile/compile';
import { planMealNow } from '../plan/plan-meal';

export interface DemoCase {
	readonly meal: Meal;
	readonly kitchen: Kitchen;
}

export const demoCases: readonly DemoCase[] = demoMeals.map((meal) => {
	const kitchen = demoKitchens.find((k) => k.id === meal.kitchen);
	if (!kitchen) throw new RangeError(`no kitchen ${meal.kitchen}`);
	return { meal, kitchen };
});

export function compileDemo({ meal, kitchen }: DemoCase): Compiled {
	const compiled = compileMeal(meal, kitchen, library);
	if (!compiled.ok) throw new Error(JSON.stringify(compiled.issues));
	return compiled.value;
}

export function planDemo({ meal, kitchen }: DemoCase, budget = 8000): Plan {
	const outcome = planMealNow({ meal, kitchen, techniques: [...library.values()], seed: 1, budget });
	if (outcome.kind !== 'plan') throw new Error(JSON.stringify(outcome));
	return outcome.plan;
}
