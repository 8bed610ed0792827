// Names beside the drawing: as long as there is room for, and told to be cut where they are.

/** Letters that the margin beside the lanes has room for. */
export const marginLetters = 14;

const segmenter = new Intl.Segmenter(undefined, { granularity: 'grapheme' });

/** A text as what a reader calls letters: an emoji of several parts is one. */
export const lettersOf = (text: string) => Array.from(segmenter.segment(text), (s) => s.segment);

/** The first of some wordings that has room; else the last, cut at a letter, with an ellipsis. */
export function fitted(wordings: readonly string[], most: number): string {
	const whole = wordings.find((text) => lettersOf(text).length <= most);
	if (whole !== undefined) return whole;
	const kept = lettersOf(wordings.at(-1) ?? '').slice(0, Math.max(0, most - 1));
	return `${kept.join('').trimEnd()}…`;
}
