// The record in the browser: an evening writes itself, a minute for verdicts, what is learnt goes into plans, files out and in.
import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { expect, open, planned, test } from './test';

const now = (page: Page) => page.getByRole('region', { name: 'Now' });

async function withExamples(page: Page): Promise<void> {
	await open(page, '/record');
	await page.getByRole('button', { name: 'Look at ten made-up evenings' }).click();
	await expect(page.getByRole('list', { name: 'Evenings' }).getByRole('link')).toHaveCount(10);
}

test('an evening that is cooked writes itself, and is spoken of afterwards', async ({ page }) => {
	test.slow();
	await open(page, '/menu');
	await page.getByRole('button', { name: 'Two-burner brunch' }).click();
	await page.getByRole('link', { name: 'Cook', exact: true }).click();
	await planned(page);
	const over = page.getByText('Everything is served.');
	for (let i = 0; i < 160 && !(await over.isVisible()); i++) {
		const due = now(page).getByRole('button', { name: /^(Done|It is): / });
		if ((await due.count()) > 0) await due.first().click();
		else await page.getByRole('button', { name: 'To the next cue' }).click();
		await page.waitForTimeout(40);
	}
	await page.getByRole('link', { name: 'How was it? A minute for the record' }).click();
	await expect(page.getByRole('heading', { name: 'Two-burner brunch' })).toBeVisible({ timeout: 30_000 });
	const first = page.getByRole('group', { name: /^Done: / }).first();
	await first.getByRole('button', { name: 'over', exact: true }).click();
	await expect(first.getByRole('button', { name: 'over', exact: true })).toHaveAttribute('aria-pressed', 'true');
	await page
		.getByRole('group', { name: /^Worth: / })
		.first()
		.getByRole('button', { name: '4 of 5' })
		.click();
	await page.getByLabel('Note', { exact: true }).fill('A minute less for the eggs');
	await page.getByRole('button', { name: 'Note it' }).click();
	// A picture, scaled down and kept.
	await page.getByLabel('Picture of the evening').setInputFiles('docs/screenshots/plan-light.png');
	await expect(page.getByRole('img', { name: /^Picture: / })).toBeVisible();
	await page.reload();
	await expect(page.getByText('A minute less for the eggs')).toBeVisible({ timeout: 30_000 });
	await expect(first.getByRole('button', { name: 'over', exact: true })).toHaveAttribute('aria-pressed', 'true');
	await expect(page.getByRole('img', { name: /^Picture: / })).toHaveJSProperty('complete', true);
	await page.getByRole('button', { name: 'Take back: A minute less for the eggs' }).click();
	await expect(page.getByText('A minute less for the eggs')).toHaveCount(0);
	// Put away it teaches nothing; it can be brought back.
	await page.getByRole('button', { name: 'Put this evening away' }).click();
	await expect(page.getByRole('heading', { name: 'Nothing was cooked yet' })).toBeVisible();
});

test('what evenings teach is proposed with its evidence, accepted, seen in the plan, and taken back', async ({
	page
}) => {
	test.slow();
	await withExamples(page);
	await page.getByRole('link', { name: 'What was learnt' }).click();
	const proposals = page.getByRole('region', { name: 'Proposals' });
	await expect(proposals.getByText(/knife and handwork take 0\.\d\d of a home cook’s time/)).toBeVisible();
	await expect(proposals.getByText(/records of 10 evenings; eight in ten/).first()).toBeVisible();
	await expect(proposals.getByText(/In the open meal \d+ steps take .* less in all/).first()).toBeVisible({
		timeout: 30_000
	});
	await proposals.getByRole('button', { name: /^Evening by evening: .*knob/ }).click();
	await expect(page.locator('[data-drawn="true"]').first()).toBeVisible({ timeout: 30_000 });
	await proposals.getByRole('button', { name: /^Hold back: .*knob/ }).click();
	await expect(page.getByText('Held back: 1')).toBeVisible();
	await proposals.getByRole('button', { name: /^Plan by it: .*handwork/ }).click();
	const taken = page.getByRole('region', { name: 'Plans go by' });
	await expect(taken.getByText(/plans take 0\.\d\d/)).toBeVisible();
	await page.getByRole('link', { name: 'Kitchen', exact: true }).click();
	await expect(page.getByText(/measured/i).first()).toBeVisible();
	await page.getByRole('link', { name: 'Record', exact: true }).click();
	await page.getByRole('link', { name: 'What was learnt' }).click();
	await taken.getByRole('button', { name: /^Take back: .*handwork/ }).click();
	await expect(taken).toHaveCount(0);
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(taken).toBeVisible();
});

test('trials stand side by side, and their settings go into the open meal', async ({ page }) => {
	await withExamples(page);
	await page.getByRole('link', { name: 'Side by side' }).click();
	await page.getByLabel('What', { exact: true }).selectOption({ label: 'Celeriac gratin: 10 times' });
	await expect(page.getByRole('columnheader')).toHaveCount(7);
	await expect(page.getByRole('rowheader', { name: 'Verdict' })).toBeVisible();
	await page.getByRole('button', { name: 'Use these settings' }).first().click();
	await expect(page.getByText(/has the settings of \d{4}-/)).toBeVisible();
});

test('a record goes out as a file and comes in elsewhere, twice without harm; a torn one is refused', async ({
	page,
	browser
}) => {
	await withExamples(page);
	await page.getByText('Files', { exact: true }).click();
	const download = page.waitForEvent('download');
	await page.getByRole('button', { name: 'Export the record' }).click();
	const path = await (await download).path();
	const csv = page.waitForEvent('download');
	await page.getByRole('button', { name: 'Every step as CSV' }).click();
	expect((await readFile(await (await csv).path(), 'utf8')).split('\r\n').length).toBeGreaterThan(300);
	const elsewhere = await (await browser.newContext()).newPage();
	await open(elsewhere, '/record');
	const file = { name: 'record.juntos.json', mimeType: 'application/json', buffer: await readFile(path) };
	await elsewhere.getByLabel('Record to import').setInputFiles(file);
	await expect(elsewhere.getByText(/10 evenings more/)).toBeVisible({ timeout: 30_000 });
	await elsewhere.getByText('Files', { exact: true }).click();
	await elsewhere.getByLabel('Record to import').setInputFiles(file);
	await expect(elsewhere.getByText(/10 that were here already, merged/)).toBeVisible({ timeout: 30_000 });
	await expect(elsewhere.getByRole('list', { name: 'Evenings' }).getByRole('link')).toHaveCount(10);
	const torn = { ...file, buffer: Buffer.from(file.buffer.toString().replace('"origin"', '"orgin"')) };
	await elsewhere.getByLabel('Record to import').setInputFiles(torn);
	await expect(elsewhere.getByText(/was not imported; nothing has changed/)).toBeVisible();
	await elsewhere.getByRole('button', { name: /^Take them out/ }).click();
	await expect(elsewhere.getByRole('heading', { name: 'Nothing was cooked yet' })).toBeVisible();
	await elsewhere.context().close();
});

test('from g and r, without a mouse, on a phone, in the dark: nothing is cut off', async ({ page }) => {
	await withExamples(page);
	await open(page, '/plan');
	await page.keyboard.press('g');
	await page.keyboard.press('r');
	await expect(page).toHaveURL(/\/record$/);
	await page.setViewportSize({ width: 390, height: 800 });
	for (const path of ['/record', '/record/learnt', '/record/trials']) {
		await open(page, path);
		await expect(page.getByRole('navigation', { name: 'Pages of the record' })).toBeVisible();
		const wide = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
		expect(wide, path).toBeLessThanOrEqual(0);
	}
});
