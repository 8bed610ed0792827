// Replanning in the middle of the work: what has begun stays, nothing is planned into the past, and little else moves.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { library } from '../library/library';
import { beginRun, standingOf, viewRun, withEvent, type Run } from '../run/run';
import { compileDemo, demoCases, planDemo } from '../testing/demo-plan';
import { solveNow } from '../testing/solve-now';
import { checkSchedule } from './check';
import { scheduleOf } from './explain/schedule-of';
import { planMealNow } from './plan-meal';
import { cures } from './what-if/cures';
import { withBegun } from './replan';

const plans = demoCases.map((demo) => ({ demo, plan: planDemo(demo, 3000) }));

/** A run in which everything due was done when it was due, until a clock time. */
function runUntil(plan: (typeof plans)[number]['plan'], clock: number): Run {
	let run = beginRun(plan);
	for (let cue = viewRun(run, clock).now[0]; cue; cue = viewRun(run, clock).now[0]) {
		run = withEvent(run, { kind: 'done', cue: cue.id, at: cue.at });
	}
	return run;
}

const anyMoment = fc
	.tuple(fc.constantFrom(...plans), fc.integer({ min: 5, max: 90 }), fc.nat(), fc.integer({ min: -2, max: 4 }))
	.map(([{ demo, plan }, share, n, minutes]) => {
		const clock = Math.round(plan.from + ((plan.to - plan.from) * share) / 100);
		const run = runUntil(plan, clock);
		const { on } = viewRun(run, clock);
		const step = on[n % Math.max(1, on.length)]?.step.id;
		const stretched =
			step === undefined || minutes === 0
				? run
				: withEvent(run, { kind: 'stretch', step, seconds: 60 * minutes, at: clock });
		return { demo, standing: standingOf(stretched, clock) };
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
			const differ = outcome.plan.steps.filter((s) => s.from !== before.get(s.id) && !begun.has(s.id)).map((s) => s.id);
			expect(outcome.moved).toEqual(expect.arrayContaining(differ));
		}),
		{ numRuns: 40, seed: 83 }
	);
	expect(planned).toBeGreaterThan(25);
});

test('its answer passes the plain rules of what is left to do', () => {
	let kept = 0;
	fc.assert(
		fc.property(anyMoment, ({ demo, standing }) => {
			const compiled = compileDemo(demo);
			const previous = scheduleOf(standing.plan, compiled, demo.kitchen);
			const { problem } = withBegun(compiled, previous, standing);
			const answer = solveNow(problem, { previous, budget: 800, infeasible: 'say' });
			if (answer.status === 'infeasible') return;
			kept++;
			expect(checkSchedule(problem, answer).violations).toEqual([]);
		}),
		{ numRuns: 30, seed: 89 }
	);
	expect(kept).toBeGreaterThan(20);
});

test('where a promise cannot be kept any more, a plan that breaks one is found', () => {
	let broken = 0;
	fc.assert(
		fc.property(anyMoment, ({ demo, standing }) => {
			const request = { ...demo, techniques: [...library.values()], seed: 1, budget: 600, standing };
			if (planMealNow(request).kind !== 'conflict') return;
			broken++;
			const [cure] = [...cures(request)].filter((c) => c !== undefined);
			expect(cure?.plan.from).toBeDefined();
		}),
		{ numRuns: 90, seed: 97 }
	);
	expect(broken).toBeGreaterThan(0);
});

test('where life goes by the plan, nothing that lies ahead has to move', () => {
	for (const { demo, plan } of plans) {
		const clock = Math.round((plan.from + plan.to) / 2);
		const standing = standingOf(runUntil(plan, clock), clock);
		const outcome = planMealNow({ ...demo, techniques: [...library.values()], seed: 1, budget: 400, standing });
		expect(outcome.kind).toBe('plan');
		if (outcome.kind === 'plan') expect(outcome.plan.objective).toBeLessThanOrEqual(plan.objective);
	}
});
