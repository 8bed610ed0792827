// The clock between cold and hot: nothing while on heat or in the cold, everything else, over all steps.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { demoCases, planDemo } from '../../testing/demo-plan';
import { secondsBetween } from './between';

const plans = demoCases.map((demo) => planDemo(demo, 3000));
const kinds = (plan: (typeof plans)[number]) => new Map(plan.lanes.map((l) => [l.id, l.kind]));

test('never more than from the first step to the plate, and less by all that is on heat', () => {
	for (const plan of plans) {
		for (const part of plan.parts) {
			const steps = plan.steps.filter((s) => s.part === part.id && s.kind !== 'preheat');
			const whole = part.plated - Math.min(...steps.map((s) => s.from));
			const between = secondsBetween(steps, kinds(plan), part.plated);
			expect(between).toBeGreaterThanOrEqual(0);
			expect(between).toBeLessThanOrEqual(whole);
			expect(secondsBetween(steps, new Map(plan.lanes.map((l) => [l.id, 'cold'])), part.plated)).toBeLessThanOrEqual(
				between
			);
		}
	}
});

test('a longer wait for the plate counts in full', () => {
	fc.assert(
		fc.property(fc.constantFrom(...plans), fc.nat(), fc.integer({ min: 0, max: 7200 }), (plan, n, more) => {
			const part = plan.parts[n % plan.parts.length]!;
			const steps = plan.steps.filter((s) => s.part === part.id);
			const ready = Math.max(...steps.map((s) => s.to));
			const at = (seconds: number) => secondsBetween(steps, kinds(plan), ready + seconds);
			expect(at(more) - at(0)).toBe(more);
		}),
		{ numRuns: 40, seed: 1 }
	);
});
