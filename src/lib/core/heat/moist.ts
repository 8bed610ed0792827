// Moist food in air, on hot metal, at rest: water evaporates at a front under a crust that dries, and the food conducts.
import type { Crust } from './crusts';
import { boilingPoint, pressureAt, saturation } from './water';

const stefanBoltzmann = 5.670374e-8;
const kelvin = 273.15;
/** Lewis relation with Stefan flow, kg K/J (Incropera & DeWitt 2007, ch. 6). */
const lewis = 6.86e-4;
/** kg/m³ of water in what becomes crust. */
const watery = 750;

/** What a face meets. */
export type Around =
	| {
			readonly kind: 'air';
			/** Film by convection, W/(m² K); air and walls, °C; emissivity against them; vapour pressure, Pa. */
			readonly h: number;
			readonly air: number;
			readonly wall: number;
			readonly grey: number;
			readonly vapour: number;
			/** Lying on something, or wrapped: nothing evaporates. */
			readonly sealed?: boolean;
			/** What lies between the face and the air (a dish), m² K/W. */
			readonly behind?: number;
	  }
	/** Hot metal, hot fat: film W/(m² K) and temperature, °C. */
	| { readonly kind: 'contact'; readonly h: number; readonly at: number };

/** The air of a place as far as it bears on vapour. */
export interface Place {
	/** Boiling point, °C; pressure, Pa. */
	readonly boil: number;
	readonly pressure: number;
}

export const placeAt = (altitude: number): Place => ({ boil: boilingPoint(altitude), pressure: pressureAt(altitude) });

/** Latent heat of water, J/kg. */
const latent = (celsius: number) => (2501 - 2.38 * celsius) * 1000;

/** Fixed-point passes for the outer temperature of a crust, and when it is near enough, K. */
const radiating = 4;
const close = 0.02;
/** Antoine's constants as the slope of the saturation's logarithm, K. */
const clapeyron = 1730.63 * Math.LN10;

/** The heat that reaches a front, what it gives off, what goes into the food. */
export interface Flux {
	/** Through the crust, W/m²; vapour, kg/(m² s); into the food, W/m². */
	heat: number;
	vapour: number;
	food: number;
	/** Outside of the crust, °C. */
	surface: number;
	/** How much less goes in for each K that the front is hotter, W/(m² K), near enough for Newton's steps. */
	slope: number;
}

/**
 * The fluxes at a front of a temperature, under the crust that so much evaporated water has left. Written into `out`.
 *
 * @param evaporated kg/m² so far
 */
export function fluxAt(around: Around, crust: Crust, evaporated: number, front: number, place: Place, out: Flux): Flux {
	const dried = evaporated - crust.wet;
	const thick = dried > 0 ? (crust.grows * dried) / watery : 0;
	const layer = crust.layer + thick / crust.k;
	if (around.kind === 'contact') {
		out.heat = (around.at - front) / (1 / around.h + layer);
		out.vapour = 0;
		out.food = out.heat;
		out.surface = front + out.heat * layer;
		out.slope = 1 / (1 / around.h + layer);
		return out;
	}
	const { h: hc, air, wall, grey, vapour, sealed = false, behind = 0 } = around;
	const through = layer + behind;
	const b = wall + kelvin;
	let surface = out.surface > front - 100 && out.surface < 400 ? out.surface : front;
	let [heat, slope] = [0, 0];
	for (let i = 0; i < radiating; i++) {
		const a = surface + kelvin;
		const hr = grey * stefanBoltzmann * (a * a + b * b) * (a + b);
		const h = hc + hr;
		slope = 1 / (1 / h + through);
		heat = ((hc * air + hr * wall) / h - front) * slope;
		const outside = front + heat * through;
		const isClose = Math.abs(outside - surface) < close;
		surface = outside;
		// Without a layer the front is the surface: once more with its own radiation.
		if (isClose) break;
	}
	out.heat = heat;
	out.surface = surface;
	out.vapour = 0;
	if (!sealed) {
		const hv = dried >= 0 ? 1 / (1 / hc + (thick + crust.least) / crust.vapour) : hc;
		const wet = saturation(front);
		const free = Math.max(place.pressure * 0.002, place.pressure - wet);
		out.vapour = Math.max(0, lewis * hv * Math.log((place.pressure - vapour) / free));
		// Clausius and Clapeyron: saturation grows by about ln 10 · 1730/(233 + T)² of itself for each K.
		if (out.vapour > 0) slope += (latent(front) * lewis * hv * wet * clapeyron) / ((233.426 + front) ** 2 * free);
	}
	out.slope = slope;
	out.food = heat - latent(front) * out.vapour;
	return out;
}

export interface MoistSolid {
	/** W/(m K), m²/s. */
	readonly k: number;
	readonly alpha: number;
	/** Half thickness or radius; of a piece with two faces its whole thickness. Metres. */
	readonly size: number;
	/** 0 a slab, 1 a cylinder, 2 a sphere, and all between. */
	readonly p: number;
	/** Faces: the outer one, and where the two are unlike the inner one too. */
	readonly outer: Crust;
	readonly inner?: Crust;
	/** How much faster the clock of the piece runs for what its rims let in; absent: 1. */
	readonly clock?: number;
}

/** What both faces meet; a piece of one face needs no inner one. */
export interface Surroundings {
	readonly outer: Around;
	readonly inner?: Around;
}

const cells = 30;
/** Newton's steps for a front in a time step; none longer than so many K. */
const passes = 12;
const longest = 6;
const near = 0.01;

/** The linear part of an implicit step of one length: eliminated once, used in every step of that length. */
interface Factors {
	readonly pivots: Float64Array;
	readonly ratios: Float64Array;
	/** What a node takes of the faces' temperatures. */
	readonly toInner: Float64Array;
	readonly toOuter: Float64Array;
}

/**
 * A piece of moist food: implicit finite volumes between its faces, the fronts by Newton's method.
 *
 * Inner nodes are linear in the two fronts, so that a step costs one sweep and two scalar equations. A front never passes
 * the boil: there it stays, and what heat is left evaporates.
 *
 * Sources: docs/heat.md, moist faces; front and crust after Goñi & Salvadori 2010, J. Food Eng. 100, 1–10, and van der Sman
 * 2007, Meat Sci. 76, 730–738.
 */
export class MoistBody {
	/** °C by node: node 0 the middle, or the inner face. */
	readonly T: Float64Array;
	/** kg/m² evaporated so far. */
	readonly gone = { inner: 0, outer: 0 };
	/** How far the fronts went in the last step, K. */
	private readonly went = { inner: 0, outer: 0 };
	private readonly volume: Float64Array;
	private readonly link: Float64Array;
	private readonly right: Float64Array;
	private readonly factors = new Map<number, Factors>();
	private readonly area: number;
	private readonly first: number;
	private readonly probed: Float64Array;
	private readonly flux: { readonly inner: Flux; readonly outer: Flux };
	private readonly faces: { outer: Crust; inner: Crust };

	/** @param start uniform, °C */
	constructor(
		private readonly solid: MoistSolid,
		start: number,
		private readonly place: Place
	) {
		const { k, alpha, size, p, inner } = solid;
		const dx = size / cells;
		const edge = (i: number) => (i <= 0 ? 0 : i > cells ? size : (i - 0.5) * dx);
		const within = (from: number, to: number) => (to ** (p + 1) - from ** (p + 1)) / (p + 1);
		this.T = new Float64Array(cells + 1).fill(start);
		this.right = new Float64Array(cells + 1);
		this.volume = Float64Array.from({ length: cells + 1 }, (_, i) => (k / alpha) * within(edge(i), edge(i + 1)));
		this.link = Float64Array.from({ length: cells }, (_, i) => (k * edge(i + 1) ** p) / dx);
		this.area = size ** p;
		this.first = inner ? 1 : 0;
		this.faces = { outer: solid.outer, inner: inner ?? solid.outer };
		// A probe's tip, stem and hand: the inner quarter.
		const [low, high] = inner ? [(3 / 8) * size, (5 / 8) * size] : [0, size / 4];
		const cut = Float64Array.from({ length: cells + 1 }, (_, i) => {
			const [a, b] = [Math.max(low, edge(i)), Math.min(high, edge(i + 1))];
			return b > a ? within(a, b) : 0;
		});
		const whole = cut.reduce((sum, v) => sum + v, 0);
		this.probed = cut.map((v) => v / whole);
		const still = (): Flux => ({ heat: 0, vapour: 0, food: 0, surface: NaN, slope: 0 });
		this.flux = { inner: still(), outer: still() };
	}

	/** What a probe in the middle reads, °C: the mean of the inner quarter. */
	get reading(): number {
		let sum = 0;
		for (let i = 0; i <= cells; i++) sum += this.probed[i]! * this.T[i]!;
		return sum;
	}

	/** The middle plane, or the axis, °C. */
	get middle(): number {
		return this.T[this.first === 0 ? 0 : cells / 2]!;
	}

	/** Half way from the middle to the outer face, °C. */
	get between(): number {
		return this.T[this.first === 0 ? cells / 2 : Math.round(0.75 * cells)]!;
	}

	/** Every third node from one end to the other, °C: what safety looks at. */
	layers(): readonly number[] {
		return Array.from({ length: cells / 3 + 1 }, (_, i) => this.T[3 * i]!);
	}

	/** Mean over the volume, °C. */
	get mean(): number {
		let [sum, whole] = [0, 0];
		for (let i = 0; i <= cells; i++) {
			sum += this.volume[i]! * this.T[i]!;
			whole += this.volume[i]!;
		}
		return sum / whole;
	}

	/** Outer front, °C. */
	get front(): number {
		return this.T[cells]!;
	}

	/** Water that has gone, kg for each kg/m² of the two faces: of one of two faces, or all round. */
	get evaporated(): number {
		return this.first === 1 ? this.gone.inner + this.gone.outer : this.gone.outer;
	}

	/** Other faces from now on: seared ones, those of a rest. What has gone from them stays gone. */
	dress({ outer, inner }: Pick<MoistSolid, 'outer' | 'inner'>): void {
		this.faces.outer = outer;
		this.faces.inner = inner ?? outer;
		this.went.inner = this.went.outer = 0;
	}

	/** Length of `save`. */
	static readonly saved = cells + 3;

	/** Keep all of it in a row of numbers, and take it up again. */
	save(into: Float64Array, at: number): void {
		into.set(this.T, at);
		into[at + cells + 1] = this.gone.inner;
		into[at + cells + 2] = this.gone.outer;
	}
	load(from: Float64Array, at: number): void {
		this.went.inner = this.went.outer = 0;
		for (let i = 0; i <= cells; i++) this.T[i] = from[at + i]!;
		this.gone.inner = from[at + cells + 1]!;
		this.gone.outer = from[at + cells + 2]!;
	}

	/** One step of so many seconds. */
	step(seconds: number, { outer, inner }: Surroundings): void {
		const dt = seconds * (this.solid.clock ?? 1);
		const { T, right, volume, link, first, area } = this;
		const { pivots, ratios, toInner, toOuter } = this.factorsOf(dt);
		const last = cells - 1;
		// The inner nodes with both faces at 0 °C.
		right[first] = (volume[first]! / dt) * T[first]!;
		for (let i = first + 1; i <= last; i++) right[i] = (volume[i]! / dt) * T[i]! + ratios[i]! * right[i - 1]!;
		right[last]! /= pivots[last]!;
		for (let i = last - 1; i >= first; i--) right[i] = (right[i]! + link[i]! * right[i + 1]!) / pivots[i]!;
		const [before0, before1] = [T[0]!, T[cells]!];
		// Fronts go on as they went.
		let [a, b] = [before0 + this.went.inner, before1 + this.went.outer];
		const rounds = first === 1 ? 3 : 1;
		for (let round = 0; round < rounds; round++) {
			const b0 = b;
			if (first === 1 && inner) {
				const others = right[1]! + toOuter[1]! * b;
				a = this.frontOf(inner, 'inner', a, volume[0]! / dt, before0, link[0]!, others, toInner[1]!, 1);
			}
			const others = right[last]! + (first === 1 ? toInner[last]! * a : 0);
			b = this.frontOf(outer, 'outer', b, volume[cells]! / dt, before1, link[last]!, others, toOuter[last]!, area);
			if (Math.abs(b - b0) < near) break;
		}
		for (let i = first; i <= last; i++) T[i] = right[i]! + toOuter[i]! * b + (first === 1 ? toInner[i]! * a : 0);
		if (first === 1) {
			T[0] = a;
			this.went.inner = a - before0;
			this.gone.inner += this.flux.inner.vapour * dt;
		}
		T[cells] = b;
		this.went.outer = b - before1;
		this.gone.outer += this.flux.outer.vapour * dt;
	}

	/** Let it be for so long, in steps; `onStep` may say stop. */
	run(seconds: number, step: number, around: Surroundings, onStep?: (at: number) => unknown): void {
		const steps = Math.max(1, Math.ceil(seconds / step - 1e-9));
		if (seconds <= 0) return;
		for (let i = 1; i <= steps; i++) {
			this.step(seconds / steps, around);
			if (onStep?.((i * seconds) / steps) === 'stop') return;
		}
	}

	/**
	 * A front at the end of a step: heat capacity, what the node beside it passes on, what reaches it.
	 *
	 * @param others the neighbour's temperature but for this front's own share in it, `share`
	 */
	private frontOf(
		around: Around,
		face: 'inner' | 'outer',
		guess: number,
		capacity: number,
		before: number,
		link: number,
		others: number,
		share: number,
		area: number
	): number {
		const { place } = this;
		const crust = this.faces[face];
		const flux = this.flux[face];
		const gone = this.gone[face];
		const inward = capacity + link * (1 - share);
		const given = capacity * before + link * others;
		let T = Math.min(guess, place.boil);
		for (let pass = 0; pass < passes; pass++) {
			fluxAt(around, crust, gone, T, place, flux);
			const slope = Math.max(0.1, flux.slope);
			const next = (given + area * (flux.food + slope * T)) / (inward + area * slope);
			const change = Math.max(-longest, Math.min(longest, next - T));
			if (T + change >= place.boil - near) {
				if (T >= place.boil - 2 * near) {
					// At the boil: what is not conducted in evaporates.
					T = place.boil;
					fluxAt(around, crust, gone, T, place, flux);
					flux.food = (inward * T - given) / area;
					flux.vapour = Math.max(0, (flux.heat - flux.food) / latent(T));
					return T;
				}
				T = place.boil - near;
				continue;
			}
			T += change;
			// The fluxes are those of a moment ago: within a hundredth of a degree.
			if (Math.abs(change) < near) break;
		}
		return T;
	}

	private factorsOf(dt: number): Factors {
		const found = this.factors.get(dt);
		if (found) return found;
		const { volume, link, first } = this;
		const last = cells - 1;
		const pivots = new Float64Array(cells + 1);
		const ratios = new Float64Array(cells + 1);
		const diagonal = (i: number) => volume[i]! / dt + (i > 0 ? link[i - 1]! : 0) + link[i]!;
		pivots[first] = diagonal(first);
		for (let i = first + 1; i <= last; i++) {
			ratios[i] = link[i - 1]! / pivots[i - 1]!;
			pivots[i] = diagonal(i) - ratios[i]! * link[i - 1]!;
		}
		const response = (at: number, conductance: number) => {
			const r = new Float64Array(cells + 1);
			r[at] = conductance;
			for (let i = first + 1; i <= last; i++) r[i]! += ratios[i]! * r[i - 1]!;
			r[last]! /= pivots[last]!;
			for (let i = last - 1; i >= first; i--) r[i] = (r[i]! + link[i]! * r[i + 1]!) / pivots[i]!;
			return r;
		};
		const made = {
			pivots,
			ratios,
			toInner: first === 1 ? response(1, link[0]!) : new Float64Array(cells + 1),
			toOuter: response(last, link[last]!)
		};
		this.factors.set(dt, made);
		return made;
	}
}
