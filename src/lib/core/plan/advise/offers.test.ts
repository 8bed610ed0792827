// What is offered to idle hands: begun at once, the evening is no worse for it.
import { expect, test } from 'vitest';
import { library } from '../../library/library';
import { instantAt } from '../../run/events';
import { standingOf } from '../../run/view';
import { demoCases, planDemo } from '../../testing/demo-plan';
import { runOf, runUntil, withEvent } from '../../testing/some-run';
import { grid } from '../grid';
import { planMealNow } from '../plan-meal';
import { offersOf } from './offers';

const techniques = [...library.values()];

test('what is offered waits for nothing that is not done, is due later, and leaves the others where they are', () => {
	let offered = 0;
	for (const demo of demoCases) {
		const plan = planDemo(demo, 4000);
		for (let share = 0.05; share < 0.95; share += 0.06) {
			const clock = Math.round(plan.from + share * (plan.to - plan.from));
			const run = runUntil(runOf(plan), clock);
			const standing = standingOf(run, instantAt(run, clock));
			const over = new Set(standing.begun.filter((b) => b.to <= clock + 2 * grid).map((b) => b.step));
			const offers = offersOf({ ...demo, techniques }, standing);
			expect(offers.length).toBeLessThanOrEqual(3);
			for (const offer of offers) {
				offered++;
				const step = standing.plan.steps.find((s) => s.id === offer.step)!;
				expect(step.from - clock).toBe(offer.sooner);
				expect(offer.sooner).toBeGreaterThan(120);
				expect(step.hands.length).toBeGreaterThan(0);
				for (const id of step.after)
					if (standing.plan.steps.some((s) => s.id === id)) expect(over.has(id), `${step.id} after ${id}`).toBe(true);
			}
		}
	}
	expect(offered).toBeGreaterThan(10);
});

test('taken up, no course is later', () => {
	let taken = 0;
	for (const demo of demoCases) {
		const plan = planDemo(demo, 4000);
		for (const share of [0.1, 0.3, 0.5, 0.7]) {
			const clock = Math.round(plan.from + share * (plan.to - plan.from));
			const run = runUntil(runOf(plan), clock);
			const at = instantAt(run, clock);
			const [offer] = offersOf({ ...demo, techniques }, standingOf(run, at));
			if (!offer) continue;
			taken++;
			const begun = withEvent(run, { kind: 'begin', step: offer.step }, at);
			const standing = standingOf(begun, at);
			expect(standing.begun.some((b) => b.step === offer.step)).toBe(true);
			const outcome = planMealNow({ ...demo, techniques, seed: 1, budget: 1500, standing });
			if (outcome.kind !== 'plan') throw new Error(`${offer.step}: ${outcome.kind}`);
			for (const service of outcome.plan.services)
				expect(service.at).toBeLessThanOrEqual(plan.services.find((s) => s.course === service.course)!.at);
		}
	}
	expect(taken).toBeGreaterThan(2);
});
