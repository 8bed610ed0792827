// What every computed time is made of and says: where a step is done, and why it takes so long.
import { efficiency, type Fuel } from '../../../heat/burner';
import type { TimeModel, Quantity } from '../../../model/time-model';
import { printTemperature } from '../../../units/print';

/** Where a step is done, as far as its time depends on it. */
export interface Circumstance {
	/** Rated power of the burner, watts, and what it burns; what arrives, where that was measured. */
	readonly power?: number | undefined;
	readonly fuel?: Fuel | undefined;
	readonly measured?: number | undefined;
	/** Temperature of the oven, the grill or the fired oven, °C; whether its fan blows, and what it is. */
	readonly setting?: number | undefined;
	readonly hasFan?: boolean | undefined;
	readonly fire?: 'grill' | 'wood oven' | undefined;
	/** Metres above the sea; room, °C. */
	readonly altitude: number;
	readonly room: number;
	/** How long handwork takes, against a home cook's 1. */
	readonly pace?: number | undefined;
}

/** Why a time is what it is. */
interface Reason {
	/** What was put in, in words; the model and where it comes from; how far it may be off. */
	readonly from: string;
	readonly model: string;
	readonly off: string;
}

export interface Computed {
	/** Seconds; `Infinity` where it never comes to that. */
	readonly usual: number;
	/** Spread of the logarithm. */
	readonly sigma: number;
	readonly reason: Reason;
	/** Core at which to take it off, °C. */
	readonly pull?: number;
	/** What to take care of, where it depends on what was put in. */
	readonly caution?: string | undefined;
	/** Whether the core stays below what is advised. */
	readonly isBelowAdvised?: boolean;
}

export type ModelOf<K extends TimeModel['kind']> = Extract<TimeModel, { kind: K }>;
export type Value = (quantity: Quantity) => number;
export type Computer<K extends TimeModel['kind']> = (model: ModelOf<K>, value: Value, at: Circumstance) => Computed;
export type Computers<K extends TimeModel['kind']> = { readonly [X in K]: Computer<X> };

/** Metres in which a thickness is measured, and σ of an oven, a bath and a pan (docs: how far to trust it). */
const thicknessError = 0.001;
export const sigmaOf = { bath: 0.02, oven: 0.1, pan: 0.15, vegetables: 0.3, fire: 0.2 } as const;
/** Scatter of pieces of one food, of the measured thickness (it counts twice) and of the surroundings together. */
export const conductionSigma = (scatter: number, thickness: number, surroundings: number) =>
	Math.hypot(scatter, (2 * thicknessError) / thickness, surroundings);

export const celsius = (T: number) => printTemperature(T);
export const mm = (metres: number) => `${Math.round(metres * 1000)} mm`;
export const grams = (kilograms: number) =>
	kilograms < 1 ? `${Math.round(kilograms * 1000)} g` : `${kilograms.toFixed(1)} kg`;
export const percent = (sigma: number) => `± ${Math.round(100 * sigma)} %`;

/** A burner where the kitchen says nothing of it (est.). */
const usualPower = 1800;

/** Rated power and the share that arrives: the fuel's, or as a timed litre showed. */
export function netPower({ power = usualPower, fuel = 'induction', measured }: Circumstance): {
	readonly power: number;
	readonly efficiency: number;
} {
	return { power, efficiency: measured === undefined ? efficiency[fuel].usual : measured / power };
}

export function burnerWords(at: Circumstance): string {
	const { power, efficiency: share } = netPower(at);
	const known = at.measured === undefined ? '' : ', as measured';
	return `${power} W ${at.fuel ?? 'induction'}, of which ${Math.round(100 * share)} % arrives${known}`;
}
