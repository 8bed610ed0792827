// Loads: nothing is lost between batches, none is fuller than it may be, more room or heat never makes more batches.
import { wordBatches, wordLoad } from '../../words/loads';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { footprintArea, fullest } from '../../heat/tray';
import { library } from '../../library/library';
import type { Kitchen } from '../../model/kitchen';
import type { Step } from '../../model/technique';
import { everything } from '../../testing/library-meal';
import { groupsOf } from '../advise/grouping';
import { loadsOf } from '../describe/loads';
import { mealOf } from '../../testing/library-meal';
import { batchesOf } from './load';
import { loadIn } from './portions';
import { valuesFor } from '../../timing/values';

const loaded = [...library.values()].flatMap((technique) =>
	technique.steps.filter((s) => s.load).map((step) => ({ technique, step }))
);
const anyLoad = fc.constantFrom(...loaded);
const covers = fc.integer({ min: 1, max: 40 });
const batches = (
	step: Step,
	technique: (typeof loaded)[number]['technique'],
	n: number,
	kitchen: Kitchen = everything
) => batchesOf(step, valuesFor(technique, {}, n), kitchen);

test('what is held in a saucepan is counted by the saucepan, however large the pots beside it are', () => {
	const withPot = (size: string, saucepan: string): Kitchen => ({
		...everything,
		vessels: [
			{ id: 'pot', name: 'Pot', kind: 'pot', size, count: 1 },
			{ id: 'saucepan', name: 'Saucepan', kind: 'saucepan', size: saucepan, count: 1 }
		]
	});
	const boil = library.get('boiled-eggs')!;
	const step = boil.steps.find((s) => s.load)!;
	const inKitchen = (kitchen: Kitchen) => loadIn(boil, step, {}, 24, kitchen)!;
	const small = inKitchen(withPot('20 l', '16 cm'));
	expect(small).toEqual(inKitchen(withPot('3 l', '16 cm')));
	expect(small.batches).toBeGreaterThan(inKitchen(withPot('3 l', '26 cm')).batches);
	expect(small.batches).toBeGreaterThan(batches(step, boil, 24, withPot('20 l', '16 cm'))!.batches);
});

test('of two vessels in use a load goes by the one that it is in', () => {
	const risotto = library.get('risotto')!;
	const stir = risotto.steps.find((s) => s.load)!;
	const inPot = (pot: string, saucepan: string) =>
		loadIn(risotto, stir, {}, 12, {
			...everything,
			vessels: [
				{ id: 'pot', name: 'Pot', kind: 'pot', size: pot, count: 1 },
				{ id: 'saucepan', name: 'Saucepan', kind: 'saucepan', size: saucepan, count: 1 }
			]
		});
	expect(inPot('5 l', '16 cm')).toEqual(inPot('5 l', '26 cm'));
	expect(inPot('3 l', '16 cm')!.most).toBeLessThan(inPot('10 l', '16 cm')!.most);
});

test('all of it goes in, and no batch is fuller than its vessel or its heat allows', () => {
	fc.assert(
		fc.property(anyLoad, covers, ({ technique, step }, n) => {
			const load = batches(step, technique, n)!;
			expect(load.batches * load.most).toBeGreaterThanOrEqual(load.whole - 1e-6);
			// In no more rounds than the vessels side by side need, and all of it in one or another of them.
			const rounds = Math.max(...load.lanes.map((l) => l.batches));
			const sum = (of: (l: (typeof load.lanes)[number]) => number) => load.lanes.reduce((s, l) => s + of(l), 0);
			expect(sum((l) => l.each * l.batches)).toBeCloseTo(load.whole, 6);
			expect(load.lanes.every((l) => l.each <= load.most + 1e-6)).toBe(true);
			expect((rounds - 1) * load.most).toBeLessThan(load.whole + 1e-6);
			expect(sum((l) => l.batches)).toBe(load.batches);
			if (load.piece && load.vessel && load.most > load.vessels) {
				const laid = step.load as Extract<Step['load'], { sort: unknown }>;
				const share = (load.most / load.vessels) * footprintArea(load.piece);
				const full = load.limit.kind === 'layer' ? load.limit.full : fullest[laid.sort];
				expect(share).toBeLessThanOrEqual(full * load.vessel.area + 1e-9);
			}
			expect(load.batches > 1).toBe(wordBatches(load) !== undefined);
			for (const words of [wordLoad(load), wordBatches(load) ?? ''])
				expect(words).not.toMatch(/NaN|undefined|Infinity/);
		}),
		{ seed: 21, numRuns: 200 }
	);
});

/** One after the other: where there are two vessels two batches are one round. */
const rounds = (load: NonNullable<ReturnType<typeof batchesOf>>) => Math.max(...load.lanes.map((l) => l.batches));

test('more people never make fewer rounds, more vessels, oil or power never more', () => {
	const larger: Kitchen = {
		...everything,
		stations: everything.stations.map((s) =>
			s.kind === 'fryer' ? { ...s, litres: 30, power: 15_000 } : s.kind === 'burner' ? { ...s, power: 9000 } : s
		),
		vessels: everything.vessels.map((v) => ({
			...v,
			count: v.count + 3,
			...(v.kind === 'pot' ? { size: '20 l' } : v.kind === 'frying pan' ? { size: '40 cm' } : {})
		}))
	};
	fc.assert(
		fc.property(anyLoad, covers, ({ technique, step }, n) => {
			const load = batches(step, technique, n)!;
			expect(rounds(batches(step, technique, n + 3)!)).toBeGreaterThanOrEqual(rounds(load));
			expect(rounds(batches(step, technique, n, larger)!)).toBeLessThanOrEqual(rounds(load));
		}),
		{ seed: 22, numRuns: 2000 }
	);
});

test('without its vessel or fryer there is nothing to say', () => {
	const isMetal = (s: Kitchen['stations'][number]) =>
		['fryer', 'griddle', 'grill', 'wood oven', 'water bath'].includes(s.kind);
	const bare = { ...everything, vessels: [], stations: everything.stations.filter((s) => !isMetal(s)) };
	for (const { technique, step } of loaded) expect(batches(step, technique, 4, bare)).toBeUndefined();
});

test('every load of a meal is told, by part and step; a step that is not chosen is not', () => {
	const meal = mealOf([{ technique: 'potatoes-roast' }, { technique: 'fries-twice' }, { technique: 'tea' }], 14);
	const told = loadsOf(meal, everything, library);
	expect(told.map((l) => l.part)).toEqual(['p0', 'p0', 'p1', 'p1']);
	const raw = { ...meal, parts: meal.parts.map((p) => (p.id === 'p0' ? { ...p, settings: { first: 2 } } : p)) };
	expect(loadsOf(raw, everything, library).map((l) => l.part)).toEqual(['p0', 'p1', 'p1']);
	expect(told.filter((l) => l.load.on === 'fryer').every((l) => l.load.batches > 1)).toBe(true);
});

test('parts that share a temperature are offered with what it costs each, the cheapest of the same members', () => {
	const meal = mealOf([
		{ technique: 'squash-roast' },
		{ technique: 'potato-wedges' },
		{ technique: 'salmon-low-oven' }
	]);
	const groups = groupsOf(meal, everything, library);
	const [first] = groups;
	expect(first?.members.map((m) => m.part)).toEqual(['p0', 'p1']);
	expect(first?.cost).toBe(0);
	for (const g of groups) {
		for (const m of g.members) {
			const step = library.get(meal.parts.find((p) => p.id === m.part)!.technique)!.steps.find((s) => s.say === m.step);
			expect(step?.need?.kind === 'oven' && step.need.settings).toContain(g.setting);
		}
	}
	const none = { ...everything, stations: everything.stations.filter((s) => s.kind !== 'oven') };
	expect(groupsOf(meal, none, library)).toEqual([]);
});

/** What lies on these has a size; what is in a pot or a pan of its own is liquid, or follows a load in the same vessel. */
const faces: readonly string[] = ['oven', 'broiler', 'grill', 'griddle', 'fryer', 'steamer', 'water bath', 'wood oven'];
/** Cooked whole, or one for all, however many eat; or in a pot that went in before: no more than its own pot. */
const single: readonly string[] = [
	'duck-further/roast-on',
	'cured-beef/roast',
	'turkey-breast-roast/roast',
	'pork-belly-roast/crackle',
	'beef-stew/braise',
	'short-ribs-braised/braise',
	'lamb-shank-braised/braise',
	'pork-shoulder-slow/braise',
	'duck-legs-slow/braise',
	'pilaf/bake',
	'toasted-nuts/toast',
	'flatbread-warmed/warm',
	'flatbread-wood-oven/bake',
	'tart-savoury/blind',
	'cake-simple/bake'
];

test('nothing that lies in an oven, over a fire, in oil, steam or a bath is without a load', () => {
	const without = [...library.values()].flatMap((t) =>
		t.steps
			.filter((s) => s.kind === 'cook' && s.need && faces.includes(s.need.kind) && !s.load)
			.map((s) => `${t.id}/${s.id}`)
	);
	expect(without.toSorted()).toEqual(single.toSorted());
});

test('a dish is filled no deeper than asked: more of it goes into more dishes, and deeper dishes take more', () => {
	const dished = loaded.filter((l) => l.step.load?.on === 'dish');
	expect(dished.length).toBeGreaterThan(4);
	const withDishes = (size: string, count: number): Kitchen => ({
		...everything,
		stations: everything.stations.map((s) => (s.kind === 'oven' ? { ...s, racks: 4 } : s)),
		vessels: [
			...everything.vessels.filter((v) => v.kind !== 'dish'),
			{ id: 'dish', name: 'Dish', kind: 'dish', size, count }
		]
	});
	fc.assert(
		fc.property(fc.constantFrom(...dished), covers, fc.integer({ min: 1, max: 6 }), ({ technique, step }, n, count) => {
			const depth = technique.parameters.find((p) => p.id === 'depth')!;
			const at = (value: number, kitchen: Kitchen) =>
				batchesOf(step, valuesFor(technique, { depth: value }, n), kitchen)!;
			const kitchen = withDishes('30 × 20 cm', count);
			const load = at(depth.usual, kitchen);
			const perDish = load.whole / (load.batches * load.vessels);
			expect((1000 * perDish) / 60_000).toBeLessThanOrEqual(depth.usual / 1000 + 1e-9);
			expect(load.vessels).toBeLessThanOrEqual(Math.min(count, 4));
			expect(at(depth.most, kitchen).batches).toBeLessThanOrEqual(load.batches);
			expect(at(depth.usual, withDishes('30 × 20 cm', count + 1)).batches).toBeLessThanOrEqual(load.batches);
			expect(at(depth.usual, withDishes('40 × 30 cm', count)).batches).toBeLessThanOrEqual(load.batches);
		}),
		{ seed: 24, numRuns: 150 }
	);
});
