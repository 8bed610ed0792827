// Why there is no plan, as facts: which steps cannot all be done, and what they share.
import { vesselKindOf } from '../compile/vessels';
import type { Kitchen } from '../../model/kitchen';
import type { Trace } from '../compile/compile';
import { crewMembers } from '../compile/crew';
import { stationsBehind } from '../compile/places';

/** What is too little, or cannot be two things at once. */
export type Shared =
	| { readonly kind: 'hands'; readonly pairs: number }
	| { readonly kind: 'crew'; readonly cooks: readonly string[] }
	| { readonly kind: 'vessels'; readonly vessel: string }
	| { readonly kind: 'stations'; readonly names: readonly string[] }
	| { readonly kind: 'temperatures'; readonly oven: string };

export interface Conflict {
	readonly steps: readonly { readonly say: string; readonly part: string }[];
	readonly shared: readonly Shared[];
	/** Courses that are named, by name. */
	readonly courses: readonly string[];
}

/** How a batch is told from its like. */
const batchWords = /, \d+ of \d+$/;

/**
 * A conflict of the compiled problem in the terms of the kitchen; batches of one step are one thing.
 *
 * @param conflict ids as the solver names them: tasks, resources, states, services, choices, lags as `from>to`
 */
export function conflictOf(conflict: readonly string[], trace: Trace, kitchen: Kitchen): Conflict {
	const steps = conflict.flatMap((id) => {
		const traced = trace.steps.get(id);
		return traced ? [{ say: traced.step.say.replace(batchWords, ''), part: traced.part.name }] : [];
	});
	const distinct = new Map(steps.map((s) => [`${s.say} ${s.part}`, s]));
	return {
		steps: [...distinct.values()],
		shared: conflict.flatMap((id) => sharedBy(id, kitchen) ?? []),
		courses: conflict.flatMap((id) => trace.courses.get(id) ?? [])
	};
}

function sharedBy(id: string, kitchen: Kitchen): Shared | undefined {
	if (id === 'hands') return { kind: 'hands', pairs: kitchen.cooks.length };
	const crew = crewMembers(id);
	if (crew) return { kind: 'crew', cooks: kitchen.cooks.filter((c) => crew.includes(c.id)).map((c) => c.name) };
	const vessel = vesselKindOf(id);
	if (vessel !== undefined) return { kind: 'vessels', vessel };
	const stations = stationsBehind(id, kitchen);
	if (stations.length > 0) return { kind: 'stations', names: stations.map((s) => s.name) };
	const oven = kitchen.stations.find((s) => s.id === id);
	return oven && { kind: 'temperatures', oven: oven.name };
}
