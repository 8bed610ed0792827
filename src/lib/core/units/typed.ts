// What people type into a number field, as a value in the field's own unit: "1 1/2 lb", "¾ in", "350 F", "90 s", "2 cm".
import { fromShown, shownIn, toShown, type Measure } from './amount';
import { inUnit, isUnit, units, type UnitName } from './convert';
import { parseAmount, parseDuration } from './parse';

/** A number field. */
export interface NumberField {
	/** One of our own units, or none. */
	readonly unit: string;
	readonly least: number;
	readonly most: number;
	/** What does not come in parts: guests, burners, eggs. */
	readonly isWhole?: boolean;
}

export type Typed =
	| { readonly ok: true; readonly value: number }
	| {
			readonly ok: false;
			readonly why: 'nothing' | 'not-a-number' | 'other-unit' | 'not-whole' | 'too-little' | 'too-much';
	  };

/** Units of the fields by the name that conversions know them by. */
const known: Readonly<Record<string, UnitName>> = { '°C': 'C', K: 'K-difference', in: 'inch' };
const unitOf = (unit: string): UnitName | undefined => known[unit] ?? (isUnit(unit) ? unit : undefined);
const inSeconds: Readonly<Record<string, number>> = { s: 1, min: 60, h: 3600 };

/**
 * The value of what was typed, in the field's own unit. A bare number is in the unit that is shown; with a unit written out it
 * is that, whatever is shown. A limit may be missed by as much as the shown number is rounded.
 */
export function readTyped(text: string, { unit, least, most, isWhole = false }: NumberField, measure: Measure): Typed {
	if (text.trim() === '') return { ok: false, why: 'nothing' };
	const shown = shownIn(unit, measure);
	const read = valueOf(text, unit, shown);
	if (!read.ok) return read;
	const { value } = read;
	if (isWhole && !Number.isInteger(value)) return { ok: false, why: 'not-whole' };
	const own = toShown(value, shown);
	if (own < toShown(least, shown)) return { ok: false, why: 'too-little' };
	if (own > toShown(most, shown)) return { ok: false, why: 'too-much' };
	return { ok: true, value: Math.min(most, Math.max(least, value)) };
}

function valueOf(text: string, unit: string, shown: ReturnType<typeof shownIn>): Typed {
	const perUnit = inSeconds[unit];
	if (perUnit !== undefined) {
		const seconds = parseDuration(text, perUnit);
		return seconds === undefined ? { ok: false, why: 'not-a-number' } : { ok: true, value: seconds / perUnit };
	}
	const typed = parseAmount(unit === '%' ? text.replace(/\s*%\s*$/, '') : text);
	if (typed === undefined) return { ok: false, why: 'not-a-number' };
	if (typed.unit === undefined) return { ok: true, value: fromShown(typed.value, shown) };
	const own = unitOf(unit);
	if (own === undefined) return { ok: false, why: 'other-unit' };
	// In a field of differences a degree is one of a difference.
	const isStep = units[own].dimension === 'difference';
	const from =
		isStep && (typed.unit === 'F' || typed.unit === 'C') ? (`${typed.unit}-difference` as const) : typed.unit;
	const converted = inUnit(typed.value, from, own);
	return converted.ok ? { ok: true, value: Number(converted.value.toFixed(6)) } : { ok: false, why: 'other-unit' };
}
