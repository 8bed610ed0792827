// Answers line by line, as NDJSON: what is known so far on a line as it comes, and last the final answer.
import { setImmediate } from 'node:timers/promises';
import { PoolError, type Asker } from './pool';
import { busyAnswer } from './problem-details';

const ndjson = 'application/x-ndjson';

/** Whether a request wants lines. */
export const wantsLines = (request: Request): boolean => request.headers.get('accept')?.includes(ndjson) ?? false;

/**
 * A body of lines.
 *
 * @param work tells of what it has so far; ends with its signal
 * @throws {PoolError} where it is refused at once, before anything is said
 */
export async function asLines(
	asker: Asker,
	work: (asker: Asker, onNews: (news: unknown) => void) => Promise<unknown>
): Promise<Response> {
	const unread = new AbortController();
	const signal = AbortSignal.any([asker.signal, unread.signal]);
	const told: unknown[] = [];
	const tell = { line: (news: unknown) => void told.push(news) };
	const answer = work({ ...asker, signal }, (news) => {
		tell.line(news);
	});
	await Promise.race([answer, setImmediate(undefined)]);
	return new Response(stream(answer, tell, unread, told), { headers: { 'content-type': ndjson } });
}

/** What was told before anybody read, and the answer as it comes. A body that streams is told when its reader has gone; then the work ends. */
function stream(
	answer: Promise<unknown>,
	tell: { line: (news: unknown) => void },
	unread: AbortController,
	told: readonly unknown[]
): ReadableStream<Uint8Array> {
	const bytes = (value: unknown) => new TextEncoder().encode(`${JSON.stringify(value)}\n`);
	return new ReadableStream({
		async start(controller) {
			const { signal } = unread;
			tell.line = (news) => {
				if (!signal.aborted) controller.enqueue(bytes(news));
			};
			told.forEach(tell.line);
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
