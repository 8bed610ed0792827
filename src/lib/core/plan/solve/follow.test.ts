// Following a plan: what still holds is the first answer; what does not is mended near it, and the answer keeps every rule.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { randomProblem, small } from '../../testing/random-problem';
import { solveNow } from '../../testing/solve-now';
import { checkSchedule } from '../check';
import type { Problem, Schedule } from '../problem';
import { solve } from './solve';

/** The first answer of a search that begins from a plan. */
function firstFrom(problem: Problem, previous: Schedule): Schedule {
	const search = solve(problem, { seed: 1, budget: 20_000, previous, infeasible: 'say' });
	for (;;) {
		const step = search.next(undefined);
		if (step.done) return step.value;
		if (step.value.schedule.starts) return step.value.schedule;
	}
}

const planned = randomProblem(small)
	.map((problem) => ({ problem, plan: solveNow(problem, { budget: 2000, infeasible: 'say' }) }))
	.filter(({ plan }) => plan.starts !== undefined);

test('a plan that still holds, good or bad, is the first answer', () => {
	fc.assert(
		fc.property(planned, ({ problem, plan }) => {
			const first = firstFrom(problem, plan);
			expect(first).toMatchObject({ starts: plan.starts, modes: plan.modes, slips: plan.slips, moved: [] });
		}),
		{ numRuns: 120, seed: 31 }
	);
});

test('where one step cannot begin in time there is an answer wherever there is one, it keeps every rule, and what comes before stays', () => {
	let kept = 0;
	fc.assert(
		fc.property(planned, fc.nat(), fc.integer({ min: 1, max: 6 }), ({ problem, plan }, which, by) => {
			const free = problem.tasks.filter((t) => !t.fixed && plan.starts![t.id] !== undefined);
			fc.pre(free.length > 0);
			const late = free[which % free.length]!;
			const now = plan.starts![late.id]!;
			// All before it has begun; it comes so much later.
			const tasks = problem.tasks.map((t) => {
				const start = plan.starts![t.id];
				if (t.id === late.id) return { ...t, release: now + by };
				return start !== undefined && start < now
					? { ...t, fixed: { start, mode: plan.modes![t.id]! }, release: undefined }
					: t;
			});
			const later: Problem = JSON.parse(JSON.stringify({ ...problem, tasks })) as Problem;
			const first = firstFrom(later, plan);
			const best = solveNow(later, { budget: 20_000, infeasible: 'say' });
			expect(first.starts === undefined).toBe(best.starts === undefined);
			if (!first.starts) return;
			expect(checkSchedule(later, first).violations).toEqual([]);
			kept += Object.keys(first.starts).length - first.moved!.length;
			if (first.starts[late.id] !== undefined) expect(first.moved).toContain(late.id);
		}),
		{ numRuns: 150, seed: 37 }
	);
	expect(kept).toBeGreaterThan(80);
});
