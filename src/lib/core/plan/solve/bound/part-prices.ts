// What the parts cost when each pays for the hands, places and heats it takes, at given prices: a lower bound on any plan.
import type { Problem } from '../../problem';
import { HeatPath, ovensOf } from './ovens';
import { takeApart, type Gap, type Parts } from './parts';

/** Instants within which tasks start, in units, by task. */
export interface Windows {
	readonly low: Int32Array;
	readonly high: Int32Array;
}

/** The values that count of a list: those at [from, to]. */
interface Row {
	readonly values: Float64Array;
	readonly from: number;
	readonly to: number;
}

/** A plan that need not hold: start (−1: absent) and mode by task. */
export interface Draft {
	readonly starts: Int32Array;
	readonly modes: Int32Array;
}

/** A task's stay in one value of a state; each has prices of its own. */
interface Heat {
	readonly task: number;
	readonly oven: number;
	readonly value: number;
}

/** Later than any instant. */
const NEVER = 0x7fffffff;

/** Where each kind of price begins. */
interface Layout {
	readonly above: number;
	readonly below: number;
	readonly heats: number;
	readonly size: number;
}

/**
 * The Lagrangian relaxation of a plan (Fisher 1981, Management Science 27, 1–18; for schedules Möhring, Schulz, Stork & Uetz
 * 2003, Management Science 49, 330–350). What makes parts wait for one another is paid for instead: each unit of time of a
 * pool, each stay in an oven's heat, each lag that closes a circle. Then every tree of lags is planned by itself, exactly, by a
 * dynamic program over its tasks and instants, and so is the path of each oven through its heats. Whatever the prices, the
 * sum is no more than any plan costs, the evening's length apart.
 *
 * Times are units, from `origin` on.
 */
export class PartPrices {
	readonly layout: Layout;
	private readonly parts: Parts;
	private readonly origin: number;
	/** Instants 0 … `last`. */
	private readonly last: number;
	private readonly low: Int32Array;
	private readonly high: Int32Array;
	private readonly durations: readonly (readonly number[])[];
	private readonly shortest: Int32Array;
	private readonly longest: Int32Array;
	private readonly parent: Int32Array;
	private readonly parentLag: (Gap | undefined)[];
	/** Starts that are looked at, counted from `low`, by task. */
	private readonly from: Int32Array;
	private readonly to: Int32Array;
	/** Prices added up over time, by pool and by heat. */
	private readonly poolSums: readonly Float64Array[];
	private readonly heatSums: readonly Float64Array[];
	/** What a task's subtree costs, by mode and start (from `low`). */
	private readonly ways: readonly (readonly Float64Array[])[];
	/** The cheapest of them by start, or by end, as the lag with the parent asks; and the same as its parent sees it. */
	private readonly own: readonly Float64Array[];
	private readonly seen: readonly Float64Array[];
	/** Cost of ending at an instant, whatever the prices. */
	private readonly ends: readonly (Float64Array | undefined)[];
	private readonly keptFrom: Parts['kept'][];
	private readonly keptTo: Parts['kept'][];
	private readonly heats: readonly Heat[];
	private readonly heatOf: readonly (readonly number[])[];
	private readonly paths: readonly HeatPath[];
	private readonly gains: readonly (readonly Float64Array[])[];
	private readonly queue: Int32Array;
	private readonly usage: Float64Array;
	/** What the parts would do: start (−1: absent) and mode. */
	private readonly starts: Int32Array;
	private readonly modes: Int32Array;

	constructor(
		private readonly problem: Problem,
		unit: number,
		{ low, high }: Windows
	) {
		const { tasks } = problem;
		const all = tasks.map((_, i) => i);
		const parts = (this.parts = takeApart(problem, unit));
		this.durations = tasks.map((t) => t.modes.map((m) => Math.round(m.duration / unit)));
		this.shortest = Int32Array.from(this.durations, (d) => Math.min(...d));
		this.longest = Int32Array.from(this.durations, (d) => Math.max(...d));
		this.origin = all.reduce((least, i) => Math.min(least, low[i]!), Infinity);
		this.low = low.map((x) => x - this.origin);
		this.high = high.map((x) => x - this.origin);
		this.from = new Int32Array(tasks.length);
		this.to = new Int32Array(tasks.length);
		this.last = all.reduce((most, i) => Math.max(most, this.highEnd(i)), 0);
		this.parent = new Int32Array(tasks.length).fill(-1);
		this.parentLag = tasks.map(() => undefined);
		parts.children.forEach((list, i) => {
			for (const { task, lag } of list) {
				this.parent[task] = i;
				this.parentLag[task] = lag;
			}
		});
		this.ways = this.durations.map((d, i) => d.map(() => new Float64Array(this.count(i))));
		this.own = all.map((i) => new Float64Array(this.parentLag[i]?.to === i ? this.count(i) : this.countEnds(i)));
		this.seen = all.map((i) => {
			const up = this.parent[i]!;
			if (up < 0) return new Float64Array(0);
			return new Float64Array(this.parentLag[i]!.to === i ? this.countEnds(up) : this.count(up));
		});
		this.ends = endCosts(problem, unit, this.origin, this.last);
		this.keptFrom = all.map((i) => parts.kept.filter((k) => k.from === i));
		this.keptTo = all.map((i) => parts.kept.filter((k) => k.to === i));
		const ovens = ovensOf(problem, unit, this.origin);
		this.paths = ovens.map((o) => new HeatPath(o, this.last));
		this.gains = ovens.map((o) => o.values.map(() => new Float64Array(this.last)));
		const heats: Heat[] = [];
		const stateAt = new Map(problem.states.map((s, i) => [s.id, i]));
		this.heatOf = tasks.map((t, task) =>
			t.modes.map(({ state }) => {
				if (!state) return -1;
				const oven = stateAt.get(state.id)!;
				const value = ovens[oven]!.values.indexOf(state.value);
				const known = heats.findIndex((h) => h.task === task && h.oven === oven && h.value === value);
				return known >= 0 ? known : heats.push({ task, oven, value }) - 1;
			})
		);
		this.heats = heats;
		this.poolSums = parts.capacity.map(() => new Float64Array(this.last + 1));
		this.heatSums = heats.map(() => new Float64Array(this.last + 1));
		const above = parts.capacity.length * this.last;
		const below = above + parts.crossing.length;
		this.layout = {
			above,
			below,
			heats: below + parts.crossing.length,
			size: below + parts.crossing.length + heats.length * this.last
		};
		this.queue = new Int32Array(this.last + 2);
		this.usage = new Float64Array(this.last + 1);
		this.starts = new Int32Array(tasks.length);
		this.modes = new Int32Array(tasks.length);
	}

	/** Numbers that one evaluation goes through. */
	get effort(): number {
		return this.ways.reduce((sum, list) => sum + list.reduce((s, way) => s + way.length, 0), 4 * this.layout.size);
	}

	/**
	 * The bound at some prices (`layout.size` numbers of at least 0), for plans in which every task starts within its window
	 * (within those it was built with); `Infinity` where there is none.
	 */
	evaluate(price: Float64Array, within: Windows): number {
		const { parts, low } = this;
		for (let i = 0; i < low.length; i++) {
			const [first, count] = [this.origin + low[i]!, this.count(i)];
			this.from[i] = Math.min(count, Math.max(0, within.low[i]! - first));
			this.to[i] = Math.max(-1, Math.min(count - 1, within.high[i]! - first));
			if (this.from[i]! > this.to[i]! && !parts.isOptional[i]) return Infinity;
		}
		let value = this.charge(price);
		const [byStart, byEnd] = [new Float64Array(low.length), new Float64Array(low.length)];
		parts.crossing.forEach((gap, k) => {
			const [above, below] = [price[this.layout.above + k]!, price[this.layout.below + k]!];
			value += above * gap.min - (below > 0 ? below * gap.max : 0);
			byStart[gap.to]! += below - above;
			byEnd[gap.from]! += above - below;
		});
		for (const i of parts.order) {
			this.addUp(i, byStart[i]!, byEnd[i]!);
			this.send(i);
		}
		this.starts.fill(-1);
		for (const root of parts.roots) value += this.least(root);
		const taken = this.problem.choices.map((c, j) => {
			const costs = c.options.map((_, k) => this.costOf(j, k));
			const least = Math.min(...costs);
			value += least;
			return parts.optional[j]![costs.indexOf(least)] ?? [];
		});
		if (value < Infinity) for (const root of [parts.roots, ...taken].flat()) this.settle(root);
		return value;
	}

	/** What the parts would do at the prices of the last evaluation: starts (−1: absent) and modes. */
	relaxed(): Draft {
		const { starts, modes, origin } = this;
		return { starts: starts.map((s) => (s < 0 ? s : s + origin)), modes: modes.slice() };
	}

	/** The slope of the bound at the prices of the last evaluation. */
	slope(gradient: Float64Array): void {
		const { parts, starts, modes, usage, last, layout } = this;
		const end = (i: number) => starts[i]! + this.durations[i]![modes[i]!]!;
		parts.capacity.forEach((capacity, pool) => {
			usage.fill(0);
			for (const { task, mode, amount, from, to } of parts.users[pool]!) {
				if (starts[task]! < 0 || modes[task] !== mode) continue;
				usage[starts[task]! + from]! += amount;
				usage[starts[task]! + to]! -= amount;
			}
			for (const k of parts.kept) {
				if (k.pool !== pool || starts[k.from]! < 0) continue;
				usage[starts[k.from]!]! += k.amount;
				usage[end(k.to)]! -= k.amount;
			}
			let level = -capacity;
			for (let t = 0; t < last; t++) gradient[pool * last + t] = level += usage[t]!;
		});
		parts.crossing.forEach(({ from, to, min, max }, k) => {
			const isThere = starts[from]! >= 0;
			const gap = isThere ? starts[to]! - end(from) : 0;
			gradient[layout.above + k] = isThere ? min - gap : 0;
			gradient[layout.below + k] = isThere && max < Infinity ? gap - max : 0;
		});
		this.heats.forEach(({ task, oven, value }, h) => {
			const held = this.paths[oven]!.at;
			const isUsed = starts[task]! >= 0 && this.heatOf[task]![modes[task]!] === h;
			const [a, b] = isUsed ? [starts[task]!, end(task)] : [-1, -1];
			const offset = layout.heats + h * last;
			for (let t = 0; t < last; t++) gradient[offset + t] = (t >= a && t < b ? 1 : 0) - (held[t] === value ? 1 : 0);
		});
	}

	/**
	 * The starts that cost at most `room` more than the bound of the last evaluation, by task: its reduced costs. A task of
	 * an option is looked at as if that option were taken; a window from which nothing is left is `low > high`.
	 */
	windows(room: number): Windows {
		const { parts } = this;
		const n = parts.order.length;
		const found = { low: new Int32Array(n).fill(NEVER), high: new Int32Array(n).fill(-NEVER) };
		for (const root of parts.roots) this.look(root, room + this.least(root), found);
		this.problem.choices.forEach((c, j) => {
			const costs = c.options.map((_, k) => this.costOf(j, k));
			const least = Math.min(...costs);
			c.options.forEach((_, k) => {
				for (const root of parts.optional[j]![k]!)
					if (costs[k]! < Infinity) this.look(root, room + least - costs[k]! + this.least(root), found);
			});
		});
		return found;
	}

	private count(i: number): number {
		return Math.max(0, this.high[i]! - this.low[i]! + 1);
	}

	private countEnds(i: number): number {
		return Math.max(0, this.highEnd(i) - this.lowEnd(i) + 1);
	}

	private lowEnd(i: number): number {
		return this.low[i]! + this.shortest[i]!;
	}

	private highEnd(i: number): number {
		return this.high[i]! + this.longest[i]!;
	}

	private costOf(choice: number, option: number): number {
		let cost = this.problem.choices[choice]!.options[option]!.cost;
		for (const root of this.parts.optional[choice]![option]!) cost += this.least(root);
		return cost;
	}

	/** Add the prices up over time; what the pools and ovens get of them, as a part of the bound. */
	private charge(price: Float64Array): number {
		const { last, layout } = this;
		let value = 0;
		this.poolSums.forEach((sum, pool) => {
			for (let t = 0; t < last; t++) sum[t + 1] = sum[t]! + price[pool * last + t]!;
			value -= this.parts.capacity[pool]! * sum[last]!;
		});
		for (const gain of this.gains) for (const g of gain) g.fill(0);
		this.heats.forEach(({ oven, value: v }, h) => {
			const sum = this.heatSums[h]!;
			const gain = this.gains[oven]![v]!;
			const offset = layout.heats + h * last;
			for (let t = 0; t < last; t++) {
				sum[t + 1] = sum[t]! + price[offset + t]!;
				gain[t]! += price[offset + t]!;
			}
		});
		this.paths.forEach((path, o) => {
			value -= path.run(this.gains[o]!);
		});
		return value;
	}

	/** What task i and those below it cost, by mode and start. */
	private addUp(i: number, byStart: number, byEnd: number): void {
		const { parts, last } = this;
		const lo = this.low[i]!;
		const end = this.ends[i];
		const [skipped, upTo] = [this.from[i]!, this.to[i]! + 1];
		this.ways[i]!.forEach((way, m) => {
			const d = this.durations[i]![m]!;
			const most = Math.min(upTo, last - d - lo + 1);
			way.fill(Infinity, Math.max(skipped, most), upTo);
			for (let k = skipped; k < most; k++) {
				const e = lo + k + d;
				way[k] = byStart * (lo + k) + byEnd * e + (end ? end[e]! : 0);
			}
			const difference = (sum: Float64Array, amount: number, a: number, b: number) => {
				for (let k = skipped; k < most; k++) way[k]! += amount * (sum[lo + k + b]! - sum[lo + k + a]!);
			};
			for (const { pool, amount, from, to } of parts.taken[i]![m]!) difference(this.poolSums[pool]!, amount, from, to);
			const heat = this.heatOf[i]![m]!;
			if (heat >= 0) difference(this.heatSums[heat]!, 1, 0, d);
			for (const { pool, amount } of this.keptFrom[i]!) {
				const sum = this.poolSums[pool]!;
				for (let k = skipped; k < most; k++) way[k]! -= amount * sum[lo + k]!;
			}
			for (const { pool, amount } of this.keptTo[i]!) {
				const sum = this.poolSums[pool]!;
				for (let k = skipped; k < most; k++) way[k]! += amount * sum[lo + k + d]!;
			}
			for (const { task, lag } of parts.children[i]!) {
				const seen = this.seen[task]!;
				const shift = lag.from === i ? d - this.shortest[i]! : 0;
				for (let k = skipped; k < most; k++) way[k]! += seen[k + shift]!;
			}
		});
	}

	/** Task i's costs as its parent sees them: by the parent's end where the lag leads down, by its start where it leads up. */
	private send(i: number): void {
		const lag = this.parentLag[i];
		if (!lag) return;
		const own = this.own[i]!;
		const up = this.parent[i]!;
		const [from, to] = [this.from[i]!, this.to[i]!];
		const seen = this.seen[i]!;
		if (lag.to === i) {
			this.byStart(i, this.ways[i]!, own);
			const [first, last] = [this.from[up]!, this.to[up]! + this.spread(up)];
			const shift = this.lowEnd(up) - this.low[i]!;
			this.slide({ values: own, from, to }, { values: seen, from: first, to: last }, lag.min + shift, lag.max + shift);
		} else {
			this.byEnd(i, this.ways[i]!, own);
			const shift = this.low[up]! - this.lowEnd(i);
			const last = to + this.spread(i);
			this.slide(
				{ values: own, from, to: last },
				{ values: seen, from: this.from[up]!, to: this.to[up]! },
				shift - lag.max,
				shift - lag.min
			);
		}
	}

	/** Longest less shortest duration. */
	private spread(i: number): number {
		return this.longest[i]! - this.shortest[i]!;
	}

	/** The cheapest mode at each start. */
	private byStart(i: number, ways: readonly Float64Array[], out: Float64Array): void {
		const [from, to] = [this.from[i]!, this.to[i]!];
		for (let k = from; k <= to; k++) out[k] = ways[0]![k]!;
		for (let m = 1; m < ways.length; m++) {
			const way = ways[m]!;
			for (let k = from; k <= to; k++) if (way[k]! < out[k]!) out[k] = way[k]!;
		}
	}

	/** The cheapest mode at each end. */
	private byEnd(i: number, ways: readonly Float64Array[], out: Float64Array): void {
		const [from, to] = [this.from[i]!, this.to[i]!];
		if (to < from) return;
		out.fill(Infinity, from, to + this.spread(i) + 1);
		ways.forEach((way, m) => {
			const shift = this.durations[i]![m]! - this.shortest[i]!;
			for (let k = from; k <= to; k++) if (way[k]! < out[k + shift]!) out[k + shift] = way[k]!;
		});
	}

	/** out[k] = the least of `own` over k + [after, before]: a monotone queue of its minima. */
	private slide(own: Row, out: Row, after: number, before: number): void {
		const { queue } = this;
		let [head, tail, next] = [0, 0, own.from];
		for (let k = out.from; k <= out.to; k++) {
			const end = Math.min(own.to, k + before);
			for (; next <= end; next++) {
				const x = own.values[next]!;
				while (tail > head && own.values[queue[tail - 1]!]! >= x) tail--;
				queue[tail++] = next;
			}
			while (head < tail && queue[head]! < k + after) head++;
			out.values[k] = head < tail ? own.values[queue[head]!]! : Infinity;
		}
	}

	private least(root: number): number {
		let least = Infinity;
		for (const way of this.ways[root]!)
			for (let k = this.from[root]!; k <= this.to[root]!; k++) if (way[k]! < least) least = way[k]!;
		return least;
	}

	/** Put a task where it is cheapest among those starts (or ends) within [from, to]. */
	private put(i: number, from: number, to: number, isEnd: boolean): void {
		const lo = this.low[i]!;
		let least = Infinity;
		this.ways[i]!.forEach((way, m) => {
			const shift = lo + (isEnd ? this.durations[i]![m]! : 0);
			const last = Math.min(this.to[i]!, to - shift);
			for (let k = Math.max(this.from[i]!, from - shift); k <= last; k++) {
				if (way[k]! >= least) continue;
				least = way[k]!;
				this.starts[i] = lo + k;
				this.modes[i] = m;
			}
		});
	}

	/** Write down what a tree does. */
	private settle(root: number): void {
		this.put(root, 0, this.last, false);
		const open = [root];
		for (const i of open) {
			const s = this.starts[i]!;
			const e = s + this.durations[i]![this.modes[i]!]!;
			for (const { task, lag } of this.parts.children[i]!) {
				if (lag.from === i) this.put(task, e + lag.min, e + lag.max, false);
				else this.put(task, s - lag.max, s - lag.min, true);
				open.push(task);
			}
		}
	}

	/** Starts of a tree's tasks at which the whole tree costs at most so much. */
	private look(root: number, most: number, found: Windows): void {
		/** What the rest of the tree adds, by start or by end as the lag with the parent asks. */
		const rest = new Map<number, Float64Array>();
		const open = [root];
		for (const i of open) {
			const lag = this.parentLag[i];
			const above = rest.get(i);
			const [from, to] = [this.from[i]!, this.to[i]!];
			const shiftOf = (m: number) => this.durations[i]![m]! - this.shortest[i]!;
			const whole = this.ways[i]!.map((way, m) => {
				if (!above) return way;
				const shift = lag?.to === i ? 0 : shiftOf(m);
				const sum = new Float64Array(to + 1);
				for (let k = from; k <= to; k++) sum[k] = way[k]! + above[k + shift]!;
				return sum;
			});
			for (const way of whole) {
				for (let k = from; k <= to; k++) {
					if (way[k]! > most) continue;
					const start = this.origin + this.low[i]! + k;
					found.low[i] = Math.min(found.low[i]!, start);
					found.high[i] = Math.max(found.high[i]!, start);
				}
			}
			for (const { task, lag: down } of this.parts.children[i]!) {
				const seen = this.seen[task]!;
				const without = whole.map((way, m) => {
					const shift = down.from === i ? shiftOf(m) : 0;
					const sum = new Float64Array(to + 1);
					for (let k = from; k <= to; k++) sum[k] = way[k] === Infinity ? Infinity : way[k]! - seen[k + shift]!;
					return sum;
				});
				const isByStart = down.from === i;
				const own = new Float64Array(isByStart ? this.countEnds(i) : this.count(i));
				const out = new Float64Array(isByStart ? this.count(task) : this.countEnds(task));
				const [first, last] = [this.from[task]!, this.to[task]!];
				if (isByStart) {
					this.byEnd(i, without, own);
					const shift = this.low[task]! - this.lowEnd(i);
					this.slide(
						{ values: own, from, to: to + this.spread(i) },
						{ values: out, from: first, to: last },
						shift - down.max,
						shift - down.min
					);
				} else {
					this.byStart(i, without, own);
					const shift = this.lowEnd(task) - this.low[i]!;
					this.slide(
						{ values: own, from, to },
						{ values: out, from: first, to: last + this.spread(task) },
						down.min + shift,
						down.max + shift
					);
				}
				rest.set(task, out);
				open.push(task);
			}
		}
	}
}

/**
 * What it costs that a task ends at an instant: by its wants and services; `Infinity` where it may not. A service that has
 * to be late shares the price of that among what is served in it.
 */
function endCosts(problem: Problem, unit: number, origin: number, last: number): (Float64Array | undefined)[] {
	const index = new Map(problem.tasks.map((t, i) => [t.id, i]));
	const costs: (Float64Array | undefined)[] = problem.tasks.map(() => undefined);
	const of = (id: string) => (costs[index.get(id)!] ??= new Float64Array(last + 1));
	const units = (seconds: number) => Math.round(seconds / unit);
	for (const { task, by, rate } of problem.wants) {
		const cost = of(task);
		for (let e = 0; e <= last; e++) cost[e]! += rate * unit * Math.max(0, origin + e - units(by));
	}
	const dishes = new Map<string, number>();
	for (const { service } of problem.serve) dishes.set(service, (dishes.get(service) ?? 0) + 1);
	const due = new Map(problem.services.map((s) => [s.id, units(s.due)]));
	for (const { task, service, offset, free, rate, max } of problem.serve) {
		const cost = of(task);
		const ready = due.get(service)! - units(offset) - origin;
		const slip = (problem.weights.slip * unit) / dishes.get(service)!;
		for (let e = 0; e <= last; e++) {
			const wait = ready - e;
			if (wait < 0) cost[e]! += slip * -wait;
			else if (max !== undefined && wait > units(max)) cost[e] = Infinity;
			else cost[e]! += rate * unit * Math.max(0, wait - units(free));
		}
	}
	return costs;
}
