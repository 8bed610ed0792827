// Which of several equal things each stretch of use gets: interval colouring, with lists where not all may have all.

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

/** Branches that are looked at before it is given up that nobody has two stretches at once. */
const patience = 20_000;

/**
 * Give each stretch one of `count` equal things, so that no thing has two stretches at once.
 *
 * In order of their starts any free thing will do: the greedy colouring of an interval graph is optimal (Golumbic 1980,
 * Algorithmic Graph Theory and Perfect Graphs, ch. 8). With limits on who may have which it is a list colouring: then greedy
 * with backtracking, in the order given.
 *
 * @param among which things may have which stretches, and the order in which free ones are taken
 * @returns index of the thing, by stretch; where it cannot be done, or was not found, a thing that is free soonest, and
 * then it is not clean
 */
export function assignEqual(
	stretches: readonly Stretch[],
	count: number,
	{ can = () => true, order: things = Array.from({ length: count }, (_, k) => k) }: Among = {}
): { readonly chosen: readonly number[]; readonly isClean: boolean } {
	const order = stretches.map((_, i) => i).sort((a, b) => at(stretches, a).from - at(stretches, b).from);
	const freeAt = new Array<number>(count).fill(-Infinity);
	const result = new Array<number>(stretches.length).fill(0);
	const lastOf = new Map<string, number>();
	let branches = 0;
	/** Assigns from the n-th on; `false` where that cannot be, given what is assigned. */
	const assign = (n: number): boolean => {
		const i = order[n];
		if (i === undefined) return true;
		const { from, to, group } = at(stretches, i);
		const kept = lastOf.get(group);
		const free = things.filter((k) => at(freeAt, k) <= from && can(i, k));
		const tried = kept !== undefined && free.includes(kept) ? [kept, ...free.filter((k) => k !== kept)] : free;
		for (const thing of tried) {
			if (++branches > patience) return false;
			const before = at(freeAt, thing);
			freeAt[thing] = to;
			result[i] = thing;
			lastOf.set(group, thing);
			if (assign(n + 1)) return true;
			freeAt[thing] = before;
			if (kept === undefined) lastOf.delete(group);
			else lastOf.set(group, kept);
		}
		return false;
	};
	if (assign(0)) return { chosen: result, isClean: true };
	return { chosen: soonest(stretches, order, count, things, can), isClean: false };
}

/** The first free thing in turn; where none is free the one that is soonest. */
function soonest(
	stretches: readonly Stretch[],
	order: readonly number[],
	count: number,
	things: readonly number[],
	can: (stretch: number, thing: number) => boolean
): readonly number[] {
	const freeAt = new Array<number>(count).fill(-Infinity);
	const result = new Array<number>(stretches.length).fill(0);
	for (const i of order) {
		const { from, to } = at(stretches, i);
		const able = things.filter((k) => can(i, k));
		const next = able.reduce((a, b) => (at(freeAt, b) < at(freeAt, a) ? b : a), able.at(-1) ?? count - 1);
		const thing = able.find((k) => at(freeAt, k) <= from) ?? next;
		freeAt[thing] = Math.max(at(freeAt, thing), to);
		result[i] = thing;
	}
	return result;
}

/** @throws {RangeError} beyond the list */
export function at<T>(list: readonly T[], i: number): T {
	const value = list[i];
	if (value === undefined) throw new RangeError(`index ${i} of ${list.length}`);
	return value;
}
