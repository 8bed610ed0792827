// What a probe in a roast said of its oven's air, once for an evening: only where it can be trusted.
import type { PlannedStep } from '../model/plan';
import { doubtOf } from '../probe/doubt';
import { filmOf, type Air, type FilmSeen } from './oven-film';
import type { Reading } from '../probe/posterior';
import { probedAs } from '../run/probed';

/** A probe that sits further out than this share of the way is misplaced. */
const misplaced = 0.35;
/** What was heard of so many roasts is not worked out again while their evening goes on. */
const mostKnown = 50;
const heard = new Map<string, FilmSeen | undefined>();

/**
 * `filmOf` where the probe can be trusted from beginning to end; kept by evening and step, for who asks at every event.
 *
 * @param run the evening's name
 */
export function heardFilm(
	run: string,
	step: PlannedStep,
	around: Air,
	readings: readonly Reading[]
): FilmSeen | undefined {
	const last = readings.at(-1);
	const asked = probedAs(step);
	if (!asked || !last) return undefined;
	const key = `${run} ${step.id} ${readings.length} ${last.join(' ')} ${step.to - step.from}`;
	if (heard.has(key)) return heard.get(key);
	const { doubt, found } = doubtOf(asked, asked.medium, readings, last[0]);
	const isSound = doubt === undefined && (found?.beyond(misplaced) ?? 1) < 0.5;
	const seen = isSound ? filmOf(step, around, readings) : undefined;
	if (heard.size >= mostKnown) heard.delete(heard.keys().next().value ?? '');
	heard.set(key, seen);
	return seen;
}
