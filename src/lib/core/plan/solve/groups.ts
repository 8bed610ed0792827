// What hangs together: disjoint sets, and chains of lags.

/** Disjoint sets of the numbers below `count` (Galler & Fischer 1964), with path compression. */
export class Groups {
	private readonly leader: Int32Array;

	constructor(count: number) {
		this.leader = Int32Array.from({ length: count }, (_, i) => i);
	}

	/** The number that stands for the set of i. */
	find(i: number): number {
		const above = this.leader[i]!;
		return above === i ? i : (this.leader[i] = this.find(above));
	}

	/** Make one set of two; `false` where they were one already. */
	join(i: number, k: number): boolean {
		const [a, b] = [this.find(i), this.find(k)];
		this.leader[a] = b;
		return a !== b;
	}
}

/** A walk over more tasks is given up: nothing is said to be sure then. */
const MOST_WALKED = 200;

/**
 * Whether a task surely begins after another has ended: a chain of lags of at least 0 from one to the other.
 *
 * @param gaps lags between tasks (indices)
 * @param mayPass whether a chain between two tasks may lead over a third
 */
export function chains(
	gaps: readonly { readonly from: number; readonly to: number; readonly min: number }[],
	mayPass: (over: number, from: number, to: number) => boolean = () => true
): (from: number, to: number) => boolean {
	const next = new Map<number, number[]>();
	for (const { from, to, min } of gaps) {
		if (min < 0) continue;
		const list = next.get(from);
		if (list) list.push(to);
		else next.set(from, [to]);
	}
	return (from, to) => {
		const reached = new Set([from]);
		for (const i of reached) {
			if (i === to) return true;
			if (reached.size > MOST_WALKED) return false;
			if (i !== from && !mayPass(i, from, to)) continue;
			for (const k of next.get(i) ?? []) reached.add(k);
		}
		return false;
	};
}
