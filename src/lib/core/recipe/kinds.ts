// What kind of step a clause is, and where it is done: verbs mean different things in different company.
import type { Clause } from './clauses';
import { timesIn } from './numbers';
import { letting, type Kind, type Station } from './verbs';

/** What a recipe has going when a sentence begins. */
export interface Going {
	oven: { celsius: number; isFan: boolean } | undefined;
	oil: number | undefined;
	bath: number | undefined;
	/** Where the last step was that cooked. */
	last: { kind: Kind; station: Station } | undefined;
	/** A fat in a pan, a liquid in a pot. */
	isWet: boolean;
	isDeep: boolean;
	grillNext: boolean;
	/** A ridged pan was made hot. */
	isGriddle: boolean;
	/** A temperature without a unit is in °F. */
	readonly isFahrenheit: boolean;
}

/** What tells of the oven. */
export const ovenWord = /\b(?:oven|rack|shelf)\b/i;

const inOven =
	/\b(?:in|into|to)\s+(?:the|a|your)\s+(?:hot|preheated|warm|low|middle of the|\d{2,3}\s*(?:°|º|degrees?|-degree)?\s*[cf]?)?\s*oven\b|\bin\s+the\s+(?:middle|top|bottom|centre)\s+of\s+the\s+oven\b/;
const underGrill =
	/\b(?:under|on|onto)\s+(?:the|a|your)\s+(?:hot\s+|preheated\s+|very hot\s+)?(?:grill|broiler|barbecue|bbq|coals)\b(?!\s+pan)/;
const cold = /\b(?:fridge|refrigerator|freezer|refrigerate)\b/;

/** What kind of step a clause is; undefined where it is none. */
export function kindOf({ from, text, main, verbs }: Clause, going: Going): Kind | undefined {
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
			if (/^(?:turn|flip|give)\b/.test(own) && isTimed && going.last)
				return going.last.kind === 'heat' ? 'fry' : going.last.kind;
			if (/^shake\b/.test(own) && /\bdressing|jar|together\b/.test(own)) return 'mix';
			if (/^(?:cover|remove|take)\b/.test(own) && isTimed && !/\b(?:before|earlier|ahead)\b/.test(own)) {
				if (cold.test(own)) return /\bout of|from\b/.test(own) ? 'rest' : 'chill';
				if (/\boff the heat|from the heat|aside|stand|rest\b/.test(own)) return 'rest';
				return /\boven\b/.test(own) ? 'bake' : going.last?.kind;
			}
			if (/^(?:use|start|begin)\b/.test(own)) return undefined;
			return undefined;
		}
		case 'let': {
			const inner = letting(own.slice(word.length));
			if (cold.test(own)) return inner === 'marinate' ? 'marinate' : 'chill';
			if (inner === 'cook') return cookKind(lower, going);
			if (inner === undefined && isTimed && inOven.test(own) && !/\b(?:off|cool|ajar|door|rest|warm|low)\b/.test(own))
				return going.last?.kind === 'roast' ? 'roast' : 'bake';
			if (inner === undefined && /\b(?:simmer|bubbl(?:e|ing))\b/.test(lower)) return isTimed ? 'simmer' : undefined;
			if (inner === undefined) return isTimed ? 'rest' : undefined;
			if (inner === 'heat' && !/\bmelt/.test(own)) return 'heat';
			return inner;
		}
		case 'put': {
			if (/^(?:lower|drop) (?:the )?heat\b/.test(own)) return undefined;
			// For a while: it comes back.
			if (
				/^(?:tip|transfer|lift|slide|return|scrape|pour)\b[^,.;]*\b(?:onto|to|on) a (?:warm |large |clean )?plate\b/.test(
					own
				)
			)
				return undefined;
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
			if (/\bsteamer\b/.test(own))
				return isTimed ? 'steam' : /\b(?:simmering|boiling) water\b/.test(own) ? 'heat' : 'prep';
			if (isTimed && /\b(?:boiling|simmering)\b/.test(own)) return /\bboiling\b/.test(own) ? 'boil' : 'simmer';
			if (isTimed && /\bwater\b/.test(own) && /\bcold|warm|ice/.test(own)) return 'soak';
			if (isTimed && going.last?.station === 'burner' && /\bpan\b/.test(own)) return cookKind(lower, going);
			if (
				isTimed &&
				/^drop\b/.test(own) &&
				/\b(?:pasta|spaghetti|tagliatelle|linguine|penne|noodles|gnocchi|ravioli|rice|potatoes|eggs?|beans|peas)\b/.test(
					own
				)
			)
				return 'boil';
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
	if (
		word === 'flame' &&
		/\b(?:brandy|cognac|rum|whiske?y|calvados|armagnac|liqueur|alcohol|vodka|pernod)\b/.test(lower)
	)
		return 'simmer';
	if (word === 'loosen' && /\bskin\b/.test(own)) return 'prep';
	if (word === 'seal in' && /\b(?:bags?|pouch(?:es)?|vacuum)\b/.test(own)) return 'prep';
	if (kind === 'prep' && isTimed && /\bskin[- ]side (?:down|up)\b/.test(lower))
		return underGrill.test(lower) || /\bgrill|broiler\b/.test(lower)
			? 'grill'
			: /\b(?:tray|tin|sheet|oven)\b/.test(lower)
				? 'bake'
				: 'fry';
	if (word === 'stand' || word === 'sit') return 'rest';
	if (kind === 'heat') {
		if (/^bring\b[^,.]*\btogether\b/.test(own)) return 'mix';
		if (/^(?:bring|return)\b/.test(own)) return /\broom temperature\b/.test(own) ? 'rest' : 'heat';
		if (underGrill.test(lower) && isTimed) return 'grill';
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
	if (
		kind === 'grill' &&
		(/\bgriddle pan|grill pan\b/.test(lower) || ((word === 'griddle' || word === 'grill') && going.isGriddle))
	)
		return 'fry';
	if (kind === 'rest' && /\bcool\b/.test(own) && cold.test(own)) return 'chill';
	if (kind === 'mix' && (word === 'add' || word.startsWith('in go'))) {
		if (/\b(?:pan|wok|skillet)\b[^.]*\b(?:hot|smoking)\b/.test(lower)) return 'heat';
		if (isTimed && going.last?.station === 'burner') return cookKind(lower, going);
		return 'mix';
	}
	// In a pan that is on the heat one stirs on the heat.
	const isInPan =
		going.last?.station === 'burner' && /\b(?:add|pour|tip|throw|chuck|in the pan|to the pan)\b/.test(lower);
	const isTossed =
		(word === 'toss' || word === 'stir') &&
		(going.last?.kind === 'fry' || going.last?.kind === 'sear' || going.last?.kind === 'heat');
	if (kind === 'mix' && isTimed && (isInPan || (isTossed && going.last?.station === 'burner')))
		return cookKind(lower, going);
	const isOverHeat = /\b(?:over|on)\s+(?:a\s+)?(?:very\s+)?(?:low|medium|high|gentle|moderate)[a-z -]*heat/.test(lower);
	if (kind === 'mix' && !isTimed && isOverHeat) return 'heat';
	if (
		kind === 'mix' &&
		isTimed &&
		/\b(?:over|on)\s+(?:a\s+)?(?:very\s+)?(?:low|medium|high|gentle|moderate)/.test(lower)
	)
		return 'simmer';
	if (kind === 'finish' && isTimed && isOverHeat) return 'simmer';
	if (kind === 'finish' && isTimed && /^baste\b/.test(own) && going.last?.station === 'burner') return 'fry';
	if (kind === 'finish' && verbs.length === 1 && /^baste\b/.test(own)) return undefined;
	if (kind === 'finish' && /^taste\b/.test(own)) return 'finish';
	if (kind === 'finish' && /^top\b/.test(own) && /\bup\b|\btail\b/.test(own)) return 'prep';
	if (kind === 'plate') {
		if (/^(?:spoon|ladle|pile|arrange) in\b/.test(own)) return 'prep';
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
	if (/\bpressure\b/.test(lower)) return 'simmer';
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

/** Where a step is done. */
export function stationOf(kind: Kind, text: string, going: Going): Station {
	const lower = text.toLowerCase();
	switch (kind) {
		case 'bake':
		case 'roast':
			return 'oven';
		case 'grill':
			return 'grill';
		case 'steam':
			return 'steamer';
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
