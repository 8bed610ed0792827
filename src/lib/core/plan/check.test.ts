// The plain rules: an optimal answer passes, and any change of it breaks a rule or costs no less.
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { randomProblem, small } from '../testing/random-problem';
import { solveNow } from '../testing/solve-now';
import { checkSchedule } from './check';
import { readProblem, type Problem, type Schedule } from './problem';

const example = JSON.parse(readFileSync('problems/example.json', 'utf8')) as unknown;
const read = readProblem(example);
if (!read.ok) throw new Error('the example is not a problem');
const problem: Problem = read.value;
const answer = solveNow(problem);

/** The answer without what it says of itself. */
const unclaimed = ({ objective, bound, ...rest }: Schedule): Schedule => {
	expect([objective, bound]).toBeDefined();
	return { ...rest, status: 'feasible' };
};
const moved = (task: string, start: number): Schedule => {
	return unclaimed({ ...answer, starts: { ...answer.starts, [task]: start } });
};

test.each([
	['the tart goes in before it is filled', 'tart.bake', 3300],
	['the oven is not hot yet', 'tart.bake', 600],
	['the fish rests before it is seared', 'fish.rest', 5190],
	['the fish comes off after it is plated', 'fish.rest', 5215],
	['two things want the hands', 'fish.sear', 2900],
	['the filled tart waits too long', 'tart.fill', 1900],
	['it begins before time', 'tart.fill', -5]
])('refuses a plan where %s', (_, task, start) => {
	expect(checkSchedule(problem, moved(task, start)).violations.length).toBeGreaterThan(0);
});

test('no single step of an optimal plan can be moved to make it better', () => {
	fc.assert(
		fc.property(randomProblem(small), fc.nat(), fc.integer({ min: -9, max: 9 }), (p, which, by) => {
			const best = solveNow(p, { budget: 4000 });
			fc.pre(best.status === 'optimal');
			const tasks = Object.keys(best.starts ?? {});
			const task = tasks[which % Math.max(1, tasks.length)];
			fc.pre(task !== undefined);
			const starts = { ...best.starts, [task]: (best.starts?.[task] ?? 0) + by };
			const { violations, objective } = checkSchedule(p, unclaimed({ ...best, starts }));
			const isFeasible = violations.every((v) => v.includes('objective'));
			if (isFeasible && objective !== null) expect(objective).toBeGreaterThanOrEqual(best.objective ?? 0);
			else expect(violations.length).toBeGreaterThan(0);
		}),
		{ numRuns: 100, seed: 23 }
	);
});

test('a claim that the plan does not bear out is found', () => {
	expect(checkSchedule(problem, answer).violations).toEqual([]);
	expect(checkSchedule(problem, { ...answer, objective: 2579, bound: 2579 }).violations.length).toBeGreaterThan(0);
	expect(checkSchedule(problem, { ...answer, bound: 2000 }).violations.length).toBeGreaterThan(0);
});
