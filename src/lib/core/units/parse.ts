// What people type for an amount: "1 1/2 tsp", "350F", "¾ in", "2 lb 3 oz".
import type { UnitName } from './convert';
import { units } from './convert';

export interface Amount {
	readonly value: number;
	/** Absent: a bare number. */
	readonly unit: UnitName | undefined;
}

/** How units are written, by the name they have here; longer spellings first where one begins another. */
const spellings: readonly (readonly [RegExp, UnitName])[] = [
	[/^(°\s*c|c|celsius|degrees? c(elsius)?|°)$/i, 'C'],
	[/^(°\s*f|f|fahrenheit|degrees? f(ahrenheit)?)$/i, 'F'],
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

/**
 * An amount as typed, or `undefined` where it is none. Several pieces of one dimension add up, in the first one's unit:
 * "2 lb 3 oz". A comma is a decimal point.
 */
export function parseAmount(text: string): Amount | undefined {
	let rest = text.trim().replace(/^about\s+/i, '');
	let total: Amount | undefined;
	if (rest === '') return undefined;
	while (rest !== '') {
		const match = piece.exec(rest);
		if (!match) return undefined;
		rest = rest.slice(match[0].length).trim();
		const amount = amountOf(match);
		if (!amount) return undefined;
		const sum = total ? added(total, amount) : amount;
		if (!sum) return undefined;
		total = sum;
	}
	return total;
}

function amountOf(match: RegExpExecArray): Amount | undefined {
	const [, whole, over, under, over2, under2, before, sign, plain, word] = match;
	const read = (digits: string | undefined) => Number((digits ?? '0').replace(',', '.'));
	const value =
		over !== undefined
			? read(whole) + read(over) / read(under)
			: over2 !== undefined
				? read(over2) / read(under2)
				: sign !== undefined
					? read(before) + (vulgar[sign] ?? 0)
					: read(plain);
	if (!Number.isFinite(value)) return undefined;
	if (word === undefined) return { value, unit: undefined };
	const unit = spellings.find(([spelling]) => spelling.test(word.trim()))?.[1];
	return unit && { value, unit };
}

function added(total: Amount, more: Amount): Amount | undefined {
	if (total.unit === undefined || more.unit === undefined) return undefined;
	const [a, b] = [units[total.unit], units[more.unit]];
	if (a.dimension !== b.dimension || a.dimension === 'temperature') return undefined;
	return { value: total.value + (more.value * b.size) / a.size, unit: total.unit };
}
