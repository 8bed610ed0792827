// npm test: installs what is missing, then lint, types, unit tests, build and browser tests; all of them, whatever fails.
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { ensureChromium } from './chromium.mjs';
import { ensureInstalled, root, run } from './steps.mjs';

/** @param {string} file */
function read(file) {
	const path = `${root}.results/${file}`;
	return existsSync(path) ? JSON.parse(readFileSync(path, 'utf8')) : undefined;
}

ensureInstalled();
ensureChromium();
rmSync(`${root}.results`, { recursive: true, force: true });
const steps = ['lint', 'check', 'test:unit', 'build', 'test:browser'];
const failed = steps.filter((step) => {
	process.stdout.write(`\n── ${step}\n`);
	return !run('npm', ['run', '--silent', step]);
});

const unit = read('unit.json');
const browser = read('browser.json')?.stats;
const count = {
	passed: (unit?.numPassedTests ?? 0) + (browser?.expected ?? 0) + (browser?.flaky ?? 0),
	failed: (unit?.numFailedTests ?? 0) + (browser?.unexpected ?? 0),
	skipped: (unit?.numPendingTests ?? 0) + (browser?.skipped ?? 0)
};
if (failed.length > 0) process.stdout.write(`\nThese steps failed: ${failed.join(', ')}\n`);
process.stdout.write(`\n${count.passed} passed, ${count.failed} failed, ${count.skipped} skipped\n`);
process.exit(failed.length > 0 || count.failed > 0 || count.passed === 0 ? 1 : 0);
