// Kitchens to begin from: a small flat, a family kitchen, a bistro line. All made up.
import type { Kitchen, Station, Vessel } from '../model/kitchen';

const burner = (n: number, power: number, fuel: 'induction' | 'electric' | 'gas'): Station => ({
	kind: 'burner',
	id: `burner-${n}`,
	name: `Burner ${n}`,
	power,
	fuel
});
const vessel = (id: string, name: string, kind: Vessel['kind'], size: string, count: number): Vessel => ({
	id,
	name,
	kind,
	size,
	count
});

export interface Preset {
	readonly id: string;
	readonly name: string;
	readonly about: string;
	readonly kitchen: Omit<Kitchen, 'id' | 'name'>;
}

const base = { format: 'juntos-kitchen', version: 1, altitude: 0 } as const;

export const presets: readonly Preset[] = [
	{
		id: 'small-flat',
		name: 'A small flat',
		about: 'Two electric burners, a small oven of one rack, one cook.',
		kitchen: {
			...base,
			cooks: [{ id: 'cook-1', name: 'You' }],
			stations: [
				{ kind: 'cold', id: 'cold', name: 'Fridge', places: 2 },
				{ kind: 'board', id: 'board', name: 'Board', places: 1 },
				burner(1, 1800, 'electric'),
				burner(2, 1200, 'electric'),
				{
					kind: 'oven',
					id: 'oven',
					name: 'Small oven',
					racks: 1,
					width: 33,
					depth: 30,
					fan: false,
					lowest: 100,
					highest: 230,
					room: 20,
					rise: 5,
					fall: 15
				}
			],
			vessels: [
				vessel('pan-26', 'Wide pan', 'frying pan', '26 cm', 1),
				vessel('pan-20', 'Small pan', 'frying pan', '20 cm', 1),
				vessel('saucepan-16', 'Saucepan', 'saucepan', '16 cm', 1),
				vessel('pot-3', 'Pot', 'pot', '3 l', 1),
				vessel('tray', 'Tray', 'tray', '30 × 25 cm', 1),
				vessel('dish', 'Dish', 'dish', '24 × 18 cm', 1)
			]
		}
	},
	{
		id: 'family',
		name: 'A family kitchen',
		about: 'Four induction burners, a fan oven of three racks that also heats from above, one cook.',
		kitchen: {
			...base,
			cooks: [{ id: 'cook-1', name: 'You' }],
			stations: [
				{ kind: 'cold', id: 'cold', name: 'Fridge', places: 3 },
				{ kind: 'board', id: 'board', name: 'Board', places: 1 },
				burner(1, 3000, 'induction'),
				burner(2, 1800, 'induction'),
				burner(3, 1800, 'induction'),
				burner(4, 1200, 'induction'),
				{
					kind: 'oven',
					id: 'oven',
					name: 'Oven',
					racks: 3,
					fan: true,
					broiler: true,
					lowest: 50,
					highest: 250,
					room: 20,
					rise: 4,
					fall: 15
				}
			],
			vessels: [
				vessel('pan-28', 'Wide pan', 'frying pan', '28 cm', 1),
				vessel('pan-24', 'Small pan', 'frying pan', '24 cm', 1),
				vessel('saucepan-18', 'Saucepan', 'saucepan', '18 cm', 2),
				vessel('pot-5', 'Big pot', 'pot', '5 l', 1),
				vessel('pot-3', 'Braising pot', 'pot', '3 l', 1),
				vessel('basket', 'Steamer basket', 'steamer basket', '22 cm', 1),
				vessel('tray', 'Tray', 'tray', '42 × 33 cm', 2),
				vessel('dish', 'Gratin dish', 'dish', '30 × 20 cm', 1),
				vessel('cups', 'Small cups', 'cups', '8 cm', 8)
			]
		}
	},
	{
		id: 'bistro',
		name: 'A bistro line',
		about: 'Six gas burners, two ovens, fryer, grill, griddle, water bath, steamer, warm drawer; three cooks.',
		kitchen: {
			...base,
			cooks: [
				{ id: 'cook-1', name: 'Chef', pace: 0.6 },
				{ id: 'cook-2', name: 'Second cook', pace: 0.6 },
				{ id: 'cook-3', name: 'Helper', pace: 1.2, avoids: ['frying'] }
			],
			stations: [
				{ kind: 'cold', id: 'cold', name: 'Cold counter', places: 6 },
				{ kind: 'board', id: 'board-1', name: 'Board 1', places: 1 },
				{ kind: 'board', id: 'board-2', name: 'Board 2', places: 1 },
				...[5000, 5000, 4000, 4000, 3500, 3500].map((power, i) => burner(i + 1, power, 'gas')),
				{ kind: 'griddle', id: 'griddle', name: 'Griddle', covers: ['burner-5', 'burner-6'] },
				{ kind: 'steamer', id: 'steamer', name: 'Steamer', places: 3 },
				{ kind: 'water bath', id: 'bath', name: 'Water bath', places: 2, litres: 18, power: 1600 },
				{ kind: 'fryer', id: 'fryer', name: 'Fryer', places: 2, litres: 12, power: 6000 },
				{ kind: 'grill', id: 'grill', name: 'Grill', places: 2, fuel: 'gas' },
				{
					kind: 'oven',
					id: 'oven-1',
					name: 'Oven 1',
					racks: 4,
					width: 55,
					depth: 34,
					fan: true,
					broiler: true,
					lowest: 50,
					highest: 270,
					room: 24,
					rise: 3,
					fall: 12
				},
				{
					kind: 'oven',
					id: 'oven-2',
					name: 'Oven 2',
					racks: 4,
					width: 55,
					depth: 34,
					fan: true,
					lowest: 50,
					highest: 270,
					room: 24,
					rise: 3,
					fall: 12
				},
				{ kind: 'warm', id: 'warm', name: 'Warm drawer', places: 4 }
			],
			vessels: [
				vessel('pan-30', 'Wide pan', 'frying pan', '30 cm', 5),
				vessel('grill-pan', 'Grill pan', 'grill pan', '28 cm', 1),
				vessel('saucepan-20', 'Saucepan', 'saucepan', '20 cm', 5),
				vessel('pot-10', 'Tall pot', 'pot', '10 l', 3),
				vessel('basket', 'Steamer basket', 'steamer basket', '26 cm', 2),
				vessel('tray', 'Tray', 'tray', '53 × 32.5 cm', 6),
				vessel('dish', 'Gratin dish', 'dish', '40 × 26 cm', 3),
				vessel('cups', 'Small cups', 'cups', '8 cm', 24)
			]
		}
	}
];
