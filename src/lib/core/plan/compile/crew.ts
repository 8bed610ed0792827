// Who can do what: hands as resources, whole pieces of handwork at each cook's pace.
import type { Cook, Duty, Kitchen } from '../../model/kitchen';
import type { Need, Step } from '../../model/technique';
import type { Problem } from '../problem';

const paceOf = (cook: Cook) => cook.measuredPace ?? cook.pace ?? 1;
const hasAvoided = (cook: Cook, duty: Duty | undefined) => duty !== undefined && (cook.avoids ?? []).includes(duty);

const dutyAt: Partial<Record<Need['kind'], Duty>> = {
	fryer: 'frying',
	burner: 'stove',
	grill: 'stove',
	griddle: 'stove',
	oven: 'oven',
	broiler: 'oven',
	'wood oven': 'oven'
};

/** What a step asks of whoever does it. */
export function dutyOf({ kind, need }: Pick<Step, 'kind' | 'need'>): Duty | undefined {
	return (need && dutyAt[need.kind]) ?? (kind === 'prep' ? 'knife' : undefined);
}

/** A pair of hands of one kind: resources that its use takes beside `hands`, and its pace. */
export interface Hands {
	readonly pace: number;
	readonly also: readonly string[];
}

const crewPrefix = 'crew:';
const isPaced = (kitchen: Kitchen) => new Set(kitchen.cooks.map(paceOf)).size > 1;
const ableTo = (kitchen: Kitchen, duty: Duty | undefined) => kitchen.cooks.filter((c) => !hasAvoided(c, duty));
const idOf = (crew: readonly Cook[]) => `${crewPrefix}${crew.map((c) => c.id).join('+')}`;

/** All sets of cooks that some work is for, but not all cooks: by duty, and by pace where paces differ. */
function crewsOf(kitchen: Kitchen): readonly (readonly Cook[])[] {
	const works = [undefined, ...new Set(kitchen.cooks.flatMap((c) => c.avoids ?? []))].map((d) => ableTo(kitchen, d));
	const paces = isPaced(kitchen) ? [...new Set(kitchen.cooks.map(paceOf))] : [];
	const sets = works.flatMap((able) => [able, ...paces.map((pace) => able.filter((c) => paceOf(c) === pace))]);
	const distinct = new Map(sets.map((crew) => [idOf(crew), crew]));
	return [...distinct.values()].filter((crew) => crew.length > 0 && crew.length < kitchen.cooks.length);
}

/**
 * Hands of a kitchen as resources: all of them, and each set of cooks that some work is for. Work for a set takes all sets
 * that it lies in: together never more is asked of a set than it has hands (Hall 1935, J. London Math. Soc. 10, 26–30, for
 * the sets that are nested).
 */
export function handsOf(kitchen: Kitchen): Problem['resources'] {
	const crews = crewsOf(kitchen).map((crew) => ({ id: idOf(crew), capacity: crew.length }));
	return [{ id: 'hands', capacity: kitchen.cooks.length }, ...crews];
}

/** The kinds of hands that can do a step: one for each pace where it is handwork from start to end. */
export function handsFor(step: Pick<Step, 'kind' | 'need' | 'hands'>, kitchen: Kitchen): readonly Hands[] {
	const able = ableTo(kitchen, dutyOf(step));
	if (able.length === 0) return step.hands.kind === 'none' ? [{ pace: 1, also: [] }] : [];
	const crews = crewsOf(kitchen);
	const resources = (crew: readonly Cook[]) =>
		crews.filter((set) => crew.every((c) => set.includes(c))).map((set) => idOf(set));
	// A touch is anybody's: at the pace of them all together.
	if (step.hands.kind !== 'whole' || !isPaced(kitchen)) {
		return [{ pace: able.reduce((sum, c) => sum + paceOf(c), 0) / able.length, also: resources(able) }];
	}
	return [...new Set(able.map(paceOf))].map((pace) => ({
		pace,
		also: resources(able.filter((c) => paceOf(c) === pace))
	}));
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
