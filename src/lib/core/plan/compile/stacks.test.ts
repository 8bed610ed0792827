// Stacks on the plate, and vessels that stand in for one another where there are too few.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { presets } from '../../library/kitchens';
import { library } from '../../library/library';
import type { Kitchen } from '../../model/kitchen';
import { platingsOf } from '../../model/plan';
import { readMeal, type Meal } from '../../model/meal';
import { basesFor, withBase, withoutPart } from '../../model/edit-meal';
import { cuesOf } from '../../run/cues';
import { mealOf, planned } from '../../testing/library-meal';
import { wordCue } from '../../words/cues';
import { scarceKinds } from './portions';

const flat: Kitchen = { ...presets.find((p) => p.id === 'small-flat')!.kitchen, id: 'everything', name: 'Flat' };

describe('stacks', () => {
	const techniques = ['steak-pan', 'leeks-steam', 'carrots-boil', 'vinaigrette'];
	/** Each on one of those before it in some order, or on none. */
	const stacks = fc
		.tuple(
			fc.shuffledSubarray([0, 1, 2, 3], { minLength: 4, maxLength: 4 }),
			fc.array(fc.integer({ min: -1, max: 3 }), { minLength: 4, maxLength: 4 })
		)
		.map(([order, bases]) =>
			order.map((i, k) => [i, bases[k]! >= 0 && bases[k]! < k ? order[bases[k]!]! : -1] as const)
		);

	test('whatever is built onto what: the base is on the plate before', () => {
		fc.assert(
			fc.property(stacks, (pairs) => {
				const on = new Map(pairs);
				const meal = mealOf(
					techniques.map((technique, i) => ({ technique, ...(on.get(i)! >= 0 ? { onTop: `p${on.get(i)}` } : {}) })),
					2
				);
				expect(readMeal(meal, library).ok).toBe(true);
				const plan = planned(meal, undefined, 800);
				const order = plan.services.flatMap((s) => platingsOf(plan, s)).flatMap((p) => p.parts ?? []);
				const plated = (id: string) => plan.parts.find((p) => p.id === id)!.plated;
				for (const [i, base] of pairs) {
					if (base < 0) continue;
					expect(plated(`p${i}`)).toBeGreaterThanOrEqual(plated(`p${base}`));
					if (order.length > 0) expect(order.indexOf(`p${i}`)).toBeGreaterThan(order.indexOf(`p${base}`));
				}
			}),
			{ numRuns: 15, seed: 4 }
		);
	});
	test('it is said when it is plated', () => {
		const plan = planned(
			mealOf([{ technique: 'steak-pan', onTop: 'p1' }, { technique: 'leeks-steam' }], 2),
			undefined,
			1500
		);
		const says = cuesOf(plan).map((c) => wordCue(c, plan).say);
		expect(says.some((s) => s.includes('Steak, in the pan on top of Leeks, steamed'))).toBe(true);
	});
	test('on itself, in a circle, on nothing: refused; gone with its base', () => {
		const of = (a?: string, b?: string): Meal => {
			const [first, second] = mealOf([{ technique: 'steak-pan' }, { technique: 'leeks-steam' }]).parts;
			const with_ = (part: typeof first, onTop?: string) => ({ ...part!, ...(onTop === undefined ? {} : { onTop }) });
			return { ...mealOf([]), parts: [with_(first, a), with_(second, b)] };
		};
		expect(readMeal(of('p1'), library).ok).toBe(true);
		for (const bad of [of('p0'), of('p1', 'p0'), of('p7')]) expect(readMeal(bad, library).ok).toBe(false);
		expect(basesFor(of('p1'), of('p1').parts[1]!)).toEqual([]);
		expect(withoutPart(of('p1'), 'p1', library).parts[0]!.onTop).toBeUndefined();
		expect(withBase(of('p1'), 'p0', undefined).parts[0]!.onTop).toBeUndefined();
	});
});

describe('vessels stand in for one another', () => {
	const inSaucepan = [...library.values()]
		.filter((t) => t.vessels.length === 1 && t.vessels[0]!.kind === 'saucepan' && t.ahead === undefined)
		.map((t) => t.id);
	test('there are parts that want the one saucepan of a flat', () => {
		expect(inSaucepan.length).toBeGreaterThan(4);
		expect(scarceKinds(mealOf([{ technique: inSaucepan[0]! }]).parts, flat, library).size).toBe(0);
	});
	test.each(inSaucepan.slice(1).map((id, i) => [inSaucepan[i]!, id] as const))(
		'%s beside %s: one in the pot',
		(a, b) => {
			const meal = mealOf([{ technique: a }, { technique: b }], 2);
			expect([...scarceKinds(meal.parts, flat, library)]).toContain('saucepan');
			const plan = planned(meal, flat, 2000);
			expect(plan.services[0]!.at).toBe(plan.services[0]!.due);
			const spans = plan.parts.flatMap((p) => {
				const own = plan.steps.filter((s) => s.part === p.id && s.vessel?.startsWith('Saucepan'));
				return own.length > 0
					? [{ from: Math.min(...own.map((s) => s.from)), to: Math.max(...own.map((s) => s.to)) }]
					: [];
			});
			if (spans.length === 2)
				expect(Math.max(...spans.map((s) => s.from))).toBeGreaterThanOrEqual(Math.min(...spans.map((s) => s.to)));
		}
	);
});
