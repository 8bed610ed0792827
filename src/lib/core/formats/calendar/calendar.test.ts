// Calendars as others read them: every cue at its instant in its zone, with its alarm, under the name it keeps.
import ICAL from 'ical.js';
import ical from 'node-ical';
import { describe, expect, test } from 'vitest';
import { demoCases, planDemo } from '../../testing/demo-plan';
import { instantOf } from '../../units/zoned';
import { runSheetOf } from '../sheet/run-sheet';
import { writeCalendar } from './calendar';

const now = Date.UTC(2026, 9, 1, 12);
const zones = ['Europe/Lisbon', 'America/New_York', 'Asia/Kathmandu', 'Pacific/Apia', 'Australia/Lord_Howe', 'UTC'];
const dates = ['2026-10-25', '2026-03-29', '2026-11-27'];

const cases = demoCases.map((demo) => {
	const plan = planDemo(demo, 2000);
	return [demo.meal.name, { meal: demo.meal, plan, lines: runSheetOf(plan, 'metric') }] as const;
});

const eventsOf = (text: string) =>
	Object.values(ical.sync.parseICS(text)).flatMap((e) => (e?.type === 'VEVENT' ? [e] : []));

describe.each(cases)('%s', (_, { meal, lines }) => {
	test.each(zones.flatMap((zone) => dates.map((date) => [zone, date] as const)))('in %s on %s', (zone, date) => {
		const text = writeCalendar({ id: meal.id, name: meal.name, date, zone, lines }, now);
		const events = eventsOf(text);
		expect(events).toHaveLength(lines.length);
		const byName = new Map(events.map((e) => [e.summary as string, e]));
		for (const line of lines.filter((l) => l.kind !== 'ahead')) {
			const found = events.filter(
				(e) => e.summary === line.say && e.start.getTime() === instantOf(date, line.at, zone)
			);
			expect(found.length, `${line.say} ${line.at}`).toBeGreaterThan(0);
		}
		expect(byName.size).toBeGreaterThan(5);
		expect(new Set(events.map((e) => e.uid)).size).toBe(events.length);
		// Lines end and are folded as they must be.
		for (const l of text.split('\r\n')) expect(new TextEncoder().encode(l).length).toBeLessThanOrEqual(76);
		expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
	});

	test('each has an alarm, and its zone is told in the file', () => {
		const text = writeCalendar({ id: meal.id, name: meal.name, date: '2026-11-27', zone: 'Europe/Lisbon', lines }, now);
		const root = new ICAL.Component(ICAL.parse(text) as never);
		const zone = new ICAL.Timezone(root.getFirstSubcomponent('vtimezone')!);
		for (const event of root.getAllSubcomponents('vevent')) {
			expect(event.getAllSubcomponents('valarm')).toHaveLength(1);
			expect(event.getFirstProperty('dtstart')!.getParameter('tzid')).toBe('Europe/Lisbon');
			const start = event.getFirstPropertyValue('dtstart') as ICAL.Time;
			// By the file’s own rules it is the same instant.
			expect(zone.utcOffset(start)).toBe(0);
		}
	});

	test('written again after a replan its events keep their names, and are newer', () => {
		const write = (at: number, by: number) =>
			new Map(
				eventsOf(
					writeCalendar(
						{
							id: meal.id,
							name: meal.name,
							date: '2026-11-27',
							zone: 'UTC',
							lines: lines.map((l) => ({ ...l, at: l.at + by, until: l.until + by }))
						},
						at
					)
				).map((e) => [e.uid, e])
			);
		const [first, second] = [write(now, 0), write(now + 600_000, 300)];
		expect([...second.keys()].sort()).toEqual([...first.keys()].sort());
		for (const [uid, e] of second) {
			expect(e.start.getTime() - first.get(uid)!.start.getTime()).toBe(300_000);
			expect(Number(e.sequence)).toBeGreaterThan(Number(first.get(uid)!.sequence));
		}
	});
});

test('by summer time the file’s rules say so too; words with commas and ends of lines stay whole', () => {
	const line = {
		...cases[0]![1].lines[0]!,
		id: 'x#start',
		say: 'Sear, then rest; mind\\ “steam”\nnow',
		at: 68_400,
		until: 68_460
	};
	const text = writeCalendar(
		{ id: 'm', name: 'A, b; c', date: '2026-07-01', zone: 'Europe/Lisbon', lines: [line] },
		now
	);
	const root = new ICAL.Component(ICAL.parse(text) as never);
	const zone = new ICAL.Timezone(root.getFirstSubcomponent('vtimezone')!);
	const event = root.getFirstSubcomponent('vevent')!;
	expect(zone.utcOffset(event.getFirstPropertyValue('dtstart') as ICAL.Time)).toBe(3600);
	expect(event.getFirstPropertyValue('summary')).toBe(line.say);
	expect(root.getFirstPropertyValue('x-wr-calname')).toBe('A, b; c');
});

test('what is done days before lies on its own day, and is told a quarter of an hour ahead', () => {
	const line = {
		...cases[0]![1].lines[0]!,
		kind: 'ahead' as const,
		id: 'ahead-1-x',
		at: -86_400 + 68_400,
		until: -86_400 + 70_000
	};
	// The clocks go back between the two days.
	const text = writeCalendar({ id: 'm', name: 'm', date: '2026-10-25', zone: 'Europe/Lisbon', lines: [line] }, now);
	const [event] = eventsOf(text);
	expect(event!.start.toISOString()).toBe('2026-10-24T18:00:00.000Z');
	expect(text).toContain('TRIGGER:-PT15M');
});
