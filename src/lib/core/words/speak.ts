// A plan, and the cues of a run, spoken: every fact a sentence, every quantity in the cook's own units. What is shown is this.
import type { Plan, PlannedStep } from '../model/plan';
import type { Cue } from '../run/cues';
import type { Measure } from '../units/amount';
import { formatClock, formatDuration } from '../units/time';
import { wordCue } from './cues';
import { inUnits } from './quantities';
import { wordOwnRecord, wordReason, type Reason } from './reasons';
import { wordAway, wordCautions, wordClimb, wordFilled, wordHeldBy, wordSetting } from './steps';

export interface SpokenStep extends Omit<PlannedStep, 'heldBy' | 'facts' | 'care' | 'setting' | 'knob'> {
	readonly heldBy: string;
	readonly reason: Reason | undefined;
	/** Set point of the oven, or the heat, in words; empty where there is none. */
	readonly heat: string;
	/** Why the set point is not its own, in words; empty where it is. */
	readonly setPoint: string;
	/** How it cooks on after the step, in words; empty where it does not. */
	readonly climb: string;
	/** Set point, °C: as a fact, for drawings. */
	readonly setting: number | undefined;
}

export interface SpokenPlan extends Omit<Plan, 'steps' | 'tight'> {
	readonly steps: readonly SpokenStep[];
	readonly tight: readonly (Plan['tight'][number] & { readonly say: string })[];
}

/** A plan as it is shown. */
export function speakPlan(plan: Plan, measure: Measure): SpokenPlan {
	const spoken = (text: string) => inUnits(text, measure);
	const restsAfter = new Set(plan.steps.flatMap((s) => (s.kind === 'rest' ? s.after : [])));
	return {
		...plan,
		steps: plan.steps.map((step): SpokenStep => {
			const { facts, care, heldBy, setting, ...rest } = step;
			const filled = (text: string) => spoken(wordFilled(text, step));
			const reason = wordOwnRecord(facts && wordReason(facts, step.sigma), step);
			return {
				...rest,
				setting,
				say: filled(step.say),
				...(step.sign === undefined ? {} : { sign: filled(step.sign) }),
				...(step.vessel === undefined ? {} : { vessel: spoken(step.vessel) }),
				heat: spoken(setting === undefined ? (step.heat ?? '') : wordSetting(step)),
				setPoint: spoken(wordAway(step)),
				climb: spoken(wordClimb(step, restsAfter.has(step.id))),
				hands: step.hands.map((h) => ({ ...h, say: filled(h.say) })),
				cautions: wordCautions({ cautions: step.cautions, care }).map(spoken),
				heldBy: spoken(wordHeldBy(heldBy, plan)),
				reason: reason && { from: spoken(reason.from), model: spoken(reason.model), off: spoken(reason.off) }
			};
		}),
		parts: plan.parts.map((p) => ({ ...p, keep: spoken(p.keep) })),
		tight: plan.tight.map((t) => ({ ...t, say: `tight: ${t.count} things in ${formatDuration(t.to - t.from)}` }))
	};
}

export interface SpokenCue extends Cue {
	readonly say: string;
	readonly where: string;
	readonly sign: string | undefined;
	readonly cautions: readonly string[];
}

/** A cue as it is shown. */
export function speakCue(cue: Cue, plan: Plan, measure: Measure): SpokenCue {
	const { say, where, sign, cautions } = wordCue(cue, plan);
	const spoken = (text: string) => inUnits(text, measure);
	return {
		...cue,
		say: spoken(say),
		where: spoken(where),
		sign: sign === undefined ? undefined : spoken(sign),
		cautions: cautions.map(spoken)
	};
}

/** More steps than this are counted, not named. */
const mostNamed = 3;

/** What a replan moved, step by step with its new time, or its place where it has begun; empty where it moved nothing. */
export function speakMoved(
	moved: readonly string[],
	plan: Plan,
	measure: Measure,
	wallOf: (clock: number) => number,
	now = -Infinity
): string {
	const steps = plan.steps.filter((s) => moved.includes(s.id));
	const names = steps
		.toSorted((a, b) => a.from - b.from)
		.slice(0, mostNamed)
		.map((s) => {
			const say = inUnits(wordFilled(s.say, s), measure);
			const place = plan.lanes.find((l) => l.id === s.lane)?.name ?? '';
			return s.from < now ? `${say} goes on at ${place}` : `${say} ${formatClock(wallOf(s.from))}`;
		});
	const more = steps.length - names.length;
	return [...names, ...(more > 0 ? [`${more} more`] : [])].join(' · ');
}
