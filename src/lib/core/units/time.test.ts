// Clocks and durations as people read and type them.
import { expect, test } from 'vitest';
import { parseDuration } from './parse';
import { formatClock, formatCount, formatDuration, formatToService, parseClock } from './time';

test.each([
	['19:30', 70_200],
	['7.05', 25_500],
	['1930', 70_200],
	[' 0:00 ', 0],
	['23:59:59', 86_399]
])('%s is a time of day', (text, seconds) => {
	expect(parseClock(text)).toBe(seconds);
});

test.each([
	['7pm', 68_400],
	['7 p.m.', 68_400],
	['7:30pm', 70_200],
	['12 am', 0],
	['12pm', 43_200],
	['noon', 43_200],
	['Midnight', 0]
])('%s is one, too', (text, seconds) => {
	expect(parseClock(text)).toBe(seconds);
});

test('an hour alone is that of the half of the day which is nearer to what stood there', () => {
	for (let near = 0; near < 86_400; near += 900)
		for (let h = 1; h <= 12; h++) {
			const read = parseClock(String(h), near)!;
			const apart = (t: number) => Math.min(Math.abs(t - near), 86_400 - Math.abs(t - near));
			expect(read % 43_200).toBe((h % 12) * 3600);
			expect(apart(read)).toBeLessThanOrEqual(21_600);
		}
	expect([parseClock('7', 70_000), parseClock('7', 30_000), parseClock('19', 0)]).toEqual([68_400, 25_200, 68_400]);
	expect(parseClock('7')).toBeUndefined();
});

test.each([
	['90 s', 60, 90],
	['12', 60, 720],
	['1 1/2 min', 1, 90],
	['2½ hours', 60, 9000],
	['1 h 10', 60, 4200],
	['1 h 10 min', 1, 4200],
	['1h10', 60, 4200],
	['1:30', 60, 90],
	['1:30', 3600, 5400],
	['0,5', 3600, 1800]
])('%s, where a number alone counts %i s, is %i s', (text, unit, seconds) => {
	expect(parseDuration(text, unit)).toBe(seconds);
});

test.each(['', 'soon', '3 lb', '1:75', '5 min -2', '10 s 5'])('"%s" is no duration', (text) => {
	expect(parseDuration(text, 60)).toBeUndefined();
});

test('what is printed as a duration is read as the same, to what it is rounded', () => {
	for (let s = 0; s < 30_000; s += 37)
		expect(Math.abs(parseDuration(formatDuration(s), 1)! - s)).toBeLessThanOrEqual(s < 90 ? 0 : s < 600 ? 15 : 30);
});

test.each(['24:00', '12:60', 'soon', '', '19:3', '13 pm', '0am'])('"%s" is none', (text) => {
	expect(parseClock(text)).toBeUndefined();
});

test('every minute of the day is written so that it can be read', () => {
	for (let t = 0; t < 86_400; t += 60) expect(parseClock(formatClock(t))).toBe(t);
});

test.each([
	[40, '40 s'],
	[390, '6½ min'],
	[720, '12 min'],
	[4800, '1 h 20 min'],
	[7200, '2 h']
])('%i seconds read %s', (seconds, text) => {
	expect(formatDuration(seconds)).toBe(text);
});

test('minutes to service and running counts', () => {
	expect([formatToService(1080), formatToService(0), formatToService(-120)]).toEqual(['−18', '0', '+2']);
	expect([formatCount(245), formatCount(3845)]).toEqual(['4:05', '1:04:05']);
	expect(formatClock(90_000)).toBe('01:00');
});
