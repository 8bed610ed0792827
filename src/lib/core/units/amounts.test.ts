// Amounts: exact conversions, what people type, what is shown, what must be bought.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { gasMark, inUnit, isUnit, units, type UnitName } from './convert';
import { densityOf, ingredients, rawFor, yielding } from '../foods/ingredients';
import { parseAmount } from './parse';
import { fromShown, measures, printAmount, shownIn, toShown } from './amount';
import { printLength, printMass, printSeconds, printTemperature, printVolume } from './print';

test.each([
	[425, 'F', 'C', undefined, 218.33, 0.01],
	[3.5, 'lb', 'g', undefined, 1587.57, 0.01],
	[2, 'us-fl-oz', 'ml', undefined, 59.147, 0.001],
	[1.5, 'us-cup', 'g', 'plain flour', 188, 0.5],
	[45, 'ml', 'g', 'butter', 43.2, 0.01],
	[18, 'F-difference', 'C-difference', undefined, 10, 1e-9],
	[1, 'inch', 'mm', undefined, 25.4, 1e-9],
	[1, 'oz', 'g', undefined, 28.349523125, 1e-9]
] as const)('%f %s in %s', (value, from, to, ingredient, expected, within) => {
	const converted = inUnit(value, from, to, ingredient && densityOf(ingredient));
	expect(converted.ok && Math.abs(converted.value - expected)).toBeLessThanOrEqual(within);
});

const names = Object.keys(units) as UnitName[];
test('there and back is the same; what has no common measure is refused', () => {
	fc.assert(
		fc.property(
			fc.constantFrom(...names),
			fc.constantFrom(...names),
			fc.double({ min: 0.01, max: 1e4, noNaN: true }),
			(a, b, value) => {
				const there = inUnit(value, a, b, 0.8);
				const [da, db] = [units[a].dimension, units[b].dimension];
				const isMeasure = (d: string) => d === 'mass' || d === 'volume';
				expect(there.ok).toBe(da === db || (isMeasure(da) && isMeasure(db)));
				if (!there.ok) return;
				const back = inUnit(there.value, b, a, 0.8);
				expect(back.ok && back.value / value).toBeCloseTo(1, 9);
			}
		),
		{ numRuns: 200, seed: 1 }
	);
});

test('mass and volume meet only through an ingredient that is known', () => {
	expect(inUnit(1, 'us-cup', 'g')).toEqual({ ok: false, why: 'needs-ingredient' });
	expect(inUnit(NaN, 'g', 'kg')).toEqual({ ok: false, why: 'not-a-number' });
	expect(densityOf('moon dust')).toBeUndefined();
	expect(densityOf('Flour, plain')).toBe(0.53);
	expect(densityOf('sugar')).toBe(0.845);
	expect(isUnit('furlong')).toBe(false);
	expect([gasMark(4), gasMark(6), gasMark(11)]).toEqual([180, 200, undefined]);
});

test.each([
	['1 1/2 tsp', 1.5, 'us-tsp'],
	['350F', 350, 'F'],
	['¾ in', 0.75, 'inch'],
	['2 lb 3 oz', 2 + 3 / 16, 'lb'],
	['1½ cups', 1.5, 'us-cup'],
	['30', 30, undefined],
	['30 mm', 30, 'mm'],
	['2,5 kg', 2.5, 'kg'],
	['180 °C', 180, 'C'],
	['54°', 54, 'C'],
	['3/4"', 0.75, 'inch'],
	['1 tablespoon', 1, 'us-tbsp'],
	['about 200 g', 200, 'g'],
	['1.8 kg', 1.8, 'kg'],
	['12 fl oz', 12, 'us-fl-oz']
] as const)('“%s” is read', (text, value, unit) => {
	const amount = parseAmount(text);
	expect(amount?.value).toBeCloseTo(value, 9);
	expect(amount?.unit).toBe(unit);
});

test.each(['', 'some', '3 furlongs', '2 lb 3 cm', '1/0', 'g 3', '--2'])('“%s” is no amount', (text) => {
	expect(parseAmount(text)).toBeUndefined();
});

test('any text is an amount or none, never a throw', () => {
	fc.assert(
		fc.property(fc.string({ maxLength: 12 }), (text) => {
			const amount = parseAmount(text);
			if (amount) expect(Number.isFinite(amount.value)).toBe(true);
			else expect(amount).toBeUndefined();
		}),
		{ numRuns: 500, seed: 2 }
	);
});

test.each([
	[printMass(7.3), '7.5 g'],
	[printMass(1237), '1.24 kg'],
	[printMass(452), '450 g'],
	[printMass(453.6, 'us'), '1 lb'],
	[printMass(85, 'us'), '3 oz'],
	[printVolume(7.4, 'us'), '1½ tsp'],
	[printVolume(120, 'us'), '½ cup'],
	[printVolume(30, 'us'), '2 tbsp'],
	[printVolume(355, 'us'), '1½ cups'],
	[printVolume(733), '735 ml'],
	[printTemperature(54.27, 'metric', 'core'), '54.5 °C'],
	[printTemperature(182, 'metric', 'oven'), '180 °C'],
	[printTemperature(180, 'us', 'oven'), '355 °F'],
	[printLength(31.2), '31 mm'],
	[printLength(32, 'us'), '1¼ in'],
	[printSeconds(73), '75 s'],
	[printSeconds(400), '6 min 30 s'],
	[printSeconds(401, 'up'), '7 min'],
	[printSeconds(5400), '1 h 30 min'],
	[printSeconds(Infinity), 'never'],
	[printSeconds(NaN), '—'],
	[printMass(NaN), '—']
])('shown as %s', (shown, expected) => {
	expect(shown).toBe(expected);
});

test.each(yielding)('%s: what is bought gives what is served', (what) => {
	const [trim, loss] = ingredients[what].yields;
	expect(rawFor(1, what) * (1 - trim / 100) * (1 - loss / 100)).toBeCloseTo(1, 9);
});

test('what is shown in another unit is what is typed back, and stays within its limits', () => {
	fc.assert(
		fc.property(
			fc.constantFrom('mm', 'g', '°C', 'pieces'),
			fc.constantFrom(...measures),
			fc.integer({ min: 1, max: 900 }),
			(unit, measure, value) => {
				const shown = shownIn(unit, measure);
				expect(Math.abs(fromShown(toShown(value, shown), shown) - value)).toBeLessThan(0.15);
				expect(shown.unit).toBe(
					measure === 'metric' || unit === 'pieces' ? unit : { mm: 'in', g: 'oz', '°C': '°F' }[unit]
				);
			}
		)
	);
});

test.each([
	[printAmount(120, 'g', 'butter', 'metric'), '120 g'],
	[printAmount(454, 'g', 'butter', 'us'), '1 lb'],
	// 240 g ÷ 0.96 g/ml (densities) is a little more than a US cup.
	[printAmount(227, 'g', 'butter', 'spoons'), '1 cup'],
	[printAmount(100, 'g', 'unobtainium', 'spoons'), '100 g'],
	[printAmount(15, 'ml', 'vinegar', 'spoons'), '1 tbsp'],
	[printAmount(3, 'pieces', 'eggs', 'us'), '3']
])('%s', (printed, expected) => {
	expect(printed).toBe(expected);
});
