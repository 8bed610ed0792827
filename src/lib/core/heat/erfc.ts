// The complementary error function, plain and scaled.

/**
 * erfcx(x) = exp(x²) erfc(x) for x ≥ 0, to about 1e-13: the series of erf for small x, Lentz's continued fraction beyond.
 *
 * Source: Abramowitz & Stegun 7.1.6, 7.1.14.
 */
export function erfcx(x: number): number {
	if (x < 2) {
		let term = (2 / Math.sqrt(Math.PI)) * x;
		let erfScaled = term;
		for (let n = 1; term > 1e-17 * erfScaled; n++) {
			term *= (2 * x * x) / (2 * n + 1);
			erfScaled += term;
		}
		return Math.exp(x * x) - erfScaled;
	}
	let fraction = x;
	for (let k = 120; k >= 1; k--) fraction = x + k / 2 / fraction;
	return 1 / (Math.sqrt(Math.PI) * fraction);
}

/** erfc(x) for x ≥ 0. */
export function erfc(x: number): number {
	return erfcx(x) * Math.exp(-x * x);
}
