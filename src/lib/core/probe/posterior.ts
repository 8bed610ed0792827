// What a probe's readings say of the unknowns: Laplace's approximation in six of them, at each of a row of spots.
import { inverse, logDeterminant, solved } from './positive';
import { leftAt, nothingKnown, readingsOf, Tables, usualLag, within, type Setting, type Unknowns } from './curve';

export const media = ['oven', 'bath', 'pan'] as const;
export type Medium = (typeof media)[number];

/** Standard deviations before anything is read (docs/probe.md). */
const byMedium: Readonly<Record<Medium, { readonly lnG: number; readonly around: number }>> = {
	oven: { lnG: 0.25, around: 8 },
	bath: { lnG: 0.1, around: 0.5 },
	pan: { lnG: 0.2, around: 10 }
};
/** √(0.08² + (2 · 0.05)²): diffusivity, and a thickness that nobody measured. */
const sdF = Math.hypot(0.08, 0.1);
const common = { lnF: sdF, start: 1.5, offset: 0.5, lnTau: 0.4 } as const;
/** What real probes and kitchens scatter by, for those that play. */
export const trueSpread = (medium: Medium) => ({ ...common, ...byMedium[medium] });
const names = ['lnF', 'lnG', 'around', 'start', 'offset', 'lnTau'] as const;
type Name = (typeof names)[number];
const count = names.length;

/** A reading: seconds since heating began, °C. */
export type Reading = readonly [seconds: number, celsius: number];

/** Noise of one reading, K; one in a hundred is anything within ± 15 K. */
const noise = 0.3;
const wild = { share: 0.01, within: 15 };
/** Readings closer together than this are one, s; and no more of them than this are looked at. */
const thinnest = 10;
const mostReadings = 90;

/** Several readings as one: their mean instant and their mean, with what that is good for. */
export interface Thinned {
	readonly time: number;
	readonly celsius: number;
	readonly sd: number;
}

/** A stream in stretches of at least ten seconds; what lies far from the middle of its stretch is left out. */
export function thinned(readings: readonly Reading[]): readonly Thinned[] {
	const last = readings.at(-1)?.[0] ?? 0;
	const width = Math.max(thinnest, last / mostReadings);
	const stretches = new Map<number, Reading[]>();
	for (const r of readings) {
		const key = Math.floor(r[0] / width);
		const own = stretches.get(key);
		if (own) own.push(r);
		else stretches.set(key, [r]);
	}
	return [...stretches.values()].map((all) => {
		const middle = medianOf(all.map(([, c]) => c));
		const near = all.filter(([, c]) => Math.abs(c - middle) < 6 * noise + 1);
		const own = near.length > 0 ? near : all;
		const mean = (k: 0 | 1) => own.reduce((sum, r) => sum + r[k], 0) / own.length;
		// Noise within a stretch is hardly ever quite independent.
		return { time: mean(0), celsius: mean(1), sd: Math.max(noise / Math.sqrt(own.length), noise / 3) };
	});
}

export function medianOf(values: readonly number[]): number {
	const sorted = values.toSorted((a, b) => a - b);
	const middle = sorted.length >> 1;
	return sorted.length % 2 === 1 ? sorted[middle]! : ((sorted[middle - 1] ?? 0) + (sorted[middle] ?? 0)) / 2;
}

/** Spots that are tried, and what each is thought before: near the middle (half-normal, 0.15), one in twelve anywhere. */
const spots = [0, 0.06, 0.12, 0.18, 0.25, 0.33, 0.42, 0.52, 0.64, 0.78, 0.92] as const;
const misplaced = 1 / 12;
const spotPrior = spots.map((x, i) => {
	const from = i === 0 ? 0 : ((spots[i - 1] ?? 0) + x) / 2;
	const to = i === spots.length - 1 ? 1 : (x + (spots[i + 1] ?? 1)) / 2;
	const near = (2 / (0.15 * Math.sqrt(2 * Math.PI))) * Math.exp(-0.5 * (x / 0.15) ** 2);
	return ((1 - misplaced) * near + misplaced) * (to - from);
});

/** Spots that are so much less likely, as a logarithm, are not looked at again. */
const hopeless = 12;

/** At one spot: the most likely values, their covariance (row by row, in the order of `parameters`), and its weight. */
export interface AtSpot {
	readonly unknowns: Unknowns;
	readonly covariance: readonly Float64Array[];
	readonly weight: number;
}

export const parameters: readonly Name[] = names;

export interface Posterior {
	readonly spots: readonly AtSpot[];
	/** Probability that it sits further out than this share of the way. */
	readonly beyond: (spot: number) => number;
	readonly best: AtSpot;
}

/**
 * Posterior of the unknowns, given a stream.
 *
 * Gauss–Newton on the least squares with the priors as rows, Jacobian by differences where it is not linear, weights of a mixture of noise and
 * wild readings; at each of a row of spots, whose weights are their priors times Laplace's evidence (MacKay 2003, Information
 * Theory, Inference, and Learning Algorithms, ch. 27).
 */
export function posterior(setting: Setting, medium: Medium, stream: readonly Thinned[]): Posterior {
	const prior: Readonly<Record<Name, number>> = { ...common, ...byMedium[medium] };
	const sds = names.map((n) => prior[n]);
	const times = stream.map((r) => r.time);
	const tables = new Tables();
	const leftOf = (u: Unknowns) => leftAt(setting, u, times, tables);
	let weights = new Float64Array(stream.length).fill(1);
	const fit = (spot: number, from: Unknowns, rounds: number) => {
		let u: Unknowns = { ...from, spot };
		let left = leftOf(u);
		let model = readingsOf(setting, u, left);
		let cost = costOf(u, model);
		let hessian = square();
		for (let round = 0, damping = 1e-3; round < rounds; round++) {
			const { film, t0 } = within(setting, u);
			const jacobian = names.map((name, i) => {
				// Linear in these three.
				if (name === 'offset') return left.map(() => 1);
				if (name === 'start') return left;
				if (name === 'around') return left.map((s) => 1 - s);
				const step = 0.05 * sds[i]!;
				const moved = leftOf({ ...u, [name]: u[name] + step });
				return moved.map((m, k) => ((t0 - film.tinf) * (m - left[k]!)) / step);
			});
			hessian = square();
			const slope = new Float64Array(count);
			for (let a = 0; a < count; a++) {
				const centre = names[a] === 'lnTau' ? Math.log(usualLag) : 0;
				slope[a]! -= (u[names[a]!] - centre) / sds[a]! ** 2;
				hessian[a]![a]! += 1 / sds[a]! ** 2;
				for (let k = 0; k < times.length; k++) {
					const w = weights[k]! / stream[k]!.sd ** 2;
					slope[a]! += w * jacobian[a]![k]! * (stream[k]!.celsius - model[k]!);
					for (let b = 0; b <= a; b++) hessian[a]![b]! += w * jacobian[a]![k]! * jacobian[b]![k]!;
				}
			}
			for (let a = 0; a < count; a++) for (let b = 0; b < a; b++) hessian[b]![a] = hessian[a]![b]!;
			let isBetter = false;
			for (let tries = 0; tries < 5 && !isBetter; tries++) {
				const damped = hessian.map((row, a) => row.map((x, b) => (a === b ? x * (1 + damping) : x)));
				const move = solved(damped, slope);
				const next = { ...u };
				names.forEach((name, a) => {
					Object.assign(next, { [name]: u[name] + move[a]! });
				});
				const seen = leftOf(next);
				const moved = readingsOf(setting, next, seen);
				const better = costOf(next, moved);
				isBetter = better < cost + 1e-9;
				if (!isBetter) {
					damping *= 8;
					continue;
				}
				const won = cost - better;
				[u, left, model, cost] = [next, seen, moved, better];
				damping = Math.max(1e-6, damping / 4);
				if (won < 1e-3) round = rounds;
			}
			if (!isBetter) break;
		}
		return { u, model, cost, hessian };
	};
	function costOf(u: Unknowns, model: Float64Array): number {
		let sum = 0;
		names.forEach((name, a) => {
			const centre = name === 'lnTau' ? Math.log(usualLag) : 0;
			sum += ((u[name] - centre) / sds[a]!) ** 2;
		});
		for (let k = 0; k < times.length; k++) sum += weights[k]! * ((stream[k]!.celsius - model[k]!) / stream[k]!.sd) ** 2;
		return sum / 2;
	}
	const scan = (rounds: number, from: (i: number) => Unknowns) => {
		let last: Unknowns | undefined;
		return spots.map((spot, i) => {
			const found = fit(spot, last ?? from(i), rounds);
			last = found.u;
			return found;
		});
	};
	let fits = scan(6, () => nothingKnown);
	for (let round = 0; round < 2; round++) {
		const losses = fits.map((f, i) => f.cost - Math.log(spotPrior[i]!));
		const { model } = fits[losses.indexOf(Math.min(...losses))]!;
		weights = Float64Array.from(stream, (r, k) => trust(r.celsius - model[k]!, r.sd));
		const before = fits;
		const least = Math.min(...losses);
		// Where no spot explains the stream, weights may change which of them is likely.
		const limit = least < times.length ? least + hopeless : Infinity;
		fits = spots.map((spot, i) => (losses[i]! > limit ? before[i]! : fit(spot, before[i]!.u, 3)));
	}
	const logs = fits.map(({ cost, hessian }, i) => Math.log(spotPrior[i]!) - cost - 0.5 * logDeterminant(hessian));
	const most = Math.max(...logs);
	const all = logs.map((l) => Math.exp(l - most));
	const sum = all.reduce((a, b) => a + b, 0);
	const at = fits.map(({ u, hessian }, i): AtSpot => ({
		unknowns: u,
		covariance: inverse(hessian),
		weight: all[i]! / sum
	}));
	return {
		spots: at,
		beyond: (spot) => at.reduce((p, s) => (s.unknowns.spot > spot ? p + s.weight : p), 0),
		best: at.reduce((a, b) => (b.weight > a.weight ? b : a))
	};
}

/** How likely a reading is noise and nothing wild, given how far off it is. */
function trust(off: number, sd: number): number {
	const tame = ((1 - wild.share) / (sd * Math.sqrt(2 * Math.PI))) * Math.exp(-0.5 * (off / sd) ** 2);
	return tame / (tame + wild.share / (2 * wild.within) + 1e-12);
}

const square = () => Array.from({ length: count }, () => new Float64Array(count));
