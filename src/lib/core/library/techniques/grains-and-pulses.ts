// Risotto, pilaf, couscous, bulgur, dried beans, chickpeas, dal; fresh pasta, dumplings, baked pasta.
import type { Technique } from '../../model/technique';
import {
	about,
	boils,
	burner,
	butter,
	computed,
	cuts,
	does,
	each,
	early,
	handles,
	metres,
	none,
	oil,
	oven,
	plated,
	prepares,
	salt,
	size,
	takes,
	touches,
	vessels,
	whole
} from '../forms';

const risotto: Technique = {
	id: 'risotto',
	name: 'Risotto',
	kind: 'starch',
	makes: 'risotto',
	words: ['rice', 'arborio', 'creamy'],
	about: 'Eighteen minutes beside the stove; waits for nobody.',
	parameters: [],
	ingredients: takes(
		['risotto rice', 65, 'g', 'stir', 's'],
		['onion', 25, 'g', 'chop', 'v', { yields: 'onion' }],
		['vegetable stock', 220, 'ml', 'stock', 's'],
		['wine', 25, 'ml', 'stir', 's'],
		butter('finish', 12),
		['grated hard cheese', 14, 'g', 'finish', 'd']
	),
	steps: [
		cuts('chop', 'Chop the onion fine', 'dice onion', 0.03),
		does(
			'stock',
			'preheat',
			'Heat the stock',
			computed({ kind: 'boil', litres: each(0.22, 0.1), start: 12 }),
			touches([[0, 20, 'Stock on, lid on']]),
			{ need: burner(), heat: 'full, then a simmer' }
		),
		does(
			'stir',
			'cook',
			'Stir the risotto',
			computed({ kind: 'starch', seconds: 1260, z: 75 }),
			touches(
				[
					[0, 120, 'Sweat the onion, toast the rice, wine in'],
					[1, 30, 'Bite a grain: a thread of white left']
				],
				[120, 45, 'A ladle of stock, stir']
			),
			{
				need: burner(1200),
				load: { on: 'pot', kilograms: each(0.065), start: 18, litres: 5 },
				heat: 'a lively simmer',
				after: ['stock:600', 'chop:7200'],
				sign: 'Flows on the plate; a bite left in the middle of a grain.'
			}
		),
		does('finish', 'finish', 'Beat in butter and cheese', about(120, 0.2), whole, {
			after: ['stir:30'],
			sign: 'Loose and shining, in waves.'
		})
	],
	vessels: vessels(['saucepan', 'stock', 'stir'], ['pot', 'stir', 'finish']),
	plate: { step: 'finish', perPlate: 8, free: 60, rate: 3, most: 360, keep: 'lid on, loosened with stock' }
};

const pilaf: Technique = {
	id: 'pilaf',
	name: 'Pilaf, in the oven',
	kind: 'starch',
	makes: 'rice',
	words: ['rice', 'pilau', 'basmati', 'baked'],
	about: 'Toasted, then forgotten in the oven: dry and loose.',
	parameters: [],
	ingredients: takes(
		['rice', 60, 'g', 'rinse', 's'],
		['onion', 20, 'g', 'chop', 'v', { yields: 'onion' }],
		['vegetable stock', 100, 'ml', 'toast', 's'],
		butter('toast', 6)
	),
	steps: [
		prepares('rinse', 'Rinse the rice', 90, 0.3),
		cuts('chop', 'Chop the onion', 'dice onion', 0.025),
		does(
			'toast',
			'cook',
			'Sweat the onion, toast the rice, stock to the boil',
			about(420, 0.2),
			touches([
				[0, 45, 'Onion into butter'],
				[0.5, 30, 'Rice in, stir'],
				[0.8, 20, 'Stock in']
			]),
			{
				need: burner(),
				load: { on: 'pot', kilograms: each(0.06), start: 18, litres: 2 },
				heat: 'medium',
				after: ['rinse:3600', 'chop:7200'],
				sign: 'Grains glassy, stock boiling.'
			}
		),
		does(
			'bake',
			'cook',
			'Bake the pilaf, covered',
			{ ...about(1080, 0, [0.85, 1.2]), core: { start: 95, target: 99 } },
			touches([
				[0, 20, 'Lid on, into the oven'],
				[1, 20, 'Pilaf out']
			]),
			{ need: oven(180, 170, 190), after: ['toast:60'], sign: 'Stock gone, small craters.' }
		),
		does('rest', 'rest', 'Let the pilaf stand, covered', about(480), touches([[1, 20, 'Fork it loose']]), {
			after: ['bake:0'],
			cautions: ['Cooked rice: cooled within an hour or kept hot.']
		})
	],
	vessels: vessels(['pot', 'toast', 'rest']),
	plate: plated('rest', 7, 'mash, braise, gratin')
};

/** Soaked in boiling water, off the heat. */
const steeped = (
	id: string,
	name: string,
	makes: string,
	minutes: number,
	litres: number,
	words: string[]
): Technique => ({
	id,
	name,
	kind: 'starch',
	makes,
	words,
	about: 'Only boiling water and a lid.',
	parameters: [],
	ingredients: takes([makes, 55, 'g', 'soak', 's'], salt('soak'), oil('loosen', 5)),
	steps: [
		boils('water', `the ${makes}`, litres, 0.05),
		does(
			'soak',
			'rest',
			`Let the ${makes} swell, covered`,
			about(minutes * 60),
			touches([[0, 30, `Boiling water over the ${makes}, lid on`]]),
			{ after: ['water:60'], sign: 'Water gone, soft to the bite.' }
		),
		does('loosen', 'finish', `Loosen the ${makes} with a fork`, about(60, 0.3), whole, { after: ['soak:1800'] })
	],
	vessels: vessels(['saucepan', 'water', 'loosen']),
	plate: plated('loosen', 7, 'mash, braise, gratin')
});
const couscous = steeped('couscous', 'Couscous', 'couscous', 8, 0.09, ['semolina', 'quick']);
const bulgur = steeped('bulgur', 'Bulgur', 'bulgur', 20, 0.12, ['wheat', 'grain']);

/** Dried pulses: soaked the night before, or not; simmered until they crush. */
const pulses = (
	id: string,
	name: string,
	what: string,
	minutes: number,
	z: number,
	isSoaked: boolean,
	words: string[],
	caution?: string
): Technique => ({
	id,
	name,
	kind: 'starch',
	makes: what,
	words: ['vegan', 'plant', ...words],
	parameters: [],
	ingredients: takes(
		[what, 55, 'g', isSoaked ? 'soak' : 'rinse', 's'],
		['onion', 20, 'g', 'simmer', 'v', { yields: 'onion' }],
		salt('simmer')
	),
	steps: [
		isSoaked
			? does(
					'soak',
					'soak',
					`Soak the ${what} overnight`,
					{ shortest: 6 * 3600, usual: 10 * 3600, longest: 18 * 3600 },
					touches([[0, 30, `${what.slice(0, 1).toUpperCase()}${what.slice(1)} into plenty of cold water`]]),
					{ ahead: true }
				)
			: prepares('rinse', `Rinse the ${what}, pick them over`, 90, 0.2),
		does(
			'simmer',
			'cook',
			`Simmer the ${what}`,
			computed({ kind: 'starch', seconds: minutes * 60, z }),
			touches([
				[0, 60, 'Fresh cold water on, to the boil, skim'],
				[0.7, 20, 'Crush one: soft?'],
				[1, 45, 'Drain, keep a cup of the broth']
			]),
			{
				need: burner(),
				load: { on: 'pot', kilograms: each(0.055), start: 18, litres: 5 },
				heat: 'a bare simmer',
				after: [isSoaked ? 'soak' : 'rinse:3600'],
				sign: 'One crushes between tongue and palate, the skin whole.',
				...(caution === undefined ? {} : { cautions: [caution] })
			}
		),
		does('dress', 'finish', `Season the ${what}`, about(90, 0.3), whole, { after: ['simmer:600'] })
	],
	vessels: vessels(['pot', 'simmer', 'dress']),
	ahead: early('simmer', 'cooked dishes, mash, stock', 'cooled fast, in their broth, in the cold', [0.15]),
	plate: plated('dress', 7, 'mash, braise, gratin')
});
const beans = pulses(
	'beans-dried',
	'Dried beans, soaked and simmered',
	'dried beans',
	75,
	35,
	true,
	['white beans', 'kidney'],
	'Kidney beans boil hard for ten minutes first: raw they are poisonous. Served warm: 63 °C and hotter.'
);
const chickpeas = pulses('chickpeas-dried', 'Chickpeas, soaked and simmered', 'dried chickpeas', 80, 35, true, [
	'hummus'
]);
const dal = pulses('dal', 'Dal of red lentils', 'red lentils', 25, 60, false, ['lentils', 'spice', 'curry']);

const freshPasta: Technique = {
	id: 'pasta-fresh',
	name: 'Fresh pasta',
	kind: 'starch',
	makes: 'pasta',
	words: ['noodles', 'tagliatelle', 'egg', 'handmade'],
	about: 'Dough and rolling in the afternoon, three minutes in the evening.',
	parameters: [],
	ingredients: takes(
		['strong flour', 65, 'g', 'dough', 's'],
		['whole egg', 0.65, 'pieces', 'dough', 'd'],
		salt('boil')
	),
	steps: [
		prepares('dough', 'Knead the dough', 600, 0.2, { sign: 'Silky, springs back.' }),
		does('rest', 'rest', 'Rest the dough, wrapped', about(1800), none, { after: ['dough:300'] }),
		prepares('roll', 'Roll and cut the pasta', 720, 0.7, { after: ['rest:7200'] }),
		boils('water', 'the pasta', 0.9, 0.7),
		does(
			'boil',
			'cook',
			'Boil the pasta',
			computed({ kind: 'starch', seconds: 180, z: 75 }),
			touches([
				[0, 20, 'Pasta into the salted water, stir'],
				[1, 45, 'Drain, keep a cup of the water']
			]),
			{
				need: burner(),
				load: { on: 'pot', kilograms: each(0.09), start: 18, litres: 7 },
				heat: 'a rolling boil',
				after: ['water:120', 'roll:3600'],
				sign: 'A bite: soft, with a little spring.',
				cautions: ['Steam when you drain: pour away from you.']
			}
		),
		does('toss', 'finish', 'Toss the pasta with oil or sauce', about(60, 0.3), whole, { after: ['boil:30'] })
	],
	vessels: vessels(['pot', 'water', 'toss']),
	ahead: early('roll', 'dough', 'floured, covered, in the cold'),
	plate: plated('toss', 7, 'greens')
};

const dumplings: Technique = {
	id: 'dumplings-filled',
	name: 'Filled dumplings',
	kind: 'starch',
	makes: 'dumplings',
	words: ['ravioli', 'pierogi', 'parcels', 'pockets'],
	about: 'Folded ahead, four minutes in the evening.',
	parameters: [],
	ingredients: takes(
		['dumpling wrappers', 6, 'pieces', 'fold', 's'],
		['ricotta', 50, 'g', 'mix', 'd'],
		['spinach', 30, 'g', 'mix', 'v', { yields: 'spinach' }],
		salt('mix')
	),
	steps: [
		prepares('mix', 'Mix the filling', 420, 0.4),
		handles('fold', 'Fold the dumplings', 'fill a pocket', 6, { after: ['mix:7200'] }),
		boils('water', 'the dumplings', 0.6, 0.8),
		does(
			'boil',
			'cook',
			'Boil the dumplings',
			computed({ kind: 'starch', seconds: 270, z: 75 }),
			touches([
				[0, 30, 'Dumplings into the water, stir once'],
				[1, 20, 'Lift them out as they float', 1]
			]),
			{
				need: burner(),
				load: { on: 'pot', kilograms: each(0.13), start: 5, litres: 5 },
				heat: 'a gentle boil',
				after: ['water:120', 'fold:3600'],
				sign: 'They float, their rims are soft.'
			}
		)
	],
	vessels: vessels(['pot', 'water', 'boil']),
	ahead: early('fold', 'raw mince, poultry, fish', 'floured, apart, in the cold'),
	plate: plated('boil', 8, 'greens')
};

const bakedPasta: Technique = {
	id: 'pasta-baked',
	name: 'Baked pasta in layers',
	kind: 'starch',
	makes: 'baked pasta',
	words: ['lasagne', 'gratin', 'oven'],
	about: 'Built in the afternoon; bakes alone.',
	parameters: [size('Depth in the dish', 25, 45, 70, 'depth')],
	ingredients: takes(
		['lasagne sheets', 45, 'g', 'layer', 's'],
		['passata', 120, 'ml', 'layer', 's'],
		['milk', 90, 'ml', 'sauce', 'd'],
		['plain flour', 7, 'g', 'sauce', 's'],
		butter('sauce', 7),
		['grated hard cheese', 15, 'g', 'layer', 'd']
	),
	steps: [
		does(
			'sauce',
			'cook',
			'Stir a white sauce',
			about(600, 0.2),
			touches(
				[
					[0, 120, 'Butter, flour, then milk little by little'],
					[1, 20, 'Off the heat']
				],
				[120, 20, 'Stir to the bottom']
			),
			{
				need: burner(),
				heat: 'medium-low',
				sign: 'Coats a spoon.'
			}
		),
		prepares('layer', 'Layer sheets, sauces and cheese', 420, 0.5, { after: ['sauce:3600'] }),
		does(
			'bake',
			'cook',
			'Bake the pasta',
			computed({ kind: 'bake', food: 'gratin', depth: metres('depth'), start: 30, core: 85, dose: 1.5 }),
			touches([
				[0, 30, 'Dish into the oven'],
				[0.5, 20, 'Turn the dish'],
				[1, 30, 'Knife in: out when it slides']
			]),
			{
				need: oven(180, 170, 190),
				load: { on: 'dish', litres: each(0.32), depth: metres('depth') },
				after: ['layer:3600'],
				sign: 'Bubbling in the middle, brown on top, a knife slides through.'
			}
		),
		does('rest', 'rest', 'Let it settle', about(600), none, { after: ['bake:0'] })
	],
	vessels: vessels(['saucepan', 'sauce', 'sauce'], ['dish', 'layer', 'rest']),
	ahead: early('layer', 'cooked dishes, mash, stock', 'layered, covered, in the cold'),
	plate: plated('rest', 10, 'mash, braise, gratin')
};

export const grainsAndPulses: readonly Technique[] = [
	risotto,
	pilaf,
	couscous,
	bulgur,
	beans,
	chickpeas,
	dal,
	freshPasta,
	dumplings,
	bakedPasta
];
