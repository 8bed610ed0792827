// What lies on trays and in pans, or goes into pots and oil, for every step of a meal that has a load.
import type { Kitchen } from '../../model/kitchen';
import type { Meal } from '../../model/meal';
import type { Technique } from '../../model/technique';
import { batchesOf, type Batches } from '../compile/load';
import { valuesFor } from '../compile/values';

export interface StepLoad {
	readonly part: string;
	readonly name: string;
	readonly say: string;
	readonly load: Batches;
}

export function loadsOf(meal: Meal, kitchen: Kitchen, techniques: ReadonlyMap<string, Technique>): readonly StepLoad[] {
	return meal.parts.flatMap((part) => {
		const technique = techniques.get(part.technique);
		if (!technique) return [];
		const of = valuesFor(technique, part.settings, part.covers ?? meal.covers);
		return technique.steps.flatMap((step): StepLoad[] => {
			if (step.when && !step.when.is.includes(of(step.when.parameter))) return [];
			const load = batchesOf(step, of, kitchen);
			return load ? [{ part: part.id, name: part.name, say: step.say, load }] : [];
		});
	});
}
