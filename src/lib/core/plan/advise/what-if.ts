// What would help: every change really planned, from the plan in force, and ranked by what it gains.
import type { Plan } from '../../model/plan';
import { seek, type Sought } from '../seek';
import { changesFor, type Change, type What } from './changes';

/** What a change does to the evening, seconds; less of each is better but for the start. */
export interface Effect {
	readonly late: number;
	/** Waiting past what is free. */
	readonly waiting: number;
	/** When work begins, before and after, clock times. */
	readonly begins: { readonly before: number; readonly after: number };
}

export interface WhatIf {
	readonly id: string;
	readonly what: What;
	/** How much lower the objective is than after the same work with nothing changed. */
	readonly gain: number;
	/** The objective with the change. */
	readonly after: number;
	/** What that is for the cook. */
	readonly effect: Effect;
	/** Share of the evenings on time without it and with it, where that was rehearsed. */
	readonly chance?: { readonly before: number; readonly after: number };
	readonly apply?: Change['apply'];
}

/** Rehearses a plan: the share of its evenings on time; with what its problem has that the meal has not. */
export type Judge = (
	request: Sought,
	plan: Plan,
	alter?: Change['alter']
) => Generator<undefined, number | undefined, void>;

/** Changes after which the plan in force can be cooked as it is. */
const onlyAdds: ReadonlySet<What['kind']> = new Set<What['kind']>(['help', 'burner', 'board', 'vessel', 'beforehand']);

/** Work for one change, in propagator runs. */
const whatIfBudget = 10_000;

/**
 * Try every change worth trying, each from the plan in force and with the same work. A gain is held against what that work
 * makes of the plan with nothing changed, so that it is the change's own. Yields after each slice of work whatever was
 * found since the last one.
 *
 * @param judge how likely a plan is on time
 */
export function* whatIfs(request: Sought, plan: Plan, judge?: Judge): Generator<WhatIf | undefined, void, void> {
	const now: Change = { id: 'nothing', what: { kind: 'nothing' }, then: request };
	const before = (yield* tryOut(request, plan, now)) ?? plan;
	const first = judge && (yield* judge(request, before));
	for (const change of changesFor(request, plan)) {
		const after = yield* tryOut(request, plan, change);
		if (!after) continue;
		const { id, what, apply } = change;
		// Whoever has more of something need not use it.
		const better = onlyAdds.has(what.kind) && after.objective > before.objective ? before : after;
		const gain = before.objective - better.objective;
		const then =
			judge && (better === before ? first : yield* judge({ ...request, ...change.then }, better, change.alter));
		const chance = first === undefined || then === undefined ? {} : { chance: { before: first, after: then } };
		const effect = effectOf(before, better);
		yield { id, what, gain, after: better.objective, effect, ...chance, ...(apply ? { apply } : {}) };
	}
}

/** The plan with a change, or `undefined` where none was found. */
function* tryOut({ seed }: Sought, plan: Plan, change: Change): Generator<undefined, Plan | undefined, void> {
	const search = seek({ ...change.then, seed, budget: whatIfBudget }, { from: plan, alter: change.alter });
	for (;;) {
		const step = search.next(undefined);
		if (step.done) return step.value.kind === 'answer' ? step.value.plan : undefined;
		yield undefined;
	}
}

function effectOf(before: Plan, after: Plan): Effect {
	const late = (plan: Plan) => plan.services.reduce((sum, s) => sum + s.at - s.due, 0);
	const waits = (plan: Plan) => plan.parts.reduce((sum, p) => sum + Math.max(0, p.wait - p.free), 0);
	return {
		late: late(after) - late(before),
		waiting: waits(after) - waits(before),
		begins: { before: before.from, after: after.from }
	};
}
