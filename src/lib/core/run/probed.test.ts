// A planned step as a probe's stream is read against: with nothing read it says what the plan says.
import { describe, expect, test } from 'vitest';
import { nothingKnown, pullFor } from '../probe/curve';
import { mealOf, planned } from '../testing/library-meal';
import { undoable, type RunEvent } from './events';
import { mayBeProbed, probedAs, readingsIn } from './probed';

describe.each(['large-roast', 'steak-pan', 'pork-loin-roast', 'salmon-low-oven'])('%s', (technique) => {
	const plan = planned(mealOf([{ technique }]), undefined, 1500);
	const [step] = plan.steps.filter((s) => mayBeProbed(s, plan.steps));

	test('its step may have a probe; pulled as it is planned, it is where the plan says, and peaks there', () => {
		expect(step).toBeDefined();
		const asked = probedAs(step!)!;
		const found = pullFor(asked, nothingKnown, asked.rest, asked.peak);
		const length = step!.to - step!.from;
		expect(Math.abs(found.at - length)).toBeLessThan(60 + 0.06 * length);
		expect(Math.abs(found.core - step!.pull!)).toBeLessThan(2.5);
	});
});

test('a bird, what was seared before, a vegetable and a rest have none', () => {
	const plan = planned(
		mealOf([{ technique: 'chicken-whole-roast' }, { technique: 'carrots-roast' }, { technique: 'duck-breast' }]),
		undefined,
		1500
	);
	for (const s of plan.steps) if (!s.id.endsWith('/sear')) expect(mayBeProbed(s, plan.steps), s.id).toBe(false);
});

test('readings are those since the step began, in its own seconds', () => {
	const readings = new Map([
		[
			'duck',
			[
				[100, 20],
				[200, 25],
				[260, 30]
			] as const
		]
	]);
	expect(readingsIn({ part: 'duck', from: 200 }, readings)).toEqual([
		[0, 25],
		[60, 30]
	]);
	expect(readingsIn({ part: 'beans', from: 0 }, readings)).toEqual([]);
});

test('a tap is taken back though a probe has read on since', () => {
	const done: RunEvent = { kind: 'done', cue: 'c', id: 'a', at: 1, by: 'x' };
	const reading: RunEvent = { kind: 'reading', part: 'p', celsius: 20, id: 'b', at: 2, by: 'x' };
	expect(undoable([done, reading])).toBe(done);
	expect(undoable([reading])).toBeUndefined();
});
