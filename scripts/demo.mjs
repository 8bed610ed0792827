// npm run demo: installs, builds and starts Juntos with the demo meal. PORT chooses another port.
import { existsSync } from 'node:fs';
import { ensureInstalled, root, run } from './steps.mjs';

const port = process.env.PORT ?? '4173';
const origin = process.env.ORIGIN ?? `http://localhost:${port}`;

ensureInstalled();
if (!run('npm', ['run', 'build'])) process.exit(1);
if (!existsSync(`${root}build/index.js`)) throw new Error('The build left no build/index.js.');
process.stdout.write(`\nJuntos is at ${origin} — Harvest supper is planned. Ctrl+C ends it.\n\n`);
const isOk = run('node', ['scripts/serve.mjs'], {
	PORT: port,
	HOST: process.env.HOST ?? '127.0.0.1',
	ORIGIN: origin
});
process.exit(isOk ? 0 : 1);
