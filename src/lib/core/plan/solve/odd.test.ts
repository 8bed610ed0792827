// Five thousand tiny problems of every odd kind against enumeration: plans, proofs, conflicts, replans, shared bounds.
import { expect, test } from 'vitest';
import { bestPlan, bruteForce } from '../../testing/brute-force';
import { drawer, oddProblem } from '../../testing/odd-problem';
import { solveNow } from '../../testing/solve-now';
import { checkSchedule } from '../check';
import { readProblem, type Problem, type Schedule } from '../problem';
import { restrict } from './conflict';
import { itemsOf, type Item } from './model/items';
import { solve } from './solve';

/** A problem without services has a plan whenever its tasks have. */
const isInfeasible = (problem: Problem, items: readonly Item[]) => {
	const rest = restrict(problem, items);
	return bruteForce(rest.services.length > 0 ? rest : { ...rest, services: [{ id: 'any', due: 0 }] }) === undefined;
};

/** What is wrong with an answer, in words; empty where nothing is. */
function faults(problem: Problem, answer: Schedule, best: number | undefined): readonly string[] {
	const { violations } = checkSchedule(problem, answer);
	const wanted = best === undefined ? 'infeasible' : 'optimal';
	const isRight = answer.status === wanted && answer.objective === best;
	return [
		...violations,
		...(isRight ? [] : [`${answer.status} ${answer.objective ?? ''}, is ${wanted} ${best ?? ''}`])
	];
}

function conflictFaults(problem: Problem, conflict: readonly string[]): readonly string[] {
	const named = itemsOf(problem).filter((item) => conflict.includes(item.id));
	if (!isInfeasible(problem, named)) return [`${conflict.join()} has a plan`];
	return named
		.filter((item) =>
			isInfeasible(
				problem,
				named.filter((k) => k !== item)
			)
		)
		.map(({ id }) => `${conflict.join()} needs no ${id}`);
}

/** A plan to stay near that may be anything: the best one, one that breaks rules, of another problem. */
function somePlan(seed: number, problem: Problem): Schedule {
	const d = drawer(seed);
	const best = d.oneIn(3) ? bestPlan(problem) : undefined;
	return (
		best ?? {
			format: 'juntos-schedule',
			version: 1,
			problem: problem.name,
			status: 'feasible',
			starts: Object.fromEntries(problem.tasks.map((t) => [t.id, d.int(0, problem.horizon)])),
			modes: Object.fromEntries(problem.tasks.map((t) => [t.id, d.int(0, 2)])),
			slips: Object.fromEntries(problem.services.map((s) => [s.id, d.int(0, 3)]))
		}
	);
}

/** Every answer on the way claims only what is true; the last one is right. */
function streamFaults(
	problem: Problem,
	seed: number,
	best: number | undefined,
	previous?: Schedule
): readonly string[] {
	const search = solve(problem, { seed, budget: Infinity, previous });
	const found: string[] = [];
	for (;;) {
		const step = search.next(undefined);
		const answer = step.done ? step.value : step.value.schedule;
		if ((answer.bound ?? -Infinity) > (best ?? Infinity)) found.push(`bound ${answer.bound ?? ''} above ${best ?? ''}`);
		if (answer.status === 'optimal' && answer.objective !== best) found.push(`optimal ${answer.objective ?? ''}`);
		if (step.done) return [...found, ...faults(problem, answer, best)];
	}
}

/** Two or three searches that tell each other what they find. */
function teamFaults(problem: Problem, seed: number, best: number | undefined, previous?: Schedule): readonly string[] {
	const d = drawer(seed);
	const team = Array.from({ length: d.int(2, 3) }, (_, k) => ({
		search: solve(problem, { seed: seed + k, budget: Infinity, previous: k === 1 ? previous : undefined }),
		news: undefined as Schedule | undefined
	}));
	for (;;) {
		const one = d.pick(team);
		const step = one.search.next(one.news);
		one.news = undefined;
		if (step.done) return faults(problem, step.value, best);
		for (const other of team) if (other !== one && d.oneIn(2)) other.news = step.value.schedule;
	}
}

const all = Array.from({ length: 5000 }, (_, seed) => seed + 1);

test.each([0, 1, 2, 3, 4])('thousand %i: plans, proofs and conflicts are right', (thousand) => {
	const wrong = all.slice(1000 * thousand, 1000 * (thousand + 1)).flatMap((seed) => {
		const problem = oddProblem(seed);
		const read = readProblem(JSON.parse(JSON.stringify(problem)));
		if (!read.ok) return [`${seed}: ${JSON.stringify(read.issues)}`];
		const best = bruteForce(problem);
		const found = [...streamFaults(problem, seed, best)];
		if (best === undefined) found.push(...conflictFaults(problem, solveNow(problem).conflict ?? []));
		if (seed % 2 === 0) found.push(...streamFaults(problem, seed, best, somePlan(seed, problem)));
		if (seed % 2 === 1) found.push(...teamFaults(problem, seed, best, somePlan(seed, problem)));
		return found.map((words) => `${seed}: ${words}`);
	});
	expect(wrong).toEqual([]);
});
