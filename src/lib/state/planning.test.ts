// @vitest-environment ./src/lib/state/testing/client-environment.ts
// The plan of what is on the table: the newest request alone counts, trouble is said in the cook's units, nothing hangs.
import { describe, expect, test } from 'vitest';
import { withCovers } from '../core/model/edit-meal';
import { library } from '../core/library/library';
import { demoCases, planDemo } from '../core/testing/demo-plan';
import type { PlanOutcome } from '../core/plan/plan-meal';
import type { Measure } from '../core/units/amount';
import { Planning } from './planning.svelte';
import { fakePlanner, until } from './testing/fakes';

const [supper] = demoCases as [(typeof demoCases)[number]];
const demo = planDemo(supper, 2000);
const what = { ...supper, techniques: [...library.values()] };
const forPeople = (covers: number) => ({ ...what, meal: withCovers(supper.meal, covers) });

function planning(measure: () => Measure = () => 'metric') {
	const planner = fakePlanner();
	return { planner, planning: new Planning(demo, measure, () => planner) };
}

test('a plan is taken as it comes; while it is sought the one before is shown as not current', async () => {
	const { planner, planning: p } = planning();
	planner.answers = [
		async (request) => (
			await until(() => true),
			{ kind: 'plan', plan: { ...demo, covers: request.meal.covers }, moved: [], overruns: [] }
		)
	];
	const asked = p.ask(forPeople(3));
	expect([p.isCurrent, p.isWorking, p.plan.covers]).toEqual([false, true, 6]);
	await asked;
	expect([p.isCurrent, p.isWorking, p.plan.covers]).toEqual([true, false, 3]);
	expect(p.problems).toEqual([]);
});

test('of several requests the newest alone counts, in whatever order they are answered', async () => {
	const { planner, planning: p } = planning();
	const answers: ((outcome: PlanOutcome) => void)[] = [];
	const later = () => new Promise<PlanOutcome>((resolve) => answers.push(resolve));
	planner.answers = [later, later];
	const [old, newest] = [p.ask(forPeople(2)), p.ask(forPeople(4))];
	await until(() => answers.length === 2);
	answers[1]!({ kind: 'plan', plan: { ...demo, covers: 4 }, moved: [], overruns: [] });
	await newest;
	answers[0]!({ kind: 'plan', plan: { ...demo, covers: 2 }, moved: [], overruns: [] });
	await old;
	expect([p.plan.covers, p.isCurrent, p.isWorking]).toEqual([4, true, false]);
});

describe('trouble', () => {
	test.each([
		[
			'what the kitchen lacks',
			{
				kind: 'issues',
				issues: [
					{
						code: 'missing-station',
						path: ['parts', 0],
						part: 'Gratin',
						step: 'Bake',
						need: { kind: 'station', station: 'oven', settings: [170, 200], racks: 1 }
					}
				]
			},
			/an oven for 340 to 390 °F/
		],
		[
			'a conflict',
			{ kind: 'conflict', conflict: { steps: [{ say: 'Sear at 220 °C', part: 'Duck' }], shared: [], courses: [] } },
			/“Sear at 430 °F” \(Duck\)/
		],
		['nothing found', { kind: 'unknown' }, /No plan was found in the time allowed/]
	] satisfies [string, PlanOutcome, RegExp][])('%s is said, in the cook’s units', async (_, outcome, words) => {
		const { planner, planning: p } = planning(() => 'us');
		planner.answers = [() => outcome];
		await p.ask(what);
		expect(p.problems.join(' ')).toMatch(words);
		expect(p.problems.join(' ')).not.toContain('°C');
		expect(p.isWorking).toBe(false);
	});

	test('the same reason twice is said once', async () => {
		const { planner, planning: p } = planning();
		const issue = { code: 'missing-vessel', path: ['parts', 0], part: 'Duck', vessel: 'tray' } as const;
		planner.answers = [() => ({ kind: 'issues', issues: [issue, { ...issue, path: ['parts', 1] }] })];
		await p.ask(what);
		expect(p.problems).toHaveLength(1);
	});

	test('a planner that is gone is said, closed, and started anew for the next request', async () => {
		const started: ReturnType<typeof fakePlanner>[] = [];
		const p = new Planning(
			demo,
			() => 'metric',
			() => {
				const planner = fakePlanner();
				started.push(planner);
				return planner;
			}
		);
		await p.ask(forPeople(2));
		started[0]!.answers = [() => Promise.reject(new Error('The planner stopped.'))];
		await p.ask(forPeople(3));
		expect(p.problems).toEqual(['The planner stopped.']);
		expect(started[0]!.isClosed).toBe(true);
		await p.ask(forPeople(4));
		expect([started.length, p.plan.covers, p.problems]).toEqual([2, 4, []]);
	});

	test('stopped, it looks no further, and what comes late is not heard', async () => {
		const { planner, planning: p } = planning();
		let answer: (outcome: PlanOutcome) => void = () => undefined;
		planner.answers = [() => new Promise((resolve) => (answer = resolve))];
		const asked = p.ask(forPeople(9));
		p.stop();
		expect(p.isWorking).toBe(false);
		answer({ kind: 'plan', plan: { ...demo, covers: 9 }, moved: [], overruns: [] });
		await asked;
		expect(p.plan.covers).toBe(6);
		p.close();
		expect(planner.isClosed).toBe(true);
	});
});

describe('beside the plan on the table', () => {
	test('a look at something else changes nothing, and says what it lacks', async () => {
		const { planning: p } = planning();
		const found = await p.preview(forPeople(2));
		expect('steps' in found && found.covers).toBe(2);
		expect([p.plan.covers, p.isCurrent]).toEqual([6, true]);
		const none = await p.preview({ ...what, meal: { ...supper.meal, parts: [] } });
		expect(none).toEqual([expect.stringContaining('nothing to cook')]);
	});

	test('the rest of an evening is planned in a lane of its own, and what is on the table stays', async () => {
		const { planner, planning: p } = planning();
		const standing = { plan: demo, now: demo.from, begun: [] };
		const plans: number[] = [];
		const trouble = await p.replan(what, standing, (plan) => plans.push(plan.objective));
		expect(trouble).toBeUndefined();
		expect(plans.length).toBeGreaterThan(0);
		expect(planner.asked.at(-1)?.standing).toBe(standing);
		expect(p.plan).toBe(demo);
	});

	test('where nothing keeps every promise, it says so', async () => {
		const { planner, planning: p } = planning();
		planner.answers = [() => ({ kind: 'unknown' })];
		expect(await p.replan(what, { plan: demo, now: demo.from, begun: [] }, () => undefined)).toBe(
			'No plan keeps everything any more: go by the clock.'
		);
		planner.answers = [() => Promise.reject(new Error('gone'))];
		expect(await p.replan(what, { plan: demo, now: demo.from, begun: [] }, () => undefined)).toBe('gone');
	});

	test('cures and what-ifs come with words, in the cook’s units, the best first', async () => {
		const { planner, planning: p } = planning(() => 'us');
		planner.answers = [() => ({ kind: 'unknown' })];
		planner.cures = (_, onFound) => {
			onFound({ id: 'a', breaks: 'service', breach: { kind: 'service', by: 600 }, plan: demo });
			return Promise.resolve();
		};
		await p.ask(what);
		expect(p.cures.map((c) => c.say)).toEqual(['serve 10 min later']);
		const effect = { late: 0, waiting: -120, begins: { before: demo.from, after: demo.from } };
		planner.whatIf = (_, __, onFound) => {
			for (const [gain, setting] of [
				[5, 180],
				[50, 200]
			] as const)
				onFound({
					id: `${gain}`,
					what: { kind: 'oven', part: 'Gratin', setting, instead: 170 },
					gain,
					after: 0,
					effect
				});
			return Promise.resolve();
		};
		await p.tryOut(what);
		expect(p.whatIfs?.map((w) => w.gain)).toEqual([50, 5]);
		expect(p.whatIfs?.[0]?.say).toBe('gratin in the oven at 390 °F instead of 340 °F');
		expect(p.whatIfs?.[0]?.wordedEffect).toMatch(/2 min less waiting/);
	});

	test('slack is told step by step, the wanted ones first', async () => {
		const { planner, planning: p } = planning();
		const [wanted] = demo.steps.slice(-1);
		let steps: readonly string[] = [];
		planner.slack = (_, __, list, onFound) => {
			steps = list;
			onFound({ step: list[0]!, seconds: 90, isProven: true });
			return Promise.resolve();
		};
		await p.measureSlack(what, [wanted!.id]);
		expect(steps[0]).toBe(wanted!.id);
		expect(new Set(steps).size).toBe(demo.steps.length);
		expect(p.slack[wanted!.id]).toMatchObject({ seconds: 90 });
	});
});
