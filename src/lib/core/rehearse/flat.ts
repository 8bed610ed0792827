// The events of an evening in rows of numbers: quick enough for thousands of evenings; and the way back from its end.

/** A point of a task's time: an event, and what share of the task's length after it. */
export interface Point {
	readonly event: number;
	readonly share: number;
}

/** What an event waits for: a point, and so many seconds after it. */
export interface Wait extends Point {
	readonly after: number;
}

/** Something that takes of a resource, in the planned order; from an event to a point. */
export interface Taker extends Point {
	readonly amount: number;
}

/** Of a resource: its takers, and where an event stands among them. */
export interface Take {
	readonly takers: readonly Taker[];
	/** Takers before those of its event, and how much they may hold between them for it to take. */
	readonly before: number;
	readonly room: number;
}

export interface Event {
	readonly task: number;
	/** Share of the task's length at which it comes; 0: its start. */
	readonly share: number;
	/** The event before it in the task; −1: it is the start. */
	readonly previous: number;
	/** Not before this, s. */
	readonly floor: number;
	readonly waits: readonly Wait[];
	readonly takes: readonly Take[];
}

/** Seconds that two instants may differ and still be one. */
export const same = 1e-6;

/** An evening that was played: instants and delays by event, lengths by task, s. */
interface Evening {
	readonly at: Float64Array;
	readonly lengths: Float64Array;
	readonly late: Float64Array;
}

/**
 * The same events in rows of numbers, without what surely is over: quick enough for thousands of evenings. A taker is left out
 * where an event cannot come before it has given back what it held, whatever the lengths.
 */
export class Flat {
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
	private seen: Evening = { at: new Float64Array(0), lengths: new Float64Array(0), late: new Float64Array(0) };

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

	/** Begin to go back from the end of an evening, as it was. */
	goBack(evening: Evening): void {
		this.seen = evening;
		this.evening++;
		this.bits.fill(0, this.task.length * this.words);
	}

	/** Keep of what was met until now the tasks that lie on all ways back from a point too. */
	meet(event: number, share: number, isFirst: boolean): void {
		this.keep(this.task.length, event, share, isFirst);
	}

	/** Whether a task lies on all ways back. */
	hasMet(task: number): boolean {
		return (this.bits[this.task.length * this.words + (task >> 5)]! & (1 << (task & 31))) !== 0;
	}

	/** Of an event's tasks so far, keep those on all ways back from a point that it waited for. */
	private keep(e: number, event: number, share: number, isFirst: boolean): void {
		const { bits, words, task } = this;
		this.walk(event);
		const own = task[event]!;
		for (let w = 0; w < words; w++) {
			let set = bits[event * words + w]!;
			if (share > 0 && own >> 5 === w) set |= 1 << (own & 31);
			bits[e * words + w] = isFirst ? set : bits[e * words + w]! & set;
		}
	}

	/** Find the tasks on all ways back from an event. */
	private walk(e: number): void {
		if (this.walked[e] === this.evening) return;
		this.walked[e] = this.evening;
		const { bits, words, task, previous, since, floor, waitsFrom, waitEvent, waitShare, waitAfter } = this;
		const { takesFrom, takersFrom, takerEvent, takerShare, seen } = this;
		const { at, lengths, late } = seen;
		bits.fill(0, e * words, (e + 1) * words);
		const ready = at[e]! - late[e]!;
		const before = previous[e]!;
		if (before < 0 && ready <= floor[e]! + same) return;
		let isFirst = true;
		const of = (event: number, share: number) => at[event]! + share * lengths[task[event]!]!;
		const cause = (event: number, share: number) => {
			this.keep(e, event, share, isFirst);
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
