// A plan that holds: starts and buffers chosen for what an evening costs on the mean, not for the one in which all goes as planned.
import { checkSchedule } from '../plan/check';
import type { Problem, Schedule } from '../plan/problem';
import { withRoomBehind } from '../plan/room';
import { solve } from '../plan/solve/solve';
import { Draw, Lengths, type Spread } from './draws';
import { Network, type Policy } from './network';

export interface Robustly {
	readonly problem: Problem;
	/** The plan to begin from. */
	readonly schedule: Schedule;
	readonly durations: Readonly<Record<string, Spread>>;
	readonly policy: Policy;
	/** Evenings that it is tuned on are drawn by it. */
	readonly seed: number;
	/** Whole seconds that starts are moved by; what is planned on a grid stays on it. */
	readonly grid?: number;
	/** How often all strides are gone through; absent: once. */
	readonly rounds?: number;
}

export interface Held {
	readonly schedule: Schedule;
	/** Mean cost on the evenings that it was tuned on, and that of the plan it began from. */
	readonly cost: number;
	readonly before: number;
}

/** Plans are made with room for so many of the steps. */
const quantiles = [0.6, 0.75, 0.9, 0.97];
/** Work for each of those. */
const budget = 12_000;
/** Evenings a move is tried on, and more on which it must be better too. */
const few = 48;
const many = 240;
/** Seconds by which starts are moved, at first and in the end. */
const strides = [600, 300, 180, 120, 60, 30, 15];
/** After so many moves in vain the next stride. */
const patience = 40;
/** A move pushes no more than so many others. */
const mostPushed = 400;
/** A move is believed if it is better by so many standard errors of the paired difference. */
const surely = 1;

/** Spread of ln of a task's length, own and shared. */
const sigmaIn = (durations: Readonly<Record<string, Spread>>) => (task: string) => {
	const { sigma = 0, shared = {} } = durations[task] ?? {};
	return Math.hypot(sigma, ...Object.values(shared));
};

/** An answer as one to the problem itself: the same starts, services as soon as they can; `undefined` where it breaks a rule. */
function asPlanned(problem: Problem, schedule: Schedule): Schedule | undefined {
	const net = new Network(problem, schedule);
	const { starts = {} } = schedule;
	const ends = new Map(net.tasks.map((id, i) => [id, (starts[id] ?? 0) + net.lengths[i]!]));
	const slips = Object.fromEntries(
		problem.services.map(({ id, due }) => {
			const ready = problem.serve.filter((s) => s.service === id && ends.has(s.task));
			return [id, Math.max(0, ...ready.map((s) => ends.get(s.task)! + s.offset - due))];
		})
	);
	const bare: Schedule = { ...schedule, problem: problem.name, status: 'feasible', slips };
	delete (bare as { bound?: number }).bound;
	delete (bare as { objective?: number }).objective;
	delete (bare as { moved?: unknown }).moved;
	const { objective, violations } = checkSchedule(problem, { ...bare, objective: undefined });
	const broken = violations.filter((v) => !v.startsWith('says objective'));
	return objective === null || broken.length > 0 ? undefined : { ...bare, objective };
}

/** Mean cost of plans on the same evenings. */
class Trial {
	private readonly drawn: readonly Float64Array[];

	constructor(
		private readonly asked: Robustly,
		tasks: readonly string[],
		planned: Float64Array
	) {
		const lengths = new Lengths(tasks, planned, asked.durations, asked.seed);
		this.drawn = Array.from({ length: many }, (_, evening) => {
			const own = new Float64Array(tasks.length);
			// A batch is spread evenly only as a whole: what is taken of it is drawn from all of it.
			lengths.draw(evening * 17, own);
			return own;
		});
	}

	costs(schedule: Schedule, from: number, to: number): Float64Array {
		const net = new Network(this.asked.problem, schedule, this.asked.policy);
		return Float64Array.from({ length: to - from }, (_, k) => {
			const lengths = this.drawn[from + k]!;
			net.play(lengths);
			return net.cost(lengths);
		});
	}
}

const meanOf = (values: Float64Array) => values.reduce((a, b) => a + b, 0) / Math.max(1, values.length);

/**
 * A plan of less expected cost, as a stream the caller pulls and may end: each better one. The cost is averaged over evenings
 * that stay the same (sample average approximation: Kleywegt, Shapiro & Homem-de-Mello 2002, SIAM J. Optim. 12, 479–502).
 *
 * It begins from plans with room behind each step, and moves starts: all that is planned before an instant, one part of it, or one
 * step, earlier or later, and what hangs on it with it; what breaks a rule of the problem is no plan.
 */
export function* holdBetter(asked: Robustly): Generator<Held | undefined, Held, undefined> {
	const { problem, durations, seed, grid = 1, rounds = 1 } = asked;
	const first = asPlanned(problem, asked.schedule) ?? asked.schedule;
	const { tasks, lengths } = new Network(problem, first);
	const trial = new Trial(asked, tasks, lengths);
	let best = first;
	let costs = trial.costs(best, 0, many);
	const before = meanOf(costs);
	const held = (): Held => ({ schedule: best, cost: meanOf(costs), before });
	/** Take a plan if it is the better one, by what the evenings say. */
	const offer = (candidate: Schedule): boolean => {
		const beginning = trial.costs(candidate, 0, few);
		if (meanOf(beginning) >= meanOf(costs.subarray(0, few))) return false;
		const all = new Float64Array(many);
		all.set(beginning);
		all.set(trial.costs(candidate, few, many), few);
		const gains = costs.map((c, i) => c - all[i]!);
		const gain = meanOf(gains);
		const error = Math.sqrt(meanOf(gains.map((g) => (g - gain) ** 2)) / many);
		if (gain <= surely * error) return false;
		const planned = asPlanned(problem, candidate);
		if (!planned) return false;
		[best, costs] = [planned, all];
		return true;
	};
	/** Whether a plan does the same tasks, and those whose spread is not known in the same ways: their lengths are those planned. */
	const isAlike = ({ starts = {}, modes = {} }: Schedule) =>
		tasks.every((id) => starts[id] !== undefined && (durations[id] ?? modes[id] === first.modes?.[id]));
	for (const share of quantiles) {
		const search = solve(withRoomBehind(problem, sigmaIn(durations), share), {
			seed,
			budget,
			previous: first,
			infeasible: 'say'
		});
		for (;;) {
			const step = search.next(undefined);
			if (step.done) {
				const onGrid = step.value.starts && toGrid(step.value, problem, grid);
				yield onGrid && isAlike(onGrid) && offer(onGrid) ? held() : undefined;
				break;
			}
			yield undefined;
		}
	}
	const draw = new Draw(seed, 'moves');
	let n = 0;
	const pick = <T>(list: readonly T[]): T => list[Math.floor(draw.uniform(n++) * list.length)]!;
	const fixed = new Set(problem.tasks.filter((t) => t.fixed).map((t) => t.id));
	const free = tasks.filter((id) => !fixed.has(id));
	if (free.length === 0) return held();
	const parts = partsOf(problem, free);
	const shifted = shifting(problem, fixed);
	function* improve(by: number): Generator<Held | undefined, void> {
		for (let inVain = 0; inVain < patience; inVain++) {
			const { starts = {} } = best;
			const cut = starts[pick(free)] ?? 0;
			const part = parts.get(pick(free))!;
			const kind = pick(['all', 'all', 'part', 'one', 'later'] as const);
			const moved =
				kind === 'all'
					? free.filter((id) => starts[id]! <= cut)
					: kind === 'part'
						? part.filter((id) => starts[id]! <= cut)
						: kind === 'one'
							? [pick(free)]
							: part.filter((id) => starts[id]! >= cut);
			const shift = kind === 'later' || (kind === 'one' && pick([0, 1]) === 1) ? by : -by;
			if (moved.length === 0) continue;
			const next = shifted(best, moved, shift);
			const candidate = next && asPlanned(problem, { ...best, starts: next });
			const isBetter = candidate !== undefined && offer(candidate);
			if (isBetter) inVain = 0;
			yield isBetter ? held() : undefined;
		}
	}
	for (let round = 0; round < rounds; round++)
		for (const stride of strides) yield* improve(Math.max(grid, Math.round(stride / grid) * grid));
	return held();
}

/** That one start comes at least, or at most, so much after another. */
interface Arc {
	readonly from: string;
	readonly to: string;
	readonly least: number;
	readonly most: number;
}

/** Moves starts of a plan, and with them what hangs on them: by lags, and by the planned order where no two fit at once. */
function shifting(problem: Problem, fixed: ReadonlySet<string>) {
	return ({ starts = {}, modes = {} }: Schedule, moved: readonly string[], shift: number) => {
		const way = new Map(problem.tasks.map((t) => [t.id, t.modes[modes[t.id] ?? 0]!]));
		const arcs: Arc[] = problem.lags
			.filter((l) => starts[l.from] !== undefined && starts[l.to] !== undefined)
			.map(({ from, to, min, max = Infinity }) => {
				const { duration } = way.get(from)!;
				return { from, to, least: duration + min, most: duration + max };
			});
		for (const { id, capacity } of problem.resources) {
			const uses = Object.keys(starts).flatMap((task) =>
				(way.get(task)?.uses ?? [])
					.filter((u) => u.resource === id)
					.map((u) => ({ task, from: u.from ?? 0, to: u.to ?? way.get(task)!.duration, amount: u.amount }))
			);
			uses.sort((a, b) => starts[a.task]! + a.from - starts[b.task]! - b.from);
			uses.slice(1).forEach((use, i) => {
				const before = uses[i]!;
				if (before.amount + use.amount <= capacity || before.task === use.task) return;
				arcs.push({ from: before.task, to: use.task, least: before.to - use.from, most: Infinity });
			});
		}
		const of = new Map<string, Arc[]>();
		for (const arc of arcs)
			for (const id of [arc.from, arc.to]) {
				const own = of.get(id);
				if (own) own.push(arc);
				else of.set(id, [arc]);
			}
		const next = { ...starts };
		const open = [...moved];
		for (const id of moved) next[id] = starts[id]! + shift;
		for (let n = 0; open.length > 0; n++) {
			const id = open.pop()!;
			if (fixed.has(id) || next[id]! < 0 || n > mostPushed) return undefined;
			for (const { from, to, least, most } of of.get(id) ?? []) {
				const gap = next[to]! - next[from]!;
				const off = gap < least ? least - gap : gap > most ? most - gap : 0;
				if (off === 0) continue;
				// What was moved stays where it was moved to: the other one goes.
				const other = id === from ? to : from;
				next[other] = next[other]! + (other === to ? off : -off);
				open.push(other);
			}
		}
		return next;
	};
}

/** Starts down to whole steps of a grid, but for what has begun. */
function toGrid(schedule: Schedule, problem: Problem, grid: number): Schedule {
	const fixed = new Set(problem.tasks.filter((t) => t.fixed).map((t) => t.id));
	const starts = Object.fromEntries(
		Object.entries(schedule.starts ?? {}).map(([id, s]) => [id, fixed.has(id) ? s : Math.floor(s / grid) * grid])
	);
	return { ...schedule, starts };
}

/** Of each task those that hang together with it by lags. */
function partsOf({ lags }: Problem, tasks: readonly string[]): ReadonlyMap<string, readonly string[]> {
	const root = new Map(tasks.map((t) => [t, t]));
	const find = (t: string): string => {
		const up = root.get(t)!;
		return up === t ? t : find(up);
	};
	for (const { from, to } of lags) if (root.has(from) && root.has(to)) root.set(find(from), find(to));
	const groups = new Map<string, string[]>();
	for (const t of tasks) groups.set(find(t), [...(groups.get(find(t)) ?? []), t]);
	return new Map(tasks.map((t) => [t, groups.get(find(t))!]));
}
