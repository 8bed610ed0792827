// Why a step is where it is, and how far it could move: against every plan of small problems, one by one.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { bestPlan, bruteForce } from '../../testing/brute-force';
import { demoCases, planDemo } from '../../testing/demo-plan';
import { randomProblem, tiny } from '../../testing/random-problem';
import { solveNow } from '../../testing/solve-now';
import type { Timed } from '../describe/timed';
import type { Problem, Schedule } from '../problem';
import { heldBy } from './held-by';
import { slackOf } from './slack';

const three = { ...tiny, tasks: 3 };
const taken = () => ({ kind: 'hands' }) as const;

/** When a task of an answer ends; none where it is not in it. */
function endOf(problem: Problem, answer: Schedule, task: string): number | undefined {
	const start = answer.starts?.[task];
	const mode = answer.modes?.[task] ?? 0;
	const duration = problem.tasks.find((t) => t.id === task)?.modes[mode]?.duration;
	return start === undefined || duration === undefined ? undefined : start + duration;
}

describe('slack', () => {
	test('is the most that a task may end later with every service unmoved, found by trying all', () => {
		let some = 0;
		fc.assert(
			fc.property(randomProblem(three), fc.nat({ max: 2 }), (drawn, at) => {
				const problem = { ...drawn, tasks: drawn.tasks.map((t) => ({ ...t, ahead: false })) };
				const answer = bestPlan(problem);
				const task = problem.tasks[at % problem.tasks.length]?.id ?? '';
				const end = answer && endOf(problem, answer, task);
				if (!answer || end === undefined) return;
				const slack = slackOf(problem, answer, task, 200_000);
				expect(slack.isProven).toBe(true);
				// The services as they were, and lateness beyond them never worth it.
				const services = problem.services.map((s) => ({ ...s, due: s.due + (answer.slips?.[s.id] ?? 0) }));
				const strict = {
					...problem,
					services,
					weights: { slip: 1, span: 0 },
					serve: problem.serve.map((s) => ({ ...s, rate: 0 })),
					wants: []
				};
				const last = Math.max(...services.map((s) => s.due));
				const ends = problem.tasks
					.find((t) => t.id === task)
					?.modes.flatMap((mode, m) =>
						Array.from({ length: problem.horizon - mode.duration + 1 }, (_, start) => {
							const held = {
								...strict,
								choices: strict.choices.map((c) => ({ ...c, options: c.options.map((o) => ({ ...o, cost: 0 })) })),
								tasks: strict.tasks.map((t) => (t.id === task ? { ...t, fixed: { start, mode: m } } : t))
							};
							return start + mode.duration <= last && bruteForce(held) === 0 ? start + mode.duration : -1;
						})
					);
				expect(end + slack.seconds).toBe(Math.max(end, ...(ends ?? [])));
				if (slack.seconds > 0) some++;
			}),
			{ seed: 21, numRuns: 400 }
		);
		expect(some).toBeGreaterThan(10);
	});

	test('an answer with more work behind it is never told less', () => {
		fc.assert(
			fc.property(randomProblem({ tasks: 5, horizon: 20, longest: 4 }), (problem) => {
				const answer = solveNow(problem, { budget: 20_000 });
				const [task] = Object.keys(answer.starts ?? {});
				if (task === undefined) return;
				const quick = slackOf(problem, answer, task, 50);
				const thorough = slackOf(problem, answer, task, 50_000);
				expect(quick.seconds).toBeGreaterThanOrEqual(0);
				if (thorough.isProven) expect(quick.seconds).toBeLessThanOrEqual(thorough.seconds);
				if (quick.isProven && thorough.isProven) expect(quick.seconds).toBe(thorough.seconds);
			}),
			{ seed: 22, numRuns: 120 }
		);
	});
});

describe('what holds a step', () => {
	/** Tasks of an answer as `heldBy` takes them; a wait only where the task is served. */
	function timedOf(problem: Problem, answer: Schedule): ReadonlyMap<string, Timed> {
		return new Map(
			problem.tasks.flatMap((t) => {
				const start = answer.starts?.[t.id];
				const mode = t.modes[answer.modes?.[t.id] ?? 0];
				if (start === undefined || !mode) return [];
				const end = start + mode.duration;
				const uses = (mode.uses ?? []).map((u) => ({
					resource: u.resource,
					amount: u.amount,
					from: u.from ?? 0,
					to: u.to ?? mode.duration
				}));
				return [
					[t.id, { id: t.id, start, end, uses, ...(mode.state ? { state: mode.state } : {}) } as unknown as Timed]
				];
			})
		);
	}

	test('is a rule of the problem that is tight there', () => {
		const seen = new Set<string>();
		fc.assert(
			fc.property(randomProblem({ tasks: 6, horizon: 24, longest: 5 }), (problem) => {
				const answer = solveNow(problem, { budget: 5000 });
				if (!answer.starts) return;
				const timed = timedOf(problem, answer);
				for (const [id, held] of heldBy(problem, timed, taken)) {
					const task = timed.get(id);
					if (!task) throw new RangeError(id);
					seen.add(held.kind);
					if (held.kind === 'follower') {
						const next = timed.get(held.step);
						const lag = problem.lags.find((l) => l.from === id && l.to === held.step);
						expect((next?.start ?? 0) - task.end).toBe(lag?.min);
					}
					if (held.kind === 'leader') {
						const before = timed.get(held.step);
						expect(problem.lags.some((l) => l.from === held.step && l.max === task.start - (before?.end ?? 0))).toBe(
							true
						);
					}
					if (held.kind === 'rival') {
						expect(held.step).not.toBe(id);
						expect(timed.get(held.step)).toBeDefined();
					}
					if (held.kind === 'oven-changes') {
						const change = timed.get(held.step);
						expect(change?.state?.value).not.toBe(task.state?.value);
						expect(change?.start).toBeGreaterThan(task.start);
					}
				}
			}),
			{ seed: 23, numRuns: 300 }
		);
		for (const kind of ['follower', 'rival', 'leader', 'oven-changes', 'nothing']) expect(seen).toContain(kind);
	});

	test('names steps of the plan, and of a demo meal none is held by itself', () => {
		for (const demo of demoCases) {
			const plan = planDemo(demo, 2000);
			const ids = new Set(plan.steps.map((s) => s.id));
			for (const { id, heldBy: held } of plan.steps) {
				if (!('step' in held)) continue;
				expect(held.step).not.toBe(id);
				expect(ids.has(held.step) || held.step.includes('/')).toBe(true);
			}
		}
	});
});
