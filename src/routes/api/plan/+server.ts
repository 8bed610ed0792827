// POST /api/plan: {meal, kitchen?, seed?, budget?} → a juntos-plan.
import { z } from 'zod';
import { readKitchenData, readMealData } from '$lib/core/formats/juntos/juntos';
import { issuesOf } from '$lib/core/issues';
import { demoKitchens } from '$lib/core/library/demo';
import { library } from '$lib/core/library/library';
import { withOwn } from '$lib/core/model/meal';
import { usualBudget, usualSeed } from '$lib/core/plan/effort';
import type { PlanOutcome } from '$lib/core/plan/plan-meal';
import { wordConflict } from '$lib/core/words/advice';
import { askerOf } from '$lib/server/asker';
import { PoolError, planInPool } from '$lib/server/pool';
import { busyAnswer, issuesAnswer, problemDetails, unknownAnswer } from '$lib/server/problem-details';
import { readBody } from '$lib/server/read-body';
import type { RequestHandler } from './$types';

export const prerender = false;

/** Longest time for one plan, milliseconds. */
const deadline = 20_000;

const requestSchema = z.object({
	meal: z.unknown(),
	kitchen: z.unknown().optional(),
	seed: z.int().min(0).default(usualSeed),
	budget: z.int().min(1).max(10_000_000).default(usualBudget)
});

export const POST: RequestHandler = async (event) => {
	const asker = askerOf(event);
	const body = await readBody(event.request);
	if ('answer' in body) return body.answer;
	const parsed = requestSchema.safeParse(body.data);
	if (!parsed.success) return issuesAnswer(issuesOf(parsed.error));
	const { seed, budget } = parsed.data;
	const meal = readMealData(parsed.data.meal, library);
	if (!meal.ok) return issuesAnswer(meal.issues.map((i) => ({ ...i, path: ['meal', ...i.path] })));
	const known = demoKitchens.find((k) => k.id === meal.value.kitchen);
	const kitchen = readKitchenData(parsed.data.kitchen ?? known);
	if (!kitchen.ok) return issuesAnswer(kitchen.issues.map((i) => ({ ...i, path: ['kitchen', ...i.path] })));

	const asked = {
		meal: meal.value,
		kitchen: kitchen.value,
		techniques: [...withOwn(library, meal.value).values()],
		seed,
		budget
	};
	let outcome: PlanOutcome;
	try {
		outcome = await planInPool({ request: asked, time: deadline }, asker);
	} catch (error) {
		if (error instanceof PoolError) return busyAnswer(error.code);
		throw error;
	}
	switch (outcome.kind) {
		case 'plan':
			return Response.json(outcome.plan);
		case 'issues':
			return issuesAnswer(outcome.issues);
		case 'conflict':
			return problemDetails(422, `This meal cannot be met. ${wordConflict(outcome.conflict).join(' ')}`);
		case 'unknown':
			return unknownAnswer(
				'No plan was found within the budget and the time allowed. Send a larger "budget", fewer parts, or a later service.'
			);
	}
};
