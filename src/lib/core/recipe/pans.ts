// In which vessel each step of a recipe is done, and from which step to which it stays in it.
import type { Kitchen, VesselKind } from '../model/kitchen';
import type { Need } from '../model/technique';
import { isInOwnVessel } from './order';
import type { ReadStep } from './read';

const panWords: readonly (readonly [RegExp, VesselKind])[] = [
	[/\b(?:frying pan|skillet|wok|saut[eé] pan|shallow pan|wide (?:[a-z]+ )?pan|griddle)\b/i, 'frying pan'],
	[/\b(?:saucepan|small pan|milk pan)\b/i, 'saucepan'],
	[/\b(?:pot|casserole|stockpot|large pan|big pan|deep pan|pan of)\b/i, 'pot']
];
/** What takes it out of the vessel. */
const outOf =
	/\b(?:bowl|blender|processor|board|plate|platter|jug|sieve|colander|rack|set aside|lift out|turn out|remove (?:it|them|the)|carve|slice|ice water|drain (?!off))\b|^drain\b(?! off)/i;
/** What goes from the hob into the oven, and what is put into something else for that. */
const ovenproof = /\b(?:oven-?proof|flame-?proof|casserole|dutch oven|roasting (?:tin|pan|tray))\b/i;
const bakedIn = /\b(?:into|in|to|on|onto)\s+(?:a|an|the)\s+(?:[a-z]+\s+){0,3}(?:dish|tin|tray|ramekins?|sheet)\b/i;
/** As many steps off the heat, one after the other, leave what is cooked in its pan. */
const mostBetween = 3;

type Place = Need['kind'] | undefined;
interface Places {
	readonly get: (step: string) => Place;
}

/** Steps in one vessel, from one that is hot, through what is stirred in between, to the last. */
function inOneVessel(first: ReadStep, steps: readonly ReadStep[], places: Places, seen: ReadonlySet<string>) {
	const chain = [first];
	const isOpen = (s: ReadStep) => !seen.has(s.id) && !chain.includes(s);
	/** The way from a step to the next on the heat. */
	const onwards = (from: ReadStep, left: number): readonly ReadStep[] | undefined => {
		const after = steps.filter((s) => s.after.includes(from.id) && isOpen(s));
		const next = after.find((s) => continues(s));
		if (next) return [next];
		if (left === 0) return undefined;
		for (const s of after) {
			const isBeside = places.get(s.id) === 'board' && !outOf.test(s.text.trim()) && !isInOwnVessel(s.text);
			const beyond = isBeside ? onwards(s, left - 1) : undefined;
			if (beyond) return [s, ...beyond];
		}
		return undefined;
	};
	const continues = (s: ReadStep) => {
		const place = places.get(s.id);
		if (place === 'burner') return !isInOwnVessel(s.text) && chain.every((c) => places.get(c.id) !== 'oven');
		if (place !== 'oven' || bakedIn.test(s.text)) return false;
		const isFromHob = places.get(first.id) === 'burner';
		return !isFromHob || ovenproof.test([...chain, s].map((c) => c.text).join(' '));
	};
	for (;;) {
		const more = onwards(chain.at(-1) ?? first, mostBetween);
		if (!more) return chain;
		chain.push(...more);
	}
}

/**
 * What stays on the heat from one step to the next stays in its pan, into the oven too where it is ovenproof; what is only
 * in the oven is on its tray or in its dish.
 *
 * @param places what kind of station each step is done at in this kitchen, by id
 */
export function vesselsOf(
	steps: readonly ReadStep[],
	places: Places,
	{ vessels }: Pick<Kitchen, 'vessels'>
): readonly { readonly kind: VesselKind; readonly from: string; readonly to: string }[] {
	const owned = (kind: VesselKind) => vessels.some((v) => v.kind === kind && v.count > 0);
	const first = (...wanted: readonly VesselKind[]) => wanted.find(owned);
	const seen = new Set<string>();
	return steps.flatMap((s) => {
		const place = places.get(s.id);
		if (seen.has(s.id) || (place !== 'burner' && place !== 'oven')) return [];
		const chain = inOneVessel(s, steps, places, seen);
		for (const c of chain) seen.add(c.id);
		const text = chain.map((c) => c.text).join(' ');
		const said = panWords.find(([word, kind]) => word.test(text) && owned(kind))?.[1];
		const isFried = chain.some((c) => (c.kind === 'fry' || c.kind === 'sear') && c.celsius === null);
		const kind =
			place === 'oven'
				? /\b(?:dish|tin|gratin|loaf|casserole)\b/i.test(text)
					? first('dish', 'tray')
					: first('tray', 'dish')
				: (said ?? (isFried ? first('frying pan', 'saucepan', 'pot') : first('saucepan', 'pot', 'frying pan')));
		return kind ? [{ kind, from: s.id, to: (chain.at(-1) ?? s).id }] : [];
	});
}
