// Dishes of vegetables that are their own: gratin, braised cabbage, beans, tomatoes, fritters, leaves, mushrooms.
import type { Technique } from '../../model/technique';
import {
	about,
	burner,
	butter,
	cold,
	cuts,
	does,
	each,
	early,
	fat,
	finishes,
	heats,
	held,
	laid,
	metres,
	none,
	oil,
	plated,
	salt,
	salted,
	takes,
	touches,
	vessels,
	whole
} from '../forms';

const rootGratin: Technique = {
	id: 'root-gratin',
	name: 'Gratin of sliced roots',
	kind: 'side',
	parameters: [{ id: 'depth', name: 'Depth in the dish', unit: 'mm', least: 20, most: 80, usual: 45 }],
	ingredients: takes(
		['celeriac', 110, 'g', 'slice', 'v', { yields: 'celeriac' }],
		['potatoes', 70, 'g', 'slice', 'v', { yields: 'potato' }],
		['cream', 60, 'ml', 'layer', 'd'],
		['milk', 40, 'ml', 'layer', 'd'],
		salt('layer')
	),
	ahead: early('layer', 'cooked dishes, mash, stock', 'layered with its hot cream, in the cold'),
	steps: [
		{
			id: 'slice',
			say: 'Peel and slice the roots',
			kind: 'prep',
			time: {
				model: { kind: 'knife', task: 'slice roots', kilograms: each(0.2) }
			},
			need: { kind: 'board' },
			hands: whole,
			after: [],
			sign: 'Every slice 3 mm: size decides the time.',
			cautions: ['Slicer: use the guard, stop before the end.']
		},
		{
			id: 'layer',
			say: 'Layer the gratin, pour over the cream',
			kind: 'prep',
			time: { shortest: 240, usual: 330, longest: 480, scale: [{ by: 'covers', at: 6, exponent: 0.7 }] },
			need: { kind: 'board' },
			hands: whole,
			after: [{ step: 'slice', least: 0, most: 1800 }]
		},
		{
			id: 'bake',
			say: 'Bake the gratin',
			kind: 'cook',
			time: {
				model: { kind: 'bake', food: 'gratin', depth: metres('depth'), start: 18, core: 85, dose: 4.4 }
			},
			need: { kind: 'oven', racks: 1, settings: [170, 160, 180, 190, 200] },
			load: { on: 'dish', litres: each(0.28), depth: metres('depth') },
			hands: touches([
				[0, 30, 'Gratin into the oven'],
				[0.5, 30, 'Press the gratin down, turn the dish'],
				[1, 45, 'Knife into the gratin: out when it slides through']
			]),
			after: [{ step: 'layer', least: 0, most: 2700 }],
			sign: 'A knife slides through all layers; top freckled brown, edges bubbling slowly.'
		},
		{
			id: 'rest',
			say: 'Let the gratin settle',
			kind: 'rest',
			time: { shortest: 480, usual: 600, longest: 1200 },
			hands: none,
			after: [{ step: 'bake', least: 0, most: 0 }]
		}
	],
	vessels: [{ kind: 'dish', from: 'layer', to: 'rest' }],
	plate: { step: 'rest', perPlate: 8, ...held('mash, braise, gratin'), keep: 'in its dish, covered' }
};

const braisedCabbage: Technique = {
	id: 'braised-cabbage',
	name: 'Red cabbage, braised with apple',
	kind: 'side',
	parameters: [],
	ingredients: takes(
		['red cabbage', 130, 'g', 'shred', 'v', { yields: 'braised cabbage' }],
		['apple', 40, 'g', 'shred', 'v', { yields: 'apple' }],
		['vinegar', 8, 'ml', 'braise', 's', { first: 0.6 }],
		butter('braise', 6),
		salt('braise')
	),
	steps: [
		{
			id: 'shred',
			say: 'Shred the cabbage, cut the apple',
			kind: 'prep',
			time: {
				model: { kind: 'knife', task: 'shred cabbage', kilograms: each(0.22) }
			},
			need: { kind: 'board' },
			hands: whole,
			after: []
		},
		{
			id: 'braise',
			say: 'Braise the cabbage',
			kind: 'cook',
			time: { shortest: 3600, usual: 4320, longest: 5400 },
			need: { kind: 'burner' },
			heat: 'low, lid on',
			hands: touches(
				[
					[0, 150, 'Sweat the apple, cabbage and vinegar in'],
					[1, 45, 'Taste the cabbage, season, lid on']
				],
				[1080, 30, 'Stir the cabbage']
			),
			after: [{ step: 'shred', least: 0, most: 3600 }],
			sign: 'Soft with a little bite, glossy, hardly any liquid.'
		}
	],
	vessels: [{ kind: 'pot', from: 'braise', to: 'braise' }],
	plate: { step: 'braise', perPlate: 7, ...held('mash, braise, gratin'), keep: 'in its pot, lid on' }
};

const greenBeans: Technique = {
	id: 'green-beans',
	name: 'Green beans, blanched and tossed',
	kind: 'side',
	parameters: [],
	ingredients: takes(
		['green beans', 75, 'g', 'top', 'v', { yields: 'green beans' }],
		butter('toss', 6),
		salted('water', 0.5)
	),
	steps: [
		{
			id: 'top',
			say: 'Top the beans',
			kind: 'prep',
			time: {
				model: { kind: 'knife', task: 'trim beans', kilograms: each(0.08) }
			},
			need: { kind: 'board' },
			hands: whole,
			after: []
		},
		{
			id: 'water',
			say: 'Start the water for the beans',
			kind: 'preheat',
			time: {
				model: { kind: 'boil', litres: each(0.5), start: 12 }
			},
			need: { kind: 'burner' },
			heat: 'full, lid on',
			hands: touches([[0, 45, 'Fill the pot, salt, lid on, full heat']]),
			after: [],
			sign: 'Rolling all over, not only at the rim.'
		},
		{
			id: 'blanch',
			say: 'Blanch the beans',
			kind: 'cook',
			time: {
				model: { kind: 'soften', vegetable: 'green beans', how: 'crisp', cut: 'stick', size: 0.009, start: 18 }
			},
			load: { on: 'pot', kilograms: each(0.08), start: 18 },
			need: { kind: 'burner' },
			heat: 'full, lid off',
			hands: touches([
				[0, 30, 'Beans into the water'],
				[1, 60, 'Drain the beans into ice water']
			]),
			after: [
				{ step: 'top', least: 0 },
				{ step: 'water', least: 0, most: 120 }
			],
			sign: 'Bright green, bends, still squeaks.',
			cautions: ['Steam when you drain: pour away from you.']
		},
		{
			id: 'ice',
			say: 'Stop the beans in ice water',
			kind: 'chill',
			time: { shortest: 120, usual: 180, longest: 300 },
			need: { kind: 'cold' },
			hands: touches([[1, 30, 'Lift out the beans, dry them']]),
			after: [{ step: 'blanch', least: 0, most: 0 }]
		},
		{
			id: 'toss',
			say: 'Toss the beans in butter',
			kind: 'finish',
			time: { shortest: 120, usual: 180, longest: 240 },
			need: { kind: 'burner' },
			heat: 'medium-high',
			hands: touches([
				[0, 30, 'Beans into foaming butter'],
				[0.5, 15, 'Toss the beans'],
				[1, 30, 'Season the beans']
			]),
			after: [{ step: 'ice', least: 0, most: 7200 }],
			sign: 'Hot through and shining.'
		}
	],
	vessels: [
		{ kind: 'pot', from: 'water', to: 'blanch' },
		{ kind: 'frying pan', from: 'toss', to: 'toss' }
	],
	plate: { step: 'toss', perPlate: 6, ...held('greens'), keep: 'in the pan, off the heat' }
};

const roastTomatoes: Technique = {
	id: 'roast-tomatoes',
	name: 'Tomatoes and mushrooms, roasted',
	kind: 'side',
	parameters: [],
	ingredients: takes(
		['tomato', 70, 'g', 'cut', 'v', { yields: 'tomato' }],
		['mushrooms', 50, 'g', 'cut', 'v', { yields: 'mushrooms' }],
		oil('roast'),
		salt('roast')
	),
	steps: [
		{
			id: 'cut',
			say: 'Halve the tomatoes, wipe the mushrooms',
			kind: 'prep',
			time: { shortest: 240, usual: 330, longest: 480, scale: [{ by: 'covers', at: 4, exponent: 0.9 }] },
			need: { kind: 'board' },
			hands: whole,
			after: []
		},
		{
			id: 'roast',
			say: 'Roast the tomatoes and mushrooms',
			kind: 'cook',
			time: { shortest: 1200, usual: 1500, longest: 1920, core: { start: 15, target: 90 } },
			load: laid('tray', each(4), 0.05, undefined, 'vegetables'),
			need: { kind: 'oven', racks: 1, settings: [200, 180, 220] },
			hands: touches([
				[0, 30, 'Tray into the oven'],
				[0.6, 30, 'Shake the tray'],
				[1, 45, 'Tomatoes out: collapsed, not dry']
			]),
			after: [{ step: 'cut', least: 0, most: 3600 }],
			sign: 'Mushrooms brown at the rim, tomatoes slack, juice thickening.'
		}
	],
	vessels: [{ kind: 'tray', from: 'roast', to: 'roast' }],
	plate: { step: 'roast', perPlate: 7, ...held('roast vegetables'), keep: 'on the tray, on top of the oven' }
};

const cornFritters: Technique = {
	id: 'corn-fritters',
	name: 'Corn fritters',
	kind: 'side',
	parameters: [],
	ingredients: takes(
		['corn ear', 75, 'g', 'batter', 'v', { yields: 'corn ear' }],
		['plain flour', 25, 'g', 'batter', 's'],
		['eggs', 0.5, 'pieces', 'batter', 'd'],
		['milk', 20, 'ml', 'batter', 'd'],
		oil('fry', 10)
	),
	steps: [
		{
			id: 'batter',
			say: 'Cut the corn, stir the batter',
			kind: 'prep',
			time: { shortest: 420, usual: 600, longest: 840, scale: [{ by: 'covers', at: 4, exponent: 0.8 }] },
			need: { kind: 'board' },
			hands: whole,
			after: []
		},
		{
			id: 'fry',
			say: 'Fry the fritters',
			kind: 'cook',
			time: { shortest: 270, usual: 330, longest: 420 },
			need: { kind: 'burner', leastPower: 1500 },
			load: laid('pan', each(3), 0.08, undefined, 'pieces'),
			heat: 'medium',
			hands: touches([
				[0, 20, 'Spoon in the fritters', 10],
				[0.55, 15, 'Turn the fritters', 8],
				[1, 15, 'Lift the fritters out, drain', 4]
			]),
			after: [{ step: 'batter', least: 0, most: 1800 }],
			sign: 'Edges set and lacy, underside deep gold.',
			cautions: ['Hot oil: lower the spoon, do not drop. Corn can pop.']
		}
	],
	vessels: [{ kind: 'frying pan', from: 'fry', to: 'fry' }],
	plate: { step: 'fry', perPlate: 8, ...held('fried crust'), keep: 'on a rack, never stacked' }
};

const wilted: Technique = {
	id: 'leaves-wilted',
	name: 'Leaves, wilted',
	kind: 'side',
	makes: 'green leaves',
	words: ['spinach', 'chard', 'kale'],
	parameters: [],
	ingredients: takes(['spinach', 120, 'g', 'wash', 'v', { yields: 'spinach' }], butter('wilt', 6), salt('wilt')),
	steps: [
		cuts('wash', 'Wash and pick the leaves', 'wash leaves', 0.16),
		does(
			'wilt',
			'cook',
			'Wilt the leaves',
			about(150, 0.6),
			{ kind: 'whole' },
			{
				need: burner(1200),
				load: { on: 'base', litres: each(0.06) },
				heat: 'high',
				after: ['wash:7200'],
				sign: 'Just fallen, still bright.'
			}
		)
	],
	vessels: vessels(['frying pan', 'wilt', 'wilt']),
	plate: plated('wilt', 6, 'greens')
};

const salad: Technique = {
	id: 'leaves-dressed',
	name: 'Leaves, dressed',
	kind: 'side',
	makes: 'green leaves',
	words: ['salad', 'lettuce', 'raw'],
	about: 'Dressed when the plates stand ready: wilts within minutes.',
	parameters: [],
	ingredients: takes(
		['salad leaves', 40, 'g', 'wash', 'v'],
		['olive oil', 8, 'ml', 'mix', 's'],
		['vinegar', 3, 'ml', 'mix', 's', { first: 0.7 }],
		['mustard', 2, 'g', 'mix', 's'],
		salt('dress')
	),
	steps: [
		cuts('wash', 'Wash and dry the leaves', 'wash leaves', 0.04),
		does('crisp', 'chill', 'Crisp the leaves in the cold', about(600), none, { need: cold, after: ['wash:600'] }),
		does('mix', 'prep', 'Shake the dressing', about(120, 0.2), { kind: 'whole' }, { need: { kind: 'board' } }),
		finishes('dress', 'Dress the leaves', 60, 0.6, { after: ['crisp:14400', 'mix:7200'] })
	],
	vessels: [],
	ahead: early('crisp', 'cut or blanched vegetables', 'washed and dry, in a cloth in the cold'),
	plate: plated('dress', 8, 'dressed leaves')
};

const raw: Technique = {
	id: 'fennel-raw',
	name: 'Fennel, raw and dressed',
	kind: 'side',
	makes: 'fennel',
	words: ['salad', 'shaved', 'raw', 'slaw'],
	parameters: [],
	ingredients: takes(
		['fennel', 90, 'g', 'shave', 'v', { yields: 'fennel' }],
		['lemon juice', 6, 'ml', 'dress', 'v', { first: 0.6 }],
		['olive oil', 6, 'ml', 'dress', 's'],
		salt('dress')
	),
	steps: [
		cuts('shave', 'Shave the fennel', 'slice roots', 0.09, {
			cautions: ['Slicer: use the guard, stop before the end.']
		}),
		does('crisp', 'soak', 'Crisp the fennel in ice water', about(600), touches([[1, 40, 'Drain and dry']]), {
			need: cold,
			after: ['shave:600']
		}),
		finishes('dress', 'Dress the fennel', 75, 0.6, { after: ['crisp:3600'] })
	],
	vessels: [],
	plate: { step: 'dress', perPlate: 8, ...held('dressed leaves'), most: 900, free: 180 }
};

const mushrooms: Technique = {
	id: 'mushrooms-pan',
	name: 'Mushrooms, browned',
	kind: 'side',
	makes: 'mushrooms',
	words: ['fungi', 'button'],
	parameters: [fat],
	ingredients: takes(['mushrooms', 90, 'g', 'slice', 'v', { yields: 'mushrooms' }], butter('brown', 8), salt('brown')),
	steps: [
		cuts('slice', 'Wipe and slice the mushrooms', 'slice mushrooms', 0.1),
		heats('hot', 'the mushrooms', 200),
		does(
			'brown',
			'cook',
			'Brown the mushrooms',
			about(480),
			touches(
				[
					[0, 30, 'Mushrooms in, one layer'],
					[1, 30, 'Butter, salt, off']
				],
				[120, 15, 'Toss']
			),
			{
				need: burner(1500),
				load: laid('pan', each(6), 0.04, 0.03, 'vegetables'),
				heat: 'high',
				after: ['hot:60', 'slice:3600'],
				sign: 'Water gone, brown and squeaking.'
			}
		)
	],
	vessels: vessels(['frying pan', 'hot', 'brown']),
	plate: plated('brown', 6, 'greens')
};

export const vegetableDishes: readonly Technique[] = [
	rootGratin,
	braisedCabbage,
	greenBeans,
	roastTomatoes,
	cornFritters,
	wilted,
	salad,
	raw,
	mushrooms
];
