// Live fire: what it burns, how it falls, how it is measured by a counted hand.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { fires, fuelFor, fuels, handCelsius, handRange, handSeconds } from './fire';

test('the longer a hand is borne, the cooler it is; from searing to barely baking', () => {
	fc.assert(
		fc.property(fc.double({ min: 0, max: 30, noNaN: true }), fc.double({ min: 0, max: 30, noNaN: true }), (a, b) => {
			const [short, long] = [Math.min(a, b), Math.max(a, b)];
			expect(handCelsius(short)).toBeGreaterThanOrEqual(handCelsius(long));
			expect(handCelsius(short)).toBeLessThanOrEqual(340);
			expect(handCelsius(long)).toBeGreaterThanOrEqual(100);
		})
	);
	expect(handCelsius(2)).toBe(290);
	expect(handCelsius(7)).toBeCloseTo(170, 9);
});

test('counting back gives the same second', () => {
	for (let s = handRange.least; s <= handRange.most; s++) expect(handSeconds(handCelsius(s))).toBe(s);
	expect(handSeconds(900)).toBe(1);
	expect(handSeconds(0)).toBe(15);
});

test('fuel goes with places and with how much hotter than the air it is; a cold fire burns none', () => {
	fc.assert(
		fc.property(
			fc.constantFrom(...fuels),
			fc.integer({ min: 1, max: 6 }),
			fc.integer({ min: 60, max: 450 }),
			(fuel, places, celsius) => {
				const one = fuelFor(fuel, 1, celsius);
				const many = fuelFor(fuel, places, celsius);
				expect(many.light).toBeCloseTo(places * one.light, 9);
				expect(many.hourly).toBeCloseTo(places * one.hourly, 9);
				expect(fuelFor(fuel, places, celsius + 20).hourly).toBeGreaterThan(many.hourly);
			}
		)
	);
	for (const fuel of fuels) {
		expect(fuelFor(fuel, 2, 10)).toEqual({ light: 0, hourly: 0 });
		expect(fuelFor(fuel, 1, fires[fuel].usual).light).toBeCloseTo(fires[fuel].toLight, 9);
	}
});
