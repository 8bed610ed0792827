// One search, or one rehearsal, in a thread of the pool: to its end, or as far as the time goes.
import type { MessagePort } from 'node:worker_threads';
import type { Plan } from '../core/model/plan';
import { planMeal, type PlanOutcome, type PlanRequest } from '../core/plan/plan-meal';
import type { Problem, Schedule } from '../core/plan/problem';
import { solve } from '../core/plan/solve/solve';
import { answering, type Answer, type Case } from '../core/rehearse/cases';

export interface SolveJob {
	readonly kind: 'solve';
	readonly problem: Problem;
	readonly seed: number;
	readonly budget: number;
	/** Time to spend from when the thread begins, milliseconds. */
	readonly time: number;
	/** Set to 1, it ends with its slice of work; shared. */
	readonly stop: Int32Array;
	/** Where better answers are told as they are found. */
	readonly port?: MessagePort | undefined;
}

export interface PlanJob {
	readonly kind: 'plan';
	readonly request: PlanRequest;
	readonly time: number;
	readonly stop: Int32Array;
}

export interface RehearseJob {
	readonly kind: 'rehearse';
	readonly asked: Case;
	readonly time: number;
	readonly stop: Int32Array;
	/** Where the odds are told as they become better known. */
	readonly port?: MessagePort | undefined;
}

export type Job = SolveJob | PlanJob | RehearseJob;
/** What a job comes to; a rehearsal that was ended comes to nothing. */
export type Outcome = Schedule | PlanOutcome | Answer | undefined;

/** The best that was found: of a plan, what it came to, or the best plan when time was up. */
export default function run(job: Job): Outcome {
	const ends = performance.now() + job.time;
	const isOver = () => performance.now() >= ends || Atomics.load(job.stop, 0) === 1;
	switch (job.kind) {
		case 'solve':
			return solveUntil(job, isOver);
		case 'plan':
			return planUntil(job, isOver);
		case 'rehearse':
			return rehearseUntil(job, isOver);
	}
}

function solveUntil({ problem, seed, budget, port }: SolveJob, isOver: () => boolean): Schedule {
	const search = solve(problem, { seed, budget });
	for (;;) {
		const step = search.next(undefined);
		if (step.done) return step.value;
		if (step.value.improved) port?.postMessage(step.value.schedule);
		if (isOver()) return step.value.schedule;
	}
}

function planUntil({ request }: PlanJob, isOver: () => boolean): PlanOutcome {
	const search = planMeal(request);
	let best: Plan | undefined;
	for (;;) {
		const step = search.next(undefined);
		if (step.done) return step.value;
		best = step.value.plan ?? best;
		if (isOver()) return best ? { kind: 'plan', plan: best, moved: [], overruns: [] } : { kind: 'unknown' };
	}
}

function rehearseUntil({ asked, port }: RehearseJob, isOver: () => boolean): Answer | undefined {
	const stream = answering(asked, () => performance.now());
	for (;;) {
		const step = stream.next();
		if (step.done) return step.value;
		if (step.value) port?.postMessage(step.value);
		if (isOver()) return undefined;
	}
}
