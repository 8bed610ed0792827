// The kitchen from above: everything is there, nothing lies on anything else, stronger burners are larger.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { demoKitchens } from '../../core/library/demo';
import type { Station } from '../../core/model/kitchen';
import { layoutFloor } from './floor';

const kitchen = demoKitchens[0]!;
const burner = fc
	.integer({ min: 200, max: 6000 })
	.map((power): Station => ({ kind: 'burner', id: '', name: 'Burner', power, fuel: 'gas' }));
const other = fc
	.constantFrom('board', 'cold', 'fryer', 'warm', 'water bath', 'steamer', 'wood oven')
	.map((kind) => ({ kind, id: '', name: kind, places: 1 }));
const stations = fc
	.array(fc.oneof(burner, other), { maxLength: 14 })
	.map((list) => list.map((s, i) => ({ ...s, id: `s${i}` })));

test('every station has a place of its own on the worktop', () => {
	fc.assert(
		fc.property(stations, (list) => {
			const floor = layoutFloor({ ...kitchen, stations: list });
			expect(floor.placed.map((p) => p.station.id).toSorted()).toEqual(list.map((s) => s.id).toSorted());
			floor.placed.forEach((a, i) => {
				expect(a.x - a.rx).toBeGreaterThanOrEqual(0);
				expect(a.x + a.rx).toBeLessThanOrEqual(floor.width);
				for (const b of floor.placed.slice(i + 1)) {
					const isApart = Math.abs(a.x - b.x) >= a.rx + b.rx - 0.01 || Math.abs(a.y - b.y) >= a.ry + b.ry - 0.01;
					expect(isApart).toBe(true);
				}
			});
		}),
		{ seed: 89 }
	);
});

test('a stronger burner is drawn larger', () => {
	const radius = (power: number) =>
		layoutFloor({ ...kitchen, stations: [{ kind: 'burner', id: 'b', name: 'B', power, fuel: 'gas' }] }).placed[0]!.rx;
	expect(radius(1800)).toBeCloseTo(10.5);
	expect([1200, 1800, 3000].map(radius)).toEqual([1200, 1800, 3000].map(radius).toSorted((a, b) => a - b));
});

test('a griddle lies over both of its burners, and a long line goes on in a second row', () => {
	const burners = [1, 2, 3, 4].map((n): Station => ({
		kind: 'burner',
		id: `b${n}`,
		name: `B${n}`,
		power: 2000,
		fuel: 'gas'
	}));
	const griddle: Station = { kind: 'griddle', id: 'g', name: 'Griddle', covers: ['b1', 'b2'] };
	const floor = layoutFloor({ ...kitchen, stations: [...burners, griddle] });
	const at = (id: string) => floor.placed.find((p) => p.station.id === id)!;
	for (const id of ['b1', 'b2']) {
		expect(Math.abs(at('g').x - at(id).x) + at(id).rx).toBeLessThanOrEqual(at('g').rx + 0.01);
		expect(Math.abs(at('g').y - at(id).y) + at(id).ry).toBeLessThanOrEqual(at('g').ry + 0.01);
	}
	const many = Array.from({ length: 9 }, (_, n): Station => ({ kind: 'cold', id: `c${n}`, name: 'Cold', places: 1 }));
	const long = layoutFloor({ ...kitchen, stations: many }, 300);
	expect(long.width).toBeLessThanOrEqual(300);
	expect(new Set(long.placed.map((p) => p.y)).size).toBeGreaterThan(1);
});

test('what the cook has put somewhere stays there', () => {
	const board: Station = { kind: 'board', id: 'b', name: 'Board', places: 1, at: { x: 120, y: 80 } };
	const [placed] = layoutFloor({ ...kitchen, stations: [board] }).placed;
	expect([placed!.x - placed!.rx, placed!.y - placed!.ry]).toEqual([120, 80]);
});
