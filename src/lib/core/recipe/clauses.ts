// Instructions cut into sentences, and sentences into clauses: one verb that says what is done, with what leads to it.
import { timesIn } from './numbers';
import { imperativesIn, type Imperative } from './verbs';

const abbreviations = /\b(?:approx|tbsps?|tsps?|tbs|oz|lbs?|no|ca|e\.g|i\.e|fl|deg|vs|temp)\.$/i;
/** A full stop that only shortens a word: what stands for it while a text is cut. */
const dot = '\uE000';
const shortened =
	/\b([Tt]bsps?|[Tt]sps?|[Tt]bs|[Oo]z|[Ll]bs?|[Mm]ins?|[Hh]rs?|[Ss]ecs?|[Aa]pprox|[Pp]kg|[Pp]ts?|[Qq]ts?|in|c|fl|deg|temp)\.(?=[\s)]*[,;a-zà-ÿ0-9(½¼¾⅓⅔-])/g;
export const masked = (text: string): string => text.replace(shortened, `$1${dot}`);
export const unmasked = (text: string): string => text.replaceAll(dot, '.');

/** Sentences of a text, with their full stops. */
export function sentencesOf(text: string): readonly string[] {
	const parts = text.split(/(?<=[.!?])["”’)]?\s+(?=[A-ZÀ-Þ0-9"“(¼½¾])|\s*;\s+(?=[a-zA-Z])|\n+/);
	const sentences: string[] = [];
	for (const part of parts) {
		const last = sentences.at(-1);
		if (last !== undefined && abbreviations.test(last)) sentences[sentences.length - 1] = `${last} ${part}`;
		else sentences.push(part);
	}
	return sentences.map((s) => s.trim()).filter((s) => s !== '');
}

export interface Clause {
	readonly text: string;
	readonly lead: string;
	readonly verbs: readonly Imperative[];
	/** The verb that says what is done. */
	readonly main: Imperative;
	/** The clause from its main verb. */
	readonly from: string;
}

/** A sentence cut at its verbs; what only puts things in goes with what is then done to them. */
export function clausesOf(sentence: string): readonly Clause[] {
	const verbs = imperativesIn(sentence);
	if (verbs.length === 0) return [];
	const pieces = verbs.map((v, i) => {
		const from = i === 0 ? 0 : v.at;
		const to = verbs[i + 1]?.at ?? sentence.length;
		return { verb: v, raw: sentence.slice(from, to), from };
	});
	const clauses: Clause[] = [];
	let held: { verbs: Imperative[]; text: string; lead: string } | undefined;
	pieces.forEach(({ verb, raw, from }, i) => {
		const text = raw.replace(/[\s,;]*(?:(?:\b(?:and|then|or)\b|&)[\s,]*)*(?:[a-z]+ly\s*)?$/i, '').trim();
		const lead = i === 0 ? sentence.slice(0, verb.at).trim() : (adverbsBefore(sentence, verb.at) ?? '');
		const next = pieces[i + 1];
		const group = held ? [...held.verbs, verb] : [verb];
		const firstLead = held?.lead ?? lead;
		const isWeak = weak(verb, raw) && next !== undefined && canTake(next.verb, verb);
		if (isWeak) {
			held = {
				verbs: group,
				text: sentence.slice(held ? sentence.indexOf(held.text) : from, from + raw.length).trimEnd(),
				lead: firstLead
			};
			return;
		}
		const begins = held ? sentence.indexOf(held.text) : from;
		const own = held
			? sentence
					.slice(begins, from + raw.length)
					.replace(/[\s,;]*(?:(?:\b(?:and|then|or)\b|&)[\s,]*)*$/i, '')
					.trim()
			: text;
		clauses.push({
			text: own.replace(/[.\s]+$/, (end) => (end.includes('.') ? '.' : '')),
			lead: firstLead,
			verbs: group,
			main: verb,
			from: sentence.slice(verb.at, from + raw.length)
		});
		held = undefined;
	});
	return clauses;
}

const adverbsBefore = (sentence: string, at: number) =>
	/\b(?:meanwhile|then)\s*,?\s*$/i.exec(sentence.slice(0, at))?.[0].trim();

/** Whether a verb only brings things to where the next one does something to them. */
function weak(v: Imperative, raw: string): boolean {
	const isTimed = timesIn(raw).length > 0;
	if (v.verb.kind === 'put' || v.verb.kind === 'skip')
		return !isTimed && !/\b(?:set aside|set to one side)\b/i.test(raw);
	return v.word === 'add' && !isTimed;
}

/** Whether a verb does something to what was put before it. */
function canTake({ verb, word }: Imperative, before: Imperative): boolean {
	if (verb.kind === 'skip') return false;
	if (before.verb.kind === 'skip') return true;
	if (verb.kind === 'plate') return false;
	if (verb.kind === 'put') return before.word === 'add';
	if (verb.kind === 'let') return true;
	if (word === 'set aside' || word === 'reserve') return false;
	return [
		'heat',
		'sear',
		'fry',
		'simmer',
		'boil',
		'bake',
		'roast',
		'grill',
		'steam',
		'cook',
		'mix',
		'chill',
		'rest',
		'soak',
		'marinate',
		'drain'
	].includes(verb.kind);
}
