// Juntos files: what is written can be read; what is broken is said, and never thrown.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { wordIssue } from '../../words/issues';
import { library } from '../../library/library';
import { demoCases } from '../../testing/demo-plan';
import { readFile, writeFile } from './juntos';

test.each(demoCases.map((c) => [c.meal.name, c]))('%s: written, then read, is the same', (_, { meal, kitchen }) => {
	expect(readFile(writeFile(meal, kitchen), library)).toEqual({ ok: true, value: { meal, kitchen } });
});

test('any text is a file or has issues', () => {
	fc.assert(
		fc.property(fc.oneof(fc.string(), fc.json()), (text) => {
			const read = readFile(text, library);
			expect(read.ok || read.issues.map(wordIssue).every((w) => w.length > 10)).toBe(true);
		}),
		{ numRuns: 300, seed: 31 }
	);
});

describe('a broken file', () => {
	const [{ meal, kitchen }] = demoCases as [(typeof demoCases)[number]];
	const file = JSON.parse(writeFile(meal, kitchen)) as Record<string, unknown>;
	test.each([
		['is cut off', writeFile(meal, kitchen).slice(0, 500), 'not JSON'],
		['is of another kind', '{"format":"list","version":1}', 'format: the format is "list"'],
		['is of a newer version', JSON.stringify({ ...file, version: 7 }), 'newer Juntos'],
		[
			'has a meal of a newer version',
			JSON.stringify({ ...file, meal: { ...meal, version: 2 } }),
			'meal.version: version 2'
		],
		['has people as a word', JSON.stringify({ ...file, meal: { ...meal, covers: 'six' } }), 'meal.covers'],
		['is a list', '[]', 'not an object']
	])('that %s is refused with its place', (_, text, words) => {
		const read = readFile(text, library);
		expect(read.ok).toBe(false);
		if (!read.ok) expect(read.issues.map(wordIssue).join('\n')).toContain(words);
	});
});
