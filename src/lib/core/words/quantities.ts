// Quantities in metric words, and any text with metric quantities in the cook's own units.
import type { Measure } from '../units/amount';
import { printLength, printMass, printTemperature, printVolume } from '../units/print';

export const plainCelsius = (T: number) => printTemperature(T);
export const coreCelsius = (T: number) => printTemperature(T, 'metric', 'core');
export const millimetres = (metres: number) => `${Math.round(metres * 1000)} mm`;
export const grams = (kilograms: number) =>
	kilograms < 1 ? `${Math.round(kilograms * 1000)} g` : `${kilograms.toFixed(1)} kg`;
export const percent = (sigma: number) => `± ${Math.round(100 * sigma)} %`;

/** A number, or two as a range: `60`, `56.5`, `20 to 25`, `40 × 30`, `−18`. */
const amount = String.raw`(−|-)?(\d+(?:[.,]\d+)?)(?:( to | and |–|-| × )(−|-)?(\d+(?:[.,]\d+)?))?`;
const quantity = new RegExp(String.raw`(?<![\w.,])${amount}[ \u00a0]?(°C|K|kg|g|ml|l|mm|cm)(?![\w°²³/])`, 'g');

const ounces = 28.349523125;

/** How a value in a unit is printed in ounces, inches and °F, with and without its unit. */
const foreign: Readonly<Record<string, (value: number) => string>> = {
	'°C': (v) => printTemperature(v, 'us', v >= 100 ? 'oven' : 'plain'),
	K: (v) => `${Number((v * 1.8).toFixed(v < 3 ? 1 : 0))} °F`,
	g: (v) => (v < ounces / 16 ? `${v} g` : printMass(v, 'us')),
	kg: (v) => printMass(v * 1000, 'us'),
	ml: (v) => printVolume(v, 'us'),
	l: (v) => printQuarts(v),
	mm: (v) => printLength(v, 'us'),
	cm: (v) => printLength(v * 10, 'us')
};

function printQuarts(litres: number): string {
	const quarts = litres * 1.05668820943;
	return quarts < 0.5 ? printVolume(litres * 1000, 'us') : `${Number(quarts.toFixed(1))} qt`;
}

/**
 * A text with its metric quantities (°C, K, kg, g, ml, l, mm, cm) as a cook reads them who measures so. Everything that is
 * shown goes through here last, so that a change of units changes all of it at once; what a technique's author wrote too.
 */
export function inUnits(text: string, measure: Measure): string {
	if (measure === 'metric') return text;
	return text.replace(
		quantity,
		(
			whole: string,
			minus: string | undefined,
			first: string,
			between: string | undefined,
			minus2: string | undefined,
			second: string | undefined,
			unit: string
		) => {
			const print = foreign[unit];
			if (!print) return whole;
			const value = (sign: string | undefined, digits: string) =>
				(sign === undefined ? 1 : -1) * Number(digits.replace(',', '.'));
			const one = print(value(minus, first));
			if (second === undefined || between === undefined) return one;
			const two = print(value(minus2, second));
			const [, unitOfOne = ''] = / (\S+)$/.exec(one) ?? [];
			return two.endsWith(` ${unitOfOne}`)
				? `${one.slice(0, -unitOfOne.length - 1)}${between}${two}`
				: `${one}${between}${two}`;
		}
	);
}
