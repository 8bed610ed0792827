// The line of a chance: rises from what is on time to what is certain, within its box.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { chanceLine } from './chance';

const lates = fc
	.array(fc.integer({ min: 0, max: 4000 }), { minLength: 101, maxLength: 101 })
	.map((all) => all.toSorted((a, b) => a - b));

test('it rises and goes to the right, from edge to edge, and ticks lie within', () => {
	fc.assert(
		fc.property(lates, (late) => {
			const { path, ticks } = chanceLine(late, 260, 64);
			const points = path
				.slice(1)
				.split(' L')
				.map((p) => p.split(' ').map(Number));
			expect(points[0]![0]).toBe(0);
			expect(points.at(-1)![0]).toBe(260);
			points.slice(1).forEach(([x, y], i) => {
				const [before, above] = points[i]!;
				expect(x!).toBeGreaterThanOrEqual(before!);
				expect(y!).toBeLessThanOrEqual(above! + 0.11);
				expect(y!).toBeGreaterThanOrEqual(0);
				expect(y!).toBeLessThanOrEqual(64);
			});
			expect(ticks[0]).toEqual({ x: 0, seconds: 0 });
			for (const t of ticks) expect(t.x).toBeLessThanOrEqual(260);
		}),
		{ numRuns: 200, seed: 17 }
	);
});

test('where all is on time it lies at the top', () => {
	const { path } = chanceLine(
		Array.from({ length: 101 }, () => 0),
		260,
		64
	);
	expect(path).toBe('M0 0.0 L0.0 0.0 L260 0.0');
});
