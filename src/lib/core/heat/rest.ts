// Heat, then rest: the exact second stage after a first one, the peak of the core, and when to pull for a wanted peak.
import { biot, directionsOf, Immersed, type Body, type Film } from './body';
import { vertex } from './finite-volumes';
import { geometry, Modes, type Shape } from './modes';
import { theta } from './series';

/** The core is not looked at before this Fourier number of the second stage: until then it goes on evenly. */
const earliest = 0.002;
/** Modes of the second stage that are kept: from `earliest` on those beyond have died away. */
const kept = 45;
/** Modes of the first stage that can matter at the least time asked for. */
const most = 400;

export interface Peak {
	/** °C. */
	readonly core: number;
	/** Seconds after the pull; 0 where the core falls at once. */
	readonly after: number;
}

/** One direction of a body through both stages. */
class TwoStages {
	private readonly first: Modes;
	private readonly second: Modes;
	/** ∫φ(ζₙx) φ(μ_m x) xᵖ dx ÷ the norm of m, row by row of n; filled as n are needed. */
	private readonly rows: Float64Array[] = [];
	private readonly norms: Float64Array;

	constructor(
		private readonly shape: Shape,
		bi1: number,
		bi2: number
	) {
		this.first = new Modes(shape, bi1);
		this.second = new Modes(shape, bi2);
		this.norms = Float64Array.from({ length: kept }, (_, m) => geometry[shape].norm(this.second.at(m + 1).zeta));
	}

	/** θ of the second stage alone. */
	plain(fo: number): number {
		return theta(this.second, fo, 'centre');
	}

	/** Weights of the second stage's modes for the profile that the first leaves after Fo₁. */
	weights(fo1: number): Float64Array {
		const weights = new Float64Array(kept);
		for (let n = 1; n <= most; n++) {
			const { weight, decay } = this.first.at(n);
			const fading = Math.exp(-decay * fo1);
			if (fading < 1e-15) break;
			const row = this.row(n);
			for (let m = 0; m < kept; m++) weights[m]! += weight * fading * row[m]!;
		}
		return weights;
	}

	/** θ of the first stage's profile in the centre, a while into the second. */
	carried(weights: Float64Array, fo: number): number {
		let sum = 0;
		for (let m = 0; m < kept; m++) {
			const fading = Math.exp(-this.second.at(m + 1).decay * fo);
			if (fading < 1e-16) break;
			sum += weights[m]! * fading;
		}
		return sum;
	}

	private row(n: number): Float64Array {
		const found = this.rows[n - 1];
		if (found) return found;
		const { overlap } = geometry[this.shape];
		const { zeta } = this.first.at(n);
		const row = Float64Array.from(
			{ length: kept },
			(_, m) => overlap(zeta, this.second.at(m + 1).zeta) / this.norms[m]!
		);
		this.rows[n - 1] = row;
		return row;
	}
}

/**
 * A body that is heated in one surrounding and rests in another: exact, by projecting the first stage's modes on the
 * second's; product bodies by linearity.
 *
 * Source: Carslaw & Jaeger 1959, § 3.11 (arbitrary initial temperature); products after § 1.15.
 */
export class HeatThenRest {
	private readonly heating: Immersed;
	private readonly directions: readonly { readonly L: number; readonly stages: TwoStages }[];

	/** @param t0 uniform start, °C */
	constructor(
		private readonly body: Body,
		private readonly heat: Film,
		private readonly rest: Film,
		private readonly t0: number
	) {
		this.heating = new Immersed(body, heat, t0);
		this.directions = directionsOf(body).map((d) => ({
			L: d.L,
			stages: new TwoStages(d.shape, biot(d, body, heat.h), biot(d, body, rest.h === 0 ? 1e-6 : rest.h))
		}));
	}

	/** Core and surface at the pull, °C. */
	atPull(heated: number): { readonly core: number; readonly surface: number; readonly mean: number } {
		return {
			core: this.heating.temperature(heated, 'centre'),
			surface: this.heating.temperature(heated, 'surface'),
			mean: this.heating.temperature(heated, 'mean')
		};
	}

	/** The core over the time since the pull, after so many seconds of heat. */
	coreAfter(heated: number): (since: number) => number {
		const { alpha } = this.body;
		const weights = this.directions.map(({ L, stages }) => stages.weights((alpha * heated) / (L * L)));
		const [t0, t1, t2] = [this.t0, this.heat.tinf, this.rest.tinf];
		const pulled = this.atPull(heated).core;
		const soonest = this.soonest();
		const later = (since: number) => {
			let [plain, carried] = [1, 1];
			this.directions.forEach(({ L, stages }, i) => {
				const fo = (alpha * since) / (L * L);
				plain *= stages.plain(fo);
				carried *= stages.carried(weights[i]!, fo);
			});
			return t2 + (t1 - t2) * plain + (t0 - t1) * carried;
		};
		const first = later(soonest);
		return (since) => {
			if (since >= soonest) return later(since);
			return pulled + (first - pulled) * Math.max(0, since / soonest);
		};
	}

	private soonest(): number {
		const smallest = Math.min(...this.directions.map((d) => d.L));
		return (earliest * smallest * smallest) / this.body.alpha;
	}

	/** How far the core goes on climbing after the pull (or, cooled, falling), and when it turns. */
	peak(heated: number): Peak {
		const core = this.coreAfter(heated);
		const step = this.soonest();
		const pulled = core(0);
		let [before, at, value] = [0, step, core(step)];
		if (value <= pulled) return { core: pulled, after: 0 };
		for (let i = 0; i < 500; i++) {
			const next = at + Math.max(step, at / 3);
			const following = core(next);
			if (following <= value) return highest(core, before, next);
			[before, at, value] = [at, next, following];
		}
		return { core: value, after: at };
	}

	/**
	 * Seconds of heat after which the core will peak at a temperature, to 1e-3 s; 0 where it has it already, `Infinity`
	 * where it is never reached. The peak grows with the heating.
	 *
	 * @param within how near the peak has to be, K
	 */
	pullTimeFor(peak: number, within = 1e-4): number {
		if (peak <= this.t0) return 0;
		if (peak >= this.heat.tinf) return Infinity;
		const unrested = this.heating.timeToCore(peak);
		if (unrested === Infinity) return Infinity;
		const missing = (heated: number) => peak - this.peak(heated).core;
		let [low, high] = [0.2 * unrested, unrested];
		let [above, below] = [missing(low), missing(high)];
		while (low > 1 && above < 0) [low, above] = [low / 2, missing(low / 2)];
		if (above <= 0) return low;
		if (below >= 0) return high;
		// Regula falsi of the Illinois kind.
		for (let i = 0; i < 60 && high - low > 1e-3; i++) {
			const guess = low + ((high - low) * above) / (above - below);
			const y = missing(guess);
			if (Math.abs(y) < within) return guess;
			if (y > 0) [low, above, below] = [guess, y, below / 2];
			else [high, below, above] = [guess, y, above / 2];
		}
		return (low + high) / 2;
	}
}

/** Golden section, and a parabola at the end. */
function highest(f: (x: number) => number, from: number, to: number): Peak {
	const ratio = (Math.sqrt(5) - 1) / 2;
	let [a, b] = [from, to];
	let [c, d] = [b - ratio * (b - a), a + ratio * (b - a)];
	let [fc, fd] = [f(c), f(d)];
	while (b - a > 0.02 * b) {
		if (fc > fd) {
			[b, d, fd] = [d, c, fc];
			c = b - ratio * (b - a);
			fc = f(c);
		} else {
			[a, c, fc] = [c, d, fd];
			d = a + ratio * (b - a);
			fd = f(d);
		}
	}
	// Near its top the curve is a parabola.
	const middle = (a + b) / 2;
	const { at, value } = vertex([a, middle, b], [f(a), f(middle), f(b)]);
	return at > a && at < b ? { core: value, after: at } : { core: f(middle), after: middle };
}
