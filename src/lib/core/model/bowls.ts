// Mise en place: what is set out in bowls, each for the step that uses it.
import { finishAmounts } from './finishing';
import type { Meal } from './meal';
import { amountsOf, eatenBy, learntYield, type Amount } from './quantities';
import { ratiosOf, type Ratio } from './ratios';
import type { Technique } from './technique';

export interface Bowl {
	readonly part: string;
	readonly name: string;
	/** Step that uses it: its id and words. */
	readonly step: string;
	readonly say: string;
	readonly amounts: readonly Amount[];
	/** Ratios of what is in it to what goes with it. */
	readonly ratios: readonly Ratio[];
}

/** Mise en place: for each step that uses something a bowl with all that goes in then, parts in plating order. */
export function bowlsOf(
	meal: Meal,
	techniques: ReadonlyMap<string, Technique>,
	learnt?: Parameters<typeof learntYield>[0]
): readonly Bowl[] {
	return meal.parts.flatMap((part) => {
		const technique = techniques.get(part.technique);
		if (!technique) return [];
		const eaten = eatenBy(part, meal);
		const amounts = amountsOf(technique, part.settings, eaten, learntYield(learnt, technique.id));
		const ratios = ratiosOf(technique, part.settings, eaten);
		const added = finishAmounts(meal, part, techniques).map(({ say, ...amount }): Bowl => ({
			part: part.id,
			name: part.name,
			step: amount.step,
			say,
			amounts: [amount],
			ratios: []
		}));
		const taken = technique.steps.flatMap((step): Bowl[] => {
			const mine = amounts.filter((a) => a.step === step.id);
			if (mine.length === 0) return [];
			const own = ratios.filter((r) => r.step === step.id);
			return [{ part: part.id, name: part.name, step: step.id, say: step.say, amounts: mine, ratios: own }];
		});
		return [...taken, ...added];
	});
}
