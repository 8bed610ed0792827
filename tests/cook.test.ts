// Cook in the browser: looks, idle hands, what life does to an evening, two tabs, keys.
import type { Page } from '@playwright/test';
import { add, newMeal } from './building';
import { expect, listen, open, planned, test } from './test';

const now = (page: Page) => page.getByRole('region', { name: 'Now' });
const skip = (page: Page) => page.getByRole('button', { name: 'To the next cue' });
/** Do what is due, or go to the next cue, until something is seen. */
async function cookUntil(page: Page, isThere: () => Promise<boolean>, most = 90): Promise<void> {
	for (let i = 0; i < most && !(await isThere()); i++) {
		const due = now(page).getByRole('button', { name: /^(Done|It is): / });
		if ((await due.count()) > 0) await due.first().click();
		else await skip(page).click();
		await page.waitForTimeout(60);
	}
	expect(await isThere()).toBe(true);
}
const life = async (page: Page) => {
	await page.getByRole('button', { name: 'Life differs' }).click();
	return page.getByRole('dialog', { name: 'Life differs' });
};

test('a look: not yet moves the end and asks again; it is ends the step at once', async ({ page }) => {
	test.slow();
	await open(page, '/cook');
	await planned(page);
	const look = now(page).getByRole('article').filter({ hasText: 'Look early: ' });
	await cookUntil(page, async () => (await look.count()) > 0);
	const what = (await look.first().getByRole('heading').innerText()).replace('Look early: ', '');
	const timer = page
		.getByRole('region', { name: 'On', exact: true })
		.getByRole('listitem')
		.filter({ hasText: new RegExp(what, 'i') });
	const before = await timer.first().innerText();
	await look.first().getByRole('button', { name: 'Half way' }).click();
	await expect(look.filter({ hasText: what })).toHaveCount(0);
	await expect(timer.first()).not.toHaveText(before);
	await expect(page.getByText(/Because .* is not done yet/)).toBeVisible({ timeout: 60_000 });
	// The next look at it comes before its end.
	await cookUntil(page, async () => (await look.filter({ hasText: what }).count()) > 0);
	await look
		.filter({ hasText: what })
		.getByRole('button', { name: /^It is: / })
		.click();
	await expect(timer).toHaveCount(0);
});

test('what failed is made again, or left out, each with its price; refused and taken back', async ({ page }) => {
	test.slow();
	await open(page, '/cook');
	await planned(page);
	await cookUntil(
		page,
		async () =>
			(await page.getByRole('region', { name: 'On', exact: true }).getByText('Braise the cabbage').count()) > 0
	);
	let dialog = await life(page);
	await dialog.getByRole('button', { name: 'Red cabbage', exact: true }).click();
	await expect(dialog.getByRole('button', { name: /^Again, from the start (on time|plates .* later)/ })).toBeVisible({
		timeout: 60_000
	});
	await expect(dialog.getByRole('button', { name: /^Without it on time/ })).toBeVisible({ timeout: 60_000 });
	await dialog.getByRole('button', { name: /^Again, from the start/ }).click();
	await expect(page.getByText(/Because Red cabbage again/)).toBeVisible({ timeout: 60_000 });
	await expect(page.getByRole('region', { name: 'On', exact: true }).getByText('Braise the cabbage')).toHaveCount(0);
	await page.locator('#main').getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByRole('region', { name: 'On', exact: true }).getByText('Braise the cabbage')).toBeVisible();
	dialog = await life(page);
	await dialog.getByRole('button', { name: 'Red cabbage', exact: true }).click();
	await dialog.getByRole('button', { name: /^Without it/ }).click();
	await expect(page.getByRole('region', { name: 'Pass' }).getByText('Red cabbage')).toHaveCount(0, { timeout: 60_000 });
});

test('service moved, a guest more, a cook away: two taps each, one line on why', async ({ page }) => {
	test.slow();
	await open(page, '/cook');
	await planned(page);
	await cookUntil(
		page,
		async () => (await page.getByRole('region', { name: 'On', exact: true }).getByRole('listitem').count()) > 1
	);
	let dialog = await life(page);
	await dialog.getByRole('button', { name: 'Plates 10 minutes later' }).click();
	await expect(page.getByText(/Because Plates at 19:40/)).toBeVisible({ timeout: 60_000 });
	await expect(page.getByRole('region', { name: 'Plates at the pass' }).getByText(/19:40/)).toBeVisible({
		timeout: 60_000
	});
	dialog = await life(page);
	await dialog.getByRole('button', { name: /^One more: 7/ }).click();
	await expect(page.getByText(/Because 7 guests/)).toBeVisible({ timeout: 60_000 });
	dialog = await life(page);
	await dialog.getByRole('button', { name: 'You: away for ten minutes' }).click();
	await expect(page.getByText(/Because You: away for 10 min/)).toBeVisible({ timeout: 60_000 });
	dialog = await life(page);
	await dialog.getByRole('textbox', { name: 'Note' }).fill('The butter was salted.');
	await dialog.getByRole('button', { name: 'Keep the note' }).click();
	await expect(dialog).toBeHidden();
});

test('idle hands are offered what could be begun; begun, it is what is now', async ({ page }) => {
	test.slow();
	await open(page, '/cook');
	await planned(page);
	const offer = now(page).getByRole('button', { name: /^Begin now: / });
	await cookUntil(page, async () => {
		if ((await now(page).getByText('Hands free for').count()) > 0) await page.waitForTimeout(700);
		return (await offer.count()) > 0;
	});
	const what = ((await offer.first().getAttribute('aria-label')) ?? '').replace('Begin now: ', '');
	await offer.first().click();
	await expect(now(page).getByRole('heading', { name: what })).toBeVisible();
});

test('two tabs are one run: done in one is done in the other, undone in either', async ({ page, context }) => {
	test.slow();
	await open(page, '/cook');
	await planned(page);
	await skip(page).click();
	await now(page)
		.getByRole('button', { name: /^Done: / })
		.first()
		.click();
	const other = await context.newPage();
	const complaints: string[] = [];
	await listen(other, complaints);
	await open(other, '/cook');
	await planned(other);
	await expect(other.locator('#main').getByRole('button', { name: 'Undo' })).toBeEnabled();
	await skip(other).click();
	const due = now(other)
		.getByRole('button', { name: /^Done: / })
		.first();
	const name = (await due.getAttribute('aria-label')) ?? '';
	await due.click();
	await skip(page).click();
	await expect(now(page).getByRole('button', { name, exact: true })).toHaveCount(0);
	await page.locator('#main').getByRole('button', { name: 'Undo' }).click();
	await expect(now(other).getByRole('button', { name, exact: true })).toBeVisible();
	expect(complaints).toEqual([]);
});

test('by keyboard alone: done, undone, something differs; what is due is said once', async ({ page }) => {
	await open(page, '/cook');
	await planned(page);
	await skip(page).click();
	await page.locator('#main').click({ position: { x: 5, y: 5 } });
	const first = await now(page).getByRole('heading', { level: 3 }).first().innerText();
	await page.keyboard.press('1');
	await expect(now(page).getByRole('heading', { level: 3, name: first })).toHaveCount(0);
	await page.keyboard.press('u');
	await expect(now(page).getByRole('heading', { level: 3, name: first })).toBeVisible();
	await page.keyboard.press('l');
	await expect(page.getByRole('dialog', { name: 'Life differs' })).toBeVisible();
	await page.keyboard.press('Escape');
	await expect(page.getByRole('dialog', { name: 'Life differs' })).toBeHidden();
	await page.keyboard.press('1');
	await skip(page).click();
	await expect(page.getByRole('status', { name: 'Due' })).not.toBeEmpty();
});

test('a cook’s own screen: only their cues, remembered by the device', async ({ page }) => {
	test.slow();
	await open(page, '/menu');
	await newMeal(page, 'For two cooks', 4, '17:00', '19:30');
	await add(page, 'plates', 'potato wedges', 'Potato wedges');
	await page.getByRole('link', { name: 'Cook', exact: true }).click();
	await planned(page);
	await page.getByRole('button', { name: 'Voice', exact: true }).click();
	await page.reload();
	await expect(page.getByRole('button', { name: 'Voice', exact: true })).toHaveAttribute('aria-pressed', 'true');
});

test('training: a whole supper, the first mishaps at 60×, six an hour, nothing of it kept; served, and what was lost is told', async ({
	page
}) => {
	test.setTimeout(900_000);
	await open(page, '/cook');
	await planned(page);
	await page.getByText('Train on this evening').click();
	const rate = page.getByLabel('Mishaps an hour', { exact: true });
	await rate.fill('6');
	await rate.press('Enter');
	await page.getByRole('button', { name: 'Begin the training' }).click();
	await expect(page.getByText('nothing of this evening is kept')).toBeVisible();
	await page.getByRole('button', { name: '60×' }).click();
	let mishaps = 0;
	const how = page.getByRole('region', { name: 'How it went' });
	await expect(async () => {
		for (let i = 0; i < 25 && !(await how.isVisible()); i++) {
			const wrong = page.getByRole('button', { name: /^So it is: / });
			if ((await wrong.count()) > 0) {
				await wrong.first().click({ timeout: 5000 });
				mishaps++;
				// From here a slow machine is no slow cook: the clock waits for what is tapped.
				if (mishaps === 2) await page.getByRole('button', { name: '1×', exact: true }).click();
				continue;
			}
			const card = now(page).getByRole('article').first();
			if ((await card.count()) === 0) {
				await skip(page).click({ timeout: 5000 });
				continue;
			}
			// As a cook would: what is not done is said to be not done, once or twice.
			const seen = await card.getByText(/^You see: /).allInnerTexts();
			const not = card.getByRole('button', { name: 'Nearly' });
			if (seen[0]?.includes('nearly') && (await not.count()) > 0) await not.click({ timeout: 5000 });
			else await card.getByRole('button', { name: /^(Done|It is): / }).click({ timeout: 5000 });
		}
		await expect(how).toBeVisible({ timeout: 200 });
	}).toPass({ timeout: 800_000 });
	expect(mishaps).toBeGreaterThan(5);
	await expect(how.getByText(/cues were/)).toBeVisible();
	await expect(how.getByText('What happened')).toBeVisible();
	await expect(now(page).getByRole('article')).toHaveCount(0);
	await page.getByRole('button', { name: 'End the training' }).click();
	await expect(now(page).getByText('The run begins with the first cue')).toBeVisible();
	await page.reload();
	await page.locator('main[data-ready="true"]').waitFor();
	await expect(now(page).getByText('The run begins with the first cue')).toBeVisible();
});

test('the oven that is on: its lamp and a thermometer are told, and nothing is planned anew for that', async ({
	page
}) => {
	test.slow();
	await open(page, '/cook');
	await planned(page);
	const oven = page.getByRole('region', { name: 'The oven' });
	await cookUntil(page, async () => (await oven.count()) > 0);
	await expect(oven.getByText(/to be hot by/)).toBeVisible();
	await oven.getByRole('button', { name: 'Its lamp says hot' }).click();
	await expect(oven.getByText(/, hot at/)).toBeVisible();
	await expect(oven.getByRole('button', { name: 'Its lamp says hot' })).toHaveCount(0);
	await oven.getByRole('button', { name: /^Keep/ }).click();
	await expect(oven).toContainText(/read/);
	await expect(page.getByText(/^Because /)).toHaveCount(0);
});
