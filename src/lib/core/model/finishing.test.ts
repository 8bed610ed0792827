// Sauces that finish a part: one more step, after both, tasted; nothing is plated twice, no allergen is lost.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { library } from '../library/library';
import { mealOf, planned } from '../testing/library-meal';
import { bowlsOf } from './bowls';
import { finishedBy, isUntied, withFinishing, withoutPart, withPart, withVesselFound } from './edit-meal';
import { finishStep } from './finishing';
import { readMeal, type Meal } from './meal';
import { allergens } from '../foods/allergens';
import { offersFor } from '../plan/advise/guest-offers';
import { wordGuestOffer } from '../words/guests';
import type { Plan } from './plan';
import { shoppingOf } from './quantities';
import { valueOf } from './time-model';

const sauces = ['vinaigrette', 'herb-sauce', 'herb-yogurt', 'mayonnaise', 'reduction'];
const finishable = ['leeks-steam', 'carrots-roast', 'boiled-potatoes', 'onions-grill', 'leaves-dressed'].filter((id) =>
	library.has(id)
);
const dressed = (side: string, sauce: string, more: Partial<Meal> = {}, covers = 4): Meal => ({
	...mealOf([{ technique: side }, { technique: sauce, finishes: 'p0' }], covers),
	...more
});

test('any sauce on any side: added when both are ready, within what the side bears, and then plated', () => {
	fc.assert(
		fc.property(
			fc.constantFrom(...finishable),
			fc.constantFrom(...sauces),
			fc.integer({ min: 1, max: 12 }),
			(side, sauce, covers) => {
				const plan = planned(dressed(side, sauce, {}, covers), undefined, 1500);
				const own = plan.steps.filter((s) => s.part === 'p0');
				const finish = own.find((s) => s.id.endsWith(finishStep({ id: 'p1' })))!;
				const [p0, p1] = plan.parts;
				expect(p1!.into).toEqual([finish.id]);
				expect(p1!.plated).toBe(finish.from);
				expect(plan.services.flatMap((x) => x.platings ?? []).flatMap((x) => x.parts ?? [])).not.toContain('p1');
				expect(finish.from).toBeGreaterThanOrEqual(p1!.ready);
				expect(p0!.ready).toBe(finish.to);
				expect(own.every((s) => s.to <= finish.to)).toBe(true);
				const last = own.filter((s) => s !== finish).reduce((a, b) => (b.to > a.to ? b : a));
				expect(finish.from - last.to).toBeLessThanOrEqual(Math.max(60, library.get(side)!.plate.free) + 15);
				expect(finish.hands).toHaveLength(1);
				expect(plan.services[0]!.at).toBe(plan.services[0]!.due);
			}
		),
		{ numRuns: 20, seed: 3 }
	);
});

test('amounts: all of it on the step that adds it, so much to begin with; bought once', () => {
	const meal = dressed('leeks-steam', 'vinaigrette');
	const bowl = bowlsOf(meal, library).find((b) => b.step === finishStep({ id: 'p1' }))!;
	expect(bowl.part).toBe('p0');
	const [amount] = bowl.amounts;
	expect(amount!.name).toBe('vinaigrette');
	// 20 ml vinegar, 8 g mustard, 60 ml oil and salt for four.
	expect(amount!.used).toBeGreaterThan(80);
	expect(amount!.used).toBeLessThan(100);
	expect(amount!.first! / amount!.used).toBeCloseTo(0.6, 9);
	const alone = shoppingOf({ ...meal, parts: meal.parts.map((p) => ({ ...p, finishes: undefined })) }, library);
	expect(shoppingOf(meal, library)).toEqual(alone);
});

describe('guests', () => {
	const guests = [{ id: 'g', name: 'Seat 1', allergies: ['mustard' as const] }];
	test('what a part is finished with is in it', () => {
		const plan = planned(dressed('leeks-steam', 'vinaigrette', { guests }), undefined, 1500);
		expect(plan.parts[0]!.allergens).toContain('mustard');
		expect(plan.clashes.map((c) => c.part).toSorted()).toEqual(['p0', 'p1']);
	});
	test('a guest who does without the dressing, and has the part apart, has it undressed', () => {
		const meal = dressed('leeks-steam', 'vinaigrette', { guests });
		const without = { id: 'w', guest: 'g', name: 'Seat 1', covers: 1, settings: {}, without: true };
		const apart = { id: 'w', guest: 'g', name: 'Seat 1', covers: 1, settings: {} };
		const parts = [
			{ ...meal.parts[0]!, wishes: [apart] },
			{ ...meal.parts[1]!, wishes: [without] }
		];
		const plan = planned({ ...meal, parts }, undefined, 1500);
		expect(plan.clashes).toEqual([]);
		expect(plan.steps.filter((s) => s.id.endsWith(finishStep({ id: 'p1' })))).toHaveLength(1);
	});
});

describe('a guest who may have nothing of it: allergic to all, eats no animal, at risk', () => {
	const finishing = [...library.values()].filter((t) => t.kind === 'sauce' && t.madeIn === undefined).map((t) => t.id);
	const ana = { id: 'g', name: 'Ana', allergies: [...allergens], diet: 'vegan' as const, risk: 'pregnant' as const };
	const reasons = (plan: Plan, part: string) =>
		plan.clashes
			.filter((c) => c.part === part)
			.map((c) => (c.why.kind === 'risk' ? `risk ${c.why.care.kind}` : c.why.kind));

	test.each(finishing)('whatever %s is not for her by itself, what it finishes is not for her either', (sauce) => {
		const meal = dressed('carrots-roast', sauce, { guests: [ana] });
		const plan = planned(meal, undefined, 600);
		const [side, own] = [new Set(reasons(plan, 'p0')), reasons(plan, 'p1')];
		expect(side).toEqual(
			new Set([...reasons(planned(mealOf([{ technique: 'carrots-roast' }]), undefined, 300), 'p0'), ...own])
		);
		for (const clash of plan.clashes.filter((c) => c.part === 'p0')) {
			const offer = offersFor(clash, meal, library).find((o) => o.what.kind === 'undressed');
			expect(wordGuestOffer(offer!)).toMatch(/^Ana’s Carrots, roasted without the /);
			expect(readMeal(offer!.meal, library).ok).toBe(true);
			const mended = planned(offer!.meal, undefined, 600);
			expect(mended.clashes).toEqual([]);
			// Hers is a portion of its own, and nobody else goes without.
			expect(mended.parts.filter((p) => p.of === 'p0').map((p) => p.covers)).toEqual([3, 1]);
		}
	});
	const reducing = [...library.values()].flatMap((t) => {
		const [to] = t.steps.flatMap((s) => (s.time.model?.kind === 'reduce' ? [s.time.model.to] : []));
		return t.kind === 'sauce' && to !== undefined ? [[t.id, to] as const] : [];
	});
	test.each(reducing)('%s is what is left of it when it is reduced, with what is whisked in', (sauce, to) => {
		for (const covers of [1, 4, 12]) {
			const bowls = bowlsOf(dressed('carrots-roast', sauce, {}, covers), library);
			const [amount] = bowls.flatMap((b) => (b.step === finishStep({ id: 'p1' }) ? b.amounts : []));
			const left = 1000 * valueOf(to, (id) => (id === 'covers' ? covers : 0));
			expect(amount!.used).toBeGreaterThanOrEqual(left - 1);
			expect(amount!.used).toBeLessThanOrEqual(left + 75 * covers);
		}
	});
});

describe('changes', () => {
	const meal = dressed('leeks-steam', 'vinaigrette');
	test('offered to sauces only, for what is no sauce; gone with its part', () => {
		expect(finishedBy(meal, meal.parts[1]!, library).map((p) => p.id)).toEqual(['p0']);
		expect(finishedBy(meal, meal.parts[0]!, library)).toEqual([]);
		expect(withoutPart(meal, 'p0', library).parts[0]!.finishes).toBeUndefined();
		expect(withFinishing(meal, 'p1', undefined).parts[1]!.finishes).toBeUndefined();
	});
	test('a chain of sauces, or one on itself, is refused', () => {
		const of = (finishes: string) => ({ ...meal, parts: [...meal.parts, { ...meal.parts[1]!, id: 'p2', finishes }] });
		expect(readMeal(of('p0'), library).ok).toBe(true);
		for (const bad of ['p1', 'p2', 'p9']) expect(readMeal(of(bad), library).ok).toBe(false);
	});
});

describe('in the pan or from the tray of another part', () => {
	test.each([
		['steak-pan', 'pan-sauce', 'fry', 'reduce'],
		['large-roast', 'tray-syrup', 'roast', 'scrape'],
		['chicken-whole-roast', 'tray-syrup', 'roast', 'scrape'],
		['duck-breast', 'plum-pan-sauce', 'sear', 'reduce']
	])(
		'%s leaves what %s is made in: found when it is added, begun when the food has left it',
		(host, sauce, from, to) => {
			const before = mealOf([{ technique: 'leeks-steam' }, { technique: host }], 2);
			const added = withPart(before, library.get(sauce)!, 'c');
			const meal = withVesselFound(added, added.parts.at(-1)!, library);
			expect(isUntied(meal, meal.parts.at(-1)!, library)).toBe(false);
			const plan = planned(meal, undefined, 2500);
			const step = (part: string, id: string) =>
				plan.steps.filter((s) => s.part === part && s.id.startsWith(`${part}/${id}`));
			const left = Math.max(...step('p1', from).map((s) => s.to));
			const begun = step(meal.parts.at(-1)!.id, to)[0]!;
			expect(begun.from).toBeGreaterThanOrEqual(left);
			expect(begun.vessel).toBe(step('p1', from)[0]!.vessel);
		}
	);
	test('without such a part it says so', () => {
		const meal = mealOf([{ technique: 'pan-sauce' }]);
		expect(isUntied(meal, meal.parts[0]!, library)).toBe(true);
		expect(withVesselFound(meal, meal.parts[0]!, library)).toEqual(meal);
	});
});
