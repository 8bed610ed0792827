// Bounds by prices against enumeration: never above the best plan, whatever the prices; what they leave out is no better.
import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { bestPlan } from '../../../testing/brute-force';
import { ended } from '../../../testing/ended';
import { drawer, oddProblem } from '../../../testing/odd-problem';
import { readProblem, type Problem, type Schedule } from '../../problem';
import { buildModel, type Model } from '../model/model';
import { Search } from '../search';
import { Bounding } from './bound';
import { HeatPath, type Oven } from './ovens';
import { PartPrices } from './part-prices';
import { takeApart } from './parts';

const solvable = (count: number, from = 1) =>
	Array.from({ length: count }, (_, k) => oddProblem(from + k)).flatMap((problem) => {
		const best = bestPlan(problem);
		return best?.objective === undefined ? [] : [{ problem, best, objective: best.objective }];
	});

const windowsOf = ({ engine, tasks }: Model) => ({
	low: Int32Array.from(tasks, (t) => engine.rootLb(2 * t.start)),
	high: Int32Array.from(tasks, (t) => -engine.rootLb(2 * t.start + 1))
});

/** What a plan's evening costs by its length. */
function spanOf(problem: Problem, { starts = {}, slips = {} }: Schedule): number {
	const counted = problem.tasks.flatMap((t) => (t.ahead || starts[t.id] === undefined ? [] : [starts[t.id]!]));
	if (counted.length === 0) return 0;
	const last = Math.max(...problem.services.map((s) => s.due + (slips[s.id] ?? 0)));
	return problem.weights.span * (last - Math.min(...counted));
}

describe('prices of parts', () => {
	test('at any prices the parts cost no more than the best plan without its length', () => {
		for (const { problem, best, objective } of solvable(1200)) {
			const d = drawer(objective + problem.tasks.length);
			const model = ended(buildModel(problem));
			const windows = windowsOf(model);
			const prices = new PartPrices(problem, model.unit, windows);
			for (const most of [0, 1, 30, 1000]) {
				const price = Float64Array.from({ length: prices.layout.size }, () => d.int(0, most));
				const value = prices.evaluate(price, windows);
				expect(value, problem.name).toBeLessThanOrEqual(objective - spanOf(problem, best) + 1e-6);
			}
		}
	});

	test('a slope is one: no other prices are worth more than it says', () => {
		for (const { problem } of solvable(400, 3000)) {
			const d = drawer(problem.horizon);
			const model = ended(buildModel(problem));
			const windows = windowsOf(model);
			const prices = new PartPrices(problem, model.unit, windows);
			const draw = () => Float64Array.from({ length: prices.layout.size }, () => d.int(0, 20));
			const [here, there] = [draw(), draw()];
			const gradient = new Float64Array(here.length);
			const value = prices.evaluate(here, windows);
			if (value === Infinity) continue;
			prices.slope(gradient);
			const promised = gradient.reduce((sum, g, k) => sum + g * (there[k]! - here[k]!), value);
			expect(prices.evaluate(there, windows)).toBeLessThanOrEqual(promised + 1e-6);
		}
	});

	test('a start that the windows leave out costs more: the tree with the task held there says the same', () => {
		for (const { problem } of solvable(250, 7000)) {
			const d = drawer(problem.horizon + 1);
			const model = ended(buildModel(problem));
			const windows = windowsOf(model);
			const prices = new PartPrices(problem, model.unit, windows);
			const price = Float64Array.from({ length: prices.layout.size }, () => d.int(0, 9));
			const value = prices.evaluate(price, windows);
			if (value === Infinity || problem.choices.length > 0) continue;
			const room = d.int(0, 40);
			const found = prices.windows(room);
			problem.tasks.forEach((_, i) => {
				const costs = (start: number) => {
					const held = { low: windows.low.slice(), high: windows.high.slice() };
					held.low[i] = held.high[i] = start;
					return prices.evaluate(price, held);
				};
				const cheap = Array.from(
					{ length: windows.high[i]! - windows.low[i]! + 1 },
					(_, k) => windows.low[i]! + k
				).filter((s) => costs(s) <= value + room);
				expect([found.low[i], found.high[i]]).toEqual([cheap[0], cheap.at(-1)]);
			});
		}
	});
});

describe('bounds that rise', () => {
	test('are never above the best plan, and what they teach the engine leaves a best plan to be found', () => {
		for (const { problem, objective } of solvable(1500)) {
			const model = ended(buildModel(problem));
			const bounding = new Bounding(model);
			const limit = bounding.limitFor(objective, true);
			bounding.run(limit, 300);
			expect(bounding.bound, problem.name).toBeLessThanOrEqual(limit);
			const search = new Search(model, 1);
			expect(search.learn(bounding.news(limit) ?? []), problem.name).toBe(true);
			while (search.run(500) !== 'closed');
			expect(search.best?.objective, problem.name).toBe(objective);
		}
	});

	test('told that better is wanted than there is, they leave nothing that is not worse', () => {
		for (const { problem, objective } of solvable(600, 9000)) {
			const model = ended(buildModel(problem));
			const bounding = new Bounding(model);
			const limit = bounding.limitFor(objective, false);
			bounding.run(limit, 300);
			const search = new Search(model, 1);
			if (!search.learn(bounding.news(limit) ?? [])) continue;
			while (search.run(500) !== 'closed');
			expect(search.best?.objective ?? objective, problem.name).toBeGreaterThanOrEqual(objective);
		}
	});

	test.each([
		['feast-2', 17_655, 11_500],
		['feast-3', 5_115, 4_350]
	])('%s, of which %i is a plan: at least %i', (name, limit, least) => {
		const read = readProblem(JSON.parse(readFileSync(`problems/${name}.json`, 'utf8')));
		if (!read.ok) throw new Error(name);
		const bounding = new Bounding(ended(buildModel(read.value)));
		bounding.run(limit, 120_000);
		expect(bounding.bound).toBeGreaterThan(least);
		expect(bounding.bound).toBeLessThanOrEqual(limit);
	});
});

test('an oven’s path earns what the best of all paths does', () => {
	const d = drawer(5);
	for (let round = 0; round < 300; round++) {
		const last = d.int(1, 7);
		const count = d.int(1, 3);
		const values = Array.from({ length: count }, (_, k) => k);
		const oven: Oven = {
			values,
			first: values.map(() => d.int(0, 3)),
			change: values.map((a) => values.map((b) => (a === b ? 0 : d.int(0, 3))))
		};
		const gain = values.map(() => Float64Array.from({ length: last }, () => d.int(0, 9)));
		/** Most from instant t on with the oven at v. */
		const most = (t: number, v: number): number => {
			if (t >= last) return 0;
			const stay = gain[v]![t]! + most(t + 1, v);
			const others = values.flatMap((w) => {
				const at = t + oven.change[v]![w]!;
				// Two changes in one instant are no more than the longer way round.
				return w === v || at >= last || at === t ? [] : [most(at, w)];
			});
			const now = values.flatMap((w) => (w !== v && oven.change[v]![w] === 0 ? [gain[w]![t]! + most(t + 1, w)] : []));
			return Math.max(stay, ...others, ...now, 0);
		};
		const expected = Math.max(0, ...values.map((v) => most(oven.first[v]!, v)));
		const path = new HeatPath(oven, last);
		expect(path.run(gain)).toBe(expected);
		const earned = path.at.reduce((sum, v, t) => sum + (v < 0 ? 0 : gain[v]![t]!), 0);
		expect(earned).toBe(expected);
	}
});

test('equal burners that a pot may stand on are one pool; what suffices for all is none', () => {
	const mode = (burner: string) => ({ duration: 60, uses: [{ resource: burner, amount: 1 }], at: burner });
	const read = readProblem({
		format: 'juntos-problem',
		version: 1,
		name: 'two pots',
		horizon: 600,
		services: [{ id: 'supper', due: 600 }],
		weights: { slip: 100, span: 1 },
		resources: [
			{ id: 'left', capacity: 1 },
			{ id: 'right', capacity: 1 },
			{ id: 'spoons', capacity: 9 }
		],
		tasks: ['water', 'beans', 'stew'].map((id) => ({ id, modes: [mode('left'), mode('right')] })),
		lags: [{ from: 'water', to: 'beans', min: 0 }],
		holds: ['left', 'right'].map((at) => ({ resource: at, amount: 1, from: 'water', to: 'beans', at })),
		ties: [['water', 'beans']]
	});
	if (!read.ok) throw new Error(JSON.stringify(read.issues));
	const parts = takeApart(read.value, 60);
	expect(parts.capacity).toEqual([2]);
	expect(parts.kept).toEqual([{ pool: 0, amount: 1, from: 0, to: 1 }]);
	expect(parts.children.flat()).toHaveLength(1);
	expect(parts.roots).toHaveLength(2);
});
