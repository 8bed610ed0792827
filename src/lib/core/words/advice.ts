// What would help, what it does, which promise to break, and why there is no plan: in a cook's words.
import type { Breach } from '../plan/advise/cures';
import type { What } from '../plan/advise/changes';
import type { Effect } from '../plan/advise/what-if';
import type { Conflict, Shared } from '../plan/why/conflict';
import { formatClock, formatDuration } from '../units/time';

/** More steps are not read. */
const mostNamed = 5;

const lower = (name: string) => name.toLowerCase();
const list = (items: readonly string[]) =>
	items.length < 2 ? items.join('') : `${items.slice(0, -1).join(', ')} and ${items.at(-1) ?? ''}`;

/** A change, in metric units (see `inUnits`). */
export function wordChange(what: What): string {
	switch (what.kind) {
		case 'nothing':
			return 'nothing changed';
		case 'later':
			return `${what.course} ${formatDuration(what.by)} later`;
		case 'help':
			return `a second pair of hands from ${formatClock(what.from)} to ${formatClock(what.to)}`;
		case 'burner':
			return 'one more burner';
		case 'board':
			return 'a second place to cut';
		case 'vessel':
			return `one more ${lower(what.vessel)}`;
		case 'without':
			return `without ${lower(what.part)}`;
		case 'otherwise':
			return `${lower(what.part)} as “${lower(what.way)}”`;
		case 'fewer':
			return `a batch for ${what.covers} instead of ${what.instead}`;
		case 'oven':
			return `${lower(what.part)} in the oven at ${what.setting} °C instead of ${what.instead} °C`;
		case 'before':
			return `${lower(what.part)} made before the evening, as far as it keeps`;
		case 'beforehand':
			return `“${what.step}” done beforehand`;
	}
}

/** The difference that a change makes; empty where there is none worth a word. */
export function wordEffect({ late, waiting, begins }: Effect): string {
	const compare = (difference: number, less: string, more: string) =>
		Math.abs(difference) < 30 ? '' : `${formatDuration(difference)} ${difference < 0 ? less : more}`;
	const shift = begins.after - begins.before;
	const words = [
		compare(late, 'less late', 'later'),
		compare(waiting, 'less waiting past its best', 'more waiting past its best'),
		Math.abs(shift) < 60
			? ''
			: `begin at ${formatClock(begins.after)}, ${formatDuration(shift)} ${shift > 0 ? 'later' : 'earlier'}`
	];
	return words.filter((w) => w !== '').join('; ');
}

/** A promise to break. */
export function wordBreach(breach: Breach): string {
	switch (breach.kind) {
		case 'room':
			return 'no room behind the steps';
		case 'order':
			return `plate what cannot wait first: ${breach.parts.map(lower).join(', then ')}`;
		case 'way':
			return `${lower(breach.part)}: ${lower(breach.way)}`;
		case 'alone':
			return 'a second pair of hands in the kitchen';
		case 'start':
			return `begin work ${formatDuration(breach.by)} earlier`;
		case 'service':
			return `serve ${formatDuration(breach.by)} later`;
		case 'rest':
			return `rest ${lower(breach.part)} only ${formatDuration(breach.seconds)}`;
		case 'wait':
			return breach.part === undefined
				? 'let several parts wait longer than they should'
				: `let ${lower(breach.part)} wait longer than it should`;
		case 'part':
			return `leave out ${lower(breach.part)}`;
	}
}

function wordShared(shared: Shared): string {
	switch (shared.kind) {
		case 'hands':
			return shared.pairs === 1 ? 'one pair of hands' : `${shared.pairs} pairs of hands`;
		case 'crew':
			return `the hands of ${list(shared.cooks)}`;
		case 'vessels':
			return `the ${shared.vessel}s there are`;
		case 'stations':
			return shared.names.join(' and ');
		case 'temperatures':
			return `the temperatures of ${shared.oven}`;
	}
}

/** Why there is no plan, and what to do. */
export function wordConflict({ steps, shared, courses }: Conflict): readonly string[] {
	const named = steps.map(({ say, part }) => `“${say}” (${part})`);
	const more = named.length - mostNamed;
	const told = more > 0 ? [...named.slice(0, mostNamed), `${more} more`] : named;
	const what = named.length > 0 ? list(told) : 'These parts';
	// What takes all of the kitchen is not told by naming all of it.
	const within =
		shared.length > mostNamed
			? ' with all that this kitchen has'
			: shared.length > 0
				? ` with ${list(shared.map(wordShared))}`
				: '';
	const when = shared.length === 0 && courses.length > 0 ? ` for ${list(courses)}` : '';
	return [
		`${what} cannot all be done in time${within}${when}.`,
		'Start earlier, serve later, leave one of them out, or add to the kitchen.'
	];
}
