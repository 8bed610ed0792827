// Who is here: cooks who leave get nothing more to do, who comes can, and the rest is planned on.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { library } from '../library/library';
import { cures } from '../plan/advise/cures';
import { planMealNow } from '../plan/plan-meal';
import { demoCases, planDemo } from '../testing/demo-plan';
import { runOf, runUntil, withEvent } from '../testing/some-run';
import { instantAt } from './events';
import { kitchenDuring } from './during';
import { factsOf } from './facts';
import { everybody, nextHelper, postsOf, withCrew } from './posts';
import { standingOf, viewRun } from './view';

const demo = demoCases.find((d) => d.kitchen.cooks.length > 2)!;
const plan = planDemo(demo, 3000);
const ids = demo.kitchen.cooks.map((c) => c.id);
const share = fc.integer({ min: 10, max: 85 });
const momentAt = (n: number) => Math.round(plan.from + ((plan.to - plan.from) * n) / 100);
/** Planned on for those who are here at a moment of a run; where not all can be kept, with the first promise that is broken. */
const replanned = (run: ReturnType<typeof runOf>, clock: number) => {
	const standing = standingOf(run, instantAt(run, clock));
	const kitchen = kitchenDuring(demo.kitchen, factsOf(run));
	const request = { ...demo, kitchen, techniques: [...library.values()], seed: 1, budget: 20_000, standing };
	const outcome = planMealNow(request);
	if (outcome.kind === 'plan') return { kitchen, standing, plan: outcome.plan };
	for (const cure of cures(request)) if (cure) return { kitchen, standing, plan: cure.plan };
	return { kitchen, standing, plan: undefined };
};

describe('a cook who leaves', () => {
	test('has nothing to do any more, and the others cook on, served late at the worst', () => {
		fc.assert(
			fc.property(share, fc.constantFrom(...ids), (n, cook) => {
				const clock = momentAt(n);
				const run = withEvent(runUntil(runOf(plan), clock), { kind: 'out', what: cook }, instantAt(runOf(plan), clock));
				const { plan: found, standing } = replanned(run, clock);
				expect(found, `${cook} at ${n} %`).toBeDefined();
				if (!found) return;
				const begun = new Set(standing.begun.map((b) => b.step));
				expect(found.cooks.map((c) => c.id)).not.toContain(cook);
				for (const s of found.steps.filter((x) => !begun.has(x.id)))
					for (const h of s.hands) expect(h.cook, s.id).not.toBe(cook);
			}),
			{ numRuns: 25, seed: 11 }
		);
	});

	test('and comes back has hands again; who was never here comes as a helper', () => {
		const clock = momentAt(40);
		const at = instantAt(runOf(plan), clock);
		const left = withEvent(runUntil(runOf(plan), clock), { kind: 'out', what: ids[0]! }, at);
		const back = withEvent(left, { kind: 'back', what: ids[0]! }, at + 1000);
		expect(factsOf(back)).toMatchObject({ away: new Set(), joined: [] });
		const helper = nextHelper(factsOf(left), demo.kitchen);
		const helped = withEvent(left, { kind: 'back', what: helper }, at + 1000);
		const { plan: found, kitchen } = replanned(helped, clock + 1);
		expect(kitchen.cooks.map((c) => c.id)).toEqual([...ids.slice(1), helper]);
		expect(found?.cooks.map((c) => c.id)).toEqual([...ids.slice(1), helper]);
		expect(nextHelper(factsOf(helped), demo.kitchen)).not.toBe(helper);
		const undone = withEvent(left, { kind: 'undo', event: left.events.at(-1)!.id }, at + 2000);
		expect(factsOf(undone).away.size).toBe(0);
	});

	test('somebody stays: with nobody left the kitchen is as it was', () => {
		const facts = { away: new Set(ids), joined: [] };
		expect(withCrew(demo.kitchen, facts)).toBe(demo.kitchen);
		expect(everybody(facts, demo.kitchen).every((e) => !e.isHere)).toBe(true);
	});
});

test('at any moment each cook’s post is their own, and what is due is somebody’s', () => {
	fc.assert(
		fc.property(share, (n) => {
			const run = runUntil(runOf(plan), momentAt(n) - 30);
			const view = viewRun(run, instantAt(run, momentAt(n)));
			const posts = postsOf(view, ids);
			expect(posts.map((p) => p.cook)).toEqual(ids);
			for (const { cook, now, next } of posts) for (const cue of [now, next]) if (cue) expect(cue.cook).toBe(cook);
			for (const cue of view.now.filter((c) => c.hand !== undefined))
				expect(posts.some((p) => p.cook === cue.cook && p.now !== undefined)).toBe(true);
		}),
		{ numRuns: 60, seed: 4 }
	);
});
