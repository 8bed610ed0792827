// Sauces, garnishes, breads, the make-your-own table and hot drinks.
import type { Technique } from '../model/technique';
import {
	about,
	boils,
	burner,
	butter,
	cold,
	computed,
	cuts,
	does,
	each,
	early,
	finishes,
	handles,
	heats,
	hotOil,
	none,
	oil,
	onBoard,
	oven,
	plated,
	prepares,
	salt,
	takes,
	touches,
	vessels,
	whole
} from './forms';

const inTheCold = { free: 3600, rate: 1, most: 14_400, keep: 'in the cold, covered' } as const;

const herbSauce: Technique = {
	id: 'herb-sauce',
	name: 'Green herb sauce',
	kind: 'sauce',
	makes: 'herb sauce',
	words: ['pounded', 'blended', 'parsley', 'salsa', 'pesto'],
	about: 'Keeps cold for days: the first thing to make ahead.',
	parameters: [],
	ingredients: takes(
		['parsley', 8, 'g', 'pick', 'h'],
		['capers', 4, 'g', 'pound', 's'],
		['garlic', 0.4, 'pieces', 'pound', 'v'],
		['olive oil', 15, 'ml', 'pound', 's'],
		['lemon juice', 5, 'ml', 'pound', 'v', { first: 0.6 }]
	),
	steps: [
		cuts('pick', 'Pick the herbs', 'pick herbs', 0.008),
		prepares('pound', 'Pound or blend the sauce, taste', 300, 0.4, {
			after: ['pick:3600'],
			cautions: ['Raw garlic or herbs under oil: in the cold, for days, not weeks.']
		})
	],
	vessels: [],
	ahead: early('pound', 'raw garlic or herbs under oil', 'under a film of oil, in the cold'),
	plate: { step: 'pound', perPlate: 4, ...inTheCold }
};
const vinaigrette: Technique = {
	id: 'vinaigrette',
	name: 'Vinaigrette',
	kind: 'sauce',
	makes: 'dressing',
	words: ['dressing', 'mustard', 'vinegar'],
	parameters: [],
	ingredients: takes(
		['vinegar', 5, 'ml', 'shake', 's', { first: 0.7, allergens: ['sulphites'] }],
		['mustard', 2, 'g', 'shake', 's', { allergens: ['mustard'] }],
		['olive oil', 15, 'ml', 'shake', 's'],
		salt('shake')
	),
	steps: [prepares('shake', 'Shake the dressing, taste', 180, 0.3)],
	vessels: [],
	ahead: early('shake', 'dressings without garlic', 'in a jar, in the cold'),
	plate: { step: 'shake', perPlate: 3, ...inTheCold }
};
const panSauce: Technique = {
	id: 'pan-sauce',
	name: 'Pan sauce from the sear',
	kind: 'sauce',
	makes: 'pan sauce',
	words: ['gravy', 'jus', 'wine', 'deglaze'],
	about: 'Needs the pan that the meat was seared in: tie it to that part.',
	parameters: [],
	ingredients: takes(
		['shallot', 0.5, 'pieces', 'mince', 'v'],
		['wine', 40, 'ml', 'reduce', 's', { allergens: ['sulphites'] }],
		['stock', 50, 'ml', 'reduce', 's', { allergens: ['celery'] }],
		butter('reduce', 10)
	),
	steps: [
		handles('mince', 'Mince the shallot, measure wine and stock', 'mince shallot', 0.5),
		does(
			'reduce',
			'cook',
			'Make the sauce in the pan',
			computed({ kind: 'reduce', from: each(0.09), to: each(0.04), level: 0.6, besides: 150 }),
			touches(
				[
					[0, 60, 'Pour off the fat, soften the shallot, wine in'],
					[1, 60, 'Whisk in the butter, taste']
				],
				[180, 15, 'Scrape and stir']
			),
			{
				need: burner(),
				heat: 'a brisk simmer',
				after: ['mince:7200'],
				sign: 'Coats a spoon; a finger leaves a clean line.',
				cautions: ['Wine can flame: off the heat when you pour.']
			}
		)
	],
	vessels: vessels(['frying pan', 'reduce', 'reduce']),
	plate: { ...plated('reduce', 3, 'pan sauce'), keep: 'in the pan, lid on, off the heat' }
};
const reduction: Technique = {
	id: 'reduction',
	name: 'Reduced stock',
	kind: 'sauce',
	makes: 'pan sauce',
	words: ['jus', 'glaze', 'stock', 'reduction'],
	parameters: [],
	ingredients: takes(['stock', 150, 'ml', 'reduce', 's', { allergens: ['celery'] }], butter('finish', 5)),
	steps: [
		does(
			'reduce',
			'cook',
			'Boil down the stock',
			computed({ kind: 'reduce', from: each(0.15), to: each(0.045), level: 0.8, besides: 60 }),
			touches([
				[0, 30, 'Stock on'],
				[0.7, 15, 'Skim, look'],
				[1, 20, 'Off the heat']
			]),
			{ need: burner(), heat: 'a strong boil', sign: 'Coats a spoon; bubbles large and slow.' }
		),
		does('finish', 'cook', 'Warm the sauce, whisk in butter', about(150, 0.1), whole, {
			need: burner(),
			heat: 'low',
			after: ['reduce'],
			sign: 'Glossy, not boiling.'
		})
	],
	vessels: vessels(['saucepan', 'reduce', 'finish']),
	ahead: early('reduce', 'cooked dishes, mash, stock', 'cooled fast, in the cold; boil it up again'),
	plate: plated('finish', 3, 'pan sauce')
};
const emulsion: Technique = {
	id: 'butter-emulsion',
	name: 'Warm butter sauce',
	kind: 'sauce',
	makes: 'butter sauce',
	words: ['hollandaise', 'emulsion', 'yolk', 'beurre'],
	about: 'Holds warm, and briefly: it splits below 40 and above 68 °C.',
	parameters: [],
	ingredients: takes(['egg yolk', 0.75, 'pieces', 'whisk', 'd', { allergens: ['eggs'] }], butter('whisk', 40), [
		'lemon juice',
		4,
		'ml',
		'whisk',
		'v',
		{ first: 0.6 }
	]),
	steps: [
		does(
			'melt',
			'cook',
			'Melt the butter',
			about(300, 0.2),
			touches([
				[0, 15, 'Butter on'],
				[1, 15, 'Butter off']
			]),
			{ need: burner(), heat: 'low' }
		),
		does('whisk', 'cook', 'Whisk the yolks over warm water, butter in', about(480, 0.2), whole, {
			need: burner(),
			heat: 'low, bowl over water',
			after: ['melt:900'],
			sign: 'Ribbons that stay a second; 62 °C.',
			cautions: ['Yolk stays soft: not for pregnant, very young, old or ill guests.']
		})
	],
	vessels: vessels(['saucepan', 'melt', 'whisk']),
	plate: plated('whisk', 4, 'butter emulsion')
};
const mayonnaise: Technique = {
	id: 'mayonnaise',
	name: 'Mayonnaise',
	kind: 'sauce',
	makes: 'cold egg sauce',
	words: ['aioli', 'emulsion', 'cold'],
	parameters: [],
	ingredients: takes(
		['egg yolk', 0.35, 'pieces', 'whisk', 'd', { allergens: ['eggs'] }],
		['vegetable oil', 40, 'ml', 'whisk', 's'],
		['mustard', 2, 'g', 'whisk', 's', { allergens: ['mustard'] }],
		['lemon juice', 4, 'ml', 'whisk', 'v', { first: 0.6 }]
	),
	steps: [
		prepares('whisk', 'Whisk the mayonnaise', 360, 0.3, {
			cautions: ['Raw egg: two days in the cold at the most; not for guests at risk.']
		})
	],
	vessels: [],
	ahead: early('whisk', 'raw-egg sauces', 'covered, in the cold'),
	plate: { step: 'whisk', perPlate: 3, ...inTheCold }
};
const flavouredOil: Technique = {
	id: 'flavoured-oil',
	name: 'Warm flavoured oil',
	kind: 'sauce',
	makes: 'flavoured oil',
	words: ['chilli', 'herb', 'infused'],
	parameters: [],
	ingredients: takes(['olive oil', 15, 'ml', 'infuse', 's'], ['dried chilli', 0.3, 'g', 'infuse', 's']),
	steps: [
		does(
			'infuse',
			'cook',
			'Warm the oil with its spice',
			about(480),
			touches([
				[0, 20, 'Oil and spice on, low'],
				[1, 20, 'Off the heat, strain']
			]),
			{ need: burner(), heat: 'lowest, 90 °C', sign: 'Smells of it; nothing darkens.', cautions: [hotOil] }
		),
		does('cool', 'chill', 'Let the oil cool', about(900), none, { after: ['infuse:0'] })
	],
	vessels: vessels(['saucepan', 'infuse', 'cool']),
	plate: { step: 'cool', perPlate: 2, free: 7200, rate: 1, most: 14_400, keep: 'covered' }
};
const traySyrup: Technique = {
	id: 'tray-syrup',
	name: 'Syrup from the roasting tray',
	kind: 'sauce',
	makes: 'pan sauce',
	words: ['gravy', 'tray', 'deglaze', 'honey'],
	about: 'From what sticks to the tray of a roast: tie it to that part.',
	parameters: [],
	ingredients: takes(
		['vinegar', 10, 'ml', 'scrape', 's', { allergens: ['sulphites'] }],
		['honey', 6, 'g', 'scrape', 's'],
		['stock', 30, 'ml', 'scrape', 's', { allergens: ['celery'] }]
	),
	steps: [
		does('scrape', 'prep', 'Loosen the tray with vinegar and stock', about(120, 0.2), whole),
		does(
			'reduce',
			'cook',
			'Boil down the tray juice',
			computed({ kind: 'reduce', from: each(0.045), to: each(0.02), level: 0.7, besides: 45 }),
			touches([
				[0, 20, 'Strain into a pan'],
				[1, 20, 'Taste, off']
			]),
			{ need: burner(), heat: 'a boil', after: ['scrape:600'], sign: 'Runs off the spoon in threads.' }
		)
	],
	vessels: vessels(['saucepan', 'reduce', 'reduce']),
	plate: plated('reduce', 3, 'pan sauce')
};
const whiteSauce: Technique = {
	id: 'white-sauce',
	name: 'White sauce',
	kind: 'sauce',
	makes: 'white sauce',
	words: ['bechamel', 'milk', 'roux', 'cheese'],
	parameters: [],
	ingredients: takes(
		butter('cook', 8),
		['plain flour', 8, 'g', 'cook', 's', { allergens: ['gluten'] }],
		['milk', 100, 'ml', 'cook', 'd', { allergens: ['milk'] }],
		salt('cook')
	),
	steps: [
		does(
			'cook',
			'cook',
			'Stir the sauce until it boils and thickens',
			about(720, 0.2),
			touches(
				[
					[0, 150, 'Butter, flour, then milk little by little'],
					[1, 30, 'Taste, strain']
				],
				[120, 20, 'Stir to the bottom']
			),
			{ need: burner(), heat: 'medium-low', sign: 'Coats a spoon, no taste of flour.' }
		)
	],
	vessels: vessels(['saucepan', 'cook', 'cook']),
	ahead: early('cook', 'cooked dishes, mash, stock', 'film on its face, in the cold'),
	plate: plated('cook', 3, 'pan sauce')
};

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
		['vinegar', 20, 'ml', 'brine', 's', { grows: 0.8, allergens: ['sulphites'] }],
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
	plate: { step: 'steep', perPlate: 3, free: 7200, rate: 1, most: 14_400, keep: 'in the brine' }
};
const crumbs: Technique = {
	id: 'fried-crumbs',
	name: 'Fried breadcrumbs',
	kind: 'garnish',
	makes: 'crumbs',
	words: ['crunch', 'pangrattato', 'bread'],
	parameters: [],
	ingredients: takes(['coarse breadcrumbs', 12, 'g', 'fry', 'b', { allergens: ['gluten'] }], oil('fry', 5)),
	steps: [
		does('fry', 'cook', 'Fry the crumbs', about(300, 0.3), whole, {
			need: burner(),
			heat: 'medium',
			sign: 'Even gold, sounds dry.',
			cautions: ['Past gold it turns bitter within seconds.']
		})
	],
	vessels: vessels(['frying pan', 'fry', 'fry']),
	plate: { step: 'fry', perPlate: 2, free: 3600, rate: 1, most: 10_800, keep: 'on paper, uncovered' }
};
const nuts: Technique = {
	id: 'toasted-nuts',
	name: 'Toasted nuts',
	kind: 'garnish',
	makes: 'nuts',
	words: ['almonds', 'walnuts', 'seeds'],
	parameters: [],
	ingredients: takes(['whole almonds', 10, 'g', 'toast', 's', { allergens: ['nuts'] }]),
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
	plate: { step: 'chop', perPlate: 2, free: 7200, rate: 1, most: 14_400, keep: 'in a jar' }
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
	plate: plated('fry', 1, 'fried herbs')
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
	plate: { step: 'cut', perPlate: 2, free: 1800, rate: 1, most: 7200, keep: 'under a damp cloth' }
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
	takes(['hard cheese', 10, 'g', 'cut', 'd', { allergens: ['milk'] }], ['flaky salt', 0.5, 'g', 'cut', 's']),
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

const flatbreadWarm: Technique = {
	id: 'flatbread-warmed',
	name: 'Flatbread, warmed and wrapped',
	kind: 'bread',
	makes: 'flatbread',
	words: ['pita', 'naan', 'wrap'],
	parameters: [],
	ingredients: takes(['flatbread', 1, 'pieces', 'warm', 'b', { allergens: ['gluten'] }]),
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
	plate: plated('warm', 3, 'flatbread')
};
const flatbreadPan: Technique = {
	id: 'flatbread-pan',
	name: 'Flatbread, rolled and baked in the pan',
	kind: 'bread',
	makes: 'flatbread',
	words: ['pita', 'naan', 'dough', 'fresh'],
	parameters: [],
	ingredients: takes(
		['plain flour', 70, 'g', 'knead', 's', { allergens: ['gluten'] }],
		['yogurt', 35, 'g', 'knead', 'd', { allergens: ['milk'] }],
		salt('knead')
	),
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
	plate: plated('bake', 3, 'flatbread')
};
const flatbreadFire: Technique = {
	...flatbreadPan,
	id: 'flatbread-wood-oven',
	name: 'Flatbread, from the wood oven',
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
				need: { kind: 'wood oven' },
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
	ingredients: takes(['white loaf', 60, 'g', 'spread', 'b', { allergens: ['gluten'] }], butter('spread', 12), [
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
				after: ['spread:3600'],
				sign: 'Gold; from gold to black it takes a minute.',
				cautions: ['Garlic burns first: stay beside it.']
			}
		)
	],
	vessels: vessels(['tray', 'broil', 'broil']),
	plate: plated('broil', 3, 'toast')
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
		['sour cream', 20, 'g', 'set', 'd', { allergens: ['milk'] }],
		['flatbread', 2, 'pieces', 'set', 'b', { allergens: ['gluten'] }]
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
	plate: { step: 'set', perPlate: 2, free: 120, rate: 1, most: 900, keep: 'warm bowls covered' }
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
	plate: { step: 'draw', perPlate: 5, free: 240, rate: 2, most: 1200, keep: 'in a warmed jug, lidded' }
});
const tea = drink(
	'tea',
	'Tea',
	'the tea',
	'Let the tea draw',
	240,
	takes(['tea', 2, 'g', 'draw', 's'], ['milk', 20, 'ml', 'draw', 'd', { allergens: ['milk'] }]),
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
		['milk', 200, 'ml', 'whisk', 'd', { allergens: ['milk'] }],
		['cocoa', 10, 'g', 'whisk', 's'],
		['sugar', 8, 'g', 'whisk', 's', { first: 0.6 }]
	),
	steps: [
		does(
			'whisk',
			'cook',
			'Heat the milk, whisk in the chocolate',
			computed({ kind: 'boil', litres: each(0.2), start: 6 }),
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
	plate: { step: 'whisk', perPlate: 5, free: 240, rate: 2, most: 1200, keep: 'lid on, low' }
};

export const sauceWays: readonly Technique[] = [
	herbSauce,
	vinaigrette,
	panSauce,
	reduction,
	emulsion,
	mayonnaise,
	flavouredOil,
	traySyrup,
	whiteSauce,
	pickles,
	crumbs,
	nuts,
	friedHerbs,
	citrus,
	cheese,
	freshHerbs,
	flatbreadWarm,
	flatbreadPan,
	flatbreadFire,
	garlicBread,
	table,
	tea,
	herbTea,
	chocolate
];
