// The clock of a run: the wall's, or a demo clock that can run faster and be set.
import type { RunClock } from './events';

/** What the machine's clocks read: the wall, and one that only goes forward; milliseconds. */
export interface Clocks {
	readonly wall: number;
	/** Since the page was opened: nobody sets it. */
	readonly steady: number;
}

/** A clock that is read: the demo clock goes by the steady one, so that a wall clock that is put right does not drag it along. */
export interface Ticking {
	readonly clock: RunClock;
	/** Instant that a demo clock read when the steady clock read `steady`. */
	readonly at: number;
	readonly steady: number;
}

/** Take up a kept clock: what passed since by the wall has passed, unless the wall was set back. */
export function takeUp(clock: RunClock, { wall, steady }: Clocks): Ticking {
	const at = clock.kind === 'wall' ? wall : clock.at + Math.max(0, wall - clock.since) * clock.speed;
	return { clock, at, steady };
}

/** The instant that it reads, milliseconds since 1970. */
export function readTicking({ clock, at, steady }: Ticking, now: Clocks): number {
	return clock.kind === 'wall' ? now.wall : at + (now.steady - steady) * clock.speed;
}

/** A demo clock from an instant on, at a speed; 0 stops it. */
export function demoFrom(at: number, speed: number, { wall, steady }: Clocks): Ticking {
	return { clock: { kind: 'demo', at, since: wall, speed }, at, steady };
}

/** The wall's clock. */
export const wallTicking = ({ wall, steady }: Clocks): Ticking => ({ clock: { kind: 'wall' }, at: wall, steady });
