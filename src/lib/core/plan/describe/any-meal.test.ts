// Meals drawn from the whole library, for some to many, in kitchens of one to four cooks who are spared this or that: what
// is planned keeps to the kitchen, or is refused with a reason. Plain rules over the plan as it is told.
import { describe, expect, test } from 'vitest';
import { library } from '../../library/library';
import type { Duty, Kitchen } from '../../model/kitchen';
import { duties } from '../../model/kitchen';
import type { Meal } from '../../model/meal';
import type { Plan, PlannedStep } from '../../model/plan';
import { drawer } from '../../testing/odd-problem';
import { everything, mealOf } from '../../testing/library-meal';
import { checkSchedule } from '../check';
import { compileMeal } from '../compile/compile';
import { dutyOf } from '../compile/crew';
import { scheduleOf } from '../compile/schedule-of';
import { planMealNow } from '../plan-meal';

const ids = [...library.keys()];

interface Drawn {
	readonly seed: number;
	readonly meal: Meal;
	readonly kitchen: Kitchen;
}

function drawn(seed: number): Drawn {
	const d = drawer(seed + 7000);
	const cooks = Array.from({ length: d.int(1, 4) }, (_, i) => ({
		id: `cook-${i}`,
		name: `Cook ${i}`,
		...(d.oneIn(3) ? { avoids: [d.pick(duties)] } : {}),
		...(d.oneIn(4) ? { pace: d.pick([0.8, 1.25, 1.5]) } : {})
	}));
	const parts = Array.from({ length: d.int(2, 4) }, () => ({ technique: d.pick(ids), ahead: 'evening' as const }));
	const meal = { ...mealOf(parts, d.int(1, 8)), earliest: 6 * 3600 };
	return { seed, meal, kitchen: { ...everything, cooks } };
}

const overlaps = (a: { from: number; to: number }, b: { from: number; to: number }) =>
	Math.min(a.to, b.to) > Math.max(a.from, b.from);
const pairs = <T>(list: readonly T[]) => list.flatMap((a, i) => list.slice(i + 1).map((b) => [a, b] as const));

/** What is wrong with a plan in a kitchen, in words. */
function faultsOf(plan: Plan, kitchen: Kitchen, meal: Meal): readonly string[] {
	const lane = (s: PlannedStep) => kitchen.stations.find((x) => x.id === s.lane);
	const techniqueOf = (s: PlannedStep) => {
		const part = plan.parts.find((p) => p.id === s.part);
		return library.get(part?.technique ?? meal.parts.find((p) => p.id === (part?.of ?? s.part))?.technique ?? '');
	};
	const stepOf = (s: PlannedStep) =>
		techniqueOf(s)?.steps.find((x) => x.id === s.id.slice(s.id.lastIndexOf('/') + 1).replace(/-b\d+$/, ''));
	const avoids = (id: string): readonly Duty[] => kitchen.cooks.find((c) => c.id === id)?.avoids ?? [];
	const room = (s: PlannedStep) => {
		const station = lane(s);
		if (station?.kind === 'oven') return station.racks;
		return station && 'places' in station ? station.places : 1;
	};
	const work = plan.steps.flatMap((s) => s.hands.map((h) => ({ ...h, s })));
	return [
		...pairs(work)
			.filter(([a, b]) => a.cook === b.cook && overlaps(a, b))
			.map(([a, b]) => `${a.cook} does ${a.s.id} and ${b.s.id}`),
		...work
			.filter(({ cook, s }) => {
				const step = stepOf(s);
				const duty = step && dutyOf(step);
				return duty !== undefined && avoids(cook).includes(duty);
			})
			.map(({ cook, s }) => `${cook} is spared ${s.id}`),
		...work.filter(({ s, from, to }) => from < s.from || to > s.to).map(({ s }) => `hands beyond ${s.id}`),
		...plan.steps.flatMap((s) => {
			if (!lane(s)) return [];
			// Everything on a station at the instant when this begins; an oven's steps may take more than a rack each.
			const there = plan.steps.filter((o) => o.lane === s.lane && o.from <= s.from && o.to > s.from);
			return there.length > room(s) ? [`${there.length} on ${s.lane} at once`] : [];
		}),
		...pairs(plan.steps.filter((s) => lane(s)?.kind === 'oven' && s.setting !== undefined))
			.filter(([a, b]) => a.lane === b.lane && a.setting !== b.setting && overlaps(a, b))
			.map(([a, b]) => `${a.lane} at ${a.setting ?? 0} and at ${b.setting ?? 0}`),
		...plan.services.filter((s) => s.at < s.due).map((s) => `${s.course} before it is due`),
		...plan.parts.filter((p) => p.ready > p.plated).map((p) => `${p.id} is plated before it is ready`),
		...plan.parts.filter((p) => p.wait !== p.plated - p.ready).map((p) => `${p.id} waits otherwise than it says`)
	];
}

const some = Array.from({ length: 70 }, (_, seed) => drawn(seed));

describe('meals drawn from the library', () => {
	let planned = 0;
	test.each(some)('$seed', ({ meal, kitchen }) => {
		const outcome = planMealNow({ meal, kitchen, techniques: [...library.values()], seed: 1, budget: 900 });
		if (outcome.kind !== 'plan') {
			expect(['conflict', 'issues', 'unknown']).toContain(outcome.kind);
			return;
		}
		planned++;
		expect(faultsOf(outcome.plan, kitchen, meal)).toEqual([]);
		const compiled = compileMeal(meal, kitchen, library);
		if (!compiled.ok) throw new Error('it was planned, and does not compile');
		const back = scheduleOf(outcome.plan, compiled.value, kitchen);
		const { violations } = checkSchedule(compiled.value.problem, { ...back, objective: outcome.plan.objective });
		expect(violations.filter((v) => !v.startsWith('says objective'))).toEqual([]);
	});

	test('most of them can be cooked', () => {
		expect(planned).toBeGreaterThan(some.length / 2);
	});
});

test('the same request gives the same plan', () => {
	for (const { meal, kitchen } of some.slice(0, 6)) {
		const request = { meal, kitchen, techniques: [...library.values()], seed: 3, budget: 400 };
		expect(planMealNow(request)).toEqual(planMealNow(request));
	}
});

test('another cook makes nothing later, where the search is not cut short', () => {
	for (const { meal, kitchen } of some.slice(0, 12)) {
		const [cook] = kitchen.cooks;
		if (!cook) throw new RangeError('nobody cooks');
		const alone = { ...kitchen, cooks: [{ id: cook.id, name: cook.name }] };
		const helped = { ...kitchen, cooks: [...alone.cooks, { id: 'helper', name: 'Helper' }] };
		const late = (k: Kitchen) => {
			const found = planMealNow({ meal, kitchen: k, techniques: [...library.values()], seed: 1, budget: 3000 });
			if (found.kind !== 'plan') return undefined;
			return Math.max(...found.plan.services.map((s) => s.at - s.due));
		};
		const one = late(alone);
		const two = late(helped);
		if (one !== undefined) expect(two).toBeDefined();
		if (one === 0) expect(two).toBe(0);
	}
});
