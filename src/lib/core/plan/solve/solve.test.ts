// The solver against the plain rules, brute force and the public problems.
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { bruteForce } from '../../testing/brute-force';
import { randomProblem, small, tiny } from '../../testing/random-problem';
import { solveNow } from '../../testing/solve-now';
import { checkSchedule } from '../check';
import { readProblem, type Problem } from '../problem';

function load(name: string): Problem {
	const read = readProblem(JSON.parse(readFileSync(`problems/${name}.json`, 'utf8')));
	if (!read.ok) throw new Error(`${name} is not a problem`);
	return read.value;
}

describe('on the example of the format', () => {
	// By hand: the tart must be out at 5340 at the latest (60 before service). At 190 it bakes 1920, from 3420; filling
	// takes the hands before that, from 2820. The fish fits in between and waits for nothing. Nothing is late, so the
	// evening's length is all that counts: 5400 − 2820 = 2580.
	test('finds and proves the optimum worked out by hand', () => {
		const answer = solveNow(load('example'));
		expect(answer).toMatchObject({ status: 'optimal', objective: 2580, bound: 2580 });
		expect(answer.starts).toEqual({ 'tart.fill': 2820, 'tart.bake': 3420, 'fish.sear': 4840, 'fish.rest': 5200 });
		expect(answer.modes?.['tart.bake']).toBe(1);
	});
});

describe('on random problems', () => {
	test('agrees with brute force on tiny ones', () => {
		fc.assert(
			fc.property(randomProblem(tiny), (problem) => {
				const answer = solveNow(problem);
				const best = bruteForce(problem);
				expect(answer.status).toBe(best === undefined ? 'infeasible' : 'optimal');
				expect(answer.objective).toBe(best);
			}),
			{ numRuns: 100, seed: 7 }
		);
	});

	test('every answer keeps the rules, and is not below its bound', () => {
		fc.assert(
			fc.property(randomProblem(small), fc.integer({ min: 0, max: 9 }), (problem, seed) => {
				const answer = solveNow(problem, { seed, budget: 3000 });
				const { violations, objective } = checkSchedule(problem, answer);
				expect(violations).toEqual([]);
				if (objective !== null) expect(answer.bound).toBeLessThanOrEqual(objective);
			}),
			{ numRuns: 150, seed: 11 }
		);
	});

	test('the same problem, seed and budget give the same answer', () => {
		fc.assert(
			fc.property(randomProblem(small), (problem) => {
				const options = { seed: 3, budget: 2000 };
				expect(solveNow(problem, options)).toEqual(solveNow(problem, options));
			}),
			{ numRuns: 20, seed: 13 }
		);
	});

	test('other names change nothing', () => {
		fc.assert(
			fc.property(randomProblem(small), (problem) => {
				const renamed = JSON.parse(
					JSON.stringify(problem)
						.replaceAll(/"t(\d+)"/g, '"dish $1"')
						.replaceAll('"hands"', '"help"')
				) as Problem;
				const [a, b] = [solveNow(problem, { budget: 2000 }), solveNow(renamed, { budget: 2000 })];
				expect([b.status, b.objective]).toEqual([a.status, a.objective]);
			}),
			{ numRuns: 20, seed: 17 }
		);
	});

	test('tied tasks are one place: without the tie it costs no more, in one place only as much as in that place', () => {
		fc.assert(
			fc.property(randomProblem(tiny), (problem) => {
				const [tie] = problem.ties;
				fc.pre(tie !== undefined);
				const cost = (p: Problem) => solveNow(p).objective ?? Infinity;
				const tied = cost(problem);
				expect(cost({ ...problem, ties: [] })).toBeLessThanOrEqual(tied);
				// Held to one place, in which every task of the tie has a mode of at least as many ways: the best of them.
				const only = (at: string) => ({
					...problem,
					ties: [],
					tasks: problem.tasks.flatMap((t) => {
						const modes = tie.includes(t.id) ? t.modes.filter((m) => m.at === at) : t.modes;
						return [{ ...t, modes }];
					})
				});
				const able = ['left', 'right'].map(only).filter((p) => p.tasks.every((t) => t.modes.length > 0));
				fc.pre(problem.choices.length === 0);
				expect(Math.min(Infinity, ...able.map(cost))).toBe(tied);
			}),
			{ numRuns: 80, seed: 23 }
		);
	});

	test('more hands never make the best plan worse', () => {
		fc.assert(
			fc.property(randomProblem(tiny), (problem) => {
				const more = { ...problem, resources: problem.resources.map((r) => ({ ...r, capacity: r.capacity + 1 })) };
				const [few, many] = [solveNow(problem), solveNow(more)];
				expect(many.objective ?? Infinity).toBeLessThanOrEqual(few.objective ?? Infinity);
			}),
			{ numRuns: 80, seed: 19 }
		);
	});
});

describe('on public problems', () => {
	test.each([
		['one-burner-1', 4950],
		['one-burner-2', 7515],
		['solo-supper-1', 4365],
		['solo-supper-2', 4800],
		['clashing-oven-2', 8400],
		['either-2', 4680],
		['fryer-batches-2', 29130],
		['late-1', 66615],
		['feast-3', 5115],
		['short-handed-3', 8040],
		['same-burner-1', 3135],
		['same-burner-2', 4185],
		['same-burner-3', 1680],
		['ft06', 55]
	])('%s: proves the published optimum %i', (name, optimum) => {
		const problem = load(name);
		const answer = solveNow(problem);
		expect(checkSchedule(problem, answer).violations).toEqual([]);
		expect(answer).toMatchObject({ status: 'optimal', objective: optimum });
	});

	test.each(['brigade-3', 'night-1', 'night-2'])(
		'%s: a feasible plan of 120 to 185 tasks within a small budget',
		(name) => {
			const problem = load(name);
			const answer = solveNow(problem, { budget: 20_000 });
			expect(answer.starts).toBeDefined();
			expect(checkSchedule(problem, answer).violations).toEqual([]);
		}
	);

	test('infeasible-1: says so, and names a conflict that has no plan by itself', () => {
		const problem = load('infeasible-1');
		const { status, conflict = [] } = solveNow(problem);
		expect(status).toBe('infeasible');
		expect(conflict.length).toBeLessThan(problem.tasks.length);
		const named = new Set(conflict);
		const rest: Problem = {
			...problem,
			resources: problem.resources.map((r) => (named.has(r.id) ? r : { ...r, capacity: 1_000_000 })),
			tasks: problem.tasks.filter((t) => named.has(t.id)),
			lags: problem.lags.filter((l) => named.has(`${l.from}>${l.to}`)),
			holds: problem.holds.filter((h) => named.has(h.from) && named.has(h.to)),
			serve: problem.serve.filter((s) => named.has(s.task))
		};
		expect(solveNow(rest).status).toBe('infeasible');
	});
});
