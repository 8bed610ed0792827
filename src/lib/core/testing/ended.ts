// A generator run to its end.

/** What a generator returns, whatever it yields on the way. */
export function ended<T>(steps: Generator<unknown, T, undefined>): T {
	for (;;) {
		const step = steps.next(undefined);
		if (step.done) return step.value;
	}
}
