// How evenings are played: when steps begin, whether the rest is planned anew, what goes wrong.
import type { Policy } from './network';

/** `replan`: as planned, and the planner is asked again whenever something takes noticeably longer or less long. */
export interface How {
	readonly begin: Policy | 'replan';
	/** Mishaps an hour, on the mean. */
	readonly mishaps: number;
}

export const asPlanned: How = { begin: 'hold', mishaps: 0 };
