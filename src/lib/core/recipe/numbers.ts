// Numbers, temperatures and times as recipes write them.
import { hour, minute } from '../units/time';

/** Low and high; equal where there is one. */
export type Range = readonly [low: number, high: number];

const vulgar: Readonly<Record<string, number>> = {
	'¼': 0.25,
	'½': 0.5,
	'¾': 0.75,
	'⅓': 1 / 3,
	'⅔': 2 / 3,
	'⅛': 0.125,
	'⅜': 0.375,
	'⅝': 0.625,
	'⅞': 0.875,
	'⅕': 0.2,
	'⅖': 0.4,
	'⅗': 0.6,
	'⅘': 0.8,
	'⅙': 1 / 6,
	'⅚': 5 / 6
};
const words: Readonly<Record<string, number>> = {
	one: 1,
	two: 2,
	three: 3,
	four: 4,
	five: 5,
	six: 6,
	seven: 7,
	eight: 8,
	nine: 9,
	ten: 10,
	eleven: 11,
	twelve: 12,
	fifteen: 15,
	twenty: 20,
	thirty: 30,
	forty: 40,
	'forty-five': 45,
	fifty: 50,
	sixty: 60,
	ninety: 90
};
const signs = Object.keys(vulgar).join('');
const named = Object.keys(words)
	.sort((a, b) => b.length - a.length)
	.join('|');
/** One number: 1 1/2, 1½, 1 ½, 1/2, ½, 1.5, 1,5, 1,200, two, one and a half. */
export const numberPattern = String.raw`(?:\d+\s+\d+\s*[/⁄]\s*\d+|\d+\s*[/⁄]\s*\d+|\d+(?:[.,]\d+)?\s?[${signs}]|[${signs}]|\d+(?:[.,]\d+)?|(?:${named})(?:\s+and\s+a\s+half)?\b)`;
const to = String.raw`\s*(?:-|–|—|to|or)\s*`;
/** One number or two: 2–3, 2 to 3, 2 or 3. */
export const rangePattern = String.raw`${numberPattern}(?:${to}${numberPattern})?`;

/** The value of one number as it is written. */
export function numberOf(text: string): number {
	const t = text.trim().toLowerCase();
	const half = /^(.*?)\s+and\s+a\s+half$/.exec(t);
	if (half) return numberOf(half[1] ?? '') + 0.5;
	const known = words[t];
	if (known !== undefined) return known;
	const mixed = /^(\d+)\s+(\d+)\s*[/⁄]\s*(\d+)$/.exec(t);
	if (mixed) return Number(mixed[1]) + Number(mixed[2]) / Number(mixed[3]);
	const over = /^(\d+)\s*[/⁄]\s*(\d+)$/.exec(t);
	if (over) return Number(over[1]) / Number(over[2]);
	const sign = new RegExp(String.raw`^(\d+(?:[.,]\d+)?)?\s?([${signs}])$`).exec(t);
	if (sign) return decimal(sign[1] ?? '0') + (vulgar[sign[2] ?? ''] ?? 0);
	return decimal(t);
}

/** A comma before three digits parts thousands, before fewer it is a decimal point. */
function decimal(text: string): number {
	return Number(/^\d{1,3},\d{3}$/.test(text) ? text.replace(',', '') : text.replace(',', '.'));
}

/** One number or a range. */
export function rangeOf(text: string): Range {
	const parts = new RegExp(String.raw`^(${numberPattern})(?:${to}(${numberPattern}))?$`, 'i').exec(text.trim());
	const low = numberOf(parts?.[1] ?? text);
	const high = parts?.[2] === undefined ? low : numberOf(parts[2]);
	return low <= high ? [low, high] : [high, low];
}

/** What an oven, a bath or oil is set to, °C; as said for a fan, where that alone is said. */
export interface Setting {
	readonly celsius: number;
	readonly isFan: boolean;
	/** Where it was said. */
	readonly at: number;
}

/** Gas marks, °C. */
const gasMarks: Readonly<Record<string, number>> = {
	'1/4': 110,
	'¼': 110,
	'1/2': 130,
	'½': 130,
	'1': 140,
	'2': 150,
	'3': 170,
	'4': 180,
	'5': 190,
	'6': 200,
	'7': 220,
	'8': 230,
	'9': 240
};
const degree = String.raw`(?:°|º|˚|-?deg(?:rees?)?\.?)?[\s-]*`;
const temperature = new RegExp(
	String.raw`(\d{2,3})(?:\s*(?:-|–|to)\s*(\d{2,3}))?\s*(?:${degree}(c|celsius|centigrade|f|fahrenheit)\b|(?:°|º|˚|[\s-]*degrees?\b))(\s*\(?\s*(?:fan|convection)\b)?`,
	'gi'
);

/** Hotter than this, °C, no oven is: such a figure without a unit is °F. */
const hottest = 260;
const fahrenheit = (value: number) => ((value - 32) * 5) / 9;

/**
 * All temperatures of a text, in order; of fan and no fan side by side the one without.
 *
 * @param isFahrenheit what a figure without a unit is in, where it could be either
 */
export function temperaturesIn(text: string, isFahrenheit = false): readonly Setting[] {
	const found: (Setting & { end: number })[] = [];
	for (const m of text.matchAll(temperature)) {
		const [low, high] = [Number(m[1]), Number(m[2] ?? m[1])];
		const isF = /^f/i.test(m[3] ?? '') || (m[3] === undefined && (isFahrenheit || low > hottest));
		const value = (low + high) / 2;
		const celsius = isF ? fahrenheit(value) : value;
		const before = text.slice(Math.max(0, m.index - 14), m.index);
		const isFan = m[4] !== undefined || /\b(?:fan|convection)(?:\s+oven)?\s*(?:at|:)?\s*\(?$/i.test(before);
		found.push({ celsius: Math.round(celsius), isFan, at: m.index, end: m.index + m[0].length });
	}
	// “Oven to 300.”: in the unit that an oven has such a figure in.
	for (const m of text.matchAll(
		/\boven(?:\s+(?:set\s+)?(?:to|at|on))?[\s:=]+(\d{3})\b(?!\s*(?:[-–/]|°|º|˚|deg|(?:c|f|g|grams?|kg|ml|l|oz|x)\b))/gi
	)) {
		const value = Number(m[1]);
		if (value < 100 || value > 550) continue;
		const celsius = isFahrenheit || value > hottest ? fahrenheit(value) : value;
		found.push({ celsius: Math.round(celsius), isFan: false, at: m.index, end: m.index + m[0].length });
	}
	for (const m of text.matchAll(/\bgas(?:\s+mark)?\s*(\d\s*[/⁄]\s*\d|[¼½]|\d)/gi)) {
		const celsius = gasMarks[(m[1] ?? '').replace(/\s/g, '').replace('⁄', '/')];
		if (celsius !== undefined) found.push({ celsius, isFan: false, at: m.index, end: m.index + m[0].length });
	}
	found.sort((a, b) => a.at - b.at);
	// “200C/180C fan/gas 6” says one thing in three ways.
	const groups: (typeof found)[] = [];
	for (const one of found) {
		const last = groups.at(-1)?.at(-1);
		const between = last === undefined ? undefined : text.slice(last.end, one.at);
		const isSame =
			between !== undefined &&
			/^[\s/,;()|]*(?:or|fan|conventional|convection|oven)?[\s/,;()|:]*(?:fan)?[\s(]*$/i.test(between);
		if (isSame) groups.at(-1)?.push(one);
		else groups.push([one]);
	}
	return groups.flatMap((g) => g.find((x) => !x.isFan) ?? g[0] ?? []);
}

/** A time as it is written, s; and whether it is one of several sides, at the least, about. */
export interface WrittenTime {
	readonly seconds: readonly [shortest: number, usual: number, longest: number];
	readonly at: number;
	readonly end: number;
}

const unit = String.raw`(seconds?|secs?|s|minutes?|mins?|min|m|hours?|hrs?|hr|h|days?|weeks?)\b\.?`;
const patterns: readonly (readonly [RegExp, (m: RegExpMatchArray) => readonly [number, number]])[] = [
	[/\b(?:overnight|the night before)\b/gi, () => [8 * hour, 8 * hour]],
	[/\b(?:an?\s+)?hour\s+and\s+a\s+half\b/gi, () => [1.5 * hour, 1.5 * hour]],
	[/\b(?:an?\s+)?hour\s+and\s+a\s+quarter\b/gi, () => [1.25 * hour, 1.25 * hour]],
	[/\bthree[\s-]quarters\s+of\s+an\s+hour\b/gi, () => [0.75 * hour, 0.75 * hour]],
	[/\b(?:a\s+)?quarter\s+of\s+an\s+hour\b/gi, () => [0.25 * hour, 0.25 * hour]],
	[/\bhalf\s+(?:an?\s+)?hour\b|\bhalf-hour\b/gi, () => [0.5 * hour, 0.5 * hour]],
	[/\bhalf\s+a\s+minute\b/gi, () => [30, 30]],
	[/\b(?:a\s+)?minute\s+and\s+a\s+half\b/gi, () => [90, 90]],
	[/\ba\s+minute\s+or\s+(?:two|so)\b/gi, (m) => (/two/i.test(m[0]) ? [minute, 2 * minute] : [minute, minute])],
	[/\ban?\s+hour\s+or\s+(?:two|so)\b/gi, (m) => (/two/i.test(m[0]) ? [hour, 2 * hour] : [hour, hour])],
	[/\b(?:another|a further|one more|one further)\s+(minute|hour)\b/gi, (m) => [sizeOf(m[1]), sizeOf(m[1])]],
	[
		/\ba\s+couple\s+of\s+(?:more\s+)?(minutes|mins|hours|seconds|days)\b/gi,
		(m) => [2 * sizeOf(m[1]), 2 * sizeOf(m[1])]
	],
	[/\ba\s+few\s+(?:more\s+)?(minutes|mins|hours|seconds|days)\b/gi, (m) => [2 * sizeOf(m[1]), 4 * sizeOf(m[1])]],
	[/\bseveral\s+(minutes|mins|hours)\b/gi, (m) => [3 * sizeOf(m[1]), 6 * sizeOf(m[1])]],
	[
		new RegExp(
			String.raw`(${numberPattern})\s*(?:hours?|hrs?|hr|h)\b\.?\s*(?:and\s+|,\s*)?(${rangePattern})\s*(?:minutes?|mins?|min|m)\b`,
			'gi'
		),
		(m) => {
			const [low, high] = rangeOf(m[2] ?? '');
			const base = numberOf(m[1] ?? '') * hour;
			return [base + low * minute, base + high * minute];
		}
	],
	[
		new RegExp(
			String.raw`(${numberPattern})\s*(?:minutes?|mins?|min|m)\b\.?\s*(?:and\s+|,\s*)?(${numberPattern})\s*(?:seconds?|secs?|s)\b`,
			'gi'
		),
		(m) => {
			const sum = numberOf(m[1] ?? '') * minute + numberOf(m[2] ?? '');
			return [sum, sum];
		}
	],
	[
		// 45 minutes to 1 hour; 1 hour to 90 minutes.
		new RegExp(String.raw`(${numberPattern}|an?)\s*${unit}\s*(?:to|-|–|or)\s*(${numberPattern}|an?)\s*${unit}`, 'gi'),
		(m) => {
			const of = (n: string | undefined, u: string | undefined) =>
				(/^an?$/i.test(n ?? '') ? 1 : numberOf(n ?? '')) * sizeOf(u);
			return [of(m[1], m[2]), of(m[3], m[4])];
		}
	],
	[
		new RegExp(String.raw`(${rangePattern})[\s-]*(?:more\s+|further\s+|full\s+|good\s+)?${unit}`, 'gi'),
		(m) => {
			const [low, high] = rangeOf(m[1] ?? '');
			return [low * sizeOf(m[2]), high * sizeOf(m[2])];
		}
	],
	[/\b(?:an|a|1)\s+(?:full\s+|further\s+|good\s+|whole\s+)?(minute|hour|day)\b/gi, (m) => [sizeOf(m[1]), sizeOf(m[1])]]
];

function sizeOf(word = ''): number {
	const w = word.toLowerCase();
	if (w.startsWith('s')) return 1;
	if (w.startsWith('m')) return minute;
	if (w.startsWith('h')) return hour;
	return w.startsWith('w') ? 7 * 24 * hour : 24 * hour;
}

/** Times that are no length of what is done: at which something is done within it, how often, before what. */
const notLength =
	/(?:\b(?:every|after|each|within|halfway|the last|the final|for the first|the first|in the last|with|previous|before)(?:\s+(?:about|around|the|first|another))?|\bturn(?:ing)?\s+(?:it|them)?\s*at)\s*$/i;
const beforeWhat =
	/^\s*(?:before(?!\s+(?:serving|slicing|carving|cutting|turning|flipping|draining|removing|eating|unmoulding|you|adding))|ahead|old\b|earlier|prior)/i;
const sides =
	/^[\s,]*(?:\/|a|per|each|on each|on both|for each|on either|either|every)\s*(?:of\s+the\s+)?sides?\b|^[\s,]*(?:on\s+)?both\s+sides\b|^[\s,]*(?:each\s+)side\b/i;

/** The times in a text, in order; those of two sides are summed. */
export function timesIn(text: string): readonly WrittenTime[] {
	const found: { low: number; high: number; at: number; end: number }[] = [];
	for (const [pattern, of] of patterns) {
		for (const m of text.matchAll(pattern)) {
			const [at, end] = [m.index, m.index + m[0].length];
			if (found.some((f) => at < f.end && end > f.at)) continue;
			const [low, high] = of(m);
			if (!(low > 0) || !Number.isFinite(high)) continue;
			found.push({ low, high, at, end });
		}
	}
	return found
		.sort((a, b) => a.at - b.at)
		.flatMap(({ low, high, at, end }): WrittenTime[] => {
			const before = text.slice(0, at);
			const after = text.slice(end);
			if (notLength.test(before) || beforeWhat.test(after)) return [];
			if (/\bevery\s+$/i.test(before)) return [];
			const isSides = sides.test(after) || /\b(?:each|per|both)\s+sides?\s+(?:for\s+)?(?:about\s+)?$/i.test(before);
			const times = isSides ? 2 : 1;
			const isLeast =
				new RegExp(String.raw`\b(?:at least|minimum(?:\s+of)?|no less than)\s+$`, 'i').test(before) ||
				/^\s*(?:or more|or longer|at least|minimum|plus\b)/i.test(after);
			const isMost = /\b(?:up to|no more than|at most|maximum(?:\s+of)?)\s+$/i.test(before);
			const [a, b] = [low * times, high * times];
			const usual = isLeast || isMost ? (isLeast ? a : b) : (a + b) / 2;
			return [{ seconds: spread(a, usual, b, isLeast), at, end }];
		});
}

/** A single figure is spread a little. */
function spread(low: number, usual: number, high: number, isLeast: boolean): WrittenTime['seconds'] {
	if (high > low) return [Math.round(low), Math.round(usual), Math.round(high)];
	return [Math.round(isLeast ? low : 0.92 * low), Math.round(usual), Math.round(isLeast ? 2 * low : 1.12 * high)];
}
