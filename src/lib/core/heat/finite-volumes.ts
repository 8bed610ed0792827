// What the series cannot do: surroundings that change, turns in a pan, wet surfaces. Finite volumes in space, Crank–Nicolson
// in time.
import type { Film, Material } from './body';
import { geometry, type Shape } from './modes';

/** What a face meets at a time and a surface temperature; a wet or radiating surface gives its tangent as a film. */
export type Face = Film | ((surface: number, seconds: number) => Film);

/** A slab over its full thickness has a face of its own at node 0; otherwise node 0 is the insulated centre. */
export interface Grid extends Material {
	readonly shape: Shape;
	/** Half thickness or radius; of a full slab its whole thickness. Metres. */
	readonly L: number;
	/** Cells; the nodes are one more, evenly spaced, node n at the surface. */
	readonly n: number;
	readonly isFull: boolean;
	/** Layers (skin, crust, batter): the material at a place from node 0 to node n, 0 to 1; absent: one material. */
	readonly materialAt?: (x: number) => Material;
}

export interface Stage {
	readonly seconds: number;
	/** Longest time step. */
	readonly step: number;
	/** At node n. */
	readonly outer: Face;
	/** At node 0 of a full slab. */
	readonly inner?: Face;
}

/** Steps at the start of a stage that are taken as four implicit quarter steps each. */
const smoothed = 2;
/** Tangents taken in a step where a face depends on its own temperature. */
const passes = 3;

/**
 * Temperatures on a grid of cells, stage after stage.
 *
 * Each stage begins with implicit Euler quarter steps in place of its first two, then Crank–Nicolson: the jump at its start
 * does not ring (Rannacher 1984, Numer. Math. 43, 309–327). Errors fall with Δx² and Δt².
 *
 * Source: Crank & Nicolson 1947, Proc. Camb. Phil. Soc. 43, 50–67; Thomas' elimination.
 */
export class Conduction {
	/** Node temperatures, °C; node 0 the centre, or face A of a full slab. */
	readonly T: Float64Array;
	private readonly volume: Float64Array;
	/** Conductance between nodes i and i + 1: the two half distances in series. */
	private readonly link: Float64Array;
	private readonly area: { readonly inner: number; readonly outer: number };
	private readonly low: Float64Array;
	private readonly diagonal: Float64Array;
	private readonly high: Float64Array;
	private readonly right: Float64Array;

	/** @param start uniform temperature, or one by node */
	constructor(
		private readonly grid: Grid,
		start: number | Float64Array
	) {
		const { n, L, materialAt = () => grid } = grid;
		const p = geometry[grid.shape].p;
		const dx = L / n;
		const edge = (i: number) => (i === 0 ? 0 : i > n ? L : (i - 0.5) * dx);
		this.T = typeof start === 'number' ? new Float64Array(n + 1).fill(start) : start.slice();
		const materials = Array.from({ length: n + 1 }, (_, i) => materialAt(i / n));
		// The energy form: heat capacity k/α of each cell, conductances from resistances in series.
		this.volume = Float64Array.from(materials, ({ k, alpha }, i) => {
			return ((k / alpha) * (edge(i + 1) ** (p + 1) - edge(i) ** (p + 1))) / (p + 1);
		});
		this.link = Float64Array.from({ length: n }, (_, i) => {
			const [inner, outer] = [materials[i]!.k, materials[i + 1]!.k];
			return edge(i + 1) ** p / (dx / (2 * inner) + dx / (2 * outer));
		});
		this.area = { inner: grid.isFull ? 1 : 0, outer: L ** p };
		this.low = new Float64Array(n + 1);
		this.diagonal = new Float64Array(n + 1);
		this.high = new Float64Array(n + 1);
		this.right = new Float64Array(n + 1);
	}

	/**
	 * Let a stage pass.
	 *
	 * @param onStep called after each step with the seconds since the stage began; `'stop'` ends the stage there
	 */
	run(stage: Stage, onStep?: (seconds: number) => unknown): void {
		if (stage.seconds <= 0) return;
		const steps = Math.max(1, Math.ceil(stage.seconds / stage.step - 1e-9));
		const dt = stage.seconds / steps;
		for (let i = 0; i < steps; i++) {
			const at = i * dt;
			if (i < smoothed) for (let q = 0; q < 4; q++) this.step(stage, at + (q * dt) / 4, dt / 4, 1);
			else this.step(stage, at, dt, 0.5);
			if (onStep?.((i + 1) * dt) === 'stop') return;
		}
	}

	/** Temperature at a place from node 0 to node n, 0 to 1. */
	at(x: number): number {
		const { n } = this.grid;
		const i = Math.min(n - 1, Math.floor(x * n));
		const share = x * n - i;
		return this.T[i]! * (1 - share) + this.T[i + 1]! * share;
	}

	/** Mean over the heat that it holds, °C: of one material, over the volume. */
	get mean(): number {
		let [sum, volume] = [0, 0];
		this.T.forEach((t, i) => {
			sum += t * this.volume[i]!;
			volume += this.volume[i]!;
		});
		return sum / volume;
	}

	/** One step; `implicit` 1: Euler, ½: Crank–Nicolson. */
	private step(stage: Stage, at: number, dt: number, implicit: number): void {
		const { n } = this.grid;
		const { T, low, diagonal, high, right, volume, link } = this;
		const isFixed = typeof stage.outer !== 'function' && typeof stage.inner !== 'function';
		const before = isFixed ? T : T.slice();
		const middle = at + dt / 2;
		for (let pass = 0; pass < (isFixed ? 1 : passes); pass++) {
			const outer = filmOf(stage.outer, pass === 0 ? T[n]! : (before[n]! + T[n]!) / 2, middle);
			const inner = stage.inner && filmOf(stage.inner, pass === 0 ? T[0]! : (before[0]! + T[0]!) / 2, middle);
			for (let i = 0; i <= n; i++) {
				const left = i > 0 ? link[i - 1]! : 0;
				const next = i < n ? link[i]! : 0;
				const capacity = volume[i]! / dt;
				low[i] = -implicit * left;
				high[i] = -implicit * next;
				diagonal[i] = capacity + implicit * (left + next);
				const flow =
					(i > 0 ? left * (before[i - 1]! - before[i]!) : 0) + (i < n ? next * (before[i + 1]! - before[i]!) : 0);
				right[i] = capacity * before[i]! + (1 - implicit) * flow;
			}
			this.bound(n, outer, this.area.outer, implicit, before[n]!);
			if (inner) this.bound(0, inner, this.area.inner, implicit, before[0]!);
			this.solve();
		}
	}

	/** Put a film, or a held temperature, at a node. */
	private bound(i: number, { h, tinf }: Film, area: number, implicit: number, before: number): void {
		if (h === null) {
			this.low[i] = 0;
			this.high[i] = 0;
			this.diagonal[i] = 1;
			this.right[i] = tinf;
			return;
		}
		const g = area * h;
		this.diagonal[i]! += implicit * g;
		this.right[i]! += g * (tinf - (1 - implicit) * before);
	}

	private solve(): void {
		const { T, low, diagonal, high, right } = this;
		const last = T.length - 1;
		for (let i = 1; i <= last; i++) {
			const factor = low[i]! / diagonal[i - 1]!;
			diagonal[i]! -= factor * high[i - 1]!;
			right[i]! -= factor * right[i - 1]!;
		}
		T[last] = right[last]! / diagonal[last]!;
		for (let i = last - 1; i >= 0; i--) T[i] = (right[i]! - high[i]! * T[i + 1]!) / diagonal[i]!;
	}
}

function filmOf(face: Face, surface: number, seconds: number): Film {
	return typeof face === 'function' ? face(surface, seconds) : face;
}

/** The vertex of the parabola through three samples: where a peak lies between steps. */
export function vertex(
	times: readonly [number, number, number],
	values: readonly [number, number, number]
): { readonly at: number; readonly value: number } {
	const [a, b, c] = times;
	const [ya, yb, yc] = values;
	const first = (yb - ya) / (b - a);
	const second = ((yc - yb) / (c - b) - first) / (c - a);
	if (second === 0) return { at: b, value: yb };
	const at = (a + b - first / second) / 2;
	return { at, value: ya + first * (at - a) + second * (at - a) * (at - b) };
}
