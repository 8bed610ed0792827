// The clauses of the kernel, of the model and learnt, in one array; each is watched at its first two literals (Moskewicz,
// Madigan, Zhao, Zhang & Malik 2001, DAC). What was learnt and does not earn its keep is forgotten by the number of levels it
// spans (Audemard & Simon 2009, IJCAI).

/** Words before the literals of a clause: size, learnt flag, distinct levels. */
export const HEAD = 3;

export class Clauses {
	/** Clauses: `HEAD` words, then literals as pairs; the first two are watched, the first is the one it makes true. */
	words = new Int32Array(4096);
	/** Watchers of half h, as (clause, value): the watched literal (h^1, value) goes false when lb[h] exceeds −value. */
	readonly watches: number[][] = [];
	private top = 0;
	private learnts: number[] = [];
	private wasted = 0;

	/** How many of them were learnt. */
	get learnt(): number {
		return this.learnts.length;
	}

	/** Add a clause of at least two literals (in pairs), and watch it. @returns where it is */
	store(literals: readonly number[], isLearnt: boolean, levels: number): number {
		const ref = this.top;
		const length = HEAD + literals.length;
		if (ref + length > this.words.length) this.words = grown(this.words, 0, length);
		this.words[ref] = literals.length / 2;
		this.words[ref + 1] = isLearnt ? 1 : 0;
		this.words[ref + 2] = levels;
		for (let i = 0; i < literals.length; i++) this.words[ref + HEAD + i] = literals[i]!;
		this.top += length;
		if (isLearnt) this.learnts.push(ref);
		this.watches[literals[0]! ^ 1]!.push(ref, literals[1]!);
		this.watches[literals[2]! ^ 1]!.push(ref, literals[3]!);
		return ref;
	}

	/** Forget the worse half of what was learnt: clauses over many levels, then older ones. Where none of them is a reason. */
	forget(): void {
		const { words } = this;
		const order = this.learnts.map((ref, age) => ({ ref, age, levels: words[ref + 2]! }));
		order.sort((a, b) => a.levels - b.levels || b.age - a.age);
		const kept = order.filter((c, i) => c.levels <= 2 || i < order.length / 2);
		const dropped = new Set(this.learnts);
		for (const { ref } of kept) dropped.delete(ref);
		for (const ref of dropped) this.wasted += HEAD + 2 * words[ref]!;
		this.learnts = kept.toSorted((a, b) => a.age - b.age).map((c) => c.ref);
		for (const list of this.watches) {
			let j = 0;
			for (let i = 0; i < list.length; i += 2) {
				if (dropped.has(list[i]!)) continue;
				list[j++] = list[i]!;
				list[j++] = list[i + 1]!;
			}
			list.length = j;
		}
		if (this.wasted > this.top / 2) this.compact();
	}

	/** Close the gaps. */
	private compact(): void {
		const moved = new Map<number, number>();
		const live = [...new Set(this.watches.flatMap((list) => list.filter((_, i) => i % 2 === 0)))].sort((a, b) => a - b);
		let top = 0;
		for (const ref of live) {
			const length = HEAD + 2 * this.words[ref]!;
			this.words.copyWithin(top, ref, ref + length);
			moved.set(ref, top);
			top += length;
		}
		this.top = top;
		this.wasted = 0;
		this.learnts = this.learnts.map((ref) => moved.get(ref)!);
		for (const list of this.watches) for (let i = 0; i < list.length; i += 2) list[i] = moved.get(list[i]!)!;
	}
}

/** A copy at least twice as long, the new end filled. */
export function grown(array: Int32Array, fill: number, extra = 0): Int32Array<ArrayBuffer> {
	const copy = new Int32Array(2 * array.length + extra).fill(fill, array.length);
	copy.set(array);
	return copy;
}
