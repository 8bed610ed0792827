// Reading problems: whatever comes in, a value or issues come out.
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { wordIssue } from '../words/issues';
import { randomProblem, small } from '../testing/random-problem';
import { solveNow } from '../testing/solve-now';
import { readProblem, type Problem } from './problem';

const example = JSON.parse(readFileSync('problems/example.json', 'utf8')) as Problem;

test('writing then reading gives the same problem', () => {
	fc.assert(
		fc.property(randomProblem(small), (problem) => {
			const text = JSON.stringify(problem);
			const read = readProblem(JSON.parse(text));
			expect(read.ok && JSON.stringify(read.value)).toBe(text);
		}),
		{ numRuns: 60, seed: 5 }
	);
});

test('any JSON is a problem or has issues, and never throws', () => {
	fc.assert(
		fc.property(fc.jsonValue(), (data) => {
			const read = readProblem(data);
			if (!read.ok) expect(read.issues.map(wordIssue).every((text) => text.length > 0)).toBe(true);
			expect(read.ok || read.issues.length > 0).toBe(true);
		}),
		{ numRuns: 200, seed: 5 }
	);
});

test.each([
	[
		'an unknown task in a lag',
		{ lags: [{ from: 'nobody', to: 'fish.rest', min: 0 }] },
		'lags[0].from: "nobody" is not among the tasks'
	],
	[
		'a use longer than its task',
		{
			tasks: [{ id: 'a', modes: [{ duration: 5, uses: [{ resource: 'hands', amount: 1, to: 9 }] }] }],
			lags: [],
			serve: []
		},
		'tasks[0].modes[0].uses[0]'
	],
	['two tasks of one name', { tasks: [...example.tasks, ...example.tasks] }, '"tart.fill" stands twice'],
	[
		'a mode that is not there',
		{ tasks: [{ id: 'a', modes: [{ duration: 5 }], fixed: { start: 0, mode: 3 } }], lags: [], serve: [] },
		'there is no mode 3'
	],
	[
		'a tied task that is nowhere',
		{ ties: [['fish.sear', 'fish.rest']] },
		'ties[0][0]: task "fish.sear" is tied, but its mode 0 has no "at"'
	],
	['a tie of one', { ties: [['fish.sear']] }, 'ties[0]: must have at least 2 entries'],
	['a task twice in a tie', { ties: [['fish.sear', 'fish.sear']] }, '"fish.sear" stands twice'],
	[
		'a wish of nobody',
		{ wants: [{ task: 'nobody', by: 0, rate: 1 }] },
		'wants[0].task: "nobody" is not among the tasks'
	],
	['a fraction', { horizon: 7.5 }, 'horizon'],
	['no service', { services: [] }, 'services']
])('%s is named with its place', (_, change, words) => {
	const read = readProblem({ ...example, ...change });
	expect(read.ok).toBe(false);
	if (!read.ok) expect(read.issues.map(wordIssue).join('\n')).toContain(words);
});

describe('at the limits', () => {
	const base = {
		format: 'juntos-problem',
		version: 1,
		name: 'limits',
		horizon: 1000,
		services: [{ id: 's', due: 500 }],
		weights: { slip: 1, span: 1 },
		resources: [{ id: 'hands', capacity: 1 }]
	};
	const task = (id: string, duration = 10, more: object = {}) => ({ id, modes: [{ duration, ...more }] });
	const solveData = (data: object, budget = 20_000) => {
		const read = readProblem({ ...base, ...data });
		if (!read.ok) throw new Error(JSON.stringify(read.issues));
		return solveNow(read.value, { budget });
	};

	test('waits in a circle that grows are told as a conflict of just those', () => {
		const lags = [
			{ from: 'a', to: 'b', min: 0 },
			{ from: 'b', to: 'a', min: 0 },
			{ from: 'a', to: 'c', min: 0 }
		];
		const answer = solveData({ tasks: [task('a'), task('b'), task('c')], lags });
		expect(answer.status).toBe('infeasible');
		expect(answer.conflict).toEqual(expect.arrayContaining(['a', 'b', 'a>b', 'b>a']));
		expect(answer.conflict).not.toContain('c');
	});

	test('a task that wants more than there is conflicts with that', () => {
		const uses = [{ resource: 'hands', amount: 2 }];
		const answer = solveData({ tasks: [task('a', 10, { uses }), task('b')] });
		expect(answer.status).toBe('infeasible');
		expect(answer.conflict?.toSorted()).toEqual(['a', 'hands']);
	});

	test('a task longer than the horizon, and a due time beyond it, have no plan', () => {
		expect(solveData({ tasks: [task('a', 1001)] }).status).toBe('infeasible');
		expect(solveData({ tasks: [], services: [{ id: 's', due: 1001 }] }).status).toBe('infeasible');
	});

	test('empty lists are a plan of nothing; numbers at their limits are solved', () => {
		expect(solveData({ tasks: [] })).toMatchObject({ status: 'optimal', objective: 0 });
		const long = 100_000_000;
		const answer = solveData({
			horizon: long,
			services: [{ id: 's', due: long }],
			weights: { slip: 10_000_000, span: 10_000_000 },
			tasks: [task('a', long)]
		});
		expect(answer).toMatchObject({ status: 'optimal', starts: { a: 0 } });
	});

	test('5,000 tasks end within a budget, one more is refused with its place', () => {
		const tasks = (n: number) => Array.from({ length: n }, (_, i) => task(`t${i}`, 1 + (i % 7)));
		const answer = solveData({ tasks: tasks(5000) }, 500);
		expect(['optimal', 'feasible', 'unknown']).toContain(answer.status);
		const read = readProblem({ ...base, tasks: tasks(5001) });
		expect(read.ok ? [] : read.issues.map((i) => i.path[0])).toEqual(['tasks']);
	});

	test('a field that nobody knows is an error, not a remark, wherever it stands', () => {
		const read = readProblem({
			...base,
			knots: [['a', 'b']],
			tasks: [{ ...task('a'), mood: 'calm', modes: [{ duration: 5, where: 'burner 1' }] }]
		});
		const said = read.ok ? '' : read.issues.map(wordIssue).join('\n');
		expect(said).toMatch(/"knots"/);
		expect(said).toMatch(/tasks\[0\]: has a field that nobody here knows: "mood"/);
		expect(said).toMatch(/tasks\[0\]\.modes\[0\]: .*"where"/);
	});

	test('lists that are too long are refused before they are read', () => {
		const lags = Array.from({ length: 400_000 }, () => ({ nonsense: 1 }));
		const modes = Array.from({ length: 101 }, () => ({ duration: 1 }));
		const read = readProblem({ ...base, tasks: [{ ...task('a'), modes }], lags });
		expect(read.ok ? [] : read.issues).toEqual([
			{ code: 'too-many', path: ['lags'], what: 'lags', seen: 400_000, most: 20_000 }
		]);
		const ways = readProblem({ ...base, tasks: [{ ...task('a'), modes }] });
		expect(ways.ok ? [] : ways.issues.map((i) => i.path.join('.'))).toEqual(['tasks.0.modes']);
	});

	test('what is wrong is said in words with what to give, not in a schema’s', () => {
		const read = readProblem({ ...base, horizon: 'long', services: [{ id: 's' }], weights: { slip: -1, span: 1.5 } });
		const said = read.ok ? [] : read.issues.map(wordIssue);
		expect(said).toEqual(
			expect.arrayContaining([
				'horizon: must be a number; write it so.',
				'services[0].due: is missing: give a number.',
				'weights.slip: must be at least 0.'
			])
		);
		for (const words of said) expect(words).not.toMatch(/Invalid input|received/);
	});
});
