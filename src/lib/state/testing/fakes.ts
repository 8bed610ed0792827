// Stand-ins for what state needs from outside, for tests: a planner on this thread, a machine whose clocks are set by hand.
import { planMealNow, type PlanOutcome, type PlanRequest } from '../../core/plan/plan-meal';
import type { Clocks } from '../../core/run/run-clock';
import type { PlannerClient } from '../../workers/client';
import type { Machine } from '../running.svelte';

export interface FakePlanner extends PlannerClient {
	readonly asked: PlanRequest[];
	/** What the next plans come to, in place of real ones. */
	answers: ((request: PlanRequest) => Promise<PlanOutcome> | PlanOutcome)[];
	isClosed: boolean;
}

/** A planner that plans at once, with little work, unless it was told what to answer. */
export function fakePlanner(budget = 8000): FakePlanner {
	let latest = 0;
	const planner: FakePlanner = {
		asked: [],
		answers: [],
		isClosed: false,
		async plan(request, onProgress, lane = 'table') {
			planner.asked.push(request);
			const mine = lane === 'table' ? ++latest : latest;
			const given = planner.answers.shift();
			const answer = given ? await given(request) : planMealNow({ ...request, budget });
			if (lane === 'table' && mine !== latest) return { kind: 'superseded' };
			if (answer.kind === 'plan') {
				const schedule = { format: 'juntos-schedule', version: 1, problem: '', status: 'feasible' } as const;
				onProgress({ plan: answer.plan, answer: { ...schedule, moved: [...answer.moved] }, spent: 0.5 });
			}
			return answer;
		},
		preview: (request) => Promise.resolve(planMealNow({ ...request, budget })),
		whatIf: () => Promise.resolve(),
		cures: () => Promise.resolve(),
		slack: () => Promise.resolve(),
		probe: () => Promise.reject(new Error('no probe')),
		rehearse: () => Promise.resolve(),
		offers: () => Promise.resolve([]),
		prospects: () => Promise.resolve(undefined),
		cancel: () => {
			latest++;
		},
		close: () => {
			planner.isClosed = true;
		}
	};
	return planner;
}

export interface FakeMachine extends Machine {
	/** Time passes, by both clocks. */
	pass(seconds: number): void;
	/** The wall's clock is put right. */
	setWall(instant: number): void;
	readonly now: Clocks;
}

/** A machine at an instant; names count up. */
export function fakeMachine(wall: number, zone = 'Europe/Lisbon', by = 'device'): FakeMachine {
	let [now, steady, count] = [wall, 0, 0];
	return {
		clocks: () => ({ wall: now, steady }),
		zone: () => zone,
		newId: () => `${by}-${String(++count).padStart(4, '0')}`,
		by,
		pass(seconds) {
			now += 1000 * seconds;
			steady += 1000 * seconds;
		},
		setWall(instant) {
			now = instant;
		},
		get now() {
			return { wall: now, steady };
		}
	};
}

/** After so many ms, and so many turns of the event loop: what was asked for then has had its turns on a slow machine, too. */
export async function settledAfter(ms: number, turns = 60): Promise<void> {
	await new Promise((resolve) => setTimeout(resolve, ms));
	for (let i = 0; i < turns; i++) await new Promise((resolve) => setTimeout(resolve, 0));
}

/** Longer than any of it takes on a machine that has much else to do, ms. */
const patience = 60_000;

/** Until something holds, or patience is over: then the expectation that follows says what is wrong. */
export async function until(holds: () => boolean): Promise<void> {
	for (const end = performance.now() + patience; !holds() && performance.now() < end;)
		await new Promise((resolve) => setTimeout(resolve, 10));
}
