// Parts on one tray: each in at its own minute, all out together, for any of the library's vegetables and kitchens.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { presets } from '../../library/kitchens';
import { library } from '../../library/library';
import type { Kitchen } from '../../model/kitchen';
import type { Meal } from '../../model/meal';
import { readMeal } from '../../model/meal';
import { trayMates, withoutPart, withTechnique, withTrayOf, placedPart } from '../../model/edit-meal';
import { trayStep } from '../../model/technique';
import { mealOf, planned } from '../../testing/library-meal';
import { wordAdded, wordApart, wordFull } from '../../words/loads';
import { traysOf } from './trays';

const kitchenOf = (id: string): Kitchen => {
	const preset = presets.find((p) => p.id === id);
	if (!preset) throw new RangeError(id);
	return { ...preset.kitchen, id: 'everything', name: preset.name };
};
const family = kitchenOf('family');
const roasted = [...library.values()].filter((t) => trayStep(t)).map((t) => t.id);
const onOne = (techniques: readonly string[], covers: number): Meal =>
	mealOf(
		techniques.map((technique, i) => ({ technique, ...(i > 0 ? { trayOf: 'p0' } : {}) })),
		covers
	);
const some = fc.uniqueArray(fc.constantFrom(...roasted), { minLength: 2, maxLength: 3 });

test('there are vegetables to share a tray', () => {
	expect(roasted.length).toBeGreaterThan(8);
});

test('any two or three of them, for few: the slowest first, the others within its time, all out at once, at one set point', () => {
	fc.assert(
		fc.property(some, fc.integer({ min: 1, max: 4 }), (techniques, covers) => {
			const meal = onOne(techniques, covers);
			const { shared, apart } = traysOf(meal, family, library);
			expect(shared.length + apart.length).toBe(1);
			fc.pre(shared.length === 1);
			const plan = planned(meal, family, 1500);
			const lies = new Set(techniques.map((t, i) => `p${i}/${trayStep(library.get(t))!.id}`));
			const roasts = plan.steps.filter((s) => lies.has(s.id)).toSorted((a, b) => a.from - b.from);
			expect(roasts).toHaveLength(techniques.length);
			expect(new Set(roasts.map((s) => s.to)).size).toBe(1);
			expect(new Set(roasts.map((s) => `${s.lane} ${s.setting}`)).size).toBe(1);
			expect(new Set(roasts.map((s) => s.vessel)).size).toBe(1);
			// One goes in after the other, each for its own minutes.
			const ins = roasts.map((s) => s.hands[0]!);
			ins.slice(1).forEach((h, i) => {
				expect(h.from).toBeGreaterThanOrEqual(ins[i]!.to);
			});
			// The tray comes out once, and is tossed at most once.
			const touches = roasts.flatMap((s) => s.hands.slice(1));
			expect(touches.filter((h) => h.say.startsWith('Tray out'))).toHaveLength(1);
			expect(touches.filter((h) => h.say.startsWith('Turn the tray')).length).toBeLessThanOrEqual(1);
			for (const p of plan.parts) expect(p.tray).toHaveLength(techniques.length - 1);
			// What the view of the tray says is what the plan does, where the set point is the one that it speaks of.
			for (const { part, step, seconds } of traysOf(meal, family, library).shared.flatMap((x) => x.members)) {
				const roast = roasts.find((r) => r.id === `${part.id}/${step.id}`)!;
				if (roast.setting !== traysOf(meal, family, library).shared[0]!.settings[0]) continue;
				expect(roast.to - roast.from).toBeLessThanOrEqual(seconds + 60);
				expect(roast.to - roast.from).toBeGreaterThan(seconds - 300);
			}
		}),
		{ numRuns: 25, seed: 5 }
	);
});

test('a tray loosens: never fuller at the end than at its fullest, and each share is of the trays there are', () => {
	fc.assert(
		fc.property(some, fc.integer({ min: 1, max: 14 }), (techniques, covers) => {
			const { shared, apart } = traysOf(onOne(techniques, covers), family, library);
			for (const s of shared) {
				const most = Math.max(...s.covered);
				expect(most).toBeLessThanOrEqual(0.55 + 1e-9);
				expect(s.coveredAtEnd).toBeLessThanOrEqual(most);
				expect(s.vessels).toBeLessThanOrEqual(2);
				expect(s.members.map((m) => m.seconds)).toEqual(s.members.map((m) => m.seconds).toSorted((a, b) => b - a));
				expect(wordAdded(s)).toHaveLength(techniques.length);
				expect(wordFull(s)).toMatch(/\d+ % covered at the fullest, \d+ % as all comes out/);
			}
			for (const a of apart) {
				expect(['room', 'set point']).toContain(a.why.kind);
				expect(wordApart(a)).toMatch(/apart|of its own/);
			}
		}),
		{ numRuns: 100, seed: 6 }
	);
});

test('what shrinks makes room: added later, more fits than all at once would', () => {
	const techniques = ['carrots-roast', 'asparagus-roast'];
	const { shared } = traysOf(onOne(techniques, 4), family, library);
	const [s] = shared;
	const raw = s!.members.reduce((sum, m) => sum + m.area, 0) / (s!.vessels * s!.tray.area);
	expect(Math.max(...s!.covered)).toBeLessThan(raw);
});

describe('what does not share', () => {
	test('too many for the trays there are go apart', () => {
		const meal = onOne(['carrots-roast', 'onions-roast', 'leeks-roast'], 14);
		const { shared, apart } = traysOf(meal, family, library);
		expect(shared).toEqual([]);
		expect(apart[0]?.why.kind).toBe('room');
	});
	test('no temperature in common', () => {
		const carrots = library.get('carrots-roast')!;
		const hot = {
			...carrots,
			id: 'hot-carrots',
			steps: carrots.steps.map((s) => (s.need?.kind === 'oven' ? { ...s, need: { ...s.need, settings: [240] } } : s))
		};
		const techniques = new Map([...library, ['hot-carrots', hot] as const]);
		const meal = { ...onOne(['carrots-roast', 'hot-carrots'], 2), own: [hot] };
		expect(traysOf(meal, family, techniques).apart[0]?.why.kind).toBe('set point');
		expect(trayMates(meal, meal.parts[0]!, techniques)).toEqual([]);
	});
});

describe('guests', () => {
	test('what lies on one tray is on it for those who may not have it', () => {
		const carrots = library.get('carrots-roast')!;
		const nutty = {
			...carrots,
			id: 'nutty-carrots',
			ingredients: [
				...(carrots.ingredients ?? []),
				{ ...carrots.ingredients![0]!, id: 'nuts', name: 'hazelnuts', allergens: ['nuts' as const] }
			]
		};
		const meal: Meal = {
			...onOne(['onions-roast', 'leeks-roast'], 2),
			own: [nutty],
			guests: [{ id: 'g', name: 'Seat 1', allergies: ['nuts'] }]
		};
		const withNuts = { ...meal, parts: [...meal.parts.slice(0, 1), { ...meal.parts[1]!, technique: 'nutty-carrots' }] };
		const plan = planned(withNuts, family, 1500, new Map([...library, ['nutty-carrots', nutty] as const]));
		expect(plan.clashes.map((c) => c.part).toSorted()).toEqual(['p0', 'p1']);
	});
});

describe('changes to a meal', () => {
	const meal = onOne(['carrots-roast', 'onions-roast', 'leeks-roast'], 2);
	const trays = (m: Meal) => m.parts.map((p) => p.trayOf);
	const consistent = (m: Meal) => {
		expect(readMeal(m, library).ok).toBe(true);
	};

	test('whoever has the tray leaves, and the next has it', () => {
		const next = withoutPart(meal, 'p0', library);
		expect(trays(next)).toEqual([undefined, 'p1']);
		consistent(next);
	});
	test('the first joins another tray with all that lies on it', () => {
		const more = { ...meal, parts: [...meal.parts, { ...meal.parts[0]!, id: 'p3', technique: 'squash-roast' }] };
		const next = withTrayOf(more, 'p0', 'p3');
		expect(trays(next)).toEqual(['p3', 'p3', 'p3', undefined]);
		consistent(next);
		expect(trays(withTrayOf(next, 'p1', undefined))).toEqual(['p3', undefined, 'p3', undefined]);
	});
	test('another way, or another course, takes a part off', () => {
		expect(trays(withTechnique(meal, 'p0', library.get('carrots-boil')!, library))).toEqual([
			undefined,
			undefined,
			'p1'
		]);
		const courses = [...meal.courses, { id: 'd', name: 'Later', service: 20 * 3600 }];
		expect(trays(placedPart({ ...meal, courses }, 'p1', 'd', 0))).toEqual([undefined, 'p0', undefined]);
	});
	test('a tray of nobody, of oneself, or of one who lies on another is refused', () => {
		const of = (trayOf: string) => ({ ...meal, parts: meal.parts.map((p) => (p.id === 'p2' ? { ...p, trayOf } : p)) });
		for (const bad of ['p2', 'p9', 'p1']) expect(readMeal(of(bad), library).ok).toBe(false);
		expect(readMeal(of('p0'), library).ok).toBe(true);
	});
});
