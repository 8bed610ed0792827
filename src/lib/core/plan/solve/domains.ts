// The kernel: bounds of all starts, ends and services, what is still open, and propagation of every rule to a fixpoint.
import { NONE, type Table } from './table';

/** Events of one profile are sorted by `time · SLOTS + index`. */
const SLOTS = 2 ** 20;
/** What is known of an option. */
const DEAD = 0;
const OPEN = 1;
const TAKEN = 2;

/**
 * The search state of one problem: integer bounds with a trail.
 *
 * Propagators: difference constraints (a work list over bounds); time tables of compulsory parts for resources
 * (Lahrichi 1982; Letort, Beldiceanu & Carlsson 2012 for the sweep), holds included; pairwise setup disjunctions for
 * states; the objective's lower bound against the incumbent. Every method that narrows answers `false` on a contradiction.
 */
export class Domains {
	readonly lo: Int32Array;
	readonly hi: Int32Array;
	/** 1 where a mode is still possible; how many are, by task; shortest and longest of them. */
	readonly alive: Uint8Array;
	readonly open: Int32Array;
	readonly shortest: Int32Array;
	readonly longest: Int32Array;
	/** DEAD, OPEN or TAKEN, by option. */
	readonly option: Uint8Array;
	readonly choiceOpen: Int32Array;
	/** Objectives at or above this are not wanted. */
	limit = Infinity;
	/** Task at which the last contradiction showed, or −1. */
	culprit = -1;
	/** Propagator runs: the measure of work. */
	work = 0;

	/** Old values, newest last: bounds as (variable·2 + side, value), a mode as (−1 − mode, 0), an option as (−1e9 − o, old). */
	private readonly trail: number[] = [];
	private readonly queue: number[] = [];
	private readonly queued: Uint8Array;
	private readonly dirtyResource: Uint8Array;
	private readonly dirtyState: Uint8Array;
	private readonly dirtyTask: Uint8Array;
	private readonly tasksToCheck: number[] = [];
	/** Scratch of the time table: event keys, then segments [segFrom, segTo) with their load. */
	private readonly keys: Float64Array;
	private readonly deltas: Int32Array;
	private readonly segFrom: Int32Array;
	private readonly segTo: Int32Array;
	private readonly segLoad: Int32Array;
	private segments = 0;

	constructor(readonly table: Table) {
		const { n, services, horizon } = table;
		const variables = 2 * n + services;
		this.lo = new Int32Array(variables);
		this.hi = new Int32Array(variables).fill(horizon);
		this.alive = new Uint8Array(table.duration.length).fill(1);
		this.open = new Int32Array(n);
		this.shortest = new Int32Array(n);
		this.longest = new Int32Array(n);
		this.option = new Uint8Array(table.choiceOf.length).fill(OPEN);
		this.choiceOpen = new Int32Array(table.optionStart.length - 1);
		this.queued = new Uint8Array(variables);
		this.dirtyResource = new Uint8Array(table.capacity.length);
		this.dirtyState = new Uint8Array(table.states);
		this.dirtyTask = new Uint8Array(n);
		const events = 2 * (Math.max(0, ...spans(table.useStart)) + Math.max(0, ...spans(table.holdStart)));
		this.keys = new Float64Array(events);
		this.deltas = new Int32Array(events);
		this.segFrom = new Int32Array(events);
		this.segTo = new Int32Array(events);
		this.segLoad = new Int32Array(events);
		for (let c = 0; c < this.choiceOpen.length; c++) {
			this.choiceOpen[c] = table.optionStart[c + 1]! - table.optionStart[c]!;
			if (this.choiceOpen[c] === 1) this.option[table.optionStart[c]!] = TAKEN;
		}
	}

	/** Post everything that holds from the start. */
	root(): boolean {
		const { n, services, horizon, due, release, fixedStart, fixedMode, optionOf } = this.table;
		for (let k = 0; k < services; k++) if (!this.raise(2 * n + k, due[k]!)) return false;
		for (let t = 0; t < n; t++) {
			this.recount(t);
			this.touch(t);
			if (fixedStart[t]! >= 0) {
				const o = optionOf[t]!;
				if (o >= 0 && !this.take(o)) return false;
				if (!this.setMode(t, fixedMode[t]!)) return false;
				if (!this.raise(t, fixedStart[t]!) || !this.lower(t, fixedStart[t]!)) return false;
			}
			// A task that cannot fit by itself only matters if it is there.
			if (release[t]! <= horizon) this.lo[t] = Math.max(this.lo[t]!, release[t]!);
			else if (this.isThere(t)) return this.fail(t);
		}
		return this.propagate();
	}

	mark(): number {
		return this.trail.length;
	}

	undo(mark: number): void {
		const { trail } = this;
		while (trail.length > mark) {
			const old = trail.pop()!;
			const key = trail.pop()!;
			if (key >= 0) {
				if (key & 1) this.hi[key >> 1] = old;
				else this.lo[key >> 1] = old;
			} else if (key > -1e9) {
				const m = -1 - key;
				this.alive[m] = 1;
				this.recount(this.table.modeTask[m]!);
			} else {
				const o = -1e9 - key;
				if (this.option[o] === DEAD) this.choiceOpen[this.table.choiceOf[o]!]!++;
				this.option[o] = old;
			}
		}
		this.forget();
	}

	isThere(t: number): boolean {
		const o = this.table.optionOf[t]!;
		return o < 0 || this.option[o] === TAKEN;
	}

	/** Whether the task may still turn out to be there, or is. */
	mayBeThere(t: number): boolean {
		const o = this.table.optionOf[t]!;
		return o < 0 || this.option[o] !== DEAD;
	}

	isOpenChoice(c: number): boolean {
		return this.choiceOpen[c]! > 1;
	}

	/** The mode of a task whose mode is decided, else −1. */
	modeOf(t: number): number {
		if (this.open[t] !== 1) return -1;
		const { modeStart } = this.table;
		for (let m = modeStart[t]!; m < modeStart[t + 1]!; m++) if (this.alive[m]) return m;
		return -1;
	}

	isDecided(t: number): boolean {
		return this.open[t] === 1 && this.lo[t] === this.hi[t];
	}

	raise(v: number, value: number): boolean {
		if (value <= this.lo[v]!) return true;
		this.trail.push(v << 1, this.lo[v]!);
		this.lo[v] = value;
		this.changed(v);
		return value <= this.hi[v]! || this.fail(v);
	}

	lower(v: number, value: number): boolean {
		if (value >= this.hi[v]!) return true;
		this.trail.push((v << 1) | 1, this.hi[v]!);
		this.hi[v] = value;
		this.changed(v);
		return value >= this.lo[v]! || this.fail(v);
	}

	removeMode(m: number): boolean {
		if (!this.alive[m]) return true;
		const t = this.table.modeTask[m]!;
		this.trail.push(-1 - m, 0);
		this.alive[m] = 0;
		this.recount(t);
		if (this.open[t] === 0) return this.fail(t);
		this.touch(t);
		return true;
	}

	setMode(t: number, m: number): boolean {
		const { modeStart } = this.table;
		if (!this.alive[m]) return this.fail(t);
		for (let k = modeStart[t]!; k < modeStart[t + 1]!; k++) if (k !== m && !this.removeMode(k)) return false;
		return true;
	}

	take(o: number): boolean {
		const { choiceOf, optionStart } = this.table;
		if (this.option[o] === DEAD) return false;
		const c = choiceOf[o]!;
		for (let k = optionStart[c]!; k < optionStart[c + 1]!; k++) if (k !== o && !this.drop(k)) return false;
		return true;
	}

	drop(o: number): boolean {
		if (this.option[o] === DEAD) return true;
		if (this.option[o] === TAKEN) return false;
		const { choiceOf, optionStart, optionTasks } = this.table;
		const c = choiceOf[o]!;
		this.trail.push(-1e9 - o, OPEN);
		this.option[o] = DEAD;
		if (--this.choiceOpen[c]! > 1) return true;
		for (let k = optionStart[c]!; k < optionStart[c + 1]!; k++) {
			if (this.option[k] !== OPEN) continue;
			this.trail.push(-1e9 - k, OPEN);
			this.option[k] = TAKEN;
			for (const t of optionTasks[k]!) this.arrive(t);
		}
		return true;
	}

	/** A lower bound on the objective of everything still possible. */
	lowerBound(): number {
		const { lo, hi, table } = this;
		const { n, services, due, serveTask, serveService, serveOffset, serveFree, serveRate } = table;
		let bound = 0;
		let last = 0;
		for (let k = 0; k < services; k++) {
			bound += table.slipWeight * (lo[2 * n + k]! - due[k]!);
			last = Math.max(last, lo[2 * n + k]!);
		}
		for (let i = 0; i < serveTask.length; i++) {
			const t = serveTask[i]!;
			if (!this.isThere(t)) continue;
			const wait = lo[2 * n + serveService[i]!]! - serveOffset[i]! - hi[n + t]! - serveFree[i]!;
			if (wait > 0) bound += serveRate[i]! * wait;
		}
		for (let c = 0; c < this.choiceOpen.length; c++) {
			let least = Infinity;
			for (let o = table.optionStart[c]!; o < table.optionStart[c + 1]!; o++) {
				if (this.option[o] !== DEAD) least = Math.min(least, table.optionCost[o]!);
			}
			bound += least;
		}
		let first = NONE;
		for (let t = 0; t < n; t++) if (!table.ahead[t] && this.isThere(t)) first = Math.min(first, hi[t]!);
		return first === NONE ? bound : bound + table.spanWeight * (last - first);
	}

	/** Run every propagator until nothing changes; `false` on a contradiction (the state is then only good for `undo`). */
	propagate(): boolean {
		for (;;) {
			if (!this.propagateDifferences()) return false;
			const s = this.dirtyState.indexOf(1);
			if (s >= 0) {
				this.dirtyState[s] = 0;
				this.work++;
				if (!this.propagateState(s)) return false;
				continue;
			}
			const r = this.dirtyResource.indexOf(1);
			if (r >= 0) {
				this.dirtyResource[r] = 0;
				this.work++;
				if (!this.propagateResource(r)) return false;
				continue;
			}
			const before = this.trail.length;
			if (!this.propagateObjective()) return false;
			if (this.trail.length === before) return true;
		}
	}

	private fail(v: number): false {
		const { n } = this.table;
		this.culprit = v < n ? v : v < 2 * n ? v - n : -1;
		return false;
	}

	private forget(): void {
		for (const v of this.queue) this.queued[v] = 0;
		this.queue.length = 0;
		this.dirtyResource.fill(0);
		this.dirtyState.fill(0);
		for (const t of this.tasksToCheck) this.dirtyTask[t] = 0;
		this.tasksToCheck.length = 0;
	}

	private recount(t: number): void {
		const { modeStart, duration } = this.table;
		let [open, shortest, longest] = [0, NONE, 0];
		for (let m = modeStart[t]!; m < modeStart[t + 1]!; m++) {
			if (!this.alive[m]) continue;
			open++;
			shortest = Math.min(shortest, duration[m]!);
			longest = Math.max(longest, duration[m]!);
		}
		this.open[t] = open;
		this.shortest[t] = shortest;
		this.longest[t] = longest;
	}

	/** Look again at a task and all it touches. */
	private touch(t: number): void {
		this.changed(t);
		this.changed(this.table.n + t);
	}

	/** A task is now there for sure: its edges hold from here on, so both ends of each are looked at. */
	private arrive(t: number): void {
		const { n, edgeX, edgeY, outStart, outEdges, inStart, inEdges } = this.table;
		this.touch(t);
		for (const v of [t, n + t]) {
			for (let i = outStart[v]!; i < outStart[v + 1]!; i++) this.changed(edgeY[outEdges[i]!]!);
			for (let i = inStart[v]!; i < inStart[v + 1]!; i++) this.changed(edgeX[inEdges[i]!]!);
		}
	}

	private changed(v: number): void {
		if (!this.queued[v]) {
			this.queued[v] = 1;
			this.queue.push(v);
		}
		const { n } = this.table;
		if (v >= 2 * n) return;
		const t = v < n ? v : v - n;
		for (const r of this.table.resourcesOf[t]!) this.dirtyResource[r] = 1;
		for (const s of this.table.statesOf[t]!) this.dirtyState[s] = 1;
		if (!this.dirtyTask[t]) {
			this.dirtyTask[t] = 1;
			this.tasksToCheck.push(t);
		}
	}

	private propagateDifferences(): boolean {
		const { lo, hi, table } = this;
		const { n, edgeX, edgeY, edgeW, edgeTaskX, edgeTaskY, outStart, outEdges, inStart, inEdges } = table;
		for (let head = 0; ; head++) {
			if (head > 4096) {
				this.queue.splice(0, head);
				head = 0;
			}
			if (head >= this.queue.length) break;
			const v = this.queue[head]!;
			this.queued[v] = 0;
			this.work += 0.02;
			// The task's own link between its start and its end.
			if (v < 2 * n) {
				const t = v < n ? v : v - n;
				if (this.isThere(t)) {
					const [dMin, dMax] = [this.shortest[t]!, this.longest[t]!];
					const e = n + t;
					if (!this.raise(e, lo[t]! + dMin) || !this.lower(e, hi[t]! + dMax)) return false;
					if (!this.lower(t, hi[e]! - dMin) || !this.raise(t, lo[e]! - dMax)) return false;
				}
			}
			for (let i = outStart[v]!; i < outStart[v + 1]!; i++) {
				const e = outEdges[i]!;
				if (this.holds(edgeTaskX[e]!) && this.holds(edgeTaskY[e]!) && !this.raise(edgeY[e]!, lo[v]! + edgeW[e]!)) {
					return false;
				}
			}
			for (let i = inStart[v]!; i < inStart[v + 1]!; i++) {
				const e = inEdges[i]!;
				if (this.holds(edgeTaskX[e]!) && this.holds(edgeTaskY[e]!) && !this.lower(edgeX[e]!, hi[v]! - edgeW[e]!)) {
					return false;
				}
			}
		}
		this.queue.length = 0;
		// Modes too long for their window go, and with them their share of the window.
		while (this.tasksToCheck.length > 0) {
			const t = this.tasksToCheck.pop()!;
			this.dirtyTask[t] = 0;
			if (this.open[t] === 1 || !this.isThere(t)) continue;
			for (let m = table.modeStart[t]!; m < table.modeStart[t + 1]!; m++) {
				if (this.alive[m] && lo[t]! + table.duration[m]! > hi[n + t]! && !this.removeMode(m)) return false;
			}
		}
		return this.queue.length === 0 || this.propagateDifferences();
	}

	private holds(task: number): boolean {
		return task < 0 || this.isThere(task);
	}

	private propagateState(s: number): boolean {
		const { lo, hi, table } = this;
		const { n, modeTask, modeValue, stateModes, transition, initial } = table;
		const modes = stateModes[s]!;
		for (let i = 0; i < modes.length; i++) {
			const a = modes[i]!;
			const ta = modeTask[a]!;
			if (!this.alive[a] || !this.isThere(ta)) continue;
			const ready = transition(s, initial[s]!, modeValue[a]!);
			if (this.open[ta] !== 1) {
				if (hi[ta]! < ready && !this.removeMode(a)) return false;
				continue;
			}
			if (!this.raise(ta, ready)) return false;
			for (let k = i + 1; k < modes.length; k++) {
				const b = modes[k]!;
				const tb = modeTask[b]!;
				if (!this.alive[b] || ta === tb || modeValue[a] === modeValue[b] || !this.isThere(tb)) continue;
				const after = transition(s, modeValue[a]!, modeValue[b]!);
				const before = transition(s, modeValue[b]!, modeValue[a]!);
				const endB = lo[tb]! + table.duration[b]!;
				const aFirst = lo[n + ta]! + after <= hi[tb]!;
				const bFirst = endB + before <= hi[ta]!;
				if (this.open[tb] !== 1) {
					if (!aFirst && !bFirst && !this.removeMode(b)) return false;
				} else if (!aFirst && !bFirst) return this.fail(hi[ta]! - lo[ta]! > hi[tb]! - lo[tb]! ? ta : tb);
				else if (!aFirst) {
					if (!this.raise(ta, lo[n + tb]! + before) || !this.lower(n + tb, hi[ta]! - before)) return false;
				} else if (!bFirst && (!this.raise(tb, lo[n + ta]! + after) || !this.lower(n + ta, hi[tb]! - after))) {
					return false;
				}
			}
		}
		return true;
	}

	private propagateResource(r: number): boolean {
		if (!this.profile(r)) return false;
		const { lo, hi, table } = this;
		const { n, capacity, modeTask, useStart, useMode, useAmount, useFrom, useTo, holdStart } = table;
		for (let u = useStart[r]!; u < useStart[r + 1]!; u++) {
			const m = useMode[u]!;
			const t = modeTask[m]!;
			if (!this.alive[m] || lo[t] === hi[t] || !this.isThere(t)) continue;
			const room = capacity[r]! - useAmount[u]!;
			if (room < 0) {
				if (!this.removeMode(m)) return false;
				continue;
			}
			const [from, to] = [useFrom[u]!, useTo[u]!];
			const decided = this.open[t] === 1;
			const own = decided ? useAmount[u]! : 0;
			const [ownFrom, ownTo] = [hi[t]! + from, lo[t]! + to];
			// Earliest start whose window meets no full segment; then the latest.
			let first = lo[t]!;
			for (let k = 0; k < this.segments && this.segFrom[k]! < first + to; k++) {
				if (this.segTo[k]! <= first + from) continue;
				const mine = ownFrom <= this.segFrom[k]! && this.segTo[k]! <= ownTo ? own : 0;
				if (this.segLoad[k]! - mine > room) first = this.segTo[k]! - from;
			}
			if (!decided) {
				if (first > hi[t]! && !this.removeMode(m)) return false;
				continue;
			}
			if (!this.raise(t, first)) return false;
			let last = hi[t]!;
			for (let k = this.segments - 1; k >= 0 && this.segTo[k]! > last + from; k--) {
				if (this.segFrom[k]! >= last + to) continue;
				const mine = ownFrom <= this.segFrom[k]! && this.segTo[k]! <= ownTo ? own : 0;
				if (this.segLoad[k]! - mine > room) last = this.segFrom[k]! - to;
			}
			if (!this.lower(t, last)) return false;
		}
		for (let h = holdStart[r]!; h < holdStart[r + 1]!; h++) {
			const [a, b] = [table.holdFirst[h]!, table.holdLast[h]!];
			// Only a hold that surely lasts can be pushed; one that may be void constrains nothing.
			if (!this.isThere(a) || !this.isThere(b) || (a !== b && lo[n + b]! <= hi[a]!)) continue;
			const room = capacity[r]! - table.holdAmount[h]!;
			if (room < 0) return this.fail(a);
			const [ownFrom, ownTo] = [hi[a]!, lo[n + b]!];
			for (let k = 0; k < this.segments; k++) {
				const [from, to] = [this.segFrom[k]!, this.segTo[k]!];
				const mine = ownFrom <= from && to <= ownTo ? table.holdAmount[h]! : 0;
				if (this.segLoad[k]! - mine <= room) continue;
				if (lo[n + b]! > from && !this.raise(a, to)) return false;
				if (hi[a]! < to && !this.lower(n + b, from)) return false;
			}
		}
		return true;
	}

	/** Build the profile of what is surely taken of a resource; `false` where it exceeds the capacity. */
	private profile(r: number): boolean {
		const { lo, hi, table, keys, deltas } = this;
		const { n, capacity, modeTask, useStart, useMode, useAmount, useFrom, useTo, holdStart } = table;
		let events = 0;
		const add = (from: number, to: number, amount: number) => {
			if (from >= to) return;
			deltas[events] = amount;
			keys[events] = from * SLOTS + events++;
			deltas[events] = -amount;
			keys[events] = to * SLOTS + events++;
		};
		for (let u = useStart[r]!; u < useStart[r + 1]!; u++) {
			const m = useMode[u]!;
			const t = modeTask[m]!;
			if (!this.alive[m] || this.open[t] !== 1 || !this.isThere(t)) continue;
			add(hi[t]! + useFrom[u]!, lo[t]! + useTo[u]!, useAmount[u]!);
		}
		for (let h = holdStart[r]!; h < holdStart[r + 1]!; h++) {
			const [a, b] = [table.holdFirst[h]!, table.holdLast[h]!];
			if (this.isThere(a) && this.isThere(b)) add(hi[a]!, lo[n + b]!, table.holdAmount[h]!);
		}
		const sorted = keys.subarray(0, events).sort();
		this.segments = 0;
		let load = 0;
		for (let i = 0; i < events; ) {
			const at = Math.floor(sorted[i]! / SLOTS);
			for (; i < events && Math.floor(sorted[i]! / SLOTS) === at; i++) load += deltas[sorted[i]! % SLOTS]!;
			if (this.segments > 0 && this.segTo[this.segments - 1] === NONE) this.segTo[this.segments - 1] = at;
			if (load > capacity[r]!) return this.overloaded(r, at);
			if (load > 0) {
				this.segFrom[this.segments] = at;
				this.segTo[this.segments] = NONE;
				this.segLoad[this.segments++] = load;
			}
		}
		return true;
	}

	/** Blame the overload on the widest task over that instant: moving it is the most promising. */
	private overloaded(r: number, at: number): false {
		const { lo, hi, table } = this;
		let widest = -1;
		for (let u = table.useStart[r]!; u < table.useStart[r + 1]!; u++) {
			const t = table.modeTask[table.useMode[u]!]!;
			if (hi[t]! + table.useFrom[u]! > at || lo[t]! + table.useTo[u]! <= at || !this.isThere(t)) continue;
			if (widest < 0 || hi[t]! - lo[t]! > hi[widest]! - lo[widest]!) widest = t;
		}
		return this.fail(widest < 0 ? 2 * table.n : widest);
	}

	private propagateObjective(): boolean {
		if (this.limit === Infinity) return true;
		const { lo, hi, table } = this;
		const { n, services, serveTask, serveService, serveOffset, serveFree, serveRate } = table;
		const spare = this.limit - 1 - this.lowerBound();
		if (spare < 0) return this.fail(2 * n);
		let last = 0;
		for (let k = 0; k < services; k++) {
			const d = 2 * n + k;
			last = Math.max(last, lo[d]!);
			if (table.slipWeight > 0 && !this.lower(d, lo[d]! + Math.floor(spare / table.slipWeight))) return false;
		}
		for (let i = 0; i < serveTask.length; i++) {
			const t = serveTask[i]!;
			if (!this.isThere(t) || serveRate[i] === 0) continue;
			const plate = lo[2 * n + serveService[i]!]! - serveOffset[i]!;
			const longest = Math.max(serveFree[i]!, plate - hi[n + t]!) + Math.floor(spare / serveRate[i]!);
			if (!this.raise(n + t, plate - longest)) return false;
		}
		if (table.spanWeight > 0) {
			let first = NONE;
			for (let t = 0; t < n; t++) if (!table.ahead[t] && this.isThere(t)) first = Math.min(first, hi[t]!);
			const earliest = first - Math.floor(spare / table.spanWeight);
			for (let t = 0; t < n; t++) {
				if (!table.ahead[t] && this.isThere(t) && !this.raise(t, earliest)) return false;
			}
		}
		return true;
	}
}

function spans(start: Int32Array): number[] {
	return Array.from(start.subarray(1), (end, i) => end - start[i]!);
}
