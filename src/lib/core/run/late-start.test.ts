// Late starts: told when it is too late, and what is still possible can be kept.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { withBeginningAt } from '../model/edit-meal';
import { demoCases, planDemo } from '../testing/demo-plan';
import { lateStart } from './late-start';

const at = (from: number, service: number) => ({
	from,
	services: [
		{ course: 'c', name: 'Plates', due: service, at: service, plating: service, warm: undefined, platings: [] }
	]
});
const hours = 3600;

test.each([
	['before work begins', 16.5, undefined],
	['on the minute', 17, undefined],
	['half an hour into it', 17.5, { kind: 'begun', ago: 1800, possible: 20 * hours, by: 1800 }],
	['five minutes before service', 19 + 25 / 60, { kind: 'begun', ago: 8700, possible: 21 * hours + 3300, by: 8700 }],
	['an hour after service', 20.5, { kind: 'past', ago: 3600, possible: 23 * hours, by: 12_600 }],
	['the next morning', 8, undefined]
])('%s', (_, now, expected) => {
	const found = lateStart(at(17 * hours, 19.5 * hours), now * hours);
	if (expected === undefined) expect(found).toBeUndefined();
	else expect(found).toMatchObject(expected);
});

test('an evening over midnight goes on when the clock begins anew', () => {
	expect(lateStart(at(23 * hours, 24.5 * hours), 0.25 * hours)).toMatchObject({ kind: 'begun', ago: 4500 });
	expect(lateStart(at(23 * hours, 24.5 * hours), 1 * hours)).toMatchObject({ kind: 'past', ago: 1800 });
	expect(lateStart(at(23 * hours, 24.5 * hours), 20 * hours)).toBeUndefined();
});

test('what is possible is never sooner than all of the work after now, and to five minutes', () => {
	const clock = fc.integer({ min: 0, max: 86_399 });
	fc.assert(
		fc.property(
			fc.integer({ min: 6 * hours, max: 22 * hours }),
			fc.integer({ min: 600, max: 4 * hours }),
			clock,
			(from, length, now) => {
				const found = lateStart(at(from, from + length), now);
				if (!found) return;
				expect(found.possible % 300).toBe(0);
				expect(found.by).toBeGreaterThan(0);
				const since = found.kind === 'past' ? found.ago + length : found.ago;
				expect(found.by).toBeGreaterThanOrEqual(since);
				expect(found.by).toBeLessThan(since + 300);
			}
		),
		{ seed: 3 }
	);
});

test('a demo meal that begins now and is served when it is possible has a plan', () => {
	for (const demo of demoCases.slice(0, 2)) {
		const plan = planDemo(demo, 3000);
		const now = plan.from + 1800;
		const late = lateStart(plan, now)!;
		const found = planDemo({ ...demo, meal: withBeginningAt(demo.meal, now, late.by) }, 3000);
		expect(found.services.every((s) => s.at === s.due)).toBe(true);
		expect(found.from).toBeGreaterThanOrEqual(now);
	}
});
