// What a probe in the food reads over time, and when that food should be pulled: the body's conduction at the spot where the
// probe sits, seen by a slow sensor.
import { biot, directionsOf, type Body, type Film } from '../heat/body';
import { vertex } from '../heat/finite-volumes';
import type { Shape } from '../heat/modes';
import { Going, Table } from './field';

/** A body in its heat, as it is thought to be. */
export interface Setting {
	readonly body: Body;
	readonly film: Film;
	/** Uniform start, °C. */
	readonly t0: number;
}

/** What is not known of it. */
export interface Unknowns {
	/** ln of the factor on L²/α: it divides the diffusivity. */
	readonly lnF: number;
	/** ln of the factor on the film of the heating. */
	readonly lnG: number;
	/** K: surroundings, start, and offset of the sensor. */
	readonly around: number;
	readonly start: number;
	readonly offset: number;
	/** ln of the sensor's lag, s. */
	readonly lnTau: number;
	/** Where it sits along the shortest direction: 0 the middle, 1 the surface. */
	readonly spot: number;
}

/** Median of the sensor's lag, s. */
export const usualLag = 8;
export const nothingKnown: Unknowns = {
	lnF: 0,
	lnG: 0,
	around: 0,
	start: 0,
	offset: 0,
	lnTau: Math.log(usualLag),
	spot: 0
};

/** The body, its film and its start with the unknowns put in; conductivity and size, so the Biot number of its rest, stay. */
export function within({ body, film, t0 }: Setting, u: Pick<Unknowns, 'lnF' | 'lnG' | 'around' | 'start'>): Setting {
	return {
		body: { ...body, alpha: body.alpha / Math.exp(u.lnF) },
		film: { h: film.h === null ? null : film.h * Math.exp(u.lnG), tinf: film.tinf + u.around },
		t0: t0 + u.start
	};
}

/** Tables of one body, kept: of one shape and Biot number each. */
export class Tables {
	private readonly known = new Map<string, Table>();

	of(shape: Shape, bi: number): Table {
		const key = `${shape} ${bi}`;
		let table = this.known.get(key);
		if (!table) {
			if (this.known.size > 40) this.known.clear();
			table = new Table(shape, bi);
			this.known.set(key, table);
		}
		return table;
	}
}

function directionsIn({ body, film }: Setting, tables: Tables) {
	return directionsOf(body).map((d) => ({
		...d,
		rate: body.alpha / d.L ** 2,
		table: tables.of(d.shape, biot(d, body, film.h))
	}));
}

/** Between two readings the food is looked at no less often than this, s: the sensor follows a straight line in between. */
const finest = 5;
const coarsest = 20;

/**
 * What is left, at times, of the distance between start and surroundings as a probe sees it, 1 to 0: readings are linear in it.
 *
 * The sensor is of first order, τ dy/dt = T(ξ, t) − y, y(0) = T₀, filtered exactly for food that goes straight between the
 * instants at which it is looked at. The food: the product of its directions (see `field`).
 *
 * @param times s since heating began, ascending
 */
export function leftAt(setting: Setting, u: Unknowns, times: readonly number[], tables = new Tables()): Float64Array {
	const directions = directionsIn(within(setting, u), tables);
	const shortest = directions.reduce((a, b) => (b.L < a.L ? b : a));
	const food = (t: number) => {
		let left = 1;
		for (const d of directions) left *= d.table.at(d.rate * t, d === shortest ? u.spot : 0);
		return left;
	};
	const tau = Math.exp(u.lnTau);
	const out = new Float64Array(times.length);
	let [at, from, y] = [0, 1, 1];
	times.forEach((time, i) => {
		const gap = time - at;
		if (gap > 0) {
			const step = Math.min(coarsest, Math.max(finest, gap / 4, at / 40));
			const n = Math.max(1, Math.ceil(gap / step - 1e-9));
			const dt = gap / n;
			const fading = Math.exp(-dt / tau);
			for (let k = 1; k <= n; k++) {
				const to = food(at + k * dt);
				const slope = (to - from) / dt;
				// Exact for a straight line: it is followed a lag behind.
				y = to - slope * tau + (y - from + slope * tau) * fading;
				from = to;
			}
			at = time;
		}
		out[i] = y;
	});
	return out;
}

/** Readings of a probe, °C, of what is left: y + b. */
export function readingsOf(setting: Setting, u: Unknowns, left: Float64Array): Float64Array {
	const { film, t0 } = within(setting, u);
	return left.map((s) => film.tinf + (t0 - film.tinf) * s + u.offset);
}

/** A probe's readings at times (s since heating began, ascending), °C. */
export function readingsAt(
	setting: Setting,
	u: Unknowns,
	times: readonly number[],
	tables = new Tables()
): Float64Array {
	return readingsOf(setting, u, leftAt(setting, u, times, tables));
}

export interface Pull {
	/** Seconds of heating; `Infinity` where the peak is never reached. */
	readonly at: number;
	/** The true middle then, °C. */
	readonly core: number;
	/** Seconds from the pull to the peak. */
	readonly peakAfter: number;
}

/** A rest is looked at in steps of so much Fourier number of the shortest direction, and so many of them at the most. */
const restStep = 0.01;
const mostSteps = 600;
/** Nobody waits longer for it, s. */
const longestHeating = 7 * 24 * 3600;
/** How near the peak is to the one that is wanted, K. */
const nearEnough = 0.01;

/** When food with these unknowns should be pulled for its middle to peak at a temperature as it rests. */
export function pullFor(setting: Setting, u: Unknowns, rest: Film, peak: number, tables = new Tables()): Pull {
	const own = within(setting, u);
	const { body, film, t0 } = own;
	const directions = directionsIn(own, tables);
	const never = { at: Infinity, core: peak, peakAfter: 0 };
	if (peak >= film.tinf) return never;
	const core = (t: number) =>
		film.tinf + (t0 - film.tinf) * directions.reduce((p, d) => p * d.table.at(d.rate * t, 0), 1);
	if (peak <= t0) return { at: 0, core: t0, peakAfter: 0 };
	const fastest = Math.max(...directions.map((d) => d.rate));
	let [soonest, latest] = [0, 1 / fastest];
	while (core(latest) < peak) {
		[soonest, latest] = [latest, 2 * latest];
		if (latest > longestHeating) return never;
	}
	for (let i = 0; i < 60 && latest - soonest > 0.05; i++) {
		const middle = (soonest + latest) / 2;
		if (core(middle) < peak) soonest = middle;
		else latest = middle;
	}
	const seconds = restStep / fastest;
	const peakOf = (heated: number) => {
		const going = directions.map((d) => {
			const carried = d.table.profile(d.rate * heated);
			const bi = biot(d, body, rest.h);
			return new Going(d.shape, bi, d.rate * seconds, [carried, new Float64Array(carried.length).fill(1)]);
		});
		const now = () => {
			let [carried, plain] = [1, 1];
			for (const g of going) {
				carried *= g.middle(0);
				plain *= g.middle(1);
			}
			return rest.tinf + (film.tinf - rest.tinf) * plain + (t0 - film.tinf) * carried;
		};
		let [before, value] = [now(), now()];
		for (let n = 1; n <= mostSteps; n++) {
			for (const g of going) g.go();
			const next = now();
			if (next <= value) {
				if (n === 1) return { value, after: 0 };
				const top = vertex([(n - 2) * seconds, (n - 1) * seconds, n * seconds], [before, value, next]);
				return { value: Math.max(value, top.value), after: Math.max(0, top.at) };
			}
			[before, value] = [value, next];
		}
		return { value, after: mostSteps * seconds };
	};
	let [low, high] = [0.15 * latest, latest];
	let [below, above] = [peak - peakOf(low).value, peak - peakOf(high).value];
	while (below < 0 && low > 1) [low, below] = [low / 2, peak - peakOf(low / 2).value];
	let at = above >= 0 ? high : low;
	// Regula falsi of the Illinois kind.
	for (let i = 0; i < 40 && below > 0 && above < 0; i++) {
		at = low + ((high - low) * below) / (below - above);
		const missing = peak - peakOf(at).value;
		if (Math.abs(missing) < nearEnough) break;
		if (missing > 0) [low, below, above] = [at, missing, above / 2];
		else [high, above, below] = [at, missing, below / 2];
	}
	return { at, core: core(at), peakAfter: peakOf(at).after };
}
