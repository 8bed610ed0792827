// Which value of each record lies in the database, and at which revision.

export class Ledger<T> {
	private readonly entries = new Map<string, { readonly value: T | undefined; readonly revision: number }>();

	/** 0 for a record that was never there. */
	revision(key: string): number {
		return this.entries.get(key)?.revision ?? 0;
	}

	/** Whether this very value was saved, or read, last. */
	holds(key: string, value: T): boolean {
		return this.entries.get(key)?.value === value;
	}

	/** @param value absent: what this tab has is not what lies there */
	note(key: string, revision: number, value?: T): void {
		this.entries.set(key, { value, revision });
	}
}
