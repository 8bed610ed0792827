// The table of stations: what is made of it reads, lies apart on the floor, and is offered to the steps that need it.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoKitchens } from '../library/demo';
import { dutyOf } from '../plan/compile/crew';
import { placesFor, resourcesOf, stationFor } from '../plan/compile/places';
import { layoutFloor } from '../../ui/kitchen/floor';
import { withNewStation, withoutStation } from './edit-kitchen';
import { duties, readKitchen, type Kitchen } from './kitchen';
import { laneRow, stationKinds, stationRow, stationSize, usualStation } from './stations';
import type { Need } from './technique';

const flat = demoKitchens[0]!;
const empty: Kitchen = { ...flat, stations: [] };
const needs: readonly Need[] = [
	{ kind: 'burner' },
	{ kind: 'oven', racks: 1, settings: [180] },
	{ kind: 'broiler', racks: 1 },
	{ kind: 'board' },
	{ kind: 'cold' },
	{ kind: 'fryer' },
	{ kind: 'warm' },
	{ kind: 'grill' },
	{ kind: 'griddle' },
	{ kind: 'water bath', setting: 60 },
	{ kind: 'steamer' },
	{ kind: 'wood oven' }
];
const kindsOf = (kitchen: Kitchen) => kitchen.stations.map((s) => s.kind);

describe.each(stationKinds.map((kind) => ({ kind })))('$kind', ({ kind }) => {
	const burners = withNewStation(withNewStation(empty, 'burner'), 'burner');
	const kitchen = withNewStation(kind === 'griddle' ? burners : empty, kind);
	const station = kitchen.stations.find((s) => s.kind === kind);

	test('a new one is called by its name and reads as a kitchen', () => {
		expect(station?.name).toBe(stationRow(kind).name);
		const read = readKitchen(JSON.parse(JSON.stringify(kitchen)));
		expect(read.ok && read.value).toEqual(kitchen);
	});

	test('a second one has a name and an id of its own, next to the first', () => {
		const more = withNewStation(withNewStation(burners, 'burner'), 'burner');
		const two = withNewStation(withNewStation(more, kind), kind);
		expect(new Set(two.stations.map((s) => s.id)).size).toBe(two.stations.length);
		expect(new Set(two.stations.map((s) => s.name)).size).toBe(two.stations.length);
		const at = kindsOf(two).flatMap((k, i) => (k === kind ? [i] : []));
		expect((at.at(-1) ?? 0) - (at[0] ?? 0)).toBe(at.length - 1);
	});

	test('taken out, nothing is left of it', () => {
		expect(kindsOf(withoutStation(kitchen, station?.id ?? ''))).not.toContain(kind);
	});

	test('it has a size on the floor, a lane in the plan, and does not spoil what it cooks', () => {
		if (station) expect(stationSize(station).every((cm) => cm >= 0 && cm < 120)).toBe(true);
		const row = laneRow(kind);
		expect(row).toBe(stationRow(kind));
		expect(row?.isHot === true && !row.isSafe).toBe(false);
		expect([undefined, ...duties]).toContain(row?.duty);
	});

	test('a step that needs it finds it, and only it', () => {
		const wanting = needs.filter((n) => stationFor(n) === kind && n.kind !== 'broiler');
		expect(wanting.length).toBe(1);
		for (const need of needs) {
			const found = placesFor(need, kitchen, Number).map((p) => kitchen.stations.find((s) => s.id === p.station)?.kind);
			expect(found.every((k) => k === stationFor(need))).toBe(true);
		}
		for (const need of wanting) expect(placesFor(need, kitchen, Number).length).toBeGreaterThan(0);
	});
});

test('rest and keep are lanes without a station', () => {
	expect([laneRow('rest'), laneRow('keep'), laneRow('constructor')]).toEqual([undefined, undefined, undefined]);
});

test('what a cook is spared goes by the station, and by the knife on a board', () => {
	const duty = (need: Need | undefined, kind: 'prep' | 'cook' = 'cook') => dutyOf({ kind, ...(need ? { need } : {}) });
	expect(duty({ kind: 'fryer' })).toBe('frying');
	expect(duty({ kind: 'broiler', racks: 1 })).toBe(duty({ kind: 'oven', racks: 1, settings: [] }));
	expect(duty({ kind: 'board' }, 'prep')).toBe('knife');
	expect(duty(undefined)).toBeUndefined();
	expect(duty({ kind: 'warm' })).toBeUndefined();
});

test('where the kitchen is silent, a station is as the table says', () => {
	const kitchen = withNewStation(withNewStation(empty, 'grill'), 'wood oven');
	const setting = (need: Need) => placesFor(need, kitchen, Number)[0]?.setting;
	expect(setting({ kind: 'grill' })).toBe(usualStation.grill.temperature);
	expect(setting({ kind: 'wood oven' })).toBe(usualStation['wood oven'].temperature);
});

test('any kitchen made by adding and taking out reads, has room for all, and counts its places', () => {
	const steps = fc.array(
		fc.record({ kind: fc.constantFrom(...stationKinds), isOut: fc.boolean(), at: fc.nat({ max: 20 }) }),
		{ maxLength: 24 }
	);
	fc.assert(
		fc.property(steps, (list) => {
			let kitchen = empty;
			for (const { kind, isOut, at } of list) {
				const id = kitchen.stations[at]?.id;
				kitchen = isOut && id !== undefined ? withoutStation(kitchen, id) : withNewStation(kitchen, kind);
			}
			const read = readKitchen(JSON.parse(JSON.stringify(kitchen)));
			expect(read.ok).toBe(true);
			const floor = layoutFloor(kitchen);
			expect(floor.placed.map((p) => p.station.id).toSorted()).toEqual(kitchen.stations.map((s) => s.id).toSorted());
			const { resources } = resourcesOf(kitchen);
			expect(new Set(resources.map((r) => r.id)).size).toBe(resources.length);
			const burners = resources.filter((r) => r.id.startsWith('burner:')).reduce((sum, r) => sum + r.capacity, 0);
			expect(burners).toBe(kindsOf(kitchen).filter((k) => k === 'burner').length);
		}),
		{ numRuns: 300 }
	);
});
