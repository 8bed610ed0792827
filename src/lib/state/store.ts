// What the application keeps in the browser, opened once: its records, the other tabs, and the failures on the way.
import { readKitchenData, readMealData } from '../core/formats/juntos/juntos';
import { library } from '../core/library/library';
import type { Kitchen } from '../core/model/kitchen';
import type { Meal } from '../core/model/meal';
import { readRun, type Run } from '../core/run/run';
import { openDatabase, type Database } from '../data/database';
import { keptRecords, records, type Records } from '../data/records';

export interface Store {
	readonly meals: Records<Meal>;
	readonly kitchens: Records<Kitchen>;
	readonly runs: Records<Run>;
	kept(): ReturnType<typeof keptRecords>;
}

/** @throws {DataError} when the browser keeps nothing */
export async function openStore(onOutdated: () => void): Promise<Store> {
	const db: Database = await openDatabase(onOutdated);
	const now = () => Date.now();
	return {
		meals: records(db, 'meals', (data) => readMealData(data, library), now),
		kitchens: records(db, 'kitchens', readKitchenData, now),
		runs: records(db, 'runs', readRun, now),
		kept: () => keptRecords(db)
	};
}
