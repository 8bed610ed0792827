// What is said aloud of the cues that are due: each when it comes, once more where it is left, and never again.
import type { Cue } from './cues';

/** Left for so long it is said once more, seconds. */
const again = 90;
const mostTimes = 2;
/** What came due longer ago than this is for the eyes, not for the ears, seconds. */
const stale = 5 * 60;

/** How often a cue was said, and when last, on the plan's clock. */
export type Said = ReadonlyMap<string, { readonly times: number; readonly at: number }>;

/** Which of the due cues to say now; and what has been said after that. */
export function toSay(
	due: readonly Cue[],
	clock: number,
	said: Said
): { readonly say: readonly Cue[]; readonly said: Said } {
	const say = due.filter((cue) => {
		const before = said.get(cue.id);
		if (before) return before.times < mostTimes && clock - before.at >= again;
		return clock - cue.at < stale;
	});
	const after = new Map(said);
	// What is too old to be said counts as said.
	for (const cue of due) if (!said.has(cue.id)) after.set(cue.id, { times: mostTimes, at: clock });
	for (const { id } of say) after.set(id, { times: (said.get(id)?.times ?? 0) + 1, at: clock });
	return { say, said: after };
}
