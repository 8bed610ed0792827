// What a plan costs, as a weighted sum of variables: lateness, waits, options, what should have ended, the evening's length, moves.
import type { Schedule } from '../../problem';
import { Linear } from '../linear';
import type { Builder, Building } from './builder';
import { together } from './literals';
import type { Variables } from './variables';

/** A plan to stay near. */
export interface Near {
	readonly plan: Schedule;
	/** What it costs that a task begins at another time, or is done at another place; absent: it only decides between equals. */
	readonly moving?: Moving | undefined;
}

/** What moves cost, and which tasks' moves do. */
export interface Moving {
	readonly start: number;
	readonly place: number;
	readonly tasks: ReadonlySet<string>;
}

/** The weighted sum to make small; the problem's objective is ⌊(sum + moves) / scale⌋ + constant. */
export interface Objective {
	readonly terms: readonly number[];
	readonly coefficients: readonly number[];
	/** Keeps the sum within its limit, or, where there is `cost`, within that variable. */
	readonly sum: Linear;
	/** Variable of the sum, where it fits: its bounds are literals, so that a bound from below can be learnt. */
	readonly cost: number | undefined;
	/** Variable of the first counted start, where the evening has a length in any case. */
	readonly first: number | undefined;
	/** What the terms leave out. */
	readonly constant: number;
	/** How often the objective counts, so that no number of moves outweighs one of it. */
	readonly scale: number;
	/** What the terms leave out of the sum, beside the constant: what it costs if all moves that may. */
	readonly moves: number;
}

/** The largest sum that gets a variable of its own; twice it still fits 32 bits. */
const largestCost = 0x0fffffff;

/** The terms before they are summed. */
export class Prices {
	readonly terms: number[] = [];
	readonly coefficients: number[] = [];
	constant = 0;
	private first: number | undefined;
	/** For each task of a plan to stay near, a variable that is 1 only where it starts as before, and what a move costs. */
	private readonly stays: readonly Stay[];

	constructor(
		private readonly b: Builder,
		private readonly v: Variables,
		private readonly near: Near | undefined
	) {
		this.stays = near ? staysOf(b, v, near) : [];
	}

	get scale(): number {
		return this.stays.length + 1;
	}

	add(half: number, coefficient: number): void {
		if (coefficient === 0 || this.b.isRelaxed) return;
		this.terms.push(half);
		this.coefficients.push(coefficient * this.scale);
	}

	/** What lateness and waits cost; that a part is ready before its turn holds in any case. */
	*addServices(): Building<void> {
		const { b, v } = this;
		const { problem, engine, unit } = b;
		v.services.forEach((d, k) => {
			this.add(2 * d, problem.weights.slip * unit);
			this.constant -= problem.weights.slip * unit * v.due[k]!;
		});
		const position = new Map(problem.services.map((s, i) => [s.id, i]));
		for (const s of problem.serve) {
			yield* b.step();
			const { end, endShift, there } = v.tasks[v.index.get(s.task)!]!;
			const d = v.services[position.get(s.service)!]!;
			const offset = b.units(s.offset) + endShift;
			const guards = together(there, b.holding('service', s.service));
			engine.edge(2 * end, 2 * d, offset, guards);
			if (s.max !== undefined) engine.edge(2 * d, 2 * end, -offset - b.units(s.max), guards);
			if (s.rate === 0 || b.isRelaxed) continue;
			// The wait beyond what is free: at most from the earliest end to the latest service.
			const most = -engine.lb[2 * d + 1]! - engine.lb[2 * end]! - offset;
			const beyond = Math.max(0, (s.max === undefined ? most : Math.min(most, b.units(s.max))) - b.units(s.free));
			if (beyond === 0) continue;
			const wait = engine.variable(0, beyond);
			engine.add(new Linear([2 * d, 2 * end + 1, 2 * wait + 1], [1, 1, 1], offset + b.units(s.free), there));
			this.add(2 * wait, s.rate * unit);
		}
	}

	/** What it costs that something ends later than it should. */
	*addWants(): Building<void> {
		const { b, v } = this;
		const { engine, unit } = b;
		for (const w of b.problem.wants) {
			yield* b.step();
			const { end, endShift, there } = v.tasks[v.index.get(w.task)!]!;
			const by = b.units(w.by) - endShift;
			const beyond = -engine.lb[2 * end + 1]! - by;
			if (w.rate === 0 || beyond <= 0 || b.isRelaxed) continue;
			const overdue = engine.variable(0, beyond);
			engine.edge(2 * end, 2 * overdue, -by, there);
			this.add(2 * overdue, w.rate * unit);
		}
	}

	addOptions(): void {
		this.b.problem.choices.forEach((c, i) => {
			c.options.forEach((o, k) => {
				const [h, value] = this.v.options[i]![k]!;
				if (h !== undefined) this.add(h, o.cost);
				// Always taken; or a literal of the upper half, which is the value 1 − x.
				if (h === undefined || value === 0) this.constant += o.cost;
			});
		});
	}

	/** What it costs that a task is done at another place than before. */
	addPlaces(): void {
		const { plan, moving } = this.near ?? {};
		if (!plan || !moving) return;
		this.b.problem.tasks.forEach((t, i) => {
			const before = t.modes[plan.modes?.[t.id] ?? -1]?.at;
			if (before === undefined || t.fixed || !moving.tasks.has(t.id)) return;
			t.modes.forEach((m, k) => {
				if (m.at === before) return;
				const [h, value] = this.v.tasks[i]!.modes[k]!;
				if (h !== undefined) this.add(h, moving.place);
				if (h === undefined || value === 0) this.constant += moving.place;
			});
		});
	}

	/** The whole length: from the first counted start to the last service. */
	*addSpan(): Building<void> {
		const { b, v } = this;
		const { problem, engine, horizon } = b;
		const counted = problem.tasks.flatMap((t, i) => (t.ahead ? [] : [v.tasks[i]!]));
		if (problem.weights.span === 0 || counted.length === 0 || b.isRelaxed) return;
		const last = engine.variable(0, horizon);
		for (const d of v.services) engine.edge(2 * d, 2 * last, 0);
		const rate = problem.weights.span * b.unit;
		if (counted.some((t) => t.there.length === 0)) {
			const first = engine.variable(0, horizon);
			for (const t of counted) engine.edge(2 * first, 2 * t.start, 0, t.there);
			this.add(2 * last, rate);
			this.add(2 * first + 1, rate);
			this.first = first;
			return;
		}
		// All may be absent, and then there is no length.
		const span = engine.variable(-horizon, horizon);
		for (const t of counted) {
			yield* b.step();
			engine.add(new Linear([2 * last, 2 * t.start + 1, 2 * span + 1], [1, 1, 1], 0, t.there));
		}
		const somebody = new Map(counted.map((t) => [t.there.join(), t.there]));
		b.clauses.push([...[...somebody.values()].flat(), 2 * span, 0]);
		this.add(2 * span, rate);
	}

	/** The sum, once all terms are there. */
	objective(): Objective {
		const { engine } = this.b;
		const { terms, coefficients, first, constant, scale, stays } = this;
		let moves = 0;
		for (const { x, cost } of stays) {
			// Each task that moves costs its price, and one: the upper half is −1 where it stays.
			const all = cost * scale + 1;
			terms.push(2 * x + 1);
			coefficients.push(all);
			moves += all;
		}
		const sumOf = (bound: (h: number) => number) => terms.reduce((s, h, i) => s + coefficients[i]! * bound(h), 0);
		const [low, high] = [sumOf((h) => engine.lb[h]!), sumOf((h) => -engine.lb[h ^ 1]!)];
		const isSmall = terms.length > 0 && low >= -largestCost && high <= largestCost;
		const cost = isSmall ? engine.variable(low, high) : undefined;
		const sum =
			cost === undefined
				? new Linear(terms, coefficients, Infinity)
				: new Linear([...terms, 2 * cost + 1], [...coefficients, 1], 0);
		engine.add(sum);
		return { terms, coefficients, sum, cost, first, constant, scale, moves };
	}
}

/** A variable that is 1 only where a task starts as before, and what it costs, beside one, that it does not. */
interface Stay {
	readonly x: number;
	readonly cost: number;
}

function staysOf(b: Builder, v: Variables, { plan, moving }: Near): readonly Stay[] {
	return b.problem.tasks.flatMap((t, i) => {
		const before = plan.starts?.[t.id];
		if (before === undefined || t.fixed || before % b.unit !== 0) return [];
		const at = b.units(before);
		const { start } = v.tasks[i]!;
		const x = b.branch(0, 1);
		b.clauses.push([2 * x + 1, 0, 2 * start, at], [2 * x + 1, 0, 2 * start + 1, -at]);
		return [{ x, cost: moving?.tasks.has(t.id) ? moving.start : 0 }];
	});
}
