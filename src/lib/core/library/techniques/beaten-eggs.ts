// Beaten eggs: scrambled, folded, omelettes, in the pan and in the oven.
import type { Step, Technique } from '../../model/technique';
import { eggs, way } from './eggs-in-the-shell';
import {
	about,
	burner,
	allEggsBySize,
	choice,
	computed,
	count,
	does,
	each,
	eachEgg,
	egg,
	eggsBySize,
	fat,
	firm,
	handles,
	heats,
	laid,
	none,
	oil,
	oven,
	perEgg,
	plated,
	prepares,
	salt,
	stirred,
	takes,
	touches,
	type IngredientRow,
	vessels,
	whole,
	metres
} from '../forms';

/** The eggs for all, broken and beaten. */
const breaks = (id: string, say: string): Step => handles(id, say, 'break an egg', allEggsBySize);

const salting = choice('salt', 'Salt', 'in the beaten eggs it is even, and they stay tender', [
	[0, 'before'],
	[1, 'at the end']
]);

const dairy = choice('dairy', 'Milk or cream', 'optional', [
	[0, 'none'],
	[1, 'half a tablespoon of milk an egg'],
	[2, 'half a tablespoon of cream an egg, at the end']
]);

/** Grams of the eggs for one guest against those for which a way's time is known, as those of a single egg. */
const ofThree = { by: 'count', times: 0.058 / 3, plus: 0 };
const ofTwo = { by: 'count', times: 0.058 / 2, plus: 0 };

/** Salt into the beaten eggs, or over them when they are done. */
const eggSalt = (beaten: string, done: string): IngredientRow[] => {
	const rows = [
		[beaten, 0],
		[done, 1]
	] as const;
	return rows.map(([step, at]) => [
		'fine salt',
		1.5,
		'g',
		step,
		's',
		{ first: 0.6, when: { parameter: 'salt', is: [at] } }
	]);
};

const scrambled = (id: string, name: string, isSlow: boolean): Technique => ({
	id,
	name,
	kind: 'egg',
	makes: 'scrambled eggs',
	words: ['soft', 'creamy', isSlow ? 'stirred' : 'quick'],
	about: isSlow
		? 'Fine as custard; a quarter of an hour of stirring.'
		: 'The usual way: soft, on carryover; off while still wet.',
	parameters: [count(2), egg, firm, salting, dairy],
	ingredients: [
		...eggs('beat', eggsBySize),
		...takes(
			...eggSalt('beat', 'cook'),
			['butter', perEgg(4), 'g', 'cook', 'd'],
			['milk', perEgg(7), 'ml', 'beat', 'd', { when: { parameter: 'dairy', is: [1] } }],
			['cream', perEgg(7), 'ml', 'cook', 'd', { when: { parameter: 'dairy', is: [2] } }]
		)
	],
	steps: [
		breaks('beat', 'Break and beat the eggs'),
		does(
			'cook',
			'cook',
			isSlow ? 'Stir the eggs slowly' : 'Scramble the eggs',
			way(isSlow ? 'scrambled slow' : 'scrambled fast', isSlow ? {} : { together: allEggsBySize }),
			isSlow ? stirred : whole,
			{
				need: burner(),
				...(isSlow ? {} : { load: laid('pan', eachEgg(1), 0.0675, undefined, 'pieces') }),
				heat: isSlow ? 'very low' : 'medium',
				after: ['beat:1800'],
				sign: 'Still wetter than you want it: it sets on.'
			}
		)
	],
	vessels: vessels([isSlow ? 'saucepan' : 'frying pan', 'cook', 'cook']),
	plate: plated('cook', 7, 'soft egg')
});

const scrambledSoft = scrambled('scrambled-eggs', 'Scrambled eggs, fast and soft', false);

const scrambledSlow = scrambled('scrambled-eggs-slow', 'Scrambled eggs, slow and stirred', true);

const cheese: IngredientRow = ['grated hard cheese', 20, 'g', 'filling', 'd'];

const omelette = (id: string, name: string, isBrown: boolean, about_: string): Technique => ({
	id,
	name,
	kind: 'egg',
	makes: 'omelette',
	words: ['folded', 'rolled', 'filled'],
	about: about_,
	parameters: [count(3), egg, firm, salting, fat],
	ingredients: [
		...eggs('beat', eggsBySize),
		...takes(...eggSalt('beat', 'fold'), ['butter', perEgg(2.7), 'g', 'fold', 'd'], ...(isBrown ? [cheese] : []))
	],
	steps: [
		breaks('beat', 'Break and beat the eggs'),
		prepares('filling', isBrown ? 'Set out the filling' : 'Set out butter, herbs and warm plates', 120, 0.4),
		heats('hot', 'the omelettes', isBrown ? 180 : 150),
		does(
			'fold',
			'cook',
			isBrown ? 'Brown and fill the omelettes, one by one' : 'Roll the omelettes, one by one',
			way(isBrown ? 'omelette brown' : 'omelette pale', { count: each(1.3), kilograms: ofThree }),
			// From one to the next there is a moment.
			stirred,
			{
				need: burner(1200),
				heat: isBrown ? 'medium-high' : 'medium',
				after: ['hot:60', 'beat:1800', 'filling'],
				sign: isBrown ? 'Gold beneath, just set on top.' : 'No colour; the inside still runs a little.'
			}
		)
	],
	vessels: vessels(['frying pan', 'hot', 'fold']),
	plate: plated('fold', 7, 'soft egg')
});

const omelettePale = omelette(
	'omelette-pale',
	'Omelette, rolled and pale',
	false,
	'Soft inside; everything ready before the pan is hot.'
);

const omeletteBrown = omelette(
	'omelette-brown',
	'Omelette, browned and filled',
	true,
	'Takes a filling; everything ready before the pan is hot.'
);

const folded: Technique = {
	id: 'folded-eggs',
	name: 'Folded eggs',
	kind: 'egg',
	makes: 'scrambled eggs',
	words: ['sheet', 'sandwich'],
	about: 'In sheets for a roll: pushed from the rim, folded over twice.',
	parameters: [count(2), egg, firm, salting],
	ingredients: [
		...eggs('beat', eggsBySize),
		...takes(...eggSalt('beat', 'cook'), ['butter', perEgg(3), 'g', 'cook', 'd'])
	],
	steps: [
		breaks('beat', 'Break and beat the eggs'),
		does('cook', 'cook', 'Fold the eggs', way('omelette brown', { kilograms: ofTwo }), whole, {
			need: burner(),
			heat: 'medium',
			after: ['beat:1800'],
			sign: 'Set beneath, wet on top: fold.'
		})
	],
	vessels: vessels(['frying pan', 'cook', 'cook']),
	plate: plated('cook', 7, 'soft egg')
};

const friedPan: Technique = {
	id: 'omelette-oven',
	name: 'Baked omelette with vegetables',
	kind: 'egg',
	makes: 'omelette',
	words: ['frittata', 'tortilla', 'thick'],
	about: 'For all at once, cut like a cake; warm or cold.',
	parameters: [
		{ id: 'depth', name: 'Depth in the dish', unit: 'mm', least: 15, most: 60, usual: 30 },
		count(2, 3),
		egg
	],
	ingredients: [
		...eggs('mix', eggsBySize),
		...takes(
			['onion', perEgg(20), 'g', 'mix', 'v', { yields: 'onion' }],
			['cooked potatoes', perEgg(30), 'g', 'mix', 'v'],
			salt('mix'),
			oil('mix')
		)
	],
	steps: [
		prepares('mix', 'Cut vegetables and cooked potatoes, beat the eggs', 480, 0.7),
		does(
			'bake',
			'cook',
			'Bake the omelette',
			computed({
				kind: 'bake',
				food: 'gratin',
				depth: { by: 'depth', times: 0.001, plus: 0 },
				start: 18,
				core: 75,
				dose: 0
			}),
			touches([
				[0, 30, 'Dish into the oven'],
				[1, 30, 'Knife in: out when it comes clean']
			]),
			{
				need: oven(170, 160, 180, 190),
				load: { on: 'dish', litres: eachEgg(0.1), depth: metres('depth') },
				after: ['mix:1800'],
				sign: 'Set in the middle, 75 °C; just gold.'
			}
		),
		does('rest', 'rest', 'Let the omelette settle', about(300), none, { after: ['bake:0'] })
	],
	vessels: vessels(['dish', 'mix', 'rest']),
	plate: plated('rest', 8, 'mash, braise, gratin')
};

export const beatenEggs: readonly Technique[] = [
	scrambledSoft,
	scrambledSlow,
	folded,
	omelettePale,
	omeletteBrown,
	friedPan
];
