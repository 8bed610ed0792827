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

/** A data URL as a blob. */
export function blobOf(url: string): Blob {
	const [head = '', body = ''] = url.split(',');
	const bytes = Uint8Array.from(atob(body), (c) => c.charCodeAt(0));
	return new Blob([bytes], { type: /^data:([^;]+)/.exec(head)?.[1] ?? 'image/jpeg' });
}

/** A blob as a data URL. */
export async function dataUrlOf(blob: Blob): Promise<string> {
	const bytes = new Uint8Array(await blob.arrayBuffer());
	let text = '';
	for (const byte of bytes) text += String.fromCharCode(byte);
	return `data:${blob.type || 'image/jpeg'};base64,${btoa(text)}`;
}
