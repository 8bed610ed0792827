// What of the list a step names: by the words of its name, its family, what it was cut into.
import type { Action } from './actions';
import { wordsOf } from './called';

/** An ingredient as steps may name it. */
export interface Known {
	readonly words: readonly string[];
	readonly also: readonly string[];
	readonly section: string | null;
}

/** What a step says of the list. */
interface Mentions {
	/** Its words, without what is only told of the meantime. */
	readonly said: string;
	readonly words: ReadonlySet<string>;
	readonly mentioned: readonly Known[];
	/** The names by which what it takes is known again. */
	readonly items: readonly string[];
	/** Whether that is more than salt, water and the like. */
	readonly isSomething: boolean;
}

/** What every kitchen has: to name it joins nothing. */
export const everywhere = new Set('salt pepper water oil seasoning butter sugar'.split(' '));

/** Of these nothing is made. */
const common = new Set('salt pepper water oil seasoning'.split(' '));

/** What a step names of the list. */
export function mentionsOf(action: Action, known: readonly Known[]): Mentions {
	// What is only told of the meantime is not what is worked on: “While the loaf bakes”.
	const said = action.text
		.replace(/^\s*(?:meanwhile,?\s*)?(?:while|whilst|(?:just |shortly )?before)\b[^,]*,/i, ' ')
		.replace(/\b(?:duck|goose|beef|bacon|chicken|pork) (?:fat|dripping|lard)\b/gi, 'fat');
	const words = new Set(wordsOf(withoutVerb(said, action)));
	// What is called so, before what is only called after it: “the eggs” are no yolks.
	const byLast = new Set(known.flatMap(({ words: names }) => (words.has(names.at(-1) ?? '') ? names.slice(-1) : [])));
	const called = known.filter(({ words: names, also }) => {
		// What things are cooked in joins nothing.
		if (/^(?:fat|dripping|lard|ghee)$/.test(names.at(-1) ?? '')) return false;
		if (words.has(names.at(-1) ?? '')) return true;
		const via = [...names.slice(0, -1).filter((n) => n.length > 3 || byLast.has(n)), ...also];
		return via.some((w) => words.has(w) && !byLast.has(w));
	});
	// “celery root” is no celery.
	const mentioned = called.filter(
		(k) =>
			!called.some(
				(m) => isWithin(k.words, m.words) && m.words.every((w) => words.has(w)) && !isApart(said, k.words, m.words)
			)
	);
	// All its names, so that it is known again by another one.
	const items = [
		...new Set(
			mentioned.flatMap(({ words: names, also }) => [
				...names.filter((n) => words.has(n) || n === names.at(-1)),
				...also
			])
		)
	].filter((w) => !everywhere.has(w));
	const isSomething = mentioned.some(({ words: names }) => !names.every((n) => common.has(n)));
	// An egg's white and its yolk go their own ways.
	const egg = items.indexOf('egg');
	const half = words.has('white') === words.has('yolk') ? undefined : words.has('white') ? 'white' : 'yolk';
	if (half !== undefined && known.some(({ words: names, also }) => names.includes('egg') || also.includes('egg')))
		items.splice(Math.max(0, egg), egg < 0 ? 0 : 1, half);
	return { said, words, mentioned, items, isSomething };
}

/** Whether the words of one name are some of those of another. */
const isWithin = (names: readonly string[], of: readonly string[]) =>
	names.length < of.length && names.every((w) => of.includes(w));

/** Whether a text has a name also without the longer one that it is part of. */
const isApart = (text: string, names: readonly string[], longer: readonly string[]) => {
	const all = wordsOf(text);
	const rest = longer.filter((w) => !names.includes(w));
	const own = all.flatMap((w, i) => (names.includes(w) ? [i] : []));
	return own.some((i) => !rest.some((w) => all[i - 1] === w || all[i + 1] === w));
};

/** “chop” is not a chop. */
const withoutVerb = (text: string, { verb, lead }: Action): string => {
	const at = text.toLowerCase().indexOf(verb, Math.min(lead.length, text.length));
	return at < 0 ? text : `${text.slice(0, at)} ${text.slice(at + verb.length)}`;
};
