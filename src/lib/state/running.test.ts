// @vitest-environment ./src/lib/state/testing/client-environment.ts
// The run that is on: no tap is ever lost, its clock goes on whatever happens to the page and to the wall's clock, and two
// tabs cook one evening.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { cuesOf } from '../core/run/cues';
import { active, instantAt, originOf, type Run, type RunEvent } from '../core/run/events';
import { instantOf } from '../core/units/zoned';
import { demoCases, planDemo } from '../core/testing/demo-plan';
import { dataErrorOf, type DataError } from '../data/database';
import type { EventLog } from '../data/event-log';
import { newName } from './clocks';
import { runKeeping } from './run-keeping';
import { Running, type Replanner, type Weigher } from './running.svelte';
import { fakeMachine, settledAfter, until, type FakeMachine } from './testing/fakes';

const plans = demoCases.map((c) => planDemo(c, 1500));
const [supper, brunch] = plans as [(typeof plans)[number], (typeof plans)[number]];
const evening = instantOf('2026-06-12', 16 * 3600, 'Europe/Lisbon');

/** A database that tabs share: heads by meal, events by run; slow, and broken when told to be. */
function database() {
	const heads = new Map<string, { value: Run; revision: number }>();
	const events = new Map<string, Map<string, RunEvent>>();
	const state = { failure: undefined as Error | undefined, writes: 0 };
	const later = () => new Promise((resolve) => setTimeout(resolve, 2));
	const log: EventLog<RunEvent> = {
		async add(run, list) {
			await later();
			if (state.failure) throw dataErrorOf(state.failure);
			state.writes++;
			const own = events.get(run) ?? new Map<string, RunEvent>();
			for (const e of list) if (!own.has(e.id)) own.set(e.id, e);
			events.set(run, own);
		},
		async list(run) {
			await later();
			return { events: [...(events.get(run)?.values() ?? [])], unread: 0 };
		}
	};
	return { heads, events, state, log };
}

type Base = ReturnType<typeof database>;

/** The keeping of one tab; what it tells is heard by the others. */
function keeping(base: Base, tabs: Set<ReturnType<typeof runKeeping>>) {
	const errors: DataError[] = [];
	const own = runKeeping(
		{ runs: { get: (id) => Promise.resolve(base.heads.get(id)) }, events: base.log },
		(run, revision) => {
			if (revision !== undefined) return;
			base.heads.set(run.id, { value: run, revision: (base.heads.get(run.id)?.revision ?? 0) + 1 });
			for (const tab of tabs) if (tab !== own) tab.hear('head', run.id);
		},
		(run) => {
			for (const tab of tabs) if (tab !== own) tab.hear('events', run);
		},
		(error) => errors.push(error)
	);
	tabs.add(own);
	return { own, errors };
}

const never: Replanner = () => Promise.resolve(undefined);
const unweighed: Weigher = () => Promise.resolve(undefined);

async function page(
	machine: FakeMachine,
	base: Base = database(),
	tabs = new Set<ReturnType<typeof runKeeping>>(),
	{ plan = supper, replanner = never, weigher = unweighed } = {}
) {
	const running = new Running(plan, replanner, weigher, machine);
	const { own, errors } = keeping(base, tabs);
	await running.start(own);
	return { running, errors };
}
const settled = () => settledAfter(20);
const doneIn = ({ run }: Running) => active(run.events).flatMap((e) => (e.kind === 'done' ? [e.cue] : []));

test('names come in the order in which they are given, on one clock reading as well', () => {
	const wall = 1_780_000_000_000;
	const given = Array.from({ length: 2000 }, (_, k) => newName(wall + Math.floor(k / 50)));
	expect(given.toSorted()).toEqual(given);
	expect(new Set(given).size).toBe(given.length);
});

test('on a clock that stands, undo takes back what was told last', () => {
	for (let k = 0; k < 12; k++) {
		const machine = { ...fakeMachine(evening), newId: () => newName() };
		const running = new Running(brunch, never, unweighed, machine);
		running.skip();
		running.done(running.view.now[0]!.id);
		running.leave('cook-1');
		expect(running.view.away.size).toBe(1);
		running.undo();
		expect([running.view.away.size, running.view.done]).toEqual([0, 1]);
	}
});

describe('touches', () => {
	test('however fast they come, all are kept', async () => {
		await fc.assert(
			fc.asyncProperty(fc.integer({ min: 2, max: 12 }), async (count) => {
				const [base, machine] = [database(), fakeMachine(evening)];
				const { running } = await page(machine, base);
				const cues = cuesOf(supper).slice(0, count);
				for (const cue of cues) running.done(cue.id);
				await settled();
				running.stop();
				const { running: again } = await page(machine, base);
				again.stop();
				expect(doneIn(again)).toEqual(cues.map((c) => c.id));
				expect(again.view.done).toBe(count);
			}),
			{ numRuns: 8, seed: 1 }
		);
	});

	test('a storage that is full is said; what could not be kept is kept with the next touch', async () => {
		const [base, machine] = [database(), fakeMachine(evening)];
		const { running, errors } = await page(machine, base);
		const [a, b] = cuesOf(supper);
		base.state.failure = new DOMException('no room', 'QuotaExceededError');
		running.done(a!.id);
		await settled();
		expect(errors.map((e) => e.code)).toEqual(['full']);
		expect(running.view.done).toBe(1);
		base.state.failure = undefined;
		running.done(b!.id);
		await settled();
		running.stop();
		const { running: again } = await page(machine, base);
		again.stop();
		expect(doneIn(again)).toEqual([a!.id, b!.id]);
	});

	test('without any storage the run goes on in memory', async () => {
		const machine = fakeMachine(evening);
		const running = new Running(supper, never, unweighed, machine);
		await running.start(undefined);
		running.done(cuesOf(supper)[0]!.id);
		expect(running.view.done).toBe(1);
		running.undo();
		expect(running.view.done).toBe(0);
		running.stop();
	});
});

describe('two tabs on one run', () => {
	async function two() {
		const [base, machine, tabs] = [database(), fakeMachine(evening), new Set<ReturnType<typeof runKeeping>>()];
		const a = await page(machine, base, tabs);
		a.running.setSpeed(1);
		await settled();
		const other = fakeMachine(evening, 'Europe/Lisbon', 'other');
		const b = await page(other, base, tabs);
		return { a: a.running, b: b.running, base, machine };
	}

	test('each shows what the other did; the same cue done in both is done once', async () => {
		const { a, b } = await two();
		const cues = cuesOf(supper);
		for (const cue of cues.slice(0, 4)) a.done(cue.id);
		for (const cue of cues.slice(3, 6)) b.done(cue.id);
		await until(() => a.view.done === 6 && b.view.done === 6);
		expect([a.view.done, b.view.done]).toEqual([6, 6]);
		expect(new Set(doneIn(a))).toEqual(new Set(doneIn(b)));
		a.stop();
		b.stop();
	});

	test('undo in one takes back what was done last in either', async () => {
		const { a, b, machine } = await two();
		const [one, two_] = cuesOf(supper);
		a.done(one!.id);
		machine.pass(1);
		await until(() => b.view.done === 1);
		b.undo();
		await until(() => a.view.done === 0);
		expect([a.view.done, b.view.done]).toEqual([0, 0]);
		a.done(two_!.id);
		await until(() => b.view.done === 1);
		expect(doneIn(b)).toEqual([two_!.id]);
		a.stop();
		b.stop();
	});

	test('a new beginning in one is one in the other, and the old log stays', async () => {
		const { a, b, base } = await two();
		a.done(cuesOf(supper)[0]!.id);
		await until(() => b.view.done === 1);
		const before = a.run.run;
		a.restart(supper);
		await until(() => b.run.run === a.run.run);
		expect(b.run.run).toBe(a.run.run);
		expect(b.view.done).toBe(0);
		expect(base.events.get(before)?.size).toBe(1);
		a.stop();
		b.stop();
	});
});

describe('the clock', () => {
	test('stands a minute before the first cue until it is set', async () => {
		const { running } = await page(fakeMachine(evening));
		expect(running.now).toBe(supper.from - 60);
		expect([running.speed, running.isLive, running.hasBegun]).toEqual([0, false, false]);
		running.stop();
	});

	test.each([1, 10, 60])('at %i× it goes on over a reload, as long as that took', async (speed) => {
		const [base, machine] = [database(), fakeMachine(evening)];
		const { running } = await page(machine, base);
		running.setSpeed(speed);
		machine.pass(30);
		running.setSpeed(speed);
		expect(running.now).toBe(supper.from - 60 + 30 * speed);
		running.stop();
		machine.pass(20);
		const { running: again } = await page(machine, base);
		expect(again.now).toBe(supper.from - 60 + 50 * speed);
		expect(again.speed).toBe(speed);
		again.stop();
	});

	test('a wall clock that is set back, or forward, drags no demo clock along', async () => {
		const [base, machine] = [database(), fakeMachine(evening)];
		const { running } = await page(machine, base);
		running.setSpeed(1);
		machine.setWall(evening - 3_600_000);
		machine.pass(5);
		running.setSpeed(1);
		expect(running.now).toBe(supper.from - 55);
		machine.setWall(evening + 7_200_000);
		machine.pass(5);
		running.setSpeed(1);
		expect(running.now).toBe(supper.from - 50);
		running.stop();
		// Set back while the page was closed: no time has passed, and none is taken back.
		machine.setWall(evening);
		const { running: again } = await page(machine, base);
		expect(again.now).toBe(supper.from - 50);
		again.stop();
	});

	test('live, it is the wall’s, on the day whose evening is nearest, also past midnight and after it is put right', async () => {
		const base = database();
		const machine = fakeMachine(instantOf('2026-06-12', supper.from + 600, 'Europe/Lisbon'));
		const { running } = await page(machine, base);
		running.live();
		expect(running.now).toBe(supper.from + 600);
		machine.setWall(instantOf('2026-06-12', supper.from + 1200, 'Europe/Lisbon'));
		running.live();
		expect(running.now).toBe(supper.from + 1200);
		running.done(cuesOf(supper)[0]!.id);
		running.stop();
		machine.setWall(instantOf('2026-06-13', 600, 'Europe/Lisbon'));
		const { running: night } = await page(machine, base);
		expect([night.isLive, night.now, night.view.done]).toEqual([true, 86_400 + 600, 1]);
		night.stop();
		const next = fakeMachine(instantOf('2026-06-13', 600, 'Europe/Lisbon'));
		const { running: late } = await page(next);
		late.live();
		expect(late.run.date).toBe('2026-06-12');
		late.stop();
	});

	test('over the change to winter time it shows what clocks show, and waits as long as planned', async () => {
		const plan = { ...brunch, services: brunch.services.map((s) => ({ ...s })) };
		const zone = 'Europe/Berlin';
		const machine = fakeMachine(instantOf('2026-10-25', 1 * 3600, zone), zone);
		const running = new Running(plan, never, unweighed, machine);
		await running.start(undefined);
		running.live();
		const due = plan.services[0]!.due;
		const left = (originOf(running.run) + due * 1000 - machine.now.wall) / 1000;
		expect(due - running.now).toBe(left);
		expect(left).toBe(due - 3600 + 3600);
		expect(running.wallOf(due)).toBe(due);
		expect(running.wallOf(running.now)).toBe(3600);
		running.stop();
	});

	test('to the next cue it jumps, and stays there until it is set', async () => {
		const { running } = await page(fakeMachine(evening));
		running.skip();
		expect(running.now).toBe(cuesOf(supper)[0]!.at);
		expect(running.view.now.length).toBeGreaterThan(0);
		// A better plan comes before anything is done: the clock is at its first cue.
		const later = planDemo(demoCases[0]!, 3000);
		running.follow(later);
		expect(running.run.plan).toBe(later);
		running.stop();
	});
});

describe('a replan', () => {
	const shifted = { ...supper, objective: supper.objective + 5 };
	const better = { ...supper, objective: supper.objective + 1 };

	test('is shown as it comes, kept once the search has ended, and undone with what it was made for', async () => {
		const [base, machine] = [database(), fakeMachine(evening)];
		let end: (trouble: string | undefined) => void = () => undefined;
		const replanner: Replanner = (_, onPlan) => {
			onPlan(shifted, ['a']);
			onPlan(better, ['b']);
			return new Promise((resolve) => (end = resolve));
		};
		const { running } = await page(machine, base, new Set(), { replanner });
		running.come('helper');
		expect(running.isReplanning).toBe(true);
		expect(running.view.plan.objective).toBe(better.objective);
		expect(running.view.moved).toEqual(['b']);
		expect(running.run.events.map((e) => e.kind)).toEqual(['back']);
		end(undefined);
		await until(() => !running.isReplanning);
		expect(running.run.events.map((e) => e.kind)).toEqual(['back', 'replan']);
		running.undo();
		expect(running.view.plan.objective).toBe(supper.objective);
		expect(active(running.run.events)).toEqual([]);
		running.stop();
	});

	test('what is done meanwhile settles it: the plan that was shown is in force, later ones are not heard', async () => {
		const machine = fakeMachine(evening);
		let tell: ((plan: typeof supper, moved: readonly string[]) => void) | undefined;
		const replanner: Replanner = (_, onPlan) => {
			tell = onPlan;
			onPlan(shifted, []);
			return new Promise(() => undefined);
		};
		const { running } = await page(machine, database(), new Set(), { replanner });
		running.come('helper');
		running.done(cuesOf(supper)[0]!.id);
		tell?.(better, []);
		expect(running.view.plan.objective).toBe(shifted.objective);
		expect(running.run.events.map((e) => e.kind)).toEqual(['back', 'replan', 'done']);
		running.stop();
	});

	describe('because something took another time', () => {
		const prospect = (cost: number) => ({ cost, onTime: 0.5 });
		/** What is sought and weighed, answered by hand. */
		const asked = () => {
			const answers: ((plan: typeof supper) => void)[] = [];
			const replanner: Replanner = (_, onPlan) =>
				new Promise((resolve) => {
					answers.push((plan) => {
						onPlan(plan, ['a']);
						resolve(undefined);
					});
				});
			return { answers, replanner };
		};

		test.each([
			['costs less', prospect(9), prospect(4), true],
			['costs as much', prospect(4), prospect(4), false],
			['costs more', prospect(4), prospect(9), false],
			['costs hardly less', prospect(4), prospect(3.98), false]
		])('a plan that %s is taken or held back', async (_, goOn, anew, isTaken) => {
			const { answers, replanner } = asked();
			const weigher: Weigher = () => Promise.resolve({ goOn, anew, reading: 0 });
			const { running } = await page(fakeMachine(evening), database(), new Set(), { replanner, weigher });
			running.late(supper.steps[0]!.id, 120);
			answers[0]!(shifted);
			await until(() => !running.isReplanning);
			expect(running.run.events.map((e) => e.kind)).toEqual(isTaken ? ['late', 'replan'] : ['late']);
			expect(running.view.plan.objective === shifted.objective).toBe(isTaken);
			expect(running.held?.because.kind).toBe(isTaken ? undefined : 'late');
			if (!isTaken) {
				running.takeInstead();
				expect(running.view.plan.objective).toBe(shifted.objective);
				expect(running.held).toBeUndefined();
				running.undo();
				expect(active(running.run.events)).toEqual([]);
			}
			running.stop();
		});

		test('what is done meanwhile does not end the search: it goes on as things stand then; nothing is shown before', async () => {
			const { answers, replanner } = asked();
			const { running } = await page(fakeMachine(evening), database(), new Set(), { replanner });
			running.late(supper.steps[0]!.id, 120);
			running.probe(supper.parts[0]!.id, 20);
			expect(answers).toHaveLength(1);
			running.done(cuesOf(supper)[0]!.id);
			expect(answers).toHaveLength(2);
			answers[0]!(better);
			await settled();
			expect(running.view.plan.objective).toBe(supper.objective);
			answers[1]!(shifted);
			await until(() => !running.isReplanning);
			expect(running.view.plan.objective).toBe(shifted.objective);
			expect(running.run.events.map((e) => e.kind)).toEqual(['late', 'reading', 'done', 'replan']);
			running.stop();
		});

		test('that it goes on as before is told until something happens', async () => {
			const { answers, replanner } = asked();
			const weigher: Weigher = () => Promise.resolve({ goOn: prospect(1), anew: prospect(2), reading: 0 });
			const { running } = await page(fakeMachine(evening), database(), new Set(), { replanner, weigher });
			running.late(supper.steps[0]!.id, 120);
			answers[0]!(shifted);
			await until(() => running.held !== undefined);
			running.probe(supper.parts[0]!.id, 20);
			expect(running.held).toBeDefined();
			running.done(cuesOf(supper)[0]!.id);
			expect(running.held).toBeUndefined();
			running.stop();
		});
	});

	test('without a plan it says why, and the evening goes on as shifted', async () => {
		const replanner: Replanner = () => Promise.resolve('Nothing fits.');
		const { running } = await page(fakeMachine(evening), database(), new Set(), { replanner });
		running.late(supper.steps.at(-1)!.id, 600);
		await until(() => running.trouble !== undefined);
		expect(running.trouble).toBe('Nothing fits.');
		expect([...running.view.late.values()].some((s) => s > 0)).toBe(true);
		running.undo();
		expect(running.trouble).toBeUndefined();
		running.stop();
	});

	test('is told how things stand at this very instant', async () => {
		const seen: number[] = [];
		const replanner: Replanner = (standing) => {
			seen.push(standing.now);
			return Promise.resolve(undefined);
		};
		const machine = fakeMachine(evening);
		const { running } = await page(machine, database(), new Set(), { replanner });
		running.setSpeed(60);
		machine.pass(10);
		running.late(supper.steps[0]!.id, 60);
		await settled();
		expect(seen).toEqual([supper.from - 60 + 600]);
		expect(instantAt(running.run, seen[0]!)).toBeLessThanOrEqual(running.at);
		running.stop();
	});
});

describe('killed at any instant', () => {
	test('all taps are there but for one that was under the finger; a second page takes the run up as it was', async () => {
		await fc.assert(
			fc.asyncProperty(
				fc.array(fc.integer({ min: 4, max: 12 }), { minLength: 2, maxLength: 8 }),
				fc.integer({ min: 0, max: 6 }),
				async (gaps, last) => {
					const [base, machine] = [database(), fakeMachine(evening)];
					const { running } = await page(machine, base);
					const cues = cuesOf(supper).slice(0, gaps.length);
					for (const [i, cue] of cues.entries()) {
						running.done(cue.id);
						await new Promise((resolve) => setTimeout(resolve, i < cues.length - 1 ? gaps[i] : last));
					}
					// Killed: what lies in the database now is all that there is.
					const kept = [...base.events.values()].flatMap((own) => [...own.values()]);
					expect(kept.length).toBeGreaterThanOrEqual(cues.length - 1);
					const left = database();
					for (const [id, head] of base.heads) left.heads.set(id, head);
					for (const [id, own] of base.events) left.events.set(id, new Map(own));
					running.stop();
					const { running: again } = await page(machine, left);
					await settled();
					expect(doneIn(again)).toEqual(kept.flatMap((e) => (e.kind === 'done' ? [e.cue] : [])));
					again.stop();
				}
			),
			{ numRuns: 50, seed: 19 }
		);
	}, 60_000);
});

test('a training is played beside the run: nothing of it is kept, and the run is there afterwards', async () => {
	const [base, machine] = [database(), fakeMachine(evening)];
	const { running } = await page(machine, base);
	running.skip();
	const [first] = running.view.now;
	running.done(first!.id);
	await settled();
	const writes = base.state.writes;
	running.train(supper, { seed: 3, mishaps: 4 });
	expect(running.hasBegun).toBe(false);
	running.skip();
	running.done(running.view.now[0]!.id);
	running.late(supper.steps[0]!.id, 120);
	await settled();
	expect(base.state.writes).toBe(writes);
	running.endTraining(supper);
	await settled();
	expect(doneIn(running)).toEqual([first!.id]);
	running.stop();
});

test('what is refused is not in force: the rest stays in its order', async () => {
	const machine = fakeMachine(evening);
	const replanner: Replanner = (standing, onPlan) => {
		onPlan({ ...standing.plan, objective: -1 }, [supper.steps[3]!.id]);
		return Promise.resolve(undefined);
	};
	const { running } = await page(machine, database(), new Set(), { replanner });
	running.late(supper.steps[0]!.id, 240);
	await settled();
	expect(running.view.plan.objective).toBe(-1);
	expect(running.reason).toMatchObject({ kind: 'late', seconds: 240 });
	running.refuse();
	expect(running.view.plan.objective).not.toBe(-1);
	expect(running.view.moved).toEqual([]);
	expect(active(running.run.events).map((e) => e.kind)).toEqual(['late']);
	running.stop();
});
