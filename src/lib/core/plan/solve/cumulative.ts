// A resource of limited capacity: time-table propagation with pointwise explanations.
import type { Engine, Propagator } from './engine';

/** A stretch [start + startShift, end + endShift) during which some of a resource is taken. */
export interface Item {
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
}

/** Events are sorted by `time · SLOTS + index`. */
const SLOTS = 2 ** 20;

/**
 * Time-table propagation of one resource (Schutt, Feydy, Stuckey & Wallace 2011, Constraints 16, 250–282): an item surely
 * runs from its latest start to its earliest end; where that leaves too little room, another is pushed past. Explanations
 * name one instant: that the items meet there.
 */
export class Cumulative implements Propagator {
	readonly halves: readonly number[];
	private readonly keys: Float64Array;
	/** Segments of the profile: [from, to) with load > 0. */
	private readonly from: Int32Array;
	private readonly to: Int32Array;
	private readonly load: Int32Array;
	private segments = 0;
	/** Surely taken part of each item, empty where from ≥ to. */
	private readonly sureFrom: Int32Array;
	private readonly sureTo: Int32Array;

	constructor(
		private readonly capacity: number,
		private readonly items: readonly Item[]
	) {
		const n = items.length;
		this.keys = new Float64Array(2 * n);
		this.from = new Int32Array(2 * n);
		this.to = new Int32Array(2 * n);
		this.load = new Int32Array(2 * n);
		this.sureFrom = new Int32Array(n);
		this.sureTo = new Int32Array(n);
		const halves = new Set<number>();
		for (const item of items) {
			for (const x of [item.start, item.end]) halves.add(2 * x).add(2 * x + 1);
			for (let g = 0; g < item.guards.length; g += 2) halves.add(item.guards[g]!);
		}
		this.halves = [...halves];
	}

	propagate(engine: Engine): boolean {
		if (!this.profile(engine)) return false;
		if (this.segments === 0) return true;
		for (let i = 0; i < this.items.length; i++) if (!this.push(engine, i)) return false;
		return true;
	}

	/** Add up what is surely taken; `false` where it exceeds the capacity. */
	private profile(engine: Engine): boolean {
		const { items, keys, sureFrom, sureTo } = this;
		const { lb } = engine;
		let events = 0;
		for (let i = 0; i < items.length; i++) {
			const item = items[i]!;
			sureFrom[i] = -lb[2 * item.start + 1]! + item.startShift;
			sureTo[i] = lb[2 * item.end]! + item.endShift;
			if (sureFrom[i]! >= sureTo[i]! || openGuards(engine, item) !== 0) {
				sureTo[i] = sureFrom[i]!;
				continue;
			}
			keys[events++] = sureFrom[i]! * SLOTS + 2 * i;
			keys[events++] = sureTo[i]! * SLOTS + 2 * i + 1;
		}
		const sorted = keys.subarray(0, events).sort();
		this.segments = 0;
		let load = 0;
		let since = 0;
		for (let e = 0; e < events;) {
			const at = Math.floor(sorted[e]! / SLOTS);
			if (load > 0 && since < at) {
				this.from[this.segments] = since;
				this.to[this.segments] = at;
				this.load[this.segments++] = load;
			}
			for (; e < events && Math.floor(sorted[e]! / SLOTS) === at; e++) {
				const key = sorted[e]! - at * SLOTS;
				const amount = items[key >> 1]!.amount;
				load += key & 1 ? -amount : amount;
			}
			since = at;
			if (load > this.capacity) return engine.refute(this.meeting(engine, at, -1, this.capacity + 1));
		}
		return true;
	}

	/** Items that surely run at an instant, enough of them to take `amount`, as literals. */
	private meeting(engine: Engine, instant: number, except: number, amount: number): number[] {
		const literals: number[] = [];
		let left = amount;
		// Large takers first: fewer literals.
		const here = this.running(instant, except).sort((a, b) => this.items[b]!.amount - this.items[a]!.amount);
		for (const i of here) {
			if (left <= 0) break;
			const item = this.items[i]!;
			left -= item.amount;
			literals.push(2 * item.start + 1, -(instant - item.startShift), 2 * item.end, instant + 1 - item.endShift);
			for (const word of item.guards) literals.push(word);
		}
		return literals;
	}

	private running(instant: number, except: number): number[] {
		const here: number[] = [];
		for (let i = 0; i < this.items.length; i++) {
			if (i !== except && this.sureFrom[i]! <= instant && instant < this.sureTo[i]!) here.push(i);
		}
		return here;
	}

	/** Push one item past the segments that leave it no room. */
	private push(engine: Engine, i: number): boolean {
		const { items, from, to, load, capacity } = this;
		const { lb } = engine;
		const item = items[i]!;
		const [s, e] = [2 * item.start, 2 * item.end];
		const own = this.sureFrom[i]! < this.sureTo[i]!;
		if (own && lb[s] === -lb[s + 1]! && lb[e] === -lb[e + 1]!) return true;
		const open = openGuards(engine, item);
		if (open < 0 || open > 1) return true;
		const room = capacity - item.amount;
		if (open === 1) return this.exclude(engine, i, room);
		if (!item.isSure && !own) return true;
		// Why an unsure item lasts: at its latest start it still runs.
		const lasting = item.isSure ? [] : [s + 1, lb[s + 1]!, e, -lb[s + 1]! + item.startShift + 1 - item.endShift];
		for (let k = 0; k < this.segments; k++) {
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
		for (let k = this.segments - 1; k >= 0; k--) {
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
		for (let k = 0; k < this.segments; k++) {
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

/** How many guards of an item are open; −1 where one is false. */
function openGuards(engine: Engine, item: Item): number {
	let open = 0;
	for (let g = 0; g < item.guards.length; g += 2) {
		const [h, v] = [item.guards[g]!, item.guards[g + 1]!];
		if (engine.isTrue(h, v)) continue;
		if (engine.isFalse(h, v)) return -1;
		open++;
	}
	return open;
}
