// npm run bench [-- area [seconds]]: measures, and writes what it measured into docs/benchmarks.md. Other areas stay as they are.
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { benchHeat, benchTruth } from './heat-bench';
import { benchPage } from './page-bench';
import { benchGrowth } from './growth-bench';
import { benchDemo, benchPlanner } from './plan-bench';
import { benchRecord } from './record-bench';
import { benchRehearsals } from './rehearse-bench';
import { benchReplans } from './replan-bench';

interface Area {
	readonly title: string;
	readonly what: string;
	readonly run: (limit: number) => string;
}

const areas: Readonly<Record<string, Area>> = {
	demo: {
		title: 'The demo meals',
		what: 'As the worker plans them in the page: compile, solve, explain. Median of five runs. A replan is asked for in the middle of the work, three minutes late with what is on the heat.',
		run: () => benchDemo()
	},
	replans: {
		title: 'Replans',
		what: 'At 500 random instants of the demo evenings something happens (late, failed, a cook away, guests, service): time until the first plan of the rest, on one thread, as the worker finds it; steps that it moves by a minute or more, beside the fewest that any plan does which is no later than it must be.',
		run: () => benchReplans()
	},
	rehearsals: {
		title: 'Rehearsals',
		what: 'Evenings of the demo meals on one thread, steps begun as planned; then a plan that holds better, looked for as many seconds as were asked for, and both on six sets of evenings that it has not seen, at the same luck.',
		run: (limit) => benchRehearsals(limit)
	},
	record: {
		title: 'The record',
		what: 'Ten evenings of each demo meal, two days apart, cooked by somebody whose pace, oven and burners are other than the kitchen says, through the app’s own log (with a thermometer in the oven); what was learnt is accepted after each. Then the first and the last plan on 400 fresh evenings of that cook, each step begun no earlier than planned: how far times were off in the middle, and evenings with all courses within two minutes; and those again where the time that was won is given to room behind the steps, nobody beginning sooner than before. And a record of 500 such evenings, read and learnt from.',
		run: () => benchRecord()
	},
	planner: {
		title: 'Planner and reference',
		what: 'One thread each, the same CPU time, one after the other in one run, seed 1. The reference is a lazy clause generator of the strongest kind (MiniZinc model and runner in benchmarks/reference); its time for flattening the model is apart. Seconds of CPU time; “proof” is when the answer was proven the best, or infeasible; “MB” the most memory of the whole process.',
		run: (limit) => benchPlanner(limit)
	},
	growth: {
		title: 'Growth',
		what: 'The same supper again and again in one kitchen that has half as many times as much of everything, served ten minutes apart. Seconds until a first plan, and until one within 5 % of the last; kilobytes of the heap for each task; seed 1.',
		run: (limit) => benchGrowth(limit)
	},
	heat: {
		title: 'Kitchen science',
		what: 'The median of many runs on one thread.',
		run: () => benchHeat()
	},
	truth: {
		title: 'What cooks expect',
		what: 'Rows of `truth/sanity.json` whose figure lies within its bounds (`npm run times`, docs/times.md).',
		run: () => benchTruth()
	},
	page: {
		title: 'The page',
		what: 'What the browser loads before the plan can be used; the planner’s worker and the finder come after.',
		run: () => benchPage()
	}
};

const file = 'docs/benchmarks.md';
const [name, seconds = '10'] = process.argv.slice(2);
if (name !== undefined && !(name in areas)) {
	process.stderr.write(`There is no area "${name}". Areas: ${Object.keys(areas).join(', ')}.\n`);
	process.exit(2);
}

/** What was measured before, by title. */
const before = new Map(
	(existsSync(file) ? readFileSync(file, 'utf8') : '')
		.split(/^## /m)
		.slice(1)
		.map((text) => [text.split('\n')[0] ?? '', `## ${text.trimEnd()}\n`] as const)
);
const sections = Object.entries(areas).map(([area, { title, what, run }]) => {
	const isWanted = name === undefined || name === area;
	if (!isWanted) return before.get(title) ?? '';
	const machine = `${cpus().length} cores (${cpus()[0]?.model ?? 'unknown'}), Node ${process.version}`;
	return `## ${title}\n\n${what}\n\n${run(Number(seconds))}\n_Measured on ${machine}._\n`;
});
const text = [
	'# Benchmarks\n',
	'Written by `npm run bench`, or area by area by `npm run bench -- AREA SECONDS`. Times vary by a factor of two on a busy machine; nothing here is a test.\n',
	...sections
].join('\n');
writeFileSync(file, text);
process.stdout.write(text);
