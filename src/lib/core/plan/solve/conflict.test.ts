// Conflicts: what is named has no plan by itself, and with any one thing less it has.
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { bruteForce } from '../../testing/brute-force';
import { randomProblem, tiny } from '../../testing/random-problem';
import { solveNow } from '../../testing/solve-now';
import { readProblem, type Problem } from '../problem';
import { restrict } from './conflict';
import { itemsOf, type Item } from './model/items';

/** A problem without services has a plan whenever its tasks have. */
const isInfeasible = (problem: Problem, items: readonly Item[]) => {
	const rest = restrict(problem, items);
	return bruteForce(rest.services.length > 0 ? rest : { ...rest, services: [{ id: 'any', due: 0 }] }) === undefined;
};

test('a conflict of a random problem is in conflict, and minimal', () => {
	let seen = 0;
	fc.assert(
		fc.property(randomProblem({ ...tiny, tasks: 3, horizon: 6 }), (problem) => {
			const { status, conflict = [] } = solveNow(problem);
			fc.pre(status === 'infeasible');
			seen++;
			const named = itemsOf(problem).filter((item) => conflict.includes(item.id));
			expect(isInfeasible(problem, named)).toBe(true);
			for (const item of named)
				expect(
					isInfeasible(
						problem,
						named.filter((k) => k !== item)
					)
				).toBe(false);
		}),
		{ numRuns: 25, seed: 53 }
	);
	expect(seen).toBeGreaterThan(10);
});

test.each([
	[
		'infeasible-1',
		[
			'bread.oven',
			'bread.cut',
			'meringue.oven',
			'meringue.cut',
			'bread.oven>bread.cut',
			'meringue.oven>meringue.cut',
			'oven1',
			'supper'
		]
	],
	[
		'infeasible-2',
		[
			'caramel.melt',
			'caramel.cream',
			'caramel.nuts',
			'caramel.pour',
			'caramel.melt>caramel.cream',
			'caramel.melt>caramel.nuts',
			'caramel.melt>caramel.pour',
			'hands'
		]
	]
])('%s: names just what was planted', (name, planted) => {
	const read = readProblem(JSON.parse(readFileSync(`problems/${name}.json`, 'utf8')));
	if (!read.ok) throw new Error(name);
	expect(solveNow(read.value).conflict?.toSorted()).toEqual(planted.toSorted());
});
