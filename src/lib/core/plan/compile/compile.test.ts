// Compiling: every meal becomes a consistent problem whose numbers follow from the meal and the kitchen.
import { usualOf } from '../../timing/timing';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { wordIssue } from '../../words/issues';
import { library } from '../../library/library';
import { withCooks, withoutStation, withVesselCount } from '../../model/edit-kitchen';
import { withCovers, withService, withSetting } from '../../model/edit-meal';
import { compileDemo, demoCases, type DemoCase } from '../../testing/demo-plan';
import { compiled, everything, mealOf } from '../../testing/library-meal';
import { solveNow } from '../../testing/solve-now';
import type { Kitchen } from '../../model/kitchen';
import { checkSchedule } from '../check';
import { readProblem } from '../problem';
import { grid } from '../grid';
import { isWash, rawIn } from './clean';
import { compileMeal } from './compile';

const [supper, brunch] = demoCases as [DemoCase, DemoCase];

const anyCase = fc.record({
	demo: fc.constantFrom(supper, brunch),
	covers: fc.integer({ min: 1, max: 20 }),
	size: fc.double({ min: 0, max: 1, noNaN: true })
});

test('whatever the numbers, the problem is consistent and on the grid', () => {
	fc.assert(
		fc.property(anyCase, ({ demo, covers, size }) => {
			let meal = withCovers(demo.meal, covers);
			for (const part of meal.parts) {
				for (const p of library.get(part.technique)?.parameters ?? []) {
					meal = withSetting(meal, part.id, p.id, p.least + size * (p.most - p.least), p.usual);
				}
			}
			const { problem } = compileDemo({ ...demo, meal });
			const read = readProblem(JSON.parse(JSON.stringify(problem)));
			expect(read).toMatchObject({ ok: true });
			const times = problem.tasks.flatMap((t) =>
				t.modes.flatMap((m) => [m.duration, ...(m.uses ?? []).flatMap((u) => [u.from ?? 0, u.to ?? 0])])
			);
			expect(times.every((t) => t % grid === 0)).toBe(true);
		}),
		{ numRuns: 60, seed: 3 }
	);
});

test('a thicker breast takes longer on every station, and nothing else changes', () => {
	const durations = (thickness: number) =>
		new Map(
			compileDemo({ ...supper, meal: withSetting(supper.meal, 'duck', 'thickness', thickness, 30) }).problem.tasks.map(
				(t) => [t.id, t.modes.map((m) => m.duration)]
			)
		);
	const [thin, thick] = [durations(25), durations(45)];
	const roast = (d: ReadonlyMap<string, number[]>) => d.get('duck/roast') ?? [];
	expect(roast(thick).every((long, i) => long > (roast(thin)[i] ?? Infinity))).toBe(true);
	for (const [id, modes] of thin) if (!id.startsWith('duck/')) expect(thick.get(id)).toEqual(modes);
});

test('a stronger burner boils sooner, a hotter oven bakes shorter', () => {
	const { problem, trace } = compileDemo(supper);
	const water = trace.steps.get('beans/water');
	const byPower = (water?.ways ?? [])
		.map((w) => [w.place?.power ?? 0, usualOf(w.timing)] as const)
		.toSorted((a, b) => a[0] - b[0]);
	expect(byPower.length).toBeGreaterThan(2);
	expect(byPower.map(([, time]) => time)).toEqual(byPower.map(([, time]) => time).toSorted((a, b) => b - a));
	const bake = problem.tasks.find((t) => t.id === 'gratin/bake')?.modes ?? [];
	const byHeat = bake.toSorted((a, b) => (a.state?.value ?? 0) - (b.state?.value ?? 0)).map((m) => m.duration);
	expect(byHeat).toEqual(byHeat.toSorted((a, b) => b - a));
});

test('the sauce is made in the pan of the duck: one hold from the sear to the sauce', () => {
	const { problem, trace } = compileDemo(supper);
	const pans = trace.vessels.filter((v) => v.kind === 'frying pan' && v.tasks.includes('sauce/reduce'));
	expect(pans).toHaveLength(1);
	expect(pans[0]?.tasks).toEqual(['duck/sear', 'duck/sear-b2', 'sauce/reduce', 'sauce/mount']);
	expect(pans[0]?.from).toBe('duck/sear');
	// One burner from the first sear to the sauce, and no other pan on it meanwhile.
	const stay = trace.stays.find((s) => s.tasks.includes('sauce/reduce'));
	expect(stay).toEqual({ tasks: pans[0]?.tasks, isHeld: true });
	expect(problem.ties).toContainEqual(stay?.tasks);
	const burners = problem.resources.filter((r) => r.id.startsWith('burner:'));
	const held = problem.holds.filter((h) => h.from === 'duck/sear' && h.to === 'sauce/mount');
	expect(held.map((h) => h.at).toSorted()).toEqual(
		burners
			.filter((r) => !r.id.startsWith('burner:1200'))
			.map((r) => r.id)
			.toSorted()
	);
});

test('parts go on the plate one after the other, the last one at service', () => {
	const { problem, trace } = compileDemo(supper);
	const offsets = supper.meal.parts.filter((p) => p.course === 'plates').map((p) => trace.offsets.get(p.id) ?? 0);
	expect(offsets).toEqual(offsets.toSorted((a, b) => b - a));
	const settings = trace.plating.get('plates') ?? [];
	expect(settings.flatMap((s) => s.parts)).toEqual(
		supper.meal.parts.filter((p) => p.course === 'plates').map((p) => p.id)
	);
	const lengths = settings.map((s) => problem.tasks.find((t) => t.id === s.task)?.modes[0]?.duration ?? 0);
	expect(lengths.reduce((a, b) => a + b, 0)).toBe(offsets[0]);
	settings.slice(1).forEach((s, k) => {
		expect(problem.lags).toContainEqual({ from: settings[k]?.task, to: s.task, min: 0 });
	});
	// Nothing is set on the plate before it is ready.
	for (const { part, served } of trace.plated) {
		const setting = [...trace.plating.values()].flat().find((s) => s.parts.includes(part.id));
		for (const task of served) expect(problem.lags).toContainEqual({ from: task, to: setting?.task, min: 0 });
	}
});

test('a later service moves the due time and nothing else', () => {
	const [now, later] = [supper.meal, withService(supper.meal, 'plates', 20 * 3600)].map(
		(meal) => compileDemo({ ...supper, meal }).problem
	);
	expect((later?.services[1]?.due ?? 0) - (now?.services[1]?.due ?? 0)).toBe(1800);
	expect(later?.tasks).toEqual(now?.tasks);
});

test('capacities follow the kitchen', () => {
	const kitchen = withCooks(supper.kitchen, 3);
	const of = (id: string) => compileDemo({ ...supper, kitchen }).problem.resources.find((r) => r.id === id)?.capacity;
	expect([of('hands'), of('burner:1800 induction'), of('racks:oven'), of('vessel:tray')]).toEqual([3, 2, 3, 2]);
});

describe('what a kitchen lacks is said', () => {
	test.each([
		['an oven', withoutStation(supper.kitchen, 'oven'), 'Celeriac gratin'],
		['trays', withVesselCount(supper.kitchen, 'tray', 0), 'needs a tray']
	])('no %s', (_, kitchen, words) => {
		const compiled = compileMeal(supper.meal, kitchen, library);
		expect(compiled.ok).toBe(false);
		if (!compiled.ok) expect(compiled.issues.map(wordIssue).join('\n')).toContain(words);
	});
});

test('where the planner chooses among ways, each has tasks, washes and vessels of its own, and the problem can be read', () => {
	for (const makes of new Set([...library.values()].flatMap((t) => t.makes ?? []))) {
		const [technique] = [...library.values()].filter((t) => t.makes === makes).map((t) => t.id);
		const { problem, trace } = compiled(mealOf([{ technique: technique ?? '', choose: true }], 9));
		const read = readProblem(JSON.parse(JSON.stringify(problem)));
		expect(read.ok ? [] : read.issues, makes).toEqual([]);
		// Every raw work of every way has its wash, in the same option.
		for (const [id, { technique: t, step }] of trace.steps) {
			if (rawIn(t, step) === undefined) continue;
			const after = problem.lags.filter((l) => l.from === id && l.min === 0 && l.max === 0 && isWash(l.to));
			expect(
				after.map((l) => l.to),
				id
			).toHaveLength(1);
			const options = problem.choices.flatMap((c) => c.options.map((o) => o.tasks));
			for (const tasks of options) expect(tasks.includes(id), id).toBe(tasks.includes(after[0]?.to ?? ''));
		}
	}
});

describe('batches side by side or one after another', () => {
	const stations = (burners: number): Kitchen => ({
		...everything,
		stations: everything.stations.filter((s) => s.kind !== 'burner' || (burners-- > 0 && s.power > 0)),
		vessels: everything.vessels.map((v) => (v.kind === 'frying pan' ? { ...v, size: '28 cm', count: 2 } : v))
	});
	const steaks = { technique: 'steak-pan' };
	const picked = (parts: readonly { readonly technique: string }[], kitchen: Kitchen) => {
		const { problem } = compiled(mealOf(parts, 8), kitchen);
		const answer = solveNow(problem, { budget: 60_000 });
		expect(checkSchedule(problem, answer).violations).toEqual([]);
		return { answer, options: problem.choices.find((c) => c.id === 'way:p0')?.options ?? [] };
	};

	test('both ways are there, each with tasks of its own, and in turn there are fewer, for one pan is heated', () => {
		const { options } = picked([steaks, { technique: 'risotto' }], stations(3));
		expect(options.map((o) => o.id)).toEqual(['steak-pan', 'in-turn']);
		const [beside, turn] = options.map((o) => o.tasks);
		expect(beside!.filter((t) => turn!.includes(t))).toEqual([]);
		expect(turn!.length).toBeLessThan(beside!.length);
	});

	test('the planner takes the burners that are free, goes in turn where another part needs them, and more never cost more', () => {
		for (const [other, few] of [
			['risotto', 'in-turn'],
			['pasta', 'in-turn'],
			['pilaf', 'steak-pan'],
			['dal', 'steak-pan']
		] as const) {
			const answers = [2, 3, 4, 5].map((burners) => picked([steaks, { technique: other }], stations(burners)).answer);
			expect(answers.map((a) => a.status)).toEqual(['optimal', 'optimal', 'optimal', 'optimal']);
			expect(answers.map((a) => a.picks?.['way:p0'])).toEqual([few, 'steak-pan', 'steak-pan', 'steak-pan']);
			const costs = answers.map((a) => a.objective!);
			expect(costs).toEqual(costs.toSorted((a, b) => b - a));
		}
	});

	test('a part that is alone, or bound to another by name, has one way', () => {
		expect(compiled(mealOf([steaks], 8), stations(2)).problem.choices).toEqual([]);
		const { meal } = supper;
		const bound = new Set(meal.links.flatMap((l) => [l.from.part, l.to.part]));
		const big = compileMeal({ ...meal, covers: 12 }, { ...supper.kitchen, vessels: stations(2).vessels }, library);
		if (!big.ok) throw new Error(JSON.stringify(big.issues));
		for (const part of bound) expect(big.value.problem.choices.map((c) => c.id)).not.toContain(`way:${part}`);
	});
});
