// A case of a rehearsal as it is written in a file or sent to the server, and its answer (docs/rehearse.md).
import { z } from 'zod';
import { issuesOf, type Issue, type Read } from '../issues';
import { readProblem, scheduleSchema, type Schedule } from '../plan/problem';
import { checkSchedule } from '../plan/check';
import { rehearse, rehearseNow, type Odds, type Rehearsal } from './rehearse';
import { holdBetter } from './robust';
import { usualTolerance } from './usual';

/** A case, consistent. */
export interface Case extends Rehearsal {
	readonly id: string;
	/** Seconds to look for a plan that holds better; absent: it is not looked for. */
	readonly improve: number | undefined;
	/** A rule of the problem that the plan breaks; it is rehearsed all the same. */
	readonly broken: string | undefined;
}

const spreadSchema = z.object({
	mu: z.number().min(-10).max(20),
	sigma: z.number().min(0).max(5),
	shared: z.record(z.string(), z.number().min(-5).max(5)).optional()
});

const caseSchema = z.object({
	id: z.coerce.string().default(''),
	problem: z.unknown(),
	schedule: scheduleSchema,
	durations: z.record(z.string(), spreadSchema),
	policy: z.object({ early: z.boolean().default(false) }).default({ early: false }),
	tolerance_s: z.number().min(0).max(86_400).default(usualTolerance),
	runs: z.int().min(1).max(1_000_000),
	seed: z.int().min(0).max(0xffffffff).default(1),
	improve_s: z.number().min(0).max(600).optional()
});

/** More than so many ends of steps are not kept: tasks times evenings. */
const mostKept = 60_000_000;

export function readCase(data: unknown): Read<Case> {
	const parsed = caseSchema.safeParse(data);
	if (!parsed.success) return { ok: false, issues: issuesOf(parsed.error) };
	const { id, schedule, durations, policy, tolerance_s: tolerance, runs, seed, improve_s: improve } = parsed.data;
	const read = readProblem(parsed.data.problem);
	if (!read.ok) return { ok: false, issues: read.issues.map((i) => ({ ...i, path: ['problem', ...i.path] })) };
	const problem = read.value;
	const issues: Issue[] = [];
	let broken: string | undefined;
	const known = new Set(problem.tasks.map((t) => t.id));
	const shape = (path: Issue['path'], detail: string) => issues.push({ code: 'shape', path, detail });
	for (const task of Object.keys(durations))
		if (!known.has(task)) shape(['durations', task], 'is no task of the problem');
	if (!schedule.starts) shape(['schedule', 'starts'], 'is missing: there is no plan to rehearse');
	else {
		const { violations } = checkSchedule(problem, schedule);
		const missing = violations.find((v) => v.includes('has no start') || v.includes('has no option'));
		if (missing !== undefined) shape(['schedule'], `is no plan of the problem: ${missing}`);
		[broken] = violations.filter((v) => !/^(says|bound|answers|optimal) ?/.test(v));
	}
	if (runs * known.size > mostKept)
		shape(['runs'], `is too many for ${known.size} tasks: at most ${Math.floor(mostKept / known.size)}`);
	if (issues.length > 0) return { ok: false, issues };
	return {
		ok: true,
		value: {
			broken,
			id,
			problem,
			schedule,
			durations,
			policy: policy.early ? 'early' : 'hold',
			tolerance,
			runs,
			seed,
			improve
		}
	};
}

/** Odds as they are told. */
function tellOdds({ services, tasks, runs, onTime, error }: Odds) {
	const to = (x: number, digits: number) => Number(x.toFixed(digits));
	return {
		runs,
		on_time: to(onTime, 5),
		error: to(error, 5),
		services: Object.fromEntries(
			Object.entries(services).map(([id, { onTime: share, slip }]) => [
				id,
				{
					on_time: to(share, 5),
					slip_s: { p50: to(slip.p50, 2), p80: to(slip.p80, 2), p95: to(slip.p95, 2), mean: to(slip.mean, 2) }
				}
			])
		),
		tasks: Object.fromEntries(Object.entries(tasks).map(([id, { critical }]) => [id, { critical: to(critical, 5) }]))
	};
}

type Told = ReturnType<typeof tellOdds>;

/** The answer to a case: its odds; where it was asked for, a plan that holds better, and the same figures for it. */
export type Answer = Told & {
	readonly id: string;
	readonly seconds: number;
	readonly broken?: string;
	readonly schedule?: Schedule;
	readonly robust?: Told;
};

/** A plan that holds better is looked for on other evenings than those that it is told on. */
const tunedOn = (seed: number): number => (seed ^ 0x2545f491) >>> 0;

/**
 * Answer a case, as a stream the caller pulls and may drop: the odds so far, now and then; the value returned is final.
 *
 * @param clock ms
 */
export function* answering(
	{ id, improve, broken, ...asked }: Case,
	clock: () => number
): Generator<Told | undefined, Answer> {
	const began = clock();
	const stream = rehearse(asked);
	let odds: Odds | undefined;
	for (let batches = 1; !odds; batches++) {
		const step = stream.next();
		if (step.done) odds = step.value;
		else yield (batches & (batches - 1)) === 0 ? tellOdds(step.value()) : undefined;
	}
	const seconds = Number(((clock() - began) / 1000).toFixed(3));
	const first = { id, ...tellOdds(odds), seconds, ...(broken === undefined ? {} : { broken }) };
	if (improve === undefined) return first;
	const search = holdBetter({ ...asked, seed: tunedOn(asked.seed), rounds: Infinity });
	const until = clock() + 1000 * improve;
	let { schedule } = asked;
	while (clock() < until) {
		const step = search.next();
		if (step.value) ({ schedule } = step.value);
		if (step.done) break;
		yield undefined;
	}
	return { ...first, schedule, robust: tellOdds(rehearseNow({ ...asked, schedule })) };
}
