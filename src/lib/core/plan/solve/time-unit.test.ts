// The unit of time: coarser times lose nothing.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { randomProblem, tiny } from '../../testing/random-problem';
import { solveNow } from '../../testing/solve-now';
import type { Problem } from '../problem';
import { timeUnit } from './time-unit';

/** The same problem, every time so many times as long. */
function stretched(problem: Problem, by: number): Problem {
	return {
		...problem,
		horizon: problem.horizon * by,
		services: problem.services.map((s) => ({ ...s, due: s.due * by })),
		states: problem.states.map((s) => ({ ...s, rise: s.rise * by, fall: s.fall * by })),
		tasks: problem.tasks.map((t) => ({
			...t,
			release: (t.release ?? 0) * by,
			modes: t.modes.map((m) => ({
				...m,
				duration: m.duration * by,
				uses: m.uses?.map((u) => ({ ...u, from: (u.from ?? 0) * by, to: (u.to ?? m.duration) * by }))
			}))
		})),
		lags: problem.lags.map((l) => ({ ...l, min: l.min * by, ...(l.max === undefined ? {} : { max: l.max * by }) })),
		serve: problem.serve.map((s) => ({
			...s,
			offset: s.offset * by,
			free: s.free * by,
			...(s.max === undefined ? {} : { max: s.max * by })
		})),
		wants: problem.wants.map((w) => ({ ...w, by: w.by * by }))
	};
}

test('a problem in longer units has the same plans, and costs as many times as much', () => {
	fc.assert(
		fc.property(randomProblem(tiny), fc.integer({ min: 2, max: 60 }), (given, by) => {
			const problem = { ...given, choices: [] };
			const long = stretched(problem, by);
			expect(timeUnit(long) % by).toBe(0);
			const [a, b] = [solveNow(problem), solveNow(long)];
			expect(b.status).toBe(a.status);
			if (a.objective !== undefined) expect(b.objective).toBe(a.objective * by);
		}),
		{ numRuns: 60, seed: 83 }
	);
});
