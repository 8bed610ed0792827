// What lies on trays and in pans, or goes into pots and oil, for every step of a meal that has a load: as it is cooked, those
// guests apart who have it otherwise.
import type { Kitchen } from '../../model/kitchen';
import type { Meal } from '../../model/meal';
import type { Technique } from '../../model/technique';
import { mostBatches, type Batches } from '../compile/load';
import { alternativesOf, loadIn } from '../compile/portions';
import { sharedLoads, traysOf } from '../compile/trays';

export interface StepLoad {
	readonly part: string;
	readonly name: string;
	readonly say: string;
	readonly load: Batches;
}

/** Every load of a meal, those of shared trays left out: they are one (see `traysOf`). */
export function loadsOf(meal: Meal, kitchen: Kitchen, techniques: ReadonlyMap<string, Technique>): readonly StepLoad[] {
	const onTrays = sharedLoads(traysOf(meal, kitchen, techniques));
	return meal.parts.flatMap((part) => {
		const [chosen] = alternativesOf(part, meal, kitchen, techniques);
		return (chosen?.portions ?? []).flatMap(({ part: portion, technique, works }) =>
			technique.steps.flatMap((step): StepLoad[] => {
				if (onTrays.get(part.id)?.step === step.id) return [];
				const work = works.find((w) => w.step.id === step.id);
				const covers = (work?.covers ?? 0) * Math.min(mostBatches, work?.batches ?? 1);
				const load = work && loadIn(technique, step, portion.settings, covers, kitchen);
				return load ? [{ part: portion.id, name: portion.name, say: step.say, load }] : [];
			})
		);
	});
}
