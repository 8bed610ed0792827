// Plan's odds in the browser: found out for each plan, blamed, improved by room, undone.
import { expect, open, planned, test } from './test';

test('how likely the plan is, who is to blame, and room behind the steps: applied and taken back', async ({ page }) => {
	test.slow();
	await open(page, '/plan');
	await planned(page);
	const odds = page.getByRole('region', { name: 'How likely it is' });
	await expect(odds.getByText(/evenings? in 100 on time|evening on time/)).toBeVisible({ timeout: 120_000 });
	await expect(odds.getByText(/4096 evenings played/)).toBeVisible({ timeout: 120_000 });
	await expect(page.getByRole('link', { name: /evenings? in 100 on time; .* is to blame in \d+/ })).toBeVisible();
	const before = await odds.getByRole('status').innerText();
	// A step that is blamed comes onto the card, with when it ends.
	await odds.getByRole('listitem').first().getByRole('button').click();
	await expect(
		page.getByRole('region', { name: 'The step' }).getByText(/in four evenings of five it ends/)
	).toBeVisible();
	// Begun as soon as they can, steps make it no less likely.
	const share = async () => Number(/(\d+) evening/.exec(await odds.getByRole('status').innerText())?.[1] ?? '0');
	const held = await share();
	await odds.getByLabel('as soon as they can').check();
	await expect(odds.getByText(/4096 evenings played/)).toBeVisible({ timeout: 120_000 });
	await expect.poll(share, { timeout: 120_000 }).toBeGreaterThanOrEqual(held);
	await odds.getByLabel('as planned').check();
	await expect(odds.getByRole('status')).toHaveText(before, { timeout: 120_000 });
	// Much room has its price, and is taken back by undo.
	const much = odds.getByRole('button', { name: 'Apply: With much room behind each step' });
	await expect(much).toBeVisible({ timeout: 120_000 });
	await much.click();
	await planned(page);
	await expect(odds.getByRole('button', { name: 'Apply: Without room behind the steps' })).toBeVisible({
		timeout: 120_000
	});
	await page.getByRole('button', { name: 'Undo' }).click();
	await planned(page);
	await expect(odds.getByRole('button', { name: 'Apply: With much room behind each step' })).toBeVisible({
		timeout: 120_000
	});
});
