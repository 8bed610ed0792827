// The slow oracle: every plan of a tiny problem is tried, and judged by the plain rules.
import { checkSchedule } from '../plan/check';
import type { Problem, Schedule } from '../plan/problem';

/** The least objective of any plan, or `undefined` where there is none. */
export function bruteForce(problem: Problem): number | undefined {
	let best: number | undefined;
	const picks: Record<string, string> = {};
	const starts: Record<string, number> = {};
	const modes: Record<string, number> = {};
	const slips: Record<string, number> = {};

	const judge = () => {
		const answer: Schedule = {
			format: 'juntos-schedule',
			version: 1,
			problem: problem.name,
			status: 'feasible',
			starts,
			modes,
			picks,
			slips
		};
		const { objective, violations } = checkSchedule(problem, answer);
		const isFeasible = violations.every((v) => v.includes('objective'));
		if (objective !== null && isFeasible && (best === undefined || objective < best)) best = objective;
	};
	const chooseSlip = (k: number): void => {
		const service = problem.services[k];
		if (!service) {
			judge();
			return;
		}
		for (let slip = 0; service.due + slip <= problem.horizon; slip++) {
			slips[service.id] = slip;
			chooseSlip(k + 1);
		}
	};
	const placed = (id: string) => id in starts;
	const end = (id: string) =>
		(starts[id] ?? 0) + (problem.tasks.find((t) => t.id === id)?.modes[modes[id] ?? 0]?.duration ?? 0);
	/** Prunes only what a lag between two placed tasks forbids. */
	const lagsHold = () =>
		problem.lags.every((l) => {
			if (!placed(l.from) || !placed(l.to)) return true;
			const wait = (starts[l.to] ?? 0) - end(l.from);
			return wait >= l.min && wait <= (l.max ?? Infinity);
		});
	const place = (i: number): void => {
		const task = problem.tasks[i];
		if (!task) {
			chooseSlip(0);
			return;
		}
		const option = problem.choices.flatMap((c) =>
			c.options.filter((o) => o.tasks.includes(task.id)).map((o) => ({ c, o }))
		)[0];
		if (option && picks[option.c.id] !== option.o.id) {
			place(i + 1);
			return;
		}
		task.modes.forEach(({ duration }, mode) => {
			for (let start = task.release ?? 0; start + duration <= problem.horizon; start++) {
				starts[task.id] = start;
				modes[task.id] = mode;
				if (lagsHold()) place(i + 1);
			}
		});
		Reflect.deleteProperty(starts, task.id);
		Reflect.deleteProperty(modes, task.id);
	};
	const pick = (c: number): void => {
		const choice = problem.choices[c];
		if (!choice) {
			place(0);
			return;
		}
		for (const option of choice.options) {
			picks[choice.id] = option.id;
			pick(c + 1);
		}
	};
	pick(0);
	return best;
}
