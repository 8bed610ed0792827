// POST /api/solve: a juntos-problem → a juntos-schedule; improvements line by line where NDJSON is accepted.
import { readProblem } from '$lib/core/plan/problem';
import { askerOf } from '$lib/server/asker';
import { asLines, wantsLines } from '$lib/server/lines';
import { PoolError, solveInPool } from '$lib/server/pool';
import { busyAnswer, issuesAnswer, problemDetails } from '$lib/server/problem-details';
import { readBody } from '$lib/server/read-body';
import type { RequestHandler } from './$types';

export const prerender = false;

/** Seconds to spend: unless asked for, and at most. */
const seconds = { usual: 10, most: 60 };

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
	try {
		if (!wantsLines(request)) return Response.json(await solveInPool(job, asker));
		return await asLines(asker, (own, onBetter) => solveInPool(job, own, onBetter));
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
