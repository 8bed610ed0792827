// What waits: food cooling on a plate or in a vessel, and how warmth, crispness and moisture fade.
import { lumpedAt, lumpedTime } from './lumped';

export interface Plated {
	/** Heat capacities J/K; contact W/K; losses W/K. */
	readonly food: number;
	readonly plate: number;
	readonly contact: number;
	readonly foodLoss: number;
	readonly plateLoss: number;
	/** °C. */
	readonly foodStart: number;
	readonly plateStart: number;
	readonly room: number;
}

/** Temperature of food on a plate after so many seconds, °C: two bodies, in closed form. */
export function platedAt(p: Plated, seconds: number): number {
	const a = (p.contact + p.foodLoss) / p.food;
	const b = p.contact / p.food;
	const c = p.contact / p.plate;
	const d = (p.contact + p.plateLoss) / p.plate;
	const root = Math.sqrt((a - d) ** 2 + 4 * b * c);
	const [slow, fast] = [(a + d - root) / 2, (a + d + root) / 2];
	const [u, v] = [p.foodStart - p.room, p.plateStart - p.room];
	const quick = (a * u - b * v - slow * u) / (fast - slow);
	return p.room + (u - quick) * Math.exp(-slow * seconds) + quick * Math.exp(-fast * seconds);
}

/** Seconds until food on its plate is too cool, 0 where it is already, `Infinity` where the room keeps it warm enough. */
export function tooCoolAfter(p: Plated, least: number): number {
	if (p.foodStart <= least) return 0;
	if (p.room >= least) return Infinity;
	let [low, high] = [0, 60];
	while (platedAt(p, high) > least) [low, high] = [high, 2 * high];
	while (high - low > 0.1) {
		const middle = (low + high) / 2;
		if (platedAt(p, middle) > least) low = middle;
		else high = middle;
	}
	return (low + high) / 2;
}

/** A portion on a plate (est.): kg of food, share of its base that touches, m² of its upper face. */
export function portion(
	kilograms: number,
	food: { readonly start: number; readonly area: number; readonly cover: 'open' | 'sauced' | 'covered' },
	plate: number,
	room: number
): Plated {
	const covers = { open: 1, sauced: 2, covered: 0.4 } as const;
	return {
		food: kilograms * 3200,
		plate: 0.65 * 850,
		contact: 60 * food.area * 0.9,
		foodLoss: 11 * food.area * 1.3 * covers[food.cover],
		plateLoss: 0.7,
		foodStart: food.start,
		plateStart: plate,
		room
	};
}

/** Time constants of food kept in a vessel, s (est.). */
const keepers = {
	'one portion': 45 * 60,
	'a dish of 1 kg': 120 * 60,
	'a lidded pot': 130 * 60,
	'an insulated jug': 450 * 60
} as const;
export type Keeper = keyof typeof keepers;

/** °C after so many seconds in a vessel at a room, or a drawer's, temperature. */
export function keptAt(keeper: Keeper, start: number, room: number, seconds: number): number {
	return lumpedAt({ capacity: keepers[keeper], loss: 1, power: 0, ambient: room }, start, seconds);
}

/** Seconds until it has cooled to a temperature. */
export function keptUntil(keeper: Keeper, start: number, room: number, least: number): number {
	return start <= least ? 0 : lumpedTime({ capacity: keepers[keeper], loss: 1, power: 0, ambient: room }, start, least);
}

/** Least temperature at the first bite, °C (est.). */
export const firstBite = { meat: 48, vegetable: 55, egg: 50, soup: 60 } as const;

/** How a finished part holds: seconds without loss, the longest, and after how many more seconds half of it is gone (est.). */
export interface Hold {
	readonly free: number;
	readonly most: number;
	readonly halfLife: number;
	readonly fades: string;
	readonly keep: string;
}

const minutes = (free: number, most: number, halfLife: number, fades: string, keep: string): Hold => ({
	free: free * 60,
	most: most * 60,
	halfLife: halfLife * 60,
	fades,
	keep
});

export const holds = {
	'seared meat': minutes(4, 15, 8, 'warmth, then the crust', 'on a rack, loosely covered, 55–60 °C'),
	roast: minutes(15, 60, 40, 'warmth, slowly', 'tented, 60 °C'),
	fish: minutes(1, 5, 4, 'moisture and crisp skin', 'skin up, never covered'),
	'soft egg': minutes(0.5, 2, 1.5, 'it sets on', 'serve at once'),
	'fried crust': minutes(1, 7, 5, 'crispness', 'on a rack, open, 90–100 °C'),
	'roast vegetables': minutes(3, 20, 12, 'crispness', 'open, 110 °C'),
	greens: minutes(1, 5, 12, 'colour', 'refresh cold, reheat 45 s'),
	'mash, braise, gratin': minutes(20, 120, 60, 'skin, drying', 'lid on, warm'),
	'butter emulsion': minutes(10, 45, 25, 'it splits below 40 or above 68 °C', 'in a bath, whisked'),
	'pan sauce': minutes(5, 30, 15, 'skin', 'lid on, 55–60 °C'),
	'dressed leaves': minutes(0, 3, 3, 'they wilt', 'dress last'),
	'fried herbs': minutes(5, 60, 40, 'they soften in steam', 'dry, on paper'),
	flatbread: minutes(10, 30, 20, 'it stales', 'wrapped in a cloth'),
	toast: minutes(1, 5, 4, 'it steams', 'standing, open'),
	'hot drink': minutes(1.5, 8, 4, 'heat, then aroma', 'in a warmed jug, lidded')
} as const satisfies Readonly<Record<string, Hold>>;
export type HoldKind = keyof typeof holds;

/** What is left of a part after a wait, 1 to 0: halved with each half-life past what is free. */
export function quality({ free, halfLife, most }: Hold, wait: number): number {
	if (wait > most) return 0;
	return 2 ** (-Math.max(0, wait - free) / halfLife);
}

/** Price of losing half of a part, in the planner's units: docs/heat.md says how the scale was made. */
const halfLoss = 900;

/** The planner's terms: seconds free, price of each second after, longest wait; linear through the first half-life. */
export function holdPrice({ free, halfLife, most }: Hold): {
	readonly free: number;
	readonly rate: number;
	readonly most: number;
} {
	return { free, rate: Math.max(1, Math.round(halfLoss / halfLife)), most };
}
