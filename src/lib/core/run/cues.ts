// The plan as cues: every moment at which a cook is told to do something, in order.
import type { Plan, PlannedStep } from '../model/plan';
import { wordSetting } from './word-setting';
import { formatDuration } from '../units/time';

export interface Cue {
	readonly id: string;
	readonly kind: 'oven' | 'start' | 'touch' | 'end' | 'plate' | 'serve';
	/** When it is due, and until when it takes hands; seconds after midnight. */
	readonly at: number;
	readonly until: number;
	readonly part: string | undefined;
	readonly step: string | undefined;
	readonly say: string;
	/** Place, heat, vessel, in words. */
	readonly where: string;
	readonly sign: string | undefined;
	readonly cautions: readonly string[];
	readonly cook: string | undefined;
}

/** An end so close to another cue of the same part needs none of its own, seconds. */
const atOnce = 45;

/** The cues of a plan in order of time. Ids are stable over replans: they name the step and the touch. */
export function cuesOf(plan: Plan): readonly Cue[] {
	const cues = [
		...plan.terrain.flatMap((t) => ovenCues(plan, t)),
		...plan.steps.flatMap((step) => stepCues(plan, step)),
		...plan.services.flatMap((s): Cue[] => {
			const common = {
				part: undefined,
				step: undefined,
				where: 'the pass',
				sign: undefined,
				cautions: [],
				cook: plan.cooks[0]?.id
			};
			const serve: Cue = {
				...common,
				id: `${s.course}#serve`,
				kind: 'serve',
				at: s.at,
				until: s.at,
				say: `Serve: ${s.name}`
			};
			if (s.plating >= s.at) return [serve];
			return [
				{ ...common, id: `${s.course}#plate`, kind: 'plate', at: s.plating, until: s.at, say: `Plate up: ${s.name}` },
				serve
			];
		})
	];
	return cues.sort((a, b) => a.at - b.at || rank[a.kind] - rank[b.kind]);
}

/** At one instant, what frees comes before what begins. */
const rank: Record<Cue['kind'], number> = { end: 0, touch: 1, oven: 2, start: 3, plate: 4, serve: 5 };

function ovenCues(plan: Plan, { lane, points }: Plan['terrain'][number]): readonly Cue[] {
	const name = plan.lanes.find((l) => l.id === lane)?.name ?? lane;
	const firings = plan.steps
		.filter((s) => s.lane === lane && s.setting !== undefined)
		.toSorted((a, b) => a.from - b.from);
	return firings.flatMap((step, i): Cue[] => {
		if (i > 0 && firings[i - 1]?.setting === step.setting) return [];
		// The corner of the terrain where the climb, or the fall, to this set point begins.
		const reached = points.findIndex(
			(p) => p.celsius === step.setting && p.at <= step.from && p.at >= (firings[i - 1]?.to ?? -Infinity)
		);
		const at = points[reached - 1]?.at ?? step.from;
		const say = `Set the ${name.toLowerCase()} to ${wordSetting(step)}`;
		const place = {
			where: name,
			sign: 'The light goes out, or your thermometer says so.',
			cautions: [],
			cook: undefined
		};
		return [{ ...place, id: `${step.id}#oven`, kind: 'oven', at, until: at, part: step.part, step: step.id, say }];
	});
}

function stepCues(plan: Plan, step: PlannedStep): readonly Cue[] {
	const lane = plan.lanes.find((l) => l.id === step.lane);
	const isSomewhere = lane && lane.kind !== 'rest' && lane.kind !== 'keep';
	const where = [
		isSomewhere ? lane.name : '',
		step.setting !== undefined ? wordSetting(step) : (step.heat ?? ''),
		step.vessel ?? ''
	];
	const common = {
		part: step.part,
		step: step.id,
		where: where.filter((w) => w !== '').join(' · '),
		cautions: step.cautions,
		cook: step.hands[0]?.cook
	};
	const whole = step.hands.find((h) => h.whole);
	if (whole) {
		return [
			{
				...common,
				id: `${step.id}#start`,
				kind: 'start',
				at: step.from,
				until: step.to,
				say: step.say,
				sign: step.sign
			}
		];
	}
	const cues = step.hands.map((hand, i): Cue => {
		const { id, kind } = handCue(step, i);
		const sign = kind === 'start' ? undefined : step.sign;
		return { ...common, id, kind, at: hand.from, until: hand.to, say: hand.say, sign, cook: hand.cook };
	});
	const silent = { ...common, until: step.from, sign: step.sign };
	if (!cues.some((c) => c.kind === 'start') && !followsOn(plan, step)) {
		const long = formatDuration(step.to - step.from);
		cues.unshift({ ...silent, id: `${step.id}#start`, kind: 'start', at: step.from, say: `${step.say}: ${long}` });
	}
	const isTakenOver = plan.steps.some((s) => s.after.includes(step.id) && s.from - step.to < atOnce);
	if (!cues.some((c) => c.kind === 'end') && !isTakenOver) {
		cues.push({
			...silent,
			id: `${step.id}#end`,
			kind: 'end',
			at: step.to,
			until: step.to,
			say: `Time is up: ${lowerFirst(step.say)}`
		});
	}
	return cues;
}

/** The cue that a stretch of hands of a step makes. */
export function handCue(
	step: PlannedStep,
	i: number
): { readonly id: string; readonly kind: 'start' | 'touch' | 'end' } {
	const hand = step.hands[i];
	const kind = !hand || hand.from <= step.from ? 'start' : hand.to >= step.to ? 'end' : 'touch';
	return { id: kind === 'touch' ? `${step.id}#touch-${i}` : `${step.id}#${kind}`, kind };
}

/** Whether the step begins by itself as another one of its part ends: a rest after a roast. */
function followsOn(plan: Plan, step: PlannedStep): boolean {
	return plan.steps.some((s) => step.after.includes(s.id) && step.from - s.to < atOnce);
}

function lowerFirst(text: string): string {
	return text.charAt(0).toLowerCase() + text.slice(1);
}
