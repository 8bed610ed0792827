// Oil: heating it, how far a load drops it, when it is back, how much goes in at once.

export interface Oil {
	/** kg of oil; its specific heat 2200 J/(kg K) over 20–180 °C. */
	readonly mass: number;
	/** Net heat in, W; loss W/K; room °C. */
	readonly power: number;
	readonly loss: number;
	readonly ambient: number;
}

export interface FryLoad {
	/** Outer area of the pieces, m². */
	readonly area: number;
	/** Thickness of the pieces, metres. */
	readonly thickness: number;
}

export interface OilDip {
	/** Lowest temperature °C and when, s. */
	readonly lowest: number;
	readonly at: number;
	/** Seconds until it is back within 2 K; `Infinity` where it is not within an hour. */
	readonly back: number;
	/** Every second from the load on, °C. */
	readonly trace: readonly number[];
}

export const oilHeat = 2200;
/** Film under bubbles, W/(m² K), and the wet surface's temperature, °C (Hubbard & Farkas 1999). */
const boiling = { h: 500, surface: 100 };
/** Drying fades with this time for 10 mm pieces, s, in proportion to thickness (est.). */
const drying = 75;
const near = 2;

/** Outer area of sticks or blocks, m²: kg of them, kg/m³, sides in metres. */
export function piecesArea(mass: number, density: number, sides: readonly [number, number, number]): number {
	const [a, b, c] = sides;
	return (mass / (density * a * b * c)) * 2 * (a * b + b * c + a * c);
}

/** The oil after loading: C dT/dt = power − loss (T − ambient) − h A e^(−t/τ)(T − 100), by the second. */
export function oilDip(oil: Oil, load: FryLoad, start: number): OilDip {
	const capacity = oil.mass * oilHeat;
	const tau = (drying * load.thickness) / 0.01;
	const slope = (t: number, T: number) =>
		(oil.power - oil.loss * (T - oil.ambient) - boiling.h * load.area * Math.exp(-t / tau) * (T - boiling.surface)) /
		capacity;
	const trace = [start];
	let [lowest, at, back] = [start, 0, Infinity];
	let T = start;
	for (let t = 0; t < 3600; t++) {
		// Heun's step.
		const first = slope(t, T);
		const predicted = T + first;
		T += (first + slope(t + 1, predicted)) / 2;
		// A thermostat holds what was set.
		T = Math.min(T, start);
		trace.push(T);
		if (T < lowest) [lowest, at] = [T, t + 1];
		if (T >= start - near && t + 1 > at && lowest < start - near) {
			back = t + 1;
			break;
		}
		if (lowest >= start - near && t > 3 * tau) {
			back = 0;
			break;
		}
	}
	return { lowest, at, back, trace };
}

/** Largest load by heat, kg: the oil stays within 20 K of its set point and above 150 °C. */
export function largestFry(
	oil: Oil,
	pieces: { readonly density: number; readonly sides: readonly [number, number, number] },
	start: number
): number {
	const least = Math.max(start - 20, Math.min(150, start));
	const lowest = (mass: number) =>
		oilDip(oil, { area: piecesArea(mass, pieces.density, pieces.sides), thickness: Math.min(...pieces.sides) }, start)
			.lowest;
	let [low, high] = [0, oil.mass];
	if (lowest(high) >= least) return high;
	while (high - low > 0.005) {
		const middle = (low + high) / 2;
		if (lowest(middle) >= least) low = middle;
		else high = middle;
	}
	return low;
}
