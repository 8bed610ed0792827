// The solver run to its end.
import type { Problem, Schedule } from '../plan/problem';
import { solve, type SolveOptions } from '../plan/solve/solve';
import { ended } from './ended';

export function solveNow(problem: Problem, options: Partial<SolveOptions> = {}): Schedule {
	return ended(solve(problem, { seed: 1, budget: Infinity, ...options }));
}
