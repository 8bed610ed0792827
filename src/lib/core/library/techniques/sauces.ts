// Sauces and what is strewn: pounded, shaken, from the pan, reduced, emulsions warm and cold, oils, crumbs.
import type { Technique } from '../../model/technique';
import {
	about,
	burner,
	butter,
	computed,
	cuts,
	does,
	each,
	early,
	handles,
	held,
	hotOil,
	none,
	oil,
	plated,
	prepares,
	salt,
	takes,
	touches,
	vessels,
	whole
} from '../forms';

/** A pan sauce waits off the heat as it is; butter goes in at the last minute, or it splits. */
const mounted = does(
	'mount',
	'cook',
	'Warm the sauce, whisk in the butter, taste',
	{ shortest: 45, usual: 60, longest: 90 },
	whole,
	{
		need: burner(),
		heat: 'low',
		after: ['reduce:900'],
		sign: 'Glossy, and it holds together; not boiling.'
	}
);

const plumPanSauce: Technique = {
	id: 'plum-pan-sauce',
	name: 'Pan sauce of plums and port',
	kind: 'sauce',
	madeIn: 'frying pan',
	parameters: [],
	ingredients: takes(
		['plums', 60, 'g', 'cut', 'v'],
		['shallot', 0.5, 'pieces', 'cut', 'v'],
		['port', 35, 'ml', 'cut', 's'],
		butter('mount', 6)
	),
	steps: [
		{
			id: 'cut',
			say: 'Cut the plums and shallot, measure the port',
			kind: 'prep',
			time: { shortest: 210, usual: 300, longest: 420, scale: [{ by: 'covers', at: 6, exponent: 0.6 }] },
			need: { kind: 'board' },
			hands: whole,
			after: []
		},
		{
			id: 'reduce',
			say: 'Make the sauce in the pan',
			kind: 'cook',
			time: {
				model: { kind: 'reduce', from: each(0.075), to: each(0.04), level: 0.6, besides: 270 }
			},
			need: { kind: 'burner' },
			heat: 'medium, then a brisk simmer',
			hands: touches(
				[
					[0, 90, 'Pour off the fat, soften the shallot, port in'],
					[1, 30, 'Strain, back into the pan, off the heat']
				],
				[240, 15, 'Stir the sauce']
			),
			after: [{ step: 'cut', least: 0, most: 7200 }],
			sign: 'Coats a spoon; a finger leaves a clean line.',
			cautions: ['Port can flame: off the heat when you pour.']
		},
		mounted
	],
	vessels: [{ kind: 'frying pan', from: 'reduce', to: 'mount' }],
	plate: { step: 'mount', perPlate: 5, ...held('pan sauce'), keep: 'in the pan, lid on, off the heat' }
};

const shallotCrumbs: Technique = {
	id: 'shallot-crumbs',
	name: 'Shallot crumbs',
	kind: 'garnish',
	parameters: [],
	ingredients: takes(
		['shallot', 0.67, 'pieces', 'chop', 'v'],
		['coarse breadcrumbs', 12, 'g', 'fry', 'b'],
		butter('fry', 6)
	),
	steps: [
		{
			id: 'chop',
			say: 'Chop the shallots fine',
			kind: 'prep',
			time: {
				model: { kind: 'pieces', task: 'mince shallot', pieces: each(0.67) }
			},
			need: { kind: 'board' },
			hands: whole,
			after: []
		},
		{
			id: 'fry',
			say: 'Fry the crumbs with shallot',
			kind: 'cook',
			time: { shortest: 240, usual: 300, longest: 420 },
			need: { kind: 'burner' },
			heat: 'medium',
			hands: whole,
			after: [{ step: 'chop', least: 0, most: 3600 }],
			sign: 'Even gold, sounds dry when you shake it.',
			cautions: ['Past gold it turns bitter within seconds.']
		}
	],
	vessels: [{ kind: 'frying pan', from: 'fry', to: 'fry' }],
	plate: { step: 'fry', perPlate: 4, free: 1800, rate: 1, most: 5400, keep: 'on paper, uncovered' }
};

const friedSage: Technique = {
	id: 'fried-sage',
	name: 'Fried sage',
	kind: 'garnish',
	parameters: [],
	ingredients: takes(['sage', 1, 'g', 'pick', 'h'], oil('fry', 20)),
	steps: [
		{
			id: 'pick',
			say: 'Pick and dry the sage',
			kind: 'prep',
			time: {
				model: { kind: 'knife', task: 'pick herbs', kilograms: each(0.001) }
			},
			need: { kind: 'board' },
			hands: whole,
			after: []
		},
		{
			id: 'fry',
			say: 'Fry the sage',
			kind: 'cook',
			time: { shortest: 150, usual: 210, longest: 270 },
			need: { kind: 'burner' },
			heat: 'medium-high, 2 cm of oil',
			hands: whole,
			after: [{ step: 'pick', least: 0, most: 5400 }],
			sign: 'The hissing stops; stiff, still green.',
			cautions: ['Hot oil: dry leaves only. Never water on burning fat: lid on, heat off.']
		}
	],
	vessels: [{ kind: 'saucepan', from: 'fry', to: 'fry' }],
	plate: { step: 'fry', perPlate: 3, ...held('fried herbs'), keep: 'on paper, salted' }
};

const herbYogurt: Technique = {
	id: 'herb-yogurt',
	name: 'Herb yogurt',
	kind: 'sauce',
	parameters: [],
	ingredients: takes(
		['yogurt', 60, 'g', 'stir', 'd'],
		['soft herbs', 3, 'g', 'stir', 'h'],
		['lemon juice', 3, 'ml', 'stir', 'v', { first: 0.6 }],
		salt('stir')
	),
	steps: [
		{
			id: 'stir',
			say: 'Chop the herbs, stir the yogurt',
			kind: 'prep',
			time: { shortest: 180, usual: 240, longest: 330, scale: [{ by: 'covers', at: 4, exponent: 0.5 }] },
			need: { kind: 'board' },
			hands: whole,
			after: []
		},
		{
			id: 'chill',
			say: 'Chill the yogurt',
			kind: 'chill',
			time: { shortest: 600, usual: 900, longest: 3600 },
			need: { kind: 'cold' },
			hands: none,
			after: [{ step: 'stir', least: 0, most: 300 }]
		}
	],
	vessels: [],
	plate: { step: 'chill', perPlate: 6, free: 3600, rate: 1, most: 14_400, keep: 'in the cold, covered' }
};

const inTheCold = { free: 3600, rate: 1, most: 14_400, keep: 'in the cold, covered' } as const;

/** Flavours marry while it stands; what it lacks is tasted only then. */
const stands = (after: string, seconds: number, what: string) =>
	does('stand', 'rest', `Let the ${what} stand`, about(seconds), none, { after: [after] });
const tasted = (what: string) =>
	does('taste', 'finish', `Taste the ${what}, add of what was kept by`, about(30), whole, {
		after: ['stand'],
		sign: 'Salt and acid in balance on a leaf or a piece of what it goes with.'
	});

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
		prepares('pound', 'Pound or blend the sauce', 300, 0.4, {
			after: ['pick:3600'],
			cautions: ['Raw garlic or herbs under oil: in the cold, for days, not weeks.']
		}),
		stands('pound', 600, 'sauce'),
		tasted('sauce')
	],
	vessels: [],
	ahead: early('stand', 'raw garlic or herbs under oil', 'under a film of oil, in the cold'),
	plate: { step: 'taste', perPlate: 6, ...inTheCold }
};

const vinaigrette: Technique = {
	id: 'vinaigrette',
	name: 'Vinaigrette',
	kind: 'sauce',
	makes: 'dressing',
	words: ['dressing', 'mustard', 'vinegar'],
	parameters: [],
	ingredients: takes(
		['vinegar', 5, 'ml', 'shake', 's', { first: 0.7 }],
		['mustard', 2, 'g', 'shake', 's'],
		['olive oil', 15, 'ml', 'shake', 's'],
		salt('shake')
	),
	steps: [prepares('shake', 'Shake the dressing', 180, 0.3), stands('shake', 300, 'dressing'), tasted('dressing')],
	vessels: [],
	ahead: early('stand', 'dressings without garlic', 'in a jar, in the cold'),
	plate: { step: 'taste', perPlate: 5, ...inTheCold }
};

const panSauce: Technique = {
	id: 'pan-sauce',
	name: 'Pan sauce from the sear',
	kind: 'sauce',
	makes: 'pan sauce',
	madeIn: 'frying pan',
	words: ['gravy', 'jus', 'wine', 'deglaze'],
	about: 'Needs the pan that the meat was seared in: tie it to that part.',
	parameters: [],
	ingredients: takes(
		['shallot', 0.5, 'pieces', 'mince', 'v'],
		['wine', 40, 'ml', 'reduce', 's'],
		['stock', 50, 'ml', 'reduce', 's'],
		butter('mount', 10)
	),
	steps: [
		handles('mince', 'Mince the shallot, measure wine and stock', 'mince shallot', 0.5),
		does(
			'reduce',
			'cook',
			'Make the sauce in the pan',
			computed({ kind: 'reduce', from: each(0.09), to: each(0.04), level: 0.6, besides: 105 }),
			touches(
				[
					[0, 60, 'Pour off the fat, soften the shallot, wine in'],
					[1, 15, 'Off the heat']
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
		),
		mounted
	],
	vessels: vessels(['frying pan', 'reduce', 'mount']),
	plate: { ...plated('mount', 5, 'pan sauce'), keep: 'in the pan, lid on, off the heat' }
};

const reduction: Technique = {
	id: 'reduction',
	name: 'Reduced stock',
	kind: 'sauce',
	makes: 'pan sauce',
	words: ['jus', 'glaze', 'stock', 'reduction'],
	parameters: [],
	ingredients: takes(['stock', 150, 'ml', 'reduce', 's'], butter('finish', 5)),
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
	plate: plated('finish', 5, 'pan sauce')
};

const emulsion: Technique = {
	id: 'butter-emulsion',
	raw: 'egg',
	name: 'Warm butter sauce',
	kind: 'sauce',
	makes: 'butter sauce',
	words: ['hollandaise', 'emulsion', 'yolk', 'beurre'],
	about: 'Holds warm, and briefly: it splits below 40 and above 68 °C.',
	parameters: [],
	ingredients: takes(['egg yolk', 0.75, 'pieces', 'whisk', 'd'], butter('whisk', 40), [
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
	plate: plated('whisk', 6, 'butter emulsion')
};

const mayonnaise: Technique = {
	id: 'mayonnaise',
	raw: 'egg',
	name: 'Mayonnaise',
	kind: 'sauce',
	makes: 'cold egg sauce',
	words: ['aioli', 'emulsion', 'cold'],
	parameters: [],
	ingredients: takes(
		['egg yolk', 0.35, 'pieces', 'whisk', 'd'],
		['vegetable oil', 40, 'ml', 'whisk', 's'],
		['mustard', 2, 'g', 'whisk', 's'],
		['lemon juice', 4, 'ml', 'whisk', 'v', { first: 0.6 }]
	),
	steps: [
		prepares('whisk', 'Whisk the mayonnaise', 360, 0.3, {
			cautions: ['Raw egg: two days in the cold at the most; not for guests at risk.']
		})
	],
	vessels: [],
	ahead: early('whisk', 'raw-egg sauces', 'covered, in the cold'),
	plate: { step: 'whisk', perPlate: 5, ...inTheCold }
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
	plate: { step: 'cool', perPlate: 4, free: 7200, rate: 1, most: 14_400, keep: 'covered' }
};

const traySyrup: Technique = {
	id: 'tray-syrup',
	name: 'Syrup from the roasting tray',
	kind: 'sauce',
	makes: 'pan sauce',
	madeIn: 'tray',
	words: ['gravy', 'tray', 'deglaze', 'honey'],
	about: 'From what sticks to the tray of a roast: tie it to that part.',
	parameters: [],
	ingredients: takes(
		['vinegar', 10, 'ml', 'scrape', 's'],
		['honey', 6, 'g', 'scrape', 's'],
		['stock', 30, 'ml', 'scrape', 's']
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
	vessels: vessels(['tray', 'scrape', 'scrape'], ['saucepan', 'reduce', 'reduce']),
	plate: plated('reduce', 5, 'pan sauce')
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
		['plain flour', 8, 'g', 'cook', 's'],
		['milk', 100, 'ml', 'cook', 'd'],
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
	ahead: early('cook', 'cooked dishes, mash, stock', 'film on its face, in the cold', [0.11, true]),
	plate: plated('cook', 5, 'pan sauce')
};

export const sauces: readonly Technique[] = [
	plumPanSauce,
	shallotCrumbs,
	friedSage,
	herbYogurt,
	herbSauce,
	vinaigrette,
	panSauce,
	reduction,
	emulsion,
	mayonnaise,
	flavouredOil,
	traySyrup,
	whiteSauce
];
