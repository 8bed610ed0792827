// npm run solve -- problem.json [--seconds N] [--seed N] [--previous schedule.json] [--trace]: writes a juntos-schedule to standard output.
import { runTool } from './steps.mjs';

runTool('solve', process.argv.slice(2));
