// npm run --silent NAME -- ARGUMENTS: runs a command of `cli/` (or the benchmarks), bundled anew only where a source is newer.
import { spawnSync } from 'node:child_process';
import { ensureBundled, ensureInstalled } from './steps.mjs';

const [name = '', ...args] = process.argv.slice(2);
ensureInstalled();
const file = await ensureBundled(name);
const { status } = spawnSync(process.execPath, [file, ...args], { stdio: 'inherit' });
process.exit(status ?? 1);
