// The live run as a list of events: what is now, next and on is derived from the plan, the events and the clock.
import { z } from 'zod';
import { planSchema, type Plan, type PlannedStep } from '../model/plan';
import { issuesOf, type Read } from '../issues';
import type { Standing } from '../plan/replan';
import { cuesOf, handCue, type Cue } from './cues';

const time = z.number();
const eventSchema = z.discriminatedUnion('kind', [
	z.object({ kind: z.literal('done'), cue: z.string(), at: time }),
	/** A step takes longer, or less long, by so many seconds. */
	z.object({ kind: z.literal('stretch'), step: z.string(), seconds: z.int(), at: time }),
	/** Another plan from here on, because of what happened; the steps that it moves, by id. */
	z.object({ kind: z.literal('replan'), plan: planSchema, moved: z.array(z.string()), at: time })
]);

/** A run as it is kept: the plan it follows, and what has happened. */
const runSchema = z.object({
	format: z.literal('juntos-run'),
	version: z.literal(1),
	/** The meal's id: one run for each meal. */
	id: z.string(),
	plan: planSchema,
	events: z.array(eventSchema)
});
export type Run = z.infer<typeof runSchema>;
export type RunEvent = Run['events'][number];

/** A new run of a plan. */
export function beginRun(plan: Plan): Run {
	return { format: 'juntos-run', version: 1, id: plan.meal, plan, events: [] };
}

/** Unknown data as a run, or what is wrong with it. */
export function readRun(data: unknown): Read<Run> {
	const parsed = runSchema.safeParse(data);
	return parsed.success ? { ok: true, value: parsed.data } : { ok: false, issues: issuesOf(parsed.error) };
}

export function withEvent(run: Run, event: RunEvent): Run {
	return { ...run, events: [...run.events, event] };
}

/** The run without the last thing that the cook did; what was replanned because of it goes too. */
export function withoutLast(run: Run): Run {
	const last = run.events.findLastIndex((e) => e.kind !== 'replan');
	return { ...run, events: run.events.slice(0, Math.max(0, last)) };
}

/** How the work stands, for a replan: the plan as it has shifted, and which of its steps have begun. */
export function standingOf(run: Run, clock: number): Standing {
	const plan = shiftedPlan(run);
	const done = doneOf(run);
	const cues = cuesOf(plan);
	const begun = plan.steps.filter((step) => {
		const first = cues.find((c) => c.step === step.id && c.kind === 'start');
		const own = cues.filter((c) => c.step === step.id && c.kind !== 'oven');
		return own.some((c) => done.has(c.id)) || (!first && step.from <= clock);
	});
	return {
		plan,
		now: clock,
		begun: begun.map((step) => {
			const last = cues.filter((c) => c.step === step.id && c.kind !== 'oven').at(-1);
			const isTold = last?.kind === 'end' || step.hands.some((h) => h.whole);
			const hasEnded = isTold && last ? done.has(last.id) : step.to <= clock;
			// What runs over has not ended: it takes until now at least.
			const to = hasEnded ? Math.min(step.to, clock) : Math.max(step.to, clock);
			return { step: step.id, from: Math.min(step.from, clock), to };
		})
	};
}

function doneOf({ events }: Run): ReadonlySet<string> {
	return new Set(events.flatMap((e) => (e.kind === 'done' ? [e.cue] : [])));
}

/** A step that runs by itself, with the next thing it will want. */
export interface Running {
	readonly step: PlannedStep;
	/** Its next cue that is not done; absent: it only has to end. */
	readonly next: Cue | undefined;
	readonly ends: number;
}

/** What the cook sees. */
export interface View {
	/** The plan in force, with all that has shifted. */
	readonly plan: Plan;
	/** Due and not done, the longest due first. */
	readonly now: readonly Cue[];
	/** To come, in order. */
	readonly next: readonly Cue[];
	/** On the heat, in the oven, resting. */
	readonly on: readonly Running[];
	readonly done: number;
	readonly isOver: boolean;
	/** When each service will be as things stand, seconds after its planned instant. */
	readonly late: ReadonlyMap<string, number>;
}

/** What is now, next and on at a clock time (seconds after midnight). */
export function viewRun(run: Run, clock: number): View {
	const plan = shiftedPlan(run);
	const done = doneOf(run);
	const cues = cuesOf(plan);
	const open = cues.filter((c) => !done.has(c.id));
	const now = open.filter((c) => c.at <= clock);
	const on = plan.steps.flatMap((step): Running[] => {
		const own = cues.filter((c) => c.step === step.id && c.kind !== 'oven');
		const isWhole = step.hands.some((h) => h.whole);
		const last = own.at(-1);
		const hasEnded = last?.kind === 'end' ? done.has(last.id) : clock >= step.to;
		const first = own.find((c) => c.kind === 'start');
		const hasBegun = first ? done.has(first.id) : clock >= step.from;
		if (isWhole || !hasBegun || hasEnded) return [];
		return [{ step, next: own.find((c) => !done.has(c.id)), ends: step.to }];
	});
	return {
		plan,
		now,
		next: open.filter((c) => c.at > clock),
		on: on.sort((a, b) => (a.next?.at ?? a.ends) - (b.next?.at ?? b.ends)),
		done: done.size,
		isOver: open.length === 0,
		late: new Map(plan.services.map((s, i) => [s.course, s.at - (run.plan.services[i]?.at ?? s.at)]))
	};
}

/**
 * The plan with its stretched steps, and all that waits for them moved right just as far as it must (right shift; Smith
 * 1995, Reactive scheduling systems). Places and hands are not looked at again: a replan does that.
 */
export function shiftedPlan(run: Run): Plan {
	const { plan, events } = sinceReplan(run);
	const stretches = stretchesOf(events);
	if (stretches.length === 0) return plan;
	const moved = new Map<string, PlannedStep>();
	for (const step of plan.steps.toSorted((a, b) => a.from - b.from)) {
		const delay = Math.max(
			0,
			...step.after.map((id) => {
				const [before, planned] = [moved.get(id), plan.steps.find((s) => s.id === id)];
				if (!before || !planned) return 0;
				// A wait between the two takes up what it can.
				return before.to - Math.max(planned.to, step.from);
			})
		);
		moved.set(step.id, stretched(step, delay, stretches));
	}
	const steps = plan.steps.map((s) => moved.get(s.id) ?? s);
	const services = plan.services.map((service) => {
		const late = Math.max(
			0,
			...plan.parts
				.filter((p) => p.course === service.course)
				.map((p) => Math.max(...steps.filter((s) => s.part === p.id).map((s) => s.to)) - p.plated)
		);
		return { ...service, at: service.at + late, plating: service.plating + late };
	});
	return { ...plan, steps, services };
}

/** The plan in force, and what has happened since it was made; what was done before counts still. */
function sinceReplan({ plan, events }: Run): Pick<Run, 'plan' | 'events'> {
	const last = events.findLastIndex((e) => e.kind === 'replan');
	const replan = events[last];
	if (replan?.kind !== 'replan') return { plan, events };
	return { plan: replan.plan, events: events.filter((e, i) => i > last || e.kind === 'done') };
}

interface Stretch {
	readonly step: string;
	readonly seconds: number;
	/** Cues done by then: they do not move any more. */
	readonly done: ReadonlySet<string>;
}

function stretchesOf(events: readonly RunEvent[]): readonly Stretch[] {
	const done = new Set<string>();
	return events.flatMap((e): Stretch[] => {
		if (e.kind === 'stretch') return [{ step: e.step, seconds: e.seconds, done: new Set(done) }];
		if (e.kind === 'done') done.add(e.cue);
		return [];
	});
}

/** A step that begins later and takes longer: touches still to come move with its end. */
function stretched(step: PlannedStep, delay: number, stretches: readonly Stretch[]): PlannedStep {
	const own = stretches.filter((s) => s.step === step.id);
	const longer = own.reduce((sum, s) => sum + s.seconds, 0);
	const from = step.from + delay;
	const to = Math.max(from + 15, step.to + delay + longer);
	const hands = step.hands.map((h, i) => {
		const cue = handCue(step, i);
		if (h.whole) return { ...h, from: h.from + delay, to };
		if (cue.kind === 'start') return { ...h, from: h.from + delay, to: h.to + delay };
		const by =
			cue.kind === 'end' ? to - step.to : delay + own.reduce((sum, s) => sum + (s.done.has(cue.id) ? 0 : s.seconds), 0);
		const at = Math.max(from + 1, h.from + by);
		return { ...h, from: at, to: cue.kind === 'end' ? to : Math.min(to - 1, at + h.to - h.from) };
	});
	return { ...step, from, to, hands };
}
