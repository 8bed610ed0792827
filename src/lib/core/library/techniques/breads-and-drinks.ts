// Breads, the make-your-own table, and hot drinks.
import type { Technique } from '../../model/technique';
import {
	about,
	boils,
	burner,
	butter,
	cold,
	computed,
	does,
	each,
	early,
	fat,
	finishes,
	heats,
	held,
	none,
	laid,
	onBoard,
	oven,
	plated,
	prepares,
	salt,
	takes,
	touches,
	vessels,
	whole
} from '../forms';

const ovenToast: Technique = {
	id: 'oven-toast',
	name: 'Toast from the oven',
	kind: 'bread',
	parameters: [],
	ingredients: takes(['white loaf', 60, 'g', 'slice', 'b'], butter('toast', 8)),
	steps: [
		{
			id: 'slice',
			say: 'Slice the loaf',
			kind: 'prep',
			time: { shortest: 60, usual: 90, longest: 150, scale: [{ by: 'covers', at: 4, exponent: 0.8 }] },
			need: { kind: 'board' },
			hands: whole,
			after: []
		},
		{
			id: 'toast',
			say: 'Toast the bread in the oven',
			kind: 'cook',
			time: { shortest: 300, usual: 360, longest: 480, core: { start: 20, target: 100 } },
			need: { kind: 'oven', racks: 1, settings: [200, 180, 220] },
			load: laid('tray', each(2), 0.11, 0.1, 'pieces'),
			hands: touches([
				[0, 15, 'Bread onto the rack'],
				[0.5, 30, 'Turn the slices'],
				[1, 30, 'Toast out, butter it']
			]),
			after: [{ step: 'slice', least: 0, most: 3600 }],
			sign: 'Gold at the rim, still soft in the middle.'
		}
	],
	vessels: [],
	plate: { step: 'toast', perPlate: 5, ...held('toast'), keep: 'standing, not stacked' }
};

const filterCoffee: Technique = {
	id: 'filter-coffee',
	name: 'Filter coffee',
	kind: 'drink',
	parameters: [],
	ingredients: takes(['coffee', 15, 'g', 'grind', 's']),
	steps: [
		{
			id: 'grind',
			say: 'Grind the coffee, rinse the filter',
			kind: 'prep',
			time: { shortest: 60, usual: 90, longest: 150, scale: [{ by: 'covers', at: 4, exponent: 0.3 }] },
			hands: whole,
			after: []
		},
		{
			id: 'water',
			say: 'Boil the water for the coffee',
			kind: 'preheat',
			time: {
				model: { kind: 'boil', litres: each(0.25), start: 12 }
			},
			need: { kind: 'burner' },
			heat: 'full, lid on',
			hands: touches([[0, 30, 'Water on for the coffee']]),
			after: []
		},
		{
			id: 'pour',
			say: 'Pour the coffee in circles',
			kind: 'cook',
			time: { shortest: 210, usual: 240, longest: 300 },
			hands: touches(
				[
					[0, 30, 'Wet the grounds'],
					[1, 15, 'Lift off the filter']
				],
				[75, 15, 'Pour the coffee']
			),
			after: [
				{ step: 'grind', least: 0, most: 900 },
				{ step: 'water', least: 0, most: 90 }
			],
			sign: 'The bed has sunk and shines; drips, no stream.',
			cautions: ['Boiling water: pour low and away from you.']
		}
	],
	vessels: [{ kind: 'saucepan', from: 'water', to: 'pour' }],
	plate: plated('pour', 7, 'hot drink')
};

const flatbreadWarm: Technique = {
	id: 'flatbread-warmed',
	name: 'Flatbread, warmed and wrapped',
	kind: 'bread',
	makes: 'flatbread',
	words: ['pita', 'naan', 'wrap'],
	parameters: [],
	ingredients: takes(['flatbread', 1, 'pieces', 'warm', 'b']),
	steps: [
		does(
			'warm',
			'cook',
			'Warm the flatbread in the oven',
			{ ...about(420), core: { start: 20, target: 80 } },
			touches([
				[0, 30, 'Bread, wrapped, into the oven'],
				[1, 30, 'Bread out, into a cloth']
			]),
			{ need: oven(170, 150, 160, 180, 190, 200), sign: 'Soft and steaming.' }
		)
	],
	vessels: vessels(['tray', 'warm', 'warm']),
	plate: plated('warm', 5, 'flatbread')
};

const flatbreadPan: Technique = {
	id: 'flatbread-pan',
	name: 'Flatbread, rolled and baked in the pan',
	kind: 'bread',
	makes: 'flatbread',
	words: ['pita', 'naan', 'dough', 'fresh'],
	parameters: [fat],
	ingredients: takes(['plain flour', 70, 'g', 'knead', 's'], ['yogurt', 35, 'g', 'knead', 'd'], salt('knead')),
	steps: [
		prepares('knead', 'Mix and knead the dough', 480, 0.3),
		does('prove', 'rest', 'Rest the dough', about(1800), none, { after: ['knead:600'] }),
		prepares('roll', 'Roll the flatbreads', 240, 1, { after: ['prove:7200'] }),
		heats('hot', 'the flatbreads', 230),
		does(
			'bake',
			'cook',
			'Bake the flatbreads one by one',
			{ shortest: 420, usual: 560, longest: 760, scale: [{ by: 'covers', at: 4, exponent: 1 }] },
			touches(
				[
					[0, 30, 'First bread in'],
					[1, 20, 'Into the cloth']
				],
				[70, 15, 'Turn, or the next one']
			),
			{
				need: burner(1500),
				heat: 'high, dry',
				after: ['hot:60', 'roll:1200'],
				sign: 'Blisters, brown spots, no raw edge.'
			}
		)
	],
	vessels: vessels(['frying pan', 'hot', 'bake']),
	ahead: early('prove', 'dough', 'oiled, covered, in the cold'),
	plate: plated('bake', 5, 'flatbread')
};

const flatbreadFire: Technique = {
	...flatbreadPan,
	id: 'flatbread-wood-oven',
	name: 'Flatbread, from the wood oven',
	parameters: [],
	words: ['pizza', 'fire', 'wood'],
	steps: [
		...flatbreadPan.steps.filter((s) => s.id !== 'hot' && s.id !== 'bake'),
		does(
			'bake',
			'cook',
			'Bake the flatbreads in the fire',
			{ shortest: 240, usual: 360, longest: 540, scale: [{ by: 'covers', at: 4, exponent: 0.8 }] },
			whole,
			{
				need: { kind: 'wood oven', between: [300, 450] },
				after: ['roll:1200'],
				sign: 'Blistered, dark spots beneath.',
				cautions: ['Live fire: gloves and reach; carbon monoxide: outdoors or under a hood.']
			}
		)
	],
	vessels: []
};

const garlicBread: Technique = {
	id: 'garlic-bread',
	name: 'Garlic bread, under the heat from above',
	kind: 'bread',
	makes: 'toast',
	words: ['toast', 'broiled', 'butter'],
	parameters: [],
	ingredients: takes(['white loaf', 60, 'g', 'spread', 'b'], butter('spread', 12), [
		'garlic',
		0.5,
		'pieces',
		'spread',
		'v'
	]),
	steps: [
		prepares('spread', 'Slice and spread the bread', 180, 0.7),
		does(
			'broil',
			'cook',
			'Brown the bread from above',
			about(180, 0, [0.6, 1.5]),
			touches([
				[0, 20, 'Bread under the heat'],
				[0.5, 10, 'Look'],
				[1, 20, 'Bread out']
			]),
			{
				need: { kind: 'broiler', racks: 1 },
				load: laid('tray', each(2), 0.11, 0.08, 'pieces'),
				after: ['spread:3600'],
				sign: 'Gold; from gold to black it takes a minute.',
				cautions: ['Garlic burns first: stay beside it.']
			}
		)
	],
	vessels: vessels(['tray', 'broil', 'broil']),
	plate: plated('broil', 5, 'toast')
};

const table: Technique = {
	id: 'make-your-own-table',
	name: 'A table to help oneself from',
	kind: 'table',
	makes: 'table',
	words: ['bowls', 'tacos', 'build', 'buffet', 'toppings'],
	about: 'Bowls of cold and warm things, set out for guests; everything warm at the same moment.',
	parameters: [],
	ingredients: takes(
		['beans', 60, 'g', 'warm', 's'],
		['corn ear', 60, 'g', 'cut', 'v', { yields: 'corn ear' }],
		['tomato', 50, 'g', 'cut', 'v', { yields: 'tomato' }],
		['salad leaves', 15, 'g', 'cut', 'v'],
		['sour cream', 20, 'g', 'set', 'd'],
		['flatbread', 2, 'pieces', 'set', 'b']
	),
	steps: [
		prepares('cut', 'Cut what stays cold, into bowls', 720, 0.6),
		does('cold', 'chill', 'Keep the cold bowls cold', about(900), none, { need: cold, after: ['cut:600'] }),
		does(
			'warm',
			'cook',
			'Warm the beans and the corn',
			about(600, 0.3),
			touches([
				[0, 30, 'Beans on, low'],
				[0.5, 20, 'Stir'],
				[1, 30, 'Into their bowls']
			]),
			{ need: burner(), heat: 'low', sign: 'Steaming hot right through.' }
		),
		finishes('set', 'Set out the bowls, spoons and bread', 150, 0.4, {
			need: onBoard,
			after: ['cold:10800', 'warm:300']
		})
	],
	vessels: vessels(['saucepan', 'warm', 'set']),
	plate: { step: 'set', perPlate: 4, free: 120, rate: 1, most: 900, keep: 'warm bowls covered' }
};

const drink = (
	id: string,
	name: string,
	water: string,
	say: string,
	seconds: number,
	ingredients: Technique['ingredients'],
	words: string[]
): Technique => ({
	id,
	name,
	kind: 'drink',
	makes: 'hot drink',
	words: ['breakfast', ...words],
	parameters: [],
	...(ingredients ? { ingredients } : {}),
	steps: [
		boils('water', water, 0.25, 0.05),
		does(
			'draw',
			'cook',
			say,
			about(seconds),
			touches([
				[0, 30, 'Pour'],
				[1, 30, 'Strain, into the warmed jug']
			]),
			{ after: ['water:90'], cautions: ['Boiling water: pour low and away from you.'] }
		)
	],
	vessels: vessels(['saucepan', 'water', 'draw']),
	plate: plated('draw', 7, 'hot drink')
});

const tea = drink(
	'tea',
	'Tea',
	'the tea',
	'Let the tea draw',
	240,
	takes(['tea', 2, 'g', 'draw', 's'], ['milk', 20, 'ml', 'draw', 'd']),
	['infusion']
);

const herbTea = drink(
	'herb-tea',
	'Fresh herb tea',
	'the tea',
	'Let the herbs draw',
	420,
	takes(['mint', 5, 'g', 'draw', 'h'], ['honey', 5, 'g', 'draw', 's', { first: 0.5 }]),
	['mint', 'infusion']
);

const chocolate: Technique = {
	id: 'hot-chocolate',
	name: 'Hot chocolate',
	kind: 'drink',
	makes: 'hot drink',
	words: ['breakfast', 'cocoa', 'milk'],
	parameters: [],
	ingredients: takes(
		['milk', 200, 'ml', 'whisk', 'd'],
		['cocoa', 10, 'g', 'whisk', 's'],
		['sugar', 8, 'g', 'whisk', 's', { first: 0.6 }]
	),
	steps: [
		does(
			'whisk',
			'cook',
			'Heat the milk, whisk in the chocolate',
			computed({ kind: 'boil', litres: each(0.2), start: 6, gently: true }),
			touches(
				[
					[0, 60, 'Cocoa, sugar and a little milk to a paste, then all'],
					[1, 30, 'Whisk, off before it rises']
				],
				[120, 15, 'Whisk to the bottom']
			),
			{ need: burner(), heat: 'medium', sign: 'Steams and shivers: milk boils over.' }
		)
	],
	vessels: vessels(['saucepan', 'whisk', 'whisk']),
	plate: plated('whisk', 7, 'hot drink')
};

export const breadsAndDrinks: readonly Technique[] = [
	ovenToast,
	filterCoffee,
	flatbreadWarm,
	flatbreadPan,
	flatbreadFire,
	garlicBread,
	table,
	tea,
	herbTea,
	chocolate
];
