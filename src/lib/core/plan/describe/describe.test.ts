// The plan in words keeps to the kitchen: one thing at a time on each burner, in each vessel, in each hand.
import { readPlan } from '../../model/plan';
import { wordHeldBy } from '../../words/steps';
import { describe, expect, test } from 'vitest';
import { demoCases, planDemo } from '../../testing/demo-plan';
import { withoutStation, withVesselCount } from '../../model/edit-kitchen';
import { withService } from '../../model/edit-meal';
import { library } from '../../library/library';
import { planMealNow } from '../plan-meal';

interface Stretch {
	readonly from: number;
	readonly to: number;
}
function mostAtOnce(stretches: readonly Stretch[]): number {
	return Math.max(0, ...stretches.map((s) => stretches.filter((x) => x.from <= s.from && s.from < x.to).length));
}

describe.each(demoCases.map((demo) => [demo.meal.name, demo, planDemo(demo)] as const))(
	'%s',
	(_, { meal, kitchen }, plan) => {
		test('is on time', () => {
			expect(plan.services.map((s) => s.at)).toEqual(meal.courses.map((c) => c.service));
		});

		test('has every step of every part, after the steps it waits for', () => {
			// Of steps that were made before, and of batches, others may be there: never none of a part.
			for (const p of meal.parts) {
				const own = plan.parts.filter((x) => x.of === p.id);
				const done = new Set(
					plan.steps
						.filter((x) => own.some((o) => o.id === x.part))
						.map((x) => x.id.split('/')[1]?.replace(/-b\d+$/, ''))
				);
				const isBefore = own.some((o) => o.before !== undefined);
				const chosen = (library.get(p.technique)?.steps ?? []).filter((x) => x.when === undefined);
				if (!isBefore) for (const x of chosen) expect([...done], x.say).toContain(x.id);
				else expect([...done]).toContain('out');
			}
			const byId = new Map(plan.steps.map((s) => [s.id, s]));
			for (const step of plan.steps)
				for (const id of step.after) expect(byId.get(id)?.to ?? 0).toBeLessThanOrEqual(step.from);
		});

		test('puts one thing on a burner, and no more in an oven than it has racks', () => {
			for (const station of kitchen.stations) {
				const most = 'places' in station ? station.places : station.kind === 'oven' ? station.racks : 1;
				expect(mostAtOnce(plan.steps.filter((s) => s.lane === station.id))).toBeLessThanOrEqual(most);
			}
		});

		test('asks each cook for one thing at a time', () => {
			for (const cook of plan.cooks) {
				expect(mostAtOnce(plan.steps.flatMap((s) => s.hands.filter((h) => h.cook === cook.id)))).toBeLessThanOrEqual(1);
			}
		});

		test('plates each part when its turn comes, within its wait', () => {
			for (const part of plan.parts) {
				expect(part.plated).toBe(part.ready + part.wait);
				expect(part.wait).toBeGreaterThanOrEqual(0);
			}
			const lastPlated = Math.max(...plan.parts.map((p) => p.plated));
			expect(lastPlated).toBeLessThanOrEqual(plan.to);
		});

		test('gives each step a reason why it is not later', () => {
			expect(plan.steps.every((s) => wordHeldBy(s.heldBy, plan).endsWith('.'))).toBe(true);
			expect(readPlan(JSON.parse(JSON.stringify(plan)))).toEqual({ ok: true, value: plan });
		});

		test('has the oven hot when something is in it', () => {
			for (const step of plan.steps) {
				if (step.setting === undefined) continue;
				const points = plan.terrain.find((t) => t.lane === step.lane)?.points ?? [];
				const around = points.filter((p) => p.at >= step.from && p.at <= step.to);
				expect(around.every((p) => p.celsius === step.setting)).toBe(true);
			}
		});
	}
);

describe('a meal that cannot be', () => {
	const [supper] = demoCases;
	const techniques = [...library.values()];
	test('names the station that is missing', () => {
		if (!supper) throw new RangeError('no demo');
		const outcome = planMealNow({
			meal: supper.meal,
			kitchen: withoutStation(supper.kitchen, 'board'),
			techniques,
			seed: 1,
			budget: 100
		});
		expect(outcome.kind).toBe('issues');
	});

	test('says what stands in its way when there is too little time', () => {
		if (!supper) throw new RangeError('no demo');
		const { meal, kitchen } = supper;
		const soon = { ...withService(meal, 'salad', 17 * 3600), earliest: 17 * 3600 - 600 };
		const outcome = planMealNow({
			meal: soon,
			kitchen: withVesselCount(kitchen, 'dish', 1),
			techniques,
			seed: 1,
			budget: 20_000
		});
		expect(['plan', 'conflict', 'unknown']).toContain(outcome.kind);
		if (outcome.kind === 'plan') expect(outcome.plan.services[0]?.at).toBeGreaterThan(17 * 3600);
	});
});
