// A probe's inference: the curve against the exact series, what streams foretell, doubts; on streams that play.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { Immersed, type Body } from '../heat/body';
import { HeatThenRest } from '../heat/rest';
import { leftAt, nothingKnown, pullFor, readingsAt, type Setting } from './curve';
import { estimate, tell, type Asked } from './estimate';
import { media, thinned, type Medium, type Reading } from './posterior';
import { luckOf, play, playing, truthOf } from './simulate';

const k = 0.475;
const alpha = 1.3e-7;
const millimetres = (least: number, most: number) => fc.integer({ min: least, max: most }).map((mm) => mm / 1000);
const bodies: fc.Arbitrary<Body> = fc.oneof(
	millimetres(15, 60).map((thickness): Body => ({ shape: 'slab', thickness, k, alpha })),
	millimetres(30, 100).map((diameter): Body => ({ shape: 'cylinder', diameter, k, alpha })),
	millimetres(30, 90).map((diameter): Body => ({ shape: 'sphere', diameter, k, alpha })),
	fc.tuple(millimetres(30, 70), millimetres(50, 150)).map(([diameter, length]): Body => ({
		shape: 'finite-cylinder',
		diameter,
		length,
		k,
		alpha
	})),
	fc
		.tuple(millimetres(25, 50), millimetres(30, 70), millimetres(40, 120))
		.map(([a, b, c]): Body => ({ shape: 'brick', sides: [a, b, c], k, alpha }))
);
const settings: fc.Arbitrary<Setting> = fc
	.tuple(bodies, fc.integer({ min: 12, max: 150 }), fc.integer({ min: 90, max: 220 }), fc.integer({ min: 2, max: 20 }))
	.map(([body, h, tinf, t0]) => ({ body, film: { h, tinf }, t0 }));

describe('the curve', () => {
	test('a quick sensor in the middle reads what the exact series says, within a tenth of a degree', () => {
		fc.assert(
			fc.property(settings, (setting) => {
				const exact = new Immersed(setting.body, setting.film, setting.t0);
				const times = [60, 300, 900, 1800, 3600];
				const read = readingsAt(setting, { ...nothingKnown, lnTau: -6 }, times);
				times.forEach((t, i) => {
					expect(Math.abs(read[i]! - exact.temperature(t, 'centre'))).toBeLessThan(
						0.1 + 0.002 * (setting.film.tinf - setting.t0)
					);
				});
			}),
			{ numRuns: 60, seed: 2 }
		);
	});
	test('a slow sensor is behind while it warms, and an offset is added', () => {
		fc.assert(
			fc.property(settings, fc.integer({ min: 2, max: 60 }), (setting, lag) => {
				const at = [200, 600];
				const quick = readingsAt(setting, { ...nothingKnown, lnTau: -6, spot: 0.3 }, at);
				const slow = readingsAt(setting, { ...nothingKnown, lnTau: Math.log(lag), spot: 0.3 }, at);
				const off = readingsAt(setting, { ...nothingKnown, lnTau: Math.log(lag), spot: 0.3, offset: 0.7 }, at);
				at.forEach((_, i) => {
					expect(slow[i]).toBeLessThanOrEqual(quick[i]! + 1e-6);
					expect(off[i]! - slow[i]!).toBeCloseTo(0.7, 9);
				});
			}),
			{ numRuns: 40, seed: 3 }
		);
	});
	test('what is read is linear in start, surroundings and offset: no difference of any size is off the slope', () => {
		fc.assert(
			fc.property(
				settings,
				fc.integer({ min: -6, max: 6 }),
				fc.integer({ min: -20, max: 20 }),
				(setting, start, around) => {
					const at = [0, 45, 300, 1500];
					const u = { ...nothingKnown, spot: 0.2, lnF: 0.1 };
					const left = leftAt(setting, u, at);
					const plain = readingsAt(setting, u, at);
					const moved = readingsAt(setting, { ...u, start, around, offset: 0.4 }, at);
					at.forEach((_, i) => {
						expect(left[i]).toBeGreaterThanOrEqual(-1e-9);
						expect(left[i]).toBeLessThanOrEqual(1 + 1e-9);
						expect(moved[i]! - plain[i]!).toBeCloseTo(start * left[i]! + around * (1 - left[i]!) + 0.4, 6);
					});
				}
			),
			{ numRuns: 60, seed: 8 }
		);
	});
	test('nearer the face it is hotter, at any time', () => {
		fc.assert(
			fc.property(settings, fc.integer({ min: 30, max: 3000 }), (setting, t) => {
				const reads = [0, 0.2, 0.4, 0.6, 0.8, 1].map((spot) => readingsAt(setting, { ...nothingKnown, spot }, [t])[0]!);
				expect(reads).toEqual(reads.toSorted((a, b) => a - b));
			}),
			{ numRuns: 40, seed: 4 }
		);
	});
	test('pull and peak are those of the exact two stages', () => {
		fc.assert(
			fc.property(settings, fc.integer({ min: 45, max: 65 }), fc.integer({ min: 5, max: 25 }), (setting, peak, h) => {
				const rest = { h, tinf: 21 };
				const found = pullFor(setting, nothingKnown, rest, peak);
				const exact = new HeatThenRest(setting.body, setting.film, rest, setting.t0);
				const at = exact.pullTimeFor(peak);
				expect(Math.abs(found.at - at)).toBeLessThan(3 + 0.004 * at);
				expect(Math.abs(found.core - exact.atPull(at).core)).toBeLessThan(0.4);
			}),
			{ numRuns: 25, seed: 5 }
		);
	});
	test('what heats through a thin film is pulled late, not never', () => {
		fc.assert(
			fc.property(fc.integer({ min: 2, max: 8 }), fc.integer({ min: 8, max: 25 }), (h, thickness) => {
				const body: Body = { shape: 'slab', thickness: thickness / 1000, k, alpha };
				const setting: Setting = { body, film: { h, tinf: 62 }, t0: 5 };
				const rest = { h: 8, tinf: 21 };
				const { at } = pullFor(setting, nothingKnown, rest, 59);
				const exact = new HeatThenRest(body, setting.film, rest, setting.t0).pullTimeFor(59);
				expect(Math.abs(at - exact)).toBeLessThan(3 + 0.004 * exact);
			}),
			{ numRuns: 20, seed: 6 }
		);
	});
	test('a peak above what is around it is never reached; one below the start at once', () => {
		const setting: Setting = { body: { shape: 'slab', thickness: 0.03, k, alpha }, film: { h: 90, tinf: 56 }, t0: 5 };
		expect(pullFor(setting, nothingKnown, { h: 10, tinf: 21 }, 57).at).toBe(Infinity);
		expect(pullFor(setting, nothingKnown, { h: 10, tinf: 21 }, 4).at).toBe(0);
	});
});

describe('thinning', () => {
	test('no stretch is shorter than ten seconds, all lie within the stream, a wild reading does not count', () => {
		const stream: Reading[] = Array.from({ length: 600 }, (_, i) => [i, i === 300 ? 90 : 10 + i / 100]);
		const thin = thinned(stream);
		thin.slice(1).forEach((r, i) => {
			expect(r.time - thin[i]!.time).toBeGreaterThan(9);
		});
		for (const r of thin) expect(Math.abs(r.celsius - (10 + r.time / 100))).toBeLessThan(0.2);
		expect(thinned([])).toEqual([]);
	});
});

/** What is cooked in each medium, drawn by a seed. */
function cooked(medium: Medium, seed: number): Omit<Asked, 'readings' | 'now'> {
	const { uniform } = luckOf(seed);
	const slab = (least: number, more: number): Body => ({
		shape: 'slab',
		thickness: least + more * uniform(),
		k,
		alpha
	});
	const rest = { h: 9 + 8 * uniform(), tinf: 21 };
	switch (medium) {
		case 'oven': {
			const body: Body = { shape: 'cylinder', diameter: 0.05 + 0.05 * uniform(), k, alpha };
			return {
				body,
				film: { h: 15 + 20 * uniform(), tinf: 120 + 70 * uniform() },
				t0: 6,
				medium,
				rest,
				peak: 52 + 8 * uniform()
			};
		}
		case 'bath':
			return { body: slab(0.02, 0.03), film: { h: 90, tinf: 62 }, t0: 6, medium, rest, peak: 55 };
		case 'pan':
			return { body: slab(0.02, 0.018), film: { h: 80, tinf: 130 }, t0: 8, medium, rest, peak: 54 };
	}
}

/** A stream up to a share of its time, and what is true of it. */
function streamed(medium: Medium, seed: number, share: number, wrong?: Parameters<typeof play>[0]['wrong']) {
	const food = cooked(medium, seed);
	const { at } = truthOf(
		food,
		play({ setting: food, medium, seed, every: 8, until: 1, wrong }).unknowns,
		food.rest,
		food.peak
	);
	const until = share * at;
	const { readings } = play({ setting: food, medium, seed, every: 8, until, wrong });
	return { asked: { ...food, readings, now: until + 5 }, left: at - (readings.at(-1)?.[0] ?? 0) };
}

describe('streams that play', () => {
	const seeds = Array.from({ length: 8 }, (_, i) => 40 + i);
	const fine = media.flatMap((medium) => seeds.map((seed) => streamed(medium, seed, 0.5)));
	const told = fine.map(({ asked, left }) => ({ ...estimate(asked), truth: left }));

	test('half way the time left is right within a tenth in the median', () => {
		const errors = told.map((t) => Math.abs(t.left.p50 - t.truth) / t.truth).toSorted((a, b) => a - b);
		expect(errors[errors.length >> 1]).toBeLessThan(0.13);
	});
	test('four in five truths or so lie within the band, and bands are in order', () => {
		const within = told.filter((t) => t.left.p10 <= t.truth && t.truth <= t.left.p90).length;
		expect(within / told.length).toBeGreaterThan(0.6);
		for (const { left, pull } of told) {
			expect(left.p10).toBeLessThanOrEqual(left.p50);
			expect(left.p50).toBeLessThanOrEqual(left.p90);
			expect(pull.p10).toBeLessThanOrEqual(pull.p90);
		}
	});
	test('hardly any doubt is raised where nothing is wrong', () => {
		expect(told.filter((t) => t.doubt !== undefined).length).toBeLessThanOrEqual(2);
	});
	test('the band narrows as more is read', () => {
		const width = (share: number) => {
			const { left } = estimate(streamed('oven', 41, share).asked);
			return left.p90 - left.p10;
		};
		expect(width(0.8)).toBeLessThan(width(0.2));
	});
	test.each(['out', 'stuck', 'lost', 'placement'] as const)('%s is found in most streams', (wrong) => {
		const found = seeds.slice(0, 6).map((seed, i) => estimate(streamed(media[i % 3]!, seed, 0.7, wrong).asked).doubt);
		expect(found.filter((d) => d === wrong).length, found.join()).toBeGreaterThanOrEqual(4);
	});
	test('what is told has a curve from the start to the pull, its band around it', () => {
		const { curve, left } = tell(fine[0]!.asked);
		expect(curve[0]!.at).toBe(0);
		expect(curve.at(-1)!.at).toBeGreaterThan(left.p50);
		for (const c of curve) expect(c.low <= c.middle && c.middle <= c.high).toBe(true);
	});
	test('a probe that plays reads the same for the same seed', () => {
		const food = cooked('oven', 3);
		const [a, b] = [playing(food, 'oven', 9), playing(food, 'oven', 9)];
		for (const t of [0, 100, 900]) expect(a(t)).toBe(b(t));
	});
});
