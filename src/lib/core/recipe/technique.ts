// A reading made into techniques that can be planned: what is made for itself is a part of its own, all else is the dish.
import { allergens as allAllergens, type Allergen } from '../foods/allergens';
import { ingredientRows } from '../foods/ingredients';
import type { Kitchen, VesselKind } from '../model/kitchen';
import { slugOf } from '../model/edit-meal';
import type { aisles, Ingredient, Need, partKinds, Step, Technique } from '../model/technique';
import type { ReadIngredient } from './ingredient';
import { wordsOf } from './order';
import type { ReadRecipe, ReadStep } from './read';

/** °C of an oven where nothing is said; and of one where there is none. */
const usualOven = 180;
const coolOven = 50;
/** Amounts of a technique are for one of so many. */
const usualServes = 4;
const longest = 7 * 86_400;

/** What a recipe is kept as: techniques in the order in which they go on the plate, the dish first. */
export function techniquesFrom(
	recipe: ReadRecipe,
	source: string,
	kitchen: Pick<Kitchen, 'stations' | 'vessels'>,
	ids: readonly string[]
): readonly Technique[] {
	const taken = new Set(ids);
	return partsOf(recipe.steps).map((steps, i): Technique => {
		const name = (i === 0 ? recipe.title : nameOfPart(steps, recipe)).slice(0, 80).trim() || 'A recipe';
		const base = slugOf(name).slice(0, 56) || 'recipe';
		let id = base;
		for (let n = 2; taken.has(id); n++) id = `${base}-${n}`;
		taken.add(id);
		return techniqueOf({ id, name, steps, recipe, source, kitchen, isDish: i === 0 });
	});
}

const isLate = (s: ReadStep) => s.kind === 'plate' || s.kind === 'finish';

/** Steps that hang together before all of it is served; the dish is what takes longest on the heat. */
function partsOf(steps: readonly ReadStep[]): readonly (readonly ReadStep[])[] {
	// What comes at the very end joins the parts, and is the dish's.
	const end = new Set<string>();
	for (const s of steps.toReversed())
		if (isLate(s) && steps.every((o) => end.has(o.id) || !o.after.includes(s.id))) end.add(s.id);
	const rest = steps.filter((s) => !end.has(s.id));
	if (rest.length === 0) return [steps];
	const group = new Map(rest.map((s) => [s.id, s.id]));
	const root = (id: string): string => {
		const up = group.get(id) ?? id;
		return up === id ? id : root(up);
	};
	for (const s of rest) for (const b of s.after) if (group.has(b)) group.set(root(s.id), root(b));
	const groups = [...new Set(rest.map((s) => root(s.id)))].map((r) => rest.filter((s) => root(s.id) === r));
	const weight = (g: readonly ReadStep[]) =>
		g.reduce(
			(sum, s) =>
				sum +
				(s.station === 'board' || s.station === 'none' || s.station === 'cold' ? 0.1 : 1) * (s.seconds?.[1] ?? 60),
			0
		);
	const ordered = groups.toSorted((a, b) => weight(b) - weight(a));
	const [dish = [], ...others] = ordered;
	// A single moment is no part: it belongs to the dish.
	const [small, apart] = [
		others.filter((g) => g.length < 2 && weight(g) < 600),
		others.filter((g) => g.length >= 2 || weight(g) >= 600)
	];
	const own = new Set([...dish, ...small.flat(), ...steps.filter((s) => end.has(s.id))].map((s) => s.id));
	return [steps.filter((s) => own.has(s.id)), ...apart];
}

const products =
	/\b(dressing|sauce|syrup|glaze|salsa|pesto|mash|salad|gravy|relish|vinaigrette|mayonnaise|custard|cream|rice|potatoes|pasta|noodles|vegetables|crumble|topping|slaw|yoghurt|yogurt|beans|lentils|barley|couscous|greens)\b/i;

function nameOfPart(steps: readonly ReadStep[], recipe: ReadRecipe): string {
	const text = steps.map((s) => s.text).join(' ');
	const inIt = recipe.ingredients.filter((i) => isIn(i, text));
	const sections = [...new Set(inIt.map((i) => i.section))].filter((s) => s !== null && s !== '');
	const [only] = sections;
	const named =
		sections.length === 1 && only
			? only.replace(/^(?:for|to make)\s+(?:the\s+|a\s+)?/i, '')
			: (products.exec(text)?.[1] ?? inIt[0]?.name ?? 'Beside it');
	return named.charAt(0).toUpperCase() + named.slice(1);
}

const isIn = ({ name }: ReadIngredient, text: string) => {
	const words = new Set(wordsOf(text));
	const last = wordsOf(name).at(-1);
	return last !== undefined && words.has(last);
};

interface Making {
	readonly id: string;
	readonly name: string;
	readonly steps: readonly ReadStep[];
	readonly recipe: ReadRecipe;
	readonly source: string;
	readonly kitchen: Pick<Kitchen, 'stations' | 'vessels'>;
	readonly isDish: boolean;
}

const kinds: Readonly<Record<ReadStep['kind'], Step['kind']>> = {
	prep: 'prep',
	mix: 'prep',
	drain: 'prep',
	heat: 'cook',
	sear: 'cook',
	fry: 'cook',
	simmer: 'cook',
	boil: 'cook',
	bake: 'cook',
	roast: 'cook',
	grill: 'cook',
	steam: 'cook',
	rest: 'rest',
	chill: 'chill',
	soak: 'soak',
	marinate: 'marinate',
	finish: 'finish',
	plate: 'finish'
};

function techniqueOf({ id, name, steps: read, recipe, source, kitchen, isDish }: Making): Technique {
	// What is plated is the planner's own.
	const kept = read.filter((s, i) => s.kind !== 'plate' || i === 0);
	const own = new Set(kept.map((s) => s.id));
	const waits = (s: ReadStep): readonly string[] =>
		s.after.flatMap((b) => (own.has(b) ? [b] : waits(read.find((x) => x.id === b) ?? { ...s, after: [] })));
	const steps = kept.map((s): Step => {
		const need = needOf(s, kitchen);
		return {
			id: s.id,
			say: sayOf(s.text),
			kind: kinds[s.kind],
			time: timeOf(s),
			...(need ? { need } : {}),
			...(s.heat === null ? {} : { heat: `${s.heat} heat` }),
			hands: handsOf(s),
			after: [...new Set(waits(s))].map((step) => ({ step, least: 0 })),
			...(s.sign === null ? {} : { sign: s.sign.slice(0, 160) })
		};
	});
	const last = lastOf(steps);
	const text = read.map((s) => s.text).join(' ');
	const inIt = recipe.ingredients.filter(
		(i) => isIn(i, text) || (isDish && !recipe.steps.some((s) => isIn(i, s.text)))
	);
	const used = new Set<string>();
	const list = inIt.flatMap((i): Ingredient[] => {
		const base = slugOf(i.name).slice(0, 50) || 'food';
		let ingredient = base;
		for (let n = 2; used.has(ingredient); n++) ingredient = `${base}-${n}`;
		used.add(ingredient);
		const amount = amountOf(i, recipe.serves);
		return amount === undefined
			? []
			: [
					{
						id: ingredient,
						name: i.name.slice(0, 80),
						...amount,
						step: kept.find((s) => isIn(i, s.text))?.id ?? kept[0]?.id ?? 's1',
						aisle: aisleOf(i.name),
						...allergensIn(i.name)
					}
				];
	});
	return {
		id,
		name,
		kind: kindOf(name, text, isDish),
		about: `Read from a recipe${recipe.title === '' || recipe.title === name ? '' : `: ${recipe.title}`}`.slice(0, 240),
		parameters: [],
		ingredients: list.slice(0, 30),
		steps,
		vessels: [...vesselsOf(kept, kitchen)],
		plate: { step: last, perPlate: 20, free: 180, rate: 1, most: 1800, keep: 'Covered, in a warm place' },
		recipe: { text: source.slice(0, 100_000) }
	};
}

/** The step that nothing waits for, the last of them. */
const lastOf = (steps: readonly Step[]) =>
	steps.findLast((s) => !steps.some((o) => o.after.some((a) => a.step === s.id)))?.id ?? steps.at(-1)?.id ?? 's1';

function sayOf(text: string): string {
	const plain = text
		.replace(/\s+/g, ' ')
		.replace(/[.\s]+$/, '')
		.trim();
	const short = plain.length <= 78 ? plain : `${plain.slice(0, 76).replace(/\s+\S*$/, '')} …`;
	const said = short.charAt(0).toUpperCase() + short.slice(1);
	return said === '' ? 'Go on' : said;
}

function timeOf({ seconds }: ReadStep): Step['time'] {
	const [low, middle, high] = seconds ?? [60, 120, 240];
	const clamp = (x: number) => Math.min(longest, Math.max(10, Math.round(x)));
	const usual = clamp(middle);
	return { shortest: Math.min(usual, clamp(low)), usual, longest: Math.max(usual, clamp(high)) };
}

/** Where it is done in this kitchen: what that lacks is done on the next best. */
function needOf({ station, celsius, text }: ReadStep, { stations }: Making['kitchen']): Need | undefined {
	const has = (kind: Kitchen['stations'][number]['kind']) => stations.some((s) => s.kind === kind);
	const ovens = stations.flatMap((s) => (s.kind === 'oven' ? [s] : []));
	// No hotter and no cooler than any oven here.
	const hottest = Math.max(...ovens.map((o) => o.highest - Math.max(0, o.offset ?? 0)), coolOven);
	const coolest = Math.min(...ovens.map((o) => o.lowest + Math.max(0, -(o.offset ?? 0))), hottest);
	const oven = (at: number): Need => ({ kind: 'oven', racks: 1, settings: [Math.min(hottest, Math.max(coolest, at))] });
	switch (station) {
		case 'board':
			return { kind: 'board' };
		case 'burner':
			return { kind: 'burner' };
		case 'oven':
			return oven(celsius ?? usualOven);
		case 'grill':
			if (has('grill') && !/\b(?:under|broil)/i.test(text)) return { kind: 'grill' };
			return ovens.some((o) => o.broiler === true)
				? { kind: 'broiler', racks: 1 }
				: ovens.length > 0
					? oven(240)
					: { kind: 'burner' };
		case 'fryer':
			return has('fryer') ? { kind: 'fryer', ...(celsius === null ? {} : { setting: celsius }) } : { kind: 'burner' };
		case 'water bath':
			return has('water bath') ? { kind: 'water bath', setting: Math.round(celsius ?? 60) } : { kind: 'burner' };
		case 'steamer':
			return has('steamer') ? { kind: 'steamer' } : { kind: 'burner' };
		case 'cold':
			return has('cold') ? { kind: 'cold' } : undefined;
		case 'none':
			return undefined;
	}
}

function handsOf({ hands, text, seconds }: ReadStep): Step['hands'] {
	if (hands === 'whole') return { kind: 'whole' };
	if (hands === 'none') return { kind: 'none' };
	const say = /\b(stir|turn|baste|toss|shake|flip|swirl|skim|check)/i.exec(text)?.[1] ?? 'look after';
	const word = say.charAt(0).toUpperCase() + say.slice(1).toLowerCase();
	const touch = { seconds: 15, say: word === 'Look after' ? 'Look and turn' : `${word} it` };
	const long = seconds?.[1] ?? 300;
	if (long > 900 && !/\b(?:once|halfway|half way)\b/i.test(text))
		return {
			kind: 'touches',
			at: [],
			every: { interval: Math.min(600, Math.max(120, Math.round(long / 4))), ...touch }
		};
	return { kind: 'touches', at: [{ share: 0.5, ...touch }] };
}

const panWords: readonly (readonly [RegExp, VesselKind])[] = [
	[/\b(?:frying pan|skillet|wok|saut[eé] pan|shallow pan|wide pan|griddle)\b/i, 'frying pan'],
	[/\b(?:saucepan|small pan|milk pan)\b/i, 'saucepan'],
	[/\b(?:pot|casserole|stockpot|large pan|big pan|pan of)\b/i, 'pot']
];

/** What stays on the heat from one step to the next stays in its pan; what is in the oven is on its tray or in its dish. */
function* vesselsOf(
	steps: readonly ReadStep[],
	{ vessels }: Making['kitchen']
): Generator<{ kind: VesselKind; from: string; to: string }> {
	const owned = (kind: VesselKind) => vessels.some((v) => v.kind === kind && v.count > 0);
	const first = (...wanted: readonly VesselKind[]) => wanted.find(owned);
	const seen = new Set<string>();
	for (const s of steps) {
		if (seen.has(s.id)) continue;
		if (s.station === 'oven') {
			const kind = /\b(?:dish|tin|gratin|loaf|casserole)\b/i.test(s.text)
				? first('dish', 'tray')
				: first('tray', 'dish');
			if (kind) yield { kind, from: s.id, to: s.id };
			continue;
		}
		if (s.station !== 'burner') continue;
		const chain = [s];
		for (;;) {
			const end = chain.at(-1) ?? s;
			const next = steps.find(
				(o) => o.station === 'burner' && o.after.includes(end.id) && !seen.has(o.id) && !chain.includes(o)
			);
			if (!next) break;
			chain.push(next);
		}
		for (const c of chain) seen.add(c.id);
		const text = chain.map((c) => c.text).join(' ');
		const isFried = chain.some((c) => c.kind === 'fry' || c.kind === 'sear');
		const said = panWords.find(([word]) => word.test(text))?.[1];
		const kind =
			said !== undefined && owned(said)
				? said
				: isFried
					? first('frying pan', 'saucepan', 'pot')
					: first('saucepan', 'pot', 'frying pan');
		if (kind) yield { kind, from: s.id, to: (chain.at(-1) ?? s).id };
	}
}

/** For one of four: in grams, millilitres or pieces; `undefined` where no amount is known. */
function amountOf(i: ReadIngredient, serves: ReadRecipe['serves']): Pick<Ingredient, 'unit' | 'each'> | undefined {
	const people = serves === null ? usualServes : typeof serves === 'number' ? serves : (serves[0] + serves[1]) / 2;
	const of = (amount: number) => Math.max(0.01, Number((amount / Math.max(1, Math.min(60, people))).toPrecision(3)));
	if (i.grams !== null && i.grams > 0) return { unit: 'g', each: of(i.grams) };
	if (!i.amount) return undefined;
	const middle = (i.amount[0] + i.amount[1]) / 2;
	const ml: Readonly<Record<string, number>> = {
		ml: 1,
		cl: 10,
		dl: 100,
		l: 1000,
		tsp: 5,
		tbsp: 15,
		cup: 240,
		pint: 568
	};
	const by = ml[i.unit ?? ''];
	return by === undefined ? { unit: 'pieces', each: of(middle) } : { unit: 'ml', each: of(middle * by) };
}

type Aisle = (typeof aisles)[number];
const aisleWords: readonly (readonly [RegExp, Aisle])[] = [
	[/\b(?:parsley|basil|coriander|cilantro|thyme|rosemary|mint|chives|dill|tarragon|sage|oregano|bay)\b/i, 'herbs'],
	[
		/\b(?:chicken|beef|pork|lamb|veal|duck|turkey|bacon|sausages?|mince|steaks?|chops?|ham|chorizo|pancetta|fish|cod|haddock|salmon|tuna|prawns?|mussels|clams|anchov|bass|trout|hake)/i,
		'meat and fish'
	],
	[
		/\b(?:milk|cream|butter|cheese|yogh?urt|eggs?|feta|parmesan|mozzarella|cheddar|ricotta|mascarpone|cr[eè]me)/i,
		'dairy and eggs'
	],
	[/\b(?:bread|buns?|baguette|tortillas?|pitta|naan|brioche|rolls?)\b/i, 'bread'],
	[
		/\b(?:onions?|garlic|carrots?|potato|tomato(?!.*(?:paste|pur|tin|sauce))|lemons?|limes?|leeks?|celery|peppers|courgettes?|zucchini|squash|beans|peas|spinach|kale|cabbage|lettuce|apples?|pears?|ginger|chill?i(?:es)?|mushrooms?|aubergines?|shallots?|fennel|broccoli|cucumber|radish|beetroot)/i,
		'vegetables and fruit'
	]
];
const aisleOf = (name: string): Aisle => aisleWords.find(([word]) => word.test(name))?.[1] ?? 'store cupboard';

const more: readonly (readonly [RegExp, Allergen])[] = [
	[
		/\b(?:flour|pasta|spaghetti|noodles|bread|breadcrumbs|couscous|barley|semolina|bulgur|beer|soy sauce|pastry|tortilla|buns?)\b/i,
		'gluten'
	],
	[
		/\b(?:milk|cream|butter|cheese|yogh?urt|feta|parmesan|mozzarella|cheddar|ricotta|mascarpone|buttermilk|cr[eè]me)/i,
		'milk'
	],
	[/\beggs?\b|\bmayonnaise\b/i, 'eggs'],
	[/\b(?:fish sauce|anchov\w*|cod|haddock|salmon|tuna|bass|trout|hake|mackerel)\b/i, 'fish'],
	[/\b(?:prawns?|shrimps?|crab|lobster|langoustines?|crayfish)\b/i, 'crustaceans'],
	[/\b(?:mussels?|clams?|oysters?|squid|octopus|scallops?|cockles?|oyster sauce)\b/i, 'molluscs'],
	[
		/\b(?:almonds?|walnuts?|hazelnuts?|pecans?|pistachios?|cashews?|macadamias?|brazil nuts?|praline|marzipan|nuts)\b/i,
		'nuts'
	],
	[/\bpeanuts?\b|\bsatay\b/i, 'peanuts'],
	[/\b(?:soya?|tofu|miso|tempeh|edamame|soy sauce|tamari)\b/i, 'soy'],
	[/\b(?:wine|cider|dried apricots)\b/i, 'sulphites'],
	[/\bmustard\b/i, 'mustard'],
	[/\bcelery\b|\bceleriac\b/i, 'celery'],
	[/\bsesame\b|\btahini\b/i, 'sesame']
];

const named = (word: string, text: string) =>
	new RegExp(`\\b${word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}\\b`, 'i').test(text);

/** By the table of foods, and by words. */
function allergensIn(name: string): Pick<Ingredient, 'allergens'> {
	const lower = name.toLowerCase();
	const found = new Set<Allergen>();
	for (const [food, { allergens: own = [], also = [] }] of ingredientRows) {
		const isIt = own.length > 0 && [food, ...also].some((word) => named(word, lower));
		if (isIt) for (const a of own) found.add(a);
	}
	for (const [word, allergen] of more) if (word.test(lower) && allAllergens.includes(allergen)) found.add(allergen);
	return found.size === 0 ? {} : { allergens: [...found] };
}

function kindOf(name: string, text: string, isDish: boolean): (typeof partKinds)[number] {
	if (/\b(?:sauce|dressing|gravy|salsa|pesto|vinaigrette|mayonnaise|syrup|relish|glaze)\b/i.test(name) && !isDish)
		return 'sauce';
	if (
		/\b(?:cake|pudding|tart|ice cream|meringue|crumble|brownies?|cookies?|biscuits|loaf cake|custard|mousse|sorbet)\b/i.test(
			name
		)
	)
		return 'dessert';
	if (/\b(?:bread|focaccia|rolls|flatbreads?|buns)\b/i.test(name)) return 'bread';
	if (
		/\b(?:chicken|beef|pork|lamb|veal|duck|turkey|sausages?|steaks?|chops?|fish|cod|haddock|salmon|tuna|prawns?|bass|trout|tofu)\b/i.test(
			`${name} ${isDish ? text : ''}`
		)
	)
		return 'protein';
	if (/\b(?:eggs?|omelette|frittata)\b/i.test(name)) return 'egg';
	if (/\b(?:rice|potatoes|pasta|noodles|mash|polenta|couscous|dauphinoise|chips)\b/i.test(name)) return 'starch';
	return 'side';
}
