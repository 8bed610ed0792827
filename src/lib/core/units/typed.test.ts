// Number fields: what is typed in any unit is the value meant, and what is refused says why.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { wordTyped } from '../words/typed';
import { measures, shownIn, toShown } from './amount';
import { readTyped, type NumberField } from './typed';

const fields: readonly NumberField[] = [
	{ unit: 'mm', least: 5, most: 120 },
	{ unit: 'cm', least: 8, most: 100 },
	{ unit: 'g', least: 10, most: 5000 },
	{ unit: 'kg', least: 0.1, most: 20 },
	{ unit: 'l', least: 0.25, most: 20 },
	{ unit: '°C', least: -20, most: 300 },
	{ unit: 'K', least: -40, most: 40 },
	{ unit: 's', least: 0, most: 7200 },
	{ unit: 'min', least: 0.5, most: 600 },
	{ unit: '%', least: 20, most: 500 },
	{ unit: 'pieces', least: 1, most: 60, isWhole: true },
	{ unit: '', least: 1, most: 60, isWhole: true }
];
const steak = { unit: 'mm', least: 5, most: 120 };
const oven = { unit: '°C', least: 30, most: 300 };
const roast = { unit: 'g', least: 100, most: 8000 };
const people = { unit: '', least: 1, most: 60, isWhole: true };

describe('what is typed', () => {
	test.each([
		['40', steak, 'metric', 40],
		['4 cm', steak, 'metric', 40],
		['¾ in', steak, 'metric', 19.05],
		['1 1/2"', steak, 'metric', 38.1],
		['1.5', steak, 'us', 38.1],
		['38 mm', steak, 'us', 38],
		['350F', oven, 'metric', 176.6667],
		['350', oven, 'us', 176.6667],
		['180 C', oven, 'us', 180],
		['1 1/2 lb', roast, 'metric', 680.3886],
		['1 lb 8 oz', roast, 'metric', 680.3886],
		['1,2 kg', roast, 'us', 1200],
		['1/2', { unit: 'kg', least: 0, most: 5 }, 'metric', 0.5],
		['9 F', { unit: 'K', least: -40, most: 40 }, 'metric', 5],
		['90 s', { unit: 'min', least: 0.5, most: 120 }, 'metric', 1.5],
		['120 %', { unit: '%', least: 20, most: 500 }, 'metric', 120],
		['6', people, 'us', 6]
	] as const)('“%s” in %j, %s, is %f', (text, field, measure, value) => {
		const read = readTyped(text, field, measure);
		expect(read.ok && read.value).toBeCloseTo(value, 3);
	});

	test.each([
		['', steak, 'nothing'],
		['thick', steak, 'not-a-number'],
		['3 lb', steak, 'other-unit'],
		['2 oz', people, 'other-unit'],
		['2.5', people, 'not-whole'],
		['0', people, 'too-little'],
		['61', people, 'too-much'],
		['500 F', { unit: '°C', least: 30, most: 250 }, 'too-much'],
		['1e9', people, 'not-a-number'],
		['4 5', steak, 'not-a-number'],
		['Infinity', steak, 'not-a-number']
	] as const)('“%s” in %j is refused: %s', (text, field, why) => {
		expect(readTyped(text, field, 'metric')).toEqual({ ok: false, why });
	});

	test('the number that is shown can be typed back in every unit, at the limits as well', () => {
		const value = fc.double({ min: 0, max: 1, noNaN: true });
		fc.assert(
			fc.property(fc.constantFrom(...fields), fc.constantFrom(...measures), value, (field, measure, share) => {
				const { unit, least, most, isWhole } = field;
				const exact = least + share * (most - least);
				const at = isWhole ? Math.round(exact) : exact;
				const shown = shownIn(unit, measure);
				for (const v of [at, least, most]) {
					const number = toShown(v, shown);
					for (const text of [
						String(number),
						unit === '' || unit === 'pieces' ? String(number) : `${number} ${shown.unit}`
					]) {
						const read = readTyped(text, field, measure);
						expect(read.ok, `${text} in ${unit}`).toBe(true);
						if (read.ok) expect(Math.abs(read.value - v)).toBeLessThanOrEqual(0.0051 / shown.times);
					}
				}
			}),
			{ numRuns: 300, seed: 1 }
		);
	});

	test('anything at all is read within the limits, or refused in words that name a way out', () => {
		const text = fc.oneof(fc.string(), fc.stringMatching(/^[0-9½ ./,a-zA-Z°%"-]{1,12}$/));
		fc.assert(
			fc.property(text, fc.constantFrom(...fields), fc.constantFrom(...measures), (typed, field, measure) => {
				const read = readTyped(typed, field, measure);
				if (read.ok) {
					expect(read.value).toBeGreaterThanOrEqual(field.least);
					expect(read.value).toBeLessThanOrEqual(field.most);
				} else {
					const say = wordTyped(typed, read.why, field, measure);
					expect(say).toMatch(/\.$/);
					expect(say).not.toMatch(/undefined|NaN|Infinity/.exec(typed) ? /^$/ : /undefined|NaN|Infinity/);
				}
			}),
			{ numRuns: 2000, seed: 2 }
		);
	});

	test('refusals are in the cook’s units, and say why the limit is there', () => {
		expect(wordTyped('0.1', 'too-little', steak, 'us')).toBe('“0.1” is too little: at least 0.2 in.');
		expect(wordTyped('61', 'too-much', people, 'metric', 'More are two meals.')).toBe(
			'“61” is too much: at most 60. More are two meals.'
		);
	});
});
