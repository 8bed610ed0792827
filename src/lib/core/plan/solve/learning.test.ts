// What the search learns and how its bound rises: every clause follows from the problem, checked without the clauses
// learnt before (reverse propagation: Goldberg & Novikov 2003, DATE, 886–891), and no bound is above the optimum.
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { bruteForce } from '../../testing/brute-force';
import { randomProblem, small, tiny } from '../../testing/random-problem';
import { ended } from '../../testing/ended';
import { solveNow } from '../../testing/solve-now';
import { readProblem, type Problem, type Schedule } from '../problem';
import { buildModel } from './model/model';
import { Search } from './search';
import { solve } from './solve';

interface Learnt {
	readonly literals: readonly number[];
	/** What the objective's variable was at most, then. */
	readonly most: number | undefined;
}

/** Search to the end, or for so much work, and keep what is learnt. */
function learn(problem: Problem, seed: number, previous?: Schedule): readonly Learnt[] {
	const model = ended(buildModel(problem, [], previous && { plan: previous }));
	if (model.isClosed) return [];
	const { engine } = model;
	const { cost } = model.objective;
	const learnt: Learnt[] = [];
	engine.onLearn = (literals) => {
		const most = cost === undefined ? undefined : -engine.rootLb(2 * cost + 1);
		learnt.push({ literals: [...literals], most });
	};
	const search = new Search(model, seed, previous);
	while (engine.work < 3000 && search.run(500) !== 'closed');
	return learnt;
}

/** How the plain model takes the negation of a clause: it fails by propagation, by search, or not at all. */
function refute(problem: Problem, { literals, most }: Learnt, previous?: Schedule): 'propagation' | 'search' | 'no' {
	const model = ended(buildModel(problem, [], previous && { plan: previous }));
	const { engine } = model;
	const { cost } = model.objective;
	const facts = cost === undefined || most === undefined ? [] : [[2 * cost + 1, -most]];
	for (let i = 0; i < literals.length; i += 2) facts.push([literals[i]! ^ 1, 1 - literals[i + 1]!]);
	if (!facts.every((fact) => engine.clause(fact)) || !engine.propagate()) return 'propagation';
	const search = new Search(model, 1, previous);
	for (;;) {
		const outcome = search.run(500);
		if (outcome !== 'paused') return outcome === 'closed' ? 'search' : 'no';
	}
}

test('every learnt clause follows from the problem and the best plan', () => {
	const count = { propagation: 0, search: 0, no: 0 };
	fc.assert(
		fc.property(randomProblem(small), fc.integer({ min: 1, max: 5 }), (problem, seed) => {
			for (const clause of learn(problem, seed).slice(0, 40)) {
				const how = refute(problem, clause);
				expect(how).not.toBe('no');
				count[how]++;
			}
		}),
		{ numRuns: 300, seed: 71 }
	);
	expect(count.propagation).toBeGreaterThan(100);
	expect(count.search).toBeGreaterThan(100);
});

test.each(['one-burner-1', 'clashing-oven-2', 'either-2', 'fryer-batches-2', 'feast-3', 'ft06'])(
	'%s: so do the clauses of a real problem',
	(name) => {
		const read = readProblem(JSON.parse(readFileSync(`problems/${name}.json`, 'utf8')));
		if (!read.ok) throw new Error(name);
		const learnt = learn(read.value, 1);
		expect(learnt.length).toBeGreaterThan(5);
		const ways = learnt.slice(0, 120).map((clause) => refute(read.value, clause));
		expect(ways).not.toContain('no');
		expect(ways.filter((way) => way === 'propagation').length).toBeGreaterThan(ways.length / 4);
	}
);

test('so does every clause learnt while staying near a plan', () => {
	let seen = 0;
	fc.assert(
		fc.property(randomProblem(small), (problem) => {
			const previous = solveNow(problem, { budget: 1000 });
			fc.pre(previous.starts !== undefined);
			const later = { ...problem, tasks: problem.tasks.map((t) => ({ ...t, release: 2 })) };
			for (const clause of learn(later, 1, previous).slice(0, 30)) {
				seen++;
				expect(refute(later, clause, previous)).not.toBe('no');
			}
		}),
		{ numRuns: 100, seed: 73 }
	);
	expect(seen).toBeGreaterThan(50);
});

test('the bound only rises, and never above the optimum', () => {
	let above = 0;
	fc.assert(
		fc.property(randomProblem(tiny), fc.integer({ min: 1, max: 5 }), (problem, seed) => {
			const best = bruteForce(problem);
			if (best === undefined) return;
			let before = -Infinity;
			for (const { schedule } of solve(problem, { seed, budget: Infinity })) {
				if (schedule.bound === undefined) continue;
				expect(schedule.bound).toBeLessThanOrEqual(best);
				expect(schedule.bound).toBeGreaterThanOrEqual(before);
				before = schedule.bound;
				above++;
			}
		}),
		{ numRuns: 200, seed: 79 }
	);
	expect(above).toBeGreaterThan(40);
});
