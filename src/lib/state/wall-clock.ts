// The clock on the wall.

/** Milliseconds since 1970, and seconds after midnight here. */
export function wallClock(): { readonly wall: number; readonly clock: number } {
	const now = new Date();
	return { wall: now.getTime(), clock: now.getHours() * 3600 + now.getMinutes() * 60 + now.getSeconds() };
}
