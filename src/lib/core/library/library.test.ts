// The whole library: consistent, plannable where its stations are, refused where they are not, and moved the right way by
// everything that a cook knows of it.
import { describe, expect, test } from 'vitest';
import type { Kitchen, StationKind } from '../model/kitchen';
import { readKitchen } from '../model/kitchen';
import type { Part } from '../model/meal';
import { partKinds, readTechnique, type Step, type Technique } from '../model/technique';
import { amountsOf } from '../model/quantities';
import { spreadOf, usualOf } from '../timing/timing';
import { wordIssue } from '../words/issues';
import { wordReason } from '../words/reasons';
import { wordFilled, wordUnfilled } from '../words/steps';
import { compileMeal } from '../plan/compile/compile';
import { everything, mealOf } from '../testing/library-meal';
import { yielding } from '../foods/ingredients';
import { presets } from './kitchens';
import { library } from './library';

const techniques = [...library.values()];

const only = (technique: Technique, part: Partial<Part> = {}, covers = 4) =>
	mealOf([{ technique: technique.id, ahead: 'evening', ...part }], covers);

/** Usual seconds of each step of a technique, batches added up; the least of all places. */
function times(
	technique: Technique,
	{ part = {}, covers = 4, kitchen = everything }: { part?: Partial<Part>; covers?: number; kitchen?: Kitchen } = {}
) {
	const compiled = compileMeal(only(technique, part, covers), kitchen, library);
	if (!compiled.ok) throw new Error(compiled.issues.map(wordIssue).join(' '));
	const sums = new Map<string, number>();
	for (const { step, ways } of compiled.value.trace.steps.values()) {
		const id = step.id.replace(/-b\d+$/, '');
		sums.set(id, (sums.get(id) ?? 0) + Math.min(...ways.map((w) => usualOf(w.timing))));
	}
	return sums;
}

const weakened: Kitchen = {
	...everything,
	stations: everything.stations.map((s) => (s.kind === 'burner' ? { ...s, power: s.power - 1000 } : s))
};
const modelOf = (step: Step) => step.time.model?.kind;
/** Models whose time goes with the size and the start of the food. */
const cooking = new Set<string | undefined>(['boiled-egg', 'egg', 'roast', 'pan', 'immerse', 'bake', 'soften']);

test('there are more than sixty techniques, of every kind, and every vegetable can be cooked in more than one way', () => {
	expect(techniques.length).toBeGreaterThanOrEqual(60);
	expect(new Set(techniques.map((t) => t.kind))).toEqual(new Set(partKinds));
	const ways = (makes: string) => techniques.filter((t) => t.makes === makes).length;
	expect(ways('leeks')).toBe(4);
	for (const makes of [
		'steak',
		'fish fillet',
		'chicken breast',
		'boiled eggs',
		'poached eggs',
		'scrambled eggs',
		'omelette',
		'potatoes',
		'sprouts',
		'bacon',
		'flatbread'
	]) {
		expect(ways(makes), makes).toBeGreaterThan(1);
	}
	expect(new Set(techniques.map((t) => t.id)).size).toBe(techniques.length);
});

test.each(presets.map((p) => [p.name, p] as const))('%s is a consistent kitchen', (_, preset) => {
	const read = readKitchen({ ...preset.kitchen, id: preset.id, name: preset.name });
	expect(read.ok ? [] : read.issues.map(wordIssue)).toEqual([]);
});

describe.each(techniques.map((t) => [t.id, t] as const))('%s', (_, technique) => {
	test('is consistent, says when it is done, and names yields that there are', () => {
		const read = readTechnique(technique);
		expect(read.ok ? [] : read.issues.map(wordIssue)).toEqual([]);
		for (const { yields: row } of technique.ingredients ?? []) if (row) expect(yielding).toContain(row);
		for (const a of amountsOf(technique, {}, 4)) {
			expect(a.bought).toBeGreaterThanOrEqual(a.used - 1e-9);
			expect(a.bought).toBeGreaterThan(0);
		}
		const isCooked = technique.steps.some((s) => s.kind === 'cook');
		if (isCooked) expect(technique.steps.some((s) => s.sign !== undefined)).toBe(true);
	});

	test('compiles where its stations are, every time finite, in order and with a reason', () => {
		const compiled = compileMeal(only(technique), everything, library);
		expect(compiled.ok ? [] : compiled.issues.map(wordIssue)).toEqual([]);
		if (!compiled.ok) return;
		for (const { step, ways } of compiled.value.trace.steps.values()) {
			expect(ways.length).toBeGreaterThan(0);
			const able = ways.filter((w) => Number.isFinite(w.timing.mu));
			for (const { timing } of able) {
				const spread = spreadOf(timing);
				expect(spread.shortest).toBeGreaterThan(0);
				expect(spread.shortest).toBeLessThanOrEqual(spread.usual);
				expect(spread.usual).toBeLessThanOrEqual(spread.longest);
				const reason = timing.facts ? wordReason(timing.facts, timing.sigma) : {};
				for (const words of Object.values(reason)) expect(words).not.toMatch(/NaN|undefined/);
			}
			const texts = [
				step.say,
				step.sign ?? '',
				...(step.hands.kind === 'touches' ? step.hands.at.map((t) => t.say) : [])
			];
			for (const { timing } of able)
				for (const text of texts) expect(wordFilled(text, { peak: 74, ...timing })).not.toContain('{');
			for (const text of texts) expect(wordUnfilled(text)).not.toContain('{');
		}
	});

	const stations = [
		...new Set(
			technique.steps.flatMap((s) =>
				s.need && !s.when ? [s.need.kind === 'broiler' ? ('oven' as const) : s.need.kind] : []
			)
		)
	];
	test.each(stations.map((k) => [k]))('is refused without a %s, by name', (kind: StationKind) => {
		const gone = (s: Kitchen['stations'][number]) => s.kind === kind || (kind === 'burner' && s.kind === 'griddle');
		const without = { ...everything, stations: everything.stations.filter((s) => !gone(s)) };
		const compiled = compileMeal(only(technique), without, library);
		expect(compiled.ok).toBe(false);
		if (compiled.ok) return;
		const words = compiled.issues.map(wordIssue).join(' ');
		expect(words).toContain(technique.name);
		expect(words).toMatch(/Add one to the kitchen/);
	});

	const before = times(technique);
	const parameter = (id: string) => technique.parameters.find((p) => p.id === id);
	const by = (p: { id: string; usual: number }, change: number) => ({
		part: { settings: { [p.id]: p.usual + change } }
	});
	const ofModel =
		(...kinds: string[]) =>
		(s: Step) =>
			kinds.includes(modelOf(s) ?? '');
	const isCooking = (s: Step) => cooking.has(modelOf(s));
	const changes: readonly (readonly [
		what: string,
		moved: (s: Step) => boolean,
		by: Parameters<typeof times>[1],
		sign: 1 | -1
	])[] = [
		...technique.parameters
			.filter((p) => p.unit === 'mm' || p.unit === 'g')
			.map((p) => [`longer the more ${p.name.toLowerCase()}`, isCooking, by(p, 0.3 * (p.most - p.usual)), 1] as const),
		...[parameter('start')].flatMap((p) =>
			p
				? [['longer the colder it starts', (s: Step) => isCooking(s) || modelOf(s) === 'temper', by(p, -3), 1] as const]
				: []
		),
		...[parameter('peak')].flatMap((p) =>
			p ? [['longer the further it goes', isCooking, by(p, 0.3 * (p.most - p.usual)), 1] as const] : []
		),
		['longer for more people', (s: Step) => s.hands.kind === 'whole' || ofModel('boil', 'reduce')(s), { covers: 9 }, 1],
		['softer later, high up', ofModel('soften', 'boiled-egg'), { kitchen: { ...everything, altitude: 2500 } }, 1],
		['boiling sooner, high up', ofModel('boil'), { kitchen: { ...everything, altitude: 2500 } }, -1],
		['hot later on weaker burners', ofModel('boil', 'hot-pan', 'reduce'), { kitchen: weakened }, 1]
	];
	const applicable = changes.filter(([, moved]) => technique.steps.some((s) => before.has(s.id) && moved(s)));
	test.each(applicable.map((c) => [...c] as const))('is %s', (what, moved, change, sign) => {
		const after = times(technique, change);
		for (const step of technique.steps.filter(moved)) {
			const [a, b] = [before.get(step.id), after.get(step.id)];
			// A choice, or a batch more, may bring other steps.
			if (a === undefined || b === undefined) continue;
			expect(sign * (b - a), `${step.say}: ${what}`).toBeGreaterThanOrEqual(-1);
		}
		const sum = (m: ReadonlyMap<string, number>) =>
			technique.steps.filter(moved).reduce((t, s) => t + (m.get(s.id) ?? 0), 0);
		expect(sign * (sum(after) - sum(before)), what).toBeGreaterThanOrEqual(0);
	});
});

test('every named value of a parameter lies within what it may be', () => {
	for (const t of library.values())
		for (const p of t.parameters)
			for (const { value, say } of p.options ?? [])
				expect(value >= p.least && value <= p.most, `${t.id} ${p.id}: ${say} is ${value}`).toBe(true);
});
