// Meals and kitchens built from nothing through the interface alone: the three house scenarios, and a newcomer's two minutes.
import { add, expectPlan, more, newKitchen, newMeal, part, type } from './building';
import { expect, open, planned, test } from './test';

test('a newcomer plans three parts in at most twelve interactions', async ({ page }) => {
	await open(page, '/menu');
	let interactions = 0;
	const does = async (action: Promise<unknown>) => {
		interactions++;
		await action;
	};
	await does(page.getByRole('button', { name: 'New meal' }).click());
	for (const what of ['steak oven', 'potato wedges', 'green herb']) {
		await does(page.getByRole('combobox', { name: 'Add a part' }).fill(what));
		await does(page.keyboard.press('Enter'));
	}
	await expectPlan(page);
	await expect(page.locator('main article')).toHaveCount(3);
	expect(interactions).toBeLessThanOrEqual(12);
});

test('Harvest supper is built from nothing', async ({ page }) => {
	test.slow();
	await open(page, '/kitchen');
	await newKitchen(page, 'A family kitchen', 'Our Fig Street');
	await page.getByRole('link', { name: 'Menu', exact: true }).click();
	await newMeal(page, 'Our harvest supper', 6, '16:45', '18:50');
	await expect(page.getByLabel('cooked in')).toHaveValue(/.+/);
	await type(page.getByLabel('Name of the course'), 'Salad');
	await add(page, 'salad', 'lentil salad', 'Lentil salad');
	await page.getByRole('button', { name: 'Another course' }).click();
	const second = page.getByRole('region', { name: 'Course 2' });
	await type(second.getByLabel('Name of the course'), 'Plates');
	await type(page.getByRole('region', { name: 'Plates' }).getByLabel('on the table at', { exact: true }), '19:30');
	for (const [text, name] of [
		['gratin roots', 'Gratin of sliced roots'],
		['cabbage apple', 'Red cabbage'],
		['green beans', 'Green beans'],
		['duck seared', 'Duck breast, seared'],
		['plums port', 'Pan sauce of plums'],
		['shallot crumbs', 'Shallot crumbs'],
		['fried sage', 'Fried sage']
	] as const) {
		await add(page, 'plates', text, name);
	}
	// One guest wants it further, and the sauce is made in the duck's pan.
	const duck = 'Duck breast, seared then roasted';
	await more(page, duck).click();
	await part(page, duck).getByRole('button', { name: 'One guest otherwise' }).click();
	await part(page, duck).getByLabel('otherwise: doneness').selectOption('62.5');
	const sauce = 'Pan sauce of plums and port';
	await more(page, sauce).click();
	// It has found the pan of the duck by itself.
	const pan = part(page, sauce).getByLabel('In the pan of');
	await expect(pan.locator('option:checked')).toHaveText(duck);
	await expectPlan(page);
	await page.waitForTimeout(500);
	await page.reload();
	await page.locator('main[data-ready="true"]').waitFor();
	await expect(page.getByRole('heading', { name: 'Our harvest supper' })).toBeVisible();
	await expect(page.locator('main article')).toHaveCount(8);
});

test('the two-burner brunch is built from nothing, one egg firmer', async ({ page }) => {
	test.slow();
	await open(page, '/kitchen');
	await newKitchen(page, 'A small flat', 'Our tiny flat');
	await page.getByRole('link', { name: 'Menu', exact: true }).click();
	await newMeal(page, 'Our brunch', 4, '09:00', '10:30');
	await type(page.getByLabel('Name of the course'), 'Brunch');
	for (const [text, name] of [
		['toast oven', 'Toast from the oven'],
		['corn fritters', 'Corn fritters'],
		['tomatoes mushrooms', 'Tomatoes and mushrooms'],
		['eggs lid', 'Fried eggs, steamed'],
		['herb yogurt', 'Herb yogurt'],
		['filter coffee', 'Filter coffee']
	] as const) {
		await add(page, 'brunch', text, name);
	}
	const eggs = 'Fried eggs, steamed under a lid';
	await more(page, eggs).click();
	await part(page, eggs).getByRole('button', { name: 'One guest otherwise' }).click();
	await part(page, eggs).getByLabel('otherwise: how firm').selectOption('firmer');
	await type(part(page, eggs).getByLabel(`${eggs}: who`), 'the firm one');
	await planned(page);
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await planned(page);
	await expect(page.getByRole('button', { name: /the firm one/ }).first()).toBeVisible();
});

test('the Larkspur Room is built from nothing: three cooks, two courses, fourteen covers, fryer batches', async ({
	page
}) => {
	test.setTimeout(180_000);
	await open(page, '/kitchen');
	await newKitchen(page, 'A bistro line', 'Our Larkspur Room');
	await expect(page.getByRole('button', { name: /^Fryer/ })).toBeVisible();
	await expect(page.getByLabel('Pairs of hands', { exact: true })).toHaveValue('3');
	await page.getByRole('link', { name: 'Menu', exact: true }).click();
	await newMeal(page, 'Our Larkspur Friday', 14, '16:00', '19:30');
	await type(page.getByLabel('Name of the course'), 'First');
	await add(page, 'first', 'fennel raw', 'Fennel, raw');
	await add(page, 'first', 'cold roast beef', 'Cold sliced roast beef');
	await page.getByRole('button', { name: 'Another course' }).click();
	await type(page.getByRole('region', { name: 'Course 2' }).getByLabel('Name of the course'), 'Mains');
	await type(page.getByRole('region', { name: 'Mains' }).getByLabel('on the table at', { exact: true }), '20:15');
	for (const [text, name] of [
		['fries', 'Fries, cooked twice'],
		['carrots glazed', 'Carrots, glazed'],
		['steak low', 'Steak, low oven'],
		['green herb', 'Green herb sauce']
	] as const) {
		await add(page, 'mains', text, name);
	}
	// Two guests want their steak further.
	const steak = 'Steak, low oven then seared';
	await more(page, steak).click();
	await part(page, steak).getByRole('button', { name: 'One guest otherwise' }).click();
	await part(page, steak).getByLabel('otherwise: doneness').selectOption('65.5');
	await part(page, steak).getByLabel('otherwise: guests: more').click();
	await planned(page);
	await expect(page.getByText('On time', { exact: true })).toBeVisible({ timeout: 60_000 });
	await page.getByRole('link', { name: 'Trays and batches' }).click();
	const fries = page.getByRole('article').filter({ hasText: 'Fries, cooked twice' }).first();
	await expect(fries).toContainText(/in \d+ batches/);
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await planned(page);
	await expect(page.locator('[data-step*="fries-twice/first-b2"]').first()).toBeAttached();
	await expect(page.getByText(/14 at Our Larkspur Room · 3 cooks/)).toBeVisible();
});
