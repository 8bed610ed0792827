// Every view, light and dark, wide and narrow: no accessibility violation, nothing that scrolls sideways.
import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, open, test } from './test';

const views = [
	'/menu',
	'/menu/guests',
	'/menu/amounts',
	'/menu/loads',
	'/menu/ahead',
	'/menu/techniques',
	'/menu/backup',
	'/kitchen',
	'/plan',
	'/plan/paper',
	'/cook',
	'/bench'
];

for (const colorScheme of ['light', 'dark'] as const) {
	for (const view of views) {
		test(`${view} in the ${colorScheme} theme has no accessibility violation`, async ({ page }) => {
			await page.emulateMedia({ colorScheme });
			await open(page, view);
			if (view === '/cook') await page.getByRole('button', { name: 'To the next cue' }).click();
			const { violations } = await new AxeBuilder({ page }).analyze();
			expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`)).toEqual([]);
		});
	}
}

for (const width of [390, 820]) {
	for (const view of views) {
		test(`${view} fits a screen of ${width} pixels`, async ({ page }) => {
			await page.setViewportSize({ width, height: 800 });
			await open(page, view);
			const wide = await page.evaluate(() => document.documentElement.scrollWidth);
			expect(wide).toBeLessThanOrEqual(width);
		});
	}
}

test('what is touched in the kitchen is large enough', async ({ page }) => {
	await page.setViewportSize({ width: 390, height: 800 });
	await open(page, '/cook');
	await page.getByRole('button', { name: 'To the next cue' }).click();
	for (const button of await page.getByRole('button').all()) {
		const box = await button.boundingBox();
		expect(Math.min(box?.width ?? 0, box?.height ?? 0), await button.innerHTML()).toBeGreaterThanOrEqual(44);
	}
	const done = await page
		.getByRole('button', { name: /^Done:/ })
		.first()
		.boundingBox();
	expect(done?.height).toBeGreaterThanOrEqual(72);
});

test('the chosen theme stays', async ({ page }) => {
	await open(page, '/plan');
	await page.getByRole('button', { name: /^Theme/ }).click();
	await page.getByRole('button', { name: /^Theme: light/ }).click();
	await page.reload();
	await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
});

/** Views with what opens in them opened. */
const opened: readonly (readonly [string, string, (page: Page) => Promise<unknown>])[] = [
	['a part with its options', '/menu', (page) => page.getByLabel('Duck breast, pink: more').click()],
	['a part with its steps', '/menu', (page) => page.locator('article#duck summary').first().click()],
	[
		'a chosen burner and its test',
		'/kitchen',
		async (page) => {
			await page.getByRole('button', { name: /1\.2 kW/ }).press('Enter');
			await page.getByText(/Arrives in the pot/).click();
		}
	],
	[
		'a technique of one’s own',
		'/menu/techniques?t=tea',
		(page) => page.getByRole('button', { name: 'Copy it and make it mine' }).click()
	],
	['an empty meal', '/menu', (page) => page.getByRole('button', { name: 'New meal' }).click()]
];
for (const colorScheme of ['light', 'dark'] as const) {
	for (const [what, path, act] of opened) {
		test(`${what} in the ${colorScheme} theme has no accessibility violation`, async ({ page }) => {
			await page.emulateMedia({ colorScheme });
			await open(page, path);
			await act(page);
			await page.waitForTimeout(300);
			const { violations } = await new AxeBuilder({ page }).analyze();
			expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`)).toEqual([]);
		});
	}
}

test('an empty meal has no plan of another on its pages', async ({ page }) => {
	await open(page, '/menu');
	await page.getByRole('button', { name: 'New meal' }).click();
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await expect(page.getByText('A new meal has no plan yet')).toBeVisible();
	await expect(page.locator('[data-step]')).toHaveCount(0);
	await page.getByRole('link', { name: 'Cook', exact: true }).click();
	const said = page.getByText('This is the plan of Harvest supper');
	await expect(said).toContainText('A new meal has no plan yet');
});
