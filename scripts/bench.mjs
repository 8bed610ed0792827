// npm run bench [-- area]: measures speed and quality, and writes docs/benchmarks.md.
import { runTool } from './steps.mjs';

runTool('bench', process.argv.slice(2));
