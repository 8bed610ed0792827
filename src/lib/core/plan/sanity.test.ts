// What an experienced cook expects of each technique, row by row, against what is computed; and what figures are made of.
import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { presets } from '../library/kitchens';
import { library } from '../library/library';
import { wordWarning } from '../words/warnings';
import { readRows, valueOf } from '../testing/sanity';
import { figuresOf, type Asked } from './figures';

const rows = readRows(readFileSync(new URL('../../../../truth/sanity.json', import.meta.url), 'utf8'));

describe.each([...new Set(rows.map((r) => r.kind))])('%s', (kind) => {
	test.each(rows.filter((r) => r.kind === kind).map((row) => [row.id, row] as const))('%s', (_id, row) => {
		const value = valueOf(row);
		expect(value, row.why).toBeGreaterThanOrEqual(row.low);
		expect(value, row.why).toBeLessThanOrEqual(row.high);
	});
});

describe('a question that cannot be answered', () => {
	const good: Asked = { technique: 'steak-pan', people: 2, values: {}, kitchen: 'family' };
	test.each([
		['another technique', { technique: 'steak-flown' }, 'unknown', /no technique "steak-flown"/],
		['another parameter', { values: { colour: 3 } }, 'unknown', /no parameter "colour": it has thickness/],
		['a value beyond its range', { values: { thickness: 400 } }, 'unknown', /15 to 55/],
		['words of no option', { values: { turns: 'sometimes' } }, 'unknown', /"often", "once"/],
		['an oven that melts', { values: { oven: 900 } }, 'unknown', /30 to 350/],
		['another kitchen', { kitchen: 'ship' }, 'unknown', /no kitchen "ship"/]
	])('%s', (_, change, code, words) => {
		const { figures, warnings } = figuresOf({ ...good, ...change }, library, presets);
		expect(figures).toBeUndefined();
		expect(warnings.map((w) => w.code)).toEqual([code]);
		expect(warnings.map(wordWarning).join()).toMatch(words);
	});
});

test('figures are sums of their steps, each batch its own', () => {
	for (const technique of ['steak-pan', 'chicken-whole-roast', 'eggs-sunny', 'potatoes-roast']) {
		const { figures } = figuresOf({ technique, people: 12, values: {}, kitchen: 'family' }, library, presets);
		if (!figures) throw new RangeError(technique);
		const cooked = figures.steps.filter((s) => s.kind === 'cook' || s.kind === 'hold');
		expect(figures.cooking_min * 60).toBeCloseTo(
			cooked.reduce((sum, s) => sum + s.usual_s, 0),
			-1
		);
		for (const s of figures.steps) {
			expect(s.shortest_s).toBeLessThanOrEqual(s.usual_s);
			expect(s.longest_s).toBeGreaterThanOrEqual(s.usual_s);
		}
		expect(figures.total_min).toBeGreaterThanOrEqual(figures.hands_min - 1e-9);
		expect(new Set(figures.steps.map((s) => s.step)).size).toBe(figures.steps.length);
	}
});

test('words of an option may be shortened, and mean its value', () => {
	const of = (turns: string | number) =>
		figuresOf({ technique: 'steak-pan', people: 2, values: { turns }, kitchen: 'family' }, library, presets);
	expect(of('onc')).toEqual(of(0));
	expect(of('Often')).toEqual(of(45));
});
