// Disjoint sets and chains of lags against plain walks over all pairs.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { chains, Groups } from './groups';

const count = 9;
const number = fc.integer({ min: 0, max: count - 1 });
const all = Array.from({ length: count }, (_, i) => i);

/** Which numbers reach which, over pairs in their direction (Warshall 1962). */
function reached(pairs: readonly (readonly [number, number])[]): readonly (readonly boolean[])[] {
	const found = all.map((i) => all.map((k) => i === k));
	for (const [i, k] of pairs) found[i]![k] = true;
	for (const over of all)
		for (const i of all) for (const k of all) if (found[i]![over]! && found[over]![k]!) found[i]![k] = true;
	return found;
}

test('two numbers are of one set where a row of joins leads from one to the other, and a join says whether it was new', () => {
	fc.assert(
		fc.property(fc.array(fc.tuple(number, number), { maxLength: 12 }), (pairs) => {
			const groups = new Groups(count);
			pairs.forEach(([i, k], n) => {
				const before = reached(pairs.slice(0, n).flatMap(([a, b]) => [[a, b] as const, [b, a] as const]));
				expect(groups.join(i, k)).toBe(!before[i]![k]!);
			});
			const after = reached(pairs.flatMap(([a, b]) => [[a, b] as const, [b, a] as const]));
			for (const i of all) for (const k of all) expect(groups.find(i) === groups.find(k)).toBe(after[i]![k]);
		})
	);
});

test('a chain is a row of lags of at least 0, over tasks that it may pass', () => {
	const lag = fc.record({ from: number, to: number, min: fc.integer({ min: -2, max: 3 }) });
	fc.assert(
		fc.property(fc.array(lag, { maxLength: 16 }), fc.uniqueArray(number), (lags, shut) => {
			const follows = chains(lags, (over) => !shut.includes(over));
			const surely = lags.filter((l) => l.min >= 0);
			for (const from of all) {
				for (const to of all) {
					// What is shut may begin or end a chain, but none leads over it.
					const open = surely.filter((l) => l.from === from || !shut.includes(l.from));
					expect(follows(from, to)).toBe(reached(open.map((l) => [l.from, l.to] as const))[from]![to]);
				}
			}
		})
	);
});
