// Cases of a rehearsal as they come from outside: with something wrong they are refused in words, or answered with numbers.
import { expect, test } from 'vitest';
import { mutated } from '../testing/mutate';
import { drawer, oddProblem } from '../testing/odd-problem';
import { solveNow } from '../testing/solve-now';
import { wordIssues } from '../words/issues';
import { answering, readCase, type Answer } from './cases';

/** A case of an odd problem that has a plan. */
function someCase(seed: number) {
	const problem = oddProblem(seed, 5, 12);
	const schedule = solveNow(problem, { seed, budget: 500, infeasible: 'say' });
	if (!schedule.starts) return undefined;
	const durations = Object.fromEntries(
		Object.keys(schedule.starts).map((id, k) => [id, { mu: 1 + 0.1 * k, sigma: 0.4, shared: { cook: 0.2 } }])
	);
	return { id: `case ${seed}`, problem, schedule, durations, policy: { early: seed % 2 === 0 }, runs: 40, seed };
}

function answerTo(data: unknown): Answer | string {
	const read = readCase(data);
	if (!read.ok) return wordIssues(read.issues);
	// A clock that stands still but for its looks: no more than a few.
	let looks = 0;
	const stream = answering(read.value, () => looks++);
	for (;;) {
		const step = stream.next();
		if (step.done) return step.value;
	}
}

test('whatever is changed in a case, it is refused in words, or answered with shares and seconds', () => {
	let [answered, refused] = [0, 0];
	for (let seed = 1; seed <= 2000; seed++) {
		const some = someCase(seed);
		if (!some) continue;
		const d = drawer(seed + 7000);
		const answer = answerTo(mutated(some, d, d.pick([0, 1, 1, 3])));
		if (typeof answer === 'string') {
			refused++;
			expect([seed, answer.length > 12, /undefined|NaN|\[object/.test(answer)]).toEqual([seed, true, false]);
			continue;
		}
		answered++;
		const shares = [
			answer.on_time,
			...Object.values(answer.services).map((s) => s.on_time),
			...Object.values(answer.tasks).map((t) => t.critical)
		];
		for (const share of shares) expect([seed, share >= 0 && share <= 1]).toEqual([seed, true]);
		for (const { slip_s: slip } of Object.values(answer.services))
			for (const s of Object.values(slip)) expect([seed, Number.isFinite(s) && s >= 0]).toEqual([seed, true]);
	}
	expect(answered).toBeGreaterThan(100);
	expect(refused).toBeGreaterThan(100);
});

test('the same case has the same answer, another seed another luck', () => {
	const some = [...Array(40).keys()].flatMap((k) => someCase(k + 1) ?? []).find((c) => c.problem.services.length > 0)!;
	const told = (seed: number) => {
		const answer = answerTo({ ...some, runs: 512, seed });
		if (typeof answer === 'string') throw new Error(answer);
		const { services, tasks } = answer;
		return JSON.stringify({ services, tasks });
	};
	expect(told(3)).toBe(told(3));
	expect(told(3)).not.toBe(told(4));
});

test('a plan that breaks a rule is rehearsed, and that is said; without starts there is nothing to rehearse', () => {
	const some = [...Array(60).keys()]
		.flatMap((k) => someCase(k + 1) ?? [])
		.find((c) =>
			c.problem.tasks.some((t) => (t.release ?? 0) > 0 && !t.fixed && c.schedule.starts?.[t.id] !== undefined)
		)!;
	const task = some.problem.tasks.find(
		(t) => (t.release ?? 0) > 0 && !t.fixed && some.schedule.starts?.[t.id] !== undefined
	)!;
	const starts = { ...some.schedule.starts, [task.id]: 0 };
	const answer = answerTo({ ...some, schedule: { ...some.schedule, starts } });
	expect(typeof answer === 'string' ? answer : answer.broken).toContain(task.id);
	expect(answerTo({ ...some, schedule: { ...some.schedule, starts: undefined } })).toMatch(/no plan to rehearse/);
});
