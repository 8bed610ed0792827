// The drawing: time runs one way, nothing lies on anything else, and everything of the plan is there.
import { speakPlan } from '../../core/words/speak';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoCases, planDemo } from '../../core/testing/demo-plan';
import { layoutCords, wide } from './layout';
import { frame } from './place';
import { packSlots } from './slots';
import { lenses, timeAxis } from './time-axis';

const plans = demoCases.map((c) => planDemo(c, 3000));

test('the axis runs with time, ends at the pass, and can be read backwards', () => {
	fc.assert(
		fc.property(
			fc.constantFrom(...lenses),
			fc.integer({ min: 300, max: 60_000 }),
			fc.double({ min: 0, max: 1, noNaN: true }),
			fc.double({ min: 0, max: 1, noNaN: true }),
			({ lens }, whole, a, b) => {
				const axis = timeAxis(70_000 - whole, 70_000, 900, lens);
				const [s, t] = [70_000 - whole * a, 70_000 - whole * b];
				expect(axis.u(70_000)).toBeCloseTo(900);
				expect(axis.u(70_000 - whole)).toBeCloseTo(0);
				if (s < t) expect(axis.u(s)).toBeLessThanOrEqual(axis.u(t));
				expect(axis.time(axis.u(s))).toBeCloseTo(s, 3);
			}
		),
		{ seed: 43 }
	);
});

test('a stronger lens gives the last ten minutes more room', () => {
	const room = lenses.map(({ lens }) => 900 - timeAxis(60_000, 70_000, 900, lens).u(70_000 - 600));
	expect(room).toEqual(room.toSorted((a, b) => a - b));
});

test('hours stand apart by as much as asked', () => {
	for (const { lens } of lenses) {
		const us = timeAxis(20_000, 70_000, 900, lens)
			.ticks(54)
			.map((t) => t.u);
		us.slice(1).forEach((u, i) => {
			expect(u - us[i]!).toBeGreaterThanOrEqual(53.9);
		});
		expect(us.length).toBeGreaterThan(4);
	}
});

test('things in one slot never overlap, and no more slots are used than things are at once', () => {
	const thing = fc
		.tuple(fc.integer({ min: 0, max: 50 }), fc.integer({ min: 1, max: 20 }), fc.constantFrom('a', 'b', 'c'))
		.map(([from, long, group]) => ({ from, to: from + long, group }));
	fc.assert(
		fc.property(fc.array(thing, { maxLength: 20 }), (things) => {
			const { slots, count } = packSlots(things);
			things.forEach((x, i) => {
				things.forEach((y, j) => {
					if (i < j && slots[i] === slots[j]) expect(x.to <= y.from || y.to <= x.from).toBe(true);
				});
			});
			const most = Math.max(1, ...things.map((x) => things.filter((y) => y.from <= x.from && x.from < y.to).length));
			expect(count).toBe(most);
		}),
		{ seed: 47 }
	);
});

describe.each(plans.map((p) => [p.name, p] as const))('%s', (_, plan) => {
	const drawing = layoutCords(speakPlan(plan, 'metric'), timeAxis(plan.from, plan.to, 900, 60), wide);

	test('draws every step, touch and part once', () => {
		expect(drawing.segments.map((s) => s.step.id).toSorted()).toEqual(plan.steps.map((s) => s.id).toSorted());
		expect(drawing.beads).toHaveLength(plan.steps.flatMap((s) => s.hands.filter((h) => !h.whole)).length);
		expect(drawing.knots.map((k) => k.part.id)).toEqual(plan.parts.map((p) => p.id));
	});

	test('keeps every cord inside its lane', () => {
		for (const s of drawing.segments) {
			const box = drawing.lanes.find((l) => l.lane.id === s.step.lane);
			expect(s.v).toBeGreaterThan(box!.v);
			expect(s.v).toBeLessThan(box!.v + box!.height);
			expect(s.u0).toBeGreaterThanOrEqual(0);
		}
	});

	test('lets no label run into the next cord', () => {
		for (const s of drawing.segments) {
			const next = drawing.segments.filter((x) => x.v === s.v && x.u0 > s.u0).toSorted((a, b) => a.u0 - b.u0)[0];
			if (next && s.label !== '') expect(s.u0 + s.label.length * wide.letter).toBeLessThanOrEqual(next.u0);
		}
	});
});

test('standing is lying with its axes exchanged', () => {
	const [lying, standing] = [frame(false, 10, 20), frame(true, 20, 10)];
	const [a, b] = [lying.box(5, 30, 2, 9), standing.box(5, 30, 2, 9)];
	expect([b.y, b.x, b.height, b.width]).toEqual([a.x, a.y, a.width, a.height]);
});
