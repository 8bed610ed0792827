// What every computed time is made of: where a step is done, and what comes out.
import type { Airflow } from '../heat/surroundings';
import { efficiency, type Fuel } from '../heat/burner';
import type { Care, TimeFacts } from '../model/time-facts';
import type { TimeModel, Quantity } from '../model/time-model';

/** What records say of a step: a factor on its time, on the logarithm, and how many records. */
interface Learnt {
	readonly mean: number;
	readonly sd: number;
	readonly records: number;
}

/** Where a step is done, as far as its time depends on it. */
export interface Circumstance {
	/** Rated power of the burner, watts, and what it burns; what arrives, where that was measured. */
	readonly power?: number | undefined;
	readonly fuel?: Fuel | undefined;
	readonly measured?: number | undefined;
	/** Temperature of the oven, the grill or the fired oven, °C; whether its fan blows, and what it is. */
	readonly setting?: number | undefined;
	readonly hasFan?: boolean | undefined;
	/** The oven's own factor on the film of its air, as probes have shown. */
	readonly film?: number | undefined;
	readonly fire?: 'grill' | 'wood oven' | undefined;
	/** The strongest burner of the kitchen: what was heated elsewhere stood on it. */
	readonly best?: { readonly power: number; readonly fuel: Fuel; readonly measured?: number | undefined } | undefined;
	/** Metres above the sea; room, °C. */
	readonly altitude: number;
	readonly room: number;
	/** How long handwork takes, against a home cook's 1. */
	readonly pace?: number | undefined;
	/** What the cook's own records have put on the model's time. */
	readonly learnt?: Learnt | undefined;
}

export interface Computed {
	/** Seconds; `Infinity` where it never comes to that. */
	readonly usual: number;
	/** Spread of the logarithm. */
	readonly sigma: number;
	readonly facts: TimeFacts;
	/** Core at which to take it off, and the highest that it comes to afterwards, °C. */
	readonly pull?: number;
	readonly peak?: number;
	/** Share of the raw mass that is lost until it is ready, %. */
	readonly loss?: number;
	readonly care?: readonly Care[];
}

export type ModelOf<K extends TimeModel['kind']> = Extract<TimeModel, { kind: K }>;
export type FactsOf<K extends TimeFacts['kind']> = Extract<TimeFacts, { kind: K }>;
export type Value = (quantity: Quantity) => number;
export type Computer<K extends TimeModel['kind']> = (
	model: ModelOf<K>,
	value: Value,
	at: Circumstance
) => Computed & { readonly facts: FactsOf<K> };
export type Computers<K extends TimeModel['kind']> = { readonly [X in K]: Computer<X> };

/** Metres in which a thickness is measured, and σ of an oven, a bath and a pan (docs: how far to trust it). */
const thicknessError = 0.001;
export const sigmaOf = { bath: 0.02, oven: 0.12, pan: 0.18, vegetables: 0.3, fire: 0.18 } as const;
/** Scatter of pieces of one food, of the measured thickness (it counts twice) and of the surroundings together. */
export const conductionSigma = (scatter: number, thickness: number, surroundings: number) =>
	Math.hypot(scatter, (2 * thicknessError) / thickness, surroundings);

/** A burner where the kitchen says nothing of it (est.). */
const usualPower = 1800;

/** Rated power and the share that arrives: the fuel's, or as a timed litre showed. */
export function netPower({ power = usualPower, fuel = 'induction', measured }: Circumstance): {
	readonly power: number;
	readonly efficiency: number;
} {
	return { power, efficiency: measured === undefined ? efficiency[fuel].usual : measured / power };
}

/** How the oven's air moves; without a fan where nobody says. */
export const airflowOf = ({ hasFan = false, film }: Circumstance): Airflow => ({ hasFan, film });

/** The burner as a fact. */
export function burnerOf(at: Circumstance): FactsOf<'boil'>['burner'] {
	const { power, efficiency: share } = netPower(at);
	return { power, fuel: at.fuel ?? 'induction', share, isMeasured: at.measured !== undefined };
}
