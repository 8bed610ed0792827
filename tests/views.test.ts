// Every view, light and dark, wide and narrow: no accessibility violation, nothing that scrolls sideways.
import { AxeBuilder } from '@axe-core/playwright';
import { expect, open, test } from './test';

const views = [
	'/menu',
	'/menu/amounts',
	'/menu/loads',
	'/menu/ahead',
	'/menu/techniques',
	'/kitchen',
	'/plan',
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
