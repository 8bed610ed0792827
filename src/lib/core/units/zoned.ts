// Instants and the clocks of a place: a date, a clock time and a time zone on one side, milliseconds since 1970 (UTC) on the
// other. The zones' rules are those of the machine (`Intl`).
import { hour } from './time';

const day = 86_400_000;

/** Days since 1970-01-01 of a civil date (Hinnant 2013, chrono-compatible low-level date algorithms). */
function daysOf(year: number, month: number, dayOfMonth: number): number {
	const y = month <= 2 ? year - 1 : year;
	const era = Math.floor(y / 400);
	const yearOfEra = y - era * 400;
	const dayOfYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + dayOfMonth - 1;
	const dayOfEra = yearOfEra * 365 + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100) + dayOfYear;
	return era * 146_097 + dayOfEra - 719_468;
}

/** The same of a date, `YYYY-MM-DD`. */
export function dayOf(date: string): number {
	const [year = NaN, month = NaN, dayOfMonth = NaN] = date.split('-').map(Number);
	return daysOf(year, month, dayOfMonth);
}

const formats = new Map<string, Intl.DateTimeFormat>();

/** The clock and the calendar of a zone at an instant, as if it were UTC: milliseconds since 1970. */
function civil(instant: number, zone: string): number {
	let format = formats.get(zone);
	if (!format) {
		format = new Intl.DateTimeFormat('en-US', {
			timeZone: zone,
			hourCycle: 'h23',
			year: 'numeric',
			month: 'numeric',
			day: 'numeric',
			hour: 'numeric',
			minute: 'numeric',
			second: 'numeric'
		});
		formats.set(zone, format);
	}
	const parts = new Map(format.formatToParts(instant).map((p) => [p.type, Number(p.value)]));
	const of = (type: Intl.DateTimeFormatPartTypes) => parts.get(type) ?? 0;
	const seconds = of('hour') * hour + of('minute') * 60 + of('second');
	return daysOf(of('year'), of('month'), of('day')) * day + seconds * 1000 + (((instant % 1000) + 1000) % 1000);
}

const offsetAt = (instant: number, zone: string) => civil(instant, zone) - instant;

/**
 * The instant at which clocks of a zone show so many seconds after midnight of a date, `YYYY-MM-DD`; beyond 86,400 of the
 * days after. A clock time that is skipped in spring is as long after the change as it says; one that comes twice in autumn
 * is the first of the two.
 *
 * @throws {RangeError} not a date, or no such zone
 */
export function instantOf(date: string, seconds: number, zone: string): number {
	const [, year, month, dayOfMonth] = /^(\d{4})-(\d{2})-(\d{2})$/.exec(date) ?? [];
	if (year === undefined) throw new RangeError(`"${date}" is not a date YYYY-MM-DD`);
	const wanted = daysOf(Number(year), Number(month), Number(dayOfMonth)) * day + seconds * 1000;
	const [before, after] = [offsetAt(wanted - day, zone), offsetAt(wanted + day, zone)];
	const early = wanted - before;
	return offsetAt(early, zone) === before ? early : offsetAt(wanted - after, zone) === after ? wanted - after : early;
}

/** The date in a zone at an instant, `YYYY-MM-DD`. */
export function dateAt(instant: number, zone: string): string {
	const z = Math.floor(civil(instant, zone) / day) + 719_468;
	const era = Math.floor(z / 146_097);
	const dayOfEra = z - era * 146_097;
	const yearOfEra = Math.floor(
		(dayOfEra - Math.floor(dayOfEra / 1460) + Math.floor(dayOfEra / 36_524) - Math.floor(dayOfEra / 146_096)) / 365
	);
	const dayOfYear = dayOfEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
	const mp = Math.floor((5 * dayOfYear + 2) / 153);
	const dayOfMonth = dayOfYear - Math.floor((153 * mp + 2) / 5) + 1;
	const month = mp < 10 ? mp + 3 : mp - 9;
	const year = yearOfEra + era * 400 + (month <= 2 ? 1 : 0);
	const two = (n: number) => String(n).padStart(2, '0');
	return `${String(year).padStart(4, '0')}-${two(month)}-${two(dayOfMonth)}`;
}

/** What clocks of a zone show at an instant, seconds after midnight. */
export function clockAt(instant: number, zone: string): number {
	return (((civil(instant, zone) % day) + day) % day) / 1000;
}

/** Whether the machine knows a time zone by this name. */
export function isZone(zone: string): boolean {
	try {
		new Intl.DateTimeFormat('en-US', { timeZone: zone });
		return true;
	} catch {
		return false;
	}
}
