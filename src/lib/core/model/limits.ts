// What the quantities of a technique may come to, each with its reason: beyond, nothing is cooked, and computing it would take
// for ever. Checked where a technique is read, at the ends of all its parameters.
import type { Issue, Path } from '../issues';
import { valueOf, type Quantity } from './time-model';

/** What of a technique is looked at. */
interface Sized {
	readonly parameters: readonly Ranged[];
	readonly steps: readonly Timed[];
}
interface Ranged {
	readonly id: string;
	readonly least: number;
	readonly most: number;
}
interface Timed {
	readonly time: {
		readonly model?: ({ readonly kind: string } & object) | undefined;
		readonly usual?: number | undefined;
		readonly longest?: number | undefined;
		readonly scale?: readonly { readonly by: string; readonly at: number; readonly exponent: number }[] | undefined;
	};
	readonly load?: object | undefined;
	readonly need?: object | undefined;
	readonly hands: { readonly kind: string; readonly every?: { readonly interval: Quantity } | undefined };
}

interface Range {
	readonly least: number;
	readonly most: number;
	readonly why: string;
}

const length: Range = {
	least: 0.001,
	most: 1,
	why: 'a millimetre to a metre: nothing thinner or longer is cooked in one piece'
};
const warmth: Range = { least: -40, most: 600, why: '−40 to 600 °C: no kitchen is colder or hotter' };
const mass: Range = { least: 0, most: 200, why: 'up to 200 kg: more goes into no kitchen of this kind' };
const volume: Range = { least: 0.01, most: 200, why: '10 ml to 200 l: no pot holds less or more' };
const number: Range = { least: 0, most: 2000, why: 'up to 2,000: more pieces are no evening’s work' };
const factor: Range = { least: 0.05, most: 20, why: 'a twentieth to twenty times the usual' };
const seconds: Range = { least: 0, most: 86_400, why: 'up to a day' };

/** By the name that the quantity has; where one name means several things, by its model too. */
const ranges: Readonly<Record<string, Range>> = {
	thickness: length,
	size: length,
	depth: length,
	length,
	width: length,
	start: warmth,
	core: warmth,
	peak: warmth,
	at: warmth,
	pan: warmth,
	to: warmth,
	style: warmth,
	setting: warmth,
	kilograms: mass,
	litres: volume,
	pieces: number,
	count: number,
	together: number,
	liquid: volume,
	firm: factor,
	turns: seconds,
	'reduce from': mass,
	'reduce to': mass
};

/** People that a part may be for. */
const covers = { id: 'covers', least: 1, most: 60 };
/** A time may be scaled by so much in all. */
const mostScale = 50;
/** Longest step, seconds, and most touches within one. */
const longest = 7 * 86_400;
const mostTouches = 300;

type Ends = ReadonlyMap<string, readonly [least: number, most: number]>;

const endsOf = (parameters: readonly Ranged[]): Ends =>
	new Map([covers, ...parameters].map((p) => [p.id, [p.least, p.most]]));

/** The values that a quantity has at the ends of what it depends on. */
function valuesOf(quantity: Quantity, ends: Ends): readonly number[] {
	if (typeof quantity === 'number') return [quantity];
	const ids = [quantity.by, ...(quantity.also ?? []), quantity.per].filter((id) => id !== undefined);
	// Every corner: each of what it names at either end.
	const corners = ids.reduce<readonly ReadonlyMap<string, number>[]>(
		(all, id) => all.flatMap((at) => (ends.get(id) ?? []).map((v) => new Map([...at, [id, v]]))),
		[new Map()]
	);
	return corners.map((at) => valueOf(quantity, (id) => at.get(id) ?? 0));
}

/** Everything in a technique that comes to more, or less, than it may. */
export function beyondLimits(technique: Sized, path: Path): readonly Issue[] {
	const ends = endsOf(technique.parameters);
	return technique.steps.flatMap((step, i) => {
		const at = [...path, 'steps', i];
		return [
			...quantitiesBeyond(step.time.model, step.time.model?.kind, ends, [...at, 'time', 'model']),
			...quantitiesBeyond(step.load, undefined, ends, [...at, 'load']),
			...quantitiesBeyond(step.need, undefined, ends, [...at, 'need']),
			...timesBeyond(step, ends, at)
		];
	});
}

function quantitiesBeyond(of: object | undefined, kind: string | undefined, ends: Ends, path: Path): readonly Issue[] {
	return Object.entries(of ?? {}).flatMap(([key, quantity]: [string, unknown]): Issue[] => {
		// A bird has its mass where others have their thickness.
		const isMass = key === 'thickness' && of !== undefined && 'shape' in of && of.shape === 'bird';
		const range = isMass ? mass : (ranges[`${kind ?? ''} ${key}`] ?? ranges[key]);
		if (!range || !isQuantity(quantity)) return [];
		const bad = valuesOf(quantity, ends).find((v) => !(v >= range.least && v <= range.most));
		if (bad === undefined) return [];
		const by = typeof quantity === 'number' ? '' : ` at an end of "${quantity.by}"`;
		const detail = `comes to ${Number(bad.toPrecision(4))}${by}; it must be ${range.why}`;
		return [{ code: 'shape', path: [...path, key], detail }];
	});
}

function isQuantity(value: unknown): value is Quantity {
	return typeof value === 'number' || (typeof value === 'object' && value !== null && 'by' in value);
}

/** Estimates that are scaled beyond reason, and touches without number. */
function timesBeyond({ time, hands }: Timed, ends: Ends, path: Path): readonly Issue[] {
	const issues: Issue[] = [];
	let most = 1;
	for (const [k, { by, at, exponent }] of (time.scale ?? []).entries()) {
		const scales = (ends.get(by) ?? []).map((v) => (v / at) ** exponent);
		const bad = scales.find((s) => !(s >= 1 / mostScale && s <= mostScale));
		most *= Math.max(1, ...scales);
		if (bad === undefined) continue;
		const detail = `scales the time by ${Number(bad.toPrecision(3))} at an end of "${by}"; it must be between 1/${mostScale} and ${mostScale}: beyond, the estimate says nothing`;
		issues.push({ code: 'shape', path: [...path, 'time', 'scale', k], detail });
	}
	const long = (time.longest ?? time.usual ?? 0) * most;
	if (long > longest) {
		const detail = `comes to ${Math.round(long / 86_400)} days with all that it depends on; it must be at most 7: what takes longer is made before`;
		issues.push({ code: 'shape', path: [...path, 'time'], detail });
	}
	if (hands.every && time.usual !== undefined) {
		const often = Math.min(...valuesOf(hands.every.interval, ends).filter((v) => v > 0));
		const touches = ((time.usual * most) / often) | 0;
		if (touches > mostTouches) {
			const detail = `would call for hands ${touches} times; it must be at most ${mostTouches}: make the interval longer`;
			issues.push({ code: 'shape', path: [...path, 'hands', 'every', 'interval'], detail });
		}
	}
	return issues;
}
