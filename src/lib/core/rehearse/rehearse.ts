// How likely a plan is: thousands of evenings of it, what they say of each service and step, better known with each batch.
import type { Problem, Schedule } from '../plan/problem';
import { batch, Delays, Lengths, type Spread } from './draws';
import { Network, type Policy } from './network';
import { Troubles, type Struck } from './troubles';

export interface Rehearsal {
	readonly problem: Problem;
	readonly schedule: Schedule;
	/** By task; one that is not named takes what is planned. */
	readonly durations: Readonly<Record<string, Spread>>;
	readonly policy: Policy;
	/** Tasks that somebody has to see to, each time so many seconds late on the mean; absent: all in time. */
	readonly dithering?: { readonly mean: number; readonly concerns: (task: string) => boolean } | undefined;
	/** What goes wrong: how many mishaps an hour, and how they find each task; absent: nothing does. */
	readonly mishaps?:
		| {
				readonly perHour: number;
				readonly cooks: readonly string[];
				readonly struck: (task: string) => Omit<Struck, 'event' | 'start' | 'length'> | undefined;
		  }
		| undefined;
	/** A service that goes out no later than so many seconds is on time. */
	readonly tolerance: number;
	/** Evenings. */
	readonly runs: number;
	readonly seed: number;
}

interface Slips {
	readonly p50: number;
	readonly p80: number;
	readonly p95: number;
	readonly mean: number;
}

interface ServiceOdds {
	/** Share of the evenings in which it goes out on time. */
	readonly onTime: number;
	/** Seconds late. */
	readonly slip: Slips;
}

/** Three quantiles, s. */
export interface Fan {
	readonly p10: number;
	readonly p50: number;
	readonly p90: number;
}

interface TaskOdds {
	/** Share of the evenings in which, a little shorter, it would have made the last service earlier. */
	readonly critical: number;
	/** Share of the evenings that were not on time for that, and by how much it made them later by its overrun, s on the mean of all. */
	readonly blamed: number;
	readonly delay: number;
	/** When it ends, s from instant 0. */
	readonly end: Fan;
}

export interface Odds {
	readonly runs: number;
	/** Share of the evenings in which all services are on time, and its standard error. */
	readonly onTime: number;
	readonly error: number;
	readonly services: Readonly<Record<string, ServiceOdds>>;
	readonly tasks: Readonly<Record<string, TaskOdds>>;
	/** Longest waits that are broken in an evening, and what it costs, on the mean. */
	readonly breaches: number;
	readonly cost: number;
	/** Of each service, how late it is at the k-th of hundred quantiles: the chance along the time axis. */
	readonly late: Readonly<Record<string, readonly number[]>>;
	/** Of each task that is served: how long it waits, s. */
	readonly waits: Readonly<Record<string, Fan>>;
}

/** After so many evenings the odds are told for the first time. */
const beginning = 64;

/** Of sorted values, the one below which a share lies, between two by the share. */
export function quantileOf(sorted: ArrayLike<number>, share: number): number {
	if (sorted.length === 0) return NaN;
	const at = share * (sorted.length - 1);
	const low = Math.floor(at);
	const value = sorted[low]!;
	return low + 1 < sorted.length ? value + (at - low) * (sorted[low + 1]! - value) : value;
}

const fanOf = (values: Float64Array): Fan => {
	values.sort();
	return { p10: quantileOf(values, 0.1), p50: quantileOf(values, 0.5), p90: quantileOf(values, 0.9) };
};

/** Evenings as they are counted. */
export class Tally {
	private n = 0;
	private readonly onTime: Int32Array;
	private allOnTime = 0;
	/** Share on time of each whole batch. */
	private readonly batches: number[] = [];
	private inBatch = 0;
	private readonly slips: readonly Float64Array[];
	private readonly ends: readonly Float64Array[];
	private readonly waits: readonly Float64Array[];
	private readonly criticals: Float64Array;
	private readonly marks: Uint8Array;
	private readonly blamed: Float64Array;
	private readonly delays: Float64Array;
	private breaches = 0;
	private cost = 0;

	constructor(
		private readonly net: Network,
		private readonly tolerance: number,
		runs: number
	) {
		this.onTime = new Int32Array(net.services.length);
		this.slips = net.services.map(() => new Float64Array(runs));
		this.ends = net.tasks.map(() => new Float64Array(runs));
		this.waits = net.servings.map(() => new Float64Array(runs));
		this.criticals = new Float64Array(net.tasks.length);
		this.marks = new Uint8Array(net.tasks.length);
		this.blamed = new Float64Array(net.tasks.length);
		this.delays = new Float64Array(net.tasks.length);
	}

	/**
	 * Count the evening that was played last.
	 *
	 * @param lengths s, by task
	 * @param net of the plan that it ended with, where that was another one: of the same services and tasks
	 */
	count(lengths: Float64Array, net: Network = this.net): void {
		const { n } = this;
		const isOwn = net === this.net;
		const place = isOwn ? undefined : new Map(net.tasks.map((id, i) => [id, i]));
		/** A task of this one in the other; none where that does without. */
		const at = (i: number) => (place ? place.get(this.net.tasks[i]!) : i);
		let isLate = false;
		for (let k = 0; k < net.instants.length; k++) {
			const slip = net.instants[k]! - net.due[k]!;
			this.slips[k]![n] = slip;
			if (slip <= this.tolerance) this.onTime[k]!++;
			else isLate = true;
		}
		if (!isLate) {
			this.allOnTime++;
			this.inBatch++;
		}
		for (let i = 0; i < this.net.tasks.length; i++) {
			const own = at(i);
			this.ends[i]![n] = own === undefined ? NaN : net.endOf(own, lengths);
		}
		this.net.servings.forEach((s, k) => {
			this.waits[k]![n] = net.instants[s.service]! - s.offset - this.ends[s.task]![n]!;
		});
		this.cost += this.net.cost(lengths, net);
		this.breaches += this.net.breaches(lengths, net);
		const marks = isOwn ? this.marks : new Uint8Array(net.tasks.length);
		net.critical(lengths, marks);
		for (let i = 0; i < this.net.tasks.length; i++) {
			const own = at(i);
			if (own === undefined || marks[own] === 0) continue;
			this.criticals[i]! += 1;
			const over = lengths[own]! - this.net.lengths[i]!;
			if (!isLate || over <= 0) continue;
			this.blamed[i]! += 1;
			this.delays[i]! += over;
		}
		this.n++;
		if (this.n % batch === 0) {
			this.batches.push(this.inBatch / batch);
			this.inBatch = 0;
		}
	}

	/** Standard error of the share on time: of whole batches as they differ, of few as of evenings that are drawn apart. */
	private get error(): number {
		const { n, batches } = this;
		const share = this.allOnTime / Math.max(1, n);
		const apart = Math.sqrt(Math.max(share * (1 - share), 1 / Math.max(1, n)) / Math.max(1, n));
		if (batches.length < 8) return apart;
		const mean = batches.reduce((a, b) => a + b, 0) / batches.length;
		const variance = batches.reduce((sum, b) => sum + (b - mean) ** 2, 0) / (batches.length - 1);
		return Math.sqrt(variance / batches.length);
	}

	odds(): Odds {
		const { net, n } = this;
		const sofar = (values: Float64Array) => values.slice(0, n);
		const sorted = this.slips.map((s) => sofar(s).sort());
		return {
			runs: n,
			onTime: this.allOnTime / n,
			error: this.error,
			services: Object.fromEntries(
				net.services.map((id, k) => {
					const all = sorted[k]!;
					const mean = all.reduce((a, b) => a + b, 0) / n;
					const slip = { p50: quantileOf(all, 0.5), p80: quantileOf(all, 0.8), p95: quantileOf(all, 0.95), mean };
					return [id, { onTime: this.onTime[k]! / n, slip }];
				})
			),
			tasks: Object.fromEntries(
				net.tasks.map((id, i) => [
					id,
					{
						critical: this.criticals[i]! / n,
						blamed: this.blamed[i]! / n,
						delay: this.delays[i]! / n,
						end: fanOf(sofar(this.ends[i]!))
					}
				])
			),
			breaches: this.breaches / n,
			cost: this.cost / n,
			late: Object.fromEntries(
				net.services.map((id, k) => [id, Array.from({ length: 101 }, (_, q) => quantileOf(sorted[k]!, q / 100))])
			),
			waits: Object.fromEntries(net.servings.map((s, k) => [net.tasks[s.task]!, fanOf(sofar(this.waits[k]!))]))
		};
	}
}

/**
 * Rehearse a plan, as a stream the caller pulls and may drop: after a few evenings, then after each batch, what is known so far. The value
 * returned is final.
 */
export function* rehearse(rehearsal: Rehearsal): Generator<() => Odds, Odds> {
	const { problem, schedule, policy, tolerance, runs } = rehearsal;
	const net = new Network(problem, schedule, policy);
	const draw = drawing(net, rehearsal);
	const tally = new Tally(net, tolerance, runs);
	for (let evening = 0; evening < runs; evening++) {
		const { lengths, late } = draw(evening);
		net.play(lengths, late);
		tally.count(lengths);
		const isTold = evening + 1 === beginning || (evening + 1) % batch === 0;
		if (isTold && evening + 1 < runs) yield () => tally.odds();
	}
	return tally.odds();
}

/** Draws one evening after the other, into the same arrays: how long each task takes, how much later than it could each event comes, s. */
export function drawing(
	net: Network,
	{ schedule, durations, dithering, mishaps, seed }: Rehearsal
): (evening: number) => { readonly lengths: Float64Array; readonly late: Float64Array } {
	const events = net.eventTasks;
	const drawn = new Lengths(net.tasks, net.lengths, durations, seed);
	const delays = dithering && new Delays(events, dithering.mean, dithering.concerns, seed);
	const troubles = mishaps && troublesOf(net, schedule, mishaps, seed);
	const lengths = new Float64Array(net.tasks.length);
	const late = new Float64Array(events.length);
	return (evening) => {
		drawn.draw(evening, lengths);
		if (troubles) late.fill(0);
		delays?.draw(evening, late);
		troubles?.strike(evening, lengths, late);
		return { lengths, late };
	};
}

/** Mishaps as they find a plan, until ten minutes before the last service. */
function troublesOf(
	net: Network,
	{ starts = {} }: Schedule,
	{ perHour, cooks, struck }: NonNullable<Rehearsal['mishaps']>,
	seed: number
): Troubles {
	const tasks = net.tasks.map((id, i) => {
		const own = struck(id);
		return own && { ...own, start: starts[id]!, length: net.lengths[i]!, event: net.eventTasks.indexOf(id) };
	});
	const first = Math.min(...tasks.flatMap((t) => (t ? [t.start] : [])));
	return new Troubles(tasks, cooks, perHour, first + 120, Math.max(...net.due) - 600, seed);
}

/** Rehearse to the end. */
export function rehearseNow(rehearsal: Rehearsal): Odds {
	const stream = rehearse(rehearsal);
	for (;;) {
		const step = stream.next();
		if (step.done) return step.value;
	}
}
