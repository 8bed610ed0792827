// npm run bench [-- seconds]: measures, and writes docs/benchmarks.md.
import { writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { benchPage } from './page-bench';
import { benchDemo, benchProblems } from './plan-bench';

const limit = Number(process.argv[2] ?? 10);
const sections = [
	[
		'The demo meals',
		'As the worker plans them in the page: compile, solve, explain. Median of five runs.',
		benchDemo()
	],
	[
		'Problems',
		`One thread, at most ${limit} s each, seed 1. “proof” is when the answer was proven the best, or infeasible.`,
		benchProblems(limit)
	],
	[
		'The page',
		'What the browser loads before the plan can be used; the planner’s worker and the finder come after.',
		benchPage()
	]
] as const;
const text = [
	'# Benchmarks',
	`Written by \`npm run bench\` on ${cpus().length} cores (${cpus()[0]?.model ?? 'unknown'}), Node ${process.version}. Times vary by a factor of two on a busy machine; nothing here is a test.`,
	...sections.map(([title, what, result]) => `## ${title}\n\n${what}\n\n${result}`)
].join('\n\n');
writeFileSync('docs/benchmarks.md', text);
process.stdout.write(text);
