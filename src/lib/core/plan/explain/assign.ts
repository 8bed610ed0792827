// Which of several equal things each stretch of use gets: interval colouring.

export interface Stretch {
	readonly from: number;
	readonly to: number;
	/** Whoever used the same thing before keeps it if it is free. */
	readonly group: string;
}

/** Limits on who gets what; stretches and things by index. */
interface Among {
	readonly can?: (stretch: number, thing: number) => boolean;
	readonly order?: readonly number[];
}

/**
 * Give each stretch one of `count` equal things, so that no thing has two stretches at once.
 * In order of their starts any free thing will do: the greedy colouring of an interval graph is optimal
 * (Golumbic 1980, Algorithmic Graph Theory and Perfect Graphs, ch. 8).
 *
 * @param among which things may have which stretches, and the order in which free ones are taken; with such limits the
 * greedy colouring may miss one that is there: a stretch then gets the thing of its own that is free soonest
 * @returns index of the thing, by stretch; the last one where more than `count` are wanted at once
 */
export function assignEqual(
	stretches: readonly Stretch[],
	count: number,
	{ can = () => true, order: things = Array.from({ length: count }, (_, k) => k) }: Among = {}
): readonly number[] {
	const freeAt = new Array<number>(count).fill(-Infinity);
	const lastOf = new Map<string, number>();
	const result = new Array<number>(stretches.length).fill(0);
	const order = stretches.map((_, i) => i).sort((a, b) => at(stretches, a).from - at(stretches, b).from);
	for (const i of order) {
		const { from, to, group } = at(stretches, i);
		const kept = lastOf.get(group);
		const isFree = (k: number) => at(freeAt, k) <= from && can(i, k);
		const able = things.filter((k) => can(i, k));
		const soonest = able.reduce((a, b) => (at(freeAt, b) < at(freeAt, a) ? b : a), able.at(-1) ?? count - 1);
		const thing = kept !== undefined && isFree(kept) ? kept : (things.find(isFree) ?? soonest);
		freeAt[thing] = Math.max(at(freeAt, thing), to);
		lastOf.set(group, thing);
		result[i] = thing;
	}
	return result;
}

function at<T>(list: readonly T[], i: number): T {
	const value = list[i];
	if (value === undefined) throw new RangeError(`index ${i} of ${list.length}`);
	return value;
}
