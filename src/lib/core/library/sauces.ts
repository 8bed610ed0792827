// Sauces and garnishes. Durations are starting estimates until the record corrects them.
import type { Technique } from '../model/technique';
import { butter, each, held, none, oil, salt, takes, touches, whole } from './forms';

export const plumPanSauce: Technique = {
	id: 'plum-pan-sauce',
	name: 'Pan sauce of plums and port',
	kind: 'sauce',
	parameters: [],
	ingredients: takes(
		['plums', 60, 'g', 'cut', 'v'],
		['shallot', 0.5, 'pieces', 'cut', 'v'],
		['port', 35, 'ml', 'cut', 's', { allergens: ['sulphites'] }],
		butter('reduce', 6)
	),
	steps: [
		{
			id: 'cut',
			say: 'Cut the plums and shallot, measure the port',
			kind: 'prep',
			time: { shortest: 210, usual: 300, longest: 420 },
			need: { kind: 'board' },
			hands: whole,
			after: []
		},
		{
			id: 'reduce',
			say: 'Make the sauce in the pan',
			kind: 'cook',
			time: {
				model: { kind: 'reduce', from: each(0.075), to: each(0.04), level: 0.6, besides: 300 }
			},
			need: { kind: 'burner' },
			heat: 'medium, then a brisk simmer',
			hands: touches(
				[
					[0, 90, 'Pour off the fat, soften the shallot, port in'],
					[1, 60, 'Whisk in the butter, strain, taste']
				],
				[240, 15, 'Stir the sauce']
			),
			after: [{ step: 'cut', least: 0, most: 7200 }],
			sign: 'Coats a spoon; a finger leaves a clean line.',
			cautions: ['Port can flame: off the heat when you pour.']
		}
	],
	vessels: [{ kind: 'frying pan', from: 'reduce', to: 'reduce' }],
	plate: { step: 'reduce', perPlate: 3, ...held('pan sauce'), keep: 'in the pan, lid on, off the heat' }
};

export const shallotCrumbs: Technique = {
	id: 'shallot-crumbs',
	name: 'Shallot crumbs',
	kind: 'garnish',
	parameters: [],
	ingredients: takes(
		['shallot', 0.67, 'pieces', 'chop', 'v'],
		['coarse breadcrumbs', 12, 'g', 'fry', 'b', { allergens: ['gluten'] }],
		butter('fry', 6)
	),
	steps: [
		{
			id: 'chop',
			say: 'Chop the shallots fine',
			kind: 'prep',
			time: {
				model: { kind: 'pieces', task: 'mince shallot', pieces: each(0.67) }
			},
			need: { kind: 'board' },
			hands: whole,
			after: []
		},
		{
			id: 'fry',
			say: 'Fry the crumbs with shallot',
			kind: 'cook',
			time: { shortest: 240, usual: 300, longest: 420 },
			need: { kind: 'burner' },
			heat: 'medium',
			hands: whole,
			after: [{ step: 'chop', least: 0, most: 3600 }],
			sign: 'Even gold, sounds dry when you shake it.',
			cautions: ['Past gold it turns bitter within seconds.']
		}
	],
	vessels: [{ kind: 'frying pan', from: 'fry', to: 'fry' }],
	plate: { step: 'fry', perPlate: 2, free: 1800, rate: 1, most: 5400, keep: 'on paper, uncovered' }
};

export const friedSage: Technique = {
	id: 'fried-sage',
	name: 'Fried sage',
	kind: 'garnish',
	parameters: [],
	ingredients: takes(['sage', 1, 'g', 'pick', 'h'], oil('fry', 20)),
	steps: [
		{
			id: 'pick',
			say: 'Pick and dry the sage',
			kind: 'prep',
			time: {
				model: { kind: 'knife', task: 'pick herbs', kilograms: each(0.001) }
			},
			need: { kind: 'board' },
			hands: whole,
			after: []
		},
		{
			id: 'fry',
			say: 'Fry the sage',
			kind: 'cook',
			time: { shortest: 150, usual: 210, longest: 270 },
			need: { kind: 'burner' },
			heat: 'medium-high, 2 cm of oil',
			hands: whole,
			after: [{ step: 'pick', least: 0, most: 5400 }],
			sign: 'The hissing stops; stiff, still green.',
			cautions: ['Hot oil: dry leaves only. Never water on burning fat: lid on, heat off.']
		}
	],
	vessels: [{ kind: 'saucepan', from: 'fry', to: 'fry' }],
	plate: { step: 'fry', perPlate: 1, ...held('fried herbs'), keep: 'on paper, salted' }
};

export const herbYogurt: Technique = {
	id: 'herb-yogurt',
	name: 'Herb yogurt',
	kind: 'sauce',
	parameters: [],
	ingredients: takes(
		['yogurt', 60, 'g', 'stir', 'd', { allergens: ['milk'] }],
		['soft herbs', 3, 'g', 'stir', 'h'],
		['lemon juice', 3, 'ml', 'stir', 'v', { first: 0.6 }],
		salt('stir')
	),
	steps: [
		{
			id: 'stir',
			say: 'Chop the herbs, stir the yogurt',
			kind: 'prep',
			time: { shortest: 180, usual: 240, longest: 330 },
			need: { kind: 'board' },
			hands: whole,
			after: []
		},
		{
			id: 'chill',
			say: 'Chill the yogurt',
			kind: 'chill',
			time: { shortest: 600, usual: 900, longest: 3600 },
			need: { kind: 'cold' },
			hands: none,
			after: [{ step: 'stir', least: 0, most: 300 }]
		}
	],
	vessels: [],
	plate: { step: 'chill', perPlate: 4, free: 3600, rate: 1, most: 14_400, keep: 'in the cold, covered' }
};
