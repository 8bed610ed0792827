// The Bench: every question answers whatever it allows, in figures or with a reason, never with NaN.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { readMeal } from '../model/meal';
import { withStep } from '../model/edit-meal';
import { library } from '../library/library';
import { demoCases } from '../testing/demo-plan';
import { planMealNow } from '../plan/plan-meal';
import { withOwn } from '../model/meal';
import { readInputs, type Field } from './question';
import { questions } from './questions';

const anyValue = (field: Field): fc.Arbitrary<number | string> => {
	switch (field.kind) {
		case 'number':
			return fc.oneof(
				fc.double({ min: field.least, max: field.most, noNaN: true }),
				fc.constantFrom(field.least, field.most, field.usual)
			);
		case 'choice':
			return fc.constantFrom(...field.options);
		case 'text':
			return fc.oneof(
				fc.string({ maxLength: 20 }),
				fc.constantFrom('1 1/2 cups', '350F', '2 lb 3 oz', '¾ in', 'plain flour')
			);
	}
};

describe.each(questions.map((q) => [q.name, q] as const))('%s', (_, question) => {
	const usual = readInputs(question, new URLSearchParams()).inputs;

	test('answers as usual, with a reason', () => {
		const answer = question.answer(usual);
		expect(answer.trouble).toBeUndefined();
		expect(answer.lines.length).toBeGreaterThan(0);
		expect(answer.reason.length).toBeGreaterThan(30);
	});

	test('answers anything that its fields allow, never with NaN', () => {
		const inputs = fc.record(Object.fromEntries(question.fields.map((f) => [f.id, anyValue(f)])));
		fc.assert(
			fc.property(inputs, (given) => {
				const answer = question.answer(given);
				const words = JSON.stringify([answer.lines, answer.cautions, answer.trouble, answer.reason]);
				expect(words).not.toMatch(/NaN|undefined|Infinity/);
				expect(answer.lines.length + (answer.trouble ? 1 : 0)).toBeGreaterThan(0);
				for (const { x, y } of answer.chart?.curves ?? []) {
					expect(x.length).toBe(y.length);
					expect([...x, ...y].every(Number.isFinite)).toBe(true);
				}
				if (answer.step) expect(answer.step.seconds).toBeGreaterThan(0);
			}),
			{ numRuns: 25, seed: 1 }
		);
	});

	test('a URL carries its inputs; what it cannot use is said and taken as usual', () => {
		const query = new URLSearchParams(Object.entries(usual).map(([id, value]) => [id, String(value)]));
		expect(readInputs(question, query)).toEqual({ inputs: usual, refused: [] });
		const bad = new URLSearchParams(question.fields.map((f) => [f.id, f.kind === 'number' ? '-1e9' : 'no such thing']));
		const asked = question.fields.filter((f) => f.kind !== 'text');
		expect(readInputs(question, bad).refused.length).toBe(asked.length);
	});
});

test('an answer becomes a step of the meal, which is still consistent and has a plan', () => {
	const [supper] = demoCases;
	if (!supper) throw new RangeError('no demo');
	for (const question of questions) {
		const { step } = question.answer(readInputs(question, new URLSearchParams()).inputs);
		if (!step) continue;
		const meal = withStep({ ...supper.meal, parts: [], links: [] }, step, 'plates');
		expect(readMeal(JSON.parse(JSON.stringify(meal)), library)).toEqual({ ok: true, value: meal });
		const techniques = [...withOwn(library, meal).values()];
		const outcome = planMealNow({ meal, kitchen: supper.kitchen, techniques, seed: 1, budget: 2000 });
		expect(outcome.kind, step.say).toBe('plan');
	}
});
