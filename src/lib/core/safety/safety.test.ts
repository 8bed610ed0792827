// Lethality against its check values and its own sums; the published table against its rows.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { gatedLethality, lethality, organisms, publishedTime, speciesOf, type Segment } from './lethality';
import { betweenColdAndHot, coolingHolds, keeps, rules } from './rules';

const line = (seconds: number, from: number, to: number): Segment => ({ seconds, from, to });

test.each([
	['held', [line(600, 58, 58)], 60, 111, 5.56, 2.361],
	['up, held, down', [line(1500, 45, 61), line(300, 61, 61), line(600, 61, 52)], 60, 111, 5.56, 9.313],
	['a slow rise', [line(900, 50, 68)], 70, 20, 7.5, 4.389]
])('%s: log reductions of the check values', (_, segments, reference, d, z, expected) => {
	expect(Math.abs(lethality(segments, reference, d, z) - expected)).toBeLessThan(0.003);
});

const anySegments = fc.array(
	fc.record({
		seconds: fc.double({ min: 0, max: 2000, noNaN: true }),
		from: fc.double({ min: 20, max: 75, noNaN: true }),
		to: fc.double({ min: 20, max: 75, noNaN: true })
	}),
	{ maxLength: 6 }
);

test('a stretch cut in two counts the same, and the gate never counts more', () => {
	fc.assert(
		fc.property(anySegments, (segments) => {
			const halves = segments.flatMap(({ seconds, from, to }) => [
				line(seconds / 2, from, (from + to) / 2),
				line(seconds / 2, (from + to) / 2, to)
			]);
			const organism = organisms['Salmonella in red meat'];
			const { reference, d, z } = organism;
			expect(lethality(halves, reference, d, z)).toBeCloseTo(lethality(segments, reference, d, z), 6);
			expect(gatedLethality(segments, organism)).toBeLessThanOrEqual(lethality(segments, reference, d, z) + 1e-9);
		}),
		{ numRuns: 100, seed: 1 }
	);
});

test('a flat stretch is the limit of a nearly flat one', () => {
	expect(lethality([line(300, 60, 60)], 60, 111, 5.56)).toBeCloseTo(
		lethality([line(300, 60, 60 + 1e-7)], 60, 111, 5.56),
		6
	);
});

test.each([
	[59.7, 13.5],
	[63, 3.48],
	[60, 12],
	[54.44444, 112],
	[70, 0]
])('published beef time at %f °C is %f min (FSIS Appendix A)', (celsius, minutes) => {
	const found = (publishedTime(celsius, 6.5, 'beef') ?? NaN) / 60;
	if (minutes === 0) expect(found).toBe(0);
	else expect(found / minutes).toBeCloseTo(1, 1.9);
});

test('published times fall with temperature, are longer for 7 log, and end where the table ends', () => {
	for (let f = 130; f < 165; f += 0.7) {
		const celsius = (f - 32) / 1.8;
		for (const [species, logs] of [
			['beef', 6.5],
			['poultry', 7]
		] as const) {
			const [now, warmer] = [publishedTime(celsius, logs, species), publishedTime(celsius + 0.5, logs, species)];
			expect(warmer).toBeLessThanOrEqual(now ?? 0);
		}
	}
	expect((publishedTime(60, 7, 'beef') ?? 0) / (publishedTime(60, 6.5, 'beef') ?? 1)).toBeCloseTo(1.08, 9);
	expect(publishedTime(50, 6.5, 'beef')).toBe(Infinity);
	expect(publishedTime(60, 3, 'beef')).toBeUndefined();
	expect(publishedTime(74, 7, 'poultry')).toBe(0);
	expect([speciesOf('Lamb'), speciesOf('chicken'), speciesOf('oyster')]).toEqual(['beef', 'poultry', undefined]);
});

test('the clock counts what lies between cold and hot; cooling is held to both its limits', () => {
	expect(betweenColdAndHot([3, 10, 30, 56, 60, 40, 4], 60)).toBe(4 * 60);
	const cooling = (rate: number) => Array.from({ length: 600 }, (_, i) => 2 + 68 * Math.exp(-i / rate));
	expect(coolingHolds(cooling(60), 60)).toEqual({ first: true, whole: true });
	expect(coolingHolds(cooling(200), 60)).toEqual({ first: false, whole: false });
});

test('every rule has all three columns, every shelf life a range', () => {
	for (const rule of rules) for (const column of Object.values(rule)) expect(column).not.toBe('');
	for (const [least, most] of Object.values(keeps)) expect(least).toBeLessThanOrEqual(most);
});
