// Looks at a step that ends by a sign: against the log-normal's own integrals, and what a cook would expect of the words.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { normalQuantile, normalShare } from '../learn/spread';
import { luckOf } from '../probe/simulate';
import { expectedAfter, firstLook, lengthAt, mostLooks, nextLook, type HowFar, type Look } from './looks';

const priors = fc
	.tuple(fc.double({ min: 120, max: 7200, noNaN: true }), fc.double({ min: 0.05, max: 0.45, noNaN: true }))
	.map(([median, sigma]) => ({ mu: Math.log(median), sigma, median }));
const words: readonly HowFar[] = ['nearly', 'half way', 'far'];

test('share and quantile of the normal are each other’s inverse, and right where they are known', () => {
	for (const [x, p] of [
		[0, 0.5],
		[1, 0.8413447460685429],
		[-1.959963984540054, 0.025],
		[-6, 9.865876450376981e-10],
		[-8, 6.220960574271786e-16]
	] as const)
		expect(normalShare(x) / p).toBeCloseTo(1, 7);
	fc.assert(
		fc.property(fc.double({ min: 1e-9, max: 1 - 1e-9, noNaN: true }), (p) => {
			expect(normalShare(normalQuantile(p)) / p).toBeCloseTo(1, 6);
		})
	);
});

describe('with no more said than that it is not done', () => {
	test('what is left is the log-normal cut off: as drawn times that are longer', () => {
		const { normal } = luckOf(5);
		const prior = { mu: Math.log(1800), sigma: 0.2 };
		const drawn = Array.from({ length: 40_000 }, () => Math.exp(prior.mu + prior.sigma * normal()));
		for (const at of [1400, 1800, 2300]) {
			const longer = drawn.filter((t) => t > at).toSorted((a, b) => a - b);
			for (const p of [0.25, 0.5, 0.9]) {
				const found = lengthAt(expectedAfter(prior, [{ at, how: undefined }]), p);
				expect(found / longer[Math.floor(p * longer.length)]!).toBeCloseTo(1, 1.7);
			}
		}
	});
	test('it is never over already, however long it took', () => {
		fc.assert(
			fc.property(priors, fc.double({ min: 0.3, max: 40, noNaN: true }), (prior, times) => {
				const at = times * prior.median;
				const left = expectedAfter(prior, [{ at, how: undefined }]);
				const [early, middle, late] = [0.1, 0.5, 0.9].map((p) => lengthAt(left, p));
				expect(early).toBeGreaterThanOrEqual(at);
				expect(middle).toBeGreaterThanOrEqual(early!);
				expect(late).toBeGreaterThanOrEqual(middle!);
				expect(Number.isFinite(late)).toBe(true);
			})
		);
	});
});

test('far is longer than half way, that is longer than nearly; each is surer than before', () => {
	fc.assert(
		fc.property(priors, fc.double({ min: 0.6, max: 1.3, noNaN: true }), (prior, times) => {
			const at = times * prior.median;
			const of = (how: HowFar) => expectedAfter(prior, [{ at, how }]);
			const [nearly, half, far] = words.map((how) => lengthAt(of(how), 0.5) - at);
			expect(nearly).toBeLessThan(half!);
			expect(half).toBeLessThan(far!);
			for (const how of words) expect(of(how).sigma).toBeCloseTo(prior.sigma / Math.sqrt(5), 6);
			// Half way at its median: it is thought to take almost twice as long as thought before.
			const atMedian = lengthAt(expectedAfter(prior, [{ at: prior.median, how: 'half way' }]), 0.5);
			expect(atMedian / prior.median).toBeGreaterThan(1.6);
			expect(atMedian / prior.median).toBeLessThan(2);
		})
	);
});

test('the first look is where a tenth is done; the next ones come later, not too soon, not too late, and end', () => {
	const sayings = fc.array(fc.constantFrom<HowFar>(...words, undefined), { minLength: 6, maxLength: 6 });
	fc.assert(
		fc.property(priors, sayings, (prior, says) => {
			const looks: Look[] = [];
			let times = 0;
			for (const how of says) {
				const at = nextLook(prior, looks, prior.median);
				if (at === undefined) break;
				times++;
				const before = looks.at(-1)?.at;
				if (before === undefined) expect(at).toBeCloseTo(firstLook(prior), 6);
				else {
					expect(at - before).toBeGreaterThanOrEqual(30 - 1e-6);
					expect(at - before).toBeLessThanOrEqual(Math.max(30, prior.median / 5) + 1e-6);
				}
				looks.push({ at, how });
			}
			expect(times).toBe(mostLooks);
		})
	);
	const share = Math.exp(Math.log(1000) + 0.2 * normalQuantile(0.1));
	expect(firstLook({ mu: Math.log(1000), sigma: 0.2 })).toBeCloseTo(share, 6);
});
