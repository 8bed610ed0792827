// What would help: every gain is a real plan's, and slack is really there.
import { wordChange, wordEffect } from '../../words/advice';
import { expect, test } from 'vitest';
import { library } from '../../library/library';
import { compileDemo, demoCases, planDemo } from '../../testing/demo-plan';
import { solveNow } from '../../testing/solve-now';
import { checkSchedule } from '../check';
import { scheduleOf } from '../compile/schedule-of';
import { slackOf } from '../why/slack';
import { planMealNow } from '../plan-meal';
import { changesFor } from './changes';
import { whatIfs } from './what-if';

const techniques = [...library.values()];

test.each(demoCases.map((demo) => [demo.meal.name, demo] as const))(
	'%s: more of anything never costs more, and what is applied is planned',
	(_, demo) => {
		const plan = planDemo(demo);
		const request = { ...demo, techniques, seed: 1, budget: 1000 };
		const found = [...whatIfs(request, plan)].filter((w) => w !== undefined);
		const more = found.filter((w) => /^(hands|burner|board|vessel|ahead)/.test(w.id));
		expect(more.length).toBeGreaterThan(5);
		for (const what of more) expect(what.after, wordChange(what.what)).toBeLessThanOrEqual(plan.objective);
		expect(new Set(found.map((w) => w.id)).size).toBe(found.length);
		for (const what of found) {
			expect(`${wordChange(what.what)} ${wordEffect(what.effect)}`).not.toMatch(/NaN|undefined/);
			if (what.gain === 0 && what.after === plan.objective) expect(wordEffect(what.effect)).not.toMatch(/less late/);
		}
		for (const kind of ['later', 'oven', 'covers', 'without'])
			expect(
				found.some((w) => w.id.startsWith(kind)),
				kind
			).toBe(true);
		const [change] = changesFor(request, plan);
		const applied = { ...demo, ...change?.apply };
		expect(planMealNow({ ...applied, techniques, seed: 1, budget: 6000 }).kind).toBe('plan');
	}
);

test('a plan and its answer are two forms of one thing', () => {
	for (const demo of demoCases) {
		const plan = planDemo(demo);
		const compiled = compileDemo(demo);
		const answer = { ...scheduleOf(plan, compiled, demo.kitchen), objective: plan.objective };
		expect(checkSchedule(compiled.problem, answer)).toEqual({ violations: [], objective: plan.objective });
	}
});

test.each([20_000, 100_000, 300_000])(
	'a plan of three cooks after %i runs is one of the pooled problem, however its hands were given out',
	(budget) => {
		const larkspur = demoCases[2]!;
		const outcome = planMealNow({ ...larkspur, techniques, seed: 1, budget });
		if (outcome.kind !== 'plan') throw new Error(outcome.kind);
		const { plan } = outcome;
		const { problem, ...rest } = compileDemo(larkspur);
		const answer = { ...scheduleOf(plan, { problem, ...rest }, larkspur.kitchen), objective: plan.objective };
		expect(checkSchedule(problem, answer).violations).toEqual([]);
	}
);

test('a step can be moved by its slack, and by no more where that is proven', () => {
	const [, brunch] = demoCases;
	if (!brunch) throw new RangeError('no demo');
	const plan = planDemo(brunch);
	const compiled = compileDemo(brunch);
	const { problem } = compiled;
	const answer = scheduleOf(plan, compiled, brunch.kitchen);
	const isOnTime = (task: string, by: number) => {
		const tasks = problem.tasks.map((t) => (t.id === task ? { ...t, release: (answer.starts?.[task] ?? 0) + by } : t));
		const { slips } = solveNow({ ...problem, tasks }, { budget: 200_000 });
		return slips !== undefined && Object.values(slips).every((slip) => slip === 0);
	};
	const slacks = ['coffee/grind', 'egg-firm/fry', 'fritters/fry', 'eggs/fry'].map((task) => ({
		task,
		...slackOf(problem, answer, task, 20_000)
	}));
	expect(slacks.some((s) => s.seconds > 0)).toBe(true);
	expect(slacks.some((s) => s.isProven)).toBe(true);
	for (const { task, seconds, isProven } of slacks) {
		expect(isOnTime(task, seconds)).toBe(true);
		if (isProven) expect(isOnTime(task, seconds + 15)).toBe(false);
	}
});
