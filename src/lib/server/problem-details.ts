// Errors of the routes as problem details (RFC 9457).
import { wordIssue, wordPath, type Issue } from '../core/issues';

const titles = {
	400: 'The request cannot be used',
	404: 'There is nothing here',
	413: 'The request is too large',
	415: 'The request must be JSON',
	422: 'Some of the data have to be mended',
	503: 'The server is busy'
} as const;

/** An error answer: what, where, and what to do. */
export function problemDetails(
	status: keyof typeof titles,
	detail: string,
	issues: readonly Issue[] = [],
	headers: Record<string, string> = {}
): Response {
	const errors = issues.map((i) => ({ code: i.code, field: wordPath(i.path), detail: wordIssue(i) }));
	const body = { type: 'about:blank', title: titles[status], status, detail, ...(errors.length > 0 ? { errors } : {}) };
	return Response.json(body, { status, headers: { 'content-type': 'application/problem+json', ...headers } });
}

/** The answer where no thread took the search: come back in a while. */
export function busyAnswer(code: 'busy' | 'late' | 'gone'): Response {
	const detail =
		code === 'busy'
			? 'Too many searches wait already. Send this one again in a few seconds.'
			: 'The search did not end in time. Send it again later, or ask for fewer seconds.';
	return problemDetails(503, detail, [], { 'retry-after': '5' });
}

/** The answer to data that were read with issues. */
export function issuesAnswer(issues: readonly Issue[]): Response {
	const [first] = issues;
	const more = issues.length > 1 ? ` (and ${issues.length - 1} more)` : '';
	const status = first?.code === 'not-json' ? 400 : 422;
	return problemDetails(status, `${first ? wordIssue(first) : 'Unknown.'}${more}`, issues);
}
