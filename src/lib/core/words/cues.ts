// A cue in a cook's words: what to do, where and at what heat, the sign, the cautions. In metric units (see `inUnits`).
import type { Plan, PlannedStep } from '../model/plan';
import type { Cue } from '../run/cues';
import { formatDuration } from '../units/time';
import { wordCautions, wordFilled, wordSetting } from './steps';

export interface CueWords {
	readonly say: string;
	/** Place, heat, vessel. */
	readonly where: string;
	readonly sign: string | undefined;
	readonly cautions: readonly string[];
}

const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);
const atThePass = { where: 'the pass', sign: undefined, cautions: [] };

export function wordCue(cue: Cue, plan: Plan): CueWords {
	const course = plan.services.find((s) => s.course === cue.course)?.name ?? plan.name;
	if (cue.kind === 'serve') return { ...atThePass, say: `Serve: ${course}` };
	if (cue.kind === 'plate') return { ...atThePass, say: `Plate up: ${course}` };
	const step = plan.steps.find((s) => s.id === cue.step);
	if (!step) return { say: '', where: '', sign: undefined, cautions: [] };
	const place = plan.lanes.find((l) => l.id === step.lane)?.name ?? step.lane;
	if (cue.kind === 'oven') {
		return {
			say: `Set the ${place.toLowerCase()} to ${wordSetting(step)}`,
			where: place,
			sign: 'The light goes out, or your thermometer says so.',
			cautions: []
		};
	}
	const hand = cue.hand === undefined ? undefined : step.hands[cue.hand];
	const say = wordFilled(step.say, step);
	const sign = step.sign === undefined ? undefined : wordFilled(step.sign, step);
	const told = {
		start: `${say}: ${formatDuration(step.to - step.from)}`,
		touch: say,
		end: `Time is up: ${lowerFirst(say)}`
	};
	return {
		say: hand ? (hand.whole ? say : wordFilled(hand.say, step)) : told[cue.kind],
		where: whereOf(step, plan),
		// How it looks when it is done is of no use when it begins by hand.
		sign: hand && !hand.whole && cue.kind === 'start' ? undefined : sign,
		cautions: wordCautions(step)
	};
}

function whereOf(step: PlannedStep, plan: Plan): string {
	const lane = plan.lanes.find((l) => l.id === step.lane);
	const isSomewhere = lane !== undefined && lane.kind !== 'rest' && lane.kind !== 'keep';
	const heat = step.setting === undefined ? (step.heat ?? '') : wordSetting(step);
	return [isSomewhere ? lane.name : '', heat, step.vessel ?? ''].filter((w) => w !== '').join(' · ');
}
