// From time and lane to the screen: lying, time runs to the right; standing, it runs down.

interface Box {
	readonly x: number;
	readonly y: number;
	readonly width: number;
	readonly height: number;
}

export interface Frame {
	readonly isStanding: boolean;
	/** A point, as in a path. */
	readonly point: (u: number, v: number) => string;
	readonly x: (u: number, v: number) => number;
	readonly y: (u: number, v: number) => number;
	readonly box: (u0: number, u1: number, v0: number, v1: number) => Box;
}

/** The frame of a drawing whose point (0, 0) lies at (left, top). */
export function frame(isStanding: boolean, left: number, top: number): Frame {
	const x = (u: number, v: number) => round(left + (isStanding ? v : u));
	const y = (u: number, v: number) => round(top + (isStanding ? u : v));
	return {
		isStanding,
		x,
		y,
		point: (u, v) => `${x(u, v)} ${y(u, v)}`,
		box: (u0, u1, v0, v1) => {
			const [width, height] = isStanding ? [v1 - v0, u1 - u0] : [u1 - u0, v1 - v0];
			return { x: x(u0, v0), y: y(u0, v0), width: round(Math.max(0, width)), height: round(Math.max(0, height)) };
		}
	};
}

function round(value: number): number {
	return Math.round(value * 10) / 10;
}
