// Compiling the same meal again and again, as replans of one evening do: the last few are kept.
import type { Kitchen } from '../../model/kitchen';
import type { Meal } from '../../model/meal';
import type { Technique } from '../../model/technique';
import { compileMeal } from './compile';
import type { Manning } from './crew';

type Read = ReturnType<typeof compileMeal>;

const mostKept = 4;
/** By all that goes in, the newest last. */
const kept = new Map<string, Read>();

/** As `compileMeal`, of which what was compiled last is remembered. What it returns is shared: nobody may change it. */
export function compileOnce(
	meal: Meal,
	kitchen: Kitchen,
	techniques: ReadonlyMap<string, Technique>,
	manning: Manning
): Read {
	const key = JSON.stringify([meal, kitchen, manning, [...techniques.values()]]);
	const read = kept.get(key) ?? compileMeal(meal, kitchen, techniques, manning);
	kept.delete(key);
	kept.set(key, read);
	for (const oldest of kept.keys()) {
		if (kept.size <= mostKept) break;
		kept.delete(oldest);
	}
	return read;
}
