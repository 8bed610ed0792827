// Reading and saving the records of one store: what cannot be read is kept aside, what another tab changed is not lost.
import { wordIssue, type Read } from '../core/issues';
import { DataError, type Database, type KeptRecord, type RecordStore } from './database';

interface Stored<T> {
	readonly value: T;
	readonly revision: number;
}

type Saved<T> =
	| { readonly ok: true; readonly revision: number }
	/** Another tab has saved since: nothing was written. */
	| { readonly ok: false; readonly theirs: Stored<T> };

export interface Records<T> {
	/** All records that can be read, and those that could not and were moved to `kept`. */
	list(): Promise<{ readonly good: readonly Stored<T>[]; readonly kept: readonly KeptRecord[] }>;
	/** One record, or `undefined` where there is none that can be read. */
	get(id: string): Promise<Stored<T> | undefined>;
	/** Save unless the stored revision is another than the one this value came from (0: a new record). */
	save(value: T, from: number): Promise<Saved<T>>;
	remove(id: string): Promise<void>;
}

/**
 * The records of one kind.
 *
 * @param read checks what lies in the store
 * @param now milliseconds since 1970
 */
export function records<T extends { readonly id: string }>(
	db: Database,
	store: RecordStore,
	read: (data: unknown) => Read<T>,
	now: () => number
): Records<T> {
	const keep = async (record: { readonly id: string }, why: readonly string[]): Promise<KeptRecord> => {
		const kept = { key: `${store}/${record.id}/${now()}`, store, record, why, keptAt: now() };
		const transaction = db.transaction([store, 'kept'], 'readwrite');
		await transaction.objectStore('kept').put(kept);
		await transaction.objectStore(store).delete(record.id);
		await transaction.done;
		return kept;
	};
	return {
		async list() {
			const good: Stored<T>[] = [];
			const kept: KeptRecord[] = [];
			for (const record of await db.getAll(store)) {
				const result = read(record.value);
				if (result.ok) good.push({ value: result.value, revision: record.revision });
				else kept.push(await keep(record, result.issues.map(wordIssue)));
			}
			return { good, kept };
		},
		async get(id) {
			const record = await db.get(store, id);
			const result = record && read(record.value);
			return record && result?.ok ? { value: result.value, revision: record.revision } : undefined;
		},
		async save(value, from) {
			try {
				const transaction = db.transaction(store, 'readwrite');
				const current = await transaction.store.get(value.id);
				const theirs = current && read(current.value);
				if (current && theirs?.ok && current.revision !== from) {
					await transaction.done;
					return { ok: false, theirs: { value: theirs.value, revision: current.revision } };
				}
				const revision = Math.max(from, current?.revision ?? 0) + 1;
				await transaction.store.put({ id: value.id, revision, savedAt: now(), value });
				await transaction.done;
				return { ok: true, revision };
			} catch (cause) {
				const isFull = cause instanceof Error && cause.name === 'QuotaExceededError';
				throw new DataError(isFull ? 'full' : 'unavailable', cause);
			}
		},
		async remove(id) {
			await db.delete(store, id);
		}
	};
}

/** Everything that was ever kept aside, newest first. */
export async function keptRecords(db: Database): Promise<readonly KeptRecord[]> {
	return (await db.getAll('kept')).sort((a, b) => b.keptAt - a.keptAt);
}
