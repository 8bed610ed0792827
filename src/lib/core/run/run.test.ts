// The live run: whatever the cook does, every cue is in one place, and undo brings back what was.
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { demoCases, planDemo } from '../testing/demo-plan';
import { cuesOf } from './cues';
import { atSpeed, readClock, setTo } from './kitchen-clock';
import { beginRun, readRun, shiftedPlan, viewRun, withEvent, withoutLast, type Run } from './run';

const plans = demoCases.map((c) => planDemo(c, 3000));
const anyPlan = fc.constantFrom(...plans);

test('cues come in order, each with its own name, none after the last service', () => {
	for (const plan of plans) {
		const cues = cuesOf(plan);
		expect(new Set(cues.map((c) => c.id)).size).toBe(cues.length);
		expect(cues.map((c) => c.at)).toEqual(cues.map((c) => c.at).toSorted((a, b) => a - b));
		expect(cues.at(-1)).toMatchObject({ kind: 'serve', at: plan.to });
		for (const step of plan.steps) expect(cues.some((c) => c.step === step.id || step.hands.length === 0)).toBe(true);
	}
});

test('the oven is lit as long before as it takes', () => {
	const [plan] = plans;
	const oven = cuesOf(plan!).find((c) => c.kind === 'oven');
	const first = plan!.steps.find((s) => s.setting !== undefined);
	expect(oven?.say).toBe(`Set the oven to ${first?.setting ?? 0} °C`);
	expect((first?.from ?? 0) - (oven?.at ?? 0)).toBe(((first?.setting ?? 0) - 20) * 4);
});

test('every cue is now, next or done; undo takes back the last thing', () => {
	fc.assert(
		fc.property(
			anyPlan,
			fc.array(fc.tuple(fc.nat(), fc.boolean()), { maxLength: 15 }),
			fc.double({ min: 0, max: 1, noNaN: true }),
			(plan, acts, share) => {
				const clock = plan.from + share * (plan.to - plan.from);
				let run: Run = beginRun(plan);
				for (const [n, isDone] of acts) {
					const before = run;
					const { now } = viewRun(run, clock);
					const cue = now[n % Math.max(1, now.length)];
					if (!cue) break;
					run = isDone
						? withEvent(run, { kind: 'done', cue: cue.id, at: clock })
						: withEvent(run, { kind: 'stretch', step: plan.steps[n % plan.steps.length]!.id, seconds: 60, at: clock });
					expect(withoutLast(run)).toEqual(before);
				}
				const view = viewRun(run, clock);
				const done = run.events.filter((e) => e.kind === 'done').map((e) => e.cue);
				const all = cuesOf(shiftedPlan(run)).map((c) => c.id);
				expect([...view.now.map((c) => c.id), ...view.next.map((c) => c.id), ...done].toSorted()).toEqual(
					all.toSorted()
				);
				expect(readRun(JSON.parse(JSON.stringify(run)))).toEqual({ ok: true, value: run });
			}
		),
		{ numRuns: 60, seed: 37 }
	);
});

test('a step that takes longer pushes what waits for it, and nothing comes before what it waits for', () => {
	fc.assert(
		fc.property(anyPlan, fc.nat(), fc.integer({ min: 1, max: 20 }), (plan, which, minutes) => {
			const step = plan.steps[which % plan.steps.length]!;
			const run = withEvent(beginRun(plan), { kind: 'stretch', step: step.id, seconds: minutes * 60, at: plan.from });
			const shifted = shiftedPlan(run);
			const byId = new Map(shifted.steps.map((s) => [s.id, s]));
			expect(byId.get(step.id)!.to).toBe(step.to + minutes * 60);
			for (const s of shifted.steps) for (const id of s.after) expect(byId.get(id)!.to).toBeLessThanOrEqual(s.from);
			shifted.services.forEach((s, i) => {
				expect(s.at).toBeGreaterThanOrEqual(plan.services[i]!.at);
			});
		}),
		{ numRuns: 60, seed: 41 }
	);
});

test('a run that is cooked through by its cues is over', () => {
	const plan = plans[1]!;
	let run = beginRun(plan);
	for (const cue of cuesOf(plan)) run = withEvent(run, { kind: 'done', cue: cue.id, at: cue.at });
	expect(viewRun(run, plan.to)).toMatchObject({ isOver: true, now: [], next: [], on: [] });
});

test('the demo clock keeps its time when its speed changes', () => {
	const clock = { at: 1000, since: 50_000, speed: 60 };
	expect(readClock(clock, 51_000)).toBe(1060);
	const slower = atSpeed(clock, 51_000, 1);
	expect(readClock(slower, 51_000)).toBe(1060);
	expect(readClock(slower, 61_000)).toBe(1070);
	expect(readClock(setTo(slower, 61_000, 5000), 62_000)).toBe(5001);
});
