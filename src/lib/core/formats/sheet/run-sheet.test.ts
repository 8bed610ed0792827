// The run sheet: every cue once and in order, the time that is left to its own course, and sheets that lose nobody's work.
import papa from 'papaparse';
import { describe, expect, test } from 'vitest';
import { cuesOf } from '../../run/cues';
import { demoCases, planDemo } from '../../testing/demo-plan';
import { runSheetOf, sheetRows, sheetsByCook, sheetsByStation, wordLeft, wordWhen } from './run-sheet';

const cases = demoCases.map((demo) => [demo.meal.name, planDemo(demo, 2000)] as const);

describe.each(cases)('%s', (_, plan) => {
	const lines = runSheetOf(plan, 'metric');

	test('every cue is a line, once, in order of time', () => {
		expect(
			lines
				.filter((l) => l.kind !== 'ahead')
				.map((l) => l.id)
				.toSorted()
		).toEqual(
			cuesOf(plan)
				.map((c) => c.id)
				.toSorted()
		);
		expect(lines.map((l) => l.at)).toEqual(lines.map((l) => l.at).toSorted((a, b) => a - b));
		for (const l of lines) {
			expect(l.say, l.id).not.toBe('');
			expect(`${l.say} ${l.sign} ${l.where}`, l.id).not.toMatch(/\{|undefined|NaN/);
			expect(l.until).toBeGreaterThanOrEqual(l.at);
		}
	});

	test('what is left is until its own course goes out; then it is now', () => {
		for (const s of plan.services) {
			const served = lines.find((l) => l.id === `${s.course}#serve`)!;
			expect(Math.abs(served.left - (s.at - served.at))).toBeLessThanOrEqual(1);
			const own = lines.filter((l) => l.course === s.name);
			expect(own.length).toBeGreaterThan(3);
			for (const l of own) expect(l.at + l.left).toBe(s.at);
		}
	});

	test('sheets by cook hold all that a cook does, those by station all that is done there, each in order', () => {
		const [byCook, byStation] = [sheetsByCook(lines, plan), sheetsByStation(lines, plan)];
		const hold = (sheets: typeof byCook) => new Set(sheets.flatMap((s) => s.lines.map((l) => l.id)));
		for (const l of lines.filter((x) => x.cook !== '')) expect(hold(byCook).has(l.id), l.id).toBe(true);
		const counter = new Set(plan.lanes.filter((x) => x.kind === 'rest' || x.kind === 'keep').map((x) => x.id));
		for (const l of lines.filter((x) => x.lane !== undefined && !counter.has(x.lane)))
			expect(hold(byStation).has(l.id), l.id).toBe(true);
		for (const { name, lines: own } of [...byCook, ...byStation]) {
			expect(
				own.map((l) => l.at),
				name
			).toEqual(own.map((l) => l.at).toSorted((a, b) => a - b));
			expect(new Set(own.map((l) => l.id)).size).toBe(own.length);
		}
		// Everybody knows when it is served.
		for (const s of byCook) expect(s.lines.some((l) => l.kind === 'serve')).toBe(true);
	});

	test('as a table it is read again as it was, in any units', () => {
		for (const measure of ['metric', 'us', 'spoons'] as const) {
			const rows = sheetRows(runSheetOf(plan, measure));
			const text = papa.unparse(
				rows.map((r) => [...r]),
				{ escapeFormulae: true, newline: '\r\n' }
			);
			const { data, errors } = papa.parse<string[]>(text);
			expect(errors).toEqual([]);
			expect(data).toHaveLength(rows.length);
			expect(data.map((r) => r[2])).toEqual(rows.map((r) => r[2]));
			for (const cell of data.flat()) expect(cell).not.toMatch(/^[=+@\t]/);
			if (measure === 'us') expect(text).not.toMatch(/\d °C/);
		}
	});
});

test.each([
	[0, '00:00'],
	[63_300, '17:35'],
	[-18_000, 'the day before, 19:00'],
	[-2 * 86_400 + 36_000, '2 days before, 10:00'],
	[86_400 + 600, '00:10']
])('%i s is %s', (at, words) => {
	expect(wordWhen(at)).toBe(words);
});

test.each([
	[6900, '− 1 h 55 min'],
	[95, '− 2 min'],
	[20, 'now'],
	[-400, 'now']
])('%i s before it is “%s”', (seconds, words) => {
	expect(wordLeft(seconds)).toBe(words);
});
