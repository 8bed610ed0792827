// The agencies' tables: cooking, holding, cooling, reheating, keeping. Each row with its source; advice, never permission.

export interface Rule {
	readonly what: string;
	/** FDA Food Code 2022, 3-401 to 3-502. */
	readonly foodCode: string;
	/** UK Food Standards Agency guidance for small caterers. */
	readonly uk: string;
	/** USDA FSIS safe minimum internal temperature chart. */
	readonly us: string;
}

export const rules: readonly Rule[] = [
	{
		what: 'whole cuts, fish, eggs to order',
		foodCode: '63 °C for 15 s; intact steak: both faces 63 °C',
		uk: '70 °C for 2 min (60: 45 min, 65: 10 min, 75: 30 s, 80: 6 s)',
		us: '63 °C, then 3 min rest'
	},
	{ what: 'minced, injected; eggs held', foodCode: '68 °C for 17 s', uk: '70 °C for 2 min', us: '71 °C' },
	{ what: 'poultry, stuffed, game', foodCode: '74 °C', uk: '70 °C for 2 min', us: '74 °C' },
	{ what: 'hot holding', foodCode: 'at least 57 °C; roasts 54', uk: 'at least 63 °C; once below for 2 h', us: '60 °C' },
	{ what: 'cold holding', foodCode: 'at most 5 °C', uk: 'at most 8 °C by law, 5 advised', us: 'at most 4 °C' },
	{
		what: 'cooling',
		foodCode: '57 to 21 °C in 2 h, to 5 °C in 4 h more',
		uk: 'below 8 °C within 1–2 h; rice 1 h',
		us: 'within 2 h'
	},
	{ what: 'reheating', foodCode: '74 °C for 15 s, within 2 h', uk: '70 °C for 2 min', us: '74 °C' },
	{ what: 'out of control', foodCode: '4 h, then discard', uk: '2 h', us: '2 h between 4 and 60 °C; 1 h above 32 °C' }
];

/** Where a part is neither cold nor hot, °C, and how long it may be, seconds. */
export const clock = {
	cold: 5,
	hot: 57,
	tempering: 3600,
	beforeCooking: 7200,
	afterCooking: { home: 7200, trade: 14_400 }
} as const;

/** Seconds of a temperature history, sampled a step apart, in which a point is between cold and hot. */
export function betweenColdAndHot(celsius: readonly number[], step: number, hot: number = clock.hot): number {
	return step * celsius.filter((T) => T > clock.cold && T < hot).length;
}

/** Cooling kept to 57 → 21 °C in 2 h and to 5 °C in 4 h more, from samples of the warmest point a step apart, seconds. */
export function coolingHolds(
	celsius: readonly number[],
	step: number
): { readonly first: boolean; readonly whole: boolean } {
	const since = celsius.findIndex((T) => T <= 57);
	const at = (limit: number) => (celsius.findIndex((T) => T <= limit) - Math.max(0, since)) * step;
	const reached = (limit: number) => celsius.some((T) => T <= limit);
	return {
		first: reached(21) && at(21) <= 2 * 3600,
		whole: reached(5) && at(5) <= 6 * 3600
	};
}

/** Days at 4 °C or below (USDA/FMI storage guide), shortest and longest. */
export const keeps = {
	'raw mince, poultry, fish': [1, 2],
	'steaks, roasts': [3, 5],
	'cooked dishes, mash, stock': [3, 4],
	'cooked rice': [1, 4],
	'eggs in the shell': [21, 35],
	'hard-boiled eggs': [7, 7],
	'soft or marinated eggs': [2, 3],
	'raw-egg sauces': [2, 2],
	'cut or blanched vegetables': [3, 4],
	'dressings without garlic': [7, 7],
	'quick pickles': [14, 14],
	dough: [3, 3],
	'raw garlic or herbs under oil': [4, 4]
} as const satisfies Readonly<Record<string, readonly [number, number]>>;
export type Keeps = keyof typeof keeps;

/** What is said wherever a core stays below the advised heat. */
export const belowAdvised =
	'Below the advised heat: not for pregnant, very young, old or ill guests. Local rules and a trained person decide.';
