// What life does to an evening that is on: the meal and the kitchen stay whole, and the rest has a plan that fits.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { library } from '../library/library';
import { readMeal } from '../model/meal';
import { cures } from '../plan/advise/cures';
import { grid } from '../plan/grid';
import { movedIn } from '../plan/replan';
import { speakMoved } from '../words/speak';
import { planMealNow } from '../plan/plan-meal';
import { demoCases, planDemo } from '../testing/demo-plan';
import { runOf, runUntil, withEvent } from '../testing/some-run';
import { kitchenDuring, mealDuring } from './during';
import { instantAt, type Happening, type Run } from './events';
import { factsOf } from './facts';
import { wordHappening } from '../words/life';
import { mayFailIn } from './may-fail';
import { standingOf, viewRun } from './view';

const techniques = [...library.values()];
const cases = demoCases.map((demo) => ({ demo, plan: planDemo(demo, 4000) }));
type Case = (typeof cases)[number];

const of = <T>(list: readonly T[], n: number) => list[n % list.length]!;
/** Something that happens at a moment of a case's evening. */
const mishaps: readonly ((c: Case, run: Run, clock: number, n: number) => Happening | undefined)[] = [
	({ demo }, _, __, n) => ({ kind: 'failed', part: of(demo.meal.parts, n).id, then: 'again' }),
	({ demo }, _, __, n) => ({ kind: 'failed', part: of(demo.meal.parts, n).id, then: 'again', covers: 1 }),
	({ demo }, _, __, n) => ({ kind: 'failed', part: of(demo.meal.parts, n).id, then: 'without' }),
	({ demo }, _, __, n) => {
		const part = of(demo.meal.parts, n);
		const own = library.get(part.technique);
		const other = techniques.find((t) => t.id !== part.technique && t.makes !== undefined && t.makes === own?.makes);
		return other && { kind: 'failed', part: part.id, then: 'otherwise', technique: other.id };
	},
	({ demo }, _, __, n) => ({ kind: 'guests', covers: Math.max(1, demo.meal.covers + (n % 2 === 0 ? 1 : -1)) }),
	({ plan }, run, __, n) => {
		const { course, at } = of(plan.services, n);
		return { kind: 'service', course, to: instantAt(run, at + 600) };
	},
	({ demo }, _, __, n) => ({ kind: 'out', what: of(demo.kitchen.cooks, n).id, seconds: 600 }),
	({ demo }, _, __, n) => {
		const burners = demo.kitchen.stations.filter((s) => s.kind === 'burner');
		return { kind: 'out', what: of(burners, n).id };
	},
	({ plan }, run, clock, n) => {
		const { on } = viewRun(run, instantAt(run, clock));
		const step = on.length > 0 ? of(on, n).step.id : plan.steps[0]!.id;
		return { kind: 'late', step, seconds: 300 };
	}
];

function after(c: Case, share: number, kind: number, n: number) {
	const clock = Math.round(c.plan.from + ((c.plan.to - c.plan.from) * share) / 100);
	const run = runUntil(runOf(c.plan), clock);
	const happening = mishaps[kind]!(c, run, clock, n);
	if (!happening) return undefined;
	const told = withEvent(run, happening, instantAt(run, clock));
	const facts = factsOf(told);
	const meal = mealDuring(c.demo.meal, facts, library);
	const kitchen = kitchenDuring(c.demo.kitchen, facts);
	const standing = standingOf(told, instantAt(told, clock));
	return { clock, happening, meal, kitchen, standing, facts };
}
const moments = fc.tuple(
	fc.constantFrom(...cases),
	fc.integer({ min: 3, max: 92 }),
	fc.nat(mishaps.length - 1),
	fc.nat(30)
);

test('the meal is one that can be read, and what failed begins anew: none of its steps is done', () => {
	fc.assert(
		fc.property(moments, ([c, share, kind, n]) => {
			const then = after(c, share, kind, n);
			if (!then) return;
			const { meal, happening, standing } = then;
			expect(readMeal(meal, library)).toMatchObject({ ok: true });
			if (happening.kind !== 'failed' || happening.then === 'without') return;
			const before = new Set(c.demo.meal.parts.map((p) => p.id));
			const anew = meal.parts.filter((p) => !before.has(p.id));
			expect(anew).toHaveLength(1);
			expect(standing.begun.filter((b) => b.step.startsWith(`${anew[0]!.id}/`))).toEqual([]);
		}),
		{ numRuns: 200, seed: 3 }
	);
});

test('the rest has a plan, with a later service or another promise broken at the worst; nothing in the past', () => {
	let [kept, broken] = [0, 0];
	const none: string[] = [];
	fc.assert(
		fc.property(moments, ([c, share, kind, n]) => {
			const then = after(c, share, kind, n);
			if (!then) return;
			const { meal, kitchen, standing } = then;
			const request = { meal, kitchen, techniques, seed: 1, budget: 20_000, standing };
			const outcome = planMealNow(request);
			if (outcome.kind === 'issues') return;
			const plan = outcome.kind === 'plan' ? outcome.plan : [...cures(request)].find((x) => x !== undefined)?.plan;
			if (outcome.kind === 'plan') kept++;
			else broken++;
			if (!plan) none.push(`${c.plan.name} at ${share} %: ${JSON.stringify(then.happening)}`);
			const begun = new Set(standing.begun.map((b) => b.step));
			for (const step of plan?.steps ?? [])
				if (!begun.has(step.id)) expect(step.from, step.id).toBeGreaterThanOrEqual(standing.now);
		}),
		{ numRuns: 45, seed: 7 }
	);
	expect(none).toEqual([]);
	expect(kept).toBeGreaterThan(10 * broken);
});

describe('a cook who is away for ten minutes', () => {
	test('has nothing to do meanwhile, and is there again afterwards', () => {
		let after10 = 0;
		for (const c of cases)
			for (const share of [10, 30, 50, 70])
				for (const cook of c.demo.kitchen.cooks) {
					const clock = Math.round(c.plan.from + ((c.plan.to - c.plan.from) * share) / 100);
					const run = runUntil(runOf(c.plan), clock);
					const told = withEvent(run, { kind: 'out', what: cook.id, seconds: 600 }, instantAt(run, clock));
					const standing = standingOf(told, instantAt(told, clock));
					expect(standing.breaks).toEqual([{ cook: cook.id, from: clock, to: clock + 600 }]);
					const outcome = planMealNow({ ...c.demo, techniques, seed: 1, budget: 3000, standing });
					if (outcome.kind !== 'plan') continue;
					const begun = new Set(standing.begun.map((b) => b.step));
					const hands = outcome.plan.steps
						.filter((s) => !begun.has(s.id))
						.flatMap((s) => s.hands.filter((h) => h.cook === cook.id).map((h) => ({ ...h, step: s.id })));
					for (const h of hands)
						expect(h.from > clock + 600 - grid || h.to <= clock, `${cook.id} ${h.step} ${h.from - clock}`).toBe(true);
					if (hands.length > 0) after10++;
				}
		expect(after10).toBeGreaterThan(4);
	});
	test('called away again meanwhile, is away until the later end', () => {
		const [c] = cases;
		const cook = c!.demo.kitchen.cooks[0]!.id;
		const clock = c!.plan.from + 3600;
		const run = runUntil(runOf(c!.plan), clock);
		const at = instantAt(run, clock);
		const away = { kind: 'out', what: cook, seconds: 300 } as const;
		const told = withEvent(withEvent(run, away, at), { ...away, seconds: 720 }, at);
		const outcome = planMealNow({ ...c!.demo, techniques, seed: 1, budget: 20_000, standing: standingOf(told, at) });
		if (outcome.kind !== 'plan') throw new Error(outcome.kind);
		const begun = new Set(standingOf(told, at).begun.map((b) => b.step));
		for (const s of outcome.plan.steps)
			if (!begun.has(s.id)) for (const h of s.hands) expect(h.from).toBeGreaterThan(clock + 720 - grid);
	});
	test('comes back sooner, and is there', () => {
		const [c] = cases;
		const clock = c!.plan.from + 1800;
		const cook = c!.demo.kitchen.cooks[0]!.id;
		const run = runUntil(runOf(c!.plan), clock);
		const told = withEvent(run, { kind: 'out', what: cook, seconds: 600 }, instantAt(run, clock));
		const back = withEvent(told, { kind: 'back', what: cook }, instantAt(run, clock + 120));
		expect(viewRun(told, instantAt(run, clock + 121)).breaks).toHaveLength(1);
		expect(viewRun(back, instantAt(run, clock + 121)).breaks).toEqual([]);
		expect(viewRun(back, instantAt(run, clock + 121)).joined).toEqual([]);
	});
});

test('what is moved is what a cook would notice: a minute, or another place; what is on only where it is carried', () => {
	for (const c of cases) {
		const clock = Math.round((c.plan.from + c.plan.to) / 2);
		const run = runUntil(runOf(c.plan), clock);
		const standing = standingOf(run, instantAt(run, clock));
		const { plan } = standing;
		expect(movedIn(plan, standing)).toEqual([]);
		const later = plan.steps.find((s) => s.from > clock)!;
		const on = standing.begun.find((b) => b.to > clock);
		const over = standing.begun.find((b) => b.to <= clock)!;
		const changed = (id: string, facts: { lane?: string; from?: number }) => ({
			...plan,
			steps: plan.steps.map((s) => (s.id === id ? { ...s, ...facts } : s))
		});
		expect(movedIn(changed(later.id, { from: later.from + 45 }), standing)).toEqual([]);
		expect(movedIn(changed(later.id, { from: later.from + 75 }), standing)).toEqual([later.id]);
		expect(movedIn(changed(over.step, { lane: 'elsewhere' }), standing)).toEqual([]);
		if (!on) continue;
		const carried = changed(on.step, { lane: 'elsewhere' });
		expect(movedIn(carried, standing)).toEqual([on.step]);
		const words = speakMoved(
			[on.step],
			{ ...carried, lanes: [{ id: 'elsewhere', kind: 'burner', name: 'Burner 9' }] },
			'metric',
			(x) => x,
			clock
		);
		expect(words).toMatch(/ goes on at Burner 9$/);
	}
});

test('what is pinned stays where it is, unless that cannot be', () => {
	let held = 0;
	for (const c of cases)
		for (const share of [20, 45]) {
			const clock = Math.round(c.plan.from + ((c.plan.to - c.plan.from) * share) / 100);
			const run = runUntil(runOf(c.plan), clock);
			const { on, plan } = viewRun(run, instantAt(run, clock));
			const step = plan.steps.find((s) => s.from > clock + 600);
			const late = on[0]?.step.id;
			if (!step || late === undefined) continue;
			const at = instantAt(run, clock);
			const pinned = withEvent(
				withEvent(run, { kind: 'pin', step: step.id }, at),
				{ kind: 'late', step: late, seconds: 60 },
				at
			);
			const standing = standingOf(pinned, at);
			const outcome = planMealNow({ ...c.demo, techniques, seed: 1, budget: 3000, standing });
			if (outcome.kind !== 'plan') continue;
			held++;
			const before = standing.plan.steps.find((s) => s.id === step.id)!.from;
			expect(Math.abs(outcome.plan.steps.find((s) => s.id === step.id)!.from - before)).toBeLessThanOrEqual(8);
		}
	expect(held).toBeGreaterThan(1);
});

test('guests who want the same are counted, no more of them than there are', () => {
	for (const { demo, plan } of cases) {
		const part = mayFailIn(demo.meal, library, new Set()).find((p) => p.wish);
		if (!part?.wish) continue;
		const [value] = part.wish.values;
		const wish = {
			part: part.id,
			id: 'run',
			name: value!.words,
			covers: 1,
			settings: { [part.wish.parameter]: value!.value }
		};
		let run = runOf(plan);
		const before = (demo.meal.parts.find((p) => p.id === part.id)?.wishes ?? []).reduce((sum, w) => sum + w.covers, 0);
		for (let n = 1; n <= part.covers + 2; n++) {
			run = withEvent(run, { kind: 'guests', covers: demo.meal.covers, wish }, instantAt(run, plan.from + n));
			const meal = mealDuring(demo.meal, factsOf(run), library);
			expect(readMeal(meal, library)).toMatchObject({ ok: true });
			const own = meal.parts.find((p) => p.id === part.id)?.wishes?.find((w) => w.id === 'run')?.covers ?? 0;
			expect(own).toBe(Math.min(n, part.covers - before));
		}
	}
});

test('what may fail is what is not out; no way or wish is the part’s own; every change has its words, none of them another’s', () => {
	for (const { demo, plan } of cases) {
		const all = mayFailIn(demo.meal, library, new Set());
		expect(all.map((p) => p.id)).toEqual(demo.meal.parts.map((p) => p.id));
		const out = demo.meal.courses[0]!.id;
		const left = mayFailIn(demo.meal, library, new Set([out])).map((p) => p.id);
		expect(left).toEqual(demo.meal.parts.filter((p) => p.course !== out).map((p) => p.id));
		for (const { id, others, wish } of all) {
			const part = demo.meal.parts.find((p) => p.id === id)!;
			const technique = library.get(part.technique)!;
			expect(others.map((o) => o.id)).not.toContain(part.technique);
			for (const o of others) expect(library.get(o.id)?.makes).toBe(technique.makes);
			const usual = technique.parameters.find((x) => x.id === wish?.parameter)?.usual;
			expect(wish?.values.map((v) => v.value) ?? []).not.toContain(part.settings[wish?.parameter ?? ''] ?? usual);
			const say = (then?: 'again' | 'without' | 'otherwise') =>
				wordHappening(
					{ kind: 'failed', part: id, id: 'x', at: 0, by: '', ...(then ? { then } : {}) },
					plan,
					(at) => at
				);
			const said = [say(), say('again'), say('without'), say('otherwise')];
			expect(new Set(said).size).toBe(4);
			for (const words of said) expect(words.toLowerCase()).toContain(part.name.toLowerCase());
		}
	}
});
