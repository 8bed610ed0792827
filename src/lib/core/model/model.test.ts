// Meals, kitchens and techniques: what is refused and how it is said; every change leaves them consistent.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { wordIssue } from '../words/issues';
import { demoKitchens, demoMeals } from '../library/demo';
import { library } from '../library/library';
import { movedPart, withCovers, withoutPart, withPart, withService, withSetting, withTechnique } from './edit-meal';
import { withBurner, withCooks, withoutStation, withVesselCount } from './edit-kitchen';
import { readKitchen } from './kitchen';
import { readMeal, type Meal } from './meal';
import { readTechnique } from './technique';

const techniques = [...library.values()];
const words = (
	read: ReturnType<typeof readTechnique> | ReturnType<typeof readMeal> | ReturnType<typeof readKitchen>
) => (read.ok ? '' : read.issues.map(wordIssue).join('\n'));

test.each(techniques.map((t) => [t.id, t]))('technique %s is consistent', (_, technique) => {
	expect(words(readTechnique(JSON.parse(JSON.stringify(technique))))).toBe('');
});

test('the demo meals and kitchens are consistent', () => {
	for (const meal of demoMeals) expect(words(readMeal(meal, library))).toBe('');
	for (const kitchen of demoKitchens) expect(words(readKitchen(kitchen))).toBe('');
});

test('any changes to a meal leave it consistent', () => {
	const change = fc.oneof(
		fc.integer({ min: 1, max: 60 }).map((n) => (m: Meal) => withCovers(m, n)),
		fc.integer({ min: 68_000, max: 80_000 }).map((t) => (m: Meal) => withService(m, m.courses[0]?.id ?? '', t)),
		fc.nat().map((i) => (m: Meal) => withoutPart(m, m.parts[i % Math.max(1, m.parts.length)]?.id ?? '', library)),
		fc.constantFrom(...techniques).map((t) => (m: Meal) => withPart(m, t, m.courses.at(-1)?.id ?? '')),
		fc.tuple(fc.nat(), fc.constantFrom(...techniques)).map(
			([i, t]) =>
				(m: Meal) =>
					withTechnique(m, m.parts[i % Math.max(1, m.parts.length)]?.id ?? '', t, library)
		),
		fc.tuple(fc.nat(), fc.constantFrom(-1 as const, 1 as const)).map(
			([i, by]) =>
				(m: Meal) =>
					movedPart(m, m.parts[i % Math.max(1, m.parts.length)]?.id ?? '', by)
		),
		fc.tuple(fc.nat(), fc.double({ min: 0, max: 1, noNaN: true })).map(([i, share]) => (m: Meal) => {
			const part = m.parts[i % Math.max(1, m.parts.length)];
			const p = library.get(part?.technique ?? '')?.parameters[0];
			return part && p ? withSetting(m, part.id, p.id, p.least + share * (p.most - p.least), p.usual) : m;
		})
	);
	fc.assert(
		fc.property(fc.constantFrom(...demoMeals), fc.array(change, { maxLength: 12 }), (meal, changes) => {
			const parts = changes.reduce((m, f) => f(m), meal);
			expect(words(readMeal(JSON.parse(JSON.stringify(parts)), library))).toBe('');
		}),
		{ numRuns: 80, seed: 29 }
	);
});

test('any changes to a kitchen leave it consistent', () => {
	for (const kitchen of demoKitchens) {
		const changed = withVesselCount(
			withBurner(withBurner(withoutStation(withCooks(kitchen, 4), 'burner-1'))),
			'tray',
			5
		);
		expect(words(readKitchen(changed))).toBe('');
		expect(changed.cooks).toHaveLength(4);
	}
});

describe('what is wrong is named with its place', () => {
	const [meal] = demoMeals;
	const [technique] = techniques;
	test.each([
		[
			'an unknown technique',
			() => readMeal({ ...meal, parts: [{ ...meal?.parts[0], technique: 'magic' }] }, library),
			'parts[0].technique: "magic" is not among the techniques'
		],
		[
			'a thickness out of range',
			() => readMeal({ ...meal, parts: [{ ...meal?.parts[4], settings: { thickness: 500 } }], links: [] }, library),
			'500 mm is outside'
		],
		['no covers', () => readMeal({ ...meal, covers: 0 }, library), 'covers'],
		['a service that is no time of day', () => readMeal({ ...meal, earliest: 90_000 }, library), 'earliest'],
		[
			'steps in a circle',
			() =>
				readTechnique({
					...technique,
					steps: technique?.steps.map((s, i) =>
						i === 0 ? { ...s, after: [{ step: technique.steps.at(-1)?.id, least: 0 }] } : s
					)
				}),
			'in a circle'
		],
		['a kitchen without cooks', () => readKitchen({ ...demoKitchens[0], cooks: [] }), 'cooks: needs at least one cook']
	])('%s', (_, read, expected) => {
		expect(words(read())).toContain(expected);
	});
});
