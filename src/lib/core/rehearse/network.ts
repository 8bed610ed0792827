// An evening as it goes when steps take other times than planned: a problem and its plan as a net of events, evaluated for one
// draw of durations at a time.
import type { Problem, Schedule } from '../plan/problem';
import { Flat, same, type Event, type Point, type Take, type Taker, type Wait } from './flat';

/** How steps are begun. `hold`: not before their planned time. `early`: as soon as all that they wait for allows. */
export type Policy = 'hold' | 'early';

interface Serving extends Point {
	readonly service: number;
	readonly task: number;
	readonly offset: number;
	readonly free: number;
	readonly rate: number;
	readonly most: number;
}

/** When tasks began and ended, by index, and services went out. */
interface Evening {
	readonly instants: ArrayLike<number>;
	readonly start: (task: number) => number;
	readonly end: (task: number) => number;
}

/** A second that something waits longer than it may costs so much of one that a service is late. */
const spoiling = 0.1;
/** Events whose waits go in a circle are looked at so many times. */
const mostSweeps = 40;

/**
 * A problem and its plan as a net: an event for each start, and for each use that begins later within a step.
 *
 * An event comes at its planned time or as soon after as all that it waits for allows: minimal lags; each resource, where what
 * the takers planned before it hold, or are still to take, must leave it room; the state that its step needs. A use that begins
 * later within a step holds up the rest of that step. Instants are the least solution of these equations (for a resource of
 * more than one the so-manieth largest of its releases instead of the largest: Baccelli, Cohen, Olsder & Quadrat 1992,
 * Synchronization and Linearity), found in the planned order, again where something waits for what is planned after it.
 */
export class Network {
	readonly tasks: readonly string[];
	/** Planned length of each task, s. */
	readonly lengths: Float64Array;
	/** When each event came, in the last evening. */
	readonly at: Float64Array;
	/** When each service went out. */
	readonly instants: Float64Array;
	readonly services: readonly string[];
	readonly due: readonly number[];
	readonly servings: readonly Serving[];
	private readonly events: readonly Event[];
	private readonly endPoints: readonly Point[];
	private readonly flat: Flat;
	private readonly maxima: readonly { readonly from: number; readonly to: number; readonly most: number }[];
	private readonly wants: readonly { readonly task: number; readonly by: number; readonly rate: number }[];
	private readonly counted: readonly number[];
	private readonly constant: number;
	private readonly weights: Problem['weights'];
	private readonly firsts: Int32Array;
	/** Seconds by which each event came later than it could. */
	private late: Float64Array;
	private readonly none: Float64Array;

	constructor(problem: Problem, { starts = {}, modes = {}, picks = {} }: Schedule, policy: Policy = 'hold') {
		const tasks = problem.tasks.filter((t) => starts[t.id] !== undefined);
		const index = new Map(tasks.map((t, i) => [t.id, i]));
		const start = tasks.map((t) => starts[t.id]!);
		const way = tasks.map((t) => t.modes[modes[t.id] ?? 0]!);
		this.tasks = tasks.map((t) => t.id);
		this.lengths = Float64Array.from(way, (m) => m.duration);
		const endAt = (i: number) => start[i]! + this.lengths[i]!;
		this.weights = problem.weights;
		this.services = problem.services.map((s) => s.id);
		this.due = problem.services.map((s) => s.due);
		this.instants = new Float64Array(problem.services.length);

		// Starts, and the later beginnings of uses, in the planned order.
		const shares = way.map((m) => {
			const later = (m.uses ?? []).map((u) => (u.from ?? 0) / m.duration);
			return [...new Set([0, ...later])].sort((a, b) => a - b);
		});
		const order = shares
			.flatMap((list, task) =>
				list.map((share) => ({ task, share, planned: start[task]! + share * this.lengths[task]! }))
			)
			.sort((a, b) => a.planned - b.planned || a.share - b.share || a.task - b.task);
		const eventOf = new Map(order.map(({ task, share }, e) => [`${task} ${share}`, e]));
		const eventAt = (task: number, share: number) => eventOf.get(`${task} ${share}`)!;
		/** A share of a task's length, from the last event before it. */
		const pointAt = (task: number, share: number): Point => {
			const last = shares[task]!.findLast((s) => s < share) ?? 0;
			return { event: eventAt(task, last), share: share - last };
		};
		this.endPoints = tasks.map((_, i) => pointAt(i, 1));
		this.firsts = Int32Array.from(tasks, (_, i) => eventAt(i, 0));
		this.none = new Float64Array(order.length);
		this.late = this.none;

		const waits: Wait[][] = order.map(() => []);
		for (const { from, to, min } of problem.lags) {
			const [i, k] = [index.get(from), index.get(to)];
			if (i !== undefined && k !== undefined) waits[eventAt(k, 0)]!.push({ ...this.endPoints[i]!, after: min });
		}
		const floors = order.map(({ task, share }) => (share === 0 ? (tasks[task]!.release ?? 0) : 0));
		for (const { id, initial, rise, fall } of problem.states) {
			const setup = (a: number, b: number) => (b > a ? rise * (b - a) : fall * (a - b));
			const own = order.flatMap(({ task, share, planned }, event) => {
				const state = way[task]!.state;
				return share === 0 && state?.id === id ? [{ task, event, planned, value: state.value }] : [];
			});
			own.forEach((one, k) => {
				floors[one.event] = Math.max(floors[one.event]!, setup(initial, one.value));
				for (const earlier of own.slice(0, k)) {
					if (earlier.value === one.value) continue;
					waits[one.event]!.push({ ...this.endPoints[earlier.task]!, after: setup(earlier.value, one.value) });
				}
			});
		}
		const takes: Take[][] = order.map(() => []);
		for (const { id, capacity } of problem.resources) {
			const uses = tasks.flatMap((_, task) =>
				(way[task]!.uses ?? [])
					.filter((u) => u.resource === id)
					.map((u) => ({
						event: eventAt(task, (u.from ?? 0) / way[task]!.duration),
						to: pointAt(task, (u.to ?? way[task]!.duration) / way[task]!.duration),
						amount: u.amount
					}))
			);
			const holds = problem.holds.flatMap((h) => {
				const [i, k] = [index.get(h.from), index.get(h.to)];
				if (h.resource !== id || i === undefined || k === undefined || endAt(k) <= start[i]!) return [];
				if (h.at !== undefined && way[i]!.at !== h.at) return [];
				return [{ event: eventAt(i, 0), to: this.endPoints[k]!, amount: h.amount }];
			});
			const all = [...uses, ...holds].sort((a, b) => a.event - b.event);
			const takers = all.map(({ to, amount }): Taker => ({ ...to, amount }));
			let sum = 0;
			all.forEach(({ event, amount }, k) => {
				const before = all.findIndex((t) => t.event === event);
				const own = takers.slice(before, k).reduce((total, t) => total + t.amount, amount);
				if (sum + amount > capacity) takes[event]!.push({ takers, before, room: capacity - own });
				sum += amount;
			});
		}
		const events = order.map(({ task, share, planned }, e): Event => {
			const { fixed } = tasks[task]!;
			const last = shares[task]!.findLast((s) => s < share);
			const isFree = policy === 'early' && !fixed && waits[e]!.length + takes[e]!.length > 0;
			const floor = share > 0 ? -Infinity : isFree ? floors[e]! : planned;
			const previous = last === undefined ? -1 : eventAt(task, last);
			return { task, share, previous, floor, waits: waits[e]!, takes: takes[e]! };
		});
		this.events = events;
		this.flat = new Flat(events);
		this.at = new Float64Array(order.length);
		const serviceAt = new Map(this.services.map((id, k) => [id, k]));
		this.servings = problem.serve.flatMap((s): Serving[] => {
			const task = index.get(s.task);
			if (task === undefined) return [];
			const { offset, free, rate, max: most = Infinity } = s;
			return [{ ...this.endPoints[task]!, task, service: serviceAt.get(s.service)!, offset, free, rate, most }];
		});
		this.maxima = problem.lags.flatMap(({ from, to, max: most }) => {
			const [i, k] = [index.get(from), index.get(to)];
			if (most === undefined || i === undefined || k === undefined) return [];
			return [{ from: i, to: k, most }];
		});
		this.wants = problem.wants.flatMap(({ task, by, rate }) => {
			const i = index.get(task);
			return i === undefined || rate === 0 ? [] : [{ task: i, by, rate }];
		});
		this.counted = tasks.flatMap((t, i) => (t.ahead ? [] : [i]));
		this.constant = problem.choices.reduce(
			(sum, c) => sum + (c.options.find((o) => o.id === picks[c.id])?.cost ?? 0),
			0
		);
	}

	/** The instant of a point, in the last evening. */
	private of({ event, share }: Point, lengths: Float64Array): number {
		return this.at[event]! + share * lengths[this.events[event]!.task]!;
	}

	/** When a task began, in the last evening. */
	startOf(task: number): number {
		return this.at[this.firsts[task]!]!;
	}

	endOf(task: number, lengths: Float64Array): number {
		return this.of(this.endPoints[task]!, lengths);
	}

	/**
	 * Let an evening go.
	 *
	 * @param lengths s, by task
	 * @param late seconds that each event comes later than it could, by event: nobody is everywhere at once
	 */
	play(lengths: Float64Array, late = this.none): void {
		const { at } = this;
		this.late = late;
		at.fill(-Infinity);
		for (let sweep = 0; sweep < mostSweeps; sweep++) {
			const isSame = this.flat.sweep(at, lengths, this.late);
			if (isSame || !this.flat.isCircular) break;
		}
		for (let k = 0; k < this.instants.length; k++) this.instants[k] = this.due[k]!;
		for (const s of this.servings) {
			const ready = this.of(s, lengths) + s.offset;
			if (ready > this.instants[s.service]!) this.instants[s.service] = ready;
		}
	}

	/** The task of each event, by id. */
	get eventTasks(): readonly string[] {
		return this.events.map((e) => this.tasks[e.task]!);
	}

	/** Each event by its task, and the share of it at which it comes: the same in any plan. */
	get eventNames(): readonly string[] {
		return this.events.map((e) => `${this.tasks[e.task]!} ${e.share.toFixed(4)}`);
	}

	/** The last evening as it was: where another net of the same tasks has played it, in that one's words. */
	private seen(lengths: Float64Array, by: Network): Evening {
		if (by === this)
			return { instants: this.instants, start: (i) => this.startOf(i), end: (i) => this.endOf(i, lengths) };
		const place = new Map(by.tasks.map((id, i) => [id, i]));
		const at = this.tasks.map((id) => place.get(id) ?? -1);
		return {
			instants: by.instants,
			start: (i) => (at[i]! < 0 ? NaN : by.startOf(at[i]!)),
			end: (i) => (at[i]! < 0 ? NaN : by.endOf(at[i]!, lengths))
		};
	}

	/**
	 * What the last evening cost, by the problem's own prices; a wait that was longer than it may be counts in part as late.
	 *
	 * @param by the net that has played it, where the rest was planned anew
	 */
	cost(lengths: Float64Array, by: Network = this): number {
		const { weights, due } = this;
		const { instants, start, end } = this.seen(lengths, by);
		let cost = this.constant;
		let last = -Infinity;
		for (let k = 0; k < instants.length; k++) {
			cost += weights.slip * (instants[k]! - due[k]!);
			if (instants[k]! > last) last = instants[k]!;
		}
		for (const s of this.servings) {
			const wait = instants[s.service]! - s.offset - end(s.task);
			if (wait > s.free) cost += s.rate * (wait - s.free);
			if (wait > s.most) cost += weights.slip * spoiling * (wait - s.most);
		}
		for (const w of this.wants) {
			const over = end(w.task) - w.by;
			if (over > 0) cost += w.rate * over;
		}
		for (const m of this.maxima) {
			const over = start(m.to) - end(m.from) - m.most;
			if (over > 0) cost += weights.slip * spoiling * over;
		}
		if (weights.span > 0 && this.counted.length > 0) {
			let first = Infinity;
			for (const i of this.counted) if (start(i) < first) first = start(i);
			cost += weights.span * (last - first);
		}
		return cost;
	}

	/** How many longest waits were broken in the last evening. */
	breaches(lengths: Float64Array, by: Network = this): number {
		const { start, end } = this.seen(lengths, by);
		return this.maxima.reduce((n, m) => (start(m.to) - end(m.from) > m.most + same ? n + 1 : n), 0);
	}

	/**
	 * Marks the tasks that, a little shorter, would have made the last service of the last evening earlier: those that lie on all
	 * ways back along what each event waited for (the dominators of the binding net).
	 */
	critical(lengths: Float64Array, marks: Uint8Array): void {
		marks.fill(0);
		let last = -Infinity;
		for (const at of this.instants) last = Math.max(last, at);
		if (!this.instants.some((at, k) => at === last && at > this.due[k]! + same)) return;
		const { flat, servings } = this;
		flat.goBack({ at: this.at, lengths, late: this.late });
		let isFirst = true;
		for (const s of servings) {
			if (this.instants[s.service] !== last || Math.abs(this.of(s, lengths) + s.offset - last) > same) continue;
			flat.meet(s.event, s.share, isFirst);
			isFirst = false;
		}
		for (let i = 0; i < marks.length; i++) if (flat.hasMet(i)) marks[i] = 1;
	}
}
