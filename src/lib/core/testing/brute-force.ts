// The slow oracle: every plan of a tiny problem is tried, by the rules of docs/problem-format.md; the best one is judged
// again by the plain rules of `plan/check`.
import { checkSchedule } from '../plan/check';
import type { Problem, Schedule } from '../plan/problem';

type Task = Problem['tasks'][number];

interface Placed {
	readonly start: number;
	readonly end: number;
	readonly mode: number;
}

/** The least objective of any plan, or `undefined` where there is none. */
export function bruteForce(problem: Problem): number | undefined {
	return bestPlan(problem)?.objective;
}

/**
 * A plan of least objective, or `undefined` where there is none.
 *
 * @throws {Error} where the plain rules judge it otherwise: one of the two is wrong
 */
export function bestPlan(problem: Problem): Schedule | undefined {
	let best: Schedule | undefined;
	for (const picks of picksOf(problem)) {
		const there = problem.tasks.filter((t) => isThere(problem, t, picks));
		if (problem.tasks.some((t) => t.fixed && !there.includes(t))) continue;
		let cost = 0;
		for (const c of problem.choices) cost += c.options.find((o) => o.id === picks[c.id])?.cost ?? 0;
		place(problem, there, new Map(), (placed) => {
			const served = serve(problem, placed);
			if (served === undefined) return;
			const objective = cost + served.cost;
			if (best?.objective !== undefined && best.objective <= objective) return;
			best = {
				format: 'juntos-schedule',
				version: 1,
				problem: problem.name,
				status: 'feasible',
				objective,
				starts: Object.fromEntries([...placed].map(([id, p]) => [id, p.start])),
				modes: Object.fromEntries([...placed].map(([id, p]) => [id, p.mode])),
				picks,
				slips: served.slips
			};
		});
	}
	if (best) {
		const { violations } = checkSchedule(problem, best);
		if (violations.length > 0) throw new Error(`${violations.join('; ')} in ${JSON.stringify(best)}`);
	}
	return best;
}

function picksOf(problem: Problem): readonly Record<string, string>[] {
	return problem.choices.reduce<Record<string, string>[]>(
		(all, choice) => all.flatMap((picks) => choice.options.map((o) => ({ ...picks, [choice.id]: o.id }))),
		[{}]
	);
}

function isThere(problem: Problem, task: Task, picks: Readonly<Record<string, string>>): boolean {
	const option = problem.choices.flatMap((c) =>
		c.options.filter((o) => o.tasks.includes(task.id)).map((o) => picks[c.id] === o.id)
	);
	return option[0] ?? true;
}

/** Every placing of the tasks, one after the other; what breaks a rule among those placed is not gone on with. */
function place(
	problem: Problem,
	there: readonly Task[],
	placed: Map<string, Placed>,
	found: (placed: ReadonlyMap<string, Placed>) => void
): void {
	const task = there[placed.size];
	if (!task) {
		found(placed);
		return;
	}
	task.modes.forEach(({ duration }, mode) => {
		if (task.fixed && task.fixed.mode !== mode) return;
		const first = task.release ?? 0;
		for (let start = first; start + duration <= problem.horizon; start++) {
			if (task.fixed && task.fixed.start !== start) continue;
			placed.set(task.id, { start, end: start + duration, mode });
			if (
				lagsHold(problem, placed, task.id) &&
				tiesHold(problem, placed) &&
				statesHold(problem, placed) &&
				roomIsLeft(problem, placed)
			)
				place(problem, there, placed, found);
		}
	});
	placed.delete(task.id);
}

function lagsHold(problem: Problem, placed: ReadonlyMap<string, Placed>, id: string): boolean {
	return problem.lags.every((l) => {
		if (l.from !== id && l.to !== id) return true;
		const [from, to] = [placed.get(l.from), placed.get(l.to)];
		if (!from || !to) return true;
		return to.start - from.end >= l.min && to.start - from.end <= (l.max ?? Infinity);
	});
}

function tiesHold(problem: Problem, placed: ReadonlyMap<string, Placed>): boolean {
	return problem.ties.every((tie) => new Set(tie.flatMap((id) => placeOf(problem, placed, id) ?? [])).size <= 1);
}

/** The place that a task is done in, where it has one and is placed. */
function placeOf(problem: Problem, placed: ReadonlyMap<string, Placed>, id: string): string | undefined {
	const p = placed.get(id);
	return p && problem.tasks.find((t) => t.id === id)?.modes[p.mode]?.at;
}

function roomIsLeft(problem: Problem, placed: ReadonlyMap<string, Placed>): boolean {
	return problem.resources.every(({ id, capacity }) => {
		const taken = new Array<number>(problem.horizon).fill(0);
		const take = (from: number, to: number, amount: number) => {
			for (let t = from; t < to; t++) taken[t] = (taken[t] ?? 0) + amount;
		};
		for (const t of problem.tasks) {
			const p = placed.get(t.id);
			if (!p) continue;
			for (const u of t.modes[p.mode]?.uses ?? [])
				if (u.resource === id) take(p.start + (u.from ?? 0), u.to === undefined ? p.end : p.start + u.to, u.amount);
		}
		for (const h of problem.holds) {
			const [from, to] = [placed.get(h.from), placed.get(h.to)];
			const isVoid = h.at !== undefined && h.at !== placeOf(problem, placed, h.from);
			if (from && to && h.resource === id && !isVoid) take(from.start, to.end, h.amount);
		}
		return taken.every((load) => load <= capacity);
	});
}

function statesHold(problem: Problem, placed: ReadonlyMap<string, Placed>): boolean {
	return problem.states.every(({ id, initial, rise, fall }) => {
		const change = (a: number, b: number) => (b > a ? rise * (b - a) : fall * (a - b));
		const wanted = problem.tasks.flatMap((t) => {
			const p = placed.get(t.id);
			const state = p && t.modes[p.mode]?.state;
			return p && state?.id === id ? [{ start: p.start, end: p.end, value: state.value }] : [];
		});
		return wanted.every(
			(a, i) =>
				a.start >= change(initial, a.value) &&
				wanted
					.slice(i + 1)
					.every(
						(b) =>
							a.value === b.value ||
							b.start >= a.end + change(a.value, b.value) ||
							a.start >= b.end + change(b.value, a.value)
					)
		);
	});
}

/** The cheapest instants of the services for placed tasks, or `undefined` where none will do. */
function serve(
	problem: Problem,
	placed: ReadonlyMap<string, Placed>
): { readonly cost: number; readonly slips: Record<string, number> } | undefined {
	const counted = problem.tasks.flatMap((t) => (t.ahead ? [] : (placed.get(t.id)?.start ?? [])));
	const first = Math.min(...counted);
	let overdue = 0;
	for (const w of problem.wants) overdue += w.rate * Math.max(0, (placed.get(w.task)?.end ?? 0) - w.by);
	let best: { cost: number; slips: Record<string, number> } | undefined;
	const go = (k: number, cost: number, last: number, slips: Readonly<Record<string, number>>): void => {
		const service = problem.services[k];
		if (!service) {
			const whole = cost + (counted.length > 0 ? problem.weights.span * (last - first) : 0);
			if (best === undefined || whole < best.cost) best = { cost: whole, slips };
			return;
		}
		for (let instant = service.due; instant <= problem.horizon; instant++) {
			let price = problem.weights.slip * (instant - service.due);
			const isServed = problem.serve.every((s) => {
				const p = placed.get(s.task);
				if (!p || s.service !== service.id) return true;
				const wait = instant - s.offset - p.end;
				price += s.rate * Math.max(0, wait - s.free);
				return wait >= 0 && wait <= (s.max ?? Infinity);
			});
			if (isServed) go(k + 1, cost + price, Math.max(last, instant), { ...slips, [service.id]: instant - service.due });
		}
	};
	go(0, overdue, -Infinity, {});
	return best;
}
