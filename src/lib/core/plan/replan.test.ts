// Replanning in the middle of the work: what has begun stays, nothing is planned into the past, and little else moves.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { library } from '../library/library';
import { instantAt } from '../run/events';
import { cuesOf } from '../run/cues';
import { standingOf, viewRun } from '../run/view';
import { doneAt, runOf, runUntil, withEvent } from '../testing/some-run';
import { everything, mealOf } from '../testing/library-meal';
import { withBase, withFinishing } from '../model/edit-meal';
import { compileDemo, demoCases, planDemo, type DemoCase } from '../testing/demo-plan';
import { solveNow } from '../testing/solve-now';
import { checkSchedule } from './check';
import { grid } from './grid';
import { scheduleOf } from './compile/schedule-of';
import { planMealNow } from './plan-meal';
import { compileMeal } from './compile/compile';
import { compileOnce } from './compile/once';
import { withFacts } from './replan';

/** What is tied in other ways than the demo meals' parts: a shared tray, a dressing and a stack, a live fire in two heats. */
const garden = {
	...everything,
	stations: everything.stations.map((s) => (s.kind === 'grill' ? { ...s, fuel: 'charcoal' as const } : s))
};
const tied: readonly DemoCase[] = [
	{
		meal: mealOf([
			{ technique: 'carrots-roast' },
			{ technique: 'onions-roast', trayOf: 'p0' },
			{ technique: 'potatoes-roast' },
			{ technique: 'chicken-breast-pan' }
		]),
		kitchen: everything
	},
	{
		meal: withBase(
			withFinishing(
				mealOf([{ technique: 'salmon-pan' }, { technique: 'leeks-steam' }, { technique: 'vinaigrette' }], 2),
				'p2',
				'p1'
			),
			'p0',
			'p1'
		),
		kitchen: everything
	},
	{ meal: mealOf([{ technique: 'steak-grill' }, { technique: 'chicken-thighs-grill' }]), kitchen: garden }
];
const plans = [...demoCases, ...tied].map((demo) => ({ demo, plan: planDemo(demo, 3000) }));

const anyMoment = fc
	.tuple(fc.constantFrom(...plans), fc.integer({ min: 5, max: 90 }), fc.nat(), fc.integer({ min: -2, max: 4 }))
	.map(([{ demo, plan }, share, n, minutes]) => {
		const clock = Math.round(plan.from + ((plan.to - plan.from) * share) / 100);
		const run = runUntil(runOf(plan), clock);
		const at = instantAt(run, clock);
		const { on } = viewRun(run, at);
		const step = on[n % Math.max(1, on.length)]?.step.id;
		const stretched =
			step === undefined || minutes === 0 ? run : withEvent(run, { kind: 'late', step, seconds: 60 * minutes }, at);
		return { demo, standing: standingOf(stretched, at) };
	});

test('a replan keeps what has begun, plans nothing into the past, and says what it moved', () => {
	let planned = 0;
	fc.assert(
		fc.property(anyMoment, ({ demo, standing }) => {
			const request = { ...demo, techniques: [...library.values()], seed: 1, budget: 1500, standing };
			const outcome = planMealNow(request);
			if (outcome.kind !== 'plan') return;
			planned++;
			const begun = new Map(standing.begun.map((b) => [b.step, b]));
			for (const step of outcome.plan.steps) {
				const known = begun.get(step.id);
				if (!known) expect(step.from, step.id).toBeGreaterThanOrEqual(standing.now);
				else {
					expect(Math.abs(step.from - known.from), step.id).toBeLessThan(15);
					expect(Math.abs(step.to - known.to), step.id).toBeLessThanOrEqual(15);
				}
			}
			const before = new Map(standing.plan.steps.map((s) => [s.id, s.from]));
			const differ = outcome.plan.steps
				.filter((s) => Math.abs(s.from - (before.get(s.id) ?? -Infinity)) >= grid && !begun.has(s.id))
				.map((s) => s.id);
			expect(outcome.moved).toEqual(expect.arrayContaining(differ));
		}),
		{ numRuns: 70, seed: 83 }
	);
	expect(planned).toBeGreaterThan(45);
});

test('its answer passes the plain rules of what is left to do', () => {
	let kept = 0;
	fc.assert(
		fc.property(anyMoment, ({ demo, standing }) => {
			const compiled = compileDemo(demo);
			const previous = scheduleOf(standing.plan, compiled, demo.kitchen);
			const { problem } = withFacts(compiled, previous, standing);
			const answer = solveNow(problem, { previous, budget: 800, infeasible: 'say' });
			if (answer.status === 'infeasible') return;
			kept++;
			expect(checkSchedule(problem, answer).violations).toEqual([]);
		}),
		{ numRuns: 60, seed: 89 }
	);
	expect(kept).toBeGreaterThan(40);
});

test('there is always a plan: what is on and cannot be taken up in time is late by as little as can be, and named', () => {
	let over = 0;
	fc.assert(
		fc.property(anyMoment, ({ demo, standing }) => {
			const request = { ...demo, techniques: [...library.values()], seed: 1, budget: 20_000, standing };
			const outcome = planMealNow(request);
			if (outcome.kind !== 'plan') throw new Error(`${demo.meal.name} at ${standing.now}: ${outcome.kind}`);
			for (const { step, seconds } of outcome.overruns) {
				over++;
				expect(seconds).toBeGreaterThan(0);
				expect(standing.begun.some((b) => b.step === step)).toBe(false);
				expect(outcome.plan.steps.some((s) => s.id === step)).toBe(true);
			}
		}),
		{ numRuns: 60, seed: 97 }
	);
	expect(over).toBeGreaterThan(0);
});

test('the same meal compiled again is the same, and what is changed is not', () => {
	for (const demo of demoCases) {
		const problemOf = (read: ReturnType<typeof compileMeal>) => (read.ok ? read.value.problem : read.issues);
		const once = (meal = demo.meal) => compileOnce(meal, demo.kitchen, library, 'pooled');
		expect(once()).toBe(once());
		expect(problemOf(once())).toEqual(problemOf(compileMeal(demo.meal, demo.kitchen, library, 'pooled')));
		expect(problemOf(once({ ...demo.meal, covers: 9 }))).not.toEqual(problemOf(once()));
	}
});

test('where life goes by the plan, nothing that lies ahead has to move', () => {
	for (const { demo, plan } of plans) {
		const clock = Math.round((plan.from + plan.to) / 2);
		const run = runUntil(runOf(plan), clock);
		const standing = standingOf(run, instantAt(run, clock));
		const outcome = planMealNow({ ...demo, techniques: [...library.values()], seed: 1, budget: 3000, standing });
		expect(outcome.kind).toBe('plan');
		// What has begun is settled on the grid of times, to the next step of it.
		if (outcome.kind === 'plan') expect(outcome.plan.objective).toBeLessThan(plan.objective + grid);
	}
});

test('one forgotten tap, whichever it is, makes no conflict: all resources are settled from the facts', () => {
	let tried = 0;
	const failed: string[] = [];
	for (const { demo, plan } of plans) {
		const cues = cuesOf(plan).filter((c) => c.kind !== 'oven' && c.step !== undefined);
		for (let n = 0; n < cues.length; n += 3) {
			const forgotten = cues[n]!;
			// A few minutes after the tap was due everything else has been done.
			const clock = Math.min(plan.to - 60, doneAt(plan, forgotten) + 300);
			const run = cuesOf(plan)
				.filter((c) => c.id !== forgotten.id && doneAt(plan, c) <= clock)
				.toSorted((a, b) => doneAt(plan, a) - doneAt(plan, b))
				.reduce((r, c) => withEvent(r, { kind: 'done', cue: c.id }, instantAt(r, doneAt(plan, c))), runOf(plan));
			const standing = standingOf(run, instantAt(run, clock));
			const request = { ...demo, techniques: [...library.values()], seed: 1, budget: 3000, standing };
			tried++;
			const outcome = planMealNow(request);
			if (outcome.kind === 'issues') throw new Error(JSON.stringify(outcome));
			if (outcome.kind === 'conflict') failed.push(`${plan.name}: ${forgotten.id}`);
		}
	}
	expect(tried).toBeGreaterThan(40);
	expect(failed, `of ${tried}`).toEqual([]);
});

test('what is under way takes no more than there is, and an oven is as hot as what was put in last', () => {
	fc.assert(
		fc.property(anyMoment, ({ demo, standing }) => {
			const compiled = compileDemo(demo);
			const { problem } = withFacts(compiled, scheduleOf(standing.plan, compiled, demo.kitchen), standing);
			const fixed = problem.tasks.filter((t) => t.fixed);
			for (const { id, capacity } of problem.resources) {
				const uses = fixed.flatMap((t) =>
					(t.modes[t.fixed!.mode]?.uses ?? [])
						.filter((u) => u.resource === id)
						.map((u) => ({
							from: t.fixed!.start + (u.from ?? 0),
							to: t.fixed!.start + (u.to ?? t.modes[t.fixed!.mode]!.duration),
							amount: u.amount
						}))
				);
				const now = standing.now - compiled.trace.origin;
				for (const at of [now + 15, ...uses.map((u) => u.from)].filter((t) => t > now)) {
					const load = uses.reduce((sum, u) => (u.from <= at && at < u.to ? sum + u.amount : sum), 0);
					expect(load, id).toBeLessThanOrEqual(capacity);
				}
			}
			for (const { id, initial } of problem.states) {
				const values = fixed.flatMap((t) =>
					t.modes[t.fixed!.mode]?.state?.id === id ? [t.modes[t.fixed!.mode]!.state!.value] : []
				);
				expect(values.every((v) => v === initial)).toBe(true);
			}
		}),
		{ numRuns: 60, seed: 101 }
	);
});
