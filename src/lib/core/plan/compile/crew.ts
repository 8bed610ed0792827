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

const isPaced = (kitchen: Kitchen) => new Set(kitchen.cooks.map(paceOf)).size > 1;

/** Hands of a kitchen as resources: all of them, those that do each duty, those of each pace. */
export function handsOf(kitchen: Kitchen): Problem['resources'] {
	const { cooks } = kitchen;
	const avoided = new Set(cooks.flatMap((c) => c.avoids ?? []));
	const able = [...avoided].map((duty) => ({
		id: `hands:${duty}`,
		capacity: cooks.filter((c) => !hasAvoided(c, duty)).length
	}));
	const paces = isPaced(kitchen) ? [...new Set(cooks.map(paceOf))] : [];
	const paced = paces.map((p) => ({ id: `pace:${p}`, capacity: cooks.filter((c) => paceOf(c) === p).length }));
	return [{ id: 'hands', capacity: cooks.length }, ...able, ...paced];
}

/** The kinds of hands that can do a step: one for each pace where it is handwork from start to end. */
export function handsFor(step: Pick<Step, 'kind' | 'need' | 'hands'>, kitchen: Kitchen): readonly Hands[] {
	const duty = dutyOf(step);
	const able = kitchen.cooks.filter((c) => !hasAvoided(c, duty));
	const isAvoided = able.length < kitchen.cooks.length;
	const also = isAvoided && duty ? [`hands:${duty}`] : [];
	const isWhole = step.hands.kind === 'whole';
	const paces = [...new Set(able.map(paceOf))];
	if (able.length === 0) return step.hands.kind === 'none' ? [{ pace: 1, also: [] }] : [];
	// A touch is anybody's: at the pace of them all together.
	if (!isWhole || !isPaced(kitchen)) {
		return [{ pace: able.reduce((sum, c) => sum + paceOf(c), 0) / able.length, also }];
	}
	return paces.map((pace) => ({ pace, also: [...also, `pace:${pace}`] }));
}

/** Whether a cook can be the hands of a use that takes these resources. */
export function canServe(cook: Cook, resources: readonly string[]): boolean {
	return resources.every((id) => {
		const [kind, of = ''] = id.split(':');
		if (kind === 'pace') return String(paceOf(cook)) === of;
		return kind !== 'hands' || of === '' || !(cook.avoids ?? []).some((duty) => duty === of);
	});
}
