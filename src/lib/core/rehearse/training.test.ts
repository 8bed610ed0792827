// An evening that is played: the same by its seed, spread as the plan says, and nothing goes wrong with what is not there.
import { describe, expect, test } from 'vitest';
import { library } from '../library/library';
import { mealDuring } from '../run/during';
import { debriefOf } from '../run/debrief';
import { instantAt } from '../run/events';
import { factsOf } from '../run/facts';
import { viewRun } from '../run/view';
import { cuesOf } from '../run/cues';
import { demoCases, planDemo } from '../testing/demo-plan';
import { doneAt, runOf, runUntil, withEvent } from '../testing/some-run';
import { normalOf, uniformOf } from './luck';
import { mishapsOf, seenAfter, trueLength } from './training';

const cases = demoCases.map((demo) => ({ demo, plan: planDemo(demo, 3000) }));

test('luck is spread evenly, by its key alone', () => {
	const all = Array.from({ length: 4000 }, (_, i) => uniformOf(7, `step ${i}`)).toSorted((a, b) => a - b);
	// Kolmogorov's distance, at 1 in 10,000.
	const distance = Math.max(...all.map((u, i) => Math.abs(u - (i + 0.5) / all.length)));
	expect(distance).toBeLessThan(2.2 / Math.sqrt(all.length));
	const normals = Array.from({ length: 4000 }, (_, i) => normalOf(i, 'one step'));
	const mean = normals.reduce((a, b) => a + b, 0) / normals.length;
	const variance = normals.reduce((sum, x) => sum + (x - mean) ** 2, 0) / normals.length;
	expect(Math.abs(mean)).toBeLessThan(0.06);
	expect(Math.abs(variance - 1)).toBeLessThan(0.1);
	expect(uniformOf(3, 'a')).toBe(uniformOf(3, 'a'));
	expect(uniformOf(3, 'a')).not.toBe(uniformOf(4, 'a'));
});

test('half of all steps take longer than planned, a tenth less than their shortest', () => {
	for (const { plan } of cases) {
		const drawn = Array.from({ length: 300 }, (_, seed) =>
			plan.steps.map((s) => trueLength({ seed, mishaps: 0 }, s) / Math.exp(s.mu))
		).flat();
		const longer = drawn.filter((r) => r > 1).length / drawn.length;
		expect(Math.abs(longer - 0.5)).toBeLessThan(0.03);
	}
});

test('what is seen goes on with time, and is done when it is', () => {
	const order = ['far', 'half way', 'nearly', 'done'];
	const seen = Array.from({ length: 30 }, (_, i) => order.indexOf(seenAfter(1000, 50 * i)));
	expect(seen).toEqual(seen.toSorted((a, b) => a - b));
	expect(seenAfter(1000, 1000)).toBe('done');
	expect(seenAfter(1000, 999)).toBe('nearly');
});

describe('mishaps', () => {
	test('come as often as they are asked for, each one that the run can take in', () => {
		for (const { demo, plan } of cases) {
			let n = 0;
			const hours = (Math.max(...plan.services.map((s) => s.at)) - 600 - plan.from - 120) / 3600;
			for (let seed = 0; seed < 60; seed++) {
				const run = runOf(plan);
				const all = mishapsOf({ seed, mishaps: 4 }, plan, demo.meal, (c) => instantAt(run, c));
				n += all.length;
				expect(all).toEqual(mishapsOf({ seed, mishaps: 4 }, plan, demo.meal, (c) => instantAt(run, c)));
				const told = all.reduce((r, m) => withEvent(r, m.happening, instantAt(r, m.at)), run);
				const meal = mealDuring(demo.meal, factsOf(told), library);
				expect(meal.parts.length).toBeGreaterThanOrEqual(demo.meal.parts.length);
				expect(() => viewRun(told, instantAt(told, plan.to))).not.toThrow();
			}
			expect(n / 60).toBeGreaterThan(0.6 * 4 * hours);
			expect(n / 60).toBeLessThanOrEqual(1.15 * 4 * hours);
			expect(mishapsOf({ seed: 1, mishaps: 0 }, plan, demo.meal, (c) => c)).toEqual([]);
		}
	});
});

describe('the debrief', () => {
	test('of an evening by the plan finds nothing', () => {
		for (const { plan } of cases) {
			const run = runUntil(runOf(plan), plan.to + 60);
			const found = debriefOf(run, instantAt(run, plan.to + 60));
			expect(found.late).toEqual([]);
			expect(found.courses.every((c) => c.late === 0)).toBe(true);
			expect(found.parts.every((p) => p.late === 0)).toBe(true);
			expect(found.cues).toBe(cuesOf(plan).length);
			expect(found.happened).toEqual([]);
		}
	});
	test('names the cue that was left, by as much as it was', () => {
		const [c] = cases;
		const { plan } = c!;
		const left = cuesOf(plan).filter((x) => x.kind === 'touch' && x.hand !== undefined);
		for (const cue of left.slice(0, 4)) {
			const at = doneAt(plan, cue) + 240;
			const before = cuesOf(plan).filter((x) => x.id !== cue.id && doneAt(plan, x) <= at);
			const run = before
				.toSorted((a, b) => doneAt(plan, a) - doneAt(plan, b))
				.reduce((r, x) => withEvent(r, { kind: 'done', cue: x.id }, instantAt(r, doneAt(plan, x))), runOf(plan));
			const late = withEvent(run, { kind: 'done', cue: cue.id }, instantAt(run, at));
			const found = debriefOf(late, instantAt(late, at));
			const own = found.late.find((l) => l.cue === cue.id);
			if (viewRun(run, instantAt(run, at)).now.every((x) => x.id !== cue.id)) continue;
			expect(own?.seconds).toBe(240);
			expect(own?.part).toBe(cue.part);
		}
	});
});
