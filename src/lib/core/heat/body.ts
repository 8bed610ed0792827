// Bodies of food as products of one-dimensional ones: core, surface and mean in a constant surrounding, and the time to a core.
import { Modes, type Shape } from './modes';
import { theta, type Place } from './series';

/** Full sizes in metres: all faces in the fluid; slab and cylinder are long in their other directions. */
export type Solid =
	| { readonly shape: 'slab'; readonly thickness: number }
	| { readonly shape: 'cylinder'; readonly diameter: number }
	| { readonly shape: 'sphere'; readonly diameter: number }
	| { readonly shape: 'finite-cylinder'; readonly diameter: number; readonly length: number }
	| { readonly shape: 'brick'; readonly sides: readonly [number, number, number] };

/** Conductivity W/(m K), diffusivity m²/s. */
export interface Material {
	readonly k: number;
	readonly alpha: number;
}

/** What a surface meets: film coefficient W/(m² K), `null` where the surface is held; temperature °C. */
export interface Film {
	readonly h: number | null;
	readonly tinf: number;
}

export type Body = Solid & Material;

/** One direction of a body: a slab's half thickness, a radius; metres. */
export interface Direction {
	readonly shape: Shape;
	readonly L: number;
}

/** The one-dimensional bodies whose product a solid is. */
export function directionsOf(solid: Solid): readonly Direction[] {
	switch (solid.shape) {
		case 'slab':
			return [{ shape: 'slab', L: solid.thickness / 2 }];
		case 'cylinder':
		case 'sphere':
			return [{ shape: solid.shape, L: solid.diameter / 2 }];
		case 'finite-cylinder':
			return [
				{ shape: 'cylinder', L: solid.diameter / 2 },
				{ shape: 'slab', L: solid.length / 2 }
			];
		case 'brick':
			return solid.sides.map((side) => ({ shape: 'slab', L: side / 2 }));
	}
}

/** Biot number of a direction under a film. */
export function biot({ L }: Direction, { k }: Material, h: number | null): number {
	return h === null ? Infinity : (h * L) / k;
}

/** A body in one constant surrounding; its modes are found once and serve every question. */
export class Immersed {
	private readonly directions: readonly { readonly L: number; readonly modes: Modes }[];

	/** @param t0 uniform start, °C */
	constructor(
		private readonly body: Body,
		private readonly film: Film,
		private readonly t0: number
	) {
		this.directions = directionsOf(body).map((d) => ({ L: d.L, modes: new Modes(d.shape, biot(d, body, film.h)) }));
	}

	/**
	 * Temperature after so many seconds, °C. `surface` is the middle of the first direction's face.
	 *
	 * Products of one-dimensional solutions: each factor with its own Bi and Fo (Incropera & DeWitt 2007, § 5.8).
	 */
	temperature(seconds: number, place: Place): number {
		return this.film.tinf + (this.t0 - this.film.tinf) * this.left(seconds, place);
	}

	/**
	 * Seconds until the core has a temperature, to 1e-4 s; 0 where it holds already, `Infinity` where it is never reached.
	 * From a uniform start the core is monotone. Brent's method on the logarithm, from the one-term solution.
	 */
	timeToCore(target: number): number {
		const { t0, film } = this;
		const wanted = (target - film.tinf) / (t0 - film.tinf);
		if (!Number.isFinite(wanted)) return t0 === target ? 0 : Infinity;
		if (wanted >= 1) return 0;
		if (wanted <= 0 || film.h === 0) return Infinity;
		const excess = (t: number) => Math.log(Math.max(1e-300, this.left(t, 'centre'))) - Math.log(wanted);
		const guess = this.oneTerm(wanted);
		let [low, high] = guess > 0 ? [0.95 * guess, 1.05 * guess] : [0, 60];
		while (excess(high) > 0) {
			[low, high] = [high, 2 * high];
			if (high > 1e9) return Infinity;
		}
		while (low > 1 && excess(low) < 0) [low, high] = [low / 2, low];
		if (low <= 1) low = 0;
		// Regula falsi of the Illinois kind: the logarithm is nearly straight.
		let [above, below] = [excess(low), excess(high)];
		for (let i = 0; i < 100 && high - low > 1e-4; i++) {
			const middle = low + ((high - low) * above) / (above - below);
			const next = Math.min(Math.max(middle, low + 1e-4), high - 1e-4);
			const y = excess(next);
			if (Math.abs(y) < 1e-10) return next;
			if (y > 0) {
				low = next;
				above = y;
				below /= 2;
			} else {
				high = next;
				below = y;
				above /= 2;
			}
		}
		return (low + high) / 2;
	}

	/** Seconds by the slowest mode of each direction alone: good to 2 % for Fo > 0.2, and a start for all. */
	private oneTerm(wanted: number): number {
		let [weight, rate] = [1, 0];
		for (const { L, modes } of this.directions) {
			const first = modes.at(1);
			weight *= first.weight;
			rate += (first.decay * this.body.alpha) / (L * L);
		}
		return Math.log(weight / wanted) / rate;
	}

	private left(seconds: number, place: Place): number {
		return this.directions.reduce((product, { L, modes }, i) => {
			const at = place === 'surface' && i > 0 ? 'centre' : place;
			return product * theta(modes, (this.body.alpha * seconds) / (L * L), at);
		}, 1);
	}
}
