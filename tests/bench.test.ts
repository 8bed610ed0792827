// The Bench: questions answered as one types, kept in the address, drawn, and put into the meal.
import { expect, open, test } from './test';

test('a question is answered as one types, and its address carries the inputs', async ({ page }) => {
	await open(page, '/bench?q=core');
	const answer = page.getByRole('region', { name: 'Answer' });
	const first = await answer.locator('strong').first().textContent();
	await page.getByLabel('Thickness').fill('60');
	await expect(answer.locator('strong').first()).not.toHaveText(first ?? '');
	await expect(page).toHaveURL(/thickness=60/);
	await expect(answer.locator('[data-drawn=true] svg.main-svg').first()).toBeVisible();
	const longer = await answer.locator('strong').first().textContent();
	await page.reload();
	await expect(page.getByLabel('Thickness')).toHaveValue('60');
	await expect(answer.locator('strong').first()).toHaveText(longer ?? '');
});

test('what cannot be reached, and what is no input, is said with its reason', async ({ page }) => {
	await open(page, '/bench?q=core&around=water+bath&heat=50&peak=57&thickness=-4');
	await expect(page.getByRole('alert')).toContainText('Thickness: “-4” is too little: at least 5 mm.');
	await expect(page.getByText('is not reached')).toBeVisible();
	await expect(page.getByText(/\bNaN\b/)).toHaveCount(0);
});

test('an answer goes into the meal as a step, and undo takes it out', async ({ page }) => {
	await open(page, '/bench?q=egg');
	await expect(page.getByRole('img', { name: /The egg cut open/ })).toBeVisible();
	await page.getByRole('button', { name: 'Put it into the meal as a step' }).click();
	await page.getByRole('link', { name: 'Menu' }).click();
	await expect(page.getByRole('heading', { name: /Boil the eggs/ })).toBeVisible();
	await page.getByRole('button', { name: 'Undo' }).first().click();
	await expect(page.getByRole('heading', { name: /Boil the eggs/ })).toHaveCount(0);
});
