// How a step goes: its heat, its time, whose hands it takes, and what it looks like when done.
import { timesIn, type WrittenTime } from './numbers';
import type { Hands, Imperative, Kind, Station } from './verbs';

/** How strong the heat is, where it says. */
export function heatOf(lower: string, station: Station): 'low' | 'medium' | 'high' | null {
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
export function timeOf(text: string): readonly [number, number, number] | undefined {
	// “Turning for a few seconds” is no length of a step.
	const times = timesIn(text).filter((t) => !isAside(text, t) && t.seconds[2] >= 5);
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

/** Whose hands a step takes: all the while, now and then, none. */
export function handsOf(kind: Kind, text: string, main: Imperative, station: Station): Hands {
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
	if (kind === 'sear' || kind === 'grill') return 'touches';
	if (kind === 'heat') return /^(?:melt|warm)/.test(lower) && station === 'burner' ? 'touches' : 'none';
	return isSides ? 'touches' : 'none';
}

/** What it looks like when it is done. */
export function signOf(text: string): string | null {
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
const estimates: Readonly<Record<Kind, readonly [number, number, number]>> = {
	prep: [60, 120, 240],
	mix: [30, 60, 120],
	heat: [90, 180, 360],
	sear: [180, 300, 480],
	fry: [240, 360, 600],
	simmer: [300, 600, 1200],
	boil: [480, 720, 1080],
	steam: [300, 480, 720],
	grill: [240, 420, 720],
	bake: [1500, 2100, 3000],
	roast: [1800, 2700, 4200],
	rest: [180, 300, 600],
	chill: [3600, 7200, 14_400],
	soak: [900, 1800, 3600],
	marinate: [1200, 1800, 3600],
	drain: [25, 40, 60],
	finish: [20, 40, 80],
	plate: [60, 120, 240]
};

/** What is taken where no time is written. */
export function estimate(kind: Kind, text: string): readonly [number, number, number] {
	if (kind === 'heat' && /\b(?:boil)\b/i.test(text))
		return /\b(?:large|big)\b/i.test(text) ? [480, 660, 900] : [150, 300, 480];
	if (kind === 'chill' && /\buntil (?:needed|ready|required|wanted|serving|you)\b/i.test(text))
		return [300, 600, 14_400];
	if (kind === 'rest' && /\bcool\b/i.test(text)) return [900, 1800, 3600];
	return estimates[kind];
}
