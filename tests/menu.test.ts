// The Menu beyond its main path: order on the plate, other ways, wishes, lists, loads, ahead, techniques of one's own.
import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, open, planned, test } from './test';

const names = (page: Page) =>
	page.getByRole('region', { name: 'Plates' }).getByRole('heading', { level: 3 }).allTextContents();
const part = (page: Page, id: string) => page.locator(`article#${id}`);

test('plating order changes by drag, by arrow buttons and by keyboard alone', async ({ page }) => {
	await open(page, '/menu');
	const before = await names(page);
	const [first = '', second = ''] = before.map((n) => n.trim());
	await page.getByRole('button', { name: `${second}: earlier on the plate` }).click();
	expect((await names(page)).map((n) => n.trim()).slice(0, 2)).toEqual([second, first]);
	await page.keyboard.press('Control+z');
	const grip = page.getByLabel(`${first}: move on the plate`);
	await grip.focus();
	await page.keyboard.press('Space');
	await page.keyboard.press('ArrowDown');
	await page.keyboard.press('Space');
	await expect.poll(async () => (await names(page))[1]?.trim()).toBe(first);
	await page.keyboard.press('Escape');
	const handle = page.getByLabel(`${second}: move on the plate`);
	const to = page.getByLabel(`${first}: move on the plate`);
	const [a, b] = [await handle.boundingBox(), await to.boundingBox()];
	if (!a || !b) throw new Error('no handles');
	await page.mouse.move(a.x + 8, a.y + 12);
	await page.mouse.down();
	await page.mouse.move(b.x + 8, b.y + 60, { steps: 12 });
	await page.waitForTimeout(400);
	await page.mouse.up();
	await expect.poll(async () => (await names(page))[0]?.trim()).toBe(first);
});

test('another way is looked at before it is taken, and says what it does to the plan', async ({ page }) => {
	await open(page, '/menu');
	await page.getByRole('button', { name: 'New meal' }).click();
	const add = page.getByRole('combobox', { name: 'Add a part' });
	await add.fill('leeks steamed');
	await page.keyboard.press('Enter');
	await planned(page);
	await page.getByLabel('Leeks, steamed: more').click();
	const leeks = page.getByRole('article');
	await leeks.getByRole('button', { name: 'Leeks, roasted' }).click();
	const found = leeks.getByRole('status');
	await expect(found).toContainText(/takes .*Oven/);
	await expect(found).toContainText(/of hands/);
	await expect(leeks.getByRole('heading', { level: 3 })).toHaveText('Leeks, steamed');
	await found.getByRole('button', { name: 'Make it so' }).click();
	await planned(page);
	await expect(leeks.getByText('Leeks, roasted').first()).toBeVisible();
	await leeks.getByLabel(/Let the planner choose among 4 ways/).check();
	await planned(page);
	await expect(leeks.getByText(/the planner’s choice:/)).toBeVisible();
});

test('a way that the kitchen cannot do says why', async ({ page }) => {
	await open(page, '/menu');
	await page.getByRole('button', { name: 'New meal' }).click();
	await page.getByRole('combobox', { name: 'Add a part' }).fill('steak in the pan');
	await page.keyboard.press('Enter');
	await planned(page);
	await page.getByLabel('Steak, in the pan: more').click();
	await page.getByRole('button', { name: 'Steak, on the grill' }).click();
	await expect(page.getByRole('article').getByRole('status')).toContainText(
		/needs a grill of 220 to 340 °C, and this kitchen has none/
	);
});

test('nothing found says what to try, and escape leaves the field', async ({ page }) => {
	await open(page, '/menu');
	const add = page.getByRole('combobox', { name: 'Add a part to plates' });
	await add.fill('zzzz');
	await expect(page.getByRole('option', { name: /^Nothing is called/ })).toContainText('Nothing is called “zzzz”');
	await page.keyboard.press('Escape');
	await expect(page.getByRole('listbox', { name: 'What can be added' })).toHaveCount(0);
	const { violations } = await new AxeBuilder({ page }).analyze();
	expect(violations.map((v) => v.id)).toEqual([]);
});

test('an allergen that the cook ticks shows on every sheet', async ({ page }) => {
	await open(page, '/menu');
	await page.getByLabel('Green beans: more').click();
	await part(page, 'beans').getByLabel('nuts', { exact: true }).check();
	await expect(part(page, 'beans')).toContainText('contains milk, nuts');
	await planned(page);
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await expect(
		page.getByRole('button', { name: /Green beans/ }).filter({ hasText: 'contains milk, nuts' })
	).toBeVisible();
});

test('the lists are measured as the cook likes, and saved as CSV', async ({ page }) => {
	await open(page, '/menu/amounts');
	const shopping = page.getByRole('region', { name: 'Shopping' });
	await expect(shopping.getByRole('row', { name: /celeriac/ })).toContainText(/\d+ g/);
	await page.getByLabel('measured in').selectOption('us');
	await expect(shopping.getByRole('row', { name: /celeriac/ })).toContainText(/lb|oz/);
	await page.getByLabel('measured in').selectOption('spoons');
	await expect(shopping.getByRole('row', { name: /butter/ })).toContainText(/cup|tbsp/);
	const saved = page.waitForEvent('download');
	await shopping.getByRole('button', { name: 'Save as CSV' }).click();
	const file = await saved;
	expect(file.suggestedFilename()).toBe('harvest-supper-shopping.csv');
	const stream = await file.createReadStream();
	let text = '';
	for await (const chunk of stream) text += String(chunk);
	expect(text.split('\r\n')[0]).toBe('aisle,ingredient,to buy,size,for,allergens');
	expect(text).toContain('celeriac');
	await page.getByRole('link', { name: 'Parts' }).click();
	await expect(part(page, 'duck').getByLabel('Thickness', { exact: true })).toHaveValue('1.18');
	await page.getByRole('link', { name: 'Shopping and bowls' }).click();
	await page.reload();
	await page.locator('main[data-ready="true"]').waitFor();
	await expect(page.getByLabel('measured in')).toHaveValue('spoons');
	await expect(page.getByRole('region', { name: 'Bowls' })).toContainText(/to taste: begin with/);
});

test('parts are held to one oven temperature, and the plan follows', async ({ page }) => {
	await open(page, '/menu/loads');
	await page
		.getByRole('button', { name: /^Hold them all to/ })
		.first()
		.click();
	await planned(page);
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await planned(page);
	await expect(page.getByText('On time', { exact: true })).toBeVisible();
});

test('what is made before leaves the evening, and says how long it keeps', async ({ page }) => {
	await open(page, '/menu/ahead');
	const gratin = page.getByRole('article').filter({ hasText: 'Celeriac gratin' });
	await expect(gratin).toContainText(/Up to 3 days before/);
	await expect(gratin).toContainText('Local codes rule');
	await gratin.getByLabel('Made').selectOption('before');
	await planned(page);
	await expect(gratin).toContainText('made before, in this plan');
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await expect(page.locator('[data-step="gratin/slice"]')).toHaveCount(0);
	await expect(page.locator('[data-step="gratin/out"]')).toHaveCount(1);
	const days = page.getByRole('region', { name: 'The days before' });
	await expect(days).toContainText('Peel and slice the roots');
	await expect(days).toContainText('keeps 3 days');
	// Free on an evening two days before: it is done then.
	await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Menu' }).click();
	await page.getByRole('link', { name: 'Ahead' }).click();
	await page.getByRole('button', { name: 'Add hours' }).click();
	await page.getByLabel('Days before', { exact: true }).fill('2');
	await page.getByLabel('Days before', { exact: true }).press('Enter');
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await planned(page);
	await expect(days.getByRole('heading', { name: /2 days before/ })).toBeVisible({ timeout: 60_000 });
});

test('an evening is calm, even or short: handwork early, or begin late', async ({ page }) => {
	const begins = async () => {
		await planned(page);
		const words = await page.locator('.for').first().textContent();
		const [, hours = '0', minutes = '0'] = /begin (\d+):(\d+)/.exec(words ?? '') ?? [];
		return 60 * Number(hours) + Number(minutes);
	};
	await open(page, '/menu');
	await page.getByLabel('evening', { exact: true }).selectOption('short');
	const short = await begins();
	await page.getByLabel('evening', { exact: true }).selectOption('calm');
	const calm = await begins();
	expect(calm).toBeGreaterThan(16 * 60);
	expect(calm).toBeLessThanOrEqual(short);
});

test('a technique is copied, changed, refused where it makes no sense, and used', async ({ page }) => {
	await open(page, '/menu/techniques?t=vinaigrette');
	await page.getByRole('button', { name: 'Copy it and make it mine' }).click();
	const own = page.getByRole('region', { name: 'Vinaigrette, my way' });
	const name = own.getByLabel('Called');
	await name.fill('Walnut dressing');
	await name.press('Enter');
	const mine = page.getByRole('region', { name: 'Walnut dressing' });
	await mine.getByRole('button', { name: 'One more step' }).click();
	await mine.getByLabel('Do', { exact: true }).last().fill('Stir in the walnuts');
	await mine.getByLabel('Do', { exact: true }).last().press('Enter');
	await mine.getByLabel('at', { exact: true }).last().selectOption('a burner');
	await mine.getByLabel('Called').fill(' ');
	await mine.getByLabel('Called').press('Enter');
	await expect(mine.getByRole('alert')).toContainText('Not kept: name');
	await page.waitForTimeout(500);
	await page.reload();
	await page.locator('main[data-ready="true"]').waitFor();
	await expect(page.getByRole('region', { name: 'Walnut dressing' })).toBeVisible();
	await page.getByRole('link', { name: 'Parts' }).click();
	await page.getByRole('combobox', { name: 'Add a part to plates' }).fill('walnut dressing');
	await page.keyboard.press('Enter');
	await planned(page);
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await expect(page.locator('[data-step*="/step"]').first()).toBeAttached();
	await page.goto('/menu/techniques');
	await page.locator('main[data-ready="true"]').waitFor();
	await page.getByRole('button', { name: 'Put it away' }).click();
	await expect(page.getByRole('link', { name: /Walnut dressing/ })).toHaveCount(0);
	await page.getByRole('button', { name: 'Bring back Walnut dressing' }).click();
	await expect(page.getByRole('link', { name: /Walnut dressing/ })).toBeVisible();
});

test('meals are copied, renamed, put away and brought back', async ({ page }) => {
	await open(page, '/menu');
	await page.getByText('Rename, copy, put away').click();
	await page.getByRole('button', { name: 'Copy this meal' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Harvest supper, a copy');
	await page.getByRole('button', { name: 'Put it away' }).click();
	await expect(page.getByRole('button', { name: 'Harvest supper, a copy', exact: true })).toHaveCount(0);
	await page.getByRole('button', { name: 'Bring back Harvest supper, a copy' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('Harvest supper, a copy');
});

test('a guest is named once, what is not for them is told on Menu, plan and in Cook, and mended at a touch', async ({
	page
}) => {
	await open(page, '/menu/guests');
	await expect(page.getByText('Nobody is named yet.')).toBeVisible();
	await page.getByRole('button', { name: 'A guest to take care of' }).click();
	const name = page.getByLabel('Name of the guest');
	await name.fill('Ana');
	await name.press('Tab');
	await page.getByRole('checkbox', { name: 'mustard' }).check();
	const notes = page.getByRole('list', { name: 'Not for everybody' });
	await expect(notes.getByText('Lentil salad, soft eggs is not for Ana: it contains mustard.')).toBeVisible({
		timeout: 60_000
	});
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await expect(page.getByText('Not for Ana', { exact: true })).toBeVisible({ timeout: 60_000 });
	await expect(page.getByText('not for Ana: mustard')).toBeVisible();
	await page.getByRole('link', { name: 'On paper' }).click();
	await expect(
		page
			.getByRole('region', { name: 'Run sheet' })
			.getByText('Lentil salad, soft eggs is not for Ana: it contains mustard.')
	).toBeVisible();
	await page.getByRole('link', { name: 'Back to the plan' }).click();
	await page.getByRole('link', { name: 'See what, and what to do' }).click();
	await page.getByRole('button', { name: 'Apply: Ana without Lentil salad, soft eggs' }).click();
	await expect(page.getByText('everybody can eat what they get')).toBeVisible({ timeout: 60_000 });
	await page.getByLabel('at risk').selectOption('pregnant');
	await expect(notes.getByText(/^Duck breast, pink is not for Ana \(pregnant\): it stays below 74 °C\.$/)).toBeVisible({
		timeout: 60_000
	});
	await page.getByRole('button', { name: 'Take out Ana' }).click();
	await expect(page.getByText('Nobody is named yet.')).toBeVisible();
});
