// The evening that is played, where one is: what goes wrong in it by now, and what a cook would see of a step.
import type { Meal } from '../core/model/meal';
import { mishapsOf, seenAfter, trueLength, type Mishap, type Seen } from '../core/rehearse/training';
import type { Cue } from '../core/run/cues';
import { instantAt } from '../core/run/events';
import type { Running } from './running.svelte';

export class Played {
	/** Mishaps that were told of. */
	private taken: readonly string[] = $state.raw([]);
	private readonly all: readonly Mishap[] = $derived.by(() => {
		const { training, run } = this.running;
		if (!training) return [];
		return mishapsOf(training, run.plan, this.mealOf(run.plan.meal), (clock) => instantAt(run, clock));
	});
	/** What has gone wrong by now, and was not told of. */
	readonly wrong: readonly Mishap[] = $derived.by(() =>
		this.all.filter((m) => m.at <= this.running.view.clock && !this.taken.includes(m.id))
	);

	constructor(
		private readonly running: Pick<Running, 'training' | 'run' | 'view' | 'train' | 'tell'>,
		private readonly mealOf: (id: string) => Meal
	) {}

	begin(...asked: Parameters<Running['train']>): void {
		this.taken = [];
		this.running.train(...asked);
	}

	/** Tell of a mishap: the run goes on from there. */
	take(id: string): void {
		const found = this.wrong.find((m) => m.id === id);
		this.taken = [...this.taken, id];
		if (found) this.running.tell(found.happening);
	}

	/** What a cook would see on looking at the step of a cue. */
	seenOf({ kind, step: id }: Cue): Seen | undefined {
		const { training, view } = this.running;
		const [step, begun] = [view.plan.steps.find((s) => s.id === id), view.begun.get(id ?? '')];
		if (!training || !step || !begun || (kind !== 'look' && kind !== 'end')) return undefined;
		return seenAfter(trueLength(training, step), view.clock - begun.from);
	}
}
