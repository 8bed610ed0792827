// Pieces through heat and rest: laws that hold for every food, shape, size and heat; safety's say; what is remembered.
import { describe, expect, test } from 'vitest';
import { gatedLethality } from '../safety/lethality';
import { advisedFor } from '../safety/advised';
import { drawer } from '../testing/odd-problem';
import { cook, type Piece } from './pieces';
import { remembering } from './remembering';

const steak: Piece = {
	food: 'lean meat',
	size: 0.03,
	shape: 'slab',
	face: 'meat',
	skin: undefined,
	bone: 1,
	start: 5,
	isTempered: false,
	goal: 55.5,
	where: { kind: 'oven', setting: 160, hasFan: true },
	turns: 45,
	turnedAt: 0.5,
	seared: undefined,
	finish: undefined,
	rest: 'bare',
	room: 20,
	altitude: 0
};
const roast: Piece = { ...steak, shape: 'cylinder', size: 0.09, goal: 57 };
const bird: Piece = { ...steak, food: 'poultry breast', face: 'skin', shape: 'bird', size: 1.5, goal: 74 };

/** A piece of anything, anywhere. */
function drawn(seed: number): Piece {
	const d = drawer(seed + 90);
	const shape = d.pick(['slab', 'slab', 'cylinder', 'sphere'] as const);
	const food = d.pick([
		'lean meat',
		'pork',
		'poultry breast',
		'poultry thigh',
		'duck breast',
		'mince',
		'salmon',
		'white fish'
	] as const);
	const fire = shape === 'slab' ? d.pick(['oven', 'pan', 'grill', 'wood oven'] as const) : 'oven';
	return {
		...steak,
		food,
		shape,
		size: shape === 'slab' ? d.int(15, 50) / 1000 : d.int(30, 120) / 1000,
		goal: d.int(48, 74),
		start: d.int(1, 12),
		isTempered: d.oneIn(4),
		where:
			fire === 'oven'
				? { kind: 'oven', setting: d.int(12, 24) * 10, hasFan: d.oneIn(2) }
				: fire === 'pan'
					? { kind: 'pan', baste: d.oneIn(3) ? 0.4 : 0 }
					: fire === 'grill'
						? { kind: 'grill', setting: 280, isShut: d.oneIn(3) }
						: { kind: 'wood oven', setting: 380 },
		turns: d.pick([0, 45, 60, 120]),
		seared: d.oneIn(3) ? { seconds: d.int(30, 90), how: d.oneIn(2) ? 'faces' : 'skin' } : undefined,
		rest: d.pick(['bare', 'tented', 'wrapped', 'served'])
	};
}
const many = Array.from({ length: 100 }, (_, seed) => drawn(seed));

describe('any piece', () => {
	test('comes off no hotter than it peaks, peaks where it is wanted, rests no longer than pieces do', () => {
		for (const piece of many) {
			const c = cook(piece);
			const said = JSON.stringify(piece);
			// A thick piece on hot metal alone may never come to its heat.
			if (!Number.isFinite(c.seconds)) {
				expect(piece.where.kind === 'oven' || piece.size < 0.035, said).toBe(false);
				continue;
			}
			expect(c.pull, said).toBeLessThanOrEqual(c.peak + 1e-9);
			expect(c.goal, said).toBeGreaterThanOrEqual(piece.goal);
			expect(c.after, said).toBeGreaterThanOrEqual(60);
			expect(c.after, said).toBeLessThanOrEqual(1800);
			expect(c.loss, said).toBeGreaterThanOrEqual(0);
			expect(c.loss, said).toBeLessThan(60);
			const isCool = c.seconds === 0;
			const isWithout =
				c.care.some((x) => x.kind === 'too-fierce') ||
				(piece.rest === 'served' && advisedFor(piece.food)?.instead !== undefined);
			if (!isCool && !isWithout) expect(Math.abs(c.peak - c.goal), said).toBeLessThan(0.6);
			expect(c.peak, said).toBeGreaterThanOrEqual(c.goal - 0.6);
		}
	});

	test('poultry, pork and mince come off below the advised heat only where heat and rest make every layer safe', () => {
		let below = 0;
		for (const piece of many) {
			const advised = advisedFor(piece.food);
			if (!advised?.instead) continue;
			const c = cook(piece);
			if (c.peak >= advised.celsius) continue;
			below++;
			const { history, resting } = c.told();
			const logs = history.map((layer, i) =>
				gatedLethality([...layer, ...(resting[i] ?? [])], advised.instead!.organism)
			);
			expect(Math.min(...logs), JSON.stringify(piece)).toBeGreaterThanOrEqual(advised.instead.logs);
			expect(c.care.some((x) => x.kind === 'check-after-rest')).toBe(true);
			expect(c.care.some((x) => x.kind === 'below-advised')).toBe(false);
		}
		expect(below).toBeGreaterThan(5);
	});

	test('what no lethality stands in for is cautioned, with whose advice it is', () => {
		for (const piece of many) {
			const advised = advisedFor(piece.food);
			if (!advised || advised.instead) continue;
			const c = cook(piece);
			const care = c.care.find((x) => x.kind === 'below-advised');
			if (c.peak < advised.celsius - 0.5)
				expect(care).toMatchObject({ advised: advised.celsius, whose: advised.whose });
			if (c.peak > advised.celsius) expect(care).toBeUndefined();
		}
	});
});

describe('as cooks know it', () => {
	const climb = (p: Piece) => cook(p).peak - cook(p).pull;
	const minutes = (p: Piece) => cook(p).seconds / 60;
	const oven = (setting: number, hasFan = true) => ({ kind: 'oven', setting, hasFan }) as const;

	test('the hotter the oven, the sooner it comes off, the further it climbs, the more it loses', () => {
		const settings = [110, 130, 150, 180, 210];
		const cooked = settings.map((setting) => cook({ ...roast, where: oven(setting) }));
		for (const [a, b] of pairs(cooked)) {
			expect(b.seconds).toBeLessThan(a.seconds);
			expect(b.pull).toBeLessThan(a.pull);
		}
		expect(cooked.at(-1)?.loss).toBeGreaterThan(cooked[0]?.loss ?? Infinity);
		expect(climb({ ...roast, where: oven(110) })).toBeLessThan(4.5);
		expect(climb({ ...roast, where: oven(150) })).toBeGreaterThan(3.5);
	});

	test('thicker, colder, further, on the bone, without a fan, higher up: longer', () => {
		const base = minutes(roast);
		const longer: Partial<Piece>[] = [
			{ size: 0.11 },
			{ start: 1 },
			{ goal: 62 },
			{ bone: 1.1 },
			{ where: oven(160, false) }
		];
		for (const change of longer) expect(minutes({ ...roast, ...change }), JSON.stringify(change)).toBeGreaterThan(base);
		expect(minutes({ ...roast, isTempered: true })).toBeLessThan(base);
		expect(minutes({ ...steak, seared: { seconds: 75, how: 'faces' } })).toBeLessThan(minutes(steak));
	});

	test('a tent and a wrap make it climb further, so it comes off sooner', () => {
		const bare = cook(roast);
		for (const rest of ['tented', 'wrapped'] as const) {
			expect(cook({ ...roast, rest }).pull).toBeLessThan(bare.pull);
			expect(cook({ ...roast, rest }).seconds).toBeLessThan(bare.seconds);
		}
	});

	test('turned often is quicker than once, and basting quicker still', () => {
		const pan = (turns: number, baste = 0): Piece => ({ ...steak, where: { kind: 'pan', baste }, turns });
		expect(minutes(pan(45))).toBeLessThan(minutes(pan(0)));
		expect(minutes(pan(45, 0.4))).toBeLessThan(minutes(pan(45)));
		expect(climb(pan(0))).toBeLessThan(climb(pan(45)));
	});

	test('a sear afterwards is counted: it comes out of the low oven sooner', () => {
		const low: Piece = { ...steak, size: 0.04, where: oven(110), rest: 'served' };
		const finished: Piece = { ...low, finish: { seconds: 65, wait: 300, faces: 2 } };
		expect(cook(finished).pull).toBeLessThan(cook(low).pull);
	});

	test('a bird goes by its weight, not in step with it; below 66 °C it is not let', () => {
		const [light, heavy] = [minutes({ ...bird, size: 1 }), minutes({ ...bird, size: 2 })];
		expect(heavy / light).toBeGreaterThan(1.2);
		expect(heavy / light).toBeLessThan(1.9);
		const pink = cook({ ...bird, goal: 60 });
		expect(pink.goal).toBeGreaterThanOrEqual(66);
		expect(pink.raised).toBe(60);
	});

	test('too thick for the pan alone, too warm to begin with, too fierce for the size: said', () => {
		const kinds = (p: Piece) => cook(p).care.map((c) => c.kind);
		const pan = { kind: 'pan', baste: 0 } as const;
		expect(kinds({ ...steak, where: pan, size: 0.045 })).toContain('pan-too-thick');
		expect(kinds({ ...steak, where: pan, size: 0.02 })).not.toContain('pan-too-thick');
		expect(kinds({ ...steak, where: pan, size: 0.03, turns: 0 })).toContain('pan-too-thick');
		const warm = cook({ ...bird, start: 20 }).care.find((c) => c.kind === 'start-too-warm');
		expect(warm).toMatchObject({ isRefused: true, limit: 15 });
		expect(cook({ ...bird, start: 10 }).care.find((c) => c.kind === 'start-too-warm')).toMatchObject({
			isRefused: false
		});
		expect(kinds({ ...roast, size: 0.05, goal: 50, where: { kind: 'wood oven', setting: 550 } })).toContain(
			'too-fierce'
		);
	});

	test('served as it comes off, mince has all of its heat by then', () => {
		const ball: Piece = {
			...steak,
			food: 'mince',
			shape: 'sphere',
			size: 0.035,
			goal: 72,
			rest: 'served',
			where: { kind: 'medium', h: 1000, celsius: 92 }
		};
		expect(cook(ball).pull).toBeGreaterThanOrEqual(71.9);
	});
});

function pairs<T>(list: readonly T[]): readonly (readonly [T, T])[] {
	return list.slice(1).flatMap((b, i) => {
		const a = list[i];
		return a === undefined ? [] : [[a, b] as const];
	});
}

describe('what is remembered', () => {
	test('is asked once for the same question, and again for another; the oldest is forgotten', () => {
		let asked = 0;
		const double = remembering(({ n }: { n: number }) => {
			asked++;
			return 2 * n;
		});
		expect([double({ n: 2 }), double({ n: 2 }), double({ n: 3 })]).toEqual([4, 4, 6]);
		expect(asked).toBe(2);
		for (let n = 100; n < 900; n++) double({ n });
		expect(double({ n: 2 })).toBe(4);
		expect(asked).toBe(803);
	});
});
