// An evening as a calendar (iCalendar, RFC 5545): a cue an event with its alarm, in the zone of the service.
import ICAL from 'ical.js';
import { clockAt, dateAt, dayOf, instantOf } from '../../units/zoned';
import type { SheetLine } from '../sheet/run-sheet';

/** What a calendar is made of. */
export interface Evening {
	/** Of the meal: events keep their names by it, so that a second import moves them. */
	readonly id: string;
	readonly name: string;
	/** Day of the service, `YYYY-MM-DD`. */
	readonly date: string;
	/** IANA name. */
	readonly zone: string;
	readonly lines: readonly SheetLine[];
}

/** What is due days ahead is told so long before, minutes; what is due in the evening when it is due. */
const aheadOfTime = 15;
/** What only tells is as long, seconds. */
const moment = 60;
const dayLength = 86_400_000;

/**
 * The text of a calendar.
 *
 * @param now when it is written, ms: a later one replaces what an earlier one said
 * @throws {RangeError} not a date, or no such zone
 */
export function writeCalendar({ id, name, date, zone, lines }: Evening, now: number): string {
	const calendar = new ICAL.Component(['vcalendar', [], []]);
	calendar.updatePropertyWithValue('version', '2.0');
	calendar.updatePropertyWithValue('prodid', '-//Juntos//Run sheet//EN');
	calendar.updatePropertyWithValue('calscale', 'GREGORIAN');
	calendar.updatePropertyWithValue('method', 'PUBLISH');
	calendar.updatePropertyWithValue('x-wr-calname', name);
	const noon = instantOf(date, 43_200, zone);
	calendar.addSubcomponent(zoneOf(zone, noon));
	const stamp = shown(now, ICAL.Timezone.utcTimezone);
	for (const line of lines) {
		const event = new ICAL.Component('vevent');
		event.updatePropertyWithValue('uid', `${date}-${id}-${line.id.replace(/[^\w.-]+/g, '_')}@juntos`);
		event.updatePropertyWithValue('dtstamp', stamp);
		// Minutes since 1970: what is written later is newer.
		event.updatePropertyWithValue('sequence', Math.floor(now / 60_000));
		setTime(event, 'dtstart', instantOf(date, 0, zone) + offset(date, zone, line.at), zone);
		setTime(
			event,
			'dtend',
			instantOf(date, 0, zone) + offset(date, zone, Math.max(line.until, line.at + moment)),
			zone
		);
		event.updatePropertyWithValue('summary', line.say);
		const told = [line.sign, ...line.cautions, [line.part, line.cook].filter((w) => w !== '').join(' · ')];
		event.updatePropertyWithValue('description', told.filter((w) => w !== '').join('\n'));
		if (line.where !== '') event.updatePropertyWithValue('location', line.where);
		event.updatePropertyWithValue('transp', 'OPAQUE');
		const alarm = new ICAL.Component('valarm');
		alarm.updatePropertyWithValue('action', 'DISPLAY');
		alarm.updatePropertyWithValue('description', line.say);
		alarm.updatePropertyWithValue('trigger', ICAL.Duration.fromSeconds(line.kind === 'ahead' ? -60 * aheadOfTime : 0));
		event.addSubcomponent(alarm);
		calendar.addSubcomponent(event);
	}
	return `${calendar.toString()}\r\n`;
}

/** From the midnight that begins a day to an instant of the plan's clock, ms: by the clocks of the zone, also before that day. */
function offset(date: string, zone: string, at: number): number {
	const days = Math.floor(at / 86_400);
	const other = dateAt(instantOf(date, 43_200, zone) + days * dayLength, zone);
	return instantOf(other, at - days * 86_400, zone) - instantOf(date, 0, zone);
}

function setTime(event: ICAL.Component, property: string, instant: number, zone: string): void {
	const time = shown(instant + 1000 * aheadOfUtc(instant, zone));
	event.updatePropertyWithValue(property, time).setParameter('tzid', zone);
}

/** What clocks show, with no word of their zone unless it is given; ms as if it were UTC. */
function shown(civil: number, zone?: ICAL.Timezone): ICAL.Time {
	const [year = 0, month = 0, day = 0] = dateAt(civil, 'UTC').split('-').map(Number);
	const clock = Math.floor(clockAt(civil, 'UTC'));
	const [hour, minute, second] = [Math.floor(clock / 3600), Math.floor((clock % 3600) / 60), clock % 60];
	return ICAL.Time.fromData({ year, month, day, hour, minute, second }, zone);
}

/** How far a zone's clocks are ahead of UTC at an instant, seconds. */
function aheadOfUtc(instant: number, zone: string): number {
	return Math.round(dayOf(dateAt(instant, zone)) * 86_400 + clockAt(instant, zone) - instant / 1000);
}

/** A zone's rules about an instant: what held before, and each change within a year on both sides. */
function zoneOf(zone: string, about: number): ICAL.Component {
	const component = new ICAL.Component('vtimezone');
	component.updatePropertyWithValue('tzid', zone);
	const from = about - 370 * dayLength;
	const changes: { at: number; before: number; after: number }[] = [];
	let before = aheadOfUtc(from, zone);
	for (let at = from; at < about + 370 * dayLength; at += dayLength) {
		const after = aheadOfUtc(at + dayLength, zone);
		if (after === before) continue;
		let [low, high] = [at, at + dayLength];
		while (high - low > 1000) {
			const middle = Math.round((low + high) / 2000) * 1000;
			if (middle === low || middle === high) break;
			if (aheadOfUtc(middle, zone) === before) low = middle;
			else high = middle;
		}
		changes.push({ at: high, before, after });
		before = after;
	}
	const usual = Math.min(...[...changes.flatMap((c) => [c.before, c.after]), before]);
	const first = changes[0]?.before ?? before;
	const all = [{ at: from, before: first, after: first }, ...changes];
	for (const c of all) {
		const rule = new ICAL.Component(c.after > usual ? 'daylight' : 'standard');
		// When it begins, by the clocks that held until then.
		rule.updatePropertyWithValue('dtstart', shown(c.at + c.before * 1000));
		rule.updatePropertyWithValue('tzoffsetfrom', ICAL.UtcOffset.fromSeconds(c.before));
		rule.updatePropertyWithValue('tzoffsetto', ICAL.UtcOffset.fromSeconds(c.after));
		component.addSubcomponent(rule);
	}
	return component;
}
