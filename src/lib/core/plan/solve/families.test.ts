// Laws over problems of every family, too large to try all plans: what a change of the problem may do to its best plan, and
// that no bound, however it was found, forbids a plan that there is.
import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { compileDemo, demoCases } from '../../testing/demo-plan';
import { ended } from '../../testing/ended';
import { drawer } from '../../testing/odd-problem';
import { solveNow } from '../../testing/solve-now';
import { checkSchedule } from '../check';
import { readProblem, type Problem, type Schedule } from '../problem';
import { Bounding } from './bound/bound';
import { buildModel } from './model/model';
import { Search } from './search';

function load(name: string): Problem {
	const read = readProblem(JSON.parse(readFileSync(`problems/${name}.json`, 'utf8')));
	if (!read.ok) throw new Error(`${name}: ${JSON.stringify(read.issues)}`);
	return read.value;
}

const proven = (problem: Problem) => {
	const answer = solveNow(problem, { budget: 600_000 });
	expect(checkSchedule(problem, answer).violations, problem.name).toEqual([]);
	expect(answer.status, problem.name).toBe('optimal');
	return answer.objective!;
};

const soonProven = [
	...[
		'one-burner-1',
		'one-burner-2',
		'one-burner-3',
		'solo-supper-1',
		'solo-supper-3',
		'same-burner-1',
		'same-burner-2'
	],
	...['either-2', 'late-1', 'late-3', 'feast-3', 'fryer-batches-2']
];

describe.each(soonProven.map((name) => [name, load(name)] as const))('%s', (name, problem) => {
	const best = proven(problem);
	const d = drawer(name.length + best);

	test('in another order of all its lists it costs the same', () => {
		const mixed = <T>(list: readonly T[]): T[] =>
			list
				.map((item) => ({ item, at: d.int(0, 1_000_000) }))
				.sort((a, b) => a.at - b.at)
				.map(({ item }) => item);
		const other: Problem = {
			...problem,
			tasks: mixed(problem.tasks).map((t) => {
				// The mode of what has begun is a position.
				if (t.fixed) return t;
				return { ...t, modes: mixed(t.modes) };
			}),
			lags: mixed(problem.lags),
			holds: mixed(problem.holds),
			ties: mixed(problem.ties).map((tie) => mixed(tie)),
			serve: mixed(problem.serve),
			wants: mixed(problem.wants),
			resources: mixed(problem.resources),
			states: mixed(problem.states),
			choices: mixed(problem.choices).map((c) => ({ ...c, options: mixed(c.options) }))
		};
		expect(proven(other)).toBe(best);
	});

	test('an hour later it costs the same, where no oven is warmer for it', () => {
		const hour = 3600;
		const at = (t: Problem['tasks'][number]) => ({
			...t,
			release: (t.release ?? 0) + hour,
			...(t.fixed ? { fixed: { ...t.fixed, start: t.fixed.start + hour } } : {})
		});
		// A task that holds every oven as it is until then: it is as cold as it was.
		const cold = problem.states.map((s) => ({
			id: `cold ${s.id}`,
			modes: [{ duration: hour, state: { id: s.id, value: s.initial } }],
			ahead: true,
			fixed: { start: 0, mode: 0 }
		}));
		const later: Problem = {
			...problem,
			horizon: problem.horizon + hour,
			services: problem.services.map((s) => ({ ...s, due: s.due + hour })),
			wants: problem.wants.map((w) => ({ ...w, by: w.by + hour })),
			tasks: [...problem.tasks.map(at), ...cold]
		};
		expect(proven(later)).toBe(best);
	});

	test('what asks less costs no more: a promise the fewer, a place the more, a rate halved', () => {
		const gone = d.int(0, problem.lags.length - 1);
		const easier: readonly Problem[] = [
			{ ...problem, lags: problem.lags.filter((_, i) => i !== gone) },
			{ ...problem, holds: [] },
			{ ...problem, resources: problem.resources.map((r) => ({ ...r, capacity: r.capacity + 1 })) },
			{ ...problem, serve: problem.serve.map((s) => ({ ...s, rate: Math.floor(s.rate / 2) })) },
			{ ...problem, serve: problem.serve.map((s) => ({ ...s, max: undefined })) }
		];
		for (const other of easier)
			expect(solveNow(other, { budget: 600_000 }).bound ?? -Infinity).toBeLessThanOrEqual(best);
	});
});

/** Problems with a plan that took some finding. */
const witnessed: readonly (readonly [string, () => Problem])[] = [
	...['feast-1', 'feast-2', 'short-handed-1', 'short-handed-3', 'brigade-2', 'either-3', 'same-burner-3', 'late-2'].map(
		(name) => [name, () => load(name)] as const
	),
	...demoCases.map((demo) => [demo.meal.name, () => compileDemo(demo).problem] as const)
];

describe.each(witnessed)('%s', (_, make) => {
	const problem = make();
	const witness = solveNow(problem, { seed: 7, budget: 60_000 });

	/** Whether a search that was told of bounds can still go to a plan that it is given. */
	const isLetThrough = (plan: Schedule, work: number) => {
		const model = ended(buildModel(problem));
		const bounding = new Bounding(model);
		const limit = bounding.limitFor(plan.objective!, true);
		bounding.run(limit, work);
		expect(bounding.bound).toBeLessThanOrEqual(limit);
		const search = new Search(model, 1, plan);
		expect(search.learn(bounding.news(limit) ?? [])).toBe(true);
		search.hear(plan);
		while (search.best === undefined) expect(search.run(500)).not.toBe('closed');
		return search.best.objective;
	};

	test('bounds by prices let a plan through that there is, the more so the longer they are sought', () => {
		expect(checkSchedule(problem, witness).violations).toEqual([]);
		for (const work of [500, 5000, 40_000]) expect(isLetThrough(witness, work)).toBe(witness.objective);
	});

	test('no search bounds what another has found', () => {
		const others = [1, 2].map((seed) => solveNow(problem, { seed, budget: 30_000 }));
		const least = Math.min(witness.objective!, ...others.map((a) => a.objective ?? Infinity));
		for (const { bound = -Infinity } of [witness, ...others]) expect(bound).toBeLessThanOrEqual(least);
	});

	test('nor does one that stays near a plan, and it is no worse than that plan', () => {
		const near = solveNow(problem, { seed: 3, budget: 30_000, previous: witness });
		expect(checkSchedule(problem, near).violations).toEqual([]);
		expect(near.objective!).toBeLessThanOrEqual(witness.objective!);
		expect(near.bound!).toBeLessThanOrEqual(near.objective!);
		if (near.objective === witness.objective) expect(near.moved).toEqual([]);
	});
});
