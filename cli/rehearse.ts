// npm run --silent rehearse -- cases.json: how likely plans are, as `docs/rehearse.md` defines it.
import { z } from 'zod';
import { issuesOf } from '$lib/core/issues';
import { readCase, tellOdds, tunedOn } from '$lib/core/rehearse/cases';
import { rehearseNow } from '$lib/core/rehearse/rehearse';
import { holdBetter } from '$lib/core/rehearse/robust';
import { wordIssues } from '$lib/core/words/issues';
import { command, load, refuse, Refused } from './command';

function resultOf(data: unknown, i: number) {
	const named = z.object({ id: z.coerce.string() }).safeParse(data);
	const id = named.success ? named.data.id : String(i);
	const read = readCase(data);
	if (!read.ok) return { id, issues: [wordIssues(read.issues)] };
	const { improve, broken, ...asked } = read.value;
	const began = performance.now();
	const told = tellOdds(rehearseNow(asked));
	const seconds = (performance.now() - began) / 1000;
	const first = { ...told, id, ...(broken === undefined ? {} : { broken }), seconds: Number(seconds.toFixed(3)) };
	if (improve === undefined) return first;
	const search = holdBetter({ ...asked, seed: tunedOn(asked.seed), rounds: Infinity });
	const until = performance.now() + 1000 * improve;
	let { schedule } = asked;
	while (performance.now() < until) {
		const step = search.next();
		if (step.value) ({ schedule } = step.value);
		if (step.done) break;
	}
	return { ...first, schedule, robust: tellOdds(rehearseNow({ ...asked, schedule })) };
}

function main([file, ...more]: readonly string[]) {
	if (file === undefined || more.length > 0) throw new Refused('usage: npm run --silent rehearse -- cases.json');
	const parsed = z.object({ cases: z.array(z.unknown()) }).safeParse(load(file));
	if (!parsed.success) return refuse(file, 'has no cases to read', issuesOf(parsed.error));
	return { results: parsed.data.cases.map(resultOf) };
}

command(main);
