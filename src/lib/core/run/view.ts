// What a cook sees of a run: what is now, what is next, what is on, how late it will be.
import type { Plan, PlannedStep } from '../model/plan';
import type { Standing } from '../plan/replan';
import { cuesOf, laterLook, withCues, type Cue } from './cues';
import { planClock, type Run } from './events';
import { factsOf, type Facts } from './facts';
import { ovensOf, type OvenOn } from './ovens';
import { byUrgency } from './urgency';
import { forecastOf, holdingUp, nextLookAt, type Forecast } from './forecast';

/** Nobody has looked at the run for so long, seconds. */
const asleep = 15 * 60;
/** What is left for so long is left for a while, seconds. */
const aWhile = 5 * 60;

/** A step that runs by itself, with the next thing it will want. */
export interface OnNow {
	readonly step: PlannedStep;
	/** Its next cue that is not done; absent: it only has to end. */
	readonly next: Cue | undefined;
	readonly ends: number;
}

export interface View {
	/** The plan in force as it will go. */
	readonly plan: Plan;
	/** The plan's clock, seconds. */
	readonly clock: number;
	/** Seconds until hands are wanted again, by cook; absent: they are wanted now, or never again. */
	readonly idle: ReadonlyMap<string, number>;
	/** Due and not done, the most urgent first; in order of time, where nobody was here for long. */
	readonly now: readonly Cue[];
	/** To come, in order. */
	readonly next: readonly Cue[];
	/** On the heat, in the oven, resting. */
	readonly on: readonly OnNow[];
	/** Steps that have begun, and whether they have ended; courses that have gone out. */
	readonly begun: Forecast['begun'];
	readonly served: ReadonlySet<string>;
	readonly done: number;
	readonly isOver: boolean;
	/** When each service will be as things stand, seconds after its planned instant. */
	readonly late: ReadonlyMap<string, number>;
	/** The steps that the last replan moved, as long as nothing was done since. */
	readonly moved: readonly string[];
	/** Who or what is not there, and who came (see `Facts`). */
	readonly away: ReadonlySet<string>;
	readonly joined: readonly string[];
	readonly breaks: Facts['breaks'];
	/** What has become different about the meal, in order. */
	readonly changes: Facts['changes'];
	readonly pinned: ReadonlySet<string>;
	/** What probes read, by part: the plan's clock, °C. */
	readonly readings: Facts['readings'];
	/** How hot each fire was when it was measured last, °C. */
	readonly heats: ReadonlyMap<string, number>;
	/** The ovens that are on for what is still to come. */
	readonly ovens: readonly OvenOn[];
}

/** The run at an instant, milliseconds since 1970. */
export function viewRun(run: Run, at: number): View {
	const clock = Math.floor(planClock(run, at));
	const facts = factsOf(run);
	const { plan, begun } = forecastOf(facts, clock);
	const looks = [...facts.looks].flatMap(([id, looked]): Cue[] => {
		const b = begun.get(id);
		const step = plan.steps.find((s) => s.id === id);
		const at = b && !b.hasEnded && step ? nextLookAt(looked, b.from, step.to) : undefined;
		return step && at !== undefined ? [laterLook(step, looked.looks.length, at)] : [];
	});
	const cues = withCues(cuesOf(plan), looks);
	const whole = new Set(plan.steps.flatMap((s) => (s.hands.some((h) => h.whole) ? [s.id] : [])));
	/** What has begun needs no beginning, what is over asks for nothing: handwork alone waits for its one cue. */
	const isPast = ({ kind, step }: Cue) => {
		if (step === undefined || (whole.has(step) && kind !== 'oven')) return false;
		const b = begun.get(step);
		return b !== undefined && (b.hasEnded || kind === 'start' || kind === 'oven');
	};
	const open = cues.filter((c) => !facts.done.has(c.id) && !isPast(c));
	const due = open.filter((c) => c.at <= clock);
	// Nobody was here for long: what came due is asked about in its order.
	const wasLeft = due.length < 2 || (due[0]?.at ?? clock) < clock - asleep;
	const on = plan.steps.flatMap((step): OnNow[] => {
		const b = begun.get(step.id);
		if (!b || b.hasEnded || step.hands.some((h) => h.whole)) return [];
		return [{ step, next: open.find((c) => c.step === step.id && c.kind !== 'oven'), ends: step.to }];
	});
	return {
		plan,
		clock,
		now: wasLeft ? due : urgentFirst(due, plan),
		next: open.filter((c) => c.at > clock),
		on: on.sort((a, b) => (a.next?.at ?? a.ends) - (b.next?.at ?? b.ends)),
		idle: idleIn(open, plan, clock),
		begun,
		served: servedIn(facts),
		done: facts.done.size,
		isOver: open.length === 0,
		late: new Map(
			plan.services.map((s) => [s.course, s.at - (askedAt(facts, s.course) ?? plannedAt(run, s.course) ?? s.at)])
		),
		moved: facts.moved,
		away: facts.away,
		joined: facts.joined,
		breaks: facts.breaks.filter((b) => b.to > clock),
		changes: facts.changes,
		pinned: facts.pinned,
		readings: facts.readings,
		heats: facts.heats,
		ovens: ovensOf(plan, facts, clock).filter((o) => o.isWanted)
	};
}

function urgentFirst(due: readonly Cue[], plan: Plan): readonly Cue[] {
	const heldUp = holdingUp(plan);
	return byUrgency(due, plan, (step) => heldUp(step, aWhile));
}

/** Until when each cook's hands are free. */
function idleIn(open: readonly Cue[], { cooks }: Plan, clock: number): ReadonlyMap<string, number> {
	return new Map(
		cooks.flatMap(({ id }): [string, number][] => {
			const first = open.find((c) => c.hand !== undefined && (c.cook === id || c.cook === undefined));
			return first && first.at > clock ? [[id, first.at - clock]] : [];
		})
	);
}

const servedIn = ({ plan, done }: Facts): ReadonlySet<string> =>
	new Set(plan.services.flatMap((s) => (done.has(`${s.course}#serve`) ? [s.course] : [])));

const plannedAt = ({ plan }: Run, course: string) => plan.services.find((s) => s.course === course)?.at;
/** When a course was wanted at last, where that was said during the run. */
const askedAt = ({ changes }: Facts, course: string) =>
	changes.flatMap((c) => (c.kind === 'service' && c.course === course ? [c.to] : [])).at(-1);

/** How the work stands at an instant, for a replan: the plan as it will go, and which of its steps have begun. */
export function standingOf(run: Run, at: number): Standing {
	const now = Math.floor(planClock(run, at));
	const facts = factsOf(run);
	const { plan, begun } = forecastOf(facts, now);
	const served = [...servedIn(facts)];
	const breaks = facts.breaks.filter((b) => b.to > now);
	return {
		plan,
		now,
		begun: [...begun.values()],
		served,
		...(breaks.length > 0 ? { breaks } : {}),
		...(facts.pinned.size > 0 ? { pinned: facts.pinned } : {})
	};
}
