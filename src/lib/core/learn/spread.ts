// Durations as distributions: three numbers from a cook ↔ a log-normal, and its quantiles.

/** ln t ~ N(mu, sigma²), t in any unit of time. */
export interface LogNormal {
	readonly mu: number;
	readonly sigma: number;
}

/** Spread where only a usual time is given (est.): hands; unattended by the clock; physics. */
export const usualSigma = { hands: 0.25, clock: 0.1, physics: 0.12 } as const;

export interface ThreePoint {
	readonly mean: number;
	readonly sd: number;
	/** Shape of the beta-PERT. */
	readonly a: number;
	readonly b: number;
	/** The log-normal of the same mean and sd. */
	readonly logNormal: LogNormal;
}

/**
 * Shortest, usual, longest as a beta-PERT with its exact variance, and the log-normal of the same mean and sd.
 *
 * @param weight of the usual time, 4 as a rule
 * @throws {RangeError} not 0 < shortest ≤ usual ≤ longest
 * Source: Clark 1962, Oper. Res. 10, 405–406; the exact variance of the beta distribution.
 */
export function threePoint(shortest: number, usual: number, longest: number, weight = 4): ThreePoint {
	if (!(shortest > 0 && shortest <= usual && usual <= longest && weight > 0)) {
		throw new RangeError(`three times ${shortest}, ${usual}, ${longest}: expected 0 < shortest ≤ usual ≤ longest`);
	}
	const range = longest - shortest;
	if (range === 0) return { mean: usual, sd: 0, a: 1, b: 1, logNormal: { mu: Math.log(usual), sigma: 0 } };
	const mean = (shortest + weight * usual + longest) / (weight + 2);
	const a = 1 + (weight * (usual - shortest)) / range;
	const b = 1 + (weight * (longest - usual)) / range;
	const sd = range * Math.sqrt((a * b) / ((a + b) ** 2 * (a + b + 1)));
	return { mean, sd, a, b, logNormal: fromMoments(mean, sd) };
}

/** The log-normal of a mean and a standard deviation (Aitchison & Brown 1957). */
export function fromMoments(mean: number, sd: number): LogNormal {
	const variance = Math.log1p((sd / mean) ** 2);
	return { mu: Math.log(mean) - variance / 2, sigma: Math.sqrt(variance) };
}

/** From its 5th and 95th hundredth. */
export function fromQuantiles(q5: number, q95: number): LogNormal {
	return { mu: 0.5 * Math.log(q5 * q95), sigma: Math.log(q95 / q5) / 3.289707 };
}

/** The time that a share p of all runs stays below. */
export function quantile({ mu, sigma }: LogNormal, p: number): number {
	return Math.exp(mu + sigma * normalQuantile(p));
}

export const meanOf = ({ mu, sigma }: LogNormal) => Math.exp(mu + (sigma * sigma) / 2);

/** What is shown of a distribution: its 10th, 50th and 90th hundredth. */
export function shown(distribution: LogNormal): {
	readonly shortest: number;
	readonly usual: number;
	readonly longest: number;
} {
	return {
		shortest: quantile(distribution, 0.1),
		usual: quantile(distribution, 0.5),
		longest: quantile(distribution, 0.9)
	};
}

/**
 * Share of the standard normal below x, to 1e-9 of itself, also far below.
 *
 * Source: Hart 1968, Computer Approximations, as given by West 2005, Wilmott Magazine, May, 70–76.
 */
export function normalShare(x: number): number {
	const z = Math.abs(x);
	if (!(z <= 37)) return Number.isNaN(z) ? NaN : x > 0 ? 1 : 0;
	const horner = (list: readonly number[]) => list.reduce((sum, k) => sum * z + k, 0);
	const over = [
		3.52624965998911e-2, 0.700383064443688, 6.37396220353165, 33.912866078383, 112.079291497871, 221.213596169931,
		220.206867912376
	];
	const under = [
		8.83883476483184e-2, 1.75566716318264, 16.064177579207, 86.7807322029461, 296.564248779674, 637.333633378831,
		793.826512519948, 440.413735824752
	];
	const density = Math.exp((-z * z) / 2);
	const tail =
		z < 7.07106781186547
			? (density * horner(over)) / horner(under)
			: density / ((z + 1 / (z + 2 / (z + 3 / (z + 4 / (z + 0.65))))) * 2.506628274631);
	return x > 0 ? 1 - tail : tail;
}

function polynomial(list: readonly number[], x: number): number {
	let sum = 0;
	for (const k of list) sum = sum * x + k;
	return sum;
}

/** Acklam's coefficients: of the middle, above and below the line, and of the tails. */
const middleOver = [
	-39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716, 2.506628277459239
];
const middleUnder = [-54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572];
const tailOver = [
	-0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968,
	2.938163982698783
];
const tailUnder = [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416];

/**
 * Quantile of the standard normal, 0 < p < 1, to 1.2e-9 of itself.
 *
 * Source: Acklam's rational fit.
 */
export function normalQuantile(p: number): number {
	if (!(p > 0 && p < 1)) return p === 0 ? -Infinity : p === 1 ? Infinity : NaN;
	const tail = Math.min(p, 1 - p);
	if (tail < 0.02425) {
		const q = Math.sqrt(-2 * Math.log(tail));
		const z = polynomial(tailOver, q) / (polynomial(tailUnder, q) * q + 1);
		return p < 0.5 ? z : -z;
	}
	const q = p - 0.5;
	const r = q * q;
	return (polynomial(middleOver, r) * q) / (polynomial(middleUnder, r) * r + 1);
}
