// Water: its boiling point, heating a pot, loading it, reducing it, letting it stand.
import { lumpedAt, lumpedTime, type Lumped } from './lumped';

/** J/(kg K), and heat of evaporation at the boil J/kg (Incropera & DeWitt 2007). */
export const waterHeat = 4186;
const evaporation = 2.257e6;
/** Highest place for which the boiling point is given, metres: beyond, Antoine's constants are not for it. */
export const highest = 8848;

/** Pressure of the standard atmosphere at an altitude, Pa (ICAO Doc 7488). */
export function pressureAt(altitude: number): number {
	return 101_325 * (1 - 2.25577e-5 * altitude) ** 5.25588;
}

const antoine = { a: 8.07131, b: 1730.63, c: 233.426, mmHg: 133.322 };

/** Boiling point of water at an altitude in metres, °C (Antoine's equation, 1 to 100 °C). */
export function boilingPoint(altitude: number): number {
	const { a, b, c, mmHg } = antoine;
	return b / (a - Math.log10(pressureAt(altitude) / mmHg)) - c;
}

/** Saturation pressure of water, Pa, at °C. */
export function saturation(celsius: number): number {
	const { a, b, c, mmHg } = antoine;
	return mmHg * 10 ** (a - b / (c + celsius));
}

export interface Pot {
	/** kg of water. */
	readonly mass: number;
	/** Heat capacity of the pot itself, J/K. */
	readonly pot: number;
	/** Rated power W, share of it that arrives. */
	readonly power: number;
	readonly efficiency: number;
	/** W/K, and room °C. */
	readonly loss: number;
	readonly ambient: number;
	/** Specific heat of what is heated, J/(kg K); absent: water. */
	readonly c?: number;
}

export function potBody({ mass, pot, power, efficiency, loss, ambient, c = waterHeat }: Pot): Lumped {
	return { capacity: mass * c + pot, power: power * efficiency, loss, ambient };
}

/** Seconds from one temperature to another; `Infinity` where the burner is too weak. */
export function heatingTime(pot: Pot, start: number, end: number): number {
	return end <= start ? 0 : lumpedTime(potBody(pot), start, end);
}

/** Loss of a pot, W/K: covered 10 W/(m² K) over wall, bottom and lid; open three times as much (est.). */
export function potLoss(litres: number, isCovered: boolean): number {
	// A pot as wide as it is high.
	const diameter = ((4 * litres) / 1000 / Math.PI) ** (1 / 3);
	const area = 1.5 * Math.PI * diameter * diameter;
	return (isCovered ? 10 : 30) * area;
}

export interface Load {
	/** kg, J/(kg K), °C. */
	readonly mass: number;
	readonly c: number;
	readonly start: number;
}

/** How far food drops the boil, K (an upper bound: food warms slowly), and how long the boil takes to come back, s. */
export function loadDrop(pot: Pot, load: Load, boil: number): { readonly drop: number; readonly recovery: number } {
	const { capacity, power, loss, ambient } = potBody(pot);
	const food = load.mass * load.c;
	const heat = food * (boil - load.start);
	const net = power - loss * (boil - ambient);
	return { drop: heat / (capacity + food), recovery: net > 0 ? heat / net : Infinity };
}

/** Largest load, kg, that drops the boil by no more than so many K. */
export function largestLoad(pot: Pot, { c, start }: Omit<Load, 'mass'>, boil: number, drop: number): number {
	const { capacity } = potBody(pot);
	const rise = boil - start;
	return rise <= drop ? Infinity : (capacity * drop) / (c * (rise - drop));
}

/** kg of water boiled off a second; 0 where the burner does not hold the boil. */
export function boilOff({ power, efficiency, loss, ambient }: Omit<Pot, 'mass' | 'pot'>, boil: number): number {
	return Math.max(0, (power * efficiency - loss * (boil - ambient)) / evaporation);
}

/** Seconds to reduce from one mass to another, kg; water only: sugar, starch and fat lower the rate at the end. */
export function reductionTime(from: number, to: number, pot: Omit<Pot, 'mass' | 'pot'>, boil: number): number {
	return to >= from ? 0 : (from - to) / boilOff(pot, boil);
}

/** Water off the heat after so many seconds, °C. */
export function steepedAt(pot: Pick<Pot, 'mass' | 'pot' | 'loss' | 'ambient'>, start: number, seconds: number): number {
	return lumpedAt(potBody({ ...pot, power: 0, efficiency: 1 }), start, seconds);
}
