// Many tasks that share a state, where no pair has a literal: against a small problem whose copies they are. Copies may do
// all that the one did, together; and of every plan of the copies, one copy each is a plan of the one. So the best plan of k
// copies, at k times the weights, costs k times the best of the one.
import { describe, expect, test } from 'vitest';
import { bruteForce } from '../../testing/brute-force';
import { drawer, oddProblem } from '../../testing/odd-problem';
import { solveNow } from '../../testing/solve-now';
import { checkSchedule } from '../check';
import type { Problem } from '../problem';

/** A problem of a state alone: every mode wants a value of it, and nothing else is scarce. */
function onOneOven(seed: number, tasks: number): Problem {
	const d = drawer(seed);
	const odd = oddProblem(seed, tasks, 9);
	return {
		...odd,
		states: [{ id: 'oven', initial: d.int(-2, 2), rise: d.int(0, 2), fall: d.int(0, 2) }],
		resources: [],
		holds: [],
		ties: [],
		wants: [],
		choices: [],
		lags: odd.lags.slice(0, 1),
		weights: { slip: d.int(1, 4), span: d.int(0, 1) },
		tasks: odd.tasks.map(({ id, modes, release }) => ({
			id,
			...(release === undefined ? {} : { release }),
			modes: modes.map(({ duration }) => ({ duration, state: { id: 'oven', value: d.int(-1, 2) } }))
		}))
	};
}

function copies(problem: Problem, k: number): Problem {
	const many = Array.from({ length: k }, (_, i) => i);
	return {
		...problem,
		weights: { slip: k * problem.weights.slip, span: k * problem.weights.span },
		tasks: many.flatMap((i) => problem.tasks.map((t) => ({ ...t, id: `${t.id}-${i}` }))),
		lags: many.flatMap((i) => problem.lags.map((l) => ({ ...l, from: `${l.from}-${i}`, to: `${l.to}-${i}` }))),
		serve: many.flatMap((i) => problem.serve.map((s) => ({ ...s, task: `${s.task}-${i}` })))
	};
}

const seeds = Array.from({ length: 60 }, (_, i) => i + 1);

describe('copies of a problem on one oven', () => {
	test('cost as many times as much, and no plan of them breaks a rule', () => {
		let proven = 0;
		let feasible = 0;
		for (const seed of seeds) {
			const one = onOneOven(seed, 3);
			const k = Math.ceil(42 / one.tasks.length);
			const best = bruteForce(one);
			const problem = copies(one, k);
			const answer = solveNow(problem, { seed, budget: 6000 });
			expect([seed, ...checkSchedule(problem, answer).violations]).toEqual([seed]);
			if (best === undefined) {
				expect([seed, ['infeasible', 'unknown'].includes(answer.status)]).toEqual([seed, true]);
				continue;
			}
			expect([seed, answer.status === 'infeasible']).toEqual([seed, false]);
			if (answer.objective === undefined) continue;
			feasible++;
			expect(answer.objective).toBeGreaterThanOrEqual(k * best);
			if (answer.bound !== undefined) expect(answer.bound).toBeLessThanOrEqual(k * best);
			if (answer.status !== 'optimal') continue;
			proven++;
			expect([seed, answer.objective]).toEqual([seed, k * best]);
		}
		expect(feasible).toBeGreaterThanOrEqual(seeds.length / 4);
		expect(proven).toBeGreaterThanOrEqual(seeds.length / 6);
	});

	test('fewer copies, where pairs have literals, and more, where they have none, agree', () => {
		for (const seed of seeds.slice(0, 20)) {
			const one = onOneOven(seed, 2);
			const few = solveNow(copies(one, 4), { budget: 4000 });
			const many = solveNow(copies(one, 44), { budget: 4000 });
			if (few.status === 'optimal' && many.status === 'optimal')
				expect([seed, (many.objective ?? NaN) / 44]).toEqual([seed, (few.objective ?? NaN) / 4]);
			const opposed = [few.status, many.status].toSorted().join();
			expect([seed, opposed]).not.toEqual([seed, 'infeasible,optimal']);
		}
	});

	test('an oven that cannot get there in time is infeasible, however many want it', () => {
		const one: Problem = {
			...onOneOven(1, 1),
			horizon: 10,
			states: [{ id: 'oven', initial: 0, rise: 5, fall: 5 }],
			services: [{ id: 's', due: 10 }],
			tasks: [{ id: 't', modes: [{ duration: 3, state: { id: 'oven', value: 2 } }] }],
			lags: [],
			serve: []
		};
		expect(solveNow(copies(one, 50)).status).toBe('infeasible');
		const longer = { ...copies(one, 50), horizon: 13 };
		const answer = solveNow(longer, { budget: 4000 });
		expect(checkSchedule(longer, answer).violations).toEqual([]);
		expect(Object.values(answer.starts ?? {})).toEqual(Array.from({ length: 50 }, () => 10));
	});
});
