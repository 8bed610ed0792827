// The browser's database: one store for each kind of record, one for the events of runs, upgraded step by step.
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** A value as it lies in its store; `revision` counts its saves, `savedAt` is in milliseconds since 1970. */
export interface StoredRecord {
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

/** An event of a run: only ever added. */
interface StoredEvent {
	/** `run/event`. */
	readonly key: string;
	readonly run: string;
	readonly event: unknown;
}

/** A picture of an evening: only ever added, or taken out with it. */
interface StoredPicture {
	readonly id: string;
	readonly evening: string;
	readonly blob: Blob;
}

interface Stores extends DBSchema {
	meals: { key: string; value: StoredRecord };
	kitchens: { key: string; value: StoredRecord };
	runs: { key: string; value: StoredRecord };
	techniques: { key: string; value: StoredRecord };
	events: { key: string; value: StoredEvent; indexes: { run: string } };
	kept: { key: string; value: KeptRecord };
	evenings: { key: string; value: StoredRecord };
	pictures: { key: string; value: StoredPicture };
}
const recordStores = ['meals', 'kitchens', 'runs', 'techniques', 'evenings'] as const;
export type RecordStore = (typeof recordStores)[number];
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
	},
	(db) => {
		db.createObjectStore('events', { keyPath: 'key' }).createIndex('run', 'run');
	},
	(db) => {
		db.createObjectStore('evenings', { keyPath: 'id' });
		db.createObjectStore('pictures', { keyPath: 'id' });
	}
];

/** What went wrong with the storage of the browser. */
export class DataError extends Error {
	constructor(
		readonly code: 'newer-database' | 'blocked' | 'damaged' | 'unavailable' | 'full',
		cause: unknown
	) {
		super(dataErrors[code], { cause });
		this.name = 'DataError';
	}
}

const inMemory = 'Juntos plans and cooks on, but keeps nothing: export the meal to a file before you leave.';
const dataErrors: Record<DataError['code'], string> = {
	'newer-database': `The data in this browser were written by a newer Juntos. Close its other tabs and reload. Until then ${inMemory}`,
	blocked: `Another tab still holds the data of an older Juntos. Close all other tabs of Juntos and reload this one. Until then ${inMemory}`,
	damaged: `The data in this browser are damaged: a part of the database is missing. ${inMemory}`,
	unavailable: `This browser does not let Juntos keep data (a private window, perhaps). ${inMemory}`,
	full: 'The storage of this browser is full: what you change now is not kept. Export the meal to a file, then free some space.'
};

/** What a failure of the database means. */
export function dataErrorOf(cause: unknown): DataError {
	if (cause instanceof DataError) return cause;
	const name = cause instanceof Error ? cause.name : '';
	const codes: Record<string, DataError['code']> = {
		VersionError: 'newer-database',
		QuotaExceededError: 'full',
		NotFoundError: 'damaged'
	};
	return new DataError(codes[name] ?? 'unavailable', cause);
}

/** A tab that holds an older version is given so long to let go, milliseconds. */
const patience = 2000;

/**
 * Open the database, upgraded to `version`.
 *
 * @param onGone called when the database was closed from outside: a newer version in another tab, or by the browser
 * @throws {DataError} `newer-database`, `blocked` (another tab does not let go), `damaged` (a store is missing), `unavailable`
 */
export async function openDatabase(
	onGone: (why: 'outdated' | 'terminated') => void,
	{ name = 'juntos', version = upgrades.length, waits = patience } = {}
): Promise<Database> {
	let giveUp: (error: DataError) => void = () => undefined;
	const blocked = new Promise<never>((_, reject) => {
		giveUp = reject;
	});
	let timer: ReturnType<typeof setTimeout> | undefined;
	let isLate = false;
	try {
		const opening = openDB<Stores>(name, version, {
			upgrade(open, from, to) {
				for (const step of upgrades.slice(from, to ?? undefined)) step(open);
			},
			blocked: () => {
				timer = setTimeout(() => {
					isLate = true;
					giveUp(new DataError('blocked', undefined));
				}, waits);
			},
			blocking: (_, __, event) => {
				(event.target as IDBDatabase).close();
				onGone('outdated');
			},
			terminated: () => {
				onGone('terminated');
			}
		});
		// What opens after all, when nobody waits any more, would block others.
		void opening.then(
			(db) => {
				if (isLate) db.close();
			},
			() => undefined
		);
		const db: Database = await Promise.race([opening, blocked]);
		const lacks =
			version < upgrades.length ? [] : [...recordStores, 'events', 'kept', 'pictures'].filter((s) => !names(db).has(s));
		if (lacks.length === 0) return db;
		db.close();
		throw new DataError('damaged', new Error(`no store ${lacks.join(', ')}`));
	} catch (cause) {
		throw dataErrorOf(cause);
	} finally {
		clearTimeout(timer);
	}
}

const names = (db: Database): ReadonlySet<string> => new Set(db.objectStoreNames);
