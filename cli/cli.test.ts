// The commands as a user starts them: JSON on standard output, one clear sentence on standard error, an exit code that says.
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from 'vitest';
import { checkSchedule } from '$lib/core/plan/check';
import { readProblem, scheduleSchema } from '$lib/core/plan/problem';

const root = new URL('..', import.meta.url).pathname;
const folder = mkdtempSync(join(tmpdir(), 'juntos-cli-'));
const wait = 120_000;

interface Ended {
	readonly code: number | null;
	readonly out: string;
	readonly err: string;
}

function run(...args: readonly string[]): Promise<Ended> {
	return new Promise((resolve) => {
		const child = spawn(process.execPath, [`${root}scripts/tool.mjs`, ...args], { cwd: root });
		let [out, err] = ['', ''];
		child.stdout.on('data', (text: Buffer) => (out += text.toString()));
		child.stderr.on('data', (text: Buffer) => (err += text.toString()));
		child.on('close', (code) => {
			resolve({ code, out, err });
		});
	});
}

function file(name: string, content: unknown): string {
	const path = join(folder, name);
	writeFileSync(path, typeof content === 'string' ? content : JSON.stringify(content));
	return path;
}

const example = JSON.parse(readFileSync(`${root}problems/example.json`, 'utf8')) as Record<string, unknown>;

test(
	'a problem goes in, a schedule that keeps the rules comes out, and nothing else',
	async () => {
		const { code, out, err } = await run('solve', `${root}problems/example.json`, '--seconds', '3');
		expect([code, err]).toEqual([0, '']);
		const answer = scheduleSchema.parse(JSON.parse(out));
		const problem = readProblem(example);
		if (!problem.ok) throw new Error('the example does not read');
		expect(checkSchedule(problem.value, answer).violations).toEqual([]);
		const again = await run('solve', `${root}problems/example.json`, '--previous', file('before.json', answer));
		expect(again.code).toBe(0);
		expect(scheduleSchema.parse(JSON.parse(again.out)).objective).toBeLessThanOrEqual(answer.objective ?? Infinity);
	},
	wait
);

test(
	'two at once in one folder do not break each other',
	async () => {
		const both = await Promise.all([
			run('solve', `${root}problems/example.json`, '--seconds', '1'),
			run('solve', `${root}problems/example.json`, '--seconds', '1')
		]);
		expect(both.map((e) => [e.code, e.err])).toEqual([
			[0, ''],
			[0, '']
		]);
	},
	wait
);

test.each([
	['no file at all', [], /usage: npm run --silent solve/],
	['a file that is not there', [join(folder, 'nowhere.json')], /nowhere\.json cannot be read/],
	['text that is no JSON', [file('torn.json', '{"format": ')], /torn\.json.*not JSON/],
	[
		'another format',
		[file('meal.json', { format: 'juntos-meal', version: 1 })],
		/meal\.json cannot be solved.*format/s
	],
	['a field that nobody knows', [file('odd.json', { ...example, colour: 'red' })], /"colour"/],
	['a number that is none', [`${root}problems/example.json`, '--seconds', 'soon'], /--seconds takes a number.*"soon"/],
	['an option that is none', [`${root}problems/example.json`, '--speed', '3'], /--speed/],
	['two files', [`${root}problems/example.json`, `${root}problems/example.json`], /usage/],
	[
		'a plan before that is none',
		[`${root}problems/example.json`, '--previous', `${root}problems/example.json`],
		/is not a juntos-schedule/
	]
] as const)(
	'%s is refused in a sentence',
	async (_, args, words) => {
		const { code, out, err } = await run('solve', ...args);
		expect(code).toBe(2);
		expect(out).toBe('');
		expect(err).toMatch(words);
		expect(err).not.toMatch(/\n\s+at /);
		expect(err.trim().split('\n').length).toBeLessThan(30);
	},
	wait
);

test(
	'a command that there is not is refused, and says which there are',
	async () => {
		const { code, out, err } = await run('roast', 'x.json');
		expect(code).not.toBe(0);
		expect(out).toBe('');
		expect(err).toMatch(/solve/);
	},
	wait
);

test(
	'cases of kitchen science are computed, and one that is wrong is told without losing the others',
	async () => {
		const cases = [
			{ id: 'sea', kind: 'boiling-point', inputs: { altitude_m: 0 } },
			{ id: 'odd', kind: 'no such thing', inputs: {} },
			{ id: 'high', kind: 'boiling-point', inputs: { altitude_m: 3000 } }
		];
		const { code, out, err } = await run('heat', file('cases.json', { cases }));
		expect([code, err]).toEqual([0, '']);
		const { results } = JSON.parse(out) as { results: { id: string; outputs?: object; issues?: string[] }[] };
		expect(results.map((r) => [r.id, r.outputs !== undefined, (r.issues ?? []).length > 0])).toEqual([
			['sea', true, false],
			['odd', false, true],
			['high', true, false]
		]);
		const bad = await run('heat', file('bad.json', { not: 'a list' }));
		expect(bad.code).toBe(2);
		expect(bad.err).toMatch(/bad\.json/);
	},
	wait
);

test(
	'what parts take is told case by case, and what is wrong with one does not lose the others',
	async () => {
		const good = { technique: 'chicken-whole-roast', people: 4, kitchen: 'family' };
		const cases = [
			{ id: 'bird', ...good, values: { weight: 1500, oven: 180 } },
			{ id: 'odd', ...good, technique: 'phoenix' },
			{ id: 'words', technique: 'boiled-eggs', people: 4, values: { yolk: 'hard' }, kitchen: 'flat', altitude: 1600 },
			{ id: 'cold', technique: 'chicken-breast-pan', people: 2, values: { start: 20 }, kitchen: 'family' }
		];
		const { code, out, err } = await run('times', file('parts.json', { cases }));
		expect([code, err]).toEqual([0, '']);
		const { results } = JSON.parse(out) as {
			results: {
				id: string;
				cooking_min?: number;
				pull_c?: number;
				issues: { code: string; hard: boolean; say: string }[];
			}[];
		};
		expect(results.map((r) => [r.id, r.cooking_min !== undefined])).toEqual([
			['bird', true],
			['odd', false],
			['words', true],
			['cold', true]
		]);
		expect(results[0]?.issues.map((i) => i.code)).toEqual(['check-after-rest']);
		expect(results[1]?.issues[0]).toMatchObject({
			code: 'unknown',
			hard: true,
			say: 'There is no technique "phoenix".'
		});
		expect(results[3]?.issues).toContainEqual(expect.objectContaining({ code: 'start-too-warm', hard: true }));
		for (const { issues } of results) for (const { say } of issues) expect(say).not.toMatch(/undefined|NaN|\{/);
		const bad = await run('times', file('people.json', { cases: [{ id: 'x', ...good, people: 0 }] }));
		expect([bad.code, bad.out]).toEqual([2, '']);
		expect(bad.err).toMatch(/people\.json.*people.*at least 1/s);
	},
	wait
);

test(
	'probe: bands in order, doubts by name, refusals in words; each case by itself',
	async () => {
		const slab = { shape: 'slab', thickness_mm: 36, k_w_mk: 0.475, alpha_m2_s: 1.3e-7 };
		const asked = {
			body: slab,
			t0_c: 6,
			medium: 'bath',
			film: { h_w_m2k: 90, tinf_c: 60 },
			rest: { h_w_m2k: 10, tinf_c: 22 },
			target_peak_c: 55,
			now_s: 605
		};
		const readings = Array.from({ length: 61 }, (_, i) => [10 * i, 6 + (i < 12 ? 0 : 0.5 * (i - 12))]);
		const cases = [
			{ id: 'fine', ...asked, readings },
			{ id: 'late', ...asked, now_s: 900, readings },
			{ id: 'still', ...asked, readings: readings.map(([t], i) => [t, i < 30 ? readings[i]![1] : 15]) },
			{ id: 'never', ...asked, target_peak_c: 70, readings },
			{ id: 'bad', body: slab }
		];
		const ran = await run('probe', file('streams.json', { cases }));
		expect(ran.code).toBe(0);
		const { results } = JSON.parse(ran.out) as {
			results: { id: string; left_s?: { p10: number; p50: number; p90: number }; doubt?: string; issues?: string[] }[];
		};
		expect(results.map((r) => r.id)).toEqual(cases.map((c) => c.id));
		const [fine, late, still, never, bad] = results;
		expect(fine!.left_s!.p10).toBeLessThanOrEqual(fine!.left_s!.p50);
		expect(fine!.left_s!.p50).toBeLessThanOrEqual(fine!.left_s!.p90);
		expect(late!.doubt).toBe('lost');
		expect(still!.doubt).toBe('stuck');
		expect(never!.issues![0]).toMatch(/never peaks at 70/);
		expect(bad!.issues![0]).toMatch(/readings: is missing/);
		const none = await run('probe', file('streams-not.json', { cases: 1 }));
		expect([none.code, none.out]).toEqual([2, '']);
	},
	wait
);

test(
	'rehearse and learn: each case by itself, what is wrong in words',
	async () => {
		const problem = example;
		const solved = JSON.parse((await run('solve', `${root}problems/example.json`, '--seconds', '2')).out) as {
			starts: Record<string, number>;
		};
		const durations = Object.fromEntries(Object.keys(solved.starts).map((id) => [id, { mu: 6, sigma: 0.3 }]));
		const one = { id: 'a', problem, schedule: solved, durations, runs: 600, seed: 1, improve_s: 0.3 };
		const cases = [
			one,
			{ ...one, id: 'b', schedule: { ...solved, starts: {} } },
			{ ...one, id: 'c', durations: { nothing: { mu: 1, sigma: 1 } } }
		];
		const told = await run('rehearse', file('rehearsals.json', { cases }));
		expect(told.err).toBe('');
		const { results } = JSON.parse(told.out) as {
			results: { id: string; services?: object; robust?: { services: object }; schedule?: object; issues?: string[] }[];
		};
		expect(results.map((r) => r.id)).toEqual(['a', 'b', 'c']);
		expect(Object.keys(results[0]?.robust?.services ?? {})).toEqual(Object.keys(results[0]?.services ?? {}));
		expect(results[1]?.issues?.join()).toMatch(/no plan of the problem/);
		expect(results[2]?.issues?.join()).toMatch(/durations\.nothing.*no task/);

		const record = { day: 1, step: 'dice', kind: 'hands', cook: 'a', predicted_s: 100, actual_s: 120 };
		const ask = [{ day: 5, step: 'dice', kind: 'hands', cook: 'a', predicted_s: 100 }];
		const learnt = await run(
			'learn',
			file('records.json', {
				cases: [
					{ id: 'x', records: [record], ask },
					{ id: 'y', records: [{}], ask }
				]
			})
		);
		expect(learnt.err).toBe('');
		const [x, y] = (
			JSON.parse(learnt.out) as {
				results: { answers?: { p10: number; p50: number; enough: boolean }[]; issues?: string[] }[];
			}
		).results;
		expect(x?.answers?.[0]).toMatchObject({ enough: false });
		expect(x?.answers?.[0]?.p50).toBeGreaterThan(100);
		expect(y?.issues?.join()).toMatch(/records\[0\]\.day/);
	},
	wait
);
