// The main path, as a cook goes it: first visit, change, replan, reload, cook through.
import { expect, open, planned, test } from './test';

test('a first visit opens on the planned demo supper, before any script has run', async ({ browser }) => {
	const context = await browser.newContext({ javaScriptEnabled: false });
	const page = await context.newPage();
	await page.goto('/');
	await expect(page).toHaveURL(/\/plan$/);
	await expect(page.getByRole('heading', { name: 'Harvest supper' })).toBeVisible();
	await expect(page.getByText('On time', { exact: true })).toBeVisible();
	await expect(page.getByText('Celeriac gratin').filter({ visible: true }).first()).toBeVisible();
	await context.close();
});

test('a cord tells everything about its step, by pointing and by keyboard', async ({ page }) => {
	await open(page, '/plan');
	await page.locator('[data-step="duck/sear"]').hover();
	const card = page.getByRole('region', { name: 'The step' });
	await expect(card.getByRole('heading')).toHaveText('Sear the duck, skin down, 1 of 2');
	await expect(card).toContainText('Burner');
	await expect(card).toContainText('Pour off the fat');
	await page.mouse.move(5, 5);
	await page.getByRole('button', { name: /^Stir the mustard dressing/ }).focus();
	await page.keyboard.press('End');
	const last = await card.getByRole('heading').textContent();
	await page.keyboard.press('ArrowLeft');
	await expect(card.getByRole('heading')).not.toHaveText(last ?? '');
});

test('the axis can give the last minutes more room', async ({ page }) => {
	await open(page, '/plan');
	const width = async () => (await page.locator('[data-step="duck/carve"] .body').boundingBox())?.width ?? 0;
	const before = await width();
	await page.getByLabel('Room for').selectOption('the last ten minutes');
	expect(await width()).toBeGreaterThan(1.5 * before);
	await page.keyboard.press('Escape');
	await page.locator('h1').click();
	await page.keyboard.press('[');
	await expect(page.getByLabel('Room for')).toHaveValue('12');
});

test('a changed thickness and service time move the plan, survive a reload, and can be undone', async ({ page }) => {
	await open(page, '/menu');
	const duck = page.locator('article#duck');
	const time = duck.locator('summary strong');
	const before = await time.textContent();
	await duck.getByLabel('Thickness', { exact: true }).fill('45');
	await duck.getByLabel('Thickness', { exact: true }).press('Enter');
	await planned(page);
	await expect(time).not.toHaveText(before ?? '');

	await page
		.getByRole('region', { name: 'Plates' })
		.getByRole('button', { name: 'on the table at: five minutes later' })
		.click();
	await planned(page);
	await expect(page.getByText(/plates 19:35/)).toBeVisible();
	await page.waitForTimeout(500);
	await page.reload();
	await page.locator('main[data-ready="true"]').waitFor();
	await expect(duck.getByLabel('Thickness', { exact: true })).toHaveValue('45');
	await expect(page.getByText(/plates 19:35/)).toBeVisible();

	await page
		.getByRole('button', { name: 'Reset the demo meals' })
		.or(page.getByText('Files', { exact: true }))
		.first()
		.click();
	await page.getByRole('button', { name: 'Reset the demo meals' }).click();
	await expect(duck.getByLabel('Thickness', { exact: true })).toHaveValue('30');
	await page.keyboard.press('Control+z');
	await expect(duck.getByLabel('Thickness', { exact: true })).toHaveValue('45');
	await page.keyboard.press('Control+Shift+z');
	await expect(duck.getByLabel('Thickness', { exact: true })).toHaveValue('30');
});

test('a kitchen that lacks an oven burner or a tray says what is missing and what to do', async ({ page }) => {
	await open(page, '/kitchen');
	await page.getByLabel('Tray, 40 × 30 cm: how many', { exact: true }).fill('0');
	await page.getByLabel('Tray, 40 × 30 cm: how many', { exact: true }).press('Enter');
	await expect(page.getByRole('alert')).toContainText('needs a tray');
	await expect(page.getByRole('alert')).toContainText('Add one to the kitchen');
	await page.getByRole('button', { name: 'Undo' }).click();
	await planned(page);
	await expect(page.getByText('On time', { exact: true })).toBeVisible();
});

test('a wrong time and a wrong number are refused where they stand', async ({ page }) => {
	await open(page, '/menu');
	const field = page.getByLabel('Begin from', { exact: true });
	await field.fill('late');
	await field.press('Enter');
	await expect(page.getByText('“late” is not a time of day. Write it like 19:30, 7:30 pm or 7pm.')).toBeVisible();
	await expect(field).toHaveValue('16:45');
	const people = page.getByLabel('People', { exact: true });
	await people.fill('400');
	await people.press('Enter');
	await expect(page.getByText('People: “400” is too much: at most 60.')).toBeVisible();
});

test('the supper is cooked through by its cues, with one undo, and a reload in between', async ({ page }) => {
	await open(page, '/cook');
	test.slow();
	const first = page.getByRole('button', { name: /^Done:/ }).first();
	const skip = page.getByRole('button', { name: 'To the next cue' });
	const isOver = page.getByText('Everything is served.');
	await skip.click();
	await first.waitFor();
	await page.locator('h2').first().click();
	await page.keyboard.press(' ');
	await expect(first).toBeHidden();
	await page.keyboard.press('u');
	await expect(first).toBeVisible();
	let hasReloaded = false;
	// A key that is pressed on a button is the button's.
	const letGo = () =>
		page.evaluate(() => {
			if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
		});
	for (let i = 0; i < 200 && !(await isOver.isVisible()); i++) {
		if (await first.isVisible()) await page.keyboard.press('1');
		else await skip.click();
		await letGo();
		if (i === 20 && !hasReloaded) {
			hasReloaded = true;
			await page.waitForTimeout(200);
			await page.reload();
			await page.locator('main[data-ready="true"]').waitFor();
			await expect(page.getByRole('button', { name: 'Undo', exact: true }).last()).toBeEnabled();
		}
	}
	await expect(isOver).toBeVisible();
	await expect(page.getByRole('region', { name: 'Clock' })).toContainText('19:30');
});

test('a timer that is given a minute more moves what waits for it', async ({ page }) => {
	await open(page, '/cook');
	const on = page.getByRole('region', { name: 'On', exact: true });
	for (let i = 0; i < 60 && (await on.getByRole('button').count()) === 0; i++) {
		const done = page.getByRole('button', { name: /^Done:/ }).first();
		if (await done.isVisible()) await done.click();
		else await page.getByRole('button', { name: 'To the next cue' }).click();
	}
	const left = on.locator('.left').first();
	const before = await left.textContent();
	await on
		.getByRole('button', { name: /a minute more/ })
		.first()
		.click();
	await expect(left).not.toHaveText(before ?? '');
});

test('the demo clock runs as fast as it is told', async ({ page }) => {
	await open(page, '/cook');
	const clock = page.getByRole('timer');
	const before = await clock.textContent();
	await page.getByRole('button', { name: '60×' }).click();
	await expect(clock).not.toHaveText(before ?? '', { timeout: 5000 });
	await page.getByRole('button', { name: 'Stop the clock' }).click();
});

test('keys go from place to place, find a step and show themselves', async ({ page }) => {
	await open(page, '/plan');
	await page.keyboard.press('g');
	await page.keyboard.press('k');
	await expect(page).toHaveURL(/\/kitchen$/);
	await page.keyboard.press('Control+k');
	await page.getByRole('combobox').fill('crumbs fry');
	await page.keyboard.press('Enter');
	await expect(page).toHaveURL(/\/plan\?step=/);
	await page.keyboard.press('?');
	await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
});

test('what would help is planned, ranked, applied and undone', async ({ page }) => {
	test.slow();
	// A menu of which there is much to say: three cooks, two courses, techniques that others could stand for.
	await open(page, '/menu');
	await page
		.getByRole('navigation', { name: 'Your meals' })
		.getByText('Larkspur Room, Friday', { exact: true })
		.click();
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await expect(page.getByRole('heading', { name: 'Larkspur Room, Friday' })).toBeVisible();
	await planned(page);
	const help = page.getByRole('region', { name: 'What would help' });
	await help.getByRole('button', { name: 'Try what would help' }).click();
	await expect(help.getByText(/changes planned/)).toBeVisible();
	await expect(help.getByRole('button', { name: 'Try again' })).toBeEnabled({ timeout: 120_000 });
	// Nothing is left out where something less helps.
	await expect(help.getByRole('listitem').first()).toBeVisible();
	await expect(help.getByText(/^without /)).toHaveCount(0);
	const before = await page.locator('[data-step]').count();
	const change = help
		.getByRole('button', { name: /^Apply: .*(made before the evening|as “|later|one more|in the oven)/ })
		.first();
	await change.click();
	await planned(page);
	await expect(page.getByRole('button', { name: /^Undo/ })).toBeEnabled();
	await page.keyboard.press('Control+z');
	await planned(page);
	expect(await page.locator('[data-step]').count()).toBe(before);
});

test('a chosen step says how much later it may be', async ({ page }) => {
	await open(page, '/plan');
	await page.locator('[data-step="cabbage/braise"]').click();
	await expect(page.getByRole('region', { name: 'The step' })).toContainText(/slack/);
});
