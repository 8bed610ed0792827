// What is told aloud: once for each run, in the ways that are on, which the device remembers.
import { expect, test } from 'vitest';
import { cuesOf } from '../core/run/cues';
import { demoCases, planDemo } from '../core/testing/demo-plan';
import { Announcing } from './announcing.svelte';
import type { SignalKind } from './signals';

const cues = cuesOf(planDemo(demoCases[1]!, 1500));
const listening = () => {
	const told: { text: string; on: readonly SignalKind[] }[] = [];
	return { told, announcing: new Announcing((text, on) => told.push({ text, on: [...on] })) };
};

test('a cue that stays due is not told with every tick, nor told to another run as told', () => {
	const { told, announcing } = listening();
	const i = cues.findIndex((c, k) => (cues[k + 1]?.at ?? Infinity) - c.at < 60);
	const due = cues.slice(i, i + 2);
	const at = due[1]!.at;
	for (let tick = 0; tick < 40; tick++) announcing.hear('one', due, at + tick / 4, (c) => c.id);
	expect(told.map((t) => t.text)).toEqual([due.map((c) => c.id).join('. ')]);
	expect(announcing.heard).toBe(told[0]!.text);
	announcing.hear('another', due, at, (c) => c.id);
	expect(told).toHaveLength(2);
});

test('ways are switched one by one, and told with', () => {
	const { told, announcing } = listening();
	expect([...announcing.on]).toEqual(['awake']);
	announcing.switch('voice');
	announcing.switch('awake');
	expect([...announcing.on]).toEqual(['voice']);
	announcing.hear('one', cues.slice(0, 1), cues[0]!.at, (c) => c.id);
	expect(told[0]!.on).toEqual(['voice']);
	announcing.switch('voice');
	expect([...announcing.on]).toEqual([]);
});
