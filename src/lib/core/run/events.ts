// The log of an evening: events that are only ever added. Two devices that have the same events see the same run, in whatever
// order they came.
import { z } from 'zod';
import { issuesOf, type Read } from '../issues';
import { planSchema, readPlan, type Plan } from '../model/plan';
import { instantOf, isZone } from '../units/zoned';

/** Milliseconds since 1970, UTC. */
const instant = z.number().min(-8.64e15).max(8.64e15);
const id = z.string().min(1).max(200);
const text = z.string().max(500);

/** Every event: a name that is unique over devices, when it happened, and which device or cook tells of it. */
const common = { id, at: instant, by: z.string().max(80) };
const event = <K extends string, S extends z.ZodRawShape>(kind: K, shape: S) =>
	z.object({ ...common, kind: z.literal(kind), ...shape });

export const eventSchema = z.discriminatedUnion('kind', [
	/** Work on a step begins; a cue is done; it is left out. */
	event('begin', { step: id }),
	event('done', { cue: id }),
	event('skipped', { cue: id }),
	/** A check failed: how far it is. */
	event('notYet', { step: id, how: z.enum(['far', 'half way', 'nearly']).optional() }),
	event('reading', { part: id, celsius: z.number().min(-60).max(700) }),
	/** How hot a fire is, by a thermometer or a counted hand, °C. */
	/** By a thermometer; or by the lamp of an oven that it has come to what it is set to. */
	event('heat', { station: id, celsius: z.number().min(40).max(600), lamp: z.literal(true).optional() }),
	event('note', { text, part: id.optional() }),
	/** A step takes longer, or less long where it is negative, by so many seconds; it is pulled forward. */
	event('late', { step: id, seconds: z.int().min(-86_400).max(86_400) }),
	event('early', { step: id }),
	/**
	 * Dropped, burnt, spilt, spoilt: a part of the meal, or what of it was for so many guests; and what becomes of it: made
	 * again, made in another way, left out, or what is left of it has to do (where nothing is said).
	 */
	event('failed', {
		part: id,
		step: id.optional(),
		text: text.optional(),
		covers: z.int().min(1).max(60).optional(),
		then: z.enum(['again', 'otherwise', 'without']).optional(),
		technique: id.optional()
	}),
	/** A station, a vessel or a cook is not there, a cook for so many seconds; or is there again. */
	event('out', { what: id, seconds: z.int().min(60).max(86_400).optional() }),
	event('back', { what: id }),
	/** So many guests; or one more of them has a part otherwise. */
	event('guests', {
		covers: z.int().min(1).max(60),
		text: text.optional(),
		wish: z
			.object({
				part: id,
				id: id.max(64),
				name: z.string().min(1).max(80),
				covers: z.int().min(1).max(60),
				settings: z.record(id, z.number())
			})
			.optional()
	}),
	/** A course is wanted at another instant. */
	event('service', { course: id, to: instant }),
	event('pin', { step: id }),
	event('unpin', { step: id }),
	/**
	 * Another plan from here on: the steps that it moves, the events because of which it was made, and the instant as of which: what
	 * it has before that had begun.
	 */
	event('replan', { plan: planSchema, moved: z.array(id), because: z.array(id), asOf: instant.optional() }),
	/** An event is taken back; so is a replan that was made because of it. */
	event('undo', { event: id })
]);
export type RunEvent = z.infer<typeof eventSchema>;
/** An event but for its name, its instant and its teller. */
export type Happening = RunEvent extends infer E ? (E extends RunEvent ? Omit<E, 'id' | 'at' | 'by'> : never) : never;

/** The clock that an evening goes by: the wall's, or a demo clock that read `at` when the wall read `since`. */
const clockSchema = z.discriminatedUnion('kind', [
	z.object({ kind: z.literal('wall') }),
	z.object({ kind: z.literal('demo'), at: instant, since: instant, speed: z.number().min(0).max(600) })
]);
export type RunClock = z.infer<typeof clockSchema>;

const headSchema = {
	format: z.literal('juntos-run'),
	/** The meal's id: one run of a meal is on at a time; and this evening's own name. */
	id,
	plan: planSchema
};

export const runSchema = z.object({
	...headSchema,
	version: z.literal(2),
	run: id,
	/** The day of the service, and its time zone: clock times of the plan are of that day there. */
	date: z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'must be a date, YYYY-MM-DD'),
	zone: z.string().refine(isZone, 'must be a time zone, as "Europe/Lisbon"'),
	clock: clockSchema,
	events: z.array(eventSchema)
});
export type Run = z.infer<typeof runSchema>;

/** A run of version 1: seconds after midnight, no names, no undo. */
const oldSchema = z.object({
	...headSchema,
	version: z.literal(1),
	plan: z.unknown(),
	events: z.array(
		z.discriminatedUnion('kind', [
			z.object({ kind: z.literal('done'), cue: id, at: z.number() }),
			z.object({ kind: z.literal('stretch'), step: id, seconds: z.int(), at: z.number() }),
			z.object({ kind: z.literal('replan'), plan: z.unknown(), moved: z.array(id), at: z.number() })
		])
	)
});

/**
 * Unknown data as a run, of this version or the one before, or what is wrong with it.
 *
 * @param today day and zone of a run that names none
 */
export function readRun(data: unknown, today: Pick<Run, 'date' | 'zone'>): Read<Run> {
	const old = oldSchema.safeParse(data);
	const parsed = runSchema.safeParse(old.success ? fromVersion1(old.data, today) : withReadPlans(data));
	return parsed.success ? { ok: true, value: parsed.data } : { ok: false, issues: issuesOf(parsed.error) };
}

const planIn = (data: unknown): unknown => {
	const read = readPlan(data);
	return read.ok ? read.value : data;
};

/** Plans of an older version within a run of this one. */
function withReadPlans(data: unknown): unknown {
	const known = z.looseObject({ plan: z.unknown(), events: z.array(z.looseObject({})).optional() }).safeParse(data);
	if (!known.success) return data;
	const events = known.data.events?.map((e) => ('plan' in e ? { ...e, plan: planIn(e.plan) } : e));
	return { ...known.data, plan: planIn(known.data.plan), ...(events ? { events } : {}) };
}

function fromVersion1(old: z.infer<typeof oldSchema>, { date, zone }: Pick<Run, 'date' | 'zone'>): unknown {
	const midnight = instantOf(date, 0, zone);
	const last = Math.max(0, ...old.events.map((e) => e.at));
	const events = old.events.map((e, i) => {
		const head = { id: `old-${String(i).padStart(5, '0')}`, at: midnight + e.at * 1000, by: 'before' };
		switch (e.kind) {
			case 'done':
				return { ...head, kind: 'done', cue: e.cue };
			case 'stretch':
				return { ...head, kind: 'late', step: e.step, seconds: e.seconds };
			case 'replan':
				return { ...head, kind: 'replan', plan: planIn(e.plan), moved: e.moved, because: [] };
		}
	});
	const clock = { kind: 'demo', at: midnight + last * 1000, since: midnight, speed: 0 };
	return { ...old, plan: planIn(old.plan), version: 2, run: `${old.id}-before`, date, zone, clock, events };
}

/** In the order in which they happened; at one instant by name. */
function inOrder(events: readonly RunEvent[]): readonly RunEvent[] {
	return events.toSorted((a, b) => a.at - b.at || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0));
}

/** The events of both, each once. */
export function merged(a: readonly RunEvent[], b: readonly RunEvent[]): readonly RunEvent[] {
	const byId = new Map([...a, ...b].map((e) => [e.id, e]));
	return inOrder([...byId.values()]);
}

/**
 * The events that count, in order: none that an undo names (unless that undo is itself undone), no replan that was made
 * because of one of those.
 */
export function active(events: readonly RunEvent[]): readonly RunEvent[] {
	const byId = new Map(events.map((e) => [e.id, e]));
	const undos = new Map<string, RunEvent[]>();
	for (const e of byId.values()) {
		if (e.kind !== 'undo' || e.event === e.id) continue;
		undos.set(e.event, [...(undos.get(e.event) ?? []), e]);
	}
	const known = new Map<string, boolean>();
	const counts = (e: RunEvent, asked: ReadonlySet<string>): boolean => {
		const before = known.get(e.id);
		if (before !== undefined) return before;
		// Undos that name each other in a circle take back nothing.
		if (asked.has(e.id)) return true;
		const further = new Set([...asked, e.id]);
		const isUndone = (undos.get(e.id) ?? []).some((u) => counts(u, further));
		const reasons = e.kind === 'replan' ? e.because.flatMap((name) => byId.get(name) ?? []) : [];
		const result = !isUndone && reasons.every((r) => counts(r, further));
		if (asked.size === 0) known.set(e.id, result);
		return result;
	};
	return inOrder([...byId.values()]).filter((e) => e.kind !== 'undo' && counts(e, new Set()));
}

/**
 * The newest event that can be taken back: neither an undo, nor undone, nor a replan that goes with its reason; nor a reading:
 * a probe reads on while a tap is taken back.
 */
export function undoable(events: readonly RunEvent[]): RunEvent | undefined {
	return active(events).findLast((e) => e.kind !== 'reading' && (e.kind !== 'replan' || e.because.length === 0));
}

/** Instant of the plan's clock time 0, so that its first service is at the right instant of its day. */
export function originOf({ plan, date, zone }: Pick<Run, 'plan' | 'date' | 'zone'>): number {
	const due = plan.services[0]?.due ?? plan.to;
	return instantOf(date, due, zone) - due * 1000;
}

/** A plan's clock time at an instant, seconds; and back. */
export const planClock = (run: Pick<Run, 'plan' | 'date' | 'zone'>, at: number) => (at - originOf(run)) / 1000;
export const instantAt = (run: Pick<Run, 'plan' | 'date' | 'zone'>, clock: number) => originOf(run) + clock * 1000;

/** A new run of a plan. */
export function beginRun(plan: Plan, of: Pick<Run, 'run' | 'date' | 'zone' | 'clock'>): Run {
	return { format: 'juntos-run', version: 2, id: plan.meal, plan, events: [], ...of };
}
