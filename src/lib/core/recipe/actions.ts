// Instructions cut into actions: of each what kind it is, where, how hot, how long, whose hands, and what it looks like when done.
import { temperaturesIn, timesIn, type WrittenTime } from './numbers';
import type { Line } from './source';
import { imperativesIn, letting, type Hands, type Imperative, type Kind, type Station } from './verbs';

export interface Action {
	/** The recipe's own words. */
	readonly text: string;
	readonly kind: Kind;
	readonly station: Station;
	readonly heat: 'low' | 'medium' | 'high' | null;
	readonly celsius: number | null;
	readonly fan?: true;
	readonly seconds: readonly [number, number, number] | null;
	/** Whether the time is written, or an estimate. */
	readonly isWritten: boolean;
	readonly hands: Hands;
	readonly sign: string | null;
	readonly section: string | null;
	/** Which instruction, and which sentence in all. */
	readonly line: number;
	readonly sentence: number;
	/** The words before the verb: “In another bowl”, “While the loaf bakes”. */
	readonly lead: string;
	/** The verb. */
	readonly verb: string;
	/** It is put by afterwards: what comes next is of something else. */
	readonly isAside: boolean;
}

/** What a recipe has going when a sentence begins. */
interface Going {
	oven: { celsius: number; isFan: boolean } | undefined;
	oil: number | undefined;
	bath: number | undefined;
	/** Where the last step was that cooked. */
	last: { kind: Kind; station: Station } | undefined;
	/** A fat in a pan, a liquid in a pot. */
	isWet: boolean;
	isDeep: boolean;
	grillNext: boolean;
}

const abbreviations = /\b(?:min|mins|hr|hrs|approx|tbsp|tsp|oz|lb|lbs|no|ca|e\.g|i\.e|fl|deg|vs|etc|temp)\.$/i;

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

/** All actions of the instructions, in order. */
export function actionsOf(lines: readonly Line[]): readonly Action[] {
	const going: Going = {
		oven: undefined,
		oil: undefined,
		bath: undefined,
		last: undefined,
		isWet: false,
		isDeep: false,
		grillNext: false
	};
	let sentence = 0;
	const actions: Action[] = [];
	lines.forEach(({ text, section }, line) => {
		let head = section;
		/** What was said before it of what comes now: “Meanwhile, make the dumplings.” */
		let said = '';
		const sentences = sentencesOf(text);
		sentences.forEach((s, k) => {
			// “ROAST THE SQUASH.” heads what comes after it.
			if (k < sentences.length - 1 && isHead(s)) {
				head = s.replace(/[.:!]+$/, '').toLowerCase();
				return;
			}
			sentence++;
			const before = actions.length;
			for (const clause of clausesOf(s)) {
				const found = actionOf(clause, going, { section: head, line, sentence });
				const action = found && said !== '' ? { ...found, lead: `${said} ${found.lead}` } : found;
				if (action) said = '';
				const last = actions.at(-1);
				if (action) actions.push(action);
				else if (last && aside.test(clause.text)) actions[actions.length - 1] = { ...last, isAside: true };
			}
			if (actions.length > before) return;
			const made = /\b(?:make|prepare|start|begin) (?:with )?the ([a-z ]+?)(?=[.,:]|$)/i.exec(s)?.[1];
			if (made !== undefined) said = `for the ${made},`;
			if (newly.test(s)) said = `Meanwhile, ${said}`;
		});
	});
	return actions;
}

const newly = /^\s*(?:meanwhile|in the meantime|while)\b/i;
/** Words that stand over others: short and loud. */
const isHead = (s: string) => /^[A-Z][A-Z' -]{3,50}[.:!]$/.test(s) && s.split(' ').length <= 6;

const aside =
	/\b(?:set (?:it |them |this |these |the [a-z ]+ )?(?:aside|to one side)|put (?:it |them |the [a-z ]+ )?(?:aside|to one side)|keep (?:it |them |the [a-z ]+ )?warm|remove (?:it |them |the [a-z ]+ )?(?:from the (?:pan|skillet|pot|wok|casserole)|to a|and set)|transfer (?:it |them |the [a-z ]+ )?to a (?:plate|bowl|dish|board)|(?:onto|to|on) a (?:warm |large |clean )?plate|lift out|scoop out|tip (?:it |them )?(?:out|onto a plate|into a bowl))\b/i;

interface Clause {
	readonly text: string;
	readonly lead: string;
	readonly verbs: readonly Imperative[];
	/** The verb that says what is done. */
	readonly main: Imperative;
	/** The clause from its main verb. */
	readonly from: string;
}

const ovenWord = /\b(?:oven|rack|shelf)\b/i;

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
		const text = raw.replace(/[\s,;]*(?:\b(?:and|then|or)\b[\s,]*)*(?:[a-z]+ly\s*)?$/i, '').trim();
		const lead = i === 0 ? sentence.slice(0, verb.at).trim() : (adverbsBefore(sentence, verb.at) ?? '');
		const next = pieces[i + 1];
		const whole = held
			? `${held.text} ${sentence.slice(from).startsWith(raw) ? joiner(sentence, from) : ''}${text}`
			: text;
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
					.replace(/[\s,;]*(?:\b(?:and|then|or)\b[\s,]*)*$/i, '')
					.trim()
			: whole;
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

const joiner = (sentence: string, at: number) => (/\band\s*$/i.test(sentence.slice(0, at)) ? 'and ' : '');
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

const skips =
	/^(?:(?:pre)?heat(?:ing)?\s+(?:up\s+)?(?:the|your|an?)?\s*(?:fan\s+|conventional\s+|electric\s+|gas\s+)?oven\b|turn\s+(?:on|up|down)\s+(?:the|your)?\s*oven|set\s+(?:the|your)?\s*oven|(?:pre)?heat\s+(?:the|your)?\s*(?:grill|broiler|barbecue|bbq|air fryer)\b(?!\s+pan))/i;

function actionOf(clause: Clause, going: Going, at: Pick<Action, 'section' | 'line' | 'sentence'>): Action | undefined {
	const { text, main, lead } = clause;
	const lower = text.toLowerCase();
	const own = clause.from.toLowerCase();
	const temperatures = temperaturesIn(text);
	const aboutOven = ovenWord.test(lower) || /^(?:pre)?heat to\b/.test(own);
	const isPreheat =
		skips.test(own) || skips.test(lower) || (/^preheat\b/.test(own) && !/\bpan|skillet|griddle|wok\b/.test(own));
	const [setting] = temperatures.filter((t) => !isInside(text, t.at));
	const hasFanWord = /\bfan\b/i.test(lower);
	if (
		isPreheat ||
		(main.verb.kind === 'skip' && aboutOven && setting) ||
		/\b(?:lower|reduce|increase|turn|raise|drop)\b[^.]*\b(?:oven|temperature|heat)\b[^.]*(?:\d{3}|gas)/.test(lower)
	) {
		if (/\bgrill|broiler|barbecue|bbq\b/.test(own) && !aboutOven) going.grillNext = true;
		else if (setting && /\boil\b/.test(lower) && !aboutOven) going.oil = setting.celsius;
		else if (setting) going.oven = { celsius: setting.celsius, isFan: setting.isFan };
		if (isPreheat || main.verb.kind === 'skip') return undefined;
	}
	if (setting && /\boil\b|deep|fryer/.test(lower) && /^(?:heat|bring|warm|pour|half-fill|fill)/.test(own)) {
		going.oil = setting.celsius;
		going.isDeep = true;
	}
	if (main.verb.kind === 'skip' && setting && /\boil\b/.test(lower)) going.oil = setting.celsius;
	const isBath = /\b(?:water bath|sous[- ]vide|immersion circulator)\b/.test(lower);
	if (isBath && setting) going.bath = setting.celsius;
	if (isBath && /^(?:set|heat|preheat|bring|fill|prepare)\b/.test(own)) return undefined;
	if (/\b(?:heat|warm|melt)\b[^.]*\b(?:oil|butter|ghee|dripping|lard|fat)\b/.test(lower)) going.isWet = false;
	const kind = kindOf(clause, going);
	if (kind === undefined) return undefined;
	const station = stationOf(kind, text, going);
	const written = timeOf(clause.text);
	const oven = station === 'oven' ? (setting ?? going.oven) : undefined;
	if (station === 'oven' && setting)
		going.oven = { celsius: setting.celsius, isFan: setting.isFan || (hasFanWord && temperatures.length === 1) };
	if (['fry', 'sear', 'simmer', 'boil', 'bake', 'roast', 'grill', 'heat', 'steam'].includes(kind)) {
		going.last = { kind, station };
		if (station === 'burner')
			going.isWet =
				kind === 'simmer' ||
				kind === 'boil' ||
				(kind === 'heat' && /\bboil|simmer\b/.test(lower)) ||
				(going.isWet && kind === 'heat') ||
				(/\b(?:stock|water|broth|wine|milk|cream|tomatoes|passata|coconut milk)\b/.test(lower) &&
					!/\bdrain|oil\b/.test(lower));
	}
	if (kind === 'drain') going.isWet = false;
	const celsius =
		station === 'oven'
			? (oven?.celsius ?? null)
			: station === 'water bath'
				? (setting?.celsius ?? going.bath ?? null)
				: going.isDeep &&
					  (station === 'fryer' || (kind === 'fry' && station === 'burner')) &&
					  (setting ?? going.oil) !== undefined
					? (setting?.celsius ?? going.oil ?? null)
					: kind === 'heat' && /\boil\b/.test(lower) && setting
						? setting.celsius
						: null;
	const hands = handsOf(kind, text, main, station);
	const sign = signOf(text);
	return {
		text,
		kind,
		station,
		heat: heatOf(lower, station),
		celsius,
		...(station === 'oven' && (oven?.isFan ?? false) ? { fan: true as const } : {}),
		seconds: written ?? estimate(kind, text),
		isWritten: written !== undefined,
		hands,
		sign,
		...at,
		lead,
		verb: main.word,
		isAside: aside.test(text)
	};
}

/** Whether a temperature is that of the food, not of what it is in. */
function isInside(text: string, at: number): boolean {
	const before = text.slice(Math.max(0, at - 60), at).toLowerCase();
	const after = text.slice(at, at + 45).toLowerCase();
	if (/\b(?:oil|water bath)\b[^.,;]{0,40}$/.test(before)) return false;
	if (/^[^,.]*\b(?:oven|bath|oil)\b/.test(after) && !/\bthermometer\b/.test(after)) return false;
	return (
		/\b(?:internal|inside|core|centre|center|thermometer|probe|thickest|reads?|registers?|reaches|temperature of)\b[^.]*$/.test(
			before
		) ||
		/^[^,.;]*\b(?:inside|internal|in the (?:middle|centre|center|thickest)|at the (?:core|centre|center)|on (?:a|an|the) .*thermometer|core)\b/.test(
			after
		)
	);
}

const inOven =
	/\b(?:in|into|to)\s+(?:the|a|your)\s+(?:hot|preheated|warm|low|middle of the)?\s*oven\b|\bin\s+the\s+(?:middle|top|bottom|centre)\s+of\s+the\s+oven\b/;
const underGrill =
	/\b(?:under|on|onto)\s+(?:the|a|your)\s+(?:hot\s+|preheated\s+|very hot\s+)?(?:grill|broiler|barbecue|bbq|coals)\b(?!\s+pan)/;
const cold = /\b(?:fridge|refrigerator|freezer|refrigerate)\b/;

function kindOf({ from, text, main, verbs }: Clause, going: Going): Kind | undefined {
	const lower = text.toLowerCase();
	const own = from.toLowerCase();
	const { kind } = main.verb;
	const { word } = main;
	const isTimed = timesIn(text).length > 0;
	switch (kind) {
		case 'skip': {
			if (/^keep\b[^.]*\b(?:warm|hot)\b/.test(own)) return undefined;
			if (/\b(?:rest|stand|cool)\b/.test(own) && isTimed) return 'rest';
			if (/^make\b/.test(own) && isTimed) return 'mix';
			if (/^(?:turn|flip|give)\b/.test(own) && isTimed && going.last) return going.last.kind;
			if (/^shake\b/.test(own) && /\bdressing|jar|together\b/.test(own)) return 'mix';
			if (/^(?:cover|remove|take)\b/.test(own) && isTimed && !/\b(?:before|earlier|ahead)\b/.test(own)) {
				if (cold.test(own)) return /\bout of|from\b/.test(own) ? 'rest' : 'chill';
				if (/\boff the heat|from the heat|aside|stand|rest\b/.test(own)) return 'rest';
				return going.last?.kind;
			}
			if (/^(?:use|start|begin)\b/.test(own)) return undefined;
			return undefined;
		}
		case 'let': {
			const inner = letting(own.slice(word.length));
			if (cold.test(own)) return inner === 'marinate' ? 'marinate' : 'chill';
			if (inner === 'cook') return cookKind(lower, going);
			if (inner === undefined) return isTimed ? 'rest' : undefined;
			if (inner === 'heat' && !/\bmelt/.test(own)) return 'heat';
			return inner;
		}
		case 'put': {
			if (/^(?:set|put) (?:it |them |this |the [a-z ]+ )?(?:aside|to one side)\b/.test(own))
				return isTimed ? (/\bmarinat/.test(own) ? 'marinate' : 'rest') : undefined;
			if (underGrill.test(own)) return 'grill';
			if (inOven.test(own) && (isTimed || /\buntil\b/.test(own)))
				return going.last?.kind === 'roast' ? 'roast' : 'bake';
			if (cold.test(own)) return 'chill';
			if (
				/\b(?:over|on|onto)\s+(?:a|the)?\s*(?:very\s+)?(?:low|medium|high|gentle|moderate|medium-high|medium-low)?[\s-]*(?:heat|hob|stove)\b/.test(
					own
				)
			)
				return 'heat';
			if (
				/\bwater bath\b/.test(own) ||
				(going.bath !== undefined && /\bbath\b/.test(own) && !/\b(?:from|out of)\b/.test(own))
			)
				return 'simmer';
			if (/\bsteamer\b/.test(own) && isTimed) return 'steam';
			if (isTimed && /\b(?:boiling|simmering)\b/.test(own)) return /\bboiling\b/.test(own) ? 'boil' : 'simmer';
			if (isTimed && /\bwater\b/.test(own) && /\bcold|warm|ice/.test(own)) return 'soak';
			if (isTimed && going.last?.station === 'burner' && /\bpan\b/.test(own)) return cookKind(lower, going);
			if (isTimed) return 'rest';
			if (
				/\b(?:to serve|on(?:to)? (?:a |the |each |warm |warmed |hot )*(?:plates?|platter|board|serving)|into (?:the |warm |warmed |deep )*bowls)\b/.test(
					own
				)
			)
				return 'plate';
			if (/^(?:pour|tip|spoon)\b/.test(own)) return /\bover\b/.test(own) ? 'finish' : 'prep';
			if (/^lay\b|^place\b|^put\b|^arrange\b|^nestle\b|^sit\b/.test(own) && /\btray|tin|dish|sheet|pan\b/.test(own))
				return 'prep';
			return 'prep';
		}
		case 'cook':
			if (own.startsWith('toast')) return toastKind(lower, going);
			if (/^continue\b|^keep/.test(own)) {
				const inner = /\b(?:to|with)?\s*(simmer|bak|roast|fry|cook|boil|whisk|beat|stir|knead|grill|steam)/.exec(
					own
				)?.[1];
				const named: Readonly<Record<string, Kind>> = {
					simmer: 'simmer',
					bak: 'bake',
					roast: 'roast',
					fry: 'fry',
					boil: 'boil',
					whisk: 'mix',
					beat: 'mix',
					stir: 'mix',
					knead: 'prep',
					grill: 'grill',
					steam: 'steam'
				};
				return inner === undefined || inner === 'cook' ? cookKind(lower, going) : named[inner];
			}
			return cookKind(lower, going);
		case 'prep':
		case 'mix':
		case 'heat':
		case 'sear':
		case 'fry':
		case 'simmer':
		case 'boil':
		case 'bake':
		case 'roast':
		case 'grill':
		case 'steam':
		case 'rest':
		case 'chill':
		case 'soak':
		case 'marinate':
		case 'drain':
		case 'finish':
		case 'plate':
			break;
	}
	// Words that mean different things in different company.
	if (word === 'stand' || word === 'sit') return 'rest';
	if (kind === 'heat') {
		if (/^(?:bring|return)\b/.test(own)) return /\broom temperature\b/.test(own) ? 'rest' : 'heat';
		if (/^come\b/.test(own)) return undefined;
		if (/^light\b/.test(own)) return undefined;
		return 'heat';
	}
	if (kind === 'sear' && /^(?:brown|colou?r)\b/.test(own) && (inOven.test(lower) || underGrill.test(lower)))
		return underGrill.test(lower) ? 'grill' : 'bake';
	if (kind === 'simmer' && /^(?:reduce|thicken|lower)\b/.test(own)) {
		if (/^reduce (?:the |to )?(?:heat|oven|temperature|a simmer|low|medium)/.test(own))
			return /\bsimmer\b/.test(own) && (isTimed || /\buntil\b/.test(own)) ? 'simmer' : undefined;
		return 'simmer';
	}
	if (
		kind === 'simmer' &&
		(word === 'braise' || word === 'stew' || word === 'confit' || word === 'poach') &&
		(inOven.test(lower) || /\boven\b/.test(lower))
	)
		return 'bake';
	if (kind === 'grill' && /\bgriddle pan|grill pan\b/.test(lower)) return 'fry';
	if (kind === 'chill' && /\bfreez/.test(own)) return 'chill';
	if (kind === 'rest' && /\bcool\b/.test(own) && cold.test(own)) return 'chill';
	if (kind === 'mix' && word === 'add') {
		if (isTimed && going.last?.station === 'burner') return cookKind(lower, going);
		return 'mix';
	}
	// In a pan that is on the heat one stirs on the heat.
	const isInPan = going.last?.station === 'burner' && /\b(?:add|pour|tip|in the pan|to the pan)\b/.test(lower);
	if (kind === 'mix' && isTimed && isInPan) return cookKind(lower, going);
	const isOverHeat = /\b(?:over|on)\s+(?:a\s+)?(?:very\s+)?(?:low|medium|high|gentle|moderate)[a-z -]*heat/.test(lower);
	if (kind === 'mix' && !isTimed && isOverHeat) return 'heat';
	if (
		kind === 'mix' &&
		isTimed &&
		/\b(?:over|on)\s+(?:a\s+)?(?:very\s+)?(?:low|medium|high|gentle|moderate)/.test(lower)
	)
		return 'simmer';
	if (kind === 'finish' && verbs.length === 1 && /^baste\b/.test(own)) return undefined;
	if (kind === 'finish' && /^taste\b/.test(own)) return 'finish';
	if (kind === 'finish' && /^top\b/.test(own) && /\bup\b|\btail\b/.test(own)) return 'prep';
	if (kind === 'plate') {
		if (/^(?:spoon|ladle|pile|arrange)\b/.test(own)) {
			if (/\b(?:tray|tin|baking|sheet|dish|case|mould|ramekins?|pan|griddle|skillet|jars?|moulds)\b/.test(own))
				return 'prep';
			if (/^spoon\b/.test(own) && /\bover\b/.test(own)) return 'finish';
		}
		return 'plate';
	}
	if (kind === 'prep' && /^divide\b/.test(own) && /\b(?:plates|bowls)\b/.test(own)) return 'plate';
	if (kind === 'prep' && /^(?:press|drain)\b/.test(own) && /\bsieve|colander\b/.test(own)) return 'drain';
	if (kind === 'prep' && /^salt\b/.test(own) && isTimed) return 'rest';
	if (kind === 'roast' && !ovenWord.test(lower) && /\b(?:dry|frying) pan|skillet\b/.test(lower)) return 'fry';
	return kind;
}

function toastKind(lower: string, going: Going): Kind {
	if (inOven.test(lower) || /\b(?:tray|oven|baking sheet)\b/.test(lower)) return 'bake';
	if (underGrill.test(lower) || /\bgrill|broiler\b/.test(lower)) return 'grill';
	if (
		/\b(?:bread|buns?|bagels?|muffins?|slices?|sourdough|baguette|ciabatta|pitta|brioche)\b/.test(lower) &&
		!/\b(?:pan|skillet)\b/.test(lower)
	)
		return 'grill';
	return going.last?.station === 'oven' && !/\bpan\b/.test(lower) ? 'bake' : 'fry';
}

/** What “cook” means here. */
function cookKind(lower: string, going: Going): Kind {
	if (/\bslow[- ]cooker\b|\bon (?:low|high) for\b/.test(lower)) return 'simmer';
	if (underGrill.test(lower) || /\b(?:barbecue|grill)\b(?! pan)/.test(lower)) return 'grill';
	if (inOven.test(lower) || (/\boven\b/.test(lower) && !/\bovenproof|oven-proof\b/.test(lower))) return 'bake';
	if (/\bwater bath|sous[- ]vide\b/.test(lower)) return 'simmer';
	if (/\bsteam(?:er)?\b/.test(lower)) return 'steam';
	if (
		/\bboiling\b/.test(lower) ||
		/\b(?:according to|as per|following) (?:the )?(?:pack|packet|package)/.test(lower) ||
		/^(?:meanwhile,? )?cook (?:the )?(?:pasta|spaghetti|noodles|rigatoni|penne|macaroni|rice|potatoes|eggs|tagliatelle|linguine|orzo|couscous)\b/.test(
			lower
		)
	)
		return 'boil';
	if (
		/\b(?:simmer|gently bubbling|covered|partially covered|lid|until thick|thickened|reduced|liquid)\b/.test(lower) &&
		going.isWet
	)
		return 'simmer';
	if (/\bfry(?:ing)?\b|\boil\b|\bpan\b.*\bbutter\b|\bwok\b|\bskillet\b/.test(lower)) return 'fry';
	if (going.grillNext && going.last === undefined) return 'grill';
	if (going.last?.station === 'grill') return 'grill';
	if (going.last?.station === 'oven' && !/\bpan|heat\b/.test(lower))
		return going.last.kind === 'roast' ? 'roast' : 'bake';
	if (going.isWet)
		return going.last?.kind === 'boil' ||
			(going.last?.kind === 'heat' && /\b(?:pasta|spaghetti|noodles|rice|potatoes)\b/.test(lower))
			? 'boil'
			: 'simmer';
	if (going.last?.kind === 'simmer' || going.last?.kind === 'boil' || going.last?.kind === 'steam')
		return going.last.kind;
	return 'fry';
}

function stationOf(kind: Kind, text: string, going: Going): Station {
	const lower = text.toLowerCase();
	switch (kind) {
		case 'bake':
		case 'roast':
			return 'oven';
		case 'grill':
			return 'grill';
		case 'steam':
			return /\b(?:pan|pot|lid|over (?:simmering|boiling))\b/.test(lower) && !/\bsteamer\b/.test(lower)
				? 'steamer'
				: 'steamer';
		case 'chill':
			return 'cold';
		case 'marinate':
			return cold.test(lower) || /\bovernight\b/.test(lower) || (timesIn(text)[0]?.seconds[1] ?? 0) > 3600
				? 'cold'
				: 'none';
		case 'soak':
			return cold.test(lower) ? 'cold' : 'none';
		case 'rest':
			return cold.test(lower) ? 'cold' : 'none';
		case 'simmer':
			return /\bwater bath|sous[- ]vide\b/.test(lower) ||
				(going.bath !== undefined && /\bbath|bag|vacuum\b/.test(lower))
				? 'water bath'
				: /\bslow cooker\b/.test(lower)
					? 'burner'
					: 'burner';
		case 'heat':
			return /\b(?:microwave)\b/.test(lower) ? 'none' : inOven.test(lower) ? 'oven' : 'burner';
		case 'sear':
		case 'boil':
			return 'burner';
		case 'fry':
			if (/\b(?:deep[- ]fr|fryer)/.test(lower)) {
				going.isDeep = true;
				return 'fryer';
			}
			return going.isDeep &&
				(/\bbatch|oil\b/.test(lower) || going.oil !== undefined) &&
				!/\bfrying pan|butter\b/.test(lower)
				? 'fryer'
				: 'burner';
		case 'prep':
		case 'mix':
		case 'drain':
		case 'finish':
		case 'plate':
			return 'board';
	}
}

function heatOf(lower: string, station: Station): Action['heat'] {
	if (station !== 'burner' && station !== 'grill') return null;
	const m =
		/\b(very low|low|gentle|gently|medium[- ]low|low[- ]medium|medium[- ]high|moderately high|medium|moderate|high|fierce|very hot|lively|brisk)\b(?:\s+(?:to|-)\s*(?:low|high))?(?=[^.]*?\b(?:heat|flame|hob)\b|\s*$|\s+(?:and|until|for)|[,.])/.exec(
			lower
		);
	if (!m) return /\bgently\b|\bbare simmer\b/.test(lower) ? 'low' : /\bsmoking hot\b/.test(lower) ? 'high' : null;
	const word = m[1] ?? '';
	if (/medium|moderate(?!ly high)/.test(word)) return word.includes('high') ? 'high' : 'medium';
	return /low|gent/.test(word) ? 'low' : 'high';
}

/** The time of a step as it is written: the one that says how long; two after each other are summed. */
function timeOf(text: string): readonly [number, number, number] | undefined {
	const times = timesIn(text).filter((t) => !isAside(text, t));
	const [first, second] = times;
	if (!first) return undefined;
	if (
		second &&
		/\b(?:then|and then|and|followed by|plus)\b[^.]*$/i.test(text.slice(first.end, second.at)) &&
		!/\b(?:to|or|until)\s*$/i.test(text.slice(first.end, second.at)) &&
		/\b(?:more|further|another|other side|second side|turn|flip|then|uncovered|covered|lid)\b/i.test(
			text.slice(first.end)
		)
	)
		return [
			first.seconds[0] + second.seconds[0],
			first.seconds[1] + second.seconds[1],
			first.seconds[2] + second.seconds[2]
		];
	// Of several the longest says how long, where one is of a moment within; else the first.
	return first.seconds;
}

/** A time in brackets that tells of something else, or that is when to turn. */
function isAside(text: string, { at, end }: WrittenTime): boolean {
	const before = text.slice(0, at);
	const after = text.slice(end);
	return (
		/\b(?:keeps?|store[ds]?|lasts?|up to)\s+(?:for\s+)?(?:about\s+|up to\s+)?$/i.test(before) &&
		/^\s*(?:in the fridge|in an airtight)/i.test(after)
	);
}

function handsOf(kind: Kind, text: string, main: Imperative, station: Station): Hands {
	const lower = text.toLowerCase();
	const isConstant =
		/\b(?:constantly|continuously|all the time|the whole time|without stopping|non-?stop|vigorously while|keep (?:stirring|whisking|shaking|tossing)|stirring well|whisking well)\b/.test(
			lower
		);
	const isNow =
		/\b(?:now and (?:then|again)|occasionally|from time to time|once or twice|every (?:so often|now|few|\d+|minute|other)|a few times|halfway|half way|once|twice|regularly|frequently|often|as needed|every)\b/.test(
			lower
		);
	const moves =
		/\b(?:stirring|whisking|shaking|tossing|turning|flipping|swirling|basting|moving|rotating|spooning|folding|skimming|pressing|topping up|checking)\b/.test(
			lower
		);
	if (kind === 'drain' && (timesIn(text)[0]?.seconds[1] ?? 0) >= 180) return 'none';
	if (['prep', 'mix', 'finish', 'plate', 'drain'].includes(kind)) return 'whole';
	if (/^(?:stir|whisk)$/.test(main.word)) return 'whole';
	if (['rest', 'chill', 'soak', 'marinate'].includes(kind)) return moves && isNow ? 'touches' : 'none';
	if (isConstant) return 'whole';
	const isSides = /\b(?:a|per|each|both|either|other|second|one) sides?\b|\ball over\b|\bon all sides\b/.test(lower);
	if (moves) {
		if (isNow) return 'touches';
		const isBare = /\b(?:stirring|whisking|swirling|shaking|tossing)\b/.test(lower);
		return isBare ? 'whole' : 'touches';
	}
	if (/\b(?:turn|flip|stir|baste|shake|toss)\b/.test(lower) && (isNow || isSides)) return 'touches';
	if (kind === 'fry') {
		if (main.word.startsWith('stir')) return 'whole';
		return /\bwithout (?:moving|touching|stirring|disturbing)\b|\bundisturbed\b/.test(lower) ? 'none' : 'touches';
	}
	if (kind === 'sear') return 'touches';
	if (kind === 'grill') return isSides || /\bbarbecue\b/.test(lower) || main.word === 'grill' ? 'touches' : 'touches';
	if (kind === 'heat') return /^(?:melt|warm)/.test(lower) && station === 'burner' ? 'touches' : 'none';
	return isSides ? 'touches' : 'none';
}

/** What it looks like when it is done. */
function signOf(text: string): string | null {
	const m =
		/\b(?:until|till|or until|so that|to the point where)\s+(.+?)(?=(?:,?\s+(?:then|about|around|for about|turning|stirring|shaking|basting|which will take|this will take|this takes)\b|,\s*(?:about\s+)?\d|[;.]|$))/i.exec(
			text
		);
	const sign = m?.[1]
		?.replace(/\s*\(\s*about .*?\)\s*$/i, '')
		.replace(/[\s,]+$/, '')
		.trim();
	return sign === undefined || sign === '' ? null : sign.slice(0, 140);
}

/** Seconds where none are written (est.). */
const estimates: Readonly<Partial<Record<Kind, readonly [number, number, number]>>> = {
	prep: [60, 120, 240],
	mix: [30, 60, 120],
	heat: [90, 180, 360],
	sear: [180, 300, 480],
	fry: [240, 360, 600],
	simmer: [300, 600, 1200],
	boil: [480, 720, 1080],
	steam: [300, 480, 720],
	grill: [240, 420, 720],
	drain: [25, 40, 60],
	finish: [20, 40, 80],
	plate: [60, 120, 240]
};

function estimate(kind: Kind, text: string): readonly [number, number, number] | null {
	if (kind === 'heat' && /\b(?:boil)\b/i.test(text))
		return /\b(?:large|big)\b/i.test(text) ? [480, 660, 900] : [150, 300, 480];
	return estimates[kind] ?? null;
}
