// In the middle of the work: what has begun is fixed, what has not begun starts no earlier than now, and nothing that the
// facts have already broken is asked for again.
import type { Plan } from '../model/plan';
import { aheadChoice, type Compiled } from './compile/compile';
import { modeOf } from './compile/traced';
import { isWash } from './compile/clean';
import { crewMembers } from './compile/crew';
import { isPrice } from './compile/set-points';
import { isTrayOut } from './compile/trays';
import { handUses } from './compile/hands';
import { grid } from './grid';
import type { Problem, Schedule } from './problem';

/** A plan in force, and how the work stands. Clock times in seconds after midnight. */
export interface Standing {
	readonly plan: Plan;
	readonly now: number;
	/** Steps that have begun, by id, with when they began and when they end, or are thought to. */
	readonly begun: readonly { readonly step: string; readonly from: number; readonly to: number }[];
	/** Cooks who are away for a while. */
	readonly breaks?: readonly { readonly cook: string; readonly from: number; readonly to: number }[];
	/** Steps that stay where they are. */
	readonly pinned?: ReadonlySet<string>;
	/** Courses that are served. */
	readonly served?: readonly string[];
}

type Task = Problem['tasks'][number];
type Mode = Task['modes'][number];

/** A task that has begun, in seconds from instant 0. */
interface Begun {
	readonly start: number;
	readonly length: number;
}

const endOf = ({ start, length }: Begun) => start + length;

/**
 * The compiled problem with what has begun fixed where it is, at the length that it has, and everything else not before
 * now. What is past takes nothing any more; what is under way takes what it takes, as far as there is enough of it, the
 * newest first (the cook has managed somehow); an oven has the temperature of what was put in last. The longest wait of what
 * has begun binds no more, it presses: there is always a plan, if a late one (see `overrunsOf`).
 *
 * @param previous the plan in force as an answer to the compiled problem (see `scheduleOf`)
 */
export function withFacts(compiled: Compiled, previous: Schedule, standing: Standing): Compiled {
	const { trace } = compiled;
	const settledAhead = withAheadSettled(compiled.problem, previous);
	const absent = breaksOf(settledAhead, standing);
	const problem = { ...settledAhead, tasks: [...settledAhead.tasks, ...absent.map((a) => a.task)] };
	const instant = (clock: number) => Math.max(0, Math.round((clock - trace.origin) / grid) * grid);
	const now = Math.max(0, Math.ceil((standing.now - trace.origin) / grid) * grid);
	const begun = new Map(
		[...standing.begun, ...platedUp(compiled, previous, standing), ...absent.map((a) => a.begun)].map(
			({ step, from, to }): [string, Begun] => {
				const start = instant(from);
				return [step, { start, length: Math.max(grid, instant(to) - start) }];
			}
		)
	);
	const steps = new Map(trace.steps);
	const fixed = problem.tasks.map((task): Task => {
		if (isPrice(task.id) || isTrayOut(task.id)) return task;
		const known = begun.get(task.id);
		const pinned = known ? undefined : pinnedAt(task, previous, standing, now);
		if (pinned) return withoutRelease({ ...task, fixed: pinned });
		if (!known) return { ...task, release: Math.max(now, task.release ?? 0) };
		const mode = Math.min(previous.modes?.[task.id] ?? 0, task.modes.length - 1);
		const way = trace.steps.get(task.id)?.ways[mode];
		const step = trace.steps.get(task.id);
		if (step && way) {
			const hands = handUses(step.step, known.length, grid);
			const own = { ...way, hands };
			steps.set(task.id, { ...step, ways: step.ways.map((w, k) => (k === mode ? own : w)) });
			const modes = task.modes.map((m, k) => (k === mode ? modeOf(own, known.length) : m));
			return withoutRelease({ ...task, modes, fixed: { start: known.start, mode } });
		}
		const modes = task.modes.map((m, k) => (k === mode ? { ...m, duration: known.length } : m));
		return withoutRelease({ ...task, modes, fixed: { start: known.start, mode } });
	});
	const last = Math.max(...[...begun.values()].map(endOf), now);
	const pressed = pressedBy(problem, begun);
	const settled = withCapacitiesSettled({ ...problem, tasks: fixed }, begun, now);
	return {
		trace: { ...trace, steps },
		problem: {
			...withStatesSettled(settled, begun),
			lags: lagsLeft(problem, begun),
			ties: tiesLeft(fixed, problem.ties, begun),
			wants: [...problem.wants.filter((w) => !begun.has(w.task)), ...pressed],
			serve: problem.serve.map(({ max, ...s }) => (max === undefined || begun.has(s.task) ? s : { ...s, max })),
			horizon: Math.max(problem.horizon, last + grid)
		}
	};
}

/** Ids of tasks that only take the hands of a cook who is away. */
const breakPrefix = 'away:';

/** Whose hands such a task takes; `undefined`: it is none. */
export const awayCook = (task: string): string | undefined =>
	task.startsWith(breakPrefix) ? task.slice(breakPrefix.length) : undefined;

/** Of each cook who is away for a while a task that takes their hands, from now until they are back. */
function breaksOf({ resources }: Problem, { breaks = [], now }: Standing) {
	const cooks = [...new Set(breaks.map((b) => b.cook))];
	return cooks.map((cook) => {
		const own = breaks.filter((b) => b.cook === cook);
		const from = Math.min(...own.map((b) => b.from));
		const to = Math.max(...own.map((b) => b.to));
		const id = `${breakPrefix}${cook}`;
		const theirs = resources.filter((r) => r.id === 'hands' || crewMembers(r.id)?.includes(cook));
		const uses = theirs.map((r) => ({ resource: r.id, amount: 1 }));
		const task: Task = { id, modes: [{ duration: grid, uses }], ahead: true };
		return { task, begun: { step: id, from: Math.max(from, now), to } };
	});
}

/** Where a step is that shall stay: as it is planned, unless that is past. */
function pinnedAt(task: Task, { starts = {}, modes = {} }: Schedule, { pinned }: Standing, now: number): Task['fixed'] {
	const start = starts[task.id];
	if (pinned?.has(task.id) !== true || start === undefined || start < now) return undefined;
	return { start: Math.round(start / grid) * grid, mode: modes[task.id] ?? 0 };
}

function withoutRelease(task: Task): Task {
	const rest = { ...task };
	delete rest.release;
	return rest;
}

/** The waits that still bind: none into what has begun; a longest wait out of it presses, and binds no more. */
function lagsLeft({ lags }: Problem, begun: ReadonlyMap<string, Begun>): Problem['lags'] {
	return lags.flatMap((lag) => {
		if (begun.has(lag.to)) return [];
		return begun.has(lag.from) ? [{ from: lag.from, to: lag.to, min: lag.min }] : [lag];
	});
}

/** A wait that is too long costs so many times what a service costs that is as much later. */
const pressing = 5;

/**
 * What is on, and may wait only so long for what comes next, presses: life may have made it impossible, and then it is broken as
 * little as can be, dearer than any lateness.
 */
function pressedBy({ lags, tasks, weights }: Problem, begun: ReadonlyMap<string, Begun>): Problem['wants'] {
	const durations = new Map(tasks.map((t) => [t.id, Math.max(...t.modes.map((m) => m.duration))]));
	return lags.flatMap((lag) => {
		const from = begun.get(lag.from);
		// What lies there longer than was thought keeps the tray in.
		if (!from || lag.max === undefined || begun.has(lag.to) || isTrayOut(lag.to)) return [];
		const by = Math.max(0, endOf(from) + lag.max + (durations.get(lag.to) ?? 0));
		return [{ task: lag.to, by, rate: Math.max(1, pressing * weights.slip) }];
	});
}

/** Moves of less than this are none to a cook, seconds. */
const noticed = 60;

/**
 * Steps that a plan of the rest begins at another time, or does in another place, than the plan in force; not what is new. What
 * is on has moved where it has to be carried to another place.
 */
export function movedIn(
	plan: Plan,
	{ plan: before, begun, now }: Pick<Standing, 'plan' | 'begun' | 'now'>
): readonly string[] {
	const known = new Map(before.steps.map((s) => [s.id, s]));
	const ends = new Map(begun.map((b) => [b.step, b.to]));
	return plan.steps.flatMap((s) => {
		const was = known.get(s.id);
		if (!was) return [];
		const isElsewhere = s.lane !== was.lane;
		const end = ends.get(s.id);
		const isMoved =
			end === undefined ? isElsewhere || Math.abs(s.from - was.from) >= noticed : isElsewhere && end > now;
		return isMoved ? [s.id] : [];
	});
}

/** A step that comes later than what it follows can bear. */
export interface Overrun {
	readonly step: string;
	readonly seconds: number;
}

/** Longest waits that a plan of the rest breaks, by what comes too late; in the problem as it was compiled. */
export function overrunsOf({ problem, trace }: Compiled, plan: Plan, standing: Standing): readonly Overrun[] {
	const times = new Map(plan.steps.map((s) => [s.id, s]));
	const begun = new Set(standing.begun.map((b) => b.step));
	const late = new Map<string, number>();
	for (const { from, to, max } of problem.lags) {
		const [before, after] = [times.get(from), times.get(to)];
		if (max === undefined || !before || !after || begun.has(to) || !begun.has(from) || !trace.steps.has(to)) continue;
		const over = after.from - before.to - max;
		if (over > grid) late.set(to, Math.max(over, late.get(to) ?? 0));
	}
	return [...late].map(([step, seconds]) => ({ step, seconds }));
}

/** What was moved meanwhile stays where it is now: a tie goes on from the place of what began last. */
function tiesLeft(tasks: readonly Task[], ties: Problem['ties'], begun: ReadonlyMap<string, Begun>): Problem['ties'] {
	const placeOf = new Map(tasks.map((t) => [t.id, t.fixed && t.modes[t.fixed.mode]?.at]));
	return ties
		.map((tie) => {
			const newest = tie
				.filter((id) => begun.has(id))
				.toSorted((a, b) => (begun.get(b)?.start ?? 0) - (begun.get(a)?.start ?? 0))[0];
			return tie.filter((id) => !begun.has(id) || placeOf.get(id) === placeOf.get(newest ?? id));
		})
		.filter((tie) => tie.length > 1);
}

/** Uses and holds of what has begun, from now on, as far as there is enough: the newest first. */
function withCapacitiesSettled(problem: Problem, begun: ReadonlyMap<string, Begun>, now: number): Problem {
	const room = new Map(
		problem.resources.map((r) => {
			const taken: { from: number; to: number; amount: number }[] = [];
			/** Take a stretch if there is room for all of it. */
			const take = (from: number, to: number, amount: number) => {
				const load = (at: number) =>
					taken.reduce((sum, t) => (t.from <= at && at < t.to ? sum + t.amount : sum), amount);
				const instants = [from, ...taken.map((t) => t.from).filter((at) => from < at && at < to)];
				const fits = instants.every((at) => load(at) <= r.capacity);
				if (fits) taken.push({ from, to, amount });
				return fits;
			};
			return [r.id, take] as const;
		})
	);
	const takes = (resource: string, from: number, to: number, amount: number) => {
		if (to <= now) return false;
		return room.get(resource)?.(Math.max(from, now), to, amount) ?? false;
	};
	const newest = [...problem.tasks].sort((a, b) => (begun.get(b.id)?.start ?? 0) - (begun.get(a.id)?.start ?? 0));
	const usesOf = new Map<string, NonNullable<Mode['uses']>>();
	for (const task of newest) {
		const known = begun.get(task.id);
		const mode = task.modes[task.fixed?.mode ?? -1];
		if (!known || !mode) continue;
		const kept = (mode.uses ?? []).filter((u) =>
			takes(u.resource, known.start + (u.from ?? 0), known.start + (u.to ?? mode.duration), u.amount)
		);
		usesOf.set(task.id, kept);
	}
	const byId = new Map(problem.tasks.map((t) => [t.id, t]));
	const holds = problem.holds
		.toSorted((a, b) => (begun.get(b.from)?.start ?? Infinity) - (begun.get(a.from)?.start ?? Infinity))
		.filter((h) => {
			const [from, to] = [begun.get(h.from), begun.get(h.to)];
			if (!from) return !to;
			const first = h.at === undefined ? undefined : byId.get(h.from);
			if (first && first.modes[first.fixed?.mode ?? -1]?.at !== h.at) return false;
			return takes(h.resource, from.start, to ? endOf(to) : Infinity, h.amount);
		});
	const tasks = problem.tasks.map((task) => {
		const uses = usesOf.get(task.id);
		if (!uses || !task.fixed) return task;
		return { ...task, modes: task.modes.map((m, k) => (k === task.fixed?.mode ? { ...m, uses } : m)) };
	});
	return { ...problem, tasks, holds };
}

/** Each oven is at the temperature of what was put in last; what went in before at another one asks for none any more. */
function withStatesSettled(problem: Problem, begun: ReadonlyMap<string, Begun>): Problem {
	const stateOf = (task: Task) => task.modes[task.fixed?.mode ?? -1]?.state;
	const last = new Map<string, { readonly task: string; readonly value: number; readonly start: number }>();
	for (const task of problem.tasks) {
		const [state, known] = [stateOf(task), begun.get(task.id)];
		if (!state || !known || (last.get(state.id)?.start ?? -1) > known.start) continue;
		last.set(state.id, { task: task.id, value: state.value, start: known.start });
	}
	const tasks = problem.tasks.map((task) => {
		const state = stateOf(task);
		const newest = state && last.get(state.id);
		if (!newest || newest.value === state.value) return task;
		const modes = task.modes.map((m, k) => {
			if (k !== task.fixed?.mode) return m;
			const rest = { ...m };
			delete rest.state;
			return rest;
		});
		return { ...task, modes };
	});
	const states = problem.states.map((s) => ({ ...s, initial: last.get(s.id)?.value ?? s.initial }));
	return { ...problem, tasks, states };
}

/** Platings that have begun: by what is served, or by the plan, all that goes on the plates being ready. */
function platedUp(
	{ trace, problem }: Compiled,
	scheduled: Schedule,
	{ plan, now, begun, served = [] }: Standing
): Standing['begun'] {
	const readyAt = new Map(begun.map((b) => [b.step, b.to]));
	const { starts = {} } = scheduled;
	return plan.services.flatMap((service) => {
		const { course } = service;
		const isServed = served.includes(course);
		return (trace.plating.get(course) ?? []).flatMap(({ task, parts }) => {
			const lasts = plan.parts
				.filter((p) => p.course === course && parts.includes(p.id))
				.map((p) => lastStep(plan, p.id));
			const start = starts[task];
			if (start === undefined) return [];
			const from = trace.origin + start;
			const length = problem.tasks.find((t) => t.id === task)?.modes[0]?.duration ?? 0;
			const isReady = lasts.every((id) => (readyAt.get(id) ?? Infinity) <= from);
			return (from < now && isReady) || isServed ? [{ step: task, from: Math.min(from, now), to: from + length }] : [];
		});
	});
}

/** The step of a part that ends last. */
function lastStep(plan: Plan, part: string): string {
	const own = plan.steps.filter((s) => s.part === part && !isWash(s.id));
	return own.reduce((last, s) => (last && last.to > s.to ? last : s), own[0])?.id ?? '';
}

/** What was or was not made before the evening can no longer be chosen: the other way's tasks are gone. */
function withAheadSettled(problem: Problem, { picks = {} }: Schedule): Problem {
	const settled = problem.choices.filter((c) => c.id.startsWith(aheadChoice) && picks[c.id] !== undefined);
	const gone = new Set(settled.flatMap((c) => c.options.filter((o) => o.id !== picks[c.id]).flatMap((o) => o.tasks)));
	if (settled.length === 0) return problem;
	return {
		...problem,
		choices: problem.choices.filter((c) => !settled.includes(c)),
		tasks: problem.tasks.filter((t) => !gone.has(t.id)),
		lags: problem.lags.filter((l) => !gone.has(l.from) && !gone.has(l.to)),
		holds: problem.holds.filter((h) => !gone.has(h.from) && !gone.has(h.to)),
		ties: problem.ties.map((tie) => tie.filter((t) => !gone.has(t))).filter((tie) => tie.length > 1),
		wants: problem.wants.filter((w) => !gone.has(w.task)),
		serve: problem.serve.filter((s) => !gone.has(s.task))
	};
}
