// Errors of the routes as problem details (RFC 9457).
import type { Issue } from '../core/issues';
import { mostWorded, wordIssue, wordPath } from '../core/words/issues';
import type { Refusal } from './pool';

const titles = {
	400: 'The request cannot be used',
	403: 'The request is not allowed',
	404: 'There is nothing here',
	405: 'This is not done here',
	413: 'The request is too large',
	415: 'The request must be JSON',
	422: 'Some of the data have to be mended',
	500: 'Something went wrong here',
	503: 'The server is busy'
} as const;
type Status = keyof typeof titles;

/** An error answer: what, where, and what to do. Of many issues the first ones are told, and how many more there are. */
export function problemDetails(
	status: Status,
	detail: string,
	issues: readonly Issue[] = [],
	headers: Record<string, string> = {}
): Response {
	const errors = issues
		.slice(0, mostWorded)
		.map((i) => ({ code: i.code, field: wordPath(i.path), detail: wordIssue(i) }));
	const more = issues.length - errors.length;
	const body = {
		type: 'about:blank',
		title: titles[status],
		status,
		detail,
		...(errors.length > 0 ? { errors } : {}),
		...(more > 0 ? { more } : {})
	};
	return Response.json(body, { status, headers: { 'content-type': 'application/problem+json', ...headers } });
}

/** The status with a title of its own that is nearest to one. */
function knownStatus(status: number): Status {
	const known = Object.keys(titles).map(Number) as Status[];
	return known.find((s) => s === status) ?? (status < 500 ? 400 : 500);
}

/** Any error answer of a route as problem details: those that the framework makes are pages or bare text. */
export async function asProblem(response: Response, hint: string): Promise<Response> {
	const type = response.headers.get('content-type') ?? '';
	if (response.status < 400 || type.includes('json')) return response;
	const text = type.includes('html') ? '' : (await response.text()).trim();
	const allow = response.headers.get('allow');
	const detail = [text === '' ? '' : `${text.replace(/\.$/, '')}.`, hint].filter((t) => t !== '').join(' ');
	return problemDetails(knownStatus(response.status), detail, [], allow === null ? {} : { allow });
}

const busyWords: Record<Refusal, string> = {
	full: 'Too many searches wait already, or too long ones. Send this one again in a few seconds.',
	share:
		'As many of your searches wait as one client may have. Send this one again when one of them has its answer, or ask for fewer seconds.',
	late: 'The search did not end in time. Send it again later, or ask for fewer seconds.',
	gone: 'Nobody waits for this search any more.',
	'too-much': 'The search needs more memory than there is for one. Send a smaller problem.'
};

/** Seconds after which to come back. */
const comeBack = '5';

/** The answer where no thread took the search, or none ended it: come back in a while. */
export function busyAnswer(code: Refusal): Response {
	if (code === 'too-much') return problemDetails(422, busyWords[code]);
	return problemDetails(503, busyWords[code], [], { 'retry-after': comeBack });
}

/** The answer where nothing was found: more time may find it. */
export function unknownAnswer(detail: string): Response {
	return problemDetails(503, detail, [], { 'retry-after': comeBack });
}

/** The answer to data that were read with issues. */
export function issuesAnswer(issues: readonly Issue[]): Response {
	const [first] = issues;
	const more = issues.length > 1 ? ` (and ${issues.length - 1} more)` : '';
	const status = first?.code === 'not-json' ? 400 : 422;
	return problemDetails(status, `${first ? wordIssue(first) : 'Unknown.'}${more}`, issues);
}
