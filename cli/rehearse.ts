// npm run --silent rehearse -- cases.json: how likely plans are, as `docs/rehearse.md` defines it.
import { z } from 'zod';
import { issuesOf } from '$lib/core/issues';
import { answering, readCase } from '$lib/core/rehearse/cases';
import { wordIssues } from '$lib/core/words/issues';
import { command, load, refuse, Refused } from './command';

function resultOf(data: unknown, i: number) {
	const named = z.object({ id: z.coerce.string() }).safeParse(data);
	const id = named.success ? named.data.id : String(i);
	const read = readCase(data);
	if (!read.ok) return { id, issues: [wordIssues(read.issues)] };
	const stream = answering({ ...read.value, id }, () => performance.now());
	for (;;) {
		const step = stream.next();
		if (step.done) return step.value;
	}
}

function main([file, ...more]: readonly string[]) {
	if (file === undefined || more.length > 0) throw new Refused('usage: npm run --silent rehearse -- cases.json');
	const parsed = z.object({ cases: z.array(z.unknown()) }).safeParse(load(file));
	if (!parsed.success) return refuse(file, 'has no cases to read', issuesOf(parsed.error));
	return { results: parsed.data.cases.map(resultOf) };
}

command(main);
