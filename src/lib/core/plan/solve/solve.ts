// Problem → schedule, anytime: plans built backwards from service, improved by an iterated greedy search, and a complete
// search beside it that proves what it can.
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import type { Problem, Schedule } from '../problem';
import { findConflict } from './conflict';
import { Descent, type Guide } from './descent';
import { Domains } from './domains';
import { tabulate, type Table } from './table';

export interface SolveOptions {
	/** Same problem, seed and budget: same answer. */
	readonly seed: number;
	/** Work to spend, in propagator runs; `Infinity` leaves the end to the caller or to a proof. */
	readonly budget: number;
}

/** What the search says of itself after each slice of work. */
export interface Progress {
	/** The best answer so far: `unknown` until there is a plan. */
	readonly schedule: Schedule;
	/** Whether it is better than the one before. */
	readonly improved: boolean;
	/** Share of the budget spent, 0 to 1 (0 where it has no end). */
	readonly spent: number;
}

/** A plan in indices, times in units. */
interface Plan {
	readonly objective: number;
	readonly starts: Int32Array;
	readonly modes: Int32Array;
	/** Option taken, by choice; instant, by service. */
	readonly options: Int32Array;
	readonly instants: Int32Array;
}

/** Work between two looks at the caller. */
const SLICE = 400;

/**
 * Solve a consistent problem (see `readProblem`), as a stream the caller pulls: after each slice of work it yields the
 * best answer, and may be dropped at any time. The last value returned is final. Infeasibility is an answer, with a conflict.
 *
 * Construction: backward list scheduling by priority with propagation of all rules. Improvement: iterated greedy
 * (Ruiz & Stützle 2007, Eur. J. Oper. Res. 177, 2033–2049): the order of the best plan is kept but for a few tasks, and
 * rebuilt; forward–backward improvement (Tormos & Lova 2001) is the case of none. Proof: the complete search of `Descent`.
 */
export function* solve(problem: Problem, options: SolveOptions): Generator<Progress, Schedule, void> {
	const table = tabulate(problem);
	const domains = new Domains(table);
	if (!domains.root()) {
		const conflict = yield* findConflict(problem, () => progress(bare(problem, 'infeasible'), false, 0));
		return { ...bare(problem, 'infeasible'), conflict: [...conflict] };
	}
	const run = new Run(table, domains, options.seed);
	const exact = new Domains(table);
	exact.root();
	const proof = new Descent(exact, { retreat: () => 1 });
	const work = () => domains.work + exact.work;
	let answer = bare(problem, 'unknown');
	let exactShare = 0.5;

	for (let round = 0; ; round++) {
		const before = run.best;
		const until = domains.work + SLICE * (1 - exactShare);
		while (domains.work < until && !(run.best && run.best.objective <= run.bound)) run.dive();
		exact.limit = run.best?.objective ?? Infinity;
		const outcome = proof.run(SLICE * exactShare);
		if (outcome === 'found') run.keep(exact);
		const isProven = outcome === 'exhausted' || (run.best?.objective ?? Infinity) <= run.bound;
		if (isProven && !run.best) {
			const conflict = yield* findConflict(problem, () => progress(answer, false, 0));
			return { ...bare(problem, 'infeasible'), conflict: [...conflict] };
		}
		const improved = run.best !== before;
		if (run.best && (improved || isProven)) answer = write(table, run.best, isProven ? run.best.objective : run.bound);
		if (isProven) return withWork(answer, work());
		if (work() >= options.budget) return withWork(answer, work());
		// A large tree is not searched through: leave more to the improvement.
		if (round === 40) exactShare = 0.15;
		yield progress(withWork(answer, work()), improved, work() / options.budget);
	}
}

function progress(schedule: Schedule, improved: boolean, spent: number): Progress {
	return { schedule, improved, spent };
}

function bare(problem: Problem, status: 'unknown' | 'infeasible'): Schedule {
	return { format: 'juntos-schedule', version: 1, problem: problem.name, status };
}

function withWork(schedule: Schedule, work: number): Schedule {
	return { ...schedule, stats: { nodes: Math.round(work) } };
}

/** The improving search: an incumbent, and dives around it. */
class Run {
	best: Plan | undefined;
	readonly bound: number;
	private readonly random: (below: number) => number;
	/** How often a task was where a contradiction showed: it is placed earlier in later dives. */
	private readonly weight: Float64Array;
	private dives = 0;

	constructor(
		private readonly table: Table,
		private readonly domains: Domains,
		seed: number
	) {
		const generator = xoroshiro128plus(seed);
		this.random = (below) => (below <= 1 ? 0 : uniformInt(generator, 0, below - 1));
		this.weight = new Float64Array(table.n);
		this.bound = domains.lowerBound();
	}

	/** Build one plan, better than the best or none. */
	dive(): void {
		const { domains, best } = this;
		domains.limit = best?.objective ?? Infinity;
		const mark = domains.mark();
		const guide = best ? this.around(best) : this.fresh();
		const descent = new Descent(domains, guide, (task) => this.weight[task]!++);
		this.dives++;
		// The objective's limit is news to the root: it may close at once.
		if (domains.propagate() && descent.run(Infinity, best ? 12 : 40 + this.table.n) === 'found') this.keep(domains);
		domains.undo(mark);
		domains.work++;
	}

	/** Take over the plan that fully decided domains hold, if it is better. */
	keep(domains: Domains): void {
		const { table } = this;
		const { n, services, optionStart } = table;
		const objective = domains.lowerBound();
		if (this.best && objective >= this.best.objective) return;
		const options = new Int32Array(optionStart.length - 1).fill(-1);
		for (let c = 0; c < options.length; c++) {
			for (let o = optionStart[c]!; o < optionStart[c + 1]!; o++) if (domains.option[o] === 2) options[c] = o;
		}
		this.best = {
			objective,
			options,
			starts: Int32Array.from({ length: n }, (_, t) => (domains.isThere(t) ? domains.hi[t]! : -1)),
			modes: Int32Array.from({ length: n }, (_, t) => (domains.isThere(t) ? domains.modeOf(t) : -1)),
			instants: domains.lo.slice(2 * n, 2 * n + services)
		};
	}

	private retreat = (room: number): number => 1 + this.random(Math.max(1, Math.floor(room / 6)));

	/** Without a plan yet: latest end first, disturbed more and more, failing tasks sooner, service later and later. */
	private fresh(): Guide {
		const { table, domains, dives } = this;
		const { n, horizon, services, due } = table;
		const noise = dives === 0 ? 0 : Math.ceil((horizon * Math.min(dives, 20)) / 200);
		const most = Math.max(1, ...this.weight);
		const rank = new Float64Array(n);
		for (let t = 0; t < n; t++) {
			const bump = (horizon / 8) * (this.weight[t]! / most) * (dives % 3);
			rank[t] = domains.hi[n + t]! + this.random(noise) + bump;
		}
		const guide = { rank, retreat: this.retreat };
		const later = dives < 8 ? 0 : this.random(Math.ceil(horizon * Math.min(0.4, (dives - 7) / 60)));
		const instant = Int32Array.from({ length: services }, (_, k) => due[k]! + later);
		if (dives % 2 === 0) return { ...guide, instant };
		return { ...guide, instant, mode: this.randomModes(1), option: this.randomOptions(0.7) };
	}

	/** The best plan's order, kept but for some tasks. */
	private around(best: Plan): Guide {
		const { table } = this;
		const { n, duration, horizon, services, due } = table;
		const end = (t: number) => (best.starts[t]! < 0 ? this.random(horizon) : best.starts[t]! + duration[best.modes[t]!]!);
		const rank = Float64Array.from({ length: n }, (_, t) => end(t));
		const mode = best.modes.slice();
		const free = this.neighbourhood(best);
		const spread = Math.max(2, Math.floor((horizon * (1 + this.random(20))) / 100));
		const changeModes = this.random(2) === 0;
		for (const t of free) {
			rank[t]! += this.random(2 * spread) - spread;
			if (changeModes) mode[t] = this.randomMode(t);
		}
		const option = this.random(4) === 0 ? this.randomOptions(0.3, best.options) : best.options;
		const instant = Int32Array.from({ length: services }, (_, k) => {
			const slip = best.instants[k]! - due[k]!;
			return slip > 0 && this.random(2) === 0 ? due[k]! + this.random(slip) : best.instants[k]!;
		});
		return { rank, mode, option, instant, retreat: this.retreat };
	}

	/** Some tasks: at random, those of a stretch of time, or those tied to one task by lags. */
	private neighbourhood(best: Plan): readonly number[] {
		const { table } = this;
		const { n, horizon } = table;
		const all = Array.from({ length: n }, (_, t) => t);
		switch (this.random(4)) {
			case 0: {
				const count = 1 + this.random(Math.max(2, Math.ceil(n / 4)));
				return Array.from({ length: count }, () => this.random(n));
			}
			case 1: {
				const length = Math.ceil((horizon * (5 + this.random(25))) / 100);
				const from = this.random(horizon) - Math.floor(length / 2);
				return all.filter((t) => best.starts[t]! >= from && best.starts[t]! < from + length);
			}
			case 2:
				return this.tiedTo(this.random(n));
			default:
				return all.filter((t) => this.weight[t]! > 0 && this.random(2) === 0).concat(this.random(n));
		}
	}

	private tiedTo(t: number): readonly number[] {
		const { n, edgeTaskX, edgeTaskY } = this.table;
		const near = new Set([t]);
		for (let hop = 0; hop < 3; hop++) {
			for (let e = 0; e < edgeTaskX.length; e++) {
				const [a, b] = [edgeTaskX[e]!, edgeTaskY[e]!];
				if (a < 0 || b < 0) continue;
				if (near.has(a)) near.add(b);
				else if (near.has(b)) near.add(a);
				if (near.size > n / 3) return [...near];
			}
		}
		return [...near];
	}

	private randomMode(t: number): number {
		const { modeStart } = this.table;
		return modeStart[t]! + this.random(modeStart[t + 1]! - modeStart[t]!);
	}

	private randomModes(share: number): Int32Array {
		return Int32Array.from({ length: this.table.n }, (_, t) =>
			this.random(100) < share * 100 ? this.randomMode(t) : -1
		);
	}

	private randomOptions(share: number, otherwise?: Int32Array): Int32Array {
		const { optionStart } = this.table;
		return Int32Array.from({ length: optionStart.length - 1 }, (_, c) => {
			if (this.random(100) >= share * 100) return otherwise?.[c] ?? -1;
			return optionStart[c]! + this.random(optionStart[c + 1]! - optionStart[c]!);
		});
	}
}

/** A plan in the words of the format. */
function write(table: Table, plan: Plan, bound: number): Schedule {
	const { problem, unit, modeStart, due, choiceOf } = table;
	const present = problem.tasks.flatMap((task, t) => (plan.starts[t]! < 0 ? [] : [{ id: task.id, t }]));
	const objective = Math.round(plan.objective);
	const proven = Math.min(objective, Math.ceil(bound - 1e-6));
	const optionId = (o: number) =>
		problem.choices[choiceOf[o]!]!.options[o - table.optionStart[choiceOf[o]!]!]!.id;
	return {
		format: 'juntos-schedule',
		version: 1,
		problem: problem.name,
		status: proven === objective ? 'optimal' : 'feasible',
		objective,
		bound: proven,
		starts: Object.fromEntries(present.map(({ id, t }) => [id, plan.starts[t]! * unit])),
		modes: Object.fromEntries(present.map(({ id, t }) => [id, plan.modes[t]! - modeStart[t]!])),
		picks: Object.fromEntries(problem.choices.map((c, i) => [c.id, optionId(plan.options[i]!)])),
		slips: Object.fromEntries(problem.services.map((s, k) => [s.id, (plan.instants[k]! - due[k]!) * unit]))
	};
}
