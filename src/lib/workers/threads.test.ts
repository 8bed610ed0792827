// The planner in real threads: jobs go on side by side, and nothing that is said to one is heard by another.
import { proxy, wrap } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { afterAll, beforeAll, describe, expect, test, vi } from 'vitest';
import { library } from '../core/library/library';
import type { Plan } from '../core/model/plan';
import { planMealNow, type PlanRequest } from '../core/plan/plan-meal';
import { demoCases } from '../core/testing/demo-plan';
import { clientOf, type PlannerClient } from './jobs';
import type { Planner } from './protocol';
import source from './testing/planner.thread.ts?thread';

const [supper, brunch] = demoCases;
if (!supper || !brunch) throw new RangeError('no demo');
const request = (demo: typeof supper, budget: number): PlanRequest => ({
	...demo,
	techniques: [...library.values()],
	seed: 1,
	budget
});
const nothing = () => undefined;

let threads: Worker[] = [];
let planners: Planner[] = [];
let client: PlannerClient;

beforeAll(() => {
	const file = join(mkdtempSync(join(tmpdir(), 'juntos-test-')), 'planner.mjs');
	writeFileSync(file, source);
	threads = [new Worker(file), new Worker(file)];
	planners = threads.map((t) => wrap<Planner>(nodeEndpoint(t)) as unknown as Planner);
	client = clientOf(
		planners,
		(answer) => answer,
		(callback) => proxy(callback),
		nothing
	);
});
afterAll(async () => {
	await Promise.all(threads.map((t) => t.terminate()));
});

describe('several jobs at once', () => {
	test('a preview during a plan leaves the plan going, and both end', async () => {
		const spent: number[] = [];
		const plan = client.plan(request(supper, 12_000), (p) => spent.push(p.spent));
		await vi.waitUntil(() => spent.length > 0, { timeout: 60_000 });
		const at = spent.length;
		const preview = await client.preview(request(brunch, 3000));
		expect(preview.kind).toBe('plan');
		const answer = await plan;
		expect(answer.kind).toBe('plan');
		expect(spent.length).toBeGreaterThan(at);
		expect(Math.max(...spent)).toBeGreaterThan(0.5);
	});

	test('plan, what-ifs, slack and a look at something else, all at once, all end with what they find alone', async () => {
		const [alone] = [planMealNow(request(brunch, 4000))];
		if (alone.kind !== 'plan') throw new Error(alone.kind);
		const found: string[] = [];
		const slack: string[] = [];
		const steps = alone.plan.steps.slice(0, 4).map((s) => s.id);
		const [answer, preview] = await Promise.all([
			client.plan(request(brunch, 4000), nothing, 'run'),
			client.preview(request(supper, 2000)),
			client.whatIf(request(brunch, 1000), alone.plan, (w) => found.push(w.id)),
			client.slack(request(brunch, 1000), alone.plan, steps, (s) => slack.push(s.step))
		]);
		expect([answer.kind, preview.kind]).toEqual(['plan', 'plan']);
		if (answer.kind === 'plan') expect(answer.plan.services.every((s) => s.at === s.due)).toBe(true);
		expect(found.length).toBeGreaterThan(5);
		expect(slack).toEqual(steps);
	});
});

describe('a newer request', () => {
	test('takes the place of the older one of its lane, which ends; progress of the old one is not heard', async () => {
		const heard: string[] = [];
		const old = client.plan(request(supper, Infinity), () => heard.push('old'));
		await vi.waitUntil(() => heard.length > 0, { timeout: 60_000 });
		const newer = client.plan(request(brunch, 5000), () => heard.push('new'));
		expect(await old).toEqual({ kind: 'superseded' });
		const at = heard.length;
		const answer = await newer;
		if (answer.kind !== 'plan') throw new Error(answer.kind);
		expect(answer.plan.meal).toBe(brunch.meal.id);
		expect(heard.slice(at)).not.toContain('old');
	});

	test('is not ended by the team of the one before, however often', async () => {
		// Each is asked as soon as the one before has its answer: what that one cancels is its own.
		for (let i = 0; i < 8; i++) {
			const answers = await Promise.all([
				client.plan(request(brunch, 400), nothing),
				new Promise((resolve) => setTimeout(resolve, 5 * i)).then(() =>
					client.plan(request(brunch, 400), nothing, 'run')
				)
			]);
			expect(answers.map((a) => a.kind)).toEqual(['plan', 'plan']);
		}
	});

	test('a new plan, or another rehearsal, ends the rehearsal of the one before; a plan of the run does not', async () => {
		const { plan } = planMealNow(request(supper, 3000)) as { plan: Plan };
		const heard: string[] = [];
		const ask = (name: string, begin: 'hold' | 'early') =>
			client.rehearse(request(supper, 3000), plan, { begin, mishaps: 0 }, () => heard.push(name));
		const first = ask('first', 'hold');
		await vi.waitUntil(() => heard.length > 0, { timeout: 60_000 });
		await client.plan(request(brunch, 400), nothing, 'run');
		const second = ask('second', 'early');
		await first;
		await vi.waitUntil(() => heard.includes('second'), { timeout: 60_000 });
		const at = heard.length;
		const after = client.plan(request(brunch, 400), nothing);
		await second;
		await after;
		expect(heard.slice(heard.indexOf('second'))).not.toContain('first');
		// It ended before it had offered any room.
		expect(heard.length).toBeLessThan(at + 4);
	});

	test('cancelled, it ends; another lane goes on', async () => {
		const table = client.plan(request(supper, Infinity), nothing);
		const run = client.plan(request(brunch, 3000), nothing, 'run');
		client.cancel();
		expect(await table).toEqual({ kind: 'superseded' });
		expect((await run).kind).toBe('plan');
	});
});

test('what is said to a job that is over, or never was, changes nothing', async () => {
	const [planner] = planners;
	const alone = planMealNow(request(brunch, 4000));
	if (!planner || alone.kind !== 'plan') throw new RangeError('no planner');
	await planner.cancel(4711);
	await planner.hear(4711, { format: 'juntos-schedule', version: 1, problem: 'x', status: 'unknown', bound: 1e9 });
	const answer = await client.plan(request(brunch, 4000), nothing);
	const best: Plan | undefined = answer.kind === 'plan' ? answer.plan : undefined;
	expect(best?.bound).toBeLessThan(1e6);
	expect(best?.services).toEqual(alone.plan.services.map((s) => expect.objectContaining({ at: s.at }) as object));
});
