// A reading made into techniques that can be planned: what is made for itself is a part of its own, all else is the dish.
import type { Kitchen } from '../model/kitchen';
import { slugOf } from '../model/edit-meal';
import type { Need, partKinds, Step, Technique } from '../model/technique';
import { aheadOf, carefulWith, cautionsOf, isHot, longestWait } from './careful';
import type { ReadIngredient } from './ingredient';
import { timesIn } from './numbers';
import { vesselsOf } from './pans';
import type { ReadRecipe, ReadStep } from './read';
import { listed, takenBy } from './takes';

/** °C of an oven where nothing is said; and of one where there is none. */
const usualOven = 180;
const coolOven = 50;
/** K by which an oven with its fan on is set lower for the same. */
const byFan = 20;
const longest = 7 * 86_400;
/** As many ingredients as a technique holds. */
const mostListed = 60;
/** Handwork goes with the people it is for to the power of this (est.), from as many as a recipe is for. */
const handwork = 0.7;
const usualServes = 4;

/** What a recipe is kept as: techniques in the order in which they go on the plate, the dish first. */
export function techniquesFrom(
	recipe: ReadRecipe,
	source: string,
	kitchen: Pick<Kitchen, 'stations' | 'vessels'>,
	ids: readonly string[]
): readonly Technique[] {
	const names = new Set(ids);
	const parts = partsOf(recipe.steps);
	const taken = takenBy(recipe, parts);
	return parts.map((steps, i): Technique => {
		const own = taken[i] ?? [];
		const name = (i === 0 ? recipe.title : nameOfPart(steps, own)).slice(0, 80).trim() || 'A recipe';
		const base = slugOf(name).slice(0, 56) || 'recipe';
		let id = base;
		for (let n = 2; names.has(id); n++) id = `${base}-${n}`;
		names.add(id);
		return techniqueOf({ id, name, steps, own, recipe, source, kitchen, isDish: i === 0 });
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

function nameOfPart(steps: readonly ReadStep[], own: readonly ReadIngredient[]): string {
	const text = steps.map((s) => s.text).join(' ');
	const sections = [...new Set(own.map((i) => i.section))].filter((s) => s !== null && s !== '');
	const [only] = sections;
	const named =
		sections.length === 1 && only
			? only.replace(/^(?:for|to make)\s+(?:the\s+|a\s+)?/i, '')
			: (products.exec(text)?.[1] ?? own[0]?.name ?? 'Beside it');
	return named.charAt(0).toUpperCase() + named.slice(1);
}

interface Making {
	readonly id: string;
	readonly name: string;
	readonly steps: readonly ReadStep[];
	/** What of the recipe's list it takes. */
	readonly own: readonly ReadIngredient[];
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

function techniqueOf({ id, name, steps: read, own, recipe, source, kitchen, isDish }: Making): Technique {
	const kept = duringTheLast(withoutPlating(read));
	const careful = carefulWith(own, kept);
	const ahead = aheadOf(own, kept);
	const steps = kept.map((s): Step => {
		const need = needOf(s, kitchen);
		const heat = heatOf(s, need);
		return {
			id: s.id,
			say: sayOf(s.text),
			kind: kinds[s.kind],
			time: timeOf(s, recipe),
			...(need ? { need } : {}),
			...(heat === undefined ? {} : { heat }),
			hands: handsOf(s),
			after: s.after.map((step) => {
				const before = kept.find((b) => b.id === step);
				const most = before && longestWait(before, s, kept);
				return { step, least: 0, ...(most === undefined ? {} : { most }) };
			}),
			...(s.sign === null ? {} : { sign: s.sign.slice(0, 160) }),
			...cautionsOf(careful, s.id)
		};
	});
	const foods = own.map((i) => i.name).join(', ');
	return {
		id,
		name,
		kind: kindOf(name, foods, isDish),
		...(careful.raw === undefined ? {} : { raw: careful.raw }),
		about: aboutOf(name, recipe),
		parameters: [],
		ingredients: [...listed(own, kept, recipe)].slice(0, mostListed),
		steps,
		vessels: [...vesselsOf(kept, new Map(steps.map((s) => [s.id, s.need?.kind])), kitchen)],
		...(ahead ? { ahead } : {}),
		plate: { step: lastOf(steps), perPlate: 20, free: 180, rate: 1, most: 1800, keep: 'Covered, in a warm place' },
		recipe: { text: source.slice(0, 100_000) }
	};
}

/** All but what is plated, which is the planner's own: what came after that comes after what was before it. */
function withoutPlating(read: readonly ReadStep[]): readonly ReadStep[] {
	const kept = read.filter((s, i) => s.kind !== 'plate' || i === 0);
	const own = new Set(kept.map((s) => s.id));
	const waits = (after: readonly string[]): readonly string[] =>
		after.flatMap((b) => (own.has(b) ? [b] : waits(read.find((x) => x.id === b)?.after ?? [])));
	return kept.map((s) => ({ ...s, after: [...new Set(waits(s.after))] }));
}

/**
 * What goes in for the last of a time goes in before its end: “put the potatoes around the lamb for the last 50 minutes” is
 * the end of the roasting, with them.
 */
function duringTheLast(steps: readonly ReadStep[]): readonly ReadStep[] {
	const made = new Map(steps.map((s) => [s.id, s]));
	for (const s of steps) {
		const last = /\bfor the (?:last|final)\b/i.exec(s.text);
		const [time] = last ? timesIn(s.text.slice(last.index + last[0].length)) : [];
		const before = s.after.map((id) => made.get(id)).find((b) => b && isHot(b));
		if (!time || !before?.seconds || s.station !== 'board' || time.seconds[1] >= before.seconds[1]) continue;
		const [low, usual, high] = before.seconds;
		const rest = usual - time.seconds[1];
		const share = rest / usual;
		const { kind, station, heat, celsius, fan } = before;
		made.set(before.id, { ...before, seconds: [low * share, rest, high * share] });
		const on = { kind, station, heat, celsius, ...(fan === undefined ? {} : { fan }) };
		made.set(s.id, { ...s, ...on, seconds: time.seconds, hands: 'touches' });
	}
	return steps.map((s) => made.get(s.id) ?? s);
}

const aboutOf = (name: string, { title, serves }: ReadRecipe) => {
	const people = serves === null ? '' : `, for ${typeof serves === 'number' ? serves : serves.join('–')}`;
	const from = title === '' || title === name ? '' : `: ${title}`;
	return `Read from a recipe${from}${people}. For many more, see what fits into one pan or tray.`.slice(0, 240);
};

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

function timeOf({ seconds, kind, hands, text }: ReadStep, { serves }: ReadRecipe): Step['time'] {
	const [low, middle, high] = seconds ?? [60, 120, 240];
	const clamp = (x: number) => Math.min(longest, Math.max(10, Math.round(x)));
	const usual = clamp(middle);
	const at = serves === null ? usualServes : typeof serves === 'number' ? serves : (serves[0] + serves[1]) / 2;
	// A written time holds for as many as it was written for; more hands' work takes longer for more people.
	const isByHand = hands === 'whole' && (kind === 'prep' || kind === 'finish') && timesIn(text).length === 0;
	return {
		shortest: Math.min(usual, clamp(low)),
		usual,
		longest: Math.max(usual, clamp(high)),
		...(isByHand ? { scale: [{ by: 'covers', at: Math.max(1, at), exponent: handwork }] } : {})
	};
}

/** The heat in words; of an oven with a fan, what the recipe says without. */
function heatOf({ heat, celsius, fan }: ReadStep, need: Need | undefined): string | undefined {
	if (heat !== null) return `${heat} heat`;
	const [set] = need?.kind === 'oven' ? need.settings : [];
	if (set === undefined || celsius === null || set === celsius) return undefined;
	const isForFan = Math.abs(set - celsius) === byFan;
	return `the recipe says ${celsius} °C${isForFan ? `, ${fan === true ? 'with' : 'without'} the fan` : ''}`;
}

/** Where it is done in this kitchen: what that lacks is done on the next best. */
function needOf({ station, celsius, fan, text }: ReadStep, { stations }: Making['kitchen']): Need | undefined {
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
		case 'oven': {
			const hasFan = ovens.some((o) => o.fan);
			const asked = celsius ?? usualOven;
			return oven(fan === true ? (hasFan ? asked : asked + byFan) : hasFan ? asked - byFan : asked);
		}
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

function kindOf(name: string, foods: string, isDish: boolean): (typeof partKinds)[number] {
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
			`${name} ${isDish ? foods : ''}`
		)
	)
		return 'protein';
	if (/\b(?:eggs?|omelette|frittata)\b/i.test(name)) return 'egg';
	if (/\b(?:rice|potatoes|pasta|noodles|mash|polenta|couscous|dauphinoise|chips)\b/i.test(name)) return 'starch';
	return 'side';
}
