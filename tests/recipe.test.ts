// A pasted recipe in the browser: read beside its text, put right by a touch, on the menu and planned; nothing leaves the device.
import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { newMeal } from './building';
import { expect, open, planned, test } from './test';

const text = (name: string) => readFile(`recipes/${name}`, 'utf8');
const area = (page: Page) => page.getByLabel('The recipe', { exact: true });

test('from paste to a planned meal of two recipes in six touches', async ({ page }) => {
	test.slow();
	const asked: string[] = [];
	await open(page, '/menu');
	await newMeal(page, 'Two of my own', 4, '16:00', '19:30');
	page.on('request', (request) => asked.push(request.url()));
	for (const name of ['4.txt', '3.html']) {
		await page.getByRole('link', { name: 'Paste a recipe' }).click();
		await area(page).fill(await text(name));
		await page.getByRole('button', { name: 'Put it on the menu' }).click();
	}
	await expect(page.getByText('Chicken thighs with mustard and leeks').first()).toBeVisible();
	await expect(page.getByText('Roast squash with barley and lime yoghurt').first()).toBeVisible();
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await planned(page);
	await expect(page.getByRole('button', { name: /Transfer to the oven and bake/ }).first()).toBeVisible({
		timeout: 60_000
	});
	expect(asked.filter((url) => url.includes('/api/'))).toEqual([]);
});

test('what was read is put right by a touch, and read again as it was', async ({ page }) => {
	await open(page, '/menu/paste');
	await area(page).fill(await text('1.txt'));
	const step = page.getByRole('listitem').filter({ hasText: 'brown the sausages' });
	await expect(step.getByText('How thick are the sausages?')).toBeVisible();
	await step.getByRole('button', { name: /brown the sausages/ }).click();
	await step.getByLabel('How long').fill('6 min');
	await step.getByLabel('How long').press('Enter');
	await step.getByLabel('What kind').selectOption('fry');
	await expect(step.getByText(/fry, burner, 6 min/)).toBeVisible();
	await step.getByLabel('How long').fill('a while');
	await step.getByLabel('How long').press('Enter');
	await expect(step.getByRole('alert')).toHaveText(/is no time: write/);
	const steps = page.getByRole('list').last().getByRole('listitem');
	const before = await steps.count();
	await step.getByRole('button', { name: 'Drop it' }).click();
	await expect(steps).toHaveCount(before - 1);
	await page.getByRole('button', { name: 'Read it again' }).click();
	await expect(steps).toHaveCount(before);
	await expect(page.getByText(/sear, burner, 4 min/)).toBeVisible();
});

test('a recipe that is pasted anywhere in the menu, or dropped, is read; what is none is said to be none', async ({
	page
}) => {
	await open(page, '/menu');
	await page.evaluate(
		(recipe) => {
			const data = new DataTransfer();
			data.setData('text/plain', recipe);
			window.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data }));
		},
		await text('5.md')
	);
	await expect(page.getByRole('heading', { name: /Weeknight Beef Tacos/ })).toBeVisible();
	await area(page).fill('Dear all, the meeting is on Tuesday.');
	await expect(page.getByRole('alert')).toHaveText(/No recipe was found/);
	await page.getByLabel('or open a file').setInputFiles('recipes/2.json');
	await expect(page.getByRole('heading', { name: /Lemon syrup loaf/ })).toBeVisible();
});

test('on a phone nothing is cut off, and it is kept as the cook’s own with its text', async ({ page }) => {
	await page.setViewportSize({ width: 390, height: 800 });
	await open(page, '/menu/paste');
	await area(page).fill(await text('10.txt'));
	await expect(page.getByText('Kept as 2 parts')).toBeVisible();
	const wide = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
	expect(wide).toBeLessThanOrEqual(0);
	await page.getByRole('button', { name: 'Put it on the menu' }).click();
	await page.getByRole('link', { name: 'Techniques', exact: true }).click();
	await page.getByRole('link', { name: /Thai green curry with rice.*yours/ }).click();
	await page.getByRole('button', { name: 'Read its recipe again' }).click();
	await expect(area(page)).toHaveValue(/Thai green curry/);
});

test('what is left open is answered in place; what can be computed stands beside it; a step is cut in two', async ({
	page
}) => {
	await open(page, '/menu/paste');
	await area(page).fill(
		'Chops with apples\n\nServes 4\n\nIngredients\n4 pork chops\n2 apples\n1 tbsp oil\n\nMethod\n1. Heat the oil in a frying pan.\n2. Fry the chops for 2 minutes a side.\n3. Toss the apples with the oil and a pinch of sugar.\n4. Serve.\n'
	);
	const steps = page.getByRole('list').last().getByRole('listitem');
	const chops = steps.filter({ hasText: 'Fry the chops' });
	const thick = chops.getByLabel('How thick are the chops?');
	await thick.fill('thick');
	await thick.press('Enter');
	await expect(chops.getByRole('alert')).toHaveText(/no thickness: write/);
	await thick.fill('2.5 cm');
	await thick.press('Enter');
	await expect(chops.getByText(/It says 4 min; computed .* for 25 mm/)).toBeVisible();
	await expect(thick).toHaveCount(0);
	await chops.getByRole('button', { name: 'Take it' }).click();
	await expect(chops.getByText(/fry, burner, (?!4 min)/)).toBeVisible();
	const before = await steps.count();
	const apples = steps.filter({ hasText: 'apples' }).first();
	await apples
		.getByRole('button', { name: /apples/ })
		.first()
		.click();
	await apples.getByRole('button', { name: 'Cut before “a pinch of sugar.”' }).click();
	await expect(steps).toHaveCount(before + 1);
	await page.getByRole('button', { name: 'Read it again' }).click();
	await expect(steps).toHaveCount(before);
	await expect(chops.getByText(/fry, burner, 4 min/)).toBeVisible();
	await expect(thick).toBeVisible();
});
