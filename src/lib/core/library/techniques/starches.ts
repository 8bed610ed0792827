// Potatoes, rice, grains and pasta.
import type { Technique } from '../../model/technique';
import {
	about,
	boils,
	burner,
	butter,
	choice,
	computed,
	cuts,
	does,
	each,
	early,
	fat,
	finishes,
	heats,
	hotOil,
	laid,
	metres,
	none,
	oil,
	oven,
	plated,
	prepares,
	salt,
	salted,
	size,
	takes,
	touches,
	vessels,
	whole
} from '../forms';

const waxy = 'waxy potato';
const floury = 'floury potato';
const across = (usual: number, least: number, most: number) => size('Cut, across', least, usual, most);
const potato = (grams: number, step: string, yields = 'potato') =>
	takes(['potatoes', grams, 'g', step, 'v', { yields }], salt('season'));

const parboil = choice('first', 'Before the oven', 'par-cooked: crisper, and can be done ahead', [
	[0, 'par-cooked'],
	[1, 'raw into the oven']
]);
const roastPotatoes: Technique = {
	id: 'potatoes-roast',
	name: 'Potatoes, roasted',
	kind: 'starch',
	makes: 'potatoes',
	words: ['roast', 'crisp', 'spuds'],
	parameters: [across(40, 20, 60), parboil],
	ingredients: [...potato(170, 'peel', 'roast potato'), ...takes(['duck fat', 12, 'g', 'roast', 's', { grows: 0.8 }])],
	steps: [
		cuts('peel', 'Peel and cut the potatoes', 'peel potatoes', 0.2, { sign: 'One size: size decides the time.' }),
		{ ...boils('water', 'the potatoes', 0.4, 0.5), when: { parameter: 'first', is: [0] } },
		does(
			'par',
			'cook',
			'Par-cook the potatoes',
			computed({
				kind: 'soften',
				vegetable: floury,
				how: 'parcooked',
				cut: 'cube',
				size: metres('size'),
				start: 18,
				rim: true
			}),
			touches([
				[0, 30, 'Potatoes into the water'],
				[1, 75, 'Drain, shake them rough']
			]),
			{
				need: burner(),
				load: { on: 'pot', kilograms: each(0.19), start: 18, litres: 1.9 },
				heat: 'a steady boil',
				when: { parameter: 'first', is: [0] },
				after: ['water:120', 'peel:7200'],
				sign: 'The rim crumbles, the middle is firm.',
				cautions: ['Steam when you drain: pour away from you.']
			}
		),
		does(
			'roast',
			'cook',
			'Roast the potatoes',
			computed({
				kind: 'soften',
				vegetable: floury,
				// Par-cooked ones have had some of it, and come in warm.
				how: { by: 'first', times: 0.4, plus: 0.6 },
				cut: 'cube',
				size: metres('size'),
				start: { by: 'first', times: -42, plus: 60 },
				in: 'place',
				water: 2.8
			}),
			touches([
				[0, 60, 'Potatoes into the hot fat'],
				[0.5, 45, 'Turn the potatoes'],
				[1, 30, 'Potatoes out']
			]),
			{
				need: oven(210, 190, 200, 220),
				load: laid('tray', each(4), metres('size', 1.2), metres('size', 1.2), 'vegetables'),
				after: ['par:7200', 'peel:7200'],
				sign: 'Deep gold, rattle when shaken.',
				cautions: ['Hot fat: tray level, oven glove.']
			}
		),
		finishes('season', 'Salt the potatoes while hot', 30, 0.3, { after: ['roast:60'] })
	],
	vessels: vessels(['pot', 'water', 'par'], ['tray', 'roast', 'season']),
	ahead: early('par', 'cooked dishes, mash, stock', 'par-cooked, spread out, in the cold'),
	plate: plated('season', 6, 'roast vegetables')
};
const wedges: Technique = {
	id: 'potato-wedges',
	name: 'Potato wedges, tossed raw and baked',
	kind: 'starch',
	makes: 'potatoes',
	words: ['wedges', 'baked'],
	parameters: [across(24, 12, 40)],
	ingredients: [...potato(180, 'cut', 'roast potato'), ...takes(oil('bake', 10))],
	steps: [
		cuts('cut', 'Cut the potatoes in wedges', 'stick roots', 0.2),
		does(
			'bake',
			'cook',
			'Bake the wedges',
			computed({
				kind: 'soften',
				vegetable: waxy,
				how: 'soft',
				cut: 'stick',
				size: metres('size'),
				start: 18,
				in: 'place'
			}),
			touches([
				[0, 45, 'Wedges oiled, one layer, into the oven'],
				[0.6, 45, 'Turn the wedges'],
				[1, 30, 'Wedges out']
			]),
			{
				need: oven(210, 190, 200, 220),
				load: laid('tray', each(6), 0.08, metres('size'), 'vegetables'),
				after: ['cut:1800'],
				sign: 'Brown at the points, soft inside.'
			}
		),
		finishes('season', 'Salt the wedges', 30, 0.3, { after: ['bake:60'] })
	],
	vessels: vessels(['tray', 'bake', 'season']),
	plate: plated('season', 6, 'roast vegetables')
};
const fries: Technique = {
	id: 'fries-twice',
	name: 'Fries, cooked twice',
	kind: 'starch',
	makes: 'potatoes',
	words: ['chips', 'deep fried', 'fryer'],
	about: 'First soft, then crisp; the first fry can be done hours before.',
	parameters: [across(10, 6, 16)],
	ingredients: [...potato(110, 'cut', 'fries'), ...takes(['vegetable oil', 60, 'ml', 'first', 's', { grows: 0.3 }])],
	steps: [
		cuts('cut', 'Cut the fries', 'stick roots', 0.18),
		does(
			'soak',
			'soak',
			'Rinse and dry the fries',
			about(600),
			touches([
				[0, 30, 'Fries into cold water'],
				[1, 90, 'Drain, dry well']
			]),
			{ after: ['cut:3600'] }
		),
		does(
			'first',
			'cook',
			'Fry once, soft',
			computed({
				kind: 'soften',
				vegetable: floury,
				how: 2.5 / 1.5,
				cut: 'stick',
				size: metres('size'),
				start: 18,
				in: 'oil'
			}),
			touches([
				[0, 30, 'Fries into the oil, 150 °C'],
				[1, 30, 'Fries out, spread']
			]),
			{
				need: { kind: 'fryer', setting: 150 },
				load: { on: 'fryer', kilograms: each(0.18), sides: [0.01, 0.01, 0.07] },
				heat: '150 °C',
				after: ['soak:3600'],
				sign: 'Soft to the finger, no colour.',
				cautions: [hotOil]
			}
		),
		does('cool', 'rest', 'Let the fries cool and dry', about(900), none, { after: ['first:300'] }),
		does(
			'second',
			'cook',
			'Fry again, crisp',
			about(150, 0, [0.8, 1.3]),
			touches([
				[0, 30, 'Fries into the oil, 185 °C'],
				[1, 30, 'Fries out, shake']
			]),
			{
				need: { kind: 'fryer', setting: 185 },
				load: { on: 'fryer', kilograms: each(0.12), sides: [0.01, 0.01, 0.07] },
				heat: '185 °C',
				after: ['cool'],
				sign: 'Deep gold, sounds hollow.',
				cautions: [hotOil]
			}
		),
		finishes('season', 'Salt the fries', 20, 0.3, { after: ['second:30'] })
	],
	vessels: [],
	ahead: early('cool', 'cooked dishes, mash, stock', 'spread out, in the cold, uncovered'),
	plate: plated('season', 6, 'fried crust')
};
const crisped: Technique = {
	id: 'potatoes-pan-crisped',
	name: 'Potatoes, crisped in the pan from cooked',
	kind: 'starch',
	makes: 'potatoes',
	words: ['saute', 'lyonnaise', 'hash', 'fried'],
	parameters: [across(18, 10, 30), fat],
	ingredients: [...potato(180, 'cut'), ...takes(butter('crisp', 8))],
	steps: [
		cuts('cut', 'Cut the potatoes', 'dice roots', 0.2),
		boils('water', 'the potatoes', 0.4, 0.5),
		does(
			'boil',
			'cook',
			'Boil the potatoes',
			computed({ kind: 'soften', vegetable: waxy, how: 'tender', cut: 'cube', size: metres('size'), start: 18 }),
			touches([
				[0, 30, 'Potatoes into the water'],
				[1, 60, 'Drain, spread to dry']
			]),
			{
				need: burner(),
				load: { on: 'pot', kilograms: each(0.19), start: 18, litres: 1.9 },
				heat: 'a steady boil',
				after: ['water:120', 'cut:3600'],
				sign: 'A knife goes in.'
			}
		),
		heats('hot', 'the potatoes', 190),
		does(
			'crisp',
			'cook',
			'Crisp the potatoes',
			computed({ kind: 'crust', pan: 190, faces: 4 }),
			touches(
				[
					[0, 30, 'Potatoes in, one layer'],
					[1, 30, 'Potatoes out']
				],
				[120, 20, 'Toss']
			),
			{
				need: burner(1500),
				load: laid('pan', each(8), metres('size'), metres('size'), 'vegetables'),
				heat: 'medium-high',
				after: ['hot:60', 'boil'],
				sign: 'Gold all round.'
			}
		),
		finishes('season', 'Season the potatoes', 20, 0.3, { after: ['crisp:60'] })
	],
	vessels: vessels(['pot', 'water', 'boil'], ['frying pan', 'hot', 'season']),
	ahead: early('boil', 'cooked dishes, mash, stock', 'boiled, in the cold'),
	plate: plated('season', 6, 'roast vegetables')
};
const mash: Technique = {
	id: 'potato-mash',
	name: 'Potato mash',
	kind: 'starch',
	makes: 'mash',
	words: ['purée', 'potatoes', 'puree'],
	parameters: [across(35, 20, 60)],
	ingredients: [
		...potato(170, 'peel'),
		...takes(salted('water', 0.5), butter('season', 20), ['milk', 40, 'ml', 'season', 'd'])
	],
	steps: [
		cuts('peel', 'Peel and cut the potatoes', 'peel potatoes', 0.21),
		boils('water', 'the potatoes', 0.4, 0.5),
		does(
			'boil',
			'cook',
			'Boil the potatoes soft',
			computed({ kind: 'soften', vegetable: floury, how: 'soft', cut: 'cube', size: metres('size'), start: 18 }),
			touches([
				[0, 30, 'Potatoes into the water'],
				[1, 75, 'Drain, let the steam off']
			]),
			{
				need: burner(),
				load: { on: 'pot', kilograms: each(0.19), start: 18, litres: 1.9 },
				heat: 'a steady boil',
				after: ['water:120', 'peel:7200'],
				sign: 'They fall apart at a push.'
			}
		),
		does('season', 'finish', 'Press, beat in butter and hot milk', about(240, 0.5), whole, {
			after: ['boil:180'],
			sign: 'Smooth, holds a line.'
		})
	],
	vessels: vessels(['pot', 'water', 'season']),
	plate: plated('season', 7, 'mash, braise, gratin')
};
const rootMash: Technique = {
	...mash,
	id: 'celeriac-puree',
	name: 'Celeriac purée',
	makes: 'mash',
	words: ['puree', 'roots', 'celeriac'],
	parameters: [across(20, 10, 40)],
	ingredients: takes(
		['celeriac', 150, 'g', 'peel', 'v', { yields: 'celeriac' }],
		butter('season', 15),
		['cream', 20, 'ml', 'season', 'd'],
		salt('season')
	),
	steps: mash.steps.map((s) => {
		const say = s.say.replace('potatoes', 'celeriac');
		if (s.id === 'peel') return cuts('peel', 'Peel and dice the celeriac', 'dice roots', 0.2);
		return s.time.model?.kind === 'soften'
			? { ...s, say, time: { model: { ...s.time.model, vegetable: 'celeriac' as const, how: 'puree' as const } } }
			: { ...s, say };
	}),
	ahead: early('season', 'cooked dishes, mash, stock', 'cooled shallow, in the cold', [0.18, true])
};
const boiledPotatoes: Technique = {
	id: 'potatoes-boiled',
	name: 'Small potatoes, boiled',
	kind: 'starch',
	makes: 'potatoes',
	words: ['new potatoes', 'waxy'],
	parameters: [across(35, 20, 55)],
	ingredients: [...potato(170, 'scrub'), ...takes(salted('water', 0.5), butter('season', 6))],
	steps: [
		prepares('scrub', 'Scrub the potatoes', 120, 0.8),
		boils('water', 'the potatoes', 0.4, 0.5),
		does(
			'boil',
			'cook',
			'Boil the potatoes',
			computed({ kind: 'soften', vegetable: waxy, how: 'tender', cut: 'round', size: metres('size'), start: 18 }),
			touches([
				[0, 30, 'Potatoes into the water'],
				[1, 45, 'Drain the potatoes']
			]),
			{
				need: burner(),
				load: { on: 'pot', kilograms: each(0.17), start: 18, litres: 1.9 },
				heat: 'a simmer',
				after: ['water:120', 'scrub'],
				sign: 'A knife slides in.'
			}
		),
		finishes('season', 'Toss the potatoes in butter', 40, 0.4, { after: ['boil:300'] })
	],
	vessels: vessels(['pot', 'water', 'season']),
	plate: plated('season', 6, 'mash, braise, gratin')
};

/** Absorbed or boiled: the packet's minutes, which the record will correct. */
const grain = (
	id: string,
	name: string,
	makes: string,
	minutes: number,
	words: string[],
	grams: number,
	isDrained: boolean,
	/** How it slows where water boils cooler, K for ten times; water for each kilogram, litres. */
	z = 75,
	litres = 5
): Technique => ({
	id,
	name,
	kind: 'starch',
	makes,
	words,
	parameters: [],
	ingredients: takes(
		[makes, grams, 'g', isDrained ? 'cook' : 'rinse', 's'],
		isDrained ? salted('water', 0.9) : salt('cook')
	),
	steps: [
		...(isDrained
			? [boils('water', `the ${makes}`, 0.7, 0.7)]
			: [prepares('rinse', `Rinse the ${makes}`, 90, 0.3), boils('water', `the ${makes}`, 0.15, 0.05)]),
		does(
			'cook',
			'cook',
			`Cook the ${makes}`,
			computed({ kind: 'starch', seconds: each(minutes * 0.6, minutes * 57.6), z }),
			touches([
				[0, 30, `${makes.slice(0, 1).toUpperCase()}${makes.slice(1)} into the boiling water`],
				[1, 45, isDrained ? 'Drain, keep a cup of the water' : 'Off the heat']
			]),
			{
				need: burner(),
				load: { on: 'pot', kilograms: each(grams / 1000), start: 18, litres: isDrained ? litres : 1.6 },
				heat: isDrained ? 'a rolling boil' : 'lowest, lid on',
				after: isDrained ? ['water:120'] : ['water:120', 'rinse:3600'],
				sign: isDrained ? 'A bite: no white core.' : 'Water gone, small craters.'
			}
		),
		isDrained
			? does('rest', 'finish', `Toss the ${makes} with oil or sauce`, about(60, 0.3), whole, { after: ['cook:60'] })
			: does('rest', 'rest', `Let the ${makes} stand, covered`, about(600), touches([[1, 20, 'Fork it loose']]), {
					after: ['cook:0'],
					cautions: ['Cooked rice and grains: cooled within an hour or kept hot.']
				})
	],
	vessels: vessels([isDrained ? 'pot' : 'saucepan', 'water', 'rest']),
	plate: plated('rest', 7, isDrained ? 'greens' : 'mash, braise, gratin')
});
const rice = grain('rice-absorbed', 'Rice, absorbed', 'rice', 14, ['basmati', 'long grain', 'pilaf'], 65, false);
const barley = grain('barley', 'Pearl barley', 'pearl barley', 30, ['grain', 'pearled'], 60, true, 60, 4);
const quinoa = grain('quinoa', 'Quinoa', 'quinoa', 14, ['grain'], 55, false);
const pasta = grain('pasta', 'Pasta', 'pasta', 10, ['noodles', 'dried', 'spaghetti'], 90, true);
const polenta: Technique = {
	id: 'polenta',
	name: 'Polenta, stirred',
	kind: 'starch',
	makes: 'polenta',
	words: ['cornmeal', 'maize'],
	parameters: [],
	ingredients: takes(
		['cornmeal', 45, 'g', 'stir', 's'],
		butter('stir', 10),
		['grated hard cheese', 12, 'g', 'stir', 'd'],
		salt('stir')
	),
	steps: [
		boils('water', 'the polenta', 0.2, 0.05),
		does(
			'stir',
			'cook',
			'Cook the polenta',
			about(1800, 0.1),
			touches(
				[
					[0, 90, 'Rain in the meal, whisking'],
					[1, 60, 'Butter and cheese in']
				],
				[300, 30, 'Stir to the bottom']
			),
			{
				need: burner(),
				heat: 'low',
				after: ['water:120'],
				sign: 'Leaves the side of the pot; no grit.',
				cautions: ['It spits: long spoon, lid ajar.']
			}
		)
	],
	vessels: vessels(['pot', 'water', 'stir']),
	plate: plated('stir', 7, 'mash, braise, gratin')
};
const bakedPotatoes: Technique = {
	id: 'potatoes-baked-gratin',
	name: 'Potato gratin',
	kind: 'starch',
	makes: 'potatoes',
	words: ['gratin', 'cream', 'dauphinoise'],
	parameters: [size('Depth in the dish', 20, 45, 80, 'depth')],
	ingredients: [
		...potato(150, 'slice'),
		...takes(['cream', 60, 'ml', 'layer', 'd'], ['milk', 40, 'ml', 'layer', 'd'])
	].map((i) => (i.step === 'season' ? { ...i, step: 'layer' } : i)),
	steps: [
		cuts('slice', 'Peel and slice the potatoes', 'slice roots', 0.18, {
			cautions: ['Slicer: use the guard, stop before the end.']
		}),
		prepares('layer', 'Layer the gratin, pour over the cream', 300, 0.6, { after: ['slice:1800'] }),
		does(
			'bake',
			'cook',
			'Bake the gratin',
			computed({ kind: 'bake', food: 'gratin', depth: metres('depth'), start: 18, core: 88, dose: 2 }),
			touches([
				[0, 30, 'Gratin into the oven'],
				[0.5, 30, 'Press down, turn the dish'],
				[1, 30, 'Knife in: out when it slides']
			]),
			{
				need: oven(170, 160, 180, 190),
				load: { on: 'dish', litres: each(0.25), depth: metres('depth') },
				after: ['layer:2700'],
				sign: 'A knife slides through all layers.'
			}
		),
		does('rest', 'rest', 'Let the gratin settle', about(600), none, { after: ['bake:0'] })
	],
	vessels: vessels(['dish', 'layer', 'rest']),
	ahead: early('layer', 'cooked dishes, mash, stock', 'layered with its hot cream, in the cold'),
	plate: plated('rest', 8, 'mash, braise, gratin')
};

export const starches: readonly Technique[] = [
	roastPotatoes,
	wedges,
	fries,
	crisped,
	mash,
	rootMash,
	boiledPotatoes,
	bakedPotatoes,
	rice,
	barley,
	quinoa,
	pasta,
	polenta
];
