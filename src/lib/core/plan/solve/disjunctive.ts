// Things of which no two can be at once: overload checking and edge-finding, with explanations.
import type { Use } from './cumulative';
import type { Engine, Propagator } from './engine';

/**
 * Edge-finding for items on a resource that holds one of them at a time (Carlier & Pinson 1989, Management Science 35,
 * 164–176; explained as by Vilím 2005, CP, 871–885): where the items Ω between two instants, and one more, take longer than
 * there is time before the last of Ω must end, the one more comes after all of Ω. Time runs forwards, then backwards.
 *
 * One run is of order n²: all sets Ω that matter are those that end by some item's latest end, from some earliest start on.
 */
export class Disjunctive implements Propagator {
	readonly halves: readonly number[];
	private readonly forwards: Direction;
	private readonly backwards: Direction;

	/** @param items sure ones whose length never falls below `lengths` */
	constructor(items: readonly Use[], lengths: readonly number[]) {
		const guards = items.map((item) => item.guards);
		const halves = new Set<number>(guards.flatMap((list) => list.filter((_, g) => g % 2 === 0)));
		for (const { start, end } of items) for (const x of [start, end]) halves.add(2 * x).add(2 * x + 1);
		this.halves = [...halves];
		const map = (f: (item: Use) => number) => Int32Array.from(items, f);
		const length = Int32Array.from(lengths);
		this.forwards = new Direction(
			map((i) => 2 * i.start),
			map((i) => i.startShift),
			map((i) => 2 * i.end + 1),
			map((i) => i.endShift),
			length,
			guards
		);
		this.backwards = new Direction(
			map((i) => 2 * i.end + 1),
			map((i) => -i.endShift),
			map((i) => 2 * i.start),
			map((i) => -i.startShift),
			length,
			guards
		);
	}

	propagate(engine: Engine): boolean {
		return this.forwards.run(engine) && this.backwards.run(engine);
	}
}

/** One direction of time: item i starts at the earliest at `lb[startHalf] + startShift`, ends at the latest at `endShift − lb[endHalf]`. */
class Direction {
	private readonly est: Int32Array;
	private readonly lct: Int32Array;
	/** Items that are surely there: by falling earliest start, and by rising latest end. */
	private readonly byStart: Int32Array;
	private readonly byEnd: Int32Array;
	private there = 0;
	/** Of the set Ω for one latest end: its members by falling earliest start, their summed length, the latest earliest end. */
	private readonly members: Int32Array;
	private readonly sums: Int32Array;
	private readonly best: Int32Array;
	/** Member at which `best` was reached. */
	private readonly bestAt: Int32Array;

	constructor(
		private readonly startHalf: Int32Array,
		private readonly startShift: Int32Array,
		private readonly endHalf: Int32Array,
		private readonly endShift: Int32Array,
		private readonly length: Int32Array,
		private readonly guards: readonly (readonly number[])[]
	) {
		const n = length.length;
		this.est = new Int32Array(n);
		this.lct = new Int32Array(n);
		this.byStart = Int32Array.from({ length: n }, (_, i) => i);
		this.byEnd = Int32Array.from({ length: n }, (_, i) => i);
		this.members = new Int32Array(n);
		this.sums = new Int32Array(n);
		this.best = new Int32Array(n);
		this.bestAt = new Int32Array(n);
	}

	run(engine: Engine): boolean {
		this.read(engine);
		const { byEnd, lct } = this;
		for (let k = 0; k < this.there; k++) {
			const limit = lct[byEnd[k]!]!;
			// Equal ends make equal sets.
			if (k + 1 < this.there && lct[byEnd[k + 1]!] === limit) continue;
			if (!this.runSet(engine, limit)) return false;
		}
		return true;
	}

	private read(engine: Engine): void {
		const { est, lct, byStart, byEnd, guards } = this;
		const { lb } = engine;
		const n = est.length;
		this.there = 0;
		for (let i = 0; i < n; i++) {
			est[i] = lb[this.startHalf[i]!]! + this.startShift[i]!;
			lct[i] = this.endShift[i]! - lb[this.endHalf[i]!]!;
			const list = guards[i]!;
			let isThere = true;
			for (let g = 0; g < list.length && isThere; g += 2) isThere = lb[list[g]!]! >= list[g + 1]!;
			if (isThere) this.there++;
			// What is not there sorts behind everything.
			else [est[i], lct[i]] = [NEVER, -NEVER];
		}
		sort(byStart, est, -1);
		sort(byEnd, lct, 1);
		if (this.there < n) {
			rotateToFront(byStart, est, NEVER);
			rotateToFront(byEnd, lct, -NEVER);
		}
	}

	/** The items that end by `limit`: do they fit, and whom do they push? */
	private runSet(engine: Engine, limit: number): boolean {
		const { est, lct, byStart, members, sums, best, bestAt, length } = this;
		let size = 0;
		let sum = 0;
		for (let k = 0; k < this.there; k++) {
			const j = byStart[k]!;
			if (lct[j]! > limit) continue;
			sum += length[j]!;
			const end = est[j]! + sum;
			if (end > limit) {
				members[size++] = j;
				const literals: number[] = [];
				for (let m = 0; m < size; m++) this.within(literals, members[m]!, est[j]!, limit + (end - limit - 1));
				return engine.refute(literals);
			}
			members[size] = j;
			sums[size] = sum;
			const isBetter = size === 0 || end > best[size - 1]!;
			best[size] = isBetter ? end : best[size - 1]!;
			bestAt[size] = isBetter ? size : bestAt[size - 1]!;
			size++;
		}
		if (size === 0) return true;
		for (let k = 0, m = 0; k < this.there; k++) {
			const i = byStart[k]!;
			// Members that start no earlier than i.
			while (m < size && est[members[m]!]! >= est[i]!) m++;
			if (lct[i]! <= limit) continue;
			let cut = -1;
			let from = 0;
			for (let c = size - 1; c >= m && cut < 0; c--) {
				from = est[members[c]!]!;
				if (from + sums[c]! + length[i]! > limit) cut = c;
			}
			if (cut < 0 && m > 0 && est[i]! + sums[m - 1]! + length[i]! > limit) {
				cut = m - 1;
				from = est[i]!;
			}
			if (cut < 0 || best[cut]! <= est[i]!) continue;
			const spare = from + sums[cut]! + length[i]! - limit - 1;
			const literals = [this.startHalf[i]!, from - this.startShift[i]!, ...this.guards[i]!];
			const inner = bestAt[cut]!;
			const innerFrom = est[members[inner]!]!;
			for (let c = 0; c <= cut; c++) this.within(literals, members[c]!, c <= inner ? innerFrom : from, limit + spare);
			if (!engine.set(this.startHalf[i]!, best[cut]! - this.startShift[i]!, literals)) return false;
		}
		return true;
	}

	/** Say that an item starts no earlier than `from` and ends no later than `to`. */
	private within(literals: number[], j: number, from: number, to: number): void {
		literals.push(
			this.startHalf[j]!,
			from - this.startShift[j]!,
			this.endHalf[j]!,
			this.endShift[j]! - to,
			...this.guards[j]!
		);
	}
}

const NEVER = -0x40000000;

/** Insertion sort of a permutation that was nearly sorted before; `sign` 1: rising. */
function sort(order: Int32Array, key: Int32Array, sign: number): void {
	for (let k = 1; k < order.length; k++) {
		const i = order[k]!;
		const value = sign * key[i]!;
		let j = k;
		for (; j > 0 && sign * key[order[j - 1]!]! > value; j--) order[j] = order[j - 1]!;
		order[j] = i;
	}
}

/** Those whose key is `none` behind all others, whose order stays. */
function rotateToFront(order: Int32Array, key: Int32Array, none: number): void {
	const [here, gone]: [number[], number[]] = [[], []];
	for (const i of order) (key[i] === none ? gone : here).push(i);
	order.set(here);
	order.set(gone, here.length);
}
