// What a rehearsal takes for usual.

/** A service no later than this is on time, s. */
export const usualTolerance = 120;
/** Somebody who has to see to something comes so much late on the mean, s (est.). */
export const usualDithering = 10;
/** Evenings of a rehearsal. */
export const usualRuns = 4096;
/** Evenings of a rehearsal in which the rest is planned anew whenever something comes between. */
export const usualReplanned = 48;
