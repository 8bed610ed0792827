// Meals drawn from the whole library, for some to many, in kitchens drawn too, of one to four cooks who are spared this
// or that: what is planned keeps to the kitchen, or is refused with a reason. Plain rules over the plan as it is told.
import { describe, expect, test } from 'vitest';
import { library } from '../../library/library';
import type { Duty, Kitchen } from '../../model/kitchen';
import { duties } from '../../model/kitchen';
import type { Meal } from '../../model/meal';
import type { Plan, PlannedStep } from '../../model/plan';
import { drawer, type Draw } from '../../testing/odd-problem';
import { everything, mealOf } from '../../testing/library-meal';
import { checkSchedule } from '../check';
import { rawIn } from '../compile/clean';
import { compileMeal, type Compiled } from '../compile/compile';
import { dutyOf } from '../compile/crew';
import { heatOf } from '../compile/places';
import { beforeAnd } from '../compile/portions';
import { scheduleOf } from '../compile/schedule-of';
import { planMealNow } from '../plan-meal';

const ids = [...library.keys()];

interface Drawn {
	readonly seed: number;
	readonly meal: Meal;
	readonly kitchen: Kitchen;
}

/** A kitchen with some of everything's stations and vessels: enough to cook in, and never the same. */
function someKitchen(d: Draw): Kitchen {
	const few = <T extends { readonly kind: string }>(list: readonly T[]) =>
		list.filter((x, i) => list.findIndex((o) => o.kind === x.kind) === i || d.oneIn(2));
	const stations = few(everything.stations).map((s) =>
		s.kind === 'burner' ? { ...s, power: d.pick([1200, 1800, 3000]) } : s
	);
	const burners = new Set(stations.flatMap((s) => (s.kind === 'burner' ? [s.id] : [])));
	return {
		...everything,
		stations: stations.filter((s) => s.kind !== 'griddle' || s.covers.every((id) => burners.has(id))),
		vessels: few(everything.vessels).map((v) => ({ ...v, count: Math.max(1, Math.min(v.count, d.int(1, 3))) }))
	};
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
	return { seed, meal, kitchen: { ...(d.oneIn(2) ? everything : someKitchen(d)), cooks } };
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

/** Pots that stand on two burners, by the techniques alone: steps in one vessel with no oven and no rest between them. */
function movedPots(plan: Plan, kitchen: Kitchen): readonly string[] {
	const kindOf = (lane: string) => kitchen.stations.find((s) => s.id === lane)?.kind;
	return plan.parts.flatMap((part) => {
		const technique = library.get(part.technique ?? '');
		return (technique?.vessels ?? []).flatMap(({ from, to }) => {
			const { steps = [] } = technique ?? {};
			const [first, last] = [steps.findIndex((s) => s.id === from), steps.findIndex((s) => s.id === to)];
			const within = steps.slice(first, last + 1).filter((s) => beforeAnd(technique!, to).has(s.id));
			if (within.some((s) => s.kind === 'rest' || s.kind === 'chill' || s.together)) return [];
			const done = within.flatMap((s) =>
				plan.steps.filter(
					(p) => p.part === part.id && p.id.slice(p.id.lastIndexOf('/') + 1).replace(/-b\d+$/, '') === s.id
				)
			);
			const lanes = done.map((s) => kindOf(s.lane));
			if (lanes.some((k) => k !== undefined && k !== 'burner' && k !== 'board')) return [];
			const burners = new Set(done.filter((s) => kindOf(s.lane) === 'burner').map((s) => s.lane));
			// Two pans side by side have two.
			const pans = new Set(done.map((s) => s.id).filter((id) => /-b\d+$/.test(id))).size > 0 ? 2 : 1;
			return burners.size > pans ? [`${part.id} ${from} to ${to} on ${[...burners].join(', ')}`] : [];
		});
	});
}

/** What a chef would not do: pots that change places, food in cold heat, a board or hands that were not washed. */
function mischief(plan: Plan, kitchen: Kitchen, { trace }: Compiled): readonly string[] {
	const byId = new Map(plan.steps.map((s) => [s.id, s]));
	const laneOf = (id: string) => byId.get(id)?.lane;
	const stays = trace.stays.map(({ tasks }) => tasks.flatMap((t) => byId.get(t) ?? [])).filter((s) => s.length > 1);
	const isWash = (s: PlannedStep) => s.id.includes('/wash-');
	const rawOf = (s: PlannedStep) => {
		const traced = trace.steps.get(s.id);
		return traced && rawIn(traced.technique, traced.step) !== undefined;
	};
	const heats = kitchen.stations.flatMap((s) => {
		const heat = heatOf(s, kitchen);
		return heat ? [{ id: s.id, heat }] : [];
	});
	return [
		...movedPots(plan, kitchen),
		// Nothing else on that burner while a pot stands on it.
		...stays.flatMap((list) => {
			const [from, to] = [Math.min(...list.map((s) => s.from)), Math.max(...list.map((s) => s.to))];
			const station = kitchen.stations.find((s) => s.id === list[0]?.lane);
			if (station?.kind !== 'burner') return [];
			const others = plan.steps.filter((s) => s.lane === station.id && !list.includes(s) && overlaps(s, { from, to }));
			return others.map((s) => `${s.id} on ${station.id} while ${list[0]?.id ?? ''} stands there`);
		}),
		...heats.flatMap(({ id, heat }) => {
			const fired = plan.steps
				.filter((s) => s.lane === id && s.setting !== undefined)
				.toSorted((a, b) => a.from - b.from);
			return fired.flatMap((s, i) => {
				const before = fired.slice(0, i).findLast((b) => b.setting !== s.setting);
				const [since, was] = before ? [before.to, before.setting ?? 0] : [trace.origin, heat.room];
				const change = (s.setting ?? 0) - was;
				const takes = change > 0 ? heat.rise * change : -heat.fall * change;
				const points = plan.terrain.find((t) => t.lane === id)?.points ?? [];
				const isHot = points.some((p) => p.at <= s.from && Math.abs(p.celsius - (s.setting ?? 0)) < 1e-6);
				return [
					...(s.from - since < takes - 1 ? [`${s.id} goes into ${id} before it is at ${s.setting ?? 0}`] : []),
					...(isHot ? [] : [`${id} is not drawn hot for ${s.id}`])
				];
			});
		}),
		...plan.steps.filter(rawOf).flatMap((s) => {
			const sameLane = plan.steps.filter((o) => o.lane === s.lane && o.from >= s.to && o.id !== s.id);
			const next = sameLane.toSorted((a, b) => a.from - b.from)[0];
			const [cook] = s.hands.map((h) => h.cook);
			const hands = plan.steps.flatMap((o) => o.hands.map((h) => ({ ...h, step: o })));
			const then = hands.filter((h) => h.cook === cook && h.from >= s.to).toSorted((a, b) => a.from - b.from)[0];
			return [
				...(next && !isWash(next) ? [`${next.id} on ${s.lane} after raw ${s.id}`] : []),
				...(then && !isWash(then.step) ? [`${cook ?? ''} goes on with ${then.step.id} after raw ${s.id}`] : [])
			];
		}),
		...plan.steps
			.filter((s) => laneOf(s.id) !== undefined && isWash(s) && s.hands.length === 0)
			.map((s) => `nobody does ${s.id}`)
	];
}

/** Batches of a compiled meal whose wait costs nothing, though they are cooked and not cooled. */
function uncounted({ problem, trace }: Compiled): readonly string[] {
	const priced = new Set(problem.serve.filter((s) => s.rate > 0).map((s) => s.task));
	return trace.plated.flatMap(({ technique, early, ends }) => {
		if (technique.plate.rate === 0) return [];
		const plate = technique.plate.step;
		const own = new Set(ends(plate));
		return early.filter((b) => own.has(b.task) && !priced.has(b.task)).map((b) => `${b.task} waits for nothing`);
	});
}

const some = Array.from({ length: 70 }, (_, seed) => drawn(seed));

describe('meals drawn from the library', () => {
	let planned = 0;
	const seen = { washes: 0, batches: 0, heats: 0 };
	test.each(some)('$seed', ({ meal, kitchen }) => {
		const outcome = planMealNow({ meal, kitchen, techniques: [...library.values()], seed: 1, budget: 900 });
		if (outcome.kind !== 'plan') {
			expect(['conflict', 'issues', 'unknown']).toContain(outcome.kind);
			return;
		}
		planned++;
		seen.washes += outcome.plan.steps.filter((s) => s.id.includes('/wash-')).length;
		seen.batches += outcome.plan.steps.filter((s) => /-b\d+$/.test(s.id)).length;
		seen.heats += outcome.plan.steps.filter((s) => s.setting !== undefined).length;
		expect(faultsOf(outcome.plan, kitchen, meal)).toEqual([]);
		const compiled = compileMeal(meal, kitchen, library);
		if (!compiled.ok) throw new Error('it was planned, and does not compile');
		expect(mischief(outcome.plan, kitchen, compiled.value)).toEqual([]);
		expect(uncounted(compiled.value)).toEqual([]);
		const back = scheduleOf(outcome.plan, compiled.value, kitchen);
		const { violations } = checkSchedule(compiled.value.problem, { ...back, objective: outcome.plan.objective });
		expect(violations.filter((v) => !v.startsWith('says objective'))).toEqual([]);
	});

	test('most of them can be cooked, and what is looked for is there to be found', () => {
		expect(planned).toBeGreaterThan(some.length / 2);
		expect(Math.min(...Object.values(seen))).toBeGreaterThan(10);
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
