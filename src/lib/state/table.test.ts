// What a cook keeps: nothing is ever lost, there is always a meal open in a kitchen that is there.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { demoKitchens, demoMeals } from '../core/library/demo';
import { presets } from '../core/library/kitchens';
import {
	inKitchen,
	shown,
	withKitchenArchived,
	withKitchenBack,
	withMealArchived,
	withMealBack,
	withMealCopy,
	withNewKitchen,
	withNewMeal,
	type Table
} from './table';

const start: Table = { meals: demoMeals, kitchens: demoKitchens, techniques: [], open: demoMeals[0]!.id };
const at = <T>(list: readonly T[], n: number) => list[n % list.length]!;

const edit: fc.Arbitrary<(t: Table) => Table> = fc.oneof(
	fc.constantFrom(withNewMeal, withMealCopy, withMealArchived, withKitchenArchived),
	fc.nat(20).map((n) => (t: Table) => withMealBack(t, at(t.meals, n).id)),
	fc.nat(20).map((n) => (t: Table) => withKitchenBack(t, at(t.kitchens, n).id)),
	fc.nat(20).map((n) => (t: Table) => inKitchen(t, at(shown(t.kitchens), n).id)),
	fc.nat(20).map((n) => (t: Table) => withNewKitchen(t, at(presets, n).kitchen, at(presets, n).name))
);

test('whatever is begun, copied or put away, all of it is kept under names and ids of its own', () => {
	fc.assert(
		fc.property(fc.array(edit, { maxLength: 20 }), (edits) => {
			let table = start;
			for (const change of edits) {
				const next = change(table);
				for (const kind of ['meals', 'kitchens'] as const) {
					const ids = new Set(next[kind].map((x) => x.id));
					expect(ids.size).toBe(next[kind].length);
					for (const { id } of table[kind]) expect(ids).toContain(id);
				}
				const open = next.meals.find((m) => m.id === next.open);
				expect(open).toBeDefined();
				expect(open?.archived).not.toBe(true);
				expect(next.kitchens.some((k) => k.id === open?.kitchen)).toBe(true);
				expect(shown(next.kitchens).length).toBeGreaterThan(0);
				table = next;
			}
		}),
		{ seed: 51, numRuns: 200 }
	);
});

test('a copy differs by name and id alone, a new one is empty', () => {
	const copied = withMealCopy(start);
	const [copy, original] = [copied.meals.at(-1)!, demoMeals[0]!];
	expect({ ...copy, id: original.id, name: original.name }).toEqual(original);
	expect(withNewMeal(start).meals.at(-1)).toMatchObject({ parts: [], kitchen: original.kitchen });
});
