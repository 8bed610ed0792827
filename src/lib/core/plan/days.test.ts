// The days before: everything in hours in which somebody is free, in order, kept no longer than it keeps.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { library } from '../library/library';
import type { Meal } from '../model/meal';
import { everything, mealOf } from '../testing/library-meal';
import { beforeAnd } from './compile/portions';
import { daysOf, freeHours } from './days';

const hour = 3600;
const day = 24 * hour;
const able = [...library.values()].filter((t) => t.ahead).map((t) => t.id);
const all = (meal: Meal) => new Set(meal.parts.map((p) => p.id));
const daysFor = (meal: Meal) => daysOf(meal, everything, library, all(meal));

describe('what is made in the days before', () => {
	test('is nothing where nothing is', () => {
		const meal = mealOf([{ technique: 'tea' }]);
		expect(daysFor(meal)).toBeUndefined();
		expect(daysOf(mealOf([{ technique: 'leeks-braise' }]), everything, library, new Set())).toBeUndefined();
	});

	test('hands only in hours that are free, every step once and in its order, none older than it keeps', () => {
		let planned = 0;
		fc.assert(
			fc.property(
				fc.uniqueArray(fc.constantFrom(...able), { minLength: 1, maxLength: 3 }),
				fc.integer({ min: 1, max: 8 }),
				(ids, covers) => {
					const meal = mealOf(
						ids.map((technique) => ({ technique })),
						covers
					);
					const days = daysFor(meal);
					if (!days?.fits) return;
					planned++;
					const within = (from: number, to: number) => days.free.some((f) => f.from <= from && to <= f.to);
					for (const s of days.steps) {
						for (const h of s.hands) expect(within(h.from, h.to), `${s.part} ${s.say}`).toBe(true);
						expect(s.to).toBeLessThanOrEqual(meal.earliest);
					}
					const hands = days.steps.flatMap((s) => s.hands);
					for (const { from } of hands) {
						const atOnce = hands.filter((h) => h.from <= from && from < h.to).length;
						expect(atOnce).toBeLessThanOrEqual(everything.cooks.length);
					}
					for (const k of days.kept) {
						const technique = library.get(meal.parts.find((p) => p.id === k.part)!.technique)!;
						const own = days.steps.filter((s) => s.part === k.part);
						const early = beforeAnd(technique, technique.ahead!.last);
						const says = technique.steps.filter((s) => early.has(s.id) && !s.when).map((s) => s.say);
						expect(own.map((s) => s.say)).toEqual(expect.arrayContaining(says));
						const end = Math.max(...own.map((s) => s.to));
						expect(end).toBeGreaterThanOrEqual(k.since - 15);
						// After what has to be done before.
						const endOf = (step: string) =>
							Math.max(
								...own.filter((s) => s.say === technique.steps.find((x) => x.id === step)?.say).map((s) => s.to)
							);
						for (const step of technique.steps.filter((s) => early.has(s.id)))
							for (const { step: before, least } of step.after) {
								const at = own.find((s) => s.say === step.say)?.from ?? Infinity;
								expect(at).toBeGreaterThanOrEqual(endOf(before) + Math.min(0, least));
							}
					}
				}
			),
			{ numRuns: 40, seed: 31 }
		);
		expect(planned).toBeGreaterThan(20);
	});

	test('goes where the cook is free, and says where that is not enough', () => {
		const meal = mealOf([{ technique: 'leeks-braise' }]);
		const onDay = (free: NonNullable<Meal['free']>) => daysFor({ ...meal, free });
		const friday = onDay([{ days: 2, from: 10 * hour, to: 14 * hour }]);
		expect(friday?.fits).toBe(true);
		for (const s of friday?.steps ?? []) expect([Math.floor(s.from / day), Math.floor(s.to / day)]).toEqual([-2, -2]);
		expect(onDay([{ days: 1, from: 10 * hour, to: 10 * hour + 120 }])?.fits).toBe(false);
		expect(freeHours({ ...meal, free: [] }, 2).map((f) => f.days)).toEqual([2, 1, 0]);
	});

	test('as late as it can be: no step could begin a day later', () => {
		const days = daysFor(mealOf([{ technique: 'leeks-braise' }]));
		expect(Math.min(...(days?.steps.map((s) => s.from) ?? []))).toBeGreaterThan(0);
	});

	test('the cold has room: what does not fit in at once is refused', () => {
		const meal = mealOf(able.slice(0, 3).map((technique) => ({ technique })));
		const small = {
			...everything,
			stations: everything.stations.map((s) => (s.kind === 'cold' ? { ...s, places: 1 } : s))
		};
		expect(daysOf(meal, small, library, all(meal))?.fits).toBe(false);
	});
});
