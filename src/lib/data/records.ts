// Reading and saving the records of one store: what cannot be read is kept aside, what another tab changed is not lost.
import type { Read } from '../core/issues';
import { wordIssue } from '../core/words/issues';
import { dataErrorOf, type Database, type KeptRecord, type RecordStore, type StoredRecord } from './database';

interface Stored<T> {
	readonly value: T;
	readonly revision: number;
}

export type Saved<T> =
	| { readonly ok: true; readonly revision: number }
	/** Another tab has saved since: nothing was written. */
	| { readonly ok: false; readonly theirs: Stored<T> };

/** Every method throws a DataError where the database fails. */
export interface Records<T> {
	/** All records that can be read, and those that could not and were moved to `kept`. */
	list(): Promise<{ readonly good: readonly Stored<T>[]; readonly kept: readonly KeptRecord[] }>;
	/** One record, or `undefined` where there is none that can be read: then it is kept aside. */
	get(id: string): Promise<Stored<T> | undefined>;
	/**
	 * Save unless the stored revision is another than the one this value came from (0: a new record). What lies there and
	 * cannot be read is kept aside first.
	 */
	save(value: T, from: number): Promise<Saved<T>>;
	remove(id: string): Promise<void>;
	count(): Promise<number>;
	/** Bring back what was kept aside, where it can be read now and nothing of its id is there. */
	restore(kept: KeptRecord): Promise<Stored<T> | undefined>;
}

/** Reasons of one record that are told, at most. */
const mostReasons = 20;

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
	/** Whatever the database throws, as one kind of error. */
	const guarded = async <R>(work: () => Promise<R>): Promise<R> => {
		try {
			return await work();
		} catch (cause) {
			throw dataErrorOf(cause);
		}
	};
	const both = () => db.transaction([store, 'kept'], 'readwrite');
	/** Move a record to `kept`, unless another tab has changed it meanwhile. */
	const keep = async (record: StoredRecord, why: readonly string[]): Promise<KeptRecord | undefined> => {
		const transaction = both();
		const own = transaction.objectStore(store);
		const current = await own.get(record.id);
		const kept = current?.revision === record.revision ? keptOf(record, why) : undefined;
		if (kept) {
			await transaction.objectStore('kept').put(kept);
			await own.delete(record.id);
		}
		await transaction.done;
		return kept;
	};
	const keptOf = (record: StoredRecord, why: readonly string[]): KeptRecord => ({
		key: `${store}/${record.id}/${now()}-${record.revision}`,
		store,
		record,
		why,
		keptAt: now()
	});
	const wordsOf = (result: Read<T>) => (result.ok ? [] : result.issues.slice(0, mostReasons).map(wordIssue));
	return {
		list: () =>
			guarded(async () => {
				const good: Stored<T>[] = [];
				const kept: KeptRecord[] = [];
				for (const record of await db.getAll(store)) {
					const result = read(record.value);
					if (result.ok) good.push({ value: result.value, revision: record.revision });
					else {
						const aside = await keep(record, wordsOf(result));
						if (aside) kept.push(aside);
					}
				}
				return { good, kept };
			}),
		get: (id) =>
			guarded(async () => {
				const record = await db.get(store, id);
				if (!record) return undefined;
				const result = read(record.value);
				if (result.ok) return { value: result.value, revision: record.revision };
				await keep(record, wordsOf(result));
				return undefined;
			}),
		save: (value, from) =>
			guarded(async () => {
				const transaction = both();
				const own = transaction.objectStore(store);
				const current = await own.get(value.id);
				const theirs = current && read(current.value);
				if (current && theirs?.ok && current.revision !== from) {
					await transaction.done;
					return { ok: false, theirs: { value: theirs.value, revision: current.revision } };
				}
				if (current && theirs && !theirs.ok)
					await transaction.objectStore('kept').put(keptOf(current, wordsOf(theirs)));
				const revision = Math.max(from, current?.revision ?? 0) + 1;
				await own.put({ id: value.id, revision, savedAt: now(), value });
				await transaction.done;
				return { ok: true, revision };
			}),
		remove: (id) => guarded(() => db.delete(store, id)),
		count: () => guarded(() => db.count(store)),
		restore: (kept) =>
			guarded(async () => {
				const record = kept.record as Partial<StoredRecord> | null;
				const result = read(record?.value);
				if (kept.store !== store || !result.ok) return undefined;
				const { value } = result;
				const transaction = both();
				const own = transaction.objectStore(store);
				const revision = (record?.revision ?? 0) + 1;
				const isFree = (await own.get(value.id)) === undefined;
				if (isFree) {
					await own.put({ id: value.id, revision, savedAt: now(), value });
					await transaction.objectStore('kept').delete(kept.key);
				}
				await transaction.done;
				return isFree ? { value, revision } : undefined;
			})
	};
}

/** Everything that was ever kept aside, newest first. Throws a DataError where the database fails. */
export async function keptRecords(db: Database): Promise<readonly KeptRecord[]> {
	try {
		return (await db.getAll('kept')).sort((a, b) => b.keptAt - a.keptAt);
	} catch (cause) {
		throw dataErrorOf(cause);
	}
}
