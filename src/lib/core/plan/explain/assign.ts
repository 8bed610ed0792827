// Which of several equal things each stretch of use gets: interval colouring.

export interface Stretch {
	readonly from: number;
	readonly to: number;
	/** Whoever used the same thing before keeps it if it is free. */
	readonly group: string;
}

/**
 * Give each stretch one of `count` equal things, so that no thing has two stretches at once.
 * In order of their starts any free thing will do: the greedy colouring of an interval graph is optimal
 * (Golumbic 1980, Algorithmic Graph Theory and Perfect Graphs, ch. 8).
 *
 * @returns index of the thing, by stretch; the last one where more than `count` are wanted at once
 */
export function assignEqual(stretches: readonly Stretch[], count: number): readonly number[] {
	const freeAt = new Array<number>(count).fill(-Infinity);
	const lastOf = new Map<string, number>();
	const result = new Array<number>(stretches.length).fill(0);
	const order = stretches.map((_, i) => i).sort((a, b) => at(stretches, a).from - at(stretches, b).from);
	for (const i of order) {
		const { from, to, group } = at(stretches, i);
		const kept = lastOf.get(group);
		const isFree = (k: number) => at(freeAt, k) <= from;
		const first = freeAt.findIndex((_, k) => isFree(k));
		const thing = kept !== undefined && isFree(kept) ? kept : first >= 0 ? first : count - 1;
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
