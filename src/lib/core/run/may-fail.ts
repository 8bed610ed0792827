// Parts that life may still change: what else could be made of each, and what a guest might want of it otherwise.
import type { Meal } from '../model/meal';
import { eatenBy } from '../model/quantities';
import type { Technique } from '../model/technique';

export interface MayFail {
	readonly id: string;
	readonly name: string;
	/** Guests who have it. */
	readonly covers: number;
	/** Other ways to make it. */
	readonly others: readonly { readonly id: string; readonly name: string }[];
	/** What a guest may want of it otherwise: a parameter, and its values in words but for the part's own. */
	readonly wish:
		| {
				readonly parameter: string;
				readonly name: string;
				readonly values: readonly { readonly value: number; readonly words: string }[];
		  }
		| undefined;
}

/** More other ways are not read with wet hands. */
const mostOthers = 3;

/** The parts of a meal as it is now whose course is not out. */
export function mayFailIn(
	meal: Meal,
	techniques: ReadonlyMap<string, Technique>,
	served: ReadonlySet<string>
): readonly MayFail[] {
	return meal.parts
		.filter((p) => !served.has(p.course))
		.map((p): MayFail => {
			const technique = techniques.get(p.technique);
			const others = [...techniques.values()]
				.filter((t) => t.makes !== undefined && t.makes === technique?.makes && t.id !== p.technique)
				.slice(0, mostOthers)
				.map(({ id, name }) => ({ id, name }));
			const styled = technique?.parameters.find((x) => x.options !== undefined && x.options.length > 1);
			const usual = styled && (p.settings[styled.id] ?? styled.usual);
			const values = (styled?.options ?? [])
				.filter((o) => o.value !== usual)
				.map((o) => ({ value: o.value, words: o.say }));
			const wish = styled && values.length > 0 ? { parameter: styled.id, name: styled.name, values } : undefined;
			return { id: p.id, name: p.name, covers: eatenBy(p, meal), others, wish };
		});
}
