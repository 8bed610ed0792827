// The clock of a run: the wall's, or a demo clock that starts before the first cue and can run faster.

/** A clock that read `at` (seconds after midnight) when the wall read `since` (milliseconds), and has gone at `speed` since. */
export interface KitchenClock {
	readonly at: number;
	readonly since: number;
	/** Kitchen seconds for each second; 0: stopped. */
	readonly speed: number;
}

/** What a kitchen clock reads, seconds after midnight. */
export function readClock(clock: KitchenClock, wall: number): number {
	return clock.at + ((wall - clock.since) / 1000) * clock.speed;
}

/** The same clock going on at another speed. */
export function atSpeed(clock: KitchenClock, wall: number, speed: number): KitchenClock {
	return { at: readClock(clock, wall), since: wall, speed };
}

/** The same clock set to another time. */
export function setTo(clock: KitchenClock, wall: number, at: number): KitchenClock {
	return { ...clock, at, since: wall };
}
