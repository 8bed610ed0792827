// What would help: every change really planned, from the plan in force, and ranked by what it gains.
import type { Plan } from '../../model/plan';
import { formatClock, formatDuration } from '../../units/time';
import { compileMeal } from '../compile/compile';
import { explainPlan } from '../explain/explain';
import { scheduleOf } from '../explain/schedule-of';
import type { PlanRequest } from '../plan-meal';
import type { Schedule } from '../problem';
import { solve } from '../solve/solve';
import { changesFor, type Change } from './changes';

export interface WhatIf {
	readonly id: string;
	readonly say: string;
	/** How much the objective falls. */
	readonly gain: number;
	/** What that is for the cook. */
	readonly effect: string;
	readonly apply?: Change['apply'];
}

/** Work for one change, in propagator runs. */
export const whatIfBudget = 2500;

/**
 * Try every change worth trying. Each plan is a real one; with more work it might be better still, so a gain is "at
 * least". Yields after each slice of work whatever was found since the last one.
 */
export function* whatIfs(request: PlanRequest, plan: Plan): Generator<WhatIf | undefined, void, void> {
	for (const change of changesFor(request, plan)) {
		const { meal, kitchen, techniques } = change.then;
		const compiled = compileMeal(meal, kitchen, new Map(techniques.map((t) => [t.id, t])));
		if (!compiled.ok) continue;
		const { problem, trace } = compiled.value;
		const altered = change.alter?.(problem, trace.origin) ?? problem;
		const previous = scheduleOf(plan, compiled.value, kitchen);
		const search = solve(altered, { seed: request.seed, budget: whatIfBudget, previous });
		let answer: Schedule | undefined;
		while (!answer) {
			const step = search.next();
			if (step.done) answer = step.value;
			else yield undefined;
		}
		if (!answer.starts) continue;
		const better = explainPlan(meal, kitchen, { problem: altered, trace }, answer);
		const { id, say, apply } = change;
		yield {
			id,
			say,
			gain: plan.objective - better.objective,
			effect: wordEffect(plan, better),
			...(apply ? { apply } : {})
		};
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
