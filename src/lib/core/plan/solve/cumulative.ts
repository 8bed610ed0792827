// A resource of limited capacity: time-table propagation with pointwise explanations.
import type { Engine, Propagator } from './engine';

/** Before and after every instant. */
const FIRST = -0x40000000;
const LAST = 0x40000000;

/** A stretch [start + startShift, end + endShift) during which some of a resource is taken. */
export interface Use {
	/** Variables. */
	readonly start: number;
	readonly end: number;
	readonly startShift: number;
	readonly endShift: number;
	readonly amount: number;
	/** Literals, as pairs, that must all be true for it to happen. */
	readonly guards: readonly number[];
	/** Whether its end surely comes after its start; a hold that may be void is only pushed once it surely lasts. */
	readonly isSure: boolean;
	/** It never lasts less than this. */
	readonly length: number;
}

/**
 * Time-table propagation of one resource (Schutt, Feydy, Stuckey & Wallace 2011, Constraints 16, 250–282): an item surely
 * runs from its latest start to its earliest end; where that leaves too little room, another is pushed past. Explanations
 * name one instant: that the items meet there.
 *
 * A run looks only at items whose bounds, or the profile within whose window, are other than at the last complete run:
 * whatever was pushed then is pushed as far as it goes.
 */
export class Cumulative implements Propagator {
	readonly halves: readonly number[];
	/** Beginnings (2i) and ends (2i + 1) of what items surely take: in the order of the last run, and those there are now. */
	private readonly order: Int32Array;
	private readonly events: Int32Array;
	private readonly times: Int32Array;
	/** Segments of the profile: [from, to) with load > 0. */
	private readonly from: Int32Array;
	private readonly to: Int32Array;
	private readonly load: Int32Array;
	private segments = 0;
	private highest = 0;
	/** Surely taken part of each item, empty where from ≥ to. */
	private readonly sureFrom: Int32Array;
	private readonly sureTo: Int32Array;
	/** Halves of start and end, shifts and amount, by item. */
	private readonly startHalf: Int32Array;
	private readonly endHalf: Int32Array;
	private readonly startShift: Int32Array;
	private readonly endShift: Int32Array;
	private readonly amount: Int32Array;
	/** Four bounds and the open guards of each item as the last run saw them, at first like none; what has changed since. */
	private readonly seen: Int32Array;
	private readonly hasChanged: Uint8Array;
	private readonly changed: Int32Array;
	private changedCount = 0;
	/** The last run ended in a contradiction: nothing can be told from it. */
	private isStale = true;
	/** The items that surely run at the instant asked for last in this run. */
	private hereAt = NaN;
	private here: readonly number[] = [];
	/** Where the profile may have changed since. */
	private changedFrom = 0;
	private changedTo = 0;

	constructor(
		private readonly capacity: number,
		private readonly items: readonly Use[]
	) {
		const n = items.length;
		this.order = Int32Array.from({ length: 2 * n }, (_, e) => e);
		this.events = new Int32Array(2 * n);
		this.times = new Int32Array(2 * n);
		this.from = new Int32Array(2 * n);
		this.to = new Int32Array(2 * n);
		this.load = new Int32Array(2 * n);
		this.sureFrom = new Int32Array(n);
		this.sureTo = new Int32Array(n);
		this.startHalf = Int32Array.from(items, (item) => 2 * item.start);
		this.endHalf = Int32Array.from(items, (item) => 2 * item.end);
		this.startShift = Int32Array.from(items, (item) => item.startShift);
		this.endShift = Int32Array.from(items, (item) => item.endShift);
		this.amount = Int32Array.from(items, (item) => item.amount);
		this.seen = new Int32Array(5 * n).fill(LAST);
		this.hasChanged = new Uint8Array(n);
		this.changed = new Int32Array(n);
		const halves = new Set<number>();
		for (const item of items) {
			for (const x of [item.start, item.end]) halves.add(2 * x).add(2 * x + 1);
			for (let g = 0; g < item.guards.length; g += 2) halves.add(item.guards[g]!);
		}
		this.halves = [...halves];
	}

	propagate(engine: Engine): boolean {
		this.compare(engine);
		this.hereAt = NaN;
		const wasStale = this.isStale;
		this.isStale = true;
		if (this.changedFrom < this.changedTo && !this.profile(engine)) return false;
		if (this.segments > 0) {
			const isSame = !wasStale && this.changedFrom >= this.changedTo;
			if (!(isSame ? this.pushChanged(engine) : this.pushAll(engine, wasStale))) return false;
		}
		this.isStale = false;
		return true;
	}

	private pushChanged(engine: Engine): boolean {
		for (let k = 0; k < this.changedCount; k++) if (!this.push(engine, this.changed[k]!)) return false;
		return true;
	}

	/** Push the items that changed, and those within whose window the profile may have. */
	private pushAll(engine: Engine, isStale: boolean): boolean {
		const { lb } = engine;
		const least = this.capacity - this.highest;
		const { seen, startShift, endShift, changedFrom, changedTo } = this;
		for (let i = 0, k = 0; i < this.items.length; i++, k += 5) {
			if (this.amount[i]! <= least) continue;
			// Bounds as compared: an item that was pushed since has its new ones looked at in the next run.
			const isOutside = seen[k]! + startShift[i]! >= changedTo || -seen[k + 3]! + endShift[i]! <= changedFrom;
			if (isOutside && !isStale && !this.hasChanged[i]) continue;
			if (lb[this.startHalf[i]!] === -seen[k + 1]! && lb[this.endHalf[i]!] === -seen[k + 3]! && seen[k + 4] === 0)
				continue;
			if (!this.push(engine, i)) return false;
		}
		return true;
	}

	/** Hold every item against what the last run saw. */
	private compare(engine: Engine): void {
		const { items, seen, sureFrom, sureTo, startHalf, endHalf } = this;
		const { lb } = engine;
		this.changedCount = 0;
		let [low, high] = this.isStale ? [FIRST, LAST] : [LAST, FIRST];
		for (let i = 0, k = 0; i < items.length; i++, k += 5) {
			const [s, e] = [startHalf[i]!, endHalf[i]!];
			const [ls, us, le, ue] = [lb[s]!, lb[s + 1]!, lb[e]!, lb[e + 1]!];
			const guards = items[i]!.guards;
			const open = guards.length === 0 ? 0 : openGuards(engine, guards);
			if (seen[k] === ls && seen[k + 1] === us && seen[k + 2] === le && seen[k + 3] === ue && seen[k + 4] === open) {
				this.hasChanged[i] = 0;
				continue;
			}
			this.hasChanged[i] = 1;
			this.changed[this.changedCount++] = i;
			seen[k] = ls;
			seen[k + 1] = us;
			seen[k + 2] = le;
			seen[k + 3] = ue;
			seen[k + 4] = open;
			const from = -us + this.startShift[i]!;
			const end = le + this.endShift[i]!;
			const to = from < end && open === 0 ? end : from;
			if (from === sureFrom[i] && to === sureTo[i]) continue;
			if (sureFrom[i]! < sureTo[i]!) {
				low = Math.min(low, sureFrom[i]!);
				high = Math.max(high, sureTo[i]!);
			}
			if (from < to) {
				low = Math.min(low, from);
				high = Math.max(high, to);
			}
			sureFrom[i] = from;
			sureTo[i] = to;
		}
		this.changedFrom = low;
		this.changedTo = high;
	}

	/** Add up what is surely taken; `false` where it exceeds the capacity. */
	private profile(engine: Engine): boolean {
		const { events, times, amount } = this;
		const count = this.sortEvents();
		this.segments = 0;
		this.highest = 0;
		let load = 0;
		let since = 0;
		for (let e = 0; e < count;) {
			const at = times[e]!;
			if (load > 0 && since < at) {
				this.from[this.segments] = since;
				this.to[this.segments] = at;
				this.load[this.segments++] = load;
				if (load > this.highest) this.highest = load;
			}
			for (; e < count && times[e] === at; e++) {
				const event = events[e]!;
				load += event & 1 ? -amount[event >> 1]! : amount[event >> 1]!;
			}
			since = at;
			if (load > this.capacity) return engine.refute(this.meeting(engine, at, -1, this.capacity + 1));
		}
		return true;
	}

	/** The events there are now, by time; little has changed since the last run, so insertion does it. */
	private sortEvents(): number {
		const { order, events, times, sureFrom, sureTo } = this;
		let count = 0;
		for (const event of order) {
			const i = event >> 1;
			if (sureFrom[i]! >= sureTo[i]!) continue;
			const at = event & 1 ? sureTo[i]! : sureFrom[i]!;
			let k = count++;
			for (; k > 0 && times[k - 1]! > at; k--) {
				times[k] = times[k - 1]!;
				events[k] = events[k - 1]!;
			}
			times[k] = at;
			events[k] = event;
		}
		// Into the places that they had among those that are not there.
		for (let e = 0, k = 0; k < count; e++) {
			const i = order[e]! >> 1;
			if (sureFrom[i]! < sureTo[i]!) order[e] = events[k++]!;
		}
		return count;
	}

	/** Items that surely run at an instant, enough of them to take `amount`, as literals. */
	private meeting(engine: Engine, instant: number, except: number, amount: number): number[] {
		const literals: number[] = [];
		let left = amount;
		for (const i of this.running(instant)) {
			if (left <= 0) break;
			if (i === except) continue;
			const item = this.items[i]!;
			left -= item.amount;
			literals.push(2 * item.start + 1, -(instant - item.startShift), 2 * item.end, instant + 1 - item.endShift);
			for (const word of item.guards) literals.push(word);
		}
		return literals;
	}

	/** Items that surely run at an instant, large takers first: fewer literals. Many are pushed for one instant: it is kept. */
	private running(instant: number): readonly number[] {
		if (this.hereAt === instant) return this.here;
		const here: number[] = [];
		for (let i = 0; i < this.items.length; i++) {
			if (this.sureFrom[i]! <= instant && instant < this.sureTo[i]!) here.push(i);
		}
		here.sort((a, b) => this.items[b]!.amount - this.items[a]!.amount);
		this.hereAt = instant;
		this.here = here;
		return here;
	}

	/** The first segment that ends after an instant. */
	private firstAfter(instant: number): number {
		let [low, high] = [0, this.segments];
		while (low < high) {
			const middle = (low + high) >> 1;
			if (this.to[middle]! > instant) high = middle;
			else low = middle + 1;
		}
		return low;
	}

	/** The last segment that begins before an instant, −1 where there is none. */
	private lastBefore(instant: number): number {
		let [low, high] = [0, this.segments];
		while (low < high) {
			const middle = (low + high) >> 1;
			if (this.from[middle]! < instant) low = middle + 1;
			else high = middle;
		}
		return low - 1;
	}

	/** Push one item past the segments that leave it no room. */
	private push(engine: Engine, i: number): boolean {
		const { items, from, to, load, capacity } = this;
		const { lb } = engine;
		const item = items[i]!;
		const [s, e] = [2 * item.start, 2 * item.end];
		const own = this.sureFrom[i]! < this.sureTo[i]!;
		if (own && lb[s] === -lb[s + 1]! && lb[e] === -lb[e + 1]!) return true;
		const open = openGuards(engine, item.guards);
		if (open < 0 || open > 1) return true;
		const room = capacity - item.amount;
		if (open === 1) return this.exclude(engine, i, room);
		if (!item.isSure && !own) return true;
		// Why an unsure item lasts: at its latest start it still runs.
		const lasting = item.isSure ? [] : [s + 1, lb[s + 1]!, e, -lb[s + 1]! + item.startShift + 1 - item.endShift];
		for (let k = this.firstAfter(lb[s]! + item.startShift); k < this.segments; k++) {
			if (from[k]! >= lb[e]! + item.endShift) break;
			const most = own && this.sureFrom[i]! <= from[k]! && to[k]! <= this.sureTo[i]! ? capacity : room;
			if (load[k]! <= most) continue;
			// Its earliest placement meets the segment: it starts after.
			while (lb[s]! + item.startShift < to[k]! && lb[e]! + item.endShift > from[k]!) {
				const instant = Math.min(to[k]!, lb[e]! + item.endShift) - 1;
				if (instant < lb[s]! + item.startShift) break;
				const reason = this.meeting(engine, instant, i, room + 1);
				reason.push(e, instant + 1 - item.endShift, ...item.guards, ...lasting);
				if (!engine.set(s, instant + 1 - item.startShift, reason)) return false;
				if (item.start !== item.end) break;
			}
		}
		for (let k = this.lastBefore(-lb[e + 1]! + item.endShift); k >= 0; k--) {
			if (to[k]! <= -lb[s + 1]! + item.startShift) break;
			const most = own && this.sureFrom[i]! <= from[k]! && to[k]! <= this.sureTo[i]! ? capacity : room;
			if (load[k]! <= most) continue;
			// Its latest placement meets the segment: it ends before.
			while (-lb[e + 1]! + item.endShift > from[k]! && -lb[s + 1]! + item.startShift < to[k]!) {
				const instant = Math.max(from[k]!, -lb[s + 1]! + item.startShift);
				if (instant >= -lb[e + 1]! + item.endShift) break;
				const reason = this.meeting(engine, instant, i, room + 1);
				reason.push(s + 1, -(instant - item.startShift), ...item.guards, ...lasting);
				if (!engine.set(e + 1, -(instant - item.endShift), reason)) return false;
				if (item.start !== item.end) break;
			}
		}
		return true;
	}

	/** An item with one open guard that would surely run where there is no room: the guard is false. */
	private exclude(engine: Engine, i: number, room: number): boolean {
		const { lb } = engine;
		const item = this.items[i]!;
		const first = -lb[2 * item.start + 1]! + item.startShift;
		const last = lb[2 * item.end]! + item.endShift;
		for (let k = this.firstAfter(first); k < this.segments && this.from[k]! < last; k++) {
			const instant = Math.max(first, this.from[k]!);
			if (instant >= Math.min(last, this.to[k]!) || this.load[k]! <= room) continue;
			const reason = this.meeting(engine, instant, i, room + 1);
			reason.push(2 * item.start + 1, -(instant - item.startShift), 2 * item.end, instant + 1 - item.endShift);
			for (let g = 0; g < item.guards.length; g += 2) {
				const [h, v] = [item.guards[g]!, item.guards[g + 1]!];
				if (engine.isTrue(h, v)) reason.push(h, v);
			}
			for (let g = 0; g < item.guards.length; g += 2) {
				const [h, v] = [item.guards[g]!, item.guards[g + 1]!];
				if (!engine.isTrue(h, v)) return engine.set(h ^ 1, 1 - v, reason);
			}
		}
		return true;
	}
}

/** How many guards (literals as pairs) are open; −1 where one is false. */
function openGuards(engine: Engine, guards: readonly number[]): number {
	let open = 0;
	for (let g = 0; g < guards.length; g += 2) {
		const [h, v] = [guards[g]!, guards[g + 1]!];
		if (engine.isTrue(h, v)) continue;
		if (engine.isFalse(h, v)) return -1;
		open++;
	}
	return open;
}
