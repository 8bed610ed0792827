// A planned step in a cook's words: its figures in its author's text, its cautions, what holds it. In metric units.
import type { HeldBy, Plan, PlannedStep, Taken } from '../model/plan';
import type { Care } from '../model/time-facts';
import { belowAdvised } from '../safety/rules';
import { coreCelsius, plainCelsius } from './quantities';
import { panFats } from '../foods/fats';

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** An author's text with the step's own figures: `{pull}` is the core at which it comes off. */
export function wordFilled(text: string, { pull }: Pick<PlannedStep, 'pull'>): string {
	return pull === undefined ? text : text.replaceAll('{pull}', coreCelsius(pull));
}

/** An author's text where there are no figures yet: in the library. */
export const wordUnfilled = (text: string) => {
	const said = text.replaceAll('{pull}', 'its pull temperature');
	return said === text ? text : capital(said);
};

/** The set point of an oven; what to turn the knob to, where that is another. */
export function wordSetting({ setting = 0, knob }: Pick<PlannedStep, 'setting' | 'knob'>): string {
	return knob === undefined ? `${setting} °C` : `${knob} °C, which is ${setting} °C inside`;
}

/** All cautions of a step: its author's, and those that depend on what was put in. */
export function wordCautions({ cautions, care }: Pick<PlannedStep, 'cautions' | 'care'>): readonly string[] {
	return [...new Set([...cautions, ...care.map(wordCare)])];
}

function wordCare(care: Care): string {
	if (care.kind === 'below-advised') return belowAdvised;
	const smokes = `${capital(care.fat)} smokes from ${plainCelsius(care.from)}`;
	if (care.how === 'ventilate') return `${smokes}: fan on, window open.`;
	return `${smokes}, and the pan comes to ${plainCelsius(care.pan)}: put it in late, or take ${panFats[0]}.`;
}

function wordTaken(taken: Taken, cooks: number): string {
	switch (taken.kind) {
		case 'hands':
			return cooks === 1 ? 'your hands' : 'a free pair of hands';
		case 'vessel':
			return `the ${taken.vessel}`;
		case 'station':
			return taken.isOneOf ? `a ${taken.station} like it` : taken.station.toLowerCase();
		case 'other':
			return taken.id;
	}
}

/** Why a step is not later. */
export function wordHeldBy(held: HeldBy, plan: Pick<Plan, 'steps' | 'cooks'>): string {
	const say = (id: string) => {
		const step = plan.steps.find((s) => s.id === id);
		return step ? wordFilled(step.say, step) : 'Plate up';
	};
	switch (held.kind) {
		case 'plate':
			return 'It goes on the plate the moment it is done.';
		case 'follower':
			return `“${say(held.step)}” follows at once.`;
		case 'rival':
			return `“${say(held.step)}” needs ${wordTaken(held.taken, plan.cooks.length)} right after.`;
		case 'leader':
			return `It must not come later after “${say(held.step)}”.`;
		case 'oven-changes':
			return `The oven then changes for “${say(held.step)}”.`;
		case 'nothing':
			return 'It fits best here; it has room to move.';
		case 'said':
			return held.text;
	}
}
