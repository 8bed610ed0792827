// The propagators against enumeration: no plan is ever lost, at any depth of a search, whatever is learnt on the way.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { Cumulative, type Use } from './cumulative';
import { Disjunctive } from './disjunctive';
import { Engine } from './engine';
import { Linear } from './linear';

const horizon = 9;
interface Thing {
	readonly release: number;
	readonly due: number;
	readonly length: number;
	readonly amount: number;
}
const thing = fc
	.record({
		release: fc.integer({ min: 0, max: 4 }),
		room: fc.integer({ min: 0, max: 5 }),
		length: fc.integer({ min: 1, max: 3 }),
		amount: fc.integer({ min: 1, max: 2 })
	})
	.map(({ release, room, length, amount }) => ({
		release,
		due: Math.min(horizon, release + length + room),
		length,
		amount
	}));
const things = fc.array(thing, { minLength: 2, maxLength: 4 });

/** All tuples of starts that keep the windows and the capacity. */
function enumerate(list: readonly Thing[], capacity: number): readonly (readonly number[])[] {
	const fits = (starts: readonly number[]) => {
		for (let t = 0; t < horizon; t++) {
			const load = starts.reduce((sum, s, i) => (s <= t && t < s + list[i]!.length ? sum + list[i]!.amount : sum), 0);
			if (load > capacity) return false;
		}
		return true;
	};
	let partial: (readonly number[])[] = [[]];
	for (const { release, due, length } of list) {
		partial = partial.flatMap((p) => Array.from({ length: due - length - release + 1 }, (_, k) => [...p, release + k]));
		partial = partial.filter(fits);
	}
	return partial;
}

function makeEngine(
	list: readonly Thing[],
	capacity: number,
	kind: 'cumulative' | 'disjunctive'
): { engine: Engine; isOpen: boolean } {
	const engine = new Engine();
	const uses = list.map(({ release, due, length, amount }): Use => {
		const start = engine.variable(release, due - length);
		return { start, end: start, startShift: 0, endShift: length, amount, guards: [], isSure: true, length };
	});
	if (kind === 'cumulative') engine.add(new Cumulative(capacity, uses));
	else
		engine.add(
			new Disjunctive(
				uses,
				list.map((t) => t.length)
			)
		);
	engine.freeze();
	return { engine, isOpen: engine.root() };
}

/** Decide at random until all is fixed or refuted; at each rest at the root, and at each plan, look. */
function explore(
	engine: Engine,
	choices: readonly number[],
	look: (starts: readonly number[] | undefined) => void
): void {
	let k = 0;
	const next = (below: number) => (choices[k++ % choices.length] ?? 0) % below;
	for (let round = 0; round < 60; round++) {
		if (!engine.propagate()) {
			if (!engine.resolve()) {
				look(undefined);
				return;
			}
			continue;
		}
		if (engine.level === 0) look([]);
		const open = Array.from({ length: engine.variables }, (_, x) => x).filter((x) => !engine.isFixed(x));
		if (open.length === 0) {
			look(Array.from({ length: engine.variables }, (_, x) => engine.lb[2 * x]!));
			engine.backTo(0);
			continue;
		}
		const x = open[next(open.length)]!;
		const [low, high] = [engine.lb[2 * x]!, -engine.lb[2 * x + 1]!];
		const value = low + 1 + next(high - low);
		if (next(2) === 0) engine.decide(2 * x, value);
		else engine.decide(2 * x + 1, 1 - value);
	}
}

describe.each([
	['time tables', 'cumulative', 2],
	['edge-finding', 'disjunctive', 1]
] as const)('%s', (_, kind, capacity) => {
	test('no plan is lost, and what is refuted has none', () => {
		fc.assert(
			fc.property(things, fc.array(fc.nat(), { minLength: 20, maxLength: 40 }), (given, choices) => {
				const list = kind === 'disjunctive' ? given.map((t) => ({ ...t, amount: 1 })) : given;
				const plans = enumerate(list, capacity);
				const { engine, isOpen } = makeEngine(list, capacity, kind);
				if (!isOpen) {
					expect(plans).toEqual([]);
					return;
				}
				explore(engine, choices, (starts) => {
					if (starts === undefined) expect(plans).toEqual([]);
					else if (starts.length === 0) {
						for (const plan of plans) {
							plan.forEach((s, x) => {
								expect(engine.lb[2 * x]! <= s && s <= -engine.lb[2 * x + 1]!).toBe(true);
							});
						}
					} else if (kind === 'cumulative') expect(plans).toContainEqual(starts);
				});
				expect(plans.length).toBeGreaterThanOrEqual(0);
			}),
			{ numRuns: 200, seed: 71 }
		);
	});
});

test('a weighted sum keeps just the tuples that fit under its limit', () => {
	const term = fc.tuple(fc.integer({ min: 1, max: 4 }), fc.integer({ min: 0, max: 4 }));
	fc.assert(
		fc.property(fc.array(term, { minLength: 1, maxLength: 4 }), fc.integer({ min: 0, max: 20 }), (terms, limit) => {
			const engine = new Engine();
			const variables = terms.map(([, high]) => engine.variable(0, high));
			engine.add(
				new Linear(
					variables.map((x) => 2 * x),
					terms.map(([a]) => a),
					limit
				)
			);
			engine.freeze();
			expect(engine.root()).toBe(true);
			// The largest value of each alone is what the limit leaves it.
			terms.forEach(([a, high], i) => {
				expect(0 - engine.lb[2 * variables[i]! + 1]!).toBe(Math.min(high, Math.floor(limit / a)));
			});
		}),
		{ seed: 73 }
	);
});

test('a chain of differences is pushed to its end, and a circle that grows is refuted', () => {
	fc.assert(
		fc.property(fc.array(fc.integer({ min: 0, max: 5 }), { minLength: 1, maxLength: 6 }), (weights) => {
			const engine = new Engine();
			const xs = [...weights, 0].map(() => engine.variable(0, 40));
			weights.forEach((w, i) => {
				engine.edge(2 * xs[i]!, 2 * xs[i + 1]!, w);
			});
			engine.freeze();
			expect(engine.root()).toBe(true);
			const total = weights.reduce((a, b) => a + b, 0);
			expect(engine.lb[2 * xs.at(-1)!]).toBe(total);
			expect(-engine.lb[2 * xs[0]! + 1]!).toBe(40 - total);
			const circle = new Engine();
			const ys = [0, 1].map(() => circle.variable(0, 40));
			circle.edge(2 * ys[0]!, 2 * ys[1]!, 1 + total);
			circle.edge(2 * ys[1]!, 2 * ys[0]!, -total);
			circle.freeze();
			expect(circle.root()).toBe(false);
		}),
		{ seed: 79 }
	);
});
