// What is made ahead and eaten hot is reheated: a step of its own, to 74 °C, longer for more; what is eaten cold is taken out.
import { describe, expect, test } from 'vitest';
import { library } from '../../library/library';
import { mealOf, planned } from '../../testing/library-meal';

const again = [...library.values()].filter((t) => t.ahead?.reheat !== undefined);
const plan = (technique: string, covers = 4) =>
	planned(mealOf([{ technique, ahead: 'before' }], covers), undefined, 400);
const out = (technique: string, covers = 4) => plan(technique, covers).steps.find((s) => s.id === 'p0/out')!;

test('there are a dozen of them', () => {
	expect(again.length).toBeGreaterThan(10);
});

describe.each(again.map((t) => [t.id] as const))('%s', (id) => {
	test('is heated through on a burner, stirred and probed, in a time that grows with how much it is', () => {
		const few = out(id);
		expect(few.kind).toBe('cook');
		expect(few.lane).toMatch(/^burner/);
		expect(few.sign).toMatch(/74 °C right through/);
		expect(few.facts?.kind).toBe('reheat');
		expect(few.hands.at(-1)?.say).toMatch(/74 °C/);
		const many = out(id, 16);
		expect(many.to - many.from).toBeGreaterThan(few.to - few.from);
	});
});

test('what is eaten cold, or goes on cooking, is only taken out', () => {
	for (const id of ['marinated-eggs', 'cured-beef', 'herb-sauce']) {
		const step = out(id);
		expect([id, step.kind]).toEqual([id, 'prep']);
		expect(step.to - step.from).toBeLessThanOrEqual(60);
	}
});

test('as many kilos as a pot of mash takes some twenty minutes, a sauce two or three', () => {
	const minutes = (id: string, covers: number) => (out(id, covers).to - out(id, covers).from) / 60;
	expect(minutes('celeriac-puree', 16)).toBeGreaterThan(4);
	expect(minutes('white-sauce', 4)).toBeLessThan(5);
});
