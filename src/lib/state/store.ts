// What the application keeps in the browser, opened once: its records, the other tabs, and the failures on the way.
import { readKitchenData, readMealData } from '../core/formats/juntos/juntos';
import type { Kitchen } from '../core/model/kitchen';
import type { Meal } from '../core/model/meal';
import { readTechnique, type Technique } from '../core/model/technique';
import { readRun, type Run } from '../core/run/run';
import { openDatabase, type Database } from '../data/database';
import { keptRecords, records, type Records } from '../data/records';

export interface Store {
	readonly meals: Records<Meal>;
	readonly kitchens: Records<Kitchen>;
	/** The cook's own. */
	readonly techniques: Records<Technique>;
	readonly runs: Records<Run>;
	kept(): ReturnType<typeof keptRecords>;
}

/**
 * @param onOutdated another tab has a newer version
 * @param techniques all that there are when a meal is read
 * @throws {DataError} when the browser keeps nothing
 */
export async function openStore(
	onOutdated: () => void,
	techniques: () => ReadonlyMap<string, Technique>
): Promise<Store> {
	const db: Database = await openDatabase(onOutdated);
	const now = () => Date.now();
	return {
		meals: records(db, 'meals', (data) => readMealData(data, techniques()), now),
		kitchens: records(db, 'kitchens', readKitchenData, now),
		techniques: records(db, 'techniques', (data) => readTechnique(data), now),
		runs: records(db, 'runs', readRun, now),
		kept: () => keptRecords(db)
	};
}
