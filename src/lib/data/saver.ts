// One saver for all that is kept: each record's newest value is saved as soon as the one before has been, one revision in
// flight; what another tab saved meanwhile is told, and nothing is written over it until somebody has decided.
import { dataErrorOf, type DataError } from './database';
import type { Records } from './records';

interface Value {
	readonly id: string;
}

/** Two versions of one record: what is here, and what another tab saved. */
export interface Clash<K extends string, V extends Value> {
	readonly kind: K;
	readonly theirs: V;
	readonly revision: number;
}

export interface SaverEvents<K extends string, V extends Value> {
	readonly onSaved: (kind: K, id: string, revision: number) => void;
	readonly onClash: (clash: Clash<K, V>) => void;
	/** The database failed; what was to be saved waits for the next try. */
	readonly onError: (error: DataError) => void;
}

interface Entry<V> {
	/** The value that lies in the database, as far as is known, and its revision; 0: never there. */
	saved: V | undefined;
	revision: number;
	/** The newest value, where it is another. */
	pending: V | undefined;
	isSaving: boolean;
	/** Another tab's version waits for a decision. */
	isBlocked: boolean;
}

export class Saver<K extends string, V extends Value> {
	private readonly entries = new Map<string, Entry<V>>();
	private readonly busy = new Set<Promise<void>>();

	constructor(
		private readonly stores: Readonly<Record<K, Records<V>>>,
		private readonly events: SaverEvents<K, V>
	) {}

	/** What was read from the database: nothing to save. */
	note(kind: K, value: V, revision: number): void {
		const entry = this.entryOf(kind, value.id);
		entry.saved = value;
		entry.revision = revision;
	}

	/** The revision that a record is known to have; 0 for one that was never there. */
	revision(kind: K, id: string): number {
		return this.entries.get(`${kind}/${id}`)?.revision ?? 0;
	}

	/** Whether this very value lies in the database, and nothing newer waits. */
	holds(kind: K, value: V): boolean {
		const entry = this.entries.get(`${kind}/${value.id}`);
		return entry?.saved === value && entry.pending === undefined;
	}

	/** Save a value, or remember it as the newest while an older one is being saved. */
	put(kind: K, value: V): void {
		const entry = this.entryOf(kind, value.id);
		if (entry.saved === value && !entry.isSaving) {
			entry.pending = undefined;
			return;
		}
		entry.pending = value;
		this.go(kind, value.id);
	}

	/**
	 * Decide a clash. *mine*: the newest value here is saved over theirs. *theirs*: it is what lies there, and what is here is
	 * given up.
	 */
	settle(clash: Clash<K, V>, keep: 'mine' | 'theirs'): void {
		const entry = this.entryOf(clash.kind, clash.theirs.id);
		entry.isBlocked = false;
		entry.revision = clash.revision;
		entry.saved = clash.theirs;
		if (keep === 'theirs') entry.pending = undefined;
		this.go(clash.kind, clash.theirs.id);
	}

	/** Try again what could not be saved. */
	retry(): void {
		for (const [key, entry] of this.entries) {
			if (entry.pending === undefined) continue;
			const [kind, ...id] = key.split('/');
			this.go(kind as K, id.join('/'));
		}
	}

	/** Resolves when nothing is being saved any more; what failed or clashes still waits. */
	async settled(): Promise<void> {
		while (this.busy.size > 0) await Promise.all(this.busy);
	}

	private entryOf(kind: K, id: string): Entry<V> {
		const key = `${kind}/${id}`;
		const known = this.entries.get(key);
		if (known) return known;
		const entry = { saved: undefined, revision: 0, pending: undefined, isSaving: false, isBlocked: false };
		this.entries.set(key, entry);
		return entry;
	}

	private go(kind: K, id: string): void {
		const entry = this.entryOf(kind, id);
		if (entry.isSaving || entry.isBlocked || entry.pending === undefined) return;
		entry.isSaving = true;
		const work = this.save(kind, entry).finally(() => {
			this.busy.delete(work);
		});
		this.busy.add(work);
	}

	private async save(kind: K, entry: Entry<V>): Promise<void> {
		try {
			while (entry.pending !== undefined && !entry.isBlocked) {
				const value = entry.pending;
				const result = await this.stores[kind].save(value, entry.revision);
				if (!result.ok) {
					entry.isBlocked = true;
					this.events.onClash({ kind, theirs: result.theirs.value, revision: result.theirs.revision });
					continue;
				}
				entry.saved = value;
				entry.revision = result.revision;
				// Newer meanwhile?
				if (entry.pending === value) entry.pending = undefined;
				this.events.onSaved(kind, value.id, result.revision);
			}
		} catch (cause) {
			this.events.onError(dataErrorOf(cause));
		} finally {
			entry.isSaving = false;
		}
	}
}
