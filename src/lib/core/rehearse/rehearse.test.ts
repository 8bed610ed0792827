// Rehearsals: the net against a second-by-second simulator that shares no line with it, closed forms, and what luck must be.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { normalShare } from '../learn/spread';
import type { Problem, Schedule } from '../plan/problem';
import { checkSchedule } from '../plan/check';
import { randomProblem, small, tiny } from '../testing/random-problem';
import { simulatePlainly } from '../testing/simulate-plainly';
import { solveNow } from '../testing/solve-now';
import { batch, Draw, Lengths, shuffled, type Spread } from './draws';
import { Network } from './network';
import { quantileOf, rehearse, rehearseNow, type Rehearsal } from './rehearse';
import { Troubles, type Struck } from './troubles';

const causal = (problem: Problem): Problem => ({
	...problem,
	lags: problem.lags.map(({ from, to, min }) => ({ from, to, min: Math.max(0, min) }))
});

/** A plan of a problem, and some evenings of it: whole multiples of the planned lengths. */
const evenings = fc
	.tuple(
		fc.oneof(randomProblem(small), randomProblem(tiny)),
		fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 40, maxLength: 40 }),
		fc.boolean()
	)
	.map(([drawn, factors, isEarly]) => {
		const problem = causal(drawn);
		return { problem, factors, isEarly, plan: solveNow(problem, { budget: 3000, infeasible: 'say' }) };
	})
	.filter(({ plan }) => plan.starts !== undefined);

describe('the net', () => {
	test('gives the planned evening where nothing takes other times', () => {
		fc.assert(
			fc.property(evenings, ({ problem, plan }) => {
				const net = new Network(problem, plan);
				net.play(net.lengths);
				net.tasks.forEach((id, i) => {
					expect(net.startOf(i), id).toBeCloseTo(plan.starts![id]!, 6);
				});
				expect(net.breaches(net.lengths)).toBe(0);
				const { objective } = checkSchedule(problem, plan);
				// Services go out as soon as they can; a plan may keep them longer.
				if (plan.status === 'optimal') expect(net.cost(net.lengths)).toBeCloseTo(objective ?? NaN, 6);
			}),
			{ numRuns: 150, seed: 3 }
		);
	});

	test('says what an evening second by second does, held or early', () => {
		fc.assert(
			fc.property(evenings, ({ problem, plan, factors, isEarly }) => {
				const net = new Network(problem, plan, isEarly ? 'early' : 'hold');
				const lengths = net.lengths.map((d, i) => d * factors[i % factors.length]!);
				net.play(lengths);
				const named = Object.fromEntries(net.tasks.map((id, i) => [id, lengths[i]!]));
				const plain = simulatePlainly(problem, plan, named, isEarly);
				net.tasks.forEach((id, i) => {
					expect(net.startOf(i), `${id} begins`).toBeCloseTo(plain[id]!.from, 6);
					expect(net.endOf(i, lengths), `${id} ends`).toBeCloseTo(plain[id]!.to, 6);
				});
			}),
			{ numRuns: 300, seed: 5 }
		);
	});

	test('marks the tasks that, a little shorter, make the last service earlier, and no others', () => {
		let marked = 0;
		fc.assert(
			fc.property(evenings, fc.integer({ min: 0, max: 1000 }), ({ problem, plan, isEarly }, seed) => {
				const net = new Network(problem, plan, isEarly ? 'early' : 'hold');
				const draw = new Draw(seed, 'length');
				const lengths = net.lengths.map((d, i) => d * Math.exp(0.5 * draw.normal(i)));
				net.play(lengths);
				const last = Math.max(...net.instants);
				const marks = new Uint8Array(net.tasks.length);
				net.critical(lengths, marks);
				const other = new Network(problem, plan, isEarly ? 'early' : 'hold');
				net.tasks.forEach((id, i) => {
					const less = lengths.slice();
					less[i] = lengths[i]! * (1 - 1e-4);
					other.play(less);
					const isEarlier = Math.max(...other.instants) < last - 1e-6;
					expect(marks[i] === 1, `${id} is critical`).toBe(isEarlier);
				});
				marked += marks.reduce((a, b) => a + b, 0);
			}),
			{ numRuns: 150, seed: 7 }
		);
		expect(marked).toBeGreaterThan(30);
	});
});

/** Steps one after another, or each by itself, served together. */
function steps(lengths: readonly number[], isChain: boolean, due: number): { problem: Problem; schedule: Schedule } {
	const ids = lengths.map((_, i) => `t${i}`);
	const starts = Object.fromEntries(
		ids.map((id, i) => [id, isChain ? lengths.slice(0, i).reduce((a, b) => a + b, 0) : 0])
	);
	const problem: Problem = {
		format: 'juntos-problem',
		version: 1,
		name: 'steps',
		horizon: 100_000,
		services: [{ id: 'supper', due }],
		weights: { slip: 1000, span: 1 },
		resources: [],
		states: [],
		tasks: ids.map((id, i) => ({ id, modes: [{ duration: lengths[i]! }] })),
		lags: isChain ? ids.slice(1).map((to, i) => ({ from: ids[i]!, to, min: 0 })) : [],
		holds: [],
		ties: [],
		choices: [],
		serve: ids.map((task) => ({ task, service: 'supper', offset: 0, free: 0, rate: 0 })),
		wants: []
	};
	const schedule: Schedule = {
		format: 'juntos-schedule',
		version: 1,
		problem: 'steps',
		status: 'feasible',
		starts,
		modes: Object.fromEntries(ids.map((id) => [id, 0])),
		slips: { supper: 0 }
	};
	return { problem, schedule };
}

const spreadOf = (length: number, sigma: number, shared?: Spread['shared']): Spread => ({
	mu: Math.log(length),
	sigma,
	...(shared ? { shared } : {})
});

describe('chances', () => {
	const common = { policy: 'hold', tolerance: 120, runs: 10_000, seed: 11 } as const;

	test('of steps side by side: the product of each one’s', () => {
		const lengths = [600, 900, 1500, 1500];
		const sigmas = [0.4, 0.3, 0.2, 0.05];
		const { problem, schedule } = steps(lengths, false, 1500);
		const durations = Object.fromEntries(lengths.map((l, i) => [`t${i}`, spreadOf(l, sigmas[i]!)]));
		const { onTime, error, services, tasks } = rehearseNow({ problem, schedule, durations, ...common });
		const chance = (at: number) => lengths.reduce((p, l, i) => p * normalShare(Math.log(at / l) / sigmas[i]!), 1);
		expect(Math.abs(onTime - chance(1620))).toBeLessThan(0.012);
		expect(error).toBeLessThan(0.006);
		// The slip's quantile is where the product says.
		const { slip } = services.supper!;
		for (const [share, at] of [
			[0.8, slip.p80],
			[0.95, slip.p95]
		] as const)
			expect(Math.abs(chance(1500 + at) - share)).toBeLessThan(0.012);
		// Exactly one is to blame in each evening that is late at all.
		const blamed = Object.values(tasks).reduce((sum, t) => sum + t.critical, 0);
		expect(blamed).toBeCloseTo(1 - chance(1500), 1);
	});

	test('of steps in a row that share all their luck: that of one', () => {
		const lengths = [700, 1100, 400];
		const { problem, schedule } = steps(lengths, true, 2200);
		const durations = Object.fromEntries(lengths.map((l, i) => [`t${i}`, spreadOf(l, 0, { cook: 0.25 })]));
		// Held: what comes after begins no sooner than planned, so that only the way from the last late one counts.
		const early = rehearseNow({ problem, schedule, durations, ...common, policy: 'early' });
		expect(Math.abs(early.onTime - normalShare(Math.log(2320 / 2200) / 0.25))).toBeLessThan(0.012);
		const held = rehearseNow({ problem, schedule, durations, ...common });
		expect(held.onTime).toBeCloseTo(early.onTime, 2);
	});

	test('where nothing is spread all is certain', () => {
		const { problem, schedule } = steps([600, 900], true, 1500);
		const { onTime, services } = rehearseNow({ problem, schedule, durations: {}, ...common, runs: 600 });
		expect([onTime, services.supper!.slip.p95]).toEqual([1, 0]);
	});

	test('of a step that somebody comes late to: that of the delay; of two in a row, of the sum', () => {
		const asked = { durations: {}, ...common };
		const dithering = { mean: 60, concerns: (task: string) => task !== 'nobody' };
		const one = steps([1500], false, 1500);
		const seen = rehearseNow({ ...one, ...asked, dithering });
		expect(Math.abs(seen.onTime - (1 - Math.exp(-120 / 60)))).toBeLessThan(0.01);
		// Two exponentials: Erlang's distribution; the second begins late only by what the first leaves, and its own.
		const two = steps([600, 900], true, 1500);
		const both = rehearseNow({ ...two, ...asked, dithering });
		expect(Math.abs(both.onTime - (1 - Math.exp(-2) * (1 + 2)))).toBeLessThan(0.012);
		const nobody = rehearseNow({ ...two, ...asked, dithering: { ...dithering, concerns: () => false } });
		expect(nobody).toEqual(rehearseNow({ ...two, ...asked }));
		// A step that is late only for somebody's coming is critical all the same.
		expect(both.tasks.t1!.critical).toBeGreaterThan(0.99);
	});

	test('a plan that begins earlier is never the later for it, evening by evening', () => {
		fc.assert(
			fc.property(
				evenings,
				fc.integer({ min: 1, max: 20 }),
				fc.integer({ min: 0, max: 99 }),
				({ problem, plan }, by, seed) => {
					const least = Math.min(...Object.values(plan.starts!));
					const room = Math.min(by, least);
					const starts = Object.fromEntries(Object.entries(plan.starts!).map(([id, s]) => [id, s - room]));
					const [one, other] = [new Network(problem, plan), new Network(problem, { ...plan, starts })];
					const lengths = new Lengths(
						one.tasks,
						one.lengths,
						Object.fromEntries(one.tasks.map((id, i) => [id, spreadOf(one.lengths[i]!, 0.4)])),
						seed
					);
					const drawn = new Float64Array(one.tasks.length);
					for (let evening = 0; evening < 5; evening++) {
						lengths.draw(evening, drawn);
						one.play(drawn);
						other.play(drawn);
						one.instants.forEach((at, k) => {
							expect(other.instants[k]!).toBeLessThanOrEqual(at + 1e-6);
						});
					}
				}
			),
			{ numRuns: 80, seed: 13 }
		);
	});

	test('are told batch by batch, the last one as the whole', () => {
		const { problem, schedule } = steps([600, 900], true, 1500);
		const durations = { t0: spreadOf(600, 0.3), t1: spreadOf(900, 0.3) };
		const asked: Rehearsal = { problem, schedule, durations, ...common, runs: 2000 };
		const stream = rehearse(asked);
		const seen: number[] = [];
		for (;;) {
			const step = stream.next();
			if (step.done) {
				expect(step.value.runs).toBe(2000);
				expect(step.value).toEqual(rehearseNow(asked));
				break;
			}
			seen.push(step.value().runs);
		}
		expect(seen).toEqual([64, batch, 2 * batch, 3 * batch]);
	});
});

describe('luck', () => {
	test('each key has an order of its own of all strata', () => {
		fc.assert(
			fc.property(fc.integer(), (key) => {
				const all = new Set(Array.from({ length: batch }, (_, i) => shuffled(i, key >>> 0)));
				expect(all.size).toBe(batch);
			}),
			{ numRuns: 50 }
		);
	});
	test('two names are drawn apart, one name alike', () => {
		const [a, b] = [new Draw(1, 'task a'), new Draw(1, 'task b')];
		const n = 40 * batch;
		let [sum, squares] = [0, 0];
		for (let i = 0; i < n; i++) {
			sum += a.normal(i) * b.normal(i);
			squares += a.normal(i) ** 2;
		}
		expect(Math.abs(sum / n)).toBeLessThan(4 / Math.sqrt(n));
		expect(squares / n).toBeCloseTo(1, 2);
		expect(new Draw(1, 'task a').uniform(77)).toBe(a.uniform(77));
		expect(new Draw(2, 'task a').uniform(77)).not.toBe(a.uniform(77));
	});
	test('quantiles lie between the values', () => {
		expect(quantileOf([1, 2, 3, 4, 5], 0.5)).toBe(3);
		expect(quantileOf([0, 10], 0.25)).toBe(2.5);
		expect(quantileOf([], 0.5)).toBeNaN();
	});
});

test('mishaps come as often as they are said to, and cost what they cost on the mean; the same evening brings the same ones', () => {
	const task = (cooks: readonly string[], part?: string) => ({ part, start: 0, length: 10_000, cooks, event: 0 });
	const extra = (tasks: readonly Struck[], perHour: number) => {
		const troubles = new Troubles(tasks, ['ann'], perHour, 0, 3600, 5);
		const runs = 40_000;
		let sum = 0;
		for (let evening = 0; evening < runs; evening++) {
			const lengths = new Float64Array(tasks.length);
			troubles.strike(evening, lengths, new Float64Array(1));
			sum += lengths.reduce((a, b) => a + b, 0);
		}
		return sum / runs;
	};
	// Three in ten are late, by four minutes on the mean; nobody's hands are asked for.
	expect(extra([task([])], 2) / (2 * 0.3 * 240)).toBeCloseTo(1, 1);
	// Two in ten call the cook to the door for four minutes.
	expect(extra([task(['ann'])], 2) / (2 * 0.2 * 240)).toBeCloseTo(1, 1);
	// Two in ten are begun again: half an hour in, on the mean of an hour.
	expect(extra([task(['bob'], 'fish')], 2) / (2 * 0.2 * 1800)).toBeCloseTo(1, 1);
	expect(extra([task([])], 0)).toBe(0);
	expect(extra([task([])], 3)).toBe(extra([task([])], 3));
});
