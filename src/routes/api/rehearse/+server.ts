// POST /api/rehearse: a case of a rehearsal → its odds; line by line, better and better known, where NDJSON is accepted.
import { readCase } from '$lib/core/rehearse/cases';
import { askerOf } from '$lib/server/asker';
import { asLines, wantsLines } from '$lib/server/lines';
import { PoolError, rehearseInPool } from '$lib/server/pool';
import { busyAnswer, issuesAnswer } from '$lib/server/problem-details';
import { readBody } from '$lib/server/read-body';
import type { RequestHandler } from './$types';

export const prerender = false;

/** Longest time for one rehearsal, and for a plan that holds better, milliseconds. */
const deadline = 30_000;
const longestLook = 15;

export const POST: RequestHandler = async (event) => {
	const { request } = event;
	const asker = askerOf(event);
	const body = await readBody(request);
	if ('answer' in body) return body.answer;
	const read = readCase(body.data);
	if (!read.ok) return issuesAnswer(read.issues);
	const { improve } = read.value;
	const asked = { ...read.value, improve: improve === undefined ? undefined : Math.min(improve, longestLook) };
	const job = { asked, time: deadline };
	try {
		if (!wantsLines(request)) return Response.json(await rehearseInPool(job, asker));
		return await asLines(asker, (own, onOdds) => rehearseInPool(job, own, onOdds));
	} catch (error) {
		if (error instanceof PoolError) return busyAnswer(error.code);
		throw error;
	}
};
