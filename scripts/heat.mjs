// npm run --silent heat -- cases.json: computes cases of kitchen science with the core's own functions; no server, no browser.
import { runTool } from './steps.mjs';

runTool('heat', process.argv.slice(2));
