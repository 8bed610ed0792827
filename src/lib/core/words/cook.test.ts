// What the Cook screen says of steps, on every moment of the demo evenings.
import { expect, test } from 'vitest';
import { bowlsOf } from '../model/bowls';
import { library } from '../library/library';
import { asPlanned } from '../plan/describe/as-planned';
import { cuesOf } from '../run/cues';
import { demoCases, planDemo } from '../testing/demo-plan';
import { laidOut, layAhead, wordWhere } from './cook';

const evenings = demoCases.map((demo) => {
	const plan = planDemo(demo, 3000);
	return { plan, cues: cuesOf(plan), bowls: bowlsOf(asPlanned(demo.meal, plan), library) };
});

test('ahead is laid what cannot be left once begun, two and a half minutes before at the most, with something to lay', () => {
	let laid = 0;
	for (const { plan, cues, bowls } of evenings)
		for (let clock = plan.from; clock < plan.to; clock += 60) {
			const next = cues.filter((c) => c.at > clock);
			for (const { step: id, ready, in: seconds, say } of layAhead(next, plan, clock, bowls)) {
				const step = plan.steps.find((s) => s.id === id)!;
				laid++;
				expect(step.bound).toBe(true);
				expect(seconds).toBe(step.from - clock);
				expect(seconds > 0 && seconds <= 150).toBe(true);
				expect(ready.length).toBeGreaterThan(0);
				expect(say).not.toMatch(/[{}]/);
				// Nothing is laid twice for one step.
				expect(new Set(ready).size).toBe(ready.length);
			}
		}
	expect(laid).toBeGreaterThan(3);
});

test('what goes in is said where a step begins or is touched, nowhere else; places are named, with what they are set to', () => {
	for (const { plan, cues, bowls } of evenings) {
		let some = 0;
		for (const cue of cues) {
			const { taken, ready } = laidOut(cue, plan, bowls);
			some += taken.length;
			if (cue.kind !== 'start' && cue.kind !== 'touch') expect([...taken, ...ready]).toEqual([]);
		}
		expect(some).toBeGreaterThan(5);
		for (const step of plan.steps) {
			const where = wordWhere(step, plan);
			expect(where).not.toMatch(/ · $|^ · |undefined|NaN/);
			if (step.setting !== undefined) expect(where).toMatch(/\d+ °C/);
			expect(where.startsWith(plan.lanes.find((l) => l.id === step.lane)?.name ?? '')).toBe(true);
		}
	}
});
