// Ten thousand documents with something wrong: each is refused with places and mends in words, or taken; what is taken is
// read again as it was, and compiles, plans or solves without an accident.
import { describe, expect, test } from 'vitest';
import { demoKitchens, demoMeals } from '../library/demo';
import { library } from '../library/library';
import type { Issue, Read } from '../issues';
import { readKitchen } from '../model/kitchen';
import { readMeal } from '../model/meal';
import { readPlan } from '../model/plan';
import { readTechnique } from '../model/technique';
import { checkSchedule } from '../plan/check';
import { compileMeal } from '../plan/compile/compile';
import { readProblem } from '../plan/problem';
import { readRun } from '../run/events';
import { demoCases, planDemo } from '../testing/demo-plan';
import { mutated } from '../testing/mutate';
import { drawer, oddProblem } from '../testing/odd-problem';
import { solveNow } from '../testing/solve-now';
import { mostWorded, wordIssue, wordIssues, wordPath } from '../words/issues';
import { readFile, writeFile, writeTechnique } from './juntos/juntos';

const [supper] = demoCases;
if (!supper) throw new RangeError('no demo');
const plan = planDemo(supper, 2000);
const techniques = [...library.values()];
const today = { date: '2026-11-20', zone: 'UTC' };
const run = {
	format: 'juntos-run',
	version: 2,
	id: supper.meal.id,
	run: 'some-run',
	...today,
	clock: { kind: 'demo', at: 0, since: 0, speed: 1 },
	plan,
	events: [
		{ id: 'a', at: 1000, by: 'here', kind: 'done', cue: 'some' },
		{ id: 'b', at: 2000, by: 'here', kind: 'late', step: 'some', seconds: 60 }
	]
};

/** Raw words of the schema library, which no cook should see. */
const raw =
	/Invalid (input|option|discriminator)|Unrecognized key|Too (big|small)|expected \w+, received|\[object|undefined|NaN/;

function faultsOf(issues: readonly Issue[]): readonly string[] {
	const words = issues.slice(0, mostWorded).map(wordIssue);
	const listed = wordIssues(issues);
	return [
		...(issues.length === 0 ? ['refused without a reason'] : []),
		...words.filter((w) => w.length < 12 || w.length > 1500 || raw.test(w)),
		...issues.filter((i) => typeof wordPath(i.path) !== 'string').map(() => 'no place'),
		...(listed.length > 40_000 ? [`${listed.length} characters`] : [])
	];
}

interface Kind {
	readonly name: string;
	readonly count: number;
	readonly some: (seed: number) => unknown;
	readonly read: (data: unknown) => Read<unknown>;
}

const kinds: readonly Kind[] = [
	{
		name: 'meals',
		count: 2000,
		some: (seed) => demoMeals[seed % demoMeals.length],
		read: (data) => readMeal(data, library)
	},
	{ name: 'kitchens', count: 2000, some: (seed) => demoKitchens[seed % demoKitchens.length], read: readKitchen },
	{ name: 'techniques', count: 2500, some: (seed) => techniques[seed % techniques.length], read: readTechnique },
	{ name: 'problems', count: 2500, some: (seed) => oddProblem(seed), read: readProblem },
	{ name: 'plans', count: 500, some: () => plan, read: readPlan },
	{ name: 'runs', count: 500, some: () => run, read: (data) => readRun(data, today) }
];

describe.each(kinds)('$count mutated $name', ({ count, some, read }) => {
	test('are refused in words, or taken as they are read again', () => {
		let [taken, refused] = [0, 0];
		for (let seed = 1; seed <= count; seed++) {
			const d = drawer(seed);
			const document = mutated(some(seed), d, d.pick([1, 1, 2, 5]));
			const result = read(document);
			if (!result.ok) {
				refused++;
				expect([seed, ...faultsOf(result.issues)]).toEqual([seed]);
				continue;
			}
			taken++;
			const again = read(JSON.parse(JSON.stringify(result.value)));
			if (!again.ok) expect([seed, ...again.issues.map(wordIssue)]).toEqual([seed]);
			else expect(JSON.stringify(again.value)).toBe(JSON.stringify(result.value));
		}
		expect(refused).toBeGreaterThan(count / 5);
		expect(taken).toBeGreaterThan(0);
	});

	test('as they are, they are taken', () => {
		for (let seed = 1; seed <= 20; seed++) expect(read(JSON.parse(JSON.stringify(some(seed)))).ok).toBe(true);
	});
});

test('a meal that is taken compiles, or says what its kitchen lacks', () => {
	let compiled = 0;
	for (let seed = 1; seed <= 400; seed++) {
		const { meal, kitchen } = demoCases[seed % demoCases.length]!;
		const d = drawer(seed + 50_000);
		const [changedMeal, changedKitchen] = d.oneIn(2) ? [mutated(meal, d), kitchen] : [meal, mutated(kitchen, d)];
		const m = readMeal(changedMeal, library);
		const k = readKitchen(changedKitchen);
		if (!m.ok || !k.ok) continue;
		const result = compileMeal(m.value, k.value, library);
		if (result.ok) {
			compiled++;
			const read = readProblem(JSON.parse(JSON.stringify(result.value.problem)));
			expect([seed, ...(read.ok ? [] : read.issues.map(wordIssue))]).toEqual([seed]);
		} else expect([seed, ...faultsOf(result.issues)]).toEqual([seed]);
	}
	expect(compiled).toBeGreaterThan(50);
});

test('a problem that is taken is solved by the rules, or told that it cannot be', () => {
	let solved = 0;
	for (let seed = 1; seed <= 1500; seed++) {
		const d = drawer(seed + 90_000);
		const read = readProblem(mutated(oddProblem(seed), d, d.pick([1, 2])));
		if (!read.ok) continue;
		const answer = solveNow(read.value, { seed, budget: 300 });
		expect([seed, ...checkSchedule(read.value, answer).violations]).toEqual([seed]);
		if (answer.bound !== undefined && answer.objective !== undefined)
			expect(answer.bound).toBeLessThanOrEqual(answer.objective);
		solved++;
	}
	expect(solved).toBeGreaterThan(80);
});

describe('files', () => {
	test('a meal with its kitchen, and a technique, come back as they went', () => {
		for (const { meal, kitchen } of demoCases) {
			const read = readFile(writeFile(meal, kitchen), library);
			expect(read.ok && read.value).toEqual({ meal, kitchen });
		}
		for (const technique of techniques) {
			const read = readFile(writeTechnique(technique), library);
			expect(read.ok && read.value).toEqual({ technique });
		}
	});

	test('text that was cut off anywhere, or has a character too many, is refused with words', () => {
		const text = writeFile(supper.meal, supper.kitchen);
		for (let seed = 1; seed <= 300; seed++) {
			const d = drawer(seed);
			const at = d.int(1, text.length - 3);
			const torn = d.oneIn(2)
				? text.slice(0, at)
				: `${text.slice(0, at)}${d.pick(['\0', '}', '"', '\\'])}${text.slice(at)}`;
			const read = readFile(torn, library);
			if (!read.ok) expect([seed, ...faultsOf(read.issues)]).toEqual([seed]);
			else expect(torn.length).toBeGreaterThan(text.length - 1);
		}
	});
});
