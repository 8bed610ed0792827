// Racks, whole cuts and roasts, bacon, meatballs.
import type { CrustKind } from '../../heat/crusts';
import type { Step, Technique } from '../../model/technique';
import type { TimeModel } from '../../model/time-model';
import {
	about,
	burner,
	choice,
	computed,
	degrees,
	does,
	each,
	fat,
	finishes,
	handles,
	heats,
	laid,
	metres,
	none,
	oil,
	onBoard,
	oven,
	plated,
	prepares,
	rawMeat,
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
import { checked, food, from, mm, peak, red, rests, roasts, smoke, withMeat } from '../meat-steps';

/** The eye of a rack, under its fat, on its bones. */
const ofRack = (kind: 'roast' | 'rest'): TimeModel => ({
	kind,
	food,
	shape: 'cylinder',
	face: 'fat cap',
	bone: 1.05,
	thickness: mm,
	start: from,
	peak,
	seared: { seconds: 90 },
	oven: 180,
	rest: share('cover')
});

const lambRack: Technique = {
	id: 'lamb-rack',
	name: 'Rack of lamb, seared, roasted, carved off the bone',
	kind: 'protein',
	makes: 'rack of lamb',
	words: ['lamb', 'double chops', 'bone'],
	parameters: [
		{ ...thickness, name: 'Thickness of the eye', usual: 45 },
		red,
		start,
		weight('Rack for two', 400, 700, 1000, 'rack'),
		resting,
		fat
	],
	ingredients: takes(
		['rack of lamb', { by: 'rack', times: 0.5, plus: 0 }, 'g', 'salt', 'm', { whole: degrees('rack') }],
		salt('salt'),
		oil('sear'),
		['mustard', 4, 'g', 'coat', 's'],
		['coarse breadcrumbs', 8, 'g', 'coat', 'b'],
		['chopped parsley', 3, 'g', 'coat', 'h']
	),
	steps: [
		prepares('salt', 'Scrape the bones, salt the racks', 420, 0.8, { cautions: [rawMeat] }),
		heats('hot', 'the racks', 220),
		does(
			'sear',
			'cook',
			'Sear the racks on three faces',
			computed({ kind: 'crust', pan: 220, faces: 3 }),
			touches([
				[0, 30, 'Racks in, fat side down'],
				[0.33, 20, 'Turn the racks'],
				[0.66, 20, 'Turn the racks again'],
				[1, 20, 'Racks out']
			]),
			{
				need: burner(1500),
				load: laid('pan', each(0.5), 0.2, 0.09, 'pieces'),
				heat: 'high',
				after: ['hot:60', 'salt'],
				cautions: [smoke]
			}
		),
		prepares('coat', 'Brush with mustard, press on the herb crumbs', 180, 0.8, { after: ['sear:600'] }),
		roasts('Roast the racks', [180, 170, 190, 200], ['coat:1200'], {
			time: computed(ofRack('roast')),
			load: laid('tray', each(0.5), 0.2, 0.12, 'pieces')
		}),
		rests('racks', 'roast', ofRack('rest')),
		handles('slice', 'Carve the racks between the bones', 'carve a portion', 1.5, { after: ['rest:600'] })
	],
	vessels: vessels(['frying pan', 'hot', 'sear'], ['tray', 'roast', 'roast']),
	plate: plated('slice', 10, 'seared meat')
};

const long = (
	id: string,
	name: string,
	makes: string,
	what: string,
	yielding: string,
	parameters: Technique['parameters'],
	words: string[],
	settings: readonly number[],
	isSeared: boolean,
	face?: CrustKind,
	bone?: number
): Technique => ({
	id,
	name,
	kind: 'protein',
	makes,
	words,
	parameters: isSeared ? [...parameters, fat] : parameters,
	ingredients: takes([what, 230, 'g', 'salt', 'm'], salt('salt'), oil(isSeared ? 'sear' : 'salt')).map((i, k) =>
		k === 0 ? { ...i, each: 160, yields: yielding, across: degrees('thickness') } : i
	),
	steps: [
		prepares('salt', `Tie and salt the ${what}`, 240, 0.4, { cautions: [rawMeat] }),
		...(isSeared
			? [
					heats('hot', `the ${what}`, 220),
					does(
						'sear',
						'cook',
						`Brown the ${what} all round`,
						computed({ kind: 'crust', pan: 220, faces: 4 }),
						touches([
							[0, 30, 'Meat in, away from you'],
							[0.25, 20, 'Roll it on'],
							[0.5, 20, 'Roll it on'],
							[0.75, 20, 'Roll it on'],
							[1, 20, 'Meat out']
						]),
						{ need: burner(1500), heat: 'high', after: ['hot:60', 'salt'], cautions: [smoke] }
					)
				]
			: []),
		does(
			'roast',
			'cook',
			`Roast the ${what}`,
			computed({
				kind: 'roast',
				food,
				shape: 'cylinder',
				...(face ? { face } : {}),
				...(bone ? { bone } : {}),
				...(isSeared ? { seared: { seconds: 90 } } : {}),
				thickness: mm,
				start: from,
				peak,
				rest: share('cover')
			}),
			touches([
				[0, 45, 'Meat onto its tray, probe in the middle'],
				[0.6, 30, 'Turn the tray'],
				[1, 45, 'Out at {pull}, onto a board']
			]),
			{
				need: oven(...settings),
				load: laid(
					'tray',
					1,
					{ by: 'thickness', times: 0.00164, plus: 0.03 },
					{ by: 'thickness', times: 0.001, plus: 0.03 },
					'pieces'
				),
				after: isSeared ? ['sear:600'] : ['salt'],
				sign: '{pull} in the middle.'
			}
		),
		does(
			'rest',
			'rest',
			`Rest the ${what}`,
			computed({
				kind: 'rest',
				food,
				shape: 'cylinder',
				...(face ? { face } : {}),
				...(bone ? { bone } : {}),
				...(isSeared ? { seared: { seconds: 90 } } : {}),
				thickness: mm,
				start: from,
				peak,
				oven: settings[0] ?? 160,
				rest: share('cover')
			}),
			none,
			{ after: ['roast:0'] }
		),
		handles('slice', `Carve the ${what}`, 'carve a portion', 1, { after: ['rest:1200'] })
	],
	vessels: isSeared
		? vessels(['frying pan', 'hot', 'sear'], ['tray', 'roast', 'roast'])
		: vessels(['tray', 'roast', 'roast']),
	plate: plated('slice', 8, 'roast')
});

const tenderloin = long(
	'tenderloin-whole',
	'Whole tenderloin, seared and roasted',
	'tenderloin',
	'beef tenderloin',
	'beef roast',
	[{ ...thickness, name: 'Thickness across', least: 40, most: 110, usual: 70 }, red, start, resting],
	['beef', 'fillet', 'whole'],
	[160, 150, 170, 180],
	true
);

const roast = long(
	'large-roast',
	'Large roast, in the oven only',
	'roast joint',
	'beef roast',
	'beef roast',
	[{ ...thickness, name: 'Thickness across', least: 70, most: 200, usual: 110 }, red, start, { ...resting, usual: 1 }],
	['beef', 'joint', 'sunday'],
	[150, 120, 130, 140, 160, 170],
	false
);

const loin = long(
	'pork-loin-roast',
	'Pork loin, roasted',
	'pork loin',
	'pork loin',
	'pork loin',
	[
		{ ...thickness, name: 'Thickness across', least: 50, most: 150, usual: 85 },
		styles('pork, veal', 'pink'),
		start,
		resting
	],
	['pork', 'joint'],
	[160, 150, 170, 180],
	false,
	'fat cap'
);
const porkLoin: Technique = {
	...loin,
	steps: checked(withMeat(loin.steps, 'pork', ['', '']), 'loin', 'slice')
};

const lambLeg = long(
	'lamb-leg-roast',
	'Leg of lamb, roasted on the bone',
	'leg of lamb',
	'lamb leg',
	'lamb leg',
	[{ ...thickness, name: 'Thickness across', least: 60, most: 140, usual: 95 }, red, start, { ...resting, usual: 1 }],
	['lamb', 'joint', 'easter', 'sunday'],
	[160, 150, 170, 180],
	false,
	'fat cap',
	1.15
);

const bacon = (id: string, name: string, about_: string, cook: Step, kit: Technique['vessels']): Technique => ({
	id,
	name,
	kind: 'protein',
	makes: 'bacon',
	words: ['pork', 'rashers', 'breakfast'],
	about: about_,
	parameters: [],
	ingredients: takes(['bacon', 60, 'g', 'lay', 'm']),
	steps: [prepares('lay', 'Lay out the bacon', 60, 0.8), cook],
	vessels: kit,
	plate: { step: 'cook', perPlate: 5, free: 300, rate: 1, most: 1200, keep: 'on paper, warm' }
});

const baconOven = bacon(
	'bacon-oven',
	'Bacon, in the oven',
	'Where the oven is on anyway: frees a burner and hands.',
	does(
		'cook',
		'cook',
		'Bake the bacon',
		{ ...about(900), core: { start: 5, target: 100 } },
		touches([
			[0, 20, 'Bacon into the oven'],
			[1, 45, 'Bacon out onto paper']
		]),
		{
			need: oven(200, 180, 190, 210),
			load: laid('tray', each(3), 0.22, 0.04, 'pieces'),
			after: ['lay'],
			sign: 'Brown at the rim, fat clear.'
		}
	),
	vessels(['tray', 'lay', 'cook'])
);

const baconPan = bacon(
	'bacon-pan',
	'Bacon, in the pan',
	'Ready sooner, and it wants you beside it.',
	does(
		'cook',
		'cook',
		'Fry the bacon',
		about(420),
		touches([
			[0, 30, 'Bacon into the pan, cold or cooled'],
			[0.5, 30, 'Turn the bacon'],
			[1, 30, 'Bacon out onto paper']
		]),
		{
			need: burner(),
			load: laid('pan', each(3), 0.18, 0.035, 'pieces'),
			heat: 'medium, from cold',
			after: ['lay'],
			sign: 'Brown at the rim, fat clear.',
			cautions: ['Hot fat spits.']
		}
	),
	vessels(['frying pan', 'cook', 'cook'])
);

const meatballs: Technique = {
	id: 'meatballs-pan',
	name: 'Meatballs, browned and simmered',
	kind: 'protein',
	makes: 'meatballs',
	words: ['mince', 'beef', 'pork'],
	parameters: [{ id: 'size', name: 'Across', unit: 'mm', least: 20, most: 60, usual: 35 }, start],
	ingredients: takes(
		['mince', 150, 'g', 'roll', 'm', { yields: 'mince' }],
		['dry breadcrumbs', 12, 'g', 'roll', 'b'],
		['whole egg', 0.25, 'pieces', 'roll', 'd'],
		salt('roll'),
		oil('brown'),
		['passata', 90, 'ml', 'simmer', 's']
	),
	steps: [
		prepares('roll', 'Mix and roll the meatballs', 720, 0.9, { cautions: [rawMeat] }),
		does(
			'brown',
			'cook',
			'Brown the meatballs',
			computed({ kind: 'crust', pan: 200, faces: 3 }),
			touches([
				[0, 45, 'Meatballs in, not touching'],
				[0.33, 30, 'Roll them on'],
				[0.66, 30, 'Roll them on']
			]),
			{
				need: burner(1500),
				load: laid('pan', each(5), metres('size'), undefined, 'pieces'),
				heat: 'medium-high',
				after: ['roll:3600']
			}
		),
		does(
			'simmer',
			'cook',
			'Simmer the meatballs through',
			computed({
				kind: 'immerse',
				food: 'mince',
				shape: 'sphere',
				size: metres('size'),
				start: from,
				core: 72,
				in: 'water',
				at: 92
			}),
			touches([
				[0, 30, 'Sauce in, lid on'],
				[1, 30, 'Probe one: 72 °C']
			]),
			{
				need: burner(),
				heat: 'a simmer, lid on',
				after: ['brown:120'],
				sign: '72 °C in the middle of the largest: minced meat is cooked through.'
			}
		)
	],
	vessels: vessels(['frying pan', 'brown', 'simmer']),
	ahead: {
		last: 'simmer',
		keeps: 3 * 86_400,
		source: 'cooked dishes, mash, stock: USDA/FMI storage guide, at 4 °C',
		how: 'cooled fast and shallow, in the cold',
		reheat: { kilograms: each(0.26) }
	},
	plate: plated('simmer', 7, 'mash, braise, gratin')
};

const coldBeef: Technique = {
	id: 'cured-beef',
	name: 'Cold sliced roast beef',
	kind: 'protein',
	makes: 'roast beef, cold',
	words: ['beef', 'cold', 'buffet'],
	parameters: [
		{ ...thickness, name: 'Thickness across', least: 50, most: 150, usual: 80 },
		red,
		start,
		{ ...resting, usual: 0 },
		choice('cooling', 'Cooled', 'the cold alone is quick enough for thin pieces only', [
			[0, 'whole, in the cold'],
			[1, 'bagged, in ice water first']
		])
	],
	ingredients: takes(['beef roast', 110, 'g', 'salt', 'm', { yields: 'beef roast' }], salt('salt')),
	steps: [
		prepares('salt', 'Salt the beef', 120, 0.4, { cautions: [rawMeat] }),
		does(
			'roast',
			'cook',
			'Roast the beef',
			computed({
				kind: 'roast',
				food,
				shape: 'cylinder',
				thickness: mm,
				start: from,
				peak,
				rest: share('cover')
			}),
			touches([
				[0, 30, 'Beef into the oven, probe in'],
				[1, 30, 'Out at {pull}']
			]),
			{ need: oven(130, 120, 140, 150), sign: '{pull} in the middle.', after: ['salt'] }
		),
		does(
			'cool',
			'chill',
			'Cool the beef',
			computed({ kind: 'immerse', food, shape: 'cylinder', size: mm, start: peak, core: 12, in: 'fridge' }),
			none,
			{
				need: { kind: 'cold' },
				after: ['roast:1800'],
				when: { parameter: 'cooling', is: [0] },
				cautions: ['From 57 to 21 °C in two hours, to 5 °C in four more.']
			}
		),
		does(
			'ice',
			'chill',
			'Cool the beef in ice water',
			computed({ kind: 'immerse', food, shape: 'cylinder', size: mm, start: peak, core: 12, in: 'ice' }),
			touches([
				[0, 60, 'Beef into a bag, air out, under ice water'],
				[0.5, 30, 'More ice'],
				[1, 30, 'Beef out, dried, into the cold']
			]),
			{ need: { kind: 'cold' }, when: { parameter: 'cooling', is: [1] }, after: ['roast:1800'] }
		),
		does(
			'keep',
			'chill',
			'Wrap the beef, keep it cold',
			about(600),
			touches([[0, 45, 'Wrap the beef, into the cold']]),
			{
				need: { kind: 'cold' },
				after: ['cool:600', 'ice:600']
			}
		),
		finishes('slice', 'Slice the beef thin', 240, 0.9, { need: onBoard, after: ['keep'] })
	],
	vessels: vessels(['tray', 'roast', 'roast']),
	ahead: {
		last: 'keep',
		keeps: 3 * 86_400,
		source: 'cooked dishes, mash, stock: USDA/FMI storage guide, at 4 °C',
		how: 'whole, wrapped, in the cold'
	},
	plate: { step: 'slice', perPlate: 8, free: 1800, rate: 1, most: 5400, keep: 'covered, cool' }
};

export const wholeCuts: readonly Technique[] = [
	lambRack,
	tenderloin,
	roast,
	porkLoin,
	lambLeg,
	baconOven,
	baconPan,
	meatballs,
	coldBeef
];
