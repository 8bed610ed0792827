// How time and memory grow with the number of tasks.
import { readFileSync } from 'node:fs';
import { readProblem, type Problem } from '$lib/core/plan/problem';
import { solve } from '$lib/core/plan/solve/solve';
import { table } from './table';

/** Copies of a supper of 17 to 19 tasks. */
const copies = [1, 3, 6, 11, 22, 44] as const;
const apart = 600;

function crowd(one: Problem, k: number): Problem {
	const many = Array.from({ length: k }, (_, i) => i);
	const own = (id: string, i: number) => `${id} ${i}`;
	return {
		...one,
		name: `${k} suppers`,
		horizon: one.horizon + k * apart,
		services: many.flatMap((i) => one.services.map((s) => ({ id: own(s.id, i), due: s.due + i * apart }))),
		resources: one.resources.map((r) => ({ ...r, capacity: Math.ceil((k * r.capacity) / 2) })),
		states: many.flatMap((i) => one.states.map((s) => ({ ...s, id: own(s.id, i) }))),
		tasks: many.flatMap((i) =>
			one.tasks.map((t) => ({
				...t,
				id: own(t.id, i),
				modes: t.modes.map((m) => (m.state ? { ...m, state: { ...m.state, id: own(m.state.id, i) } } : m))
			}))
		),
		lags: many.flatMap((i) => one.lags.map((l) => ({ ...l, from: own(l.from, i), to: own(l.to, i) }))),
		holds: many.flatMap((i) => one.holds.map((h) => ({ ...h, from: own(h.from, i), to: own(h.to, i) }))),
		serve: many.flatMap((i) => one.serve.map((s) => ({ ...s, task: own(s.task, i), service: own(s.service, i) })))
	};
}

export function benchGrowth(limit: number): string {
	const read = readProblem(JSON.parse(readFileSync('problems/solo-supper-1.json', 'utf8')));
	if (!read.ok) throw new RangeError('problems/solo-supper-1.json is no problem');
	const rows = copies.map((k) => {
		const problem = crowd(read.value, k);
		const before = process.memoryUsage().heapUsed;
		const began = performance.now();
		const found: { readonly at: number; readonly objective: number }[] = [];
		const search = solve(problem, { seed: 1, budget: Infinity });
		let most = before;
		let status: string;
		for (;;) {
			const step = search.next(undefined);
			const at = (performance.now() - began) / 1000;
			const schedule = step.done ? step.value : step.value.schedule;
			({ status } = schedule);
			const isNew = schedule.objective !== undefined && schedule.objective !== found.at(-1)?.objective;
			if (isNew) found.push({ at, objective: schedule.objective ?? 0 });
			most = Math.max(most, process.memoryUsage().heapUsed);
			if (step.done || at > limit) break;
		}
		const last = found.at(-1);
		const near = found.find((f) => f.objective <= 1.05 * (last?.objective ?? 0));
		return [
			String(problem.tasks.length),
			found[0]?.at.toFixed(2) ?? '',
			String(found[0]?.objective ?? ''),
			near?.at.toFixed(2) ?? '',
			String(last?.objective ?? ''),
			status,
			String(Math.round((most - before) / 1024 / problem.tasks.length))
		];
	});
	return table(['tasks', 'first', 'its objective', 'within 5 %', 'objective', 'status', 'kB a task'], rows);
}
