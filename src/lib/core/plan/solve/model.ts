// A problem as variables, edges, clauses and propagators of the engine: names become indices here, once.
import type { Problem, Schedule } from '../problem';
import { Cumulative, type Use } from './cumulative';
import { Disjunctive } from './disjunctive';
import { Engine } from './engine';
import { Linear } from './linear';
import { timeUnit } from './time-unit';

/** A literal as a pair of half and value; empty: always true. */
export type Literal = readonly number[];

/** A task as the search sees it; times in units. */
interface TaskModel {
	/** Variable of its start; of its end, which is that variable plus `endShift`. */
	readonly start: number;
	readonly end: number;
	readonly endShift: number;
	/** Literal of each mode, and its duration. */
	readonly modes: readonly Literal[];
	readonly durations: readonly number[];
	/** Literal of being there. */
	readonly there: Literal;
}

export interface Model {
	readonly problem: Problem;
	/** Seconds per unit of time. */
	readonly unit: number;
	readonly horizon: number;
	readonly engine: Engine;
	readonly tasks: readonly TaskModel[];
	/** Variable of each service's instant, and its due time. */
	readonly services: readonly number[];
	readonly due: readonly number[];
	/** Literals of the options of each choice. */
	readonly options: readonly (readonly Literal[])[];
	readonly objective: Objective;
	/** What the objective's terms leave out, once they are divided by `scale`; what is left over counts moves, less `moves`. */
	readonly constant: number;
	readonly scale: number;
	readonly moves: number;
	/** Variables the search may branch on: starts, instants, modes, options, orders. */
	readonly branching: readonly number[];
	/** Variables of the assumed items, in their order. */
	readonly assumptions: readonly number[];
	/** Whether the model is contradictory by itself. */
	readonly isClosed: boolean;
}

/** The weighted sum to make small. */
interface Objective {
	readonly terms: readonly number[];
	readonly coefficients: readonly number[];
	/** Keeps the sum within its limit, or, where there is `cost`, within that variable. */
	readonly sum: Linear;
	/** Variable of the sum, where it fits: its bounds are literals, so that a bound from below can be learnt. */
	readonly cost: number | undefined;
}

/** The largest sum that gets a variable of its own; twice it still fits 32 bits. */
const largestCost = 0x0fffffff;

/** Pairs of items on one resource are ordered by literals of their own up to so many items. */
const MOST_ORDERED = 24;

/** Edge-finding looks at up to so many items that exclude each other. */
const MOST_EXCLUSIVE = 24;

const negated = ([h = 0, v = 0]: Literal): number[] => [h ^ 1, 1 - v];

/** What may be left out of a problem: tasks (with all that names them), capacities, states, lags, services. */
export interface Item {
	readonly kind: 'task' | 'resource' | 'state' | 'lag' | 'service';
	/** A lag is written `from>to`. */
	readonly id: string;
}

export const itemsOf = (problem: Problem): readonly Item[] => [
	...problem.tasks.map(({ id }) => ({ kind: 'task', id }) as const),
	...[...new Set(problem.lags.map(lagName))].map((id) => ({ kind: 'lag', id }) as const),
	...problem.resources.map(({ id }) => ({ kind: 'resource', id }) as const),
	...problem.states.map(({ id }) => ({ kind: 'state', id }) as const),
	...problem.services.map(({ id }) => ({ kind: 'service', id }) as const)
];

export const lagName = (lag: { readonly from: string; readonly to: string }) => `${lag.from}>${lag.to}`;

/**
 * Build the model of a consistent problem (see `readProblem`) and propagate its root.
 *
 * @param assumed items that only hold where a literal of their own is true; then the objective is left out
 * @param previous a plan to stay near: among answers of one objective, the fewer tasks start at another time the better
 */
export function buildModel(problem: Problem, assumed: readonly Item[] = [], previous?: Schedule): Model {
	const unit = timeUnit(problem);
	const units = (seconds: number) => Math.round(seconds / unit);
	const horizon = units(problem.horizon);
	const engine = new Engine();
	const branching: number[] = [];
	const branch = (low: number, high: number) => {
		const x = engine.variable(low, high);
		branching.push(x);
		return x;
	};
	const clauses: number[][] = [];
	/** Literals of which exactly one is true. */
	const oneOf = (count: number): Literal[] => {
		if (count === 1) return [[]];
		if (count === 2) {
			const x = branch(0, 1);
			return [
				[2 * x, 1],
				[2 * x + 1, 0]
			];
		}
		const literals = Array.from({ length: count }, () => [2 * branch(0, 1), 1]);
		clauses.push(literals.flat());
		literals.forEach((a, i) => {
			for (const b of literals.slice(i + 1)) clauses.push([...negated(a), ...negated(b)]);
		});
		return literals;
	};

	const isRelaxed = assumed.length > 0;
	const assumptions = new Map(assumed.map((item) => [`${item.kind} ${item.id}`, engine.variable(0, 1)]));
	/** The literal of an item, as a pair; empty where it always holds. */
	const holding = (kind: Item['kind'], id: string): Literal => {
		const x = assumptions.get(`${kind} ${id}`);
		return x === undefined ? [] : [2 * x, 1];
	};

	const options = problem.choices.map((c) => oneOf(c.options.length));
	const thereOf = new Map<string, Literal>();
	problem.choices.forEach((c, i) => {
		c.options.forEach((o, k) => {
			for (const t of o.tasks) thereOf.set(t, options[i]![k]!);
		});
	});
	const services = problem.services.map((s) => branch(Math.min(units(s.due), horizon), horizon));
	const due = problem.services.map((s) => units(s.due));
	problem.services.forEach((s) => {
		if (units(s.due) > horizon) clauses.push(excluded(holding('service', s.id)));
	});

	const tasks = problem.tasks.map((t): TaskModel => {
		const durations = t.modes.map((m) => units(m.duration));
		const [shortest, longest] = [Math.min(...durations), Math.max(...durations)];
		const there = thereFor(t.id);
		const release = units(t.release ?? 0);
		const fits = release + shortest <= horizon;
		// What cannot fit by itself must not be there; where it must, the empty clause says so.
		if (!fits) clauses.push(there.length > 0 ? negated(there) : []);
		const start = branch(fits ? release : 0, fits ? horizon - shortest : horizon);
		const modes = oneOf(t.modes.length);
		if (shortest === longest) return { start, end: start, endShift: shortest, modes, durations, there };
		const end = engine.variable(0, horizon);
		engine.edge(2 * start, 2 * end, shortest, there);
		engine.edge(2 * end, 2 * start, -longest, there);
		modes.forEach((mode, k) => {
			engine.edge(2 * start, 2 * end, durations[k]!, [...mode, ...there]);
			engine.edge(2 * end, 2 * start, -durations[k]!, [...mode, ...there]);
		});
		return { start, end, endShift: 0, modes, durations, there };
	});
	const index = new Map(problem.tasks.map((t, i) => [t.id, i]));
	const taskOf = (id: string) => tasks[index.get(id)!]!;
	const resourceIndex = new Map(problem.resources.map((r, i) => [r.id, i]));

	/** Tasks that use each resource in some mode. */
	const users = problem.resources.map(() => new Set<number>());
	problem.tasks.forEach((t, i) => {
		for (const m of t.modes) for (const u of m.uses ?? []) users[resourceIndex.get(u.resource)!]!.add(i);
	});

	problem.tasks.forEach((t, i) => {
		if (!t.fixed) return;
		const { start, modes, there } = tasks[i]!;
		const at = units(t.fixed.start);
		clauses.push([2 * start, at], [2 * start + 1, -at]);
		for (const literal of [modes[t.fixed.mode]!, isRelaxed ? [] : there])
			if (literal.length > 0) clauses.push([...literal]);
	});

	for (const l of problem.lags) {
		const [a, b] = [taskOf(l.from), taskOf(l.to)];
		const guards = uniqueLiterals([a.there, b.there, holding('lag', lagName(l))]);
		engine.edge(2 * a.end, 2 * b.start, a.endShift + units(l.min), guards);
		if (l.max !== undefined) engine.edge(2 * b.start, 2 * a.end, -units(l.max) - a.endShift, guards);
	}

	const stays = previous?.starts ? stayLiterals(previous.starts) : [];
	/** The objective counts so many times, so that no number of moves outweighs one of it. */
	const scale = stays.length + 1;
	const terms: number[] = [];
	const coefficients: number[] = [];
	let constant = 0;
	const price = (half: number, coefficient: number) => {
		if (coefficient === 0 || isRelaxed) return;
		terms.push(half);
		coefficients.push(coefficient * scale);
	};
	services.forEach((d, k) => {
		price(2 * d, problem.weights.slip * unit);
		constant -= problem.weights.slip * unit * due[k]!;
	});
	const serviceIndex = new Map(problem.services.map((s, i) => [s.id, i]));
	for (const s of problem.serve) {
		const { end, endShift, there } = taskOf(s.task);
		const d = services[serviceIndex.get(s.service)!]!;
		const offset = units(s.offset) + endShift;
		const guards = uniqueLiterals([there, holding('service', s.service)]);
		engine.edge(2 * end, 2 * d, offset, guards);
		if (s.max !== undefined) engine.edge(2 * d, 2 * end, -offset - units(s.max), guards);
		if (s.rate === 0 || isRelaxed) continue;
		// The wait beyond what is free.
		const wait = engine.variable(0, s.max === undefined ? 2 * horizon : Math.max(0, units(s.max) - units(s.free)));
		engine.add(new Linear([2 * d, 2 * end + 1, 2 * wait + 1], [1, 1, 1], offset + units(s.free), there));
		price(2 * wait, s.rate * unit);
	}
	problem.choices.forEach((c, i) => {
		c.options.forEach((o, k) => {
			const [h, v] = options[i]![k]!;
			if (h === undefined || v === undefined) constant += o.cost;
			else {
				price(h, o.cost);
				// A literal of the upper half is the value 1 − x.
				if (v === 0) constant += o.cost;
			}
		});
	});
	if (!isRelaxed) addSpan();

	problem.resources.forEach((resource, r) => {
		const items = usesOf(r);
		for (const item of items) {
			if (item.amount <= resource.capacity) continue;
			// Too much at any time: it must not happen, or, where it may be void, be void.
			if (item.isSure) clauses.push(excluded(item.guards));
			else engine.edge(2 * item.end, 2 * item.start, item.endShift, item.guards);
		}
		const possible = items.filter((item) => item.amount <= resource.capacity);
		const total = possible.reduce((sum, item) => sum + item.amount, 0);
		if (total > resource.capacity) engine.add(new Cumulative(resource.capacity, possible));
		orderPairs(resource.capacity, possible);
		const exclusive = possible.filter((item) => item.isSure && item.length > 0 && 2 * item.amount > resource.capacity);
		if (exclusive.length > 2 && exclusive.length <= MOST_EXCLUSIVE) {
			engine.add(
				new Disjunctive(
					exclusive,
					exclusive.map((item) => item.length)
				)
			);
		}
	});
	problem.states.forEach((_, s) => {
		addState(s);
	});

	for (const x of stays) {
		// Each task that moves costs one: the upper half is −1 where it stays.
		terms.push(2 * x + 1);
		coefficients.push(1);
	}
	const objective = addObjective();
	engine.freeze();
	const isClosed =
		(!isRelaxed && hasCircle(problem, tasks, index)) || !clauses.every((c) => engine.clause(c)) || !engine.root();
	const assumption = [...assumptions.values()];
	return {
		problem,
		unit,
		horizon,
		engine,
		tasks,
		services,
		due,
		options,
		objective,
		constant,
		scale,
		moves: stays.length,
		branching,
		isClosed,
		assumptions: assumption
	};

	function addObjective(): Objective {
		const sumOf = (bound: (h: number) => number) => terms.reduce((s, h, i) => s + coefficients[i]! * bound(h), 0);
		const [low, high] = [sumOf((h) => engine.lb[h]!), sumOf((h) => -engine.lb[h ^ 1]!)];
		const isSmall = terms.length > 0 && low >= -largestCost && high <= largestCost;
		const cost = isSmall ? engine.variable(low, high) : undefined;
		const sum =
			cost === undefined
				? new Linear(terms, coefficients, Infinity)
				: new Linear([...terms, 2 * cost + 1], [...coefficients, 1], 0);
		engine.add(sum);
		return { terms, coefficients, sum, cost };
	}

	/** For each task of a plan to stay near, a variable that is 1 only where it starts as before. */
	function stayLiterals(starts: Readonly<Record<string, number>>): number[] {
		return problem.tasks.flatMap((t, i) => {
			const before = starts[t.id];
			if (before === undefined || t.fixed || before % unit !== 0) return [];
			const at = units(before);
			const { start } = tasks[i]!;
			const x = branch(0, 1);
			clauses.push([2 * x + 1, 0, 2 * start, at], [2 * x + 1, 0, 2 * start + 1, -at]);
			return [x];
		});
	}

	/** The literal of a task's presence: its option is taken, and it is not left out. */
	function thereFor(id: string): Literal {
		const [option, own] = [thereOf.get(id) ?? [], holding('task', id)];
		if (option.length === 0 || own.length === 0) return option.length === 0 ? own : option;
		const x = engine.variable(0, 1);
		clauses.push([...excluded([...option, ...own]), 2 * x, 1]);
		return [2 * x, 1];
	}

	/** The whole length: from the first counted start to the last service. */
	function addSpan(): void {
		const counted = problem.tasks.flatMap((t, i) => (t.ahead ? [] : [tasks[i]!]));
		if (problem.weights.span === 0 || counted.length === 0) return;
		const last = engine.variable(0, horizon);
		for (const d of services) engine.edge(2 * d, 2 * last, 0);
		const rate = problem.weights.span * unit;
		if (counted.some((t) => t.there.length === 0)) {
			const first = engine.variable(0, horizon);
			for (const t of counted) engine.edge(2 * first, 2 * t.start, 0, t.there);
			price(2 * last, rate);
			price(2 * first + 1, rate);
			return;
		}
		// All may be absent, and then there is no length.
		const span = engine.variable(-horizon, horizon);
		for (const t of counted) engine.add(new Linear([2 * last, 2 * t.start + 1, 2 * span + 1], [1, 1, 1], 0, t.there));
		const somebody = new Map(counted.map((t) => [t.there.join(), t.there]));
		clauses.push([...[...somebody.values()].flat(), 2 * span, 0]);
		price(2 * span, rate);
	}

	/** Uses and holds of a resource. Uses that all modes share, measured from the start or from the end, need no guard. */
	function usesOf(r: number): Use[] {
		const items: Use[] = [];
		const resource = holding('resource', problem.resources[r]!.id);
		problem.tasks.forEach((t, i) => {
			if (!users[r]!.has(i)) return;
			const { start, end, endShift, modes, there, durations } = tasks[i]!;
			const uses = t.modes.map((m, k) =>
				(m.uses ?? [])
					.filter((u) => resourceIndex.get(u.resource) === r)
					.map((u) => ({
						amount: u.amount,
						from: units(u.from ?? 0),
						to: u.to === undefined ? durations[k]! : units(u.to)
					}))
			);
			const remaining = uses.map((list) => [...list]);
			for (const use of uses[0]!) {
				const length = durations[0]!;
				const shapes = [
					// From start to end; from the start; to the end.
					{
						like: (u: typeof use, d: number) => use.from === 0 && use.to === length && u.from === 0 && u.to === d,
						kind: 'whole'
					},
					{ like: (u: typeof use) => u.from === use.from && u.to === use.to, kind: 'start' },
					{
						like: (u: typeof use, d: number) => d - u.from === length - use.from && d - u.to === length - use.to,
						kind: 'end'
					}
				] as const;
				for (const { like, kind } of shapes) {
					const matches = remaining.map((list, k) =>
						list.findIndex((u) => u.amount === use.amount && like(u, durations[k]!))
					);
					if (matches.some((m) => m < 0)) continue;
					matches.forEach((m, k) => remaining[k]!.splice(m, 1));
					const { amount } = use;
					const common = { amount, guards: [...there, ...resource], isSure: true };
					if (kind === 'whole')
						items.push({ ...common, start, end, startShift: 0, endShift, length: Math.min(...durations) });
					else if (kind === 'start')
						items.push({
							...common,
							start,
							end: start,
							startShift: use.from,
							endShift: use.to,
							length: use.to - use.from
						});
					else {
						const [startShift, toShift] = [use.from - length + endShift, use.to - length + endShift];
						items.push({ ...common, start: end, end, startShift, endShift: toShift, length: use.to - use.from });
					}
					break;
				}
			}
			remaining.forEach((list, k) => {
				for (const { amount, from, to } of list) {
					const guards = [...modes[k]!, ...there, ...resource];
					items.push({
						start,
						end: start,
						startShift: from,
						endShift: to,
						amount,
						guards,
						isSure: true,
						length: to - from
					});
				}
			});
		});
		for (const h of problem.holds) {
			if (resourceIndex.get(h.resource) !== r) continue;
			const [a, b] = [taskOf(h.from), taskOf(h.to)];
			const guards = uniqueLiterals([a.there, b.there, resource]);
			const isSure = a === b || follows(problem, h.from, h.to);
			const shortest = (t: TaskModel) => Math.min(...t.durations);
			const length = a === b ? shortest(a) : isSure ? shortest(a) + shortest(b) : 0;
			items.push({
				start: a.start,
				end: b.end,
				startShift: 0,
				endShift: b.endShift,
				amount: h.amount,
				guards,
				isSure,
				length
			});
		}
		return items;
	}

	/** One before the other, for items of which no two fit at once: whole orders are learnt about, not only instants. */
	function orderPairs(capacity: number, items: readonly Use[]): void {
		if (items.length > MOST_ORDERED) return;
		items.forEach((a, i) => {
			for (const b of items.slice(i + 1)) {
				if (a.amount + b.amount <= capacity || !a.isSure || !b.isSure || a.start === b.start) continue;
				const order = branch(0, 1);
				const guards = [...a.guards, ...b.guards];
				engine.edge(2 * a.end, 2 * b.start, a.endShift - b.startShift, [2 * order, 1, ...guards]);
				engine.edge(2 * b.end, 2 * a.start, b.endShift - a.startShift, [2 * order + 1, 0, ...guards]);
			}
		});
	}

	/** Setups between tasks that hold a state at different values: one before the other, the change in between. */
	function addState(s: number): void {
		const { id, initial, rise, fall } = problem.states[s]!;
		const state = holding('state', id);
		const change = (a: number, b: number) => units(b > a ? rise * (b - a) : fall * (a - b));
		const users = problem.tasks.flatMap((t, i) => {
			const ways = t.modes.flatMap((m, k) =>
				m.state?.id === id ? [{ value: m.state.value, mode: tasks[i]!.modes[k]! }] : []
			);
			return ways.length > 0 ? [{ task: tasks[i]!, ways }] : [];
		});
		users.forEach(({ task: a, ways }, i) => {
			for (const { value, mode } of ways) {
				clauses.push([...excluded([...mode, ...a.there, ...state]), 2 * a.start, change(initial, value)]);
			}
			for (const { task: b, ways: others } of users.slice(i + 1)) {
				if (a.there.length > 0 && b.there.length > 0 && a.there[0] === b.there[0] && a.there[1] !== b.there[1])
					continue;
				const pairs = ways.flatMap((x) => others.filter((y) => y.value !== x.value).map((y) => [x, y] as const));
				if (pairs.length === 0) continue;
				const order = branch(0, 1);
				for (const [x, y] of pairs) {
					const guards = uniqueLiterals([x.mode, y.mode, a.there, b.there, state]);
					engine.edge(2 * a.end, 2 * b.start, a.endShift + change(x.value, y.value), [2 * order, 1, ...guards]);
					engine.edge(2 * b.end, 2 * a.start, b.endShift + change(y.value, x.value), [2 * order + 1, 0, ...guards]);
				}
			}
		});
	}
}

/** The clause that not all of these literals (pairs) hold. */
function excluded(guards: readonly number[]): number[] {
	const clause: number[] = [];
	for (let g = 0; g < guards.length; g += 2) clause.push(guards[g]! ^ 1, 1 - guards[g + 1]!);
	return clause;
}

function uniqueLiterals(literals: readonly Literal[]): number[] {
	return [...new Map(literals.filter((l) => l.length > 0).map((l) => [l.join(), l])).values()].flat();
}

/** Whether a chain of lags of at least 0 leads from one task to another. */
function follows(problem: Problem, from: string, to: string): boolean {
	const reached = new Set([from]);
	for (const id of reached) {
		for (const l of problem.lags) if (l.from === id && l.min >= 0) reached.add(l.to);
	}
	return reached.has(to);
}

/** Whether unconditional lags push some task beyond itself: a positive cycle (Bellman–Ford). */
function hasCircle(problem: Problem, tasks: readonly TaskModel[], index: ReadonlyMap<string, number>): boolean {
	const at = new Float64Array(tasks.length);
	const edges = problem.lags.flatMap((l) => {
		const [a, b] = [index.get(l.from)!, index.get(l.to)!];
		if (tasks[a]!.there.length > 0 || tasks[b]!.there.length > 0) return [];
		const modes = problem.tasks[a]!.modes.map((m) => m.duration);
		const forward = { a, b, w: Math.min(...modes) + l.min };
		return l.max === undefined ? [forward] : [forward, { a: b, b: a, w: -l.max - Math.max(...modes) }];
	});
	for (let round = 0; round <= tasks.length; round++) {
		let changed = false;
		for (const { a, b, w } of edges) {
			if (at[a]! + w <= at[b]!) continue;
			at[b] = at[a]! + w;
			changed = true;
		}
		if (!changed) return false;
	}
	return true;
}
