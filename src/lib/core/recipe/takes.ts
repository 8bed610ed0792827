// What each part of a recipe takes of its list: every line goes into exactly one part, with what is in it for guests to know.
import { slugOf } from '../model/edit-meal';
import type { Ingredient } from '../model/technique';
import type { Allergen } from '../foods/allergens';
import { allergensNamed, allergenWords, shelfOf } from '../foods/named';
import { alsoCalled, namesOf, wordsOf } from './called';
import type { ReadIngredient } from './ingredient';
import type { ReadRecipe, ReadStep } from './read';
import { millilitres } from './units';

/** Amounts of a technique are for one of so many, where a recipe does not say. */
const usualServes = 4;
/** People at which amounts of techniques are told. */
const reference = 4;
/** More of it is not one person's, g. */
const mostForOne = 900;
/** What is at every stove: without an amount it is not listed. */
const atHand = new Set(['salt', 'pepper', 'water', 'seasoning']);

/** Ways in which a text names an ingredient, the surest first: by its last word, by any word, by its family. */
const naming: readonly ((i: ReadIngredient) => readonly string[])[] = [
	(i) => wordsOf(i.name).slice(-1),
	(i) => namesOf(i),
	(i) => alsoCalled(i)
];

/** Steps that name an ingredient, by the surest way that finds any. */
export function stepsNaming(ingredient: ReadIngredient, steps: readonly ReadStep[]): readonly ReadStep[] {
	for (const names of naming) {
		const words = names(ingredient);
		const found = steps.filter((s) => wordsOf(s.text).some((w) => words.includes(w)));
		if (found.length > 0) return found;
	}
	return [];
}

/**
 * The ingredients of each part. One that several parts name goes where most of its section is, where the list has sections,
 * else where it is named first; one that none names is the dish's.
 *
 * @param parts steps of each, the dish's first
 */
export function takenBy(
	{ ingredients }: ReadRecipe,
	parts: readonly (readonly ReadStep[])[]
): readonly (readonly ReadIngredient[])[] {
	const all = parts.flat().toSorted((a, b) => placeOf(a) - placeOf(b));
	const partOf = new Map(parts.flatMap((steps, k) => steps.map((s) => [s.id, k] as const)));
	const named = ingredients.map((i) => [...new Set(stepsNaming(i, all).map((s) => partOf.get(s.id) ?? 0))]);
	const isSectioned = hasSections(ingredients);
	const shareOf = (section: string | null, k: number) =>
		isSectioned
			? ingredients.filter((i, n) => i.section === section && named[n]?.length === 1 && named[n][0] === k).length
			: 0;
	const chosen = ingredients.map((i, n) => {
		const [first = 0, ...others] = named[n] ?? [];
		return others.reduce((a, b) => (shareOf(i.section, b) > shareOf(i.section, a) ? b : a), first);
	});
	return parts.map((_, k) => ingredients.filter((_i, n) => chosen[n] === k));
}
const placeOf = (s: ReadStep) => Number(s.id.slice(1));
const hasSections = (all: readonly ReadIngredient[]) => new Set(all.map((i) => i.section)).size > 1;

/** The step that uses an ingredient; where another section has it too, the one that names most of its own section. */
function stepOf(i: ReadIngredient, steps: readonly ReadStep[], all: readonly ReadIngredient[]): string {
	const [first, ...others] = stepsNaming(i, steps);
	// What no step names is to serve with, or begins it.
	if (!first) return (i.amount === null ? steps.at(-1) : steps[0])?.id ?? 's1';
	const isTwice = all.filter((o) => wordsOf(o.name).at(-1) === wordsOf(i.name).at(-1)).length > 1;
	if (!isTwice || !hasSections(all)) return first.id;
	const beside = all.filter((o) => o !== i && o.section === i.section);
	const shared = (s: ReadStep) => beside.filter((o) => stepsNaming(o, [s]).length > 0).length;
	return others.reduce((a, b) => (shared(b) > shared(a) ? b : a), first).id;
}

/** A part's ingredients as its technique lists them; of what has no amount one is bought, whatever the number of people. */
export function listed(
	own: readonly ReadIngredient[],
	steps: readonly ReadStep[],
	{ serves, ingredients: all }: ReadRecipe
): readonly Ingredient[] {
	const used = new Set<string>();
	const idOf = (name: string) => {
		const base = slugOf(name).slice(0, 50) || 'food';
		let id = base;
		for (let n = 2; used.has(id); n++) id = `${base}-${n}`;
		used.add(id);
		return id;
	};
	const people = peopleOf(serves, all);
	const written = own.flatMap((i): readonly Ingredient[] => {
		const amount = amountOf(i, people);
		if (!amount && namesOf(i).every((w) => atHand.has(w))) return [];
		// A line of several things tells of each by its name alone.
		const isAlone = all.filter((o) => o.line === i.line).length === 1;
		return [
			{
				id: idOf(i.name),
				name: nameOf(i, amount !== undefined),
				...(amount ?? asNeeded),
				step: stepOf(i, steps, all),
				aisle: shelfOf(i.name),
				...told(allergensNamed(isAlone ? i.line : `${i.name} ${i.alternative ?? ''}`))
			}
		];
	});
	return [...written, ...unwritten(steps, all).map((u) => ({ ...u, id: idOf(u.name) }))];
}

const asNeeded = { unit: 'pieces', each: 1 / reference, grows: 0 } as const;
const told = (allergens: readonly Allergen[]): Pick<Ingredient, 'allergens'> =>
	allergens.length === 0 ? {} : { allergens: [...allergens] };

/** What the steps name and the list does not, where guests have to be told of it: the bread to serve with. */
function unwritten(steps: readonly ReadStep[], all: readonly ReadIngredient[]): readonly Omit<Ingredient, 'id'>[] {
	const known = new Set(all.flatMap((i) => allergensNamed(i.line)));
	const lines = all.map((i) => i.line.toLowerCase()).join('\n');
	const found = new Map<string, Omit<Ingredient, 'id'>>();
	for (const s of steps)
		for (const { word, allergen } of allergenWords(s.text)) {
			if (known.has(allergen) || lines.includes(word.replace(/s$/, ''))) continue;
			const allergens = [...(found.get(word)?.allergens ?? []), allergen];
			found.set(word, {
				name: `${word}, as the recipe says`,
				...asNeeded,
				step: s.id,
				aisle: shelfOf(word),
				...told(allergens)
			});
		}
	return [...found.values()];
}

/** What is counted by another measure than itself says so: “parsley (bunch)”. */
function nameOf({ name, unit }: ReadIngredient, isMeasured: boolean): string {
	if (!isMeasured) return `${name.slice(0, 60)}, as needed`;
	const isCounted = unit !== null && unit !== 'piece' && millilitres[unit] === undefined;
	const isWeighed = ['g', 'kg', 'mg', 'oz', 'lb'].includes(unit ?? '');
	return isCounted && !isWeighed && !wordsOf(name).includes(unit)
		? `${name.slice(0, 60)} (${unit})`
		: name.slice(0, 80);
}

/** How many a list is for; what makes one loaf is not for one. */
function peopleOf(serves: ReadRecipe['serves'], all: readonly ReadIngredient[]): number {
	const said = serves === null ? usualServes : typeof serves === 'number' ? serves : (serves[0] + serves[1]) / 2;
	const grams = all.reduce((sum, i) => sum + (i.grams ?? 0), 0);
	return said <= 1 && grams > mostForOne ? usualServes : Math.max(1, Math.min(60, said));
}

/** For one of so many: in grams, millilitres or pieces; `undefined` where no amount is known. */
function amountOf(i: ReadIngredient, people: number): Pick<Ingredient, 'unit' | 'each'> | undefined {
	const of = (amount: number) => Math.max(0.01, Number((amount / people).toPrecision(3)));
	if (i.grams !== null && i.grams > 0) return { unit: 'g', each: of(i.grams) };
	if (!i.amount) return undefined;
	const middle = (i.amount[0] + i.amount[1]) / 2;
	const by = millilitres[i.unit ?? ''];
	return by === undefined ? { unit: 'pieces', each: of(middle) } : { unit: 'ml', each: of(middle * by) };
}
