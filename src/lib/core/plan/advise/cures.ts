// No plan: which promise to break, at the least cost. Every cure is a plan that was really found.
import { freeId, hasRoom, withoutPart, withRoom, withService, withSetting, withTechnique } from '../../model/edit-meal';
import type { Meal, Part } from '../../model/meal';
import type { Plan } from '../../model/plan';
import type { Step, Technique } from '../../model/technique';
import { spreadOf, timingOf } from '../../timing/timing';
import { valuesFor } from '../../timing/values';
import { minute } from '../../units/time';
import { roomOf } from '../compile/places';
import type { Problem } from '../problem';
import { seek, type Sought } from '../seek';

/**
 * What may be given up: room behind the steps, the order on the plate, the way in which a part is made, an early start of work, the service time, the
 * full rest, a short wait, cooking alone, a part of the plate.
 */
export type Promised = 'room' | 'order' | 'way' | 'start' | 'service' | 'rest' | 'wait' | 'alone' | 'part';

/** What a cook would try first: room was only a wish, and another order on the plate costs nobody anything; a part that is missing costs most. */
export const usualOrder: readonly Promised[] = [
	'room',
	'order',
	'way',
	'start',
	'service',
	'rest',
	'wait',
	'alone',
	'part'
];

/** The breach; parts by name, seconds. */
export type Breach =
	| { readonly kind: 'room' }
	| { readonly kind: 'order'; readonly parts: readonly string[] }
	/** Another setting of a part, or another way to make it. */
	| { readonly kind: 'way'; readonly part: string; readonly way: string }
	| { readonly kind: 'alone' }
	| { readonly kind: 'start'; readonly by: number }
	| { readonly kind: 'service'; readonly by: number }
	| { readonly kind: 'rest'; readonly part: string; readonly seconds: number }
	/** Of all parts where none is named. */
	| { readonly kind: 'wait'; readonly part?: string }
	| { readonly kind: 'part'; readonly part: string };

export interface Cure {
	readonly id: string;
	readonly breaks: Promised;
	readonly breach: Breach;
	readonly plan: Plan;
	/** What to put in force; absent where the cook has to do it, as a shorter rest. */
	readonly apply?: { readonly meal: Meal };
}

interface Attempt {
	readonly id: string;
	readonly breach: Breach;
	readonly request: Sought;
	readonly apply?: { readonly meal: Meal };
	/** Work to spend; absent: a little. */
	readonly work?: number;
	/** Changes the compiled problem too. */
	readonly alter?: (problem: Problem) => Problem;
}

const budget = 25_000;
const by = [5, 10, 15, 20, 30, 45, 60, 90, 120, 180, 240].map((minutes) => minutes * minute);
/** Of the parts to leave out no more than so many are named. */
const mostParts = 3;
/** And of other ways to make one no more than so many are tried. */
const mostWays = 3;
/** For so many parts at the most: the promises after that are waited for. */
const mostRemade = 8;

/**
 * Cures of a request that has no plan, in the order in which the cook would break promises. Of one promise the least breach
 * that helps; of parts those that matter least on the plate. Yields after each slice of work.
 */
export function* cures(
	request: Sought,
	order: readonly Promised[] = usualOrder
): Generator<Cure | undefined, void, void> {
	for (const breaks of order) {
		let found = 0;
		for (const chain of attempts[breaks](request)) {
			for (const attempt of chain) {
				const plan = yield* planOf(attempt);
				if (!plan) continue;
				const { id, breach, apply } = attempt;
				yield { id, breaks, breach, plan, ...(apply ? { apply } : {}) };
				found++;
				break;
			}
			if (found >= mostParts) break;
		}
	}
}

/** By promise: chains of attempts, each chain from the smallest breach to the largest. */
const attempts: Record<Promised, (request: Sought) => readonly (readonly Attempt[])[]> = {
	room: (request) =>
		!hasRoom(request.meal) || request.standing
			? []
			: [[changed(request, 'room', { kind: 'room' }, withRoom(request.meal, undefined))]],
	// What cannot wait goes on the plate first: the others are plated while it would stand.
	order: (request) => {
		if (request.standing) return [];
		const byId = new Map(request.techniques.map((t) => [t.id, t]));
		const patience = ({ technique }: Part) => byId.get(technique)?.plate.most ?? Infinity;
		const { meal } = request;
		const sorted = meal.parts.toSorted((a, b) => patience(a) - patience(b));
		if (sorted.every((p, i) => p === meal.parts[i])) return [];
		const breach = { kind: 'order', parts: sorted.slice(0, 2).map((p) => p.name) } as const;
		return [[{ ...changed(request, 'order', breach, { ...meal, parts: sorted }), work: request.budget }]];
	},
	// What wants fewer touches, then what is made otherwise, for one part each.
	way: ({ meal, techniques, ...request }) => {
		if (request.standing) return [];
		const all = new Map(techniques.map((t) => [t.id, t]));
		const attempt = (part: Part, way: string, next: Meal) =>
			changed({ ...request, techniques, meal }, `way ${part.id} ${way}`, { kind: 'way', part: part.name, way }, next);
		const chains = meal.parts.map((part) => {
			const technique = all.get(part.technique);
			if (!technique || part.choose) return [];
			const turns = technique.parameters.find((p) => p.id === 'turns');
			const once = turns?.options?.find((o) => o.value === 0);
			const isOften = once !== undefined && (part.settings.turns ?? turns?.usual) !== once.value;
			const calmer = isOften
				? [attempt(part, `turned ${once.say}`, withSetting(meal, part.id, 'turns', once.value, turns?.usual ?? 0))]
				: [];
			const others = techniques.filter(
				(t) => t.id !== technique.id && t.makes !== undefined && t.makes === technique.makes
			);
			return [
				...calmer,
				...others.slice(0, mostWays).map((t) => attempt(part, t.name, withTechnique(meal, part.id, t, all)))
			];
		});
		return chains.filter((chain) => chain.length > 0).slice(0, mostRemade);
	},
	start: (request) => {
		const { meal, standing } = request;
		if (standing) return [];
		const sooner = by.filter((b) => b <= meal.earliest);
		return [
			sooner.map((b) =>
				changed(
					request,
					`start ${b}`,
					{ kind: 'start', by: b },
					{
						...meal,
						earliest: meal.earliest - b
					}
				)
			)
		];
	},
	service: (request) => [
		by.map((b) => {
			const later = request.meal.courses.reduce((m, c) => withService(m, c.id, c.service + b), request.meal);
			return changed(request, `service ${b}`, { kind: 'service', by: b }, later);
		})
	],
	rest: (request) => {
		const { kitchen, meal, techniques } = request;
		return meal.parts.flatMap((part) => {
			const technique = techniques.find((t) => t.id === part.technique);
			return (technique?.steps ?? []).flatMap((step) => {
				if (!technique || step.kind !== 'rest') return [];
				const of = valuesFor(technique, part.settings, part.covers ?? meal.covers);
				const at = { altitude: kitchen.altitude, room: roomOf(kitchen) };
				const { shortest, usual } = spreadOf(timingOf(step, of, at));
				const shorter = [shortest, usual / 2].map(Math.round).filter((s) => s >= minute && s < usual);
				return [
					[...new Set(shorter)]
						.sort((a, b) => b - a)
						.map((seconds): Attempt => ({
							id: `rest ${part.id}/${step.id} ${seconds}`,
							breach: { kind: 'rest', part: part.name, seconds },
							request: {
								...request,
								techniques: techniques.map((t) => (t === technique ? withShortRest(t, step, seconds) : t))
							}
						}))
				];
			});
		});
	},
	wait: (request) => {
		const { parts } = request.meal;
		const patient = (id: string, breach: Breach, isPatient: (task: string) => boolean): Attempt => ({
			id: `wait ${id}`,
			breach,
			request,
			alter: (problem) => withoutLongestWaits(problem, isPatient)
		});
		const each = parts.map((part) =>
			patient(part.id, { kind: 'wait', part: part.name }, (task) => task.startsWith(`${part.id}/`))
		);
		return [[...each, patient('all', { kind: 'wait' }, () => true)]];
	},
	alone: (request) => {
		const { kitchen } = request;
		const helper = {
			id: freeId(
				kitchen.cooks.map((c) => c.id),
				'helper'
			),
			name: 'A helper'
		};
		return [
			[
				{
					id: 'alone',
					breach: { kind: 'alone' },
					request: { ...request, kitchen: { ...kitchen, cooks: [...kitchen.cooks, helper] } }
				}
			]
		];
	},
	part: (request) => {
		const byId = new Map(request.techniques.map((t) => [t.id, t]));
		const kindOf = (technique: string) => byId.get(technique)?.kind ?? 'protein';
		return request.meal.parts
			.toSorted((a, b) => worth(kindOf(a.technique)) - worth(kindOf(b.technique)))
			.map((part) => {
				const without = withoutPart(request.meal, part.id, byId);
				return [changed(request, `part ${part.id}`, { kind: 'part', part: part.name }, without)];
			});
	}
};

/** How much a part matters on the plate: garnish least, protein most. */
const worth = (kind: Technique['kind']) =>
	['garnish', 'bread', 'drink', 'sauce', 'side', 'starch', 'table', 'egg', 'protein'].indexOf(kind);

function changed(request: Sought, id: string, breach: Breach, meal: Meal): Attempt {
	return { id, breach, request: { ...request, meal }, apply: { meal } };
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

/** The technique with a rest of so many seconds, whatever would be computed for it. */
function withShortRest(technique: Technique, rest: Step, seconds: number): Technique {
	const time = { shortest: seconds, usual: seconds, longest: seconds };
	return { ...technique, steps: technique.steps.map((s) => (s === rest ? { ...s, time } : s)) };
}

function* planOf({ request, work = budget, alter }: Attempt): Generator<undefined, Plan | undefined, void> {
	const search = seek({ ...request, budget: work }, { alter, infeasible: 'say' });
	for (;;) {
		const step = search.next(undefined);
		if (step.done) return step.value.kind === 'answer' ? step.value.plan : undefined;
		yield undefined;
	}
}
