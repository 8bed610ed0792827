// Threads for the routes' searches: so many at a time, so many that wait, none for longer than its deadline.
import { mkdtempSync, writeFileSync } from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import { join } from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import { Piscina } from 'piscina';
import type { PlanOutcome } from '../core/plan/plan-meal';
import type { Schedule } from '../core/plan/problem';
import type { Job, PlanJob, SolveJob } from './search-thread';
import source from './search-thread.ts?thread';

/** Requests that may wait for a thread. */
const longestQueue = 32;
/** Beyond its own time a search may wait so long for its thread, and for its last slice, milliseconds. */
const grace = 10_000;
/** An idle thread ends after this, milliseconds. */
const idle = 60_000;

/** Why there is no answer: too many wait already, it waited too long, or nobody wants it any more. */
type Refusal = 'busy' | 'late' | 'gone';

export class PoolError extends Error {
	constructor(
		readonly code: Refusal,
		cause: unknown
	) {
		super(`search refused: ${code}`, { cause });
		this.name = 'PoolError';
	}
}

let threads: Piscina<Job, Schedule | PlanOutcome> | undefined;

function pool(): Piscina<Job, Schedule | PlanOutcome> {
	if (threads) return threads;
	// Threads are started from files; the server may have been bundled and moved, so it brings its own.
	const filename = join(mkdtempSync(join(tmpdir(), 'juntos-')), 'search.mjs');
	writeFileSync(filename, source);
	threads = new Piscina({
		filename,
		maxThreads: Math.max(1, availableParallelism() - 1),
		minThreads: 0,
		idleTimeout: idle
	});
	return threads;
}

/**
 * Solve in a thread. `signal` ends it at once, and the thread with it.
 *
 * @param onBetter called with each better answer as it is found
 * @throws {PoolError}
 */
export async function solveInPool(
	job: Omit<SolveJob, 'kind' | 'port'>,
	signal: AbortSignal,
	onBetter?: (schedule: Schedule) => void
): Promise<Schedule> {
	const { port1, port2 } = new MessageChannel();
	port1.on('message', (schedule: Schedule) => onBetter?.(schedule));
	try {
		return (await runJob({ ...job, kind: 'solve', port: port2 }, signal)) as Schedule;
	} finally {
		port1.close();
	}
}

/**
 * Plan in a thread.
 *
 * @throws {PoolError}
 */
export async function planInPool(job: Omit<PlanJob, 'kind'>, signal: AbortSignal): Promise<PlanOutcome> {
	return (await runJob({ ...job, kind: 'plan' }, signal)) as PlanOutcome;
}

async function runJob(job: Job, signal: AbortSignal): Promise<Schedule | PlanOutcome> {
	// The pool's own limit only holds while it has no thread that is warm.
	if (pool().queueSize >= longestQueue) throw new PoolError('busy', undefined);
	const deadline = AbortSignal.timeout(job.time + grace);
	const transferList = job.kind === 'solve' && job.port ? [job.port] : [];
	try {
		return await pool().run(job, { signal: AbortSignal.any([signal, deadline]), transferList });
	} catch (cause) {
		if (signal.aborted) throw new PoolError('gone', cause);
		if (deadline.aborted) throw new PoolError('late', cause);
		throw cause;
	}
}
