// A lower bound that rises: prices are moved until the parts cost as much as they can, for each stretch of beginnings apart.
import type { Model } from '../model/model';
import { gcd } from '../time-unit';
import { PartPrices, type Draft, type Windows } from './part-prices';

/** Plans that begin within [from, to], units. */
interface Stretch {
	readonly from: number;
	readonly to: number;
	readonly windows: Windows;
	readonly price: Float64Array;
	readonly direction: Float64Array;
	/** The prices of the best bound. */
	readonly best: Float64Array;
	/** What such a plan costs at least. */
	bound: number;
	/** Share of the way to the target that a step is meant to go, and steps since it last helped. */
	pace: number;
	stale: number;
}

/** Steps without gain before the pace is halved, and the pace below which nothing more is hoped for. */
const PATIENCE = 12;
const SLOWEST = 1 / 10;
/** A gain that counts, as a share of the gap. */
const LEAST_GAIN = 1 / 2000;
/** A stretch is halved where its own length is so much of the gap. */
const WIDEST = 1 / 5;
/** Numbers that are gone through for one unit of work. */
const PER_WORK = 500;
/** A step aims so far of the gap above the bound, and at least by a share of the limit. */
const AIM = 0.5;
const LEAST_AIM = 0.02;
/** Larger problems are left to the search; and so many prices are kept at the most, for all stretches. */
const MOST = 3_000_000;
const MOST_KEPT = 5_000_000;

/**
 * Bounds of a model from below, by the prices of its parts (`PartPrices`). Lateness is dear, so the evening's length decides
 * how much the parts are in each other's way: plans are looked at in stretches by when they begin, and the stretch of least
 * bound is worked at first, by the subgradient method (Held, Wolfe & Crowder 1974, Math. Programming 6, 62–88) with steps after
 * Polyak in directions after Camerini, Fratta & Maffioli (1975, Math. Programming Study 3, 26–34), or halved.
 */
export class Bounding {
	/** Work done, in propagator runs. */
	work = 0;
	/** Whether there is nothing more to hope for. */
	isDone = false;
	private readonly prices: PartPrices | undefined;
	private readonly stretches: Stretch[] = [];
	private readonly spanRate: number;
	private readonly lastDue: number;
	private readonly isCounted: Uint8Array;
	private readonly gradient: Float64Array;
	private readonly perStep: number;
	/** What all costs are multiples of. */
	private readonly grain: number;
	private told = -Infinity;
	private hasDraft = false;
	private limit = Infinity;

	constructor(private readonly model: Model) {
		const { problem, unit, engine, tasks, objective } = model;
		const low = Int32Array.from(tasks, (t) => engine.rootLb(2 * t.start));
		const high = Int32Array.from(tasks, (t) => -engine.rootLb(2 * t.start + 1));
		const cells = tasks.reduce((sum, t, i) => sum + t.modes.length * (high[i]! - low[i]! + 1), 0);
		const length = Math.max(0, ...high) - Math.min(...low);
		const rows = problem.resources.length + tasks.reduce((sum, t) => sum + t.modes.length, 0);
		// Where nobody need begin, a length may be less than nothing.
		const hasLength = problem.weights.span === 0 || objective.first !== undefined;
		const fits = hasLength && objective.cost !== undefined && cells + 4 * rows * length <= MOST;
		this.prices = fits ? new PartPrices(problem, unit, { low, high }) : undefined;
		const size = this.prices?.layout.size ?? 0;
		this.gradient = new Float64Array(size);
		this.perStep = (this.prices?.effort ?? 0) / PER_WORK;
		this.spanRate = objective.first === undefined ? 0 : problem.weights.span * unit;
		this.lastDue = Math.max(...model.due);
		this.isCounted = Uint8Array.from(problem.tasks, (t) => (t.ahead ? 0 : 1));
		this.grain = grainOf(model);
		this.isDone = !this.prices;
		if (!this.prices) return;
		const [from, to] =
			objective.first === undefined
				? [0, 0]
				: [engine.rootLb(2 * objective.first), -engine.rootLb(2 * objective.first + 1)];
		this.stretches.push(this.stretch(from, to, { low, high }, new Float64Array(size), -Infinity));
	}

	/** What a plan that is wanted costs less than, where one of this objective is known; sums of prices are not exact. */
	limitFor(objective: number, isEqualWanted: boolean): number {
		return objective - (isEqualWanted ? 0 : this.grain) + this.slack(objective);
	}

	/** What the parts would do at the prices of the last step; absent where they cannot be done there. */
	get relaxed(): Draft | undefined {
		return this.hasDraft ? this.prices?.relaxed() : undefined;
	}

	/** What any plan costs at least, as far as is known. */
	get bound(): number {
		if (!this.prices) return -Infinity;
		return this.stretches.reduce((least, s) => Math.min(least, s.bound), Infinity);
	}

	/** Work for a while at what plans cost that are better than one of cost `limit`. */
	run(limit: number, workLimit: number): void {
		const stopAt = this.work + workLimit;
		if (limit < this.limit) {
			this.limit = limit;
			this.isDone = this.prices === undefined;
			for (const s of this.stretches) s.pace = Math.max(s.pace, 1 / 2);
		}
		while (this.work < stopAt && this.stretches.length > 0 && !this.isDone) this.step(limit);
	}

	private step(limit: number): void {
		const { stretches } = this;
		let k = 0;
		stretches.forEach((s, i) => {
			if (s.bound < stretches[k]!.bound) k = i;
		});
		const s = stretches[k]!;
		if (s.bound >= limit) {
			stretches.splice(k, 1);
			return;
		}
		const gap = limit - Math.max(s.bound, 0);
		const isWide = this.spanRate * (s.to - s.from) > WIDEST * gap;
		const isSlow = s.pace < SLOWEST;
		if (s.to > s.from && (isWide || isSlow) && this.hasRoom) {
			const middle = Math.floor((s.from + s.to) / 2);
			const ends = s.bound + this.spanRate * (s.to - middle);
			stretches.splice(
				k,
				1,
				this.stretch(s.from, middle, s.windows, s.best, ends),
				this.stretch(middle + 1, s.to, s.windows, s.best, s.bound)
			);
			return;
		}
		if (isSlow) this.isDone = true;
		else this.climb(s, limit);
	}

	/** Whether there is memory for one stretch more: two lists of prices and a direction. */
	private get hasRoom(): boolean {
		return 3 * (this.stretches.length + 1) * this.gradient.length <= MOST_KEPT;
	}

	private stretch(from: number, to: number, windows: Windows, price: Float64Array, bound: number): Stretch {
		return {
			from,
			to,
			windows: {
				low: windows.low.map((x, i) => (this.isCounted[i] ? Math.max(x, from) : x)),
				high: windows.high.slice()
			},
			price: price.slice(),
			best: price.slice(),
			direction: new Float64Array(price.length),
			bound,
			pace: 1,
			stale: 0
		};
	}

	private span(s: Stretch): number {
		return this.spanRate * (this.lastDue - s.to);
	}

	/** One step of ascent. */
	private climb(s: Stretch, limit: number): void {
		const { prices, gradient } = this;
		if (!prices) return;
		this.work += this.perStep;
		const value = prices.evaluate(s.price, s.windows) + this.span(s);
		this.hasDraft = value < Infinity;
		if (value > s.bound) {
			s.stale = value - s.bound > LEAST_GAIN * (limit - value) ? 0 : s.stale + 1;
			s.bound = value;
			s.best.set(s.price);
		} else s.stale++;
		if (value >= limit) return;
		if (s.stale > PATIENCE) {
			s.pace /= 2;
			s.stale = 0;
		}
		prices.slope(gradient);
		const { price, direction } = s;
		let [along, before] = [0, 0];
		for (let k = 0; k < price.length; k++) {
			// What would only fall below 0 does not count.
			if (price[k]! <= 0 && gradient[k]! < 0) gradient[k] = 0;
			along += gradient[k]! * direction[k]!;
			before += direction[k]! * direction[k]!;
		}
		const turn = along < 0 ? (-1.5 * along) / before : 0;
		let norm = 0;
		for (let k = 0; k < price.length; k++) {
			const d = gradient[k]! + turn * direction[k]!;
			direction[k] = d;
			norm += d * d;
		}
		if (norm === 0) {
			s.pace = 0;
			return;
		}
		const aim = Math.min(limit, s.bound + Math.max(AIM * (limit - s.bound), LEAST_AIM * limit));
		const size = (s.pace * (aim - value)) / norm;
		for (let k = 0; k < price.length; k++) price[k] = Math.max(0, price[k]! + size * direction[k]!);
	}

	/**
	 * What was found since it was last asked, as clauses: what plans cost at least, by when they begin; when tasks of a plan
	 * of less than `limit` can start. `undefined` where that is not worth the search's attention.
	 */
	news(limit: number): readonly (readonly number[])[] | undefined {
		const { prices, stretches, bound } = this;
		const { cost, first, constant, scale, moves } = this.model.objective;
		if (!prices || cost === undefined || bound === -Infinity) return undefined;
		if (stretches.length === 0) return [[]];
		if (bound - this.told < (limit - bound) / 20) return undefined;
		this.told = bound;
		const costs = (least: number) => [2 * cost, (this.rounded(least) - constant) * scale - moves];
		const clauses = [costs(bound)];
		if (first !== undefined) {
			clauses.push([2 * first, Math.min(...stretches.map((s) => s.from))]);
			clauses.push([2 * first + 1, -Math.max(...stretches.map((s) => s.to))]);
			for (const s of stretches) clauses.push([2 * first + 1, 1 - s.from, 2 * first, s.to + 1, ...costs(s.bound)]);
		}
		for (const s of stretches) this.narrow(s, prices, limit);
		this.model.tasks.forEach(({ start, there }, i) => {
			const possible = stretches.filter((s) => s.windows.low[i]! <= s.windows.high[i]!);
			if (possible.length === 0) clauses.push(there.length > 0 ? [there[0]! ^ 1, 1 - there[1]!] : []);
			else if (there.length === 0) {
				clauses.push([2 * start, Math.min(...possible.map((s) => s.windows.low[i]!))]);
				clauses.push([2 * start + 1, -Math.max(...possible.map((s) => s.windows.high[i]!))]);
			}
		});
		return clauses;
	}

	/** Leave out of a stretch's windows what costs too much at its best prices. */
	private narrow(s: Stretch, prices: PartPrices, limit: number): void {
		this.work += 3 * this.perStep;
		const value = prices.evaluate(s.best, s.windows) + this.span(s);
		const { low, high } = prices.windows(limit - value + this.slack(limit));
		low.forEach((from, i) => {
			s.windows.low[i] = Math.max(s.windows.low[i]!, from);
			s.windows.high[i] = Math.min(s.windows.high[i]!, high[i]!);
		});
	}

	private slack(cost: number): number {
		return Math.max(1e-6, 1e-7 * Math.abs(cost));
	}

	private rounded(bound: number): number {
		return Math.ceil((bound - this.slack(bound)) / this.grain) * this.grain;
	}
}

/** The greatest number of which all costs are multiples. */
function grainOf({ problem, unit }: Model): number {
	const { slip, span } = problem.weights;
	const rates = [slip, span, ...problem.serve.map((s) => s.rate), ...problem.wants.map((w) => w.rate)];
	const costs = [...rates.map((r) => r * unit), ...problem.choices.flatMap((c) => c.options.map((o) => o.cost))];
	return Math.max(1, costs.reduce(gcd, 0));
}
