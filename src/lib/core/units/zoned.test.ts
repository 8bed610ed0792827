// Laws of zoned time: there and back, over both changes of the clocks, over midnight and leap days, in every zone there is.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { clockAt, dateAt, instantOf } from './zoned';

const zones = [
	'UTC',
	'Europe/Berlin',
	'Europe/London',
	'America/New_York',
	'America/St_Johns',
	'America/Sao_Paulo',
	'Asia/Kolkata',
	'Asia/Kathmandu',
	'Australia/Lord_Howe',
	'Pacific/Apia',
	'Pacific/Chatham'
] as const;
const hour = 3600;
const aDay = 24 * hour;
const dates = fc
	.date({ min: new Date('1990-01-01'), max: new Date('2037-12-31'), noInvalidDate: true })
	.map((d) => d.toISOString().slice(0, 10));
const instants = fc.integer({ min: Date.UTC(1990, 0, 1), max: Date.UTC(2037, 11, 31) });
const aZone = fc.constantFrom(...zones);

describe('an instant and what clocks show then', () => {
	test('the instant of what is shown is the instant, or the other hour that shows the same', () => {
		fc.assert(
			fc.property(instants, aZone, (ms, zone) => {
				const instant = ms - (ms % 1000);
				const date = dateAt(instant, zone);
				const again = instantOf(date, clockAt(instant, zone), zone);
				// In the hour that comes twice it is the first of the two.
				expect([0, hour, hour / 2].map((s) => s * 1000)).toContain(instant - again);
				expect(dateAt(again, zone)).toBe(date);
			}),
			{ numRuns: 600 }
		);
	});

	test('at noon and in the evening nothing is skipped and nothing comes twice', () => {
		fc.assert(
			fc.property(dates, aZone, fc.integer({ min: 12 * hour, max: 22 * hour }), (date, zone, seconds) => {
				// Samoa left a whole day out when it crossed the date line.
				fc.pre(!(zone === 'Pacific/Apia' && date === '2011-12-30'));
				const instant = instantOf(date, seconds, zone);
				expect([dateAt(instant, zone), clockAt(instant, zone)]).toEqual([date, seconds]);
			}),
			{ numRuns: 600 }
		);
	});

	test('later on the clock is later; a day has 23 to 25 hours', () => {
		fc.assert(
			fc.property(dates, aZone, fc.integer({ min: 0, max: aDay - 2 }), (date, zone, seconds) => {
				fc.pre(zone !== 'Pacific/Apia' || !date.startsWith('2011-12'));
				const first = instantOf(date, seconds, zone);
				expect(instantOf(date, seconds + 1, zone)).toBeGreaterThanOrEqual(first - hour * 1000);
				const next = instantOf(date, seconds + aDay, zone) - first;
				expect(next).toBeGreaterThanOrEqual(23 * hour * 1000);
				expect(next).toBeLessThanOrEqual(25 * hour * 1000);
			}),
			{ numRuns: 400 }
		);
	});

	test('in a zone that never changes its clocks, seconds are seconds', () => {
		fc.assert(
			fc.property(dates, fc.integer({ min: 0, max: 3 * aDay }), (date, seconds) => {
				expect(instantOf(date, seconds, 'UTC')).toBe(Date.parse(`${date}T00:00:00Z`) + seconds * 1000);
				expect(instantOf(date, seconds, 'Asia/Kolkata')).toBe(Date.parse(`${date}T00:00:00+05:30`) + seconds * 1000);
			})
		);
	});
});

describe('a supper over midnight, on the nights when the clocks change', () => {
	test.each([
		// In Berlin 2026: forward on 29 March at 2, back on 25 October at 3.
		['2026-03-28', 25.5 * hour, '2026-03-29T00:30:00Z', 'before the change'],
		['2026-03-28', 27.5 * hour, '2026-03-29T01:30:00Z', 'after it'],
		['2026-10-24', 25.5 * hour, '2026-10-24T23:30:00Z', 'in summer time'],
		['2026-10-24', 28 * hour, '2026-10-25T03:00:00Z', 'in winter time'],
		['2024-02-28', 24 * hour, '2024-02-28T23:00:00Z', 'on a leap day'],
		['2026-12-31', 24 * hour, '2026-12-31T23:00:00Z', 'in a new year']
	])('%s, %i s after midnight, is %s: %s', (date, seconds, utc) => {
		expect(instantOf(date, seconds, 'Europe/Berlin')).toBe(Date.parse(utc));
	});

	test('a time that is skipped is as long after the change; one that comes twice is the first', () => {
		expect(instantOf('2026-03-29', 2.5 * hour, 'Europe/Berlin')).toBe(Date.parse('2026-03-29T01:30:00Z'));
		expect(instantOf('2026-10-25', 2.5 * hour, 'Europe/Berlin')).toBe(Date.parse('2026-10-25T00:30:00Z'));
	});

	test('what is no date and what is no zone is refused', () => {
		for (const date of ['', '2026-3-29', '29.03.2026', 'tomorrow'])
			expect(() => instantOf(date, 0, 'UTC')).toThrow(RangeError);
		expect(() => instantOf('2026-03-29', 0, 'Nowhere/Land')).toThrow(RangeError);
	});
});
