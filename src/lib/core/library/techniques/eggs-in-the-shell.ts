// Eggs cooked in their shells: boiled from hot or cold, in a bath; and what is made of those: coated, marinated.
import type { Step, Technique } from '../../model/technique';
import type { eggWayNames, Quantity } from '../../model/time-model';
import {
	about,
	boils,
	burner,
	count,
	cold,
	computed,
	degrees,
	does,
	each,
	eachEgg,
	perEgg,
	early,
	egg,
	firm,
	handles,
	hotOil,
	kilograms,
	laid,
	none,
	plated,
	prepares,
	share,
	softEggs,
	start,
	takes,
	touches,
	vessels,
	whole,
	yolk
} from '../forms';

export const eggs = (step: string, each: Quantity = perEgg(1)): ReturnType<typeof takes> =>
	takes(['eggs', each, 'pieces', step, 'd']);

/** Time by the way, the mass and the firmness; for so many one after the other. */
type EggMore = Partial<Record<'count' | 'start' | 'together' | 'kilograms', Quantity>>;
export const way = (name: (typeof eggWayNames)[number], more: EggMore = {}) =>
	computed({ kind: 'egg', way: name, kilograms: kilograms('egg'), firm: share('firm'), ...more });

const boiled = (isCold: boolean): Step[] => [
	...(isCold
		? [
				does(
					'water',
					'preheat',
					'Bring the eggs to the boil in cold water',
					computed({ kind: 'boil', litres: eachEgg(0.25, 0.25), start: 12 }),
					touches([[0, 45, 'Eggs into cold water, 2 cm over them']]),
					{
						need: burner(),
						heat: 'full, lid on',
						sign: 'Rolling: then off the heat at once.'
					}
				)
			]
		: [boils('water', 'the eggs', eachEgg(0.25, 0.25))]),
	does(
		'boil',
		'cook',
		isCold ? 'Steep the eggs, off the heat and covered' : 'Boil the eggs',
		computed({
			kind: 'boiled-egg',
			kilograms: kilograms('egg'),
			start: degrees('start'),
			style: degrees('yolk'),
			cold: isCold,
			count: eachEgg(1)
		}),
		touches([
			isCold ? [0, 15, 'Lid on, off the heat'] : [0, 10, 'Lower the eggs in by spoon: cold shells can crack', 5],
			[1, 15, 'Eggs into ice water', 3]
		]),
		{
			...(isCold ? {} : { need: burner(), heat: 'rolling, then gentle' }),
			// From cold they come up with their water; into the boil they take some of it, and it is back in a minute or so.
			load: {
				on: 'pot',
				kilograms: { by: 'covers', also: ['count', 'egg'], times: 0.001, plus: 0 },
				start: degrees('start'),
				...(isCold ? { litres: 1.9 } : { litres: 3, drop: 25 })
			},
			together: true,
			after: [isCold ? 'water:0' : 'water:120'],
			sign: 'Open one if you doubt: the yolk decides.'
		}
	),
	does('ice', 'chill', 'Stop the eggs in ice water', about(240), none, { need: cold, after: ['boil:0'] }),
	handles('peel', 'Peel the eggs', 'peel an egg', eachEgg(1), { after: ['ice:1800'] })
];

const boiledHot: Technique = {
	id: 'boiled-eggs',
	name: 'Boiled eggs, from boiling water',
	kind: 'egg',
	makes: 'boiled eggs',
	words: ['soft boiled', 'hard boiled', 'shell', 'jammy'],
	about: 'The usual way: less depends on pot, burner and water.',
	parameters: [count(1, 3), egg, start, yolk],
	ingredients: eggs('boil'),
	steps: boiled(false),
	vessels: vessels(['saucepan', 'water', 'boil']),
	ahead: early('peel', 'soft or marinated eggs', 'in their shells or peeled, in cold water'),
	plate: { step: 'peel', perPlate: 6, free: 900, rate: 1, most: 3600, keep: 'in lukewarm water' }
};

const boiledCold: Technique = {
	...boiledHot,
	id: 'boiled-eggs-cold-start',
	name: 'Boiled eggs, from cold water',
	about: 'No lowering into the boil, fewer cracks; more depends on pot and burner.',
	steps: boiled(true)
};

const bathEggs: Technique = {
	id: 'water-bath-eggs',
	name: 'Eggs from the water bath',
	kind: 'egg',
	makes: 'poached eggs',
	words: ['slow', '63', 'onsen'],
	about: 'For many, ready whenever they are wanted; white soft as curd.',
	parameters: [
		count(1, 3),
		egg,
		start,
		{
			...yolk,
			least: 62,
			most: 68,
			usual: 64,
			options: [
				{ value: 63, say: 'runny' },
				{ value: 64, say: 'like honey' },
				{ value: 66, say: 'like fudge' }
			]
		}
	],
	ingredients: eggs('bath'),
	steps: [
		does(
			'bath',
			'cook',
			'Bring the eggs to their heat in the bath',
			computed({
				kind: 'immerse',
				food: 'egg yolk',
				shape: 'sphere',
				size: { by: 'egg', times: 0.00012, plus: 0.0378 },
				start: degrees('start'),
				core: degrees('yolk', -0.7),
				in: 'bath',
				at: degrees('yolk')
			}),
			touches([[0, 30, 'Eggs into the bath']]),
			{
				need: { kind: 'water bath', setting: degrees('yolk') },
				load: { on: 'bath', kilograms: { by: 'covers', also: ['count', 'egg'], times: 0.001, plus: 0 } },
				cautions: [softEggs]
			}
		),
		does('thicken', 'hold', 'Let the yolks thicken in the bath', about(1200), none, {
			need: { kind: 'water bath', setting: degrees('yolk') },
			after: ['bath:0'],
			sign: 'The yolk thickens with minutes as with degrees.'
		}),
		prepares('crack', 'Crack the eggs onto a spoon', 60, 1, { after: ['thicken:1800'] })
	],
	vessels: [],
	plate: plated('crack', 8, 'soft egg')
};

const coated: Technique = {
	id: 'coated-eggs',
	name: 'Soft eggs, coated and fried',
	kind: 'egg',
	makes: 'coated eggs',
	words: ['breaded', 'deep fried', 'crumbed'],
	parameters: [count(1, 3), egg, start, { ...yolk, usual: 65 }, { ...firm, name: 'How dark' }],
	ingredients: [
		...eggs('boil'),
		...takes(
			['plain flour', perEgg(8), 'g', 'coat', 's'],
			['dry breadcrumbs', perEgg(15), 'g', 'coat', 'b'],
			['whole egg', perEgg(0.3), 'pieces', 'coat', 'd'],
			['vegetable oil', 200, 'ml', 'fry', 's', { grows: 0.3 }]
		)
	],
	steps: [
		...boiled(false),
		handles('coat', 'Coat the eggs: flour, egg, crumbs', 'coat a piece', eachEgg(1), {
			after: ['peel:7200'],
			cautions: ['Raw egg: wash hands after.']
		}),
		does(
			'oil',
			'preheat',
			'Heat the oil',
			computed({ kind: 'hot-oil', litres: each(0.15, 0.9), to: 175 }),
			touches([[0, 30, 'Oil on, pot a third full at the most']]),
			{
				need: burner(),
				heat: 'medium-high',
				sign: '175 °C; a crumb sizzles and turns gold in 20 s.',
				cautions: [hotOil]
			}
		),
		does('fry', 'cook', 'Fry the coated eggs', way('fried coated'), whole, {
			need: burner(),
			load: laid('oil', eachEgg(1), 0.06, undefined, 'pieces'),
			heat: '175 °C',
			after: ['oil:60', 'coat:3600'],
			sign: 'Even gold.',
			cautions: [hotOil]
		})
	],
	vessels: vessels(['saucepan', 'water', 'boil'], ['pot', 'oil', 'fry']),
	plate: plated('fry', 7, 'fried crust')
};

const marinated: Technique = {
	id: 'marinated-eggs',
	name: 'Marinated eggs',
	kind: 'egg',
	makes: 'boiled eggs',
	words: ['soy', 'ramen', 'pickled'],
	about: 'Made the day before; nothing to do in the evening.',
	parameters: [count(1, 3), egg, start, yolk],
	ingredients: [
		...eggs('boil'),
		...takes(
			['soy sauce', perEgg(25), 'ml', 'marinate', 's', { grows: 0.7 }],
			['sugar', perEgg(5), 'g', 'marinate', 's', { grows: 0.7 }]
		)
	],
	steps: [
		...boiled(false),
		does(
			'marinate',
			'marinate',
			'Marinate the eggs',
			{ shortest: 4 * 3600, usual: 8 * 3600, longest: 24 * 3600 },
			touches([[0, 60, 'Eggs into the marinade, into the cold']]),
			{ need: cold, after: ['peel:3600'], ahead: true }
		)
	],
	vessels: vessels(['saucepan', 'water', 'boil']),
	ahead: early('marinate', 'soft or marinated eggs', 'in their marinade, in the cold'),
	plate: { step: 'marinate', perPlate: 8, free: 3600, rate: 1, most: 14_400, keep: 'in the cold' }
};

export const shellEggs: readonly Technique[] = [boiledHot, boiledCold, bathEggs, coated, marinated];
