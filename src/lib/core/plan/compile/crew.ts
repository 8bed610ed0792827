// Who can do what: hands as resources, whole pieces of handwork at each cook's pace.
import type { Cook, Duty, Kitchen } from '../../model/kitchen';
import { stationRow } from '../../model/stations';
import type { Step } from '../../model/technique';
import type { Problem } from '../problem';
import { stationFor } from './places';

const paceOf = (cook: Cook) => cook.measuredPace ?? cook.pace ?? 1;
const hasAvoided = (cook: Cook, duty: Duty | undefined) => duty !== undefined && (cook.avoids ?? []).includes(duty);

/** What a step asks of whoever does it. */
export function dutyOf({ kind, need }: Pick<Step, 'kind' | 'need'>): Duty | undefined {
	return (need && stationRow(stationFor(need)).duty) ?? (kind === 'prep' ? 'knife' : undefined);
}

/** A pair of hands of one kind: resources that its use takes beside `hands`, and its pace. */
export interface Hands {
	readonly pace: number;
	readonly also: readonly string[];
}

const crewPrefix = 'crew:';
const isPaced = (kitchen: Kitchen) => new Set(kitchen.cooks.map(paceOf)).size > 1;
const ableTo = (kitchen: Kitchen, duty: Duty | undefined) => kitchen.cooks.filter((c) => !hasAvoided(c, duty));
/** The resource that stands for some cooks. */
export const crewOf = (cooks: readonly string[]): string => `${crewPrefix}${cooks.join('+')}`;
const idOf = (crew: readonly Cook[]) => crewOf(crew.map((c) => c.id));

/**
 * How hands are asked for: of sets of cooks, each as large as it is (*pooled*: few resources, and who does what is decided
 * afterwards), or of each cook by name (*named*: always right, and more to search).
 */
export type Manning = 'pooled' | 'named';

/** So many sets at the most get their unions too. */
const mostUnited = 6;

/** All sets of cooks that some work is for, but not all cooks: by duty, and by pace where paces differ. */
function workSets(kitchen: Kitchen): readonly (readonly Cook[])[] {
	const works = [undefined, ...new Set(kitchen.cooks.flatMap((c) => c.avoids ?? []))].map((d) => ableTo(kitchen, d));
	const paces = isPaced(kitchen) ? [...new Set(kitchen.cooks.map(paceOf))] : [];
	const sets = works.flatMap((able) => [able, ...paces.map((pace) => able.filter((c) => paceOf(c) === pace))]);
	return distinct(kitchen, sets);
}

function distinct(kitchen: Kitchen, sets: readonly (readonly Cook[])[]): readonly (readonly Cook[])[] {
	// In the order of the kitchen, so that a set has one name.
	const ordered = sets.map((set) => kitchen.cooks.filter((c) => set.includes(c)));
	const byId = new Map(ordered.map((crew) => [idOf(crew), crew]));
	return [...byId.values()].filter((crew) => crew.length > 0 && crew.length < kitchen.cooks.length);
}

/** The sets of cooks that are resources: those of some work and their unions; or each cook. */
function crewsOf(kitchen: Kitchen, manning: Manning): readonly (readonly Cook[])[] {
	if (manning === 'named')
		return distinct(
			kitchen,
			kitchen.cooks.map((c) => [c])
		);
	const sets = workSets(kitchen);
	if (sets.length > mostUnited) return sets;
	const unions = sets.reduce<readonly (readonly Cook[])[]>(
		(all, set) => [...all, ...all.map((other) => [...other, ...set]), set],
		[]
	);
	return distinct(kitchen, unions);
}

/**
 * Hands of a kitchen as resources: all of them, and each set of cooks that some work is for. Work for a set takes all sets
 * that it lies in, unions of sets too: at no instant more is asked of any cooks than there are of them (Hall 1935, J. London
 * Math. Soc. 10, 26–30). That a whole evening can be given out so is another matter: see `assignHands`, and *named* hands.
 */
export function handsOf(kitchen: Kitchen, manning: Manning): Problem['resources'] {
	const crews = crewsOf(kitchen, manning).map((crew) => ({ id: idOf(crew), capacity: crew.length }));
	return [{ id: 'hands', capacity: kitchen.cooks.length }, ...crews];
}

/** The kinds of hands that can do a step: one for each pace where it is handwork from start to end; or each cook. */
export function handsFor(
	step: Pick<Step, 'kind' | 'need' | 'hands'>,
	kitchen: Kitchen,
	manning: Manning
): readonly Hands[] {
	const able = ableTo(kitchen, dutyOf(step));
	if (step.hands.kind === 'none') return [{ pace: 1, also: [] }];
	if (able.length === 0) return [];
	// A touch is anybody's.
	if (step.hands.kind !== 'whole' || !isPaced(kitchen)) return anyOf(able, kitchen, manning);
	const resources = resourcesIn(kitchen, manning);
	if (isByName(kitchen, manning)) return able.map((c) => ({ pace: paceOf(c), also: resources([c]) }));
	return [...new Set(able.map(paceOf))].map((pace) => ({
		pace,
		also: resources(able.filter((c) => paceOf(c) === pace))
	}));
}

/** Any hands of a kitchen for what goes at one pace, as plating does: all of them together, or each cook. */
export const anyHands = (kitchen: Kitchen, manning: Manning) => anyOf(kitchen.cooks, kitchen, manning);

/** Whoever of these it is, at the pace of them all together. */
function anyOf(able: readonly Cook[], kitchen: Kitchen, manning: Manning): readonly Hands[] {
	const resources = resourcesIn(kitchen, manning);
	const pace = able.reduce((sum, c) => sum + paceOf(c), 0) / able.length;
	if (isByName(kitchen, manning)) return able.map((c) => ({ pace, also: resources([c]) }));
	return [{ pace, also: resources(able) }];
}

const isByName = (kitchen: Kitchen, manning: Manning) => manning === 'named' && kitchen.cooks.length > 1;

/** The sets of cooks that some of them lie in, as resources. */
function resourcesIn(kitchen: Kitchen, manning: Manning): (some: readonly Cook[]) => readonly string[] {
	const crews = crewsOf(kitchen, manning);
	return (some) => crews.filter((set) => some.every((c) => set.includes(c))).map((set) => idOf(set));
}

/** Whether a cook can be the hands of a use that takes these resources. */
export function canServe(cook: Cook, resources: readonly string[]): boolean {
	return resources.every((id) => {
		const members = crewMembers(id);
		return members === undefined || members.includes(cook.id);
	});
}

/** Ids of the cooks that a resource stands for; `undefined` where it stands for none. */
export function crewMembers(resource: string): readonly string[] | undefined {
	return resource.startsWith(crewPrefix) ? resource.slice(crewPrefix.length).split('+') : undefined;
}
