// The house scenario: three kitchens and the meals cooked in them, all made up.
import type { Kitchen } from '../model/kitchen';
import type { Meal } from '../model/meal';
import { hour, minute } from '../units/time';
import { presets, type Preset } from './kitchens';

const figStreet: Kitchen = {
	format: 'juntos-kitchen',
	version: 1,
	id: 'fig-street',
	name: 'Fig Street kitchen',
	altitude: 120,
	cooks: [{ id: 'cook-1', name: 'You' }],
	stations: [
		{ kind: 'cold', id: 'cold', name: 'Cold & ice', places: 3 },
		{ kind: 'board', id: 'board', name: 'Board', places: 1 },
		{ kind: 'burner', id: 'burner-1', name: 'Burner 1', power: 3000, fuel: 'induction' },
		{ kind: 'burner', id: 'burner-2', name: 'Burner 2', power: 1800, fuel: 'induction' },
		{ kind: 'burner', id: 'burner-3', name: 'Burner 3', power: 1800, fuel: 'induction' },
		{ kind: 'burner', id: 'burner-4', name: 'Burner 4', power: 1200, fuel: 'induction' },
		{
			kind: 'oven',
			id: 'oven',
			name: 'Oven',
			racks: 3,
			fan: true,
			lowest: 50,
			highest: 250,
			room: 20,
			rise: 4,
			fall: 15
		}
	],
	vessels: [
		{ id: 'pan-28', name: 'Wide pan', kind: 'frying pan', size: '28 cm', count: 1 },
		{ id: 'pan-24', name: 'Small pan', kind: 'frying pan', size: '24 cm', count: 1 },
		{ id: 'saucepan-18', name: 'Saucepan', kind: 'saucepan', size: '18 cm', count: 2 },
		{ id: 'pot-5', name: 'Big pot', kind: 'pot', size: '5 l', count: 1 },
		{ id: 'pot-3', name: 'Braising pot', kind: 'pot', size: '3 l', count: 1 },
		{ id: 'tray', name: 'Tray', kind: 'tray', size: '40 × 30 cm', count: 2 },
		{ id: 'dish', name: 'Gratin dish', kind: 'dish', size: '30 × 20 cm', count: 1 }
	]
};

const tinyFlat: Kitchen = {
	format: 'juntos-kitchen',
	version: 1,
	id: 'tiny-flat',
	name: 'The tiny flat',
	altitude: 40,
	cooks: [{ id: 'cook-1', name: 'You' }],
	stations: [
		{ kind: 'cold', id: 'cold', name: 'Fridge', places: 2 },
		{ kind: 'board', id: 'board', name: 'Board', places: 1 },
		{ kind: 'burner', id: 'burner-1', name: 'Burner 1', power: 1800, fuel: 'electric' },
		{ kind: 'burner', id: 'burner-2', name: 'Burner 2', power: 1200, fuel: 'electric' },
		{
			kind: 'oven',
			id: 'oven',
			name: 'Small oven',
			racks: 1,
			fan: false,
			lowest: 100,
			highest: 230,
			room: 20,
			rise: 5,
			fall: 15
		}
	],
	vessels: [
		{ id: 'pan-26', name: 'Wide pan', kind: 'frying pan', size: '26 cm', count: 1 },
		{ id: 'pan-20', name: 'Egg pan', kind: 'frying pan', size: '20 cm', count: 1 },
		{ id: 'saucepan-16', name: 'Saucepan', kind: 'saucepan', size: '16 cm', count: 1 },
		{ id: 'tray', name: 'Tray', kind: 'tray', size: '30 × 25 cm', count: 1 }
	]
};

const harvestSupper: Meal = {
	format: 'juntos-meal',
	version: 1,
	id: 'harvest-supper',
	name: 'Harvest supper',
	kitchen: 'fig-street',
	covers: 6,
	earliest: 16 * hour + 45 * minute,
	courses: [
		{ id: 'salad', name: 'Salad', service: 18 * hour + 50 * minute },
		{ id: 'plates', name: 'Plates', service: 19 * hour + 30 * minute }
	],
	parts: [
		{
			id: 'salad',
			name: 'Lentil salad, soft eggs',
			technique: 'lentil-salad-soft-eggs',
			course: 'salad',
			settings: {},
			tone: 3
		},
		{ id: 'gratin', name: 'Celeriac gratin', technique: 'root-gratin', course: 'plates', settings: {}, tone: 0 },
		{ id: 'cabbage', name: 'Red cabbage', technique: 'braised-cabbage', course: 'plates', settings: {}, tone: 5 },
		{ id: 'beans', name: 'Green beans', technique: 'green-beans', course: 'plates', settings: {}, tone: 2 },
		{ id: 'duck', name: 'Duck breast, pink', technique: 'duck-breast', course: 'plates', settings: {}, tone: 1 },
		{
			id: 'duck-further',
			name: 'Duck, one further',
			technique: 'duck-further',
			course: 'plates',
			covers: 1,
			settings: {},
			tone: 1
		},
		{ id: 'sauce', name: 'Plum and port sauce', technique: 'plum-pan-sauce', course: 'plates', settings: {}, tone: 4 },
		{ id: 'crumbs', name: 'Shallot crumbs', technique: 'shallot-crumbs', course: 'plates', settings: {}, tone: 6 },
		{ id: 'sage', name: 'Fried sage', technique: 'fried-sage', course: 'plates', settings: {}, tone: 7 }
	],
	own: [],
	links: [
		{
			from: { part: 'duck', step: 'sear' },
			to: { part: 'sauce', step: 'reduce' },
			least: 0,
			most: 3600,
			sameVessel: true
		},
		{
			from: { part: 'duck', step: 'roast' },
			to: { part: 'duck-further', step: 'roast-on' },
			least: 0,
			most: 0,
			sameVessel: true
		}
	]
};

const brunch: Meal = {
	format: 'juntos-meal',
	version: 1,
	id: 'two-burner-brunch',
	name: 'Two-burner brunch',
	kitchen: 'tiny-flat',
	covers: 4,
	earliest: 9 * hour,
	courses: [{ id: 'brunch', name: 'Brunch', service: 10 * hour + 30 * minute }],
	parts: [
		{ id: 'toast', name: 'Toast', technique: 'oven-toast', course: 'brunch', settings: {}, tone: 0 },
		{ id: 'fritters', name: 'Corn fritters', technique: 'corn-fritters', course: 'brunch', settings: {}, tone: 6 },
		{
			id: 'tomatoes',
			name: 'Tomatoes and mushrooms',
			technique: 'roast-tomatoes',
			course: 'brunch',
			settings: {},
			tone: 1
		},
		{
			id: 'egg-firm',
			name: 'One egg, turned and firm',
			technique: 'egg-turned',
			course: 'brunch',
			covers: 1,
			settings: {},
			tone: 4
		},
		{ id: 'eggs', name: 'Fried eggs', technique: 'eggs-sunny', course: 'brunch', covers: 3, settings: {}, tone: 3 },
		{ id: 'yogurt', name: 'Herb yogurt', technique: 'herb-yogurt', course: 'brunch', settings: {}, tone: 2 },
		{ id: 'coffee', name: 'Coffee', technique: 'filter-coffee', course: 'brunch', settings: {}, tone: 5 }
	],
	own: [],
	links: [
		{
			from: { part: 'egg-firm', step: 'fry' },
			to: { part: 'eggs', step: 'fry' },
			least: 0,
			most: 240,
			sameVessel: true
		}
	]
};

const larkspurKitchen: Kitchen = {
	...presetKitchen('bistro'),
	id: 'larkspur-room',
	name: 'Larkspur Room'
};

const larkspurFriday: Meal = {
	format: 'juntos-meal',
	version: 1,
	id: 'larkspur-friday',
	name: 'Larkspur Room, Friday',
	kitchen: 'larkspur-room',
	covers: 14,
	evening: 'calm',
	earliest: 16 * hour,
	courses: [
		{ id: 'first', name: 'First', service: 19 * hour + 30 * minute },
		{ id: 'mains', name: 'Mains', service: 20 * hour + 15 * minute }
	],
	parts: [
		{ id: 'fennel', name: 'Shaved fennel', technique: 'fennel-raw', course: 'first', settings: {}, tone: 2 },
		{
			id: 'beef',
			name: 'Cold roast beef',
			technique: 'cured-beef',
			course: 'first',
			settings: { cooling: 1 },
			ahead: 'before',
			tone: 1
		},
		{ id: 'fries', name: 'Fries', technique: 'fries-twice', course: 'mains', settings: {}, tone: 0 },
		{ id: 'carrots', name: 'Glazed carrots', technique: 'carrots-glaze', course: 'mains', settings: {}, tone: 6 },
		{
			id: 'steak',
			name: 'Steak, pink',
			technique: 'steak-low-oven',
			course: 'mains',
			settings: {},
			wishes: [
				{ id: 'further', name: 'further', covers: 2, settings: { peak: 65.5 } },
				{ id: 'without', name: 'without', covers: 1, settings: {}, without: true }
			],
			tone: 4
		},
		{ id: 'herbs', name: 'Green herb sauce', technique: 'herb-sauce', course: 'mains', settings: {}, tone: 3 }
	],
	own: [],
	links: []
};

function presetKitchen(id: string): Preset['kitchen'] {
	const preset = presets.find((p) => p.id === id);
	if (!preset) throw new RangeError(`no preset "${id}"`);
	return preset.kitchen;
}

export const demoKitchens: readonly Kitchen[] = [figStreet, tinyFlat, larkspurKitchen];
export const demoMeals: readonly Meal[] = [harvestSupper, brunch, larkspurFriday];
