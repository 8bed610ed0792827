// POST /api/solve: a juntos-problem → a juntos-schedule; improvements line by line where NDJSON is accepted.
import { readProblem, type Schedule } from '$lib/core/plan/problem';
import { solve } from '$lib/core/plan/solve/solve';
import { inSlices } from '$lib/server/in-slices';
import { issuesAnswer, problemDetails } from '$lib/server/problem-details';
import { readBody } from '$lib/server/read-body';
import { setImmediate } from 'node:timers/promises';
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
	const search = solve(read.value, { seed: limits.seed, budget: limits.budget });
	if (request.headers.get('accept')?.includes(ndjson)) {
		return new Response(stream(search, limits.deadline), { headers: { 'content-type': ndjson } });
	}
	const end = await inSlices(search, limits.deadline, request.signal);
	return Response.json(end.done ? end.value : end.value.schedule);
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
	return { deadline: wanted * 1000, seed, budget };
}

/** One schedule a line: each better one, and last the final one. Ends when nobody reads on. */
function stream(search: ReturnType<typeof solve>, deadline: number): ReadableStream<Uint8Array> {
	const ends = performance.now() + deadline;
	const line = (schedule: Schedule) => new TextEncoder().encode(`${JSON.stringify(schedule)}\n`);
	return new ReadableStream({
		async pull(controller) {
			for (;;) {
				const step = search.next();
				const isLast = step.done === true || performance.now() >= ends;
				const schedule = step.done ? step.value : step.value.schedule;
				const isBetter = step.done !== true && step.value.improved;
				if (isLast || isBetter) controller.enqueue(line(schedule));
				if (isLast) {
					controller.close();
					return;
				}
				await setImmediate();
				if (isBetter) return;
			}
		},
		cancel() {
			search.return(undefined as never);
		}
	});
}
