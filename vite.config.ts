// The application's build and its unit tests.
import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig } from 'vitest/config';
import { thread } from './vite.thread.ts';

export default defineConfig({
	plugins: [thread(), sveltekit()],
	build: { assetsInlineLimit: 0 },
	worker: { format: 'es' },
	optimizeDeps: { include: ['plotly.js-cartesian-dist-min'] },
	test: {
		expect: { requireAssertions: true },
		environment: 'node',
		testTimeout: 120_000,
		include: ['src/**/*.test.ts', 'cli/**/*.test.ts']
	}
});
