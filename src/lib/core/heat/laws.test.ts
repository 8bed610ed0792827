// Laws of the heat core: two roads to the same temperature, energy that balances, everything between the extremes, and
// outcomes instead of NaN.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { Immersed, type Body, type Solid } from './body';
import { besselJ, besselZero, newtonZero } from './bessel';
import { boilEgg, eggTime, eggTimeIn } from './egg';
import { erfc } from './erfc';
import { behind } from './films';
import { Conduction, vertex } from './finite-volumes';
import { largestFry, oilDip } from './frying';
import { holdPrice, holds, keptAt, keptUntil, platedAt, portion, quality, tooCoolAfter } from './holding';
import { lumpedAt, lumpedTime } from './lumped';
import { Modes, shapes } from './modes';
import { domesticOven, fitOven, riseAndFall, trayFactor } from './oven';
import { fats, type Fat } from '../foods/fats';
import { crowdingArea, crustTime, dryingTime, loadedPan, preheatTime, smokeAt, type Pan } from './pan';
import { panTurns } from './pan-turns';
import { foodProperties, foods } from './properties';
import { HeatThenRest } from './rest';
import { theta } from './series';
import { softeningTime, tender, type Vegetable } from './softness';
import { surfaceFilm, surfaceFlux } from './surface';
import { loadTrays, traysNeeded } from './tray';
import {
	boilingPoint,
	heatingTime,
	largestLoad,
	loadDrop,
	potLoss,
	reductionTime,
	saturation,
	pressureAt
} from './water';

const anyShape = fc.constantFrom(...shapes);
const anyBi = fc.oneof(fc.double({ min: 0.02, max: 60, noNaN: true }), fc.constant(Infinity));
const anyFo = fc.double({ min: 0.003, max: 1.5, noNaN: true });
const size = fc.double({ min: 0.01, max: 0.1, noNaN: true });
const anySolid: fc.Arbitrary<Solid> = fc.oneof(
	size.map((thickness) => ({ shape: 'slab' as const, thickness })),
	size.map((diameter) => ({ shape: 'cylinder' as const, diameter })),
	size.map((diameter) => ({ shape: 'sphere' as const, diameter })),
	fc.tuple(size, size).map(([diameter, length]) => ({ shape: 'finite-cylinder' as const, diameter, length })),
	fc.tuple(size, size, size).map((sides) => ({ shape: 'brick' as const, sides }))
);
const anyBody = anySolid.map((solid): Body => ({ ...solid, k: 0.48, alpha: 1.3e-7 }));
const anyFilm = fc.record({
	h: fc.oneof(fc.double({ min: 5, max: 2000, noNaN: true }), fc.constant(null)),
	tinf: fc.double({ min: 55, max: 200, noNaN: true })
});

describe('special functions', () => {
	test('Bessel functions have the zeros and the values of the tables (Abramowitz & Stegun 9.1, 9.5)', () => {
		expect(besselZero(0, 1)).toBeCloseTo(2.404825557695773, 10);
		for (let n = 1; n <= 12; n++)
			for (const m of [0, 1] as const) expect(besselZero(m, n)).toBeCloseTo(newtonZero(m, n), 10);
		expect(besselZero(0, 20)).toBeCloseTo(62.04846919022717, 8);
		expect(besselJ(0, 5)).toBeCloseTo(-0.177596771314338, 12);
		expect(besselJ(1, 50)).toBeCloseTo(-0.097511828125175, 11);
	});
	test('their three forms meet', () => {
		for (const x of [9, 30]) {
			for (const m of [0, 1] as const) expect(besselJ(m, x - 1e-9)).toBeCloseTo(besselJ(m, x + 1e-9), 8);
		}
	});
	test('erfc has the values of the table', () => {
		expect(erfc(0.5)).toBeCloseTo(0.4795001221869535, 12);
		expect(erfc(1.9999)).toBeCloseTo(erfc(2.0001), 5);
		expect(erfc(3)).toBeCloseTo(2.209049699858544e-5, 12);
	});
});

describe('the series', () => {
	test('every root lies in its bracket and solves its equation', () => {
		fc.assert(
			fc.property(anyShape, anyBi, fc.integer({ min: 1, max: 40 }), (shape, bi, n) => {
				const modes = new Modes(shape, bi);
				expect(modes.at(n).zeta).toBeGreaterThan(n === 1 ? 0 : modes.at(n - 1).zeta);
			}),
			{ numRuns: 100, seed: 1 }
		);
	});

	test('agrees with finite volumes in the centre, at the surface and in the mean', () => {
		fc.assert(
			fc.property(
				anyShape,
				fc.double({ min: 0.1, max: 30, noNaN: true }),
				fc.double({ min: 0.02, max: 0.8, noNaN: true }),
				(shape, bi, fo) => {
					const [L, k, alpha] = [0.02, 0.5, 1.3e-7];
					const seconds = (fo * L * L) / alpha;
					const grid = new Conduction({ shape, L, n: 80, isFull: false, k, alpha }, 0);
					grid.run({ seconds, step: seconds / 400, outer: { h: (bi * k) / L, tinf: 1 } });
					const modes = new Modes(shape, bi);
					expect(Math.abs(grid.T[0]! - (1 - theta(modes, fo, 'centre')))).toBeLessThan(1.5e-3);
					expect(Math.abs(grid.T[80]! - (1 - theta(modes, fo, 'surface')))).toBeLessThan(1.5e-3);
					expect(Math.abs(grid.mean - (1 - theta(modes, fo, 'mean')))).toBeLessThan(1.5e-3);
				}
			),
			{ numRuns: 40, seed: 2 }
		);
	});

	test('is smooth where the form for very early times takes over', () => {
		for (const shape of shapes) {
			for (const bi of [0.5, 20, Infinity]) {
				for (const place of ['surface', 'mean'] as const) {
					const modes = new Modes(shape, bi);
					const [early, late] = [theta(modes, 1.999e-4, place), theta(modes, 2.001e-4, place)];
					expect(Math.abs(early - late)).toBeLessThan(0.012);
				}
			}
		}
	});

	test('stays between start and surroundings, centre behind mean behind surface', () => {
		fc.assert(
			fc.property(anyShape, anyBi, anyFo, (shape, bi, fo) => {
				const modes = new Modes(shape, bi);
				const [centre, mean, surface] = (['centre', 'mean', 'surface'] as const).map((p) => theta(modes, fo, p));
				expect(centre).toBeLessThanOrEqual(1 + 1e-9);
				expect(surface).toBeGreaterThanOrEqual(-1e-9);
				expect(centre).toBeGreaterThanOrEqual(mean! - 1e-9);
				expect(mean).toBeGreaterThanOrEqual(surface! - 1e-9);
			}),
			{ numRuns: 200, seed: 3 }
		);
	});
});

describe('time to a core', () => {
	test('is when the core has it; longer for a thicker piece, a colder fluid, a higher target', () => {
		fc.assert(
			fc.property(anyBody, anyFilm, fc.double({ min: 30, max: 54, noNaN: true }), (body, film, target) => {
				const piece = new Immersed(body, film, 5);
				const t = piece.timeToCore(target);
				expect(piece.temperature(t, 'centre')).toBeCloseTo(target, 3);
				expect(piece.timeToCore(target + 0.5)).toBeGreaterThanOrEqual(t);
				expect(new Immersed(body, { ...film, tinf: film.tinf + 5 }, 5).timeToCore(target)).toBeLessThanOrEqual(
					t + 1e-2
				);
				if (body.shape === 'slab') {
					const thicker = { ...body, thickness: body.thickness * 1.1 };
					expect(new Immersed(thicker, film, 5).timeToCore(target)).toBeGreaterThan(t);
				}
			}),
			{ numRuns: 100, seed: 4 }
		);
	});
	test('never is infinite, already is nothing', () => {
		const body: Body = { shape: 'slab', thickness: 0.03, k: 0.5, alpha: 1.3e-7 };
		expect(new Immersed(body, { h: 50, tinf: 60 }, 5).timeToCore(60)).toBe(Infinity);
		expect(new Immersed(body, { h: 50, tinf: 60 }, 5).timeToCore(80)).toBe(Infinity);
		expect(new Immersed(body, { h: 50, tinf: 60 }, 30).timeToCore(20)).toBe(0);
		expect(new Immersed(body, { h: 0, tinf: 60 }, 5).timeToCore(20)).toBe(Infinity);
	});
});

describe('heat, then rest', () => {
	test('the core begins the rest where the heat left it, and peaks no higher than the mean of a slab allows', () => {
		fc.assert(
			fc.property(anyBody, fc.double({ min: 0.2, max: 1.2, noNaN: true }), (body, share) => {
				const stages = new HeatThenRest(body, { h: 90, tinf: 80 }, { h: 9, tinf: 22 }, 5);
				const heated = share * new Immersed(body, { h: 90, tinf: 80 }, 5).timeToCore(55);
				const at = stages.atPull(heated);
				const core = stages.coreAfter(heated);
				expect(core(0.05)).toBeCloseTo(at.core, 0);
				const peak = stages.peak(heated);
				expect(peak.core).toBeGreaterThanOrEqual(at.core - 1e-6);
				expect(peak.core).toBeLessThanOrEqual(Math.max(at.mean, at.core) + 0.3);
			}),
			{ numRuns: 40, seed: 5 }
		);
	});
	test('agrees with finite volumes', () => {
		for (const shape of shapes) {
			const L = 0.02;
			const solid: Solid = shape === 'slab' ? { shape, thickness: 2 * L } : { shape, diameter: 2 * L };
			const body = { ...solid, k: 0.475, alpha: 1.3e-7 };
			const [heat, rest] = [
				{ h: 90, tinf: 80 },
				{ h: 9, tinf: 22 }
			] as const;
			const grid = new Conduction({ shape, L, n: 60, isFull: false, k: body.k, alpha: body.alpha }, 5);
			grid.run({ seconds: 900, step: 5, outer: heat });
			grid.run({ seconds: 400, step: 5, outer: rest });
			expect(Math.abs(new HeatThenRest(body, heat, rest, 5).coreAfter(900)(400) - grid.T[0]!)).toBeLessThan(0.05);
		}
	});
	test('pulled at the time for a peak, it peaks there', () => {
		const body: Body = { shape: 'cylinder', diameter: 0.06, k: 0.48, alpha: 1.3e-7 };
		const stages = new HeatThenRest(body, { h: 40, tinf: 120 }, { h: 10, tinf: 22 }, 8);
		expect(stages.peak(stages.pullTimeFor(57)).core).toBeCloseTo(57, 2);
		expect(stages.pullTimeFor(130)).toBe(Infinity);
		expect(stages.pullTimeFor(8)).toBe(0);
	});
});

describe('finite volumes', () => {
	const grid = { shape: 'cylinder', L: 0.05, isFull: false, k: 0.475, alpha: 1.3e-7 } as const;
	const error = (n: number, step: number) => {
		const roast = new Conduction({ ...grid, n }, 5);
		roast.run({ seconds: 7200, step, outer: { h: 30, tinf: 160 } });
		const exact = new Immersed(
			{ shape: 'cylinder', diameter: 0.1, k: grid.k, alpha: grid.alpha },
			{ h: 30, tinf: 160 },
			5
		);
		return Math.abs(roast.T[0]! - exact.temperature(7200, 'centre'));
	};
	test('come within 0.05 °C of the exact series in a two-hour roast', () => {
		expect(error(16, 30)).toBeLessThan(0.05);
		expect(error(30, 60)).toBeLessThan(0.05);
	});
	test('errors fall with the square of the cell', () => {
		const [coarse, fine] = [error(10, 2), error(20, 2)];
		expect(coarse / fine).toBeGreaterThan(3);
		expect(coarse / fine).toBeLessThan(5);
	});
	test('what flows in stays in', () => {
		fc.assert(
			fc.property(anyShape, fc.double({ min: 5, max: 500, noNaN: true }), (shape, h) => {
				const piece = new Conduction({ ...grid, shape, n: 30 }, 10);
				let taken = 0;
				const L = grid.L;
				const areaPerVolume = { slab: 1, cylinder: 2, sphere: 3 }[shape] / L;
				let before = piece.T[30]!;
				piece.run({ seconds: 600, step: 1, outer: { h, tinf: 90 } }, () => {
					const now = piece.T[30]!;
					taken += h * (90 - (before + now) / 2);
					before = now;
				});
				const expected = (taken * areaPerVolume * grid.alpha) / grid.k;
				expect((piece.mean - 10) / expected).toBeCloseTo(1, 1);
			}),
			{ numRuns: 20, seed: 6 }
		);
	});
	test('a held surface is held, and turns that are alike leave both faces alike', () => {
		const held = new Conduction({ ...grid, shape: 'slab', n: 20 }, 5);
		held.run({ seconds: 100, step: 5, outer: { h: null, tinf: 60 } });
		expect(held.T[20]).toBe(60);
		const both = new Conduction({ ...grid, shape: 'slab', L: 0.03, n: 40, isFull: true }, 5);
		both.run({ seconds: 300, step: 1, inner: { h: 80, tinf: 60 }, outer: { h: 80, tinf: 60 } });
		for (let i = 0; i <= 40; i++) expect(both.T[i]).toBeCloseTo(both.T[40 - i]!, 9);
	});
	test('a wet surface in a hot oven stalls at the wet bulb', () => {
		const air = { air: 180, wall: 180, h: 8, vapour: 3000, wetness: 1, boil: 100 };
		const piece = new Conduction({ ...grid, shape: 'slab', L: 0.01, n: 20 }, 10);
		piece.run({ seconds: 7200, step: 10, outer: surfaceFilm(air) });
		expect(piece.T[20]!).toBeGreaterThan(56);
		expect(piece.T[20]!).toBeLessThan(64);
		expect(Math.abs(surfaceFlux(air, piece.T[20]!))).toBeLessThan(60);
	});
	test('layers: a layer of the same is none, a thin film of fat is a resistance in series, energy balances', () => {
		const meat = { k: 0.48, alpha: 1.3e-7 };
		const plain = { shape: 'slab', L: 0.02, n: 80, isFull: false, ...meat } as const;
		const outer = { h: 60, tinf: 100 };
		const run = (grid: ConstructorParameters<typeof Conduction>[0], face = outer) => {
			const piece = new Conduction(grid, 5);
			piece.run({ seconds: 900, step: 2, outer: face });
			return piece.T[0]!;
		};
		expect(run({ ...plain, materialAt: () => meat })).toBeCloseTo(run(plain), 9);
		// 2 mm of fat: as the same meat behind a film that is weaker by its resistance, with a little heat of its own.
		const fat = { k: 0.2, alpha: 0.9e-7 };
		const layered = run({ ...plain, L: 0.022, n: 88, materialAt: (x) => (x > 20 / 22 ? fat : meat) });
		const behindFat = run(plain, { h: behind(60, [{ thickness: 0.002, k: fat.k }]), tinf: 100 });
		expect(layered).toBeLessThan(run(plain));
		expect(Math.abs(layered - behindFat)).toBeLessThan(3);
	});
	test('the vertex of a parabola is found exactly', () => {
		const f = (x: number) => 3 - 2 * (x - 1.3) ** 2;
		const { at, value } = vertex([0, 1, 3], [f(0), f(1), f(3)]);
		expect(at).toBeCloseTo(1.3, 9);
		expect(value).toBeCloseTo(3, 9);
	});
});

describe('pans', () => {
	const pan: Pan = { mass: 1.9, metal: 'cast iron', diameter: 0.28, power: 1700, ambient: 20 };
	test('a heavier pan and a weaker burner take longer; too weak is never', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.5, max: 4, noNaN: true }),
				fc.double({ min: 500, max: 3000, noNaN: true }),
				(mass, power) => {
					const t = preheatTime({ ...pan, mass, power }, 200);
					expect(preheatTime({ ...pan, mass: mass + 0.1, power }, 200)).toBeGreaterThan(t);
					expect(preheatTime({ ...pan, mass, power: power + 100 }, 200)).toBeLessThan(t);
				}
			),
			{ numRuns: 50, seed: 7 }
		);
		expect(preheatTime({ ...pan, power: 100 }, 200)).toBe(Infinity);
	});
	test('what a burner just carries settles at 180 °C', () => {
		expect(loadedPan(pan, crowdingArea(pan))).toBeCloseTo(180, 6);
		expect(crowdingArea({ ...pan, power: 50 })).toBe(0);
	});
	test('turning often is faster through and gentler on the far face', () => {
		const common = {
			thickness: 0.03,
			k: 0.475,
			alpha: 1.3e-7,
			t0: 5,
			pan: { h: 450, tinf: 108 },
			up: { h: 20, tinf: 22 },
			rest: { h: 11, tinf: 22 }
		};
		const [often, once] = [Array.from({ length: 12 }, () => 30), [180, 180]].map((intervals) =>
			panTurns({ ...common, intervals })
		);
		expect(often!.peak).toBeGreaterThan(once!.peak);
		expect(often!.trace.length).toBeGreaterThan(20);
	});
	test('crusts come faster on hotter pans, and not at all below 170 °C; patted faces dry in half the time', () => {
		expect(crustTime(220).usual).toBeCloseTo(90, 6);
		expect(crustTime(190).usual).toBeCloseTo(150, 6);
		expect(crustTime(160).usual).toBe(Infinity);
		expect(dryingTime(220, true) * 2).toBeCloseTo(dryingTime(220, false), 9);
		expect(dryingTime(220, false)).toBeGreaterThan(15);
		expect(dryingTime(220, false)).toBeLessThan(40);
		expect(dryingTime(90, true)).toBe(Infinity);
	});
	test.each(Object.entries(fats).map(([name, row]) => [name, row.smokes] as const))(
		'%s: calm, then ventilate, then it smokes, then it burns',
		(fat, [low]) => {
			const name = fat as Fat;
			expect(smokeAt(name, low - 20)).toBe('calm');
			expect(smokeAt(name, low - 5)).toBe('ventilate');
			expect(smokeAt(name, low + 5)).toBe('smokes');
			expect(smokeAt(name, low + 125)).toBe('fire');
			expect(smokeAt(name, low - 5, true)).toBe('smokes');
		}
	);
});

describe('water', () => {
	const pot = { mass: 2, pot: 600, power: 2000, efficiency: 0.85, loss: 1.5, ambient: 20 };
	test('boils lower the higher one is, where its pressure is the air’s', () => {
		fc.assert(
			fc.property(fc.double({ min: 0, max: 4000, noNaN: true }), (altitude) => {
				expect(boilingPoint(altitude + 10)).toBeLessThan(boilingPoint(altitude));
				expect(saturation(boilingPoint(altitude)) / pressureAt(altitude)).toBeCloseTo(1, 9);
			}),
			{ numRuns: 50, seed: 8 }
		);
	});
	test('more water takes longer, more power less; the largest load drops just as far as allowed', () => {
		expect(heatingTime({ ...pot, mass: 3 }, 12, 100)).toBeGreaterThan(heatingTime(pot, 12, 100));
		expect(heatingTime({ ...pot, power: 2500 }, 12, 100)).toBeLessThan(heatingTime(pot, 12, 100));
		expect(heatingTime(pot, 100, 90)).toBe(0);
		const mass = largestLoad(pot, { c: 3900, start: 15 }, 100, 8);
		expect(loadDrop(pot, { mass, c: 3900, start: 15 }, 100).drop).toBeCloseTo(8, 9);
		expect(largestLoad(pot, { c: 3900, start: 95 }, 100, 8)).toBe(Infinity);
	});
	test('a reduction to what is there takes no time, one on a weak burner never ends', () => {
		expect(reductionTime(0.2, 0.3, pot, 100)).toBe(0);
		expect(reductionTime(0.3, 0.2, { ...pot, power: 100 }, 100)).toBe(Infinity);
		expect(potLoss(3, false)).toBeGreaterThan(potLoss(3, true));
	});
	test('a lumped body comes to a temperature when it is said to', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0, max: 10, noNaN: true }),
				fc.double({ min: 25, max: 90, noNaN: true }),
				(loss, target) => {
					const body = { capacity: 5000, power: 1500, loss, ambient: 20 };
					expect(lumpedAt(body, 20, lumpedTime(body, 20, target))).toBeCloseTo(target, 6);
				}
			),
			{ numRuns: 60, seed: 9 }
		);
	});
});

describe('ovens', () => {
	test('two readings give back the oven they came from', () => {
		const at = (seconds: number) => ({ at: seconds, celsius: lumpedAt(domesticOven, 20, seconds) });
		const fitted = fitOven(domesticOven.power, 20, at(200), at(600));
		expect((fitted?.capacity ?? 0) / domesticOven.capacity).toBeCloseTo(1, 4);
		expect((fitted?.loss ?? 0) / domesticOven.loss).toBeCloseTo(1, 3);
		expect(fitOven(2700, 20, at(600), { at: 900, celsius: 30 })).toBeUndefined();
	});
	test('rise and fall serve every pair of set points; more trays never go faster', () => {
		const { rise, fall } = riseAndFall(domesticOven, [150, 180, 210]);
		expect(rise).toBe(5);
		expect(fall).toBeGreaterThanOrEqual(17);
		expect(riseAndFall(domesticOven, [180])).toEqual({ rise: 0, fall: 0 });
		expect([1, 2, 3].map((n) => trayFactor(n, false))).toEqual([1, 1.15, 1.3]);
	});
});

describe('oil', () => {
	const oil = { mass: 2.5, power: 1600, loss: 2, ambient: 20 };
	test('a larger load drops it further; the largest that fits just stays warm enough', () => {
		const dip = (area: number) => oilDip(oil, { area, thickness: 0.01 }, 175).lowest;
		expect(dip(0.2)).toBeLessThan(dip(0.1));
		const sides = [0.01, 0.01, 0.07] as const;
		const most = largestFry(oil, { density: 1070, sides }, 175);
		expect(most).toBeGreaterThan(0.2);
		expect(most).toBeLessThan(0.6);
	});
});

describe('eggs', () => {
	test('bigger, colder and further take longer; thin air too', () => {
		const usual = eggTime(0.058, 5, 100, 66);
		expect(eggTime(0.07, 5, 100, 66)).toBeGreaterThan(usual);
		expect(eggTime(0.058, 20, 100, 66)).toBeLessThan(usual);
		expect(eggTime(0.058, 5, 100, 70)).toBeGreaterThan(usual);
		expect(eggTime(0.058, 5, 92, 66)).toBeGreaterThan(usual);
		expect(eggTime(0.058, 5, 60, 66)).toBe(Infinity);
		expect(eggTime(0.058, 70, 100, 66)).toBe(0);
	});
	test('the solver agrees with the formula within a tenth, and stopping in ice stops', () => {
		const water = { h: 1500, tinf: 100 };
		expect(eggTimeIn(0.058, 5, water, 66) / eggTime(0.058, 5, 100, 66)).toBeCloseTo(1, 0.9);
		const bath = { mass: 0.058, start: 5, water, seconds: 330 };
		const ice = boilEgg({ ...bath, stop: { face: { h: 500, tinf: 2 }, seconds: 600 } });
		const air = boilEgg({ ...bath, stop: { face: { h: 10, tinf: 20 }, seconds: 600 } });
		expect(ice.centrePeak).toBeLessThan(air.centrePeak);
		expect(ice.yolkEdgePeak).toBeLessThan(air.yolkEdgePeak);
		expect(ice.white).toBeGreaterThan(ice.yolkEdge);
		// A centre that has long been at 64 °C has had about the minutes that it was there; a boiled one hardly any.
		const bath64 = { mass: 0.058, start: 64, water: { h: 95, tinf: 64 }, seconds: 1800 };
		expect(boilEgg({ ...bath64, stop: { face: { h: 10, tinf: 20 }, seconds: 60 } }).dose).toBeCloseTo(30, 6);
		expect(ice.dose).toBeLessThan(0.1);
	});
});

describe('vegetables', () => {
	test.each(Object.keys(tender))('%s: larger pieces and softer ones take longer; below 85 °C never', (name) => {
		const vegetable = name as Vegetable;
		const cube = (mm: number): Solid => ({ shape: 'brick', sides: [mm / 1000, mm / 1000, mm / 1000] });
		const water = { h: 1200, tinf: 100 };
		const t = softeningTime(vegetable, cube(20), water, 18);
		expect(t).toBeGreaterThan(60);
		expect(t).toBeLessThan(3600);
		expect(softeningTime(vegetable, cube(30), water, 18)).toBeGreaterThan(t);
		expect(softeningTime(vegetable, cube(20), water, 18, 'soft')).toBeGreaterThan(t);
		expect(softeningTime(vegetable, cube(20), { h: 1200, tinf: 95 }, 18)).toBeGreaterThan(t);
		expect(softeningTime(vegetable, cube(20), { h: 1200, tinf: 80 }, 18)).toBe(Infinity);
	});
	test.each(foods)('properties of %s lie where measured food lies', (food) => {
		const { k, alpha, rho, c } = foodProperties(food);
		expect(k).toBeGreaterThan(0.25);
		expect(k).toBeLessThan(0.63);
		expect(alpha * 1e7).toBeGreaterThan(0.9);
		expect(alpha * 1e7).toBeLessThan(1.7);
		expect(rho).toBeGreaterThan(950);
		expect(c).toBeLessThan(4000);
	});
});

describe('waiting', () => {
	test('food on a plate cools towards the room, never past it', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 30, max: 90, noNaN: true }),
				fc.double({ min: 15, max: 80, noNaN: true }),
				fc.double({ min: 1, max: 7200, noNaN: true }),
				(food, plate, t) => {
					const plated = portion(0.18, { start: food, area: 0.012, cover: 'open' }, plate, 21);
					const now = platedAt(plated, t);
					expect(now).toBeLessThanOrEqual(Math.max(food, plate) + 1e-6);
					expect(now).toBeGreaterThanOrEqual(21 - 6.1);
					const cool = tooCoolAfter(plated, 25);
					if (Number.isFinite(cool) && cool > 1) expect(platedAt(plated, cool)).toBeCloseTo(25, 1);
				}
			),
			{ numRuns: 80, seed: 10 }
		);
	});
	test('a pot kept warm comes to its least temperature when it is said to', () => {
		const t = keptUntil('a lidded pot', 85, 20, 63);
		expect(keptAt('a lidded pot', 85, 20, t)).toBeCloseTo(63, 9);
		expect(keptUntil('one portion', 50, 20, 63)).toBe(0);
	});
	test.each(Object.entries(holds))(
		'%s: nothing is lost within what is free, half a half-life later, all past the longest',
		(_, hold) => {
			expect(quality(hold, hold.free)).toBe(1);
			expect(quality({ ...hold, most: Infinity }, hold.free + hold.halfLife)).toBeCloseTo(0.5, 9);
			expect(quality(hold, hold.most + 1)).toBe(0);
			const price = holdPrice(hold);
			expect(price.rate).toBeGreaterThan(0);
			expect(price.free).toBeLessThanOrEqual(price.most);
		}
	);
});

test('trays: as many as are needed brown, one fewer does not', () => {
	fc.assert(
		fc.property(
			fc.integer({ min: 1, max: 400 }),
			fc.double({ min: 0.01, max: 0.05, noNaN: true }),
			(count, diameter) => {
				const piece = { kind: 'round', diameter } as const;
				const needed = traysNeeded(count, piece, 0.14, 'vegetables');
				expect(loadTrays(count, piece, 0.14, needed).look).toBe('browns');
				if (needed > 1) expect(loadTrays(count, piece, 0.14, needed - 1).coverage).toBeGreaterThan(0.55);
			}
		),
		{ numRuns: 60, seed: 11 }
	);
});
