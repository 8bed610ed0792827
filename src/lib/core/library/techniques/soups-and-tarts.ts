// Tomato sauce, gravy, stock, soup; a savoury tart.
import type { Technique } from '../../model/technique';
import {
	about,
	burner,
	butter,
	computed,
	cuts,
	does,
	each,
	early,
	none,
	oven,
	plated,
	prepares,
	salt,
	size,
	metres,
	takes,
	touches,
	vessels,
	whole
} from '../forms';

const tomato: Technique = {
	id: 'tomato-sauce',
	name: 'Tomato sauce',
	kind: 'sauce',
	makes: 'tomato sauce',
	words: ['pasta', 'passata', 'vegan'],
	parameters: [],
	ingredients: takes(
		['chopped tomato', 110, 'g', 'simmer', 's'],
		['onion', 20, 'g', 'chop', 'v', { yields: 'onion' }],
		['garlic', 0.3, 'pieces', 'chop', 'v'],
		['olive oil', 8, 'ml', 'simmer', 's'],
		salt('simmer')
	),
	steps: [
		cuts('chop', 'Chop onion and garlic', 'dice onion', 0.025),
		does(
			'simmer',
			'cook',
			'Simmer the tomato sauce',
			about(1500, 0.2, [0.75, 1.4]),
			touches(
				[
					[0, 180, 'Sweat onion and garlic, tomatoes in'],
					[1, 30, 'Taste, season']
				],
				[360, 15, 'Stir to the bottom']
			),
			{
				need: burner(),
				load: { on: 'pot', kilograms: each(0.14), start: 18, litres: 0.2 },
				heat: 'a quiet simmer',
				after: ['chop:7200'],
				sign: 'Thick, oil at the rim, sweet.',
				cautions: ['It spits: lid ajar.']
			}
		)
	],
	vessels: vessels(['saucepan', 'simmer', 'simmer']),
	ahead: early('simmer', 'cooked dishes, mash, stock', 'cooled fast, in the cold; boil it up again', [0.12]),
	plate: plated('simmer', 5, 'pan sauce')
};

const gravy: Technique = {
	id: 'gravy',
	name: 'Gravy',
	kind: 'sauce',
	makes: 'pan sauce',
	words: ['roast', 'flour', 'juice'],
	about: 'From the juices of a roast and stock; tie it to the roast’s tray.',
	parameters: [],
	ingredients: takes(['stock', 80, 'ml', 'simmer', 's'], ['plain flour', 4, 'g', 'roux', 's'], butter('roux', 4)),
	steps: [
		does('roux', 'cook', 'Brown the flour in fat', about(240, 0.1), whole, {
			need: burner(),
			heat: 'medium',
			sign: 'Nut brown, smells of it.'
		}),
		does(
			'simmer',
			'cook',
			'Whisk in stock and juices, simmer the gravy',
			computed({ kind: 'reduce', from: each(0.085), to: each(0.06), level: 0.5, besides: 180 }),
			touches([
				[0, 60, 'Stock in little by little, whisking'],
				[1, 30, 'Strain, taste']
			]),
			{ need: burner(), heat: 'a simmer', after: ['roux:60'], sign: 'Coats a spoon, no taste of flour.' }
		)
	],
	vessels: vessels(['saucepan', 'roux', 'simmer']),
	plate: plated('simmer', 5, 'pan sauce')
};

const stock: Technique = {
	id: 'stock-chicken',
	name: 'Stock, simmered',
	kind: 'sauce',
	makes: 'stock',
	words: ['broth', 'bones', 'chicken'],
	about: 'Hours without hands: the day before.',
	parameters: [],
	ingredients: takes(
		['chicken bones', 150, 'g', 'simmer', 'm'],
		['onion', 25, 'g', 'cut', 'v', { yields: 'onion' }],
		['carrot', 20, 'g', 'cut', 'v', { yields: 'carrot' }],
		['celery stick', 12, 'g', 'cut', 'v']
	),
	steps: [
		cuts('cut', 'Cut the roots', 'dice roots', 0.06),
		does(
			'simmer',
			'cook',
			'Simmer the stock',
			about(9000, 0.1, [0.7, 1.4]),
			touches(
				[
					[0, 90, 'Bones into cold water, to the boil, skim; roots in'],
					[1, 150, 'Strain the stock']
				],
				[1800, 30, 'Skim']
			),
			{
				need: burner(),
				load: { on: 'pot', kilograms: each(0.2), start: 5, litres: 1.5 },
				heat: 'it only trembles',
				after: ['cut:7200'],
				sign: 'Clear and golden, tastes of more than water.',
				cautions: ['A full pot of hot stock: strain it where it stands.']
			}
		),
		does(
			'cool',
			'chill',
			'Cool the stock in ice water',
			about(2400, 0.3),
			touches([
				[0, 60, 'Pot into ice water, stir'],
				[0.5, 30, 'Stir, more ice']
			]),
			{
				need: { kind: 'cold' },
				after: ['simmer:1800'],
				cautions: ['From 57 to 21 °C in two hours, to 5 °C in four more.']
			}
		)
	],
	vessels: vessels(['pot', 'simmer', 'cool']),
	ahead: early('cool', 'cooked dishes, mash, stock', 'in the cold, its fat as a lid; boil it up again', [0.15]),
	plate: plated('cool', 5, 'pan sauce')
};

const soup: Technique = {
	id: 'soup-vegetable',
	name: 'Vegetable soup, blended',
	kind: 'starch',
	makes: 'soup',
	words: ['cream soup', 'squash', 'carrot', 'starter'],
	about: 'Waits under its lid; blended at the last moment it is light.',
	parameters: [],
	ingredients: takes(
		['squash', 140, 'g', 'cut', 'v', { yields: 'squash' }],
		['onion', 30, 'g', 'cut', 'v', { yields: 'onion' }],
		['vegetable stock', 180, 'ml', 'simmer', 's'],
		['cream', 20, 'ml', 'blend', 'd'],
		butter('simmer', 5),
		salt('blend')
	),
	steps: [
		cuts('cut', 'Peel and cut the vegetables', 'dice roots', 0.2),
		does(
			'simmer',
			'cook',
			'Simmer the vegetables soft',
			computed({
				kind: 'simmer',
				vegetable: 'squash',
				how: 'soft',
				cut: 'cube',
				size: 0.02,
				start: 18,
				kilograms: each(0.17),
				liquid: each(0.18),
				away: 0,
				level: 1,
				besides: 60
			}),
			touches([
				[0, 120, 'Sweat the onion, vegetables and stock in, lid on'],
				[1, 20, 'Spoon one: soft']
			]),
			{
				need: burner(),
				load: { on: 'pot', kilograms: each(0.17), start: 18, litres: 1.2 },
				heat: 'a lively simmer, lid on',
				after: ['cut:7200'],
				sign: 'Crushes at a touch.'
			}
		),
		does('blend', 'finish', 'Blend the soup, taste', about(240, 0.3), whole, {
			after: ['simmer:3600'],
			sign: 'Smooth, falls off the spoon in a ribbon.',
			cautions: ['Hot soup in a blender: half full, lid held under a cloth.']
		})
	],
	vessels: vessels(['pot', 'simmer', 'blend']),
	ahead: early('blend', 'cooked dishes, mash, stock', 'cooled fast and shallow, in the cold', [0.35]),
	plate: { step: 'blend', perPlate: 8, free: 900, rate: 1, most: 3600, keep: 'lid on, below the boil' }
};

const tart: Technique = {
	id: 'tart-savoury',
	name: 'Savoury tart',
	kind: 'egg',
	makes: 'tart',
	words: ['quiche', 'leek', 'pastry', 'bacon'],
	about: 'Warm rather than hot: baked before the guests come.',
	parameters: [size('Depth', 20, 30, 45, 'depth')],
	ingredients: takes(
		['short pastry', 55, 'g', 'line', 's'],
		['whole egg', 0.75, 'pieces', 'fill', 'd'],
		['cream', 45, 'ml', 'fill', 'd'],
		['leek', 45, 'g', 'cut', 'v', { yields: 'leek' }],
		['grated hard cheese', 12, 'g', 'fill', 'd'],
		salt('fill')
	),
	steps: [
		cuts('cut', 'Wash and cut the leeks', 'slice leek', 0.09),
		does(
			'sweat',
			'cook',
			'Sweat the leeks',
			about(600, 0.2),
			touches([
				[0, 30, 'Leeks into butter, lid on'],
				[0.5, 15, 'Stir'],
				[1, 15, 'Off, cool a little']
			]),
			{ need: burner(), heat: 'medium-low', after: ['cut:7200'], sign: 'Soft, no colour.' }
		),
		prepares('line', 'Line the tin with pastry, prick it', 420, 0.2),
		does(
			'blind',
			'cook',
			'Bake the pastry blind',
			{ ...about(1200, 0, [0.85, 1.2]), core: { start: 8, target: 100 } },
			touches([
				[0, 30, 'Paper and weights in, into the oven'],
				[0.7, 30, 'Weights out'],
				[1, 20, 'Pastry out']
			]),
			{ need: oven(190, 180, 200), after: ['line:7200'], sign: 'Dry and pale gold.' }
		),
		prepares('fill', 'Beat eggs and cream, fill the tart', 240, 0.3, { after: ['blind:3600', 'sweat:3600'] }),
		does(
			'bake',
			'cook',
			'Bake the tart',
			computed({ kind: 'bake', food: 'egg white', depth: metres('depth'), start: 25, core: 78, dose: 0 }),
			touches([
				[0, 30, 'Tart into the oven, level'],
				[1, 30, 'A nudge: only its middle trembles']
			]),
			{
				need: oven(170, 160, 180),
				load: { on: 'dish', litres: each(0.16), depth: metres('depth') },
				after: ['fill:600'],
				sign: 'Set at the rim, the middle trembles; 78 °C.'
			}
		),
		does('rest', 'rest', 'Let the tart settle', about(900), none, { after: ['bake:0'] })
	],
	vessels: vessels(['frying pan', 'sweat', 'sweat'], ['dish', 'line', 'rest']),
	plate: { step: 'rest', perPlate: 8, free: 1200, rate: 1, most: 3600, keep: 'in its tin, uncovered' }
};

export const soupsAndTarts: readonly Technique[] = [tomato, gravy, stock, soup, tart];
