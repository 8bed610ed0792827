// What people type for an amount or a duration: "1 1/2 tsp", "350F", "¾ in", "2 lb 3 oz", "1 h 10 min".
import type { UnitName } from './convert';
import { units } from './convert';
import { hour, minute } from './time';

export interface Amount {
	readonly value: number;
	/** Absent: a bare number. */
	readonly unit: UnitName | undefined;
}

/** How units are written, by the name they have here; longer spellings first where one begins another. */
const spellings: readonly (readonly [RegExp, UnitName])[] = [
	[/^(°\s*c|c|celsius|degrees? c(elsius)?|°)$/i, 'C'],
	[/^(°\s*f|f|fahrenheit|degrees? f(ahrenheit)?)$/i, 'F'],
	[/^(K|kelvin)$/, 'K-difference'],
	[/^(mg|milligrams?)$/i, 'mg'],
	[/^(g|gr|grams?|grammes?)$/i, 'g'],
	[/^(kg|kilos?|kilograms?)$/i, 'kg'],
	[/^(oz|ounces?)$/i, 'oz'],
	[/^(lbs?|pounds?)$/i, 'lb'],
	[/^(ml|millilit(er|re)s?)$/i, 'ml'],
	[/^(cl|centilit(er|re)s?)$/i, 'cl'],
	[/^(dl|decilit(er|re)s?)$/i, 'dl'],
	[/^(l|lit(er|re)s?)$/i, 'l'],
	[/^(tsp|tsps|teaspoons?)\.?$/i, 'us-tsp'],
	[/^(tbsp|tbsps|tbs|tablespoons?)\.?$/i, 'us-tbsp'],
	[/^(fl\.?\s*oz\.?|fluid ounces?)$/i, 'us-fl-oz'],
	[/^(cups?)$/i, 'us-cup'],
	[/^(pints?|pt)$/i, 'us-pint'],
	[/^(quarts?|qt)$/i, 'us-quart'],
	[/^(mm|millimet(er|re)s?)$/i, 'mm'],
	[/^(cm|centimet(er|re)s?)$/i, 'cm'],
	[/^(m|met(er|re)s?)$/i, 'm'],
	[/^(in|inch|inches|["″])$/i, 'inch'],
	[/^(ft|feet|foot)$/i, 'ft'],
	[/^(w|watts?)$/i, 'W'],
	[/^(btu\/h)$/i, 'BTU/h']
];

const vulgar: Readonly<Record<string, number>> = {
	'¼': 1 / 4,
	'½': 1 / 2,
	'¾': 3 / 4,
	'⅓': 1 / 3,
	'⅔': 2 / 3,
	'⅛': 1 / 8,
	'⅜': 3 / 8,
	'⅝': 5 / 8,
	'⅞': 7 / 8,
	'⅕': 1 / 5,
	'⅙': 1 / 6
};
const signs = Object.keys(vulgar).join('');
const number = String.raw`-?\d+(?:[.,]\d+)?`;
const piece = new RegExp(
	String.raw`^\s*(?:(${number})\s+(\d+)\s*[/⁄]\s*(\d+)|(\d+)\s*[/⁄]\s*(\d+)|(${number})?\s*([${signs}])|(${number}))\s*([^\d\s${signs}][^\d${signs}]*?)?\s*(?=$|[\d${signs}])`
);

/** Numbers as typed, each with the word after it, where there is one: `undefined` where there is anything else. */
function numbersIn(text: string): readonly { readonly value: number; readonly word: string | undefined }[] | undefined {
	const found: { value: number; word: string | undefined }[] = [];
	let rest = text.trim();
	while (rest !== '') {
		const match = piece.exec(rest);
		if (!match) return undefined;
		const value = valueOf(match);
		if (!Number.isFinite(value)) return undefined;
		found.push({ value, word: match[9]?.trim() });
		rest = rest.slice(match[0].length).trim();
	}
	return found.length === 0 ? undefined : found;
}

/**
 * An amount as typed, or `undefined` where it is none. Several pieces of one dimension add up, in the first one's unit:
 * "2 lb 3 oz". A comma is a decimal point.
 */
export function parseAmount(text: string): Amount | undefined {
	let total: Amount | undefined;
	for (const { value, word } of numbersIn(text.trim().replace(/^about\s+/i, '')) ?? []) {
		const unit = word === undefined ? undefined : spellings.find(([spelling]) => spelling.test(word))?.[1];
		if (word !== undefined && unit === undefined) return undefined;
		const amount = { value, unit };
		total = total ? added(total, amount) : amount;
		if (!total) return undefined;
	}
	return total;
}

const lengths: readonly (readonly [RegExp, number])[] = [
	[/^(s|secs?|seconds?)\.?$/i, 1],
	[/^(m|mins?|minutes?|['′])\.?$/i, minute],
	[/^(h|hrs?|hours?)\.?$/i, hour]
];

/**
 * A duration as people type it in seconds, or `undefined`: `90 s`, `1 1/2 min`, `1 h 10`, `2½ hours`; `1:30` is the unit and
 * sixtieths of it, at least minutes.
 *
 * @param unit seconds that a bare number counts; after a longer one it counts the next smaller: `1 h 10`
 */
export function parseDuration(text: string, unit: number): number | undefined {
	const clock = /^\s*(\d{1,3}):(\d{2})\s*(?:h|min|m)?\s*$/i.exec(text);
	if (clock) {
		const [whole, sixtieths] = [Number(clock[1]), Number(clock[2])];
		return sixtieths > 59 ? undefined : (whole + sixtieths / 60) * Math.max(unit, minute);
	}
	let [total, next]: [number, number | undefined] = [0, unit];
	const found = numbersIn(text);
	if (!found) return undefined;
	for (const { value, word } of found) {
		const size: number | undefined = word === undefined ? next : lengths.find(([spelling]) => spelling.test(word))?.[1];
		if (size === undefined || value < 0) return undefined;
		total += value * size;
		next = size > 1 ? size / 60 : undefined;
	}
	return total;
}

/** The number that a piece is. */
function valueOf([, whole, over, under, over2, under2, before, sign, plain]: RegExpExecArray): number {
	const read = (digits: string | undefined) => Number((digits ?? '0').replace(',', '.'));
	if (over !== undefined) return read(whole) + read(over) / read(under);
	if (over2 !== undefined) return read(over2) / read(under2);
	return sign !== undefined ? read(before) + (vulgar[sign] ?? 0) : read(plain);
}

function added(total: Amount, more: Amount): Amount | undefined {
	if (total.unit === undefined || more.unit === undefined) return undefined;
	const [a, b] = [units[total.unit], units[more.unit]];
	if (a.dimension !== b.dimension || a.dimension === 'temperature') return undefined;
	return { value: total.value + (more.value * b.size) / a.size, unit: total.unit };
}
