// Laws of the tables of foods: names are unique, numbers are possible, and what is in a thing never vanishes.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { library } from '../library/library';
import { allergensOf, amountsOf, shoppingOf } from '../model/quantities';
import { mealOf } from '../testing/library-meal';
import { allergens } from './allergens';
import { fatRow, fats, panFats, type Fat } from './fats';
import { allergensIn, dense, densityOf, foodNames, ingredientRows, isYielding, yielding, rawFor } from './ingredients';

const techniques = [...library.values()];
const fried = techniques.filter((t) => t.parameters.some((p) => p.id === 'fat'));

describe('ingredients', () => {
	test('no two share a name, whatever the order of its words', () => {
		const keys = ingredientRows
			.flatMap(([name, row]) => [name, ...(row.also ?? [])])
			.map((n) => n.toLowerCase().split(/\W+/).sort().join(' '));
		expect(new Set(keys).size).toBe(keys.length);
	});

	test('their allergens are those of the law, their foods those of the heat core', () => {
		const tags = new Set<string>(allergens);
		const foods = new Set<string>(foodNames);
		for (const [name, row] of ingredientRows) {
			expect([name, ...(row.allergens ?? [])]).toEqual([name, ...(row.allergens ?? []).filter((t) => tags.has(t))]);
			expect([name, row.food === undefined || foods.has(row.food)]).toEqual([name, true]);
		}
	});

	test('a density is found by any of the names, in any order of words, and is one of a solid or a liquid', () => {
		expect(dense.length).toBeGreaterThan(60);
		for (const name of dense) {
			expect(densityOf(name)).toBeGreaterThan(0.05);
			expect(densityOf(name)).toBeLessThan(1.6);
			expect(densityOf(name.split(' ').reverse().join(', ').toUpperCase())).toBe(densityOf(name));
		}
		for (const [name, row] of ingredientRows)
			for (const other of row.also ?? []) expect(densityOf(other)).toBe(densityOf(name));
	});

	test('one never serves more than is bought, and twice as much wants twice as much', () => {
		fc.assert(
			fc.property(fc.constantFrom(...yielding), fc.double({ min: 0.01, max: 20, noNaN: true }), (what, served) => {
				expect(rawFor(served, what)).toBeGreaterThanOrEqual(served);
				expect(rawFor(2 * served, what)).toBeCloseTo(2 * rawFor(served, what), 9);
			})
		);
		expect(isYielding('constructor')).toBe(false);
		expect(isYielding('water')).toBe(false);
		expect(isYielding('potato')).toBe(true);
	});

	test('a compound has what it is made of', () => {
		const has = (name: string, ...made: string[]) => {
			for (const part of made) for (const tag of allergensIn(part)) expect(allergensIn(name)).toContain(tag);
		};
		has('mayonnaise', 'egg yolk', 'mustard');
		has('couscous', 'semolina');
		has('butter', 'cream');
		has('tahini', 'sesame');
		expect(allergensIn('moon dust')).toEqual([]);
	});
});

describe('fats', () => {
	test.each(Object.entries(fats))(
		'%s: smokes at a heat that a pan has, low end first',
		(_, { smokes: [low, high] }) => {
			expect(low).toBeLessThanOrEqual(high);
			expect(low).toBeGreaterThan(100);
			expect(high).toBeLessThan(300);
		}
	);

	test('the first for the pan smokes last of them all', () => {
		const lows = panFats.map((name) => fats[name].smokes[0]);
		expect(Math.max(...lows)).toBe(lows[0]);
	});
});

describe('the fat that the cook chooses', () => {
	const settingsOf = (fat: Fat) => ({ fat: panFats.findIndex((name) => name === fat) });

	test('every technique that heats a pan for frying lets it be chosen, and no other', () => {
		for (const t of techniques) {
			const isFried = t.steps.some((s) => s.time.model?.kind === 'hot-pan');
			expect([t.id, t.parameters.some((p) => p.id === 'fat')]).toEqual([t.id, isFried]);
		}
		expect(fried.length).toBeGreaterThan(15);
	});

	test.each(fried)('$id: is in the lists by its name, once, with what is in it', (technique) => {
		for (const fat of panFats.slice(1)) {
			const settings = settingsOf(fat);
			const lines = amountsOf(technique, settings, 4).filter((a) => a.name === fat);
			expect(lines).toHaveLength(1);
			expect(lines[0]?.used).toBeGreaterThan(0);
			expect(lines[0]?.unit).toBe(fatRow(fat).weighed === undefined ? 'ml' : 'g');
			const tags = allergensOf(technique, settings);
			for (const tag of fatRow(fat).allergens ?? []) expect(tags).toContain(tag);
			for (const own of allergensOf(technique, {})) expect(tags).toContain(own);
		}
	});

	test('butter for the oil brings milk where there was none', () => {
		const [plain] = fried.filter((t) => !allergensOf(t, {}).includes('milk'));
		expect(plain && allergensOf(plain, settingsOf('whole butter'))).toContain('milk');
		expect(plain && allergensOf(plain, settingsOf('ghee'))).toContain('milk');
	});
});

describe('lists', () => {
	test('each technique says of each ingredient what the table says of it', () => {
		for (const { id, ingredients: used = [] } of techniques) {
			for (const { name, allergens: tags = [] } of used)
				expect([id, name, ...tags]).toEqual([id, name, ...allergensIn(name)]);
		}
	});

	test('a line has the allergens of all parts it is for, whichever comes last', () => {
		const salted = techniques.find((t) => t.ingredients?.some((i) => i.name === 'fine salt'));
		if (!salted) throw new RangeError('no technique is salted');
		const tagged = {
			...salted,
			id: 'tagged',
			ingredients: (salted.ingredients ?? []).map((i) =>
				i.name === 'fine salt' ? { ...i, allergens: ['celery' as const] } : i
			)
		};
		const known = new Map([salted, tagged].map((t) => [t.id, t]));
		for (const order of [
			['tagged', salted.id],
			[salted.id, 'tagged']
		]) {
			const meal = mealOf(
				order.map((technique) => ({ technique })),
				4
			);
			const line = shoppingOf(meal, known).find((l) => l.name === 'fine salt');
			expect(line?.allergens).toEqual(['celery']);
			expect(line?.parts.length).toBeGreaterThan(0);
		}
	});
});
