// A problem taken apart: trees of tasks that lags join, what they share, and what only joins tasks of different trees.
import type { Problem } from '../../problem';
import { chains, Groups } from '../groups';

/** A lag between two tasks (indices), times in units; `max` may be `Infinity`. */
export interface Gap {
	readonly from: number;
	readonly to: number;
	readonly min: number;
	readonly max: number;
}

/** So much of a pool is taken while a mode runs, measured from its start. */
interface Taken {
	readonly pool: number;
	readonly amount: number;
	readonly from: number;
	readonly to: number;
}

/** So much of a pool is taken from the start of one task to the end of another that surely ends later. */
interface Kept {
	readonly pool: number;
	readonly amount: number;
	readonly from: number;
	readonly to: number;
}

/** A task below its parent in a tree; its lag is with that parent. */
interface Leaf {
	readonly task: number;
	readonly lag: Gap;
}

export interface Parts {
	/** Tasks in an order in which every task stands after its children, tree by tree. */
	readonly order: readonly number[];
	readonly children: readonly (readonly Leaf[])[];
	/** Roots of the trees of each option (by choice), and of what is always there. */
	readonly roots: readonly number[];
	readonly optional: readonly (readonly (readonly number[])[])[];
	/** Whether a task is of an option. */
	readonly isOptional: readonly boolean[];
	/** Lags that close a circle. */
	readonly crossing: readonly Gap[];
	/** By task and mode; and by pool. */
	readonly taken: readonly (readonly (readonly Taken[])[])[];
	readonly users: readonly (readonly (Taken & { readonly task: number; readonly mode: number })[])[];
	readonly kept: readonly Kept[];
	/** What there is of each pool. */
	readonly capacity: readonly number[];
}

/**
 * Take a problem apart. Resources that a part may have one or another of, as equal burners (a hold for each place), are one
 * pool. Left out, so that what is left is easier: states, ties, holds of which it is not sure that they last, lags between a
 * task of an option and one that is not of it.
 */
export function takeApart(problem: Problem, unit: number): Parts {
	const { tasks, choices } = problem;
	const index = new Map(tasks.map((t, i) => [t.id, i]));
	const units = (seconds: number) => Math.round(seconds / unit);
	const optionOf = new Int32Array(tasks.length).fill(-1);
	let options = 0;
	for (const c of choices) {
		for (const o of c.options) {
			for (const id of o.tasks) optionOf[index.get(id)!] = options;
			options++;
		}
	}

	const gaps = problem.lags
		.map((l): Gap => ({
			from: index.get(l.from)!,
			to: index.get(l.to)!,
			min: units(l.min),
			max: l.max === undefined ? Infinity : units(l.max)
		}))
		.filter(({ from, to }) => optionOf[from] === optionOf[to] && from !== to)
		.sort((a, b) => a.max - a.min - (b.max - b.min));
	const { order, children, roots, crossing } = forest(tasks.length, gaps);

	const pools = pooled(problem);
	const taken = tasks.map((t) =>
		t.modes.map((m) =>
			(m.uses ?? []).flatMap((u): Taken[] => {
				const pool = pools.of(u.resource);
				const { from = 0, to = m.duration } = u;
				return pool < 0 ? [] : [{ pool, amount: u.amount, from: units(from), to: units(to) }];
			})
		)
	);
	const follows = chains(gaps);
	const kept = problem.holds.flatMap((h, k): Kept[] => {
		const [from, to, pool] = [index.get(h.from)!, index.get(h.to)!, pools.ofHold(k)];
		if (pool < 0 || optionOf[from] !== optionOf[to] || !(from === to || follows(from, to))) return [];
		return [{ pool, amount: h.amount, from, to }];
	});

	let next = 0;
	const rootsOf = (option: number) => roots.filter((r) => optionOf[r] === option);
	const optional = choices.map((c) => c.options.map(() => rootsOf(next++)));
	return {
		order,
		children,
		roots: rootsOf(-1),
		optional,
		crossing,
		taken,
		users: pools.capacity.map((_, pool) =>
			taken.flatMap((modes, task) =>
				modes.flatMap((list, mode) => list.flatMap((t) => (t.pool === pool ? [{ ...t, task, mode }] : [])))
			)
		),
		isOptional: Array.from(optionOf, (o) => o >= 0),
		kept,
		capacity: pools.capacity
	};
}

/** A spanning forest of the lags, those with the least room first (Kruskal 1956), each tree rooted at its last task. */
function forest(count: number, gaps: readonly Gap[]): Pick<Parts, 'order' | 'children' | 'roots' | 'crossing'> {
	const joined = new Groups(count);
	const near: Leaf[][] = Array.from({ length: count }, () => []);
	const crossing: Gap[] = [];
	for (const lag of gaps) {
		if (!joined.join(lag.from, lag.to)) {
			crossing.push(lag);
			continue;
		}
		near[lag.from]!.push({ task: lag.to, lag });
		near[lag.to]!.push({ task: lag.from, lag });
	}
	const children: Leaf[][] = Array.from({ length: count }, () => []);
	const order: number[] = [];
	const roots: number[] = [];
	const isSeen = new Uint8Array(count);
	for (let root = count - 1; root >= 0; root--) {
		if (isSeen[root]) continue;
		roots.push(root);
		isSeen[root] = 1;
		const tree = [root];
		for (const i of tree) {
			for (const leaf of near[i]!) {
				if (isSeen[leaf.task]) continue;
				isSeen[leaf.task] = 1;
				children[i]!.push(leaf);
				tree.push(leaf.task);
			}
		}
		order.push(...tree.reverse());
	}
	return { order, children, roots, crossing };
}

interface Pools {
	readonly capacity: readonly number[];
	readonly of: (resource: string) => number;
	/** Pool of the k-th hold; −1 where it is left out, or stands for a place whose like another hold stands for. */
	readonly ofHold: (k: number) => number;
}

/** Resources, together where a hold may be on one or another of them. */
function pooled(problem: Problem): Pools {
	const position = new Map(problem.resources.map((r, i) => [r.id, i]));
	const together = new Groups(problem.resources.length);
	const labels = new Map(problem.tasks.map((t) => [t.id, new Set(t.modes.map((m) => m.at))] as const));
	/** Holds of one stretch, one for each place. */
	const alike = new Map<string, number[]>();
	const isFirst = problem.holds.map((h) => h.at === undefined);
	problem.holds.forEach((h, k) => {
		if (h.at === undefined) return;
		const key = JSON.stringify([h.from, h.to, h.amount]);
		alike.set(key, [...(alike.get(key) ?? []), k]);
	});
	for (const list of alike.values()) {
		const holds = list.map((k) => problem.holds[k]!);
		const places = new Set(holds.map((h) => h.at));
		const own = labels.get(holds[0]!.from)!;
		if (places.size !== holds.length || ![...own].every((at) => places.has(at))) continue;
		isFirst[list[0]!] = true;
		const [first, ...others] = holds.map((h) => position.get(h.resource)!);
		for (const r of others) together.join(r, first!);
	}
	const capacityOf = problem.resources.map(() => 0);
	const wanted = problem.resources.map(() => 0);
	const leaderOf = (resource: string) => together.find(position.get(resource)!);
	problem.resources.forEach((r, i) => (capacityOf[together.find(i)]! += r.capacity));
	for (const { modes } of problem.tasks) {
		const most = new Map<number, number>();
		for (const m of modes)
			for (const u of m.uses ?? [])
				most.set(leaderOf(u.resource), Math.max(u.amount, most.get(leaderOf(u.resource)) ?? 0));
		for (const [r, amount] of most) wanted[r]! += amount;
	}
	problem.holds.forEach((h, k) => {
		if (isFirst[k]) wanted[leaderOf(h.resource)]! += h.amount;
	});
	// What suffices for all at once needs no price.
	const scarce = problem.resources.flatMap((_, i) =>
		together.find(i) === i && wanted[i]! > capacityOf[i]! ? [i] : []
	);
	const poolOf = (resource: string) => scarce.indexOf(leaderOf(resource));
	return {
		capacity: scarce.map((r) => capacityOf[r]!),
		of: poolOf,
		ofHold: (k) => (isFirst[k] ? poolOf(problem.holds[k]!.resource) : -1)
	};
}
