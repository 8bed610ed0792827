// The Kitchen: changed by hand and by form, measured, several kept.
import { expect, open, planned, test } from './test';

test('a station is dragged, moved by arrows, taken out by a key, and all of it undone', async ({ page }) => {
	await open(page, '/kitchen');
	const board = page.getByRole('button', { name: /^Board,/ });
	const before = await board.boundingBox();
	if (!before) throw new Error('no board');
	await page.mouse.move(before.x + before.width / 2, before.y + before.height / 2);
	await page.mouse.down();
	await page.mouse.move(before.x + before.width / 2, before.y + before.height / 2 + 60, { steps: 8 });
	await page.mouse.up();
	await expect.poll(async () => ((await board.boundingBox())?.y ?? 0) - before.y).toBeGreaterThan(20);
	const dragged = await board.boundingBox();
	await board.focus();
	await page.keyboard.press('ArrowRight');
	await expect.poll(async () => (await board.boundingBox())?.x).not.toBe(dragged?.x);
	await page.keyboard.press('Delete');
	await expect(board).toHaveCount(0);
	await expect(page.getByRole('alert').first()).toContainText('needs a board');
	for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Undo' }).click();
	await expect.poll(async () => Math.abs(((await board.boundingBox())?.y ?? 0) - before.y)).toBeLessThan(8);
});

test('a timed litre gives a burner’s real power beside the assumed one, and the plan uses it', async ({ page }) => {
	await open(page, '/kitchen');
	await page
		.getByRole('button', { name: /1\.8 kW/ })
		.first()
		.press('Enter');
	const form = page.getByRole('region', { name: 'Burner 2' });
	await form.getByText(/Arrives in the pot: assumed 1530 W/).click();
	await form.getByLabel('boiled in', { exact: true }).fill('9');
	await form.getByLabel('boiled in', { exact: true }).press('Enter');
	await form.getByRole('button', { name: 'Use the measured power' }).click();
	await expect(form).toContainText(/assumed 1530 W, measured 7\d\d W/);
	await planned(page);
	await page.getByRole('link', { name: 'Menu', exact: true }).click();
	await expect(page.getByRole('heading', { name: 'Harvest supper', level: 1 })).toBeVisible();
	await page.keyboard.press('Control+z');
	await page.getByRole('link', { name: 'Kitchen', exact: true }).click();
	await page
		.getByRole('button', { name: /1\.8 kW/ })
		.first()
		.press('Enter');
	await expect(page.getByRole('region', { name: 'Burner 2' })).not.toContainText('measured 7');
});

test('a thermometer gives the oven’s offset, and steps say what to set', async ({ page }) => {
	await open(page, '/kitchen');
	await page.getByRole('button', { name: /^Oven,/ }).press('Enter');
	const form = page.getByRole('region', { name: 'Oven', exact: true });
	await form.getByText(/Runs as it is set/).click();
	await form.getByLabel('it reads', { exact: true }).fill('195');
	await form.getByLabel('it reads', { exact: true }).press('Enter');
	await form.getByRole('button', { name: 'Use what was measured' }).click();
	await expect(form).toContainText('measured 15 K hotter than set');
	await planned(page);
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await planned(page);
	await page.locator('[data-step="gratin/bake"]').click();
	await expect(page.getByRole('region', { name: 'The step' })).toContainText(/\d+ °C, which is \d+ °C inside/);
});

test('a sample of knife work gives a cook’s pace, and the evening gets longer', async ({ page }) => {
	await open(page, '/kitchen');
	const cooks = page.getByRole('region', { name: 'Cooks' });
	await cooks.getByText(/Assumed a home cook’s pace/).click();
	await cooks.getByLabel('took', { exact: true }).fill('14');
	await cooks.getByLabel('took', { exact: true }).press('Enter');
	await cooks.getByRole('button', { name: 'Use the measured pace' }).click();
	await expect(cooks).toContainText(/measured 2\d\d % of a home cook’s time/);
	await planned(page);
	await expect(page.getByText(/begin 17:\d\d|begin 16:\d\d/)).toBeVisible();
});

test('kitchens are begun from a preset and fitted out; what does not go is said where it stands', async ({ page }) => {
	await open(page, '/kitchen');
	await page.getByRole('button', { name: 'A small flat' }).click();
	// Its one small tray takes the duck in batches; the supper is on time all the same.
	await expect(page.getByRole('button', { name: 'A small flat', pressed: true })).toBeVisible();
	await planned(page);
	await expect(page.getByText('On time', { exact: true })).toBeVisible();
	await page.getByRole('group', { name: 'Add a station' }).getByRole('button', { name: 'griddle' }).click();
	await expect(page.getByRole('region', { name: 'Griddle' })).toContainText('lies over');
	await page.getByRole('group', { name: 'Add a station' }).getByRole('button', { name: 'griddle' }).click();
	await expect(page.getByText('A griddle lies over two burners that no other one covers')).toBeVisible();
	await page.getByRole('group', { name: 'Add a vessel' }).getByRole('button', { name: 'pot' }).click();
	await page.getByLabel('Pot: size').last().fill('huge');
	await page.getByLabel('Pot: size').last().press('Enter');
	await expect(page.getByText('“huge” is not a size. Write it like 28 cm, 5 l or 40 × 30 cm.')).toBeVisible();
});

test('a kitchen without an oven says which part needs one', async ({ page }) => {
	await open(page, '/kitchen');
	await page.getByRole('button', { name: /^Oven,/ }).press('Delete');
	await expect(page.getByRole('alert').first()).toContainText('(Celeriac gratin) needs an oven for 160 to 200 °C');
});
