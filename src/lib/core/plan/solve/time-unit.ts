// The greatest unit in which all times of a problem are whole.
import type { Problem } from '../problem';

/** The greatest common divisor; 0 only of zeros. */
export function gcd(a: number, b: number): number {
	while (b !== 0) [a, b] = [b, a % b];
	return Math.abs(a);
}

/**
 * Seconds of which every time in the problem is a multiple.
 *
 * For fixed modes, options and orders the rest is a difference system with a convex objective; its matrix is totally
 * unimodular, so an optimum lies on multiples of the greatest common divisor of its right-hand sides.
 */
export function timeUnit(p: Problem): number {
	let unit = p.horizon;
	const add = (...times: (number | undefined)[]) => {
		for (const t of times) unit = gcd(unit, t ?? 0);
	};
	const values = new Map(p.states.map((s) => [s.id, new Set([s.initial])]));
	for (const s of p.services) add(s.due);
	for (const t of p.tasks) {
		add(t.release, t.fixed?.start);
		for (const m of t.modes) {
			add(m.duration);
			for (const u of m.uses ?? []) add(u.from, u.to);
			if (m.state) values.get(m.state.id)?.add(m.state.value);
		}
	}
	for (const l of p.lags) add(l.min, l.max);
	for (const s of p.serve) add(s.offset, s.free, s.max);
	for (const w of p.wants) add(w.by);
	for (const s of p.states) {
		for (const v of values.get(s.id) ?? []) add(s.rise * (v - s.initial), s.fall * (v - s.initial));
	}
	return Math.max(1, unit);
}
