// The clock between cold and hot: nothing while on heat, in the cold or still hot, everything else, over all steps.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { library } from '../../library/library';
import type { PlannedStep } from '../../model/plan';
import { demoCases, planDemo } from '../../testing/demo-plan';
import { secondsBetween } from './between';

const plans = demoCases.map((demo) => planDemo(demo, 3000));
const kinds = (plan: (typeof plans)[number]) => new Map(plan.lanes.map((l) => [l.id, l.kind]));
const techniqueOf = (part: (typeof plans)[number]['parts'][number]) => library.get(part.technique ?? '')!;

test('never more than from the first step to the plate, none at all in the cold', () => {
	for (const plan of plans) {
		for (const part of plan.parts) {
			const steps = plan.steps.filter((s) => s.part === part.id && s.kind !== 'preheat');
			const whole = part.plated - Math.min(part.plated, ...steps.map((s) => s.from));
			const technique = techniqueOf(part);
			const between = secondsBetween(technique, steps, kinds(plan), part.plated);
			expect(between).toBe(part.between);
			expect(between).toBeGreaterThanOrEqual(0);
			expect(between).toBeLessThanOrEqual(whole);
			const allCold = new Map(plan.lanes.map((l) => [l.id, 'cold']));
			if (steps.length > 0)
				expect(secondsBetween(technique, steps, allCold, steps.at(-1)!.to)).toBeLessThanOrEqual(whole);
		}
	}
});

test('a longer wait for the plate counts in full, once it is no longer hot', () => {
	fc.assert(
		fc.property(fc.constantFrom(...plans), fc.nat(), fc.integer({ min: 0, max: 7200 }), (plan, n, more) => {
			const part = plan.parts[n % plan.parts.length]!;
			const technique = techniqueOf(part);
			const steps = plan.steps.filter((s) => s.part === part.id);
			const cool = Math.max(0, ...steps.map((s) => s.to)) + 2 * 3600;
			const at = (seconds: number) => secondsBetween(technique, steps, kinds(plan), cool + seconds);
			expect([0, more]).toContain(at(more) - at(0));
			if (!['bread', 'drink', 'table', 'dessert'].includes(technique.kind) && at(0) > 0)
				expect(at(more) - at(0)).toBe(more);
		}),
		{ numRuns: 60, seed: 1 }
	);
});

describe('what counts', () => {
	const lanes = new Map([
		['stove', 'burner'],
		['fridge', 'cold'],
		['board', 'board']
	]);
	const step = (kind: PlannedStep['kind'], lane: string, from: number, to: number, peak?: number) => ({
		kind,
		lane,
		from,
		to,
		...(peak === undefined ? {} : { peak })
	});
	const pot = [{ kind: 'pot', from: 'a', to: 'b' } as const];

	test('raw thighs that lie on the board from four until six', () => {
		const steps = [step('prep', 'board', 0, 300), step('cook', 'stove', 7500, 9000, 79)];
		expect(secondsBetween({ kind: 'protein', vessels: [] }, steps, lanes, 9000)).toBe(7500);
	});

	test('raw carrots that lie as long count nothing; rice that stands counts once its pot is no longer hot', () => {
		const steps = [step('prep', 'board', 0, 300), step('cook', 'stove', 7500, 8400)];
		expect(secondsBetween({ kind: 'side', vessels: pot }, steps, lanes, 8400)).toBe(0);
		expect(secondsBetween({ kind: 'starch', vessels: pot }, steps, lanes, 8400 + 85 * 60)).toBe(0);
		expect(secondsBetween({ kind: 'starch', vessels: pot }, steps, lanes, 8400 + 102 * 60)).toBe(17 * 60);
		expect(secondsBetween({ kind: 'starch', vessels: [] }, steps, lanes, 8400 + 102 * 60)).toBe(73 * 60);
	});

	test('meat that is served rare counts from its pull, meat that peaks hot after its rest', () => {
		const steps = (peak: number) => [step('cook', 'stove', 0, 900, peak)];
		const protein = { kind: 'protein' as const, vessels: [] };
		expect(secondsBetween(protein, steps(52), lanes, 2700)).toBe(1800);
		expect(secondsBetween(protein, steps(74), lanes, 2700)).toBe(900);
	});

	test('in the cold it counts nothing, and bread and drinks never', () => {
		const steps = [step('prep', 'board', 0, 60), step('chill', 'fridge', 60, 9000)];
		expect(secondsBetween({ kind: 'egg', vessels: [] }, steps, lanes, 9000)).toBe(60);
		expect(secondsBetween({ kind: 'bread', vessels: [] }, [step('cook', 'stove', 0, 60)], lanes, 90_000)).toBe(0);
	});
});
