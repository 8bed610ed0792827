// A team of searches: as good as its first member alone, and told by all what each has found.
import { setImmediate } from 'node:timers/promises';
import { expect, test } from 'vitest';
import { library } from '../core/library/library';
import { planMeal, planMealNow, type PlanRequest } from '../core/plan/plan-meal';
import type { Schedule } from '../core/plan/problem';
import { demoCases } from '../core/testing/demo-plan';
import { planTogether, type Member } from './team';

interface Heard extends Member {
	readonly heard: Schedule[];
}

/** What the worker does, on this thread. */
function member(): Heard {
	const heard: Schedule[] = [];
	let news: Schedule | undefined;
	let isCancelled = false;
	return {
		heard,
		async plan(request, onProgress) {
			const search = planMeal(request);
			for (;;) {
				await setImmediate();
				if (isCancelled) return { kind: 'superseded' };
				const step = search.next(news);
				news = undefined;
				if (step.done) return step.value;
				onProgress(step.value);
			}
		},
		hear(answer) {
			heard.push(answer);
			news = answer;
		},
		cancel() {
			isCancelled = true;
		}
	};
}

const [supper, brunch] = demoCases;
if (!supper || !brunch) throw new RangeError('no demo');
const request = (demo: typeof supper, budget: number): PlanRequest => ({
	...demo,
	techniques: [...library.values()],
	seed: 1,
	budget
});

test('one alone plans as without a team', async () => {
	const answer = await planTogether([member()], request(supper, 4000), () => undefined);
	const alone = planMealNow(request(supper, 4000));
	expect(answer).toEqual(alone);
});

test('what one finds the others hear, only ever better, and the best is the answer', async () => {
	const members = [member(), member(), member()];
	const objectives: number[] = [];
	const answer = await planTogether(members, request(supper, 8000), ({ plan }) => {
		if (plan) objectives.push(plan.objective);
	});
	if (answer.kind !== 'plan') throw new Error(answer.kind);
	expect(objectives).toEqual(objectives.toSorted((a, b) => b - a));
	expect(answer.plan.objective).toBeLessThanOrEqual(Math.min(...objectives));
	for (const { heard } of members) expect(heard.length).toBeGreaterThan(0);
});

test('a proof of one ends the work of all', async () => {
	const members = [member(), member()];
	const answer = await planTogether(members, request(brunch, Infinity), () => undefined);
	const alone = planMealNow(request(brunch, Infinity));
	if (answer.kind !== 'plan' || alone.kind !== 'plan') throw new Error(answer.kind);
	expect(answer.plan).toMatchObject({ status: 'optimal', objective: alone.plan.objective });
});
