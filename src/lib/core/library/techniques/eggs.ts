// Whole eggs out of their shell: fried, poached, shirred; custards; and with lentils.
import type { Technique } from '../../model/technique';
import { eggs, way } from './eggs-in-the-shell';
import {
	boils,
	burner,
	butter,
	choice,
	count,
	degrees,
	does,
	each,
	eachEgg,
	egg,
	finishes,
	firm,
	held,
	kilograms,
	laid,
	none,
	oven,
	perEgg,
	plated,
	prepares,
	salt,
	start,
	steamBurns,
	takes,
	touches,
	vessels,
	whole
} from '../forms';

const lentilSalad: Technique = {
	id: 'lentil-salad-soft-eggs',
	name: 'Lentil salad with soft eggs',
	kind: 'egg',
	parameters: [egg, start],
	ingredients: takes(
		['lentils', 45, 'g', 'simmer', 's'],
		['eggs', 1, 'pieces', 'boil', 'd'],
		['mustard', 4, 'g', 'dressing', 's'],
		['vinegar', 5, 'ml', 'dressing', 's', { first: 0.7 }],
		['olive oil', 12, 'ml', 'dressing', 's'],
		salt('dress')
	),
	steps: [
		{
			id: 'simmer',
			say: 'Simmer the lentils',
			kind: 'cook',
			time: { model: { kind: 'starch', seconds: 1500, z: 60 } },
			need: { kind: 'burner' },
			load: { on: 'pot', kilograms: each(0.045), start: 18, litres: 4 },
			heat: 'a bare simmer',
			hands: touches([
				[0, 60, 'Lentils, bay and cold water on'],
				[0.6, 15, 'Taste the lentils'],
				[1, 60, 'Drain the lentils, spread them out']
			]),
			after: [],
			sign: 'Whole, and soft to the middle.'
		},
		{
			id: 'cool',
			say: 'Cool the lentils',
			kind: 'chill',
			time: { shortest: 900, usual: 1500, longest: 2100 },
			need: { kind: 'cold' },
			hands: none,
			after: [{ step: 'simmer', least: 0, most: 300 }]
		},
		{
			id: 'water',
			say: 'Start the water for the eggs',
			kind: 'preheat',
			time: {
				model: { kind: 'boil', litres: each(0.25, 0.25), start: 12 }
			},
			need: { kind: 'burner' },
			heat: 'full, lid on',
			hands: touches([[0, 30, 'Water on for the eggs, lid on']]),
			after: [],
			sign: 'Rolling.'
		},
		{
			id: 'boil',
			say: 'Boil the eggs soft',
			kind: 'cook',
			time: {
				model: { kind: 'boiled-egg', kilograms: kilograms('egg'), start: degrees('start'), style: 'jammy' }
			},
			need: { kind: 'burner' },
			heat: 'rolling, then gentle',
			hands: touches([
				[0, 45, 'Lower the eggs in by spoon'],
				[1, 45, 'Eggs into ice water']
			]),
			after: [{ step: 'water', least: 0, most: 120 }],
			sign: 'White firm, yolk like honey.'
		},
		{
			id: 'ice',
			say: 'Stop the eggs in ice water',
			kind: 'chill',
			time: { shortest: 180, usual: 300, longest: 480 },
			need: { kind: 'cold' },
			hands: none,
			after: [{ step: 'boil', least: 0, most: 0 }]
		},
		{
			id: 'peel',
			say: 'Peel the eggs',
			kind: 'prep',
			time: {
				model: { kind: 'pieces', task: 'peel an egg', pieces: each(1) }
			},
			need: { kind: 'board' },
			hands: whole,
			after: [{ step: 'ice', least: 0, most: 1200 }]
		},
		{
			id: 'dressing',
			say: 'Stir the mustard dressing',
			kind: 'prep',
			time: { shortest: 180, usual: 240, longest: 330, scale: [{ by: 'covers', at: 6, exponent: 0.3 }] },
			need: { kind: 'board' },
			hands: whole,
			after: []
		},
		{
			id: 'dress',
			say: 'Dress the lentils, halve the eggs',
			kind: 'finish',
			time: { shortest: 120, usual: 180, longest: 240, scale: [{ by: 'covers', at: 6, exponent: 0.7 }] },
			need: { kind: 'board' },
			hands: whole,
			after: [
				{ step: 'cool', least: 0, most: 3600 },
				{ step: 'peel', least: 0, most: 900 },
				{ step: 'dressing', least: 0, most: 5400 }
			]
		}
	],
	vessels: [
		{ kind: 'saucepan', from: 'simmer', to: 'simmer' },
		{ kind: 'saucepan', from: 'water', to: 'boil' }
	],
	plate: { step: 'dress', perPlate: 15, free: 60, rate: 2, most: 600, keep: 'dressed, cool, not cold' }
};

const sunnyEggs: Technique = {
	id: 'eggs-sunny',
	name: 'Fried eggs, sunny',
	kind: 'egg',
	makes: 'fried eggs',
	parameters: [count(1, 3), egg],
	ingredients: takes(['eggs', perEgg(1), 'pieces', 'fry', 'd'], butter('fry', 4)),
	steps: [
		{
			id: 'fry',
			say: 'Fry the eggs',
			kind: 'cook',
			time: {
				model: { kind: 'egg', way: 'fried sunny', kilograms: kilograms('egg') }
			},
			need: { kind: 'burner' },
			load: laid('pan', eachEgg(1), 0.1, undefined, 'pieces'),
			heat: 'medium-low',
			hands: touches([
				[0, 20, 'Break the eggs into the pan', 8],
				[1, 10, 'Eggs off the heat', 5]
			]),
			after: [],
			sign: 'White set to the yolk, no glassy ring.'
		}
	],
	vessels: [{ kind: 'frying pan', from: 'fry', to: 'fry' }],
	plate: { step: 'fry', perPlate: 6, ...held('soft egg') }
};

const turnedEgg: Technique = {
	id: 'egg-turned',
	name: 'Fried egg, turned and firm',
	kind: 'egg',
	makes: 'fried eggs',
	parameters: [count(1, 3), egg],
	ingredients: takes(['eggs', perEgg(1), 'pieces', 'fry', 'd'], butter('fry', 4)),
	steps: [
		{
			id: 'fry',
			say: 'Fry those that are turned',
			kind: 'cook',
			time: {
				model: { kind: 'egg', way: 'fried turned', kilograms: kilograms('egg') }
			},
			need: { kind: 'burner' },
			load: laid('pan', eachEgg(1), 0.1, undefined, 'pieces'),
			heat: 'medium',
			hands: touches([
				[0, 20, 'Break the eggs into the pan', 8],
				[0.6, 10, 'Turn the eggs', 4],
				[1, 10, 'Lift out the firm eggs', 5]
			]),
			after: [],
			sign: 'Yolk firm when pressed.'
		}
	],
	vessels: [{ kind: 'frying pan', from: 'fry', to: 'fry' }],
	plate: { step: 'fry', perPlate: 5, free: 120, rate: 2, most: 480, keep: 'on a warm plate, covered' }
};

const poached: Technique = {
	id: 'poached-eggs',
	name: 'Poached eggs',
	kind: 'egg',
	makes: 'poached eggs',
	words: ['vinegar', 'swirl', 'benedict'],
	parameters: [
		count(1, 3),
		egg,
		start,
		firm,
		choice('pot', 'How', 'still, with a little acid: works for several eggs at once', [
			[0, 'still, with a little acid'],
			[1, 'swirled, one at a time, a little acid'],
			[2, 'no acid, strained']
		])
	],
	ingredients: [
		...eggs('break'),
		...takes(['vinegar', 5, 'ml', 'water', 's', { grows: 0.5, when: { parameter: 'pot', is: [0, 1] } }], salt('water'))
	],
	steps: [
		boils('water', 'poaching', 0.15, 1),
		prepares('break', 'Break the eggs into cups, strain off the thin white', 90, 0.9),
		does(
			'poach',
			'cook',
			'Poach the eggs',
			way('poached', { start: degrees('start') }),
			touches([
				[0, 15, 'Heat down to a quiver, slip the eggs in', 8],
				[0.5, 15, 'Loosen the eggs'],
				[1, 10, 'Lift the eggs into warm water, 60 °C', 8]
			]),
			{
				need: burner(),
				load: laid('water', eachEgg(1), 0.0757, undefined, 'pieces'),
				together: true,
				heat: 'a quiver, 83 °C',
				when: { parameter: 'pot', is: [0, 2] },
				after: ['water:240', 'break:900'],
				sign: 'White set, yolk trembles.'
			}
		),
		does(
			'swirl',
			'cook',
			'Poach the eggs one by one in a swirl',
			way('poached', { count: eachEgg(1.05), start: degrees('start') }),
			whole,
			{
				need: burner(),
				heat: 'a quiver, 83 °C',
				when: { parameter: 'pot', is: [1] },
				after: ['water:240', 'break:900'],
				sign: 'White set, yolk trembles.'
			}
		),
		// In warm water, 60 °C, they wait without setting on.
		finishes('trim', 'Trim and blot the eggs', 40, 0.9, { after: ['poach:600', 'swirl:600'] })
	],
	vessels: vessels(['pot', 'water', 'trim']),
	plate: plated('trim', 7, 'soft egg')
};

const poachedCups: Technique = {
	id: 'poached-eggs-cups',
	name: 'Poached eggs, in cups under water',
	kind: 'egg',
	makes: 'poached eggs',
	words: ['cups', 'several'],
	about: 'Many at once, all the same; wants small cups.',
	parameters: [count(1, 3), egg, start, firm],
	ingredients: [...eggs('break'), ...takes(butter('break', 2))],
	steps: [
		boils('water', 'the cups', 0.2, 0.4),
		prepares('break', 'Butter the cups, break an egg into each', 120, 0.9),
		does(
			'poach',
			'cook',
			'Poach the eggs in their cups',
			way('poached', { start: degrees('start') }),
			touches([
				[0, 15, 'Cups into the water', 5],
				[1, 15, 'Cups out, eggs turned out', 8]
			]),
			{
				need: burner(),
				load: laid('water', eachEgg(1), 0.085, undefined, 'pieces'),
				together: true,
				heat: 'a quiver, lid on',
				after: ['water:240', 'break:900'],
				sign: 'White set, yolk trembles.',
				cautions: [steamBurns]
			}
		)
	],
	vessels: vessels(['pot', 'water', 'poach'], ['cups', 'break', 'poach']),
	plate: plated('poach', 7, 'soft egg')
};

const lidded: Technique = {
	id: 'eggs-lidded',
	name: 'Fried eggs, steamed under a lid',
	kind: 'egg',
	makes: 'fried eggs',
	words: ['basted', 'lid', 'over'],
	parameters: [count(1, 3), egg, firm],
	ingredients: [...eggs('fry'), ...takes(butter('fry', 4))],
	steps: [
		does(
			'fry',
			'cook',
			'Fry the eggs under a lid',
			way('fried lidded'),
			touches([
				[0, 20, 'Break the eggs in, spoon of water, lid on', 8],
				[1, 10, 'Eggs off the heat', 5]
			]),
			{
				need: burner(),
				load: laid('pan', eachEgg(1), 0.1, undefined, 'pieces'),
				heat: 'medium',
				sign: 'A film of white over the yolk.'
			}
		)
	],
	vessels: vessels(['frying pan', 'fry', 'fry']),
	plate: plated('fry', 6, 'soft egg')
};

const baked: Technique = {
	id: 'baked-eggs',
	name: 'Eggs baked in a cup',
	kind: 'egg',
	makes: 'baked eggs',
	words: ['ramekin', 'cream', 'shirred'],
	parameters: [egg, firm],
	ingredients: [...eggs('fill', 1), ...takes(butter('fill', 3), ['cream', 15, 'ml', 'fill', 'd'])],
	steps: [
		prepares('fill', 'Butter the cups, break in the eggs', 180, 0.9),
		does(
			'bake',
			'cook',
			'Bake the eggs in their cups',
			way('baked in a cup'),
			touches([
				[0, 45, 'Cups into a bath of hot water, into the oven'],
				[0.8, 20, 'Look: start of a wobble?'],
				[1, 45, 'Cups out']
			]),
			{
				need: oven(165, 160, 170, 180),
				load: laid('tray', each(1), 0.085, undefined, 'pieces'),
				after: ['fill:900'],
				sign: 'White set, yolk moves.',
				cautions: ['Hot water in the tray: carry it level.']
			}
		)
	],
	vessels: vessels(['cups', 'fill', 'bake'], ['tray', 'bake', 'bake']),
	plate: plated('bake', 8, 'soft egg')
};

const custard: Technique = {
	id: 'steamed-custard',
	name: 'Savoury custard, steamed',
	kind: 'egg',
	makes: 'custard',
	words: ['steamed', 'silken', 'chawan'],
	parameters: [egg, firm],
	ingredients: [
		...eggs('strain', { by: 'egg', times: 0, plus: 1 }),
		...takes(['stock', { by: 'egg', times: 1.75, plus: 0 }, 'ml', 'strain', 's'])
	],
	steps: [
		prepares('strain', 'Beat, strain and pour the custards', 360, 0.6),
		boils('water', 'the steam', 0.1, 0.8),
		does(
			'steam',
			'cook',
			'Steam the custards, low',
			way('custard'),
			touches([
				[0, 15, 'Cups into the steam, lid ajar', 5],
				[1, 15, 'Cups out', 5]
			]),
			{
				need: burner(),
				load: laid('steamer', each(1), 0.08, undefined, 'pieces'),
				together: true,
				heat: 'low, 82 °C inside',
				after: ['water:600', 'strain:1800'],
				sign: 'A knife comes out clean; it wobbles as one.',
				cautions: [steamBurns]
			}
		)
	],
	vessels: vessels(['pot', 'water', 'steam'], ['steamer basket', 'steam', 'steam'], ['cups', 'strain', 'steam']),
	plate: { step: 'steam', perPlate: 7, free: 600, rate: 1, most: 1800, keep: 'covered, in the warm steam' }
};

export const eggWays: readonly Technique[] = [
	lentilSalad,
	sunnyEggs,
	turnedEgg,
	poached,
	poachedCups,
	lidded,
	baked,
	custard
];
