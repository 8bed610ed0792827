// Reading problems: whatever comes in, a value or issues come out.
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { wordIssue } from '../issues';
import { randomProblem, small } from '../testing/random-problem';
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
	['a fraction', { horizon: 7.5 }, 'horizon'],
	['no service', { services: [] }, 'services']
])('%s is named with its place', (_, change, words) => {
	const read = readProblem({ ...example, ...change });
	expect(read.ok).toBe(false);
	if (!read.ok) expect(read.issues.map(wordIssue).join('\n')).toContain(words);
});
