// The clause-learning kernel: integer bounds with reasons, difference constraints, clauses, conflict analysis.
//
// Every variable x is two *halves*, 2x for x itself and 2x+1 for −x, so that both bounds are lower bounds: `lb[2x]` is the
// least value of x and `lb[2x+1]` the least of −x. A *literal* is a pair (h, v): "half h is at least v". It is true when
// lb[h] ≥ v, false when −lb[h^1] < v, and its negation is (h^1, 1−v). Nothing else is needed to name a bound, so literals
// are made as they come up (lazy clause generation: Ohrimenko, Stuckey & Codish 2009, Constraints 14, 357–391).

import { Clauses, grown, HEAD } from './clauses';
import { rowsOf, type Rows } from './rows';

/** A lower bound that stands for none; sums of a few still fit 32 bits. */
const FAR = -0x1fffffff;

/** Why a bound rose: kind in the lowest two bits, index above. */
const DECISION = 0;
const EDGE = 1;
const ARENA = 2;
const CLAUSE = 3;

/** Something that narrows bounds and can say why; run when a half it watches rises. */
export interface Propagator {
	/** Halves whose rise wakes it. */
	readonly halves: readonly number[];
	/** `false` on a contradiction, after `engine.refute` or a failed `engine.set`. */
	propagate(engine: Engine): boolean;
}

/** Halves that a propagator looks at for one unit of effort. */
const HALVES_PER_EFFORT = 32;

interface EdgeSpec {
	readonly from: number;
	readonly to: number;
	readonly weight: number;
	readonly guards: readonly number[];
}

export class Engine {
	/** Least value, by half. */
	lb = new Int32Array(64).fill(FAR);
	/** Activity by variable, raised when it takes part in a conflict. */
	activity = new Float64Array(32);
	/** Called when the activity of a variable rises, and when a variable's bound is taken back. */
	onActivity: (x: number) => void = () => undefined;
	onUndo: (x: number) => void = () => undefined;
	/** Called with each clause that is learnt, as literals in pairs. */
	onLearn: (literals: readonly number[]) => void = () => undefined;
	level = 0;
	/** Work done: one for each propagator run, a little for each bound. */
	work = 0;
	conflicts = 0;
	variables = 0;
	/** Whether `propagate` stopped before its fixpoint: what it was allowed is spent. */
	isPaused = false;
	/** Effort that is left: like work, but a propagator of many variables counts for more. */
	private allowed = Infinity;

	private edgeSpecs: EdgeSpec[] = [];
	private edgeFrom = new Int32Array(0);
	private edgeTo = new Int32Array(0);
	private edgeWeight = new Int32Array(0);
	/** Guards of edge e: literals as pairs in `guards`, words [guardStart[e], guardStart[e+1]). */
	private guardStart = new Int32Array(1);
	private guards = new Int32Array(0);
	private out: Rows = rowsOf(0, []);
	private byGuard: Rows = rowsOf(0, []);
	private readonly propagators: Propagator[] = [];
	private wakes: Rows = rowsOf(0, []);
	private dirty = new Uint8Array(0);

	/** The trail: entry i raised half `trailHalf[i]` from `trailOld[i]` to `trailNew[i]`; `trailPrev` is the entry before of that half. */
	private trailHalf = new Int32Array(1024);
	private trailNew = new Int32Array(1024);
	private trailOld = new Int32Array(1024);
	private trailReason = new Int32Array(1024);
	private trailPrev = new Int32Array(1024);
	private trailLevel = new Int32Array(1024);
	private mark = new Uint8Array(1024);
	private need = new Int32Array(1024);
	private size = 0;
	private head = 0;
	private last = new Int32Array(64).fill(-1);
	private readonly levelStart: number[] = [0];
	private readonly arenaStart: number[] = [0];
	/** Explanations: length, then literals as pairs; cut back with the trail. */
	private arena = new Int32Array(4096);
	private arenaTop = 0;
	private readonly clauses = new Clauses();
	/** Literals, all true, that cannot hold together. */
	private readonly conflict: number[] = [];
	private readonly why: number[] = [];
	private increment = 1;

	/** A new variable within [low, high]. */
	variable(low: number, high: number): number {
		const x = this.variables++;
		if (2 * x + 2 > this.lb.length) {
			this.lb = grown(this.lb, FAR);
			this.last = grown(this.last, -1);
			const activity = new Float64Array(2 * this.activity.length);
			activity.set(this.activity);
			this.activity = activity;
		}
		this.lb[2 * x] = low;
		this.lb[2 * x + 1] = -high;
		this.clauses.watches.push([], []);
		return x;
	}

	/** From now on `to ≥ from + weight` (halves) wherever all guards (literals as pairs) are true; and its contrapositive. */
	edge(from: number, to: number, weight: number, guards: readonly number[] = []): void {
		this.edgeSpecs.push({ from, to, weight, guards }, { from: to ^ 1, to: from ^ 1, weight, guards });
	}

	add(propagator: Propagator): void {
		this.propagators.push(propagator);
	}

	/** Close the model: no variable, edge or propagator is added after. */
	freeze(): void {
		const specs = this.edgeSpecs;
		const halves = 2 * this.variables;
		const count = specs.length;
		this.edgeFrom = new Int32Array(count);
		this.edgeTo = new Int32Array(count);
		this.edgeWeight = new Int32Array(count);
		this.guardStart = new Int32Array(count + 1);
		const guards: number[] = [];
		/** Edges by guard: the guard's half, and the edge. */
		const guardHalves: number[] = [];
		const guarded: number[] = [];
		for (let e = 0; e < count; e++) {
			const spec = specs[e]!;
			this.edgeFrom[e] = spec.from;
			this.edgeTo[e] = spec.to;
			this.edgeWeight[e] = spec.weight;
			for (let g = 0; g < spec.guards.length; g += 2) {
				guards.push(spec.guards[g]!, spec.guards[g + 1]!);
				guardHalves.push(spec.guards[g]!);
				guarded.push(e);
			}
			this.guardStart[e + 1] = guards.length;
		}
		this.guards = Int32Array.from(guards);
		this.out = rowsOf(halves, this.edgeFrom);
		this.byGuard = rowsOf(halves, guardHalves, guarded);
		const watched: number[] = [];
		const watchers: number[] = [];
		this.propagators.forEach((p, i) => {
			for (const h of p.halves) {
				watched.push(h);
				watchers.push(i);
			}
		});
		this.wakes = rowsOf(halves, watched, watchers);
		this.dirty = new Uint8Array(this.propagators.length).fill(1);
		this.edgeSpecs = [];
	}

	/** After `freeze`: everything once, at the root. */
	root(): boolean {
		for (let e = 0; e < this.edgeFrom.length; e++) if (!this.runEdge(e)) return false;
		return this.propagate();
	}

	isTrue(h: number, v: number): boolean {
		return this.lb[h]! >= v;
	}

	isFalse(h: number, v: number): boolean {
		return -this.lb[h ^ 1]! < v;
	}

	isFixed(x: number): boolean {
		return this.lb[2 * x] === -this.lb[2 * x + 1]!;
	}

	/** The bound of a half that holds for the model itself, whatever was decided. */
	rootLb(h: number): number {
		if (this.level === 0) return this.lb[h]!;
		let value = this.lb[h]!;
		for (let e = this.last[h]!; e >= 0 && this.trailLevel[e]! > 0; e = this.trailPrev[e]!) value = this.trailOld[e]!;
		return value;
	}

	/** Look again at a propagator whose own data changed. */
	wake(propagator: Propagator): void {
		this.dirty[this.propagators.indexOf(propagator)] = 1;
	}

	/** Open a level and make a literal true there; it must be open. */
	decide(h: number, v: number): void {
		this.level++;
		this.levelStart.push(this.size);
		this.arenaStart.push(this.arenaTop);
		this.raise(h, v, DECISION);
	}

	/**
	 * Raise a half to v because of the literals in `reason` (pairs, all true); `false` on a contradiction.
	 * The reason is copied.
	 */
	set(h: number, v: number, reason: readonly number[]): boolean {
		if (v <= this.lb[h]!) return true;
		if (v > -this.lb[h ^ 1]!) return this.refute([...reason, h ^ 1, 1 - v]);
		if (this.arenaTop + reason.length + 1 > this.arena.length) this.arena = grown(this.arena, 0, reason.length + 1);
		const at = this.arenaTop;
		this.arena[at] = reason.length;
		for (let i = 0; i < reason.length; i++) this.arena[at + 1 + i] = reason[i]!;
		this.arenaTop += reason.length + 1;
		this.raise(h, v, at * 4 + ARENA);
		return true;
	}

	/** Report literals (pairs, all true) that cannot hold together. */
	refute(literals: readonly number[]): false {
		this.conflict.length = 0;
		for (const word of literals) this.conflict.push(word);
		return false;
	}

	/** Add a clause of the model at level 0, as literals in pairs. */
	clause(literals: readonly number[]): boolean {
		const open: number[] = [];
		for (let i = 0; i < literals.length; i += 2) {
			const [h, v] = [literals[i]!, literals[i + 1]!];
			if (this.isTrue(h, v)) return true;
			if (!this.isFalse(h, v)) open.push(h, v);
		}
		if (open.length === 0) return this.refute([]);
		if (open.length === 2) {
			this.raise(open[0]!, open[1]!, DECISION);
			return true;
		}
		this.clauses.store(open, false, 0);
		return true;
	}

	/** Let so much effort be spent; `propagate` pauses once it is. */
	allow(effort: number): void {
		this.allowed = effort;
	}

	/** A propagator's own word that this run was longer than its variables say. */
	spend(effort: number): void {
		this.allowed -= effort;
	}

	/** Run everything to a fixpoint, or until it pauses; `false` on a contradiction, for `resolve`. */
	propagate(): boolean {
		this.isPaused = false;
		for (;;) {
			while (this.head < this.size) {
				if (this.allowed <= 0) {
					this.isPaused = true;
					return true;
				}
				const i = this.head++;
				const h = this.trailHalf[i]!;
				// A half that rose again is looked at once, with its newest bound.
				if (this.last[h] !== i) continue;
				this.work += 0.02;
				this.allowed -= 0.02;
				if (!this.runClauses(h) || !this.runEdges(h)) return false;
				const { start, items } = this.wakes;
				for (let k = start[h]!; k < start[h + 1]!; k++) this.dirty[items[k]!] = 1;
			}
			const p = this.dirty.indexOf(1);
			if (p < 0) return true;
			if (this.allowed <= 0) {
				this.isPaused = true;
				return true;
			}
			this.dirty[p] = 0;
			this.work++;
			const propagator = this.propagators[p]!;
			this.allowed -= 1 + propagator.halves.length / HALVES_PER_EFFORT;
			if (!propagator.propagate(this)) return false;
		}
	}

	/**
	 * Learn from the contradiction found last and go back: first unique implication point (Zhang et al. 2001, ICCAD,
	 * 279–285) over bounds, each replaced by its reason for just the value needed.
	 *
	 * @returns `false` when there is nothing left to go back to: the model has no (better) answer
	 */
	resolve(): boolean {
		this.conflicts++;
		this.head = this.size;
		const top = this.deepestLevel(this.conflict);
		if (top === 0) return false;
		this.backTo(top);
		const lower: number[] = [];
		let pending = 0;
		const require = (literals: readonly number[]) => {
			for (let i = 0; i < literals.length; i += 2) {
				const v = literals[i + 1]!;
				const e = this.entryOf(literals[i]!, v);
				if (e < 0 || this.trailLevel[e] === 0) continue;
				if (this.mark[e]) {
					this.need[e] = Math.max(this.need[e]!, v);
					continue;
				}
				this.mark[e] = 1;
				this.need[e] = v;
				this.bump(this.trailHalf[e]! >> 1);
				if (this.trailLevel[e] === top) pending++;
				else lower.push(e);
			}
		};
		require(this.conflict);
		let e = this.size - 1;
		for (; ; e--) {
			if (!this.mark[e]) continue;
			if (pending === 1) break;
			pending--;
			this.mark[e] = 0;
			this.explain(this.trailReason[e]!, this.trailHalf[e]!, this.need[e]!);
			require(this.why);
		}
		const kept = lower.filter((entry) => !this.isImplied(entry));
		const [uipHalf, uipNeed] = [this.trailHalf[e]!, this.need[e]!];
		this.mark[e] = 0;
		for (const entry of lower) this.mark[entry] = 0;
		this.learn(uipHalf, uipNeed, kept);
		this.increment /= 0.95;
		if (this.increment > 1e100) {
			for (let x = 0; x < this.variables; x++) this.activity[x]! *= 1e-100;
			this.increment *= 1e-100;
		}
		return true;
	}

	/** The decisions (trail order) that together made a literal false. */
	culprits(h: number, v: number): readonly number[] {
		const found: number[] = [];
		const marked: number[] = [];
		const require = (half: number, value: number) => {
			const e = this.entryOf(half, value);
			if (e < 0 || this.trailLevel[e] === 0) return;
			if (this.mark[e]) {
				this.need[e] = Math.max(this.need[e]!, value);
				return;
			}
			this.mark[e] = 1;
			this.need[e] = value;
			marked.push(e);
		};
		require(h ^ 1, 1 - v);
		for (let e = this.size - 1; e >= 0; e--) {
			if (!this.mark[e]) continue;
			const reason = this.trailReason[e]!;
			if ((reason & 3) === DECISION) {
				found.push(this.trailHalf[e]!);
				continue;
			}
			this.explain(reason, this.trailHalf[e]!, this.need[e]!);
			for (let i = 0; i < this.why.length; i += 2) require(this.why[i]!, this.why[i + 1]!);
		}
		for (const e of marked) this.mark[e] = 0;
		return found;
	}

	/** Take back everything above a level. */
	backTo(level: number): void {
		if (level >= this.level) return;
		const from = this.levelStart[level + 1]!;
		for (let i = this.size - 1; i >= from; i--) {
			const h = this.trailHalf[i]!;
			this.lb[h] = this.trailOld[i]!;
			this.last[h] = this.trailPrev[i]!;
			this.onUndo(h >> 1);
		}
		this.size = from;
		this.head = from;
		this.arenaTop = this.arenaStart[level + 1]!;
		this.levelStart.length = level + 1;
		this.arenaStart.length = level + 1;
		this.level = level;
		// What was dirty at a contradiction may matter still: its inputs are wider now, so a run is never wrong.
	}

	get learntCount(): number {
		return this.clauses.learnt;
	}

	/** Forget the worse half of what was learnt. At level 0 only: root bounds need no reasons any more. */
	forget(): void {
		this.clauses.forget();
	}

	private raise(h: number, v: number, reason: number): void {
		const i = this.size++;
		if (i >= this.trailHalf.length) this.growTrail();
		this.trailHalf[i] = h;
		this.trailNew[i] = v;
		this.trailOld[i] = this.lb[h]!;
		this.trailReason[i] = reason;
		this.trailPrev[i] = this.last[h]!;
		this.trailLevel[i] = this.level;
		this.last[h] = i;
		this.lb[h] = v;
	}

	private growTrail(): void {
		this.trailHalf = grown(this.trailHalf, 0);
		this.trailNew = grown(this.trailNew, 0);
		this.trailOld = grown(this.trailOld, 0);
		this.trailReason = grown(this.trailReason, 0);
		this.trailPrev = grown(this.trailPrev, 0);
		this.trailLevel = grown(this.trailLevel, 0);
		this.need = grown(this.need, 0);
		const mark = new Uint8Array(2 * this.mark.length);
		mark.set(this.mark);
		this.mark = mark;
	}

	/** Raise a half for a lazily explained reason. */
	private push(h: number, v: number, reason: number): boolean {
		if (v <= this.lb[h]!) return true;
		if (v > -this.lb[h ^ 1]!) {
			this.explain(reason, h, v);
			return this.refute([...this.why, h ^ 1, 1 - v]);
		}
		this.raise(h, v, reason);
		return true;
	}

	private runEdges(h: number): boolean {
		const { out, byGuard } = this;
		for (let k = out.start[h]!; k < out.start[h + 1]!; k++) if (!this.runEdge(out.items[k]!)) return false;
		for (let k = byGuard.start[h]!; k < byGuard.start[h + 1]!; k++) if (!this.runEdge(byGuard.items[k]!)) return false;
		return true;
	}

	private runEdge(e: number): boolean {
		const { lb } = this;
		const [from, to] = [this.edgeFrom[e]!, this.edgeTo[e]!];
		const v = lb[from]! + this.edgeWeight[e]!;
		if (v <= lb[to]!) return true;
		let open = -1;
		for (let g = this.guardStart[e]!; g < this.guardStart[e + 1]!; g += 2) {
			const [h, value] = [this.guards[g]!, this.guards[g + 1]!];
			if (lb[h]! >= value) continue;
			if (-lb[h ^ 1]! < value || open >= 0) return true;
			open = g;
		}
		if (open < 0) return this.push(to, v, e * 4 + EDGE);
		if (v <= -lb[to ^ 1]!) return true;
		// One guard is open and the edge cannot hold: the guard is false.
		const reason = [from, lb[from]!, to ^ 1, 1 - v];
		for (let g = this.guardStart[e]!; g < this.guardStart[e + 1]!; g += 2) {
			if (g !== open) reason.push(this.guards[g]!, this.guards[g + 1]!);
		}
		return this.set(this.guards[open]! ^ 1, 1 - this.guards[open + 1]!, reason);
	}

	private runClauses(h: number): boolean {
		const { lb } = this;
		const { words: pool, watches } = this.clauses;
		const list = watches[h]!;
		const limit = -lb[h]!;
		let j = 0;
		for (let i = 0; i < list.length; i += 2) {
			const ref = list[i]!;
			const v = list[i + 1]!;
			list[j++] = ref;
			list[j++] = v;
			if (limit >= v) continue;
			const base = ref + HEAD;
			// The false literal to second place.
			if (pool[base] === (h ^ 1) && pool[base + 1] === v) {
				pool[base] = pool[base + 2]!;
				pool[base + 1] = pool[base + 3]!;
				pool[base + 2] = h ^ 1;
				pool[base + 3] = v;
			}
			const [firstHalf, firstValue] = [pool[base]!, pool[base + 1]!];
			if (lb[firstHalf]! >= firstValue) continue;
			const end = base + 2 * pool[ref]!;
			let k = base + 4;
			while (k < end && -lb[pool[k]! ^ 1]! < pool[k + 1]!) k += 2;
			if (k < end) {
				const [kh, kv] = [pool[k]!, pool[k + 1]!];
				pool[base + 2] = kh;
				pool[base + 3] = kv;
				pool[k] = h ^ 1;
				pool[k + 1] = v;
				watches[kh ^ 1]!.push(ref, kv);
				j -= 2;
				continue;
			}
			if (!this.push(firstHalf, firstValue, ref * 4 + CLAUSE)) {
				for (i += 2; i < list.length; i++) list[j++] = list[i]!;
				list.length = j;
				return false;
			}
		}
		list.length = j;
		return true;
	}

	/** The literals that made half h at least v, into `why`. */
	private explain(reason: number, h: number, v: number): void {
		const { why } = this;
		const pool = this.clauses.words;
		why.length = 0;
		const index = reason >>> 2;
		switch (reason & 3) {
			case EDGE:
				why.push(this.edgeFrom[index]!, v - this.edgeWeight[index]!);
				for (let g = this.guardStart[index]!; g < this.guardStart[index + 1]!; g++) why.push(this.guards[g]!);
				return;
			case ARENA:
				for (let i = 1; i <= this.arena[index]!; i++) why.push(this.arena[index + i]!);
				return;
			case CLAUSE: {
				const base = index + HEAD;
				for (let i = base; i < base + 2 * pool[index]!; i += 2) {
					if (pool[i] !== h) why.push(pool[i]! ^ 1, 1 - pool[i + 1]!);
				}
				return;
			}
		}
	}

	/** The trail entry that made a true literal true, −1 for the model itself. */
	private entryOf(h: number, v: number): number {
		let e = this.last[h]!;
		while (e >= 0 && this.trailOld[e]! >= v) e = this.trailPrev[e]!;
		return e;
	}

	private deepestLevel(literals: readonly number[]): number {
		let level = 0;
		for (let i = 0; i < literals.length; i += 2) {
			const e = this.entryOf(literals[i]!, literals[i + 1]!);
			if (e >= 0) level = Math.max(level, this.trailLevel[e]!);
		}
		return level;
	}

	/** Whether a marked entry follows from the other marked ones (one step deep). */
	private isImplied(entry: number): boolean {
		const reason = this.trailReason[entry]!;
		if ((reason & 3) === DECISION) return false;
		this.explain(reason, this.trailHalf[entry]!, this.need[entry]!);
		for (let i = 0; i < this.why.length; i += 2) {
			const v = this.why[i + 1]!;
			const e = this.entryOf(this.why[i]!, v);
			if (e >= 0 && this.trailLevel[e]! > 0 && (!this.mark[e] || this.need[e]! < v)) return false;
		}
		return true;
	}

	/** Store the negation of the bounds found, go back as far as it stays unit, and assert it. */
	private learn(uipHalf: number, uipNeed: number, entries: readonly number[]): void {
		// Of two bounds on one half the higher says both.
		const highest = new Map<number, number>();
		for (const e of entries) {
			const h = this.trailHalf[e]!;
			const other = highest.get(h);
			if (other === undefined || this.need[e]! > this.need[other]!) highest.set(h, e);
		}
		if (highest.has(uipHalf)) highest.delete(uipHalf);
		const rest = [...highest.values()].sort((a, b) => this.trailLevel[b]! - this.trailLevel[a]!);
		const literals = [uipHalf ^ 1, 1 - uipNeed];
		for (const e of rest) literals.push(this.trailHalf[e]! ^ 1, 1 - this.need[e]!);
		this.onLearn(literals);
		const levels = new Set(rest.map((e) => this.trailLevel[e]!)).size + 1;
		this.backTo(rest.length === 0 ? 0 : this.trailLevel[rest[0]!]!);
		if (rest.length === 0) this.raise(literals[0]!, literals[1]!, DECISION);
		else this.raise(literals[0]!, literals[1]!, this.clauses.store(literals, true, levels) * 4 + CLAUSE);
	}

	private bump(x: number): void {
		this.activity[x]! += this.increment;
		this.onActivity(x);
	}
}
