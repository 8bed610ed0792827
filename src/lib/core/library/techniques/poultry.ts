// Poultry and tofu: skin down from a cold pan, poached, in a bath, roasted whole.
import type { Step, Technique } from '../../model/technique';
import {
	about,
	boils,
	checks,
	burner,
	butter,
	computed,
	degrees,
	does,
	each,
	fat,
	handles,
	heats,
	kilograms,
	laid,
	metres,
	none,
	oil,
	oven,
	plated,
	prepares,
	rawPoultry,
	resting,
	salt,
	share,
	start,
	styles,
	takes,
	thickness,
	touches,
	vessels,
	weight
} from '../forms';

export const mm = metres('thickness');

export const from = degrees('start');

export const peak = degrees('peak');

const breast = styles('poultry breast', 'tender');

const bird = [{ ...thickness, usual: 32 }, breast, start, weight('Weight of one, raw', 100, 180, 300)];

const chicken = (step = 'fry') =>
	takes(['chicken breast', { by: 'weight', times: 1, plus: 0 }, 'g', 'salt', 'm'], salt('salt'), oil(step));

const salts = (what: string): Step =>
	prepares('salt', `Pat dry and salt the ${what}`, 90, 0.7, { cautions: [rawPoultry] });

const carves = (what: string, after: string): Step =>
	handles('slice', `Slice the ${what}`, 'carve a portion', 1, { after: [after] });

const chickenPan: Technique = {
	id: 'chicken-breast-pan',
	name: 'Poultry breast, skin down from a cold pan, finished in the oven',
	kind: 'protein',
	makes: 'chicken breast',
	words: ['chicken', 'poultry', 'crisp skin'],
	parameters: [...bird, resting],
	ingredients: chicken('sear'),
	steps: [
		salts('breasts'),
		does(
			'sear',
			'cook',
			'Crisp the skin from a cold pan',
			about(480),
			touches([
				[0, 30, 'Skin down, the pan cold or cooled; press'],
				[0.5, 15, 'Press again, pour off fat']
			]),
			{
				need: burner(1200),
				load: laid('pan', each(1), 0.15, 0.09, 'pieces'),
				heat: 'medium',
				after: ['salt'],
				sign: 'Skin thin, gold and rattling.',
				cautions: ['Hot fat spits.']
			}
		),
		does(
			'roast',
			'cook',
			'Roast the breasts through',
			computed({
				kind: 'roast',
				food: 'poultry breast',
				thickness: mm,
				start: from,
				peak,
				seared: { seconds: 480, of: 'skin' },
				rest: share('cover')
			}),
			touches([
				[0, 30, 'Breasts into the oven, skin up'],
				[1, 45, 'Probe the thickest: out at {pull}']
			]),
			{
				need: oven(180, 160, 170, 190, 200),
				load: laid('tray', each(1), 0.15, 0.09, 'pieces'),
				after: ['sear:120'],
				sign: '{pull} in the thickest part.'
			}
		),
		does(
			'rest',
			'rest',
			'Rest the breasts',
			computed({
				kind: 'rest',
				food: 'poultry breast',
				thickness: mm,
				start: from,
				peak,
				seared: { seconds: 480, of: 'skin' },
				oven: 180,
				rest: share('cover')
			}),
			none,
			{ after: ['roast:0'] }
		),
		checks('breasts'),
		carves('breasts', 'check:420')
	],
	vessels: vessels(['frying pan', 'sear', 'sear'], ['tray', 'roast', 'roast']),
	plate: plated('slice', 7, 'seared meat')
};

const chickenPoached: Technique = {
	id: 'chicken-breast-poached',
	name: 'Poultry breast, poached',
	kind: 'protein',
	makes: 'chicken breast',
	words: ['chicken', 'poultry', 'broth'],
	parameters: bird,
	ingredients: takes(
		['chicken breast', { by: 'weight', times: 1, plus: 0 }, 'g', 'salt', 'm'],
		salt('salt'),
		['carrot', 15, 'g', 'water', 'v'],
		['celery stick', 10, 'g', 'water', 'v']
	),
	steps: [
		salts('breasts'),
		boils('water', 'poaching', 0.4, 0.4),
		does(
			'poach',
			'cook',
			'Poach the breasts',
			computed({
				kind: 'immerse',
				food: 'poultry breast',
				shape: 'slab',
				size: mm,
				start: from,
				core: peak,
				in: 'water',
				at: 80
			}),
			touches([
				[0, 30, 'Breasts in, heat down to a quiver'],
				[1, 45, 'Probe the thickest: out at {pull}']
			]),
			{
				need: burner(),
				load: { on: 'pot', kilograms: each(0.2), start: 5, litres: 1.9 },
				heat: 'a quiver, 80 °C',
				after: ['water:180', 'salt'],
				sign: '{pull} in the thickest part.'
			}
		),
		carves('breasts', 'poach:600')
	],
	vessels: vessels(['pot', 'water', 'poach']),
	plate: plated('slice', 7, 'seared meat')
};

const chickenBath: Technique = {
	id: 'chicken-breast-bath',
	name: 'Poultry breast, water bath then crisped',
	kind: 'protein',
	makes: 'chicken breast',
	words: ['chicken', 'poultry', 'bag'],
	parameters: [...bird, fat],
	ingredients: chicken('crisp'),
	steps: [
		prepares('salt', 'Salt and bag the breasts', 240, 0.8, { cautions: [rawPoultry] }),
		does(
			'bath',
			'cook',
			'Bring the breasts to their heat in the bath',
			computed({
				kind: 'immerse',
				food: 'poultry breast',
				shape: 'slab',
				size: mm,
				start: from,
				core: degrees('peak', -0.7),
				in: 'bath',
				at: peak,
				held: true
			}),
			touches([
				[0, 30, 'Bags into the bath'],
				[1, 45, 'Bags out, skin dried']
			]),
			{ need: { kind: 'water bath', setting: peak }, load: { on: 'bath', kilograms: each(0.18) }, after: ['salt:7200'] }
		),
		does(
			'hold',
			'hold',
			'Hold the breasts in the bath',
			computed({ kind: 'pasteurise', food: 'poultry breast', core: peak }),
			none,
			{
				need: { kind: 'water bath', setting: peak },
				after: ['bath:0'],
				sign: 'Held long enough to be as safe as hotter.'
			}
		),
		heats('hot', 'the skin', 200),
		does(
			'crisp',
			'cook',
			'Crisp the skin',
			computed({ kind: 'crust', pan: 200, faces: 1 }),
			touches([
				[0, 30, 'Skin down'],
				[1, 20, 'Breasts out']
			]),
			{
				need: burner(1200),
				load: laid('pan', each(1), 0.15, 0.09, 'pieces'),
				heat: 'medium-high',
				after: ['hot:60', 'hold:600']
			}
		),
		carves('breasts', 'crisp:300')
	],
	vessels: vessels(['frying pan', 'hot', 'crisp']),
	plate: plated('slice', 7, 'seared meat')
};

/** Thighs in one heat, their rest, and a look by the bone; `more` of the heat that they rest from. */
const thighSteps = (
	say: string,
	hands: Step['hands'],
	more: Pick<Step, 'need' | 'load' | 'cautions'>,
	heat: { readonly turns?: number },
	rested: { readonly oven: number; readonly fire?: 'grill' }
): Step[] => {
	const food = {
		food: 'poultry thigh',
		face: 'skin',
		bone: 1.1,
		thickness: mm,
		start: from,
		peak,
		...heat,
		rest: share('cover')
	} as const;
	return [
		salts('thighs'),
		does('roast', 'cook', say, computed({ kind: 'roast', ...food }), hands, {
			...more,
			after: ['salt'],
			sign: '{pull} by the bone, juice clear.'
		}),
		does('rest', 'rest', 'Rest the thighs', computed({ kind: 'rest', ...food, ...rested }), none, {
			after: ['roast:0']
		}),
		checks('thighs')
	];
};

const thighs: Technique = {
	id: 'chicken-thighs-roast',
	name: 'Chicken thighs, roasted',
	kind: 'protein',
	makes: 'chicken thighs',
	words: ['chicken', 'poultry', 'legs'],
	parameters: [{ ...thickness, usual: 38 }, styles('poultry leg', 'done'), start, resting],
	ingredients: takes(['chicken thigh', 160, 'g', 'salt', 'm', { yields: 'chicken thigh' }], salt('salt'), oil('salt')),
	steps: thighSteps(
		'Roast the thighs',
		touches([
			[0, 30, 'Thighs into the oven, skin up'],
			[0.6, 30, 'Baste, turn the tray'],
			[1, 45, 'Probe by the bone: out at {pull}']
		]),
		{ need: oven(200, 180, 190, 210, 220), load: laid('tray', each(1.5), 0.13, 0.1, 'pieces') },
		{},
		{ oven: 200 }
	),
	vessels: vessels(['tray', 'roast', 'check']),
	plate: plated('check', 6, 'roast')
};

const thighsGrilled: Technique = {
	...thighs,
	id: 'chicken-thighs-grill',
	name: 'Chicken thighs, grilled gently',
	words: ['chicken', 'poultry', 'barbecue', 'charcoal'],
	about:
		'Lid on, over the gentle half, a grill turned down or falling coals: over fierce heat the skin burns before the bone is safe.',
	steps: thighSteps(
		'Grill the thighs gently',
		touches(
			[
				[0, 20, 'Thighs onto gentle heat, skin up, lid on', 5],
				[1, 25, 'Probe by the bone: off at {pull}', 5]
			],
			[300, 10, 'Turn the thighs', 4]
		),
		{
			need: { kind: 'grill', between: [140, 210] },
			load: laid('grill', each(1.5), 0.13, 0.1, 'pieces'),
			cautions: ['Dripping fat flares: off the flames, never water on them.']
		},
		{ turns: 300 },
		{ oven: 170, fire: 'grill' }
	),
	vessels: []
};

const wholeBird: Technique = {
	id: 'chicken-whole-roast',
	name: 'Whole chicken, roasted and carved off the bone',
	kind: 'protein',
	makes: 'whole chicken',
	words: ['chicken', 'poultry', 'bird'],
	parameters: [
		weight('The bird, ready for the oven', 1000, 1500, 2500),
		{ ...breast, usual: 74, why: 'the breast at 74 leaves the leg at 80' },
		start,
		{ ...resting, usual: 1 }
	],
	ingredients: takes(
		['whole chicken', { by: 'weight', times: 0.25, plus: 0 }, 'g', 'salt', 'm', { whole: degrees('weight') }],
		salt('salt'),
		butter('salt', 6)
	),
	steps: [
		prepares('salt', 'Dry, tie and salt the bird', 300, 0.5, {
			cautions: [rawPoultry, 'Never stuffed: what is inside would be the last to be safe.']
		}),
		does(
			'roast',
			'cook',
			'Roast the bird',
			computed({
				kind: 'roast',
				food: 'poultry breast',
				shape: 'bird',
				thickness: kilograms('weight'),
				start: from,
				peak,
				rest: share('cover')
			}),
			touches([
				[0, 45, 'Bird into the oven, probe in the breast'],
				[0.5, 45, 'Baste, turn the tray'],
				[1, 60, 'Out at {pull}, tip out the juice, onto a board']
			]),
			{
				need: oven(180, 170, 190, 200),
				load: laid('tray', each(0.25), 0.27, 0.2, 'pieces'),
				after: ['salt'],
				sign: '{pull} in the breast; the leg gives when wiggled.'
			}
		),
		does(
			'rest',
			'rest',
			'Rest the bird',
			computed({
				kind: 'rest',
				food: 'poultry breast',
				shape: 'bird',
				thickness: kilograms('weight'),
				start: from,
				peak,
				oven: 180,
				rest: share('cover')
			}),
			none,
			{ after: ['roast:0'] }
		),
		checks('bird'),
		handles('carve', 'Carve the bird', 'carve a portion', 2, { after: ['check:1200'] })
	],
	vessels: vessels(['tray', 'roast', 'roast']),
	plate: plated('carve', 8, 'roast')
};

const tofu: Technique = {
	id: 'tofu-pan',
	name: 'Tofu, pressed and crisped',
	kind: 'protein',
	makes: 'tofu',
	words: ['vegetarian', 'vegan', 'bean curd'],
	parameters: [fat],
	ingredients: takes(['firm tofu', 130, 'g', 'press', 's'], ['cornflour', 8, 'g', 'coat', 's'], oil('fry', 12)),
	steps: [
		does(
			'press',
			'soak',
			'Press the tofu',
			about(1200),
			touches([
				[0, 60, 'Tofu between cloths, weight on'],
				[1, 30, 'Unwrap the tofu']
			])
		),
		handles('coat', 'Cut and dust the tofu', 'coat a piece', 4, { after: ['press:7200'] }),
		heats('hot', 'the tofu', 190),
		does(
			'fry',
			'cook',
			'Crisp the tofu',
			computed({ kind: 'crust', pan: 190, faces: 2 }),
			touches([
				[0, 60, 'Tofu in, not touching'],
				[0.5, 60, 'Turn the tofu'],
				[1, 30, 'Tofu out onto paper']
			]),
			{
				need: burner(1200),
				load: laid('pan', each(4), 0.04, 0.04, 'pieces'),
				heat: 'medium-high',
				after: ['hot:60', 'coat:1200'],
				sign: 'Gold and dry on both faces.'
			}
		)
	],
	vessels: vessels(['frying pan', 'hot', 'fry']),
	plate: plated('fry', 7, 'fried crust')
};

export const poultry: readonly Technique[] = [
	chickenPan,
	chickenPoached,
	chickenBath,
	thighs,
	thighsGrilled,
	wholeBird,
	tofu
];
