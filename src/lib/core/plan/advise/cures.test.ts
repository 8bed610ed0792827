// Cures: each is a real plan, keeps every rule, and breaks just the promise that it names.
import { expect, test } from 'vitest';
import { library } from '../../library/library';
import { withRoom } from '../../model/edit-meal';
import { demoCases } from '../../testing/demo-plan';
import { wordBreach } from '../../words/advice';
import { planMealNow, type PlanRequest } from '../plan-meal';
import { cures, usualOrder, type Cure, type Promised } from './cures';

const [supper] = demoCases;
if (!supper) throw new RangeError('no demo');
const service = supper.meal.courses[0]?.service ?? 0;
const minutes = 60;

/** The demo supper for ten, with so little time before it that even two hours late it cannot be done. */
const hurried: PlanRequest = {
	...supper,
	meal: { ...supper.meal, covers: 10, earliest: service - 5 * minutes },
	techniques: [...library.values()],
	seed: 1,
	budget: 30_000
};

const curesOf = (order?: readonly Promised[]): readonly Cure[] =>
	[...cures(hurried, order)].filter((c) => c !== undefined);

test('the hurried supper has no plan', () => {
	const outcome = planMealNow(hurried);
	expect(outcome.kind).not.toBe('plan');
});

test('each cure is applied to a meal that has a plan; a smaller breach of the same promise has none', () => {
	const found = curesOf(['start', 'service']);
	expect(found.map((c) => c.breaks)).toEqual(['start', 'service']);
	for (const cure of found) {
		if (!cure.apply) throw new Error(`${cure.id} cannot be applied`);
		expect(planMealNow({ ...hurried, ...cure.apply }).kind).toBe('plan');
		expect(cure.plan.meal).toBe(hurried.meal.id);
	}
	const later = found.find((c) => c.breaks === 'service');
	const moved = (later?.apply?.meal.courses[0]?.service ?? 0) - service;
	expect(moved).toBeGreaterThan(0);
	// Half of it is not enough, with as much work as the cure was sought with.
	const half = hurried.meal.courses.map((c) => ({ ...c, service: c.service + moved / 2 }));
	expect(planMealNow({ ...hurried, budget: 5000, meal: { ...hurried.meal, courses: half } }).kind).not.toBe('plan');
});

test('room behind the steps is the first thing to be given up, and only where there is some', () => {
	const roomy = { ...hurried, meal: withRoom(supper.meal, 'much'), budget: 3000 };
	const [cure, ...more] = [...cures(roomy, ['room'])].filter((c) => c !== undefined);
	expect(more).toEqual([]);
	expect(cure?.apply?.meal.room).toBeUndefined();
	expect(cure && wordBreach(cure.breach)).toBe('no room behind the steps');
	expect(curesOf(['room'])).toEqual([]);
	expect(usualOrder[0]).toBe('room');
});

test('a rest that is computed may be cut short, and says for how long', () => {
	const at = supper.meal.courses.at(-1)!.service;
	const [course] = supper.meal.courses;
	const parts = supper.meal.parts.filter((p) => p.id === 'duck').map((p) => ({ ...p, course: course!.id }));
	const meal = { ...supper.meal, parts, links: [], courses: [course!], earliest: at - 200 * minutes };
	const request = { ...hurried, meal };
	const [rest] = [...cures(request, ['rest'])].filter((c) => c !== undefined);
	expect(rest?.breach).toMatchObject({ kind: 'rest', part: 'Duck breast, pink' });
	const full = planMealNow(request);
	if (full.kind !== 'plan' || rest?.breach.kind !== 'rest') throw new Error(full.kind);
	const length = (plan: typeof full.plan) => {
		const step = plan.steps.find((s) => s.id === 'duck/rest');
		return (step?.to ?? 0) - (step?.from ?? 0);
	};
	expect(length(rest.plan)).toBeLessThan(length(full.plan));
	expect(Math.abs(length(rest.plan) - rest.breach.seconds)).toBeLessThanOrEqual(15);
	expect(wordBreach(rest.breach)).toMatch(/^rest duck breast, pink only/);
});

test('they come in the order of the cook’s choosing', () => {
	const backwards = curesOf(['service', 'start']).map((c) => c.breaks);
	expect(backwards).toEqual(['service', 'start']);
	expect(usualOrder.indexOf('service')).toBeLessThan(usualOrder.indexOf('rest'));
	expect(usualOrder.indexOf('rest')).toBeLessThan(usualOrder.indexOf('part'));
});
