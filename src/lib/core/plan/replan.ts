// In the middle of the work: what has begun is fixed, what has not begun starts no earlier than now.
import type { Plan } from '../model/plan';
import { aheadChoice, grid, modeOf, worded, type Compiled } from './compile/compile';
import { handUses, type HandUse } from './compile/hands';
import type { Problem, Schedule } from './problem';

/** A plan in force, and how the work stands. Clock times in seconds after midnight. */
export interface Standing {
	readonly plan: Plan;
	readonly now: number;
	/** Steps that have begun, by id, with when they began and when they end, or are thought to. */
	readonly begun: readonly { readonly step: string; readonly from: number; readonly to: number }[];
}

type Task = Problem['tasks'][number];

/**
 * The compiled problem with what has begun fixed where it is, at the length that it has, and everything else not before
 * now. A promise that is broken already binds no more: waits between steps that both have begun, and the longest wait of
 * what has begun.
 *
 * @param previous the plan in force as an answer to the compiled problem (see `scheduleOf`)
 */
export function withBegun(compiled: Compiled, previous: Schedule, standing: Standing): Compiled {
	const { trace } = compiled;
	const problem = withAheadSettled(compiled.problem, previous);
	const instant = (clock: number) => Math.max(0, Math.round((clock - trace.origin) / grid) * grid);
	const now = Math.max(0, Math.ceil((standing.now - trace.origin) / grid) * grid);
	const begun = new Map(
		[...standing.begun, ...platedUp(compiled, standing)].map(({ step, from, to }) => {
			const start = instant(from);
			return [step, { start, length: Math.max(grid, instant(to) - start) }] as const;
		})
	);
	const steps = new Map(trace.steps);
	const busy: HandUse[] = [];
	const cooks = problem.resources.find((r) => r.id === 'hands')?.capacity ?? 0;
	/** What is past takes no hands any more; nor does what more hands than there are would be wanted for. */
	const canBe = (use: HandUse) =>
		use.to > now && busy.filter((other) => other.from < use.to && use.from < other.to).length < cooks;
	const tasks = problem.tasks.map((task): Task => {
		const known = begun.get(task.id);
		if (!known) return { ...task, release: Math.max(now, task.release ?? 0) };
		const { start, length } = known;
		const mode = previous.modes?.[task.id] ?? 0;
		const fixed = { start, mode };
		const traced = trace.steps.get(task.id);
		const way = traced?.ways[mode];
		if (!traced || !way) {
			// What is over takes no hands any more.
			const uses = start + length <= now ? [] : (task.modes[0]?.uses ?? []);
			return { ...task, fixed, modes: [{ duration: length, uses }] };
		}
		const hands = handUses(worded(traced.step, way), length, grid);
		steps.set(task.id, { ...traced, ways: traced.ways.map((w, k) => (k === mode ? { ...w, hands } : w)) });
		const wanted = hands.filter((use) => {
			const at = { ...use, from: start + use.from, to: start + use.to };
			const isWanted = canBe(at);
			if (isWanted) busy.push(at);
			return isWanted;
		});
		const modes = task.modes.map((m, k) => (k === mode ? modeOf({ ...way, hands: wanted }, length) : m));
		return { ...task, modes, fixed };
	});
	const endOf = ({ start, length }: { readonly start: number; readonly length: number }) => start + length;
	const lags = problem.lags.flatMap((lag) => {
		const [from, to] = [begun.get(lag.from), begun.get(lag.to)];
		if (from && to) return [];
		if (!from || lag.max === undefined) return [lag];
		// Overdue: at once, or as soon as there are hands.
		return [endOf(from) + lag.max < now ? { from: lag.from, to: lag.to, min: lag.min } : lag];
	});
	const serve = problem.serve.map(({ max, ...s }) => (max === undefined || begun.has(s.task) ? s : { ...s, max }));
	const last = Math.max(...[...begun.values()].map(endOf), now);
	return {
		trace: { ...trace, steps },
		problem: { ...problem, tasks, lags, serve, horizon: Math.max(problem.horizon, last + grid) }
	};
}

/** Platings that have begun by the plan, all that goes on the plates being ready. */
function platedUp({ trace }: Compiled, { plan, now, begun }: Standing): Standing['begun'] {
	const readyAt = new Map(begun.map((b) => [b.step, b.to]));
	return plan.services.flatMap(({ course, plating, at }) => {
		const task = trace.plating.get(course);
		const lasts = plan.parts.filter((p) => p.course === course).map((p) => lastStep(plan, p.id));
		const isReady = lasts.every((id) => (readyAt.get(id) ?? Infinity) <= plating);
		return task !== undefined && plating < now && isReady ? [{ step: task, from: plating, to: at }] : [];
	});
}

/** The step of a part that ends last. */
function lastStep(plan: Plan, part: string): string {
	const own = plan.steps.filter((s) => s.part === part);
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
		serve: problem.serve.filter((s) => !gone.has(s.task))
	};
}
