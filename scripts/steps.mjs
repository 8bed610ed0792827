// What the scripts share: run a command, install what is missing. Imports nothing that must be installed first.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readdirSync, renameSync, rmSync, statSync, utimesSync } from 'node:fs';
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

/** What a command is bundled from: a file for each. */
const sources = {
	solve: 'cli/solve.ts',
	heat: 'cli/heat.ts',
	times: 'cli/times.ts',
	probe: 'cli/probe.ts',
	rehearse: 'cli/rehearse.ts',
	learn: 'cli/learn.ts',
	recipe: 'cli/recipe.ts',
	bench: 'benchmarks/bench.ts'
};

/**
 * When a file, or the newest of the files in a folder, was last changed.
 * @param {string} path
 * @returns {number} milliseconds
 */
function changedAt(path) {
	const stat = statSync(path);
	if (!stat.isDirectory()) return stat.mtimeMs;
	return Math.max(stat.mtimeMs, ...readdirSync(path).map((name) => changedAt(`${path}/${name}`)));
}

/**
 * The file of a command, bundled into `.tools/` unless that has been done since a source last changed. It is built aside
 * and moved into place, so that two at once do not break each other.
 * @param {string} name
 * @returns {Promise<string>} its path
 */
export async function ensureBundled(name) {
	const entry = Object.entries(sources).find(([known]) => known === name)?.[1];
	if (entry === undefined) {
		process.stderr.write(`There is no command "${name}". Commands: ${Object.keys(sources).join(', ')}.\n`);
		process.exit(2);
	}
	const bundle = `${root}.tools/${name}.mjs`;
	const inputs = ['src/lib/core', 'cli', 'benchmarks', 'vite.tools.config.ts', 'package-lock.json'];
	const newest = Math.max(...inputs.map((path) => changedAt(`${root}${path}`)));
	if (existsSync(bundle) && statSync(bundle).mtimeMs > newest) return bundle;
	if (!existsSync(`${root}.svelte-kit/tsconfig.json`)) run('npx', ['--no-install', 'svelte-kit', 'sync']);
	mkdirSync(`${root}.tools`, { recursive: true });
	const aside = mkdtempSync(`${root}.tools/build-`);
	const begun = new Date();
	const env = { ...process.env, TOOL_NAME: name, TOOL_ENTRY: entry, TOOL_FOLDER: aside };
	const vite = ['--no-install', 'vite', 'build', '-c', 'vite.tools.config.ts', '--logLevel', 'error'];
	const { status } = spawnSync('npx', vite, { cwd: root, stdio: ['ignore', 'ignore', 'inherit'], env });
	if (status === 0) {
		// A source that changed meanwhile is newer than the bundle.
		utimesSync(`${aside}/${name}.mjs`, begun, begun);
		renameSync(`${aside}/${name}.mjs`, bundle);
	}
	rmSync(aside, { recursive: true });
	if (status !== 0) {
		process.stderr.write(`The command "${name}" could not be built: see above.\n`);
		process.exit(status ?? 1);
	}
	return bundle;
}
