// Why there is no plan, in a cook's words.
import type { Kitchen } from '../../model/kitchen';
import { crewMembers } from '../compile/crew';
import { stationsBehind } from '../compile/places';
import type { Trace } from '../compile/compile';

/**
 * Sentences for a conflict of the compiled problem: which steps cannot all be done, and what they share.
 *
 * @param conflict ids as the solver names them: tasks, resources, states, services, lags as `from>to`
 */
export function wordConflict(conflict: readonly string[], trace: Trace, kitchen: Kitchen): readonly string[] {
	const list = (items: readonly string[]) =>
		items.length < 2 ? items.join('') : `${items.slice(0, -1).join(', ')} and ${items.at(-1) ?? ''}`;
	const steps = conflict.flatMap((id) => {
		const traced = trace.steps.get(id);
		return traced ? [`“${traced.step.say}” (${traced.part.name})`] : [];
	});
	const shared = conflict.flatMap((id) => {
		if (id === 'hands')
			return [kitchen.cooks.length === 1 ? 'one pair of hands' : `${kitchen.cooks.length} pairs of hands`];
		const crew = crewMembers(id);
		if (crew) return [`the hands of ${list(kitchen.cooks.filter((c) => crew.includes(c.id)).map((c) => c.name))}`];
		if (id.startsWith('vessel:')) return [`the ${id.slice('vessel:'.length)}s there are`];
		const stations = stationsBehind(id, kitchen);
		if (stations.length > 0) return [stations.map((s) => s.name).join(' and ')];
		const oven = kitchen.stations.find((s) => s.id === id);
		return oven ? [`the temperatures of ${oven.name}`] : [];
	});
	const what = steps.length > 0 ? list(steps) : 'These parts';
	const within = shared.length > 0 ? ` with ${list(shared)}` : '';
	return [
		`${what} cannot all be done in time${within}.`,
		'Start earlier, serve later, leave one of them out, or add to the kitchen.'
	];
}
