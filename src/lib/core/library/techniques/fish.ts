// Fish and prawns: skin down in the pan, baked, steamed, poached, grilled.
import type { Step, Technique } from '../../model/technique';
import {
	boils,
	burner,
	computed,
	does,
	each,
	fat,
	heats,
	laid,
	oil,
	oven,
	plated,
	prepares,
	salt,
	share,
	size,
	start,
	steamBurns,
	styles,
	takes,
	thickness,
	touches,
	turning,
	vessels,
	weight
} from '../forms';
import { from, mm, peak } from './poultry';

const flaking = styles('white fish', 'just flaking');

const fillet = [
	{ ...thickness, least: 10, most: 45, usual: 22 },
	flaking,
	start,
	weight('Weight of one, raw', 100, 170, 300)
];

const fish = (step: string, fat = true) =>
	takes(
		['fish fillet', { by: 'weight', times: 1, plus: 0 }, 'g', 'salt', 'm'],
		salt('salt'),
		...(fat ? [oil(step)] : [])
	);

const bones = (): Step =>
	prepares('salt', 'Pull the bones, dry and salt the fillets', 240, 0.9, {
		cautions: ['Raw fish: its own board, wash hands after.']
	});

const fishPan: Technique = {
	id: 'fish-fillet-pan',
	name: 'Fish fillet, skin down in the pan',
	kind: 'protein',
	makes: 'fish fillet',
	words: ['fish', 'crisp skin', 'bass', 'bream'],
	parameters: [
		...fillet,
		{
			...turning,
			usual: 0,
			options: [
				{ value: 0, say: 'once, at the end' },
				{ value: 45, say: 'often' }
			]
		},
		fat
	],
	ingredients: fish('fry'),
	steps: [
		bones(),
		heats('hot', 'the fish', 200),
		does(
			'fry',
			'cook',
			'Fry the fillets, skin down',
			computed({
				kind: 'pan',
				food: 'white fish',
				thickness: mm,
				start: from,
				peak,
				turns: share('turns'),
				turnedAt: 0.75,
				skin: 'fish',
				rest: 'served'
			}),
			touches([
				[0, 45, 'Skin down, press each for ten seconds'],
				[0.75, 30, 'Turn the fillets, butter in'],
				[1, 20, 'Fillets out, skin up']
			]),
			{
				need: burner(1500),
				load: laid('pan', each(1), 0.15, 0.07, 'pieces'),
				heat: 'high, then medium',
				after: ['hot:60', 'salt'],
				sign: 'White has climbed two thirds up; skin lets go by itself.',
				cautions: ['Hot oil: lay the fish away from you.']
			}
		)
	],
	vessels: vessels(['frying pan', 'hot', 'fry']),
	plate: plated('fry', 7, 'fish')
};

const fishOven: Technique = {
	id: 'fish-fillet-oven',
	name: 'Fish fillet, in the oven',
	kind: 'protein',
	makes: 'fish fillet',
	words: ['fish', 'baked', 'cod'],
	parameters: fillet,
	ingredients: fish('bake'),
	steps: [
		bones(),
		does(
			'bake',
			'cook',
			'Bake the fillets',
			computed({ kind: 'roast', food: 'white fish', thickness: mm, start: from, peak, rest: 'served' }),
			touches([
				[0, 30, 'Fillets onto an oiled tray'],
				[1, 30, 'Probe the thickest: out at {pull}']
			]),
			{
				need: oven(180, 160, 170, 190, 200),
				load: laid('tray', each(1), 0.15, 0.07, 'pieces'),
				after: ['salt'],
				sign: 'Just flaking at a push.'
			}
		)
	],
	vessels: vessels(['tray', 'bake', 'bake']),
	plate: plated('bake', 7, 'fish')
};

const fishSteamed: Technique = {
	id: 'fish-fillet-steamed',
	name: 'Fish fillet, steamed',
	kind: 'protein',
	makes: 'fish fillet',
	words: ['fish', 'steamer', 'ginger'],
	parameters: fillet,
	ingredients: fish('steam', false),
	steps: [
		bones(),
		does(
			'steam',
			'cook',
			'Steam the fillets',
			computed({
				kind: 'immerse',
				food: 'white fish',
				shape: 'slab',
				size: mm,
				start: from,
				core: peak,
				in: 'steam'
			}),
			touches([
				[0, 30, 'Fillets into the steam'],
				[1, 30, 'Probe the thickest: out at {pull}']
			]),
			{
				need: { kind: 'steamer' },
				load: laid('steamer', each(1), 0.15, 0.07, 'pieces'),
				after: ['salt'],
				sign: 'Just flaking at a push.',
				cautions: [steamBurns]
			}
		)
	],
	vessels: [],
	plate: plated('steam', 7, 'fish')
};

const fishPoached: Technique = {
	id: 'fish-fillet-poached',
	name: 'Fish fillet, poached',
	kind: 'protein',
	makes: 'fish fillet',
	words: ['fish', 'milk', 'broth'],
	parameters: fillet,
	ingredients: fish('poach', false),
	steps: [
		bones(),
		boils('water', 'poaching', 0.3, 0.3),
		does(
			'poach',
			'cook',
			'Poach the fillets',
			computed({
				kind: 'immerse',
				food: 'white fish',
				shape: 'slab',
				size: mm,
				start: from,
				core: peak,
				in: 'water',
				at: 75
			}),
			touches([
				[0, 45, 'Fillets in, heat off the boil'],
				[1, 45, 'Lift out the fillets at {pull}']
			]),
			{
				need: burner(),
				load: { on: 'pot', kilograms: each(0.16), start: 5, litres: 1.9 },
				heat: '75 °C, no bubbles',
				after: ['water:240', 'salt'],
				sign: 'Just flaking at a push.'
			}
		)
	],
	vessels: vessels(['pot', 'water', 'poach']),
	plate: plated('poach', 8, 'fish')
};

const salmonSlow: Technique = {
	id: 'salmon-low-oven',
	name: 'Salmon, slow in a low oven',
	kind: 'protein',
	makes: 'salmon',
	words: ['fish', 'side', 'low'],
	parameters: [{ ...thickness, least: 15, most: 50, usual: 30 }, styles('salmon, trout', 'tender'), start],
	ingredients: takes(['salmon', 150, 'g', 'salt', 'm', { yields: 'salmon' }], salt('salt'), oil('bake')),
	steps: [
		bones(),
		does(
			'bake',
			'cook',
			'Bake the salmon, low',
			computed({ kind: 'roast', food: 'salmon', thickness: mm, start: from, peak, rest: 'served' }),
			touches([
				[0, 30, 'Salmon into the low oven'],
				[1, 30, 'Probe the thickest: out at {pull}']
			]),
			{
				need: oven(110, 100, 120, 130),
				load: laid('tray', each(1), 0.15, 0.07, 'pieces'),
				after: ['salt'],
				sign: 'Flakes part, still glassy in the middle.'
			}
		)
	],
	vessels: vessels(['tray', 'bake', 'bake']),
	plate: plated('bake', 7, 'fish')
};

const salmonGrill: Technique = {
	...salmonSlow,
	id: 'salmon-grill',
	name: 'Salmon, on the grill',
	words: ['fish', 'barbecue'],
	steps: [
		bones(),
		does(
			'bake',
			'cook',
			'Grill the salmon',
			computed({ kind: 'roast', food: 'salmon', thickness: mm, start: from, peak, turns: 0, rest: 'served' }),
			touches([
				[0, 30, 'Salmon onto the oiled grate'],
				[0.6, 30, 'Turn the salmon'],
				[1, 30, 'Off at {pull}']
			]),
			{
				need: { kind: 'grill', between: [200, 340] },
				load: laid('grill', each(1), 0.15, 0.07, 'pieces'),
				sign: 'Flakes part, still glassy in the middle.',
				after: ['salt'],
				cautions: ['Fat flares: a cool side to move to.']
			}
		)
	],
	vessels: []
};

const prawns: Technique = {
	id: 'prawns-griddle',
	name: 'Prawns, on the griddle',
	kind: 'protein',
	makes: 'prawns',
	words: ['shellfish', 'plancha'],
	parameters: [size('Thickness', 10, 16, 28, 'thickness'), start],
	ingredients: takes(['prawns', 120, 'g', 'peel', 'm', { yields: 'prawns' }], salt('fry'), oil('fry')),
	steps: [
		prepares('peel', 'Peel the prawns', 600, 1, { cautions: ['Raw shellfish: its own board, wash hands after.'] }),
		does(
			'fry',
			'cook',
			'Sear the prawns on the griddle',
			computed({ kind: 'pan', food: 'white fish', thickness: mm, start: from, peak: 60, turns: 45, rest: 'served' }),
			touches([
				[0, 45, 'Prawns onto the griddle'],
				[0.5, 45, 'Turn the prawns'],
				[1, 30, 'Prawns off']
			]),
			{
				need: { kind: 'griddle' },
				load: laid('griddle', each(5), 0.06, 0.025, 'pieces'),
				after: ['peel:3600'],
				sign: 'Curled to a C, not to an O; no grey left.'
			}
		)
	],
	vessels: [],
	plate: plated('fry', 7, 'fish')
};

export const fishes: readonly Technique[] = [
	fishPan,
	fishOven,
	fishSteamed,
	fishPoached,
	salmonSlow,
	salmonGrill,
	prawns
];
