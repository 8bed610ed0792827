// The browser tests' page: anything the browser complains of fails the test.
import { expect, test as base, type Page } from '@playwright/test';

export const test = base.extend<{ quiet: string[] }>({
	quiet: [
		async ({ page }, use) => {
			const complaints: string[] = [];
			await listen(page, complaints);
			await use(complaints);
			expect(complaints, 'the browser complained').toEqual([]);
		},
		{ auto: true }
	]
});

/** Collect page errors, console errors and warnings, and violations of the content security policy. */
export async function listen(page: Page, complaints: string[]): Promise<void> {
	page.on('pageerror', (error) => complaints.push(error.message));
	page.on('console', (message) => {
		if (['error', 'warning'].includes(message.type())) complaints.push(message.text());
	});
	await page.addInitScript(() => {
		document.addEventListener('securitypolicyviolation', (event) => {
			console.error(`policy: ${event.violatedDirective} ${event.blockedURI}`);
		});
	});
}

/** Open a view and wait until the browser's data are there. */
export async function open(page: Page, path: string): Promise<void> {
	await page.goto(path);
	await page.locator('main[data-ready="true"]').waitFor();
}

/** Wait until the planner has nothing left to do. */
export async function planned(page: Page): Promise<void> {
	await expect(page.getByText('Planning …')).toHaveCount(0, { timeout: 60_000 });
	await expect(page.getByRole('button', { name: 'Stop', exact: true })).toHaveCount(0, { timeout: 60_000 });
}

export { expect };
