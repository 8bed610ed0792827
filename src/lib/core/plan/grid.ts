// The grid of a plan's times.

/** Every time of a compiled problem is a multiple of this, seconds: finer is not cooked, and the search is the quicker for it. */
export const grid = 15;

/** The last instant of the grid that is not after one, and the first that is not before it, seconds. */
export const gridDown = (seconds: number) => Math.floor(seconds / grid + 1e-9) * grid;
export const gridUp = (seconds: number) => Math.ceil(seconds / grid - 1e-9) * grid + 0;
