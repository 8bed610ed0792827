// What a recipe says of itself: heads over its lists, how many it is for, how long it takes in all; and the shape that every source comes to.
import { rangeOf, rangePattern, type Range } from './numbers';

export interface Line {
	readonly text: string;
	readonly section: string | null;
}

export interface Source {
	readonly title: string;
	readonly serves: number | Range | null;
	readonly ingredients: readonly Line[];
	readonly instructions: readonly Line[];
}

/** How many it is for: a number, a range, or nothing. */
export function servesOf(text: string, isYield = false): Source['serves'] {
	const n = `(${rangePattern})`;
	// “1 loaf (10 slices)”.
	const slices = /\b(\d+)\s+(?:slices|portions|servings|pieces|squares|wedges)\b/i.exec(text);
	if (slices?.[1] !== undefined && /\b(?:1|one)\s+(?:large\s+|small\s+)?(?:loaf|cake|tart|tin|pie|tray)\b/i.test(text))
		return Number(slices[1]);
	const patterns = [
		new RegExp(
			String.raw`\b(?:serves?|serving|servings|portions?|yields?|makes?|feeds?|enough for|dinner for|supper for|(?:cuts|slices) into)\b\s*:?\s*(?:about|approx\.?|around|approximately|up to|between)?\s*${n}`,
			'i'
		),
		new RegExp(
			String.raw`${n}\s*(?:-|–)?\s*(?:servings?|portions?|people|persons|pers\.?|pax|guests|covers|bowls)\b`,
			'i'
		),
		new RegExp(String.raw`\bfor\s+${n}(?=\s*(?:$|[.;,)]|people|persons|hungry|as\b))`, 'i')
	];
	for (const pattern of patterns) {
		const m = pattern.exec(text);
		if (m?.[1] !== undefined) return simple(rangeOf(m[1]));
	}
	const bare = isYield ? new RegExp(n, 'i').exec(text) : null;
	return bare?.[1] === undefined ? null : simple(rangeOf(bare[1]));
}

const simple = (range: Range): number | Range => (range[0] === range[1] ? range[0] : range);

export const forIngredients =
	/^(?:the\s+)?(?:ingredients?|what you(?:'|’)?(?:ll)? need|you(?:'|’)?(?:ll)? need|you will need|what to (?:buy|get)|shopping(?: list)?|for the shop|grocer(?:y|ies)(?: list)?|what goes in|the list|needed|stuff|larder|provisions|mise en place)\b/i;
export const forMethod =
	/^(?:the\s+)?(?:method|directions?|instructions?|preparation|steps?|what to do|how to (?:make|cook|do)(?: it| this)?|procedure|to (?:make|cook|prepare)(?: it)?|make it|cooking|how|let(?:'|’)s cook|process|do this)\s*:?$/i;
export const forMethodAny =
	/^(?:the\s+)?(?:method|directions?|instructions?|preparation|what to do|how to make|procedure)\b/i;
export const forNotes =
	/^(?:(?:cook|chef|recipe|baker)(?:'|’)?s?(?:'|’)?\s+)?(?:notes?|tips?|storage|storing|nutrition(?:al)?|nutrition facts|variations?|make[- ]ahead|to store|leftovers|faqs?|equipment|you might also|more recipes|comments?|related|about|reviews?|substitutions?|keeping|to freeze|freezing|serving suggestions?|per serving|why this works|story|background|tools|special equipment)\b/i;

/** A line that heads others: what it says without its colon. */
export function headOf(text: string): string | undefined {
	const t = text.replace(/\*\*|__/g, '').trim();
	if (t.length === 0 || t.length > 70) return undefined;
	if (forIngredients.test(t) || forMethod.test(t) || forNotes.test(t)) return t.replace(/:$/, '');
	if (/^(?:for|to make) (?:the |a |an )?[a-zà-ÿ' -]+:?$/i.test(t) && !/\b\d/.test(t) && t.split(' ').length <= 8)
		return t.replace(/:$/, '');
	if (t.endsWith(':') && !/[.!?,]/.test(t) && t.split(' ').length <= 7) return t.replace(/:$/, '');
	const isLoud = t === t.toUpperCase() && /[A-Z]{3}/.test(t) && !/\d/.test(t) && t.split(' ').length <= 6;
	return isLoud ? t.toLowerCase().replace(/^./, (c) => c.toUpperCase()) : undefined;
}

export const isListHead = (text: string) => forIngredients.test(text) || forMethod.test(text) || forNotes.test(text);

/** “Prep: 20 mins”, “Total time: 1 hour 20 min”: of the whole, not a step. */
export const isTiming = (text: string) =>
	text.length < 60 &&
	/^\W*(?:prep(?:aration)?|cook(?:ing)?|bak(?:e|ing)|total|active|inactive|hands[- ]on|chill(?:ing)?|rest(?:ing)?|marinat(?:e|ing)|soak(?:ing)?|ready in)(?:\s+time)?\s*[:–—-]?\s*(?:about\s+)?\d[\d½¼¾\s–-]*(?:minutes?|mins?|m|hours?|hrs?|h)\b[^a-z]*(?:\d+\s*(?:minutes?|mins?|m)\b)?\W*$/i.test(
		text
	);
