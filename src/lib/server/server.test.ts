// What the routes share: bodies within limits, problem details with place and mend, searches in threads.
import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { readProblem } from '../core/plan/problem';
import { solveNow } from '../core/testing/solve-now';
import { solveInPool, type PoolError } from './pool';
import { issuesAnswer, problemDetails } from './problem-details';
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
	const never = new AbortController().signal;
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
		const search = solveInPool(job('brigade-3', 60_000), gone.signal);
		setTimeout(() => {
			gone.abort();
		}, 30);
		await expect(search).rejects.toThrow('gone');
		expect((await solveInPool(job('example'), never)).status).toBe('optimal');
	});

	test('more than can wait are turned away', async () => {
		const gone = new AbortController();
		const one = job('brigade-3', 60_000);
		const searches = Array.from({ length: 60 }, () => solveInPool(one, gone.signal));
		const turnedAway = Promise.any(
			searches.map((s) =>
				s.then(
					() => Promise.reject(new Error('served')),
					(error: unknown) => error
				)
			)
		);
		expect(await turnedAway).toMatchObject({ code: 'busy' });
		gone.abort();
		const codes = (await Promise.allSettled(searches)).map((end) =>
			end.status === 'rejected' ? (end.reason as PoolError).code : 'served'
		);
		expect(codes.filter((code) => code === 'busy').length).toBeGreaterThan(10);
		expect(codes).toContain('gone');
	});
});
