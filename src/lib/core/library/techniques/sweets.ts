// The end of the meal: chilled custard, crumble, warm chocolate pudding, a simple cake, what is ice cold and plated last.
import type { Technique } from '../../model/technique';
import {
	about,
	burner,
	butter,
	cold,
	computed,
	cuts,
	does,
	each,
	early,
	finishes,
	laid,
	metres,
	none,
	oven,
	prepares,
	size,
	takes,
	touches,
	vessels
} from '../forms';

const custard: Technique = {
	id: 'custard-chilled',
	name: 'Custard, baked and chilled',
	kind: 'dessert',
	makes: 'custard',
	words: ['creme', 'caramel', 'vanilla', 'pudding'],
	about: 'Made the day before; nothing to do in the evening.',
	parameters: [],
	ingredients: takes(
		['cream', 60, 'ml', 'mix', 'd'],
		['milk', 40, 'ml', 'mix', 'd'],
		['egg yolk', 1, 'pieces', 'mix', 'd'],
		['sugar', 14, 'g', 'mix', 's']
	),
	steps: [
		prepares('mix', 'Warm the cream, whisk in yolks and sugar, strain', 420, 0.3),
		does(
			'bake',
			'cook',
			'Bake the custards in a bath of water',
			{ ...about(2400, 0, [0.8, 1.25]), core: { start: 40, target: 80 } },
			touches([
				[0, 15, 'Cups into hot water, into the oven', 5],
				[0.8, 20, 'A nudge: trembles?'],
				[1, 15, 'Cups out of the water', 5]
			]),
			{
				need: oven(140, 130, 150),
				load: laid('tray', each(1), 0.085, undefined, 'pieces'),
				after: ['mix:1800'],
				sign: 'Set at the rim, the middle trembles; 80 °C.',
				cautions: ['Hot water in the tray: carry it level.']
			}
		),
		does(
			'chill',
			'chill',
			'Chill the custards',
			{ shortest: 7200, usual: 10_800, longest: 21_600 },
			touches([[0, 30, 'Cups into the cold, covered']]),
			{ need: cold, after: ['bake:3600'] }
		)
	],
	vessels: vessels(['cups', 'mix', 'chill'], ['tray', 'bake', 'bake']),
	ahead: early('chill', 'soft or marinated eggs', 'covered, in the cold'),
	plate: { step: 'chill', perPlate: 10, free: 1800, rate: 1, most: 7200, keep: 'in the cold' }
};

const crumble: Technique = {
	id: 'crumble-fruit',
	name: 'Fruit crumble',
	kind: 'dessert',
	makes: 'crumble',
	words: ['apple', 'fruit', 'oats', 'baked'],
	about: 'Into the oven when the mains go out; warm when it is wanted.',
	parameters: [size('Depth in the dish', 30, 45, 60, 'depth')],
	ingredients: takes(
		['apple', 110, 'g', 'cut', 'v', { yields: 'apple' }],
		['plain flour', 25, 'g', 'rub', 's'],
		['oats', 10, 'g', 'rub', 's'],
		['brown sugar', 18, 'g', 'rub', 's'],
		butter('rub', 16)
	),
	steps: [
		cuts('cut', 'Peel and cut the apples', 'prepare apples', 0.16),
		prepares('rub', 'Rub butter, flour and sugar to crumbs', 300, 0.3),
		does(
			'bake',
			'cook',
			'Bake the crumble',
			computed({ kind: 'bake', food: 'gratin', depth: metres('depth'), start: 18, core: 85, dose: 0.6 }),
			touches([
				[0, 45, 'Fruit and crumbs into the dish, into the oven'],
				[1, 20, 'Crumble out']
			]),
			{
				need: oven(180, 170, 190),
				load: { on: 'dish', litres: each(0.25), depth: metres('depth') },
				after: ['cut:1800', 'rub:7200'],
				sign: 'Gold on top, juice bubbling thickly at the rim.'
			}
		),
		does('rest', 'rest', 'Let the crumble cool a little', about(900), none, {
			after: ['bake:0'],
			cautions: ['Hot sugar burns: not straight from the oven.']
		})
	],
	vessels: vessels(['dish', 'bake', 'rest']),
	plate: { step: 'rest', perPlate: 10, free: 1800, rate: 1, most: 5400, keep: 'in its dish' }
};

const pudding: Technique = {
	id: 'chocolate-pudding',
	name: 'Warm chocolate pudding',
	kind: 'dessert',
	makes: 'chocolate pudding',
	words: ['fondant', 'molten', 'cake'],
	about: 'Filled ahead, baked while the table is cleared; a minute decides.',
	parameters: [],
	ingredients: takes(
		['dark chocolate', 30, 'g', 'melt', 's'],
		butter('melt', 20),
		['whole egg', 0.75, 'pieces', 'beat', 'd'],
		['sugar', 18, 'g', 'beat', 's'],
		['plain flour', 8, 'g', 'beat', 's']
	),
	steps: [
		does(
			'melt',
			'cook',
			'Melt chocolate and butter over warm water',
			about(420, 0.2),
			touches([
				[0, 30, 'Bowl over the water'],
				[1, 20, 'Stir, off']
			]),
			{ need: burner(), heat: 'low', sign: 'Smooth and shining, never hot.' }
		),
		prepares('beat', 'Beat eggs and sugar, fold, fill the cups', 480, 0.3, { after: ['melt:1200'] }),
		does(
			'bake',
			'cook',
			'Bake the puddings',
			{ ...about(690, 0, [0.9, 1.15]), core: { start: 8, target: 70 } },
			touches([
				[0, 15, 'Cups onto the tray, into the oven', 3],
				[0.8, 15, 'Look: rims set?'],
				[1, 15, 'Out, turn out', 12]
			]),
			{
				need: oven(200, 190, 210),
				load: laid('tray', each(1), 0.085, undefined, 'pieces'),
				after: ['beat:14400'],
				sign: 'Rim set, a soft middle as large as a coin.'
			}
		)
	],
	vessels: vessels(['saucepan', 'melt', 'melt'], ['cups', 'beat', 'bake'], ['tray', 'bake', 'bake']),
	ahead: early('beat', 'raw-egg sauces', 'in their cups, in the cold'),
	plate: { step: 'bake', perPlate: 10, free: 60, rate: 3, most: 300, keep: 'they set on: serve at once' }
};

const cake: Technique = {
	id: 'cake-simple',
	name: 'A simple cake',
	kind: 'dessert',
	makes: 'cake',
	words: ['sponge', 'loaf', 'lemon', 'baked'],
	about: 'Baked in the afternoon.',
	parameters: [],
	ingredients: takes(
		['plain flour', 28, 'g', 'mix', 's'],
		['sugar', 24, 'g', 'mix', 's'],
		['whole egg', 0.5, 'pieces', 'mix', 'd'],
		butter('mix', 24),
		['baking powder', 0.8, 'g', 'mix', 's']
	),
	steps: [
		prepares('mix', 'Beat the batter, fill the tin', 600, 0.3),
		does(
			'bake',
			'cook',
			'Bake the cake',
			{ ...about(2700, 0.25, [0.85, 1.2]), core: { start: 20, target: 96 } },
			touches([
				[0, 20, 'Tin into the oven'],
				[0.85, 20, 'A skewer in: wet?'],
				[1, 20, 'Cake out']
			]),
			{ need: oven(175, 165, 180), after: ['mix:600'], sign: 'A skewer comes out clean; it springs back.' }
		),
		does('cool', 'rest', 'Let the cake cool', about(2700), touches([[0.3, 20, 'Out of its tin']]), {
			after: ['bake:0']
		})
	],
	vessels: vessels(['dish', 'mix', 'cool']),
	plate: { step: 'cool', perPlate: 8, free: 7200, rate: 1, most: 14_400, keep: 'covered, at room temperature' }
};

const iced: Technique = {
	id: 'ice-plated',
	name: 'Ice cream, plated cold',
	kind: 'dessert',
	makes: 'ice cream',
	words: ['ice', 'sorbet', 'sundae', 'frozen'],
	about: 'Plates in the cold, scoops in hot water; on the table within a minute.',
	parameters: [],
	ingredients: takes(['vanilla ice cream', 80, 'g', 'soften', 'd'], ['raspberries', 30, 'g', 'scoop', 'v']),
	steps: [
		does('plates', 'chill', 'Chill the plates', about(1200), touches([[0, 45, 'Plates into the cold']]), {
			need: cold
		}),
		does(
			'soften',
			'temper',
			'Let the ice soften in the fridge',
			about(600, 0, [0.7, 1.4]),
			touches([[0, 20, 'Ice from the freezer to the fridge']]),
			{ need: cold, sign: 'A spoon goes in.' }
		),
		finishes('scoop', 'Scoop the ice onto cold plates', 90, 0.9, { after: ['soften:300', 'plates'] })
	],
	vessels: [],
	plate: { step: 'scoop', perPlate: 8, free: 0, rate: 5, most: 120, keep: 'in the freezer' }
};

export const sweets: readonly Technique[] = [custard, crumble, pudding, cake, iced];
