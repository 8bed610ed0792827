// The evening as a chef would have it: the pass, calm, clean, heat that is ready, set points with a price.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { library } from '../../library/library';
import { evenings, type Evening } from '../../model/meal';
import { platingsOf } from '../../model/plan';
import { compiled, everything, mealOf, planned } from '../../testing/library-meal';
import { wordBegin, wordWaves } from '../../words/evening';
import { grid } from '../grid';
import { rawIn } from './clean';
import { isPrice } from './set-points';

const cooksOf = (n: number) => ({
	...everything,
	cooks: Array.from({ length: n }, (_, i) => ({ id: `c${i}`, name: `Cook ${i}` }))
});
const dinner = [
	{ technique: 'potatoes-boiled' },
	{ technique: 'carrots-glaze' },
	{ technique: 'steak-oven' },
	{ technique: 'herb-sauce' }
];

describe('the pass', () => {
	const pass = (covers: number, cooks: number) => {
		const { problem, trace } = compiled(mealOf(dinner, covers), cooksOf(cooks));
		const settings = [...trace.plating.values()].flat();
		const taskOf = (id: string) => problem.tasks.find((t) => t.id === id);
		const hands = settings.map((s) => {
			const mode = taskOf(s.task)?.modes[0];
			const amount = mode?.uses?.find((u) => u.resource === 'hands')?.amount ?? 0;
			return { ...s, duration: mode?.duration ?? 0, amount };
		});
		return { hands, waves: hands.filter((h) => h.goesOut) };
	};
	test('sets every part on every plate in the seconds that it takes, however many share it', () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 4 }), (covers, cooks) => {
				const { hands, waves } = pass(covers, cooks);
				const perPlate = dinner.reduce((sum, { technique }) => sum + library.get(technique)!.plate.perPlate, 4);
				const done = hands.reduce((sum, h) => sum + h.duration * h.amount, 0);
				expect(done).toBeGreaterThanOrEqual(perPlate * covers - 1e-6);
				// No more than a grid for each pair of hands in each wave.
				expect(done).toBeLessThanOrEqual(perPlate * covers + grid * cooks * waves.length + 1e-6);
				expect(waves.reduce((sum, w) => sum + w.plates, 0)).toBe(covers);
				for (const h of hands) expect(h.amount).toBeLessThanOrEqual(Math.min(cooks, covers));
				if (waves.length > 1) for (const w of waves) expect(w.duration).toBeLessThanOrEqual(6 * 60 + grid);
			}),
			{ numRuns: 60, seed: 9 }
		);
	});
	test('more hands never mean more waves, more plates never fewer', () => {
		for (const covers of [6, 14, 30, 40]) {
			const waves = [1, 2, 3, 4].map((cooks) => pass(covers, cooks).waves.length);
			expect(waves).toEqual(waves.toSorted((a, b) => b - a));
		}
		const crowds = [2, 8, 20, 40].map((covers) => pass(covers, 1).waves.length);
		expect(crowds).toEqual(crowds.toSorted((a, b) => a - b));
		expect(crowds.at(-1)).toBeGreaterThan(1);
	});
	test('waves go out one after another, the first when it is due, and are told', () => {
		const plan = planned(mealOf(dinner.slice(0, 2), 40), cooksOf(1), 20_000);
		const [service] = plan.services;
		const out = platingsOf(plan, service!).filter((p) => p.goesOut);
		expect(out.length).toBeGreaterThan(1);
		expect(out[0]?.to).toBe(service?.at);
		out.slice(1).forEach((p, k) => {
			expect(p.from).toBe(out[k]?.to);
		});
		expect(plan.to).toBe(out.at(-1)?.to);
		expect(wordWaves(plan)).toMatch(/in \d+ waves/);
		expect(wordWaves(planned(mealOf([{ technique: 'tea' }])))).toBe('');
	});
});

describe('calm', () => {
	const lateness = (evening: Evening) => {
		const { problem } = compiled({ ...mealOf(dinner, 4), evening });
		return problem.wants.filter((w) => !isPrice(w.task));
	};
	test('handwork that keeps is wanted early, what has been on the heat or presses is not', () => {
		const wanted = lateness('even').map((w) => w.task);
		expect(wanted).toContain('p1/cut');
		expect(wanted).not.toContain('p2/slice');
		for (const id of wanted) expect(id).not.toMatch(/wash/);
		expect(lateness('short')).toEqual([]);
		expect(lateness('calm').map((w) => w.rate)).toEqual(lateness('even').map((w) => 2 * w.rate));
	});
	test('the calmer, the earlier handwork ends; the shorter, the later work begins', () => {
		const figures = evenings.map((evening) => {
			const meal = {
				...mealOf([{ technique: 'carrots-glaze' }, { technique: 'herb-sauce', ahead: 'evening' as const }], 4),
				evening
			};
			const plan = planned(meal, cooksOf(1), 60_000);
			const preps = plan.steps.filter((s) => s.kind === 'prep' && !s.id.includes('/wash-'));
			return { ends: preps.reduce((sum, s) => sum + s.to, 0), from: plan.from };
		});
		const [calm, even, short] = figures;
		expect(calm!.ends).toBeLessThanOrEqual(even!.ends);
		expect(even!.ends).toBeLessThanOrEqual(short!.ends);
		expect(calm!.from).toBeLessThanOrEqual(short!.from);
	});
});

describe('clean', () => {
	test('every raw work on a board is followed at once by a wash, on that board and by the same hands', () => {
		let raws = 0;
		for (const technique of library.keys()) {
			const { problem, trace } = compiled(mealOf([{ technique, ahead: 'evening' }], 4), cooksOf(2));
			for (const [id, { technique: t, step }] of trace.steps) {
				const raw = rawIn(t, step);
				const wash = `${id.slice(0, id.lastIndexOf('/') + 1)}wash-raw-${step.id}`;
				if (raw === undefined) {
					expect(trace.steps.has(wash), id).toBe(false);
					continue;
				}
				raws++;
				expect(problem.lags, id).toContainEqual({ from: id, to: wash, min: 0, max: 0 });
				const [first, second] = [id, wash].map((task) =>
					problem.tasks.find((x) => x.id === task)?.modes.map((m) => m.at)
				);
				expect(new Set(second), id).toEqual(new Set(first));
				expect(
					problem.holds.some((h) => h.from === id && h.to === wash),
					id
				).toBe(true);
			}
		}
		expect(raws).toBeGreaterThan(50);
	});
	test('a pan that two parts need is washed between them, and not where there is one for each', () => {
		const meal = mealOf([{ technique: 'shallot-crumbs' }, { technique: 'mushrooms-pan' }], 2);
		const withPans = (count: number) => ({
			...cooksOf(1),
			vessels: [
				...everything.vessels.filter((v) => v.kind !== 'frying pan'),
				{ id: 'pan', name: 'Pan', kind: 'frying pan' as const, size: '30 cm', count }
			]
		});
		const washes = (count: number) =>
			planned(meal, withPans(count), 20_000).steps.filter((s) => s.id.includes('/wash-frying-pan'));
		const [wash] = washes(1);
		expect(wash).toBeDefined();
		const plan = planned(meal, withPans(1), 20_000);
		const inPan = plan.steps.filter((s) => s.vessel?.startsWith('Pan')).toSorted((a, b) => a.from - b.from);
		const [first] = inPan;
		const next = inPan.find((s) => s.part !== first?.part);
		const between = plan.steps.find((s) => s.id.includes('/wash-frying-pan'));
		expect(between?.part).toBe(first?.part);
		expect(between?.to).toBeLessThanOrEqual(next?.from ?? 0);
		expect(washes(6)).toEqual([]);
	});
});

describe('heat', () => {
	test('an oven that takes longer than the handwork is lit first, and the plan begins with that', () => {
		const slow = {
			...everything,
			stations: everything.stations.map((s) => (s.kind === 'oven' ? { ...s, rise: 12 } : s))
		};
		const plan = planned(mealOf([{ technique: 'potatoes-roast', settings: { first: 2 } }]), slow, 20_000);
		const first = Math.min(...plan.steps.map((s) => s.from));
		const [bake] = plan.steps.filter((s) => s.setting !== undefined);
		expect(plan.from).toBeLessThanOrEqual(first);
		expect(bake!.from - plan.from).toBeGreaterThanOrEqual(12 * ((bake?.setting ?? 0) - 24) - grid);
		if (plan.from < first) expect(wordBegin(plan)).toMatch(/oven.* on \d+:\d+, begin \d+:\d+/);
	});
	test('a set point that is not its own costs what it is away, and says what it is good for', () => {
		const { problem, trace } = compiled(mealOf([{ technique: 'root-gratin', ahead: 'evening' }], 4));
		const own = library.get('root-gratin')!.steps.find((s) => s.need?.kind === 'oven')!;
		const settings = own.need?.kind === 'oven' ? own.need.settings : [];
		const price = problem.tasks.find((t) => isPrice(t.id) && t.id.endsWith(own.id));
		const ways = trace.steps.get(`p0/${own.id}`)?.ways ?? [];
		for (const mode of price?.modes ?? []) {
			const away = Math.abs(Number.parseInt(mode.at ?? '', 10) - (settings[0] ?? 0));
			expect(Math.abs(mode.duration - grid - 15 * away)).toBeLessThanOrEqual(grid / 2);
		}
		expect(new Set(price?.modes.map((m) => m.at))).toEqual(new Set(ways.map((w) => `${w.place?.setting ?? ''} °C`)));
		const alone = planned(mealOf([{ technique: 'root-gratin', ahead: 'evening' }], 4), everything, 20_000);
		const step = alone.steps.find((s) => s.id === `p0/${own.id}`);
		if (step?.setting === settings[0]) expect(step?.away).toBeUndefined();
		else expect(step?.away?.own).toBe(settings[0]);
	});
});
