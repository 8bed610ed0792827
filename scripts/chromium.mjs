// Debian's Chromium for the browser tests: where it is, and how to get it.
import { spawnSync } from 'node:child_process';
import { accessSync, constants } from 'node:fs';
import { delimiter, join } from 'node:path';

export const chromiumFlags = [
	'--no-sandbox',
	'--disable-gpu',
	'--disable-quic',
	'--no-first-run',
	'--disable-background-networking',
	'--disable-component-update',
	'--disable-sync'
];

/** @returns {string} path of the browser, or '' where there is none */
export function chromiumPath() {
	if (process.env.CHROMIUM_PATH) return process.env.CHROMIUM_PATH;
	for (const folder of (process.env.PATH ?? '').split(delimiter)) {
		for (const name of ['chromium', 'chromium-browser']) {
			const path = join(folder, name);
			try {
				accessSync(path, constants.X_OK);
				return path;
			} catch {
				// Not in this folder.
			}
		}
	}
	return '';
}

/** Install Chromium from Debian's packages where it is missing. */
export function ensureChromium() {
	if (chromiumPath() !== '') return;
	const isRoot = process.getuid?.() === 0;
	const apt = (/** @type {string[]} */ args) => spawnSync('apt-get', args, { stdio: 'inherit' }).status === 0;
	if (isRoot && apt(['update']) && apt(['install', '-y', '--no-install-recommends', 'chromium'])) return;
	throw new Error('The browser tests need Chromium: install the package "chromium", or set CHROMIUM_PATH to it.');
}
