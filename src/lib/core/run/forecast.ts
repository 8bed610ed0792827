// The plan in force as it will go, given what has happened: what has begun where it is, the rest as the policy has it.
import { isWash } from '../plan/compile/clean';
import { grid } from '../plan/grid';
import type { Plan, PlannedStep } from '../model/plan';
import { cuesOf } from './cues';
import { Dispatcher, type Job, type Known } from './dispatch';
import type { Facts, Looked } from './facts';
import { expectedAfter, lengthAt, nextLook } from './looks';

/** A cue that is done this much after its time was done at its time: taps come late, seconds. */
const tapDelay = 60;
/** No step is shorter, seconds. */
const shortest = 15;

/** A look so close to the end is the end's, seconds. */
const closeToEnd = 30;

/** Whether a tap tells of something that was to be from one instant to another. */
const isNear = (tapped: number, from: number, to: number) => tapped >= from && tapped <= to + tapDelay;

/** A step that has begun: when, and when it ended or will. */
interface Begun {
	readonly step: string;
	readonly from: number;
	readonly to: number;
	readonly hasEnded: boolean;
}

/** How the run stands at a clock time: the plan as it will go, and what of it has begun. */
export interface Forecast {
	readonly plan: Plan;
	readonly begun: ReadonlyMap<string, Begun>;
}

/** The forecast at a clock time of the plan, seconds. */
export function forecastOf(facts: Facts, now: number): Forecast {
	const { plan } = facts;
	const begun = begunOf(facts, now);
	const network = networkOf(plan);
	const durations = plan.steps.map((s) => lengthOf(s, facts));
	const known = new Map<number, Known>();
	plan.steps.forEach((s, i) => {
		const b = begun.get(s.id);
		if (b) known.set(i, { start: b.from, end: b.to });
	});
	const { starts, ends } = new Dispatcher(network).run({ durations, known });
	const steps = plan.steps.map((s, i) => moved(s, starts[i]!, ends[i]!, facts));
	const services = plan.services.map((service) => {
		// What another part is finished with delays that one, if anything.
		const own = plan.parts.filter((p) => p.course === service.course && p.into === undefined);
		const slip = Math.max(0, ...own.map((p) => readyAt(p.id, steps, p.ready) - p.plated));
		const warm = service.warm === undefined ? {} : { warm: service.warm + slip };
		const platings = service.platings?.map((p) => ({ ...p, from: p.from + slip, to: p.to + slip }));
		return {
			...service,
			at: service.at + slip,
			plating: service.plating + slip,
			...warm,
			...(platings ? { platings } : {})
		};
	});
	const isSame = steps.every((s, i) => s === plan.steps[i]) && services.every((s, i) => s.at === plan.services[i]?.at);
	return { plan: isSame ? plan : { ...plan, steps, services }, begun };
}

/** How long a step takes, by the plan and by what was said of it since: more time, or a look that found it not done. */
function lengthOf(step: PlannedStep, { late, looks }: Facts, from = step.from): number {
	const looked = looks.get(step.id);
	const isSeen = looked?.isNew === true;
	const lastLook = looked?.looks.at(-1)?.at ?? -Infinity;
	const more = late.reduce((sum, l) => (l.step === step.id && (!isSeen || l.at > lastLook) ? sum + l.seconds : sum), 0);
	const own = isSeen ? expectedLength(looked, from) : step.to - step.from;
	return Math.max(shortest, own + more);
}

/** What is thought of the length of a step that began then, in the middle of what is possible. */
function expectedLength({ prior, looks }: Looked, from: number): number {
	const since = looks.map((l) => ({ ...l, at: Math.max(1, l.at - from) }));
	return Math.round(lengthAt(expectedAfter(prior, since), 0.5));
}

/** The next look at a step that is on, as a clock time; `undefined`: there is none before its end. */
export function nextLookAt({ prior, length, looks }: Looked, from: number, to: number): number | undefined {
	const at = nextLook(
		prior,
		looks.map((l) => ({ ...l, at: Math.max(1, l.at - from) })),
		length
	);
	return at === undefined || from + at > to - closeToEnd ? undefined : Math.round(from + at);
}

/** How much later services would be, all in all, if a step of a plan began so many seconds later than it stands there. */
export function holdingUp(plan: Plan): (step: string, seconds: number) => number {
	const dispatcher = new Dispatcher(networkOf(plan));
	const own = new Map(plan.parts.flatMap((p) => (p.into === undefined ? [[p.id, p] as const] : [])));
	return (id, seconds) => {
		const i = plan.steps.findIndex((s) => s.id === id);
		const step = plan.steps[i];
		if (!step) return 0;
		const known = new Map([[i, { start: step.from + seconds, end: step.to + seconds }]]);
		const { ends } = dispatcher.run({ known });
		const late = new Map<string, number>();
		plan.steps.forEach((s, k) => {
			const part = isWash(s.id) ? undefined : own.get(s.part);
			if (part) late.set(part.course, Math.max(late.get(part.course) ?? 0, ends[k]! - part.plated));
		});
		return plan.services.reduce((sum, { course }) => sum + (late.get(course) ?? 0), 0);
	};
}

const readyAt = (part: string, steps: readonly PlannedStep[], otherwise: number) => {
	// What is washed afterwards is no part of what is served.
	const ends = steps.filter((s) => s.part === part && !isWash(s.id)).map((s) => s.to);
	return ends.length > 0 ? Math.max(...ends) : otherwise;
};

/** A plan's steps as jobs; places and cooks as resources of as many as the plan has at once. */
function networkOf(plan: Plan) {
	const index = new Map(plan.steps.map((s, i) => [s.id, i]));
	const scarce = plan.lanes.filter((l) => l.kind !== 'rest' && l.kind !== 'keep').map((l) => l.id);
	const resources = new Map([...scarce, ...plan.cooks.map((c) => c.id)].map((id, i) => [id, i]));
	const jobs = plan.steps.map((s): Job => {
		const lane = resources.get(s.lane);
		const waits = s.after.flatMap((id) => {
			const on = index.get(id);
			const before = on === undefined ? undefined : plan.steps[on];
			// A wait between the two takes up what it can; what overlaps by plan goes on overlapping.
			return on === undefined || !before ? [] : [{ on, least: Math.min(0, s.from - before.to) }];
		});
		return {
			planned: s.from,
			duration: s.to - s.from,
			waits,
			uses: [
				...(lane === undefined ? [] : [{ resource: lane, amount: 1, from: 0, to: s.to - s.from }]),
				...s.hands.flatMap((h) => {
					const cook = resources.get(h.cook);
					return cook === undefined ? [] : [{ resource: cook, amount: 1, from: h.from - s.from, to: h.to - s.from }];
				})
			]
		};
	});
	const capacities = [...resources.values()].map((r) => mostAtOnce(jobs, r));
	return { jobs, capacities, holds: [], change: () => 0 };
}

/** How much of a resource a plan takes at once at the most; 1 at the least. */
function mostAtOnce(jobs: readonly Job[], resource: number): number {
	const taken = jobs.flatMap((j) =>
		j.uses
			.filter((u) => u.resource === resource)
			.map((u) => ({ from: j.planned + u.from, to: j.planned + u.to, amount: u.amount }))
	);
	const load = (at: number) => taken.reduce((sum, t) => (t.from <= at && at < t.to ? sum + t.amount : sum), 0);
	return Math.max(1, ...taken.map((t) => load(t.from)));
}

/**
 * Which steps have begun, and when. A step begins when its first cue is done (at its planned time, where the tap came little
 * later), or when it was said to begin; one that begins by itself, when what it follows has ended. Handwork that is due is
 * under way, one piece a cook. What was not told to have ended goes on.
 */
function begunOf(facts: Facts, now: number): ReadonlyMap<string, Begun> {
	const { plan, done, begun, since, asOf } = facts;
	const cues = cuesOf(plan);
	const found = new Map<string, Begun>();
	const busy = new Set<string>();
	for (const step of plan.steps.toSorted((a, b) => a.from - b.from)) {
		const own = cues.filter((c) => c.step === step.id && c.kind !== 'oven');
		const told = own.flatMap((c) => done.get(c.id) ?? []);
		const first = own.find((c) => c.kind === 'start');
		const last = own.at(-1);
		const whole = step.hands.find((h) => h.whole);
		const before = step.after.flatMap((id) => found.get(id) ?? []);
		const isReady = before.length === step.after.filter((id) => plan.steps.some((s) => s.id === id)).length;
		const ready = Math.max(-Infinity, ...before.map((b) => b.to));
		const planned = lengthOf(step, facts);
		const start = startOf();
		if (start === undefined) continue;
		const length = lengthOf(step, facts, start);
		const isTold = last?.kind === 'end' || whole !== undefined;
		const endTold = isTold && last ? done.get(last.id) : undefined;
		const expected = start + length;
		const wasOver = whole === undefined && step.from < asOf && step.to <= asOf - grid;
		const hasEnded = wasOver || (isTold ? endTold !== undefined : expected <= now);
		// A tap while it is taken out, or little after, is the planned end; what runs over takes until now at least.
		const isPunctual =
			!whole && endTold !== undefined && isNear(endTold, expected - (last ? last.until - last.at : 0), expected);
		const ended = isPunctual ? expected : Math.min(endTold ?? expected, now);
		const to = hasEnded ? Math.max(start, ended) : Math.max(expected, now);
		if (whole && !hasEnded) busy.add(whole.cook);
		found.set(step.id, { step: step.id, from: start, to, hasEnded });

		function startOf(): number | undefined {
			const said = begun.get(step.id);
			if (said !== undefined) return said;
			const tapped = first ? done.get(first.id) : undefined;
			if (whole) {
				// Handwork has one cue, which says that it is over.
				if (tapped !== undefined)
					return tapped < step.from ? Math.max(since, tapped - planned) : Math.min(step.from, tapped);
				const isUnderWay = step.from <= now && isReady && ready <= now && !busy.has(whole.cook);
				return isUnderWay ? Math.max(step.from, ready) : undefined;
			}
			// A plan of the rest has in its past what had begun, and nothing else.
			if (step.from < asOf) return step.from;
			if (tapped !== undefined) {
				return isNear(tapped, step.from, step.from) ? step.from : tapped;
			}
			if (told.length > 0) return Math.min(step.from, ...told);
			if (first) return undefined;
			// It begins by itself.
			const at = step.after.length > 0 ? Math.max(step.from, ready) : step.from;
			const isOver = before.every((b) => b.hasEnded);
			if (!isReady || !isOver || at > now) return undefined;
			// Where all goes by the plan it begins as planned, also a moment after what it follows.
			return before.length > 0 && !isNear(step.from, ready, ready) ? ready : at;
		}
	}
	return withFollowed(found, plan);
}

/** What comes after a step has begun: then that step is over, whether somebody said so or not. */
function withFollowed(found: ReadonlyMap<string, Begun>, { steps }: Plan): ReadonlyMap<string, Begun> {
	const planned = new Map(steps.map((s) => [s.id, s]));
	const over = new Map(found);
	for (const next of steps) {
		const follower = found.get(next.id);
		if (!follower) continue;
		for (const id of next.after) {
			const [before, begun] = [planned.get(id), over.get(id)];
			// Handwork ends by its own cue; what overlaps by plan goes on.
			const isOpen = begun?.hasEnded === false && before?.hands.every((h) => !h.whole) === true;
			if (!isOpen || before.to > next.from) continue;
			over.set(id, { ...begun, to: Math.max(begun.from, Math.min(begun.to, follower.from)), hasEnded: true });
		}
	}
	return over;
}

/** A step at other times: touches still to come move with its start or its end, those done stay. */
function moved(step: PlannedStep, from: number, to: number, { done }: Facts): PlannedStep {
	if (from === step.from && to === step.to) return step;
	const delay = from - step.from;
	const longer = to - from - (step.to - step.from);
	const hands = step.hands.map((h, i) => {
		if (h.whole) {
			// Of what is left for moments the stretches move with it, and the last one takes what is longer.
			const isLast = step.hands.findLastIndex((x) => x.whole) === i;
			const at = i === step.hands.findIndex((x) => x.whole) ? from : h.from + delay;
			return { ...h, from: Math.min(at, to), to: isLast ? to : Math.min(to, h.to + delay) };
		}
		const kind = h.from <= step.from ? 'start' : h.to >= step.to ? 'end' : 'touch';
		if (kind === 'start') return { ...h, from, to: Math.min(to, h.to + delay) };
		if (kind === 'end') return { ...h, from: Math.max(from, to - (h.to - h.from)), to };
		const isDone = done.has(`${step.id}#touch-${i}`);
		const at = Math.max(from + 1, h.from + delay + (isDone ? 0 : longer));
		return { ...h, from: at, to: Math.min(to, at + h.to - h.from) };
	});
	return { ...step, from: Math.round(from), to: Math.round(to), hands: hands.map(rounded) };
}

const rounded = <T extends { readonly from: number; readonly to: number }>(x: T): T => ({
	...x,
	from: Math.round(x.from),
	to: Math.round(x.to)
});
