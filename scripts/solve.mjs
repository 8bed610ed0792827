// npm run solve -- problem.json [--seconds N] [--seed N]: writes a juntos-schedule to standard output.
import { runTool } from './steps.mjs';

runTool('solve', process.argv.slice(2));
