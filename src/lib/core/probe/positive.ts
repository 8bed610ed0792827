// Symmetric positive matrices of a few rows: factor, solution, inverse, determinant.

/** Cholesky's factor of a symmetric positive matrix. */
export function cholesky(m: readonly Float64Array[]): readonly Float64Array[] {
	const n = m.length;
	const low = Array.from({ length: n }, () => new Float64Array(n));
	for (let i = 0; i < n; i++)
		for (let j = 0; j <= i; j++) {
			let sum = m[i]![j]!;
			for (let k = 0; k < j; k++) sum -= low[i]![k]! * low[j]![k]!;
			low[i]![j] = i === j ? Math.sqrt(Math.max(1e-12, sum)) : sum / low[j]![j]!;
		}
	return low;
}

/** The solution of a system of such a matrix. */
export function solved(m: readonly Float64Array[], right: Float64Array): Float64Array {
	const low = cholesky(m);
	const n = m.length;
	const x = right.slice();
	for (let i = 0; i < n; i++) {
		for (let k = 0; k < i; k++) x[i]! -= low[i]![k]! * x[k]!;
		x[i]! /= low[i]![i]!;
	}
	for (let i = n - 1; i >= 0; i--) {
		for (let k = i + 1; k < n; k++) x[i]! -= low[k]![i]! * x[k]!;
		x[i]! /= low[i]![i]!;
	}
	return x;
}

/** Its inverse, column by column. */
export function inverse(m: readonly Float64Array[]): readonly Float64Array[] {
	return m.map((_, i) =>
		solved(
			m,
			Float64Array.from({ length: m.length }, (__, k) => (i === k ? 1 : 0))
		)
	);
}

/** ln of its determinant. */
export function logDeterminant(m: readonly Float64Array[]): number {
	return 2 * cholesky(m).reduce((sum, row, i) => sum + Math.log(row[i]!), 0);
}
