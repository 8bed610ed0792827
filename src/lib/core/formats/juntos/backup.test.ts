// Backups: what is written is read, one broken thing does not spoil the rest, and what they would change is said before.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoKitchens, demoMeals } from '../../library/demo';
import { library } from '../../library/library';
import { examplesOf } from '../../record/pretend';
import { demoCases, planDemo } from '../../testing/demo-plan';
import { runOf, runUntil } from '../../testing/some-run';
import { wordIssue } from '../../words/issues';
import { differencesOf, isBackup, readBackup, restored, writeBackup, type Backup, type Way } from './backup';

const [demo] = demoCases as [(typeof demoCases)[number]];
const plan = planDemo(demo, 2000);
const today = { date: '2026-11-27', zone: 'Europe/Lisbon' };
const technique = { ...[...library.values()][0]!, id: 'my-own' };
const full: Backup = {
	savedAt: 1_790_000_000_000,
	meals: demoMeals,
	kitchens: demoKitchens,
	techniques: [technique],
	runs: [runUntil(runOf(plan), plan.from + 1800)],
	evenings: JSON.parse(
		JSON.stringify(examplesOf(demo.meal, demo.kitchen, library, plan, Date.UTC(2026, 10, 20)))
	) as Backup['evenings'],
	pictures: [{ id: 'p', evening: 'e', data: 'data:image/jpeg;base64,AAAA' }],
	settings: { measure: 'us' }
};
const read = (data: unknown) => readBackup(data, library, today);
const value = (backup: Backup) => JSON.parse(writeBackup(backup)) as Record<string, unknown[]>;

test('written, then read, is the same; its first words tell what it is', () => {
	expect(read(value(full))).toEqual({ ok: true, value: { backup: full, unread: [] } });
	expect(isBackup(writeBackup(full))).toBe(true);
	expect(isBackup('{"format":"juntos-file"}')).toBe(false);
});

test('one thing that is broken is named with its place, and the rest is there', () => {
	const data = value(full);
	data.meals = [{ ...(data.meals![0] as object), covers: 'six' }, ...data.meals!.slice(1)];
	data.evenings = [7, ...data.evenings!];
	const found = read(data);
	if (!found.ok) throw new Error('not read');
	expect(found.value.backup.meals).toEqual(full.meals.slice(1));
	expect(found.value.backup.evenings).toEqual(full.evenings);
	expect(found.value.unread.map(wordIssue).join('\n')).toMatch(/meals\[?\.?0.*covers/);
	expect(found.value.unread).toHaveLength(2);
});

test('runs of a version before are upgraded on the way', () => {
	const { format, id, plan: planned } = full.runs[0]!;
	const old = { format, id, plan: planned, version: 1, events: [{ kind: 'done', cue: 'x', at: plan.from + 60 }] };
	const found = read({ ...value(full), runs: [old] });
	if (!found.ok) throw new Error('not read');
	expect(found.value.unread).toEqual([]);
	expect(found.value.backup.runs[0]).toMatchObject({ version: 2, ...today });
});

describe('what is no backup', () => {
	test.each([
		['a newer one', { ...value(full), version: 9 }, 'newer Juntos'],
		['another format', { ...value(full), format: 'juntos-meal' }, 'format'],
		[
			'a picture from elsewhere',
			{ ...value(full), pictures: [{ id: 'p', evening: 'e', data: 'https://x' }] },
			'pictures'
		],
		['a word', 'backup', 'object']
	])('%s is refused, with why', (_, data, words) => {
		const found = read(data);
		expect(found.ok).toBe(false);
		if (!found.ok) expect(found.issues.map(wordIssue).join('\n')).toContain(words);
	});

	test('nor is anything at all an error', () => {
		fc.assert(
			fc.property(fc.jsonValue(), (data) => {
				expect(read(data).ok).toBe(false);
			}),
			{ numRuns: 200, seed: 8 }
		);
	});
});

test('what is different is named: what would come, what is the same, what differs, what is here only', () => {
	const here = {
		...full,
		meals: [{ ...full.meals[0]!, covers: 7 }, full.meals[1]!, { ...full.meals[2]!, id: 'mine', name: 'Mine' }],
		techniques: []
	};
	const [meals, kitchens, techniques] = differencesOf(full, here);
	expect(meals).toEqual({
		kind: 'meals',
		fresh: full.meals.slice(2).map((m) => m.name),
		same: [full.meals[1]!.name],
		other: [full.meals[0]!.name],
		mine: ['Mine']
	});
	expect(kitchens!.same).toHaveLength(full.kitchens.length);
	expect(techniques!.fresh).toEqual([technique.name]);
	// The order of fields says nothing.
	const turned = full.meals.map((m) => Object.fromEntries(Object.entries(m).toReversed()) as typeof m);
	expect(differencesOf({ ...full, meals: turned }, full)[0]!.other).toEqual([]);
});

test('brought back: nothing is lost, nothing is there twice, and twice is as once', () => {
	const things = fc.uniqueArray(fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd', 'e', 'f'), n: fc.nat(3) }), {
		selector: (x) => x.id
	});
	fc.assert(
		fc.property(things, things, fc.constantFrom<Way>('merge', 'theirs', 'replace'), (mine, theirs, way) => {
			const after = restored(mine, theirs, way, (x) => ({ ...x, n: -1 }));
			const ids = after.map((x) => x.id);
			expect(new Set(ids).size).toBe(ids.length);
			expect(new Set(ids)).toEqual(new Set([...mine, ...theirs].map((x) => x.id)));
			for (const x of theirs) {
				const here = mine.find((m) => m.id === x.id);
				expect(after.find((y) => y.id === x.id)).toEqual(way === 'merge' && here ? here : x);
			}
			for (const x of mine.filter((m) => !theirs.some((t) => t.id === m.id)))
				expect(after.find((y) => y.id === x.id)!.n).toBe(way === 'replace' ? -1 : x.n);
			expect(restored(after, theirs, way, (x) => x)).toEqual(after);
		}),
		{ numRuns: 200, seed: 4 }
	);
});
