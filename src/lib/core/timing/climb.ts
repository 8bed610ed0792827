// How far a core is trusted to climb at rest: not as far as the model says, where that would leave it raw.
import type { Food } from '../heat/properties';

/** Foods that are eaten done, and may come off no further below their goal than this, K. */
const doneFoods: Partial<Record<Food, number>> = {
	'poultry breast': 3,
	'poultry thigh': 3,
	'duck breast': 3,
	pork: 3,
	mince: 3
};
/** All others, whole roasts among them: rests that were logged climb by no more than this as a rule, K (est.). */
const mostClimb = 8;

/** The most that a food may be below its goal when it comes off, K. */
export const climbLimit = (food: Food): number => doneFoods[food] ?? mostClimb;
