// Depth-first search over the kernel: build a plan backwards from service, task by task, and back up where it fails.
import type { Domains } from './domains';

/** What a descent prefers; every preference may be overruled by propagation. */
export interface Guide {
	/** Which undecided task comes next: the one with the highest value. Absent: the one that can end last. */
	readonly rank?: Float64Array;
	/** Mode wanted for a task, −1 for the one that can start last. */
	readonly mode?: Int32Array;
	/** Option wanted for a choice, −1 for the cheapest. */
	readonly option?: Int32Array;
	/** Instant wanted for each service, in units; the earliest possible where it has passed. */
	readonly instant?: Int32Array;
	/** How far to back away from a start that failed, given the room there is; 1 keeps the search complete. */
	readonly retreat: (room: number) => number;
}

type Kind = 'option' | 'instant' | 'mode' | 'start';
interface Decision {
	readonly kind: Kind;
	/** What is decided: option, service, task. */
	readonly subject: number;
	/** Its value: unused, instant, mode, start. */
	readonly value: number;
	readonly mark: number;
}

export type Outcome = 'found' | 'exhausted' | 'paused';

/**
 * A resumable search. Each decision takes the latest start (the objective never gains from an earlier one while all else
 * stays), and its refutation takes it away. With `retreat` 1 the search is complete: `exhausted` is a proof.
 * Backward list scheduling with chronological backtracking; see Neumann, Schwindt & Zimmermann 2003, Project Scheduling
 * with Time Windows and Scarce Resources, ch. 2, for schedule generation under minimal and maximal time lags.
 */
export class Descent {
	private readonly stack: Decision[] = [];
	private readonly base: number;
	/** Contradictions met so far. */
	fails = 0;
	nodes = 0;

	constructor(
		private readonly domains: Domains,
		private readonly guide: Guide,
		/** Called with the task at which a contradiction showed. */
		private readonly blame: (task: number) => void = () => undefined
	) {
		this.base = domains.mark();
	}

	/**
	 * Go on until a plan is found, all is searched, or the work or the contradictions are used up. After `found` the
	 * domains hold the plan; calling again looks for the next below `domains.limit`.
	 */
	run(workLimit: number, failLimit = Infinity): Outcome {
		const { domains } = this;
		const stopAt = domains.work + workLimit;
		const failAt = this.fails + failLimit;
		let consistent = this.nodes === 0 || this.consistentAfterPause();
		for (;;) {
			if (!consistent) {
				this.fails++;
				if (domains.culprit >= 0) this.blame(domains.culprit);
				const decision = this.stack.pop();
				if (!decision) {
					domains.undo(this.base);
					return 'exhausted';
				}
				domains.undo(decision.mark);
				if (this.fails >= failAt) {
					this.pendingRefutation = decision;
					return 'paused';
				}
				consistent = this.refute(decision);
				continue;
			}
			if (domains.work >= stopAt) return 'paused';
			const decision = this.next();
			if (!decision) return 'found';
			this.nodes++;
			this.stack.push(decision);
			consistent = this.apply(decision) && domains.propagate();
		}
	}

	/** Give all decisions back. */
	leave(): void {
		this.stack.length = 0;
		this.domains.undo(this.base);
	}

	private pendingRefutation: Decision | undefined;

	/** Take up again: a refutation left over, or a tighter limit on the objective. */
	private consistentAfterPause(): boolean {
		const pending = this.pendingRefutation;
		this.pendingRefutation = undefined;
		return pending ? this.refute(pending) : this.domains.propagate();
	}

	private next(): Decision | undefined {
		const { domains, guide } = this;
		const { table, lo, hi } = domains;
		const mark = domains.mark();
		for (let c = 0; c < table.optionStart.length - 1; c++) {
			if (!domains.isOpenChoice(c)) continue;
			const wanted = guide.option?.[c] ?? -1;
			let best = -1;
			for (let o = table.optionStart[c]!; o < table.optionStart[c + 1]!; o++) {
				if (domains.option[o] === 0) continue;
				if (o === wanted) best = o;
				if (best === wanted && best >= 0) break;
				if (best < 0 || table.optionCost[o]! < table.optionCost[best]!) best = o;
			}
			return { kind: 'option', subject: best, value: 0, mark };
		}
		for (let k = 0; k < table.services; k++) {
			const d = 2 * table.n + k;
			if (lo[d] === hi[d]) continue;
			const value = Math.min(hi[d]!, Math.max(lo[d]!, guide.instant?.[k] ?? 0));
			return { kind: 'instant', subject: k, value, mark };
		}
		let task = -1;
		let best = -Infinity;
		for (let t = 0; t < table.n; t++) {
			if (domains.isDecided(t) || !domains.isThere(t)) continue;
			const rank = guide.rank ? guide.rank[t]! : hi[table.n + t]! - 1e-3 * (hi[t]! - lo[t]!);
			if (rank > best) {
				best = rank;
				task = t;
			}
		}
		if (task < 0) return undefined;
		if (domains.open[task] === 1) return { kind: 'start', subject: task, value: hi[task]!, mark };
		return { kind: 'mode', subject: task, value: this.preferredMode(task), mark };
	}

	/** The mode wanted, or by trial the one that leaves the lowest bound, then the latest start. */
	private preferredMode(t: number): number {
		const { domains, guide } = this;
		const { modeStart } = domains.table;
		const wanted = guide.mode?.[t] ?? -1;
		if (wanted >= 0 && domains.alive[wanted]) return wanted;
		let best = -1;
		let bestBound = Infinity;
		let bestStart = -1;
		const mark = domains.mark();
		for (let m = modeStart[t]!; m < modeStart[t + 1]!; m++) {
			if (!domains.alive[m]) continue;
			if (best < 0) best = m;
			if (domains.setMode(t, m) && domains.propagate()) {
				const start = domains.hi[t]!;
				const bound = domains.raise(t, start) && domains.propagate() ? domains.lowerBound() : Infinity;
				if (bound < bestBound || (bound === bestBound && start > bestStart)) {
					best = m;
					bestBound = bound;
					bestStart = start;
				}
			}
			domains.undo(mark);
		}
		return best;
	}

	private apply({ kind, subject, value }: Decision): boolean {
		const { domains } = this;
		switch (kind) {
			case 'option':
				return domains.take(subject);
			case 'instant': {
				const d = 2 * domains.table.n + subject;
				return domains.raise(d, value) && domains.lower(d, value);
			}
			case 'mode':
				return domains.setMode(subject, value);
			case 'start':
				return domains.raise(subject, value);
		}
	}

	private refute({ kind, subject, value }: Decision): boolean {
		const { domains } = this;
		switch (kind) {
			case 'option':
				if (!domains.drop(subject)) return false;
				break;
			case 'instant':
				if (!domains.raise(2 * domains.table.n + subject, value + 1)) return false;
				break;
			case 'mode':
				if (!domains.removeMode(value)) return false;
				break;
			case 'start':
				if (!domains.lower(subject, value - this.guide.retreat(value - domains.lo[subject]!))) return false;
		}
		return domains.propagate();
	}
}
