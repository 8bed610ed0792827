// @vitest-environment ./src/lib/state/testing/client-environment.ts
// Backups in the application: all of it goes out, and comes back in an empty browser; ways to bring it back; when a cook is reminded.
import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { withCovers } from '../core/model/edit-meal';
import { demoMeals } from '../core/library/demo';
import { library } from '../core/library/library';
import { examplesOf } from '../core/record/pretend';
import { demoCases, planDemo } from '../core/testing/demo-plan';
import { runOf, runUntil } from '../core/testing/some-run';
import { App } from './app.svelte';
import { fakePlanner, settledAfter } from './testing/fakes';
import { withMealArchived, withNewMeal } from './table';

const [supper] = demoCases as [(typeof demoCases)[number]];
const demo = planDemo(supper, 2000);
let open: App[] = [];

async function browser(): Promise<App> {
	const app = new App(demo, () => fakePlanner());
	open.push(app);
	await app.start();
	return app;
}
const elsewhere = () => {
	empty();
	return browser();
};
/** A browser with nothing in it. */
function empty(): void {
	globalThis.indexedDB = new IDBFactory();
	const words = new Map<string, string>();
	vi.stubGlobal('localStorage', {
		getItem: (key: string) => words.get(key) ?? null,
		setItem: (key: string, word: string) => void words.set(key, word),
		removeItem: (key: string) => void words.delete(key)
	});
}
const warnings = (app: App) => app.notices.list.filter((n) => n.about === 'backup').map((n) => n.text);
const file = (text: string) => new File([text], 'all.backup.json');

beforeEach(empty);
afterEach(() => {
	for (const app of open) app.stop();
	open = [];
	vi.restoreAllMocks();
	vi.unstubAllGlobals();
});

/** A browser with something of everything. */
async function lived(): Promise<App> {
	const app = await browser();
	app.changeTable((table) => withNewMeal(table, 'Birthday'));
	await app.record.take(examplesOf(supper.meal, supper.kitchen, library, demo, Date.UTC(2026, 10, 20)));
	await app.record.addPicture(app.record.evenings[0]!.id, new Blob(['a picture'], { type: 'image/jpeg' }));
	const run = runUntil(runOf(demo), demo.from + 1800);
	app.runs?.keepHead(run);
	for (const e of run.events) app.runs?.add(run.run, e);
	await settledAfter(420);
	return app;
}

test('all that there is goes out, and is there in an empty browser', async () => {
	const { text } = await (await lived()).backups.save();
	const app = await elsewhere();
	await app.importFile(file(text));
	const { looked } = app.backups;
	expect(looked?.differences.find((d) => d.kind === 'meals')).toMatchObject({
		fresh: ['Birthday'],
		other: [],
		mine: []
	});
	expect(looked).toMatchObject({ runs: 1, pictures: 1, unread: [] });
	// To look changes nothing.
	expect(app.meals.some((m) => m.name === 'Birthday')).toBe(false);
	await app.backups.bringBack('merge');
	expect(app.meals.some((m) => m.name === 'Birthday')).toBe(true);
	expect(app.record.evenings).toHaveLength(10);
	const run = await app.runs?.load(supper.meal.id);
	expect(run?.events.length).toBeGreaterThan(0);
	await settledAfter(420);
	const again = await browser();
	expect(again.meals.some((m) => m.name === 'Birthday')).toBe(true);
	await again.record.read();
	const said = again.record.evenings.flatMap((e) => e.said.flatMap((s) => (s.kind === 'picture' ? [s.picture] : [])));
	expect(said).toHaveLength(1);
	expect(await (await again.record.picture(said[0]!))?.text()).toBe('a picture');
	// Brought back once more, nothing is there twice.
	await again.importFile(file(text));
	for (const d of again.backups.looked!.differences)
		expect([d.kind, d.fresh, d.other, d.mine]).toEqual([d.kind, [], [], []]);
});

test('where both have it otherwise: what is here stays, or the backup’s comes, or what is here only is put away; undone at once', async () => {
	const app = await browser();
	const { text } = await app.backups.save();
	const [first] = demoMeals;
	const here = (a: App) => a.meals.find((m) => m.id === first!.id)!;
	app.openMeal(first!.id);
	app.changeMeal(withCovers(here(app), 11));
	app.changeTable((table) => withNewMeal(table, 'Mine'));
	app.changeTable((table) => ({
		...table,
		kitchens: [...table.kitchens, { ...table.kitchens[0]!, id: 'mine', name: 'Mine' }],
		techniques: [...table.techniques, { ...library.values().next().value!, id: 'mine', name: 'Mine' }]
	}));
	for (const [way, covers, isAway] of [
		['merge', 11, false],
		['theirs', first!.covers, false],
		['replace', first!.covers, true]
	] as const) {
		await app.importFile(file(text));
		expect(app.backups.looked!.differences[0]).toMatchObject({ other: [first!.name], mine: ['Mine'] });
		await app.backups.bringBack(way);
		expect([way, here(app).covers]).toEqual([way, covers]);
		expect(app.history.now.meals.find((m) => m.name === 'Mine')?.archived ?? false).toBe(isAway);
		for (const list of [app.history.now.kitchens, app.history.now.techniques])
			expect(list.find((x) => x.id === 'mine')?.archived ?? false).toBe(isAway);
		expect(app.meal.archived ?? false).toBe(false);
		expect(app.kitchen.archived ?? false).toBe(false);
		app.undo();
		expect(here(app).covers).toBe(11);
	}
});

test('what is no backup is said, and nothing changes', async () => {
	const app = await browser();
	const before = app.history.now;
	await app.importFile(file('{"format":"juntos-backup","version":1'));
	expect(app.backups.looked).toBeUndefined();
	expect(app.backups.why.join()).toMatch(/JSON/);
	await app.importFile(file('{"format":"juntos-backup","version":3}'));
	expect(app.backups.why.join()).toMatch(/newer Juntos/);
	await app.backups.bringBack('replace');
	expect(app.history.now).toBe(before);
});

test('a cook who has much to lose, and never saved it, is reminded; not twice in a week, and not once it was saved', async () => {
	expect(warnings(await browser())).toEqual([]);
	const app = await browser();
	for (let i = 0; i < 5; i++) app.changeTable((table) => withNewMeal(table, `Meal ${i}`));
	await settledAfter(420);
	const later = await browser();
	expect(warnings(later).join()).toMatch(/^5 meals of your own lie in this browser alone/);
	expect(warnings(await browser())).toEqual([]);
	vi.spyOn(Date, 'now').mockReturnValue(Date.now() + 8 * 86_400_000);
	const nextWeek = await browser();
	expect(warnings(nextWeek)).toHaveLength(1);
	await nextWeek.backups.save();
	vi.spyOn(Date, 'now').mockReturnValue(Date.now() + 80 * 86_400_000);
	expect(warnings(await browser())).toEqual([]);
});

test('a meal in a link comes beside one that was changed here', async () => {
	const app = await browser();
	const link = await app.link();
	app.changeMeal(withCovers(app.meal, 9));
	expect(await app.takeLink(link!)).toBe(true);
	expect(app.meals.filter((m) => m.id.startsWith(supper.meal.id)).map((m) => m.covers)).toEqual([
		9,
		supper.meal.covers
	]);
	expect(app.meal.name).toMatch(/from a link$/);
	expect(await app.takeLink(link!.slice(0, 40))).toBe(false);
	// Put away, it does not come back by itself.
	app.changeTable(withMealArchived);
	expect(app.meal.name).not.toMatch(/from a link$/);
});
