// How long a step takes here: for this many, this thick, on this burner or at this set point, at this cook's pace, and as
// records have shown.
import { setpointRatio } from '../heat/setpoint';
import { noise } from '../learn/factors';
import { handTime, setUp, type KnifeTask, type PieceTask } from '../learn/handwork';
import { quantile } from '../learn/spread';
import type { Step } from '../model/technique';
import type { Care, TimeFacts } from '../model/time-facts';
import type { Circumstance } from './computing';
import { compute } from './model-times';

/** A time as a log-normal: ln of the seconds ~ N(mu, sigma²), with what it comes from. */
export interface Timing {
	/** `Infinity` where it never comes to that. */
	readonly mu: number;
	readonly sigma: number;
	/** Core at which to take it off, and the highest that it comes to afterwards, °C. */
	readonly pull?: number | undefined;
	readonly peak?: number | undefined;
	/** Share of the raw mass that is lost until it is ready, %. */
	readonly loss?: number | undefined;
	/** Absent: the technique's own estimate. */
	readonly facts?: TimeFacts | undefined;
	readonly care: readonly Care[];
	/** ln of the seconds before anything learnt, handwork at a home cook's pace; and what share of those goes by the pace. */
	readonly plain?: number;
	readonly paced?: number;
	/** What the cook's own records have put on it. */
	readonly learnt?: { readonly factor: number; readonly records: number } | undefined;
}

/** ln(longest ÷ shortest), which are the 90th and 10th hundredth, over their distance in standard deviations. */
const hundredths = 2 * 1.2815515655446004;

/**
 * The time of a step: computed where its technique names a model (see `model-times.ts`); otherwise the technique's own
 * estimate, times one factor for each thing it depends on. What was learnt of the step is a factor on either, and its spread
 * that of the next record: what is left of the doubt, and the noise.
 *
 * Number and size enter as power laws with the technique's exponents; burner power inversely; the oven's set point by
 * `setpointRatio` from the first of the settings, for which the technique's times hold; handwork by the cook's pace.
 *
 * @param of parameters and covers by name
 * @param load factor of the load on the time
 */
export function timingOf(step: Step, of: (id: string) => number, at: Circumstance, load = 1): Timing {
	const model = step.time.model;
	const own: Timing = model ? computed(compute(model, of, at)) : estimated(step, of, at);
	const { learnt } = at;
	const ofLoad = Math.log(load);
	const { plain, paced } = atHomePace(step, own, at.pace ?? 1);
	const basis = { plain: plain + ofLoad, ...(paced > 0 ? { paced } : {}) };
	if (!learnt) return { ...own, ...basis, mu: own.mu + ofLoad };
	return {
		...own,
		...basis,
		mu: own.mu + ofLoad + learnt.mean,
		sigma: Math.min(own.sigma, Math.hypot(noise[step.hands.kind === 'whole' ? 'hands' : 'heat'], learnt.sd)),
		learnt: { factor: Math.exp(learnt.mean), records: learnt.records }
	};
}

/** ln of the seconds at a home cook's pace, and the share of them that goes by the pace. */
function atHomePace(step: Step, { mu, facts }: Timing, pace: number): { plain: number; paced: number } {
	if (facts?.kind === 'knife' || facts?.kind === 'pieces') {
		const amount =
			facts.kind === 'knife'
				? { task: facts.task as KnifeTask, kilograms: facts.kilograms }
				: { task: facts.task as PieceTask, pieces: facts.pieces };
		const home = handTime(amount, 1);
		return { plain: Math.log(home), paced: 1 - setUp / home };
	}
	const isPaced = !step.time.model && step.hands.kind === 'whole';
	return { plain: isPaced ? mu - Math.log(pace) : mu, paced: isPaced ? 1 : 0 };
}

function computed({ usual, sigma, pull, peak, loss, facts, care = [] }: ReturnType<typeof compute>): Timing {
	return { mu: Math.log(Math.max(1, usual)), sigma, pull, peak, loss, facts, care };
}

function estimated(step: Step, of: (id: string) => number, at: Circumstance): Timing {
	const { usual = 1, shortest = usual, longest = usual, scale = [], power, core } = step.time;
	let factor = 1;
	for (const { by, at: reference, exponent } of scale) factor *= (of(by) / reference) ** exponent;
	if (power !== undefined && at.power !== undefined) factor *= power / at.power;
	if (core && at.setting !== undefined && step.need?.kind === 'oven') {
		const [reference = at.setting] = step.need.settings;
		factor *= setpointRatio(at.setting, reference, core.start, core.target);
	}
	if (step.hands.kind === 'whole') factor *= at.pace ?? 1;
	return {
		mu: Math.log(usual * factor),
		sigma: Math.log(Math.max(1, longest) / Math.max(1, shortest)) / hundredths,
		care: []
	};
}

/** Shortest, usual and longest, seconds: the 10th, 50th and 90th hundredth. */
export function spreadOf({ mu, sigma }: Pick<Timing, 'mu' | 'sigma'>): {
	readonly shortest: number;
	readonly usual: number;
	readonly longest: number;
} {
	const usual = usualOf({ mu });
	if (!Number.isFinite(usual)) return { shortest: usual, usual, longest: usual };
	return { shortest: quantile({ mu, sigma }, 0.1), usual, longest: quantile({ mu, sigma }, 0.9) };
}

/** The usual time, seconds: its median. */
export const usualOf = ({ mu }: Pick<Timing, 'mu'>) => Math.exp(mu);
