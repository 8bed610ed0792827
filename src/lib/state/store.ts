// What the application keeps in the browser, opened once: its records, the events of runs, and the failures on the way.
import { readKitchenData, readMealData } from '../core/formats/juntos/juntos';
import type { Kitchen } from '../core/model/kitchen';
import type { Meal } from '../core/model/meal';
import { readTechnique, type Technique } from '../core/model/technique';
import { readEvening, type CookedEvening } from '../core/record/evening';
import { eventSchema, readRun, type Run, type RunEvent } from '../core/run/events';
import { dateAt } from '../core/units/zoned';
import { openDatabase, type Database } from '../data/database';
import { eventLog, type EventLog } from '../data/event-log';
import { pictures, type Pictures } from '../data/pictures';
import { keptRecords, records, type Records } from '../data/records';
import { clocks, zone } from './clocks';

export interface Store {
	readonly meals: Records<Meal>;
	readonly kitchens: Records<Kitchen>;
	/** The cook's own. */
	readonly techniques: Records<Technique>;
	/** Without their events. */
	readonly runs: Records<Run>;
	readonly events: EventLog<RunEvent>;
	readonly evenings: Records<CookedEvening>;
	readonly pictures: Pictures;
	kept(): ReturnType<typeof keptRecords>;
}

/**
 * @param onGone the database was closed from outside
 * @param techniques all that there are when a meal is read
 * @throws {DataError} when the browser keeps nothing
 */
export async function openStore(
	onGone: (why: 'outdated' | 'terminated') => void,
	techniques: () => ReadonlyMap<string, Technique>
): Promise<Store> {
	const db: Database = await openDatabase(onGone);
	const now = () => Date.now();
	const today = () => ({ date: dateAt(clocks().wall, zone()), zone: zone() });
	return {
		meals: records(db, 'meals', (data) => readMealData(data, techniques()), now),
		kitchens: records(db, 'kitchens', readKitchenData, now),
		techniques: records(db, 'techniques', (data) => readTechnique(data), now),
		runs: records(db, 'runs', (data) => readRun(data, today()), now),
		events: eventLog(db, (data) => {
			const parsed = eventSchema.safeParse(data);
			return parsed.success ? parsed.data : undefined;
		}),
		evenings: records(db, 'evenings', readEvening, now),
		pictures: pictures(db),
		kept: () => keptRecords(db)
	};
}
