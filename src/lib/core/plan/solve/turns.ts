// In which manners a search goes on from restart to restart, and for how many conflicts each.
/** How a stretch of search between two restarts decides. */
export type Manner = 'follow' | 'sooner' | 'backward' | 'activity' | 'orders' | 'greedy' | 'nearby' | 'probe';

/** Manners in turn, without and with a plan to improve. */
export const openTurns: readonly Manner[] = ['backward', 'activity', 'backward', 'orders'];
export const improvingTurns: readonly Manner[] = [
	'greedy',
	'nearby',
	'orders',
	'nearby',
	'probe',
	'nearby',
	'activity',
	'nearby',
	'backward',
	'nearby'
];
/** When nothing better was found for long: the best may be the best, and only a proof is missing. */
export const provingTurns: readonly Manner[] = [
	'orders',
	'nearby',
	'activity',
	'nearby',
	'probe',
	'nearby',
	'activity',
	'nearby'
];
export const staleAfter = 40;
export const lateTurns: readonly Manner[] = ['greedy', 'nearby', 'greedy', 'activity', 'backward', 'sooner'];
/** From then on a late plan is thought to be late for good. */
export const mostLateTurns = 60;
export const conflictsPerTurn: Record<Manner, number> = {
	follow: 16,
	sooner: 60,
	backward: 150,
	activity: 100,
	orders: 100,
	greedy: 60,
	nearby: 80,
	probe: 100
};

/** Without a plan so many turns follow the one in force before others are tried: as it is, then later, with more conflicts. */
export const followTurns = 3;
export const patientConflicts = 120;

/** Without a plan the first turns are short: what begins badly is begun anew, or later. */
export const firstConflicts = 16;

/** Manners that work on a plan: what they began is worth going on with. */
export const improving: ReadonlySet<Manner> = new Set<Manner>(['greedy', 'nearby', 'activity', 'orders']);
/** Manners that may end with a proof: they get more and more time. */
export const complete: ReadonlySet<Manner> = new Set<Manner>(['activity', 'orders', 'probe']);
export const mostRepeats = 30;

/** The i-th number (i ≥ 1) of 1, 1, 2, 1, 1, 2, 4, … (Luby, Sinclair & Zuckerman 1993). */
export function luby(i: number): number {
	let size = 1;
	while (size < i + 1) size *= 2;
	return size === i + 1 ? size / 2 : luby(i - size / 2 + 1);
}
