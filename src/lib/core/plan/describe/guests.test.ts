// Guests who have to be cooked for with care: what holds what they must not have is told, for each by name, until it is mended.
import { describe, expect, test } from 'vitest';
import { allergens } from '../../foods/allergens';
import { diets, notEaten } from '../../foods/diets';
import { readMealData } from '../../formats/juntos/juntos';
import { library } from '../../library/library';
import { newGuest, withCovers, withGuest, withoutGuest } from '../../model/edit-meal';
import { risks, type Guest, type Meal } from '../../model/meal';
import { everything, mealOf, planned } from '../../testing/library-meal';
import { drawer } from '../../testing/odd-problem';
import { wordClash, wordGuestOffer, wordShortly } from '../../words/guests';
import { planMealNow } from '../plan-meal';
import { offersFor } from '../advise/guest-offers';

const ana: Guest = { id: 'ana', name: 'Ana', allergies: [] };
const meal = (techniques: readonly string[], guest: Guest) =>
	withGuest(mealOf(techniques.map((technique) => ({ technique, ahead: 'evening' as const }))), guest);
const clashesIn = (m: Meal) => planned({ ...m, earliest: 6 * 3600 }, undefined, 600).clashes;

describe('an allergy', () => {
	test('flags every part that holds it, by the guest’s name, and no other', () => {
		const found = clashesIn(
			meal(['potato-mash', 'vinaigrette', 'steak-pan'], { ...ana, allergies: ['milk', 'mustard'] })
		);
		expect(found.map((c) => [c.part, c.name, c.why])).toEqual([
			['p0', 'Ana', { kind: 'allergen', allergens: ['milk'] }],
			['p1', 'Ana', { kind: 'allergen', allergens: ['mustard'] }]
		]);
		expect(wordClash(found[0]!)).toBe('Potato mash is not for Ana: it contains milk.');
		expect(wordShortly(found[1]!)).toBe('not for Ana: mustard');
	});

	test('follows what was chosen: butter in the pan brings its milk', () => {
		const plain = meal(['mushrooms-pan'], { ...ana, allergies: ['milk'] });
		const steak = meal(['steak-pan'], { ...ana, allergies: ['milk'] });
		expect(clashesIn(plain)).toHaveLength(1);
		expect(clashesIn(steak)).toEqual([]);
		const butter = library
			.get('steak-pan')
			?.parameters.find((p) => p.id === 'fat')
			?.options?.find((o) => o.say.includes('butter'));
		const inButter = { ...steak, parts: steak.parts.map((p) => ({ ...p, settings: { fat: butter?.value ?? 0 } })) };
		expect(clashesIn(inButter).map((c) => c.why)).toEqual([{ kind: 'allergen', allergens: ['milk'] }]);
	});
});

describe('a guest at risk', () => {
	test('is not served what stays below the advised heat, soft or raw eggs', () => {
		const found = clashesIn(
			meal(['steak-pan', 'eggs-sunny', 'mayonnaise', 'potato-mash'], { ...ana, risk: 'pregnant' })
		);
		expect(found.map((c) => [c.part, c.why.kind])).toEqual([
			['p0', 'risk'],
			['p1', 'risk'],
			['p2', 'raw']
		]);
		expect(found.map(wordClash).join(' ')).toMatch(/below 63 °C\..*the egg stays soft\..*raw or hardly warmed egg/);
	});

	test('theirs may be cooked to the advised heat, the others’ stays as it was', () => {
		const before = meal(['steak-pan'], { ...ana, risk: 'old' });
		const [clash] = clashesIn(before);
		const offers = offersFor(clash!, before, library);
		expect(offers.map((o) => o.what.kind)).toEqual(['hotter', 'without']);
		expect(offers.map(wordGuestOffer)).toEqual(['Ana’s to 64 °C', 'Ana without Steak, in the pan']);
		const plan = planned({ ...offers[0]!.meal, earliest: 6 * 3600 }, undefined, 600);
		expect(plan.clashes).toEqual([]);
		const peaks = plan.steps.filter((s) => s.id.endsWith('/fry')).map((s) => Math.round(s.peak ?? 0));
		expect(peaks.sort()).toEqual([56, 64]);
	});

	test('a soft egg may be boiled hard for them', () => {
		const before = meal(['boiled-eggs'], { ...ana, risk: 'very young' });
		const [clash] = clashesIn(before);
		const [hard] = offersFor(clash!, before, library);
		expect(hard?.what.kind).toBe('hard');
		expect(clashesIn(hard!.meal)).toEqual([]);
	});
});

describe('what somebody does not eat', () => {
	const of = (id: string) => library.get(id)?.ingredients ?? [];
	test.each([
		['vegetarian', 'steak-pan', 'beef steak'],
		['vegetarian', 'fish-fillet-pan', 'fish fillet'],
		['vegetarian', 'potato-mash', undefined],
		['vegan', 'potato-mash', 'butter'],
		['vegan', 'boiled-eggs', 'eggs'],
		['vegan', 'vinaigrette', undefined],
		['no pork', 'bacon-pan', 'bacon'],
		['no pork', 'steak-pan', undefined],
		['no fish', 'prawns-griddle', 'prawns']
	] as const)('%s: %s holds %s', (diet, technique, holds) => {
		expect(notEaten(diet, of(technique))).toBe(holds);
	});

	test('who eats no animal eats nothing that who eats no meat does not', () => {
		for (const { ingredients = [] } of library.values())
			if (notEaten('vegetarian', ingredients) !== undefined) expect(notEaten('vegan', ingredients)).toBeDefined();
	});
});

test('any clash can be mended by one of its offers, of any guest with any part; each offer is a meal that can be kept', () => {
	const ids = [...library.keys()];
	let clashes = 0;
	for (let seed = 0; seed < 40; seed++) {
		const d = drawer(seed + 300);
		const guest: Guest = {
			...ana,
			allergies: [d.pick(allergens), d.pick(allergens)],
			...(d.oneIn(2) ? { risk: d.pick(risks) } : {}),
			...(d.oneIn(3) ? { diet: d.pick(diets) } : {})
		};
		const drawn = meal([d.pick(ids), d.pick(ids)], guest);
		for (const clash of clashesIn(drawn)) {
			clashes++;
			const offers = offersFor(clash, drawn, library);
			expect(offers.length).toBeGreaterThan(0);
			for (const offer of offers) {
				expect(readMealData(offer.meal, library)).toMatchObject({ ok: true });
				const request = {
					meal: { ...offer.meal, earliest: 6 * 3600 },
					kitchen: everything,
					techniques: [...library.values()]
				};
				const outcome = planMealNow({ ...request, seed: 1, budget: 600 });
				// A bath cannot have two temperatures: what is hotter for one may not be had; without it always may.
				if (outcome.kind !== 'plan' && offer.what.kind !== 'without') continue;
				if (outcome.kind !== 'plan') throw new Error(JSON.stringify(outcome).slice(0, 300));
				const left = outcome.plan.clashes.filter((c) => c.part === clash.part && c.why.kind === clash.why.kind);
				if (offer.what.kind === 'without' || clash.why.kind === 'risk') expect(left, wordClash(clash)).toEqual([]);
			}
		}
	}
	expect(clashes).toBeGreaterThan(10);
});

test('guests come and go with what was cooked for them, and there are no more than people', () => {
	const one = meal(['steak-pan', 'potato-mash'], { ...ana, allergies: ['milk'] });
	const [clash] = clashesIn(one);
	const mended = offersFor(clash!, one, library).at(-1)!.meal;
	expect(mended.parts.flatMap((p) => p.wishes ?? []).map((w) => w.guest)).toEqual(['ana']);
	expect(withoutGuest(mended, 'ana').parts.flatMap((p) => p.wishes ?? [])).toEqual([]);
	expect(
		withGuest(mended, { ...ana, name: 'Bea' })
			.parts.flatMap((p) => p.wishes ?? [])
			.map((w) => w.name)
	).toEqual(['Bea']);
	let many = mended;
	for (let i = 0; i < 3; i++) many = withGuest(many, newGuest(many));
	expect(new Set(many.guests?.map((g) => g.id)).size).toBe(4);
	expect(readMealData(many, library)).toMatchObject({ ok: true });
	const fewer = withCovers(many, 2);
	expect(fewer.guests).toHaveLength(2);
	expect(readMealData(fewer, library)).toMatchObject({ ok: true });
	expect(readMealData({ ...many, covers: 2 }, library)).toMatchObject({ ok: false });
	const stray = {
		...many,
		parts: many.parts.map((p) => ({ ...p, wishes: [{ id: 'w', name: 'x', guest: 'nobody', covers: 1, settings: {} }] }))
	};
	expect(readMealData(stray, library)).toMatchObject({ ok: false });
});
