// Why a problem has no plan: a small part of it that already has none, found by leaving things out.
import type { Problem } from '../problem';
import { buildModel } from './model';
import { Search } from './search';

/** Work to spend on showing that one part of the problem is infeasible. */
const PATIENCE = 4000;

/** What may be left out of a problem: its tasks (with all that names them), capacities, states, lags, services. */
interface Item {
	readonly kind: 'task' | 'resource' | 'state' | 'lag' | 'service';
	readonly id: string;
}

/**
 * A conflict of an infeasible problem: nothing in it can be left out without the rest becoming feasible, or too hard to
 * decide within a fixed amount of work. Yields `report()` between trials.
 *
 * Deletion by halves; Junker 2004, QuickXplain, AAAI, 167–172.
 */
export function* findConflict<T>(problem: Problem, report: () => T): Generator<T, readonly string[], void> {
	let kept: readonly Item[] = [
		...problem.tasks.map(({ id }) => ({ kind: 'task', id }) as const),
		...lagNames(problem).map((id) => ({ kind: 'lag', id }) as const),
		...problem.resources.map(({ id }) => ({ kind: 'resource', id }) as const),
		...problem.states.map(({ id }) => ({ kind: 'state', id }) as const),
		...problem.services.map(({ id }) => ({ kind: 'service', id }) as const)
	];
	for (let size = Math.ceil(kept.length / 2); size >= 1; size = size === 1 ? 0 : Math.ceil(size / 2)) {
		for (let from = 0; from < kept.length;) {
			const rest = [...kept.slice(0, from), ...kept.slice(from + size)];
			if (isInfeasible(restrict(problem, rest))) kept = rest;
			else from += size;
			yield report();
		}
	}
	const choices = problem.choices.filter((c) =>
		c.options.some((o) => o.tasks.some((t) => kept.some((k) => k.kind === 'task' && k.id === t)))
	);
	return [...kept.map((item) => item.id), ...choices.map((c) => c.id)];
}

function lagNames(problem: Problem): readonly string[] {
	return [...new Set(problem.lags.map((l) => `${l.from}>${l.to}`))];
}

/** The problem with only these things left. */
function restrict(problem: Problem, items: readonly Item[]): Problem {
	const of = (kind: Item['kind']) => new Set(items.filter((i) => i.kind === kind).map((i) => i.id));
	const [tasks, lags, resources, states, services] = [
		of('task'),
		of('lag'),
		of('resource'),
		of('state'),
		of('service')
	];
	return {
		...problem,
		tasks: problem.tasks
			.filter((t) => tasks.has(t.id))
			.map((t) => ({
				...t,
				modes: t.modes.map((m) => ({
					duration: m.duration,
					uses: m.uses?.filter((u) => resources.has(u.resource)),
					state: m.state && states.has(m.state.id) ? m.state : undefined
				}))
			})),
		lags: problem.lags.filter((l) => tasks.has(l.from) && tasks.has(l.to) && lags.has(`${l.from}>${l.to}`)),
		services: problem.services.filter((s) => services.has(s.id)),
		holds: problem.holds.filter((h) => tasks.has(h.from) && tasks.has(h.to) && resources.has(h.resource)),
		serve: problem.serve.filter((s) => tasks.has(s.task) && services.has(s.service)),
		choices: problem.choices.map((c) => ({
			...c,
			options: c.options.map((o) => ({ ...o, tasks: o.tasks.filter((t) => tasks.has(t)) }))
		}))
	};
}

function isInfeasible(problem: Problem): boolean {
	const model = buildModel(problem);
	return model.isClosed || new Search(model, 1).run(PATIENCE) === 'closed';
}
