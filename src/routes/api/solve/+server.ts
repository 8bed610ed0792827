// POST /api/solve: a juntos-problem → a juntos-schedule; improvements line by line where NDJSON is accepted.
import { readProblem, type Schedule } from '$lib/core/plan/problem';
import { PoolError, solveInPool } from '$lib/server/pool';
import { busyAnswer, issuesAnswer, problemDetails } from '$lib/server/problem-details';
import { readBody } from '$lib/server/read-body';
import type { RequestHandler } from './$types';

export const prerender = false;

/** Seconds to spend: unless asked for, and at most. */
const seconds = { usual: 10, most: 60 };
const ndjson = 'application/x-ndjson';

export const POST: RequestHandler = async ({ request, url }) => {
	const body = await readBody(request);
	if ('answer' in body) return body.answer;
	const limits = readLimits(url);
	if ('answer' in limits) return limits.answer;
	const read = readProblem(body.data);
	if (!read.ok) return issuesAnswer(read.issues);
	const { seed, budget, time } = limits;
	const job = { problem: read.value, seed, budget, time };
	if (request.headers.get('accept')?.includes(ndjson)) {
		return new Response(stream(job, request.signal), { headers: { 'content-type': ndjson } });
	}
	try {
		return Response.json(await solveInPool(job, request.signal));
	} catch (error) {
		if (error instanceof PoolError) return busyAnswer(error.code);
		throw error;
	}
};

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

/** One schedule a line: each better one, and last the final one. The search ends when nobody reads on. */
function stream(job: Parameters<typeof solveInPool>[0], signal: AbortSignal): ReadableStream<Uint8Array> {
	const unread = new AbortController();
	const line = (schedule: unknown) => new TextEncoder().encode(`${JSON.stringify(schedule)}\n`);
	return new ReadableStream({
		async start(controller) {
			const tell = (schedule: Schedule) => {
				if (!unread.signal.aborted) controller.enqueue(line(schedule));
			};
			try {
				tell(await solveInPool(job, AbortSignal.any([signal, unread.signal]), tell));
				controller.close();
			} catch (error) {
				if (unread.signal.aborted) return;
				if (!(error instanceof PoolError)) {
					controller.error(error);
					return;
				}
				controller.enqueue(line(await busyAnswer(error.code).json()));
				controller.close();
			}
		},
		cancel() {
			unread.abort();
		}
	});
}
