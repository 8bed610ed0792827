// The clocks of this machine, and where it is.
import type { Clocks } from '../core/run/run-clock';

export function clocks(): Clocks {
	return { wall: Date.now(), steady: performance.now() };
}

/** The time zone that the machine is set to. */
export function zone(): string {
	return Intl.DateTimeFormat().resolvedOptions().timeZone;
}

let names = 0;

/**
 * A name that nothing else has, and that comes after those given before: what happens at one instant of a clock that stands
 * still is in the order in which it was told.
 */
export function newName(wall = Date.now()): string {
	const order = (n: number, digits: number) => n.toString(36).padStart(digits, '0');
	return `${order(wall, 9)}-${order(names++, 6)}-${crypto.randomUUID().slice(0, 8)}`;
}
