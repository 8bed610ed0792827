// The browser's database: one store for each kind of record, upgraded step by step.
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** A value as it lies in its store; `revision` counts its saves, `savedAt` is in milliseconds since 1970. */
interface StoredRecord {
	readonly id: string;
	readonly revision: number;
	readonly savedAt: number;
	readonly value: unknown;
}

/** A record that could not be read: taken out of its store, never thrown away. */
export interface KeptRecord {
	readonly key: string;
	readonly store: RecordStore;
	readonly record: unknown;
	/** What was wrong, in words. */
	readonly why: readonly string[];
	readonly keptAt: number;
}

interface Stores extends DBSchema {
	meals: { key: string; value: StoredRecord };
	kitchens: { key: string; value: StoredRecord };
	runs: { key: string; value: StoredRecord };
	techniques: { key: string; value: StoredRecord };
	kept: { key: string; value: KeptRecord };
}
export type RecordStore = 'meals' | 'kitchens' | 'runs' | 'techniques';
export type Database = IDBPDatabase<Stores>;
type Upgrade = (db: Database) => void;

/** Step i leads from version i to version i + 1. Never changed once shipped: a new layout is a new step. */
const upgrades: readonly Upgrade[] = [
	(db) => {
		db.createObjectStore('meals', { keyPath: 'id' });
		db.createObjectStore('kitchens', { keyPath: 'id' });
	},
	(db) => {
		db.createObjectStore('runs', { keyPath: 'id' });
		db.createObjectStore('kept', { keyPath: 'key' });
	},
	(db) => {
		db.createObjectStore('techniques', { keyPath: 'id' });
	}
];

/** What went wrong with the storage of the browser. */
export class DataError extends Error {
	constructor(
		readonly code: 'newer-database' | 'unavailable' | 'full',
		cause: unknown
	) {
		super(dataErrors[code], { cause });
		this.name = 'DataError';
	}
}

const dataErrors: Record<DataError['code'], string> = {
	'newer-database':
		'The data in this browser were written by a newer Juntos. Close its other tabs and reload; until then nothing is saved here.',
	unavailable:
		'This browser does not let Juntos keep data (a private window, perhaps). Export the meal to a file before you leave.',
	full: 'The storage of this browser is full. Export the meal to a file, then free some space.'
};

/**
 * Open the database, upgraded to `version`.
 *
 * @param onOutdated called when another tab needs a newer version; the database is closed by then
 * @throws {DataError} `newer-database` or `unavailable`
 */
export async function openDatabase(
	onOutdated: () => void,
	{ name = 'juntos', version = upgrades.length } = {}
): Promise<Database> {
	try {
		const db: Database = await openDB<Stores>(name, version, {
			upgrade(open, from, to) {
				for (const step of upgrades.slice(from, to ?? undefined)) step(open);
			},
			blocking: () => {
				db.close();
				onOutdated();
			}
		});
		return db;
	} catch (cause) {
		const isNewer = cause instanceof Error && cause.name === 'VersionError';
		throw new DataError(isNewer ? 'newer-database' : 'unavailable', cause);
	}
}
