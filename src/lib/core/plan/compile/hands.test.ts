// When hands are wanted: whatever a step's length, stretches lie within it, in order, and stirring is left for moments only.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { library } from '../../library/library';
import type { Step } from '../../model/technique';
import { grid } from '../grid';
import { countedHands, handUses } from './hands';

const all = [...library.values()].flatMap((t) =>
	t.steps.map((step) => {
		const of = (id: string) => t.parameters.find((p) => p.id === id)?.usual ?? 4;
		return { ...step, hands: countedHands(step.hands, of, 4) };
	})
);
const units = fc.integer({ min: 1, max: 400 });

test('stretches lie within the step, in order, none over another, on the grid', () => {
	fc.assert(
		fc.property(fc.constantFrom(...all), units, (step, n) => {
			const uses = handUses(step, n * grid, grid);
			uses.forEach(({ from, to }, i) => {
				expect(from).toBeGreaterThanOrEqual(uses[i - 1]?.to ?? 0);
				expect(to).toBeGreaterThan(from);
				expect(to).toBeLessThanOrEqual(n * grid);
				expect([from % grid, to % grid]).toEqual([0, 0]);
			});
			if (step.hands.kind === 'whole') expect(uses[0]?.from).toBe(0);
			if (step.hands.kind === 'whole') expect(uses.at(-1)?.to).toBe(n * grid);
			if (step.hands.kind === 'none') expect(uses).toEqual([]);
		}),
		{ seed: 8, numRuns: 1500 }
	);
});

test('what is stirred is left no longer, and no sooner, than it may be; without leave never', () => {
	const [plain] = all.filter((s) => s.hands.kind === 'whole');
	const leave = fc.record({ after: fc.integer({ min: 30, max: 600 }), seconds: fc.integer({ min: 15, max: 300 }) });
	fc.assert(
		fc.property(fc.option(leave, { nil: undefined }), units, (given, n) => {
			const step: Step = { ...plain!, hands: { kind: 'whole', ...(given ? { leave: given } : {}) } };
			const uses = handUses(step, n * grid, grid);
			if (!given) expect(uses).toHaveLength(1);
			uses.slice(1).forEach(({ from }, i) => {
				const before = uses[i]!;
				expect(from - before.to).toBeLessThanOrEqual(given!.seconds);
				expect(before.to - before.from).toBeGreaterThanOrEqual(given!.after);
			});
			const longest = Math.max(...uses.map((u) => u.to - u.from));
			if (given) expect(longest).toBeLessThanOrEqual(2 * (given.after + grid) + given.seconds);
		}),
		{ seed: 9, numRuns: 1000 }
	);
});
