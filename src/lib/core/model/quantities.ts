// What a meal takes: raw weights from portions, what does not scale, what to taste is kept by; bowls, and the shopping.
import type { Allergen } from '../foods/allergens';
import { fatRow, panFats, type Fat } from '../foods/fats';
import { isYielding, rawFor, trimmedFor } from '../foods/ingredients';
import type { Meal, Part } from './meal';
import type { aisles, Ingredient, Technique } from './technique';
import type { Quantity } from './time-model';

/** An ingredient for so many. */
export interface Amount {
	readonly name: string;
	readonly unit: Ingredient['unit'];
	/** As it goes into its bowl, raw and trimmed; as it is bought, with what is trimmed off. In the unit. */
	readonly used: number;
	readonly bought: number;
	/** To taste: so much to begin with; the rest is kept by. */
	readonly first?: number;
	/** Whether it grows less than in step with the people. */
	readonly isDamped: boolean;
	readonly step: string;
	readonly aisle: (typeof aisles)[number];
	readonly allergens: readonly Allergen[];
}

/** People for whom an ingredient's `each` holds exactly. */
const reference = 4;
/** What a pan's fat is called in a technique, until the cook chooses one. */
const anyFat = 'vegetable oil';
/** Millilitres of the fat for a pan, for one of four, where the technique does not say. */
const usualFat = 5;

const settingOf = (technique: Technique, settings: Part['settings'], id: string) =>
	settings[id] ?? technique.parameters.find((p) => p.id === id)?.usual;

/** The fat that the cook chose for the pan; none where it is the technique's own. */
function chosenFat(technique: Technique, settings: Part['settings']): Fat | undefined {
	const chosen = settingOf(technique, settings, 'fat');
	return chosen === undefined || chosen === 0 ? undefined : panFats[chosen];
}

/** The ingredients of a technique, with the fat for the pan by its name: weighed where it is solid. */
function ingredientsOf(technique: Technique, settings: Part['settings']): readonly Ingredient[] {
	const all = technique.ingredients ?? [];
	const fat = chosenFat(technique, settings);
	if (fat === undefined) return all;
	const { weighed, allergens = [] } = fatRow(fat);
	const plain = all.find((i) => i.name === anyFat) ?? {
		id: anyFat.replace(' ', '-'),
		name: anyFat,
		unit: 'ml' as const,
		each: usualFat,
		step: (technique.steps.find((s) => s.time.model?.kind === 'hot-pan') ?? technique.steps[0])?.id ?? '',
		aisle: 'store cupboard' as const
	};
	const named: Ingredient = {
		...plain,
		name: fat,
		...(weighed === undefined ? {} : { unit: 'g', each: scaled(plain.each, weighed) }),
		...(allergens.length === 0 ? {} : { allergens: [...allergens] })
	};
	return all.includes(plain) ? all.map((i) => (i === plain ? named : i)) : [...all, named];
}

const scaled = (q: Quantity, by: number): Quantity =>
	typeof q === 'number' ? q * by : { ...q, times: q.times * by, plus: q.plus * by };

/** The ingredients of a part for so many; quantities that name a parameter take the part's setting. */
export function amountsOf(technique: Technique, settings: Part['settings'], covers: number): readonly Amount[] {
	const value = (q: Quantity) => {
		if (typeof q === 'number') return q;
		const of = q.by === 'covers' ? covers : (settingOf(technique, settings, q.by) ?? 0);
		return q.times * of + q.plus;
	};
	return ingredientsOf(technique, settings).map(
		({ name, unit, each, grows = 1, yields: what, first, step, aisle, allergens }) => {
			const served = value(each) * reference * (covers / reference) ** grows;
			const isTrimmed = what !== undefined && isYielding(what);
			const bought = isTrimmed ? rawFor(served, what) : served;
			const used = isTrimmed ? trimmedFor(served, what) : served;
			return {
				name,
				unit,
				used,
				bought: unit === 'pieces' ? Math.ceil(bought - 1e-9) : bought,
				...(first === undefined ? {} : { first: used * first }),
				isDamped: grows < 1,
				step,
				aisle,
				allergens: allergens ?? []
			};
		}
	);
}

export interface ShoppingLine extends Pick<Amount, 'name' | 'unit' | 'bought' | 'aisle' | 'allergens'> {
	/** Parts it is for, by name. */
	readonly parts: readonly string[];
}

/** How many a part is cooked for: not those who do without. */
function eatenBy(part: Part, meal: Pick<Meal, 'covers'>): number {
	const without = (part.wishes ?? []).filter((w) => w.without === true).reduce((sum, w) => sum + w.covers, 0);
	return Math.max(0, (part.covers ?? meal.covers) - without);
}

/** Everything to buy, the same ingredient in one line, by aisle and name. */
export function shoppingOf(meal: Meal, techniques: ReadonlyMap<string, Technique>): readonly ShoppingLine[] {
	const lines = new Map<string, ShoppingLine>();
	for (const part of meal.parts) {
		const technique = techniques.get(part.technique);
		if (!technique) continue;
		for (const { name, unit, bought, aisle, allergens } of amountsOf(technique, part.settings, eatenBy(part, meal))) {
			const key = `${name.toLowerCase()} ${unit}`;
			const line = lines.get(key);
			const parts = line?.parts.includes(part.name) ? line.parts : [...(line?.parts ?? []), part.name];
			const tags = [...new Set([...(line?.allergens ?? []), ...allergens])];
			lines.set(key, { name, unit, bought: (line?.bought ?? 0) + bought, aisle, allergens: tags, parts });
		}
	}
	return [...lines.values()].sort((a, b) => a.aisle.localeCompare(b.aisle) || a.name.localeCompare(b.name));
}

export interface Bowl {
	readonly part: string;
	readonly name: string;
	/** Step that uses it: its id and words. */
	readonly step: string;
	readonly say: string;
	readonly amounts: readonly Amount[];
}

/** Mise en place: for each step that uses something a bowl with all that goes in then, parts in plating order. */
export function bowlsOf(meal: Meal, techniques: ReadonlyMap<string, Technique>): readonly Bowl[] {
	return meal.parts.flatMap((part) => {
		const technique = techniques.get(part.technique);
		if (!technique) return [];
		const amounts = amountsOf(technique, part.settings, eatenBy(part, meal));
		return technique.steps.flatMap((step): Bowl[] => {
			const mine = amounts.filter((a) => a.step === step.id);
			return mine.length === 0 ? [] : [{ part: part.id, name: part.name, step: step.id, say: step.say, amounts: mine }];
		});
	});
}

/** Allergens of all ingredients of a technique, and of the fat that is chosen for its pan, each once. */
export function allergensOf(technique: Technique, settings: Part['settings']): readonly Allergen[] {
	return [...new Set(ingredientsOf(technique, settings).flatMap((i) => i.allergens ?? []))];
}
