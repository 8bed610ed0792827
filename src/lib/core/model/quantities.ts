// What a meal takes: raw weights from portions, what does not scale, what to taste is kept by; the shopping.
import type { Allergen } from '../foods/allergens';
import { fatRow, panFats, type Fat } from '../foods/fats';
import { isYielding, rawFor, trimmedFor } from '../foods/ingredients';
import type { Meal, Part } from './meal';
import type { aisles, Ingredient, Technique } from './technique';
import { valueOf, type Quantity } from './time-model';

/** An ingredient for so many. */
export interface Amount {
	readonly name: string;
	readonly unit: Ingredient['unit'];
	/** As it goes into its bowl, raw and trimmed; as it is bought, with what is trimmed off. In the unit. */
	readonly used: number;
	readonly bought: number;
	/** Bought whole: so many, of so much of the unit each. */
	readonly whole?: { readonly count: number; readonly each: number };
	/** A roast: so many millimetres across, and as long. */
	readonly size?: { readonly across: number; readonly long: number };
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

/** What a parameter is set to; `undefined` where the technique has no such. */
export const settingOf = (technique: Technique, settings: Part['settings'], id: string) =>
	settings[id] ?? technique.parameters.find((p) => p.id === id)?.usual;

/** The fat that the cook chose for the pan; none where it is the technique's own. */
function chosenFat(technique: Technique, settings: Part['settings']): Fat | undefined {
	const chosen = settingOf(technique, settings, 'fat');
	return chosen === undefined || chosen === 0 ? undefined : panFats[chosen];
}

/** The ingredients of a technique, with the fat for the pan by its name: weighed where it is solid. */
function ingredientsOf(technique: Technique, settings: Part['settings']): readonly Ingredient[] {
	const all = (technique.ingredients ?? []).filter(
		({ when }) => when?.is.includes(settingOf(technique, settings, when.parameter) ?? NaN) ?? true
	);
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

/** What of a technique loses most weight on the heat: its name in the tables, and the share that they leave. */
export function yieldingOf(technique: Technique): { readonly id: string; readonly left: number } | undefined {
	const [most] = (technique.ingredients ?? [])
		.flatMap(({ id, unit, yields: what }) =>
			unit === 'g' && what !== undefined && isYielding(what) ? [{ id, left: 1 / trimmedFor(1, what) }] : []
		)
		.toSorted((a, b) => a.left - b.left);
	return most;
}

/** What was learnt here of what the heat leaves of a technique's food: a factor on the tables' share. */
export const learntYield = (learnt: Learnt, technique: string): number =>
	Math.exp(learnt?.[`yield ${technique}`]?.mean ?? 0);
type Learnt = Readonly<Record<string, { readonly mean: number }>> | undefined;

/**
 * The ingredients of a part for so many; quantities that name a parameter take the part's setting.
 *
 * @param left what is left on the heat of what loses most, against what the tables say: see `learntYield`
 */
export function amountsOf(
	technique: Technique,
	settings: Part['settings'],
	covers: number,
	left = 1
): readonly Amount[] {
	const loses = left === 1 ? undefined : yieldingOf(technique)?.id;
	const value = (q: Quantity) =>
		valueOf(q, (id) => (id === 'covers' ? covers : (settingOf(technique, settings, id) ?? 0)));
	return ingredientsOf(technique, settings).map(
		({ id, name, unit, each, grows = 1, yields: what, whole, across, first, step, aisle, allergens }) => {
			const served = (value(each) * reference * (covers / reference) ** grows) / (id === loses ? left : 1);
			const isTrimmed = what !== undefined && isYielding(what);
			const raw = isTrimmed ? rawFor(served, what) : served;
			const one = whole === undefined ? undefined : value(whole);
			const count = one === undefined ? 1 : upTo(raw / one);
			const bought = one === undefined ? raw : count * one;
			const trimmed = isTrimmed ? trimmedFor(served, what) : served;
			// Nobody breaks half an egg, or roasts half a bird.
			const used = unit === 'pieces' ? upTo(trimmed) : Math.max(trimmed, one === undefined ? 0 : bought);
			const thick = across === undefined ? undefined : value(across);
			return {
				name,
				unit,
				used,
				bought: unit === 'pieces' ? upTo(bought) : bought,
				...(one === undefined ? {} : { whole: { count, each: one } }),
				...(thick === undefined ? {} : { size: { across: thick, long: lengthOf(bought, thick) } }),
				...(first === undefined ? {} : { first: used * first }),
				isDamped: grows < 1,
				step,
				aisle,
				allergens: allergens ?? []
			};
		}
	);
}

const upTo = (pieces: number) => Math.ceil(pieces - 1e-9);

/** Raw meat, g/mm³ (1,060 kg/m³). */
const meat = 1.06e-3;
/** How long a round roast of so many grams is that is so thick, mm. */
const lengthOf = (grams: number, across: number) => grams / meat / ((Math.PI / 4) * across ** 2);

export interface ShoppingLine extends Pick<
	Amount,
	'name' | 'unit' | 'bought' | 'whole' | 'size' | 'aisle' | 'allergens'
> {
	/** Parts it is for, by name. */
	readonly parts: readonly string[];
}

/** How many a part is cooked for: not those who do without. */
export function eatenBy(part: Part, meal: Pick<Meal, 'covers'>): number {
	const without = (part.wishes ?? []).filter((w) => w.without === true).reduce((sum, w) => sum + w.covers, 0);
	return Math.max(0, (part.covers ?? meal.covers) - without);
}

/** Everything to buy, the same ingredient in one line, by aisle and name; what was learnt of yields counts. */
export function shoppingOf(
	meal: Meal,
	techniques: ReadonlyMap<string, Technique>,
	learnt?: Learnt
): readonly ShoppingLine[] {
	const lines = new Map<string, ShoppingLine>();
	for (const part of meal.parts) {
		const technique = techniques.get(part.technique);
		if (!technique) continue;
		for (const amount of amountsOf(technique, part.settings, eatenBy(part, meal), learntYield(learnt, technique.id))) {
			const { name, unit, bought, whole, size, aisle, allergens } = amount;
			// Whole ones of two sizes, and roasts, are lines of their own.
			const own = whole ? ` ${whole.each}` : size ? ` ${part.id}` : '';
			const key = `${name.toLowerCase()} ${unit}${own}`;
			const line = lines.get(key);
			const parts = line?.parts.includes(part.name) ? line.parts : [...(line?.parts ?? []), part.name];
			const tags = [...new Set([...(line?.allergens ?? []), ...allergens])];
			lines.set(key, {
				name,
				unit,
				bought: (line?.bought ?? 0) + bought,
				...(whole ? { whole: { ...whole, count: (line?.whole?.count ?? 0) + whole.count } } : {}),
				...(size ? { size } : {}),
				aisle,
				allergens: tags,
				parts
			});
		}
	}
	return [...lines.values()].sort((a, b) => a.aisle.localeCompare(b.aisle) || a.name.localeCompare(b.name));
}

/** Allergens of all ingredients of a technique, and of the fat that is chosen for its pan, each once. */
export function allergensOf(technique: Technique, settings: Part['settings']): readonly Allergen[] {
	return [...new Set(ingredientsOf(technique, settings).flatMap((i) => i.allergens ?? []))];
}
