// The routes, as a program calls them: the same plan as on screen, and a helpful answer to whatever is wrong.
import { readFile } from 'node:fs/promises';
import { demoKitchens, demoMeals } from '../src/lib/core/library/demo';
import { expect, open, planned, test } from './test';

const [meal] = demoMeals;
const [kitchen] = demoKitchens;
const example = async () => JSON.parse(await readFile('problems/example.json', 'utf8')) as Record<string, unknown>;

test('the plan on screen is the plan of the route', async ({ page, request }) => {
	await open(page, '/menu');
	await page.getByRole('button', { name: 'People: less' }).click();
	await planned(page);
	const answer = await request.post('/api/plan', { data: { meal: { ...meal, covers: 5 }, kitchen } });
	expect(answer.ok()).toBe(true);
	const plan = (await answer.json()) as { steps: { id: string; say: string; from: number; to: number }[] };
	await open(page, '/plan');
	await planned(page);
	const shown = await page
		.locator('[data-step]')
		.evaluateAll((list) =>
			list.map((x) => [
				x.getAttribute('data-step'),
				/: (\d\d:\d\d) to (\d\d:\d\d)/.exec(x.getAttribute('aria-label') ?? '')?.slice(1)
			])
		);
	const two = (n: number) => String(n).padStart(2, '0');
	const clock = (t: number) => `${two(Math.floor(t / 3600))}:${two(Math.floor((t % 3600) / 60))}`;
	expect(shown).toEqual(plan.steps.map((s) => [s.id, [clock(s.from), clock(s.to)]]));
});

test('a problem is solved to its proven optimum', async ({ request }) => {
	const answer = await request.post('/api/solve', { data: await example() });
	expect(await answer.json()).toMatchObject({ status: 'optimal', objective: 2580 });
});

test('improvements come line by line where NDJSON is accepted', async ({ request }) => {
	const answer = await request.post('/api/solve?seconds=5', {
		data: JSON.parse(await readFile('problems/solo-supper-1.json', 'utf8')) as object,
		headers: { accept: 'application/x-ndjson' }
	});
	const lines = (await answer.text())
		.trim()
		.split('\n')
		.map((line) => JSON.parse(line) as { status: string; objective: number });
	expect(lines.length).toBeGreaterThan(1);
	const objectives = lines.map((l) => l.objective);
	expect(objectives).toEqual(objectives.toSorted((a, b) => b - a));
	expect(lines.at(-1)).toMatchObject({ status: 'optimal', objective: 4365 });
});

for (const [name, path, options, status, words] of [
	[
		'text that is not JSON',
		'/api/plan',
		{ data: Buffer.from('{"meal":'), headers: { 'content-type': 'application/json' } },
		400,
		'not JSON'
	],
	[
		'another content type',
		'/api/plan',
		{ data: '<meal/>', headers: { 'content-type': 'application/xml' } },
		415,
		'application/json'
	],
	[
		'a meal without people',
		'/api/plan',
		{ data: { meal: { ...meal, covers: 0 }, kitchen } },
		422,
		'meal.covers: must be at least 1'
	],
	['a newer meal', '/api/plan', { data: { meal: { ...meal, version: 3 } } }, 422, 'newer Juntos'],
	['an unknown kitchen', '/api/plan', { data: { meal: { ...meal, kitchen: 'nowhere' } } }, 422, 'kitchen'],
	['a problem that is none', '/api/solve', { data: { format: 'juntos-problem' } }, 422, 'horizon'],
	['a rehearsal without a plan', '/api/rehearse', { data: { problem: {}, runs: 10 } }, 422, 'schedule'],
	['seconds beyond the limit', '/api/solve?seconds=900', { data: {} }, 400, 'at most 60'],
	['a body beyond the limit', '/api/solve', { data: { name: 'x'.repeat(1_600_000) } }, 413, 'at most'],
	['a body far beyond the limit', '/api/solve', { data: { name: 'x'.repeat(2_600_000) } }, 413, 'at most']
] as const) {
	test(`${name} is answered with problem details, and the server stays up`, async ({ request }) => {
		const answer = await request.post(path, options);
		expect(answer.status()).toBe(status);
		expect(answer.headers()['content-type']).toBe('application/problem+json');
		const body = (await answer.json()) as {
			detail: string;
			status: number;
			errors?: { field: string; detail: string }[];
		};
		expect(body.status).toBe(status);
		expect([body.detail, ...(body.errors ?? []).map((e) => e.detail)].join('\n')).toContain(words);
		expect((await request.get('/plan')).ok()).toBe(true);
	});
}

test('a plan is rehearsed, at once or line by line, the last line the whole', async ({ request }) => {
	const problem = await example();
	const schedule = (await (await request.post('/api/solve', { data: problem })).json()) as { starts: object };
	const durations = Object.fromEntries(Object.keys(schedule.starts).map((id) => [id, { mu: 6, sigma: 0.3 }]));
	const data = { problem, schedule, durations, runs: 3000, seed: 2 };
	const whole = (await (await request.post('/api/rehearse', { data })).json()) as {
		runs: number;
		services: Record<string, { on_time: number; slip_s: { p50: number } }>;
		tasks: Record<string, { critical: number }>;
	};
	expect(whole.runs).toBe(3000);
	expect(Object.keys(whole.tasks)).toEqual(Object.keys(schedule.starts));
	const headers = { accept: 'application/x-ndjson' };
	const text = await (await request.post('/api/rehearse', { data, headers })).text();
	const lines = text
		.trim()
		.split('\n')
		.map((l) => JSON.parse(l) as typeof whole);
	expect(lines.map((l) => l.runs)).toEqual(lines.map((l) => l.runs).toSorted((a, b) => a - b));
	expect(lines.length).toBeGreaterThan(1);
	expect(lines.at(-1)?.services).toEqual(whole.services);
});

test('an infeasible problem is an answer, with a conflict', async ({ request }) => {
	const problem = { ...(await example()), horizon: 1000 };
	const answer = (await (await request.post('/api/solve', { data: problem })).json()) as {
		status: string;
		conflict: string[];
	};
	expect(answer.status).toBe('infeasible');
	expect(answer.conflict.length).toBeGreaterThan(0);
});

test('every format publishes its schema, and an unknown one lists those there are', async ({ request }) => {
	for (const name of ['file', 'meal', 'kitchen', 'technique', 'plan', 'run', 'problem', 'schedule']) {
		const schema = (await (await request.get(`/api/schema/${name}.json`)).json()) as {
			type: string;
			properties: object;
		};
		expect(schema.type).toBe('object');
		expect(Object.keys(schema.properties).length).toBeGreaterThan(2);
	}
	const unknown = await request.get('/api/schema/soup.json');
	expect(unknown.status()).toBe(404);
	expect(await unknown.text()).toContain('meal.json');
});

test('a probe that plays tells its readings as server-sent events; what is wrong with a question is said', async ({
	page,
	request
}) => {
	const food = {
		body: { shape: 'cylinder', diameter_mm: 80, k_w_mk: 0.47, alpha_m2_s: 1.3e-7 },
		t0_c: 5,
		medium: 'oven',
		film: { h_w_m2k: 20, tinf_c: 140 }
	};
	await page.goto('/bench');
	const query = new URLSearchParams({ food: JSON.stringify(food), seed: '4', speed: '60', from: '600' });
	const readings = await page.evaluate(
		(path) =>
			new Promise<{ seconds: number; celsius: number }[]>((resolve, reject) => {
				const all: { seconds: number; celsius: number }[] = [];
				const source = new EventSource(path);
				source.addEventListener('reading', (event) => {
					all.push(JSON.parse(String(event.data)) as (typeof all)[number]);
					if (all.length < 12) return;
					source.close();
					resolve(all);
				});
				source.onerror = () => {
					reject(new Error('no connection'));
				};
			}),
		`/api/probe?${query}`
	);
	expect(readings[0]!.seconds).toBeGreaterThanOrEqual(600);
	const times = readings.map((r) => r.seconds);
	expect(times).toEqual(times.toSorted((a, b) => a - b));
	for (const r of readings) expect(r.celsius).toBeGreaterThan(-15);
	const bad = await request.get(`/api/probe?food=${encodeURIComponent('{"medium":"stove"}')}`);
	expect(bad.status()).toBe(422);
	expect(await bad.text()).toMatch(/food/);
	expect((await request.get('/api/probe?food=nonsense')).status()).toBe(400);
});
