// How soon plans come: the demo meals as the worker makes them, and the problems in problems/, beside a reference solver.
import { execFileSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { z } from 'zod';
import { demoKitchens, demoMeals } from '$lib/core/library/demo';
import { library } from '$lib/core/library/library';
import type { Plan } from '$lib/core/model/plan';
import { usualBudget, usualSeed } from '$lib/core/plan/effort';
import { planMeal, type PlanRequest } from '$lib/core/plan/plan-meal';
import { scheduleSchema } from '$lib/core/plan/problem';
import { runOf, runUntil, withEvent } from '$lib/core/testing/some-run';
import { instantAt } from '$lib/core/run/events';
import { standingOf, viewRun } from '$lib/core/run/view';
import { table } from './table';

/** A demo meal, from the request to the first plan and to the last one; the median of several runs. */
export function benchDemo(runs = 5): string {
	const rows = demoMeals.map((meal) => {
		const kitchen = demoKitchens.find((k) => k.id === meal.kitchen);
		if (!kitchen) throw new RangeError(`no kitchen ${meal.kitchen}`);
		const request = { meal, kitchen, techniques: [...library.values()], seed: usualSeed, budget: usualBudget };
		const times = Array.from({ length: runs }, () => {
			const began = performance.now();
			let first: { readonly ms: number; readonly objective: number } | undefined;
			const search = planMeal(request);
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
					status: last?.status ?? '',
					plan: last
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
			last?.status ?? '',
			last?.plan ? `${replanTime(request, last.plan).toFixed(1)} ms` : ''
		];
	});
	const head = ['meal', 'first plan after', 'its objective', 'all work after', 'objective', 'status', 'replan after'];
	return table(head, rows);
}

/** From a stretched step in the middle of a run to the first plan that takes it in, milliseconds: the median of 20. */
function replanTime(request: PlanRequest, plan: Plan): number {
	const clock = Math.round((plan.from + plan.to) / 2);
	const run = runUntil(runOf(plan), clock);
	const at = instantAt(run, clock);
	const on = viewRun(run, at).on[0]?.step.id ?? '';
	const standing = standingOf(withEvent(run, { kind: 'late', step: on, seconds: 180 }, at), at);
	const times = Array.from({ length: 20 }, () => {
		const began = performance.now();
		for (const { plan: found } of planMeal({ ...request, standing })) if (found) break;
		return performance.now() - began;
	});
	return times.sort((a, b) => a - b)[10] ?? NaN;
}

const runner = 'benchmarks/reference/peer.mjs';
const home = resolve('.bench/reference');

interface Reached {
	readonly status: string;
	readonly objective: number | null;
	readonly bound: number | null;
	readonly first: number | null;
	readonly best: number | null;
	readonly proof: number | null;
	/** Time to flatten the model, seconds. */
	readonly flatten?: number | null;
	readonly megabytes?: number;
}

/** Every problem in `problems/`: ours and the reference's, for at most so many seconds each. */
export function benchPlanner(limit: number): string {
	if (!existsSync(`${home}/node_modules/minizinc`)) {
		mkdirSync(home, { recursive: true });
		writeFileSync(`${home}/package.json`, '{"private": true}');
		execFileSync('npm', ['install', '--no-audit', '--no-fund', '--prefix', home, 'minizinc@4.5.1'], {
			stdio: 'ignore'
		});
	}
	const files = readdirSync('problems').filter((f) => f.endsWith('.json'));
	const rows = files.map((file) => {
		const path = `problems/${file}`;
		const [ours, theirs] = [ourRun(path, limit), referenceRun(path, limit)];
		process.stderr.write(`${file}: ${JSON.stringify(ours)} ${JSON.stringify(theirs)}\n`);
		const number = (n: number | null | undefined) => (n === null || n === undefined ? '' : String(n));
		const time = (n: number | null | undefined) => (n === null || n === undefined ? '' : n.toFixed(2));
		return [
			file.replace('.json', ''),
			number(ours.objective) || ours.status,
			number(ours.bound),
			time(ours.first),
			time(ours.best),
			time(ours.proof),
			number(ours.megabytes),
			number(theirs.objective) || theirs.status,
			time(theirs.first),
			time(theirs.best),
			time(theirs.proof),
			time(theirs.flatten)
		];
	});
	const head = [
		'problem',
		'ours',
		'bound',
		'first',
		'best',
		'proof',
		'MB',
		'reference',
		'first',
		'best',
		'proof',
		'flatten'
	];
	return table(head, rows);
}

/** Our solver as a process of its own. */
function ourRun(path: string, limit: number): Reached {
	const text = execFileSync(process.execPath, ['.tools/solve.mjs', path, '--seconds', String(limit), '--measured'], {
		encoding: 'utf8',
		maxBuffer: 1e8
	});
	const { status, objective, bound, stats } = scheduleSchema.parse(JSON.parse(text));
	const isProven = status === 'optimal' || status === 'infeasible';
	return {
		status,
		objective: objective ?? null,
		bound: bound ?? null,
		first: objective === undefined ? null : (stats?.firstSeconds ?? null),
		best: objective === undefined ? null : (stats?.seconds ?? null),
		proof: isProven ? (stats?.totalSeconds ?? null) : null,
		megabytes: stats?.megabytes ?? NaN
	};
}

const referenceSchema = z.object({
	status: z.string(),
	objective: z.number().nullable(),
	bound: z.number().nullable(),
	secondsToFirst: z.number().nullable(),
	secondsToBest: z.number().nullable(),
	secondsToProof: z.number().nullable(),
	modelSeconds: z.number().nullable()
});

function referenceRun(path: string, limit: number): Reached {
	const search =
		path.includes('/la') || path.includes('/ft') ? ['--search', 'forward', '--free'] : ['--search', 'backward'];
	const text = execFileSync(process.execPath, [runner, path, '--time', String(limit), ...search], {
		encoding: 'utf8',
		maxBuffer: 1e8,
		env: { ...process.env, MINIZINC_NPM: home }
	});
	const r = referenceSchema.parse(JSON.parse(text));
	return {
		status: r.status,
		objective: r.objective,
		bound: r.bound,
		first: r.secondsToFirst,
		best: r.secondsToBest,
		proof: r.secondsToProof,
		flatten: r.modelSeconds
	};
}
