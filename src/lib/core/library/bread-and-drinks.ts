// Bread and hot drinks. Durations are starting estimates until the record corrects them.
import type { Technique } from '../model/technique';
import { butter, each, held, takes, touches, whole } from './forms';

export const ovenToast: Technique = {
	id: 'oven-toast',
	name: 'Toast from the oven',
	kind: 'bread',
	parameters: [],
	ingredients: takes(['white loaf', 60, 'g', 'slice', 'b', { allergens: ['gluten'] }], butter('toast', 8)),
	steps: [
		{
			id: 'slice',
			say: 'Slice the loaf',
			kind: 'prep',
			time: { shortest: 60, usual: 90, longest: 150 },
			need: { kind: 'board' },
			hands: whole,
			after: []
		},
		{
			id: 'toast',
			say: 'Toast the bread in the oven',
			kind: 'cook',
			time: { shortest: 300, usual: 360, longest: 480, core: { start: 20, target: 100 } },
			need: { kind: 'oven', racks: 1, settings: [200, 180, 220] },
			hands: touches([
				[0, 15, 'Bread onto the rack'],
				[0.5, 30, 'Turn the slices'],
				[1, 30, 'Toast out, butter it']
			]),
			after: [{ step: 'slice', least: 0, most: 3600 }],
			sign: 'Gold at the rim, still soft in the middle.'
		}
	],
	vessels: [],
	plate: { step: 'toast', perPlate: 3, ...held('toast'), keep: 'standing, not stacked' }
};

export const filterCoffee: Technique = {
	id: 'filter-coffee',
	name: 'Filter coffee',
	kind: 'drink',
	parameters: [],
	ingredients: takes(['coffee', 15, 'g', 'grind', 's']),
	steps: [
		{
			id: 'grind',
			say: 'Grind the coffee, rinse the filter',
			kind: 'prep',
			time: { shortest: 60, usual: 90, longest: 150 },
			hands: whole,
			after: []
		},
		{
			id: 'water',
			say: 'Boil the water for the coffee',
			kind: 'preheat',
			time: {
				model: { kind: 'boil', litres: each(0.25), start: 12 }
			},
			need: { kind: 'burner' },
			heat: 'full, lid on',
			hands: touches([[0, 30, 'Water on for the coffee']]),
			after: []
		},
		{
			id: 'pour',
			say: 'Pour the coffee in circles',
			kind: 'cook',
			time: { shortest: 210, usual: 240, longest: 300 },
			hands: touches(
				[
					[0, 30, 'Wet the grounds'],
					[1, 15, 'Lift off the filter']
				],
				[75, 15, 'Pour the coffee']
			),
			after: [
				{ step: 'grind', least: 0, most: 900 },
				{ step: 'water', least: 0, most: 90 }
			],
			sign: 'The bed has sunk and shines; drips, no stream.',
			cautions: ['Boiling water: pour low and away from you.']
		}
	],
	vessels: [{ kind: 'saucepan', from: 'water', to: 'pour' }],
	plate: { step: 'pour', perPlate: 5, free: 180, rate: 2, most: 900, keep: 'in a warmed jug, lidded' }
};
