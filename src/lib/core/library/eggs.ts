// Eggs, alone and with company. Durations are computed, or starting estimates until the record corrects them.
import type { Technique } from '../model/technique';
import { butter, degrees, each, egg, held, kilograms, none, salt, start, takes, touches, whole } from './forms';

const softEggs = 'Soft eggs are not for pregnant, very young, old or ill guests; local rules decide.';

export const lentilSalad: Technique = {
	id: 'lentil-salad-soft-eggs',
	name: 'Lentil salad with soft eggs',
	kind: 'egg',
	parameters: [egg, start],
	ingredients: takes(
		['lentils', 45, 'g', 'simmer', 's'],
		['eggs', 1, 'pieces', 'boil', 'd', { allergens: ['eggs'] }],
		['mustard', 4, 'g', 'dressing', 's', { allergens: ['mustard'] }],
		['vinegar', 5, 'ml', 'dressing', 's', { first: 0.7, allergens: ['sulphites'] }],
		['olive oil', 12, 'ml', 'dressing', 's'],
		salt('dress')
	),
	steps: [
		{
			id: 'simmer',
			say: 'Simmer the lentils',
			kind: 'cook',
			time: { shortest: 1200, usual: 1500, longest: 1920 },
			need: { kind: 'burner' },
			heat: 'a bare simmer',
			hands: touches([
				[0, 60, 'Lentils, bay and cold water on'],
				[0.6, 15, 'Taste the lentils'],
				[1, 60, 'Drain the lentils, spread them out']
			]),
			after: [],
			sign: 'Whole, and soft to the middle.'
		},
		{
			id: 'cool',
			say: 'Cool the lentils',
			kind: 'chill',
			time: { shortest: 900, usual: 1500, longest: 2100 },
			need: { kind: 'cold' },
			hands: none,
			after: [{ step: 'simmer', least: 0, most: 300 }]
		},
		{
			id: 'water',
			say: 'Start the water for the eggs',
			kind: 'preheat',
			time: {
				model: { kind: 'boil', litres: each(0.25, 0.25), start: 12 }
			},
			need: { kind: 'burner' },
			heat: 'full, lid on',
			hands: touches([[0, 30, 'Water on for the eggs, lid on']]),
			after: [],
			sign: 'Rolling.'
		},
		{
			id: 'boil',
			say: 'Boil the eggs soft',
			kind: 'cook',
			time: {
				model: { kind: 'boiled-egg', kilograms: kilograms('egg'), start: degrees('start'), style: 'jammy' }
			},
			need: { kind: 'burner' },
			heat: 'rolling, then gentle',
			hands: touches([
				[0, 45, 'Lower the eggs in by spoon'],
				[1, 45, 'Eggs into ice water']
			]),
			after: [{ step: 'water', least: 0, most: 120 }],
			sign: 'White firm, yolk like honey.',
			cautions: [softEggs]
		},
		{
			id: 'ice',
			say: 'Stop the eggs in ice water',
			kind: 'chill',
			time: { shortest: 180, usual: 300, longest: 480 },
			need: { kind: 'cold' },
			hands: none,
			after: [{ step: 'boil', least: 0, most: 0 }]
		},
		{
			id: 'peel',
			say: 'Peel the eggs',
			kind: 'prep',
			time: {
				model: { kind: 'pieces', task: 'peel an egg', pieces: each(1) }
			},
			need: { kind: 'board' },
			hands: whole,
			after: [{ step: 'ice', least: 0, most: 1200 }]
		},
		{
			id: 'dressing',
			say: 'Stir the mustard dressing',
			kind: 'prep',
			time: { shortest: 180, usual: 240, longest: 330 },
			need: { kind: 'board' },
			hands: whole,
			after: []
		},
		{
			id: 'dress',
			say: 'Dress the lentils, halve the eggs',
			kind: 'finish',
			time: { shortest: 120, usual: 180, longest: 240 },
			need: { kind: 'board' },
			hands: whole,
			after: [
				{ step: 'cool', least: 0, most: 3600 },
				{ step: 'peel', least: 0, most: 900 },
				{ step: 'dressing', least: 0, most: 5400 }
			]
		}
	],
	vessels: [
		{ kind: 'saucepan', from: 'simmer', to: 'simmer' },
		{ kind: 'saucepan', from: 'water', to: 'boil' }
	],
	plate: { step: 'dress', perPlate: 15, free: 60, rate: 2, most: 600, keep: 'dressed, cool, not cold' }
};

export const sunnyEggs: Technique = {
	id: 'eggs-sunny',
	name: 'Fried eggs, sunny',
	kind: 'egg',
	makes: 'fried eggs',
	parameters: [egg],
	ingredients: takes(['eggs', 1, 'pieces', 'fry', 'd', { allergens: ['eggs'] }], butter('fry', 4)),
	steps: [
		{
			id: 'fry',
			say: 'Fry the eggs',
			kind: 'cook',
			time: {
				model: { kind: 'egg', way: 'fried sunny', kilograms: kilograms('egg') }
			},
			need: { kind: 'burner' },
			heat: 'medium-low',
			hands: touches([
				[0, 60, 'Break the eggs into the pan'],
				[1, 15, 'Eggs off the heat']
			]),
			after: [],
			sign: 'White set to the yolk, no glassy ring.',
			cautions: [softEggs]
		}
	],
	vessels: [{ kind: 'frying pan', from: 'fry', to: 'fry' }],
	plate: { step: 'fry', perPlate: 4, ...held('soft egg') }
};

export const turnedEgg: Technique = {
	id: 'egg-turned',
	name: 'Fried egg, turned and firm',
	kind: 'egg',
	makes: 'fried eggs',
	parameters: [egg],
	ingredients: takes(['eggs', 1, 'pieces', 'fry', 'd', { allergens: ['eggs'] }], butter('fry', 4)),
	steps: [
		{
			id: 'fry',
			say: 'Fry the one that is turned',
			kind: 'cook',
			time: {
				model: { kind: 'egg', way: 'fried turned', kilograms: kilograms('egg') }
			},
			need: { kind: 'burner' },
			heat: 'medium',
			hands: touches([
				[0, 30, 'Break one egg into the pan'],
				[0.6, 15, 'Turn the egg'],
				[1, 15, 'Lift out the firm egg']
			]),
			after: [],
			sign: 'Yolk firm when pressed.'
		}
	],
	vessels: [{ kind: 'frying pan', from: 'fry', to: 'fry' }],
	plate: { step: 'fry', perPlate: 3, free: 120, rate: 2, most: 480, keep: 'on a warm plate, covered' }
};
