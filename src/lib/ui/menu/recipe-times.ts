// A time as a cook types it, with what it may come to.
import { parseDuration } from '../../core/units/parse';

/** A week, s. */
const longest = 604_800;

/** Shortest, usual and longest about a typed time, s; or why it is none, in words. */
export function spreadAbout(text: string): readonly [number, number, number] | string {
	const seconds = parseDuration(text, 60);
	if (seconds === undefined || !(seconds > 0) || seconds > longest)
		return `“${text}” is no time: write “25 min”, “90 s” or “1 h 10”.`;
	return [Math.round(0.9 * seconds), Math.round(seconds), Math.round(1.15 * seconds)];
}
