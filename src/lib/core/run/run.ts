// The live run as a list of events: what is now, next and on is derived from the plan, the events and the clock.
import { z } from 'zod';
import { planSchema, type Plan, type PlannedStep } from '../model/plan';
import { issuesOf, type Read } from '../issues';
import { cuesOf, handCue, type Cue } from './cues';

const time = z.number();
const eventSchema = z.discriminatedUnion('kind', [
	z.object({ kind: z.literal('done'), cue: z.string(), at: time }),
	/** A step takes longer, or less long, by so many seconds. */
	z.object({ kind: z.literal('stretch'), step: z.string(), seconds: z.int(), at: time })
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

export function withoutLast(run: Run): Run {
	return { ...run, events: run.events.slice(0, -1) };
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
	const done = new Set(run.events.flatMap((e) => (e.kind === 'done' ? [e.cue] : [])));
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
export function shiftedPlan({ plan, events }: Run): Plan {
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
		done.add(e.cue);
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
