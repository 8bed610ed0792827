// When things really start, once life differs from the plan: a pure policy, used by the live run and by the rehearsal alike.

/** A step as it is to be done: times in seconds. */
export interface Job {
	readonly planned: number;
	readonly duration: number;
	/** It starts no earlier than so long after these have ended. */
	readonly waits: readonly { readonly on: number; readonly least: number }[];
	/** What it takes meanwhile, in stretches of its planned duration. */
	readonly uses: readonly Stretch[];
	/** The temperature that it needs of an oven. */
	readonly state?: { readonly id: number; readonly value: number } | undefined;
}

interface Stretch {
	readonly resource: number;
	readonly amount: number;
	readonly from: number;
	readonly to: number;
}

/** Jobs by index, what they share, and how long an oven takes from one value to another. */
export interface Network {
	readonly jobs: readonly Job[];
	readonly capacities: readonly number[];
	/** Taken from the start of one job to the end of another. */
	readonly holds: readonly {
		readonly resource: number;
		readonly amount: number;
		readonly from: number;
		readonly to: number;
	}[];
	readonly change: (state: number, from: number, to: number) => number;
}

/** What is known of a job: when it began, and when it ended, or will. */
export interface Known {
	readonly start: number;
	readonly end?: number | undefined;
}

export interface Circumstances {
	/** Seconds that each job takes, by index; absent: as planned. */
	readonly durations?: ArrayLike<number> | undefined;
	/** What has happened already, by job. */
	readonly known?: ReadonlyMap<number, Known> | undefined;
	/** Nothing else starts before. */
	readonly now?: number | undefined;
	/** Whether a job starts before its planned time where all that it waits for allows. */
	readonly early?: boolean | undefined;
}

export interface Dispatched {
	readonly starts: Float64Array;
	readonly ends: Float64Array;
}

/** A moment at which a job needs something that it has not had: its beginning, and each use that begins later. */
interface Moment {
	readonly job: number;
	/** From the planned start. */
	readonly offset: number;
	readonly uses: readonly Stretch[];
}

/** The order of a plan's moments: by planned time; at one time whoever is waited for first. */
function momentsOf({ jobs }: Network): readonly Moment[] {
	const depth = new Int32Array(jobs.length).fill(-1);
	const depthOf = (i: number): number => {
		if (depth[i] === -2) return 0;
		if (depth[i]! >= 0) return depth[i]!;
		depth[i] = -2;
		depth[i] = jobs[i]!.waits.reduce((most, w) => Math.max(most, depthOf(w.on) + 1), 0);
		return depth[i];
	};
	const moments = jobs.flatMap((job, i): Moment[] => {
		const offsets = [...new Set([0, ...job.uses.map((u) => u.from)])];
		return offsets.map((offset) => ({ job: i, offset, uses: job.uses.filter((u) => u.from === offset) }));
	});
	const at = (m: Moment) => jobs[m.job]!.planned + m.offset;
	return moments.sort(
		(a, b) => at(a) - at(b) || depthOf(a.job) - depthOf(b.job) || a.job - b.job || a.offset - b.offset
	);
}

/** A dispatcher for one plan: the order is worked out once, each evening then is one pass. */
export class Dispatcher {
	private readonly moments: readonly Moment[];
	/** Holds by the job that begins them. */
	private readonly held: ReadonlyMap<number, Network['holds']>;

	constructor(private readonly network: Network) {
		this.moments = momentsOf(network);
		const held = new Map<number, Network['holds'][number][]>();
		for (const h of network.holds) held.set(h.from, [...(held.get(h.from) ?? []), h]);
		this.held = held;
	}

	/**
	 * Each job starts at its planned time, or as soon after as all that it waits for allows: minimal waits, and each resource,
	 * hold and oven in the planned order of its takers (the policy of a list schedule kept: Stork 2001, stochastic RCPSP,
	 * "earliest start given the order"). A use that begins within a job waits for its resource when it comes, and the rest of
	 * the job with it. Longest waits are not enforced.
	 */
	run({ durations, known = new Map(), now = -Infinity, early = false }: Circumstances = {}): Dispatched {
		const { jobs, capacities, change } = this.network;
		const n = jobs.length;
		const starts = new Float64Array(n).fill(NaN);
		/** What a job has been held up within itself, and how much longer than planned each second of it is. */
		const delay = new Float64Array(n);
		const factor = Float64Array.from(jobs, (j, i) => (durations ? durations[i]! / j.duration : 1));
		const endOf = (i: number) => {
			const fact = known.get(i)?.end;
			if (fact !== undefined) return fact;
			const start = Number.isNaN(starts[i]!) ? jobs[i]!.planned : starts[i]!;
			return start + jobs[i]!.duration * factor[i]! + delay[i]!;
		};
		interface Taker {
			readonly amount: number;
			readonly end: () => number;
		}
		const takers: Taker[][] = capacities.map(() => []);
		const freeAt = (resource: number, amount: number, from: number): number => {
			let left = capacities[resource]!;
			const ends: { end: number; amount: number }[] = [];
			for (const t of takers[resource]!) {
				const end = t.end();
				if (end <= from) continue;
				left -= t.amount;
				ends.push({ end, amount: t.amount });
			}
			let at = from;
			ends.sort((a, b) => a.end - b.end);
			for (const e of ends) {
				if (left >= amount) break;
				left += e.amount;
				at = e.end;
			}
			return at;
		};
		const users: { job: number; value: number }[][] = [];
		for (const { job: j, offset, uses } of this.moments) {
			const job = jobs[j]!;
			const fact = known.get(j);
			const isStart = offset === 0;
			let at: number;
			if (isStart && fact) at = fact.start;
			else if (isStart) {
				const waited = job.waits.reduce((t, w) => Math.max(t, endOf(w.on) + w.least), -Infinity);
				at = Math.max(now, early && job.waits.length > 0 ? waited : Math.max(job.planned, waited));
				if (job.state) {
					const { id, value } = job.state;
					for (const u of users[id] ?? [])
						if (u.value !== value) at = Math.max(at, endOf(u.job) + change(id, u.value, value));
				}
			} else at = starts[j]! + offset * factor[j]! + delay[j]!;
			const expected = at;
			// What has begun has what it has; nobody asks again.
			if (!fact) for (const u of uses) at = Math.max(at, freeAt(u.resource, u.amount, at));
			if (isStart) {
				for (const h of fact ? [] : (this.held.get(j) ?? [])) at = Math.max(at, freeAt(h.resource, h.amount, at));
				starts[j] = at;
				for (const h of this.held.get(j) ?? []) takers[h.resource]!.push({ amount: h.amount, end: () => endOf(h.to) });
				if (job.state) (users[job.state.id] ??= []).push({ job: j, value: job.state.value });
			} else delay[j]! += at - expected;
			for (const u of uses) {
				const isToEnd = u.to >= job.duration;
				takers[u.resource]!.push({
					amount: u.amount,
					end: () => (isToEnd ? endOf(j) : Math.min(endOf(j), starts[j]! + u.to * factor[j]! + delay[j]!))
				});
			}
		}
		return { starts, ends: Float64Array.from(jobs, (_, i) => endOf(i)) };
	}
}
