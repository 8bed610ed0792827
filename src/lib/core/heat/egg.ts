// Eggs: by formula, and as a sphere in any water: doneness of white and yolk apart.
import { Conduction, type Face } from './finite-volumes';

/** An egg as one body (Williams 1996–98): W/(m K), m²/s, kg/m³, J/(kg K). */
export const eggBody = { k: 0.54, alpha: 1.406e-7, rho: 1038, c: 3700 } as const;
/** Places along the radius: middle of the white, edge of the yolk. */
export const eggPlaces = { white: 0.86, yolkEdge: 0.72 } as const;

/** Radius of a sphere of the egg's mass, metres; mass in kg. */
export function eggRadius(mass: number): number {
	return ((3 * mass) / (4 * Math.PI * eggBody.rho)) ** (1 / 3);
}

/**
 * Seconds until the edge of the yolk has a temperature, from lowering into water that stays as hot.
 * `Infinity` where the water is not hotter; below 60 s the formula is not to be believed.
 *
 * @param mass kg in the shell
 * Source: C. D. H. Williams 1996–98, University of Exeter; New Scientist 13 June 1998.
 */
export function eggTime(mass: number, egg: number, water: number, yolkEdge: number): number {
	if (yolkEdge <= egg) return 0;
	if (yolkEdge >= water) return Infinity;
	const grams = mass * 1000;
	const [c, rho, k] = [3.7, 1.038, 5.4e-3];
	const scale = (c * rho ** (1 / 3)) / (k * Math.PI ** 2 * ((4 * Math.PI) / 3) ** (2 / 3));
	return Math.max(0, grams ** (2 / 3) * scale * Math.log((0.76 * (egg - water)) / (yolkEdge - water)));
}

/** Temperature of the yolk's edge at lifting, °C, by style (McGee 2004; Donovan et al. 1975). */
export const eggStyles = {
	'barely set': { yolkEdge: 62.5, say: 'white barely set, yolk runny' },
	runny: { yolkEdge: 65, say: 'white firm, yolk runny' },
	jammy: { yolkEdge: 68, say: 'white firm, yolk like jam' },
	'soft-hard': { yolkEdge: 72, say: 'yolk set, still moist' },
	hard: { yolkEdge: 86, say: 'hard' }
} as const;
export type EggStyle = keyof typeof eggStyles;

/** Mass in the shell, kg: EU weight classes (Reg. (EC) 589/2008), their middle. */
export const eggSizes = { S: 0.05, M: 0.058, L: 0.068, XL: 0.076 } as const;

export interface EggBath {
	/** kg; °C at the start. */
	readonly mass: number;
	readonly start: number;
	/** The water: film W/(m² K), °C over the seconds. */
	readonly water: Face;
	/** Seconds in it. */
	readonly seconds: number;
	/** What stops it: ice water, or air; for so many seconds. */
	readonly stop: { readonly face: Face; readonly seconds: number };
}

export interface EggResult {
	/** At lifting, °C. */
	readonly white: number;
	readonly yolkEdge: number;
	readonly centre: number;
	/** Highest afterwards. */
	readonly yolkEdgePeak: number;
	readonly centrePeak: number;
	/** Minutes at 64 °C that the centre has had in the water. */
	readonly dose: number;
	/** Profile at lifting by radius, 0 centre to 1 shell, °C. */
	readonly profile: readonly number[];
}

const cells = 40;
const step = 2;

/** An egg in water that may change, then stopped: by finite volumes. */
export function boilEgg({ mass, start, water, seconds, stop }: EggBath): EggResult {
	const { k, alpha } = eggBody;
	const egg = new Conduction({ shape: 'sphere', L: eggRadius(mass), n: cells, isFull: false, k, alpha }, start);
	const centres: number[] = [];
	egg.run({ seconds, step, outer: water }, () => centres.push(egg.T[0]!));
	const dose = yolkDose(centres, seconds / Math.max(1, centres.length));
	const [white, yolkEdge, centre] = [egg.at(eggPlaces.white), egg.at(eggPlaces.yolkEdge), egg.T[0]!];
	const profile = [...egg.T];
	let [yolkEdgePeak, centrePeak] = [yolkEdge, centre];
	egg.run({ seconds: stop.seconds, step, outer: stop.face }, () => {
		yolkEdgePeak = Math.max(yolkEdgePeak, egg.at(eggPlaces.yolkEdge));
		centrePeak = Math.max(centrePeak, egg.T[0]!);
	});
	return { white, yolkEdge, centre, yolkEdgePeak, centrePeak, dose, profile };
}

/** Seconds in a water until the yolk's edge has a temperature; `Infinity` where it is not reached within two hours. */
export function eggTimeIn(mass: number, start: number, water: Face, yolkEdge: number): number {
	if (start >= yolkEdge) return 0;
	const { k, alpha } = eggBody;
	const egg = new Conduction({ shape: 'sphere', L: eggRadius(mass), n: cells, isFull: false, k, alpha }, start);
	let before = { at: 0, value: start };
	let reached = Infinity;
	egg.run({ seconds: 7200, step: 2, outer: water }, (at) => {
		const value = egg.at(eggPlaces.yolkEdge);
		if (reached === Infinity && value >= yolkEdge) {
			reached = before.at + ((at - before.at) * (yolkEdge - before.value)) / (value - before.value);
		}
		before = { at, value };
		return reached === Infinity ? 'on' : 'stop';
	});
	return reached;
}

/** A pot of cold water with eggs in it, heated to the boil and left to stand, covered. */
export interface ColdStart {
	/** kg of one egg, its start °C, how many. */
	readonly mass: number;
	readonly start: number;
	readonly count: number;
	/** Net power, W; water, kg, and °C; the pot, J/K; room, °C. */
	readonly power: number;
	readonly water: number;
	readonly tap: number;
	readonly pot: number;
	readonly room: number;
	readonly boil: number;
}

/** Edge at lifting from the boil, and centre, of a hard egg, °C. */
export const hardEdge = 84;
const hardCentre = 73;

/** Films in water that warms, and that stands; loss of the covered pot, W/K. */
const coldStart = { warming: 600, standing: 400, loss: 1.4 };

/**
 * Seconds to the boil, and off the heat until the yolk's edge has a temperature: the eggs are a sink on the way up, and drink
 * the heat of the water as it stands. `Infinity` where it does not come to that.
 */
export function coldStartTimes(
	{ mass, start, count, power, water, tap, pot, room, boil }: ColdStart,
	yolkEdge: number
): { readonly heating: number; readonly standing: number } {
	const { k, alpha } = eggBody;
	const radius = eggRadius(mass);
	const egg = new Conduction({ shape: 'sphere', L: radius, n: cells, isFull: false, k, alpha }, start);
	const capacity = water * 4186 + pot;
	const area = 4 * Math.PI * radius * radius * count;
	let T = tap;
	const advance = (h: number, heat: number) => {
		egg.run({ seconds: step, step, outer: { h, tinf: T } });
		const drunk = h * area * (T - (egg.T[cells] ?? T));
		T = Math.min(boil, T + (step * (heat - coldStart.loss * (T - room) - drunk)) / capacity);
	};
	let heating = 0;
	while (T < boil - 1e-9) {
		advance(coldStart.warming, power);
		heating += step;
		if (heating > 7200) return { heating: Infinity, standing: Infinity };
	}
	let standing = 0;
	// Hard is hard to the centre: in water that cools its edge is never as hot as in the boil.
	const isHard = yolkEdge >= hardEdge;
	const isDone = () => (isHard ? (egg.T[0] ?? 0) >= hardCentre : egg.at(eggPlaces.yolkEdge) >= yolkEdge);
	while (!isDone()) {
		advance(coldStart.standing, 0);
		standing += step;
		if (standing > 7200) return { heating, standing: Infinity };
	}
	return { heating, standing };
}

/** A poached egg's time against its usual one, by how cold it slips in: from 5 °C 1. */
export const poachedFrom = (start: number) => Math.log((83 - start) / 20) / Math.log(78 / 20);

/** When each egg goes in, seconds before all are lifted at once, the longest first. */
export function staggered(times: readonly { readonly id: string; readonly seconds: number }[]) {
	return times.toSorted((a, b) => b.seconds - a.seconds).map(({ id, seconds }) => ({ id, dropBefore: seconds }));
}

/** Minutes at 64 °C that the yolk's centre has had (z 4.7 K: Vega & Mercadé-Prieto 2011), from samples a step apart, s. */
function yolkDose(centre: readonly number[], seconds: number): number {
	return centre.reduce((sum, T) => sum + (10 ** ((T - 64) / 4.7) * seconds) / 60, 0);
}

/** How water sags under eggs: 250 ml each at the least (est.), the drop as in `loadDrop` with the shell egg's 3300 J/(kg K). */
export const eggWater = { litresEach: 0.25, c: 3300 } as const;

/** Other ways to cook eggs: their usual times for 58 g from 5 °C, s, and how much of them takes hands (est.). */
export const eggWays = {
	poached: { medium: 83, shortest: 180, usual: 210, longest: 240 },
	'fried sunny': { medium: 130, shortest: 150, usual: 190, longest: 240 },
	'fried lidded': { medium: 130, shortest: 120, usual: 150, longest: 180 },
	'fried turned': { medium: 130, shortest: 180, usual: 225, longest: 280 },
	'scrambled fast': { medium: 72, shortest: 60, usual: 90, longest: 120 },
	'scrambled slow': { medium: 72, shortest: 600, usual: 750, longest: 900 },
	'omelette pale': { medium: 130, shortest: 45, usual: 60, longest: 80 },
	'omelette brown': { medium: 170, shortest: 90, usual: 120, longest: 150 },
	'baked in a cup': { medium: 165, shortest: 720, usual: 840, longest: 960 },
	custard: { medium: 82, shortest: 840, usual: 930, longest: 1080 },
	'fried coated': { medium: 175, shortest: 90, usual: 120, longest: 160 }
} as const;
