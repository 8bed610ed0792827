// The grid of a plan's times.

/** Every time of a compiled problem is a multiple of this, seconds: finer is not cooked, and the search is the quicker for it. */
export const grid = 15;
