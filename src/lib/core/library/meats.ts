// Steaks, chops, racks and roasts: in the pan, through the oven, low and slow, in a bath, on the grill and in the fire.
import type { Step, Technique } from '../model/technique';
import type { TimeModel } from '../model/time-model';
import {
	about,
	butter,
	computed,
	degrees,
	does,
	finishes,
	handles,
	heats,
	laid,
	metres,
	none,
	oil,
	onBoard,
	oven,
	burner,
	outOfCold,
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
	turning,
	vessels,
	weight,
	whole,
	each
} from './forms';

/** The FDA's advice for whole cuts, °C. */
const advised = 63;
const red = styles('beef, lamb, venison', 'medium rare');
const piece = weight('Weight of one', 100, 220, 500);
const food = 'lean meat';
const mm = metres('thickness');
const peak = degrees('peak');
const from = degrees('start');

const salts = (what: string): Step =>
	prepares('salt', `Pat dry and salt the ${what}`, 90, 0.7, {
		cautions: [rawMeat],
		sign: 'Dry to the finger: a wet face stews.'
	});
const tempers = (what: string): Step =>
	does(
		'temper',
		'temper',
		`Let the ${what} lose its chill`,
		computed({ kind: 'temper', food, thickness: mm, start: from, core: 8 }),
		none,
		{
			after: ['salt:600'],
			cautions: [outOfCold]
		}
	);
const tempering = {
	id: 'temper',
	name: 'Out of the cold before',
	unit: 'choice',
	least: 0,
	most: 1,
	usual: 0,
	why: 'the plan counts from how cold it really is',
	options: [
		{ value: 0, say: 'straight from cold' },
		{ value: 1, say: 'loses its chill first' }
	]
} as const satisfies Technique['parameters'][number];
const parameters = (...more: Technique['parameters']): Technique['parameters'] => [
	thickness,
	red,
	start,
	piece,
	...more
];
const stocked = (what: string, yielding: string, fry = 'fry') =>
	takes([what, { by: 'weight', times: 1, plus: 0 }, 'g', 'salt', 'm', { yields: yielding }], salt('salt'), oil(fry));

const inPan = (seconds: TimeModel['kind'] & ('pan' | 'pan-rest')): TimeModel =>
	seconds === 'pan'
		? { kind: 'pan', food, thickness: mm, start: from, peak, turns: share('turns'), advised }
		: { kind: 'pan-rest', food, thickness: mm, start: from, peak, turns: share('turns') };

const pieces = laid('pan', each(1), 0.14, 0.09, 'pieces');
const smoke = 'Fan on, window open: it will smoke. Never disable a smoke alarm.';
const fries = (what: string, extra: Partial<Step> = {}): Step => ({
	...does(
		'fry',
		'cook',
		`Fry the ${what}`,
		computed(inPan('pan')),
		touches(
			[
				[0, 30, `Lay the ${what} in, away from you`],
				[0.5, 20, `Turn the ${what}`],
				[1, 30, `Probe the ${what} from the side: off at {pull}`]
			],
			undefined
		),
		{
			need: burner(1500),
			load: pieces,
			heat: 'high, then medium',
			after: ['hot:60', 'salt', 'temper'],
			sign: '{pull} in the middle; a brown crust, springs back like the ball of your thumb.',
			cautions: [smoke]
		}
	),
	...extra
});
const rests = (what: string, after: string, time: TimeModel): Step =>
	does('rest', 'rest', `Rest the ${what}`, computed(time), none, { after: [`${after}:0`] });
const slices = (what: string, after = 'rest', wait = 480): Step =>
	handles('slice', `Slice the ${what}`, 'carve a portion', 1, { after: [`${after}:${wait}`] });
const when = (step: Step): Step => ({ ...step, when: { parameter: 'temper', is: [1] } });

const steakPan: Technique = {
	id: 'steak-pan',
	name: 'Steak, in the pan',
	kind: 'protein',
	makes: 'steak',
	words: ['beef', 'seared', 'sirloin', 'ribeye'],
	about: 'For thin ones, to 30 mm: thicker, the crust is ready long before the middle.',
	parameters: parameters(tempering, turning),
	ingredients: stocked('beef steak', 'beef steak'),
	steps: [
		salts('steaks'),
		when(tempers('steaks')),
		heats('hot', 'the steaks', 220),
		fries('steaks'),
		rests('steaks', 'fry', inPan('pan-rest')),
		slices('steaks')
	],
	vessels: vessels(['frying pan', 'hot', 'fry']),
	plate: plated('slice', 5, 'seared meat')
};

const steakBasted: Technique = {
	...steakPan,
	id: 'steak-basted',
	name: 'Steak, basted with foaming butter',
	words: ['beef', 'butter', 'thyme', 'baste'],
	about: 'Butter over the face that lies up: quicker and rounder, and it wants both hands at the end.',
	ingredients: [
		...stocked('beef steak', 'beef steak'),
		...takes(butter('baste', 15), ['thyme', 0.5, 'g', 'baste', 'h'], ['garlic', 0.5, 'pieces', 'baste', 'v'])
	],
	steps: [
		salts('steaks'),
		when(tempers('steaks')),
		heats('hot', 'the steaks', 220),
		fries('steaks'),
		does('baste', 'cook', 'Baste the steaks with foaming butter', about(75, 0), whole, {
			need: burner(),
			heat: 'medium',
			after: ['fry:0'],
			sign: 'The foam is nut brown and smells of it; garlic gold, not darker.',
			cautions: ['Hot fat spits: tilt the pan towards you, spoon away from you.']
		}),
		rests('steaks', 'baste', inPan('pan-rest')),
		slices('steaks')
	],
	vessels: vessels(['frying pan', 'hot', 'baste'])
};

const steakMarked: Technique = {
	...steakPan,
	id: 'steak-grill-pan',
	name: 'Steak, marked in a grill pan',
	words: ['beef', 'marks', 'ridged'],
	about: 'Marks from the ridges: turned once, left alone between.',
	parameters: [thickness, red, start, piece, tempering, { ...turning, usual: 0 }],
	steps: [
		salts('steaks'),
		when(tempers('steaks')),
		heats('hot', 'the marks', 240),
		fries('steaks', { say: 'Mark the steaks', id: 'fry' }),
		rests('steaks', 'fry', inPan('pan-rest')),
		slices('steaks')
	],
	vessels: vessels(['grill pan', 'hot', 'fry'])
};

const roasted = (setting: number): TimeModel => ({
	kind: 'rest',
	food,
	thickness: mm,
	start: from,
	peak,
	oven: setting,
	rest: share('cover')
});
const roasts = (
	say: string,
	settings: readonly number[],
	after: readonly string[],
	more: Partial<Step> = {}
): Step => ({
	...does(
		'roast',
		'cook',
		say,
		computed({ kind: 'roast', food, thickness: mm, start: from, peak, rest: share('cover'), advised }),
		touches([
			[0, 30, `${say}: onto the tray, into the oven`],
			[1, 45, 'Probe the thickest: out at {pull}']
		]),
		{
			need: oven(...settings),
			after,
			sign: '{pull} in the thickest part.',
			load: laid('tray', each(1), 0.14, 0.09, 'pieces')
		}
	),
	...more
});
const crusts = (id: string, what: string, after: readonly string[], pan = 230): Step =>
	does(
		id,
		'cook',
		`Sear the ${what}`,
		computed({ kind: 'crust', pan, faces: 2 }),
		touches([
			[0, 30, `Lay the ${what} in, away from you`],
			[0.5, 20, `Turn the ${what}`],
			[1, 20, `Lift out the ${what}`]
		]),
		{
			need: burner(1500),
			load: pieces,
			heat: 'high',
			after,
			sign: 'Brown to the rim on both faces.',
			cautions: [smoke]
		}
	);

const steakOven: Technique = {
	id: 'steak-oven',
	name: 'Steak, seared then through the oven',
	kind: 'protein',
	makes: 'steak',
	words: ['beef', 'thick', 'sirloin'],
	about: 'Frees the burner after the crust; for pieces of 30 mm and more.',
	parameters: parameters(resting),
	ingredients: stocked('beef steak', 'beef steak', 'sear'),
	steps: [
		salts('steaks'),
		heats('hot', 'the steaks', 230),
		crusts('sear', 'steaks', ['hot:60', 'salt']),
		roasts('Roast the steaks', [180, 160, 170, 190, 200], ['sear:120']),
		rests('steaks', 'roast', roasted(180)),
		slices('steaks')
	],
	vessels: vessels(['frying pan', 'hot', 'sear'], ['tray', 'roast', 'roast']),
	plate: plated('slice', 5, 'seared meat')
};

const steakLow: Technique = {
	id: 'steak-low-oven',
	name: 'Steak, low oven then seared',
	kind: 'protein',
	makes: 'steak',
	words: ['beef', 'thick', 'reverse', 'slow'],
	about: 'The usual way for thick pieces: even inside, and half an hour’s grace before the pan.',
	parameters: parameters(resting),
	ingredients: stocked('beef steak', 'beef steak', 'sear'),
	steps: [
		salts('steaks'),
		roasts('Warm the steaks through, low', [110, 100, 120, 130], ['salt']),
		does('wait', 'rest', 'Let the steaks settle', about(300), none, { after: ['roast:0'] }),
		heats('hot', 'the steaks', 240),
		crusts('sear', 'steaks', ['hot:60', 'wait:1500'], 240),
		slices('steaks', 'sear', 300)
	],
	vessels: vessels(['tray', 'roast', 'wait'], ['frying pan', 'hot', 'sear']),
	plate: plated('slice', 5, 'seared meat')
};

const steakBath: Technique = {
	id: 'steak-water-bath',
	name: 'Steak, water bath then seared',
	kind: 'protein',
	makes: 'steak',
	words: ['beef', 'bag', 'bath'],
	about: 'Cannot overcook for an hour; wants a bath at its own temperature.',
	parameters: parameters(),
	ingredients: stocked('beef steak', 'beef steak', 'sear'),
	steps: [
		prepares('salt', 'Salt and bag the steaks', 240, 0.8, { cautions: [rawMeat] }),
		does(
			'bath',
			'cook',
			'Bring the steaks to their heat in the bath',
			computed({
				kind: 'immerse',
				food,
				shape: 'slab',
				size: mm,
				start: from,
				core: degrees('peak', -0.7),
				in: 'bath',
				at: peak,
				advised
			}),
			touches([
				[0, 30, 'Bags into the bath'],
				[1, 30, 'Bags out, meat dried']
			]),
			{
				need: { kind: 'water bath', setting: peak },
				after: ['salt:7200'],
				sign: 'As hot in the middle as the bath, within a degree.'
			}
		),
		heats('hot', 'the steaks', 240),
		crusts('sear', 'steaks', ['hot:60', 'bath:600'], 240),
		slices('steaks', 'sear', 300)
	],
	vessels: vessels(['frying pan', 'hot', 'sear']),
	plate: plated('slice', 5, 'seared meat')
};

const overFire = (
	id: string,
	name: string,
	need: Step['need'],
	what: string,
	words: string[],
	caution: string
): Technique => ({
	id,
	name,
	kind: 'protein',
	makes: 'steak',
	words,
	parameters: parameters(resting),
	ingredients: stocked('beef steak', 'beef steak'),
	steps: [
		salts('steaks'),
		does(
			'fry',
			'cook',
			what,
			computed({ kind: 'roast', food, thickness: mm, start: from, peak, rest: share('cover'), advised }),
			touches([
				[0, 45, 'Steaks onto the heat'],
				[0.5, 30, 'Turn the steaks'],
				[1, 45, 'Probe the thickest: off at {pull}']
			]),
			{
				...(need ? { need } : {}),
				after: ['salt'],
				sign: '{pull} in the middle, marked dark but not black.',
				cautions: [caution]
			}
		),
		rests('steaks', 'fry', roasted(280)),
		slices('steaks')
	],
	vessels: [],
	plate: plated('slice', 5, 'seared meat')
});
const steakGrill = overFire(
	'steak-grill',
	'Steak, on the grill',
	{ kind: 'grill' },
	'Grill the steaks',
	['beef', 'barbecue', 'charcoal'],
	'Fat flares: a cool side to move to; tongs, not forks.'
);
const steakFire = overFire(
	'steak-wood-oven',
	'Steak, in the wood oven',
	{ kind: 'wood oven' },
	'Roast the steaks in the fire',
	['beef', 'wood', 'fire'],
	'Live fire: gloves and reach; carbon monoxide: outdoors or under a hood.'
);

const chopThin: Technique = {
	...steakPan,
	id: 'pork-chop-pan',
	name: 'Pork chops, in the pan',
	makes: 'pork chop',
	words: ['pork', 'cutlet'],
	about: 'For chops to 25 mm.',
	parameters: [{ ...thickness, usual: 22 }, styles('pork, veal', 'pink'), start, piece, tempering, turning],
	ingredients: stocked('pork chop', 'pork chop'),
	steps: steakPan.steps.map((s) => ({ ...s, say: s.say.replace('steaks', 'chops') }))
};
const chopThick: Technique = {
	...steakOven,
	id: 'pork-chop-oven',
	name: 'Thick chops, seared then through the oven',
	makes: 'pork chop',
	words: ['pork', 'double', 'cutlet'],
	parameters: [{ ...thickness, usual: 38 }, styles('pork, veal', 'pink'), start, { ...piece, usual: 320 }, resting],
	ingredients: stocked('pork chop', 'pork chop', 'sear'),
	steps: steakOven.steps.map((s) => ({ ...s, say: s.say.replace('steaks', 'chops') }))
};

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
		resting
	],
	ingredients: takes(
		['rack of lamb', { by: 'rack', times: 0.5, plus: 0 }, 'g', 'salt', 'm'],
		salt('salt'),
		oil('sear'),
		['mustard', 4, 'g', 'coat', 's', { allergens: ['mustard'] }],
		['coarse breadcrumbs', 8, 'g', 'coat', 'b', { allergens: ['gluten'] }],
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
			load: laid('tray', each(0.5), 0.2, 0.12, 'pieces')
		}),
		rests('racks', 'roast', roasted(180)),
		handles('slice', 'Carve the racks between the bones', 'carve a portion', 1.5, { after: ['rest:600'] })
	],
	vessels: vessels(['frying pan', 'hot', 'sear'], ['tray', 'roast', 'roast']),
	plate: plated('slice', 8, 'seared meat')
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
	isSeared: boolean
): Technique => ({
	id,
	name,
	kind: 'protein',
	makes,
	words,
	parameters,
	ingredients: takes([what, 230, 'g', 'salt', 'm'], salt('salt'), oil(isSeared ? 'sear' : 'salt')).map((i, k) =>
		k === 0 ? { ...i, each: 160, yields: yielding } : i
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
				thickness: mm,
				start: from,
				peak,
				rest: share('cover'),
				advised
			}),
			touches([
				[0, 45, 'Meat onto its tray, probe in the middle'],
				[0.6, 30, 'Turn the tray'],
				[1, 45, 'Out at {pull}']
			]),
			{ need: oven(...settings), after: isSeared ? ['sear:600'] : ['salt'], sign: '{pull} in the middle.' }
		),
		does(
			'rest',
			'rest',
			`Rest the ${what}`,
			computed({
				kind: 'rest',
				food,
				shape: 'cylinder',
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
		? vessels(['frying pan', 'hot', 'sear'], ['tray', 'roast', 'rest'])
		: vessels(['tray', 'roast', 'rest']),
	plate: plated('slice', 6, 'roast')
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
const porkLoin = long(
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
	false
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
	plate: { step: 'cook', perPlate: 3, free: 300, rate: 1, most: 1200, keep: 'on paper, warm' }
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
			[0, 30, 'Bacon into the cold pan'],
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
		['dry breadcrumbs', 12, 'g', 'roll', 'b', { allergens: ['gluten'] }],
		['whole egg', 0.25, 'pieces', 'roll', 'd', { allergens: ['eggs'] }],
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
				at: 92,
				advised: 71
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
		how: 'cooled fast and shallow, in the cold; reheat to 74 °C right through'
	},
	plate: plated('simmer', 5, 'mash, braise, gratin')
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
		{ ...resting, usual: 0 }
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
				rest: share('cover'),
				advised
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
				cautions: ['From 57 to 21 °C in two hours, to 5 °C in four more.']
			}
		),
		finishes('slice', 'Slice the beef thin', 240, 0.9, { need: onBoard, after: ['cool'] })
	],
	vessels: vessels(['tray', 'roast', 'roast']),
	ahead: {
		last: 'cool',
		keeps: 3 * 86_400,
		source: 'cooked dishes, mash, stock: USDA/FMI storage guide, at 4 °C',
		how: 'whole, wrapped, in the cold'
	},
	plate: { step: 'slice', perPlate: 6, free: 1800, rate: 1, most: 5400, keep: 'covered, cool' }
};

export const meats: readonly Technique[] = [
	steakPan,
	steakBasted,
	steakMarked,
	steakOven,
	steakLow,
	steakBath,
	steakGrill,
	steakFire,
	chopThin,
	chopThick,
	lambRack,
	tenderloin,
	roast,
	porkLoin,
	baconOven,
	baconPan,
	meatballs,
	coldBeef
];
