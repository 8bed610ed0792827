// npm run solve -- problem.json [--seconds N] [--seed N] [--previous schedule.json] [--trace]: reads a juntos-problem, writes a juntos-schedule to standard output.
import { parseArgs } from 'node:util';
import { issuesOf } from '$lib/core/issues';
import { readProblem, scheduleSchema, type Schedule } from '$lib/core/plan/problem';
import { solve } from '$lib/core/plan/solve/solve';
import { command, load, refuse, Refused } from './command';

function number(text: string, option: string, least: number): number {
	const value = Number(text);
	if (!Number.isFinite(value) || value < least) {
		throw new Refused(`--${option} takes a number of at least ${least}, not "${text}".`);
	}
	return value;
}

function loadPrevious(file: string): Schedule {
	const parsed = scheduleSchema.safeParse(load(file));
	if (parsed.success) return parsed.data;
	return refuse(file, 'is not a juntos-schedule', issuesOf(parsed.error));
}

function main(args: string[]): Schedule {
	const { values, positionals } = parseArgs({
		args,
		allowPositionals: true,
		options: {
			seconds: { type: 'string', default: '10' },
			seed: { type: 'string', default: '1' },
			previous: { type: 'string' },
			trace: { type: 'boolean', default: false },
			measured: { type: 'boolean', default: false }
		}
	});
	const [file, ...more] = positionals;
	if (file === undefined || more.length > 0) {
		throw new Refused(
			'usage: npm run --silent solve -- problem.json [--seconds N] [--seed N] [--previous schedule.json] [--trace]'
		);
	}
	// `--measured`, for benchmarks: seconds are CPU time, so that other work on the machine does not count; memory is told.
	const seconds = number(values.seconds, 'seconds', 0);
	const seed = Math.trunc(number(values.seed, 'seed', 0));
	const read = readProblem(load(file));
	if (!read.ok) return refuse(file, 'cannot be solved', read.issues);

	const previous = values.previous === undefined ? undefined : loadPrevious(values.previous);

	const began = { wall: performance.now(), cpu: process.cpuUsage() };
	const elapsed = () => {
		const { user, system } = process.cpuUsage(began.cpu);
		const ms = values.measured ? (user + system) / 1000 : performance.now() - began.wall;
		return Math.round(ms) / 1000;
	};
	let answer: Schedule | undefined;
	let firstSeconds: number | undefined;
	let bestSeconds = 0;
	const search = solve(read.value, { seed, budget: Infinity, previous });
	for (;;) {
		const step = search.next(undefined);
		const schedule = step.done ? step.value : step.value.schedule;
		if (schedule.objective !== undefined && schedule.objective !== answer?.objective) {
			bestSeconds = elapsed();
			firstSeconds ??= bestSeconds;
			if (values.trace) process.stderr.write(`${bestSeconds.toFixed(3)} s: ${schedule.objective}\n`);
		}
		answer = schedule;
		if (step.done === true || elapsed() >= seconds) break;
	}
	const stats = { ...answer.stats, seconds: bestSeconds, firstSeconds: firstSeconds ?? 0, totalSeconds: elapsed() };
	const megabytes = values.measured ? { megabytes: Math.round(process.resourceUsage().maxRSS / 1024) } : {};
	return { ...answer, stats: { ...stats, ...megabytes } };
}

command(main);
