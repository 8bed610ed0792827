// The events of runs as they are kept: one small record each, only ever added, so that no tab can overwrite another's.
import { dataErrorOf, type Database } from './database';

export interface EventLog<E extends { readonly id: string }> {
	/** Add events of a run; those that are there already stay. Throws a DataError where the database fails. */
	add(run: string, events: readonly E[]): Promise<void>;
	/** The events of a run that can be read, and how many cannot. Throws a DataError where the database fails. */
	list(run: string): Promise<{ readonly events: readonly E[]; readonly unread: number }>;
}

/** @param read an event, or `undefined` where it cannot be read: it stays where it is */
export function eventLog<E extends { readonly id: string }>(
	db: Database,
	read: (data: unknown) => E | undefined
): EventLog<E> {
	return {
		async add(run, events) {
			try {
				const transaction = db.transaction('events', 'readwrite');
				for (const event of events) {
					const key = `${run}/${event.id}`;
					if ((await transaction.store.getKey(key)) === undefined) await transaction.store.put({ key, run, event });
				}
				await transaction.done;
			} catch (cause) {
				throw dataErrorOf(cause);
			}
		},
		async list(run) {
			try {
				const stored = await db.getAllFromIndex('events', 'run', run);
				const events = stored.flatMap((s) => read(s.event) ?? []);
				return { events, unread: stored.length - events.length };
			} catch (cause) {
				throw dataErrorOf(cause);
			}
		}
	};
}
