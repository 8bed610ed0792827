// The clocks of this machine, and where it is.
import type { Clocks } from '../core/run/run-clock';

export function clocks(): Clocks {
	return { wall: Date.now(), steady: performance.now() };
}

/** The time zone that the machine is set to. */
export function zone(): string {
	return Intl.DateTimeFormat().resolvedOptions().timeZone;
}
