// How much later a step may end with every service unmoved, everything else free to move.
import type { Problem, Schedule } from '../problem';
import { solve } from '../solve/solve';

export interface Slack {
	readonly seconds: number;
	/** Whether it is shown that there is no more. */
	readonly isProven: boolean;
}

/** The slack of one of a plan's steps, by id. */
export interface StepSlack extends Slack {
	readonly step: string;
}

/**
 * The slack of a task in an answer. Asked of the solver as a problem of its own: no wait has a price but that of this task
 * for the last service, and lateness costs more than any wait.
 *
 * @param budget work to spend, in propagator runs
 */
export function slackOf(problem: Problem, answer: Schedule, task: string, budget: number): Slack {
	const { starts = {}, modes = {}, slips = {} } = answer;
	const services = problem.services.map((s) => ({ ...s, due: s.due + (slips[s.id] ?? 0) }));
	const last = services.reduce((a, b) => (b.due > a.due ? b : a));
	const lengthOf = (mode: number | undefined) =>
		problem.tasks.find((t) => t.id === task)?.modes[mode ?? 0]?.duration ?? 0;
	const before = (starts[task] ?? 0) + lengthOf(modes[task]);
	// What ends after the last service, as a later wave of plates, may end no later than it does.
	const beyond = Math.max(0, before - last.due);
	const asked: Problem = {
		...problem,
		services,
		weights: { slip: problem.horizon, span: 0 },
		// The step stays: an option without it costs more than any wait.
		choices: problem.choices.map((c) => {
			const isItsOwn = c.options.some((o) => o.tasks.includes(task));
			const dropped = isItsOwn ? 2 * problem.horizon + 1 : 0;
			return { ...c, options: c.options.map((o) => ({ ...o, cost: o.tasks.includes(task) ? 0 : dropped })) };
		}),
		wants: [],
		serve: [
			...problem.serve.map((s) => ({ ...s, rate: 0 })),
			{ task, service: last.id, offset: 0 - beyond, free: 0, rate: 1 }
		]
	};
	const search = solve(asked, { seed: 1, budget, previous: answer });
	for (;;) {
		const step = search.next(undefined);
		if (!step.done) continue;
		const best = step.value;
		const after = (best.starts?.[task] ?? -Infinity) + lengthOf(best.modes?.[task]);
		const isOnTime = Object.values(best.slips ?? {}).every((slip) => slip === 0);
		return { seconds: isOnTime ? Math.max(0, after - before) : 0, isProven: best.status === 'optimal' };
	}
}
