// What every answer of the server has: headers that keep it to itself; and problem details from the routes, whatever fails.
import type { Handle, HandleServerError } from '@sveltejs/kit';
import { asProblem } from '$lib/server/problem-details';

/** The routes, for whoever asked for one that is not there or in a way that it does not take. */
const routes = 'POST /api/plan, POST /api/solve, POST /api/rehearse, GET /api/probe, GET /api/schema/NAME.json';

/** Of every answer that is not a page built ahead: those get the same from `scripts/serve.mjs`. */
const headers = { 'x-content-type-options': 'nosniff', 'referrer-policy': 'no-referrer', 'x-frame-options': 'DENY' };

export const handle: Handle = async ({ event, resolve }) => {
	const isApi = event.url.pathname.startsWith('/api/');
	const answer = await resolve(event);
	const response = isApi ? await asProblem(answer, `There are: ${routes}, with JSON bodies.`) : answer;
	for (const [name, value] of Object.entries(headers)) response.headers.set(name, value);
	return response;
};

export const handleError: HandleServerError = ({ error, status }) => {
	if (status >= 500) console.error(error);
	return { message: status === 404 ? 'There is nothing here.' : 'Something went wrong here. Try again.' };
};
