// Meals of the library's techniques in a kitchen that has everything, for tests.
import { presets } from '../library/kitchens';
import { library } from '../library/library';
import type { Kitchen } from '../model/kitchen';
import type { Meal, Part } from '../model/meal';
import type { Technique } from '../model/technique';
import { wordIssue } from '../words/issues';
import { compileMeal, type Compiled } from '../plan/compile/compile';
import { planMealNow } from '../plan/plan-meal';
import type { Plan } from '../model/plan';

const bistro = presets.find((p) => p.id === 'bistro');
if (!bistro) throw new RangeError('no bistro among the presets');

/** Every kind of station, and vessels enough. */
export const everything: Kitchen = {
	...bistro.kitchen,
	id: 'everything',
	name: 'Everything',
	stations: [...bistro.kitchen.stations, { kind: 'wood oven', id: 'fire', name: 'Wood oven', places: 2 }]
};

/** A meal of these parts, one course, all day to cook it. */
export function mealOf(parts: readonly (Partial<Part> & { readonly technique: string })[], covers = 4): Meal {
	return {
		format: 'juntos-meal',
		version: 1,
		id: 'some-meal',
		name: 'Some meal',
		kitchen: 'everything',
		covers,
		earliest: 12 * 3600,
		courses: [{ id: 'c', name: 'Course', service: 19 * 3600 }],
		parts: parts.map((p, i) => ({
			id: `p${i}`,
			name: library.get(p.technique)?.name ?? p.technique,
			course: 'c',
			settings: {},
			tone: i % 8,
			...p
		})),
		own: [],
		links: []
	};
}

/** @throws {Error} with the issues in words */
export function compiled(meal: Meal, kitchen: Kitchen = everything): Compiled {
	const read = compileMeal(meal, kitchen, library);
	if (!read.ok) throw new Error(read.issues.map(wordIssue).join(' '));
	return read.value;
}

/** @throws {Error} where there is no plan */
export function planned(
	meal: Meal,
	kitchen: Kitchen = everything,
	budget = 4000,
	techniques: ReadonlyMap<string, Technique> = library
): Plan {
	const outcome = planMealNow({ meal, kitchen, techniques: [...techniques.values()], seed: 1, budget });
	if (outcome.kind !== 'plan') throw new Error(JSON.stringify(outcome).slice(0, 500));
	return outcome.plan;
}
