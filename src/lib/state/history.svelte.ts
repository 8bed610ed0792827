// Undo and redo over immutable values.

export class History<T> {
	now: T;
	private before: readonly T[] = $state.raw([]);
	private after: readonly T[] = $state.raw([]);
	readonly canUndo = $derived(this.before.length > 0);
	readonly canRedo = $derived(this.after.length > 0);

	/** @param depth how many steps are remembered */
	constructor(
		now: T,
		private readonly depth = 200
	) {
		this.now = $state.raw(now);
	}

	/** A change that can be undone. */
	push(next: T): void {
		this.before = [...this.before, this.now].slice(-this.depth);
		this.after = [];
		this.now = next;
	}

	/** A value from elsewhere, before which there is nothing to undo to. */
	reset(now: T): void {
		this.before = [];
		this.after = [];
		this.now = now;
	}

	undo(): void {
		const last = this.before.at(-1);
		if (last === undefined) return;
		this.before = this.before.slice(0, -1);
		this.after = [this.now, ...this.after];
		this.now = last;
	}

	redo(): void {
		const [next, ...rest] = this.after;
		if (next === undefined) return;
		this.after = rest;
		this.before = [...this.before, this.now];
		this.now = next;
	}
}
