// How warm a part is at the first bite, after the wait that an evening brought.
import { firstBite, keptAt, platedAt, portion, type Keeper } from '../heat/holding';
import type { Kitchen } from '../model/kitchen';
import type { Plan } from '../model/plan';
import type { Technique } from '../model/technique';
import { roomOf } from '../plan/compile/places';
import { isServedHot } from '../plan/describe/warmth';

export interface Eaten {
	/** At the first bite, and what it should be at the least, °C. */
	readonly celsius: number;
	readonly least: number;
}

interface Food {
	/** Middle of the whole when it is ready, °C, where no step says. */
	readonly start: number;
	readonly keeper: Keeper;
	readonly least: number;
	/** kg on a plate, its upper face, m². */
	readonly kilograms: number;
	readonly area: number;
	readonly cover: 'open' | 'sauced';
}

/** Of each kind (est.). What is seared is hotter outside than at its core, and cools by the outside. */
const foods: Partial<Readonly<Record<Technique['kind'], Food>>> = {
	protein: { start: 58, keeper: 'one portion', least: firstBite.meat, kilograms: 0.18, area: 0.017, cover: 'open' },
	egg: { start: 65, keeper: 'one portion', least: firstBite.egg, kilograms: 0.06, area: 0.005, cover: 'open' },
	side: { start: 80, keeper: 'a dish of 1 kg', least: firstBite.vegetable, kilograms: 0.15, area: 0.01, cover: 'open' },
	starch: {
		start: 82,
		keeper: 'a dish of 1 kg',
		least: firstBite.vegetable,
		kilograms: 0.18,
		area: 0.01,
		cover: 'open'
	},
	sauce: { start: 85, keeper: 'a lidded pot', least: firstBite.soup, kilograms: 0.06, area: 0.008, cover: 'sauced' }
};
/** Warm and cold plates, and a warm drawer, °C; from the plate's dressing to the first bite, s (est.). */
const plate = { warm: 50, drawer: 62 } as const;
const toTheTable = 90;

/**
 * How warm a part is eaten; `undefined` where it is eaten cold, is no food of its own on a plate, or is not in the plan.
 *
 * @param wait s between its last step and its plate
 */
export function eatenAfter(
	plan: Plan,
	kitchen: Kitchen,
	techniques: readonly Technique[],
	id: string,
	wait: number
): Eaten | undefined {
	const part = plan.parts.find((p) => p.id === id);
	const kind = techniques.find((t) => t.id === part?.technique)?.kind;
	const food = kind && foods[kind];
	const lanes = new Map(plan.lanes.map((l) => [l.id, l.kind]));
	const steps = plan.steps.filter((s) => s.part === id);
	if (!part || !food || !isServedHot(steps, lanes, part.plated)) return undefined;
	const service = plan.services.find((s) => s.course === part.course);
	const room = roomOf(kitchen);
	const own = steps.findLast((s) => s.peak !== undefined)?.peak;
	const start = own === undefined ? food.start : Math.min(own, 75);
	const around = part.drawer === undefined ? room : Math.max(room, plate.drawer);
	const kept = keptAt(food.keeper, start, around, Math.max(0, wait));
	const on = portion(
		food.kilograms,
		{ start: kept, area: food.area, cover: food.cover },
		service?.warm === undefined ? room : plate.warm,
		room
	);
	return { celsius: platedAt(on, toTheTable), least: food.least };
}
