// Minced patties, sausages, thin coated cutlets, turkey breast, a stir-fry; a steak on the griddle; baked tofu.
import type { Technique } from '../../model/technique';
import {
	checked,
	food,
	from,
	mm,
	peak,
	piece,
	red,
	rests,
	salts,
	slices,
	stocked,
	tempering,
	tempers
} from '../meat-steps';
import {
	about,
	burner,
	butter,
	checks,
	computed,
	cuts,
	does,
	each,
	fat,
	handles,
	heats,
	hotOil,
	laid,
	marking,
	none,
	oil,
	oven,
	plated,
	prepares,
	quarterTurns,
	rawMeat,
	rawPoultry,
	resting,
	salt,
	share,
	size,
	start,
	styles,
	takes,
	thickness,
	touches,
	turning,
	vessels
} from '../forms';

const patties: Technique = {
	id: 'patties-pan',
	name: 'Minced patties, in the pan',
	kind: 'protein',
	makes: 'patties',
	words: ['burger', 'mince', 'beef', 'hamburger'],
	about: 'Minced meat is cooked through: what was outside is now inside.',
	parameters: [{ ...thickness, least: 12, usual: 18, most: 30 }, styles('mince', 'done'), start, turning, fat],
	ingredients: takes(['mince', 140, 'g', 'shape', 'm', { yields: 'mince' }], salt('fry'), oil('fry')),
	steps: [
		prepares('shape', 'Shape the patties, press a dent in each', 240, 0.9, { cautions: [rawMeat] }),
		heats('hot', 'the patties', 210),
		does(
			'fry',
			'cook',
			'Fry the patties',
			computed({ kind: 'pan', food: 'mince', thickness: mm, start: from, peak, turns: share('turns'), rest: 'served' }),
			touches(
				[
					[0, 10, 'Patties in, salt them', 5],
					[0.5, 5, 'Turn the patties', 4],
					[1, 15, 'Probe one from the side: off at {pull}', 5]
				],
				[share('turns'), 5, 'Turn the patties', 4]
			),
			{
				need: burner(1500),
				load: laid('pan', each(1), 0.11, undefined, 'pieces'),
				heat: 'high, then medium',
				after: ['hot:60', 'shape:3600'],
				sign: '{pull} in the middle; brown crust, juice clear.',
				cautions: ['Fan on, window open: it will smoke. Never disable a smoke alarm.']
			}
		)
	],
	vessels: vessels(['frying pan', 'hot', 'fry']),
	plate: plated('fry', 10, 'seared meat')
};

const sausages: Technique = {
	id: 'sausages-oven',
	name: 'Sausages, in the oven',
	kind: 'protein',
	makes: 'sausages',
	words: ['pork', 'banger', 'breakfast'],
	about: 'All at once, brown all round, no hands; burst none.',
	parameters: [{ ...size('Thickness', 15, 28, 40, 'thickness') }, start],
	ingredients: takes(['sausages', 130, 'g', 'roast', 'm', { yields: 'sausages' }], oil('roast', 3)),
	steps: [
		does(
			'roast',
			'cook',
			'Roast the sausages',
			computed({
				kind: 'roast',
				food: 'mince',
				face: 'skin',
				shape: 'cylinder',
				thickness: mm,
				start: from,
				peak: 74,
				rest: 'served'
			}),
			touches([
				[0, 20, 'Sausages onto an oiled tray, apart', 4],
				[0.6, 10, 'Turn the sausages', 4],
				[1, 30, 'Probe one from its end: out at {pull}']
			]),
			{
				need: oven(190, 180, 200, 210),
				load: laid('tray', each(2), 0.13, 0.03, 'pieces'),
				sign: 'Brown all round, {pull} in the middle.',
				cautions: [rawMeat]
			}
		)
	],
	vessels: vessels(['tray', 'roast', 'roast']),
	plate: plated('roast', 6, 'seared meat')
};

const sausagesPan: Technique = {
	...sausages,
	id: 'sausages-pan',
	name: 'Sausages, in the pan',
	about: 'Slow, from a cool pan: brown before they burst.',
	ingredients: takes(['sausages', 130, 'g', 'fry', 'm', { yields: 'sausages' }], oil('fry', 3)),
	parameters: [],
	steps: [
		does(
			'fry',
			'cook',
			'Fry the sausages, slowly',
			about(1080, 0, [0.8, 1.25]),
			touches(
				[
					[0, 15, 'Sausages into the cool pan', 4],
					[1, 30, 'Probe one from its end: 72 °C']
				],
				[180, 5, 'Roll them on', 2]
			),
			{
				need: burner(1200),
				load: laid('pan', each(2), 0.13, 0.03, 'pieces'),
				heat: 'medium-low',
				sign: 'Brown all round, 72 °C in the middle.',
				cautions: [rawMeat]
			}
		)
	],
	vessels: vessels(['frying pan', 'fry', 'fry']),
	plate: plated('fry', 6, 'seared meat')
};

const cutlet: Technique = {
	id: 'cutlet-coated',
	name: 'Thin cutlets, coated and fried',
	kind: 'protein',
	makes: 'coated cutlet',
	words: ['veal', 'pork', 'breaded', 'crumbed', 'escalope'],
	about: 'Beaten thin, three minutes in deep fat: coated at the last moment, or the crumbs go soft.',
	parameters: [fat],
	ingredients: takes(
		['veal cutlet', 130, 'g', 'beat', 'm', { yields: 'veal cutlet' }],
		['plain flour', 8, 'g', 'coat', 's'],
		['whole egg', 0.4, 'pieces', 'coat', 'd'],
		['dry breadcrumbs', 22, 'g', 'coat', 'b'],
		['vegetable oil', 60, 'ml', 'fry', 's', { grows: 0.4 }],
		salt('beat')
	),
	steps: [
		prepares('beat', 'Beat the cutlets thin, salt them', 180, 0.9, { cautions: [rawMeat] }),
		handles('coat', 'Coat the cutlets: flour, egg, crumbs', 'coat a piece', 1, {
			after: ['beat:3600'],
			cautions: ['Raw egg and meat: wash hands after.']
		}),
		heats('hot', 'the cutlets', 170, { cautions: [hotOil] }),
		does(
			'fry',
			'cook',
			'Fry the cutlets, swimming',
			about(240, 0, [0.75, 1.3]),
			touches([
				[0, 10, 'Cutlets in, away from you, never pressed', 5],
				[0.5, 5, 'Turn the cutlets', 4],
				[1, 10, 'Cutlets out onto a rack', 5]
			]),
			{
				need: burner(1500),
				load: laid('pan', each(1), 0.16, 0.11, 'pieces'),
				heat: '170 °C, a finger of fat',
				after: ['hot:60', 'coat:300'],
				sign: 'Gold, the coating puffed; the fat has gone quiet.',
				cautions: [hotOil]
			}
		)
	],
	vessels: vessels(['frying pan', 'hot', 'fry']),
	plate: plated('fry', 8, 'fried crust')
};

const turkey: Technique = {
	id: 'turkey-breast-roast',
	name: 'Turkey breast, roasted',
	kind: 'protein',
	makes: 'turkey breast',
	words: ['poultry', 'joint', 'holiday'],
	parameters: [
		{ ...thickness, name: 'Thickness across', least: 50, usual: 85, most: 130 },
		{ ...styles('poultry breast', 'classic'), usual: 74 },
		start,
		{ ...resting, usual: 1 }
	],
	ingredients: takes(
		['turkey breast', 150, 'g', 'salt', 'm', { yields: 'turkey breast' }],
		salt('salt'),
		butter('salt', 6)
	),
	steps: [
		prepares('salt', 'Dry, tie and salt the breast', 240, 0.4, { cautions: [rawPoultry] }),
		does(
			'roast',
			'cook',
			'Roast the turkey',
			computed({
				kind: 'roast',
				food: 'poultry breast',
				face: 'skin',
				shape: 'cylinder',
				thickness: mm,
				start: from,
				peak,
				rest: share('cover')
			}),
			touches([
				[0, 45, 'Turkey onto its tray, probe in the middle'],
				[0.5, 45, 'Baste, turn the tray'],
				[1, 45, 'Out at {pull}, onto a board']
			]),
			{ need: oven(160, 150, 170, 180), after: ['salt'], sign: '{pull} in the thickest part.' }
		),
		does(
			'rest',
			'rest',
			'Rest the turkey',
			computed({
				kind: 'rest',
				food: 'poultry breast',
				face: 'skin',
				shape: 'cylinder',
				thickness: mm,
				start: from,
				peak,
				oven: 160,
				rest: share('cover')
			}),
			none,
			{ after: ['roast:0'] }
		),
		checks('turkey'),
		handles('slice', 'Carve the turkey', 'carve a portion', 1, { after: ['check:1200'] })
	],
	vessels: vessels(['tray', 'roast', 'roast']),
	plate: plated('slice', 8, 'roast')
};

const stirFry: Technique = {
	id: 'stir-fry',
	name: 'Stir-fry of meat and vegetables',
	kind: 'protein',
	makes: 'stir-fry',
	words: ['wok', 'beef', 'peppers', 'noodles'],
	about: 'Everything cut and in bowls before the pan is hot: then it takes four minutes.',
	parameters: [fat],
	ingredients: takes(
		['beef steak', 90, 'g', 'cut', 'm', { yields: 'beef steak' }],
		['pepper', 60, 'g', 'vegetables', 'v', { yields: 'pepper' }],
		['broccoli', 50, 'g', 'vegetables', 'v', { yields: 'broccoli' }],
		['soy sauce', 12, 'ml', 'sauce', 's'],
		['cornflour', 2, 'g', 'sauce', 's'],
		oil('fry', 12)
	),
	steps: [
		prepares('vegetables', 'Cut the vegetables, into bowls', 420, 0.8),
		prepares('cut', 'Slice the meat thin across the grain', 240, 0.8, { after: ['vegetables'], cautions: [rawMeat] }),
		prepares('sauce', 'Mix the sauce', 90, 0.3),
		heats('hot', 'the stir-fry', 230),
		does(
			'fry',
			'cook',
			'Stir-fry: meat, vegetables, sauce',
			about(240, 0.25, [0.8, 1.3]),
			{ kind: 'whole' },
			{
				need: burner(1800),
				load: laid('pan', each(1), 0.13, undefined, 'pieces'),
				heat: 'as high as it goes',
				after: ['hot:30', 'cut:3600', 'vegetables:7200', 'sauce'],
				sign: 'Vegetables bright and crisp, sauce glossy.',
				cautions: ['Fan on, window open: it will smoke. Never disable a smoke alarm.']
			}
		)
	],
	vessels: vessels(['frying pan', 'hot', 'fry']),
	plate: plated('fry', 8, 'greens')
};

const steakGriddle: Technique = {
	id: 'steak-griddle',
	name: 'Steak, on the griddle',
	kind: 'protein',
	makes: 'steak',
	words: ['beef', 'plancha', 'flat top'],
	about: 'Many at once on one hot plate; the burners below are taken.',
	parameters: [thickness, red, start, piece, tempering, marking(45, 45)],
	ingredients: stocked('beef steak'),
	steps: checked(
		[
			salts('steaks'),
			{ ...tempers('steaks'), when: { parameter: 'temper', is: [1] } },
			does(
				'fry',
				'cook',
				'Sear the steaks on the griddle',
				computed({
					kind: 'pan',
					food,
					thickness: mm,
					start: from,
					peak,
					tempered: share('temper'),
					turns: share('turns')
				}),
				touches(
					[
						[0, 10, 'Steaks onto the griddle, across both burners', 5],
						...quarterTurns('Steaks'),
						[0.3, 5, 'Griddle down to medium'],
						[0.5, 5, 'Turn the steaks', 4],
						[1, 20, 'Probe from the side: off at {pull}', 5]
					],
					[share('turns'), 5, 'Turn the steaks', 4]
				),
				{
					need: { kind: 'griddle' },
					load: laid('griddle', each(1), 0.14, 0.09, 'pieces'),
					after: ['salt', 'temper'],
					sign: '{pull} in the middle; a brown crust.',
					cautions: ['Fan on: fat smokes. Never disable a smoke alarm.']
				}
			),
			rests('steaks', 'fry', {
				kind: 'pan-rest',
				food,
				thickness: mm,
				start: from,
				peak,
				tempered: share('temper'),
				turns: share('turns')
			}),
			slices('steaks')
		],
		'steaks',
		'none'
	),
	vessels: [],
	plate: plated('slice', 7, 'seared meat')
};

const tofuBaked: Technique = {
	id: 'tofu-baked',
	name: 'Tofu, marinated and baked',
	kind: 'protein',
	makes: 'tofu',
	words: ['vegan', 'plant', 'bean curd', 'soy'],
	about: 'No hands while it bakes; firm and brown.',
	parameters: [],
	ingredients: takes(
		['firm tofu', 140, 'g', 'cut', 's'],
		['soy sauce', 10, 'ml', 'marinate', 's'],
		['sesame oil', 4, 'ml', 'marinate', 's']
	),
	steps: [
		prepares('cut', 'Press and slice the tofu', 240, 0.6),
		does('marinate', 'marinate', 'Marinate the tofu', about(1200), touches([[0, 45, 'Tofu into the marinade']]), {
			after: ['cut:3600']
		}),
		does(
			'bake',
			'cook',
			'Bake the tofu',
			{ ...about(1620, 0, [0.8, 1.25]), core: { start: 18, target: 95 } },
			touches([
				[0, 20, 'Tofu onto the tray, apart', 3],
				[0.6, 10, 'Turn the tofu', 3],
				[1, 20, 'Tofu out']
			]),
			{
				need: oven(200, 190, 210),
				load: laid('tray', each(4), 0.06, 0.05, 'pieces'),
				after: ['marinate:14400'],
				sign: 'Brown at the rims, firm to the finger.'
			}
		)
	],
	vessels: vessels(['tray', 'bake', 'bake']),
	plate: plated('bake', 7, 'roast vegetables')
};

const beanPatties: Technique = {
	id: 'bean-patties',
	name: 'Bean patties, in the pan',
	kind: 'protein',
	makes: 'patties',
	words: ['vegan', 'plant', 'burger', 'beans'],
	about: 'Bound with oats; turned once, they hold.',
	parameters: [fat],
	ingredients: takes(
		['black beans', 110, 'g', 'mash', 's'],
		['oats', 15, 'g', 'mash', 's'],
		['onion', 20, 'g', 'onion', 'v', { yields: 'onion' }],
		oil('fry', 10),
		salt('mash')
	),
	steps: [
		cuts('onion', 'Chop the onion fine', 'dice onion', 0.025),
		prepares('mash', 'Mash the beans, shape the patties', 420, 0.8, { after: ['onion'] }),
		heats('hot', 'the patties', 180),
		does(
			'fry',
			'cook',
			'Fry the patties',
			about(480, 0, [0.8, 1.25]),
			touches([
				[0, 10, 'Patties in', 5],
				[0.5, 10, 'Turn the patties', 5],
				[1, 10, 'Patties out', 4]
			]),
			{
				need: burner(1200),
				load: laid('pan', each(1), 0.1, undefined, 'pieces'),
				heat: 'medium',
				after: ['hot:60', 'mash:7200'],
				sign: 'A firm brown crust on both faces, hot through.'
			}
		)
	],
	vessels: vessels(['frying pan', 'hot', 'fry']),
	plate: plated('fry', 8, 'fried crust')
};

export const minceAndCutlets: readonly Technique[] = [
	patties,
	sausages,
	sausagesPan,
	cutlet,
	turkey,
	stirFry,
	steakGriddle,
	tofuBaked,
	beanPatties
];
