// How soon plans come: the demo meals as the worker makes them, and the problems in problems/.
import { readdirSync, readFileSync } from 'node:fs';
import { demoKitchens, demoMeals } from '$lib/core/library/demo';
import { library } from '$lib/core/library/library';
import { planMeal, usualBudget, usualSeed } from '$lib/core/plan/plan-meal';
import { readProblem } from '$lib/core/plan/problem';
import { solve } from '$lib/core/plan/solve/solve';
import { table } from './table';

const seconds = (ms: number) => (ms / 1000).toFixed(3);

/** A demo meal, from the request to the first plan and to the last one; the median of several runs. */
export function benchDemo(runs = 5): string {
	const rows = demoMeals.map((meal) => {
		const kitchen = demoKitchens.find((k) => k.id === meal.kitchen);
		if (!kitchen) throw new RangeError(`no kitchen ${meal.kitchen}`);
		const times = Array.from({ length: runs }, () => {
			const began = performance.now();
			let first: { readonly ms: number; readonly objective: number } | undefined;
			const search = planMeal({
				meal,
				kitchen,
				techniques: [...library.values()],
				seed: usualSeed,
				budget: usualBudget
			});
			for (;;) {
				const step = search.next(undefined);
				const ms = performance.now() - began;
				if (!step.done && step.value.plan) first ??= { ms, objective: step.value.plan.objective };
				if (!step.done) continue;
				const last = step.value.kind === 'plan' ? step.value.plan : undefined;
				return {
					first: first?.ms ?? NaN,
					firstObjective: first?.objective ?? 0,
					whole: ms,
					objective: last?.objective ?? 0,
					status: last?.status ?? ''
				};
			}
		});
		const median = (of: (t: (typeof times)[number]) => number) =>
			times.map(of).sort((a, b) => a - b)[Math.floor(runs / 2)] ?? NaN;
		const last = times.at(-1);
		return [
			meal.name,
			`${median((t) => t.first).toFixed(0)} ms`,
			String(last?.firstObjective),
			`${median((t) => t.whole).toFixed(0)} ms`,
			String(last?.objective),
			last?.status ?? ''
		];
	});
	return table(['meal', 'first plan after', 'its objective', 'all work after', 'objective', 'status'], rows);
}

/** Every problem in `problems/`, for at most so long. */
export function benchProblems(limit: number): string {
	const files = readdirSync('problems').filter((f) => f.endsWith('.json'));
	const rows = files.map((file) => {
		const read = readProblem(JSON.parse(readFileSync(`problems/${file}`, 'utf8')));
		if (!read.ok) throw new Error(`${file} is not a problem`);
		const began = performance.now();
		const search = solve(read.value, { seed: 1, budget: Infinity });
		let first = NaN;
		let best = { objective: NaN, at: NaN };
		for (;;) {
			const step = search.next(undefined);
			const at = performance.now() - began;
			const { objective, status, bound } = step.done ? step.value : step.value.schedule;
			if (objective !== undefined && objective !== best.objective) {
				if (Number.isNaN(first)) first = at;
				best = { objective, at };
			}
			if (!step.done && at < limit * 1000) continue;
			const proof = step.done ? seconds(at) : '';
			return [
				file.replace('.json', ''),
				String(read.value.tasks.length),
				status,
				String(objective ?? ''),
				String(bound ?? ''),
				seconds(first),
				seconds(best.at),
				proof
			].map((x) => (x === 'NaN' ? '' : x));
		}
	});
	return table(['problem', 'tasks', 'status', 'objective', 'bound', 'first (s)', 'best (s)', 'proof (s)'], rows);
}
