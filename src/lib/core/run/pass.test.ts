// The pass: every plated part is in one state at any moment, and only ever goes on.
import { expect, test } from 'vitest';
import { demoCases, planDemo } from '../testing/demo-plan';
import { runOf, runUntil } from '../testing/some-run';
import { instantAt } from './events';
import { passOf, type PartState } from './pass';
import { viewRun } from './view';

const rank: Record<PartState['kind'], number> = { later: 0, on: 1, ready: 2, out: 3 };

test('each part goes from later over on and ready to out, and is ready when its plan says so', () => {
	for (const demo of demoCases) {
		const plan = planDemo(demo, 3000);
		const before = new Map<string, number>();
		const seen = new Set<string>();
		for (let clock = plan.from - 60; clock <= plan.to + 120; clock += 97) {
			const run = runUntil(runOf(plan), clock);
			const courses = passOf(viewRun(run, instantAt(run, clock)));
			expect(courses.map((c) => c.course).toSorted()).toEqual(plan.services.map((s) => s.course).toSorted());
			const parts = courses.flatMap((c) => c.parts);
			expect(parts).toHaveLength(plan.parts.filter((p) => p.into === undefined).length);
			for (const { part, state } of parts) {
				expect(rank[state.kind], `${part} at ${clock}`).toBeGreaterThanOrEqual(before.get(part) ?? 0);
				before.set(part, rank[state.kind]);
				seen.add(state.kind);
				if (state.kind === 'on') expect(state.at).toBe(plan.parts.find((p) => p.id === part)!.ready);
			}
		}
		expect([...before.values()].every((r) => r === rank.out)).toBe(true);
		expect(seen.size).toBeGreaterThan(2);
	}
});

test('hands are free as long as nothing wants them', () => {
	for (const demo of demoCases) {
		const plan = planDemo(demo, 3000);
		for (let clock = plan.from; clock < plan.to; clock += 333) {
			const run = runUntil(runOf(plan), clock);
			const { idle, next } = viewRun(run, instantAt(run, clock));
			for (const [cook, seconds] of idle) {
				const first = next.find((c) => c.hand !== undefined && (c.cook === cook || c.cook === undefined));
				expect(first?.at).toBe(clock + seconds);
			}
		}
	}
});
