// Meat that is tender by hours, not by its core: stew, shoulder, ribs, shanks, belly, legs; and curry.
import type { Parameter, Technique } from '../../model/technique';
import {
	about,
	burner,
	computed,
	cuts,
	does,
	each,
	early,
	laid,
	metres,
	none,
	oil,
	oven,
	plated,
	prepares,
	rawMeat,
	rawPoultry,
	salt,
	size,
	takes,
	touches,
	vessels,
	type IngredientRow
} from '../forms';

/** Minutes at the simmer until it gives way; the fork decides (collagen melts within two to four hours at 90 to 96 °C). */
const tender = (minutes: number, at: number) => ({
	...about(minutes * 60, 0, [0.8, 1.35] as const),
	scale: [{ by: 'size', at, exponent: 0.5 }],
	core: { start: 20, target: 92 }
});

interface Slow {
	readonly id: string;
	readonly name: string;
	readonly makes: string;
	readonly words: readonly string[];
	readonly about: string;
	/** Thickness of a piece, mm, and pieces for each with their length. */
	readonly size: Parameter;
	readonly pieces: number;
	readonly length: number;
	/** Served, grams, and its yields. */
	readonly meat: IngredientRow;
	readonly with: readonly IngredientRow[];
	readonly minutes: number;
	readonly caution?: string;
	/** What is done first: whole shanks and legs are not cut. */
	readonly first: string;
}

/** Browned, then covered with a little liquid in a low oven until a fork turns in it. */
const braise = (s: Slow): Technique => ({
	id: s.id,
	name: s.name,
	kind: 'protein',
	makes: s.makes,
	words: [...s.words, 'braised', 'slow'],
	about: s.about,
	parameters: [s.size],
	ingredients: takes(s.meat, salt('salt'), oil('brown'), ...s.with),
	steps: [
		prepares('salt', s.first, 300, 0.6, { cautions: [s.caution ?? rawMeat] }),
		cuts('roots', 'Cut the roots and onions', 'dice roots', 0.08),
		does(
			'brown',
			'cook',
			'Brown the meat',
			computed({ kind: 'crust', pan: 200, faces: 3 }),
			touches([
				[0, 20, 'Meat in, away from you, not crowded', 5],
				[0.33, 10, 'Turn the meat', 4],
				[0.66, 10, 'Turn the meat again', 4],
				[1, 10, 'Meat out', 5]
			]),
			{
				need: burner(1500),
				load: laid('pan', each(s.pieces), metres('size', s.length), metres('size'), 'pieces'),
				heat: 'medium-high',
				after: ['salt:3600'],
				sign: 'Deep brown on three faces: the sauce’s colour comes from here.'
			}
		),
		does(
			'braise',
			'cook',
			'Braise, covered, in the low oven',
			tender(s.minutes, s.size.usual),
			touches([
				[0, 180, 'Roots in, stock half way up, to the boil, lid on, into the oven'],
				[0.6, 45, 'Turn the pieces, look at the liquid'],
				[1, 60, 'Fork in: out when it turns without force']
			]),
			{
				need: oven(150, 140, 160),
				after: ['brown:1200', 'roots:7200'],
				sign: 'A fork turns in it without force; it does not fall apart.'
			}
		),
		does(
			'sauce',
			'cook',
			'Skim the braise, boil down its sauce',
			computed({ kind: 'reduce', from: each(0.12), to: each(0.07), level: 0.6, besides: 180 }),
			touches([
				[0, 90, 'Meat aside, skim the fat, sauce on'],
				[1, 45, 'Meat back, taste, season']
			]),
			{ need: burner(), heat: 'a brisk simmer', after: ['braise:3600'], sign: 'Coats a spoon; meat steaming hot.' }
		)
	],
	vessels: vessels(['frying pan', 'brown', 'brown'], ['pot', 'braise', 'sauce']),
	ahead: early('braise', 'cooked dishes, mash, stock', 'cooled fast and shallow, in its sauce, in the cold'),
	plate: plated('sauce', 10, 'mash, braise, gratin')
});

const roots: readonly IngredientRow[] = [
	['onion', 40, 'g', 'roots', 'v', { yields: 'onion' }],
	['carrot', 30, 'g', 'roots', 'v', { yields: 'carrot' }],
	['stock', 150, 'ml', 'braise', 's']
];
const piece = (name: string, least: number, usual: number, most: number) => size(name, least, usual, most);

const stew = braise({
	id: 'beef-stew',
	name: 'Beef stew',
	makes: 'beef stew',
	words: ['casserole', 'goulash', 'ragout'],
	about: 'Better on the second day; wants nobody for two hours.',
	size: piece('Cubes', 25, 40, 60),
	pieces: 4,
	length: 1,
	meat: ['stewing beef', 130, 'g', 'salt', 'm', { yields: 'stewing beef' }],
	with: [...roots, ['wine', 60, 'ml', 'braise', 's']],
	minutes: 140,
	first: 'Cut, dry and salt the beef'
});
const ribs = braise({
	id: 'short-ribs-braised',
	name: 'Short ribs, braised',
	makes: 'short ribs',
	words: ['beef', 'bone'],
	about: 'Done by hours, not by its core: the bone slides when it is ready.',
	size: piece('Thickness', 25, 35, 60),
	pieces: 1,
	length: 3,
	meat: ['short ribs', 150, 'g', 'salt', 'm', { yields: 'short ribs' }],
	with: [...roots, ['wine', 80, 'ml', 'braise', 's']],
	minutes: 170,
	first: 'Dry and salt the short ribs'
});
const shank = braise({
	id: 'lamb-shank-braised',
	name: 'Lamb shanks, braised',
	makes: 'lamb shank',
	words: ['lamb', 'bone'],
	about: 'One for each; the meat leaves the bone by itself.',
	size: piece('Thickness', 50, 70, 95),
	pieces: 1,
	length: 1.7,
	meat: ['lamb shank', 160, 'g', 'salt', 'm', { yields: 'lamb shank' }],
	with: roots,
	minutes: 165,
	first: 'Dry and salt the shanks'
});
const shoulder = braise({
	id: 'pork-shoulder-slow',
	name: 'Pork shoulder, slow',
	makes: 'pork shoulder',
	words: ['pork', 'pulled', 'joint'],
	about: 'In pieces as large as a fist; pulled apart with two forks.',
	size: piece('Thickness of a piece', 50, 80, 120),
	pieces: 0.5,
	length: 1.3,
	meat: ['pork shoulder', 150, 'g', 'salt', 'm', { yields: 'pork shoulder' }],
	with: roots,
	minutes: 190,
	first: 'Cut the shoulder in fists, dry and salt it'
});
const duckLegs = braise({
	id: 'duck-legs-slow',
	name: 'Duck legs, slow',
	makes: 'duck legs',
	words: ['duck', 'confit'],
	about: 'Soft to the bone; skin crisped at the end under the sauce’s lid off.',
	size: piece('Thickness', 30, 40, 55),
	pieces: 1,
	length: 3,
	meat: ['duck leg', 150, 'g', 'salt', 'm', { yields: 'duck leg' }],
	with: roots,
	minutes: 110,
	first: 'Dry and salt the duck legs',
	caution: rawPoultry
});

const belly: Technique = {
	id: 'pork-belly-roast',
	name: 'Pork belly, slow then crackled',
	kind: 'protein',
	makes: 'pork belly',
	words: ['pork', 'crackling', 'skin', 'roast'],
	about: 'Two hours low until it is soft, half an hour hot for its skin.',
	parameters: [size('Thickness', 30, 45, 70)],
	ingredients: takes(['pork belly', 150, 'g', 'salt', 'm', { yields: 'pork belly' }], salt('salt'), oil('salt', 3)),
	steps: [
		prepares('salt', 'Score, dry and salt the skin', 300, 0.5, {
			cautions: [rawMeat],
			sign: 'Bone dry: a wet skin never crackles.'
		}),
		does(
			'slow',
			'cook',
			'Roast the belly, low',
			tender(130, 45),
			touches([
				[0, 30, 'Belly onto its tray, skin up'],
				[1, 45, 'Fork in: soft?']
			]),
			{
				need: oven(150, 140, 160),
				load: laid('tray', each(0.5), 0.2, 0.12, 'pieces'),
				after: ['salt'],
				sign: 'A fork turns in the meat without force.'
			}
		),
		does(
			'crackle',
			'cook',
			'Crackle the skin, hot',
			{ ...about(1500, 0, [0.75, 1.35]), core: { start: 90, target: 180 } },
			touches([
				[0.5, 20, 'Turn the tray'],
				[1, 45, 'Belly out when all of it has blistered']
			]),
			{
				need: oven(220, 230, 240),
				after: ['slow:1800'],
				sign: 'Blistered all over, rings like glass.',
				cautions: ['Fat spits: open the door a hand first.']
			}
		),
		does('rest', 'rest', 'Rest the belly', about(900), none, { after: ['crackle:0'] })
	],
	vessels: vessels(['tray', 'slow', 'rest']),
	plate: plated('rest', 10, 'roast')
};

const simmered = (
	id: string,
	name: string,
	makes: string,
	words: readonly string[],
	line: string,
	main: IngredientRow,
	rest: readonly IngredientRow[],
	minutes: number,
	caution: string | undefined
): Technique => ({
	id,
	name,
	kind: 'protein',
	makes,
	words: [...words],
	about: line,
	parameters: [],
	ingredients: takes(main, salt('simmer'), oil('fry'), ...rest),
	steps: [
		// What is cooked already has only to be drained.
		caution === undefined
			? prepares('cut', `Drain and rinse the ${main[0]}`, 120, 0.3)
			: prepares('cut', `Cut the ${main[0]}`, 300, 0.8, { cautions: [caution] }),
		cuts('onion', 'Chop the onions', 'dice onion', 0.07),
		does(
			'fry',
			'cook',
			'Fry the onions and the spice',
			about(600, 0.15),
			touches(
				[
					[0, 30, 'Onions into the fat'],
					[0.7, 30, 'Spice in, stir'],
					[1, 20, 'Smells sweet, not sharp']
				],
				[150, 20, 'Stir']
			),
			{ need: burner(1200), heat: 'medium', after: ['onion:7200'], sign: 'Onions gold, spice fragrant.' }
		),
		does(
			'simmer',
			'cook',
			`Simmer the ${makes}`,
			about(minutes * 60, 0.1, [0.8, 1.3]),
			touches(
				[
					[0, 60, `${main[0].slice(0, 1).toUpperCase()}${main[0].slice(1)} and liquid in, to a simmer`],
					[1, 60, 'Taste, season, sharpen']
				],
				[420, 15, 'Stir to the bottom']
			),
			{
				need: burner(),
				load: { on: 'pot', kilograms: each(0.2), start: 18, litres: 1 },
				heat: 'a quiet simmer',
				after: ['fry:300', 'cut:3600'],
				sign:
					caution === undefined
						? 'Soft, and the sauce clings to it.'
						: 'Cooked through: 74 °C in the largest piece; the sauce clings.'
			}
		)
	],
	vessels: vessels(['pot', 'fry', 'simmer']),
	ahead: early('simmer', 'cooked dishes, mash, stock', 'cooled fast and shallow, in the cold', [0.35]),
	plate: plated('simmer', 8, 'mash, braise, gratin')
});

const spiced: readonly IngredientRow[] = [
	['onion', 60, 'g', 'onion', 'v', { yields: 'onion' }],
	['curry paste', 12, 'g', 'fry', 's'],
	['coconut milk', 90, 'ml', 'simmer', 's'],
	['chopped tomato', 60, 'g', 'simmer', 's']
];
const curry = simmered(
	'chicken-curry',
	'Chicken curry',
	'curry',
	['chicken', 'spice', 'coconut'],
	'Onions take the time, the meat takes twenty minutes.',
	['chicken thigh', 130, 'g', 'cut', 'm', { yields: 'chicken thigh' }],
	spiced,
	25,
	rawPoultry
);
const chickpeaCurry = simmered(
	'chickpea-curry',
	'Chickpea curry',
	'curry',
	['vegan', 'plant', 'spice', 'coconut'],
	'From cooked chickpeas; no meat, no milk.',
	['chickpeas', 110, 'g', 'cut', 's'],
	spiced,
	20,
	undefined
);
const beanChilli = simmered(
	'bean-chilli',
	'Chilli of black beans',
	'chilli',
	['vegan', 'plant', 'beans', 'spice'],
	'From cooked beans; thick enough to stand a spoon in.',
	['black beans', 120, 'g', 'cut', 's'],
	[
		['onion', 60, 'g', 'onion', 'v', { yields: 'onion' }],
		['ground spice', 3, 'g', 'fry', 's'],
		['chopped tomato', 120, 'g', 'simmer', 's']
	],
	30,
	undefined
);

export const slowMeats: readonly Technique[] = [
	stew,
	ribs,
	shank,
	shoulder,
	duckLegs,
	belly,
	curry,
	chickpeaCurry,
	beanChilli
];
