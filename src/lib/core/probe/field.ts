// Temperatures across one direction of a body on a grid, without dimensions: quick enough to be asked thousands of times.
import { geometry, type Shape } from '../heat/modes';

/** Cells from the middle to the face; steps of Fourier number that a table is made of. */
const cells = 24;
const tableStep = 0.004;
/** The first steps are taken as four implicit ones each: the jump at the start does not ring (Rannacher 1984). */
const smoothed = 2;

/** The matrix of one step, factored once: (V/Δ + wK) θ′ = (V/Δ − (1 − w)K) θ, Crank–Nicolson with w ½, Euler with w 1. */
class Step {
	private readonly volume = new Float64Array(cells + 1);
	private readonly link = new Float64Array(cells);
	private readonly low = new Float64Array(cells + 1);
	private readonly pivot = new Float64Array(cells + 1);

	constructor(
		shape: Shape,
		private readonly bi: number,
		private readonly fo: number,
		private readonly implicit: number
	) {
		const { p } = geometry[shape];
		const dx = 1 / cells;
		const edge = (i: number) => (i <= 0 ? 0 : i > cells ? 1 : (i - 0.5) * dx);
		for (let i = 0; i <= cells; i++) this.volume[i] = (edge(i + 1) ** (p + 1) - edge(i) ** (p + 1)) / (p + 1);
		for (let i = 0; i < cells; i++) this.link[i] = edge(i + 1) ** p / dx;
		for (let i = 0; i <= cells; i++) {
			const left = i > 0 ? this.link[i - 1]! : 0;
			const right = i < cells ? this.link[i]! : this.isHeld ? 0 : bi;
			const diagonal = this.volume[i]! / fo + implicit * (left + right);
			// Thomas' elimination, kept.
			this.low[i] = i > 0 ? (-implicit * left) / this.pivot[i - 1]! : 0;
			this.pivot[i] = diagonal - (i > 0 ? this.low[i]! * -implicit * left : 0);
		}
	}

	private get isHeld(): boolean {
		return this.bi === Infinity;
	}

	/** One step, in place. */
	take(theta: Float64Array): void {
		const { volume, link, low, pivot, implicit, fo } = this;
		const explicit = 1 - implicit;
		let [before, own] = [0, theta[0]!];
		for (let i = 0; i <= cells; i++) {
			const next = i < cells ? theta[i + 1]! : 0;
			let right = (volume[i]! / fo) * own;
			if (explicit > 0) {
				if (i > 0) right += explicit * link[i - 1]! * (before - own);
				if (i < cells) right += explicit * link[i]! * (next - own);
				else if (!this.isHeld) right -= explicit * this.bi * own;
			}
			before = own;
			own = next;
			theta[i] = i > 0 ? right - low[i]! * theta[i - 1]! : right;
		}
		if (this.isHeld) theta[cells] = 0;
		else theta[cells] = theta[cells]! / pivot[cells]!;
		for (let i = cells - 1; i >= 0; i--) theta[i] = (theta[i]! + implicit * link[i]! * theta[i + 1]!) / pivot[i]!;
	}
}

/** θ of a body that starts at 1 in a surrounding of 0, row by row of the Fourier number; found as far as it is asked for. */
export class Table {
	private readonly rows: Float64Array[] = [new Float64Array(cells + 1).fill(1)];
	private readonly step: Step;
	private readonly first: Step;

	constructor(shape: Shape, bi: number) {
		this.step = new Step(shape, bi, tableStep, 0.5);
		this.first = new Step(shape, bi, tableStep / 4, 1);
	}

	/** Rows up to this Fourier number; later only the slowest mode is left, and it fades by the same share in each step. */
	private static readonly longest = 12;

	private row(n: number): Float64Array {
		while (this.rows.length <= n) {
			const next = this.rows.at(-1)!.slice();
			if (this.rows.length <= smoothed) for (let q = 0; q < 4; q++) this.first.take(next);
			else this.step.take(next);
			this.rows.push(next);
		}
		return this.rows[n]!;
	}

	/** The row before a Fourier number, how far it is on the way to the next, and what of both is left after the last row. */
	private place(fo: number): readonly [n: number, share: number, left: number] {
		if (fo > Table.longest) {
			const n = Table.longest / tableStep;
			const fading = this.row(n)[0]! / this.row(n - 1)[0]!;
			return [n, 0, fading ** ((fo - Table.longest) / tableStep)];
		}
		const at = Math.max(0, fo) / tableStep;
		const n = Math.floor(at);
		return [n, at - n, 1];
	}

	/** θ after a Fourier number, x from 0 in the middle to 1 at the face. */
	at(fo: number, x: number): number {
		const [n, share, left] = this.place(fo);
		const node = Math.min(cells - 1, Math.floor(x * cells));
		const part = x * cells - node;
		const in_ = (row: Float64Array) => row[node]! + part * (row[node + 1]! - row[node]!);
		const before = left * in_(this.row(n));
		return share === 0 ? before : before + share * (in_(this.row(n + 1)) - before);
	}

	/** All of the profile after a Fourier number. */
	profile(fo: number): Float64Array {
		const [n, share, left] = this.place(fo);
		const [a, b] = [this.row(n), this.row(n + 1)];
		return a.map((v, i) => left * (v + share * (b[i]! - v)));
	}
}

/** A profile going on in another surrounding, at a step of its own. */
export class Going {
	private readonly step: Step;
	private readonly first: Step;
	private taken = 0;

	constructor(
		shape: Shape,
		bi: number,
		fo: number,
		private readonly profiles: readonly Float64Array[]
	) {
		this.step = new Step(shape, bi, fo, 0.5);
		this.first = new Step(shape, bi, fo / 4, 1);
	}

	go(): void {
		for (const theta of this.profiles)
			if (this.taken < smoothed) for (let q = 0; q < 4; q++) this.first.take(theta);
			else this.step.take(theta);
		this.taken++;
	}

	/** The middle of each profile. */
	middle(k: number): number {
		return this.profiles[k]![0]!;
	}
}
