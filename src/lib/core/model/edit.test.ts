// Changes to meals, kitchens and techniques: whatever is done, what comes out can be read back.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { wordIssue } from '../words/issues';
import { demoKitchens, demoMeals } from '../library/demo';
import { presets } from '../library/kitchens';
import { library } from '../library/library';
import { compileMeal } from '../plan/compile/compile';
import { everything, mealOf } from '../testing/library-meal';
import * as kitchens from './edit-kitchen';
import * as meals from './edit-meal';
import { copyOf, withNewStep, withoutStepOf, withStepFacts } from './edit-technique';
import { duties, readKitchen, vesselKinds, type Kitchen, type StationKind } from './kitchen';
import { readMeal, shelfOf, techniquesFor, withNamedOwn, type Meal } from './meal';
import { bowlsOf } from './bowls';
import { amountsOf, shoppingOf } from './quantities';
import { ratiosOf } from './ratios';
import { wordBought, wordRatio } from '../words/amounts';
import { readTechnique, type Technique } from './technique';
import { isSize, vesselSize } from './vessel-size';

const techniques = [...library.values()];
const problems = (read: { ok: true } | { ok: false; issues: readonly Parameters<typeof wordIssue>[0][] }) =>
	read.ok ? [] : read.issues.map(wordIssue);
const anyTechnique = fc.constantFrom(...techniques);
const [harvest] = demoMeals;

describe('a meal', () => {
	type Edit = (meal: Meal) => Meal;
	const onPart = (edit: (meal: Meal, part: string, n: number) => Meal) =>
		fc.nat(20).map((n): Edit => (meal) => {
			const part = meal.parts[n % Math.max(1, meal.parts.length)];
			return part ? edit(meal, part.id, n) : meal;
		});
	const onCourse = (edit: (meal: Meal, course: string, n: number) => Meal) =>
		fc.nat(20).map(
			(n): Edit =>
				(meal) =>
					edit(meal, meal.courses[n % meal.courses.length]!.id, n)
		);
	const edit: fc.Arbitrary<Edit> = fc.oneof(
		fc.tuple(anyTechnique, fc.nat(5)).map(
			([t, n]): Edit =>
				(m) =>
					meals.withPart(m, t, m.courses[n % m.courses.length]!.id)
		),
		onPart((m, p) => meals.withoutPart(m, p, library)),
		onPart((m, p, n) => meals.movedPart(m, p, n % 2 === 0 ? 1 : -1)),
		onPart((m, p, n) => meals.placedPart(m, p, m.courses[n % m.courses.length]!.id, n % 4)),
		onPart((m, p, n) =>
			meals.withPartFacts(m, p, {
				choose: n % 2 === 0 || undefined,
				ahead: n % 3 === 0 ? 'before' : undefined,
				name: `Part ${n}`
			})
		),
		onPart((m, p, n) => meals.withWish(m, p, { id: `w${n % 2}`, name: 'seat', covers: 1, settings: {} })),
		onPart((m, p, n) => meals.withoutWish(m, p, `w${n % 2}`)),
		onPart((m, p, n) => meals.withVesselOf(m, p, m.parts[(n * 7) % m.parts.length]?.id, library)),
		onPart((m, p, n) => {
			const mates = meals.trayMates(
				m,
				m.parts.find((x) => x.id === p)!,
				library
			);
			return meals.withTrayOf(m, p, n % 4 === 0 ? undefined : mates[n % Math.max(1, mates.length)]?.id);
		}),
		onPart((m, p, n) => {
			const dishes = meals.finishedBy(
				m,
				m.parts.find((x) => x.id === p)!,
				library
			);
			return meals.withFinishing(m, p, n % 4 === 0 ? undefined : dishes[n % Math.max(1, dishes.length)]?.id);
		}),
		onPart((m, p, n) => {
			const bases = meals.basesFor(
				m,
				m.parts.find((x) => x.id === p)!
			);
			return meals.withBase(m, p, n % 4 === 0 ? undefined : bases[n % Math.max(1, bases.length)]?.id);
		}),
		onPart((m, p) =>
			meals.withVesselFound(
				m,
				m.parts.find((x) => x.id === p)!,
				library
			)
		),
		fc.nat(9).map((n): Edit => (m) => {
			const guest = meals.newGuest(m);
			return n % 3 === 0 ? meals.withoutGuest(m, m.guests?.[0]?.id ?? '') : meals.withGuest(m, guest);
		}),
		fc.tuple(anyTechnique, fc.nat(20)).map(([t, n]): Edit => (m) => {
			const part = m.parts[n % Math.max(1, m.parts.length)];
			return part ? meals.withTechnique(m, part.id, t, library) : m;
		}),
		fc.integer({ min: 1, max: 14 }).map(
			(n): Edit =>
				(m) =>
					meals.withCovers(m, n)
		),
		fc.constant<Edit>((m) => (m.courses.length < 6 ? meals.withCourse(m, 'Another one') : m)),
		onCourse((m, c) => meals.withoutCourse(m, c, library)),
		onCourse((m, c, n) => meals.withCourseName(m, c, `Course ${n}`))
	);
	test('stays one that can be read, whatever is done to it', () => {
		fc.assert(
			fc.property(fc.array(edit, { maxLength: 14 }), (edits) => {
				const meal = edits.reduce((m, e) => e(m), { ...harvest!, covers: 12 });
				expect(problems(readMeal(meal, library))).toEqual([]);
			}),
			{ seed: 31, numRuns: 150 }
		);
	});
	test('compiles or says what is lacking, whatever is done to it; nothing throws, no step comes twice', () => {
		let compiled = 0;
		fc.assert(
			fc.property(fc.array(edit, { minLength: 4, maxLength: 12 }), (edits) => {
				const meal = edits.reduce((m, e) => e(m), { ...harvest!, kitchen: everything.id, covers: 4 });
				const read = compileMeal(meal, everything, library);
				if (!read.ok) {
					for (const issue of read.issues) expect(wordIssue(issue).length).toBeGreaterThan(10);
					return;
				}
				compiled++;
				const ids = read.value.problem.tasks.map((t) => t.id);
				expect(new Set(ids).size).toBe(ids.length);
				const known = new Set(ids);
				for (const lag of read.value.problem.lags) expect(known.has(lag.from) && known.has(lag.to)).toBe(true);
			}),
			{ seed: 37, numRuns: 80 }
		);
		expect(compiled).toBeGreaterThan(20);
	});
	test('more wishes than guests are refused with their number', () => {
		const meal = mealOf([{ technique: 'tea', wishes: [{ id: 'w', name: 'x', covers: 9, settings: {} }] }]);
		expect(problems(readMeal(meal, library)).join()).toMatch(/9 guests with wishes are more than the 4 that can be/);
	});
	test('a part is set down where it was dropped, and all others keep their order', () => {
		fc.assert(
			fc.property(fc.nat(8), fc.nat(8), (from, to) => {
				const parts = harvest!.parts.filter((p) => p.course === 'plates');
				const moving = parts[from % parts.length]!;
				const at = to % parts.length;
				const after = meals.placedPart(harvest!, moving.id, 'plates', at).parts.filter((p) => p.course === 'plates');
				expect(after[at]?.id).toBe(moving.id);
				expect(after.filter((p) => p.id !== moving.id)).toEqual(parts.filter((p) => p.id !== moving.id));
			})
		);
	});
	test('takes along the techniques of a cook’s own that it names, and no others', () => {
		const own = [copyOf(techniques[0]!, []), copyOf(techniques[1]!, [])];
		const shelf = shelfOf(library, own);
		const meal = meals.withPart(harvest!, own[0]!, 'plates');
		expect(problems(readMeal(meal, library))).not.toEqual([]);
		expect(problems(readMeal(meal, shelf))).toEqual([]);
		const taken = withNamedOwn(meal, own);
		expect(taken.own.map((t) => t.id)).toEqual([own[0]!.id]);
		expect(problems(readMeal(taken, library))).toEqual([]);
		const offered = techniquesFor(meal, shelf).map((t) => t.id);
		for (const p of meal.parts) expect(offered).toContain(p.technique);
		expect(offered.length).toBeLessThan(library.size / 2);
	});
});

describe('a kitchen', () => {
	type Edit = (kitchen: Kitchen) => Kitchen;
	const kinds: readonly StationKind[] = [
		'burner',
		'oven',
		'board',
		'cold',
		'fryer',
		'warm',
		'grill',
		'griddle',
		'water bath',
		'steamer',
		'wood oven'
	];
	const edit: fc.Arbitrary<Edit> = fc.oneof(
		fc.constantFrom(...kinds).map(
			(kind): Edit =>
				(k) =>
					k.stations.length < 50 ? kitchens.withNewStation(k, kind) : k
		),
		fc.nat(40).map(
			(n): Edit =>
				(k) =>
					kitchens.withoutStation(k, k.stations[n % Math.max(1, k.stations.length)]?.id ?? '')
		),
		fc.nat(40).map((n): Edit => (k) => {
			const s = k.stations[n % Math.max(1, k.stations.length)];
			return s ? kitchens.withStation(k, { ...s, at: { x: 5 * n, y: n } }) : k;
		}),
		fc.constantFrom(...vesselKinds).map(
			(kind): Edit =>
				(k) =>
					kitchens.withNewVessel(k, kind)
		),
		fc.nat(40).map(
			(n): Edit =>
				(k) =>
					kitchens.withoutVessel(k, k.vessels[n % Math.max(1, k.vessels.length)]?.id ?? '')
		),
		fc.integer({ min: 1, max: 12 }).map(
			(n): Edit =>
				(k) =>
					kitchens.withCooks(k, n)
		),
		fc.tuple(fc.nat(11), fc.subarray([...duties])).map(
			([n, avoids]): Edit =>
				(k) =>
					kitchens.withCook(k, { ...k.cooks[n % k.cooks.length]!, avoids })
		)
	);
	test('stays one that can be read, whatever is done to it', () => {
		fc.assert(
			fc.property(fc.constantFrom(...demoKitchens, everything), fc.array(edit, { maxLength: 25 }), (kitchen, edits) => {
				expect(problems(readKitchen(edits.reduce((k, e) => e(k), kitchen)))).toEqual([]);
			}),
			{ seed: 32, numRuns: 150 }
		);
	});
	test('a griddle over one burner twice, or over none, is refused', () => {
		const griddle = (covers: [string, string]) =>
			readKitchen({
				...everything,
				stations: everything.stations.map((s) => (s.kind === 'griddle' ? { ...s, covers } : s))
			});
		expect(problems(griddle(['burner-1', 'burner-1'])).join()).toMatch(/stands twice/);
		expect(problems(griddle(['burner-1', 'oven-1'])).join()).toMatch(/not among the burners/);
		expect(problems(griddle(['burner-1', 'burner-2']))).toEqual([]);
	});
	test('what was measured can be forgotten', () => {
		expect(kitchens.without({ id: 'x', measured: 900 }, 'measured')).toEqual({ id: 'x' });
	});
	test('sizes of vessels are read as they are written, and nothing else is', () => {
		expect(vesselSize({ kind: 'frying pan', size: '28 cm' }).area).toBeCloseTo(Math.PI * 0.14 ** 2, 6);
		expect(vesselSize({ kind: 'tray', size: '40 × 30 cm' })).toMatchObject({ length: 0.4, width: 0.3, isRound: false });
		expect(vesselSize({ kind: 'pot', size: '4,5 l' }).litres).toBe(4.5);
		for (const size of ['', 'big', '0 cm', '-3 l', '40 x', '1e9']) expect(isSize('pot', size)).toBe(false);
		for (const p of presets) for (const v of p.kitchen.vessels) expect(isSize(v.kind, v.size), v.size).toBe(true);
	});
});

describe('a technique of one’s own', () => {
	type Edit = (t: Technique) => Technique;
	const edit: fc.Arbitrary<Edit> = fc.oneof(
		fc.constant<Edit>(withNewStep),
		fc.nat(20).map(
			(n): Edit =>
				(t) =>
					withoutStepOf(t, t.steps[n % t.steps.length]!.id)
		),
		fc.nat(20).map(
			(n): Edit =>
				(t) =>
					withStepFacts(t, t.steps[n % t.steps.length]!.id, {
						sign: n % 2 ? 'done' : undefined,
						need: n % 3 ? undefined : { kind: 'board' }
					})
		)
	);
	test('stays one that can be read, but for a choice at its end', () => {
		fc.assert(
			fc.property(anyTechnique, fc.array(edit, { maxLength: 10 }), (technique, edits) => {
				const own = edits.reduce((t, e) => (t.steps.length < 38 ? e(t) : t), copyOf(technique, [...library.keys()]));
				const said = problems(readTechnique(own)).filter((w) => !w.includes('must not depend on a choice'));
				expect(said).toEqual([]);
				expect(library.has(own.id)).toBe(false);
			}),
			{ seed: 33, numRuns: 200 }
		);
	});
});

test('a part that is called as its way is called as the next one, one with a name of its own keeps it', () => {
	const meal = mealOf([{ technique: 'omelette-pale' }]);
	const [pale, brown] = [library.get('omelette-pale')!, library.get('omelette-brown')!];
	const called = (name: string) => meals.withPartFacts(meal, 'p0', { name });
	const swapped = (m: typeof meal) => meals.withTechnique(m, 'p0', brown, library).parts[0]!.name;
	expect(swapped(called(pale.name))).toBe(brown.name);
	expect(swapped(called('Aunt’s omelette'))).toBe('Aunt’s omelette');
	expect(
		meals.withTechnique(meals.withTechnique(called(pale.name), 'p0', brown, library), 'p0', pale, library).parts[0]!
			.name
	).toBe(pale.name);
});

describe('quantities', () => {
	test('grow with the people, in step or less, and shopping adds up what the bowls take', () => {
		fc.assert(
			fc.property(anyTechnique, fc.integer({ min: 1, max: 30 }), (technique, n) => {
				const [one, two] = [amountsOf(technique, {}, n), amountsOf(technique, {}, 2 * n)];
				one.forEach((a, i) => {
					// What comes whole is rounded up.
					if (a.unit === 'pieces' || a.whole) {
						const one = a.whole?.each ?? 1;
						expect(two[i]!.used / one).toBeLessThanOrEqual((2 * a.used) / one);
						expect(two[i]!.used).toBeGreaterThanOrEqual(a.used);
						expect((a.used / one) % 1).toBeCloseTo(0);
						return;
					}
					const ratio = two[i]!.used / a.used;
					expect(ratio).toBeLessThanOrEqual(2 + 1e-9);
					expect(ratio).toBeGreaterThanOrEqual(1 - 1e-9);
					expect(ratio < 2 - 1e-9).toBe(a.isDamped);
					if (a.first !== undefined) expect(a.first).toBeLessThan(a.used);
				});
			}),
			{ seed: 34 }
		);
		const meal = mealOf([{ technique: 'potato-mash' }, { technique: 'potatoes-boiled' }], 6);
		const butter = shoppingOf(meal, library).find((l) => l.name === 'butter');
		const used = bowlsOf(meal, library).flatMap((b) => b.amounts.filter((a) => a.name === 'butter'));
		expect(butter?.bought).toBeCloseTo(used.reduce((s, a) => s + a.used, 0));
		expect(butter?.parts).toHaveLength(2);
		const without = {
			...meal,
			parts: meal.parts.map((p) => ({ ...p, wishes: [{ id: 'w', name: 'x', covers: 3, settings: {}, without: true }] }))
		};
		expect(shoppingOf(without, library).find((l) => l.name === 'butter')!.bought).toBeCloseTo(butter!.bought / 2);
	});
	const of = (id: string, name: string, settings: Readonly<Record<string, number>>, n: number) =>
		amountsOf(library.get(id)!, settings, n).find((a) => a.name === name);
	test('eggs are counted for each, and a small one counts less', () => {
		fc.assert(
			fc.property(
				fc.constantFrom(
					'omelette-pale',
					'omelette-brown',
					'scrambled-eggs',
					'scrambled-eggs-slow',
					'folded-eggs',
					'omelette-oven'
				),
				fc.integer({ min: 1, max: 3 }),
				fc.integer({ min: 45, max: 80 }),
				fc.integer({ min: 1, max: 20 }),
				(id, count, egg, n) => {
					const eggs = of(id, 'eggs', { count, egg }, n)!.bought;
					// As heavy as so many usual ones, to the last egg.
					expect(eggs * egg).toBeGreaterThanOrEqual(58 * count * n - 1e-6);
					expect((eggs - 1) * egg).toBeLessThan(58 * count * n);
				}
			),
			{ seed: 5 }
		);
		expect([of('omelette-pale', 'eggs', { egg: 45 }, 4)?.bought, of('omelette-pale', 'eggs', {}, 4)?.bought]).toEqual([
			16, 12
		]);
		expect(of('boiled-eggs', 'eggs', { count: 2, egg: 45 }, 3)?.bought).toBe(6);
	});
	test('what an option leaves out is not bought', () => {
		expect(of('scrambled-eggs', 'milk', {}, 4)).toBeUndefined();
		expect(of('scrambled-eggs', 'milk', { dairy: 1, count: 2 }, 4)?.bought).toBeCloseTo(56);
		expect(of('poached-eggs', 'vinegar', { pot: 2 }, 4)).toBeUndefined();
		const cream = { ...mealOf([{ technique: 'scrambled-eggs', settings: { dairy: 2 } }]) };
		expect(shoppingOf(cream, library).flatMap((l) => l.allergens)).toContain('milk');
	});
	test('ratios follow from the amounts, and stay as the guests grow', () => {
		const say = (id: string, settings = {}, n = 4) => ratiosOf(library.get(id)!, settings, n).map(wordRatio);
		// 7 ml of milk to an egg of 58 g, 51 g without its shell.
		expect(say('scrambled-eggs', { dairy: 1 })).toContain('milk to egg 1 : 7.1');
		expect(say('scrambled-eggs', { dairy: 1, count: 3 })).toContain('milk to egg 1 : 7.1');
		expect(say('scrambled-eggs').join()).not.toMatch(/milk|cream/);
		expect(say('poached-eggs').join()).toMatch(/^vinegar to water 1 : \d+$/);
		expect(say('lentil-salad-soft-eggs')).toEqual(['vinegar to olive oil 1 : 2.2']);
		for (const t of library.values())
			for (const { times, one, to } of ratiosOf(t, {}, 6)) {
				expect(times, `${t.id}: ${one} to ${to}`).toBeGreaterThan(0.2);
				expect(times, `${t.id}: ${one} to ${to}`).toBeLessThan(400);
			}
	});
	test('what is bought says how', () => {
		expect(wordBought(of('chicken-whole-roast', 'whole chicken', {}, 5)!)).toBe('2 of 1.5 kg');
		const [small, large] = [1, 12].map((n) => wordBought(amountsOf(library.get('large-roast')!, {}, n)[0]!));
		expect([small, large]).toEqual([
			expect.stringMatching(/^a slice \d cm thick of one 11 cm across$/),
			expect.stringMatching(/^11 cm across, about \d\d cm long$/)
		]);
		expect(wordBought(of('potato-mash', 'butter', {}, 4)!)).toBe('');
	});
	test('birds and racks are bought whole, roasts by their size', () => {
		for (const [n, birds] of [
			[1, 1],
			[4, 1],
			[5, 2],
			[9, 3]
		] as const) {
			const bird = of('chicken-whole-roast', 'whole chicken', { weight: 1800 }, n)!;
			expect([bird.whole, bird.bought]).toEqual([{ count: birds, each: 1800 }, birds * 1800]);
		}
		const meal = mealOf(
			[{ technique: 'chicken-whole-roast' }, { technique: 'chicken-whole-roast', settings: { weight: 2000 } }],
			4
		);
		expect(shoppingOf(meal, library).filter((l) => l.whole)).toHaveLength(2);
		const roast = amountsOf(library.get('large-roast')!, { thickness: 110 }, 8)[0]!;
		const { across, long } = roast.size!;
		expect(across).toBe(110);
		expect((Math.PI / 4) * across ** 2 * long * 1.06e-3).toBeCloseTo(roast.bought, 6);
	});
	test('what is bought is what is served, with trim and loss on top', () => {
		const [potatoes] = amountsOf(library.get('potato-mash')!, {}, 1);
		// 170 g served: 18 % trimmed off, 2 % lost (kitchen science, yields).
		expect(potatoes!.bought).toBeCloseTo(170 / (0.82 * 0.98), 3);
		expect(potatoes!.used).toBeCloseTo(170 / 0.98, 3);
	});
});
