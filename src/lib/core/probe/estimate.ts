// How long until the food should be pulled, at what its middle has then, and when it will have peaked; and what is doubtful.
import type { Film } from '../heat/body';
import { normalQuantile } from '../learn/spread';
import { pullFor, readingsAt, Tables, type Setting, type Unknowns } from './curve';
import { doubtOf, type Doubt } from './doubt';
import { cholesky } from './positive';
import { posterior, thinned, type AtSpot, type Medium, type Posterior, type Reading } from './posterior';

export interface Band {
	readonly p10: number;
	readonly p50: number;
	readonly p90: number;
}

export interface Estimate {
	/** Seconds from the last reading until the pull; `Infinity` where the peak is never reached. */
	readonly left: Band;
	/** The true middle at the pull, °C. */
	readonly pull: Band;
	/** Seconds from the pull to the peak. */
	readonly peakAfter: number;
	readonly doubt: Doubt | undefined;
	readonly posterior: Posterior;
}

/** What is foretold of the middle at an instant, s since heating began: its most likely value, and a band of 80 %. */
interface Foretold {
	readonly at: number;
	readonly middle: number;
	readonly low: number;
	readonly high: number;
}

/** An estimate as it is told: with the curve that it comes from, and without what it was worked out with. */
export interface Told extends Omit<Estimate, 'posterior'> {
	readonly curve: readonly Foretold[];
}

/** Points of the curve. */
const curvePoints = 40;

/** What a stream says, with the middle's curve from the beginning to the pull. */
export function tell(asked: Asked): Told {
	const { posterior: found, ...told } = estimate(asked);
	const last = asked.readings.at(-1)?.[0] ?? 0;
	const until = last + (Number.isFinite(told.left.p90) ? told.left.p90 : 600);
	const times = Array.from({ length: curvePoints }, (_, i) => (until * i) / (curvePoints - 1));
	const tables = new Tables();
	const middleOf = (s: AtSpot) => readingsAt(asked, { ...s.unknowns, spot: 0, offset: 0, lnTau: 0 }, times, tables);
	const middle = middleOf(found.best);
	const weighty = found.spots.filter((s) => s.weight > 0.02).map((s) => ({ weight: s.weight, curve: middleOf(s) }));
	const slopes = ofFood.map((name, i) => {
		const step = Math.sqrt(found.best.covariance[i]![i]!);
		const moved = middleOf({
			...found.best,
			unknowns: { ...found.best.unknowns, [name]: found.best.unknowns[name] + step }
		});
		return moved.map((m, k) => (m - middle[k]!) / step);
	});
	const curve = times.map((at, k): Foretold => {
		let variance = weighty.reduce((sum, w) => sum + w.weight * (w.curve[k]! - middle[k]!) ** 2, 0);
		slopes.forEach((a, i) => {
			slopes.forEach((b, j) => (variance += a[k]! * b[k]! * found.best.covariance[i]![j]!));
		});
		const off = 1.2816 * Math.sqrt(Math.max(0, variance));
		return { at, middle: middle[k]!, low: middle[k]! - off, high: middle[k]! + off };
	});
	return { ...told, curve };
}

export interface Asked extends Setting {
	readonly medium: Medium;
	/** What the food rests in; what its middle shall peak at, °C. */
	readonly rest: Film;
	readonly peak: number;
	readonly readings: readonly Reading[];
	/** The moment of asking, s since heating began. */
	readonly now: number;
}

/** Spots of less weight than this are left out of what is foretold. */
const negligible = 0.01;
/** Draws for the bands of one spot. */
const draws = 256;
/** Of the unknowns only these bear on the food; in the order of the covariance. */
const ofFood = ['lnF', 'lnG', 'around', 'start'] as const;

/**
 * Time left, pull and peak with their 80 % bands: a mixture over the spots of what each of them foretells, by draws from its
 * Gauss–Laplace approximation through a quadratic in each unknown.
 */
export function estimate(asked: Asked): Estimate {
	const { readings, now } = asked;
	const { doubt, trusted, found: known } = doubtOf(asked, asked.medium, readings, now);
	const found = known ?? posterior(asked, asked.medium, thinned(trusted.length > 0 ? trusted : readings));
	const last = readings.at(-1)?.[0] ?? 0;
	const times: { value: number; weight: number }[] = [];
	const cores: { value: number; weight: number }[] = [];
	const normals = spread();
	const tables = new Tables();
	for (const spot of found.spots.filter((s) => s.weight >= negligible)) {
		const { at, core } = foretold(asked, spot, normals, tables);
		at.forEach((value) => times.push({ value, weight: spot.weight }));
		core.forEach((value) => cores.push({ value, weight: spot.weight }));
	}
	const { peakAfter } = pullFor(asked, found.best.unknowns, asked.rest, asked.peak, tables);
	const left = bandOf(times);
	const since = (t: number) => Math.max(0, t - last);
	return {
		left: { p10: since(left.p10), p50: since(left.p50), p90: since(left.p90) },
		pull: bandOf(cores),
		peakAfter,
		doubt: doubt ?? (found.beyond(0.35) > 0.6 ? 'placement' : undefined),
		posterior: found
	};
}

/** Pull times and middles at the pull, for draws of the unknowns at one spot. */
function foretold(
	asked: Asked,
	{ unknowns, covariance }: AtSpot,
	normals: readonly (readonly number[])[],
	tables: Tables
) {
	const low = cholesky(ofFood.map((_, i) => Float64Array.from(ofFood, (__, k) => covariance[i]![k]!)));
	const of = (u: Unknowns) => pullFor(asked, u, asked.rest, asked.peak, tables);
	const middle = of(unknowns);
	const bends = ofFood.map((name, i) => {
		const sd = Math.sqrt(covariance[i]![i]!);
		const [less, more] = [
			of({ ...unknowns, [name]: unknowns[name] - sd }),
			of({ ...unknowns, [name]: unknowns[name] + sd })
		];
		const bend = (a: number, b: number, m: number) =>
			Number.isFinite(a) && Number.isFinite(b) && Number.isFinite(m)
				? { slope: (b - a) / (2 * sd), curve: (a + b - 2 * m) / (2 * sd * sd) }
				: { slope: 0, curve: 0 };
		return { at: bend(less.at, more.at, middle.at), core: bend(less.core, more.core, middle.core) };
	});
	const at: number[] = [];
	const core: number[] = [];
	for (const z of normals) {
		let [t, c] = [middle.at, middle.core];
		bends.forEach((b, i) => {
			const move = low[i]!.reduce((sum, l, k) => sum + l * (z[k] ?? 0), 0);
			t += b.at.slope * move + b.at.curve * move * move;
			c += b.core.slope * move + b.core.curve * move * move;
		});
		at.push(t);
		core.push(c);
	}
	return { at, core };
}

/** Normal draws that fill the space evenly: Halton's points through the inverse of the normal distribution. */
function spread(): readonly (readonly number[])[] {
	const radical = (n: number, base: number) => {
		let [value, share] = [0, 1 / base];
		for (let i = n; i > 0; i = Math.floor(i / base), share /= base) value += (i % base) * share;
		return value;
	};
	return Array.from({ length: draws }, (_, n) => [2, 3, 5, 7].map((base) => normalQuantile(radical(n + 7, base))));
}

function bandOf(values: readonly { readonly value: number; readonly weight: number }[]): Band {
	const sorted = values.toSorted((a, b) => a.value - b.value);
	const all = sorted.reduce((sum, v) => sum + v.weight, 0);
	const at = (share: number) => {
		let sum = 0;
		for (const { value, weight } of sorted) if ((sum += weight) >= share * all) return value;
		return sorted.at(-1)?.value ?? 0;
	};
	return { p10: at(0.1), p50: at(0.5), p90: at(0.9) };
}
