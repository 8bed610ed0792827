// The solver run to its end.
import type { Problem, Schedule } from '../plan/problem';
import { solve } from '../plan/solve/solve';

export function solveNow(problem: Problem, { seed = 1, budget = Infinity } = {}): Schedule {
	const search = solve(problem, { seed, budget });
	for (;;) {
		const step = search.next();
		if (step.done) return step.value;
	}
}
