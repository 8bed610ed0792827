// Lethality over a core's history, and the published times for beef and poultry. Advice and a gate: local codes decide.

/** A stretch of a core's history, a straight line from one temperature to another, °C. */
export interface Segment {
	readonly seconds: number;
	readonly from: number;
	readonly to: number;
}

/** Seconds for one decimal reduction at a temperature, and K for ten times the rate. */
export interface Organism {
	readonly reference: number;
	readonly d: number;
	readonly z: number;
	/** Log reductions wanted. */
	readonly wanted: number;
	readonly say: string;
	readonly source: string;
	/** Whose published times hold against it, where there are some. */
	readonly species?: 'beef' | 'poultry';
}

/**
 * Log reductions of a history: (1/D) ∫ 10^((T − T_ref)/z) dt, exact for straight stretches, no lower cut-off.
 *
 * Source: USDA FSIS Compliance Guideline, Appendix A.
 */
export function lethality(segments: readonly Segment[], reference: number, d: number, z: number): number {
	const seconds = segments.reduce((sum, { seconds: dt, from, to }) => {
		const [a, b] = [10 ** ((from - reference) / z), 10 ** ((to - reference) / z)];
		const isFlat = Math.abs(to - from) < 1e-9;
		return sum + (isFlat ? dt * a : (dt * z * (b - a)) / (Math.LN10 * (to - from)));
	}, 0);
	return seconds / d;
}

/** Below this nothing counts for the gate, °C. */
const gateFrom = 54.4;

/** The same as a gate: only from 54.4 °C on, and a probe's error of 1 K taken off. */
export function gatedLethality(segments: readonly Segment[], organism: Organism): number {
	const counted = segments.flatMap(({ seconds, from, to }): Segment[] => {
		const [a, b] = [from - 1, to - 1];
		if (a < gateFrom && b < gateFrom) return [];
		if (a >= gateFrom && b >= gateFrom) return [{ seconds, from: a, to: b }];
		const share = (Math.max(a, b) - gateFrom) / Math.abs(b - a);
		return [{ seconds: seconds * share, from: Math.max(a, gateFrom), to: Math.max(b, gateFrom) }];
	});
	return lethality(counted, organism.reference, organism.d, organism.z);
}

export const organisms = {
	'Salmonella in red meat': {
		reference: 60,
		d: 111,
		z: 5.56,
		wanted: 6.5,
		species: 'beef',
		say: 'roasts 6.5, mince 5',
		source: 'implied by the FSIS table'
	},
	'Salmonella in poultry': {
		reference: 60,
		d: 236,
		z: 5.5,
		wanted: 7,
		species: 'poultry',
		say: '5 % fat; 12 %: × 1.3, 1 %: × 0.9',
		source: 'implied by the FSIS table'
	},
	Listeria: { reference: 70, d: 20, z: 7.5, wanted: 6, say: '70 °C for 2 min', source: 'ACMSF 1992' },
	'E. coli in mince': {
		reference: 60,
		d: 110,
		z: 5,
		wanted: 5,
		say: 'D 45–190 s at 60 °C',
		source: 'est., the middle'
	},
	'Salmonella in egg': { reference: 60, d: 30, z: 4.5, wanted: 5, say: '60 °C for 3.5 min', source: 'est.' }
} as const satisfies Readonly<Record<string, Organism>>;

const minute = 60;
type Rows = readonly (readonly [fahrenheit: number, seconds: number])[];

/** Intact beef roasts, 6.5 log: °F and seconds (FSIS Appendix A). */
const beef: Rows = [
	...(
		[
			[130, 112],
			[131, 89],
			[132, 71],
			[133, 56],
			[134, 45],
			[135, 36],
			[136, 28],
			[138, 18],
			[139, 15],
			[140, 12],
			[141, 9],
			[143, 6],
			[144, 5],
			[145, 4]
		] as const
	).map(([f, minutes]) => [f, minutes * minute] as const),
	[146, 169],
	[147, 134],
	[149, 85],
	[150, 67],
	[151, 54],
	[153, 34],
	[154, 27],
	[155, 22],
	[156, 17],
	[157, 14]
];
/** Poultry, 7 log, 5 % fat (FSIS). */
const poultry: Rows = [
	[136, 68 * minute],
	[140, 27.5 * minute],
	[145, 9.2 * minute],
	[150, 2.8 * minute],
	[155, 48],
	[160, 15]
];

const published = {
	beef: {
		rows: beef,
		instant: 158,
		logs: 6.5,
		factors: new Map([
			[6.5, 1],
			[7, 1.08]
		])
	},
	poultry: { rows: poultry, instant: 165, logs: 7, factors: new Map([[7, 1]]) }
} as const;
export type Species = keyof typeof published;

/** Red meats share the table for roasts. */
export const speciesOf = (name: string): Species | undefined => {
	if (/^(beef|lamb|pork|veal|venison)$/i.test(name)) return 'beef';
	return /^(poultry|chicken|turkey|duck)$/i.test(name) ? 'poultry' : undefined;
};

/**
 * Seconds to hold a core at a temperature, by the published table; 0 where it is instant, `Infinity` below the table,
 * `undefined` for log reductions it does not give. No margin: the gate adds its own.
 *
 * °C become °F by definition, rounded to 0.1; between rows the logarithm is linear.
 */
export function publishedTime(celsius: number, logs: number, species: Species): number | undefined {
	const { rows, instant, factors } = published[species];
	const factor = factors.get(logs);
	if (factor === undefined) return undefined;
	const f = Math.round((celsius * 1.8 + 32) * 10) / 10;
	if (f >= instant) return 0;
	const next = rows.findIndex(([row]) => row >= f);
	if (next === 0 && rows[0]![0] > f) return Infinity;
	const after = rows[next];
	if (!after) return rows.at(-1)![1] * factor;
	if (after[0] === f) return after[1] * factor;
	const before = rows[next - 1]!;
	const share = (f - before[0]) / (after[0] - before[0]);
	return before[1] * (after[1] / before[1]) ** share * factor;
}
