// The policy: without deviations it is the plan; with them nothing that is promised of it is broken.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { oddProblem, drawer } from '../testing/odd-problem';
import { bestPlan } from '../testing/brute-force';
import type { Problem, Schedule } from '../plan/problem';
import { Dispatcher, type Job, type Network } from './dispatch';

/** A problem's plan as a network: each task in the mode that the plan has chosen. */
function networkOf(
	problem: Problem,
	{ starts = {}, modes = {} }: Schedule
): Network & { readonly ids: readonly string[] } {
	const there = problem.tasks.filter((t) => starts[t.id] !== undefined);
	const index = new Map(there.map((t, i) => [t.id, i]));
	const resource = new Map(problem.resources.map((r, i) => [r.id, i]));
	const state = new Map(problem.states.map((s, i) => [s.id, i]));
	const jobs = there.map((t): Job => {
		const mode = t.modes[modes[t.id]!]!;
		return {
			planned: starts[t.id]!,
			duration: mode.duration,
			waits: problem.lags.flatMap((l) =>
				l.to === t.id && index.has(l.from) && l.from !== l.to ? [{ on: index.get(l.from)!, least: l.min }] : []
			),
			uses: (mode.uses ?? []).map((u) => ({
				resource: resource.get(u.resource)!,
				amount: u.amount,
				from: u.from ?? 0,
				to: u.to ?? mode.duration
			})),
			...(mode.state ? { state: { id: state.get(mode.state.id)!, value: mode.state.value } } : {})
		};
	});
	const holds = problem.holds.flatMap((h) => {
		const [from, to] = [index.get(h.from), index.get(h.to)];
		if (from === undefined || to === undefined) return [];
		const { at } = there[from]!.modes[modes[h.from]!]!;
		const isElsewhere = h.at !== undefined && h.at !== at;
		const isVoid = isElsewhere || jobs[to]!.planned + jobs[to]!.duration <= jobs[from]!.planned;
		return isVoid ? [] : [{ resource: resource.get(h.resource)!, amount: h.amount, from, to }];
	});
	return {
		ids: there.map((t) => t.id),
		jobs,
		capacities: problem.resources.map((r) => r.capacity),
		holds,
		change: (s, from, to) => {
			const { rise, fall } = problem.states[s]!;
			return to > from ? rise * (to - from) : fall * (from - to);
		}
	};
}

const planned = Array.from({ length: 1500 }, (_, seed) => oddProblem(seed + 1)).flatMap((problem) => {
	const best = bestPlan(problem);
	return best && Object.keys(best.starts ?? {}).length > 0 ? [{ problem, best }] : [];
});

test('an evening without deviations is the plan', () => {
	expect(planned.length).toBeGreaterThan(150);
	for (const { problem, best } of planned) {
		const network = networkOf(problem, best);
		const { starts, ends } = new Dispatcher(network).run();
		network.ids.forEach((id, i) => {
			expect([id, starts[i]], problem.name).toEqual([id, best.starts?.[id]]);
			expect(ends[i]).toBe(network.jobs[i]!.planned + network.jobs[i]!.duration);
		});
	}
});

describe('with other durations', () => {
	const evening = fc.tuple(fc.constantFrom(...planned), fc.nat());

	test('nothing starts before its time or before what it waits for', () => {
		fc.assert(
			fc.property(evening, ([{ problem, best }, seed]) => {
				const network = networkOf(problem, best);
				const d = drawer(seed + 1);
				const durations = network.jobs.map((j) => j.duration * d.pick([0.5, 1, 1, 1.5, 3]));
				const { starts, ends } = new Dispatcher(network).run({ durations });
				network.jobs.forEach((job, i) => {
					expect(starts[i]).toBeGreaterThanOrEqual(job.planned);
					expect(ends[i]! - starts[i]!).toBeGreaterThanOrEqual(durations[i]! - 1e-9);
					// A negative wait may look back at what is held up later: those that are not are kept.
					for (const w of job.waits)
						if (w.least >= 0) expect(starts[i]).toBeGreaterThanOrEqual(ends[w.on]! + w.least - 1e-9);
				});
			}),
			{ numRuns: 300, seed: 5 }
		);
	});

	test('no resource is taken more than it has, by jobs that take it from start to end', () => {
		fc.assert(
			fc.property(evening, ([{ problem, best }, seed]) => {
				const whole = networkOf(problem, best);
				const jobs = whole.jobs.map((j) => ({ ...j, uses: j.uses.filter((u) => u.from === 0 && u.to === j.duration) }));
				const network = { ...whole, jobs, holds: [] };
				const d = drawer(seed + 1);
				const durations = jobs.map((j) => j.duration * d.pick([0.5, 1, 2]));
				const { starts, ends } = new Dispatcher(network).run({ durations });
				network.capacities.forEach((capacity, r) => {
					for (const at of starts) {
						const load = jobs.reduce((sum, j, i) => {
							const isOn = starts[i]! <= at && at < ends[i]! - 1e-9;
							return isOn ? sum + j.uses.filter((u) => u.resource === r).reduce((s, u) => s + u.amount, 0) : sum;
						}, 0);
						expect(load).toBeLessThanOrEqual(capacity);
					}
				});
			}),
			{ numRuns: 300, seed: 7 }
		);
	});

	test('an oven is at one temperature at a time, with the change in between', () => {
		fc.assert(
			fc.property(evening, ([{ problem, best }, seed]) => {
				const network = networkOf(problem, best);
				const d = drawer(seed + 1);
				const durations = network.jobs.map((j) => j.duration * d.pick([1, 2]));
				const { starts, ends } = new Dispatcher(network).run({ durations });
				network.jobs.forEach((a, i) => {
					network.jobs.forEach((b, k) => {
						if (!a.state || !b.state || i === k || a.state.id !== b.state.id || a.state.value === b.state.value) return;
						if (starts[i]! > starts[k]!) return;
						// Only what is held up within itself, after the other has begun, may overlap.
						const length = ends[i]! - starts[i]!;
						const free = length === durations[i];
						const change = network.change(a.state.id, a.state.value, b.state.value);
						if (free) expect(starts[k]).toBeGreaterThanOrEqual(ends[i]! + change - 1e-9);
					});
				});
			}),
			{ numRuns: 300, seed: 11 }
		);
	});

	test('what has begun stays where it is, and the rest comes not before now', () => {
		fc.assert(
			fc.property(evening, ([{ problem, best }]) => {
				const network = networkOf(problem, best);
				const known = new Map([[0, { start: network.jobs[0]!.planned + 2, end: network.jobs[0]!.planned + 9 }]]);
				const { starts, ends } = new Dispatcher(network).run({ known, now: 4 });
				expect([starts[0], ends[0]]).toEqual([known.get(0)!.start, known.get(0)!.end]);
				for (let i = 1; i < starts.length; i++) expect(starts[i]).toBeGreaterThanOrEqual(4);
			}),
			{ numRuns: 100, seed: 13 }
		);
	});
});

test('early, a step starts as soon as what it waits for allows, one that waits for nothing at its time', () => {
	const job = (planned: number, waits: Job['waits'] = []): Job => ({ planned, duration: 10, waits, uses: [] });
	const network: Network = {
		jobs: [job(5), job(40, [{ on: 0, least: 0 }])],
		capacities: [],
		holds: [],
		change: () => 0
	};
	const dispatcher = new Dispatcher(network);
	expect([...dispatcher.run({ early: true }).starts]).toEqual([5, 15]);
	expect([...dispatcher.run().starts]).toEqual([5, 40]);
});

test('a turn that comes when the hands are away holds up the rest of its step', () => {
	const network: Network = {
		jobs: [
			{ planned: 0, duration: 30, waits: [], uses: [{ resource: 0, amount: 1, from: 0, to: 30 }] },
			{ planned: 20, duration: 60, waits: [], uses: [{ resource: 0, amount: 1, from: 20, to: 25 }] }
		],
		capacities: [1],
		holds: [],
		change: () => 0
	};
	const { starts, ends } = new Dispatcher(network).run({ durations: [70, 60] });
	expect([...starts]).toEqual([0, 20]);
	// The turn was due at 40, the hands came at 70.
	expect(ends[1]).toBe(110);
});
