// Literals as pairs of numbers, and what is done with lists of them.

/** A literal as a pair of half and value; empty: always true. */
export type Literal = readonly number[];

export const negated = ([h = 0, v = 0]: Literal): number[] => [h ^ 1, 1 - v];

/** The clause that not all of these literals (pairs, one after the other) hold. */
export function excluded(guards: readonly number[]): number[] {
	const clause: number[] = [];
	for (let g = 0; g < guards.length; g += 2) clause.push(guards[g]! ^ 1, 1 - guards[g + 1]!);
	return clause;
}

/** All of these literals as pairs, each once: a literal that stood twice would look like two open ones. */
export function together(...literals: readonly Literal[]): number[] {
	const found: number[] = [];
	for (const list of literals) {
		for (let i = 0; i < list.length; i += 2) {
			let isNew = true;
			for (let k = 0; k < found.length && isNew; k += 2) isNew = found[k] !== list[i] || found[k + 1] !== list[i + 1];
			if (isNew) found.push(list[i]!, list[i + 1]!);
		}
	}
	return found;
}
