// The meal and the kitchen as they have become while an evening is on: what failed, who else came, what is out of order.
import {
	withCovers,
	withPartAnew,
	withPartFacts,
	withService,
	withoutPart,
	withTechnique,
	withWish
} from '../model/edit-meal';
import type { Kitchen } from '../model/kitchen';
import type { Meal } from '../model/meal';
import type { Technique } from '../model/technique';
import type { Facts, MealChange } from './facts';
import { withCrew, withHeats } from './posts';

type Techniques = ReadonlyMap<string, Technique>;
type Failed = Extract<MealChange, { kind: 'failed' }>;

/** The meal with all that has changed about it, in the order in which it did. What names a part that is gone changes nothing. */
export function mealDuring(meal: Meal, { changes }: Pick<Facts, 'changes'>, techniques: Techniques): Meal {
	return changes.reduce((m, change) => withChange(m, change, techniques), meal);
}

function withChange(meal: Meal, change: MealChange, techniques: Techniques): Meal {
	switch (change.kind) {
		case 'failed':
			return withFailed(meal, change, techniques);
		case 'guests': {
			const { covers, wish } = change;
			const there = covers === meal.covers ? meal : withCovers(meal, covers);
			if (!wish || !there.parts.some((p) => p.id === wish.part)) return there;
			const { part, ...own } = wish;
			// Another guest may want the same.
			const before = there.parts.find((p) => p.id === part)?.wishes?.find((w) => w.id === own.id)?.covers ?? 0;
			return withWish(there, part, { ...own, covers: own.covers + before });
		}
		case 'service':
			return withService(meal, change.course, change.to);
	}
}

function withFailed(meal: Meal, { part: id, covers, then, technique: name }: Failed, techniques: Techniques): Meal {
	const part = meal.parts.find((p) => p.id === id);
	const technique = techniques.get(then === 'otherwise' ? (name ?? '') : (part?.technique ?? ''));
	if (!part || then === undefined) return meal;
	const all = part.covers ?? meal.covers;
	const lost = Math.min(all, covers ?? all);
	if (then === 'without')
		return lost < all ? withPartFacts(meal, id, { covers: all - lost }) : withoutPart(meal, id, techniques);
	if (!technique) return meal;
	const anew = withPartAnew(meal, id, lost, techniques);
	return technique.id === part.technique ? anew.meal : withTechnique(anew.meal, anew.part, technique, techniques);
}

/** The kitchen as it is now: without what is out of order, with who is here, its fires as hot as they were measured. */
export function kitchenDuring(kitchen: Kitchen, facts: Pick<Facts, 'away' | 'joined' | 'heats'>): Kitchen {
	const stations = kitchen.stations.filter((s) => !facts.away.has(s.id));
	return withCrew(withHeats({ ...kitchen, stations }, facts.heats), facts);
}
