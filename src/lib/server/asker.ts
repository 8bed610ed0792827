// Who asks, and until when: a search whose reader has gone is of no use to anybody.
import type { RequestEvent } from '@sveltejs/kit';
import type { IncomingMessage } from 'node:http';
import type { Asker } from './pool';

/**
 * The client of a request, and a signal that its connection is closed. Node's own request is asked, as a request's signal
 * does not tell of a reader who left.
 */
export function askerOf(event: Pick<RequestEvent, 'request' | 'platform' | 'getClientAddress'>): Asker {
	const gone = new AbortController();
	const raw = (event.platform as { readonly req?: IncomingMessage } | undefined)?.req;
	raw?.socket.once('close', () => {
		gone.abort();
	});
	let client = 'unknown';
	try {
		client = event.getClientAddress();
	} catch {
		// Behind a proxy that does not say whom it speaks for all are one client.
	}
	return { client, signal: AbortSignal.any([event.request.signal, gone.signal]) };
}
