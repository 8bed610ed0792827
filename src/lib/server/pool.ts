// Threads for the routes' searches. Plans and long searches have threads of their own, so that none of these keeps a cook
// waiting; who waits is served in turn, client by client; nobody's search goes on when they have gone or its time is up.
import { mkdtempSync, writeFileSync } from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import { join } from 'node:path';
import { Piscina } from 'piscina';
import type { PlanOutcome } from '../core/plan/plan-meal';
import type { Schedule } from '../core/plan/problem';
import { FairQueue } from './fair-queue';
import type { Answer } from '../core/rehearse/cases';
import type { Job, Outcome, PlanJob, RehearseJob, SolveJob } from './search-thread';
import source from './search-thread.ts?thread';
import { telling } from './telling';

/** Requests that may wait, in all and of one client. */
const longestQueue = 32;
const share = 8;
/** Who might wait longer for a thread is told at once to come back, milliseconds. */
const longestWait = 15_000;
/** A search that was told to end ends with its slice of work; after this its thread is ended, milliseconds. */
const grace = 2000;
/** A thread that needs more is ended, megabytes. */
const memory = 400;

/** Why there is no answer: too much waits already, this client has its share, it did not end in time, nobody wants it any more. */
export type Refusal = 'full' | 'share' | 'late' | 'gone' | 'too-much';

export class PoolError extends Error {
	constructor(
		readonly code: Refusal,
		cause: unknown
	) {
		super(`search refused: ${code}`, { cause });
		this.name = 'PoolError';
	}
}

type Kind = Job['kind'];
interface Pool {
	readonly threads: Piscina<Job, Outcome>;
	readonly queue: FairQueue;
}

const pools = new Map<Kind, Pool>();
let file: string | undefined;

function poolFor(kind: Kind): Pool {
	const known = pools.get(kind);
	if (known) return known;
	// Threads are started from files; the server may have been bundled and moved, so it brings its own.
	if (file === undefined) {
		file = join(mkdtempSync(join(tmpdir(), 'juntos-')), 'search.mjs');
		writeFileSync(file, source);
	}
	const count = Math.max(1, availableParallelism() - 1);
	const pool = {
		threads: new Piscina<Job, Outcome>({
			filename: file,
			// As many at all times: a thread that was ended is replaced at once.
			minThreads: count,
			maxThreads: count,
			resourceLimits: { maxOldGenerationSizeMb: memory }
		}),
		queue: new FairQueue({ slots: count, longest: longestQueue, share, wait: longestWait })
	};
	pools.set(kind, pool);
	return pool;
}

/** Whose search it is, and until when it is wanted. */
export interface Asker {
	readonly client: string;
	readonly signal: AbortSignal;
}

/**
 * Solve in a thread.
 *
 * @param onBetter called with each better answer as it is found
 * @throws {PoolError}
 */
export const solveInPool = async (
	job: Omit<SolveJob, 'kind' | 'port' | 'stop'>,
	asker: Asker,
	onBetter?: (schedule: Schedule) => void
): Promise<Schedule> =>
	(await telling(onBetter as ((news: unknown) => void) | undefined, (port) =>
		runJob((stop) => ({ ...job, stop, kind: 'solve', port }), 'solve', job.time, asker)
	)) as Schedule;

/**
 * Rehearse in a thread.
 *
 * @param onOdds called with the odds as they become better known
 * @throws {PoolError} too late where it was not done in its time
 */
export async function rehearseInPool(
	job: Omit<RehearseJob, 'kind' | 'port' | 'stop'>,
	asker: Asker,
	onOdds?: (odds: unknown) => void
): Promise<Answer> {
	const answer = await telling(onOdds, (port) =>
		runJob((stop) => ({ ...job, stop, kind: 'rehearse', port }), 'rehearse', job.time, asker)
	);
	if (answer === undefined) throw new PoolError('late', undefined);
	return answer as Answer;
}

/**
 * Plan in a thread.
 *
 * @throws {PoolError}
 */
export async function planInPool(job: Omit<PlanJob, 'kind' | 'stop'>, asker: Asker): Promise<PlanOutcome> {
	return (await runJob((stop) => ({ ...job, stop, kind: 'plan' }), 'plan', job.time, asker)) as PlanOutcome;
}

async function runJob(
	jobFor: (stop: Int32Array) => Job,
	kind: Kind,
	time: number,
	{ client, signal }: Asker
): Promise<Outcome> {
	const { threads, queue } = poolFor(kind);
	const answer = await queue.run(client, time, signal, () =>
		runInThread(threads, jobFor(new Int32Array(new SharedArrayBuffer(4))), signal)
	);
	if (answer === 'gone') throw new PoolError('gone', undefined);
	if (answer === 'full' || answer === 'share') throw new PoolError(answer, undefined);
	return answer;
}

/** Run a job; where nobody wants it any more it is told to end, and where it does not, its thread is ended. */
async function runInThread(threads: Pool['threads'], job: Job, signal: AbortSignal): Promise<Outcome> {
	const kill = new AbortController();
	let timer = setTimeout(() => {
		kill.abort();
	}, job.time + grace);
	const stop = () => {
		Atomics.store(job.stop, 0, 1);
		clearTimeout(timer);
		timer = setTimeout(() => {
			kill.abort();
		}, grace);
	};
	signal.addEventListener('abort', stop, { once: true });
	try {
		const transferList = job.kind !== 'plan' && job.port ? [job.port] : [];
		const answer = await threads.run(job, { signal: kill.signal, transferList });
		if (signal.aborted) throw new PoolError('gone', undefined);
		return answer;
	} catch (cause) {
		if (cause instanceof PoolError) throw cause;
		if (signal.aborted) throw new PoolError('gone', cause);
		if (kill.signal.aborted) throw new PoolError('late', cause);
		if (cause instanceof Error && 'code' in cause && cause.code === 'ERR_WORKER_OUT_OF_MEMORY')
			throw new PoolError('too-much', cause);
		throw cause;
	} finally {
		clearTimeout(timer);
		signal.removeEventListener('abort', stop);
	}
}
