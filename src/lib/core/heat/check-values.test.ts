// Check values worked out twice, by separate codes, and by a second method where there is one. Sizes mm, α 10⁻⁷ m²/s.
import { describe, expect, test } from 'vitest';
import { Immersed, type Body, type Film, type Solid } from './body';
import { boilEgg, eggPlaces, eggRadius, eggTime, eggBody } from './egg';
import { piecesArea, oilDip } from './frying';
import { platedAt } from './holding';
import { lumpedTime } from './lumped';
import { Modes } from './modes';
import { domesticOven, ovenCooling, ovenHeating, slopes } from './oven';
import { panTurns } from './pan-turns';
import { foodProperties, propertiesOf } from './properties';
import { HeatThenRest } from './rest';
import { theta } from './series';
import { dose } from './softness';
import { evaporationRate, radiation, shortcutFilm, surfaceFlux } from './surface';
import { boilingPoint, heatingTime, loadDrop, reductionTime, steepedAt } from './water';

const slab = (mm: number): Solid => ({ shape: 'slab', thickness: mm / 1000 });
const cylinder = (mm: number): Solid => ({ shape: 'cylinder', diameter: mm / 1000 });
const sphere = (mm: number): Solid => ({ shape: 'sphere', diameter: mm / 1000 });
const body = (solid: Solid, k: number, alpha: number): Body => ({ ...solid, k, alpha: alpha * 1e-7 });
const film = (tinf: number, h: number | null): Film => ({ h, tinf });

test.each([
	['slab', [0.98824, 3.54217, 6.50966], 1.15367],
	['cylinder', [1.45695, 4.19022, 7.22328], 1.28068],
	['sphere', [1.8366, 4.81584, 7.91705], 1.38496]
] as const)('roots and first weight of a %s at Bi 1.5 (Carslaw & Jaeger)', (shape, roots, weight) => {
	const modes = new Modes(shape, 1.5);
	roots.forEach((root, i) => {
		expect(modes.at(i + 1).zeta).toBeCloseTo(root, 4);
	});
	expect(modes.at(1).weight).toBeCloseTo(weight, 4);
});

const finite: Solid = { shape: 'finite-cylinder', diameter: 0.06, length: 0.09 };
const brick: Solid = { shape: 'brick', sides: [0.02, 0.03, 0.045] };

test.each([
	['slab core', body(slab(40), 0.5, 1.3), film(72, 70), 8, 3600, 'centre', 56.614],
	['slab surface', body(slab(40), 0.5, 1.3), film(72, 70), 8, 3600, 'surface', 66.052],
	['slab mean', body(slab(40), 0.5, 1.3), film(72, 70), 8, 3600, 'mean', 59.912],
	['slab early', body(slab(24), 0.5, 1.4), film(95, 1000), 12, 90, 'centre', 14.185],
	['slab with a held surface', body(slab(20), 0.5, 1.4), film(85, null), 10, 240, 'centre', 43.339],
	['cylinder core', body(cylinder(60), 0.475, 1.3), film(75, 90), 7, 2700, 'centre', 54.372],
	['cylinder mean', body(cylinder(60), 0.475, 1.3), film(75, 90), 7, 2700, 'mean', 63.333],
	['sphere core', body(sphere(56), 0.545, 1.4), film(100, 1200), 20, 1500, 'centre', 87.636],
	['sphere mean', body(sphere(56), 0.545, 1.4), film(100, 1200), 20, 1500, 'mean', 96.056],
	['sphere with a held surface', body(sphere(48), 0.54, 1.4), film(100, null), 6, 420, 'centre', 34.677],
	['finite cylinder', body(finite, 0.475, 1.3), film(70, 100), 4, 2400, 'centre', 49.251],
	['brick', body(brick, 0.545, 1.4), film(100, 1200), 18, 420, 'centre', 82.23]
] as const)('%s', (_, piece, around, t0, seconds, place, expected) => {
	expect(Math.abs(new Immersed(piece, around, t0).temperature(seconds, place) - expected)).toBeLessThan(0.02);
});

test.each([
	['slab', body(slab(32), 0.5, 1.35), film(57, 95), 3, 55.5, 5004.8],
	['cylinder', body(cylinder(70), 0.475, 1.3), film(80, 90), 6, 55, 3301.2],
	['sphere', body(sphere(60), 0.545, 1.4), film(100, 1200), 15, 93, 2141.3],
	['brick', body({ shape: 'brick', sides: [0.02, 0.02, 0.06] }, 0.579, 1.45), film(99, 1200), 18, 92, 447.1],
	[
		'finite cylinder',
		body({ shape: 'finite-cylinder', diameter: 0.075, length: 0.11 }, 0.475, 1.3),
		film(75, 95),
		5,
		58,
		4124.9
	]
] as const)('time to a core: %s', (_, piece, around, t0, target, expected) => {
	expect(new Immersed(piece, around, t0).timeToCore(target) / expected).toBeCloseTo(1, 3);
});

test.each([
	['slab', body(slab(32), 0.475, 1.3), 8, film(80, 110), 1200, film(22, 11), 45.797, 69.093, 51.902, 464, 5],
	['cylinder', body(cylinder(80), 0.475, 1.3), 6, film(78, 90), 3300, film(22, 9), 44.503, 72.666, 55.405, 1732, 15],
	['sphere in ice', body(sphere(44), 0.54, 1.4), 6, film(100, 1500), 300, film(3, 500), 24.708, 98.524, 49.485, 227, 5]
] as const)('heat, then rest: %s', (_, piece, t0, heat, heated, rest, pull, surface, peak, after, within) => {
	const stages = new HeatThenRest(piece, heat, rest, t0);
	const at = stages.atPull(heated);
	expect(Math.abs(at.core - pull)).toBeLessThan(0.03);
	expect(Math.abs(at.surface - surface)).toBeLessThan(0.03);
	const found = stages.peak(heated);
	expect(Math.abs(found.core - peak)).toBeLessThan(0.03);
	expect(Math.abs(found.after - after)).toBeLessThanOrEqual(within);
});

test('heat, then rest: a finite cylinder in product form', () => {
	const piece = body({ shape: 'finite-cylinder', diameter: 0.08, length: 0.1 }, 0.475, 1.3);
	const stages = new HeatThenRest(piece, film(80, 95), film(22, 10), 5);
	expect(Math.abs(stages.atPull(2700).core - 40.719)).toBeLessThan(0.03);
	expect(Math.abs(stages.coreAfter(2700)(600) - 49.847)).toBeLessThan(0.03);
	expect(Math.abs(stages.peak(2700).core - 56.778)).toBeLessThan(0.03);
	expect(Math.abs(stages.peak(2700).after - 1853)).toBeLessThan(15);
});

test('the pull time for a peak of 55 °C', () => {
	const stages = new HeatThenRest(body(slab(36), 0.475, 1.3), film(82, 105), film(22, 10), 6);
	const pull = stages.pullTimeFor(55);
	expect(Math.abs(pull - 1628.9)).toBeLessThan(3);
	expect(Math.abs(stages.atPull(pull).core - 49.106)).toBeLessThan(0.05);
});

describe('in a pan', () => {
	const pan = { pan: film(108, 450), up: film(22, 20), rest: film(22, 11), k: 0.475, alpha: 1.3e-7 };
	test('one turn', () => {
		const r = panTurns({ ...pan, thickness: 0.025, t0: 8, intervals: [180, 180] });
		expect(Math.abs(r.middle - 27.377)).toBeLessThan(0.05);
		expect(Math.abs(r.peak - 40.962)).toBeLessThan(0.05);
		expect(Math.abs(r.peakAfter - 421)).toBeLessThan(10);
		expect(Math.abs(r.faceA - 43.4)).toBeLessThan(0.1);
		expect(Math.abs(r.faceB - 96.4)).toBeLessThan(0.1);
	});
	test.each([
		[Array.from({ length: 20 }, () => 30), 36.91, 51.39],
		[[300, 300], 30.08, 42.73]
	])('%j: turning often gains 9 K', (intervals, middle, peak) => {
		const r = panTurns({ ...pan, thickness: 0.03, t0: 5, intervals });
		expect(Math.abs(r.middle - middle)).toBeLessThan(0.1);
		expect(Math.abs(r.peak - peak)).toBeLessThan(0.1);
	});
});

test('Choi–Okos at 40 °C', () => {
	const p = propertiesOf({ water: 0.8, protein: 0.18, fat: 0.01, carbohydrate: 0, fibre: 0, ash: 0.01 }, 40);
	expect(p.rho / 1042).toBeCloseTo(1, 3);
	expect(p.c / 3746.8).toBeCloseTo(1, 3);
	expect(p.k / 0.5246).toBeCloseTo(1, 3);
	expect((p.alpha * 1e7) / 1.3436).toBeCloseTo(1, 3);
});

test.each([
	['lean meat', 1045, 3580, 0.484, 1.29],
	['mince', 1017, 3368, 0.405, 1.18],
	['white fish', 1038, 3773, 0.544, 1.39],
	['salmon', 1033, 3443, 0.435, 1.22],
	['egg yolk', 1027, 3138, 0.364, 1.13],
	['potato', 1067, 3665, 0.556, 1.42],
	['root', 1031, 3887, 0.59, 1.47],
	['gratin', 1057, 3514, 0.488, 1.31]
] as const)('properties of %s at 50 °C', (food, rho, c, k, alpha) => {
	const p = foodProperties(food);
	expect(p.rho / rho).toBeCloseTo(1, 2);
	expect(p.c / c).toBeCloseTo(1, 2);
	expect(p.k / k).toBeCloseTo(1, 2);
	expect((p.alpha * 1e7) / alpha).toBeCloseTo(1, 1);
});

test('evaporation and radiation of a surface', () => {
	expect((evaporationRate(8, 80, 1200, 100) * 1000 * 60 * 0.01) / 2.03).toBeCloseTo(1, 2);
	expect(radiation(75, 190) / 13.9).toBeCloseTo(1, 2);
	const air = { air: 190, wall: 190, h: 20, vapour: 3000, wetness: 0.05, boil: 100 };
	expect(surfaceFlux(air, 60) / 4015).toBeCloseTo(1, 2);
	const short = shortcutFilm(air);
	expect((short.h ?? 0) / 54.6).toBeCloseTo(1, 2);
	expect(short.tinf / 127.6).toBeCloseTo(1, 2);
});

test('a pan until hot, and a reduction', () => {
	const pan = { capacity: 1.9 * 460, power: 2000 * 0.85, loss: 1.5, ambient: 20 };
	expect(lumpedTime(pan, 20, 210) / 106.9).toBeCloseTo(1, 2);
	const pot = { power: 2000, efficiency: 0.4, loss: 1.4, ambient: 20 };
	expect(reductionTime(0.35, 0.12, pot, 100) / 60 / 12.58).toBeCloseTo(1, 2);
});

test('boiling: without loss, with loss, never', () => {
	const first = { mass: 1.2, pot: 0, power: 1800, efficiency: 0.74, loss: 0, ambient: 20 };
	expect(heatingTime(first, 14, 100) / 324.3).toBeCloseTo(1, 3);
	const second = { mass: 3, pot: 550, power: 2100, efficiency: 0.85, loss: 2.2, ambient: 21 };
	expect(heatingTime(second, 12, 99) / 667.9).toBeCloseTo(1, 3);
	expect(lumpedTime({ capacity: 4000, power: 200, loss: 5, ambient: 20 }, 20, 90)).toBe(Infinity);
});

test.each([
	[0, 99.99],
	[600, 98.01],
	[1600, 94.69],
	[3300, 89.03]
])('water boils at %i m at %f °C (Antoine, standard atmosphere)', (altitude, expected) => {
	expect(Math.abs(boilingPoint(altitude) - expected)).toBeLessThan(0.1);
});

test('a load drops the boil, and water off the heat cools', () => {
	const pot = { mass: 4, pot: 700, power: 2500, efficiency: 0.85, loss: 2, ambient: 20 };
	const { drop, recovery } = loadDrop(pot, { mass: 0.6, c: 3945, start: 18 }, 100);
	expect(drop).toBeCloseTo(9.8, 1);
	expect(recovery).toBeCloseTo(98.8, 1);
	expect(steepedAt({ mass: 2, pot: 600, loss: 1.2, ambient: 20 }, 100, 25 * 60) / 85.46).toBeCloseTo(1, 3);
});

test('an oven: up, down, and the planner’s rise and fall', () => {
	expect(ovenHeating(domesticOven, 20, 190) / 640.1).toBeCloseTo(1, 3);
	expect(ovenCooling(domesticOven, 190, 150) / 689.8).toBeCloseTo(1, 3);
	const { rise, fall } = slopes(domesticOven, 150, 210);
	expect(rise).toBeCloseTo(4.21, 2);
	expect(fall).toBeCloseTo(16.26, 2);
});

test('oil: how low, when, back within 2 K', () => {
	const area = piecesArea(0.25, 1070, [0.01, 0.01, 0.07]);
	expect(area).toBeCloseTo(0.1001, 3);
	const oil = { mass: 2.5, power: 1600, loss: 2, ambient: 20 };
	const dip = oilDip(oil, { area, thickness: 0.01 }, 175);
	expect(Math.abs(dip.lowest - 163.5)).toBeLessThan(0.5);
	expect(Math.abs(dip.at - 67)).toBeLessThanOrEqual(3);
	expect(Math.abs(dip.back - 164)).toBeLessThanOrEqual(5);
});

test('eggs: the formula, and a sphere at the yolk’s edge', () => {
	expect(Math.abs(eggTime(0.06, 8, 100, 66) - 298.9)).toBeLessThan(0.5);
	expect(Math.abs(eggTime(0.053, 20, 94.5, 70) - 319.7)).toBeLessThan(0.5);
	const { k, alpha } = eggBody;
	const modes = new Modes('sphere', (1500 * eggRadius(0.058)) / k);
	const edge = 100 - 95 * theta(modes, (alpha * 330) / eggRadius(0.058) ** 2, eggPlaces.yolkEdge);
	expect(Math.abs(edge - 67.62)).toBeLessThan(0.03);
	// And by finite volumes.
	const still = { face: film(20, 10), seconds: 60 };
	const boiled = boilEgg({ mass: 0.058, start: 5, water: film(100, 1500), seconds: 330, stop: still });
	expect(Math.abs(boiled.yolkEdge - 67.62)).toBeLessThan(0.15);
});

test('the dose of a cube of potato', () => {
	const cube = body({ shape: 'brick', sides: [0.022, 0.022, 0.022] }, 0.556, 1.42);
	const piece = new Immersed(cube, film(100, 1200), 16);
	expect(Math.abs(dose((t) => piece.temperature(t, 'centre'), 600) - 3.15)).toBeLessThan(0.02);
});

test('food on its plate', () => {
	const plated = {
		food: 576,
		plate: 595,
		contact: 0.8,
		foodLoss: 0.25,
		plateLoss: 0.7,
		foodStart: 62,
		plateStart: 45,
		room: 21
	};
	expect(Math.abs(platedAt(plated, 240) - 53.67)).toBeLessThan(0.02);
});
