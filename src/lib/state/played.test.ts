// An evening that is played: mishaps come by its clock, each told once, none where nothing is played.
import { expect, test } from 'vitest';
import { cuesOf } from '../core/run/cues';
import { instantAt, type Happening } from '../core/run/events';
import { viewRun } from '../core/run/view';
import { demoCases, planDemo } from '../core/testing/demo-plan';
import { runOf, runUntil } from '../core/testing/some-run';
import { Played } from './played.svelte';

const [demo] = demoCases;
if (!demo) throw new RangeError('no demo');
const plan = planDemo(demo, 3000);
const at = (clock: number) => {
	const run = runUntil(runOf(plan), clock);
	return { run, view: viewRun(run, instantAt(run, clock)) };
};

/** A run at a clock time that plays an evening, and what it was told. */
function played(clock: number, training: { seed: number; mishaps: number } | undefined) {
	const told: Happening[] = [];
	const running = {
		...at(clock),
		training,
		train: () => undefined,
		tell: (happening: Happening) => void told.push(happening)
	};
	return { told, played: new Played(running, () => demo!.meal) };
}

test('the later it is, the more has gone wrong; without training nothing does', () => {
	const training = { seed: 5, mishaps: 8 };
	const clocks = [0.1, 0.4, 0.7, 0.95].map((share) => plan.from + share * (plan.to - plan.from));
	const wrong = clocks.map((clock) => played(clock, training).played.wrong.map((m) => m.id));
	wrong.slice(1).forEach((ids, i) => {
		expect(ids).toEqual(expect.arrayContaining(wrong[i]!));
	});
	expect(wrong.at(-1)!.length).toBeGreaterThan(3);
	expect(played(clocks[3]!, undefined).played.wrong).toEqual([]);
	for (const { at: when } of played(clocks[1]!, training).played.wrong) expect(when).toBeLessThanOrEqual(clocks[1]!);
});

test('a mishap is told once; the next evening begins with none taken', () => {
	const { told, played: evening } = played(plan.to - 900, { seed: 5, mishaps: 8 });
	const [first, ...others] = evening.wrong;
	evening.take(first!.id);
	evening.take(first!.id);
	expect(told).toEqual([first!.happening]);
	expect(evening.wrong.map((m) => m.id)).toEqual(others.map((m) => m.id));
	evening.begin(plan, { seed: 5, mishaps: 8 });
	expect(evening.wrong[0]?.id).toBe(first!.id);
});

test('what would be seen of a step is said at a look or an end only, and never goes back', () => {
	const order = ['far', 'half way', 'nearly', 'done'];
	const looks = cuesOf(plan).filter((c) => c.kind === 'look');
	expect(looks.length).toBeGreaterThan(0);
	for (const cue of looks.slice(0, 3)) {
		const step = plan.steps.find((s) => s.id === cue.step)!;
		const seen = [0.3, 0.6, 0.9].map((share) => {
			const clock = step.from + share * (step.to - step.from);
			return order.indexOf(played(clock, { seed: 2, mishaps: 0 }).played.seenOf(cue) ?? 'none');
		});
		expect(seen).toEqual(seen.toSorted((a, b) => a - b));
		expect(seen[0]).toBeGreaterThanOrEqual(0);
		expect(played(step.to - 60, { seed: 2, mishaps: 0 }).played.seenOf({ ...cue, kind: 'start' })).toBeUndefined();
		expect(played(step.to - 60, undefined).played.seenOf(cue)).toBeUndefined();
	}
});
