// Pieces on trays and in pans: all are there, none over the rim, none over another, where there is room for them in rows.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { layPieces } from './lay-pieces';

const side = fc.double({ min: 0.02, max: 0.2, noNaN: true });
const vessel = fc.oneof(
	fc.record({
		length: fc.double({ min: 0.2, max: 0.6, noNaN: true }),
		width: fc.double({ min: 0.2, max: 0.5, noNaN: true }),
		isRound: fc.constant(false)
	}),
	fc.double({ min: 0.2, max: 0.5, noNaN: true }).map((d) => ({ length: d, width: d, isRound: true }))
);

test('whatever has room in rows lies within its vessel, and on nothing else', () => {
	fc.assert(
		fc.property(fc.integer({ min: 1, max: 24 }), side, side, vessel, (count, long, wide, v) => {
			const laid = layPieces(count, { long, wide }, v);
			expect(laid).toHaveLength(count);
			const overlap = (a: (typeof laid)[number], b: (typeof laid)[number]) =>
				Math.abs(a.x - b.x) < a.long - 1e-9 && Math.abs(a.y - b.y) < a.wide - 1e-9;
			const isOver = laid.some((a, i) => laid.slice(i + 1).some((b) => overlap(a, b)));
			const out = laid.some((a) => {
				const [x, y] = [Math.abs(a.x - v.length / 2) + a.long / 2, Math.abs(a.y - v.width / 2) + a.wide / 2];
				return v.isRound ? Math.hypot(x, y) > v.length / 2 + 1e-9 : x > v.length / 2 + 1e-9 || y > v.width / 2 + 1e-9;
			});
			const rows = (l: number, w: number) =>
				v.isRound
					? Math.hypot(l * Math.ceil(Math.sqrt(count)), w * Math.ceil(count / Math.ceil(Math.sqrt(count)))) <= v.length
					: Math.floor(v.length / l) * Math.floor(v.width / w) >= count;
			if (rows(long, wide) || rows(wide, long)) expect([isOver, out]).toEqual([false, false]);
		}),
		{ seed: 61, numRuns: 300 }
	);
});
