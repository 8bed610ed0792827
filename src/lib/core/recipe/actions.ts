// Instructions cut into actions: of each what kind it is, where, how hot, how long, whose hands, and what it looks like when done.
import { clausesOf, masked, sentencesOf, unmasked, type Clause } from './clauses';
import { kindOf, ovenWord, stationOf, type Going } from './kinds';
import { temperaturesIn, timesIn } from './numbers';
import { estimate, handsOf, heatOf, signOf, timeOf } from './pace';
import type { Line } from './heads';
import { imperativesIn, type Hands, type Kind, type Station } from './verbs';

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

/**
 * All actions of the instructions, in order.
 *
 * @param isFahrenheit what temperatures without a unit are in
 */
export function actionsOf(lines: readonly Line[], isFahrenheit = false): readonly Action[] {
	const going: Going = {
		oven: undefined,
		oil: undefined,
		bath: undefined,
		last: undefined,
		isWet: false,
		isDeep: false,
		grillNext: false,
		isGriddle: false,
		isFahrenheit
	};
	let sentence = 0;
	const actions: Action[] = [];
	lines.forEach(({ text, section }, line) => {
		let head = section;
		/** What was said before it of what comes now: “Meanwhile, make the dumplings.” */
		let said = '';
		const sentences = sentencesOf(masked(text));
		sentences.forEach((s, k) => {
			// “ROAST THE SQUASH.” heads what comes after it.
			if (k < sentences.length - 1 && isHead(s)) {
				head = s.replace(/[.:!]+$/, '').toLowerCase();
				return;
			}
			sentence++;
			const before = actions.length;
			const label = labelOf(s);
			if (label) head = label.toLowerCase();
			for (const clause of clausesOf(label === undefined ? s : s.slice(label.length + 1).trim())) {
				const found = actionOf(clause, going, { section: head, line, sentence });
				const action = found && said !== '' ? { ...found, lead: `${said} ${found.lead}` } : found;
				if (action) said = '';
				const last = actions.at(-1);
				if (action) actions.push(action);
				else if (last && aside.test(clause.text)) actions[actions.length - 1] = { ...last, isAside: true };
			}
			if (actions.length > before) return;
			const [set] = /\boven\b/i.test(s) ? temperaturesIn(s, isFahrenheit) : [];
			if (set && timesIn(s).length === 0) going.oven = { celsius: set.celsius, isFan: set.isFan };
			const bare = bareOf(s, going);
			const found = bare && actionOf(bare, going, { section: head, line, sentence });
			if (found) {
				actions.push(found);
				return;
			}
			const made = /\b(?:make|prepare|start|begin) (?:with )?the ([a-z ]+?)(?=[.,:]|$)/i.exec(s)?.[1];
			if (made !== undefined) said = `for the ${made},`;
			if (newly.test(s)) said = `Meanwhile, ${said}`;
		});
	});
	return actions;
}

/** What a place and a time by themselves tell to do. */
const byPlace: readonly (readonly [RegExp, string])[] = [
	[/\b(?:fridge|refrigerator)\b/i, 'chill'],
	[/\boven\b/i, 'bake'],
	[/\b(?:grill|broiler|barbecue)\b/i, 'grill'],
	[/\bsteam(?:er)?\b/i, 'steam'],
	[/\bsimmering\b/i, 'simmer'],
	[/\b(?:pan|skillet|wok|griddle)\b/i, 'fry'],
	[/\b(?:rest|stand)\b/i, 'rest']
];

/** “Then 5 min in a 200 °C oven.”: no verb, but a place and a time. */
function bareOf(sentence: string, going: Going): Clause | undefined {
	if (timesIn(sentence).length === 0 || sentence.length > 160 || isKept.test(sentence)) return undefined;
	// “Onions and garlic go in, 5 minutes.”
	const isIn = /\bgo(?:es)? in\b|\bin[,:;]/i.test(sentence) && going.last?.station === 'burner';
	const word = byPlace.find(([place]) => place.test(sentence))?.[1] ?? (isIn ? 'fry' : undefined);
	const [main] = word === undefined ? [] : imperativesIn(`${word} it`);
	return main && { text: sentence, lead: '', verbs: [main], main, from: sentence };
}
const isKept = /\b(?:keeps?|stored?|up to|ahead|before|leftovers?|can|will|should|may|takes?)\b/i;

/** “Puree: simmer the celery root …” heads what is said after it; “To serve: …” and “Note: …” do not. */
function labelOf(sentence: string): string | undefined {
	const label = /^([A-Z][a-zà-ÿ]+(?:[ -][a-zà-ÿ]+){0,2}):\s+(?=\S)/.exec(sentence)?.[1];
	if (label === undefined || (label.includes(' ') && imperativesIn(`${label} it`).length > 0)) return undefined;
	return /^(?:to|for|tip|note|nb|step|day|then|next|finally|meanwhile|optional|important|hint|serv(?:e|ing)|finish|assembl[ey]|plat(?:e|ing)|garnish|cook|bake|prep(?:are)?|method|rest)\b/i.test(
		label
	)
		? undefined
		: label;
}

const newly = /^\s*(?:meanwhile|in the meantime|while)\b/i;
/** Words that stand over others: short and loud. */
const isHead = (s: string) => /^[A-Z][A-Z'&, -]{3,50}[.:!]$/.test(s) && s.split(' ').length <= 6;

const aside =
	/\b(?:set (?:it |them |this |these |the [a-z ]+ )?(?:aside|to one side)|put (?:it |them |the [a-z ]+ )?(?:aside|to one side)|keep (?:it |them |the [a-z ]+ )?warm|remove (?:it |them |the [a-z ]+ )?(?:from the (?:pan|skillet|pot|wok|casserole)|to a|and set)|transfer (?:it |them |the [a-z ]+ )?to a (?:plate|bowl|dish|board)|(?:onto|to|on) a (?:warm |large |clean )?plate|lift out|scoop out|tip (?:it |them )?(?:out|onto a plate|into a bowl))\b/i;

const skips =
	/^(?:(?:adjust|position|place|set|arrange)\b[^.]*\bracks?\b[^.]*\b(?:oven|position|middle|cent(?:er|re)|third)\b|(?:pre-?)?heat(?:ing)?\s+(?:up\s+)?(?:the|your|an?)?\s*(?:fan\s+|conventional\s+|electric\s+|gas\s+)?oven\b|turn\s+(?:on|up|down)\s+(?:the|your)?\s*oven|set\s+(?:the|your)?\s*oven|(?:pre-?)?heat\s+(?:the|your|an?)?\s*(?:(?:charcoal|gas)\s+)?(?:grill|broiler|barbecue|bbq|air fryer)\b(?!\s+pan))/i;

const keeping = /\s*\([^()]*\b(?:keeps?|stored?|will last|can be (?:made|frozen|kept))\b[^()]*\)/gi;
const withoutKeeping = (clause: Clause): Clause => ({
	...clause,
	text: clause.text.replace(keeping, ''),
	from: clause.from.replace(keeping, '')
});

function actionOf(said: Clause, going: Going, at: Pick<Action, 'section' | 'line' | 'sentence'>): Action | undefined {
	// “(they keep in the fridge for two weeks)” tells nothing of the step.
	const clause = withoutKeeping(said);
	const { text, main, lead } = clause;
	const lower = text.toLowerCase();
	const own = clause.from.toLowerCase();
	const temperatures = temperaturesIn(text, going.isFahrenheit);
	const aboutOven = ovenWord.test(lower) || /^(?:pre-?)?heat to\b/.test(own);
	const isPreheat =
		skips.test(own) || skips.test(lower) || (/^pre-?heat\b/.test(own) && !/\bpan|skillet|griddle|wok\b/.test(own));
	const [setting] = temperatures.filter((t) => !isInside(text, t.at));
	const hasFanWord = /\bfan\b/i.test(lower);
	if (
		isPreheat ||
		(main.verb.kind === 'skip' && aboutOven && setting) ||
		/\b(?:lower|reduce|increase|turn|raise|drop)\b[^.]*\b(?:oven|temperature|heat)\b[^.]*(?:\d{3}|gas)/.test(lower)
	) {
		if (/\bgrill|broiler|barbecue|bbq\b/.test(own) && !aboutOven) {
			going.grillNext = true;
			going.isGriddle = false;
		} else if (setting && /\boil\b/.test(lower) && !aboutOven) going.oil = setting.celsius;
		else if (setting) going.oven = { celsius: setting.celsius, isFan: setting.isFan };
		if (isPreheat || main.verb.kind === 'skip') return undefined;
	}
	if (setting && /\boil\b|deep|fryer/.test(lower) && /^(?:heat|bring|warm|pour|half-fill|fill)/.test(own)) {
		going.oil = setting.celsius;
		going.isDeep = true;
	}
	if (main.verb.kind === 'skip' && setting && /\boil\b/.test(lower)) going.oil = setting.celsius;
	if (/\b(?:griddle|grill|ridged) pan\b/.test(lower)) going.isGriddle = true;
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
				: going.isDeep && station === 'fryer' && (setting ?? going.oil) !== undefined
					? (setting?.celsius ?? going.oil ?? null)
					: kind === 'heat' && /\boil\b/.test(lower) && setting
						? setting.celsius
						: null;
	const hands = handsOf(kind, text, main, station);
	const sign = signOf(text);
	return {
		text: unmasked(text),
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
		lead: unmasked(lead),
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
