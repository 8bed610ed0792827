// Replanning: begins from the plan in force, is as good as planning anew, and moves the fewest tasks.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { compileDemo, demoCases } from '../../testing/demo-plan';
import { randomProblem, small, tiny } from '../../testing/random-problem';
import { solveNow } from '../../testing/solve-now';
import { checkSchedule } from '../check';
import type { Problem, Schedule } from '../problem';

test('a plan that is the best already moves nothing', () => {
	fc.assert(
		fc.property(randomProblem(small), (problem) => {
			const previous = solveNow(problem, { budget: 5000 });
			fc.pre(previous.status === 'optimal');
			const again = solveNow(problem, { previous });
			expect(again).toMatchObject({ status: 'optimal', objective: previous.objective, moved: [] });
		}),
		{ numRuns: 40, seed: 61 }
	);
});

test('after a change it is as good as planning anew, and no equally good answer moves fewer', () => {
	fc.assert(
		fc.property(randomProblem(tiny), fc.integer({ min: 0, max: 3 }), (problem, release) => {
			const previous = solveNow(problem);
			fc.pre(previous.status === 'optimal');
			const later: Problem = {
				...problem,
				tasks: problem.tasks.map((t) => ({ ...t, release: Math.max(t.release ?? 0, release) }))
			};
			const [anew, near] = [solveNow(later), solveNow(later, { previous })];
			expect([near.status, near.objective]).toEqual([anew.status, anew.objective]);
			if (near.status !== 'optimal') return;
			expect(checkSchedule(later, near).violations).toEqual([]);
			for (const seed of [1, 2, 3]) {
				const other = solveNow(later, { seed });
				const moves = Object.entries(other.starts ?? {}).filter(
					([id, start]) => previous.starts?.[id] !== start
				).length;
				expect(near.moved?.length).toBeLessThanOrEqual(moves);
			}
		}),
		{ numRuns: 60, seed: 67 }
	);
});

test('where moves have a price the best answer counts it, and no other is the better for moving more', () => {
	fc.assert(
		fc.property(
			randomProblem(tiny),
			fc.record({ start: fc.integer({ min: 0, max: 40 }), place: fc.integer({ min: 0, max: 80 }) }),
			fc.integer({ min: 0, max: 3 }),
			(problem, prices, release) => {
				const previous = solveNow(problem);
				fc.pre(previous.status === 'optimal');
				const tasks = problem.tasks.map((t) => ({ ...t, release: Math.max(t.release ?? 0, release) }));
				const later: Problem = { ...problem, tasks };
				const counted = new Set(tasks.slice(0, -1).map((t) => t.id));
				/** What the rules say that an answer costs, and its moves. */
				const whole = (answer: Schedule) => {
					const moves = tasks.filter(({ id }) => {
						const [start, before] = [answer.starts?.[id], previous.starts?.[id]];
						return counted.has(id) && start !== undefined && before !== undefined && start !== before;
					});
					const at = (t: Problem['tasks'][number], { modes }: Schedule) => t.modes[modes?.[t.id] ?? -1]?.at;
					const carried = tasks.filter((t) => {
						const [place, before] = [at(t, answer), at(t, previous)];
						return counted.has(t.id) && answer.starts?.[t.id] !== undefined && before !== undefined && place !== before;
					});
					const own = checkSchedule(later, { ...answer, objective: undefined, bound: undefined }).objective ?? NaN;
					return own + prices.start * moves.length + prices.place * carried.length;
				};
				const near = solveNow(later, { previous, moving: { ...prices, tasks: counted } });
				if (near.status !== 'optimal') return;
				expect(near.objective).toBe(whole(near));
				for (const seed of [1, 2]) expect(whole(solveNow(later, { seed }))).toBeGreaterThanOrEqual(whole(near));
				expect(whole(solveNow(later, { previous }))).toBeGreaterThanOrEqual(whole(near));
			}
		),
		{ numRuns: 80, seed: 79 }
	);
});

test('in the middle of the demo supper, what has begun stays, and little else moves', () => {
	const [supper] = demoCases;
	if (!supper) throw new RangeError('no demo');
	const { problem } = compileDemo(supper);
	const previous = solveNow(problem, { budget: 4000 });
	const now = 6000;
	const replan: Problem = {
		...problem,
		tasks: problem.tasks.map((t) => {
			const start = previous.starts?.[t.id] ?? now;
			return start < now ? { ...t, fixed: { start, mode: previous.modes?.[t.id] ?? 0 } } : { ...t, release: now };
		})
	};
	const answer: Schedule = solveNow(replan, { previous, budget: 1500 });
	expect(checkSchedule(replan, answer).violations).toEqual([]);
	expect(answer.objective).toBeLessThanOrEqual(previous.objective ?? 0);
	expect(
		Object.entries(answer.starts ?? {}).filter(
			([id, s]) => (previous.starts?.[id] ?? now) < now && previous.starts?.[id] !== s
		)
	).toEqual([]);
});
