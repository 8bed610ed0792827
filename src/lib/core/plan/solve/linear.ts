// Linear inequality over halves: Σ aᵢ·hᵢ ≤ b, with explanations made as weak as the slack allows.
import type { Engine, Propagator } from './engine';

/**
 * Bounds propagation for Σ coefficient·half ≤ limit, coefficients > 0, where the guard (a literal as a pair, or none) is
 * true. A negative term is a positive one over the opposite half. The limit may be lowered while solving: it is the
 * incumbent for the objective.
 */
export class Linear implements Propagator {
	readonly halves: readonly number[];

	constructor(
		readonly terms: readonly number[],
		readonly coefficients: readonly number[],
		public limit: number,
		private readonly guard: readonly number[] = []
	) {
		this.halves = guard.length > 0 ? [...terms, guard[0]!] : terms;
	}

	propagate(engine: Engine): boolean {
		const { terms, coefficients, guard } = this;
		if (this.limit === Infinity) return true;
		if (guard.length > 0 && !engine.isTrue(guard[0]!, guard[1]!)) return true;
		let sum = 0;
		for (let i = 0; i < terms.length; i++) sum += coefficients[i]! * engine.lb[terms[i]!]!;
		const slack = this.limit - sum;
		if (slack < 0) return engine.refute([...this.reason(engine, -1, -slack - 1), ...guard]);
		for (let i = 0; i < terms.length; i++) {
			const h = terms[i]!;
			const a = coefficients[i]!;
			const room = Math.floor(slack / a);
			const most = engine.lb[h]! + room;
			if (most >= -engine.lb[h ^ 1]!) continue;
			// With h at most + 1 the sum would exceed the limit by this much, less one.
			const spare = a * (room + 1) - slack - 1;
			if (!engine.set(h ^ 1, -most, [...this.reason(engine, i, spare), ...guard])) return false;
		}
		return true;
	}

	/** The lower bounds of all terms but one, each lowered as far as `spare` goes round. */
	private reason(engine: Engine, except: number, spare: number): number[] {
		const literals: number[] = [];
		let left = spare;
		for (let i = 0; i < this.terms.length; i++) {
			if (i === except) continue;
			const h = this.terms[i]!;
			const a = this.coefficients[i]!;
			const v = engine.lb[h]!;
			const root = engine.rootLb(h);
			if (v <= root) continue;
			const step = Math.min(Math.floor(left / a), v - root);
			left -= step * a;
			if (v - step > root) literals.push(h, v - step);
		}
		return literals;
	}
}
