// Hands: nobody does what they do not do, handwork goes at the pace of whoever does it, and places are really there.
import { usualOf } from '../../timing/timing';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { platingsOf, type Plan } from '../../model/plan';
import { grid } from '../grid';
import { heatOf } from './places';
import { planMealNow } from '../plan-meal';
import type { Kitchen } from '../../model/kitchen';
import { compiled, everything, mealOf, planned } from '../../testing/library-meal';
import { compileMeal } from './compile';
import { library } from '../../library/library';
import { wordIssue } from '../../words/issues';

const cooks = (list: Kitchen['cooks']): Kitchen => ({ ...everything, cooks: list });
const two = cooks([
	{ id: 'a', name: 'A', avoids: ['frying', 'stove'] },
	{ id: 'b', name: 'B' }
]);

test('no cook is given what they do not do', () => {
	const plan = planned(
		mealOf([{ technique: 'fries-twice' }, { technique: 'steak-pan' }, { technique: 'carrots-glaze' }], 8),
		two
	);
	const kind = new Map(plan.lanes.map((l) => [l.id, l.kind]));
	for (const step of plan.steps) {
		if (['burner', 'fryer', 'grill', 'griddle'].includes(kind.get(step.lane) ?? '')) {
			expect(
				step.hands.filter((h) => h.cook === 'a'),
				step.say
			).toEqual([]);
		}
	}
	expect(plan.steps.some((s) => s.hands.some((h) => h.cook === 'a'))).toBe(true);
});

test('what nobody does is refused, and says what kind of work it is', () => {
	const nobody = cooks([{ id: 'a', name: 'A', avoids: ['frying'] }]);
	const read = compileMeal(mealOf([{ technique: 'fries-twice' }]), nobody, library);
	expect(read.ok ? [] : read.issues.map(wordIssue).join(' ')).toMatch(/somebody who does frying work/);
});

test('handwork takes as long as the pace of the one who does it, heat does not care', () => {
	const length = (pace: number, id: string) => {
		const { trace } = compiled(mealOf([{ technique: 'carrots-glaze' }]), cooks([{ id: 'a', name: 'A', pace }]));
		return usualOf(trace.steps.get(id)!.ways[0]!.timing);
	};
	expect(length(2, 'p0/cut')).toBeGreaterThan(1.5 * length(1, 'p0/cut'));
	expect(length(2, 'p0/glaze')).toBe(length(1, 'p0/glaze'));
	const measured = compiled(
		mealOf([{ technique: 'carrots-glaze' }]),
		cooks([{ id: 'a', name: 'A', pace: 2, measuredPace: 1 }])
	);
	expect(usualOf(measured.trace.steps.get('p0/cut')!.ways[0]!.timing)).toBe(length(1, 'p0/cut'));
});

test('of two paces each piece of handwork has a way, and the plan says whose hands', () => {
	const kitchen = cooks([
		{ id: 'quick', name: 'Quick', pace: 0.6 },
		{ id: 'slow', name: 'Slow', pace: 1.8 }
	]);
	const meal = mealOf([{ technique: 'carrots-glaze' }, { technique: 'herb-sauce' }]);
	const ways = compiled(meal, kitchen).trace.steps.get('p0/cut')!.ways;
	expect(new Set(ways.map((w) => w.crew.join())).size).toBe(2);
	const plan = planned(meal, kitchen);
	for (const step of plan.steps.filter((s) => s.kind === 'prep' && s.hands[0]?.whole)) {
		const all = compiled(meal, kitchen).trace.steps.get(step.id)!.ways;
		const [cook] = step.hands;
		const way = all.find((w) => w.crew.includes(`crew:${cook?.cook ?? ''}`));
		expect(Math.abs(step.to - step.from - usualOf(way!.timing))).toBeLessThanOrEqual(15);
	}
});

test('a griddle takes both burners that it lies over', () => {
	const plan = planned(
		mealOf([
			{ technique: 'prawns-griddle' },
			...['carrots-glaze', 'leeks-pan', 'pan-sauce', 'rice-absorbed', 'tea'].map((technique) => ({ technique }))
		])
	);
	const griddle = everything.stations.find((s) => s.kind === 'griddle');
	if (griddle?.kind !== 'griddle') throw new RangeError('no griddle');
	const on = plan.steps.filter((s) => s.lane === griddle.id);
	expect(on.length).toBeGreaterThan(0);
	for (const step of on) {
		const meanwhile = plan.steps.filter((s) => griddle.covers.includes(s.lane) && s.from < step.to && s.to > step.from);
		expect(meanwhile.map((s) => s.say)).toEqual([]);
	}
});

test('a bath is brought to its temperature, and has one at a time', () => {
	const meal = mealOf([{ technique: 'steak-water-bath' }, { technique: 'chicken-breast-bath' }]);
	const { problem } = compiled(meal);
	const state = (task: string) => problem.tasks.find((t) => t.id === task)?.modes[0]?.state;
	// In steps of the grid from cold: the hotter one is higher, and takes as long as the water does.
	const values = ['p0/bath', 'p1/bath'].map((id) => state(id)?.value ?? 0);
	expect(values[1]).toBeGreaterThan(values[0] ?? 0);
	const { rise = 0, initial } = problem.states.find((s) => s.id === 'bath') ?? {};
	const bath = everything.stations.find((s) => s.kind === 'water bath')!;
	const heat = heatOf(bath, everything)!;
	for (const [k, celsius] of [56, 64].entries()) {
		const takes = heat.rise * (celsius - heat.room);
		expect(rise * ((values[k] ?? 0) - (initial ?? 0)) - takes).toBeGreaterThanOrEqual(0);
		expect(rise * ((values[k] ?? 0) - (initial ?? 0)) - takes).toBeLessThan(grid);
	}
	const plan = planned(mealOf([{ technique: 'steak-water-bath' }]));
	expect(plan.terrain.find((t) => t.lane === 'bath')?.points.map((p) => p.celsius)).toContain(56);
	expect(plan.steps.find((s) => s.id === 'p0/bath')?.setting).toBe(56);
});

test('an oven that runs hot is set lower, and cooks the same', () => {
	const hot = {
		...everything,
		stations: everything.stations.map((s) => (s.kind === 'oven' ? { ...s, offset: 15 } : s))
	};
	const meal = mealOf([{ technique: 'potato-wedges' }]);
	const [a, b] = [planned(meal), planned(meal, hot)].map((p) => p.steps.find((s) => s.id === 'p0/bake'));
	expect(b?.setting).toBe(a?.setting);
	expect(a?.knob).toBeUndefined();
	expect(b?.knob).toBe((b?.setting ?? 0) - 15);
	expect(b!.to - b!.from).toBe(a!.to - a!.from);
});

describe('sets of cooks that are not nested', () => {
	const three = cooks([
		{ id: 'a', name: 'A', avoids: ['frying'] },
		{ id: 'b', name: 'B', avoids: ['knife'] },
		{ id: 'c', name: 'C', avoids: ['stove'] }
	]);
	const anyCrew = fc.array(
		fc.record({
			avoids: fc.subarray(['knife', 'stove', 'frying', 'oven'] as const, { maxLength: 2 }),
			pace: fc.constantFrom(1, 1, 1.5)
		}),
		{ minLength: 2, maxLength: 4 }
	);
	const meal = mealOf(
		[
			{ technique: 'fries-twice' },
			{ technique: 'steak-pan' },
			{ technique: 'carrots-glaze' },
			{ technique: 'herb-sauce' },
			{ technique: 'potato-wedges' }
		],
		6
	);
	const twoAtOnce = (plan: Plan) => {
		const hands = [
			...plan.steps.flatMap((s) => s.hands.map((h) => ({ ...h, step: s.id }))),
			...plan.services.flatMap((s) =>
				platingsOf(plan, s).flatMap((p) =>
					p.cooks.map((cook) => ({ cook, from: p.from, to: p.to, step: `plating ${s.course}` }))
				)
			)
		];
		return hands.flatMap((h, i) =>
			hands
				.slice(i + 1)
				.flatMap((g) => (h.cook === g.cook && h.from < g.to && g.from < h.to ? [`${h.step} and ${g.step}`] : []))
		);
	};

	test('at no instant more is asked of any cooks than there are of them: the unions are resources too', () => {
		const { problem } = compiled(meal, three);
		const ids = problem.resources.map((r) => r.id);
		expect(ids).toEqual(expect.arrayContaining(['crew:b+c', 'crew:a+c', 'crew:a+b']));
		expect(problem.resources.filter((r) => r.id.startsWith('crew:')).every((r) => r.capacity === 2)).toBe(true);
	});

	test('nobody is given two things at once, whoever is spared what', () => {
		let seen = 0;
		fc.assert(
			fc.property(anyCrew, (list) => {
				const kitchen = cooks(list.map((c, i) => ({ ...c, avoids: [...c.avoids], id: `k${i}`, name: `K${i}` })));
				const read = compileMeal(meal, kitchen, library);
				if (!read.ok) return;
				const outcome = planMealNow({ meal, kitchen, techniques: [...library.values()], seed: 1, budget: 1500 });
				if (outcome.kind !== 'plan') return;
				seen++;
				expect(twoAtOnce(outcome.plan)).toEqual([]);
				for (const step of outcome.plan.steps)
					for (const { cook } of step.hands) {
						const spared = kitchen.cooks.find((c) => c.id === cook)?.avoids ?? [];
						if (step.kind === 'prep') expect(spared).not.toContain('knife');
					}
			}),
			{ numRuns: 25, seed: 7 }
		);
		expect(seen).toBeGreaterThan(8);
	});

	test('with each cook by name every step has a way for each who does it', () => {
		const read = compileMeal(meal, three, library, 'named');
		if (!read.ok) throw new Error(read.issues.map(wordIssue).join(' '));
		for (const { step, ways } of read.value.trace.steps.values()) {
			const who = new Set(ways.flatMap((w) => w.crew));
			if (step.hands.kind === 'none') expect(who.size).toBe(0);
			else for (const way of ways) expect(way.crew).toHaveLength(1);
			if (step.kind === 'prep' && step.hands.kind !== 'none') expect(who).not.toContain('crew:b');
		}
	});
});

test('a technique that is not known is an issue that names it, not a plan without steps', () => {
	const meal = mealOf([{ technique: 'carrots-glaze' }, { technique: 'moon-cheese', name: 'Moon cheese' }]);
	const read = compileMeal(meal, everything, library);
	expect(read.ok ? [] : read.issues).toEqual([
		{ code: 'unknown-technique', path: ['parts', 1, 'technique'], part: 'Moon cheese', technique: 'moon-cheese' }
	]);
	expect(planMealNow({ meal, kitchen: everything, techniques: [...library.values()], seed: 1, budget: 100 }).kind).toBe(
		'issues'
	);
});
