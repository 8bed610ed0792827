// Learning from records: the check values, plain against sequential, and what shrinkage and forgetting must do.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { boilingPoint, heatingTime, potLoss } from '../heat/water';
import { learn, learnKnownSigma, predictive, weakPrior } from './duration';
import {
	beliefIn,
	forget,
	isUsable,
	newFactors,
	noise,
	paces,
	priorSd,
	update,
	updateRobust,
	type Factors
} from './factors';
import { handTime, knifeRates, type KnifeTask } from './handwork';
import { measuredPace, measuredPower, measuredRise } from './measured';
import { fromMoments, fromQuantiles, meanOf, normalQuantile, quantile, shown, threePoint } from './spread';

test('known spread: the check value', () => {
	const { mu, sd, predictive: spread } = learnKnownSigma(12, 0.4, 0.25, [15, 10.5]);
	expect(mu).toBeCloseTo(2.52239, 5);
	expect(sd).toBeCloseTo(0.16169, 5);
	expect(spread).toBeCloseTo(0.29773, 5);
});

test('unknown spread: the check value', () => {
	const { m, kappa, a, b } = learn({ m: Math.log(25), kappa: 2, a: 3, b: 0.2 }, [31, 22, 28, 26]);
	expect([m, kappa, a, b].map((x) => x.toFixed(5))).toEqual(['3.25885', '6.00000', '5.00000', '0.23370']);
	const { degrees, scale } = predictive({ m, kappa, a, b });
	expect(degrees).toBe(10);
	expect(scale).toBeCloseTo(0.23352, 5);
});

test('three numbers: the check value (Clark 1962)', () => {
	const { mean, sd, a, b, logNormal } = threePoint(8, 12, 26);
	expect([mean, sd, a, b, logNormal.mu, logNormal.sigma].map((x) => x.toFixed(5))).toEqual([
		'13.66667',
		'3.15977',
		'1.88889',
		'4.11111',
		'2.58892',
		'0.22820'
	]);
	expect(threePoint(5, 5, 5).logNormal.sigma).toBe(0);
	expect(() => threePoint(5, 4, 6)).toThrow(RangeError);
	expect(() => threePoint(0, 4, 6)).toThrow(RangeError);
});

test('factors: the check value', () => {
	const all = { of: ['s', 'c', 'e'], sigma: 0.2 };
	const start = newFactors([
		{ id: 's', mean: 0, sd: 0.3 },
		{ id: 'c', mean: 0, sd: 0.2 },
		{ id: 'e', mean: 0, sd: 0.15 }
	]);
	const after = update(update(start, { ...all, y: 0.3 }), { ...all, y: 0.1 });
	expect(after.x.map((x) => x.toFixed(5))).toEqual(['0.10435', '0.04638', '0.02609']);
	expect(after.Q[0]![0]).toBeCloseTo(0.04304, 5);
	expect(after.Q[0]![1]).toBeCloseTo(-0.02087, 5);
});

const anyTimes = fc.array(fc.double({ min: 1, max: 60, noNaN: true }), { minLength: 1, maxLength: 12 });

test('one record at a time teaches the same as all at once', () => {
	fc.assert(
		fc.property(anyTimes, (times) => {
			const once = learn(weakPrior(20), times);
			const slowly = times.reduce((state, t) => learn(state, [t]), weakPrior(20));
			expect(slowly.m).toBeCloseTo(once.m, 9);
			expect(slowly.b).toBeCloseTo(once.b, 9);
			const sorted = learn(
				weakPrior(20),
				times.toSorted((a, b) => a - b)
			);
			expect(sorted.m).toBeCloseTo(once.m, 9);
		}),
		{ numRuns: 60, seed: 1 }
	);
});

test('the posterior lies between the prior and the records, and gets surer', () => {
	fc.assert(
		fc.property(anyTimes, (times) => {
			const { mu, sd } = learnKnownSigma(20, 0.4, 0.25, times);
			const mean = times.reduce((s, t) => s + Math.log(t), 0) / times.length;
			expect(mu).toBeGreaterThanOrEqual(Math.min(Math.log(20), mean) - 1e-9);
			expect(mu).toBeLessThanOrEqual(Math.max(Math.log(20), mean) + 1e-9);
			expect(sd).toBeLessThan(0.4);
		}),
		{ numRuns: 60, seed: 2 }
	);
});

test('quantiles are in order, halves meet, and moments and quantiles come back', () => {
	fc.assert(
		fc.property(
			fc.double({ min: 1, max: 500, noNaN: true }),
			fc.double({ min: 0.01, max: 0.8, noNaN: true }),
			(mean, share) => {
				const d = fromMoments(mean, mean * share);
				expect(meanOf(d) / mean).toBeCloseTo(1, 9);
				const { shortest, usual, longest } = shown(d);
				expect(shortest).toBeLessThan(usual);
				expect(usual).toBeLessThan(longest);
				const again = fromQuantiles(quantile(d, 0.05), quantile(d, 0.95));
				expect(again.sigma).toBeCloseTo(d.sigma, 4);
			}
		),
		{ numRuns: 60, seed: 3 }
	);
	expect(normalQuantile(0.975)).toBeCloseTo(1.959964, 5);
	expect(normalQuantile(0.001)).toBeCloseTo(-3.090232, 5);
	expect(normalQuantile(0.5)).toBeCloseTo(0, 12);
	expect([normalQuantile(0), normalQuantile(1), normalQuantile(2)]).toEqual([-Infinity, Infinity, NaN]);
});

const cook = { id: 'cook', mean: 0, sd: priorSd.cook };
const step = { id: 'step', mean: 0, sd: priorSd.step };
const record = (y: number) => ({ of: ['step', 'cook'], y, sigma: noise.hands });
const many = (factors: Factors, y: number, n: number) =>
	Array.from({ length: n }).reduce<Factors>((f) => update(f, record(y)), factors);

test('a slow cook is learnt on one step and believed on another; few records are not enough', () => {
	const start = newFactors([step, cook, { ...step, id: 'other' }]);
	const after = many(start, 0.4, 8);
	expect(beliefIn(after, 'cook')?.factor).toBeGreaterThan(1.05);
	expect(beliefIn(after, 'other')?.factor).toBe(1);
	expect(beliefIn(many(start, 0.4, 1), 'step')?.isEnough).toBe(false);
	expect(beliefIn(after, 'step')?.isEnough).toBe(true);
	expect(beliefIn(after, 'nobody')).toBeUndefined();
});

test('old records fade, up to the prior’s spread and no further', () => {
	const learnt = many(newFactors([step, cook]), 0.3, 6);
	const later = forget(learnt, 180);
	expect(later.Q[0]![0]!).toBeGreaterThan(learnt.Q[0]![0]!);
	expect(forget(learnt, 1e6).Q[0]![0]!).toBeCloseTo(priorSd.step ** 2, 9);
	expect(later.weight[0]).toBeCloseTo(3, 9);
});

test('a far record is tempered; three in a row on one side set the step free again', () => {
	const learnt = many(newFactors([step, cook]), 0, 10);
	const far = updateRobust(learnt, record(2));
	expect(far.isFar).toBe(true);
	expect(Math.abs(far.factors.x[0]!)).toBeLessThan(Math.abs(update(learnt, record(2)).x[0]!));
	let { factors } = far;
	factors = updateRobust(factors, record(2)).factors;
	const third = updateRobust(factors, record(2));
	expect(third.factors.Q[0]![0]!).toBeCloseTo(priorSd.step ** 2, 9);
	expect(updateRobust(learnt, record(0.05)).isFar).toBe(false);
});

test('what teaches nothing is left out', () => {
	expect(isUsable(100, 100, false)).toBe(true);
	expect(isUsable(100, 100, true)).toBe(false);
	expect(isUsable(5, 100, false)).toBe(false);
	expect(isUsable(2000, 100, false)).toBe(false);
});

test.each(Object.keys(knifeRates))('%s: twice as much takes longer, a trained cook less long', (task) => {
	const work = (kilograms: number) => ({ task: task as KnifeTask, kilograms });
	expect(handTime(work(1))).toBeLessThan(handTime(work(2)));
	expect(handTime(work(1), paces.trained)).toBeLessThan(handTime(work(1)));
	expect(handTime({ task: 'peel an egg', pieces: 6 })).toBeGreaterThan(150);
});

describe('measuring', () => {
	test('a litre that boils as the model says gives back the power that it was computed with', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 400, max: 3000, noNaN: true }),
				fc.double({ min: 0.5, max: 4, noNaN: true }),
				fc.double({ min: 4, max: 30, noNaN: true }),
				(watts, litres, start) => {
					const boil = boilingPoint(0);
					const pot = { mass: litres, pot: 600, power: watts, efficiency: 1, loss: potLoss(litres, true), ambient: 20 };
					const found = measuredPower(litres, start, heatingTime(pot, start, boil), 0);
					expect(Math.abs(found / watts - 1)).toBeLessThan(0.02);
				}
			),
			{ seed: 41 }
		);
	});
	test('a sample at a pace gives back the pace', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.25, max: 4, noNaN: true }),
				fc.double({ min: 0.1, max: 2, noNaN: true }),
				(pace, kg) => {
					expect(measuredPace('dice onion', kg, handTime({ task: 'dice onion', kilograms: kg }, pace))).toBeCloseTo(
						pace,
						6
					);
				}
			),
			{ seed: 42 }
		);
		expect(measuredPace('dice onion', 1, 1)).toBe(0.2);
	});
	test('a thermometer gives seconds for each degree', () => {
		expect(measuredRise(20, 200, 720)).toBe(4);
	});
});
