// Keeping to a plan: all as it has it, again after each conflict; what cannot be, as near to it as can be.
import type { Schedule } from '../problem';
import type { Decisions } from './decisions';
import { conflictsPerTurn, followTurns, patientConflicts } from './turns';

/**
 * Follows a plan: as it is at first; in vain, with patience: forward in its order, each task as soon after its time as it can,
 * and the services wait for it.
 */
export class Following {
	/** Whether services may be late for it. */
	isPatient = false;
	private times = 0;
	/** Literals (pairs) that are decided before all else, and how far that has come. */
	private kept: readonly number[] = [];
	private keptAt = 0;
	/** Starts of the plan, units; −1: not in it. */
	private readonly starts: Int32Array;

	constructor(
		private readonly decisions: Decisions,
		private readonly plan: Schedule
	) {
		const { problem, unit } = decisions.model;
		this.starts = Int32Array.from(problem.tasks, (t) => Math.round((plan.starts?.[t.id] ?? -unit) / unit));
	}

	/** Begin a turn; so many conflicts it may take. */
	begin(): number {
		this.isPatient = this.times++ > 0;
		this.kept = this.literals();
		this.again();
		return this.isPatient ? patientConflicts : conflictsPerTurn.follow;
	}

	/** Whether another turn is worth it, where none has found anything yet. */
	get isWorthMore(): boolean {
		return this.times < followTurns;
	}

	/** What was taken back by a conflict is decided again. */
	again(): void {
		this.keptAt = 0;
	}

	/** Decide what is as in the plan; `false` where all of that is decided. */
	keep(): boolean {
		const { engine } = this.decisions;
		while (this.keptAt < this.kept.length) {
			const h = this.kept[this.keptAt++]!;
			const v = this.kept[this.keptAt++]!;
			if (engine.isTrue(h, v) || engine.isFalse(h, v)) continue;
			engine.decide(h, v);
			return true;
		}
		return false;
	}

	/** Decide what cannot be as in the plan; `false` where all is decided. */
	goOn(): boolean {
		const { decisions } = this;
		for (const options of decisions.model.options) if (decisions.oneOf(options, -1)) return true;
		if (this.isPatient) return this.forward() || decisions.service([]);
		return decisions.service(decisions.model.due) || this.backward();
	}

	/** The last of what is open: at its soonest where that is later than planned, else as late as can be. */
	private backward(): boolean {
		const { decisions, starts } = this;
		const { engine } = decisions;
		decisions.lookAtAll();
		let next = -1;
		let highest = -Infinity;
		for (let i = 0; i < starts.length; i++) {
			if (starts[i]! <= highest || !decisions.isThere(i) || decisions.isDecided(i)) continue;
			highest = starts[i]!;
			next = i;
		}
		if (next < 0) return false;
		const task = decisions.model.tasks[next]!;
		if (decisions.oneOf(task.modes, -1, task.durations)) return true;
		const [low, high] = [engine.lb[2 * task.start]!, -engine.lb[2 * task.start + 1]!];
		if (starts[next]! >= 0 && starts[next]! <= low) engine.decide(2 * task.start + 1, -low);
		else engine.decide(2 * task.start, high);
		return true;
	}

	/** The first of what is open, as soon after its time in the plan as it can. */
	private forward(): boolean {
		const { decisions, starts } = this;
		const { engine } = decisions;
		decisions.lookAtAll();
		let next = -1;
		let first = Infinity;
		for (let i = 0; i < starts.length; i++) {
			const at = Math.max(starts[i]!, engine.lb[2 * decisions.starts[i]!]!);
			if (at >= first || !decisions.isThere(i) || decisions.isDecided(i)) continue;
			first = at;
			next = i;
		}
		if (next < 0) return false;
		const task = decisions.model.tasks[next]!;
		if (decisions.oneOf(task.modes, -1, task.durations)) return true;
		const [low, high] = [engine.lb[2 * task.start]!, -engine.lb[2 * task.start + 1]!];
		const at = Math.min(high, Math.max(low, starts[next]!));
		if (at > low) engine.decide(2 * task.start, at);
		else engine.decide(2 * task.start + 1, -at);
		return true;
	}

	/** What to keep: services, options and each task's way and start, the last ones first; with patience options and ways. */
	private literals(): readonly number[] {
		const { model } = this.decisions;
		const { modes = {}, picks = {}, slips = {} } = this.plan;
		const options = model.problem.choices.flatMap((c, k) => [
			...(model.options[k]![c.options.findIndex((o) => o.id === picks[c.id])] ?? [])
		]);
		const known = [...this.starts.keys()].filter((i) => this.starts[i]! >= 0);
		const wayOf = (i: number) => model.tasks[i]!.modes[modes[model.problem.tasks[i]!.id] ?? -1] ?? [];
		if (this.isPatient) return [...options, ...known.flatMap(wayOf)];
		const services = model.services.flatMap((x, k) => {
			const at = Math.round((slips[model.problem.services[k]!.id] ?? 0) / model.unit) + model.due[k]!;
			return [2 * x, at, 2 * x + 1, -at];
		});
		const tasks = known
			.sort((a, b) => this.starts[b]! - this.starts[a]!)
			.flatMap((i) => {
				const { start } = model.tasks[i]!;
				return [...wayOf(i), 2 * start + 1, -this.starts[i]!, 2 * start, this.starts[i]!];
			});
		return [...services, ...options, ...tasks];
	}
}
