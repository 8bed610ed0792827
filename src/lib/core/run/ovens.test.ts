// The ovens of a run: on from when they were set, hot when they told so, off when nothing needs them; in every order of events.
import { expect, test } from 'vitest';
import { demoCases, planDemo } from '../testing/demo-plan';
import { runOf, runUntil, withEvent } from '../testing/some-run';
import { cuesOf } from './cues';
import { instantAt } from './events';
import { factsOf } from './facts';
import { viewRun } from './view';

const plans = demoCases.map((c) => planDemo(c, 4000)).filter((p) => p.terrain.length > 0);

test('an oven is on from when it was set until the last of what goes into it so hot', () => {
	expect(plans.length).toBeGreaterThan(0);
	for (const plan of plans) {
		const set = cuesOf(plan).filter((c) => c.kind === 'oven');
		expect(set.length).toBeGreaterThan(0);
		const first = set.reduce((a, b) => (a.at < b.at ? a : b));
		const before = runUntil(runOf(plan), first.at - 1);
		expect(viewRun(before, instantAt(before, first.at - 1)).ovens).toEqual([]);
		for (let k = 0; k <= 12; k++) {
			const clock = first.at + 1 + ((plan.to - first.at - 1) * k) / 12;
			const run = runUntil(runOf(plan), clock);
			const { ovens, plan: now } = viewRun(run, instantAt(run, clock));
			for (const oven of ovens) {
				expect(oven.since).toBeLessThanOrEqual(clock);
				expect(now.steps.some((s) => s.lane === oven.lane && s.setting === oven.setting && s.to > clock)).toBe(true);
			}
			const inside = now.steps.filter((s) => s.setting !== undefined && s.from < clock - 60 && s.to > clock + 60);
			for (const s of inside.filter((x) => plan.terrain.some((t) => t.lane === x.lane)))
				expect(ovens.find((o) => o.lane === s.lane)?.setting, s.id).toBe(s.setting);
		}
	}
});

test('its lamp is no heat of a fire, holds for this setting alone, and nothing is moved by it', () => {
	for (const plan of plans) {
		const first = cuesOf(plan).find((c) => c.kind === 'oven');
		const lane = plan.steps.find((s) => s.id === first?.step)?.lane ?? '';
		const at = (first?.at ?? 0) + 300;
		const run = runUntil(runOf(plan), at);
		const told = withEvent(run, { kind: 'heat', station: lane, celsius: 180, lamp: true }, instantAt(run, at));
		expect(factsOf(told).heats.size).toBe(0);
		const view = viewRun(told, instantAt(told, at + 1));
		expect(view.ovens.find((o) => o.lane === lane)?.told).toBeCloseTo(at, 0);
		expect(view.plan).toEqual(viewRun(run, instantAt(run, at + 1)).plan);
		const read = withEvent(told, { kind: 'heat', station: lane, celsius: 120 }, instantAt(told, at + 2));
		expect(viewRun(read, instantAt(read, at + 3)).ovens.find((o) => o.lane === lane)?.read).toBe(120);
		expect(factsOf({ ...read, events: read.events.toReversed() }).lamps).toEqual(factsOf(read).lamps);
	}
});
