// Times as they are computed, beside those that are written: where the food and its size are known.
import type { Kitchen } from '../model/kitchen';
import type { Technique } from '../model/technique';
import { spreadOf, timingOf } from '../timing/timing';
import { valuesFor } from '../timing/values';
import type { ReadRecipe, ReadStep } from './read';

/** A time that is computed for a step. */
export interface Compared {
	/** The step's id. */
	readonly step: string;
	/** What it was computed for: “900 g”, “25 mm”; and the technique that it is computed by, by its name. */
	readonly of: string;
	readonly by: string;
	/** The 10th, 50th and 90th hundredth, s. */
	readonly seconds: readonly [number, number, number];
	/** Whether the written time lies outside them. */
	readonly isOff: boolean;
}

type Size = 'thickness' | 'size' | 'weight' | 'egg';
interface Row {
	readonly food: RegExp;
	/** By what is done to it: the technique, and its step. */
	readonly ways: Partial<Readonly<Record<ReadStep['kind'], readonly [technique: string, step: string]>>>;
	/** What the list has to name for it to be that. */
	readonly of?: RegExp;
	/** The parameter that is its size, and where nothing is said of it, what is taken. */
	readonly by: Size;
	readonly usual?: number;
}

const oven = (technique: string, step = 'roast') => ({ roast: [technique, step], bake: [technique, step] }) as const;

/** A vegetable that is cut to a size: boiled, steamed, roasted. */
const cut = (food: RegExp, id: string, ways: readonly ('boil' | 'steam' | 'roast')[]): Row => ({
	food,
	by: 'size',
	ways: {
		...(ways.includes('boil') ? { boil: [`${id}-boil`, 'boil'], simmer: [`${id}-boil`, 'boil'] } : {}),
		...(ways.includes('steam') ? { steam: [`${id}-steam`, 'steam'] } : {}),
		...(ways.includes('roast') ? oven(`${id}-roast`) : {})
	}
});

/** The first that is named holds. */
const rows: readonly Row[] = [
	{
		food: /\bchops?\b/i,
		of: /\bpork\b/i,
		by: 'thickness',
		ways: { fry: ['pork-chop-pan', 'fry'], sear: ['pork-chop-pan', 'fry'] }
	},
	{
		food: /\bburgers?\b(?! buns?)|\bpatties\b/i,
		of: /\b(?:minced?|ground) (?:beef|lamb|pork|veal)|\b(?:beef|lamb|pork|veal) (?:mince|burgers?|patties)/i,
		by: 'thickness',
		ways: { fry: ['patties-pan', 'fry'], sear: ['patties-pan', 'fry'] }
	},
	{
		food: /\b(?:salmon)\b/i,
		by: 'thickness',
		ways: {
			fry: ['salmon-pan', 'fry'],
			sear: ['salmon-pan', 'fry'],
			...oven('fish-fillet-oven', 'bake'),
			steam: ['fish-fillet-steamed', 'steam']
		}
	},
	{
		food: /\b(?:cod|haddock|hake|bass|bream|trout|pollock|halibut|fish)\b(?! (?:sauce|stock|fingers?|cakes?))/i,
		by: 'thickness',
		ways: {
			fry: ['fish-fillet-pan', 'fry'],
			sear: ['fish-fillet-pan', 'fry'],
			...oven('fish-fillet-oven', 'bake'),
			steam: ['fish-fillet-steamed', 'steam'],
			simmer: ['fish-fillet-poached', 'poach']
		}
	},
	{ food: /\bduck breasts?\b/i, by: 'thickness', ways: oven('duck-breast') },
	{ food: /\b(?:chicken|turkey) breasts?\b/i, by: 'thickness', ways: { simmer: ['chicken-breast-poached', 'poach'] } },
	{ food: /\bchicken thighs?\b/i, by: 'thickness', ways: oven('chicken-thighs-roast') },
	{
		food: /\bchicken\b(?! (?:stock|broth|breasts?|thighs?|fillets?|legs?|drumsticks?|wings?|pieces|portions|livers?|mince|skin|fat))/i,
		by: 'weight',
		ways: oven('chicken-whole-roast')
	},
	{ food: /\bsausages?\b/i, by: 'thickness', ways: oven('sausages-oven') },
	{
		food: /(?<!(?:cauliflower|cabbage|celeriac|aubergine|tuna|swordfish|gammon|ham|pork|lamb) )\bsteaks?\b/i,
		of: /\b(?:beef|sirloin|rump|rib[- ]?eye|fillet|bavette|hanger|flank|onglet|entrec[oô]te|strip|t-bone) steaks?|(?<!(?:cauliflower|cabbage|celeriac|aubergine|tuna|swordfish|gammon|ham|pork|lamb) )\bsteaks?\b/i,
		by: 'thickness',
		ways: { fry: ['steak-pan', 'fry'], sear: ['steak-pan', 'fry'] }
	},
	{ food: /\bscallops\b/i, by: 'thickness', ways: { fry: ['scallops-pan', 'fry'], sear: ['scallops-pan', 'fry'] } },
	{
		food: /\beggs?\b(?! (?:whites?|yolks?|wash|noodles|pasta|fried))/i,
		by: 'egg',
		usual: 58,
		ways: { boil: ['boiled-eggs', 'boil'] }
	},
	cut(/\bsweet potato(?:es)?\b/i, 'sweet-potato', ['boil', 'steam', 'roast']),
	{
		food: /\bpotato(?:es)?\b/i,
		by: 'size',
		ways: { boil: ['potatoes-boiled', 'boil'], simmer: ['potatoes-boiled', 'boil'], ...oven('potato-wedges', 'bake') }
	},
	cut(/\bcarrots?\b/i, 'carrots', ['boil', 'steam', 'roast']),
	cut(/\bparsnips?\b/i, 'parsnips', ['roast']),
	cut(/\bbeet(?:root)?s?\b/i, 'beets', ['boil', 'roast']),
	cut(/\bsquash|\bpumpkin/i, 'squash', ['steam', 'roast']),
	cut(/\bceleriac\b/i, 'celeriac', ['steam', 'roast']),
	cut(/\bcauliflower\b/i, 'cauliflower', ['steam', 'roast']),
	cut(/\bbroccoli\b/i, 'broccoli', ['boil', 'steam']),
	cut(/\bfennel\b/i, 'fennel', ['roast']),
	cut(/\baubergines?|\beggplants?/i, 'aubergine', ['roast'])
];

const inMillimetres: Readonly<Record<string, number>> = {
	mm: 1,
	cm: 10,
	in: 25.4,
	inch: 25.4,
	inches: 25.4,
	'"': 25.4
};

/** Millimetres of food in a text: not of a tin, nor of how deep the water is. */
export function sizeIn(text: string): number | undefined {
	const size =
		/(\d+(?:[.,]\d+)?|½|¾|1½)\s*(?:-|–|to)?\s*(?:\d+(?:[.,]\d+)?)?\s*[- ]?(mm|cm|in(?:ch(?:es)?)?|")(?![a-z])([^.;]{0,24})/gi;
	const fractions: Readonly<Record<string, number>> = { '½': 0.5, '¾': 0.75, '1½': 1.5 };
	for (const [, number = '', unit = '', after = ''] of text.matchAll(size)) {
		if (
			/^[- ]*(?:×|x|tin|pan|dish|round|square|deep|of (?:water|oil)|from|above|apart|piece of|baking|cake)/i.test(after)
		)
			continue;
		const value = fractions[number] ?? Number(number.replace(',', '.'));
		const mm = value * (inMillimetres[unit.toLowerCase()] ?? 1);
		if (mm >= 3 && mm <= 150) return mm;
	}
	return undefined;
}

/** Grams of the bird, or the joint, that a step is about. */
function gramsOf({ ingredients }: ReadRecipe, food: RegExp): number | undefined {
	const [found] = ingredients.flatMap(({ name, grams, unit, amount }) =>
		grams !== null && food.test(name)
			? [{ grams, pieces: unit === 'piece' || unit === null ? (amount?.[0] ?? 1) : 1 }]
			: []
	);
	return found && found.grams / Math.max(1, found.pieces);
}

/**
 * What can be computed of a recipe's times.
 *
 * @param techniques by id, those that ship
 * @param answered millimetres that the cook has said, by step
 */
export function comparedTimes(
	recipe: ReadRecipe,
	techniques: ReadonlyMap<string, Technique>,
	kitchen: Pick<Kitchen, 'altitude' | 'stations'>,
	answered: Readonly<Record<string, number>> = {}
): readonly Compared[] {
	const byId = new Map(recipe.steps.map((s) => [s.id, s]));
	const before = (step: ReadStep, depth = 0): string =>
		depth > 12
			? ''
			: step.after
					.map((a) => byId.get(a))
					.map((s) => (s ? `${before(s, depth + 1)} ${s.text}` : ''))
					.join(' ');
	const isNamed = ({ of }: Row) => of === undefined || recipe.ingredients.some((i) => of.test(i.line));
	/** What is only browned is cooked elsewhere: in an oven afterwards, in a bath before. */
	const isAlone = (step: ReadStep) => {
		const chain = recipe.steps.filter((s) => s !== step && (comesBefore(s, step) || comesBefore(step, s)));
		return !chain.some((s) => elsewhere.has(s.kind));
	};
	const comesBefore = (a: ReadStep, b: ReadStep, depth = 0): boolean =>
		depth < 40 &&
		b.after.some((id) => {
			const s = byId.get(id);
			return s !== undefined && (s === a || comesBefore(a, s, depth + 1));
		});
	const lines = recipe.ingredients.map((i) => i.line).join('. ');
	return recipe.steps.flatMap((step): readonly Compared[] => {
		const inHand = before(step);
		// What the step names itself; else what was in hand before it.
		const row =
			rows.find((r) => r.food.test(step.text) && isNamed(r)) ??
			rows.find(
				(r) =>
					r.food.test(inHand) && isNamed(r) && r.ways[step.kind] && rows.every((o) => o === r || !o.food.test(inHand))
			);
		const way = row?.ways[step.kind];
		const technique = way && techniques.get(way[0]);
		const own = technique?.steps.find((s) => s.id === way?.[1]);
		if (!row || !technique || !own?.time.model) return [];
		if ((step.kind === 'fry' || step.kind === 'sear') && !isAlone(step)) return [];
		const line = recipe.ingredients.find((i) => row.food.test(i.name))?.line ?? '';
		const size =
			row.by === 'weight'
				? gramsOf(recipe, row.food)
				: row.by === 'egg'
					? row.usual
					: (answered[step.id] ??
						sizeIn(step.text) ??
						sizeIn(line) ??
						sizeNear(inHand, row.food) ??
						sizeNear(lines, row.food));
		const parameter = technique.parameters.find((p) => p.id === row.by || (row.by === 'thickness' && p.id === 'size'));
		if (size === undefined || !parameter) return [];
		// Beyond what the model was made for nothing is said.
		if (size < parameter.least || size > parameter.most) return [];
		const style = styleIn(technique, `${step.text} ${recipe.title}`);
		const settings = { [parameter.id]: size, ...style?.setting };
		const timing = timingOf(own, valuesFor(technique, settings, 4), at(step, kitchen));
		const { shortest, usual, longest } = spreadOf(timing);
		if (![shortest, usual, longest].every((s) => Number.isFinite(s) && s > 0)) return [];
		const seconds = [shortest, usual, longest].map(Math.round) as unknown as [number, number, number];
		const isOff = step.seconds !== null && (step.seconds[2] < seconds[0] || step.seconds[0] > seconds[2]);
		const much = row.by === 'weight' || row.by === 'egg' ? `${Math.round(size)} g` : `${Math.round(size)} mm`;
		const of = style === undefined ? much : `${much}, ${style.say}`;
		return [{ step: step.id, of, by: technique.name, seconds, isOff }];
	});
}

/** Steps that cook through. */
const elsewhere: ReadonlySet<ReadStep['kind']> = new Set<ReadStep['kind']>([
	'bake',
	'roast',
	'simmer',
	'boil',
	'steam',
	'grill'
]);

/** How it is wanted: as the words say, else as the technique has it. */
function styleIn(
	technique: Technique,
	text: string
): { readonly setting: Readonly<Record<string, number>>; readonly say: string } | undefined {
	const parameter = technique.parameters.find((p) => (p.id === 'peak' || p.id === 'yolk') && p.options !== undefined);
	const options = parameter?.options ?? [];
	if (!parameter) return undefined;
	const words = text.toLowerCase().replaceAll('-', ' ');
	const said = options
		.filter((o) => new RegExp(`\\b${o.say.split(',')[0]?.toLowerCase() ?? ''}\\b`).test(words))
		.toSorted((a, b) => b.say.length - a.say.length)[0];
	const one = said ?? options.find((o) => o.value === parameter.usual);
	return one && { setting: { [parameter.id]: one.value }, say: one.say };
}

/** A size in a sentence that names the food. */
function sizeNear(text: string, food: RegExp): number | undefined {
	for (const sentence of text.split(/(?<=[.;])\s/)) {
		const size = food.test(sentence) ? sizeIn(sentence) : undefined;
		if (size !== undefined) return size;
	}
	return undefined;
}

/** Where it would be done in this kitchen. */
function at({ station, celsius }: ReadStep, { altitude, stations }: Pick<Kitchen, 'altitude' | 'stations'>) {
	const burners = stations.flatMap((s) => (s.kind === 'burner' ? [s] : []));
	const best = burners.reduce<(typeof burners)[number] | undefined>(
		(a, b) => (a && a.power >= b.power ? a : b),
		undefined
	);
	const inOven = stations.find((s) => s.kind === 'oven');
	return {
		altitude,
		room: 20,
		...(best ? { best, power: best.power, fuel: best.fuel } : {}),
		...(station === 'oven' ? { setting: celsius ?? 180, hasFan: inOven?.kind === 'oven' && inOven.fan } : {})
	};
}
