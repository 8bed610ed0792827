// Short forms for steps, times, hands, holds and parameters, so that techniques read like a recipe card.
import type { Allergen } from '../foods/allergens';
import { panFats } from '../foods/fats';
import { allergensIn } from '../foods/ingredients';
import { doneness, middleOf, type Style } from '../heat/doneness';
import { eggStyles } from '../heat/egg';
import { holdPrice, holds, type HoldKind } from '../heat/holding';
import { keeps, type Keeps } from '../safety/rules';
import type { Ingredient, Load, Need, Parameter, Step, Technique } from '../model/technique';
import type { knifeTasks, pieceTasks, Quantity, TimeModel } from '../model/time-model';

type Hands = Step['hands'];
type Time = Step['time'];

export const whole: Hands = { kind: 'whole' };
/** Stirred all the time, but for moments: long enough to lift something out. */
export const stirred: Hands = { kind: 'whole', leave: { after: 60, seconds: 30 } };
export const none: Hands = { kind: 'none' };

/**
 * Touches at shares of the step, as [share, seconds, words, seconds for each piece]; and one again and again, as [interval,
 * seconds, words, seconds for each piece]. What is `marked` is done where crossed marks are chosen.
 */
export function touches(
	at: readonly (readonly [share: Quantity, seconds: number, say: string, each?: number, marked?: 'marked'])[],
	every?: readonly [interval: Quantity, seconds: number, say: string, each?: number]
): Hands {
	const touch = (seconds: number, say: string, each?: number) => ({ seconds, say, ...(each ? { each } : {}) });
	const list = at.map(([share, seconds, say, each, marked]) => ({
		share,
		...touch(seconds, say, each),
		...(marked ? { when: { parameter: 'turns', is: [crossed] } } : {})
	}));
	if (!every) return { kind: 'touches', at: list };
	const [interval, seconds, say, each] = every;
	return { kind: 'touches', at: list, every: { interval, ...touch(seconds, say, each) } };
}

/** How a part holds and fades once it is ready: seconds free, price of each second after, the longest, how to keep it. */
export function held(kind: HoldKind): Pick<Technique['plate'], 'free' | 'rate' | 'most' | 'keep'> {
	return { ...holdPrice(holds[kind]), keep: holds[kind].keep };
}

/** On the plate after a step, so many seconds of hands each, fading as its kind does. */
export const plated = (step: string, perPlate: number, kind: HoldKind): Technique['plate'] => ({
	step,
	perPlate,
	...held(kind)
});

export const thickness: Parameter = { id: 'thickness', name: 'Thickness', unit: 'mm', least: 15, most: 55, usual: 30 };
export const egg: Parameter = { id: 'egg', name: 'Egg in its shell', unit: 'g', least: 45, most: 80, usual: 58 };
/** How many eggs each guest has, of the usual size. */
export const count = (usual: number, most = 4): Parameter => ({
	id: 'count',
	name: 'Eggs for each',
	unit: 'pieces',
	least: 1,
	most,
	usual
});
/** How cold it comes out of the fridge. */
export const start: Parameter = { id: 'start', name: 'Starts at', unit: '°C', least: 1, most: 24, usual: 5 };

export const size = (name: string, least: number, usual: number, most: number, id = 'size'): Parameter => ({
	id,
	name,
	unit: 'mm',
	least,
	usual,
	most
});
export const weight = (name: string, least: number, usual: number, most: number, id = 'weight'): Parameter => ({
	id,
	name,
	unit: 'g',
	least,
	usual,
	most
});
/** A school or a style, as [value, words]; the first is usual, for a reason. */
export function choice(
	id: string,
	name: string,
	why: string,
	options: readonly (readonly [value: number, say: string])[]
): Parameter {
	const values = options.map(([value]) => value);
	return {
		id,
		name,
		unit: 'choice',
		least: Math.min(...values),
		most: Math.max(...values),
		usual: values[0] ?? 0,
		why,
		options: options.map(([value, say]) => ({ value, say }))
	};
}

/** Core at its peak, by style of a kind of meat or fish; any temperature between may be set too. */
export function styles(of: keyof typeof doneness, usual: string): Parameter {
	const rows: readonly Style[] = doneness[of];
	return {
		id: 'peak',
		name: 'Doneness',
		unit: '°C',
		least: Math.min(...rows.map((r) => r.from)),
		most: Math.max(...rows.map((r) => r.to)),
		usual: middleOf(rows.find((r) => r.id === usual) ?? rows[0] ?? { id: '', say: '', from: 60, to: 60 }),
		options: rows.map((r) => ({ value: middleOf(r), say: r.say }))
	};
}
/** Yolk of an egg in its shell: the temperature at its edge. */
export const yolk: Parameter = {
	id: 'yolk',
	name: 'Yolk',
	unit: '°C',
	least: 60,
	most: 88,
	usual: eggStyles.jammy.yolkEdge,
	options: Object.values(eggStyles).map(({ yolkEdge, say }) => ({ value: yolkEdge, say }))
};
/** How firm an egg is, as a share of the usual time. */
export const firm = choice('firm', 'How firm', 'as most guests take it', [
	[1, 'as usual'],
	[0.85, 'softer'],
	[1.25, 'firmer']
]);
export const softness = choice('soft', 'How soft', 'tender keeps its shape', [
	[1, 'tender'],
	[0.5, 'with a bite'],
	[2, 'soft']
]);
export const turning = choice('turns', 'Turning', 'often cooks faster and more evenly; once is for marks', [
	[45, 'often'],
	[0, 'once']
]);
/** The fat for the pan, by its place among the fats of the time models. */
export const fat = choice(
	'fat',
	'Fat',
	'neutral and high: it smokes later than the pan gets hot',
	panFats.map((name, i) => [i, name] as const)
);
/** Where bars are wanted: turned a quarter on each face, they cross. */
const crossed = 1;
export const marking = (often: number, usual: number): Parameter => ({
	...turning,
	usual,
	most: often,
	options: [
		{ value: often, say: 'often' },
		{ value: 0, say: 'once: straight marks' },
		{ value: crossed, say: 'quarter turns: crossed marks' }
	]
});
/** A quarter turn on each face, where crossed marks are chosen. */
export const quarterTurns = (what: string) =>
	[
		[0.25, 4, `${what} a quarter turn, the same face down`, 3, 'marked'],
		[0.75, 4, `${what} a quarter turn, this face down`, 3, 'marked']
	] as const;
export const resting = choice('cover', 'Rest', 'uncovered keeps the crust; tented keeps the warmth', [
	[0, 'uncovered'],
	[1, 'tented'],
	[2, 'wrapped in foil']
]);

const by = (id: string, times: number, plus = 0) => ({ by: id, times, plus });
/** Quantities of time models: so much for each person; millimetres and grams as metres and kilograms. */
export const each = (amount: number, plus = 0) => by('covers', amount, plus);
/** So much for each egg of each guest. */
export const eachEgg = (amount: number, plus = 0) => ({ ...by('covers', amount, plus), also: ['count'] });
/** So much with each egg, for one guest. */
export const perEgg = (amount: number) => by('count', amount);
/** Grams of an egg that counts for one: of small ones it takes more. */
const usualEgg = 58;
/** As many of those there are as weigh what so many usual ones do: for each guest, or for all. */
export const eggsBySize = { ...by('count', usualEgg), per: 'egg' };
export const allEggsBySize = { ...eachEgg(usualEgg), per: 'egg' };
export const metres = (id: string, times = 1) => by(id, 0.001 * times);
export const kilograms = (id: string) => by(id, 0.001);
export const degrees = (id: string, plus = 0) => by(id, 1, plus);
export const share = (id: string) => by(id, 1);

/** A starting estimate that the record will correct, seconds; goes with the people to a power, where there is one. */
export function about(usual: number, people = 0, spread: readonly [number, number] = [0.75, 1.4]): Time {
	return {
		shortest: Math.round(usual * spread[0]),
		usual,
		longest: Math.round(usual * spread[1]),
		...(people === 0 ? {} : { scale: [{ by: 'covers', at: 4, exponent: people }] })
	};
}
export const computed = (model: TimeModel): Time => ({ model });

/** Steps that end before, as "step" or "step:most", where `most` is the longest wait between, seconds. */
function parseAfter(after: string): Step['after'][number] {
	const [step = '', most] = after.split(':');
	return { step, least: 0, ...(most === undefined ? {} : { most: Number(most) }) };
}

type More = Partial<Pick<Step, 'need' | 'load' | 'together' | 'heat' | 'sign' | 'cautions' | 'when' | 'ahead'>> & {
	readonly after?: readonly string[];
};

export function does(
	id: string,
	kind: Step['kind'],
	say: string,
	time: Time,
	hands: Hands,
	{ after = [], ...more }: More = {}
): Step {
	return { id, say, kind, time, hands, ...more, after: after.map(parseAfter) };
}

/** A number is so much for each. */
const ofEach = (each: number | Quantity): Quantity => (typeof each === 'number' ? by('covers', each) : each);

const board: Need = { kind: 'board' };
/** Knife work on so many kilograms for each. */
export const cuts = (id: string, say: string, task: (typeof knifeTasks)[number], each: number, more: More = {}): Step =>
	does(id, 'prep', say, computed({ kind: 'knife', task, kilograms: by('covers', each) }), whole, {
		need: board,
		...more
	});
/** So many small jobs for each. */
export const handles = (
	id: string,
	say: string,
	task: (typeof pieceTasks)[number],
	each: number | Quantity,
	more: More = {}
): Step =>
	does(id, 'prep', say, computed({ kind: 'pieces', task, pieces: ofEach(each) }), whole, {
		need: board,
		...more
	});
/** After raw food board and knife are washed, and hands: in the time of the step (est.). */
const washing = 90;
const withWash = (time: Time, cautions: readonly string[] = []): Time =>
	time.usual !== undefined && cautions.some((c) => c.startsWith('Raw '))
		? {
				...time,
				shortest: (time.shortest ?? time.usual) + washing / 2,
				usual: time.usual + washing,
				longest: (time.longest ?? time.usual) + 1.5 * washing
			}
		: time;
/** Handwork on the board, by estimate: seconds for four; washing up after raw food is in it. */
export const prepares = (id: string, say: string, usual: number, people: number, more: More = {}): Step =>
	does(id, 'prep', say, withWash(about(usual, people), more.cautions), whole, { need: board, ...more });
export const finishes = (id: string, say: string, usual: number, people: number, more: More = {}): Step =>
	does(id, 'finish', say, about(usual, people), whole, { need: board, ...more });
/** What its rest has to make good is looked at after the rest. */
export const checks = (what: string, after = 'rest'): Step =>
	does('check', 'check', `Probe the ${what} once more`, about(30), whole, {
		after: [`${after}:60`],
		sign: 'At least {peak} in the thickest part, else back into the heat.'
	});
/** Water from the tap to the boil: litres for each, and more. */
export const boils = (id: string, what: string, litres: number | Quantity, plus = 0, more: More = {}): Step =>
	does(
		id,
		'preheat',
		`Start the water for ${what}`,
		computed({ kind: 'boil', litres: typeof litres === 'number' ? by('covers', litres, plus) : litres, start: 12 }),
		touches([[0, 30, `Water on for ${what}, lid on`]]),
		{ need: burner(), heat: 'full, lid on', sign: 'Rolling all over, not only at the rim.', ...more }
	);
/** An empty pan to its heat. */
export const heats = (id: string, what: string, to: number, more: More = {}): Step =>
	does(
		id,
		'preheat',
		`Heat the pan for ${what}`,
		computed({ kind: 'hot-pan', to, fat: by('fat', 1) }),
		touches([[0, 15, `Pan on for ${what}`]]),
		{
			need: burner(),
			heat: 'high',
			sign: to >= 200 ? 'Oil shimmers and runs like water; the first wisp of smoke.' : 'A drop of water dances.',
			cautions: ['Fan on, window open before it smokes; never disable a smoke alarm.'],
			...more
		}
	);

export const burner = (leastPower?: number): Need => ({
	kind: 'burner',
	...(leastPower === undefined ? {} : { leastPower })
});
export const oven = (...settings: number[]): Need => ({ kind: 'oven', racks: 1, settings });
export const cold: Need = { kind: 'cold' };
export const onBoard = board;

/** Pieces on a tray or in a pan: so many for each, round, or length by width. */
export const laid = (
	on: Extract<Load, { sort: unknown }>['on'],
	pieces: Quantity,
	length: Quantity,
	width: Quantity | undefined,
	sort: 'vegetables' | 'pieces'
): Load => ({ on, pieces, length, ...(width === undefined ? {} : { width }), sort });

export type IngredientRow = readonly [
	name: string,
	each: Quantity,
	unit: Ingredient['unit'],
	step: string,
	aisle: 'm' | 'd' | 'v' | 'h' | 'b' | 's',
	more?: Partial<Pick<Ingredient, 'yields' | 'grows' | 'first' | 'when' | 'whole' | 'across'>>
];
const aisleOf = {
	m: 'meat and fish',
	d: 'dairy and eggs',
	v: 'vegetables and fruit',
	h: 'herbs',
	b: 'bread',
	s: 'store cupboard'
} as const;

/** Ingredients as rows: what, how much for each, its unit, the step that uses it, where it is bought. */
export function takes(...rows: readonly IngredientRow[]): Ingredient[] {
	return rows.map(([name, amount, unit, step, aisle, more = {}]) => ({
		id: `${name} ${step}`.toLowerCase().replaceAll(' ', '-'),
		name,
		unit,
		each: amount,
		step,
		aisle: aisleOf[aisle],
		...more,
		...listed(allergensIn(name))
	}));
}
const listed = (tags: readonly Allergen[]) => (tags.length === 0 ? {} : { allergens: [...tags] });

/** Salt, oil and the like. */
export const salt = (step: string): IngredientRow => ['fine salt', 1.5, 'g', step, 's', { first: 0.6 }];
/** Salt of the water, 9 g to a litre: litres for each of four. */
export const salted = (step: string, litres: number): IngredientRow => [
	'coarse salt',
	Math.round(90 * litres) / 10,
	'g',
	step,
	's',
	{ grows: 0.9 }
];
export const oil = (step: string, ml = 6): IngredientRow => ['vegetable oil', ml, 'ml', step, 's', { grows: 0.7 }];
export const butter = (step: string, grams = 8): IngredientRow => ['butter', grams, 'g', step, 'd'];

/** Vessels as [kind, from, to]. */
export const vessels = (
	...rows: readonly (readonly [kind: Technique['vessels'][number]['kind'], from: string, to: string])[]
): Technique['vessels'] => rows.map(([kind, from, to]) => ({ kind, from, to }));

/** What can be done before, up to a step: kept as long as the agencies' table says (its shorter time). */
export function early(
	last: string,
	row: Keeps,
	how: string,
	/** Kilograms of each that are heated again, and whether they are thick; absent: it goes on cooking, or is eaten cold. */
	again?: readonly [kilograms: number, isThick?: boolean]
): NonNullable<Technique['ahead']> {
	const [days] = keeps[row];
	const reheat = again && { kilograms: by('covers', again[0]), ...(again[1] === true ? { isThick: true } : {}) };
	return {
		last,
		keeps: days * 86_400,
		source: `${row}: USDA/FMI storage guide, at 4 °C`,
		how,
		...(reheat ? { reheat } : {})
	};
}

export { hotOil, rawMeat, rawPoultry } from '../safety/cautions';
export const steamBurns = 'Steam burns: lift the lid away from you.';
export const softEggs = 'Soft eggs are not for pregnant, very young, old or ill guests; local rules decide.';
export const outOfCold = 'Not longer than an hour out of the cold.';
