// What records teach about one duration: conjugate updates on the logarithm.

export interface KnownSigma {
	readonly mu: number;
	/** How sure of mu. */
	readonly sd: number;
	/** Spread of the next time, on the logarithm. */
	readonly predictive: number;
}

/**
 * Posterior of ln t with a known spread σ: prior μ ~ N(ln median, τ²).
 *
 * @param times observed, > 0, in the prior's unit
 * Source: Gelman et al. 2013, Bayesian Data Analysis, § 2.5.
 */
export function learnKnownSigma(median: number, tau: number, sigma: number, times: readonly number[]): KnownSigma {
	const precision = 1 / tau ** 2 + times.length / sigma ** 2;
	const sum = times.reduce((s, t) => s + Math.log(t), 0);
	const mu = (Math.log(median) / tau ** 2 + sum / sigma ** 2) / precision;
	const sd = precision ** -0.5;
	return { mu, sd, predictive: Math.hypot(sd, sigma) };
}

export interface NormalInverseGamma {
	readonly m: number;
	readonly kappa: number;
	readonly a: number;
	readonly b: number;
}

/** A weak prior around a median. */
export const weakPrior = (median: number): NormalInverseGamma => ({ m: Math.log(median), kappa: 1, a: 2, b: 0.1 });

/**
 * Posterior of ln t with mean and spread both unknown: normal–inverse-gamma.
 *
 * Source: Gelman et al. 2013, § 3.3. No forgetting, no clipping: `factors.ts` has those.
 */
export function learn(prior: NormalInverseGamma, times: readonly number[]): NormalInverseGamma {
	const n = times.length;
	if (n === 0) return prior;
	const logs = times.map(Math.log);
	const mean = logs.reduce((s, x) => s + x, 0) / n;
	const squares = logs.reduce((s, x) => s + (x - mean) ** 2, 0);
	const kappa = prior.kappa + n;
	return {
		m: (prior.kappa * prior.m + n * mean) / kappa,
		kappa,
		a: prior.a + n / 2,
		b: prior.b + squares / 2 + (prior.kappa * n * (mean - prior.m) ** 2) / (2 * kappa)
	};
}

/** The next ln t: Student's t with so many degrees, around m, with a scale. */
export function predictive({ m, kappa, a, b }: NormalInverseGamma) {
	return { degrees: 2 * a, location: m, scale: Math.sqrt((b / a) * (1 + 1 / kappa)) };
}
