// The store of clauses against the plainest model: a list. Whatever is forgotten, the rest is whole, watched where it was, and
// what is of the model is never forgotten.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { Clauses, HEAD } from './clauses';

const halves = 40;

/** A clause: its literals in pairs, of different halves; learnt or not, and over how many levels. */
const clause = fc.record({
	literals: fc
		.uniqueArray(fc.integer({ min: 0, max: halves - 1 }), { minLength: 2, maxLength: 60 })
		.chain((hs) =>
			fc
				.array(fc.integer({ min: -50, max: 50 }), { minLength: hs.length, maxLength: hs.length })
				.map((values) => hs.flatMap((h, i) => [h, values[i] ?? 0]))
		),
	isLearnt: fc.boolean(),
	levels: fc.integer({ min: 1, max: 9 })
});
type Clause = typeof clause extends fc.Arbitrary<infer T> ? T : never;
const steps = fc.array(
	fc.oneof({ weight: 9, arbitrary: clause }, { weight: 1, arbitrary: fc.constant('forget' as const) }),
	{
		minLength: 120,
		maxLength: 300
	}
);

const keyOf = ({ literals, isLearnt, levels }: Clause) => JSON.stringify([literals, isLearnt, levels]);

/** The clauses that are watched, read back, and how often each is. */
function watched(clauses: Clauses): Map<string, number> {
	const found = new Map<string, number>();
	clauses.watches.forEach((list, h) => {
		for (let i = 0; i < list.length; i += 2) {
			const ref = list[i] ?? NaN;
			const size = clauses.words[ref] ?? NaN;
			const literals = [...clauses.words.subarray(ref + HEAD, ref + HEAD + 2 * size)];
			// It is watched at one of its first two, by that one's value.
			const at = [0, 2].find((k) => literals[k] === (h ^ 1) && literals[k + 1] === list[i + 1]);
			expect(at).toBeDefined();
			const key = keyOf({ literals, isLearnt: clauses.words[ref + 1] === 1, levels: clauses.words[ref + 2] ?? NaN });
			found.set(key, (found.get(key) ?? 0) + 1);
		}
	});
	return found;
}

test('what is stored is watched twice and reads as it was; forgetting drops learnt ones alone, the worse half', () => {
	let forgotten = 0;
	fc.assert(
		fc.property(steps, (list) => {
			const clauses = new Clauses();
			for (let h = 0; h < halves; h++) clauses.watches.push([]);
			let model: Clause[] = [];
			for (const step of list) {
				if (step !== 'forget') {
					clauses.store(step.literals, step.isLearnt, step.levels);
					model.push(step);
					continue;
				}
				const learnt = model.filter((c) => c.isLearnt);
				const byWorth = learnt.map((c, age) => ({ c, age })).sort((a, b) => a.c.levels - b.c.levels || b.age - a.age);
				const kept = new Set(byWorth.filter(({ c }, i) => c.levels <= 2 || i < learnt.length / 2).map(({ c }) => c));
				forgotten += learnt.length - kept.size;
				model = model.filter((c) => !c.isLearnt || kept.has(c));
				clauses.forget();
			}
			expect(clauses.learnt).toBe(model.filter((c) => c.isLearnt).length);
			const expected = new Map<string, number>();
			for (const c of model) expected.set(keyOf(c), (expected.get(keyOf(c)) ?? 0) + 2);
			expect(watched(clauses)).toEqual(expected);
		}),
		{ numRuns: 60, seed: 11 }
	);
	expect(forgotten).toBeGreaterThan(1000);
});
