// A problem as variables, edges, clauses and propagators of the engine: names become indices here, once.
import type { Problem } from '../../problem';
import type { Engine } from '../engine';
import { Builder, type Building } from './builder';
import type { Item } from './items';
import type { Literal } from './literals';
import { Prices, type Near, type Objective } from './objective';
import { addStates } from './states';
import { addResources } from './uses';
import { addVariables, hasCircle, type TaskModel } from './variables';

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
	/** Variables the search may branch on: starts, instants, modes, options, orders. */
	readonly branching: readonly number[];
	/** Variables of the assumed items, in their order. */
	readonly assumptions: readonly number[];
	/** Whether the model is contradictory by itself. */
	readonly isClosed: boolean;
}

/** Effort between two looks at the caller while the root is propagated. */
const SLICE = 2000;

/**
 * Build the model of a consistent problem (see `readProblem`) and propagate its root. Yields now and then; its time and
 * memory grow as the problem does.
 *
 * @param assumed items that only hold where a literal of their own is true; then the objective is left out
 * @param near a plan to stay near: among answers of one objective, the fewer tasks start at another time the better
 */
export function* buildModel(problem: Problem, assumed: readonly Item[] = [], near?: Near): Building<Model> {
	const b = new Builder(problem, assumed);
	const { engine } = b;
	const v = yield* addVariables(b);
	const prices = new Prices(b, v, near);
	yield* prices.addServices();
	yield* prices.addWants();
	prices.addOptions();
	prices.addPlaces();
	yield* prices.addSpan();
	yield* addResources(b, v);
	yield* addStates(b, v);
	const objective = prices.objective();
	engine.freeze();
	const isCircular = !b.isRelaxed && (yield* hasCircle(b, v));
	let isClosed = isCircular || !b.clauses.every((c) => engine.clause(c));
	for (let begins = true; !isClosed && (begins || engine.isPaused); begins = false) {
		engine.allow(SLICE);
		isClosed = !(begins ? engine.root() : engine.propagate());
		if (engine.isPaused) yield;
	}
	const { unit, horizon, branching } = b;
	const { tasks, services, due, options } = v;
	const assumptions = [...b.assumptions.values()];
	return { problem, unit, horizon, engine, tasks, services, due, options, objective, branching, assumptions, isClosed };
}
