// The days before in a cook's words: which day it is, what is done then, how long it keeps.
import type { Plan } from '../model/plan';
import { formatClock, formatDuration, hour } from '../units/time';

const day = 24 * hour;
type Days = NonNullable<Plan['days']>;

/** Which day an instant is on: 0 is the day of the meal, 1 the day before. */
export const dayOf = (instant: number) => -Math.floor(instant / day) + 0;

export function wordDay(days: number): string {
	if (days === 0) return 'The same day';
	return days === 1 ? 'The day before' : `${days} days before`;
}

/** The clock of an instant on its own day. */
export const clockOn = (instant: number) => formatClock(((instant % day) + day) % day);

/** Seconds of hands in a list of steps. */
export const handsIn = (steps: Days['steps']) =>
	steps.reduce((sum, s) => sum + s.hands.reduce((a, h) => a + h.to - h.from, 0), 0);

/** How long a part keeps, and since when it may be made. */
export function wordKept({ since, until, how }: Days['kept'][number]): string {
	const days = Math.floor((until - since) / day);
	const long = days >= 1 ? `${days} ${days === 1 ? 'day' : 'days'}` : formatDuration(until - since);
	return `${how}; keeps ${long}`;
}
