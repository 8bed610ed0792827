// Live fire: lighting it, what it burns, how it falls, and how hot it is by a counted hand. Estimates of practice, all of them.

export const fuels = ['charcoal', 'wood'] as const;
export type LiveFuel = (typeof fuels)[number];

interface Fire {
	/** Seconds from cold until it may be cooked on: coals under ash, a vault burnt white. */
	readonly lighting: number;
	/** Seconds for each K that it falls where nothing is added. */
	readonly fall: number;
	/** Kilograms to light it, for each place; and to hold it at its usual heat, for each place and hour. */
	readonly toLight: number;
	readonly toHold: number;
	/** What its usual heat is, °C; it is fed again after so long, seconds. */
	readonly usual: number;
	readonly feed: number;
}

/** Per fuel (est.): coals fall from 280 to 200 °C within three quarters of an hour; a small vault loses two degrees a minute. */
export const fires: Readonly<Record<LiveFuel, Fire>> = {
	charcoal: { lighting: 30 * 60, fall: 35, toLight: 0.9, toHold: 0.6, usual: 280, feed: 40 * 60 },
	wood: { lighting: 75 * 60, fall: 30, toLight: 4, toHold: 1.8, usual: 380, feed: 20 * 60 }
};

/** Air of a kitchen or a garden against which a fire is measured, °C. */
const around = 20;

/** Kilograms that light a fire, and kilograms an hour that hold it at a temperature: what it loses goes with its excess over the air. */
export function fuelFor(
	fuel: LiveFuel,
	places: number,
	celsius: number
): { readonly light: number; readonly hourly: number } {
	const { toLight, toHold, usual } = fires[fuel];
	const share = Math.max(0, celsius - around) / (usual - around);
	return { light: toLight * places * share, hourly: toHold * places * share };
}

/** Seconds that a hand is borne a hand's breadth over the grate, counted aloud, and the heat there, °C (est., ± 25 K). */
const counted = [
	[1, 340],
	[2, 290],
	[3, 260],
	[4, 230],
	[5, 205],
	[6, 185],
	[8, 155],
	[10, 130],
	[15, 100]
] as const;
export const handRange: { readonly least: number; readonly most: number } = { least: 1, most: 15 };

/**
 * How hot it is where a hand is borne for so many seconds; between the rows in step.
 *
 * @param seconds counted aloud; less than 1 is as 1, more than 15 as 15
 */
export function handCelsius(seconds: number): number {
	const [first] = counted;
	if (seconds <= first[0]) return first[1];
	for (let i = 1; i < counted.length; i++) {
		const [before, after] = [counted[i - 1] ?? first, counted[i] ?? first];
		if (seconds > after[0]) continue;
		return before[1] + ((after[1] - before[1]) * (seconds - before[0])) / (after[0] - before[0]);
	}
	return counted.at(-1)?.[1] ?? first[1];
}

/** For how many whole seconds a hand is borne over such a heat: the other way round. */
export function handSeconds(celsius: number): number {
	let best = handRange.least;
	for (let s = handRange.least; s <= handRange.most; s++)
		if (Math.abs(handCelsius(s) - celsius) < Math.abs(handCelsius(best) - celsius)) best = s;
	return best;
}
