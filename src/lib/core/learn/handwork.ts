// How long hands take: rates by task and cut at a home pace, and the seconds of a touch (est., × 0.6 to 1.8).

/** kg an hour. */
export const knifeRates = {
	'peel potatoes': 9,
	'peel celeriac': 12,
	'dice onion': 6,
	'slice onion': 9,
	'dice roots': 7,
	'stick roots': 5,
	'trim beans': 3,
	'trim sprouts': 4,
	'shred cabbage': 10,
	'slice leek': 9,
	'slice roots': 6,
	'pick herbs': 0.25,
	'chop herbs': 0.6,
	'slice mushrooms': 5,
	'prepare apples': 6,
	'wash leaves': 7.5
} as const;
export type KnifeTask = keyof typeof knifeRates;

/** Seconds of one. */
export const pieceTimes = {
	'mince garlic': 35,
	'mince shallot': 35,
	'coat a piece': 20,
	'peel an egg': 25,
	'break an egg': 8,
	'peel a prawn': 25,
	'fill a pocket': 40,
	'thread a skewer': 15,
	'carve a portion': 20,
	'score a breast': 40,
	'wash a pan': 90
} as const;
export type PieceTask = keyof typeof pieceTimes;

/** Getting out board, knife and bowl, seconds. */
export const setUp = 45;

/** Seconds of knife work on so many kg, or so many pieces, at a pace. */
export function handTime(
	work:
		{ readonly task: KnifeTask; readonly kilograms: number } | { readonly task: PieceTask; readonly pieces: number },
	pace = 1
): number {
	const seconds =
		'kilograms' in work ? (work.kilograms / knifeRates[work.task]) * 3600 : work.pieces * pieceTimes[work.task];
	return setUp + seconds * pace;
}
