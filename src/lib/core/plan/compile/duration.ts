// How long a step takes here: for this many, this thick, on this burner or at this set point.
import { setpointRatio } from '../../heat/setpoint';
import type { Meal, Part } from '../../model/meal';
import type { Step, Technique } from '../../model/technique';
import { compute, spreadOf, type Circumstance, type Computed } from './timing';

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
 * `setpointRatio` from the first of the settings, for which the technique's times hold.
 */
export function durationOf(step: Step, technique: Technique, part: Part, meal: Meal, at: Circumstance): Spread {
	const { shortest, usual, longest, scale = [], power, core, model } = step.time;
	if (model) {
		const computed = compute(model, (id) => valueOf(id, technique, part, meal), at);
		return { ...spreadOf(computed), computed };
	}
	let factor = 1;
	for (const { by, at: reference, exponent } of scale) {
		factor *= (valueOf(by, technique, part, meal) / reference) ** exponent;
	}
	if (power !== undefined && at.power !== undefined) factor *= power / at.power;
	if (core && at.setting !== undefined && step.need?.kind === 'oven') {
		const [reference = at.setting] = step.need.settings;
		factor *= setpointRatio(at.setting, reference, core.start, core.target);
	}
	return { shortest: shortest * factor, usual: usual * factor, longest: longest * factor };
}

function valueOf(by: string, technique: Technique, part: Part, meal: Meal): number {
	if (by === 'covers') return part.covers ?? meal.covers;
	return part.settings[by] ?? technique.parameters.find((p) => p.id === by)?.usual ?? 1;
}
