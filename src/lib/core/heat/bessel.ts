// Bessel functions J₀ and J₁ and their zeros, to rounding error where the conduction series need them.

/** Below this the power series converges without loss; above the asymptotic form does; the integral lies between. */
const small = 12;
const large = 17;

/**
 * J_m(x) for m = 0 or 1, x ≥ 0; absolute error below 1e-12.
 *
 * Source: power series and Hankel's expansion (Abramowitz & Stegun 9.1.10, 9.2.5); between them Bessel's integral
 * (1/π)∫₀^π cos(mτ − x sin τ) dτ by the trapezoid rule, which is exact to rounding for periodic integrands.
 */
export function besselJ(m: 0 | 1, x: number): number {
	if (x < small) return series(m, x);
	return x > large ? hankel(m, x) : integral(m, x);
}

function series(m: 0 | 1, x: number): number {
	const q = (-x * x) / 4;
	let term = m === 0 ? 1 : x / 2;
	let sum = term;
	for (let k = 1; Math.abs(term) > 1e-18; k++) {
		term *= q / (k * (k + m));
		sum += term;
	}
	return sum;
}

function integral(m: 0 | 1, x: number): number {
	const n = Math.ceil(48 + 1.5 * x);
	let sum = (1 + Math.cos(m * Math.PI)) / 2;
	for (let i = 1; i < n; i++) {
		const tau = (i * Math.PI) / n;
		sum += Math.cos(m * tau - x * Math.sin(tau));
	}
	return sum / n;
}

function hankel(m: 0 | 1, x: number): number {
	const mu = 4 * m * m;
	let [p, q, term] = [1, 0, 1];
	for (let k = 1; k < 30; k++) {
		const next = (term * (mu - (2 * k - 1) ** 2)) / (k * 8 * x);
		if (Math.abs(next) > Math.abs(term) || Math.abs(next) < 1e-17) break;
		term = next;
		const sign = k % 4 < 2 ? 1 : -1;
		if (k % 2 === 1) q += sign * term;
		else p += (k % 4 === 0 ? 1 : -1) * term;
	}
	const chi = x - (m / 2 + 1 / 4) * Math.PI;
	return Math.sqrt(2 / (Math.PI * x)) * (p * Math.cos(chi) - q * Math.sin(chi));
}

/** First zeros of J₀ and J₁ (Abramowitz & Stegun, table 9.5). */
const zeros = [
	[
		2.404825557695773, 5.520078110286311, 8.653727912911013, 11.791534439014281, 14.930917708487787, 18.071063967910924,
		21.21163662987926, 24.352471530749302, 27.493479132040253, 30.634606468431976
	],
	[
		3.831705970207512, 7.015586669815619, 10.173468135062722, 13.323691936314223, 16.470630050877634,
		19.615858510468243, 22.760084380592772, 25.903672087618382, 29.046828534916855, 32.189679910974405
	]
] as const;

/**
 * The n-th positive zero of J_m, n ≥ 1: the table's, beyond it McMahon's start (Abramowitz & Stegun 9.5.12), then Newton.
 */
export function besselZero(m: 0 | 1, n: number): number {
	return zeros[m][n - 1] ?? newtonZero(m, n);
}

/** The same without the table. */
export function newtonZero(m: 0 | 1, n: number): number {
	const beta = (n + m / 2 - 1 / 4) * Math.PI;
	let x = beta - (4 * m * m - 1) / (8 * beta);
	for (let i = 0; i < 6; i++) {
		const slope = m === 0 ? -besselJ(1, x) : besselJ(0, x) - besselJ(1, x) / x;
		const step = besselJ(m, x) / slope;
		x -= step;
		if (Math.abs(step) < 1e-13 * x) break;
	}
	return x;
}
