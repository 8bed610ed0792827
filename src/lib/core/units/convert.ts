// Conversions of what cooks measure in. Plain factors come from the package; spoons and cups of other countries are rows here.
import { convert } from 'convert';

type Dimension = 'temperature' | 'difference' | 'mass' | 'volume' | 'length' | 'energy' | 'power';

interface Unit {
	readonly dimension: Dimension;
	/** How many of the dimension's base unit (g, ml, mm, J, W, K) it is; temperatures have an offset and none. */
	readonly size: number;
}

const mass = (size: number): Unit => ({ dimension: 'mass', size });
const volume = (size: number): Unit => ({ dimension: 'volume', size });
const length = (size: number): Unit => ({ dimension: 'length', size });

/** By name: the exact definitions; US measures unless another country is named. */
export const units = {
	C: { dimension: 'temperature', size: 1 },
	F: { dimension: 'temperature', size: 1 },
	K: { dimension: 'temperature', size: 1 },
	'C-difference': { dimension: 'difference', size: 1 },
	'K-difference': { dimension: 'difference', size: 1 },
	'F-difference': { dimension: 'difference', size: 1 / 1.8 },
	mg: mass(1e-3),
	g: mass(1),
	kg: mass(convert(1, 'kg').to('g')),
	oz: mass(convert(1, 'oz').to('g')),
	lb: mass(convert(1, 'lb').to('g')),
	ml: volume(1),
	cl: volume(10),
	dl: volume(100),
	l: volume(convert(1, 'l').to('ml')),
	'us-tsp': volume(4.92892159375),
	'us-tbsp': volume(14.78676478125),
	'us-fl-oz': volume(29.5735295625),
	'us-cup': volume(236.5882365),
	'us-label-cup': volume(240),
	'us-pint': volume(473.176473),
	'us-quart': volume(946.352946),
	'metric-tsp': volume(5),
	'metric-tbsp': volume(15),
	'metric-cup': volume(250),
	'au-tbsp': volume(20),
	'imperial-fl-oz': volume(28.4130625),
	'imperial-pint': volume(568.26125),
	mm: length(1),
	cm: length(convert(1, 'cm').to('mm')),
	m: length(convert(1, 'm').to('mm')),
	inch: length(convert(1, 'in').to('mm')),
	ft: length(convert(1, 'ft').to('mm')),
	J: { dimension: 'energy', size: 1 },
	cal: { dimension: 'energy', size: 4.184 },
	BTU: { dimension: 'energy', size: 1055.05585 },
	W: { dimension: 'power', size: 1 },
	'BTU/h': { dimension: 'power', size: 1055.05585 / 3600 }
} as const satisfies Readonly<Record<string, Unit>>;

export type UnitName = keyof typeof units;
export const isUnit = (name: string): name is UnitName => Object.hasOwn(units, name);

export type Converted =
	| { readonly ok: true; readonly value: number }
	| { readonly ok: false; readonly why: 'other-dimension' | 'needs-ingredient' | 'not-a-number' };

/**
 * A value in another unit. Mass and volume meet through a density.
 *
 * @param density g/ml of what is measured; absent: unknown, and never taken for water
 */
export function inUnit(value: number, from: UnitName, to: UnitName, density?: number): Converted {
	if (!Number.isFinite(value)) return { ok: false, why: 'not-a-number' };
	const [a, b]: readonly Unit[] = [units[from], units[to]];
	if (!a || !b) return { ok: false, why: 'other-dimension' };
	if (a.dimension === 'temperature' && b.dimension === 'temperature') {
		return { ok: true, value: fromCelsius(toCelsius(value, from), to) };
	}
	if (a.dimension === b.dimension) return { ok: true, value: (value * a.size) / b.size };
	const meets = (x: Dimension, y: Dimension) => a.dimension === x && b.dimension === y;
	if (!meets('mass', 'volume') && !meets('volume', 'mass')) return { ok: false, why: 'other-dimension' };
	if (density === undefined) return { ok: false, why: 'needs-ingredient' };
	const base = value * a.size;
	return { ok: true, value: (a.dimension === 'mass' ? base / density : base * density) / b.size };
}

function toCelsius(value: number, from: UnitName): number {
	return from === 'F' ? (value - 32) / 1.8 : from === 'K' ? value - 273.15 : value;
}

function fromCelsius(celsius: number, to: UnitName): number {
	return to === 'F' ? celsius * 1.8 + 32 : to === 'K' ? celsius + 273.15 : celsius;
}

/** Oven °C of a gas mark, as makers print them; `undefined` for a mark that no oven has. */
export function gasMark(mark: number): number | undefined {
	return gasMarks.get(mark);
}

const gasMarks: ReadonlyMap<number, number> = new Map([
	[0.25, 110],
	[0.5, 130],
	[1, 140],
	[2, 150],
	[3, 165],
	[4, 180],
	[5, 190],
	[6, 200],
	[7, 220],
	[8, 230],
	[9, 245]
]);

/** What words for an oven mean, °C. */
export const ovenWords = { slow: 150, moderate: 180, hot: 210, 'very hot': 235 } as const;
