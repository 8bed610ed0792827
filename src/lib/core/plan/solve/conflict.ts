// Why a problem has no plan: a small part of it that already has none, of which nothing can be left out.
import type { Problem } from '../problem';
import { building } from './model/builder';
import { itemsOf, lagName, tieName, type Item } from './model/items';
import { buildModel } from './model/model';

import { Search } from './search';

/**
 * Work to spend on showing that a part of the problem is infeasible: with assumptions, of a smaller part; and on
 * such as were not shown to be. */
const PATIENCE = { core: 120_000, part: 30_000, parts: 150_000 };
const SLICE = 500;
/** Reasons that are looked for first: a task that cannot meet its service, then waits; resources and states last. */
const SIMPLEST: readonly ReadonlySet<Item['kind']>[] = [
	new Set(['task', 'service']),
	new Set(['task', 'service', 'lag', 'tie'])
];
/** A core that shrinks no more, or has been shrunk so often, is minimized one by one. */
const MOST_ROUNDS = 5;

/**
 * A conflict of an infeasible problem: nothing in it can be left out without the rest becoming feasible, or too hard to
 * decide within a fixed amount of work. Yields `report()` between slices of work.
 *
 * First the items that one refutation used, found by solving under an assumption for each (Eén & Sörensson 2003, An
 * extensible SAT-solver, SAT, 502–518); then deletion, of halves first, of single ones last (Zeller & Hildebrandt 2002,
 * Simplifying and isolating failure-inducing input, IEEE Trans. Softw. Eng. 28, 183–200).
 */
export function* findConflict<T>(problem: Problem, report: () => T): Generator<T, readonly string[], unknown> {
	let kept = itemsOf(problem);
	for (const kinds of SIMPLEST) {
		const part = kept.filter(({ kind }) => kinds.has(kind));
		if (part.length === kept.length || !(yield* closes(restrict(problem, part), report)).isClosed) continue;
		kept = part;
		break;
	}
	for (let round = 0; round < MOST_ROUNDS; round++) {
		const core = yield* refute(problem, kept, round + 1, report);
		if (!core || core.length >= kept.length) break;
		kept = core;
	}
	// By kind and part what may go together lies side by side.
	kept = kept.toSorted((a, b) => a.kind.localeCompare(b.kind) || a.id.localeCompare(b.id));
	let left = PATIENCE.parts;
	for (let size = Math.ceil(kept.length / 2); size >= 1 && left > 0; size = size === 1 ? 0 : Math.ceil(size / 2)) {
		for (let at = kept.length - size; at > -size && left > 0; at -= size) {
			const rest = kept.toSpliced(Math.max(0, at), size + Math.min(0, at));
			const { isClosed, work } = yield* closes(restrict(problem, rest), report);
			if (isClosed) kept = rest;
			else left -= work;
		}
	}
	const named = new Set(kept.map((k) => (k.kind === 'task' ? k.id : '')));
	const choices = problem.choices.filter((c) => c.options.some((o) => o.tasks.some((t) => named.has(t))));
	return [...kept.map((item) => item.id), ...choices.map((c) => c.id)];
}

/** The items that a refutation of them uses, or `undefined` where none was found in time. */
function* refute<T>(
	problem: Problem,
	items: readonly Item[],
	seed: number,
	report: () => T
): Generator<T, readonly Item[] | undefined, unknown> {
	const model = yield* building(buildModel(restrict(problem, items), items), report);
	if (model.isClosed) return undefined;
	const search = new Search(model, seed);
	while (model.engine.work < PATIENCE.core) {
		const outcome = search.run(SLICE);
		if (outcome === 'refused') return search.core.map((k) => items[k]!);
		if (outcome !== 'paused') return undefined;
		yield report();
	}
	return undefined;
}

/** Whether a problem was shown to have no plan, and the work that went into it. */
function* closes<T>(
	problem: Problem,
	report: () => T
): Generator<T, { readonly isClosed: boolean; readonly work: number }, unknown> {
	const model = yield* building(buildModel(problem), report);
	if (model.isClosed) return { isClosed: true, work: 0 };
	const search = new Search(model, 1);
	while (model.engine.work < PATIENCE.part) {
		const outcome = search.run(SLICE);
		if (outcome !== 'paused') return { isClosed: outcome === 'closed', work: model.engine.work };
		yield report();
	}
	return { isClosed: false, work: model.engine.work };
}

/** The problem with only these things left. */
export function restrict(problem: Problem, items: readonly Item[]): Problem {
	const of = (kind: Item['kind']) => new Set(items.filter((i) => i.kind === kind).map((i) => i.id));
	const [tasks, lags, ties, resources, states, services] = [
		of('task'),
		of('lag'),
		of('tie'),
		of('resource'),
		of('state'),
		of('service')
	];
	return {
		...problem,
		services: problem.services.filter((s) => services.has(s.id)),
		resources: problem.resources.filter((r) => resources.has(r.id)),
		states: problem.states.filter((s) => states.has(s.id)),
		tasks: problem.tasks
			.filter((t) => tasks.has(t.id))
			.map((t) => ({
				...t,
				modes: t.modes.map((m) => ({
					duration: m.duration,
					at: m.at,
					uses: m.uses?.filter((u) => resources.has(u.resource)),
					state: m.state && states.has(m.state.id) ? m.state : undefined
				}))
			})),
		lags: problem.lags.filter((l) => tasks.has(l.from) && tasks.has(l.to) && lags.has(lagName(l))),
		holds: problem.holds.filter((h) => tasks.has(h.from) && tasks.has(h.to) && resources.has(h.resource)),
		// Whole, for their names: who is left out is as good as absent.
		ties: problem.ties.filter((tie) => ties.has(tieName(tie))),
		wants: problem.wants.filter((w) => tasks.has(w.task)),
		serve: problem.serve.filter((s) => tasks.has(s.task) && services.has(s.service)),
		choices: problem.choices.map((c) => ({
			...c,
			options: c.options.map((o) => ({ ...o, tasks: o.tasks.filter((t) => tasks.has(t)) }))
		}))
	};
}
