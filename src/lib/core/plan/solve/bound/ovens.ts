// What a state (an oven's temperature) can be over time: the path through its values that earns most.
import type { Problem } from '../../problem';

/** A state's values, and the time from one to another, in units. */
export interface Oven {
	readonly values: readonly number[];
	/** From the value it has at first, by value. */
	readonly first: readonly number[];
	/** By value, by value. */
	readonly change: readonly (readonly number[])[];
}

/** @param origin the instant, in units, from which times count */
export function ovensOf(problem: Problem, unit: number, origin: number): readonly Oven[] {
	return problem.states.map(({ id, initial, rise, fall }) => {
		const values = [
			...new Set(problem.tasks.flatMap((t) => t.modes.flatMap((m) => (m.state?.id === id ? [m.state.value] : []))))
		];
		const between = (a: number, b: number) => Math.round((b > a ? rise * (b - a) : fall * (a - b)) / unit);
		return {
			values,
			first: values.map((v) => Math.max(0, between(initial, v) - origin)),
			change: values.map((a) => values.map((b) => between(a, b)))
		};
	});
}

/** The most that can be earned, and the value (index, −1: between two) at each instant. */
export class HeatPath {
	readonly at: Int32Array;
	private readonly best: readonly Float64Array[];
	private readonly from: readonly Int16Array[];

	constructor(
		private readonly oven: Oven,
		private readonly last: number
	) {
		this.at = new Int32Array(last);
		this.best = oven.values.map(() => new Float64Array(last + 1));
		this.from = oven.values.map(() => new Int16Array(last + 1));
	}

	/** Dynamic program over instants and values. @param gain what holding a value for one unit earns, by value and instant */
	run(gain: readonly Float64Array[]): number {
		const { oven, last, best, from, at } = this;
		const n = oven.values.length;
		for (let t = 0; t <= last; t++) {
			for (let v = 0; v < n; v++) {
				let x = t > 0 ? best[v]![t - 1]! + gain[v]![t - 1]! : -Infinity;
				let came = v;
				if (oven.first[v] === t && x <= 0) {
					x = 0;
					came = -1;
				}
				best[v]![t] = x;
				from[v]![t] = came;
			}
			for (let v = 0; v < n; v++) {
				for (let w = 0; w < n; w++) {
					if (w === v) continue;
					const begin = t - oven.change[w]![v]!;
					if (begin < 0 || best[w]![begin]! <= best[v]![t]!) continue;
					best[v]![t] = best[w]![begin]!;
					from[v]![t] = w;
				}
			}
		}
		at.fill(-1);
		let [most, v] = [0, -1];
		for (let k = 0; k < n; k++) if (best[k]![last]! > most) [most, v] = [best[k]![last]!, k];
		for (let t = last; v >= 0 && t > 0;) {
			const came = from[v]![t]!;
			if (came === v) at[--t] = v;
			else if (came < 0) break;
			else {
				t -= oven.change[came]![v]!;
				v = came;
			}
		}
		return most;
	}
}
