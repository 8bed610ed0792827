// How an evening stands against the clock on the wall before it has begun: in time, begun too late, or already past.
import type { Plan } from '../model/plan';

const day = 86_400;
/** A service this long ago is still meant for today; before that, the plan is for another day, seconds. */
const today = 2 * 3600;
/** Clocks are read, and services said, to five minutes. */
const round = 300;
/** Nobody begins on the second, seconds. */
const reach = 60;

export type LateStart =
	/** Work should have begun: so many seconds ago; if it began now, the first course would be on the table at `possible`. */
	| { readonly kind: 'begun'; readonly ago: number; readonly possible: number; readonly by: number }
	/** The first service is past. */
	| { readonly kind: 'past'; readonly ago: number; readonly possible: number; readonly by: number };

/**
 * Whether it is too late to begin a plan as it stands, or `undefined` where it is not.
 *
 * @param now seconds after midnight, by the clock on the wall
 * @returns `possible` on the plan's clock, to five minutes; `by`: how much later than planned that is, seconds
 */
export function lateStart(plan: Pick<Plan, 'from' | 'services'>, now: number): LateStart | undefined {
	const first = plan.services.toSorted((a, b) => a.at - b.at)[0];
	if (!first) return undefined;
	// An evening that goes over midnight is still on when the clock has begun anew.
	const at = now < plan.from - day / 2 ? now + day : now;
	if (at <= plan.from + reach || at > first.at + today) return undefined;
	const possible = Math.ceil((first.at + (at - plan.from)) / round) * round;
	const by = possible - first.at;
	return at > first.at
		? { kind: 'past', ago: at - first.at, possible, by }
		: { kind: 'begun', ago: at - plan.from, possible, by };
}
