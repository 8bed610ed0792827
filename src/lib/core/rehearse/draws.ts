// Evenings drawn: how long each step takes, by seed, evening and name, so that two plans meet the same luck.
import { normalQuantile } from '../learn/spread';
import { hashed } from './luck';

/** ln of a length in s: mu + Σ weight · z of what it shares with others + sigma · its own. */
export interface Spread {
	readonly mu: number;
	readonly sigma: number;
	readonly shared?: Readonly<Record<string, number>> | undefined;
}

/** Evenings that are spread evenly between them. */
export const batch = 512;

/** The whole numbers below `batch` in an order of their own for each key (Kensler 2013, Pixar Technical Memo 13-01). */
export function shuffled(i: number, key: number): number {
	const w = batch - 1;
	let k = i ^ key;
	k = Math.imul(k, 0xe170893d);
	k ^= key >>> 16;
	k ^= (k & w) >>> 4;
	k ^= key >>> 8;
	k = Math.imul(k, 0x0929eb3f);
	k ^= key >>> 23;
	k ^= (k & w) >>> 1;
	k = Math.imul(k, 1 | (key >>> 27));
	k = Math.imul(k, 0x6935fa69);
	k ^= (k & w) >>> 11;
	k = Math.imul(k, 0x74dcb303);
	k ^= (k & w) >>> 2;
	k = Math.imul(k, 0x9e501cc3);
	k ^= (k & w) >>> 2;
	k = Math.imul(k, 0xc860a3df);
	k &= w;
	k ^= k >>> 5;
	return (k + (key & w)) & w;
}

/** Two numbers as one, all bits mixed (Murmur's finish). */
function mixed(a: number, b: number): number {
	let h = Math.imul(a ^ Math.imul(b, 0x9e3779b1), 0x85ebca6b);
	h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
	h = Math.imul(h ^ (h >>> 16), 0x27d4eb2f);
	return (h ^ (h >>> 15)) >>> 0;
}

/** Draws of one name: the same for the same seed and evening. */
export class Draw {
	private readonly key: number;

	constructor(seed: number, name: string) {
		this.key = hashed(`${seed} ${name}`);
	}

	/** Uniform, 0 < u < 1: the evenings of one batch are a Latin hypercube (McKay, Beckman & Conover 1979, Technometrics 21, 239–245). */
	uniform(evening: number): number {
		const i = evening % batch;
		const stratum = shuffled(i, mixed(this.key, (evening - i) / batch));
		const within = (mixed(this.key ^ 0x5bd1e995, evening) + 0.5) / 0x100000000;
		return (stratum + within) / batch;
	}

	normal(evening: number): number {
		return normalQuantile(this.uniform(evening));
	}
}

/** How much later than it could each event comes, because somebody has to see to it, and is elsewhere. */
export class Delays {
	private readonly drawn: readonly { readonly event: number; readonly draw: Draw }[];

	/**
	 * @param tasks ids, by event
	 * @param mean seconds, of an exponential distribution
	 * @param concerns whether somebody has to see to a task
	 */
	constructor(
		tasks: readonly string[],
		private readonly mean: number,
		concerns: (task: string) => boolean,
		seed: number
	) {
		const count = new Map<string, number>();
		this.drawn = tasks.flatMap((task, event) => {
			const k = count.get(task) ?? 0;
			count.set(task, k + 1);
			return concerns(task) ? [{ event, draw: new Draw(seed, `late ${task} ${k}`) }] : [];
		});
	}

	/** Write one evening's delays, s, by event. */
	draw(evening: number, into: Float64Array): void {
		for (const { event, draw } of this.drawn) into[event] = -this.mean * Math.log(1 - draw.uniform(evening));
	}
}

/** Lengths of the tasks of a net, evening by evening. */
export class Lengths {
	private readonly factors: readonly Draw[];
	private readonly named: readonly {
		readonly task: number;
		readonly mu: number;
		readonly sigma: number;
		readonly own: Draw;
		readonly shared: readonly (readonly [factor: number, weight: number])[];
	}[];
	private readonly z: Float64Array;

	/**
	 * @param tasks ids
	 * @param planned s, by task: what a task takes that is not named
	 */
	constructor(
		tasks: readonly string[],
		private readonly planned: Float64Array,
		spreads: Readonly<Record<string, Spread>>,
		seed: number
	) {
		const names = [...new Set(tasks.flatMap((id) => Object.keys(spreads[id]?.shared ?? {})))];
		const position = new Map(names.map((n, i) => [n, i]));
		this.factors = names.map((n) => new Draw(seed, `factor ${n}`));
		this.z = new Float64Array(names.length);
		this.named = tasks.flatMap((id, task) => {
			const spread = spreads[id];
			if (!spread) return [];
			const shared = Object.entries(spread.shared ?? {}).map(([n, w]) => [position.get(n)!, w] as const);
			return [{ task, mu: spread.mu, sigma: spread.sigma, own: new Draw(seed, `task ${id}`), shared }];
		});
	}

	/** Write one evening's lengths, s. */
	draw(evening: number, into: Float64Array): void {
		into.set(this.planned);
		for (let f = 0; f < this.z.length; f++) this.z[f] = this.factors[f]!.normal(evening);
		for (const { task, mu, sigma, own, shared } of this.named) {
			let ln = mu;
			for (const [f, weight] of shared) ln += weight * this.z[f]!;
			if (sigma > 0) ln += sigma * own.normal(evening);
			into[task] = Math.exp(ln);
		}
	}
}
