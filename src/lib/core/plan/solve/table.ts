// A problem with its names turned into indices, once: flat typed arrays that the kernel walks.
import type { Problem } from '../problem';

/** No upper limit on a lag or a wait. */
export const NONE = 0x3fffffff;

/**
 * A problem as numbers. Times are in units of `unit` seconds, the greatest common divisor of all times of the problem:
 * for a fixed choice of modes and orders the rest is a difference system with a convex objective, whose constraint
 * matrix is totally unimodular, so an optimum lies on multiples of the divisor of its right-hand sides.
 *
 * Variables: start of task t is `t`, its end `n + t`, the instant of service k `2n + k`.
 * A row `a…Start` of length N+1 holds, for each owner i, the range of its entries [a[i], a[i+1]).
 */
export interface Table {
	readonly problem: Problem;
	readonly unit: number;
	readonly horizon: number;
	/** Number of tasks, services, modes, options. */
	readonly n: number;
	readonly services: number;
	readonly due: Int32Array;
	readonly modeStart: Int32Array;
	readonly duration: Int32Array;
	readonly modeTask: Int32Array;
	/** State that a mode holds, −1 for none; and its value. */
	readonly modeState: Int32Array;
	readonly modeValue: Int32Array;
	readonly release: Int32Array;
	/** Start of a fixed task or −1; index of its mode among all modes. */
	readonly fixedStart: Int32Array;
	readonly fixedMode: Int32Array;
	readonly ahead: Uint8Array;
	/** Option of each task (over all choices) or −1; choice of each option; range of options of each choice. */
	readonly optionOf: Int32Array;
	readonly choiceOf: Int32Array;
	readonly optionStart: Int32Array;
	readonly optionCost: Float64Array;
	readonly optionTasks: readonly (readonly number[])[];
	/** Difference constraints y ≥ x + w over variables, valid where both tasks are there (−1: always). */
	readonly edgeX: Int32Array;
	readonly edgeY: Int32Array;
	readonly edgeW: Int32Array;
	readonly edgeTaskX: Int32Array;
	readonly edgeTaskY: Int32Array;
	/** Edges by x and by y, as ranges into lists of edges. */
	readonly outStart: Int32Array;
	readonly outEdges: Int32Array;
	readonly inStart: Int32Array;
	readonly inEdges: Int32Array;
	readonly capacity: Int32Array;
	/** Uses by resource: mode, amount, window from its start. */
	readonly useStart: Int32Array;
	readonly useMode: Int32Array;
	readonly useAmount: Int32Array;
	readonly useFrom: Int32Array;
	readonly useTo: Int32Array;
	/** Holds by resource: first and last task, amount. */
	readonly holdStart: Int32Array;
	readonly holdFirst: Int32Array;
	readonly holdLast: Int32Array;
	readonly holdAmount: Int32Array;
	/** Resources and states that a task can touch. */
	readonly resourcesOf: readonly (readonly number[])[];
	readonly statesOf: readonly (readonly number[])[];
	/** Modes on each state. */
	readonly stateModes: readonly (readonly number[])[];
	readonly states: number;
	/** Units it takes state s to go from value a to value b. */
	readonly transition: (s: number, a: number, b: number) => number;
	readonly initial: Int32Array;
	readonly serveTask: Int32Array;
	readonly serveService: Int32Array;
	readonly serveOffset: Int32Array;
	readonly serveFree: Int32Array;
	/** Prices per unit (not per second). */
	readonly serveRate: Float64Array;
	readonly slipWeight: number;
	readonly spanWeight: number;
}

function gcd(a: number, b: number): number {
	while (b !== 0) [a, b] = [b, a % b];
	return Math.abs(a);
}

/** The greatest unit of time in which every time of the problem is whole, in seconds. */
function timeUnit(p: Problem): number {
	let unit = p.horizon;
	const add = (...times: (number | undefined)[]) => times.forEach((t) => (unit = gcd(unit, t ?? 0)));
	const values = new Map(p.states.map((s) => [s.id, new Set([s.initial])]));
	p.services.forEach((s) => {
		add(s.due);
	});
	for (const t of p.tasks) {
		add(t.release, t.fixed?.start);
		for (const m of t.modes) {
			add(m.duration);
			m.uses?.forEach((u) => {
				add(u.from, u.to);
			});
			if (m.state) values.get(m.state.id)?.add(m.state.value);
		}
	}
	p.lags.forEach((l) => {
		add(l.min, l.max);
	});
	p.serve.forEach((s) => {
		add(s.offset, s.free, s.max);
	});
	for (const s of p.states) {
		const list = [...(values.get(s.id) ?? [])];
		for (const v of list) add(s.rise * (v - s.initial), s.fall * (v - s.initial));
	}
	return Math.max(1, unit);
}

/** Number rows of `owners` from (owner, entry) pairs: their ranges, and the entries in order of owner. */
function rows<T>(owners: number, pairs: readonly (readonly [number, T])[]): { start: Int32Array; entries: T[] } {
	const start = new Int32Array(owners + 1);
	for (const [owner] of pairs) start[owner + 1]!++;
	for (let i = 0; i < owners; i++) start[i + 1]! += start[i]!;
	const next = start.slice();
	const entries: T[] = new Array<T>(pairs.length);
	for (const [owner, entry] of pairs) entries[next[owner]!++] = entry;
	return { start, entries };
}

/** Compile a consistent problem (see `readProblem`) into its table. */
export function tabulate(problem: Problem): Table {
	const unit = timeUnit(problem);
	const scaled = (seconds: number) => Math.round(seconds / unit);
	const indexOf = (list: readonly { id: string }[]) => new Map(list.map((x, i) => [x.id, i]));
	const task = indexOf(problem.tasks);
	const resource = indexOf(problem.resources);
	const state = indexOf(problem.states);
	const service = indexOf(problem.services);
	const at = (map: Map<string, number>, id: string) => map.get(id)!;
	const n = problem.tasks.length;

	const modes = problem.tasks.flatMap((t, i) => t.modes.map((m) => ({ task: i, ...m })));
	const modeStart = rows(n, modes.map((m) => [m.task, m] as const)).start;
	const uses = rows(
		problem.resources.length,
		modes.flatMap((m, k) =>
			(m.uses ?? []).map((u) => {
				const window = { mode: k, amount: u.amount, from: scaled(u.from ?? 0), to: scaled(u.to ?? m.duration) };
				return [at(resource, u.resource), window] as const;
			})
		)
	);
	const holds = rows(
		problem.resources.length,
		problem.holds.map((h) => {
			return [at(resource, h.resource), { first: at(task, h.from), last: at(task, h.to), amount: h.amount }] as const;
		})
	);

	const edges: { x: number; y: number; w: number; tx: number; ty: number }[] = [];
	for (const l of problem.lags) {
		const [a, b] = [at(task, l.from), at(task, l.to)];
		edges.push({ x: n + a, y: b, w: scaled(l.min), tx: a, ty: b });
		if (l.max !== undefined) edges.push({ x: b, y: n + a, w: -scaled(l.max), tx: b, ty: a });
	}
	for (const s of problem.serve) {
		const [t, d] = [at(task, s.task), 2 * n + at(service, s.service)];
		edges.push({ x: n + t, y: d, w: scaled(s.offset), tx: t, ty: -1 });
		if (s.max !== undefined) {
			edges.push({ x: d, y: n + t, w: -scaled(s.offset) - scaled(s.max), tx: -1, ty: t });
		}
	}
	const variables = 2 * n + problem.services.length;
	const out = rows(variables, edges.map((e, i) => [e.x, i] as const));
	const into = rows(variables, edges.map((e, i) => [e.y, i] as const));

	const options = problem.choices.flatMap((c, i) => c.options.map((o) => ({ choice: i, ...o })));
	const optionOf = new Int32Array(n).fill(-1);
	options.forEach((o, i) => {
		o.tasks.forEach((t) => (optionOf[at(task, t)] = i));
	});

	const touched = problem.tasks.map(() => new Set<number>());
	const stated = problem.tasks.map(() => new Set<number>());
	const stateModes: number[][] = problem.states.map(() => []);
	modes.forEach((m, k) => {
		m.uses?.forEach((u) => touched[m.task]!.add(at(resource, u.resource)));
		if (m.state) {
			stated[m.task]!.add(at(state, m.state.id));
			stateModes[at(state, m.state.id)]!.push(k);
		}
	});
	for (const h of problem.holds) {
		touched[at(task, h.from)]!.add(at(resource, h.resource));
		touched[at(task, h.to)]!.add(at(resource, h.resource));
	}

	return {
		problem,
		unit,
		horizon: scaled(problem.horizon),
		n,
		services: problem.services.length,
		due: Int32Array.from(problem.services, (s) => scaled(s.due)),
		modeStart,
		duration: Int32Array.from(modes, (m) => scaled(m.duration)),
		modeTask: Int32Array.from(modes, (m) => m.task),
		modeState: Int32Array.from(modes, (m) => (m.state ? at(state, m.state.id) : -1)),
		modeValue: Int32Array.from(modes, (m) => m.state?.value ?? 0),
		release: Int32Array.from(problem.tasks, (t) => scaled(t.release ?? 0)),
		fixedStart: Int32Array.from(problem.tasks, (t) => (t.fixed ? scaled(t.fixed.start) : -1)),
		fixedMode: Int32Array.from(problem.tasks, (t, i) => (t.fixed ? modeStart[i]! + t.fixed.mode : -1)),
		ahead: Uint8Array.from(problem.tasks, (t) => (t.ahead ? 1 : 0)),
		optionOf,
		choiceOf: Int32Array.from(options, (o) => o.choice),
		optionStart: rows(problem.choices.length, options.map((o) => [o.choice, o] as const)).start,
		optionCost: Float64Array.from(options, (o) => o.cost),
		optionTasks: options.map((o) => o.tasks.map((t) => at(task, t))),
		edgeX: Int32Array.from(edges, (e) => e.x),
		edgeY: Int32Array.from(edges, (e) => e.y),
		edgeW: Int32Array.from(edges, (e) => e.w),
		edgeTaskX: Int32Array.from(edges, (e) => e.tx),
		edgeTaskY: Int32Array.from(edges, (e) => e.ty),
		outStart: out.start,
		outEdges: Int32Array.from(out.entries),
		inStart: into.start,
		inEdges: Int32Array.from(into.entries),
		capacity: Int32Array.from(problem.resources, (r) => r.capacity),
		useStart: uses.start,
		useMode: Int32Array.from(uses.entries, (u) => u.mode),
		useAmount: Int32Array.from(uses.entries, (u) => u.amount),
		useFrom: Int32Array.from(uses.entries, (u) => u.from),
		useTo: Int32Array.from(uses.entries, (u) => u.to),
		holdStart: holds.start,
		holdFirst: Int32Array.from(holds.entries, (h) => h.first),
		holdLast: Int32Array.from(holds.entries, (h) => h.last),
		holdAmount: Int32Array.from(holds.entries, (h) => h.amount),
		resourcesOf: touched.map((set) => [...set]),
		statesOf: stated.map((set) => [...set]),
		stateModes,
		states: problem.states.length,
		transition: (s, a, b) => {
			const { rise, fall } = problem.states[s]!;
			return scaled(b > a ? rise * (b - a) : fall * (a - b));
		},
		initial: Int32Array.from(problem.states, (s) => s.initial),
		serveTask: Int32Array.from(problem.serve, (s) => at(task, s.task)),
		serveService: Int32Array.from(problem.serve, (s) => at(service, s.service)),
		serveOffset: Int32Array.from(problem.serve, (s) => scaled(s.offset)),
		serveFree: Int32Array.from(problem.serve, (s) => scaled(s.free)),
		serveRate: Float64Array.from(problem.serve, (s) => s.rate * unit),
		slipWeight: problem.weights.slip * unit,
		spanWeight: problem.weights.span * unit
	};
}
