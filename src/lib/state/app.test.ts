// @vitest-environment ./src/lib/state/testing/client-environment.ts
// What the application holds and keeps: over reloads, in two tabs, with files from anywhere, and where nothing is kept at all.
import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { openDB } from 'idb';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { writeFile, writeTechnique } from '../core/formats/juntos/juntos';
import { demoKitchens, demoMeals } from '../core/library/demo';
import { library } from '../core/library/library';
import { withCovers } from '../core/model/edit-meal';
import { copyOf } from '../core/model/edit-technique';
import { planDemo, demoCases } from '../core/testing/demo-plan';
import { App } from './app.svelte';
import { fakePlanner, settledAfter, until } from './testing/fakes';
import { withTechniqueKept } from './table';

const [supper] = demoCases as [(typeof demoCases)[number]];
const demo = planDemo(supper, 2000);
let open: App[] = [];

async function tab(): Promise<App> {
	const app = new App(demo, () => fakePlanner());
	open.push(app);
	await app.start();
	return app;
}
/** All that was to be saved is saved, and told to the other tabs. */
const settle = () => settledAfter(420);
const texts = (app: App) => app.notices.list.map((n) => [n.text, ...n.details].join(' '));
const file = (text: string, name = 'some.juntos.json') => new File([text], name);
const cover = (app: App, covers: number) => {
	app.changeMeal(withCovers(app.meal, covers));
};

beforeEach(() => {
	globalThis.indexedDB = new IDBFactory();
});
afterEach(() => {
	for (const app of open) app.stop();
	open = [];
	vi.restoreAllMocks();
});

describe('over reloads', () => {
	test('a first visit has the demo meals, and keeps them', async () => {
		const app = await tab();
		expect(app.isReady).toBe(true);
		expect(app.meals.map((m) => m.id)).toEqual(demoMeals.map((m) => m.id));
		await settle();
		const again = await tab();
		const byId = (a: { id: string }, b: { id: string }) => a.id.localeCompare(b.id);
		expect(again.meals.toSorted(byId)).toEqual(app.meals.toSorted(byId));
		expect(again.kept).toEqual([]);
	});

	test('what is changed is planned, saved, and there again', async () => {
		const app = await tab();
		cover(app, 3);
		await until(() => app.planning.plan.covers === 3);
		expect(app.planning.plan.covers).toBe(3);
		await settle();
		const again = await tab();
		expect(again.meal.covers).toBe(3);
		await until(() => again.planning.plan.covers === 3);
		expect(again.planning.isCurrent).toBe(true);
	});

	test('a page that goes away saves first', async () => {
		const app = await tab();
		cover(app, 9);
		app.flush();
		await settle();
		expect((await tab()).meal.covers).toBe(9);
	});

	test('undo and redo go over everything, and what they lead to is saved', async () => {
		const app = await tab();
		const before = app.meal.covers;
		for (const n of [2, 4, 8]) cover(app, n);
		app.undo();
		app.undo();
		expect(app.meal.covers).toBe(2);
		app.redo();
		await settle();
		expect((await tab()).meal.covers).toBe(4);
		app.undo();
		app.undo();
		expect(app.meal.covers).toBe(before);
		app.resetDemo();
		expect(app.meal).toEqual(demoMeals[0]);
	});
});

describe('two tabs', () => {
	test('what one saves the other has, and may undo', async () => {
		const [a, b] = [await tab(), await tab()];
		await settle();
		cover(a, 7);
		await settle();
		await until(() => b.meal.covers === 7);
		expect(b.meal.covers).toBe(7);
		expect(texts(b).join()).toContain('changed in another tab');
		b.undo();
		await settle();
		await until(() => a.meal.covers !== 7);
		expect(a.meal.covers).toBe(demoMeals[0]?.covers);
	});

	/** Both change the same meal before either hears of the other. */
	async function clashed(): Promise<readonly [App, App]> {
		const [a, b] = [await tab(), await tab()];
		await settle();
		cover(a, 5);
		cover(b, 11);
		a.flush();
		await settle();
		b.flush();
		await until(() => a.clash !== undefined || b.clash !== undefined);
		await settle();
		return b.clash ? [a, b] : [b, a];
	}

	test('that change the same meal are asked; “keep mine” saves mine, and undo brings theirs', async () => {
		const [first, second] = await clashed();
		const [theirs, mine] = [first.meal.covers, second.meal.covers];
		expect(second.clash?.name).toBe(second.meal.name);
		expect(new Set([theirs, mine])).toEqual(new Set([5, 11]));
		second.settleClash('mine');
		expect(second.clash).toBeUndefined();
		expect(second.meal.covers).toBe(mine);
		await settle();
		expect((await tab()).meal.covers).toBe(mine);
		second.undo();
		expect(second.meal.covers).toBe(theirs);
	});

	test('“take the other” has theirs, and undo brings mine', async () => {
		const [first, second] = await clashed();
		const mine = second.meal.covers;
		second.settleClash('theirs');
		expect(second.meal.covers).toBe(first.meal.covers);
		second.undo();
		expect(second.meal.covers).toBe(mine);
		await settle();
		expect((await tab()).meal.covers).toBe(mine);
	});

	test('what is changed while the bar is open is kept', async () => {
		const [, second] = await clashed();
		cover(second, 23);
		second.changeMeal({ ...second.meal, name: 'Changed meanwhile' });
		second.settleClash('mine');
		expect(second.meal).toMatchObject({ covers: 23, name: 'Changed meanwhile' });
		await settle();
		expect((await tab()).meal).toMatchObject({ covers: 23, name: 'Changed meanwhile' });
	});
});

describe('files', () => {
	const [meal, kitchen] = [demoMeals[0]!, demoKitchens[0]!];

	test('a kitchen that is there and differs stays; the one from the file comes beside it, with its meal', async () => {
		const app = await tab();
		const other = { ...kitchen, altitude: 1234 };
		await app.importFile(file(writeFile({ ...meal, id: 'sent', name: 'Sent' }, other)));
		expect(app.meal.name).toBe('Sent');
		expect(app.kitchen.altitude).toBe(1234);
		expect(app.kitchen.id).not.toBe(kitchen.id);
		expect(app.history.now.kitchens.find((k) => k.id === kitchen.id)).toEqual(kitchen);
		expect(texts(app).join()).toContain('beside yours');
		app.undo();
		expect(app.history.now.kitchens.some((k) => k.altitude === 1234)).toBe(false);
	});

	test('the same kitchen is not taken twice', async () => {
		const app = await tab();
		await app.importFile(file(writeFile({ ...meal, id: 'sent', name: 'Sent' }, kitchen)));
		expect(app.history.now.kitchens).toHaveLength(demoKitchens.length);
		expect(app.kitchen.id).toBe(kitchen.id);
	});

	test('what is exported can be imported, a technique too', async () => {
		const app = await tab();
		const exported = app.exportFile();
		const own = { ...copyOf(library.get('carrots-glaze')!, [...library.keys()]), name: 'My carrots' };
		const sent = app.exportTechnique(own);
		expect(sent.name).toMatch(/\.juntos\.json$/);
		expect(sent.text).toBe(writeTechnique(own));
		await app.importFile(file(sent.text));
		expect(app.history.now.techniques).toEqual([own]);
		await app.importFile(file(exported.text));
		expect(app.meal).toEqual(meal);
		await settle();
		expect((await tab()).history.now.techniques).toEqual([own]);
	});

	test.each([
		['too large', 'x'.repeat(2_100_000), /2\.1 MB, and at most 2\.0 MB/],
		['no JSON', '{"format":', /not JSON/],
		['of a stranger', '{"format":"recipe","version":1}', /expected "juntos-file"/],
		[
			'a meal for a kitchen that is not there',
			JSON.stringify({ ...meal, kitchen: 'elsewhere' }),
			/"elsewhere" is not among your kitchens/
		],
		[
			'with many faults',
			JSON.stringify({ ...meal, parts: meal.parts.map((p) => ({ ...p, tone: 99 })) }),
			/… and \d+ more\./
		]
	])('one that is %s is refused with the reason, and nothing changes', async (_, text, words) => {
		const app = await tab();
		const before = app.history.now;
		await app.importFile(file(text));
		expect(texts(app).join()).toMatch(words);
		expect(app.history.now).toBe(before);
	});
});

describe('what cannot be read', () => {
	const broken = { id: 'odd', revision: 3, savedAt: 0, value: { ...demoMeals[0]!, id: 'odd', covers: 'six' } };

	test('is kept aside, told once, and comes back in by hand once it is mended', async () => {
		const first = await tab();
		await settle();
		first.stop();
		const db = await openDB('juntos');
		await db.put('meals', broken);
		db.close();
		const app = await tab();
		expect(app.kept.map((k) => k.record)).toEqual([broken]);
		expect(texts(app).join()).toMatch(/kept aside.*covers/);
		expect(app.meals.some((m) => m.id === 'odd')).toBe(false);
		// As it was downloaded it is refused with its reason; mended, it is a meal again.
		await app.importFile(file(JSON.stringify(broken)));
		expect(app.meals.some((m) => m.id === 'odd')).toBe(false);
		await app.importFile(file(JSON.stringify({ ...broken, value: { ...broken.value, covers: 6 } })));
		expect(app.meals.find((m) => m.id === 'odd')?.covers).toBe(6);
	});

	test('comes back by itself when this version can read it', async () => {
		const first = await tab();
		await settle();
		first.stop();
		const db = await openDB('juntos');
		const record = {
			...broken,
			value: { ...broken.value, covers: 6, earliest: 82_800, courses: demoMeals[0]!.courses }
		};
		await db.put('kept', { key: 'meals/odd/1', store: 'meals', record, why: ['old'], keptAt: 1 });
		db.close();
		const app = await tab();
		expect(app.meals.find((m) => m.id === 'odd')?.earliest).toBe(82_800);
		expect(app.kept).toEqual([]);
		expect(texts(app).join()).toContain('is back');
	});
});

describe('where nothing is kept', () => {
	test('denied: it says so, and plans in memory', async () => {
		Object.defineProperty(globalThis, 'indexedDB', { value: undefined, configurable: true, writable: true });
		const app = await tab();
		expect(app.isReady).toBe(true);
		expect(texts(app).join()).toMatch(/does not let Juntos keep data/);
		cover(app, 2);
		await until(() => app.planning.plan.covers === 2);
		expect(app.planning.plan.covers).toBe(2);
		expect(app.runs).toBeUndefined();
	});

	test('full: it says so once, and saves when there is room', async () => {
		const app = await tab();
		await settle();
		const full = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
			throw new DOMException('no room', 'QuotaExceededError');
		});
		cover(app, 12);
		await settle();
		cover(app, 13);
		await settle();
		expect(texts(app).filter((t) => t.includes('full'))).toHaveLength(1);
		full.mockRestore();
		cover(app, 14);
		await settle();
		expect((await tab()).meal.covers).toBe(14);
		// What it was told for is over.
		expect(texts(app).filter((t) => t.includes('full'))).toEqual([]);
	});

	test('taken away by a newer version: it says so, and what is changed is planned on', async () => {
		const app = await tab();
		await settle();
		(await openDB('juntos', 99)).close();
		await until(() => texts(app).length > 0);
		expect(texts(app).join()).toMatch(/newer Juntos is open in another tab/);
		cover(app, 5);
		await until(() => app.planning.plan.covers === 5);
		expect(app.planning.plan.covers).toBe(5);
	});

	test('a browser that remembers no words has metric units, and follows a choice', async () => {
		const app = await tab();
		expect(app.measure.now).toBe('metric');
		app.measure.choose('us');
		expect(app.planning.spoken.steps.some((s) => s.heat.includes('°F'))).toBe(true);
		expect(JSON.stringify(app.planning.spoken.steps.map((s) => s.heat))).not.toContain('°C');
	});
});

test('what is kept of the cook’s own is undone like everything else', async () => {
	const app = await tab();
	const own = copyOf(library.get('rice-absorbed')!, [...library.keys()]);
	app.changeTable((table) => withTechniqueKept(table, own));
	expect(app.techniques.get(own.id)).toEqual(own);
	app.undo();
	expect(app.techniques.has(own.id)).toBe(false);
	app.openMeal(demoMeals[1]!.id);
	expect(app.meal.id).toBe(demoMeals[1]!.id);
	expect(app.situation().techniques.length).toBeGreaterThan(0);
});
