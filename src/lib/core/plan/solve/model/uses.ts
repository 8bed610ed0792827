// What takes of a resource: uses of tasks and holds, as stretches between two variables.
import { Cumulative, type Use } from '../cumulative';
import { Disjunctive } from '../disjunctive';
import { chains } from '../groups';
import type { Builder, Building } from './builder';
import { excluded, negated, together, type Literal } from './literals';
import type { TaskModel, Variables } from './variables';

/** Pairs of items on one resource are ordered by literals of their own up to so many items. */
const MOST_ORDERED = 24;
/** Edge-finding looks at up to so many items that exclude each other. */
const MOST_EXCLUSIVE = 24;
/** A use of one mode, its window made explicit; units. */
interface Window {
	readonly amount: number;
	readonly from: number;
	readonly to: number;
}

/** Capacities: each resource as a time table, and, where items exclude each other, as orders and edges to find. */
export function* addResources(b: Builder, v: Variables): Building<void> {
	const uses = yield* usesByResource(b, v);
	for (const [r, { capacity }] of b.problem.resources.entries()) {
		yield* b.step();
		const items = uses[r]!;
		for (const item of items) {
			if (item.amount <= capacity) continue;
			// Too much at any time: it must not happen, or, where it may be void, be void.
			if (item.isSure) b.clauses.push(excluded(item.guards));
			else b.engine.edge(2 * item.end, 2 * item.start, item.endShift - item.startShift, item.guards);
		}
		const possible = items.filter((item) => item.amount <= capacity);
		const total = possible.reduce((sum, item) => sum + item.amount, 0);
		if (total <= capacity) continue;
		b.engine.add(new Cumulative(capacity, possible));
		orderPairs(b, capacity, possible);
		const exclusive = possible.filter((item) => item.isSure && item.length > 0 && 2 * item.amount > capacity);
		if (exclusive.length <= 2 || exclusive.length > MOST_EXCLUSIVE) continue;
		const lengths = exclusive.map((item) => item.length);
		b.engine.add(new Disjunctive(exclusive, lengths));
	}
}

/** Uses and holds, by resource. */
function* usesByResource(b: Builder, v: Variables): Building<readonly Use[][]> {
	const { problem } = b;
	const found: Use[][] = problem.resources.map(() => []);
	const position = new Map(problem.resources.map((r, i) => [r.id, i]));
	for (const [i, t] of problem.tasks.entries()) {
		yield* b.step();
		const used = new Set(t.modes.flatMap((m) => (m.uses ?? []).map((u) => u.resource)));
		for (const id of used) {
			const windows = t.modes.map((m) =>
				(m.uses ?? [])
					.filter((u) => u.resource === id)
					.map((u): Window => ({
						amount: u.amount,
						from: b.units(u.from ?? 0),
						to: b.units(u.to ?? m.duration)
					}))
			);
			found[position.get(id)!]!.push(...usesOf(v.tasks[i]!, windows, b.holding('resource', id)));
		}
	}
	const surely = followers(b, v);
	const placed = placing(b, v);
	for (const h of problem.holds) {
		yield* b.step();
		const [from, to] = [v.index.get(h.from)!, v.index.get(h.to)!];
		const [first, last] = [v.tasks[from]!, v.tasks[to]!];
		const isSure = from === to || surely(from, to);
		const place = placed(from, h.at);
		if (place === undefined) continue;
		const length = from === to ? first.shortest : isSure ? first.shortest + last.shortest : 0;
		found[position.get(h.resource)!]!.push({
			start: first.start,
			end: last.end,
			startShift: 0,
			endShift: last.endShift,
			amount: h.amount,
			guards: together(first.there, last.there, place, b.holding('resource', h.resource)),
			isSure,
			length
		});
	}
	return found;
}

/** The literal that a task is done in a mode of a place: empty where it always is, `undefined` where it never is. */
function placing(b: Builder, v: Variables): (task: number, place: string | undefined) => Literal | undefined {
	const known = new Map<string, Literal | undefined>();
	const find = (i: number, place: string): Literal | undefined => {
		const { modes } = v.tasks[i]!;
		const labels = b.problem.tasks[i]!.modes.map((m) => m.at);
		const count = labels.filter((at) => at === place).length;
		if (count === 0 || count === labels.length) return count === 0 ? undefined : [];
		if (count === 1) return modes[labels.indexOf(place)];
		const x = b.engine.variable(0, 1);
		labels.forEach((at, k) => {
			b.clauses.push([...negated(modes[k]!), ...(at === place ? [2 * x, 1] : [2 * x + 1, 0])]);
		});
		return [2 * x, 1];
	};
	return (i, place) => {
		if (place === undefined) return [];
		const key = `${i} ${place}`;
		if (!known.has(key)) known.set(key, find(i, place));
		return known.get(key);
	};
}

/** The uses of one resource by one task. Those that all modes share, measured from the start or from the end, need no guard. */
function usesOf(task: TaskModel, windows: readonly (readonly Window[])[], resource: readonly number[]): readonly Use[] {
	const { start, end, endShift, modes, there, durations } = task;
	const items: Use[] = [];
	const remaining = windows.map((list) => [...list]);
	const length = durations[0]!;
	for (const use of windows[0]!) {
		const isWhole = use.from === 0 && use.to === length;
		/** From start to end; measured from the start; from the end. */
		const shapes = {
			whole: (u: Window, d: number) => isWhole && u.from === 0 && u.to === d,
			start: (u: Window) => u.from === use.from && u.to === use.to,
			end: (u: Window, d: number) => d - u.from === length - use.from && d - u.to === length - use.to
		};
		for (const kind of ['whole', 'start', 'end'] as const) {
			const isLike = shapes[kind];
			const matches = remaining.map((list, k) =>
				list.findIndex((u) => u.amount === use.amount && isLike(u, durations[k]!))
			);
			if (matches.some((m) => m < 0)) continue;
			matches.forEach((m, k) => remaining[k]!.splice(m, 1));
			const common = { amount: use.amount, guards: together(there, resource), isSure: true };
			const stretch = {
				whole: { start, end, startShift: 0, endShift, length: task.shortest },
				start: { start, end: start, startShift: use.from, endShift: use.to, length: use.to - use.from },
				end: {
					start: end,
					end,
					startShift: use.from - length + endShift,
					endShift: use.to - length + endShift,
					length: use.to - use.from
				}
			};
			items.push({ ...common, ...stretch[kind] });
			break;
		}
	}
	remaining.forEach((list, k) => {
		for (const { amount, from, to } of list) {
			const guards = together(modes[k]!, there, resource);
			const stretch = { start, end: start, startShift: from, endShift: to, length: to - from };
			items.push({ ...stretch, amount, guards, isSure: true });
		}
	});
	return items;
}

/**
 * Whether one task surely begins after another has ended, both being there: a chain of lags over tasks that are there wherever
 * these two are. Under assumptions nothing is sure: a lag may be left out.
 */
function followers(b: Builder, v: Variables): (from: number, to: number) => boolean {
	if (b.isRelaxed) return () => false;
	const isSame = (a: readonly number[], c: readonly number[]) => a[0] === c[0] && a[1] === c[1];
	return chains(
		b.problem.lags.map(({ from, to, min }) => ({ from: v.index.get(from)!, to: v.index.get(to)!, min })),
		(over, from, to) => {
			const { there } = v.tasks[over]!;
			return there.length === 0 || isSame(there, v.tasks[from]!.there) || isSame(there, v.tasks[to]!.there);
		}
	);
}

/** One before the other, for items of which no two fit at once: whole orders are learnt about, not only instants. */
function orderPairs(b: Builder, capacity: number, items: readonly Use[]): void {
	if (items.length > MOST_ORDERED) return;
	items.forEach((one, i) => {
		for (const other of items.slice(i + 1)) {
			if (one.amount + other.amount <= capacity || !one.isSure || !other.isSure || one.start === other.start) continue;
			const order = b.branch(0, 1);
			const guards = together(one.guards, other.guards);
			b.engine.edge(2 * one.end, 2 * other.start, one.endShift - other.startShift, [2 * order, 1, ...guards]);
			b.engine.edge(2 * other.end, 2 * one.start, other.endShift - one.startShift, [2 * order + 1, 0, ...guards]);
		}
	});
}
