// Moist faces against the check values of two other codes, and against laws of their own.
import { describe, expect, test } from 'vitest';
import { crusts } from './crusts';
import { fluxAt, MoistBody, placeAt, type Around, type Flux, type Surroundings } from './moist';
import { aboveTheFat, atRest, birdInOven, inDish, onItsTray, onPan } from './surroundings';

const place = placeAt(0);
const beef = { k: 0.484, alpha: 1.29e-7 };
const poultry = { k: 0.51, alpha: 1.33e-7 };
const flux = (around: Around, crust: keyof typeof crusts, evaporated: number, front: number): Flux =>
	fluxAt(around, crusts[crust], evaporated, front, place, { heat: 0, vapour: 0, food: 0, surface: NaN, slope: 0 });

describe('a face', () => {
	test('bare meat in an oven, at rest; skin', () => {
		const roasting = flux(onItsTray(160, { hasFan: true }, 0.11), 'meat', 1, 70);
		expect(roasting.heat / 1954).toBeCloseTo(1, 2.7);
		expect(roasting.surface).toBeCloseTo(74.69, 1);
		expect((roasting.vapour * 1000) / 0.8323).toBeCloseTo(1, 2.7);
		expect(Math.abs(roasting.food - 11)).toBeLessThan(2);
		const resting = flux(atRest('bare', 21), 'meat', 1, 60);
		expect(resting.heat / -428.7).toBeCloseTo(1, 2.7);
		expect((resting.vapour * 1000) / 0.3726).toBeCloseTo(1, 2.7);
		expect(Math.abs(resting.food + 1307)).toBeLessThan(3);
		const skin = flux(birdInOven(180, { hasFan: true }), 'skin', 0.8, 80);
		expect(skin.heat / 2289.7).toBeCloseTo(1, 2.7);
		expect(skin.surface).toBeCloseTo(92.82, 1);
		expect((skin.vapour * 1000) / 0.4452).toBeCloseTo(1, 2.7);
		expect(Math.abs(skin.food - 1261)).toBeLessThan(3);
	});
});

/** The highest middle within half an hour of rest, and when. */
function restOf(body: MoistBody, around: Surroundings, step: number) {
	let [peak, after] = [body.middle, 0];
	body.run(1800, step, around, (t) => {
		if (body.middle > peak) [peak, after] = [body.middle, t];
	});
	return { peak, after: after / 60, end: body.middle };
}

describe('whole pieces', () => {
	const roast = () => new MoistBody({ ...beef, size: 0.055, p: 1.0558, outer: crusts.meat }, 5, place);
	const rest = { outer: atRest('bare', 21) };

	test('a roast of 110 mm at 150 °C', () => {
		const body = roast();
		body.run(7340, 10, { outer: onItsTray(150, { hasFan: true }, 0.11) });
		expect(Math.abs(body.middle - 47.97)).toBeLessThan(0.1);
		expect(Math.abs(body.front - 73.57)).toBeLessThan(0.3);
		expect(Math.abs(body.gone.outer - 3.246)).toBeLessThan(0.01);
		expect(Math.abs(restOf(body, rest, 10).end - 55.39)).toBeLessThan(0.1);
	});

	test('the same at 110 and at 220 °C', () => {
		const low = roast();
		low.run(11_680, 10, { outer: onItsTray(110, { hasFan: true }, 0.11) });
		expect(Math.abs(low.middle - 52.67)).toBeLessThan(0.1);
		expect(Math.abs(low.front - 63.98)).toBeLessThan(0.3);
		const { peak, after } = restOf(low, rest, 10);
		expect(Math.abs(peak - 55.54)).toBeLessThan(0.1);
		expect(Math.abs(after - 28.7)).toBeLessThan(0.7);
		const hot = roast();
		hot.run(4800, 5, { outer: onItsTray(220, { hasFan: true }, 0.11) });
		expect(Math.abs(hot.middle - 40.66)).toBeLessThan(0.1);
		expect(Math.abs(hot.front - 87.97)).toBeLessThan(0.3);
		expect(Math.abs(restOf(hot, rest, 5).end - 55.1)).toBeLessThan(0.1);
	});

	test('a bird', () => {
		const bird = new MoistBody({ ...poultry, size: 0.022, p: 0, outer: crusts.skin }, 5, place);
		bird.run(3820, 10, { outer: birdInOven(180, { hasFan: true }) });
		expect(Math.abs(bird.middle - 70.81)).toBeLessThan(0.1);
		expect(Math.abs(bird.gone.outer - 1.461)).toBeLessThan(0.01);
		const { peak, after } = restOf(bird, { outer: atRest('bare', 21) }, 5);
		expect(Math.abs(peak - 74.06)).toBeLessThan(0.1);
		expect(Math.abs(after - 7.8)).toBeLessThan(0.4);
	});

	test('a steak of 30 mm, turned sixteen times', () => {
		const crust = crusts['seared meat'];
		const steak = new MoistBody({ ...beef, size: 0.03, p: 0, outer: crust, inner: crust }, 5, place);
		for (let i = 0; i < 16; i++) {
			const [inner, outer] = i % 2 === 0 ? [onPan.fried, aboveTheFat] : [aboveTheFat, onPan.fried];
			steak.run(45, 1.5, { inner, outer });
		}
		expect(Math.abs(steak.middle - 42.76)).toBeLessThan(0.15);
		expect(Math.abs(steak.evaporated - 1.02)).toBeLessThan(0.05);
		const { peak, after } = restOf(steak, { inner: atRest('bare', 21), outer: atRest('bare', 21) }, 1.5);
		// Steps of 1.5 s on 30 cells are 0.16 K off in a pan's peak.
		expect(Math.abs(peak - 51.65)).toBeLessThan(0.2);
		expect(Math.abs(after - 5.1)).toBeLessThan(0.3);
	});

	test('a gratin of 45 mm', () => {
		const stuff = { k: 1.22, alpha: 3.275e-7, size: 0.045, p: 0 };
		const gratin = new MoistBody({ ...stuff, outer: crusts.baked, inner: crusts.liquid }, 18, place);
		gratin.run(3000, 10, inDish(170, { hasFan: true }));
		expect(Math.abs(gratin.middle - 78.12)).toBeLessThan(0.15);
		expect(Math.abs(gratin.front - 83.13)).toBeLessThan(0.3);
		expect(Math.abs(gratin.gone.outer - 1.261)).toBeLessThan(0.01);
	});
});
