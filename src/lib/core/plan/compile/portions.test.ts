// Parts as they are cooked: what guests share and what not, batches, making ahead, ways among which the planner chooses.
import { usualOf } from '../../timing/timing';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { library } from '../../library/library';
import type { Wish } from '../../model/meal';
import type { Step } from '../../model/technique';
import { compiled, everything, mealOf, planned } from '../../testing/library-meal';
import { checkSchedule } from '../check';
import { asPlanned } from '../describe/as-planned';
import { scheduleOf } from './schedule-of';
import { compileMeal } from './compile';
import { alternativesOf, baseOf } from './portions';

const wish = (covers: number, settings: Wish['settings'], more: Partial<Wish> = {}): Wish => ({
	id: 'w1',
	name: 'seat 4',
	covers,
	settings,
	...more
});

describe('guests who want it otherwise', () => {
	test('what their wish does not touch is done once for all, what it touches is cooked apart', () => {
		const { trace } = compiled(mealOf([{ technique: 'steak-oven', wishes: [wish(1, { peak: 65.5 })] }]));
		const tasks = [...trace.steps.keys()];
		expect(tasks).toContain('p0/salt');
		expect(tasks).not.toContain('p0-w1/salt');
		expect(tasks).toContain('p0/sear');
		expect(tasks).not.toContain('p0-w1/sear');
		expect(tasks).toEqual(expect.arrayContaining(['p0/roast', 'p0-w1/roast', 'p0/slice', 'p0-w1/slice']));
		const usual = (id: string) => usualOf(trace.steps.get(id)!.ways[0]!.timing);
		expect(usual('p0-w1/roast')).toBeGreaterThan(usual('p0/roast'));
	});
	test('a start that differs is felt from the first step on that looks at it', () => {
		const { trace } = compiled(mealOf([{ technique: 'steak-pan', wishes: [wish(2, { temper: 1 })] }]));
		expect(trace.steps.has('p0-w1/temper')).toBe(true);
		expect(trace.steps.has('p0/temper')).toBe(false);
	});
	test('whoever does without is neither cooked nor plated for', () => {
		const meal = mealOf([{ technique: 'fresh-herbs', wishes: [wish(3, {}, { without: true })] }], 4);
		const [only] = compiled(meal).trace.plated;
		expect(only?.part.covers).toBe(1);
		expect(compiled(meal).trace.plated).toHaveLength(1);
		const nobody = mealOf([
			{ technique: 'fresh-herbs', wishes: [wish(4, {}, { without: true })] },
			{ technique: 'tea' }
		]);
		expect(compiled(nobody).trace.plated.map((p) => p.of)).toEqual(['p1']);
	});
	test('all plates are counted once, whatever is wished', () => {
		const wishes = fc.array(
			fc.record({
				covers: fc.integer({ min: 1, max: 3 }),
				peak: fc.double({ min: 48, max: 70, noNaN: true }),
				without: fc.boolean()
			}),
			{ maxLength: 3 }
		);
		fc.assert(
			fc.property(wishes, fc.integer({ min: 9, max: 20 }), (list, covers) => {
				const part = {
					technique: 'steak-oven',
					wishes: list.map((w, i) => wish(w.covers, { peak: w.peak }, { id: `w${i}`, without: w.without }))
				};
				const { trace, problem } = compiled(mealOf([part], covers));
				const without = list.filter((w) => w.without).reduce((s, w) => s + w.covers, 0);
				expect(trace.plated.reduce((s, p) => s + p.part.covers, 0)).toBe(covers - without);
				const known = new Set(problem.tasks.map((t) => t.id));
				for (const l of problem.lags) expect([known.has(l.from), known.has(l.to)]).toEqual([true, true]);
				for (const h of problem.holds) expect([known.has(h.from), known.has(h.to)]).toEqual([true, true]);
				for (const s of problem.serve) expect(known.has(s.task)).toBe(true);
			}),
			{ numRuns: 40, seed: 5 }
		);
	});
});

describe('batches', () => {
	const steak = (covers: number, kitchen = everything) => {
		const { problem, trace } = compiled(mealOf([{ technique: 'steak-pan' }], covers), kitchen);
		const stays = trace.stays.filter((s) => s.tasks.some((t) => t.startsWith('p0/fry')));
		return { problem, trace, stays, fries: [...trace.steps.keys()].filter((id) => /fry(-b\d+)?$/.test(id)) };
	};
	test('go through two pans side by side, each hot before its own and on a burner of its own', () => {
		const { problem, trace, stays, fries } = steak(9);
		expect(fries.length).toBeGreaterThan(2);
		expect(stays).toHaveLength(2);
		for (const { tasks, isHeld } of stays) {
			expect(isHeld).toBe(true);
			expect(tasks[0]).toMatch(/^p0\/hot/);
			// One after another in a pan, with no long wait.
			tasks.slice(2).forEach((to, k) => {
				const lag = problem.lags.find((l) => l.from === tasks[k + 1] && l.to === to);
				expect([lag?.min, lag?.max !== undefined]).toEqual([0, true]);
			});
		}
		expect(stays.flatMap((s) => s.tasks.slice(1)).toSorted()).toEqual(fries.toSorted());
		expect(trace.vessels.filter((v) => v.kind === 'frying pan')).toHaveLength(2);
		// All of them rest, by the one that ends last.
		const ends = stays.map((s) => s.tasks.at(-1) ?? '');
		for (const end of ends) expect(problem.lags.some((l) => l.from === end && l.to === 'p0/rest')).toBe(true);
		const most = problem.lags.filter((l) => l.to === 'p0/rest' && l.max !== undefined).map((l) => l.from);
		expect(most).toHaveLength(1);
		expect(problem.lags.some((l) => l.to === most[0] && l.min < 0 && ends.includes(l.from))).toBe(true);
	});
	test('one pan does them one after another, and a pan that is too small for one piece does none', () => {
		const withPans = (...sizes: readonly string[]) => ({
			...everything,
			vessels: [
				...everything.vessels.filter((v) => v.kind !== 'frying pan'),
				...sizes.map((size, i) => ({ id: `pan-${i}`, name: `Pan ${i}`, kind: 'frying pan' as const, size, count: 1 }))
			]
		});
		for (const pans of [withPans('28 cm'), withPans('28 cm', '8 cm')]) {
			const { stays, fries } = steak(9, pans);
			expect(stays).toHaveLength(1);
			expect(stays[0]?.tasks.slice(1)).toEqual(fries);
		}
		expect(steak(9, withPans('28 cm', '28 cm')).stays).toHaveLength(2);
	});
	test('every batch’s wait counts, by its share of the whole', () => {
		for (const technique of ['steak-pan', 'corn-fritters', 'duck-breast', 'fries-twice']) {
			const { problem, trace } = compiled(mealOf([{ technique }], 12));
			const cooked = [...trace.steps].filter(([id, s]) => s.step.kind === 'cook' && /-b\d+$/.test(id));
			expect(cooked.length, technique).toBeGreaterThan(0);
			const [plated] = trace.plated;
			const shares = plated?.early.reduce((sum, b) => sum + b.share, 0) ?? 0;
			expect(shares).toBeGreaterThan(0);
			for (const { task } of plated?.early ?? []) {
				const entries = problem.serve.filter((s) => s.task === task);
				const isCooled = technique === 'fries-twice' && task.includes('/first');
				if (!isCooled)
					expect(
						entries.some((s) => s.rate > 0),
						task
					).toBe(true);
			}
		}
	});
	test('trays that lie beside one another take as many racks', () => {
		const { problem } = compiled(mealOf([{ technique: 'potato-wedges' }], 14));
		const trays = problem.holds.find((h) => h.resource === 'vessel:tray')?.amount ?? 0;
		expect(trays).toBeGreaterThan(1);
		const bake = problem.tasks.find((t) => t.id === 'p0/bake');
		for (const mode of bake?.modes ?? []) {
			expect(mode.uses?.find((u) => u.resource.startsWith('racks:'))?.amount).toBe(trays);
		}
	});
});

describe('ahead', () => {
	test('done before leaves only what the evening needs, and somebody to take it out', () => {
		const { trace } = compiled(mealOf([{ technique: 'leeks-braise', ahead: 'before' }]));
		expect([...trace.steps.keys()]).toEqual(['p0/warm', 'p0/out']);
		const whole = compiled(mealOf([{ technique: 'leeks-braise', ahead: 'evening' }]));
		expect([...whole.trace.steps.keys()]).toEqual(['p0/cut', 'p0/braise', 'p0/warm']);
	});
	test('as the plan needs it: in the evening where there is time, before where there is not', () => {
		const relaxed = planned(mealOf([{ technique: 'leeks-braise' }]));
		expect(relaxed.parts[0]?.before).toBeUndefined();
		const tight = planned({ ...mealOf([{ technique: 'leeks-braise' }]), earliest: 19 * 3600 - 15 * 60 });
		expect(tight.parts[0]?.before).toMatch(/cold/);
		expect(tight.services[0]?.at).toBe(tight.services[0]?.due);
		expect(tight.steps.map((s) => s.id)).toEqual(expect.arrayContaining(['p0/out', 'p0/warm']));
	});
	test('what takes longer than the evening is made before', () => {
		const plan = planned(mealOf([{ technique: 'marinated-eggs' }]));
		expect(plan.parts[0]?.before).toBeDefined();
	});
});

describe('the planner chooses', () => {
	test('among all that make the same and that the kitchen can do', () => {
		const part = mealOf([{ technique: 'steak-pan', choose: true }]);
		const ways = alternativesOf(part.parts[0]!, part, everything, library);
		expect(ways.length).toBe([...library.values()].filter((t) => t.makes === 'steak').length);
		const bare = {
			...everything,
			stations: everything.stations.filter((s) => !['grill', 'wood oven', 'water bath', 'oven'].includes(s.kind))
		};
		const read = compileMeal(part, bare, library);
		expect(read.ok && read.value.problem.choices[0]?.options.map((o) => o.id).sort()).toEqual([
			'steak-basted',
			'steak-griddle',
			'steak-grill-pan',
			'steak-pan'
		]);
	});
	test('takes the one that is best, as each planned by itself shows', () => {
		const ways = [...library.values()].filter((t) => t.makes === 'leeks').map((t) => t.id);
		const each = ways.map((technique) => planned(mealOf([{ technique, ahead: 'evening' }])).objective);
		const chosen = planned(mealOf([{ technique: ways[0]!, choose: true }]), everything, 20_000);
		expect(chosen.status).toBe('optimal');
		expect(chosen.objective).toBe(Math.min(...each));
		expect(ways).toContain(chosen.parts[0]?.technique);
	});
	test('what is bought and set out is for the way that was chosen', () => {
		const meal = mealOf([{ technique: 'fish-fillet-poached', choose: true }]);
		const plan = planned(meal);
		const cooked = asPlanned(meal, plan);
		expect(cooked.parts[0]?.technique).toBe(plan.parts[0]?.technique);
		expect(asPlanned({ ...meal, id: 'another' }, plan).parts).toEqual(meal.parts);
		expect(asPlanned(mealOf([{ technique: 'tea' }]), plan).parts[0]?.technique).toBe('tea');
	});
	test('only what the chosen way needs is on the plan', () => {
		const meal = mealOf([{ technique: 'leeks-steam', choose: true }, { technique: 'tea' }]);
		const plan = planned(meal);
		const way = library.get(plan.parts.find((p) => p.id === 'p0')?.technique ?? '');
		expect(plan.steps.filter((s) => s.part === 'p0')).toHaveLength(way!.steps.length);
		const { problem } = compiled(meal);
		const answer = { ...scheduleOf(plan, compiled(meal), everything), objective: plan.objective };
		expect(checkSchedule(problem, answer)).toEqual({ violations: [], objective: plan.objective });
	});
});

describe('what is heated for batches', () => {
	const isBoil = (step: Step) => step.time.model?.kind === 'boil';
	const boiled = [...library.values()].filter((t) =>
		t.steps.some((s) => s.load?.on === 'pot' && s.after.some((a) => t.steps.some((x) => x.id === a.step && isBoil(x))))
	);

	test('there are techniques that boil water for what goes into it', () => {
		expect(boiled.length).toBeGreaterThan(8);
	});

	test.each(boiled.map((t) => [t.id, t] as const))(
		'%s: water for one batch, however many there are',
		(_, technique) => {
			const [step] = technique.steps.filter((s) => s.load?.on === 'pot');
			const heats = step!.after
				.map((a) => a.step)
				.filter((id) => technique.steps.some((s) => s.id === id && isBoil(s)));
			const longest = (people: number) => {
				const { trace } = compiled(mealOf([{ technique: technique.id, ahead: 'evening' }], people));
				const own = [...trace.steps].filter(([id]) => heats.includes(baseOf(id.replace(/^p0\//, ''))));
				const batches = [...trace.steps.keys()].filter((id) => baseOf(id) === `p0/${step!.id}`).length;
				// On the burner that is named first, so that the numbers can be compared.
				return { batches, seconds: Math.max(...own.map(([, traced]) => usualOf(traced.ways[0]!.timing))) };
			};
			const all = Array.from({ length: 30 }, (_, k) => longest(k + 1));
			// One person more than go in at once would have to be split: no batch is as large as that. A fuller pot loses more, too.
			const once = all.filter((x) => x.batches === 1).length;
			const whole = (all[once - 1]!.seconds * (once + 1)) / once;
			for (const { batches, seconds } of all) if (batches > 1) expect(seconds).toBeLessThanOrEqual(1.06 * whole);
			expect(all.at(-1)!.batches).toBeGreaterThan(1);
		}
	);
});
