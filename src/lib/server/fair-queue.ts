// Who is served next: so many at a time, each client in turn. Whoever cannot begin soon is told so at once, not when the wait
// is over: every piece of work says how long it may take, and nobody is let in whom the others could keep waiting for longer.

/** Why somebody is turned away: too much waits in all, or too much of this client's. */
export type Full = 'full' | 'share';

/** What runs, and the instant at which it has to be done. */
interface Place {
	readonly ends: number;
}

interface Waiting {
	readonly client: string;
	readonly time: number;
	readonly begin: (place: Place) => void;
}

interface Limits {
	/** How many run at a time. */
	readonly slots: number;
	/** How many may wait in all, and of one client. */
	readonly longest: number;
	readonly share: number;
	/** Nobody waits for longer, where all keep to their time; milliseconds. */
	readonly wait: number;
}

export class FairQueue {
	private readonly running = new Set<Place>();
	/** By client, in the order in which they asked; clients in the order in which they are served. */
	private readonly waiting = new Map<string, Waiting[]>();
	private length = 0;

	/** @param now reads a clock, milliseconds */
	constructor(
		private readonly limits: Limits,
		private readonly now: () => number = () => performance.now()
	) {}

	/** How many wait. */
	get size(): number {
		return this.length;
	}

	/**
	 * Do a piece of work when its turn comes.
	 *
	 * @param time the longest that it may take, milliseconds
	 * @param signal takes it out of the queue; once it has begun it is for the work to heed
	 * @returns what the work returns; `full` or `share`, at once, where it may not wait; `gone` where it was taken out
	 */
	async run<T>(client: string, time: number, signal: AbortSignal, work: () => Promise<T>): Promise<T | Full | 'gone'> {
		if (signal.aborted) return 'gone';
		const refused = this.hasPlace() ? undefined : this.refusal(client, time);
		if (refused) return refused;
		const place = this.hasPlace() ? this.take(time) : await this.wait(client, time, signal);
		if (!place) return 'gone';
		try {
			return await work();
		} finally {
			this.running.delete(place);
			this.next();
		}
	}

	private hasPlace(): boolean {
		return this.running.size < this.limits.slots;
	}

	private take(time: number): Place {
		const place = { ends: this.now() + time };
		this.running.add(place);
		return place;
	}

	/**
	 * Why one more may not wait. In whatever order they are served, each begins once all others are done at the latest: their
	 * times over the places (Graham 1969, list scheduling).
	 */
	private refusal(client: string, time: number): Full | undefined {
		const { slots, longest, share, wait } = this.limits;
		const own = this.waiting.get(client)?.length ?? 0;
		if (own >= share) return 'share';
		if (this.length >= longest) return 'full';
		const times = [...[...this.waiting.values()].flat().map((w) => w.time), time];
		const now = this.now();
		const left = [...this.running].reduce((sum, { ends }) => sum + Math.max(0, ends - now), 0);
		const others = left + times.reduce((sum, t) => sum + t, 0) - Math.min(...times);
		if (others <= slots * wait) return undefined;
		return own > 0 ? 'share' : 'full';
	}

	private wait(client: string, time: number, signal: AbortSignal): Promise<Place | undefined> {
		return new Promise((resolve) => {
			const leave = () => {
				this.remove(entry);
				resolve(undefined);
			};
			const entry: Waiting = {
				client,
				time,
				begin: (place) => {
					signal.removeEventListener('abort', leave);
					resolve(place);
				}
			};
			this.waiting.set(client, [...(this.waiting.get(client) ?? []), entry]);
			this.length++;
			signal.addEventListener('abort', leave, { once: true });
		});
	}

	private remove(entry: Waiting): void {
		const own = this.waiting.get(entry.client) ?? [];
		const rest = own.filter((w) => w !== entry);
		if (rest.length === own.length) return;
		this.length--;
		if (rest.length === 0) this.waiting.delete(entry.client);
		else this.waiting.set(entry.client, rest);
	}

	/** Give a free place to the client whose turn it is, and put that client behind all others. */
	private next(): void {
		if (!this.hasPlace()) return;
		for (const [client, own] of this.waiting) {
			const [first, ...rest] = own;
			this.waiting.delete(client);
			if (!first) continue;
			this.length--;
			if (rest.length > 0) this.waiting.set(client, rest);
			first.begin(this.take(first.time));
			return;
		}
	}
}
