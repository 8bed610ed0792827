// POST /api/solve: a juntos-problem → a juntos-schedule; improvements line by line where NDJSON is accepted.
import { readProblem, type Schedule } from '$lib/core/plan/problem';
import { askerOf } from '$lib/server/asker';
import { PoolError, solveInPool, type Asker } from '$lib/server/pool';
import { busyAnswer, issuesAnswer, problemDetails } from '$lib/server/problem-details';
import { readBody } from '$lib/server/read-body';
import { setImmediate } from 'node:timers/promises';
import type { RequestHandler } from './$types';

export const prerender = false;

/** Seconds to spend: unless asked for, and at most. */
const seconds = { usual: 10, most: 60 };
const ndjson = 'application/x-ndjson';

export const POST: RequestHandler = async (event) => {
	const { request, url } = event;
	const asker = askerOf(event);
	const body = await readBody(request);
	if ('answer' in body) return body.answer;
	const limits = readLimits(url);
	if ('answer' in limits) return limits.answer;
	const read = readProblem(body.data);
	if (!read.ok) return issuesAnswer(read.issues);
	const { seed, budget, time } = limits;
	const job = { problem: read.value, seed, budget, time };
	const hasLines = request.headers.get('accept')?.includes(ndjson) ?? false;
	try {
		if (!hasLines) return Response.json(await solveInPool(job, asker));
		return await lines(job, asker);
	} catch (error) {
		if (error instanceof PoolError) return busyAnswer(error.code);
		throw error;
	}
};

/** Each better answer on a line as it comes, and last the final one. Rejects where the search is refused at once. */
async function lines(job: Parameters<typeof solveInPool>[0], asker: Asker): Promise<Response> {
	const unread = new AbortController();
	const signal = AbortSignal.any([asker.signal, unread.signal]);
	const tell: { line?: (schedule: Schedule) => void } = {};
	const answer = solveInPool(job, { ...asker, signal }, (schedule) => tell.line?.(schedule));
	// A search that is refused is refused at once, before anything is said.
	await Promise.race([answer, setImmediate(undefined)]);
	return new Response(stream(answer, tell, unread), { headers: { 'content-type': ndjson } });
}

function readLimits({ searchParams }: URL) {
	const number = (key: string, usual: number) => Number(searchParams.get(key) ?? usual);
	const [wanted, seed, budget] = [number('seconds', seconds.usual), number('seed', 1), number('budget', Infinity)];
	if (!(wanted > 0 && wanted <= seconds.most)) {
		return { answer: problemDetails(400, `seconds: give a number above 0 and at most ${seconds.most}.`) };
	}
	if (!Number.isInteger(seed) || seed < 0)
		return { answer: problemDetails(400, 'seed: give a whole number of at least 0.') };
	if (!(budget > 0)) return { answer: problemDetails(400, 'budget: give a number above 0, or leave it out.') };
	return { time: wanted * 1000, seed, budget };
}

/** The answer as it comes. A body that streams is told when its reader has gone; then the search ends. */
function stream(
	answer: Promise<Schedule>,
	tell: { line?: (schedule: Schedule) => void },
	unread: AbortController
): ReadableStream<Uint8Array> {
	const bytes = (value: unknown) => new TextEncoder().encode(`${JSON.stringify(value)}\n`);
	return new ReadableStream({
		async start(controller) {
			const { signal } = unread;
			tell.line = (schedule) => {
				if (!signal.aborted) controller.enqueue(bytes(schedule));
			};
			try {
				const last = await answer;
				if (!signal.aborted) controller.enqueue(bytes(last));
			} catch (error) {
				if (signal.aborted) return;
				if (!(error instanceof PoolError)) throw error;
				controller.enqueue(bytes(await busyAnswer(error.code).json()));
			}
			if (!signal.aborted) controller.close();
		},
		cancel() {
			unread.abort();
		}
	});
}
