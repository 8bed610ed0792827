// Heavy generators on the server: run in slices, so that other requests get their turn.
import { setImmediate } from 'node:timers/promises';

/**
 * Pull a generator to its end, or until the deadline or the abort, letting others in between.
 *
 * @param deadline milliseconds from now
 * @returns the generator's value, or its last yield when time is up
 */
export async function inSlices<Y, R>(
	search: Generator<Y, R, void>,
	deadline: number,
	signal: AbortSignal
): Promise<{ readonly done: true; readonly value: R } | { readonly done: false; readonly value: Y }> {
	const ends = performance.now() + deadline;
	for (;;) {
		const step = search.next();
		if (step.done) return { done: true, value: step.value };
		if (performance.now() >= ends || signal.aborted) return { done: false, value: step.value };
		await setImmediate();
	}
}
