// How long a part is neither cold nor hot: what the safety clock counts over all of its steps.
import type { PlannedStep } from '../../model/plan';
import { laneRow } from '../../model/stations';

/**
 * Seconds from a part's first step until it is on the plate, less those on heat or in the cold. Steps without the food
 * itself (water, pans) do not begin it; what is made ahead is kept cold meanwhile.
 *
 * @param laneKind kind of the place of a step, by lane
 * @param plated when it goes on the plate
 */
export function secondsBetween(
	steps: readonly PlannedStep[],
	laneKind: ReadonlyMap<string, string>,
	plated: number
): number {
	const handled = steps.filter((s) => s.kind !== 'preheat');
	const from = Math.min(plated, ...handled.map((s) => s.from));
	const kept = handled
		.filter((s) => laneRow(laneKind.get(s.lane) ?? '')?.isSafe)
		.map((s) => ({ from: Math.max(from, s.from), to: Math.min(plated, s.to) }))
		.sort((a, b) => a.from - b.from);
	let [covered, until] = [0, from];
	for (const { from: start, to } of kept) {
		covered += Math.max(0, to - Math.max(start, until));
		until = Math.max(until, to);
	}
	return plated - from - covered;
}
