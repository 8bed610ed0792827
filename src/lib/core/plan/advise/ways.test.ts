// Ways side by side: the figures are those of real plans, and the table sorts by any of them.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { library } from '../../library/library';
import { mealOf, planned } from '../../testing/library-meal';
import { sortedWays, wayColumns, wayOf, type Way } from './ways';

const leeks = [...library.values()].filter((t) => t.makes === library.get('leeks-roast')?.makes);
const steaks = [...library.values()].filter((t) => t.makes === library.get('steak-pan')?.makes).slice(0, 5);
const meal = (technique: string) =>
	mealOf([{ technique, ahead: 'evening' }, { technique: 'potato-mash' }, { technique: 'fresh-herbs' }]);

describe.each([
	['leeks', leeks],
	['steaks', steaks]
] as const)('%s', (_, ways) => {
	const now = planned(meal(ways[0]!.id));
	const rows = ways.map((t) => {
		const plan = planned(meal(t.id));
		return { id: t.id, plan, way: wayOf(now, plan, 'p0', t) };
	});

	test('there are several', () => {
		expect(rows.length).toBeGreaterThan(2);
	});

	test.each(rows.map((r) => [r.id, r] as const))('%s: as it is planned', (_, { plan, way }) => {
		const own = plan.steps.filter((s) => s.part === 'p0');
		expect(way.begins).toBe(Math.min(...own.map((s) => s.from)));
		expect(way.minutes).toBeGreaterThanOrEqual(Math.max(...own.map((s) => s.to)) - way.begins);
		expect(way.hands).toBeLessThanOrEqual(way.minutes * plan.cooks.length);
		expect(way.evening).toBeGreaterThanOrEqual(way.minutes);
		expect(way.stations.length).toBeGreaterThan(0);
		expect(way.moves.every((name) => plan.parts.some((p) => p.name === name && p.id !== 'p0'))).toBe(true);
	});

	test('the way that is there now moves nothing', () => {
		expect(rows[0]!.way).toMatchObject({ moves: [], more: 0, late: 0 });
	});

	test('it sorts by any column, and what has no plan comes last', () => {
		const some = [...rows, { id: 'none', plan: undefined, way: undefined as Way | undefined }];
		fc.assert(
			fc.property(
				fc.shuffledSubarray(some, { minLength: some.length }),
				fc.constantFrom(...wayColumns),
				(mixed, by) => {
					const sorted = sortedWays(mixed, by);
					expect(sorted.at(-1)?.id).toBe('none');
					const values = sorted.flatMap((r) => r.way?.[by] ?? []);
					const isDown = by === 'begins' || by === 'most';
					expect(values).toEqual(values.toSorted((a, b) => (isDown ? b - a : a - b)));
					expect(new Set(sorted.map((r) => r.id))).toEqual(new Set(mixed.map((r) => r.id)));
				}
			),
			{ numRuns: 30, seed: 1 }
		);
	});
});
