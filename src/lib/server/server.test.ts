// What the routes share: bodies within limits, problem details with place and mend, slices that stop in time.
import { describe, expect, test } from 'vitest';
import { inSlices } from './in-slices';
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

describe('a search in slices', () => {
	function* count(to: number): Generator<number, string, void> {
		for (let i = 0; i < to; i++) yield i;
		return 'all';
	}
	const never = new AbortController().signal;
	test('comes to its end', async () => {
		expect(await inSlices(count(5), 10_000, never)).toEqual({ done: true, value: 'all' });
	});
	test('stops when its time is up, or nobody waits any more', async () => {
		expect(await inSlices(count(1e9), 0, never)).toEqual({ done: false, value: 0 });
		expect(await inSlices(count(1e9), 10_000, AbortSignal.abort())).toEqual({ done: false, value: 0 });
	});
});
