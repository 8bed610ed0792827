// Problem → schedule, anytime and exact: one clause-learning search that streams better plans and ends with a proof.
import type { Problem, Schedule } from '../problem';
import { findConflict } from './conflict';
import { buildModel, type Model } from './model/model';
import type { Incumbent } from './incumbent';
import { building } from './model/builder';
import type { Moving } from './model/objective';
import { Bounding } from './bound/bound';
import { Search } from './search';

export interface SolveOptions {
	/** Same problem, seed and budget: same answer. */
	readonly seed: number;
	/** Work to spend, in propagator runs; `Infinity` leaves the end to the caller or to a proof. */
	readonly budget: number;
	/** The plan in force: the search begins from it, and of equally good answers takes the one that moves the fewest tasks. */
	readonly previous?: Schedule | undefined;
	/** What it costs, in the objective, to move a task from where `previous` has it; absent: only between equals. */
	readonly moving?: Moving | undefined;
	/** What to do when there is no plan: name a minimal conflict (as usual), or only say so. */
	readonly infeasible?: 'explain' | 'say' | undefined;
}

/** What the search says of itself after each slice of work. */
interface Progress {
	/** The best answer so far: `unknown` until there is a plan. */
	readonly schedule: Schedule;
	/** Whether it is better than the one before. */
	readonly improved: boolean;
	/** Share of the budget spent, 0 to 1 (0 where it has no end). */
	readonly spent: number;
}

/** Work between two looks at the caller. */
const SLICE = 500;

/** Work after which bounds are sought by prices. */
const BOUNDS_AFTER = 5000;
/** How much of the search's work they may take; after long; and where they are far behind what it has learnt. */
const boundsShare = { usual: 0.3, late: 1, least: 0.05 } as const;
const BEGINNING = 150_000;
const LONG = 1_500_000;
/** They catch up by no more than so many slices at once: the caller wants to be asked. */
const MOST_SLICES = 3;
/** Share of the bound that is known below which prices are far behind. */
const FAR_BEHIND = 0.85;

/** How far the bounds by prices may go beside so much work of the search. */
function allowance({ bound, isDone }: Bounding, known: number, work: number): number {
	if (isDone) return 0;
	const { usual, late, least } = boundsShare;
	if (bound < FAR_BEHIND * known && work > BEGINNING) return Math.max(usual * BEGINNING, least * work);
	return (work > LONG ? late : usual) * work;
}

/** A search that the caller pulls; it may be told of an answer to the same problem that another search has found. */
export type Solving = Generator<Progress, Schedule, Schedule | undefined>;

/**
 * Solve a consistent problem (see `readProblem`), as a stream the caller pulls: after each slice of work, and at each
 * better plan, it yields the best answer, and may be dropped at any time. The value returned is final. Infeasibility is
 * an answer, with a conflict. What is passed to `next` is another search's answer: its bound is believed, its plan is
 * where this search goes on where it is better.
 */
export function* solve(problem: Problem, options: SolveOptions): Solving {
	let answer = bare(problem, 'unknown');
	let work = 0;
	const progress = (improved: boolean): Progress => ({
		schedule: withWork(answer, work),
		improved,
		spent: work / options.budget
	});
	const { previous, moving } = options;
	const near = previous && { plan: previous, moving };
	const model = yield* building(buildModel(problem, [], near), () => progress(false));
	const { engine } = model;
	if (model.isClosed) return yield* infeasible(problem, options, progress);
	const search = new Search(model, options.seed, options.previous);
	let bounding: Bounding | undefined;
	for (;;) {
		let outcome = search.run(SLICE);
		const { best } = search;
		if (best && outcome !== 'closed' && engine.work > BOUNDS_AFTER && search.isSettled) {
			bounding ??= new Bounding(model);
			if (!raise(bounding, search, best.objective, options.previous !== undefined)) outcome = 'closed';
		}
		work = engine.work + (bounding?.work ?? 0);
		const bound = lowerBound(model);
		const isProven = outcome === 'closed' || (best?.moves === 0 && best.objective <= bound);
		if (isProven && !best) return yield* infeasible(problem, options, progress);
		if (best && (isProven || outcome === 'found'))
			answer = write(model, best, isProven ? best.objective : bound, options.previous);
		if (isProven || work >= options.budget) return withWork(answer, work);
		const news = yield progress(outcome === 'found');
		if (news) search.hear(news);
	}
}

/** Let the bounds by prices catch up a little, and tell the search; `false` where no plan is better. */
function raise(bounding: Bounding, search: Search, objective: number, isEqualWanted: boolean): boolean {
	const limit = bounding.limitFor(objective, isEqualWanted);
	for (let k = 0; k < MOST_SLICES; k++) {
		const { model } = search;
		if (bounding.work >= allowance(bounding, lowerBound(model), model.engine.work)) return true;
		bounding.run(limit, SLICE);
		search.draft(bounding.relaxed);
		const news = bounding.news(limit);
		if (news && !search.learn(news)) return false;
	}
	return true;
}

function* infeasible(problem: Problem, options: SolveOptions, progress: (improved: boolean) => Progress): Solving {
	if (options.infeasible === 'say') return bare(problem, 'infeasible');
	const conflict = yield* findConflict(problem, () => progress(false));
	return { ...bare(problem, 'infeasible'), conflict: [...conflict] };
}

/** What an answer better than the best one costs at least: by the root's bounds, which rise as the search learns. */
function lowerBound({ engine, objective }: Model): number {
	const { terms, coefficients, cost, constant, scale, moves } = objective;
	const least =
		cost === undefined
			? terms.reduce((sum, h, i) => sum + (coefficients[i] ?? 0) * engine.rootLb(h), 0)
			: engine.rootLb(2 * cost);
	// The sum counts moves too, of which there are less than `scale`.
	return Math.floor((least + moves) / scale) + constant;
}

function bare(problem: Problem, status: 'unknown' | 'infeasible'): Schedule {
	return { format: 'juntos-schedule', version: 1, problem: problem.name, status };
}

function withWork(schedule: Schedule, work: number): Schedule {
	return { ...schedule, stats: { nodes: Math.round(work) } };
}

/** A plan in the words of the format. */
function write({ problem, unit, due }: Model, plan: Incumbent, bound: number, previous?: Schedule): Schedule {
	const present = problem.tasks.flatMap(({ id }, i) => (plan.starts[i]! < 0 ? [] : [{ id, i }]));
	const starts = Object.fromEntries(present.map(({ id, i }) => [id, plan.starts[i]! * unit]));
	const before = previous?.starts;
	const proven = Math.min(plan.objective, bound);
	return {
		format: 'juntos-schedule',
		version: 1,
		problem: problem.name,
		status: proven === plan.objective ? 'optimal' : 'feasible',
		objective: plan.objective,
		bound: proven,
		starts,
		modes: Object.fromEntries(present.map(({ id, i }) => [id, plan.modes[i]!])),
		picks: Object.fromEntries(problem.choices.map((c, k) => [c.id, c.options[plan.options[k]!]!.id])),
		slips: Object.fromEntries(problem.services.map((s, k) => [s.id, (plan.instants[k]! - due[k]!) * unit])),
		...(before ? { moved: Object.keys(starts).filter((id) => starts[id] !== before[id]) } : {})
	};
}
