// What holds one value at a time: tasks that want different values come one after the other, with the change in between.
import type { Engine, Propagator } from '../engine';
import type { Builder, Building } from './builder';
import { excluded, together, type Literal } from './literals';
import type { TaskModel, Variables } from './variables';

/** Up to so many users each pair gets a literal for its order; beyond, orders follow from bounds. */
const MOST_PAIRED = 40;
/** Pairs that are looked at for one unit of effort. */
const PAIRS_PER_EFFORT = 50;

interface User {
	readonly at: number;
	readonly task: TaskModel;
	readonly ways: readonly { readonly value: number; readonly mode: Literal }[];
}

export function* addStates(b: Builder, v: Variables): Building<void> {
	const users = new Map<string, User[]>(b.problem.states.map((s) => [s.id, []]));
	for (const [at, t] of b.problem.tasks.entries()) {
		for (const id of new Set(t.modes.flatMap((m) => m.state?.id ?? []))) {
			const task = v.tasks[at]!;
			const ways = t.modes.flatMap((m, k) =>
				m.state?.id === id ? [{ value: m.state.value, mode: task.modes[k]! }] : []
			);
			users.get(id)!.push({ at, task, ways });
		}
	}
	for (const { id, initial, rise, fall } of b.problem.states) {
		yield* b.step();
		const here = users.get(id)!;
		const state = b.holding('state', id);
		const change = (from: number, to: number) => b.units(to > from ? rise * (to - from) : fall * (from - to));
		for (const { task, ways } of here)
			for (const { value, mode } of ways)
				b.clauses.push([...excluded(together(mode, task.there, state)), 2 * task.start, change(initial, value)]);
		if (here.length <= MOST_PAIRED) pairUsers(b, v, here, state, change);
		else b.engine.add(new Setups(here, state, change));
	}
}

/** Each pair one before the other, by a literal that can be decided and learnt about. */
function pairUsers(
	b: Builder,
	v: Variables,
	users: readonly User[],
	state: Literal,
	change: (from: number, to: number) => number
): void {
	users.forEach((one, i) => {
		for (const other of users.slice(i + 1)) {
			if (v.exclude(one.at, other.at)) continue;
			const pairs = one.ways.flatMap((x) => other.ways.filter((y) => y.value !== x.value).map((y) => [x, y] as const));
			if (pairs.length === 0) continue;
			const order = b.branch(0, 1);
			const [p, q] = [one.task, other.task];
			for (const [x, y] of pairs) {
				const guards = together(x.mode, y.mode, p.there, q.there, state);
				b.engine.edge(2 * p.end, 2 * q.start, p.endShift + change(x.value, y.value), [2 * order, 1, ...guards]);
				b.engine.edge(2 * q.end, 2 * p.start, q.endShift + change(y.value, x.value), [2 * order + 1, 0, ...guards]);
			}
		}
	});
}

/**
 * Setups among many tasks without a literal for each pair (a disjunctive constraint with sequence-dependent setups, by
 * pairs: Artigues & Feillet 2008, Ann. Oper. Res. 159, 135–159): where one cannot come before another, it comes after.
 * Memory grows with the users; a run looks at pairs of which one has changed.
 */
class Setups implements Propagator {
	readonly halves: readonly number[];
	/** What the last run saw of each user: four bounds and the way that is surely taken (−1: none yet). */
	private readonly seen: Int32Array;
	private readonly way: Int32Array;
	private readonly changed: Int32Array;

	constructor(
		private readonly users: readonly User[],
		private readonly state: Literal,
		private readonly change: (from: number, to: number) => number
	) {
		const halves = new Set<number>(state.length > 0 ? [state[0]!] : []);
		for (const { task, ways } of users) {
			for (const x of [task.start, task.end]) halves.add(2 * x).add(2 * x + 1);
			for (const literal of [task.there, ...ways.map((w) => w.mode)]) if (literal.length > 0) halves.add(literal[0]!);
		}
		this.halves = [...halves];
		this.seen = new Int32Array(5 * users.length).fill(0x7fffffff);
		this.way = new Int32Array(users.length);
		this.changed = new Int32Array(users.length);
	}

	propagate(engine: Engine): boolean {
		const { users, way, changed, seen } = this;
		if (!isTrue(engine, this.state)) return true;
		const count = this.compare(engine);
		engine.spend((count * users.length) / PAIRS_PER_EFFORT);
		for (let c = 0; c < count; c++) {
			const i = changed[c]!;
			for (let k = 0; k < users.length; k++) {
				if (k === i || way[k]! < 0) continue;
				if (!this.runPair(engine, i, k) || !this.runPair(engine, k, i)) {
					// What was not looked at yet is looked at in the next run.
					for (; c < count; c++) seen[5 * changed[c]!] = 0x7fffffff;
					return false;
				}
			}
		}
		return true;
	}

	/** Note the users whose bounds or way are other than at the last run, and that are surely there. */
	private compare(engine: Engine): number {
		const { users, seen, way, changed } = this;
		const { lb } = engine;
		let count = 0;
		for (let i = 0, at = 0; i < users.length; i++, at += 5) {
			const { task, ways } = users[i]!;
			const [s, e] = [2 * task.start, 2 * task.end];
			const taken = isTrue(engine, task.there) ? ways.findIndex((w) => isTrue(engine, w.mode)) : -1;
			way[i] = taken;
			const isSame =
				seen[at] === lb[s]! &&
				seen[at + 1] === lb[s + 1]! &&
				seen[at + 2] === lb[e]! &&
				seen[at + 3] === lb[e + 1]! &&
				seen[at + 4] === taken;
			if (isSame) continue;
			seen[at] = lb[s]!;
			seen[at + 1] = lb[s + 1]!;
			seen[at + 2] = lb[e]!;
			seen[at + 3] = lb[e + 1]!;
			seen[at + 4] = taken;
			if (taken >= 0) changed[count++] = i;
		}
		return count;
	}

	/** Where user i cannot come before user k, it comes after. */
	private runPair(engine: Engine, i: number, k: number): boolean {
		const { lb } = engine;
		const [one, other] = [this.users[i]!, this.users[k]!];
		const [x, y] = [one.ways[this.way[i]!]!, other.ways[this.way[k]!]!];
		if (x.value === y.value) return true;
		const [p, q] = [one.task, other.task];
		// p ends, the state changes, q starts at the latest.
		const first = p.endShift + this.change(x.value, y.value);
		const latest = -lb[2 * q.start + 1]!;
		if (lb[2 * p.end]! + first <= latest) return true;
		const after = q.endShift + this.change(y.value, x.value);
		const [qEnd, pStart] = [lb[2 * q.end]!, lb[2 * p.start + 1]!];
		if (qEnd + after <= lb[2 * p.start]! && pStart + after <= lb[2 * q.end + 1]!) return true;
		const because = together(
			[2 * p.end, latest - first + 1, 2 * q.start + 1, -latest],
			x.mode,
			y.mode,
			p.there,
			q.there,
			this.state
		);
		if (!engine.set(2 * p.start, qEnd + after, [2 * q.end, qEnd, ...because])) return false;
		return engine.set(2 * q.end + 1, pStart + after, [2 * p.start + 1, pStart, ...because]);
	}
}

const isTrue = (engine: Engine, l: Literal) => l.length === 0 || engine.isTrue(l[0]!, l[1]!);
