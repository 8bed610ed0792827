// What the scripts share: run a command, install what is missing. Imports nothing that must be installed first.
import { spawnSync } from 'node:child_process';
import { existsSync, statSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

/** Top folder of the project. */
export const root = fileURLToPath(new URL('..', import.meta.url));

/**
 * Run a command in the project and show what it prints.
 * @param {string} command
 * @param {string[]} args
 * @param {Record<string, string>} [env] added to the environment
 * @returns {boolean} whether it ended with 0
 */
export function run(command, args, env = {}) {
	const { status } = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } });
	return status === 0;
}

/** Install the packages of the lock file, unless that has been done since it last changed. */
export function ensureInstalled() {
	const marker = `${root}node_modules/.package-lock.json`;
	const isFresh = existsSync(marker) && statSync(marker).mtimeMs >= statSync(`${root}package-lock.json`).mtimeMs;
	if (isFresh) return;
	if (!run('npm', ['ci', '--loglevel=error'])) {
		process.stderr.write('The packages could not be installed. Is the registry within reach? Then try again.\n');
		process.exit(1);
	}
}

/**
 * Bundle a command-line tool of `bench/` into `.tools/` and run it with these arguments.
 * @param {'solve' | 'heat' | 'bench'} tool
 * @param {string[]} args
 */
export function runTool(tool, args) {
	ensureInstalled();
	/** @type {import('node:child_process').SpawnSyncOptions} */
	const quiet = { cwd: root, stdio: ['ignore', 'ignore', 'inherit'] };
	for (const step of [
		['svelte-kit', 'sync'],
		['vite', 'build', '-c', 'vite.tools.config.ts', '--logLevel', 'error']
	]) {
		const { status } = spawnSync('npx', ['--no-install', ...step], quiet);
		if (status !== 0) process.exit(status ?? 1);
	}
	const { status } = spawnSync(process.execPath, [`${root}.tools/${tool}.js`, ...args], { stdio: 'inherit' });
	process.exit(status ?? 1);
}
