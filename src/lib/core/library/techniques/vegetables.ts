// Vegetables by the way they are cooked: one row says what a vegetable is, one function what a way does to any of them.
import { tender } from '../../heat/softness';
import type { Parameter, Step, Technique } from '../../model/technique';
import {
	about,
	boils,
	burner,
	butter,
	choice,
	computed,
	cuts,
	degrees,
	does,
	each,
	early,
	fat,
	finishes,
	heats,
	laid,
	metres,
	oil,
	oven,
	plated,
	salt,
	salted,
	share,
	softness,
	steamBurns,
	takes,
	touches,
	vessels
} from '../forms';
import { rows, type Row, type Way } from '../vegetable-rows';

/** Cooked for longer or shorter; what every way asks of the cook. */
const seasoning = choice('season', 'Seasoning', 'simple: dried spice and garlic scorch', [
	[0, 'simple, flavours at the end'],
	[1, 'spiced before']
]);

/** When a tray is tossed, as a share of its time. */
const tossing = choice('toss', 'Tossed', 'what is turned early colours on all sides and sticks less', [
	[0.33, 'when a third is done'],
	[0.6, 'past half way: browner below']
]);

const warmth: Parameter = { id: 'start', name: 'Starts at', unit: '°C', least: 1, usual: 18, most: 24 };

const soften = (row: Row, medium: 'water' | 'steam' | 'place', factor = 1, isChosen = true) =>
	computed({
		kind: 'soften',
		vegetable: row.vegetable,
		how: isChosen ? { by: 'soft', times: factor, plus: 0 } : factor,
		cut: row.cut,
		size: metres('size'),
		start: degrees('start'),
		in: medium
	});

const small = (row: Row) => row.name.toLowerCase();

const cut = (row: Row): Step =>
	cuts('cut', row.say, row.knife, row.grams / 1000, { sign: 'One size: size decides the time.' });

const tossed = (row: Row, say: string, after: string): Step =>
	row.isPeeledAfter
		? finishes('toss', `Rub the skins off the ${small(row)}, cut, toss`, 240, 0.9, { after: [`${after}:600`] })
		: finishes('toss', say, 60, 0.5, { after: [`${after}:120`] });

const tray = (row: Row) => laid('tray', each(row.pieces), row.piece[0], row.piece[1], 'vegetables');

const ways: Readonly<
	Record<Way, (row: Row) => Pick<Technique, 'name' | 'about' | 'steps' | 'vessels' | 'plate' | 'ahead'>>
> = {
	boil: (row) => ({
		name: `${row.name}, boiled`,
		about: 'Quick and even; can be stopped in ice water and tossed in butter later.',
		steps: [
			cut(row),
			boils('water', `the ${small(row)}`, 0.4, 0.6),
			does(
				'boil',
				'cook',
				`Boil the ${small(row)}`,
				soften(row, 'water'),
				touches([
					[0, 30, `${row.name} into the salted water`],
					[1, 45, 'Drain, away from you']
				]),
				{
					need: burner(),
					load: { on: 'pot', kilograms: each(row.grams / 1000), start: degrees('start') },
					heat: 'full, lid off',
					after: ['cut:7200', 'water:120'],
					sign: 'A knife goes in with a little push.',
					cautions: ['Steam when you drain: pour away from you.']
				}
			),
			tossed(row, `Toss the ${small(row)} in butter, season`, 'boil')
		],
		vessels: vessels(['pot', 'water', 'boil']),
		plate: plated('toss', 6, 'greens'),
		ahead: early('cut', 'cut or blanched vegetables', 'cut, in the cold, under a damp cloth')
	}),
	steam: (row) => ({
		name: `${row.name}, steamed`,
		about: 'Nothing is washed out; the pot is half free.',
		steps: [
			cut(row),
			boils('water', `steaming the ${small(row)}`, 0.05, 0.8),
			does(
				'steam',
				'cook',
				`Steam the ${small(row)}`,
				soften(row, 'steam'),
				touches([
					[0, 30, `${row.name} into the basket, lid on`],
					[1, 30, 'Basket out']
				]),
				{
					need: burner(),
					load: { on: 'basket', kilograms: each(row.grams / 1000) },
					heat: 'medium, lid on',
					after: ['cut:7200', 'water:600'],
					sign: 'A knife goes in with a little push.',
					cautions: [steamBurns]
				}
			),
			finishes('toss', `Dress the ${small(row)}`, 60, 0.5, { after: ['steam:120'] })
		],
		vessels: vessels(['pot', 'water', 'steam'], ['steamer basket', 'steam', 'steam']),
		plate: plated('toss', 6, 'greens'),
		ahead: early('cut', 'cut or blanched vegetables', 'cut, in the cold, under a damp cloth')
	}),
	pan: (row) => ({
		name: `${row.name}, browned in the pan, then water and lid`,
		about: 'Brown and tender in one pan.',
		steps: [
			cut(row),
			heats('hot', `the ${small(row)}`, 190),
			does(
				'brown',
				'cook',
				`Brown the ${small(row)}`,
				computed({ kind: 'crust', pan: 190, faces: 1 }),
				touches([
					[0, 30, `${row.name} in, cut side down`],
					[1, 20, 'Toss, splash of water, lid on']
				]),
				{
					need: burner(),
					load: laid('pan', each(row.pieces), row.piece[0], row.piece[1], 'vegetables'),
					heat: 'medium-high',
					after: ['hot:60', 'cut:7200'],
					sign: 'Brown where it lies.'
				}
			),
			does(
				'soften',
				'cook',
				`Soften the ${small(row)} under a lid`,
				soften(row, 'steam', 0.8),
				touches([
					[0.6, 20, 'Toss, look whether the water is gone'],
					[1, 20, 'Lid off, season']
				]),
				{
					need: burner(),
					heat: 'medium, lid on',
					after: ['brown:0'],
					sign: 'A knife goes in; the water is gone.',
					cautions: [steamBurns]
				}
			)
		],
		vessels: vessels(['frying pan', 'hot', 'soften']),
		plate: plated('soften', 6, 'greens'),
		ahead: early('cut', 'cut or blanched vegetables', 'cut, in the cold, under a damp cloth')
	}),
	roast: (row) => ({
		name: `${row.name}, roasted`,
		about: 'Brown and sweet, no hands; shares the oven where the temperature suits.',
		steps: [
			cut(row),
			does(
				'roast',
				'cook',
				`Roast the ${small(row)}`,
				soften(row, 'place', 1, false),
				touches([
					[0, 45, `${row.name} oiled, one layer, into the oven`],
					[share('toss'), 30, 'Turn the tray, toss'],
					[1, 30, `${row.name} out`]
				]),
				{
					need: oven(210, 180, 190, 200, 220),
					load: tray(row),
					after: ['cut:7200'],
					sign: 'Brown at the rims, a knife goes in.'
				}
			),
			row.isPeeledAfter
				? finishes('season', `Rub the skins off the ${small(row)}, cut, season`, 240, 0.9, { after: ['roast:600'] })
				: finishes('season', `Season the ${small(row)} while hot`, 30, 0.3, { after: ['roast:60'] })
		],
		vessels: vessels(['tray', 'roast', 'season']),
		plate: plated('season', 6, 'roast vegetables'),
		ahead: early('cut', 'cut or blanched vegetables', 'cut, in the cold, under a damp cloth')
	}),
	braise: (row) => ({
		name: `${row.name}, braised`,
		about: 'Soft, in its own sauce; waits well and can be made the day before.',
		steps: [
			cut(row),
			does(
				'braise',
				'cook',
				`Braise the ${small(row)}`,
				computed({
					kind: 'simmer',
					vegetable: row.vegetable,
					how: { by: 'soft', times: braised(row), plus: 0 },
					cut: row.cut,
					size: metres('size'),
					start: degrees('start'),
					kilograms: each(row.grams / 1000),
					liquid: each(0.06),
					away: 0.7,
					level: 0.5,
					besides: 0
				}),
				touches([
					[0, 60, `${row.name} into butter and a little stock, lid on`],
					[0.6, 20, 'Turn once'],
					[1, 45, 'Lid off, glaze, taste']
				]),
				{
					need: burner(),
					load: { on: 'pot', kilograms: each(row.grams / 1000), start: degrees('start'), litres: 0.5 },
					heat: 'low, lid on',
					after: ['cut:7200'],
					sign: 'Soft right through, glossy.'
				}
			),
			does(
				'warm',
				'cook',
				`Heat the ${small(row)} through`,
				about(300, 0.3),
				touches([
					[0, 20, 'Lid on, gentle heat'],
					[1, 20, 'Taste, season']
				]),
				{ need: burner(), heat: 'low, lid on', after: ['braise'], sign: 'Steaming hot right through.' }
			)
		],
		vessels: vessels(['pot', 'braise', 'warm']),
		plate: plated('warm', 7, 'mash, braise, gratin'),
		ahead: early(
			'braise',
			'cooked dishes, mash, stock',
			'cooled fast and shallow, in the cold; reheat to 74 °C right through'
		)
	}),
	glaze: (row) => ({
		name: `${row.name}, glazed`,
		about: 'Water, butter and a little sugar boil down to a shine as they soften.',
		steps: [
			cut(row),
			does(
				'glaze',
				'cook',
				`Simmer the ${small(row)} to a glaze`,
				computed({
					kind: 'simmer',
					vegetable: row.vegetable,
					how: { by: 'soft', times: 1, plus: 0 },
					cut: row.cut,
					size: metres('size'),
					start: degrees('start'),
					kilograms: each(row.grams / 1000),
					liquid: each((0.6 * row.grams) / 1000),
					away: 1,
					level: 0.8,
					besides: 120
				}),
				touches(
					[
						[0, 45, `${row.name}, butter, sugar, water half way up`],
						[1, 60, 'Toss in the glaze until it clings']
					],
					[240, 10, 'Shake the pan']
				),
				{
					need: burner(),
					load: laid('pan', each(row.pieces), row.piece[0], row.piece[1], 'vegetables'),
					heat: 'a brisk simmer, lid off',
					after: ['cut:7200'],
					sign: 'Water gone, a shine on each piece.'
				}
			)
		],
		vessels: vessels(['frying pan', 'glaze', 'glaze']),
		plate: plated('glaze', 6, 'pan sauce'),
		ahead: early('cut', 'cut or blanched vegetables', 'cut, in the cold, under a damp cloth')
	}),
	embers: (row) => ({
		name: `${row.name}, from the falling wood oven`,
		about: 'In the heat that is left when the bread and the meat are out: sweet, smoky, no hands.',
		steps: [
			cut(row),
			does(
				'roast',
				'cook',
				`Roast the ${small(row)} in the falling heat`,
				soften(row, 'place', 1, false),
				touches([
					[0, 45, `${row.name} oiled, in one layer, to the mouth of the oven`],
					[share('toss'), 30, 'Turn them round, toss'],
					[1, 30, `${row.name} out`]
				]),
				{
					need: { kind: 'wood oven', between: [180, 300] },
					load: laid('wood oven', each(row.pieces), row.piece[0], row.piece[1], 'vegetables'),
					after: ['cut:7200'],
					sign: 'Brown at the rims, a knife goes in.'
				}
			),
			finishes('season', `Season the ${small(row)} while hot`, 30, 0.3, { after: ['roast:60'] })
		],
		vessels: [],
		plate: plated('season', 6, 'roast vegetables'),
		ahead: early('cut', 'cut or blanched vegetables', 'cut, in the cold, under a damp cloth')
	}),
	grill: (row) => ({
		name: `${row.name}, grilled`,
		about: 'Charred at the edges; wants the grill and somebody beside it.',
		steps: [
			cut(row),
			does(
				'grill',
				'cook',
				`Grill the ${small(row)}`,
				soften(row, 'place', 0.7),
				touches(
					[
						[0, 45, `${row.name} oiled, onto the grate`],
						[1, 30, `${row.name} off`]
					],
					[180, 25, 'Turn them']
				),
				{
					need: { kind: 'grill', between: [180, 340] },
					load: laid('grill', each(row.pieces), row.piece[0], row.piece[1], 'vegetables'),
					after: ['cut:7200'],
					sign: 'Dark stripes, a knife goes in.',
					cautions: ['Dripping oil flares.']
				}
			),
			finishes('season', `Dress the ${small(row)}`, 40, 0.4, { after: ['grill:300'] })
		],
		vessels: [],
		plate: plated('season', 6, 'roast vegetables'),
		ahead: early('cut', 'cut or blanched vegetables', 'cut, in the cold, under a damp cloth')
	})
};

/** Browned until it is golden, and tossed on the way. */
const isTossed = (way: Way) => way === 'roast' || way === 'embers';

/** Minutes at 100 °C that a braised vegetable has, against those of a tender one: soft right through. */
const braisedDose: Partial<Record<Row['vegetable'], number>> = { fennel: 8, celeriac: 8, cabbage: 8 };
const braised = ({ vegetable }: Row) => (braisedDose[vegetable] ?? 6) / tender[vegetable].dose;

/** Each vegetable in each of its ways. */
export const vegetables: readonly Technique[] = rows.flatMap((row) =>
	row.ways.map((way): Technique => {
		const { name, about: line, steps, vessels: kit, plate, ahead } = ways[way](row);
		return {
			id: `${row.id}-${way}`,
			name,
			kind: 'side',
			makes: small(row),
			words: [way, 'vegetables', ...(row.words ?? [])],
			...(line === undefined ? {} : { about: line }),
			// In the oven they are soft before they are brown: how soft is no choice there.
			parameters: [
				row.size,
				...(isTossed(way) ? [tossing] : [softness]),
				warmth,
				seasoning,
				...(way === 'pan' ? [fat] : [])
			],
			ingredients: takes(
				[small(row), row.grams, 'g', 'cut', 'v', { yields: row.yields }],
				isTossed(way) || way === 'grill' ? oil(steps[1]?.id ?? 'cut') : butter(steps.at(-1)?.id ?? 'cut', 6),
				salt(steps.at(-1)?.id ?? 'cut'),
				['chopped herbs', 2, 'g', steps.at(-1)?.id ?? 'cut', 'h', { when: { parameter: 'season', is: [0] } }],
				['ground cumin', 0.5, 'g', 'cut', 's', { when: { parameter: 'season', is: [1] } }],
				...(way === 'boil' ? [salted('water', 0.55)] : [])
			),
			steps,
			vessels: kit,
			...(ahead ? { ahead } : {}),
			plate
		};
	})
);
