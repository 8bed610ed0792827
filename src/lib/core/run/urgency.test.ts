// What is due, in order: what spoils first, then what holds up most, then by time; every due cue once.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoCases, planDemo } from '../testing/demo-plan';
import { cuesOf, type Cue } from './cues';
import { holdingUp } from './forecast';
import { byUrgency, spoilsAt } from './urgency';

const plans = demoCases.map((demo) => planDemo(demo, 2000));
const some = fc
	.tuple(fc.constantFrom(...plans), fc.array(fc.nat(400), { minLength: 2, maxLength: 8 }))
	.map(([plan, picks]) => {
		const cues = cuesOf(plan);
		return { plan, due: [...new Set(picks.map((n) => cues[n % cues.length]!))].toSorted((a, b) => a.at - b.at) };
	});

test('each due cue comes once, what spoils before what does not, the sooner spoilt first', () => {
	fc.assert(
		fc.property(some, ({ plan, due }) => {
			const order = byUrgency(due, plan, (step) => holdingUp(plan)(step, 300));
			expect(order.map((c) => c.id).toSorted()).toEqual(due.map((c) => c.id).toSorted());
			const spoils = order.map((c) => spoilsAt(c, plan));
			expect(spoils).toEqual(spoils.toSorted((a, b) => (a === b ? 0 : a - b)));
		}),
		{ numRuns: 150 }
	);
});

describe('what is held up', () => {
	test('nothing where a step goes as planned; a last step as long as it is left, less its wait', () => {
		for (const plan of plans) {
			const heldUp = holdingUp(plan);
			for (const step of plan.steps) {
				expect(heldUp(step.id, 0)).toBe(0);
				const more = heldUp(step.id, 900);
				expect(more).toBeGreaterThanOrEqual(0);
				const part = plan.parts.find((p) => p.id === step.part)!;
				if (part.ready !== step.to || part.into !== undefined) continue;
				expect(more).toBeGreaterThanOrEqual(900 - (part.plated - part.ready) - 1);
			}
		}
	});
	test('of two things to begin the one that holds up more comes first', () => {
		const [plan] = plans;
		const starts = cuesOf(plan!).filter((c) => c.kind === 'start');
		const holds = (c: Cue) => holdingUp(plan!)(c.step ?? '', 300);
		const order = byUrgency(starts, plan!, (step) => holdingUp(plan!)(step, 300)).map(holds);
		expect(order).toEqual(order.toSorted((a, b) => b - a));
		expect(order[0]).toBeGreaterThan(0);
	});
});
