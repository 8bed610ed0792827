// What is open in a model, and how it is decided: of several literals one, of the services the next.
import type { Engine } from './engine';
import type { Literal } from './model/literals';
import type { Model } from './model/model';

/** Tasks that are looked at, for what to decide next, for one unit of effort. */
const tasksPerEffort = 250;

export class Decisions {
	readonly engine: Engine;
	/** Variables of start and end, and the end's shift, by task. */
	readonly starts: Int32Array;
	readonly ends: Int32Array;
	readonly endShifts: Int32Array;

	constructor(readonly model: Model) {
		this.engine = model.engine;
		this.starts = Int32Array.from(model.tasks, (t) => t.start);
		this.ends = Int32Array.from(model.tasks, (t) => t.end);
		this.endShifts = Int32Array.from(model.tasks, (t) => t.endShift);
	}

	isThere(i: number): boolean {
		const { there } = this.model.tasks[i]!;
		return there.length === 0 || this.engine.isTrue(there[0]!, there[1]!);
	}

	isDecided(i: number): boolean {
		if (!this.engine.isFixed(this.starts[i]!)) return false;
		for (const m of this.model.tasks[i]!.modes) if (m.length === 0 || this.engine.isTrue(m[0]!, m[1]!)) return true;
		return false;
	}

	/** All tasks are looked at: that takes its effort. */
	lookAtAll(): void {
		this.engine.spend(this.starts.length / tasksPerEffort);
	}

	/** Take the wanted one of several literals, else the one of least cost that is open; `false` where that is decided. */
	oneOf(literals: readonly Literal[], wanted: number, cost?: readonly number[]): boolean {
		const { engine } = this;
		let choice = -1;
		for (let k = 0; k < literals.length; k++) {
			const [h, v] = literals[k]!;
			if (h === undefined || v === undefined || engine.isTrue(h, v)) return false;
			if (engine.isFalse(h, v)) continue;
			if (k === wanted) {
				choice = k;
				break;
			}
			if (choice < 0 || (cost && cost[k]! < cost[choice]!)) choice = k;
		}
		const literal = literals[choice];
		if (!literal) return false;
		engine.decide(literal[0]!, literal[1]!);
		return true;
	}

	/** When the next service that is open goes out: as near as can be to the instant that is wanted; `false` where none is open. */
	service(wanted: readonly number[]): boolean {
		const { engine, model } = this;
		for (let k = 0; k < model.services.length; k++) {
			const x = model.services[k]!;
			if (engine.isFixed(x)) continue;
			const at = Math.min(-engine.lb[2 * x + 1]!, wanted[k] ?? 0);
			if (at > engine.lb[2 * x]!) engine.decide(2 * x, at);
			else engine.decide(2 * x + 1, -engine.lb[2 * x]!);
			return true;
		}
		return false;
	}
}
