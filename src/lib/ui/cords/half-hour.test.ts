// Half an hour, large: every step is in some stretch, none in one in which it is not on.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { speakPlan } from '../../core/words/speak';
import { demoCases, planDemo } from '../../core/testing/demo-plan';
import { barsOf, beginOf, stretch, stride } from './half-hour';

const plans = demoCases.map((c) => speakPlan(planDemo(c, 2000), 'metric'));
const moment = fc.tuple(fc.constantFrom(...plans), fc.integer({ min: 0, max: 86_399 }));

test('the bars are the steps that are on, where they are', () => {
	fc.assert(
		fc.property(moment, ([plan, at]) => {
			const begin = beginOf(plan, at);
			expect(begin % stride).toBe(0);
			expect(begin).toBeGreaterThan(plan.from - stride);
			expect(begin).toBeLessThanOrEqual(plan.to);
			const bars = barsOf(plan, begin);
			const on = plan.steps.filter((s) => s.from < begin + stretch && s.to > begin);
			expect(new Set(bars.map((b) => b.step.id))).toEqual(new Set(on.map((s) => s.id)));
			for (const { step, from, to, isCut, touches } of bars) {
				expect(from).toBeLessThan(to);
				if (!isCut.before) expect(begin + from * stretch).toBeCloseTo(step.from, 6);
				if (!isCut.after) expect(begin + to * stretch).toBeCloseTo(step.to, 6);
				for (const t of touches) expect(t >= from - 1e-9 && t <= to + 1e-9).toBe(true);
			}
			expect(bars.map((b) => b.step.from)).toEqual(bars.map((b) => b.step.from).toSorted((a, b) => a - b));
		}),
		{ seed: 6 }
	);
});

test('going on from the first stretch to the last every step is seen', () => {
	for (const plan of plans) {
		const seen = new Set<string>();
		for (let at = beginOf(plan, plan.from); at <= beginOf(plan, plan.to); at += stride)
			for (const b of barsOf(plan, at)) seen.add(b.step.id);
		expect(seen).toEqual(new Set(plan.steps.map((s) => s.id)));
	}
});
