// The browser's data: upgrades keep what is there, two tabs do not overwrite each other, nothing unreadable is lost.
import 'fake-indexeddb/auto';
import { openDB } from 'idb';
import { expect, test } from 'vitest';
import { readKitchenData, readMealData } from '../core/formats/juntos/juntos';
import { demoKitchens, demoMeals } from '../core/library/demo';
import { library } from '../core/library/library';
import { DataError, openDatabase } from './database';
import { keptRecords, records } from './records';

const nobody = () => undefined;
const [meal] = demoMeals as [(typeof demoMeals)[number]];
const now = () => 1_700_000_000_000;
const read = (data: unknown) => readMealData(data, library);

test('a database of version 1 keeps its meals through the upgrade', async () => {
	const old = await openDatabase(nobody, { name: 'upgrade', version: 1 });
	await records(old, 'meals', read, now).save(meal, 0);
	expect([...old.objectStoreNames]).toEqual(['kitchens', 'meals']);
	old.close();
	const db = await openDatabase(nobody, { name: 'upgrade' });
	expect([...db.objectStoreNames]).toEqual(['kept', 'kitchens', 'meals', 'runs', 'techniques']);
	expect((await records(db, 'meals', read, now).list()).good).toEqual([{ value: meal, revision: 1 }]);
});

test('a database of a newer version is left alone, and said', async () => {
	(await openDB('newer', 99)).close();
	await expect(openDatabase(nobody, { name: 'newer' })).rejects.toMatchObject({
		name: 'DataError',
		code: 'newer-database'
	});
	await expect(openDatabase(nobody, { name: 'newer' })).rejects.toBeInstanceOf(DataError);
});

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

test('what cannot be read is reported once and kept aside as it was', async () => {
	const db = await openDatabase(nobody, { name: 'broken' });
	const broken = { id: 'old', revision: 4, savedAt: 0, value: { ...meal, version: 9 } };
	await db.put('meals', broken);
	const meals = records(db, 'meals', read, now);
	const { good, kept } = await meals.list();
	expect(good).toEqual([]);
	expect(kept[0]).toMatchObject({ store: 'meals', record: broken });
	expect(kept[0]?.why[0]).toContain('newer Juntos');
	expect((await meals.list()).kept).toEqual([]);
	expect((await keptRecords(db)).map((k) => k.record)).toEqual([broken]);
});

test('a record can be taken out, and each store reads its own kind', async () => {
	const db = await openDatabase(nobody, { name: 'kinds' });
	const kitchens = records(db, 'kitchens', readKitchenData, now);
	const [kitchen] = demoKitchens as [(typeof demoKitchens)[number]];
	await kitchens.save(kitchen, 0);
	expect((await kitchens.get(kitchen.id))?.value).toEqual(kitchen);
	await kitchens.remove(kitchen.id);
	expect(await kitchens.get(kitchen.id)).toBeUndefined();
});
