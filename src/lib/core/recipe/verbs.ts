// What cooks are told to do: verbs with what kind of step they are, whose hands they take, and where they are done.

export type Kind =
	| 'prep'
	| 'mix'
	| 'heat'
	| 'sear'
	| 'fry'
	| 'simmer'
	| 'boil'
	| 'bake'
	| 'roast'
	| 'grill'
	| 'steam'
	| 'rest'
	| 'chill'
	| 'soak'
	| 'marinate'
	| 'drain'
	| 'finish'
	| 'plate';
export type Station = 'board' | 'burner' | 'oven' | 'grill' | 'fryer' | 'water bath' | 'steamer' | 'cold' | 'none';
export type Hands = 'whole' | 'touches' | 'none';

interface Verb {
	readonly kind: Kind | 'cook' | 'put' | 'let' | 'skip';
	/** Also a noun or an adjective: a verb only with an object after it, or first in its sentence. */
	readonly isNoun?: boolean;
	/** A food as often as a verb: told only of something definite. */
	readonly isFood?: boolean;
}

const strict = new Set(
	'salt oil butter cream flour juice zest bread sauce ice crumble mash seed stone purée puree cure'.split(' ')
);

const rows: Readonly<Record<Verb['kind'], string>> = {
	prep: 'chop split slice dice mince peel grate cut* trim* crush halve quarter* zest* juice* squeeze shred* core* deseed seed* stone* pit* score* pound flatten bash roll shape* form* wash rinse scrub pat-dry pat* dry* grease line* flour* butter* oil* coat* dredge dip* bread* stuff fill spread* layer* brush* rub* skewer* thread tie wrap pierce prick cube* julienne devein debone butterfly shell* pick* tear snip shave* break* crack separate* measure* weigh knead press* divide portion* cut-out punch roll-out stretch fold-over crimp seal seed* fillet* salt* season-generously sift sieve* sprinkle-over pipe* truss spatchcock hull top-and-tail string* massage scoop* hollow carve* pack* mark* prepare shuck pull* knock-back snap* crumble* scrape tenderise tenderize bruise*',
	mix: 'trickle in-go in-goes throw throw-in chuck-in mix* stir whisk* beat combine fold* toss blend* blitz whizz puree* purée mash* cream* whip process dissolve emulsify stir-together pulse liquidise liquidize work* incorporate loosen thin* moisten swirl* jumble muddle add* mix-together tip-in',
	heat: 'heat* warm* preheat pre-heat melt bring scald reheat temper* light* toast-spices come',
	sear: 'sear* brown* colour* color* seal-in char* blacken blister',
	fry: 'scramble fry* saute sauté sweat* soften caramelise caramelize stir-fry deep-fry pan-fry shallow-fry crisp* wilt fry-off render cook-off crisp-up',
	simmer: 'simmer* poach* braise* stew* reduce* bubble* deglaze infuse* steep* confit* thicken sous-vide',
	boil: 'boil* parboil par-boil blanch* cook-in-water hard-boil soft-boil',
	bake: 'bake* air-fry blind-bake',
	roast: 'roast* slow-roast gratinate',
	grill: 'grill* broil* barbecue* griddle* chargrill bbq* flame*',
	steam: 'steam*',
	rest: 'rest* cool* stand* prove proof* rise* relax settle ferment* tent*',
	chill: 'chill* refrigerate freeze* ice*',
	soak: 'soak* rehydrate brine* cure* plump',
	marinate: 'marinate marinade*',
	drain: 'drain* strain* skim*',
	finish:
		'season* garnish* sprinkle* scatter* drizzle* dress* glaze* dust* finish* baste* taste* adjust check-seasoning grind spritz dot* stud* anoint unmould unmold turn-out ice-the frost* decorate top* sauce* moisten smear* sandwich*',
	plate: 'serve plate* ladle dish-up spoon* pile* arrange* divide-between enjoy',
	cook: 'cook* continue keep-cooking toast* pop* prepare-according fry-or-grill pressure-cook microwave* finish-cooking',
	put: 'put place* return* set* transfer slide lay* pour tip* lower* immerse submerge sit* stand-in lift nestle push scrape-into spoon-into drop* load* suspend hang*',
	let: 'let leave* allow',
	skip: 'turn* flip* remove take* cover* uncover discard* reserve* repeat use* start* make* keep* switch increase raise ensure check* look* wait watch* meanwhile note* remember try* store* save* have get test* insert* stop* begin bear go* give* reduce-heat rotate shake* lift-out wipe* clean* open* adjust-heat'
};

/** By what they are called; of two rows the first one that has it. */
const verbs = new Map<string, Verb>();
for (const kind of Object.keys(rows) as Verb['kind'][]) {
	for (const word of rows[kind].split(' ')) {
		const name = word.replace(/\*$/, '').replaceAll('-', ' ');
		if (!verbs.has(name))
			verbs.set(name, {
				kind,
				...(word.endsWith('*') ? { isNoun: true } : {}),
				...(strict.has(name) ? { isFood: true } : {})
			});
		if (name.includes(' ') && !verbs.has(name.replaceAll(' ', '-'))) verbs.set(name.replaceAll(' ', '-'), { kind });
	}
}

/** Words after which a word that may be a noun is a verb. */
const object =
	/^(?:(?:the|a|an|each|all|both|your|it|them|this|these|any|some|half|every|in|into|with|until|till|for|over|on|onto|to|together|well|gently|briefly|off|out|up|down|under|through|by|between|against|across|along|lengthways|at|about|lightly|once|again|everything|hard|fast|uncovered|covered|undisturbed|overnight|aside|there|somewhere)\b|\d|[½¼¾]|[a-z]+ly\b|[a-z]+ing\b)/i;
/** Something definite. */
const definite = /^(?:the|a|an|your|each|both|it|them|all|any)\b/i;
const adverb =
	/(?:^|[\s,])(?:[a-z]+ly|then|now|next|just|also|well|first|finally|meanwhile|simply|please|again|once more|in turn|either|to finish|to serve|don't|do not|never)\s*,?$/i;

export interface Imperative {
	readonly word: string;
	readonly verb: Verb;
	readonly at: number;
	readonly end: number;
}

/** Nobody tells so much at once, characters: what is longer is no sentence of a recipe. */
const longest = 2000;

/** The verbs of a sentence that tell somebody to do something, in order. */
export function imperativesIn(sentence: string): readonly Imperative[] {
	if (sentence.length > longest) return [];
	const found: Imperative[] = [];
	const lower = sentence.toLowerCase();
	for (const m of lower.matchAll(/[a-zà-ÿ]+(?:[-'’][a-zà-ÿ]+)*/g)) {
		const at = m.index;
		const last = found.at(-1);
		if (last && at < last.end) continue;
		const two = /^[a-zà-ÿ-]+\s+[a-zà-ÿ-]+/.exec(lower.slice(at))?.[0].replace(/\s+/g, ' ') ?? '';
		const three = /^[a-zà-ÿ-]+\s+[a-zà-ÿ-]+\s+[a-zà-ÿ-]+/.exec(lower.slice(at))?.[0].replace(/\s+/g, ' ') ?? '';
		const word = verbs.has(three) ? three : verbs.has(two) ? two : m[0];
		const verb = verbs.get(word);
		if (!verb) continue;
		const end =
			at + (word.includes(' ') ? lower.slice(at).split(/\s+/, word.split(' ').length).join(' ').length : word.length);
		if (!isTold(lower, at, end, verb)) continue;
		found.push({ word, verb, at, end });
	}
	return found;
}

/** “Next day sear the ribs”. */
const onAnotherDay =
	/^(?:(?:the )?(?:next|following|same) (?:day|morning|evening)|the day before|the night before|later|an hour before serving|on the day)$/;

/** “When they pop add the onion”: what comes first has no comma. */
const asSoonAs =
	/^\s*(?:when|once|as soon as)\s+(?:it|they|the\s+[a-z]+(?:\s[a-z]+)?)(?:\s+(?:is|are|has|have|start|starts|begin|begins))?(?:\s+to)?\s+(?:pop|sizzle|foam|boil|bubble|shimmer|melt|smoke|colour|color|soften|brown)(?:s|ed|ing)?$|^\s*(?:when|once)\s+(?:hot|soft|golden|melted|cool|cooked|boiling)$/;

/** What kitchens say in a word. */
const terse = new Set([
	'drain',
	'rinse',
	'season',
	'rest',
	'cool',
	'chill',
	'toss',
	'flip',
	'baste',
	'strain',
	'peel',
	'reserve'
]);

function isTold(lower: string, at: number, end: number, verb: Verb): boolean {
	let before = lower.slice(0, at).trimEnd();
	for (let k = 0; k < 4 && adverb.test(before); k++) before = before.replace(adverb, '').trimEnd();
	const after = lower.slice(end).trimStart();
	// “A squeeze of lemon”; “core 45 °C”.
	if (/^of\b/.test(after) || (/^core\b/.test(lower.slice(at, end)) && /^:?\s*\d/.test(after))) return false;
	const isHow =
		/^,\s*(?:covered|uncovered|without|reserving|keeping|saving|discarding|stirring|turning|basting|whisking|shaking|tossing|undisturbed)\b/.test(
			after
		);
	const hasObject =
		isHow ||
		(verb.isFood === true ? definite : object).test(after) ||
		(verb.isFood === true && /^(?:with (?:a|the|some|half|plenty)|until)\b/.test(after));
	// “until”, “when” and the like open a clause that tells how it looks, up to its comma.
	const clause = before.slice(
		Math.max(before.lastIndexOf(','), before.lastIndexOf(';'), before.lastIndexOf(':'), before.lastIndexOf('.')) + 1
	);
	const isWithin = /\b(?:until|till|once|when|while|if|so|as|because|before|after|which|that|who)\b/.test(clause);
	// “In a saucepan warm the milk” has no comma.
	const isLed =
		/^(?:in|into|using|with|on|over)\s+(?:(?:a|an|the|another|your|that)\s+)?(?:[a-z-]+\s+){0,4}(?:bowl|pan|saucepan|pot|skillet|jug|dish|casserole|wok|processor|blender|mixer|heat|tray|tin|board)$/;
	if (isLed.test(before) || onAnotherDay.test(before) || asSoonAs.test(clause)) return true;
	if (before === '')
		return verb.isFood === true
			? !/^(?:and|or|to|,|&|$)/.test(after) &&
					(hasObject ||
						/^(?:together|in|for|with|until|generously|lightly)\b/.test(after) ||
						/^[a-z]+ (?:the|a)\b/.test(after))
			: after !== '' || verb.kind !== 'skip';
	if (/(?:\b(?:and|then)|&|\+)$/.test(before)) {
		const isThen = /\bthen$/.test(before);
		if (isThen && /^[.,;]?$/.test(after)) return true;
		const ofClause = isWithin && !isThen;
		if (ofClause || verb.isNoun === true)
			return hasObject && !/^(?:to|at|on|for|in|about)\b/.test(ofClause ? after : '');
		return true;
	}
	if (/[.;:!?)–—]$/.test(before)) return verb.isNoun !== true || hasObject || /^[a-zà-ÿ]/.test(after);
	if (before.endsWith(',')) {
		// “Drop the pasta, 8 min, drain, toss in butter.”
		if (/^(?:[,.;]|$)/.test(after) && terse.has(lower.slice(at, end))) return true;
		// A leading “In the same pan,” or the next thing to do; not the next in a list of things.
		const lead =
			/^(?:in|on|over|under|with|using|while|when|once|as|after|before|meanwhile|to|for|if|at|from|working|starting|using|next|finally|now|then|first|at the same time|by|off|without|taking|holding|keeping|having)\b/.test(
				before.slice(before.lastIndexOf('.') + 1).trimStart()
			);
		const isFirst = lead && !before.slice(0, -1).includes(',');
		if (verb.isNoun === true) return hasObject || isFirst;
		return isFirst || hasObject || /^[a-zà-ÿ]/.test(after);
	}
	return false;
}

/** The kind of the verb that is let go on: “let it rest”, “leave to cool”. */
export function letting(after: string): Kind | 'cook' | undefined {
	const m =
		/\b(rest|stand|cool|rise|prove|proof|soak|steep|infuse|simmer|cook|bubble|boil|marinate|chill|set|sit|relax|settle|firm|dry|ferment|brine|drain|reduce|melt|stew|bake|roast|fry|soften|thicken|come|freeze|double|sizzle|brown|warm|foam|absorb|render|overnight)\b/i.exec(
			after
		);
	const kinds: Readonly<Record<string, Kind | 'cook'>> = {
		soak: 'soak',
		steep: 'rest',
		infuse: 'rest',
		simmer: 'simmer',
		bubble: 'simmer',
		reduce: 'simmer',
		thicken: 'simmer',
		stew: 'simmer',
		boil: 'boil',
		marinate: 'marinate',
		brine: 'soak',
		chill: 'chill',
		freeze: 'chill',
		drain: 'drain',
		cook: 'cook',
		sizzle: 'fry',
		brown: 'sear',
		fry: 'fry',
		soften: 'fry',
		render: 'fry',
		melt: 'heat',
		warm: 'rest',
		bake: 'bake',
		roast: 'roast'
	};
	if (/\b(?:marinade|marinate)\b/i.test(after)) return 'marinate';
	return m ? (kinds[(m[1] ?? '').toLowerCase()] ?? 'rest') : undefined;
}

/** Whether a line tells somebody to do something. */
export function isInstruction(line: string): boolean {
	return line
		.split(/(?<=[.!?])\s+/)
		.some(
			(sentence) =>
				imperativesIn(sentence).some(
					({ verb, at }) => verb.kind !== 'skip' && (at === 0 || sentence.slice(0, at).trim().length > 0)
				) && !/^(?:\d|[½¼¾])/.test(sentence.trim())
		);
}
