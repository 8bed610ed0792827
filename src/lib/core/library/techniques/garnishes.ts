// Garnishes: pickles, crumbs, nuts, herbs, citrus, cheese.
import type { Technique } from '../../model/technique';
import {
	about,
	burner,
	cold,
	cuts,
	does,
	early,
	hotOil,
	none,
	oil,
	oven,
	plated,
	prepares,
	salt,
	takes,
	touches,
	vessels,
	whole
} from '../forms';

const pickles: Technique = {
	id: 'quick-pickles',
	name: 'Quick pickles',
	kind: 'garnish',
	makes: 'pickles',
	words: ['onion', 'cucumber', 'vinegar', 'sour'],
	about: 'Days ahead; better on the second day.',
	parameters: [],
	ingredients: takes(
		['red onion', 25, 'g', 'slice', 'v', { yields: 'onion' }],
		['vinegar', 20, 'ml', 'brine', 's', { grows: 0.8 }],
		['sugar', 5, 'g', 'brine', 's', { grows: 0.8 }],
		salt('brine')
	),
	steps: [
		cuts('slice', 'Slice the onions thin', 'slice onion', 0.025),
		does(
			'brine',
			'cook',
			'Boil the brine, pour it over',
			about(360, 0.2),
			touches([
				[0, 30, 'Brine on'],
				[1, 45, 'Pour over the onions']
			]),
			{ need: burner(), sign: 'Sugar and salt are gone; it boils.', heat: 'full', after: ['slice:3600'] }
		),
		does('steep', 'marinate', 'Let the pickles draw', { shortest: 3600, usual: 7200, longest: 86_400 }, none, {
			need: cold,
			after: ['brine:1800'],
			ahead: true
		})
	],
	vessels: vessels(['saucepan', 'brine', 'brine']),
	ahead: early('steep', 'quick pickles', 'in their brine, in the cold'),
	plate: { step: 'steep', perPlate: 5, free: 7200, rate: 1, most: 14_400, keep: 'in the brine' }
};

const crumbs: Technique = {
	id: 'fried-crumbs',
	name: 'Fried breadcrumbs',
	kind: 'garnish',
	makes: 'crumbs',
	words: ['crunch', 'pangrattato', 'bread'],
	parameters: [],
	ingredients: takes(['coarse breadcrumbs', 12, 'g', 'fry', 'b'], oil('fry', 5)),
	steps: [
		does('fry', 'cook', 'Fry the crumbs', about(300, 0.3), whole, {
			need: burner(),
			heat: 'medium',
			sign: 'Even gold, sounds dry.',
			cautions: ['Past gold it turns bitter within seconds.']
		})
	],
	vessels: vessels(['frying pan', 'fry', 'fry']),
	plate: { step: 'fry', perPlate: 4, free: 3600, rate: 1, most: 10_800, keep: 'on paper, uncovered' }
};

const nuts: Technique = {
	id: 'toasted-nuts',
	name: 'Toasted nuts',
	kind: 'garnish',
	makes: 'nuts',
	words: ['almonds', 'walnuts', 'seeds'],
	parameters: [],
	ingredients: takes(['whole almonds', 10, 'g', 'toast', 's']),
	steps: [
		does(
			'toast',
			'cook',
			'Toast the nuts in the oven',
			{ ...about(540), core: { start: 20, target: 140 } },
			touches([
				[0, 15, 'Nuts into the oven'],
				[0.6, 15, 'Shake'],
				[1, 30, 'Nuts out, onto the board']
			]),
			{ need: oven(170, 160, 180), sign: 'Smell of it; gold inside when you break one.' }
		),
		prepares('chop', 'Chop the nuts', 60, 0.5, { after: ['toast:7200'] })
	],
	vessels: vessels(['tray', 'toast', 'toast']),
	plate: { step: 'chop', perPlate: 4, free: 7200, rate: 1, most: 14_400, keep: 'in a jar' }
};

const friedHerbs: Technique = {
	id: 'fried-herbs',
	name: 'Fried herbs',
	kind: 'garnish',
	makes: 'fried herbs',
	words: ['sage', 'parsley', 'crisp'],
	parameters: [],
	ingredients: takes(['sage', 2, 'g', 'pick', 'h'], oil('fry', 20)),
	steps: [
		cuts('pick', 'Pick and dry the leaves', 'pick herbs', 0.001),
		does('fry', 'cook', 'Fry the leaves', about(150, 0.4), whole, {
			need: burner(),
			heat: 'medium-high, 1 cm of oil',
			after: ['pick:5400'],
			sign: 'The hissing stops; stiff, still green.',
			cautions: [hotOil]
		})
	],
	vessels: vessels(['frying pan', 'fry', 'fry']),
	plate: plated('fry', 3, 'fried herbs')
};

const cut = (
	id: string,
	name: string,
	makes: string,
	say: string,
	seconds: number,
	ingredients: Technique['ingredients'],
	words: string[]
): Technique => ({
	id,
	name,
	kind: 'garnish',
	makes,
	words,
	parameters: [],
	...(ingredients ? { ingredients } : {}),
	steps: [prepares('cut', say, seconds, 0.7)],
	vessels: [],
	plate: { step: 'cut', perPlate: 4, free: 1800, rate: 1, most: 7200, keep: 'under a damp cloth' }
});

const citrus = cut(
	'citrus-wedges',
	'Citrus wedges',
	'citrus',
	'Cut the citrus',
	120,
	takes(['lemon', 0.25, 'pieces', 'cut', 'v']),
	['lemon', 'lime']
);

const cheese = cut(
	'cheese-shavings',
	'Shaved hard cheese and flaky salt',
	'cheese',
	'Shave the cheese, set out the salt',
	120,
	takes(['hard cheese', 10, 'g', 'cut', 'd'], ['flaky salt', 0.5, 'g', 'cut', 's']),
	['cheese', 'salt', 'parmesan']
);

const freshHerbs: Technique = {
	...cut(
		'fresh-herbs',
		'Picked fresh herbs',
		'herbs',
		'Pick the herbs',
		60,
		takes(['soft herbs', 3, 'g', 'cut', 'h']),
		['chives', 'dill', 'parsley']
	),
	steps: [cuts('cut', 'Pick the herbs', 'pick herbs', 0.002)]
};

export const garnishes: readonly Technique[] = [pickles, crumbs, nuts, friedHerbs, citrus, cheese, freshHerbs];
