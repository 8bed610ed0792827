// Arbitrary small plan problems, with all that the format has: modes, partial uses, holds, ties, lags, states, choices.
import fc from 'fast-check';
import type { Problem } from '../plan/problem';

export interface Shape {
	readonly tasks: number;
	readonly horizon: number;
	readonly longest: number;
}

export const tiny: Shape = { tasks: 4, horizon: 7, longest: 3 };
export const small: Shape = { tasks: 12, horizon: 60, longest: 9 };

/** Problems of at most so many tasks; about half of the tiny ones have a plan. */
export function randomProblem(shape: Shape): fc.Arbitrary<Problem> {
	return fc.integer({ min: 1, max: shape.tasks }).chain((count) => {
		const task = fc.integer({ min: 0, max: count - 1 }).map((i) => `t${i}`);
		const resource = fc.constantFrom('hands', 'pan');
		const use = (duration: number) =>
			fc
				.tuple(
					resource,
					fc.integer({ min: 1, max: 2 }),
					fc.integer({ min: 0, max: duration - 1 }),
					fc.integer({ min: 1, max: duration })
				)
				.map(([id, amount, a, b]) => (a < b ? { resource: id, amount, from: a, to: b } : { resource: id, amount }));
		const mode = fc.integer({ min: 1, max: shape.longest }).chain((duration) =>
			fc.record({
				duration: fc.constant(duration),
				uses: fc.array(use(duration), { maxLength: 2 }),
				state: fc.option(fc.record({ id: fc.constant('oven'), value: fc.constantFrom(1, 2) }), {
					nil: undefined,
					freq: 2
				}),
				at: fc.constantFrom('left', 'right')
			})
		);
		return fc.record<Problem>({
			format: fc.constant('juntos-problem'),
			version: fc.constant(1),
			name: fc.constant('random'),
			horizon: fc.constant(shape.horizon),
			services: fc
				.array(fc.integer({ min: 0, max: shape.horizon }), { minLength: 1, maxLength: 2 })
				.map((dues) => dues.map((due, i) => ({ id: `s${i}`, due }))),
			weights: fc.record({ slip: fc.integer({ min: 0, max: 9 }), span: fc.integer({ min: 0, max: 2 }) }),
			resources: fc.tuple(fc.integer({ min: 1, max: 3 }), fc.integer({ min: 1, max: 2 })).map(([hands, pan]) => [
				{ id: 'hands', capacity: hands },
				{ id: 'pan', capacity: pan }
			]),
			states: fc
				.record({
					id: fc.constant('oven'),
					initial: fc.integer({ min: 0, max: 2 }),
					rise: fc.integer({ min: 0, max: 2 }),
					fall: fc.integer({ min: 0, max: 2 })
				})
				.map((state) => [state]),
			tasks: fc
				.array(
					fc.record({
						modes: fc.array(mode, { minLength: 1, maxLength: 2 }),
						release: fc.integer({ min: 0, max: 2 }),
						ahead: fc.boolean()
					}),
					{ minLength: count, maxLength: count }
				)
				.map((list) => list.map((t, i) => ({ id: `t${i}`, ...t }))),
			lags: fc.array(
				fc
					.tuple(
						task,
						task,
						fc.integer({ min: -2, max: 2 }),
						fc.option(fc.integer({ min: 0, max: 3 }), { nil: undefined })
					)
					.map(([from, to, min, more]) =>
						more === undefined ? { from, to, min } : { from, to, min, max: min + more }
					),
				{ maxLength: 2 }
			),
			holds: fc.array(
				fc.record({
					resource,
					amount: fc.constant(1),
					from: task,
					to: task,
					at: fc.option(fc.constantFrom('left', 'right'), { nil: undefined })
				}),
				{ maxLength: 2 }
			),
			ties: fc.uniqueArray(task, { minLength: 0, maxLength: 3 }).map((those) => (those.length > 1 ? [those] : [])),
			choices: fc.boolean().map((isThere) =>
				isThere && count >= 2
					? [
							{
								id: 'c',
								options: [
									{ id: 'a', tasks: ['t0'], cost: 1 },
									{ id: 'b', tasks: ['t1'], cost: 0 }
								]
							}
						]
					: []
			),
			serve: fc.array(
				fc.record({
					task,
					service: fc.constant('s0'),
					offset: fc.integer({ min: -1, max: 1 }),
					free: fc.integer({ min: 0, max: 2 }),
					rate: fc.integer({ min: 0, max: 3 }),
					max: fc.option(fc.integer({ min: 0, max: 5 }), { nil: undefined })
				}),
				{ maxLength: 2 }
			),
			wants: fc.array(
				fc.record({
					task,
					by: fc.integer({ min: 0, max: shape.horizon }),
					rate: fc.integer({ min: 0, max: 3 })
				}),
				{ maxLength: 1 }
			)
		});
	});
}
