// How a run is kept: its head as a record, its events one by one; and word from the other tabs.
import { merged, type Run, type RunEvent } from '../core/run/events';
import type { DataError } from '../data/database';
import { dataErrorOf } from '../data/database';
import type { EventLog } from '../data/event-log';
import type { Records } from '../data/records';

export interface RunKeeping {
	/** The run of a meal that was begun, with all its events; `undefined` where there is none. */
	load(meal: string): Promise<Run | undefined>;
	/** Keep the head of a run: its plan, its day, its clock. */
	keepHead(run: Run): void;
	/** Keep an event; where that fails it is tried again with the next one, and said. */
	add(run: string, event: RunEvent): void;
	/** Events of a run that other tabs have added. */
	events(run: string): Promise<readonly RunEvent[]>;
	/** Be told when another tab has changed something: a run's head, by its meal, or events, by their run. */
	listen(onNews: (news: { readonly what: 'head' | 'events'; readonly id: string }) => void): () => void;
}

/**
 * @param store where heads and events lie
 * @param put saves a head
 * @param tell tells the other tabs of new events
 */
export function runKeeping(
	store: { readonly runs: Pick<Records<Run>, 'get'>; readonly events: EventLog<RunEvent> },
	put: (run: Run, revision?: number) => void,
	tell: (run: string) => void,
	onError: (error: DataError) => void
): RunKeeping & { hear(what: 'head' | 'events', id: string): void } {
	const waiting = new Map<string, RunEvent[]>();
	const listeners = new Set<(news: { what: 'head' | 'events'; id: string }) => void>();
	let last: Promise<void> = Promise.resolve();

	const flush = async (run: string): Promise<void> => {
		const events = waiting.get(run) ?? [];
		if (events.length === 0) return;
		try {
			await store.events.add(run, events);
			waiting.set(
				run,
				(waiting.get(run) ?? []).filter((e) => !events.includes(e))
			);
			tell(run);
		} catch (cause) {
			onError(dataErrorOf(cause));
		}
	};
	const guarded = async <T>(work: () => Promise<T>, otherwise: T): Promise<T> => {
		try {
			return await work();
		} catch (cause) {
			onError(dataErrorOf(cause));
			return otherwise;
		}
	};
	const list = (run: string) => guarded(async () => (await store.events.list(run)).events, []);
	return {
		load: (meal) =>
			guarded(async () => {
				const head = await store.runs.get(meal);
				if (!head) return undefined;
				const { value } = head;
				put({ ...value, events: [] }, head.revision);
				// A run of before carries its events with it.
				if (value.events.length > 0) await store.events.add(value.run, value.events);
				return { ...value, events: [...merged(value.events, await list(value.run))] };
			}, undefined),
		keepHead: (run) => {
			put({ ...run, events: [] });
		},
		add(run, event) {
			waiting.set(run, [...(waiting.get(run) ?? []), event]);
			// One write after the other, each with all that waits.
			last = last.then(() => flush(run));
		},
		events: list,
		listen(onNews) {
			listeners.add(onNews);
			return () => listeners.delete(onNews);
		},
		hear(what, id) {
			for (const listener of listeners) listener({ what, id });
		}
	};
}
