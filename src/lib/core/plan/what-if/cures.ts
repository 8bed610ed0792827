// No plan: which promise to break, at the least cost. Every cure is a plan that was really found.
import { withoutPart, withService } from '../../model/edit-meal';
import type { Meal, Part } from '../../model/meal';
import type { Plan } from '../../model/plan';
import type { Step, Technique } from '../../model/technique';
import { formatDuration, minute } from '../../units/time';
import { compileMeal } from '../compile/compile';
import { explainPlan } from '../explain/explain';
import { scheduleOf } from '../explain/schedule-of';
import type { Problem } from '../problem';
import type { PlanRequest } from '../plan-meal';
import { withBegun } from '../replan';
import { solve } from '../solve/solve';

/** What may be given up: the order on the plate, an early start of work, the service time, the full rest, a short wait, a part of the plate. */
export type Promised = 'order' | 'start' | 'service' | 'rest' | 'wait' | 'part';

/** Another order on the plate costs nobody anything; a part that is missing costs most. */
export const usualOrder: readonly Promised[] = ['order', 'start', 'service', 'rest', 'wait', 'part'];

export interface Cure {
	readonly id: string;
	readonly breaks: Promised;
	readonly say: string;
	readonly plan: Plan;
	/** What to put in force; absent where the cook has to do it, as a shorter rest. */
	readonly apply?: { readonly meal: Meal };
}

interface Attempt {
	readonly id: string;
	readonly say: string;
	readonly request: PlanRequest;
	readonly apply?: { readonly meal: Meal };
	/** Work to spend; absent: a little. */
	readonly work?: number;
	/** Changes the compiled problem too. */
	readonly alter?: (problem: Problem) => Problem;
}

const budget = 2500;
const by = [5, 10, 15, 20, 30, 45, 60, 90, 120, 180, 240].map((minutes) => minutes * minute);
/** Of the parts to leave out no more than so many are named. */
const mostParts = 3;

/**
 * Cures of a request that has no plan, in the order in which the cook would break promises. Of one promise the least breach
 * that helps; of parts those that matter least on the plate. Yields after each slice of work.
 */
export function* cures(
	request: PlanRequest,
	order: readonly Promised[] = usualOrder
): Generator<Cure | undefined, void, void> {
	for (const breaks of order) {
		let found = 0;
		for (const chain of attempts[breaks](request)) {
			for (const attempt of chain) {
				const plan = yield* planOf(attempt);
				if (!plan) continue;
				const { id, say, apply } = attempt;
				yield { id, breaks, say, plan, ...(apply ? { apply } : {}) };
				found++;
				break;
			}
			if (found >= mostParts) break;
		}
	}
}

/** By promise: chains of attempts, each chain from the smallest breach to the largest. */
const attempts: Record<Promised, (request: PlanRequest) => readonly (readonly Attempt[])[]> = {
	// What cannot wait goes on the plate first: the others are plated while it would stand.
	order: (request) => {
		if (request.standing) return [];
		const byId = new Map(request.techniques.map((t) => [t.id, t]));
		const patience = ({ technique }: Part) => byId.get(technique)?.plate.most ?? Infinity;
		const { meal } = request;
		const sorted = meal.parts.toSorted((a, b) => patience(a) - patience(b));
		if (sorted.every((p, i) => p === meal.parts[i])) return [];
		const names = sorted.slice(0, 2).map((p) => p.name.toLowerCase());
		const say = `plate what cannot wait first: ${names.join(', then ')}`;
		return [[{ ...changed(request, 'order', say, { ...meal, parts: sorted }), work: request.budget }]];
	},
	start: (request) => {
		const { meal, standing } = request;
		if (standing) return [];
		const sooner = by.filter((b) => b <= meal.earliest);
		return [
			sooner.map((b) =>
				changed(request, `start ${b}`, `begin work ${formatDuration(b)} earlier`, {
					...meal,
					earliest: meal.earliest - b
				})
			)
		];
	},
	service: (request) => [
		by.map((b) => {
			const later = request.meal.courses.reduce((m, c) => withService(m, c.id, c.service + b), request.meal);
			return changed(request, `service ${b}`, `serve ${formatDuration(b)} later`, later);
		})
	],
	rest: (request) => {
		const rests = request.techniques.flatMap((t) =>
			t.steps.flatMap((s) => {
				const { shortest, usual } = s.time;
				const isShort = shortest !== undefined && usual !== undefined && shortest < usual;
				return s.kind === 'rest' && isShort ? [{ t, s, shortest }] : [];
			})
		);
		const used = request.meal.parts.flatMap((part) =>
			rests.filter(({ t }) => t.id === part.technique).map((r) => ({ part, ...r }))
		);
		return used.map(({ part, t, s, shortest }) => [
			{
				id: `rest ${part.id}/${s.id}`,
				say: `rest ${part.name.toLowerCase()} only ${formatDuration(shortest)}`,
				request: {
					...request,
					techniques: request.techniques.map((x) => (x === t ? withShortRest(t, s, shortest) : x))
				}
			}
		]);
	},
	wait: (request) => {
		const { parts } = request.meal;
		const patient = (id: string, say: string, isPatient: (task: string) => boolean): Attempt => ({
			id: `wait ${id}`,
			say,
			request,
			alter: (problem) => withoutLongestWaits(problem, isPatient)
		});
		const each = parts.map((part) =>
			patient(part.id, `let ${part.name.toLowerCase()} wait longer than it should`, (task) =>
				task.startsWith(`${part.id}/`)
			)
		);
		return [[...each, patient('all', 'let several parts wait longer than they should', () => true)]];
	},
	part: (request) => {
		const byId = new Map(request.techniques.map((t) => [t.id, t]));
		const kindOf = (technique: string) => byId.get(technique)?.kind ?? 'protein';
		return request.meal.parts
			.toSorted((a, b) => worth(kindOf(a.technique)) - worth(kindOf(b.technique)))
			.map((part) => {
				const without = withoutPart(request.meal, part.id, byId);
				return [changed(request, `part ${part.id}`, `leave out ${part.name.toLowerCase()}`, without)];
			});
	}
};

/** How much a part matters on the plate: garnish least, protein most. */
const worth = (kind: Technique['kind']) =>
	['garnish', 'bread', 'drink', 'sauce', 'side', 'starch', 'table', 'egg', 'protein'].indexOf(kind);

function changed(request: PlanRequest, id: string, say: string, meal: Meal): Attempt {
	return { id, say, request: { ...request, meal }, apply: { meal } };
}

function withoutLongestWaits(problem: Problem, isPatient: (task: string) => boolean): Problem {
	return {
		...problem,
		lags: problem.lags.map(({ max, ...lag }) => (max === undefined || isPatient(lag.from) ? lag : { ...lag, max })),
		serve: problem.serve.map(({ max, ...serve }) =>
			max === undefined || isPatient(serve.task) ? serve : { ...serve, max }
		)
	};
}

function withShortRest(technique: Technique, rest: Step, shortest: number): Technique {
	const time = { ...rest.time, usual: Math.max(1, shortest) };
	return { ...technique, steps: technique.steps.map((s) => (s === rest ? { ...s, time } : s)) };
}

function* planOf({
	request,
	work = budget,
	alter = (problem) => problem
}: Attempt): Generator<undefined, Plan | undefined, void> {
	const { meal, kitchen, techniques, seed, standing } = request;
	const compiled = compileMeal(meal, kitchen, new Map(techniques.map((t) => [t.id, t])));
	if (!compiled.ok) return undefined;
	const previous = standing && scheduleOf(standing.plan, compiled.value, kitchen);
	const begun = standing && previous ? withBegun(compiled.value, previous, standing) : compiled.value;
	const asked = { ...begun, problem: alter(begun.problem) };
	const search = solve(asked.problem, { seed, budget: work, previous, infeasible: 'say' });
	for (;;) {
		const step = search.next(undefined);
		if (step.done) return step.value.starts && explainPlan(meal, kitchen, asked, step.value);
		yield undefined;
	}
}
