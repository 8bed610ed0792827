// The solver run to its end.
import type { Problem, Schedule } from '../plan/problem';
import { solve, type SolveOptions } from '../plan/solve/solve';

export function solveNow(problem: Problem, options: Partial<SolveOptions> = {}): Schedule {
	const search = solve(problem, { seed: 1, budget: Infinity, ...options });
	for (;;) {
		const step = search.next(undefined);
		if (step.done) return step.value;
	}
}
