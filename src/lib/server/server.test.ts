// What the routes share: bodies within limits, problem details with place and mend, searches in threads.
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { readProblem } from '../core/plan/problem';
import { solveNow } from '../core/testing/solve-now';
import { library } from '../core/library/library';
import type { Schedule } from '../core/plan/problem';
import { demoCases } from '../core/testing/demo-plan';
import { FairQueue } from './fair-queue';
import { asLines } from './lines';
import { telling } from './telling';
import { answering, readCase } from '../core/rehearse/cases';
import { planInPool, PoolError, rehearseInPool, solveInPool } from './pool';
import { asProblem, busyAnswer, issuesAnswer, problemDetails } from './problem-details';
import { readBody } from './read-body';

const post = (body: string, type = 'application/json') =>
	new Request('http://kitchen/', { method: 'POST', body, headers: { 'content-type': type } });

test('a JSON body is read', async () => {
	expect(await readBody(post('{"a":[1]}'))).toEqual({ data: { a: [1] } });
	expect(await readBody(post('{"a":[1]}', 'application/problem+json; charset=utf-8'))).toEqual({ data: { a: [1] } });
});

test.each([
	['another type', post('<a/>', 'text/xml'), 415],
	['broken JSON', post('{"a":'), 400],
	['too much', post(`"${'x'.repeat(1_600_000)}"`), 413]
])('%s is answered with problem details', async (_, request, status) => {
	const read = await readBody(request);
	if (!('answer' in read)) throw new Error('it was read');
	expect(read.answer.status).toBe(status);
	expect(read.answer.headers.get('content-type')).toBe('application/problem+json');
	expect(((await read.answer.json()) as { detail: string }).detail.length).toBeGreaterThan(20);
});

test('issues are listed with their fields', async () => {
	const answer = issuesAnswer([
		{ code: 'duplicate-id', path: ['parts', 2, 'id'], id: 'duck' },
		{ code: 'shape', path: ['covers'], detail: 'must be at least 1' }
	]);
	expect(answer.status).toBe(422);
	expect(await answer.json()).toMatchObject({
		status: 422,
		errors: [
			{ code: 'duplicate-id', field: 'parts[2].id' },
			{ field: 'covers', detail: 'covers: must be at least 1.' }
		]
	});
	expect(problemDetails(404, 'Nothing.').status).toBe(404);
});

describe('searches in threads', () => {
	const never = { client: 'cook', signal: new AbortController().signal };
	const load = (name: string) => {
		const read = readProblem(JSON.parse(readFileSync(`problems/${name}.json`, 'utf8')));
		if (!read.ok) throw new Error(name);
		return read.value;
	};
	const job = (name: string, time = 20_000) => ({ problem: load(name), seed: 1, budget: Infinity, time });

	test('give the answer of the same search on this thread, and tell of better ones on the way', async () => {
		const told: number[] = [];
		const answer = await solveInPool(job('solo-supper-1'), never, (s) => told.push(s.objective ?? NaN));
		expect(answer).toEqual(solveNow(load('solo-supper-1')));
		expect(told.length).toBeGreaterThan(1);
		expect(told).toEqual(told.toSorted((a, b) => b - a));
	});

	test('end when their time is up, with the best so far', async () => {
		const answer = await solveInPool(job('brigade-3', 1), never);
		expect(answer.status).not.toBe('optimal');
	});

	test('end at once when nobody waits any more, and the next one is served', async () => {
		const gone = new AbortController();
		const search = solveInPool(job('brigade-3', 60_000), { client: 'cook', signal: gone.signal });
		setTimeout(() => {
			gone.abort();
		}, 30);
		await expect(search).rejects.toThrow('gone');
		expect((await solveInPool(job('example'), never)).status).toBe('optimal');
	});

	test('however often a reader leaves, or time is up, the ones behind are served', async () => {
		for (let i = 0; i < 4; i++) {
			const gone = new AbortController();
			const leaving = solveInPool(job('brigade-3', 10_000), { client: 'a', signal: gone.signal });
			const behind = solveInPool(job('example'), { client: 'b', signal: never.signal });
			setTimeout(() => {
				gone.abort();
			}, 20);
			await expect(leaving).rejects.toThrow('gone');
			expect((await behind).status).toBe('optimal');
			expect((await solveInPool(job('brigade-3', 30), never)).status).not.toBe('optimal');
		}
	});

	test('a rehearsal says the same as on this thread, better and better known; out of time, or with nobody waiting, it ends', async () => {
		const problem = load('example');
		const schedule = solveNow(problem);
		const durations = Object.fromEntries(Object.keys(schedule.starts ?? {}).map((id) => [id, { mu: 6, sigma: 0.3 }]));
		const read = readCase({ problem, schedule, durations, runs: 4000 });
		if (!read.ok) throw new Error('not read');
		const asked = read.value;
		const told: number[] = [];
		const answer = await rehearseInPool({ asked, time: 20_000 }, never, (odds) =>
			told.push((odds as { runs: number }).runs)
		);
		const stream = answering(asked, () => 0);
		let step = stream.next();
		while (!step.done) step = stream.next();
		expect({ ...answer, seconds: 0 }).toEqual(step.value);
		expect(told.length).toBeGreaterThan(1);
		expect(told).toEqual(told.toSorted((a, b) => a - b));
		const long = { ...asked, runs: 1_000_000 };
		await expect(rehearseInPool({ asked: long, time: 1 }, never)).rejects.toThrow('late');
		const gone = new AbortController();
		const leaving = rehearseInPool({ asked: long, time: 60_000 }, { client: 'cook', signal: gone.signal });
		setTimeout(() => {
			gone.abort();
		}, 30);
		await expect(leaving).rejects.toThrow('gone');
		expect((await rehearseInPool({ asked, time: 20_000 }, never)).runs).toBe(4000);
	});

	test('a plan does not wait for a long search', async () => {
		const gone = new AbortController();
		const long = solveInPool(job('brigade-3', 60_000), { client: 'a', signal: gone.signal });
		const [brunch] = demoCases.slice(1);
		if (!brunch) throw new RangeError('no demo');
		const request = { ...brunch, techniques: [...library.values()], seed: 1, budget: 500 };
		const first = await Promise.race([
			long.then(() => 'search'),
			planInPool({ request, time: 20_000 }, never).then((o) => o.kind)
		]);
		expect(first).toBe('plan');
		gone.abort();
		await expect(long).rejects.toThrow('gone');
	});

	test('a problem that needs more memory than there is ends its own thread only', async () => {
		// Tasks that all exclude each other in every way there is.
		const uses = Array.from({ length: 12 }, (_, i) => ({ resource: `r${i}`, amount: 1 }));
		const many = readProblem({
			format: 'juntos-problem',
			version: 1,
			name: 'many',
			horizon: 100_000,
			services: [{ id: 's', due: 0 }],
			weights: { slip: 1, span: 1 },
			resources: uses.map((u) => ({ id: u.resource, capacity: 1 })),
			tasks: Array.from({ length: 3000 }, (_, i) => ({ id: `t${i}`, modes: [{ duration: 1 + (i % 9), uses }] }))
		});
		if (!many.ok) throw new Error('not a problem');
		const began = solveInPool({ problem: many.value, seed: 1, budget: Infinity, time: 1500 }, never);
		const answer = await began.catch((error: unknown) => error);
		if (answer instanceof PoolError) expect(answer.code).toBe('too-much');
		else expect(answer).toMatchObject({ status: expect.stringMatching(/unknown|feasible/) as string });
		expect((await solveInPool(job('example'), never)).status).toBe('optimal');
	});

	test('more than can wait are turned away at once, one client with its share before the others', async () => {
		const gone = new AbortController();
		const one = job('brigade-3', 500);
		const ask = (client: string) => solveInPool(one, { client, signal: gone.signal });
		const codes = (list: readonly Promise<Schedule>[]) =>
			Promise.allSettled(list).then((ends) =>
				ends.map((end) => (end.status === 'rejected' ? (end.reason as PoolError).code : 'served'))
			);
		const first = codes(Array.from({ length: 30 }, () => ask('greedy')));
		const others = codes(Array.from({ length: 60 }, (_, i) => ask(`cook ${i}`)));
		await new Promise((resolve) => setTimeout(resolve, 200));
		gone.abort();
		const [greedy, fair] = [await first, await others];
		expect(greedy.filter((code) => code === 'share').length).toBeGreaterThan(15);
		expect(greedy.filter((code) => code === 'gone').length).toBeGreaterThan(5);
		expect(fair.filter((code) => code === 'full').length).toBeGreaterThan(20);
		expect(fair.filter((code) => code === 'gone').length).toBeGreaterThan(15);
	});
});

describe('who is served next', () => {
	const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
	const stays = new AbortController().signal;

	test('each client in turn, in its own order, no more at a time than there are places', async () => {
		await fc.assert(
			fc.asyncProperty(
				fc.array(fc.constantFrom('a', 'b', 'c'), { minLength: 1, maxLength: 24 }),
				fc.integer({ min: 1, max: 3 }),
				async (clients, slots) => {
					const queue = new FairQueue({ slots, longest: 100, share: 100, wait: Infinity });
					const served: string[] = [];
					let [now, most] = [0, 0];
					await Promise.all(
						clients.map((client, i) =>
							queue.run(client, 1, stays, async () => {
								most = Math.max(most, ++now);
								served.push(`${client}${i}`);
								await wait(0);
								now--;
							})
						)
					);
					expect(served).toHaveLength(clients.length);
					expect(most).toBeLessThanOrEqual(slots);
					expect(queue.size).toBe(0);
					for (const client of ['a', 'b', 'c']) {
						const own = served.filter((s) => s.startsWith(client)).map((s) => Number(s.slice(1)));
						expect(own).toEqual(own.toSorted((x, y) => x - y));
					}
					// Once all wait, nobody has two turns while another who came before them has none.
					if (slots === 1 && new Set(clients).size === 3) {
						const late = served.slice(1);
						const firsts = ['a', 'b', 'c'].map((c) => late.findIndex((s) => s.startsWith(c))).filter((k) => k >= 0);
						expect(Math.max(...firsts)).toBeLessThanOrEqual(4);
					}
				}
			),
			{ numRuns: 60, seed: 3 }
		);
	});

	test('nobody who is let in waits longer than is said, whatever the others ask; who is not hears it at once', async () => {
		const asks = fc.record({
			client: fc.constantFrom('a', 'b', 'c'),
			at: fc.integer({ min: 0, max: 60 }),
			time: fc.integer({ min: 1, max: 40 }),
			share: fc.double({ min: 0, max: 1, noNaN: true })
		});
		await fc.assert(
			fc.asyncProperty(
				fc.array(asks, { minLength: 1, maxLength: 30 }),
				fc.integer({ min: 1, max: 3 }),
				fc.integer({ min: 0, max: 50 }),
				async (list, slots, longestWait) => {
					let now = 0;
					const sleeping: { readonly until: number; readonly wake: () => void }[] = [];
					const sleep = (ms: number) => new Promise<void>((wake) => void sleeping.push({ until: now + ms, wake }));
					const queue = new FairQueue({ slots, longest: 100, share: 100, wait: longestWait }, () => now);
					const waits: number[] = [];
					let refused = 0;
					let open = list.length;
					for (const { client, at, time, share } of list) {
						void sleep(at).then(async () => {
							const asked = now;
							const end = await queue.run(client, time, stays, async () => {
								waits.push(now - asked);
								await sleep(time * share);
								return 'served';
							});
							open--;
							if (end === 'served') return;
							refused++;
							expect(now).toBe(asked);
						});
					}
					while (open > 0) {
						for (let k = 0; k < 12; k++) await Promise.resolve();
						sleeping.sort((x, y) => x.until - y.until);
						const next = sleeping.shift();
						if (!next) continue;
						now = next.until;
						next.wake();
					}
					expect(waits.length + refused).toBe(list.length);
					expect(Math.max(0, ...waits)).toBeLessThanOrEqual(longestWait);
					if (longestWait === 0) expect(waits.every((w) => w === 0)).toBe(true);
				}
			),
			{ numRuns: 300, seed: 5 }
		);
	});

	test('whoever leaves while waiting makes room, what fails gives its place back', async () => {
		const queue = new FairQueue({ slots: 1, longest: 1, share: 1, wait: Infinity });
		const leaving = new AbortController();
		const first = queue.run('a', 1, stays, () => wait(20));
		const second = queue.run('b', 1, leaving.signal, () => wait(1));
		expect(await queue.run('c', 1, stays, () => wait(1))).toBe('full');
		expect(await queue.run('b', 1, stays, () => wait(1))).toBe('share');
		leaving.abort();
		expect(await second).toBe('gone');
		const third = queue.run('c', 1, stays, () => Promise.reject(new Error('burnt')));
		await first;
		await expect(third).rejects.toThrow('burnt');
		expect(await queue.run('d', 1, stays, () => Promise.resolve('served'))).toBe('served');
		expect(await queue.run('d', 1, leaving.signal, () => Promise.resolve('served'))).toBe('gone');
	});
});

describe('answers that the framework makes', () => {
	test.each([
		[new Response('<html>', { status: 404, headers: { 'content-type': 'text/html' } }), 404, /POST \/api\/plan/],
		[
			new Response('GET method not allowed', { status: 405, headers: { allow: 'POST' } }),
			405,
			/GET method not allowed\./
		],
		[new Response('odd', { status: 418 }), 400, /odd/],
		[new Response('broken', { status: 502 }), 500, /broken/]
	])('become problem details', async (response, status, words) => {
		const answer = await asProblem(response, 'There are: POST /api/plan.');
		expect(answer.status).toBe(status);
		expect(answer.headers.get('content-type')).toBe('application/problem+json');
		expect(((await answer.json()) as { detail: string }).detail).toMatch(words);
		if (status === 405) expect(answer.headers.get('allow')).toBe('POST');
	});

	test('what is right, or a problem already, stays as it is', async () => {
		const [ok, known] = [Response.json({ a: 1 }), problemDetails(422, 'Mend it.')];
		expect(await asProblem(ok, 'x')).toBe(ok);
		expect(await asProblem(known, 'x')).toBe(known);
	});
});

test('of many issues the first twenty are told, and how many more there are', async () => {
	const many = Array.from(
		{ length: 5000 },
		(_, i) => ({ code: 'shape', path: ['lags', i], detail: 'must be there' }) as const
	);
	const text = await issuesAnswer(many).text();
	expect(text.length).toBeLessThan(5000);
	expect(JSON.parse(text)).toMatchObject({ more: 4980, status: 422 });
});

test.each(['full', 'share', 'late', 'gone'] as const)('refused as %s: come back in a while', (code) => {
	const answer = busyAnswer(code);
	expect([answer.status, answer.headers.get('retry-after')]).toEqual([503, '5']);
	expect(busyAnswer('too-much').status).toBe(422);
});

test('what is told at once, before anybody reads, stands on the lines, in order, the answer last', async () => {
	const asker = { client: 'a', signal: new AbortController().signal };
	const answer = await asLines(asker, async (_, onNews) => {
		onNews(1);
		await Promise.resolve();
		onNews(2);
		return 'all';
	});
	expect(await answer.text()).toBe('1\n2\n"all"\n');
});

test('what is said through a port just before the answer is heard before it', async () => {
	const heard: unknown[] = [];
	const answer = await telling(
		(news) => heard.push(news),
		(port) => {
			for (let i = 0; i < 50; i++) port.postMessage(i);
			return Promise.resolve('done');
		}
	);
	expect(answer).toBe('done');
	expect(heard).toEqual(Array.from({ length: 50 }, (_, i) => i));
});
