// Steaks and chops: in the pan, through the oven, low and slow, in a bath, on the grill and in the fire.
import type { Step, Technique } from '../../model/technique';
import type { Quantity, TimeModel } from '../../model/time-model';
import {
	about,
	burner,
	butter,
	computed,
	degrees,
	does,
	fat,
	heats,
	none,
	marking,
	plated,
	prepares,
	quarterTurns,
	rawMeat,
	resting,
	share,
	start,
	styles,
	takes,
	thickness,
	touches,
	turning,
	vessels,
	each,
	laid
} from '../forms';
import {
	checked,
	crusts,
	food,
	from,
	mm,
	peak,
	piece,
	pieces,
	red,
	rests,
	roasted,
	roasts,
	salts,
	slices,
	smoke,
	stocked,
	tempering,
	tempers,
	withMeat
} from '../meat-steps';

const parameters = (...more: Technique['parameters']): Technique['parameters'] => [
	thickness,
	red,
	start,
	piece,
	...more
];

type InPan = Extract<TimeModel, { kind: 'pan' | 'pan-rest' }>;
/** Share of its time that a steak is under ladled butter: the last minute. */
const basted = 0.1;

const inPan = (kind: InPan['kind']): InPan =>
	kind === 'pan'
		? { kind: 'pan', food, thickness: mm, start: from, peak, tempered: share('temper'), turns: share('turns') }
		: { kind: 'pan-rest', food, thickness: mm, start: from, peak, tempered: share('temper'), turns: share('turns') };

const fries = (what: string, extra: Partial<Step> = {}): Step => ({
	...does(
		'fry',
		'cook',
		`Fry the ${what}`,
		computed(inPan('pan')),
		touches(
			[
				[0, 10, `Lay the ${what} in, away from you`, 5],
				[0.3, 5, 'Heat down to medium'],
				[0.5, 5, `Turn the ${what}`, 4],
				[1, 15, `Probe the ${what} from the side: off at {pull}`, 5]
			],
			[share('turns'), 5, `Turn the ${what}`, 4]
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

const when = (step: Step): Step => ({ ...step, when: { parameter: 'temper', is: [1] } });

const steakPan: Technique = {
	id: 'steak-pan',
	name: 'Steak, in the pan',
	kind: 'protein',
	makes: 'steak',
	words: ['beef', 'seared', 'sirloin', 'ribeye'],
	about: 'For thin ones, to 30 mm: thicker, the crust is ready long before the middle.',
	parameters: [...parameters(tempering, turning), fat],
	ingredients: stocked('beef steak'),
	steps: [
		salts('steaks'),
		when(tempers('steaks')),
		heats('hot', 'the steaks', 220),
		fries('steaks'),
		rests('steaks', 'fry', inPan('pan-rest')),
		slices('steaks')
	],
	vessels: vessels(['frying pan', 'hot', 'fry']),
	plate: plated('slice', 7, 'seared meat')
};

const steakBasted: Technique = {
	...steakPan,
	id: 'steak-basted',
	name: 'Steak, basted with foaming butter',
	words: ['beef', 'butter', 'thyme', 'baste'],
	about: 'Butter over the face that lies up: quicker and rounder, and it wants both hands at the end.',
	ingredients: [
		...stocked('beef steak'),
		...takes(butter('fry', 15), ['thyme', 0.5, 'g', 'fry', 'h'], ['garlic', 0.5, 'pieces', 'fry', 'v'])
	],
	steps: [
		salts('steaks'),
		when(tempers('steaks')),
		heats('hot', 'the steaks', 220),
		fries('steaks', {
			time: computed({ ...inPan('pan'), baste: basted }),
			hands: touches(
				[
					[0, 10, 'Lay the steaks in, away from you', 5],
					[0.3, 5, 'Heat down to medium'],
					[0.88, 75, 'Butter, thyme, garlic in: baste without a pause'],
					[1, 15, 'Probe the steaks from the side: off at {pull}', 5]
				],
				[share('turns'), 5, 'Turn the steaks', 4]
			),
			sign: '{pull} in the middle; the foam nut brown, garlic gold, not darker.',
			cautions: [smoke, 'Hot fat spits: tilt the pan towards you, spoon away from you.']
		}),
		rests('steaks', 'fry', { ...inPan('pan-rest'), baste: basted }),
		slices('steaks')
	],
	vessels: vessels(['frying pan', 'hot', 'fry'])
};

const steakMarked: Technique = {
	...steakPan,
	id: 'steak-grill-pan',
	name: 'Steak, marked in a grill pan',
	words: ['beef', 'marks', 'ridged'],
	about: 'Marks from the ridges: turned once, left alone between.',
	parameters: [{ ...thickness, most: 36 }, red, start, piece, tempering, marking(45, 0), fat],
	steps: [
		salts('steaks'),
		when(tempers('steaks')),
		heats('hot', 'the marks', 240),
		fries('steaks', {
			say: 'Mark the steaks',
			id: 'fry',
			hands: touches(
				[
					[0, 10, 'Lay the steaks in, across the ridges', 5],
					...quarterTurns('Steaks'),
					[0.3, 5, 'Heat down to medium'],
					[0.5, 5, 'Turn the steaks', 4],
					[1, 15, 'Probe the steaks from the side: off at {pull}', 5]
				],
				[share('turns'), 5, 'Turn the steaks', 4]
			)
		}),
		rests('steaks', 'fry', inPan('pan-rest')),
		slices('steaks')
	],
	vessels: vessels(['grill pan', 'hot', 'fry'])
};

const steakOven: Technique = {
	id: 'steak-oven',
	name: 'Steak, seared then through the oven',
	kind: 'protein',
	makes: 'steak',
	words: ['beef', 'thick', 'sirloin'],
	about: 'Frees the burner after the crust; for pieces of 30 mm and more.',
	parameters: [...parameters(resting), fat],
	ingredients: stocked('beef steak', 'sear'),
	steps: [
		salts('steaks'),
		heats('hot', 'the steaks', 230),
		crusts('sear', 'steaks', ['hot:60', 'salt']),
		roasts('Roast the steaks', [180, 160, 170, 190, 200], ['sear:120'], {}, { seared: { seconds: 75 } }),
		rests('steaks', 'roast', roasted(180, { seared: { seconds: 75 } })),
		slices('steaks')
	],
	vessels: vessels(['frying pan', 'hot', 'sear'], ['tray', 'roast', 'roast']),
	plate: plated('slice', 7, 'seared meat')
};

const steakLow: Technique = {
	id: 'steak-low-oven',
	name: 'Steak, low oven then seared',
	kind: 'protein',
	makes: 'steak',
	words: ['beef', 'thick', 'reverse', 'slow'],
	about: 'The usual way for thick pieces: even inside, and half an hour’s grace before the pan.',
	parameters: [...parameters(resting), fat],
	ingredients: stocked('beef steak', 'sear'),
	steps: [
		salts('steaks'),
		roasts(
			'Warm the steaks through, low',
			[110, 100, 120, 130],
			['salt'],
			{},
			{ finish: { seconds: 65, wait: 300, faces: 2 } }
		),
		does('wait', 'rest', 'Let the steaks settle', about(300), none, { after: ['roast:0'] }),
		heats('hot', 'the steaks', 240),
		crusts('sear', 'steaks', ['hot:60', 'wait:1500'], 240),
		slices('steaks', 'sear', 300)
	],
	vessels: vessels(['tray', 'roast', 'wait'], ['frying pan', 'hot', 'sear']),
	plate: plated('slice', 7, 'seared meat')
};

const steakBath: Technique = {
	id: 'steak-water-bath',
	name: 'Steak, water bath then seared',
	kind: 'protein',
	makes: 'steak',
	words: ['beef', 'bag', 'bath'],
	about: 'Cannot overcook for an hour; wants a bath at its own temperature.',
	parameters: [...parameters(), fat],
	ingredients: stocked('beef steak', 'sear'),
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
				at: peak
			}),
			touches([
				[0, 30, 'Bags into the bath'],
				[1, 30, 'Bags out, meat dried']
			]),
			{
				need: { kind: 'water bath', setting: peak },
				load: { on: 'bath', kilograms: each(0.25) },
				after: ['salt:7200'],
				sign: 'As hot in the middle as the bath, within a degree.'
			}
		),
		heats('hot', 'the steaks', 240),
		crusts('sear', 'steaks', ['hot:60', 'bath:600'], 240),
		slices('steaks', 'sear', 300)
	],
	vessels: vessels(['frying pan', 'hot', 'sear']),
	plate: plated('slice', 7, 'seared meat')
};

const overFire = (
	fire: 'grill' | 'wood oven',
	id: string,
	name: string,
	what: string,
	words: string[],
	caution: string,
	turned: { readonly turns?: Quantity } = {}
): Technique => ({
	id,
	name,
	kind: 'protein',
	makes: 'steak',
	words,
	parameters: parameters(...(fire === 'grill' ? [marking(60, 60)] : []), resting),
	ingredients: stocked('beef steak'),
	steps: [
		salts('steaks'),
		does(
			'fry',
			'cook',
			what,
			computed({ kind: 'roast', food, thickness: mm, start: from, peak, rest: share('cover'), ...turned }),
			touches(
				[
					[0, 20, 'Steaks onto the heat', 5],
					...(fire === 'grill' ? quarterTurns('Steaks') : []),
					[0.5, 8, 'Turn the steaks', 4],
					[1, 25, 'Probe the thickest: off at {pull}', 5]
				],
				[fire === 'grill' ? share('turns') : 120, 8, 'Turn the steaks', 4]
			),
			{
				need: { kind: fire, between: fire === 'grill' ? [220, 340] : [280, 450] },
				load: laid(fire, each(1), 0.14, 0.09, 'pieces'),
				after: ['salt'],
				sign: '{pull} in the middle, marked dark but not black.',
				cautions: [caution]
			}
		),
		rests('steaks', 'fry', roasted(fire === 'grill' ? 280 : 380, { fire, ...turned })),
		slices('steaks')
	],
	vessels: [],
	plate: plated('slice', 7, 'seared meat')
});

const steakGrill = overFire(
	'grill',
	'steak-grill',
	'Steak, on the grill',
	'Grill the steaks',
	['beef', 'barbecue', 'charcoal'],
	'Fat flares: a cool side to move to; tongs, not forks.',
	{ turns: share('turns') }
);

const steakFire = overFire(
	'wood oven',
	'steak-wood-oven',
	'Steak, in the wood oven',
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
	parameters: [{ ...thickness, usual: 22 }, styles('pork, veal', 'pink'), start, piece, tempering, turning, fat],
	ingredients: stocked('pork chop'),
	steps: checked(withMeat(steakPan.steps, 'pork', ['steaks', 'chops']), 'chops', 'slice')
};

const chopThick: Technique = {
	...steakOven,
	id: 'pork-chop-oven',
	name: 'Thick chops, seared then through the oven',
	makes: 'pork chop',
	words: ['pork', 'double', 'cutlet'],
	parameters: [
		{ ...thickness, usual: 38 },
		styles('pork, veal', 'pink'),
		start,
		{ ...piece, usual: 320 },
		resting,
		fat
	],
	ingredients: stocked('pork chop', 'sear'),
	steps: checked(withMeat(steakOven.steps, 'pork', ['steaks', 'chops']), 'chops', 'slice')
};

export const steaks: readonly Technique[] = [
	steakPan,
	steakBasted,
	steakMarked,
	steakOven,
	steakLow,
	steakBath,
	steakGrill,
	steakFire,
	chopThin,
	chopThick
];
