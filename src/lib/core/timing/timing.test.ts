// Computed times: they move the way a cook expects, and open to a reason.
import { noise } from '../learn/factors';
import { panFats } from '../foods/fats';
import { foodNames } from '../foods/ingredients';
import { describe, expect, test } from 'vitest';
import { eggStyles, eggWays } from '../heat/egg';
import { foods } from '../heat/properties';
import { softness, tender } from '../heat/softness';
import { knifeRates, pieceTimes } from '../learn/handwork';
import { crusts } from '../heat/crusts';
import {
	crustKinds,
	eggStyleNames,
	eggWayNames,
	knifeTasks,
	pieceTasks,
	softnesses,
	vegetables,
	type TimeModel
} from '../model/time-model';
import { wordReason } from '../words/reasons';
import { wordCautions } from '../words/steps';
import type { Circumstance } from './computing';
import { compute, looksAt } from './model-times';
import { spreadOf, timingOf, usualOf } from './timing';

const here: Circumstance = { altitude: 100, room: 20, power: 1800, fuel: 'induction', setting: 180, hasFan: true };
const usual: Readonly<Record<string, number>> = { covers: 6, thickness: 30, start: 5, egg: 58 };
const time = (model: TimeModel, at: Partial<Circumstance> = {}, values: Readonly<Record<string, number>> = {}) =>
	compute(model, (id) => values[id] ?? usual[id] ?? NaN, { ...here, ...at });
const each = (times: number, plus = 0) => ({ by: 'covers', times, plus });
const mm = { by: 'thickness', times: 0.001, plus: 0 };
const start = { by: 'start', times: 1, plus: 0 };

test.each([
	['vegetables', vegetables, tender],
	['softness', softnesses, softness],
	['egg styles', eggStyleNames, eggStyles],
	['ways with eggs', eggWayNames, eggWays],
	['knife work', knifeTasks, knifeRates],
	['work by the piece', pieceTasks, pieceTimes],
	['faces', crustKinds, crusts]
])('the model names the same %s as the science', (_, names, table) => {
	expect([...names].sort()).toEqual(Object.keys(table).sort());
});

test('every food is one that the science knows', () => {
	for (const food of foodNames) expect(foods).toContain(food);
});

const models: Readonly<Record<string, TimeModel>> = {
	boil: { kind: 'boil', litres: each(0.5), start: 12 },
	knife: { kind: 'knife', task: 'dice roots', kilograms: each(0.2) },
	pieces: { kind: 'pieces', task: 'peel an egg', pieces: each(1) },
	'boiled-egg': { kind: 'boiled-egg', kilograms: { by: 'egg', times: 0.001, plus: 0 }, start, style: 'jammy' },
	egg: { kind: 'egg', way: 'poached', kilograms: { by: 'egg', times: 0.001, plus: 0 } },
	roast: { kind: 'roast', food: 'lean meat', thickness: mm, start, peak: 57, advised: 63 },
	rest: { kind: 'rest', food: 'lean meat', thickness: mm, start, peak: 57 },
	bake: { kind: 'bake', food: 'gratin', depth: mm, start: 18, core: 85, dose: 1 },
	temper: { kind: 'temper', food: 'lean meat', thickness: mm, start, core: 9 },
	soften: { kind: 'soften', vegetable: 'carrot', how: 'tender', cut: 'cube', size: mm, start: 18 },
	pan: { kind: 'pan', food: 'lean meat', thickness: mm, start, peak: 57, turns: 60 },
	'pan-rest': { kind: 'pan-rest', food: 'lean meat', thickness: mm, start, peak: 57, turns: 60 },
	immerse: { kind: 'immerse', food: 'white fish', shape: 'slab', size: mm, start, core: 52, in: 'water', at: 80 },
	crust: { kind: 'crust', pan: 220, faces: 2 },
	'hot-pan': { kind: 'hot-pan', to: 220 },
	'hot-oil': { kind: 'hot-oil', litres: 1.5, to: 175 },
	reduce: { kind: 'reduce', from: each(0.08), to: each(0.04), level: 0.7, besides: 60 },
	simmer: {
		kind: 'simmer',
		vegetable: 'carrot',
		how: 'tender',
		cut: 'stick',
		size: mm,
		start: 18,
		kilograms: each(0.12),
		liquid: each(0.07),
		away: 1,
		level: 0.8,
		besides: 120
	},
	starch: { kind: 'starch', seconds: each(2, 588), z: 75 },
	pasteurise: { kind: 'pasteurise', food: 'poultry breast', core: 63 }
};

describe.each(Object.entries(models))('%s', (kind, model) => {
	test('is finite, spread in order, and says why', () => {
		const computed = time(model);
		const { shortest, usual: middle, longest } = spreadOf({ mu: Math.log(computed.usual), sigma: computed.sigma });
		expect(shortest).toBeLessThan(middle);
		expect(middle).toBeLessThan(longest);
		expect(middle).toBeGreaterThan(20);
		expect(middle).toBeLessThan(4 * 3600);
		const words = wordReason(computed.facts, computed.sigma);
		for (const text of Object.values(words)) expect(text).not.toMatch(/NaN|undefined/);
		expect([model.kind, computed.facts.kind]).toEqual([kind, kind]);
	});
	test('what it does not look at does not change it', () => {
		const before = time(model).usual;
		if (looksAt(model) !== 'burner') expect(time(model, { power: 900, fuel: 'gas' }).usual).toBe(before);
		if (looksAt(model) === 'burner') expect(time(model, { power: 900 }).usual).toBeGreaterThan(before);
		if (looksAt(model) === 'oven') expect(time(model, { setting: 200 }).usual).toBeLessThan(before);
	});
});

test.each([
	['a thicker roast takes longer', 'roast', {}, { thickness: 40 }, 1],
	['a warmer start is faster', 'roast', {}, { start: 15 }, -1],
	['without a fan it takes longer', 'roast', { hasFan: false }, {}, 1],
	['a thicker piece tempers longer', 'temper', {}, { thickness: 40 }, 1],
	['a deeper dish bakes longer', 'bake', {}, { thickness: 50 }, 1],
	['a bigger egg takes longer', 'boiled-egg', {}, { egg: 70 }, 1],
	['an egg takes longer in the mountains', 'boiled-egg', { altitude: 2500 }, {}, 1],
	['water for more people takes longer', 'boil', {}, { covers: 8 }, 1],
	['water boils sooner in the mountains', 'boil', { altitude: 2500 }, {}, -1],
	['gas is slower than induction', 'boil', { fuel: 'gas' as const }, {}, 1],
	['carrots take longer in the mountains', 'soften', { altitude: 2500 }, {}, 1],
	['larger cubes take longer', 'soften', {}, { thickness: 40 }, 1],
	['more to cut takes longer', 'knife', {}, { covers: 12 }, 1],
	['more to reduce takes longer', 'reduce', {}, { covers: 12 }, 1],
	['more to glaze takes longer', 'simmer', {}, { covers: 12 }, 1],
	['a weaker burner glazes more slowly', 'simmer', { power: 1000 }, {}, 1],
	['pasta takes longer in the mountains', 'starch', { altitude: 2500 }, {}, 1]
] as const)('%s', (_, kind, at, values, sign) => {
	const model = models[kind]!;
	const difference = time(model, at, values).usual - time(model).usual;
	expect(Math.sign(difference)).toBe(sign);
});

test('a roast is pulled below its peak, cautioned below the advised heat, and never done in an oven that is too cool', () => {
	const roast = time(models.roast!);
	expect(roast.pull).toBeLessThan(57);
	expect(roast.peak).toBeGreaterThanOrEqual(57);
	expect(roast.peak).toBeLessThan(57.3);
	expect(roast.care).toMatchObject([{ kind: 'below-advised', advised: 63, what: 'whole cuts' }]);
	const done = { kind: 'roast', food: 'lean meat', thickness: mm, start, peak: 70 } as const;
	expect(time(done).care).toEqual([]);
	expect(time(models.roast!, { setting: 50 }).usual).toBe(Infinity);
	expect(spreadOf({ mu: Infinity, sigma: 0.1 }).longest).toBe(Infinity);
});

test('a fat that smokes before the pan is hot is cautioned, one that does not is not', () => {
	const caution = (fat: number, to: number) =>
		wordCautions({ cautions: [], care: [...(time({ kind: 'hot-pan', to, fat }).care ?? [])] })[0];
	const butter = panFats.indexOf('whole butter');
	expect(caution(butter, 220)).toMatch(/Whole butter smokes from 120 °C, and the pan comes to 220 °C/);
	expect(caution(0, 190)).toBeUndefined();
	expect(caution(0, 220)).toMatch(/fan on/);
	panFats.forEach((_, i) => {
		const hot = caution(i, 260) !== undefined;
		expect(hot || caution(i, 150) === undefined).toBe(true);
	});
});

describe('the time of a step', () => {
	const chop = { id: 's', say: 'Chop', kind: 'prep' as const, hands: { kind: 'whole' as const }, after: [] };
	const estimate = { ...chop, time: { shortest: 60, usual: 100, longest: 240 } };

	test('an estimate is spread about its usual time as its author says', () => {
		const t = timingOf(estimate, () => 1, here);
		expect(t.facts).toBeUndefined();
		const { shortest, usual: middle, longest } = spreadOf(t);
		expect(middle).toBeCloseTo(100, 6);
		expect(longest / shortest).toBeCloseTo(4, 6);
	});

	test('what was learnt moves it by its factor, and its spread is that of the next record; an estimate or a model', () => {
		const learnt = { mean: Math.log(0.8), sd: 0.05, records: 7 };
		const boiled = { ...chop, hands: { kind: 'none' as const }, time: { model: models.boil! } };
		for (const step of [estimate, boiled]) {
			const of = (id: string) => usual[id] ?? 1;
			const [before, after] = [timingOf(step, of, here), timingOf(step, of, { ...here, learnt })];
			expect(usualOf(after) / usualOf(before)).toBeCloseTo(0.8, 9);
			expect(after.sigma).toBeLessThanOrEqual(before.sigma);
			expect(after.sigma).toBeCloseTo(
				Math.min(before.sigma, Math.hypot(step === estimate ? noise.hands : noise.heat, 0.05)),
				9
			);
			expect(after.learnt).toEqual({ factor: expect.closeTo(0.8, 9) as number, records: 7 });
			// What it would be without any record is told all the same.
			expect(after.plain).toBeCloseTo(before.mu, 9);
			expect(timingOf(step, of, here, 2).mu - before.mu).toBeCloseTo(Math.log(2), 9);
		}
	});

	test('at any pace it is told what it takes at a home cook’s, and how much of that goes by the pace', () => {
		for (const pace of [0.6, 1, 1.7]) {
			const { plain = NaN, paced } = timingOf(estimate, () => 1, { ...here, pace });
			expect(Math.exp(plain)).toBeCloseTo(100, 6);
			expect(paced).toBe(1);
			const knife = { ...chop, time: { model: models.knife! } };
			const known = timingOf(knife, (id) => usual[id] ?? 1, { ...here, pace });
			const home = Math.exp(known.plain ?? NaN);
			expect(usualOf(known)).toBeCloseTo(home * (1 - (known.paced ?? 0) + (known.paced ?? 0) * pace), 6);
		}
	});

	test('handwork goes at a cook’s pace, what needs no hands does not', () => {
		const by = (hands: 'whole' | 'none') => {
			const step = { ...estimate, hands: { kind: hands } };
			return usualOf(timingOf(step, () => 1, { ...here, pace: 2 })) / usualOf(timingOf(step, () => 1, here));
		};
		expect(by('whole')).toBeCloseTo(2, 9);
		expect(by('none')).toBeCloseTo(1, 9);
	});
});
