// How long a step takes here: for this many, this thick, on this burner or at this set point, at this cook's pace.
import { setpointRatio } from '../../heat/setpoint';
import type { Step } from '../../model/technique';
import { compute, spreadOf, type Circumstance, type Computed } from './timing/timing';

export interface Spread {
	readonly shortest: number;
	readonly usual: number;
	readonly longest: number;
	/** Absent: the technique's own estimate. */
	readonly computed?: Computed | undefined;
}

/**
 * Durations of a step, in seconds: computed where its technique names a model (see `timing.ts`); otherwise the technique's
 * own, times one factor for each thing they depend on.
 *
 * Number and size enter as power laws with the technique's exponents; burner power inversely; the oven's set point by
 * `setpointRatio` from the first of the settings, for which the technique's times hold; handwork by the cook's pace.
 *
 * @param of parameters and covers by name
 */
export function durationOf(step: Step, of: (id: string) => number, at: Circumstance): Spread {
	const { usual = 1, shortest = usual, longest = usual, scale = [], power, core, model } = step.time;
	if (model) {
		const computed = compute(model, of, at);
		return { ...spreadOf(computed), computed };
	}
	let factor = 1;
	for (const { by, at: reference, exponent } of scale) factor *= (of(by) / reference) ** exponent;
	if (power !== undefined && at.power !== undefined) factor *= power / at.power;
	if (core && at.setting !== undefined && step.need?.kind === 'oven') {
		const [reference = at.setting] = step.need.settings;
		factor *= setpointRatio(at.setting, reference, core.start, core.target);
	}
	if (step.hands.kind === 'whole') factor *= at.pace ?? 1;
	return { shortest: shortest * factor, usual: usual * factor, longest: longest * factor };
}
