// What each way of working asks for, driven from an empty meal through the interface alone.
import type { Page } from '@playwright/test';
import { add, expectPlan, more, newKitchen, newMeal, openStep, part, type } from './building';
import { expect, open, planned, test } from './test';

/** An empty meal in a kitchen of a kind. */
async function begin(page: Page, kitchen: string, people: number, from = '17:00', service = '19:30'): Promise<void> {
	await open(page, '/kitchen');
	await newKitchen(page, kitchen, 'Our kitchen');
	await page.getByRole('link', { name: 'Menu', exact: true }).click();
	await newMeal(page, 'Our meal', people, from, service);
}

test('numbers and times as people type them, in any unit; a message goes with its cause', async ({ page }) => {
	await begin(page, 'A family kitchen', 2);
	const service = page.getByLabel('on the table at', { exact: true });
	for (const [typed, read] of [
		['8pm', '20:00'],
		['7', '19:00'],
		['half past', '19:00'],
		['7:45 pm', '19:45']
	] as const) {
		await type(service, typed);
		await expect(service).toHaveValue(read);
	}
	const people = page.getByLabel('People', { exact: true });
	await type(people, '2.5');
	await expect(page.getByText('“2.5” is not whole')).toBeVisible();
	await expect(people).toHaveValue('2');
	await type(people, '70');
	await expect(page.getByText(/at most 60.*second meal/)).toBeVisible();
	await type(people, '3');
	await expect(page.getByText(/at most 60/)).toHaveCount(0);
	await expect(people).toHaveValue('3');
	await add(page, 'plates', 'steak pan', 'Steak, in the pan');
	const thickness = page.getByLabel('Thickness', { exact: true });
	for (const [typed, read] of [
		['1 1/2 in', '38.1'],
		['¾"', '19.05'],
		['4 cm', '40']
	] as const) {
		await type(thickness, typed);
		await expect(thickness).toHaveValue(read);
	}
	await type(thickness, '3 lb');
	await expect(page.getByText(/of another kind. Write it like 40 mm/)).toBeVisible();
	await page.getByLabel('measured in').selectOption('us');
	await expect(thickness).toHaveValue('1.57');
	await type(thickness, '1.25');
	await expect(thickness).toHaveValue('1.25');
	// After midnight is still of this evening.
	await type(service, '00:30');
	await planned(page);
	await expect(page.getByText(/plates 00:30/).first()).toBeVisible();
	await page.waitForTimeout(500);
	await page.reload();
	await page.locator('main[data-ready="true"]').waitFor();
	await expect(page.getByLabel('on the table at', { exact: true })).toHaveValue('00:30');
});

test('eggs are counted for each and by their size; ratios and whole birds are told', async ({ page }) => {
	await begin(page, 'A family kitchen', 4);
	await add(page, 'plates', 'scrambled fast', 'Scrambled eggs, fast');
	await add(page, 'plates', 'whole chicken', 'Whole chicken');
	const eggs = 'Scrambled eggs, fast and soft';
	await type(part(page, eggs).getByLabel('Eggs for each', { exact: true }), '3');
	await part(page, eggs).getByLabel('Milk or cream').selectOption('half a tablespoon of milk an egg');
	await page.getByRole('link', { name: 'Shopping and bowls' }).click();
	const shopping = page.getByRole('region', { name: 'Shopping' });
	await expect(shopping.getByRole('row', { name: /^eggs 12/ })).toBeVisible();
	await expect(shopping.getByRole('row', { name: /^whole chicken 1.5 kg 1 of 1.5 kg/ })).toBeVisible();
	await expect(page.getByText('milk to egg 1 : 7.1')).toBeVisible();
	await page.getByRole('link', { name: 'Parts', exact: true }).click();
	await type(part(page, eggs).getByLabel('Egg in its shell', { exact: true }), '45');
	await part(page, eggs).getByLabel('Milk or cream').selectOption('none');
	await type(page.getByLabel('People', { exact: true }), '5');
	await page.getByRole('link', { name: 'Shopping and bowls' }).click();
	await expect(shopping.getByRole('row', { name: /^eggs 20/ })).toBeVisible();
	await expect(shopping.getByRole('row', { name: /^whole chicken 3 kg 2 of 1.5 kg/ })).toBeVisible();
	await expect(shopping.getByRole('row', { name: /^milk/ })).toHaveCount(0);
});

test('all ways of a part stand in one table; taken from there, its name follows', async ({ page }) => {
	test.slow();
	await begin(page, 'A family kitchen', 4);
	await add(page, 'plates', 'leeks steam', 'Leeks, steamed');
	await add(page, 'plates', 'potato mash', 'Potato mash');
	await planned(page);
	await more(page, 'Leeks, steamed').click();
	const leeks = part(page, 'Leeks, steamed');
	await leeks.getByRole('button', { name: /^Compare all \d ways/ }).click();
	const table = leeks.getByRole('table', { name: /Ways to make/ });
	await expect(leeks.getByRole('button', { name: /^Compare all/ })).toBeEnabled({ timeout: 60_000 });
	await expect(table.getByText('planning …')).toHaveCount(0);
	await table.getByRole('button', { name: 'Sort by hands' }).click();
	await expect(table.getByRole('columnheader', { name: 'Hands' })).toHaveAttribute('aria-sort', 'ascending');
	await table.getByRole('button', { name: 'Take Leeks, roasted' }).click();
	await expect(
		page.getByRole('article').filter({ has: page.getByRole('heading', { name: 'Leeks, roasted' }) })
	).toBeVisible();
	await expect(page.getByRole('heading', { name: 'Leeks, steamed' })).toHaveCount(0);
	await expectPlan(page);
});

test('a step that cannot be left says so, with what has to stand ready; a long one says when to look', async ({
	page
}) => {
	await begin(page, 'A family kitchen', 2);
	await add(page, 'plates', 'scrambled fast', 'Scrambled eggs, fast');
	await add(page, 'plates', 'potato wedges', 'Potato wedges');
	await expectPlan(page);
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await planned(page);
	const card = page.getByRole('region', { name: 'The step' });
	await openStep(page, /Scramble the eggs/);
	await expect(card.getByText('once begun it cannot be left')).toBeVisible();
	await expect(card.getByText(/g butter.*done: break and beat the eggs/)).toBeVisible();
	await page
		.getByRole('button', { name: /wedges/ })
		.first()
		.focus();
	await expect(page.getByText('cannot be left').first()).toBeVisible();
});

test('slow scrambled eggs and toast for two, by one cook of two burners', async ({ page }) => {
	await begin(page, 'A small flat', 2, '08:00', '09:30');
	await add(page, 'plates', 'scrambled slow', 'Scrambled eggs, slow');
	await add(page, 'plates', 'toast oven', 'Toast from the oven');
	await expectPlan(page);
});

test('a drink is poured last and hot, wherever it stands on the list', async ({ page }) => {
	await begin(page, 'A family kitchen', 2, '08:00', '09:30');
	for (const [text, name] of [
		['tea', 'Tea'],
		['scrambled slow', 'Scrambled eggs, slow'],
		['toast oven', 'Toast from the oven']
	] as const)
		await add(page, 'plates', text, name);
	await expectPlan(page);
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await planned(page);
	await openStep(page, /Let the tea draw/);
	const then = page.getByRole('region', { name: 'The step' }).getByText(/straight to the plate|^waits /);
	const said = await then.innerText();
	const minutes = /waits (\d+)(½)? min/.exec(said);
	expect(minutes === null ? 0 : Number(minutes[1])).toBeLessThan(8);
});

test('no plan is never shown as one; the cure that a cook tries first comes first, leaving out a part last', async ({
	page
}) => {
	test.slow();
	await begin(page, 'A family kitchen', 4);
	await add(page, 'plates', 'steak pan', 'Steak, in the pan');
	await expectPlan(page);
	await add(page, 'plates', 'risotto', 'Risotto');
	const cures = page.getByRole('list', { name: 'Cures' });
	await expect(page.getByText('No plan', { exact: true })).toBeVisible({ timeout: 120_000 });
	await expect(page.getByText('On time', { exact: true })).toHaveCount(0);
	await expect(cures.getByText(/^steak, in the pan: turned once$/)).toBeVisible({ timeout: 60_000 });
	await expect(cures.getByText(/^leave out/).first()).toBeVisible({ timeout: 120_000 });
	const said = await cures.locator('li > span:first-child').allInnerTexts();
	expect(said[0]).toMatch(/turned once/);
	expect(said.at(-1)).toMatch(/^leave out/);
	await page.getByRole('link', { name: 'Cook', exact: true }).click();
	await expect(page.getByText(/no plan of the meal as it is now/)).toBeVisible();
	await page.getByRole('link', { name: 'Menu', exact: true }).click();
	await page.getByRole('button', { name: /^Apply: steak, in the pan: turned once/ }).click();
	await expectPlan(page);
	await expect(page.getByLabel('Turning')).toHaveValue('0');
});

test('an evening that should have begun is said, with what is possible; one touch plans that', async ({ page }) => {
	const now = new Date();
	now.setHours(18, 50, 0, 0);
	await page.clock.setFixedTime(now);
	await begin(page, 'A family kitchen', 2, '17:00', '19:00');
	await add(page, 'plates', 'potato wedges', 'Potato wedges');
	await expect(page.getByText(/By this clock work should have begun/)).toBeVisible({ timeout: 60_000 });
	await page.getByRole('button', { name: /^Begin now, serve/ }).click();
	await expect(page.getByText(/By this clock/)).toHaveCount(0);
	await expect(page.getByLabel('Begin from', { exact: true })).toHaveValue('18:50');
	await type(page.getByLabel('Begin from', { exact: true }), '16:00');
	await type(page.getByLabel('on the table at', { exact: true }), '18:00');
	await expect(page.getByText(/should have been on the table 50 min ago/)).toBeVisible({ timeout: 60_000 });
	// What is being cooked has begun: nobody is asked to begin it.
	await page.getByRole('link', { name: 'Cook', exact: true }).click();
	await page.getByRole('button', { name: 'To the next cue' }).click();
	await page
		.getByRole('button', { name: /^Done: / })
		.first()
		.click();
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await planned(page);
	await expect(page.getByText(/By this clock/)).toHaveCount(0);
});

test('the restaurant: thirty covers, four courses, two allergies, and a cook who leaves', async ({ page }) => {
	test.setTimeout(240_000);
	await begin(page, 'A bistro line', 30, '14:00', '19:00');
	const course = async (n: number, name: string, at: string) => {
		await page.getByRole('button', { name: 'Another course' }).click();
		const made = page.getByRole('region', { name: `Course ${n}` });
		await type(made.getByLabel('Name of the course'), name);
		await type(page.getByRole('region', { name }).getByLabel('on the table at', { exact: true }), at);
	};
	await type(page.getByLabel('Name of the course'), 'Soup');
	await add(page, 'soup', 'vegetable soup', 'Vegetable soup');
	await course(2, 'Fish', '7:30pm');
	await add(page, 'fish', 'fish fillet oven', 'Fish fillet, in the oven');
	await add(page, 'fish', 'fennel raw', 'Fennel, raw');
	await course(3, 'Main', '8:15pm');
	await add(page, 'main', 'chicken breast pan', 'Poultry breast, skin down');
	await add(page, 'main', 'potato mash', 'Potato mash');
	await course(4, 'Sweet', '9pm');
	await add(page, 'sweet', 'custard chilled', 'Custard');
	await page.getByRole('link', { name: 'Guests', exact: true }).click();
	for (const [n, tag] of [
		[1, 'milk'],
		[2, 'fish']
	] as const) {
		await page.getByRole('button', { name: 'A guest to take care of' }).click();
		await page
			.getByRole('article')
			.nth(n - 1)
			.getByLabel(tag, { exact: true })
			.check();
	}
	await planned(page);
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await planned(page);
	await expect(page.getByText(/^Not for Guest 1/)).toBeVisible({ timeout: 90_000 });
	await expect(page.getByText(/30 at Our kitchen · 3 cooks/)).toBeVisible();
	await page.getByRole('link', { name: 'Cook', exact: true }).click();
	await page.getByRole('button', { name: 'To the next cue' }).click();
	const here = page.getByRole('region', { name: 'Who is here' });
	await expect(here.getByRole('listitem')).toHaveCount(3);
	await page
		.getByRole('button', { name: /^Done: / })
		.first()
		.click();
	const [first] = await here.locator('strong').allInnerTexts();
	await here.getByRole('button', { name: `${first ?? ''} leaves` }).click();
	await expect(here.getByText('is away')).toBeVisible();
	await expect(page.getByText(/^Replanned: |^It cannot all be kept: /).first()).toBeVisible({ timeout: 60_000 });
	await page.getByRole('region', { name: 'Now' }).getByRole('button', { name: 'Undo' }).click();
	await expect(here.getByText('is away')).toHaveCount(0);
	await here.getByRole('button', { name: 'Somebody comes to help' }).click();
	await expect(here.getByText('Helper 1')).toBeVisible();
});

test('on a phone half an hour is large, with words; the card of a step that is touched comes into view', async ({
	page
}) => {
	await page.setViewportSize({ width: 390, height: 844 });
	const noon = new Date();
	noon.setHours(12, 0, 0, 0);
	await page.clock.setFixedTime(noon);
	await begin(page, 'A family kitchen', 2);
	await add(page, 'plates', 'potato wedges', 'Potato wedges');
	await add(page, 'plates', 'green herb', 'Green herb sauce');
	await expectPlan(page);
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await planned(page);
	const large = page.getByRole('region', { name: 'Half an hour' });
	const bar = large.getByRole('listitem').getByRole('button').last();
	await bar.click();
	await expect(bar).toHaveAttribute('aria-pressed', 'true');
	await expect(page.getByRole('region', { name: 'The step' })).toBeInViewport();
	const before = await large.getByRole('heading').innerText();
	const later = large.getByRole('button', { name: 'A quarter of an hour later' });
	await later.click();
	await expect(large.getByRole('heading')).not.toHaveText(before);
	for (let i = 0; i < 40 && (await later.isEnabled()); i += 1) await later.click();
	await expect(later).toBeDisabled();
});

test('fries without a fryer: boiled, dried, fried pale, fried again; and how fresh an egg is', async ({ page }) => {
	test.slow();
	await begin(page, 'A family kitchen', 2, '15:00', '19:30');
	await add(page, 'plates', 'fries pot', 'Fries, in a pot of oil');
	await expectPlan(page);
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await planned(page);
	for (const step of ['boil', 'cool', 'first', 'rest', 'hotter', 'fry'])
		await expect(page.locator(`[data-step="fries-pot/${step}"]`).first()).toBeAttached();
	await open(page, '/bench?q=freshness');
	await page.getByLabel('In cold water it lies').selectOption('floating');
	await expect(page.getByText(/Throw it away/)).toBeVisible();
	await page.getByLabel('In cold water it lies').selectOption('tilted, the blunt end up');
	await expect(page.getByText(/boil and peel/)).toBeVisible();
});

test('several vegetables share a tray, each added at its own minute; drawn with all that lies on it', async ({
	page
}) => {
	await begin(page, 'A family kitchen', 2);
	for (const [text, name] of [
		['carrots roast', 'Carrots, roasted'],
		['onions roast', 'Onions and peppers, roasted'],
		['asparagus roast', 'Asparagus, roasted']
	] as const)
		await add(page, 'plates', text, name);
	for (const name of ['Onions and peppers, roasted', 'Asparagus, roasted']) {
		await more(page, name).click();
		await part(page, name).getByLabel('Shares the tray of').selectOption('Carrots, roasted, added at its own minute');
	}
	await expect(
		part(page, 'Carrots, roasted').getByText('on one tray with Onions and peppers, roasted, Asparagus, roasted')
	).toBeVisible();
	await part(page, 'Carrots, roasted').getByLabel('Tossed').selectOption('past half way: browner below');
	await expectPlan(page);
	await page.getByRole('link', { name: 'Trays and batches' }).click();
	const loads = page.getByRole('region', { name: 'Loads' });
	await expect(loads.getByRole('img', { name: /pieces of Carrots.*pieces of Asparagus.*to scale/ })).toBeVisible();
	await expect(loads.getByText(/Asparagus, roasted \d+ min later/)).toBeVisible();
	await expect(loads.getByText(/pieces shrink as they lose water/)).toBeVisible();
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await planned(page);
	await openStep(page, /Roast the asparagus/);
	await expect(page.getByRole('region', { name: 'The step' }).getByText(/Asparagus onto the tray/)).toBeVisible();
	// Too many for the trays there are: they go apart, and it is said.
	await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Menu' }).click();
	await type(page.getByLabel('People', { exact: true }), '14');
	await expect(part(page, 'Carrots, roasted').getByText(/they go apart/)).toBeVisible();
});

test('a dressing stands, is tasted, finishes its part; a sauce is made in the pan that the meat has left', async ({
	page
}) => {
	await begin(page, 'A family kitchen', 2);
	for (const [text, name] of [
		['steak pan', 'Steak, in the pan'],
		['leeks steam', 'Leeks, steamed'],
		['vinaigrette', 'Vinaigrette'],
		['pan sauce sear', 'Pan sauce from the sear']
	] as const)
		await add(page, 'plates', text, name);
	await expect(part(page, 'Pan sauce from the sear').getByText(/made in the frying pan of Steak/)).toBeVisible();
	await more(page, 'Pan sauce from the sear').click();
	const pan = part(page, 'Pan sauce from the sear').getByLabel('In the pan of');
	await pan.selectOption('none yet');
	await expect(part(page, 'Pan sauce from the sear').getByText(/that another part leaves: add one/)).toBeVisible();
	await pan.selectOption({ label: 'Steak, in the pan' });
	await more(page, 'Vinaigrette').click();
	await part(page, 'Vinaigrette').getByLabel('Finishes').selectOption('Leeks, steamed, as its last step');
	await expect(part(page, 'Leeks, steamed').getByText('finished with Vinaigrette')).toBeVisible();
	await expect(part(page, 'Leeks, steamed').getByText(/contains.*mustard/)).toBeVisible();
	await expectPlan(page);
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await planned(page);
	await openStep(page, /Finish the leeks with the vinaigrette/);
	const card = page.getByRole('region', { name: 'The step' });
	await expect(card.getByText(/\d+ g vinaigrette, begin with \d+ g and taste/)).toBeVisible();
	for (const name of [/Let the dressing stand/, /Taste the dressing/])
		await expect(page.getByRole('button', { name }).first()).toBeAttached();
});

test('griddle and grill: crossed marks by quarter turns, heat turned down by a cue, half of the grill gentle', async ({
	page
}) => {
	test.slow();
	await open(page, '/kitchen');
	await newKitchen(page, 'A bistro line', 'Our kitchen');
	await page
		.getByRole('button', { name: /^Grill/ })
		.first()
		.click();
	await page.getByRole('button', { name: 'Half hot, half gentle', exact: true }).click();
	await expect(page.getByRole('button', { name: /Grill, gentle half/ }).first()).toBeVisible();
	await page.getByRole('link', { name: 'Menu', exact: true }).click();
	await newMeal(page, 'Our meal', 4, '17:00', '19:30');
	for (const [text, name] of [
		['steak griddle', 'Steak, on the griddle'],
		['chicken thighs gently', 'Chicken thighs, grilled gently'],
		['asparagus grilled', 'Asparagus, grilled']
	] as const)
		await add(page, 'plates', text, name);
	await part(page, 'Steak, on the griddle').getByLabel('Turning').selectOption('quarter turns: crossed marks');
	await expectPlan(page);
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await planned(page);
	const card = page.getByRole('region', { name: 'The step' });
	await openStep(page, /Sear the steaks on the griddle/);
	await expect(card.getByText(/a quarter turn, the same face down/)).toBeVisible();
	await expect(card.getByText(/Griddle down to medium/)).toBeVisible();
	await expect(card.getByText(/across both burners/)).toBeVisible();
	await openStep(page, /Grill the thighs gently/);
	await expect(card.getByText(/Grill, gentle half/).first()).toBeVisible();
	await openStep(page, /Grill the asparagus/);
	await expect(card.getByText(/Grill, hot half/).first()).toBeVisible();
});

test('a live fire: lit in time, its fuel counted, food in the falling heat, measured by a hand while cooking', async ({
	page
}) => {
	test.slow();
	await open(page, '/kitchen');
	await newKitchen(page, 'A family kitchen', 'Our garden');
	const stations = page.getByRole('group', { name: 'Add a station' });
	await stations.getByRole('button', { name: 'grill', exact: true }).click();
	await page.getByLabel('on', { exact: true }).selectOption('charcoal: lit before, fed, falls');
	await type(page.getByLabel('or a hand stays over it for', { exact: true }), '3');
	await expect(page.getByLabel('As hot as', { exact: true })).toHaveValue('260');
	await stations.getByRole('button', { name: 'wood oven', exact: true }).click();
	await page.getByRole('link', { name: 'Menu', exact: true }).click();
	await newMeal(page, 'Our meal', 2, '15:00', '19:30');
	for (const [text, name] of [
		['flatbread wood', 'Flatbread, from the wood oven'],
		['onions falling', 'Onions and peppers, from the falling'],
		['steak grill', 'Steak, on the grill']
	] as const)
		await add(page, 'plates', text, name);
	await expectPlan(page);
	await page.getByRole('link', { name: 'Shopping and bowls' }).click();
	const shopping = page.getByRole('region', { name: 'Shopping' });
	await expect(shopping.getByRole('row', { name: /^charcoal .*Grill: lit at 1\d:\d\d/ })).toBeVisible();
	await expect(shopping.getByRole('row', { name: /^wood .*Wood oven: lit at 1\d:\d\d/ })).toBeVisible();
	await page.getByRole('link', { name: 'Cook', exact: true }).click();
	await expect(page.getByText(/Light the fire in the wood oven: to .*kg of wood/).first()).toBeVisible();
	const fire = page.getByRole('region', { name: 'The fire' });
	await expect(fire.getByText(/lit at 1\d:\d\d with .* of charcoal/)).toBeVisible();
	await page.getByRole('button', { name: 'To the next cue' }).click();
	const grill = fire.getByRole('listitem').filter({ hasText: 'Grill' });
	await type(grill.getByLabel('A hand stays for', { exact: true }), '4');
	await grill.getByRole('button', { name: 'It has 230 °C' }).click();
	await expect(grill.getByText('230 °C as measured')).toBeVisible();
	await expect(fire.getByText(/230 °C by the plan/)).toBeVisible({ timeout: 30_000 });
	await page.locator('#main').getByRole('button', { name: 'Undo' }).click();
	await expect(grill.getByText('230 °C as measured')).toHaveCount(0);
});

test('the fish stands on the leeks; how far the fish climbs on the plate is said', async ({ page }) => {
	await begin(page, 'A family kitchen', 2);
	for (const [text, name] of [
		['salmon pan', 'Salmon'],
		['leeks steam', 'Leeks, steamed']
	] as const)
		await add(page, 'plates', text, name);
	const fish = page.getByRole('article').filter({ has: page.getByRole('heading', { name: /^Salmon/ }) });
	await fish.getByText('Ways, wishes, ahead …').click();
	await fish.getByLabel('On the plate', { exact: true }).selectOption('on top of Leeks, steamed');
	await expect(fish.getByText('on top of Leeks, steamed', { exact: true }).first()).toBeVisible();
	await expectPlan(page);
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await planned(page);
	await openStep(page, /Fry the salmon/);
	await expect(page.getByRole('region', { name: 'The step' }).getByText(/climbs to .* on the plate/)).toBeVisible();
	await page.getByRole('link', { name: 'Cook', exact: true }).click();
	await expect(page.getByRole('region', { name: 'Next' })).toBeVisible();
});

test('a probe in the roast: typed or played, time left with its band; the plan follows', async ({ page }) => {
	test.slow();
	await begin(page, 'A family kitchen', 4, '15:00');
	await add(page, 'plates', 'large roast', 'Large roast');
	await expectPlan(page);
	await page.getByRole('link', { name: 'Cook', exact: true }).click();
	const probes = page.getByRole('region', { name: 'Probes' });
	const now = page.getByRole('region', { name: 'Now', exact: true });
	await expect(async () => {
		await page.getByRole('button', { name: 'To the next cue' }).click();
		for (const done of await now.getByRole('button', { name: /^Done/ }).all()) await done.click();
		await expect(probes).toBeVisible({ timeout: 500 });
	}).toPass({ timeout: 60_000 });
	await type(probes.getByLabel('Probe reads', { exact: true }), '6');
	await expect(probes.getByText(/it reads 6\.0 °C now/)).toBeVisible({ timeout: 60_000 });
	await expect(probes.getByText(/Out in/)).toBeVisible();
	await probes.getByRole('button', { name: 'A probe that plays' }).click();
	await page.getByRole('button', { name: '60×' }).click();
	await expect(probes.getByRole('img', { name: /^\d\d+ readings of Large roast/ })).toBeVisible({ timeout: 60_000 });
	await page.getByRole('button', { name: 'Stop the clock' }).click();
	await expect(probes.getByText(/it reads/)).toBeVisible();
});
