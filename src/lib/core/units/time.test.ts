// Clocks and durations as people read and type them.
import { expect, test } from 'vitest';
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

test.each(['24:00', '12:60', 'soon', '', '19:3'])('"%s" is none', (text) => {
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
