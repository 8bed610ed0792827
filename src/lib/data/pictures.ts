// Pictures of evenings as they are kept: blobs by name.
import { dataErrorOf, type Database } from './database';

export interface Pictures {
	/** Both throw a DataError where the database fails. */
	add(id: string, evening: string, blob: Blob): Promise<void>;
	get(id: string): Promise<Blob | undefined>;
}

export function pictures(db: Database): Pictures {
	const guarded = async <R>(work: () => Promise<R>): Promise<R> => {
		try {
			return await work();
		} catch (cause) {
			throw dataErrorOf(cause);
		}
	};
	return {
		add: (id, evening, blob) =>
			guarded(async () => {
				await db.put('pictures', { id, evening, blob });
			}),
		get: (id) => guarded(async () => (await db.get('pictures', id))?.blob)
	};
}
