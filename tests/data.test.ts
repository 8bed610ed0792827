// What the browser keeps: files out and in, broken ones refused, two tabs, a broken record, no network.
import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { expect, listen, open, planned, test } from './test';

const file = (text: string, name = 'supper.juntos.json') => ({
	name,
	mimeType: 'application/json',
	buffer: Buffer.from(text)
});

test('a meal goes out as a file and comes in again', async ({ page }) => {
	await open(page, '/menu');
	await page.getByText('Files', { exact: true }).click();
	const [saved] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('button', { name: /^Export/ }).click()
	]);
	const text = await readFile(await saved.path(), 'utf8');
	expect(saved.suggestedFilename()).toBe('harvest-supper.juntos.json');
	const changed = JSON.parse(text) as { meal: { id: string; name: string } };
	Object.assign(changed.meal, { id: 'second-supper', name: 'Second supper' });
	await page.getByLabel('Juntos file to import').setInputFiles(file(JSON.stringify(changed)));
	await expect(page.getByRole('button', { name: 'Second supper' })).toHaveAttribute('aria-pressed', 'true');
	await planned(page);
	await page.waitForTimeout(500);
	await page.reload();
	await page.locator('main[data-ready="true"]').waitFor();
	await expect(page.getByRole('button', { name: 'Second supper' })).toHaveAttribute('aria-pressed', 'true');
});

test('a broken file is refused with its place, and nothing is lost', async ({ page }) => {
	await open(page, '/menu');
	await page.getByText('Files', { exact: true }).click();
	const input = page.getByLabel('Juntos file to import');
	await input.setInputFiles(file('{"format": "juntos-meal", "version": 1, "covers": "six"}', 'torn.json'));
	const messages = page.getByRole('status', { name: 'Messages' });
	await expect(messages).toContainText('“torn.json” was not imported; nothing has changed.');
	await expect(messages).toContainText('covers');
	await input.setInputFiles(file('{"format": "juntos-file", "vers', 'cut.json'));
	await expect(messages).toContainText('this is not JSON');
	await expect(page.getByRole('button', { name: 'Harvest supper' })).toHaveAttribute('aria-pressed', 'true');
	await expect(page.locator('article#duck')).toBeVisible();
});

/** Hold the store of meals: no tab saves there until it is released. */
async function holdMeals(page: Page): Promise<() => Promise<void>> {
	await page.evaluate(
		() =>
			new Promise<void>((held, failed) => {
				const request = indexedDB.open('juntos');
				request.onerror = () => {
					failed(new Error('no database'));
				};
				request.onsuccess = () => {
					const db = request.result;
					const store = db.transaction('meals', 'readwrite').objectStore('meals');
					const ask = (): void => {
						store.count().onsuccess = () => {
							held();
							if ('released' in window) db.close();
							else ask();
						};
					};
					ask();
				};
			})
	);
	return () =>
		page.evaluate(() => {
			Object.assign(window, { released: true });
		});
}

test('two tabs: a change is taken over; changes in both are asked about', async ({ page, context }) => {
	await open(page, '/menu');
	const other = await context.newPage();
	const complaints: string[] = [];
	await listen(other, complaints);
	await open(other, '/menu');
	const people = (p: typeof page) => p.getByLabel('People', { exact: true });
	await page.getByRole('button', { name: 'People: more' }).click();
	await expect(people(other)).toHaveValue('7');

	await planned(page);
	await planned(other);
	// Both change before either can save (the store is held meanwhile): the second one to save is asked.
	const release = await holdMeals(page);
	await page.getByRole('button', { name: 'People: more' }).click();
	await other.getByRole('button', { name: 'People: less' }).click();
	await expect(people(page)).toHaveValue('8');
	await expect(people(other)).toHaveValue('6');
	await release();
	const asked = (p: typeof page) => p.getByRole('alert').filter({ hasText: 'was changed in another tab too' });
	await expect.poll(async () => (await asked(page).count()) + (await asked(other).count())).toBe(1);
	const loser = (await asked(page).count()) === 1 ? page : other;
	await loser.getByRole('button', { name: 'Take the other' }).click();
	await expect.poll(async () => (await people(page).inputValue()) === (await people(other).inputValue())).toBe(true);
	expect(complaints).toEqual([]);
});

test('a record that cannot be read is reported, kept aside, and can be saved to a file', async ({ page }) => {
	await open(page, '/menu');
	await page.evaluate(async () => {
		const db = await new Promise<IDBDatabase>((resolve, reject) => {
			const request = indexedDB.open('juntos');
			request.onsuccess = () => {
				resolve(request.result);
			};
			request.onerror = () => {
				reject(new Error('no database'));
			};
		});
		const store = db.transaction('meals', 'readwrite').objectStore('meals');
		store.put({ id: 'from-the-future', revision: 1, savedAt: 0, value: { format: 'juntos-meal', version: 12 } });
		db.close();
	});
	await page.reload();
	await page.locator('main[data-ready="true"]').waitFor();
	const messages = page.getByRole('status', { name: 'Messages' });
	await expect(messages).toContainText('could not be read');
	await expect(messages).toContainText('version 12 was written by a newer Juntos');
	await page.getByText('Files', { exact: true }).click();
	const [saved] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('button', { name: 'from-the-future' }).click()
	]);
	expect(await readFile(await saved.path(), 'utf8')).toContain('"version": 12');
});

test('after one visit everything opens, plans and cooks without a network', async ({ page, context }) => {
	await open(page, '/plan');
	await page.evaluate(async () => {
		await navigator.serviceWorker.ready;
	});
	await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
	await context.setOffline(true);
	await open(page, '/menu');
	await page.getByRole('button', { name: 'People: more' }).click();
	await planned(page);
	await expect(page.getByText(/^7 at Fig Street/)).toBeVisible();
	await open(page, '/cook');
	await page.getByRole('button', { name: 'To the next cue' }).click();
	await expect(page.getByRole('button', { name: /^Done:/ }).first()).toBeVisible();
	await context.setOffline(false);
});
