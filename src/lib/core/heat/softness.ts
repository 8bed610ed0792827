// Vegetables soften by temperature and time: doses at the core, by size of the cut.
import { Immersed, type Film, type Solid } from './body';
import { foodProperties, type Food } from './properties';

/** K for ten times the rate (Rao & Lund 1986: 16 to 33; activation energy about 110 kJ/mol). */
export const softeningZ = 23;

/** Minutes at 100 °C until tender (est., × 0.7 to 1.5 between varieties), and the body it is. */
export const tender = {
	'waxy potato': { dose: 2.5, food: 'potato' },
	'floury potato': { dose: 1.5, food: 'potato' },
	'sweet potato': { dose: 1.3, food: 'sweet potato' },
	squash: { dose: 1.3, food: 'squash' },
	carrot: { dose: 3.5, food: 'root' },
	celeriac: { dose: 4.4, food: 'root' },
	parsnip: { dose: 2.5, food: 'root' },
	turnip: { dose: 2, food: 'root' },
	beet: { dose: 15, food: 'root' },
	onion: { dose: 1.1, food: 'root' },
	leek: { dose: 1.8, food: 'root' },
	fennel: { dose: 2, food: 'root' },
	'green beans': { dose: 3.7, food: 'green vegetable' },
	broccoli: { dose: 1, food: 'green vegetable' },
	asparagus: { dose: 1, food: 'green vegetable' },
	cauliflower: { dose: 1.8, food: 'green vegetable' },
	sprouts: { dose: 0.8, food: 'green vegetable' },
	cabbage: { dose: 1, food: 'green vegetable' }
} as const satisfies Readonly<Record<string, { readonly dose: number; readonly food: Food }>>;
export type Vegetable = keyof typeof tender;

/** Of the dose for tender. */
export const softness = { parcooked: 0.4, crisp: 0.5, tender: 1, soft: 2, puree: 3 } as const;
export type Softness = keyof typeof softness;

/** Minutes at 100 °C that a core has had after so many seconds. Simpson's rule. */
export function dose(core: (seconds: number) => number, seconds: number, z = softeningZ): number {
	const n = Math.max(20, 2 * Math.ceil(seconds / 20));
	const h = seconds / n;
	let sum = 0;
	for (let i = 0; i <= n; i++) {
		const weight = i === 0 || i === n ? 1 : i % 2 === 1 ? 4 : 2;
		sum += weight * 10 ** ((core(i * h) - 100) / z);
	}
	return (sum * h) / 3 / 60;
}

/** Below this no vegetable gets tender, °C: pectin holds. */
const pectin = 85;
/** Hottest that a moist inside gets, °C. */
const wettest = 100;

/** Seconds until a piece has a dose; `Infinity` where the surroundings stay below 85 °C. */
function timeToDose(solid: Solid, food: Food, film: Film, start: number, wanted: number): number {
	if (film.tinf < pectin || film.h === 0) return Infinity;
	const { k, alpha } = foodProperties(food, (start + film.tinf) / 2);
	const piece = new Immersed({ ...solid, k, alpha }, film, start);
	// Moist inside, it does not get hotter than the water in it boils.
	const core = (seconds: number) => Math.min(wettest, piece.temperature(seconds, 'centre'));
	let [low, high] = [0, 60];
	while (dose(core, high) < wanted) {
		[low, high] = [high, 2 * high];
		if (high > 1e6) return Infinity;
	}
	while (high - low > 0.5) {
		const middle = (low + high) / 2;
		if (dose(core, middle) < wanted) low = middle;
		else high = middle;
	}
	return (low + high) / 2;
}

/** Seconds until a vegetable is so soft; a number is a share of the dose for tender. */
export function softeningTime(
	vegetable: Vegetable,
	solid: Solid,
	film: Film,
	start: number,
	how: Softness | number = 'tender'
): number {
	const { dose: needed, food } = tender[vegetable];
	return timeToDose(solid, food, film, start, needed * (typeof how === 'number' ? how : softness[how]));
}

/** Share of its mass that a vegetable has shed when it is golden (USDA cooking yields; est. where they have no row). */
const shedWhenGolden: Partial<Record<Food, number>> = { root: 0.25, squash: 0.2, potato: 0.2, 'sweet potato': 0.2 };
const usualShed = 0.2;
/** A kilogram cut to 25 mm sheds 8 to 12 g a minute at 200 °C; by the surface, and by what the air is above the boil (est.). */
const shedding = { perSecond: 0.01 / 60, at: 200, size: 0.025, boil: 100 };

/**
 * Seconds in an oven until a vegetable has shed so much that its rims are golden.
 *
 * @param size of the cut, metres
 * @param celsius of the oven; `Infinity` seconds at or below the boil
 */
export function goldenTime(vegetable: Vegetable, size: number, celsius: number): number {
	const { perSecond, at, size: reference, boil } = shedding;
	const drive = (celsius - boil) / (at - boil);
	if (drive <= 0) return Infinity;
	const shed = shedWhenGolden[tender[vegetable].food] ?? usualShed;
	return (shed * size) / (reference * perSecond * drive);
}
