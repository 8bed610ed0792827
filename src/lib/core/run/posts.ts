// Who is in the kitchen during a run, and what each of them does: the head cook's view.
import type { Kitchen } from '../model/kitchen';
import type { Cue } from './cues';
import type { Facts } from './facts';
import type { View } from './view';

type Cook = Kitchen['cooks'][number];

/** How the ids of those begin who came to help: stations come back, too. */
const helping = 'helper-';
/** What those are called who came to help. */
const helperName = (id: string) => `Helper ${id.replace(/^\D+/, '')}`;

/** An id for one more who comes to help. */
export function nextHelper({ joined }: Pick<Facts, 'joined'>, kitchen: Pick<Kitchen, 'cooks'>): string {
	const taken = new Set([...joined, ...kitchen.cooks.map((c) => c.id)]);
	let n = 1;
	while (taken.has(`${helping}${n}`)) n++;
	return `${helping}${n}`;
}

/** All who were here at any time of the run, in the kitchen's order, then those who came. */
export function everybody(
	{ away, joined }: Pick<Facts, 'away' | 'joined'>,
	kitchen: Pick<Kitchen, 'cooks'>
): readonly { readonly cook: Cook; readonly isHere: boolean }[] {
	const came = joined.filter((id) => id.startsWith(helping) && !kitchen.cooks.some((c) => c.id === id));
	return [...kitchen.cooks, ...came.map((id) => ({ id, name: helperName(id) }))].map((cook) => ({
		cook,
		isHere: !away.has(cook.id)
	}));
}

/** The kitchen with the cooks who are here now; the kitchen's own where nobody would be left. */
export function withCrew<K extends Pick<Kitchen, 'cooks'>>(kitchen: K, facts: Pick<Facts, 'away' | 'joined'>): K {
	const here = everybody(facts, kitchen).filter((e) => e.isHere);
	return here.length === 0 ? kitchen : { ...kitchen, cooks: here.map((e) => e.cook) };
}

/** The kitchen with its fires as hot as they were measured. */
export function withHeats<K extends Pick<Kitchen, 'stations'>>(kitchen: K, heats: ReadonlyMap<string, number>): K {
	const stations = kitchen.stations.map((s) => {
		const temperature = heats.get(s.id);
		const isFire = s.kind === 'grill' || s.kind === 'wood oven';
		return isFire && temperature !== undefined ? { ...s, temperature } : s;
	});
	return { ...kitchen, stations };
}

/** One cook's place in the run. */
export interface Post {
	readonly cook: string;
	/** What is due or in their hands. */
	readonly now: Cue | undefined;
	readonly next: Cue | undefined;
	/** Where that is, by the plan's lanes; absent: nothing to do any more. */
	readonly lane: string | undefined;
}

/** What each cook does now, and next. */
export function postsOf(
	{ now, next, plan }: Pick<View, 'now' | 'next' | 'plan'>,
	cooks: readonly string[]
): readonly Post[] {
	return cooks.map((cook): Post => {
		const mine = (c: Cue) => c.cook === cook && c.hand !== undefined;
		const [first, second] = [now.find(mine), next.find(mine)];
		const step = plan.steps.find((s) => s.id === (first ?? second)?.step);
		return { cook, now: first, next: second, lane: plan.lanes.find((l) => l.id === step?.lane)?.name };
	});
}
