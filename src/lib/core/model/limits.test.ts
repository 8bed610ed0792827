// Limits of techniques: what ships keeps them, what breaks them is refused with its reason, and nothing that is read stops the
// planner.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { library } from '../library/library';
import { compileMeal } from '../plan/compile/compile';
import { everything, mealOf } from '../testing/library-meal';
import { wordIssue } from '../words/issues';
import { readMeal } from './meal';
import { readTechnique, type Technique } from './technique';

const carrots = library.get('carrots-glaze')!;
const wedges = library.get('potato-wedges')!;
const changed = (t: Technique, change: (step: Technique['steps'][number]) => object): unknown => ({
	...t,
	id: 'own',
	steps: t.steps.map((s) => ({ ...s, ...change(s) }))
});
const words = (data: unknown) => {
	const read = readTechnique(data);
	return read.ok ? '' : read.issues.map(wordIssue).join('\n');
};

test('every technique of the library keeps them', () => {
	for (const t of library.values()) expect(words(t), t.id).toBe('');
});

test.each([
	[
		'a length of 0',
		changed(wedges, (s) => (s.load ? { load: { ...s.load, length: 0 } } : {})),
		/load\.length: comes to 0; it must be a millimetre to a metre/
	],
	[
		'10,000 pieces',
		changed(wedges, (s) => (s.load ? { load: { ...s.load, pieces: 10_000 } } : {})),
		/pieces: comes to 10000; .*no evening’s work/
	],
	[
		'a factor of 100',
		changed(carrots, () => ({
			time: { shortest: 60, usual: 90, longest: 120, scale: [{ by: 'covers', at: 0.1, exponent: 2 }] }
		})),
		/scales the time by .* between 1\/50 and 50/
	],
	[
		'a core of 5,000 °C',
		{
			...carrots,
			id: 'own',
			steps: [
				{
					id: 'a',
					say: 'Burn',
					kind: 'cook',
					hands: { kind: 'none' },
					after: [],
					time: { model: { kind: 'temper', food: 'lean meat', thickness: 0.03, start: 5, core: 5000 } }
				}
			],
			plate: { ...carrots.plate, step: 'a' },
			vessels: [],
			ingredients: []
		},
		/core: comes to 5000; .*no kitchen/
	],
	[
		'hands every half minute for a week',
		changed(carrots, () => ({
			time: { shortest: 600_000, usual: 600_000, longest: 600_000 },
			hands: { kind: 'touches', at: [], every: { interval: 30, seconds: 5, say: 'Stir' } }
		})),
		/would call for hands 20000 times/
	]
])('%s is refused, with the place and the reason', (_, technique, reason) => {
	expect(words(technique)).toMatch(reason);
});

describe('whatever numbers a technique of one’s own has', () => {
	const wild = fc.oneof(
		fc.double({ noNaN: true, min: -1e6, max: 1e6 }),
		fc.constantFrom(0, -1, 1e-9, 1e300, 100, 10_000)
	);
	test('it is refused, or it compiles soon; and no throw', () => {
		let read = 0;
		fc.assert(
			fc.property(fc.constantFrom(...library.values()), wild, fc.nat(), (t, value, which) => {
				const holders: Record<string, unknown>[] = [];
				const copy = JSON.parse(JSON.stringify({ ...t, id: 'own' })) as Technique;
				for (const s of copy.steps)
					for (const of of [s.time, s.time.model, s.load, ...(s.time.scale ?? [])]) if (of) holders.push(of);
				const holder = holders[which % Math.max(1, holders.length)];
				if (!holder) return;
				const numeric = Object.keys(holder).filter(
					(k) => typeof holder[k] === 'number' || (holder[k] as { times?: number } | null)?.times !== undefined
				);
				const key = numeric[which % Math.max(1, numeric.length)];
				if (key === undefined) return;
				if (typeof holder[key] === 'number') holder[key] = value;
				else (holder[key] as { times: number }).times = value;
				const result = readTechnique(JSON.parse(JSON.stringify(copy)));
				if (!result.ok) {
					for (const issue of result.issues) expect(wordIssue(issue).length).toBeGreaterThan(10);
					return;
				}
				read++;
				const meal = { ...mealOf([{ technique: 'own' }], 60), own: [result.value] };
				const compiled = compileMeal(meal, everything, new Map([...library, ['own', result.value]]));
				if (compiled.ok) expect(compiled.value.problem.tasks.length).toBeLessThan(3000);
				else expect(compiled.issues.map(wordIssue).join('')).not.toMatch(/NaN|undefined/);
			}),
			{ numRuns: 400, seed: 5 }
		);
		expect(read).toBeGreaterThan(20);
	});
});

test('a service that is no later on the clock than the work begins is on the day after, and is taken as it is', () => {
	const meal = {
		...mealOf([{ technique: 'carrots-glaze' }]),
		earliest: 20 * 3600,
		courses: [{ id: 'c', name: 'Late', service: 1800 }]
	};
	expect(readMeal(JSON.parse(JSON.stringify(meal)), library)).toEqual({ ok: true, value: meal });
	const compiled = compileMeal(meal, everything, library);
	if (!compiled.ok) throw new Error(compiled.issues.map(wordIssue).join(' '));
	expect(compiled.value.problem.services[0]?.due).toBe(4.5 * 3600);
	for (const earliest of [0, 23 * 3600, 86_399])
		expect(readMeal({ ...meal, earliest, courses: [{ id: 'c', name: 'x', service: earliest }] }, library).ok).toBe(
			true
		);
});
