// What a rehearsal takes for usual.

/** A service no later than this is on time, s. */
export const usualTolerance = 120;
/** Evenings of a rehearsal. */
export const usualRuns = 4096;
