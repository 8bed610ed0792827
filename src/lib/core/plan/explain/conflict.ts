// Why there is no plan, in a cook's words.
import type { Kitchen } from '../../model/kitchen';
import { crewMembers } from '../compile/crew';
import { stationsBehind } from '../compile/places';
import type { Trace } from '../compile/compile';

/** More steps are not read. */
const mostNamed = 5;
/** How a batch is told from its like. */
const batchWords = /, \d+ of \d+$/;

/**
 * Sentences for a conflict of the compiled problem: which steps cannot all be done, and what they share.
 *
 * @param conflict ids as the solver names them: tasks, resources, states, services, lags as `from>to`
 */
export function wordConflict(conflict: readonly string[], trace: Trace, kitchen: Kitchen): readonly string[] {
	const list = (items: readonly string[]) =>
		items.length < 2 ? items.join('') : `${items.slice(0, -1).join(', ')} and ${items.at(-1) ?? ''}`;
	const named = conflict.flatMap((id) => {
		const traced = trace.steps.get(id);
		return traced ? [`“${traced.step.say.replace(batchWords, '')}” (${traced.part.name})`] : [];
	});
	// Batches of one step are one thing to a cook.
	const steps = [...new Set(named)];
	const more = steps.length - mostNamed;
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
	const told = more > 0 ? [...steps.slice(0, mostNamed), `${more} more`] : steps;
	const what = steps.length > 0 ? list(told) : 'These parts';
	const within = shared.length > 0 ? ` with ${list(shared)}` : '';
	return [
		`${what} cannot all be done in time${within}.`,
		'Start earlier, serve later, leave one of them out, or add to the kitchen.'
	];
}
