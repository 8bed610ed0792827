// An evening as it goes when steps take other times than planned: a problem and its plan as a net of events, evaluated for one
// draw of durations at a time.
import type { Problem, Schedule } from '../plan/problem';

/** How steps are begun. `hold`: not before their planned time. `early`: as soon as all that they wait for allows. */
export type Policy = 'hold' | 'early';

/** A point of a task's time: an event, and what share of the task's length after it. */
interface Point {
	readonly event: number;
	readonly share: number;
}

/** What an event waits for: a point, and so many seconds after it. */
interface Wait extends Point {
	readonly after: number;
}

/** Something that takes of a resource, in the planned order; from an event to a point. */
interface Taker extends Point {
	readonly amount: number;
}

/** Of a resource: its takers, and where an event stands among them. */
interface Take {
	readonly takers: readonly Taker[];
	/** Takers before those of its event, and how much they may hold between them for it to take. */
	readonly before: number;
	readonly room: number;
}

interface Event {
	readonly task: number;
	/** Share of the task's length at which it comes; 0: its start. */
	readonly share: number;
	/** The event before it in the task; −1: it is the start. */
	readonly previous: number;
	/** Not before this, s. */
	readonly floor: number;
	readonly planned: number;
	readonly waits: readonly Wait[];
	readonly takes: readonly Take[];
}

interface Serving extends Point {
	readonly service: number;
	readonly task: number;
	readonly offset: number;
	readonly free: number;
	readonly rate: number;
	readonly most: number;
}

/** Seconds that two instants may differ and still be one. */
const same = 1e-6;
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
	private readonly maxima: readonly { readonly from: Point; readonly event: number; readonly most: number }[];
	private readonly wants: readonly (Point & { readonly by: number; readonly rate: number })[];
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
			return { task, share, previous, floor, planned, waits: waits[e]!, takes: takes[e]! };
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
			return [{ from: this.endPoints[i]!, event: eventAt(k, 0), most }];
		});
		this.wants = problem.wants.flatMap(({ task, by, rate }) => {
			const i = index.get(task);
			return i === undefined || rate === 0 ? [] : [{ ...this.endPoints[i]!, by, rate }];
		});
		this.counted = tasks.flatMap((t, i) => (t.ahead ? [] : [eventAt(i, 0)]));
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

	/** What the last evening cost, by the problem's own prices; a wait that was longer than it may be counts in part as late. */
	cost(lengths: Float64Array): number {
		const { weights, instants, due } = this;
		let cost = this.constant;
		let last = -Infinity;
		for (let k = 0; k < instants.length; k++) {
			cost += weights.slip * (instants[k]! - due[k]!);
			if (instants[k]! > last) last = instants[k]!;
		}
		for (const s of this.servings) {
			const wait = instants[s.service]! - s.offset - this.of(s, lengths);
			if (wait > s.free) cost += s.rate * (wait - s.free);
			if (wait > s.most) cost += weights.slip * spoiling * (wait - s.most);
		}
		for (const w of this.wants) cost += w.rate * Math.max(0, this.of(w, lengths) - w.by);
		for (const m of this.maxima)
			cost += weights.slip * spoiling * Math.max(0, this.at[m.event]! - this.of(m.from, lengths) - m.most);
		if (weights.span > 0 && this.counted.length > 0) {
			let first = Infinity;
			for (const e of this.counted) if (this.at[e]! < first) first = this.at[e]!;
			cost += weights.span * (last - first);
		}
		return cost;
	}

	/** How many longest waits were broken in the last evening. */
	breaches(lengths: Float64Array): number {
		return this.maxima.reduce((n, m) => (this.at[m.event]! - this.of(m.from, lengths) > m.most + same ? n + 1 : n), 0);
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
		const { flat, at, late, servings } = this;
		flat.goBack();
		let isFirst = true;
		for (const s of servings) {
			if (this.instants[s.service] !== last || Math.abs(this.of(s, lengths) + s.offset - last) > same) continue;
			flat.meet(s.event, s.share, at, lengths, late, isFirst);
			isFirst = false;
		}
		for (let i = 0; i < marks.length; i++) if (flat.hasMet(i)) marks[i] = 1;
	}
}

/**
 * The same events in rows of numbers, without what surely is over: quick enough for thousands of evenings. A taker is left out
 * where an event cannot come before it has given back what it held, whatever the lengths.
 */
class Flat {
	/** Whether something waits for what is planned after it. */
	readonly isCircular: boolean;
	private readonly task: Int32Array;
	private readonly previous: Int32Array;
	private readonly since: Float64Array;
	private readonly floor: Float64Array;
	private readonly waitsFrom: Int32Array;
	private readonly waitEvent: Int32Array;
	private readonly waitShare: Float64Array;
	private readonly waitAfter: Float64Array;
	private readonly takesFrom: Int32Array;
	private readonly room: Int32Array;
	private readonly takersFrom: Int32Array;
	private readonly takerEvent: Int32Array;
	private readonly takerShare: Float64Array;
	private readonly amount: Int32Array;
	private readonly largest: Float64Array;
	private readonly held: Int32Array;
	/** Of each event, and of the end, the tasks on all ways back, 32 in a word; the evening in which that was found. */
	private readonly bits: Int32Array;
	private readonly words: number;
	private readonly walked: Int32Array;
	private evening = 0;

	constructor(events: readonly Event[]) {
		const lists = prunedTakers(events);
		this.task = Int32Array.from(events, (e) => e.task);
		this.previous = Int32Array.from(events, (e) => e.previous);
		this.since = Float64Array.from(events, (e) => e.share - (events[e.previous]?.share ?? 0));
		this.floor = Float64Array.from(events, (e) => e.floor);
		const waits = events.flatMap((e) => e.waits);
		this.waitsFrom = offsets(events.map((e) => e.waits.length));
		this.waitEvent = Int32Array.from(waits, (w) => w.event);
		this.waitShare = Float64Array.from(waits, (w) => w.share);
		this.waitAfter = Float64Array.from(waits, (w) => w.after);
		this.takesFrom = offsets(lists.map((l) => l.length));
		const takes = lists.flat();
		this.room = Int32Array.from(takes, (t) => t.room);
		this.takersFrom = offsets(takes.map((t) => t.takers.length));
		const takers = takes.flatMap((t) => t.takers);
		this.takerEvent = Int32Array.from(takers, (t) => t.event);
		this.takerShare = Float64Array.from(takers, (t) => t.share);
		this.amount = Int32Array.from(takers, (t) => t.amount);
		const most = Math.max(0, ...takes.map((t) => t.takers.length));
		this.largest = new Float64Array(most);
		this.held = new Int32Array(most);
		this.words = 1 + (Math.max(0, ...this.task) >> 5);
		this.bits = new Int32Array((events.length + 1) * this.words);
		this.walked = new Int32Array(events.length);
		this.isCircular = events.some(
			({ waits }, e) => waits.some((w) => w.event >= e) || lists[e]!.some(({ takers: t }) => t.some((x) => x.event > e))
		);
	}

	/** One look at all events in the planned order; whether nothing has changed. */
	sweep(at: Float64Array, lengths: Float64Array, late: Float64Array): boolean {
		const { task, previous, since, floor, waitsFrom, waitEvent, waitShare, waitAfter, takesFrom } = this;
		let isSame = true;
		for (let e = 0; e < task.length; e++) {
			const before = previous[e]!;
			let ready = before >= 0 ? at[before]! + since[e]! * lengths[task[e]!]! : floor[e]!;
			for (let w = waitsFrom[e]!; w < waitsFrom[e + 1]!; w++) {
				const from = waitEvent[w]!;
				const then = at[from]! + waitShare[w]! * lengths[task[from]!]! + waitAfter[w]!;
				if (then > ready) ready = then;
			}
			for (let k = takesFrom[e]!; k < takesFrom[e + 1]!; k++) {
				const then = this.roomFor(k, at, lengths, ready);
				if (then > ready) ready = then;
			}
			ready += late[e]!;
			if (Math.abs(ready - at[e]!) <= same) continue;
			isSame = false;
			at[e] = ready;
		}
		return isSame;
	}

	/** Begin to go back from the end of another evening. */
	goBack(): void {
		this.evening++;
		this.bits.fill(0, this.task.length * this.words);
	}

	/** Keep of what was met until now the tasks that lie on all ways back from a point too. */
	meet(
		event: number,
		share: number,
		at: Float64Array,
		lengths: Float64Array,
		late: Float64Array,
		isFirst: boolean
	): void {
		this.keep(this.task.length, event, share, at, lengths, late, isFirst);
	}

	/** Whether a task lies on all ways back. */
	hasMet(task: number): boolean {
		return (this.bits[this.task.length * this.words + (task >> 5)]! & (1 << (task & 31))) !== 0;
	}

	/** Of an event's tasks so far, keep those on all ways back from a point that it waited for. */
	private keep(
		e: number,
		event: number,
		share: number,
		at: Float64Array,
		lengths: Float64Array,
		late: Float64Array,
		isFirst: boolean
	): void {
		const { bits, words, task } = this;
		this.walk(event, at, lengths, late);
		const own = task[event]!;
		for (let w = 0; w < words; w++) {
			let set = bits[event * words + w]!;
			if (share > 0 && own >> 5 === w) set |= 1 << (own & 31);
			bits[e * words + w] = isFirst ? set : bits[e * words + w]! & set;
		}
	}

	/** Find the tasks on all ways back from an event. */
	private walk(e: number, at: Float64Array, lengths: Float64Array, late: Float64Array): void {
		if (this.walked[e] === this.evening) return;
		this.walked[e] = this.evening;
		const { bits, words, task, previous, since, floor, waitsFrom, waitEvent, waitShare, waitAfter } = this;
		const { takesFrom, takersFrom, takerEvent, takerShare } = this;
		bits.fill(0, e * words, (e + 1) * words);
		const ready = at[e]! - late[e]!;
		const before = previous[e]!;
		if (before < 0 && ready <= floor[e]! + same) return;
		let isFirst = true;
		const of = (event: number, share: number) => at[event]! + share * lengths[task[event]!]!;
		const cause = (event: number, share: number) => {
			this.keep(e, event, share, at, lengths, late, isFirst);
			isFirst = false;
		};
		if (before >= 0 && Math.abs(of(before, since[e]!) - ready) <= same) cause(before, since[e]!);
		for (let w = waitsFrom[e]!; w < waitsFrom[e + 1]!; w++) {
			const [event, share] = [waitEvent[w]!, waitShare[w]!];
			if (Math.abs(of(event, share) + waitAfter[w]! - ready) <= same) cause(event, share);
		}
		for (let k = takesFrom[e]!; k < takesFrom[e + 1]!; k++) {
			if (Math.abs(this.roomFor(k, at, lengths, -Infinity) - ready) > same) continue;
			for (let i = takersFrom[k]!; i < takersFrom[k + 1]!; i++) {
				const [event, share] = [takerEvent[i]!, takerShare[i]!];
				if (Math.abs(of(event, share) - ready) <= same) cause(event, share);
			}
		}
	}

	/** @param beyond what is given back until then does not matter */
	private roomFor(take: number, at: Float64Array, lengths: Float64Array, beyond: number): number {
		const { task, takersFrom, takerEvent, takerShare, amount, largest, held } = this;
		const room = this.room[take]!;
		const [from, to] = [takersFrom[take]!, takersFrom[take + 1]!];
		const kept = Math.min(to - from, room + 1);
		// The latest releases, until they hold more than there is room for.
		let count = 0;
		for (let i = from; i < to; i++) {
			const event = takerEvent[i]!;
			const came = at[event]!;
			// What comes later in the plan holds it, as far as is known in the first sweep.
			const then = came === -Infinity ? Infinity : came + takerShare[i]! * lengths[task[event]!]!;
			if (then <= beyond || (count === kept && then <= largest[count - 1]!)) continue;
			let k = count < kept ? count++ : count - 1;
			for (; k > 0 && largest[k - 1]! < then; k--) {
				largest[k] = largest[k - 1]!;
				held[k] = held[k - 1]!;
			}
			largest[k] = then;
			held[k] = amount[i]!;
		}
		let sum = 0;
		for (let k = 0; k < count; k++) {
			sum += held[k]!;
			if (sum > room) return largest[k]!;
		}
		return -Infinity;
	}
}

/** Where each of several lists begins when they stand one behind another, and where the last one ends. */
function offsets(lengths: readonly number[]): Int32Array {
	const from = new Int32Array(lengths.length + 1);
	lengths.forEach((n, i) => (from[i + 1] = from[i]! + n));
	return from;
}

/** The takes of each event, with the takers before it that may still hold something when it comes. */
function prunedTakers(events: readonly Event[]) {
	/** Of each event, the points that are surely past when it comes: by event, up to a share of the task's length. */
	const past: Map<number, number>[] = [];
	const isPast = (e: number, { event, share }: Point) => (past[e]!.get(event) ?? -1) >= share - 1e-12;
	return events.map(({ previous, share, waits, takes }, e) => {
		const own = new Map<number, number>();
		past.push(own);
		const add = (p: Point) => {
			if (p.event >= e) return;
			for (const [event, reached] of past[p.event]!) own.set(event, Math.max(own.get(event) ?? -1, reached));
			own.set(p.event, Math.max(own.get(p.event) ?? -1, p.share));
		};
		if (previous >= 0) add({ event: previous, share: share - events[previous]!.share });
		for (const w of waits) if (w.after >= 0) add(w);
		const lists = takes.map(({ takers, before, room }) => {
			const open = takers.slice(0, before).filter((t) => !isPast(e, t));
			// Where nothing else may be held, what one of them waited for is over with it.
			const needed =
				room > 0 ? open : open.filter((t, i) => !open.some((u, j) => j > i && u.event < e && isPast(u.event, t)));
			return { takers: needed, room };
		});
		takes.forEach(({ room, takers, before }) => {
			if (room === 0) takers.slice(0, before).forEach(add);
		});
		return lists;
	});
}
