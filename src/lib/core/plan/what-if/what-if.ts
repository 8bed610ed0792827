// What would help: every change really planned, from the plan in force, and ranked by what it gains.
import type { Plan } from '../../model/plan';
import { formatClock, formatDuration } from '../../units/time';
import { compileMeal } from '../compile/compile';
import { explainPlan } from '../explain/explain';
import { scheduleOf } from '../explain/schedule-of';
import type { PlanRequest } from '../plan-meal';
import { solve } from '../solve/solve';
import { changesFor, type Change } from './changes';

export interface WhatIf {
	readonly id: string;
	readonly say: string;
	/** How much lower the objective is than after the same work with nothing changed. */
	readonly gain: number;
	/** The objective with the change. */
	readonly after: number;
	/** What that is for the cook. */
	readonly effect: string;
	readonly apply?: Change['apply'];
}

/** Work for one change, in propagator runs. */
const whatIfBudget = 2500;

/**
 * Try every change worth trying, each from the plan in force and with the same work. A gain is held against what that work
 * makes of the plan with nothing changed, so that it is the change's own. Yields after each slice of work whatever was
 * found since the last one.
 */
export function* whatIfs(request: PlanRequest, plan: Plan): Generator<WhatIf | undefined, void, void> {
	const now = { id: 'nothing', say: 'nothing changed', then: request };
	const before = (yield* tryOut(request, plan, now)) ?? plan;
	for (const change of changesFor(request, plan)) {
		const after = yield* tryOut(request, plan, change);
		if (!after) continue;
		const { id, say, apply } = change;
		const gain = before.objective - after.objective;
		yield { id, say, gain, after: after.objective, effect: wordEffect(before, after), ...(apply ? { apply } : {}) };
	}
}

/** The plan with a change, or `undefined` where none was found. */
function* tryOut({ seed }: PlanRequest, plan: Plan, change: Change): Generator<undefined, Plan | undefined, void> {
	const { meal, kitchen, techniques } = change.then;
	const compiled = compileMeal(meal, kitchen, new Map(techniques.map((t) => [t.id, t])));
	if (!compiled.ok) return undefined;
	const { trace } = compiled.value;
	const problem = change.alter?.(compiled.value.problem, trace.origin) ?? compiled.value.problem;
	const search = solve(problem, { seed, budget: whatIfBudget, previous: scheduleOf(plan, compiled.value, kitchen) });
	for (;;) {
		const step = search.next(undefined);
		if (step.done) return step.value.starts && explainPlan(meal, kitchen, { problem, trace }, step.value);
		yield undefined;
	}
}

/** The difference between two plans in a cook's words; empty where there is none worth a word. */
function wordEffect(before: Plan, after: Plan): string {
	const late = (plan: Plan) => plan.services.reduce((sum, s) => sum + s.at - s.due, 0);
	const waits = (plan: Plan) => plan.parts.reduce((sum, p) => sum + Math.max(0, p.wait - p.free), 0);
	const words = [
		compare(late(before) - late(after), 'less late', 'later'),
		compare(waits(before) - waits(after), 'less waiting past its best', 'more waiting past its best'),
		after.from - before.from >= 60
			? `begin at ${formatClock(after.from)}, ${formatDuration(after.from - before.from)} later`
			: '',
		before.from - after.from >= 60
			? `begin at ${formatClock(after.from)}, ${formatDuration(before.from - after.from)} earlier`
			: ''
	];
	return words.filter((w) => w !== '').join('; ');
}

function compare(difference: number, less: string, more: string): string {
	if (Math.abs(difference) < 30) return '';
	return `${formatDuration(difference)} ${difference > 0 ? less : more}`;
}
