// The browser's data under faults: upgrades keep what is there, two tabs do not overwrite each other, nothing unreadable is
// lost, and what the storage refuses is said.
import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { openDB } from 'idb';
import { describe, expect, test } from 'vitest';
import type { Read } from '../core/issues';
import { readKitchenData, readMealData } from '../core/formats/juntos/juntos';
import { demoKitchens, demoMeals } from '../core/library/demo';
import { library } from '../core/library/library';
import { DataError, dataErrorOf, openDatabase, type StoredRecord } from './database';
import { eventLog } from './event-log';
import { keptRecords, records, type Records, type Saved } from './records';
import { Saver, type Clash } from './saver';

const nobody = () => undefined;
const [meal] = demoMeals as [(typeof demoMeals)[number]];
const now = () => 1_700_000_000_000;
const read = (data: unknown) => readMealData(data, library);

describe('the database', () => {
	test('one of version 1 keeps its meals through the upgrade', async () => {
		const old = await openDatabase(nobody, { name: 'upgrade', version: 1 });
		await records(old, 'meals', read, now).save(meal, 0).catch(nobody);
		await old.put('meals', { id: meal.id, revision: 1, savedAt: 0, value: meal });
		expect([...old.objectStoreNames]).toEqual(['kitchens', 'meals']);
		old.close();
		const db = await openDatabase(nobody, { name: 'upgrade' });
		expect([...db.objectStoreNames]).toEqual([
			'evenings',
			'events',
			'kept',
			'kitchens',
			'meals',
			'pictures',
			'runs',
			'techniques'
		]);
		expect((await records(db, 'meals', read, now).list()).good).toEqual([{ value: meal, revision: 1 }]);
	});

	test('one of a newer version is left alone, and said', async () => {
		(await openDB('newer', 99)).close();
		await expect(openDatabase(nobody, { name: 'newer' })).rejects.toMatchObject({
			name: 'DataError',
			code: 'newer-database'
		});
	});

	test('one that lacks a store is called damaged, and does not wait for ever', async () => {
		const broken = await openDB('lacking', 4, {
			upgrade: (db) => void db.createObjectStore('meals', { keyPath: 'id' })
		});
		broken.close();
		await expect(openDatabase(nobody, { name: 'lacking' })).rejects.toMatchObject({ code: 'damaged' });
	});

	test('an upgrade that another tab blocks ends with word of it, and lets go when it comes through after all', async () => {
		const holds = await openDB('blocked', 1, {
			upgrade: (db) => {
				for (const store of ['meals', 'kitchens']) db.createObjectStore(store, { keyPath: 'id' });
			}
		});
		await expect(openDatabase(nobody, { name: 'blocked', waits: 20 })).rejects.toMatchObject({ code: 'blocked' });
		holds.close();
		await new Promise((resolve) => setTimeout(resolve, 30));
		const again = await openDatabase(nobody, { name: 'blocked' });
		expect(again.objectStoreNames).toContain('meals');
	});

	test('a tab that is outdated is told, and lets go', async () => {
		const told: string[] = [];
		await openDatabase((why) => told.push(why), { name: 'outdated' });
		const newer = await openDB('outdated', 50);
		expect(told).toEqual(['outdated']);
		newer.close();
	});

	test('storage that is denied is said', async () => {
		const kept = globalThis.indexedDB;
		Object.defineProperty(globalThis, 'indexedDB', { value: undefined, configurable: true });
		await expect(openDatabase(nobody, { name: 'denied' })).rejects.toMatchObject({ code: 'unavailable' });
		Object.defineProperty(globalThis, 'indexedDB', { value: kept, configurable: true });
	});

	test.each([
		['QuotaExceededError', 'full'],
		['NotFoundError', 'damaged'],
		['VersionError', 'newer-database'],
		['InvalidStateError', 'unavailable']
	])('a %s means %s, in words with what to do', (name, code) => {
		const error = dataErrorOf(new DOMException('x', name));
		expect(error).toBeInstanceOf(DataError);
		expect(error.code).toBe(code);
		expect(error.message).toMatch(/export|Export/);
	});
});

describe('records', () => {
	test('the second of two tabs that changed the same meal is told, and nothing is overwritten', async () => {
		const meals = records(await openDatabase(nobody, { name: 'tabs' }), 'meals', read, now);
		expect(await meals.save(meal, 0)).toEqual({ ok: true, revision: 1 });
		const mine = { ...meal, covers: 7 };
		const theirs = { ...meal, covers: 8 };
		expect(await meals.save(theirs, 1)).toEqual({ ok: true, revision: 2 });
		expect(await meals.save(mine, 1)).toEqual({ ok: false, theirs: { value: theirs, revision: 2 } });
		expect(await meals.get(meal.id)).toEqual({ value: theirs, revision: 2 });
		expect(await meals.save(mine, 2)).toEqual({ ok: true, revision: 3 });
	});

	const broken = { id: meal.id, revision: 4, savedAt: 0, value: { ...meal, version: 9 } };

	test.each([
		['listed', (meals: Records<typeof meal>) => meals.list()],
		['asked for', (meals: Records<typeof meal>) => meals.get(meal.id)],
		['saved over', (meals: Records<typeof meal>) => meals.save({ ...meal, covers: 3 }, 0)]
	])('one that cannot be read is kept aside as it was when it is %s', async (how, act) => {
		const db = await openDatabase(nobody, { name: `broken ${how}` });
		await db.put('meals', broken);
		const meals = records(db, 'meals', read, now);
		await act(meals);
		await act(meals).catch(nobody);
		const kept = await keptRecords(db);
		expect(kept.map((k) => k.record)).toEqual([broken]);
		expect(kept[0]?.why[0]).toContain('newer Juntos');
		if (how === 'saved over') expect((await meals.get(meal.id))?.value.covers).toBe(3);
		else expect(await meals.get(meal.id)).toBeUndefined();
	});

	test('one that was kept aside comes back once it can be read, and never over another', async () => {
		const db = await openDatabase(nobody, { name: 'restored' });
		let isNew = false;
		const readNew = (data: unknown): Read<typeof meal> => {
			const mended = isNew && typeof data === 'object' ? { ...data, version: 1 } : data;
			return read(mended);
		};
		await db.put('meals', broken);
		const meals = records(db, 'meals', readNew, now);
		await meals.list();
		const [kept] = await keptRecords(db);
		expect(await meals.restore(kept!)).toBeUndefined();
		isNew = true;
		await meals.save({ ...meal, covers: 2 }, 0);
		expect(await meals.restore(kept!)).toBeUndefined();
		expect((await meals.get(meal.id))?.value.covers).toBe(2);
		await meals.remove(meal.id);
		expect((await meals.restore(kept!))?.value).toEqual(meal);
		expect(await keptRecords(db)).toEqual([]);
		expect((await meals.list()).good.map((g) => g.value)).toEqual([meal]);
	});

	test('each store reads its own kind, and a record can be taken out', async () => {
		const db = await openDatabase(nobody, { name: 'kinds' });
		const kitchens = records(db, 'kitchens', readKitchenData, now);
		const [kitchen] = demoKitchens as [(typeof demoKitchens)[number]];
		await kitchens.save(kitchen, 0);
		expect((await kitchens.get(kitchen.id))?.value).toEqual(kitchen);
		await kitchens.remove(kitchen.id);
		expect(await kitchens.get(kitchen.id)).toBeUndefined();
	});

	test('a database that was closed under it fails with words, in every way', async () => {
		const db = await openDatabase(nobody, { name: 'closed' });
		const meals = records(db, 'meals', read, now);
		db.close();
		for (const act of [meals.list(), meals.get('x'), meals.save(meal, 0), meals.remove('x'), keptRecords(db)])
			await expect(act).rejects.toBeInstanceOf(DataError);
	});
});

describe('the event log', () => {
	interface Tap {
		readonly id: string;
		readonly n: number;
	}
	const readTap = (data: unknown) => (typeof (data as Tap | null)?.n === 'number' ? (data as Tap) : undefined);

	test('two tabs that add to one run have both, whatever the order, each event once', async () => {
		const db = await openDatabase(nobody, { name: 'log' });
		const tap = (id: string, n: number): Tap => ({ id, n });
		const [a, b] = [eventLog(db, readTap), eventLog(db, readTap)];
		await Promise.all([
			...[1, 2, 3, 4].map((n) => a.add('run', [tap(`a${n}`, n)])),
			...[1, 2].map((n) => b.add('run', [tap(`b${n}`, n), tap('a1', 1)]))
		]);
		await a.add('other', [tap('a1', 99)]);
		const { events, unread } = await b.list('run');
		expect(events.map((e) => e.id).toSorted()).toEqual(['a1', 'a2', 'a3', 'a4', 'b1', 'b2']);
		expect(unread).toBe(0);
		expect((await a.list('other')).events).toEqual([tap('a1', 99)]);
	});

	test('what cannot be read is counted, and stays', async () => {
		const db = await openDatabase(nobody, { name: 'odd log' });
		await db.put('events', { key: 'run/x', run: 'run', event: 'nonsense' });
		const log = eventLog(db, readTap);
		await log.add('run', [{ id: 'y', n: 1 }]);
		expect(await log.list('run')).toEqual({ events: [{ id: 'y', n: 1 }], unread: 1 });
		expect(await db.count('events')).toBe(2);
		db.close();
		await expect(log.add('run', [{ id: 'z', n: 1 }])).rejects.toBeInstanceOf(DataError);
		await expect(log.list('run')).rejects.toBeInstanceOf(DataError);
	});
});

describe('the saver', () => {
	interface Note {
		readonly id: string;
		readonly n: number;
	}
	/** A store that takes its time, and fails or is changed by another tab when told to. */
	function slowStore() {
		const lies = new Map<string, StoredRecord>();
		const saves: number[] = [];
		let inFlight = 0;
		let most = 0;
		const state = { failure: undefined as Error | undefined };
		const store: Records<Note> = {
			list: () => Promise.resolve({ good: [], kept: [] }),
			get: () => Promise.resolve(undefined),
			remove: () => Promise.resolve(),
			count: () => Promise.resolve(0),
			restore: () => Promise.resolve(undefined),
			async save(value, from): Promise<Saved<Note>> {
				most = Math.max(most, ++inFlight);
				await new Promise((resolve) => setTimeout(resolve, 1));
				inFlight--;
				if (state.failure) throw state.failure;
				const current = lies.get(value.id);
				if (current && current.revision !== from)
					return { ok: false, theirs: { value: current.value as Note, revision: current.revision } };
				const revision = (current?.revision ?? 0) + 1;
				lies.set(value.id, { id: value.id, revision, savedAt: 0, value });
				saves.push(value.n);
				return { ok: true, revision };
			}
		};
		const otherTab = (value: Note) => {
			const revision = (lies.get(value.id)?.revision ?? 0) + 1;
			lies.set(value.id, { id: value.id, revision, savedAt: 0, value });
		};
		return { store, lies, saves, state, otherTab, most: () => most };
	}
	function saverOf(store: Records<Note>) {
		const clashes: Clash<'notes', Note>[] = [];
		const errors: DataError[] = [];
		const saver = new Saver<'notes', Note>(
			{ notes: store },
			{ onSaved: nobody, onClash: (c) => clashes.push(c), onError: (e) => errors.push(e) }
		);
		return { saver, clashes, errors };
	}
	const note = (n: number, id = 'a'): Note => ({ id, n });

	test('however fast it is put, the newest value is what lies there in the end, with one save in flight a record', async () => {
		await fc.assert(
			fc.asyncProperty(fc.array(fc.nat({ max: 3 }), { minLength: 1, maxLength: 20 }), async (pauses) => {
				const slow = slowStore();
				const { saver, clashes } = saverOf(slow.store);
				for (const [n, pause] of pauses.entries()) {
					saver.put('notes', note(n + 1));
					if (pause > 1) await new Promise((resolve) => setTimeout(resolve, pause));
				}
				await saver.settled();
				expect(slow.lies.get('a')?.value).toEqual(note(pauses.length));
				expect(slow.saves).toEqual(slow.saves.toSorted((a, b) => a - b));
				expect([slow.most(), clashes.length]).toEqual([1, 0]);
			}),
			{ numRuns: 25, seed: 3 }
		);
	});

	test('a clash is told and nothing is written; what is put meanwhile is kept, and saved when mine is chosen', async () => {
		const slow = slowStore();
		const { saver, clashes } = saverOf(slow.store);
		saver.put('notes', note(1));
		await saver.settled();
		slow.otherTab(note(50));
		saver.put('notes', note(2));
		await saver.settled();
		expect(clashes).toEqual([{ kind: 'notes', theirs: note(50), revision: 2 }]);
		saver.put('notes', note(3));
		await saver.settled();
		expect(slow.lies.get('a')?.value).toEqual(note(50));
		expect(clashes).toHaveLength(1);
		saver.settle(clashes[0]!, 'mine');
		await saver.settled();
		expect(slow.lies.get('a')?.value).toEqual(note(3));
		saver.put('notes', note(4));
		await saver.settled();
		expect(slow.lies.get('a')?.value).toEqual(note(4));
	});

	test('theirs chosen, what is here is given up, and the next change comes on top of it', async () => {
		const slow = slowStore();
		const { saver, clashes } = saverOf(slow.store);
		slow.otherTab(note(50));
		saver.put('notes', note(1));
		await saver.settled();
		saver.settle(clashes[0]!, 'theirs');
		await saver.settled();
		expect(slow.lies.get('a')?.value).toEqual(note(50));
		expect(saver.holds('notes', clashes[0]!.theirs)).toBe(true);
		saver.put('notes', note(51));
		await saver.settled();
		expect(slow.lies.get('a')?.value).toEqual(note(51));
		expect(clashes).toHaveLength(1);
	});

	test('a full storage is said, other records go on, and what failed is saved when there is room', async () => {
		const slow = slowStore();
		const { saver, errors } = saverOf(slow.store);
		slow.state.failure = new DOMException('no room', 'QuotaExceededError');
		saver.put('notes', note(1));
		await saver.settled();
		expect(errors.map((e) => e.code)).toEqual(['full']);
		expect(slow.lies.size).toBe(0);
		slow.state.failure = undefined;
		saver.put('notes', note(9, 'b'));
		saver.retry();
		await saver.settled();
		expect([...slow.lies.values()].map((r) => r.value)).toEqual(expect.arrayContaining([note(1), note(9, 'b')]));
	});

	test('what was read is not saved again, and its revision is built on', async () => {
		const slow = slowStore();
		const { saver } = saverOf(slow.store);
		slow.otherTab(note(1));
		const one = note(1);
		saver.note('notes', one, 1);
		saver.put('notes', one);
		await saver.settled();
		expect(slow.saves).toEqual([]);
		expect([saver.holds('notes', one), saver.revision('notes', 'a')]).toEqual([true, 1]);
		saver.put('notes', note(2));
		await saver.settled();
		expect([slow.saves, saver.revision('notes', 'a')]).toEqual([[2], 2]);
	});
});
