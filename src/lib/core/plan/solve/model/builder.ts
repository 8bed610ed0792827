// What every part of the model is built with: the engine, the clauses so far, the unit of time, and how far the work is.
import type { Problem } from '../../problem';
import { Engine } from '../engine';
import { Linear } from '../linear';
import { timeUnit } from '../time-unit';
import type { Item } from './items';
import { negated, type Literal } from './literals';

/** A build that the caller pulls: it yields now and then, and may be dropped. */
export type Building<T> = Generator<undefined, T, unknown>;

/** Build, and report after each piece of it. */
export function* building<T, P>(build: Building<T>, report: () => P): Generator<P, T, unknown> {
	for (;;) {
		const step = build.next();
		if (step.done) return step.value;
		yield report();
	}
}

/** Things that are added between two looks at the caller. */
const SLICE = 400;
/** Of more literals "at most one" is a sum instead of a clause for each pair. */
const MOST_PAIRED = 8;

export class Builder {
	readonly engine = new Engine();
	/** Seconds per unit of time. */
	readonly unit: number;
	readonly horizon: number;
	/** Variables that the search may branch on. */
	readonly branching: number[] = [];
	readonly clauses: number[][] = [];
	/** Whether items only hold where a literal of their own is true; then there is no objective. */
	readonly isRelaxed: boolean;
	/** Variables of the assumed items, in their order. */
	readonly assumptions: ReadonlyMap<string, number>;
	private added = 0;

	constructor(
		readonly problem: Problem,
		assumed: readonly Item[]
	) {
		this.unit = timeUnit(problem);
		this.horizon = this.units(problem.horizon);
		this.isRelaxed = assumed.length > 0;
		this.assumptions = new Map(assumed.map(({ kind, id }) => [`${kind} ${id}`, this.engine.variable(0, 1)]));
	}

	/** Yield after each `SLICE` things added. */
	*step(): Building<void> {
		if (++this.added % SLICE === 0) yield;
	}

	units(seconds: number): number {
		return Math.round(seconds / this.unit);
	}

	/** A variable that the search may branch on. */
	branch(low: number, high: number): number {
		const x = this.engine.variable(low, high);
		this.branching.push(x);
		return x;
	}

	/** Literals of which exactly one is true. */
	oneOf(count: number): Literal[] {
		if (count === 1) return [[]];
		if (count === 2) {
			const x = this.branch(0, 1);
			return [
				[2 * x, 1],
				[2 * x + 1, 0]
			];
		}
		const literals = Array.from({ length: count }, () => [2 * this.branch(0, 1), 1]);
		this.clauses.push(literals.flat());
		if (count > MOST_PAIRED) {
			this.engine.add(
				new Linear(
					literals.map(([h]) => h!),
					literals.map(() => 1),
					1
				)
			);
			return literals;
		}
		literals.forEach((a, i) => {
			for (const b of literals.slice(i + 1)) this.clauses.push([...negated(a), ...negated(b)]);
		});
		return literals;
	}

	/** The literal of an item; empty where it always holds. */
	holding(kind: Item['kind'], id: string): Literal {
		const x = this.assumptions.get(`${kind} ${id}`);
		return x === undefined ? [] : [2 * x, 1];
	}
}
