// Guests who have their egg otherwise share its pot: each at their own minute, one pot, one burner.
import { describe, expect, test } from 'vitest';
import { presets } from '../../library/kitchens';
import { library } from '../../library/library';
import type { Kitchen } from '../../model/kitchen';
import { eggStyles } from '../../heat/egg';
import { mealOf } from '../../testing/library-meal';
import { planMealNow } from '../plan-meal';

const flat = presets.find((p) => p.id === 'small-flat')!;
const kitchen: Kitchen = { ...flat.kitchen, id: 'everything', name: 'Flat' };
const yolks = [eggStyles.runny, eggStyles.jammy, eggStyles['soft-hard'], eggStyles.hard].map((s) => s.yolkEdge);
const wishes = yolks.slice(1).map((yolk, i) => ({ id: `w${i}`, name: `Guest ${i}`, covers: 1, settings: { yolk } }));
const meal = (technique: string) => mealOf([{ technique, settings: { yolk: yolks[0]! }, wishes, ahead: 'evening' }]);

const plan = (technique: string) => {
	const outcome = planMealNow({
		meal: meal(technique),
		kitchen,
		techniques: [...library.values()],
		seed: 1,
		budget: 3000
	});
	if (outcome.kind !== 'plan') throw new Error(JSON.stringify(outcome).slice(0, 400));
	return outcome.plan;
};

describe.each(['boiled-eggs', 'boiled-eggs-cold-start'])(
	'%s, four ways in a kitchen with one saucepan',
	(technique) => {
		const planned = plan(technique);
		const boils = planned.steps
			.filter((s) => s.id.endsWith('/boil'))
			.toSorted((a, b) => b.to - b.from - (a.to - a.from));

		test('all are boiled, each for its own minutes, within the time of the one that takes longest, or a moment beside it', () => {
			expect(boils).toHaveLength(4);
			expect(new Set(boils.map((s) => s.to - s.from)).size).toBe(4);
			const [host] = boils;
			for (const s of boils) {
				expect(s.from).toBeGreaterThanOrEqual(host!.from - 90);
				expect(s.to).toBeLessThanOrEqual(host!.to + 90);
			}
		});

		test('one saucepan and one burner are enough', () => {
			expect(new Set(planned.steps.flatMap((s) => s.vessel ?? [])).size).toBe(1);
			const burners = new Set(boils.map((s) => s.lane).filter((l) => l.startsWith('burner')));
			expect(burners.size).toBeLessThanOrEqual(1);
		});

		test('every portion is on the plate', () => {
			expect(planned.parts.map((p) => p.covers)).toEqual([1, 1, 1, 1]);
			expect(planned.services.every((s) => s.at === s.due)).toBe(true);
		});
	}
);

/** How it is had otherwise: a parameter, and values of it. */
const others = {
	'poached-eggs': ['firm', 0.85, 1.25],
	'boiled-eggs': ['yolk', eggStyles.runny.yolkEdge, eggStyles.hard.yolkEdge],
	'boiled-eggs-cold-start': ['yolk', eggStyles.runny.yolkEdge, eggStyles.hard.yolkEdge]
} as const;

describe.each(Object.entries(others))('%s', (technique, [parameter, ...values]) => {
	test.each([2, 3, 4, 5])(
		'for %i, whoever wishes what: one pair of hands serves them all, in any kitchen',
		(people) => {
			for (const preset of presets)
				for (const wanted of [[values[0]], [values[1]], [...values]].slice(0, people)) {
					const wished = wanted.map((value, i) => ({
						id: `w${i}`,
						name: `Guest ${i}`,
						covers: 1,
						settings: { [parameter]: value }
					}));
					const outcome = planMealNow({
						meal: mealOf([{ technique, wishes: wished.slice(0, people - 1), ahead: 'evening' }], people),
						kitchen: { ...preset.kitchen, id: 'everything', name: preset.name },
						techniques: [...library.values()],
						seed: 1,
						budget: 5000
					});
					expect(outcome.kind, `${preset.name}, ${wanted.join(' and ')}`).toBe('plan');
				}
		}
	);
});
