// The plan as cues: every moment at which a cook is told to do something, in order. Facts; `words/cues` says them.
import { platingsOf, type Plan, type PlannedStep } from '../model/plan';

export interface Cue {
	/** Of its step, or course, and what of it: the same over replans. */
	readonly id: string;
	readonly kind: 'oven' | 'feed' | 'start' | 'touch' | 'look' | 'end' | 'warm' | 'plate' | 'serve';
	/** When it is due, and until when it takes hands; the plan's clock, seconds. */
	readonly at: number;
	readonly until: number;
	readonly part: string | undefined;
	readonly step: string | undefined;
	readonly course: string | undefined;
	/** Which stretch of a course's plating. */
	readonly plating?: number;
	/** Which stretch of the step's hands it is; absent: none, it only tells. */
	readonly hand: number | undefined;
	readonly cook: string | undefined;
	/** The fire that it feeds. */
	readonly lane?: string;
}

/** An end so close to another cue of the same part needs none of its own, seconds. */
const atOnce = 45;
/** At one instant, what frees comes before what begins. */
const rank: Record<Cue['kind'], number> = {
	end: 0,
	touch: 1,
	look: 2,
	oven: 3,
	feed: 4,
	start: 5,
	warm: 6,
	plate: 7,
	serve: 8
};

/** The cues of a plan in order of time. */
export function cuesOf(plan: Plan): readonly Cue[] {
	const cues = [
		...plan.terrain.flatMap((t) => ovenCues(plan, t)),
		...(plan.fires ?? []).flatMap(feedCues),
		...plan.steps.flatMap((step) => stepCues(plan, step)),
		...plan.services.flatMap((s) => courseCues(plan, s))
	];
	return withCues(cues, []);
}

/** Cues and more of them, in order of time; of those with one name the later given one. */
export function withCues(cues: readonly Cue[], more: readonly Cue[]): readonly Cue[] {
	const byId = new Map([...cues, ...more].map((c) => [c.id, c]));
	return [...byId.values()].sort((a, b) => a.at - b.at || rank[a.kind] - rank[b.kind]);
}

/** Another look at a step, after so many that found it not done. */
export function laterLook(step: PlannedStep, before: number, at: number): Cue {
	const { id, part, hands } = step;
	const common = { part, step: id, course: undefined, hand: undefined, cook: hands[0]?.cook };
	return { ...common, id: lookCue(id, before), kind: 'look', at, until: at };
}

function courseCues(plan: Plan, service: Plan['services'][number]): readonly Cue[] {
	const { course, warm } = service;
	const common = { part: undefined, step: undefined, course, hand: undefined };
	const platings = platingsOf(plan, service);
	const heat: Cue[] =
		warm === undefined
			? []
			: [{ ...common, cook: platings[0]?.cooks[0], id: `${course}#warm`, kind: 'warm', at: warm, until: warm }];
	const lastOut = platings.findLastIndex((p) => p.goesOut);
	return [
		...heat,
		...platings.flatMap(({ from, to, cooks, goesOut }, k): Cue[] => {
			const here = { ...common, plating: k };
			const plate = (cooks.length > 0 ? cooks : [undefined]).map((cook, c): Cue => {
				const id = `${course}#plate${k > 0 ? `-${k + 1}` : ''}${c > 0 ? `-${cook ?? ''}` : ''}`;
				return { ...here, cook, id, kind: 'plate', at: from, until: to };
			});
			// A course is served when its last plates are.
			const id = k === lastOut ? `${course}#serve` : `${course}#serve-${k + 1}`;
			const serve: Cue = { ...here, cook: cooks[0], id, kind: 'serve', at: to, until: to };
			return [...(from >= to ? [] : plate), ...(goesOut ? [serve] : [])];
		})
	];
}

function feedCues({ lane, feed }: NonNullable<Plan['fires']>[number]): readonly Cue[] {
	const common = { part: undefined, step: undefined, course: undefined, hand: undefined, cook: undefined };
	return feed.map(({ at }, k): Cue => ({ ...common, id: `${lane}#feed-${k + 1}`, kind: 'feed', at, until: at, lane }));
}

function ovenCues(plan: Plan, { lane, points }: Plan['terrain'][number]): readonly Cue[] {
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
		const common = { course: undefined, hand: undefined, cook: undefined };
		return [{ ...common, id: `${step.id}#oven`, kind: 'oven', at, until: at, part: step.part, step: step.id }];
	});
}

function stepCues(plan: Plan, step: PlannedStep): readonly Cue[] {
	const common = { part: step.part, step: step.id, course: undefined, hand: undefined, cook: step.hands[0]?.cook };
	const start = { ...common, id: `${step.id}#start`, kind: 'start', at: step.from } as const;
	const whole = step.hands.findIndex((h) => h.whole);
	if (whole >= 0) return [{ ...start, hand: whole, until: step.to }];
	const cues = step.hands.map((hand, i): Cue => {
		const { id, kind } = handCue(step, i);
		return { ...common, id, kind, at: hand.from, until: hand.to, hand: i, cook: hand.cook };
	});
	if (!cues.some((c) => c.kind === 'start') && !followsOn(plan, step)) cues.unshift({ ...start, until: step.from });
	const look = lookAt(step);
	if (look !== undefined) cues.push({ ...common, id: lookCue(step.id, 0), kind: 'look', at: look, until: look });
	const isTakenOver = plan.steps.some((s) => s.after.includes(step.id) && s.from - step.to < atOnce);
	if (!cues.some((c) => c.kind === 'end') && !isTakenOver)
		cues.push({ ...common, id: `${step.id}#end`, kind: 'end', at: step.to, until: step.to });
	return cues;
}

/** The cue to look at a step, after so many looks that found it not done. */
export const lookCue = (step: string, before: number): string => `${step}#look${before > 0 ? `-${before + 1}` : ''}`;

/** What is on so long is looked at before its time, seconds. */
const worthLook = 8 * 60;

/**
 * When a step that has a sign, or a temperature to come to, is looked at before its time: when it may be done at the soonest,
 * at four fifths at the latest. Absent: it is short, or somebody is there anyway.
 */
export function lookAt(
	step: Pick<PlannedStep, 'kind' | 'from' | 'to' | 'shortest' | 'sign' | 'pull' | 'hands'>
): number | undefined {
	const length = step.to - step.from;
	if (step.kind !== 'cook' || length < worthLook || (step.sign === undefined && step.pull === undefined))
		return undefined;
	const isThere = (h: PlannedStep['hands'][number]) =>
		h.whole || (h.to > step.from + 0.6 * length && h.from < step.to - 60);
	if (step.hands.some(isThere)) return undefined;
	return step.from + Math.round(Math.max(0.5 * length, Math.min(0.8 * length, step.shortest)));
}

/** The cue that a stretch of hands of a step makes. */
function handCue(step: PlannedStep, i: number): { readonly id: string; readonly kind: 'start' | 'touch' | 'end' } {
	const hand = step.hands[i];
	const kind = !hand || hand.from <= step.from ? 'start' : hand.to >= step.to ? 'end' : 'touch';
	return { id: kind === 'touch' ? `${step.id}#touch-${i}` : `${step.id}#${kind}`, kind };
}

/** Whether the step begins by itself as another one of its part ends: a rest after a roast. */
function followsOn(plan: Plan, step: PlannedStep): boolean {
	return plan.steps.some((s) => step.after.includes(s.id) && step.from - s.to < atOnce);
}
