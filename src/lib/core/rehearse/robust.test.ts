// A plan that holds is one of the problem, and better where it was not tuned.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { checkSchedule } from '../plan/check';
import { scheduleOf } from '../plan/compile/schedule-of';
import type { Problem, Schedule } from '../plan/problem';
import { compileDemo, demoCases, planDemo } from '../testing/demo-plan';
import { ended } from '../testing/ended';
import { randomProblem, small } from '../testing/random-problem';
import { solveNow } from '../testing/solve-now';
import type { Spread } from './draws';
import { rehearseNow } from './rehearse';
import { holdBetter } from './robust';

const spreadsOf = (problem: Problem, { modes }: Schedule, sigma: number): Record<string, Spread> =>
	Object.fromEntries(problem.tasks.map((t) => [t.id, { mu: Math.log(t.modes[modes?.[t.id] ?? 0]!.duration), sigma }]));

test('it breaks no rule, costs no more on its evenings, and what is fixed stays', () => {
	let better = 0;
	fc.assert(
		fc.property(randomProblem(small), (problem) => {
			const schedule = solveNow(problem, { budget: 2000, infeasible: 'say' });
			fc.pre(schedule.starts !== undefined);
			const durations = spreadsOf(problem, schedule, 0.3);
			const held = ended(holdBetter({ problem, schedule, durations, policy: 'hold', seed: 3 }));
			expect(held.cost).toBeLessThanOrEqual(held.before + 1e-9);
			if (held.cost < held.before) {
				better++;
				expect(checkSchedule(problem, held.schedule).violations).toEqual([]);
			}
		}),
		{ numRuns: 25, seed: 83 }
	);
	expect(better).toBeGreaterThan(5);
});

test('where nothing is spread the best plan stays', () => {
	fc.assert(
		fc.property(randomProblem(small), (problem) => {
			const schedule = solveNow(problem, { budget: 4000, infeasible: 'say' });
			fc.pre(schedule.status === 'optimal');
			const held = ended(holdBetter({ problem, schedule, durations: {}, policy: 'hold', seed: 3 }));
			expect(held.cost).toBeCloseTo(held.before, 6);
		}),
		{ numRuns: 15, seed: 89 }
	);
});

test.each(demoCases.map((demo) => [demo.meal.name, demo] as const))(
	'%s: better on evenings that it has not seen',
	(_, demo) => {
		const plan = planDemo(demo, 3000);
		const { problem } = compileDemo(demo);
		const schedule = scheduleOf(plan, compileDemo(demo), demo.kitchen);
		const durations = Object.fromEntries(plan.steps.map((s) => [s.id, { mu: s.mu, sigma: s.sigma }]));
		const held = ended(holdBetter({ problem, schedule, durations, policy: 'hold', seed: 7, grid: 15 }));
		expect(checkSchedule(problem, held.schedule).violations).toEqual([]);
		for (const seed of [101, 102, 103]) {
			const of = (s: Schedule) =>
				rehearseNow({ problem, schedule: s, durations, policy: 'hold', tolerance: 120, runs: 512, seed });
			const [before, after] = [of(schedule), of(held.schedule)];
			expect(after.cost).toBeLessThan(before.cost);
			expect(after.onTime).toBeGreaterThanOrEqual(before.onTime);
		}
	}
);
