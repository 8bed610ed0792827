// How the browser tests build meals and kitchens from nothing, as a cook would.
import type { Locator, Page } from '@playwright/test';
import { expect, planned } from './test';

/** Type into a field and leave it. */
export async function type(field: Locator, value: string): Promise<void> {
	await field.fill(value);
	await field.press('Enter');
}

/** Find a part by typing, take the first that is found. */
export async function add(page: Page, course: string, text: string, name: string): Promise<void> {
	const field = page.getByRole('combobox', { name: `Add a part to ${course}` });
	await field.fill(text);
	await page.getByRole('option', { name: new RegExp(`^${name}`) }).click();
}

export async function newMeal(page: Page, name: string, people: number, from: string, service: string): Promise<void> {
	await page.getByRole('button', { name: 'New meal' }).click();
	await page.getByText('Rename, copy, put away').click();
	await type(page.getByLabel('This meal is called'), name);
	await type(page.getByLabel('People', { exact: true }), String(people));
	await type(page.getByLabel('Begin from', { exact: true }), from);
	await type(page.getByLabel('on the table at', { exact: true }), service);
}

export async function newKitchen(page: Page, like: string, name: string): Promise<void> {
	await page.getByRole('button', { name: like }).click();
	await page.getByText('Rename, copy, put away').click();
	await type(page.getByLabel('This kitchen is called'), name);
}

export const part = (page: Page, name: string) =>
	page.getByRole('article').filter({ has: page.getByRole('heading', { name }) });
export const more = (page: Page, name: string) => part(page, name).getByLabel(`${name}: more`);

/** The plan stands, on time, and nothing is wrong with it. */
export async function expectPlan(page: Page): Promise<void> {
	await planned(page);
	await expect(page.getByText('On time', { exact: true })).toBeVisible({ timeout: 30_000 });
	await expect(page.getByText('No plan')).toHaveCount(0);
}

/** The card of a step of the plan, opened by its button: tried again where a better plan came in between. */
export async function openStep(page: Page, name: RegExp): Promise<Locator> {
	const card = page.getByRole('region', { name: 'The step' });
	await expect(async () => {
		// What the pointer lies on goes before what has the focus.
		await page.mouse.move(1, 400);
		await page.getByRole('button', { name }).first().focus();
		await page.keyboard.press('Enter');
		await expect(card.getByRole('heading', { level: 2, name })).toBeVisible({ timeout: 2000 });
	}).toPass({ timeout: 60_000 });
	return card;
}
