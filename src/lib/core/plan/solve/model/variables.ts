// The variables of a problem: which options are taken, when services go out, when tasks start, in which mode; and lags.
import type { Problem } from '../../problem';
import type { Builder, Building } from './builder';
import { lagName, tieName } from './items';
import { excluded, negated, together, type Literal } from './literals';

/** A task as the search sees it; times in units. */
export interface TaskModel {
	/** Variable of its start; of its end, which is that variable plus `endShift`. */
	readonly start: number;
	readonly end: number;
	readonly endShift: number;
	/** Literal of each mode, and its duration. */
	readonly modes: readonly Literal[];
	readonly durations: readonly number[];
	readonly shortest: number;
	/** Literal of being there. */
	readonly there: Literal;
}

export interface Variables {
	readonly tasks: readonly TaskModel[];
	/** Position of each task, by id. */
	readonly index: ReadonlyMap<string, number>;
	/** Variable of each service's instant, and its due time. */
	readonly services: readonly number[];
	readonly due: readonly number[];
	/** Literals of the options of each choice. */
	readonly options: readonly (readonly Literal[])[];
	/** Whether two tasks are never there together, being of two options of one choice. */
	readonly exclude: (a: number, b: number) => boolean;
}

export function* addVariables(b: Builder): Building<Variables> {
	const { problem, horizon, engine, clauses } = b;
	const options = problem.choices.map((c) => b.oneOf(c.options.length));
	/** Choice and option of each task that is in one. */
	const optionOf = new Map<string, readonly [choice: number, option: number]>();
	problem.choices.forEach((c, i) => {
		c.options.forEach((o, k) => {
			for (const t of o.tasks) optionOf.set(t, [i, k]);
		});
	});
	const services = problem.services.map((s) => b.branch(Math.min(b.units(s.due), horizon), horizon));
	const due = problem.services.map((s) => b.units(s.due));
	problem.services.forEach((s) => {
		if (b.units(s.due) > horizon) clauses.push(excluded(b.holding('service', s.id)));
	});

	const optionLiteral = (id: string): Literal => {
		const [c, o] = optionOf.get(id) ?? [-1, -1];
		return options[c]?.[o] ?? [];
	};
	/** The literal of a task's presence: its option is taken, and it is not left out. */
	const thereFor = (id: string): Literal => {
		const [option, own] = [optionLiteral(id), b.holding('task', id)];
		if (option.length === 0 || own.length === 0) return option.length === 0 ? own : option;
		const x = engine.variable(0, 1);
		clauses.push([...excluded([...option, ...own]), 2 * x, 1]);
		return [2 * x, 1];
	};
	const tasks: TaskModel[] = [];
	for (const t of problem.tasks) {
		yield* b.step();
		tasks.push(addTask(b, t, thereFor(t.id)));
	}
	const index = new Map(problem.tasks.map((t, i) => [t.id, i]));
	const choiceOf = problem.tasks.map((t) => optionOf.get(t.id));
	const exclude = (i: number, k: number) => {
		const [one, other] = [choiceOf[i], choiceOf[k]];
		return one !== undefined && one[0] === other?.[0] && one[1] !== other[1];
	};
	const found = { tasks, index, services, due, options, exclude };
	fix(b, tasks, optionLiteral);
	yield* addLags(b, found);
	yield* addTies(b, found);
	return found;
}

function addTask(b: Builder, t: Problem['tasks'][number], there: Literal): TaskModel {
	const { horizon, engine, clauses } = b;
	const durations = t.modes.map((m) => b.units(m.duration));
	const [shortest, longest] = [Math.min(...durations), Math.max(...durations)];
	const release = b.units(t.release ?? 0);
	const fits = release + shortest <= horizon;
	// What cannot fit by itself must not be there; where it must, the empty clause says so.
	if (!fits) clauses.push(there.length > 0 ? negated(there) : []);
	const start = b.branch(fits ? release : 0, fits ? horizon - shortest : horizon);
	const modes = b.oneOf(t.modes.length);
	const common = { start, modes, durations, shortest, there };
	if (shortest === longest) return { ...common, end: start, endShift: shortest };
	const end = engine.variable(0, horizon);
	engine.edge(2 * start, 2 * end, shortest, there);
	engine.edge(2 * end, 2 * start, -longest, there);
	modes.forEach((mode, k) => {
		engine.edge(2 * start, 2 * end, durations[k]!, [...mode, ...there]);
		engine.edge(2 * end, 2 * start, -durations[k]!, [...mode, ...there]);
	});
	return { ...common, end, endShift: 0 };
}

/** What has begun is where it is, in its mode, and its option is taken; unless it is left out. */
function fix(b: Builder, tasks: readonly TaskModel[], optionOf: (id: string) => Literal): void {
	b.problem.tasks.forEach((t, i) => {
		if (!t.fixed) return;
		const { start, modes } = tasks[i]!;
		const at = b.units(t.fixed.start);
		const unless = excluded(b.holding('task', t.id));
		const facts = [[2 * start, at], [2 * start + 1, -at], modes[t.fixed.mode]!, optionOf(t.id)];
		for (const literal of facts) if (literal.length > 0) b.clauses.push([...literal, ...unless]);
	});
}

/** Each tie has a place; who is there is done in a mode of it. */
function* addTies(b: Builder, { tasks, index }: Variables): Building<void> {
	for (const tie of b.problem.ties) {
		yield* b.step();
		const members = tie.flatMap((id) => index.get(id) ?? []);
		if (members.length < 2) continue;
		const labels = [...new Set(members.flatMap((i) => b.problem.tasks[i]!.modes.flatMap((m) => m.at ?? [])))];
		const places = new Map(b.oneOf(labels.length).map((literal, k) => [labels[k], literal]));
		const holds = b.holding('tie', tieName(tie));
		for (const i of members) {
			const { modes, there } = tasks[i]!;
			b.problem.tasks[i]!.modes.forEach(({ at }, k) => {
				const place = places.get(at)!;
				if (place.length > 0) b.clauses.push([...excluded(together(modes[k]!, there, holds)), ...place]);
			});
		}
	}
}

function* addLags(b: Builder, { tasks, index }: Variables): Building<void> {
	for (const l of b.problem.lags) {
		yield* b.step();
		const [from, to] = [tasks[index.get(l.from)!]!, tasks[index.get(l.to)!]!];
		const guards = together(from.there, to.there, b.holding('lag', lagName(l)));
		b.engine.edge(2 * from.end, 2 * to.start, from.endShift + b.units(l.min), guards);
		if (l.max !== undefined) b.engine.edge(2 * to.start, 2 * from.end, -b.units(l.max) - from.endShift, guards);
	}
}

/** Whether unconditional lags push some task beyond itself: a positive cycle (Bellman–Ford). */
export function* hasCircle(b: Builder, { tasks, index }: Variables): Building<boolean> {
	const at = new Float64Array(tasks.length);
	const from: number[] = [];
	const to: number[] = [];
	const weight: number[] = [];
	for (const l of b.problem.lags) {
		const [i, k] = [index.get(l.from)!, index.get(l.to)!];
		const { there, durations, shortest } = tasks[i]!;
		if (there.length > 0 || tasks[k]!.there.length > 0) continue;
		from.push(i);
		to.push(k);
		weight.push(shortest + b.units(l.min));
		if (l.max === undefined) continue;
		from.push(k);
		to.push(i);
		weight.push(-b.units(l.max) - Math.max(...durations));
	}
	for (let round = 0; round <= tasks.length; round++) {
		let changed = false;
		for (let e = 0; e < from.length; e++) {
			const reached = at[from[e]!]! + weight[e]!;
			if (reached <= at[to[e]!]!) continue;
			at[to[e]!] = reached;
			changed = true;
		}
		if (!changed) return false;
		// Beyond the horizon nothing can be: a circle, or as good as one, which propagation will find.
		if (round % 50 === 49) yield;
	}
	return true;
}
