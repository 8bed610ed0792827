// What goes out, as others read it: a calendar, a table, a picture, paper, a recipe, a link; everything saved and brought back.
import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import ical from 'node-ical';
import papa from 'papaparse';
import { newMeal } from './building';
import { expect, open, planned, test } from './test';

/** The text of what a press saves, and what it is called. */
async function saved(page: Page, press: () => Promise<void>): Promise<{ name: string; text: string; path: string }> {
	const [download] = await Promise.all([page.waitForEvent('download'), press()]);
	const path = await download.path();
	return { name: download.suggestedFilename(), text: await readFile(path, 'utf8'), path };
}
const button = (page: Page, name: string) => page.getByRole('button', { name });

test('from Plan: the calendar at the instants of the run sheet, the cords as a picture that a browser draws by itself', async ({
	page,
	context
}) => {
	await open(page, '/plan');
	await planned(page);
	const sheet = await saved(page, () => button(page, 'Run sheet as CSV').click());
	const [head = [], ...rows] = papa.parse<string[]>(sheet.text.trim()).data;
	expect(head.slice(0, 3)).toEqual(['at', 'to service', 'what']);
	expect(rows.length).toBeGreaterThan(50);
	expect(rows.every((r) => r.length === head.length)).toBe(true);
	await page.getByLabel('Day of the service').fill('2026-12-24');
	const calendar = await saved(page, () => button(page, 'Calendar with alarms').click());
	const events = Object.values(ical.sync.parseICS(calendar.text)).filter((e) => e?.type === 'VEVENT');
	expect(events).toHaveLength(rows.length);
	expect(calendar.name).toContain('2026-12-24');
	const picture = await saved(page, () => button(page, 'Cords as SVG').click());
	const alone = await context.newPage();
	await alone.setContent(
		`<img alt="cords" src="data:image/svg+xml;base64,${Buffer.from(picture.text).toString('base64')}">`
	);
	const size = await alone.locator('img').evaluate(async (img: HTMLImageElement) => {
		await img.decode();
		return [img.naturalWidth, img.naturalHeight];
	});
	expect(size[0]).toBeGreaterThan(1000);
	expect(size[1]).toBeGreaterThan(300);
	expect(picture.text).toContain('Celeriac gratin');
	expect(picture.text).toContain('data:font/woff2');
	expect(picture.text).not.toMatch(/var\(--|light-dark|https?:\/\/(?!www\.w3\.org)/);
});

test('on paper: A4 or Letter, sheets as chosen, no line cut by a page', async ({ page }) => {
	test.slow();
	await open(page, '/plan');
	await planned(page);
	await page.getByRole('link', { name: 'On paper' }).click();
	await expect(page.getByRole('region', { name: 'Run sheet' })).toBeVisible();
	const boxOf = async () => {
		const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1');
		return [...pdf.matchAll(/\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)].map((m) => [Number(m[1]), Number(m[2])]);
	};
	const a4 = await boxOf();
	expect(a4.length).toBeGreaterThan(3);
	for (const [w = 0, h = 0] of a4) expect([Math.round(w), Math.round(h)]).toEqual([595, 842]);
	await page.getByLabel('Paper').selectOption('Letter');
	for (const [w = 0, h = 0] of await boxOf()) expect([Math.round(w), Math.round(h)]).toEqual([612, 792]);
	await page.getByLabel('A sheet for each station').check();
	await expect(page.getByRole('region', { name: 'Burner 1' })).toBeVisible();
	await page.getByRole('checkbox', { name: 'Run sheet' }).uncheck();
	await expect(page.getByRole('region', { name: 'Run sheet' })).toHaveCount(0);
	await page.emulateMedia({ media: 'print' });
	await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden();
	await expect(button(page, 'Print')).toBeHidden();
	const breaks = await page
		.getByRole('region', { name: 'Burner 1' })
		.locator('tbody tr')
		.evaluateAll((rows) => rows.map((r) => getComputedStyle(r).breakInside));
	expect(new Set(breaks)).toEqual(new Set(['avoid']));
});

test('a meal as a recipe is read again where recipes are pasted', async ({ page }) => {
	await open(page, '/plan');
	await planned(page);
	await open(page, '/menu');
	await page.getByText('Files', { exact: true }).click();
	const recipe = await saved(page, () => button(page, 'Save as a recipe (JSON-LD)').click());
	expect(JSON.parse(recipe.text)).toMatchObject({ '@context': 'https://schema.org', '@type': 'Recipe' });
	await open(page, '/menu/paste');
	await page.getByLabel('The recipe', { exact: true }).fill(recipe.text);
	await expect(page.getByText('Bake the gratin in the oven').first()).toBeVisible();
});

test('a link holds the meal: opened elsewhere it is there; one that is cut off says so', async ({
	page,
	context,
	browser
}) => {
	await context.grantPermissions(['clipboard-read', 'clipboard-write']);
	await open(page, '/menu');
	await page.getByText('Files', { exact: true }).click();
	await button(page, 'Copy a link with this meal').click();
	await expect(page.getByText(/A link of \d+ characters is copied/)).toBeVisible();
	const link = await page.evaluate(() => navigator.clipboard.readText());
	const elsewhere = await browser.newPage();
	await elsewhere.goto(link);
	await expect(elsewhere.getByText(/“The meal of the link” is here/)).toBeVisible();
	await expect(elsewhere).toHaveURL(/\/menu$/);
	await elsewhere.goto('/bench');
	await elsewhere.goto(link.slice(0, -20));
	await expect(elsewhere.getByText(/not taken in; nothing has changed/)).toBeVisible();
	await elsewhere.close();
});

test('everything saved, looked at elsewhere, and brought back', async ({ page, browser }) => {
	await open(page, '/menu');
	await newMeal(page, 'Birthday', 4, '16:00', '19:30');
	await page.getByRole('link', { name: 'Backup' }).first().click();
	await expect(page.getByText('Nothing was ever saved outside this browser.')).toBeVisible();
	const backup = await saved(page, () => button(page, 'Save everything').click());
	await expect(page.getByText(/Saved last on/)).toBeVisible();
	const elsewhere = await browser.newPage();
	await open(elsewhere, '/menu/backup');
	const field = elsewhere.getByLabel('Backup to look at');
	await field.setInputFiles({
		name: 'broken.json',
		mimeType: 'application/json',
		buffer: Buffer.from(backup.text.slice(0, 3000))
	});
	await expect(elsewhere.getByRole('alert').filter({ hasText: 'no backup that can be read' })).toBeVisible();
	await field.setInputFiles({ name: 'all.json', mimeType: 'application/json', buffer: Buffer.from(backup.text) });
	await expect(elsewhere.getByRole('row', { name: /^Meals/ })).toContainText('1: Birthday');
	await expect(button(elsewhere, 'Birthday')).toHaveCount(0);
	await button(elsewhere, 'Bring it back').click();
	await expect(elsewhere.getByText(/The backup is here/)).toBeVisible();
	await expect(button(elsewhere, 'Birthday')).toBeVisible();
	await elsewhere.reload();
	await expect(button(elsewhere, 'Birthday')).toBeVisible();
	await elsewhere.close();
});
