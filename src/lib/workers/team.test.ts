// A team of searches: as good as its first member alone, and told by all what each has found.
import { setImmediate } from 'node:timers/promises';
import { expect, test } from 'vitest';
import { library } from '../core/library/library';
import { planMeal, planMealNow, type PlanProgress, type PlanRequest } from '../core/plan/plan-meal';
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
		async plan(_, request, onProgress) {
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
		hear(_, answer) {
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
	const answer = await planTogether([member()], 1, request(supper, 4000), () => undefined);
	const alone = planMealNow(request(supper, 4000));
	expect(answer).toEqual(alone);
});

test('what one finds the others hear, only ever better, and the best is the answer', async () => {
	const members = [member(), member(), member()];
	const objectives: number[] = [];
	const answer = await planTogether(members, 1, request(supper, 40_000), ({ plan }) => {
		if (plan) objectives.push(plan.objective);
	});
	if (answer.kind !== 'plan') throw new Error(answer.kind);
	expect(objectives).toEqual(objectives.toSorted((a, b) => b - a));
	expect(answer.plan.objective).toBeLessThanOrEqual(Math.min(...objectives));
	for (const { heard } of members) expect(heard.length).toBeGreaterThan(0);
});

test('a proof of one ends the work of all', async () => {
	const members = [member(), member()];
	const answer = await planTogether(members, 1, request(brunch, Infinity), () => undefined);
	const alone = planMealNow(request(brunch, Infinity));
	if (answer.kind !== 'plan' || alone.kind !== 'plan') throw new Error(answer.kind);
	expect(answer.plan).toMatchObject({ status: 'optimal', objective: alone.plan.objective });
});

test('what a member says when the team is over is not heard', async () => {
	const late = member();
	let tell: ((progress: PlanProgress) => void) | undefined;
	const slow: Member = {
		...late,
		plan(job, request, onProgress) {
			tell = onProgress;
			return new Promise(() => [job, request]);
		}
	};
	const heard: number[] = [];
	const answer = await planTogether([member(), slow], 7, request(brunch, 2000), ({ spent }) => heard.push(spent));
	const at = heard.length;
	if (answer.kind !== 'plan' || !tell) throw new Error(answer.kind);
	tell({
		plan: { ...answer.plan, objective: 0 },
		answer: { format: 'juntos-schedule', version: 1, problem: '', status: 'feasible' },
		spent: 1
	});
	expect(heard).toHaveLength(at);
});

test('each job is cancelled by its own number, and no other', async () => {
	const cancelled: number[] = [];
	const counting: Member = { ...member(), cancel: (job) => void cancelled.push(job) };
	await planTogether([counting, counting], 31, request(brunch, 300), () => undefined);
	expect(new Set(cancelled)).toEqual(new Set([31]));
});
