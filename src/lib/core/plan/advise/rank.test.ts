// The order of what would help: least effort for most gain, and nothing is left out where something less helps.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import type { What } from './changes';
import { ranked } from './rank';

const kinds: readonly What[] = [
	{ kind: 'oven', part: 'p', setting: 180, instead: 200 },
	{ kind: 'help', from: 0, to: 60 },
	{ kind: 'burner' },
	{ kind: 'later', course: 'c', by: 300 },
	{ kind: 'before', part: 'p' },
	{ kind: 'without', part: 'p' }
];
const found = fc.array(
	fc.record({
		what: fc.constantFrom(...kinds),
		gain: fc.integer({ min: -3000, max: 9000 }),
		effect: fc.record({
			late: fc.constantFrom(-300, 0, 300),
			waiting: fc.constant(0),
			begins: fc.constant({ before: 0, after: 0 })
		})
	}),
	{ maxLength: 12 }
);
const isWithout = (f: { readonly what: What }) => f.what.kind === 'without';

test('of two of a kind the one that gains more comes first, and what gains nothing is not named', () => {
	fc.assert(
		fc.property(found, (list) => {
			const order = ranked(list);
			expect(list).toEqual(expect.arrayContaining([...order]));
			for (const f of order) expect(f.gain).toBeGreaterThan(0);
			for (const kind of kinds) {
				const own = order.filter((f) => f.what === kind).map((f) => f.gain);
				expect(own).toEqual(own.toSorted((a, b) => b - a));
			}
		}),
		{ numRuns: 200, seed: 3 }
	);
});

test('a part is left out only where nothing less helps, or nothing else makes it less late', () => {
	fc.assert(
		fc.property(found, (list) => {
			const order = ranked(list);
			if (!order.some(isWithout)) return;
			const others = order.filter((f) => !isWithout(f));
			expect(others.length === 0 || others.every((f) => f.effect.late >= 0)).toBe(true);
		}),
		{ numRuns: 200, seed: 4 }
	);
});

test('a knob before a favour before a purchase, where they gain the same', () => {
	const same = kinds
		.filter((what) => what.kind !== 'without')
		.map((what) => ({ what, gain: 2000, effect: { late: 0, waiting: -60, begins: { before: 0, after: 0 } } }));
	expect(ranked(same).map((f) => f.what.kind)).toEqual(['oven', 'before', 'later', 'help', 'burner']);
});
