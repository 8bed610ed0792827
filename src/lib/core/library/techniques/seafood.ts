// More from the sea: whole fish, salmon in the pan, scallops, tuna, squid, mussels.
import type { Technique } from '../../model/technique';
import {
	about,
	burner,
	butter,
	computed,
	cuts,
	does,
	each,
	fat,
	heats,
	laid,
	metres,
	degrees,
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
	vessels
} from '../forms';

const mm = metres('thickness');
const from = degrees('start');
const peak = degrees('peak');
const rawFish = 'Raw fish: its own board, wash hands after.';

const wholeFish: Technique = {
	id: 'fish-whole-roast',
	name: 'Whole fish, roasted',
	kind: 'protein',
	makes: 'whole fish',
	words: ['fish', 'bream', 'bass', 'trout', 'bone'],
	about: 'One for each or one for all; juicier on its bones.',
	parameters: [
		{ ...thickness, name: 'Thickness behind the head', least: 25, usual: 45, most: 80 },
		styles('white fish', 'flaky'),
		start
	],
	ingredients: takes(['whole fish', 170, 'g', 'salt', 'm', { yields: 'whole fish' }], salt('salt'), oil('salt')),
	steps: [
		prepares('salt', 'Scale, slash and salt the fish', 300, 0.8, { cautions: [rawFish] }),
		does(
			'roast',
			'cook',
			'Roast the fish',
			computed({ kind: 'roast', food: 'white fish', bone: 1.05, thickness: mm, start: from, peak, rest: 'served' }),
			touches([
				[0, 30, 'Fish onto an oiled tray'],
				[1, 45, 'Probe by the bone: out at {pull}']
			]),
			{
				need: oven(200, 180, 190, 210, 220),
				load: laid('tray', each(1), 0.28, 0.1, 'pieces'),
				after: ['salt'],
				sign: 'The back fin pulls out; flesh leaves the bone.'
			}
		)
	],
	vessels: vessels(['tray', 'roast', 'roast']),
	plate: plated('roast', 10, 'fish')
};

const salmonPan: Technique = {
	id: 'salmon-pan',
	name: 'Salmon, skin down in the pan',
	kind: 'protein',
	makes: 'salmon',
	words: ['fish', 'crisp skin'],
	parameters: [
		{ ...thickness, least: 15, usual: 25, most: 40 },
		styles('salmon, trout', 'tender'),
		start,
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
	ingredients: takes(['salmon', 150, 'g', 'salt', 'm', { yields: 'salmon' }], salt('salt'), oil('fry')),
	steps: [
		prepares('salt', 'Pull the bones, dry and salt the salmon', 180, 0.9, { cautions: [rawFish] }),
		heats('hot', 'the salmon', 200),
		does(
			'fry',
			'cook',
			'Fry the salmon, skin down',
			computed({
				kind: 'pan',
				food: 'salmon',
				skin: 'fish',
				thickness: mm,
				start: from,
				peak,
				turns: share('turns'),
				turnedAt: 0.75,
				rest: 'served'
			}),
			touches([
				[0, 15, 'Skin down, press each for ten seconds', 10],
				[0.75, 10, 'Turn the salmon', 5],
				[1, 10, 'Salmon out, skin up, at {pull}', 5]
			]),
			{
				need: burner(1500),
				load: laid('pan', each(1), 0.13, 0.07, 'pieces'),
				heat: 'high, then medium',
				after: ['hot:60', 'salt:3600'],
				sign: 'Pale has climbed two thirds up; the skin lets go by itself.',
				cautions: ['Hot oil: lay the fish away from you.']
			}
		)
	],
	vessels: vessels(['frying pan', 'hot', 'fry']),
	plate: plated('fry', 7, 'fish')
};

const scallops: Technique = {
	id: 'scallops-pan',
	name: 'Scallops, seared',
	kind: 'protein',
	makes: 'scallops',
	words: ['shellfish', 'molluscs'],
	about: 'Two minutes; everything else on the plate before they go in.',
	parameters: [size('Thickness', 12, 20, 35, 'thickness'), styles('scallop', 'done'), start, fat],
	ingredients: takes(['scallops', 90, 'g', 'dry', 'm', { yields: 'scallops' }], salt('fry'), butter('fry', 8)),
	steps: [
		prepares('dry', 'Dry the scallops, take off the muscle', 180, 0.8, {
			cautions: ['Raw shellfish: its own board, wash hands after.']
		}),
		heats('hot', 'the scallops', 220),
		does(
			'fry',
			'cook',
			'Sear the scallops',
			computed({
				kind: 'pan',
				food: 'white fish',
				thickness: mm,
				start: from,
				peak,
				turns: 0,
				turnedAt: 0.6,
				rest: 'served'
			}),
			touches([
				[0, 10, 'Scallops in, clockwise, not touching', 3],
				[0.6, 10, 'Turn the scallops in the same order', 3],
				[1, 10, 'Scallops out', 3]
			]),
			{
				need: burner(1800),
				load: laid('pan', each(4), 0.05, undefined, 'pieces'),
				heat: 'high',
				after: ['hot:30', 'dry:1800'],
				sign: 'A brown face, sides still glassy; springs back.',
				cautions: ['Hot fat spits at wet shellfish: dry it well.']
			}
		)
	],
	vessels: vessels(['frying pan', 'hot', 'fry']),
	plate: plated('fry', 8, 'fish')
};

const tuna: Technique = {
	id: 'tuna-seared',
	name: 'Tuna, seared and rare',
	kind: 'protein',
	raw: 'fish',
	makes: 'tuna',
	words: ['fish', 'rare', 'sesame'],
	about: 'Brown outside, raw within: only fish that was frozen first.',
	parameters: [{ ...thickness, least: 20, usual: 30, most: 45 }, styles('tuna', 'rare'), start, turning, fat],
	ingredients: takes(['tuna', 140, 'g', 'dry', 'm', { yields: 'tuna' }], salt('dry'), oil('fry')),
	steps: [
		prepares('dry', 'Dry and salt the tuna', 90, 0.7, {
			cautions: [rawFish, 'Eaten rare: fish that was frozen through (−20 °C for a day) against parasites.']
		}),
		heats('hot', 'the tuna', 230),
		does(
			'fry',
			'cook',
			'Sear the tuna',
			computed({
				kind: 'pan',
				food: 'white fish',
				thickness: mm,
				start: from,
				peak,
				turns: share('turns'),
				rest: 'served'
			}),
			touches(
				[
					[0, 10, 'Tuna in', 5],
					[0.5, 5, 'Turn the tuna', 4],
					[1, 15, 'Tuna out at {pull}', 5]
				],
				[share('turns'), 5, 'Turn the tuna', 4]
			),
			{
				need: burner(1800),
				load: laid('pan', each(1), 0.12, 0.08, 'pieces'),
				heat: 'high',
				after: ['hot:30', 'dry:1800'],
				sign: 'Pale two or three millimetres deep on both faces.'
			}
		)
	],
	vessels: vessels(['frying pan', 'hot', 'fry']),
	plate: plated('fry', 10, 'fish')
};

const squid: Technique = {
	id: 'squid-pan',
	name: 'Squid, seared quickly',
	kind: 'protein',
	makes: 'squid',
	words: ['calamari', 'molluscs'],
	about: 'Two minutes or forty: in between it is rubber.',
	parameters: [fat],
	ingredients: takes(['squid', 110, 'g', 'clean', 'm', { yields: 'squid' }], salt('fry'), oil('fry')),
	steps: [
		prepares('clean', 'Clean, open and score the squid', 420, 0.9, {
			cautions: ['Raw shellfish: its own board, wash hands after.']
		}),
		heats('hot', 'the squid', 230),
		does(
			'fry',
			'cook',
			'Sear the squid',
			about(120, 0, [0.8, 1.2]),
			touches([
				[0, 10, 'Squid in, one layer', 3],
				[0.5, 10, 'Turn the squid', 3],
				[1, 10, 'Squid out', 2]
			]),
			{
				need: burner(1800),
				load: laid('pan', each(2), 0.09, 0.06, 'pieces'),
				heat: 'as high as it goes',
				after: ['hot:30', 'clean:3600'],
				sign: 'Curled and white, just charred: out at once.'
			}
		)
	],
	vessels: vessels(['frying pan', 'hot', 'fry']),
	plate: plated('fry', 7, 'fish')
};

const mussels: Technique = {
	id: 'mussels-steamed',
	name: 'Mussels, steamed open',
	kind: 'protein',
	makes: 'mussels',
	words: ['shellfish', 'molluscs', 'wine'],
	about: 'Five minutes under a lid; what stays shut is thrown away.',
	parameters: [],
	ingredients: takes(
		['mussels', 90, 'g', 'clean', 'm', { yields: 'mussels' }],
		['wine', 40, 'ml', 'steam', 's'],
		['shallot', 0.5, 'pieces', 'chop', 'v'],
		['chopped parsley', 3, 'g', 'steam', 'h']
	),
	steps: [
		prepares('clean', 'Scrub and beard the mussels', 480, 0.9, {
			cautions: ['What is open and does not close at a knock is dead: away with it.']
		}),
		cuts('chop', 'Chop shallots and parsley', 'dice onion', 0.02),
		does(
			'boil',
			'cook',
			'Soften the shallots, bring the wine to the boil',
			about(240, 0.1),
			touches([
				[0, 30, 'Shallots into butter'],
				[0.6, 20, 'Wine in, full heat']
			]),
			{ need: burner(1500), heat: 'medium, then full', after: ['chop:7200'], sign: 'Boiling hard.' }
		),
		does(
			'steam',
			'cook',
			'Steam the mussels open',
			about(300, 0.15, [0.8, 1.3]),
			touches([
				[0, 30, 'Mussels in, lid on'],
				[0.5, 15, 'Shake the pot'],
				[1, 45, 'Lift out what is open']
			]),
			{
				need: burner(1500),
				load: { on: 'pot', kilograms: each(0.42), start: 5, litres: 0.6 },
				heat: 'full, lid on',
				after: ['boil:30', 'clean:3600'],
				sign: 'Open, the meat plump. What stays shut is not eaten.',
				cautions: [steamBurns]
			}
		)
	],
	vessels: vessels(['pot', 'boil', 'steam']),
	plate: plated('steam', 10, 'fish')
};

export const seafood: readonly Technique[] = [wholeFish, salmonPan, scallops, tuna, squid, mussels];
