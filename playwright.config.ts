// Browser tests: the built application in Debian's Chromium.
import { defineConfig, devices } from '@playwright/test';
import { chromiumFlags, chromiumPath } from './scripts/chromium.mjs';

const port = 4179;

export default defineConfig({
	testDir: 'tests',
	fullyParallel: true,
	timeout: 90_000,
	expect: { timeout: 15_000 },
	workers: 2,
	reporter: [['list'], ['json', { outputFile: '.results/browser.json' }]],
	use: {
		...devices['Desktop Chrome'],
		viewport: { width: 1280, height: 800 },
		baseURL: `http://localhost:${port}`,
		trace: 'retain-on-failure',
		launchOptions: { executablePath: chromiumPath(), args: chromiumFlags }
	},
	webServer: {
		command: 'node scripts/serve.mjs',
		port,
		env: { PORT: `${port}`, ORIGIN: `http://localhost:${port}` },
		reuseExistingServer: false
	}
});
