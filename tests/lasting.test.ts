// What an evening must outlast: a new version, a lost network, two tabs, a reload, storage that is denied, a busy planner.
import { execFile } from 'node:child_process';
import { existsSync } from 'node:fs';
import { readFile, rm } from 'node:fs/promises';
import { createServer, type Server } from 'node:http';
import { extname } from 'node:path';
import { promisify } from 'node:util';
import { expect, listen, open, planned, test } from './test';
import type { Page } from '@playwright/test';

const root = new URL('..', import.meta.url).pathname;
const types: Readonly<Record<string, string>> = {
	'.html': 'text/html',
	'.js': 'text/javascript',
	'.css': 'text/css',
	'.json': 'application/json',
	'.webmanifest': 'application/manifest+json',
	'.woff2': 'font/woff2',
	'.png': 'image/png',
	'.svg': 'image/svg+xml'
};

/** A host that serves one folder of a build, and lets browsers keep its pages for an hour: what a careless host does. */
function hostOf(folder: () => string): Promise<{ readonly server: Server; readonly url: string }> {
	const server = createServer((request, response) => {
		const path = decodeURIComponent(new URL(request.url ?? '/', 'http://localhost').pathname);
		const file = [`client${path}`, `prerendered${path}`, `prerendered${path}.html`, `prerendered${path}/index.html`]
			.map((name) => `${folder()}/${name}`)
			.find((name) => extname(name) !== '' && existsSync(name));
		if (file === undefined) {
			response.writeHead(404).end();
			return;
		}
		void readFile(file).then((body) => {
			const type = types[extname(file)] ?? 'application/octet-stream';
			response.writeHead(200, {
				'content-type': type,
				'cache-control': file.endsWith('service-worker.js') ? 'no-cache' : 'max-age=3600'
			});
			response.end(body);
		});
	});
	return new Promise((resolve) => {
		server.listen(0, () => {
			const address = server.address();
			const port = typeof address === 'object' && address ? address.port : 0;
			resolve({ server, url: `http://localhost:${port}` });
		});
	});
}

const firstDone = (page: Page) => page.getByRole('button', { name: /^Done:/ }).first();
const undo = (page: Page) => page.getByRole('button', { name: 'Undo', exact: true }).last();
const clockOf = async (page: Page) => {
	const text = (await page.getByRole('region', { name: 'Clock' }).locator('.clock').textContent()) ?? '';
	const [, h = '0', m = '0', s = '0'] = /(\d+):(\d+)\s*:\s*(\d+)/.exec(text) ?? [];
	return Number(h) * 3600 + Number(m) * 60 + Number(s);
};

/** One touch of the run: the first cue that is on is done. Says which. A cue may go while it is aimed at; then the next. */
async function touch(page: Page): Promise<string> {
	let name = '';
	await expect(async () => {
		if (!(await firstDone(page).isVisible())) await page.getByRole('button', { name: 'To the next cue' }).click();
		name = (await firstDone(page).getAttribute('aria-label', { timeout: 2000 })) ?? '';
		await page.getByRole('button', { name, exact: true }).click({ timeout: 2000 });
	}).toPass({ timeout: 60_000 });
	await gone(page, name);
	return name;
}

const gone = (page: Page, name: string) => expect(page.getByRole('button', { name, exact: true })).toHaveCount(0);

test('a new version, with a run on, old pages in the browser’s cache and the old files gone', async ({ page }) => {
	test.setTimeout(400_000);
	const next = `${root}.results/next-build`;
	const building = promisify(execFile)('npx', ['vite', 'build', '--logLevel', 'error'], {
		cwd: root,
		env: { ...process.env, BUILD_FOLDER: next, NODE_ENV: 'production' }
	});
	let folder = `${root}build`;
	const { server, url } = await hostOf(() => folder);
	try {
		await open(page, `${url}/cook`);
		await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
		await touch(page);
		await touch(page);
		await open(page, `${url}/plan`);
		await open(page, `${url}/cook`);
		await expect(undo(page)).toBeEnabled();
		const old = await page.evaluate(() => caches.keys());

		await building;
		folder = next;
		await page.evaluate(async () => {
			await (await navigator.serviceWorker.getRegistration())?.update();
		});
		await expect
			.poll(() => page.evaluate(() => caches.keys()), { timeout: 60_000 })
			.toContainEqual(expect.not.stringMatching(new RegExp(`^(${old.join('|')})$`)));

		// The page that was open goes on, and so do all pages that are opened now: the run is where it was.
		for (const path of ['/plan', '/menu', '/cook']) {
			await open(page, `${url}${path}`);
			await expect(page.locator('main')).toHaveAttribute('data-ready', 'true');
		}
		await expect(undo(page)).toBeEnabled();
		await undo(page).click();
		await undo(page).click();
		await expect(undo(page)).toBeDisabled();
	} finally {
		await building.catch(() => undefined);
		server.close();
		server.closeAllConnections();
		await rm(next, { recursive: true, force: true });
	}
});

test('an address with a slash at its end opens without a network', async ({ page, context }) => {
	await open(page, '/plan');
	await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
	await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
	await context.setOffline(true);
	for (const path of ['/plan/', '/cook/', '/menu/techniques/']) {
		await open(page, path);
		expect(new URL(page.url()).pathname).toBe(path.slice(0, -1));
	}
	await context.setOffline(false);
});

test('the clock of a run goes on while the cook looks at the plan, and over a reload', async ({ page }) => {
	await open(page, '/cook');
	await page.getByRole('button', { name: '60×' }).click();
	await expect.poll(() => clockOf(page)).toBeGreaterThan(0);
	const before = await clockOf(page);
	await page.getByRole('link', { name: 'Plan', exact: true }).click();
	await page.waitForTimeout(1500);
	await page.getByRole('link', { name: 'Cook', exact: true }).click();
	await expect.poll(() => clockOf(page)).toBeGreaterThanOrEqual(before + 60);
	const there = await clockOf(page);
	await page.reload();
	await page.locator('main[data-ready="true"]').waitFor();
	await expect.poll(() => clockOf(page)).toBeGreaterThanOrEqual(there);
	await page.getByRole('button', { name: 'Stop the clock' }).click();
	const stopped = await clockOf(page);
	await page.reload();
	await page.locator('main[data-ready="true"]').waitFor();
	await expect.poll(() => clockOf(page)).toBe(stopped);
});

test('two tabs on one run: the touches of both are kept', async ({ page, context }) => {
	await open(page, '/cook');
	const other = await context.newPage();
	const complaints: string[] = [];
	await listen(other, complaints);
	await open(other, '/cook');
	// What one tab has done leaves the other without a touch there.
	await gone(other, await touch(page));
	await gone(page, await touch(other));
	await gone(other, await touch(page));
	await gone(page, await touch(other));
	await page.reload();
	await page.locator('main[data-ready="true"]').waitFor();
	for (let i = 0; i < 4; i++) {
		await expect(undo(page)).toBeEnabled();
		await undo(page).click();
	}
	await expect(undo(page)).toBeDisabled();
	expect(complaints).toEqual([]);
});

test('where storage is denied it is said, and the evening is planned and cooked all the same', async ({ page }) => {
	await page.addInitScript(() => {
		Object.defineProperty(window, 'indexedDB', {
			get: () => ({
				open: () => {
					throw new DOMException('denied', 'SecurityError');
				}
			})
		});
	});
	await open(page, '/menu');
	await expect(page.getByText(/does not let Juntos keep data/).first()).toBeVisible();
	await page.getByRole('button', { name: 'People: more' }).click();
	await planned(page);
	await expect(page.getByText(/^7 at Fig Street/)).toBeVisible();
	await page.getByRole('link', { name: 'Cook', exact: true }).click();
	await touch(page);
	await expect(undo(page)).toBeEnabled();
});

test('another way is looked at while the plan is on: both come to their end', async ({ page }) => {
	await open(page, '/menu');
	const add = page.getByRole('combobox', { name: 'Add a part' }).last();
	await add.fill('leeks steamed');
	await page.keyboard.press('Enter');
	await page.getByLabel('Leeks, steamed: more').click();
	const leeks = page.getByRole('article').filter({ hasText: 'Leeks, steamed' });
	await page.getByRole('button', { name: 'People: more' }).click();
	await leeks.getByRole('button', { name: 'Leeks, roasted' }).click();
	await page.getByRole('button', { name: 'People: more' }).click();
	await expect(leeks.getByRole('status')).toContainText(/of hands|Start earlier/, { timeout: 60_000 });
	await planned(page);
	await expect(page.getByText(/^8 at Fig Street/)).toBeVisible();
});

test('every answer carries the headers of a careful host', async ({ request }) => {
	for (const path of ['/plan', '/menu', '/nowhere', '/api/schema/meal.json', '/api/nowhere']) {
		const headers = (await request.get(path)).headers();
		expect(headers['x-content-type-options'], path).toBe('nosniff');
		expect(headers['referrer-policy'], path).toBe('no-referrer');
		expect(headers['content-security-policy'], path).toContain("frame-ancestors 'none'");
	}
	const page = await (await request.get('/plan')).text();
	expect(page).toMatch(/<meta http-equiv="content-security-policy" content="[^"]*script-src 'self'/i);
	expect(page).not.toContain('unsafe-eval');
});
