// A binary heap of variables by activity, in which a variable can move up where it stands.

export class ActivityHeap {
	private readonly heap: number[] = [];
	/** Place of each variable in the heap, −1 where it is not in it. */
	private readonly place: Int32Array;

	/** @param activity by variable; read at every comparison, so the caller calls `rise` after raising one */
	constructor(
		variables: number,
		private readonly activity: () => Float64Array
	) {
		this.place = new Int32Array(variables).fill(-1);
	}

	insert(x: number): void {
		if (this.place[x]! >= 0) return;
		this.heap.push(x);
		this.up(this.heap.length - 1, x);
	}

	rise(x: number): void {
		if (this.place[x]! >= 0) this.up(this.place[x]!, x);
	}

	/** The most active variable, taken out; −1 when empty. Of equals the lowest. */
	pop(): number {
		const top = this.heap[0];
		if (top === undefined) return -1;
		this.place[top] = -1;
		const last = this.heap.pop()!;
		if (this.heap.length > 0) this.down(0, last);
		return top;
	}

	private before(x: number, y: number): boolean {
		const activity = this.activity();
		return activity[x]! > activity[y]! || (activity[x] === activity[y] && x < y);
	}

	private up(i: number, x: number): void {
		while (i > 0) {
			const parent = (i - 1) >> 1;
			const y = this.heap[parent]!;
			if (!this.before(x, y)) break;
			this.heap[i] = y;
			this.place[y] = i;
			i = parent;
		}
		this.heap[i] = x;
		this.place[x] = i;
	}

	private down(i: number, x: number): void {
		const { heap } = this;
		for (;;) {
			let child = 2 * i + 1;
			if (child >= heap.length) break;
			if (child + 1 < heap.length && this.before(heap[child + 1]!, heap[child]!)) child++;
			const y = heap[child]!;
			if (!this.before(y, x)) break;
			heap[i] = y;
			this.place[y] = i;
			i = child;
		}
		heap[i] = x;
		this.place[x] = i;
	}
}
