// A step that ends by a sign: when it is looked at first, and what is thought of its end once it was not done yet.
import { normalQuantile, normalShare, quantile, type LogNormal } from '../learn/spread';

/** How far a cook says that it is; absent: only that it is not done. */
export type HowFar = 'far' | 'half way' | 'nearly' | undefined;

/** A look that found it not done: seconds since the step began. */
export interface Look {
	readonly at: number;
	readonly how: HowFar;
}

/** What share of the way each word stands for. */
const share: Readonly<Record<NonNullable<HowFar>, number>> = { far: 0.3, 'half way': 0.5, nearly: 0.9 };
/** A word is this much surer than what was thought before, by standard deviation. */
const surer = 2;
/** A time without any spread is not known as well as that. */
const leastSigma = 0.02;
/** What is thought of it is done in this share of cases before the first look. */
const first = 0.1;
/** The next look comes where this share of what is left lies; no sooner than so many seconds, nor later than a share of the step. */
const nextShare = 0.25;
const soonest = 30;
const latest = 1 / 5;
/** After so many looks the cook decides. */
export const mostLooks = 5;

/** How long a step takes: a log-normal of its seconds, of which those up to `over` have passed without its being done. */
export interface Expected extends LogNormal {
	readonly over: number;
}

/**
 * What is thought of a step's length after looks that found it not done. What is said of how far it is is one more reading of
 * ln T, ln(t ÷ share), twice as sure as what was thought before, weighted by precision; that it is not done cuts off all that
 * is shorter.
 */
export function expectedAfter(prior: LogNormal, looks: readonly Look[]): Expected {
	let { mu } = prior;
	let sigma = Math.max(leastSigma, prior.sigma);
	let over = 0;
	for (const { at, how } of looks) {
		over = Math.max(over, at);
		if (how === undefined || at <= 0) continue;
		const said = Math.log(at / share[how]);
		const weight = surer ** 2;
		mu = (mu + weight * said) / (1 + weight);
		sigma = Math.max(leastSigma, sigma / Math.sqrt(1 + weight));
	}
	return { mu, sigma, over };
}

/** The length that a share of what is left stays below, seconds. */
export function lengthAt({ mu, sigma, over }: Expected, p: number): number {
	if (over <= 0) return quantile({ mu, sigma }, p);
	const z = (Math.log(over) - mu) / sigma;
	// From above: far beyond what was thought only the upper tail is left, and it keeps its digits.
	const left = normalShare(-z);
	const upper = left * (1 - p);
	if (upper < 1e-300) return over * (1 + latest * p);
	return Math.max(over, Math.exp(mu - sigma * normalQuantile(upper)));
}

/** When a step is looked at first, seconds since it began. */
export const firstLook = (prior: LogNormal): number => quantile(prior, first);

/**
 * When it is looked at next, seconds since it began; `undefined` where it was looked at as often as makes sense.
 *
 * @param length of the step as it was planned, seconds
 */
export function nextLook(prior: LogNormal, looks: readonly Look[], length: number): number | undefined {
	const last = looks.at(-1);
	if (!last) return firstLook(prior);
	if (looks.length >= mostLooks) return undefined;
	const quarter = lengthAt(expectedAfter(prior, looks), nextShare) - last.at;
	return last.at + Math.max(soonest, Math.min(latest * length, quarter));
}
