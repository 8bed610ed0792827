// Ovens shared, things made before, changes worth trying: laws over meals drawn from the library.
import { describe, expect, test } from 'vitest';
import { readMealData } from '../../formats/juntos/juntos';
import { library } from '../../library/library';
import type { Meal } from '../../model/meal';
import { demoCases, planDemo } from '../../testing/demo-plan';
import { compiled, everything, mealOf, planned } from '../../testing/library-meal';
import { drawer } from '../../testing/odd-problem';
import { planMealNow } from '../plan-meal';
import { aheadOf, outOfCold } from './ahead';
import { changesFor } from './changes';
import { compared } from './compared';
import { groupsOf } from './grouping';
import { withSharedSetting } from './share-oven';

const techniques = [...library.values()];
const baked = techniques.filter((t) => t.steps.some((s) => s.need?.kind === 'oven')).map((t) => t.id);
const kept = techniques.filter((t) => t.ahead !== undefined).map((t) => t.id);

/** A meal of two to four techniques out of a list. */
function drawnOf(ids: readonly string[], seed: number): Meal {
	const d = drawer(seed + 400);
	const parts = Array.from({ length: d.int(2, 4) }, () => ({ technique: d.pick(ids) }));
	return { ...mealOf(parts, d.int(1, 6)), earliest: 6 * 3600 };
}
const seeds = (count: number) => Array.from({ length: count }, (_, i) => i);
const withOwn = (meal: Meal) => new Map([...library, ...meal.own.map((t) => [t.id, t] as const)]);

describe('a shared oven', () => {
	const drawn = seeds(60).map((seed) => drawnOf(baked, seed));
	const grouped = drawn.flatMap((meal) => groupsOf(meal, everything, library).map((group) => ({ meal, group })));

	test('is found for many meals', () => {
		expect(new Set(grouped.map((g) => g.meal)).size).toBeGreaterThan(drawn.length / 3);
	});

	test('takes parts at a temperature that each of them knows, and names what it costs them', () => {
		for (const { meal, group } of grouped) {
			expect(new Set(group.members.map((m) => m.part)).size).toBeGreaterThanOrEqual(2);
			for (const member of group.members) {
				const part = meal.parts.find((p) => p.id === member.part);
				const step = library.get(part?.technique ?? '')?.steps.find((s) => s.say === member.step);
				const settings = step?.need?.kind === 'oven' ? step.need.settings : [];
				expect(settings).toContain(group.setting);
				expect(settings[0]).toBe(member.own);
				expect(member.shared).toBeGreaterThan(0);
				expect(member.shared).toBeLessThan(Infinity);
				if (member.own === group.setting) expect(member.shared).toBe(member.alone);
			}
			const longer = group.members.map((m) => Math.max(0, m.shared - m.alone));
			expect(group.cost).toBe(longer.reduce((a, b) => a + b, 0));
		}
	});

	test('is offered once for the same parts, most parts first, and not where more parts share for no more', () => {
		for (const meal of drawn) {
			const groups = groupsOf(meal, everything, library);
			const names = groups.map((g) => g.members.map((m) => `${m.part} ${m.step}`).join());
			expect(new Set(names).size).toBe(names.length);
			groups.slice(1).forEach((g, i) => {
				expect(g.members.length).toBeLessThanOrEqual(groups[i]?.members.length ?? 0);
			});
			for (const a of groups)
				for (const b of groups)
					if (a !== b && a.members.every((m) => b.members.some((o) => o.part === m.part)))
						expect(a.cost).toBeLessThan(b.cost);
		}
	});

	test('held to it, the parts bake at nothing else, and everything else stays as it was', () => {
		for (const { meal, group } of grouped.slice(0, 40)) {
			const held = withSharedSetting(meal, group, library);
			expect(readMealData(held, library)).toMatchObject({ ok: true });
			const known = withOwn(held);
			for (const [i, part] of held.parts.entries()) {
				const before = meal.parts[i];
				if (!group.members.some((m) => m.part === part.id)) {
					expect(part).toBe(before);
					continue;
				}
				const [own, plain] = [known.get(part.technique), library.get(before?.technique ?? '')];
				expect(own?.steps.map((s) => s.id)).toEqual(plain?.steps.map((s) => s.id));
				for (const step of own?.steps ?? []) {
					const was = plain?.steps.find((s) => s.id === step.id);
					const isShared = was?.need?.kind === 'oven' && was.need.settings.includes(group.setting);
					expect(step.need).toEqual(isShared ? { ...was.need, settings: [group.setting] } : was?.need);
				}
			}
			// A second time it changes nothing, and another temperature takes the first one's techniques away again.
			const again = withSharedSetting(held, group, known);
			expect(again.own.map((t) => t.id).sort()).toEqual(held.own.map((t) => t.id).sort());
			expect(again.own.length).toBeLessThanOrEqual(group.members.length);
		}
	});

	test('the plan of a meal held to it keeps every member at the one setting', () => {
		for (const { meal, group } of grouped.filter((g) => g.meal.covers <= 4).slice(0, 6)) {
			const held = { ...withSharedSetting(meal, group, library), earliest: 4 * 3600 };
			const request = {
				meal: held,
				kitchen: everything,
				techniques: [...withOwn(held).values()],
				seed: 1,
				budget: 1500
			};
			const outcome = planMealNow(request);
			if (outcome.kind !== 'plan') throw new Error(JSON.stringify(outcome).slice(0, 500));
			const { plan } = outcome;
			for (const { part, step } of group.members)
				for (const s of plan.steps.filter((x) => x.part === part && x.say === step))
					expect(s.setting).toBe(group.setting);
		}
	});
});

describe('made before', () => {
	test('is told for each part that can be, with the steps that are done then and nothing after them', () => {
		for (const seed of seeds(12)) {
			const meal = drawnOf(kept, seed);
			const one = { ...meal, parts: meal.parts.map((p, i) => (i === 0 ? { ...p, ahead: 'before' as const } : p)) };
			const plan = planned(one, everything, 800);
			const list = aheadOf(one, plan, library);
			expect(list.map((a) => a.part.id)).toEqual(one.parts.map((p) => p.id));
			for (const a of list) {
				expect(a.isBefore).toBe(plan.parts.some((p) => (p.of ?? p.id) === a.part.id && p.before !== undefined));
				expect(a.keeps).toBeGreaterThan(0);
				expect(a.source).not.toBe('');
				expect(a.service).toBe(19 * 3600);
				const known = a.technique.steps.map((s) => s.say);
				expect(a.steps.length).toBeGreaterThan(0);
				for (const say of a.steps) expect(known).toContain(say);
				if (a.isBefore && a.part.id === 'p0') {
					const rest = plan.steps.filter((s) => s.part === 'p0').map((s) => s.say);
					const both = rest.filter((say) => a.steps.includes(say));
					expect(both).toEqual([]);
				}
			}
			expect(list.find((a) => a.part.id === 'p0')?.isBefore).toBe(true);
		}
	});

	test('what comes out of the cold is on the heat before its hour is over', () => {
		for (const demo of demoCases) {
			const plan = planDemo(demo, 2000);
			const out = outOfCold(plan);
			expect(out.length).toBe(plan.steps.filter((s) => s.kind === 'temper').length);
			expect(out.map((o) => o.at)).toEqual(out.map((o) => o.at).sort((a, b) => a - b));
			for (const o of out) {
				expect(o.until).toBeGreaterThan(o.at);
				expect(o.limit).toBeGreaterThanOrEqual(o.until);
			}
		}
	});
});

describe('changes', () => {
	const drawn = seeds(8).map((seed) =>
		drawnOf(
			techniques.map((t) => t.id),
			seed
		)
	);

	test('each is a meal and a kitchen that can be kept, and compiles', () => {
		for (const meal of drawn) {
			const plan = planned(meal, everything, 500);
			const changes = changesFor({ meal, kitchen: everything, techniques }, plan);
			expect(new Set(changes.map((c) => c.id)).size).toBe(changes.length);
			for (const { id, then, apply, what } of changes) {
				expect(readMealData(then.meal, new Map(then.techniques.map((t) => [t.id, t]))), id).toMatchObject({ ok: true });
				if (apply && 'meal' in apply) expect(apply.meal).toBe(then.meal);
				if (apply && 'kitchen' in apply) expect(apply.kitchen).toBe(then.kitchen);
				const known = new Set([...then.techniques, ...then.meal.own].map((t) => t.id));
				for (const part of then.meal.parts) expect(known, id).toContain(part.technique);
				// A change of one thing changes one thing.
				if (what.kind === 'without') expect(then.meal.parts).toHaveLength(meal.parts.length - 1);
				else expect(then.meal.parts.map((p) => p.id)).toEqual(meal.parts.map((p) => p.id));
				if (what.kind === 'later') expect(then.meal.courses[0]?.service).toBe(19 * 3600 + what.by);
				if (['burner', 'board', 'vessel', 'help'].includes(what.kind)) expect(then.meal).toBe(meal);
				else expect(then.kitchen).toBe(everything);
			}
			expect(compiled(meal).problem.tasks.length).toBeGreaterThan(0);
		}
	});

	test('a plan held against itself differs in nothing, and two plans differ by as much either way', () => {
		for (const meal of drawn.slice(0, 5)) {
			const [before, after] = [planned(meal, everything, 400), planned({ ...meal, covers: 1 }, everything, 400)];
			for (const part of meal.parts) {
				const same = compared(before, before, part.id);
				expect(same).toMatchObject({ evening: 0, hands: 0, waiting: 0, gives: [], takes: [] });
				const [there, back] = [compared(before, after, part.id), compared(after, before, part.id)];
				expect(there.evening + back.evening).toBe(0);
				expect(there.hands + back.hands).toBe(0);
				expect(there.waiting + back.waiting).toBe(0);
				expect(there.gives).toEqual(back.takes);
			}
		}
	});
});
