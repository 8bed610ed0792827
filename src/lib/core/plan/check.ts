// The feasibility rules and the objective of docs/problem-format.md, written plainly; shares nothing with the solver.
import type { Problem, Schedule } from './problem';

export interface Verdict {
	/** One line per broken rule; empty when the answer is feasible and its claims agree with it. */
	readonly violations: readonly string[];
	/** Recomputed; null where the answer has no complete plan. */
	readonly objective: number | null;
}

type Task = Problem['tasks'][number];
interface Taking {
	readonly by: string;
	readonly amount: number;
	readonly from: number;
	readonly to: number;
}

/** Judge an answer by the rules alone. Claims (`optimal`, `bound`, `infeasible`) are only held against the answer itself. */
export function checkSchedule(problem: Problem, answer: Schedule): Verdict {
	const violations: string[] = [];
	if (answer.problem !== problem.name) violations.push(`answers "${answer.problem}", not "${problem.name}"`);
	if (answer.status === 'infeasible' || answer.status === 'unknown') {
		if (answer.objective !== undefined || answer.starts) violations.push(`${answer.status}, yet there is a plan`);
		if (answer.status === 'infeasible' && !answer.conflict?.length) violations.push('infeasible without a conflict');
		return { violations, objective: null };
	}
	const { starts = {}, modes = {}, picks = {}, slips = {} } = answer;

	// Who is there: the tasks of no option, and those of the options taken.
	const absent = new Set<string>();
	for (const choice of problem.choices) {
		const taken = choice.options.find((o) => o.id === picks[choice.id]);
		if (!taken) violations.push(`choice ${choice.id} has no option "${picks[choice.id] ?? ''}"`);
		for (const option of choice.options) if (option !== taken) option.tasks.forEach((t) => absent.add(t));
	}
	const there = problem.tasks.filter((t) => !absent.has(t.id));
	for (const t of problem.tasks) {
		if (absent.has(t.id)) {
			if (t.fixed) violations.push(`${t.id} is fixed, but absent`);
			if (t.id in starts) violations.push(`${t.id} is absent, but starts`);
		} else if (starts[t.id] === undefined || !t.modes[modes[t.id] ?? -1]) {
			violations.push(`${t.id} has no start or no such mode`);
		}
	}
	for (const s of problem.services) if (slips[s.id] === undefined) violations.push(`${s.id} has no slip`);
	if (violations.length > 0) return { violations, objective: null };

	const start = (t: string) => starts[t] ?? NaN;
	const byId = new Map(there.map((t) => [t.id, t]));
	const modeOf = (t: Task): Task['modes'][number] => t.modes[modes[t.id] ?? -1] ?? { duration: NaN };
	const end = (t: string) => {
		const task = byId.get(t);
		return task ? start(t) + modeOf(task).duration : NaN;
	};
	const instants = new Map(problem.services.map((s) => [s.id, s.due + (slips[s.id] ?? NaN)]));

	for (const t of there) {
		if (start(t.id) < (t.release ?? 0)) violations.push(`${t.id} starts before its release`);
		if (end(t.id) > problem.horizon) violations.push(`${t.id} ends after the horizon`);
		if (t.fixed && (t.fixed.start !== start(t.id) || t.fixed.mode !== modes[t.id]))
			violations.push(`${t.id} is not as fixed`);
	}
	const bothThere = (x: { from: string; to: string }) => byId.has(x.from) && byId.has(x.to);
	for (const lag of problem.lags.filter(bothThere)) {
		const gap = start(lag.to) - end(lag.from);
		if (gap < lag.min || (lag.max !== undefined && gap > lag.max)) {
			violations.push(`lag ${lag.from}>${lag.to} is ${gap}, not within ${lag.min}…${lag.max ?? '∞'}`);
		}
	}

	for (const tie of problem.ties) {
		const places = tie.flatMap((t) => {
			const task = byId.get(t);
			return task ? [modeOf(task).at] : [];
		});
		if (new Set(places).size > 1) violations.push(`tie ${tie.join('=')} is at ${places.join(', ')}`);
	}

	const takings = new Map<string, Taking[]>(problem.resources.map((r) => [r.id, []]));
	for (const t of there) {
		for (const u of modeOf(t).uses ?? []) {
			const from = start(t.id) + (u.from ?? 0);
			const to = start(t.id) + (u.to ?? modeOf(t).duration);
			takings.get(u.resource)?.push({ by: t.id, amount: u.amount, from, to });
		}
	}
	for (const h of problem.holds.filter(bothThere)) {
		const first = byId.get(h.from);
		if (first && h.at !== undefined && modeOf(first).at !== h.at) continue;
		const taking = { by: `${h.from}…${h.to}`, amount: h.amount, from: start(h.from), to: end(h.to) };
		if (taking.to > taking.from) takings.get(h.resource)?.push(taking);
	}
	for (const { id, capacity } of problem.resources) {
		const list = takings.get(id) ?? [];
		for (const { from: at } of list) {
			const now = list.filter((x) => x.from <= at && at < x.to);
			const load = now.reduce((sum, x) => sum + x.amount, 0);
			if (load > capacity)
				violations.push(`${id} taken ${load} of ${capacity} at ${at} by ${now.map((x) => x.by).join(', ')}`);
		}
	}

	for (const state of problem.states) {
		const change = (a: number, b: number) => (b > a ? state.rise * (b - a) : state.fall * (a - b));
		const list = there.flatMap((t) => {
			const wanted = modeOf(t).state;
			return wanted?.id === state.id ? [{ id: t.id, value: wanted.value, from: start(t.id), to: end(t.id) }] : [];
		});
		for (const a of list) {
			if (a.from < change(state.initial, a.value))
				violations.push(`${state.id} cannot be at ${a.value} for ${a.id} yet`);
			for (const b of list) {
				if (a.value === b.value || a.from > b.from || a === b) continue;
				if (b.from < a.to + change(a.value, b.value)) violations.push(`${state.id}: ${b.id} too soon after ${a.id}`);
			}
		}
	}

	let objective = 0;
	for (const choice of problem.choices) objective += choice.options.find((o) => o.id === picks[choice.id])?.cost ?? NaN;
	for (const s of problem.services) {
		const slip = slips[s.id] ?? NaN;
		if (slip < 0 || s.due + slip > problem.horizon) violations.push(`${s.id} slips by ${slip}`);
		objective += problem.weights.slip * slip;
	}
	for (const s of problem.serve) {
		if (!byId.has(s.task)) continue;
		const wait = (instants.get(s.service) ?? NaN) - s.offset - end(s.task);
		if (wait < 0 || (s.max !== undefined && wait > s.max)) violations.push(`${s.task} waits ${wait} for ${s.service}`);
		objective += s.rate * Math.max(0, wait - s.free);
	}
	for (const w of problem.wants) if (byId.has(w.task)) objective += w.rate * Math.max(0, end(w.task) - w.by);
	const counted = there.filter((t) => !t.ahead).map((t) => start(t.id));
	if (counted.length > 0) objective += problem.weights.span * (Math.max(...instants.values()) - Math.min(...counted));

	if (answer.objective !== objective)
		violations.push(`says objective ${answer.objective ?? 'nothing'}, is ${objective}`);
	if ((answer.bound ?? -Infinity) > objective) violations.push(`bound ${answer.bound ?? ''} above ${objective}`);
	if (answer.status === 'optimal' && answer.bound !== objective)
		violations.push('optimal, but bound and objective differ');
	return { violations, objective };
}
