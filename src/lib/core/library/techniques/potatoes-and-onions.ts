// Potatoes baked whole, as fries from the oven and from a pot of oil, boiled before they are fried; onions to caramel.
import type { Step, Technique } from '../../model/technique';
import {
	about,
	boils,
	burner,
	butter,
	computed,
	cuts,
	does,
	each,
	early,
	finishes,
	hotOil,
	laid,
	metres,
	none,
	oil,
	oven,
	plated,
	prepares,
	salt,
	size,
	takes,
	touches,
	vessels
} from '../forms';

const floury = 'floury potato';

const baked: Technique = {
	id: 'potato-baked-whole',
	name: 'Baked potatoes',
	kind: 'starch',
	makes: 'potatoes',
	words: ['jacket', 'whole', 'oven'],
	about: 'An hour and nothing to do; waits well in its skin.',
	parameters: [size('Thickness', 40, 70, 90)],
	ingredients: takes(['potatoes', 210, 'g', 'scrub', 'v'], oil('scrub', 3), butter('open', 10), salt('scrub')),
	steps: [
		prepares('scrub', 'Scrub, dry, oil and salt the potatoes', 150, 0.8),
		does(
			'bake',
			'cook',
			'Bake the potatoes',
			computed({
				kind: 'soften',
				vegetable: floury,
				how: 'puree',
				cut: 'round',
				size: metres('size'),
				start: 18,
				in: 'place',
				water: 0
			}),
			touches([
				[0, 20, 'Potatoes onto the rack'],
				[1, 30, 'Squeeze one in a cloth: soft?']
			]),
			{
				need: oven(200, 180, 190, 210, 220),
				load: laid('tray', each(1), 0.1, 0.07, 'pieces'),
				after: ['scrub'],
				sign: 'Gives all the way when squeezed.'
			}
		),
		finishes('open', 'Open the potatoes, butter in', 30, 0.8, { after: ['bake:900'] })
	],
	vessels: vessels(['tray', 'bake', 'open']),
	plate: plated('open', 7, 'roast vegetables')
};

const ovenFries: Technique = {
	id: 'fries-oven',
	name: 'Fries, from the oven',
	kind: 'starch',
	makes: 'potatoes',
	words: ['chips', 'oven', 'baked'],
	about: 'No oil to heat and to carry: less crisp, less fat.',
	parameters: [size('Cut, across', 8, 12, 18)],
	ingredients: takes(['potatoes', 130, 'g', 'cut', 'v', { yields: 'fries' }], oil('bake', 10), salt('season')),
	steps: [
		cuts('cut', 'Cut the fries', 'stick roots', 0.2),
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
			'bake',
			'cook',
			'Bake the fries',
			computed({
				kind: 'soften',
				vegetable: floury,
				how: 'tender',
				cut: 'stick',
				size: metres('size'),
				start: 18,
				in: 'place'
			}),
			touches([
				[0, 45, 'Fries oiled, one layer, into the oven'],
				[0.6, 45, 'Turn the fries'],
				[1, 20, 'Fries out']
			]),
			{
				need: oven(220, 200, 210, 230),
				load: laid('tray', each(14), 0.07, metres('size'), 'vegetables'),
				after: ['soak:3600'],
				sign: 'Gold at the edges, crisp to the fork.'
			}
		),
		finishes('season', 'Salt the fries', 20, 0.3, { after: ['bake:30'] })
	],
	vessels: vessels(['tray', 'bake', 'season']),
	plate: plated('season', 6, 'fried crust')
};

/** A handful at a time through a pot of hot oil. */
const friedInPot = (
	id: string,
	say: string,
	seconds: number,
	heat: string,
	out: string,
	after: readonly string[],
	sign: string
): Step =>
	does(
		id,
		'cook',
		say,
		about(seconds, 0, [0.8, 1.3]),
		touches([
			[0, 20, 'Fries in, a handful at a time, away from you'],
			[1, 25, out]
		]),
		{
			need: burner(1500),
			load: laid('oil', each(14), 0.07, metres('size', 0.5), 'pieces'),
			heat,
			after,
			sign,
			cautions: [hotOil]
		}
	);

const potFries: Technique = {
	id: 'fries-pot',
	name: 'Fries, in a pot of oil',
	kind: 'starch',
	makes: 'potatoes',
	words: ['chips', 'deep fried', 'boiled first', 'crisp'],
	about: 'Without a fryer: boiled soft, dried, fried twice; the pot half full at the most, and never moved.',
	parameters: [size('Cut, across', 6, 11, 16)],
	ingredients: takes(
		['potatoes', 110, 'g', 'cut', 'v', { yields: 'fries' }],
		['vegetable oil', 250, 'ml', 'oil', 's', { grows: 0.3 }],
		salt('season')
	),
	steps: [
		cuts('cut', 'Cut the fries', 'stick roots', 0.18),
		boils('water', 'the fries', 0.5, 0.5),
		does(
			'boil',
			'cook',
			'Boil the fries just soft',
			computed({ kind: 'soften', vegetable: floury, how: 'tender', cut: 'stick', size: metres('size'), start: 18 }),
			touches([
				[0, 20, 'Fries into the water'],
				[1, 60, 'Lift out, spread on a rack']
			]),
			{
				need: burner(),
				load: { on: 'pot', kilograms: each(0.18), start: 18 },
				heat: 'a gentle boil',
				after: ['water:120', 'cut:3600'],
				sign: 'Soft, edges rough, nearly falling apart.'
			}
		),
		does('cool', 'rest', 'Let the fries steam off and dry', about(1200), none, { after: ['boil:60'] }),
		does(
			'oil',
			'preheat',
			'Heat the oil',
			computed({ kind: 'hot-oil', litres: each(0.25, 1), to: 150 }),
			touches([[0, 30, 'Oil on, pot half full at the most']]),
			{
				need: burner(1500),
				heat: 'medium-high',
				sign: '150 °C; a fry sizzles gently.',
				cautions: [hotOil]
			}
		),
		friedInPot(
			'first',
			'Fry once, pale',
			240,
			'150 °C',
			'Fries out onto a rack',
			['oil:60', 'cool:7200'],
			'A dry, pale skin; no colour.'
		),
		does('rest', 'rest', 'Let the fries rest on the rack', about(480), none, { after: ['first:60'] }),
		does('hotter', 'preheat', 'Heat the oil on, to 190 °C', about(210), touches([[0, 10, 'Heat up, to 190 °C']]), {
			need: burner(1500),
			heat: 'medium-high',
			after: ['first'],
			sign: '190 °C; a fry dances.',
			cautions: [hotOil]
		}),
		friedInPot(
			'fry',
			'Fry again, crisp',
			150,
			'190 °C',
			'Fries out, shake',
			['hotter:60', 'rest:7200'],
			'Deep gold, sounds hollow.'
		),
		finishes('season', 'Salt the fries', 20, 0.3, { after: ['fry:30'] })
	],
	vessels: vessels(['saucepan', 'water', 'boil'], ['pot', 'oil', 'fry']),
	ahead: early('cool', 'cooked dishes, mash, stock', 'spread out, in the cold, uncovered'),
	plate: plated('season', 6, 'fried crust')
};

const caramel: Technique = {
	id: 'onions-caramelised',
	name: 'Onions, caramelised',
	kind: 'side',
	makes: 'onions',
	words: ['brown', 'slow', 'sweet', 'jam'],
	about: 'Three quarters of an hour, whatever recipes say; keeps for days.',
	parameters: [],
	ingredients: takes(
		['onion', 40, 'g', 'slice', 'v', { yields: 'caramelised onion' }],
		butter('brown', 8),
		salt('brown')
	),
	steps: [
		cuts('slice', 'Slice the onions', 'slice onion', 0.13),
		does(
			'brown',
			'cook',
			'Cook the onions down to caramel',
			about(2700, 0.25, [0.8, 1.3]),
			touches(
				[
					[0, 45, 'Onions, butter and salt in, lid on'],
					[0.25, 15, 'Lid off'],
					[1, 30, 'A spoon of water, scrape, off']
				],
				[300, 20, 'Stir, scrape']
			),
			{
				need: burner(),
				load: { on: 'pot', kilograms: each(0.13), start: 18, litres: 0.3 },
				heat: 'medium-low',
				after: ['slice:7200'],
				sign: 'Brown as nuts all through, sweet, no sharpness.'
			}
		)
	],
	vessels: vessels(['pot', 'brown', 'brown']),
	ahead: early('brown', 'cooked dishes, mash, stock', 'cooled, in the cold', [0.04, true]),
	plate: plated('brown', 6, 'mash, braise, gratin')
};

export const potatoesAndOnions: readonly Technique[] = [baked, ovenFries, potFries, caramel];
