// The modes of transient conduction in a slab, a cylinder or a sphere: roots, weights and shapes of the exact series.
import { besselJ, besselZero } from './bessel';

export const shapes = ['slab', 'cylinder', 'sphere'] as const;
/** Slab: half thickness L, both faces in the fluid; infinite cylinder and sphere: radius L. */
export type Shape = (typeof shapes)[number];

/** One mode: root ζ, weight C of the uniform start, ζ² (its decay in Fo). */
export interface Mode {
	readonly zeta: number;
	readonly weight: number;
	readonly decay: number;
}

interface Geometry {
	/** Exponent of x in the volume element. */
	readonly p: 0 | 1 | 2;
	/** Function whose roots are wanted, and its slope. */
	readonly f: (zeta: number, bi: number) => number;
	readonly slope: (zeta: number, bi: number) => number;
	/** Where the n-th root lies, n ≥ 1; the upper end is the root of a held surface. */
	readonly low: (n: number) => number;
	readonly high: (n: number) => number;
	readonly weight: (zeta: number) => number;
	/** Shape of the mode at u = ζx, x = 0 in the centre and 1 at the surface. */
	readonly phi: (u: number) => number;
	/** Mean of φ(ζx) over the volume. */
	readonly mean: (zeta: number) => number;
	/** ∫φ² xᵖ dx and ∫φ(ax) φ(bx) xᵖ dx over 0…1. */
	readonly norm: (mu: number) => number;
	readonly overlap: (a: number, b: number) => number;
}

const sinc = (x: number) => (Math.abs(x) < 1e-4 ? 1 - (x * x) / 6 : Math.sin(x) / x);

/** One row for each shape, as in the tables of Carslaw & Jaeger. */
export const geometry: Readonly<Record<Shape, Geometry>> = {
	slab: {
		p: 0,
		f: (z, bi) => z * Math.sin(z) - bi * Math.cos(z),
		slope: (z, bi) => (1 + bi) * Math.sin(z) + z * Math.cos(z),
		low: (n) => (n - 1) * Math.PI,
		high: (n) => (n - 0.5) * Math.PI,
		weight: (z) => (4 * Math.sin(z)) / (2 * z + Math.sin(2 * z)),
		phi: Math.cos,
		mean: sinc,
		norm: (m) => 0.5 + Math.sin(2 * m) / (4 * m),
		overlap: (a, b) => 0.5 * (sinc(a - b) + sinc(a + b))
	},
	cylinder: {
		p: 1,
		f: (z, bi) => z * besselJ(1, z) - bi * besselJ(0, z),
		slope: (z, bi) => z * besselJ(0, z) + bi * besselJ(1, z),
		low: (n) => (n === 1 ? 0 : besselZero(1, n - 1)),
		high: (n) => besselZero(0, n),
		weight: (z) => {
			const [j0, j1] = [besselJ(0, z), besselJ(1, z)];
			return (2 * j1) / (z * (j0 * j0 + j1 * j1));
		},
		phi: (u) => besselJ(0, u),
		mean: (z) => (2 * besselJ(1, z)) / z,
		norm: (m) => 0.5 * (besselJ(0, m) ** 2 + besselJ(1, m) ** 2),
		overlap: (a, b) => {
			if (Math.abs(a - b) < 1e-6) return 0.5 * (besselJ(0, a) ** 2 + besselJ(1, a) ** 2);
			return (a * besselJ(1, a) * besselJ(0, b) - b * besselJ(0, a) * besselJ(1, b)) / (a * a - b * b);
		}
	},
	sphere: {
		p: 2,
		f: (z, bi) => (1 - bi) * Math.sin(z) - z * Math.cos(z),
		slope: (z, bi) => z * Math.sin(z) - bi * Math.cos(z),
		low: (n) => (n - 1) * Math.PI,
		high: (n) => n * Math.PI,
		weight: (z) => (4 * (Math.sin(z) - z * Math.cos(z))) / (2 * z - Math.sin(2 * z)),
		phi: sinc,
		mean: (z) => (3 * (Math.sin(z) - z * Math.cos(z))) / z ** 3,
		norm: (m) => (0.5 - Math.sin(2 * m) / (4 * m)) / (m * m),
		overlap: (a, b) => (sinc(a - b) - sinc(a + b)) / (2 * a * b)
	}
};

/** Keeps off the false root at 0. */
const offZero = 1e-9;

/**
 * The modes of a body whose surface meets a fluid, from the slowest on; found as they are asked for, and kept by the caller.
 *
 * @param bi Biot number hL/k, > 0; `Infinity`: the surface is held
 * Source: Carslaw & Jaeger 1959, Conduction of Heat in Solids, §§ 3.11, 7.7, 9.4.
 */
export class Modes {
	private readonly found: Mode[] = [];

	constructor(
		readonly shape: Shape,
		readonly bi: number
	) {}

	/** The n-th mode, n ≥ 1. */
	at(n: number): Mode {
		while (this.found.length < n) this.found.push(this.find(this.found.length + 1));
		return this.found[n - 1]!;
	}

	private find(n: number): Mode {
		const g = geometry[this.shape];
		const zeta = this.bi === Infinity ? g.high(n) : root(g, this.bi, g.low(n) + offZero, g.high(n));
		return { zeta, weight: g.weight(zeta), decay: zeta * zeta };
	}
}

/** Newton's method kept inside a bracket that bisection narrows. */
function root({ f, slope }: Geometry, bi: number, from: number, to: number): number {
	let [low, high] = [from, to];
	const isRising = f(low, bi) < 0;
	let x = (low + high) / 2;
	for (let i = 0; i < 100; i++) {
		const y = f(x, bi);
		if (y < 0 === isRising) low = x;
		else high = x;
		const newton = x - y / slope(x, bi);
		const next = newton > low && newton < high ? newton : (low + high) / 2;
		if (Math.abs(next - x) < 1e-13 * (1 + x)) return next;
		x = next;
	}
	return x;
}
