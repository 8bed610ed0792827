// How hard a plan is looked for, where nobody says.

/** Page and route plan with the same seed, so they give the same plan. */
export const usualSeed = 1;

/** Work that suits a home meal: two seconds or so; proofs end it sooner. */
export const usualBudget = 300_000;
