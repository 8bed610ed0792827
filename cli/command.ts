// What all commands share: `npm run --silent NAME -- FILE`, JSON on standard output, one clear sentence on standard error
// and exit code 2 where it cannot be done.
import { readFileSync } from 'node:fs';
import { parseJson } from '$lib/core/formats/juntos/juntos';
import { z } from 'zod';
import { issuesOf, type Issue, type Read } from '$lib/core/issues';
import { wordIssues } from '$lib/core/words/issues';

/** Why a command cannot do what it was asked, in words for the one who asked. */
export class Refused extends Error {}

/**
 * A file as JSON.
 *
 * @throws {Refused} where there is none, or where it is not JSON
 */
export function load(file: string): unknown {
	let text: string;
	try {
		text = readFileSync(file, 'utf8');
	} catch (cause) {
		throw new Refused(`${file} cannot be read (${cause instanceof Error ? cause.message : String(cause)}).`);
	}
	const read = parseJson(text);
	if (!read.ok) throw new Refused(`${file}: ${wordIssues(read.issues)}`);
	return read.value;
}

/** @throws {Refused} with all that is wrong with a file */
export function refuse(file: string, what: string, issues: readonly Issue[]): never {
	throw new Refused(`${file} ${what}: ${wordIssues(issues)}`);
}

/** Run a command; what it returns, if anything, goes to standard output as JSON. */
export function command(main: (args: string[]) => unknown): void {
	try {
		const answer = main(process.argv.slice(2));
		if (answer !== undefined) process.stdout.write(`${JSON.stringify(answer)}\n`);
	} catch (error) {
		const isUsage = error instanceof TypeError && 'code' in error && String(error.code).startsWith('ERR_PARSE_ARGS');
		if (!(error instanceof Refused) && !isUsage) throw error;
		process.stderr.write(`${error.message}\n`);
		process.exitCode = 2;
	}
}

/**
 * Run a command that answers the cases of a file one by one: `npm run --silent NAME -- cases.json`. Each answer has the id of its
 * case, or its place; what is wrong with one is told with it, and the others are answered all the same.
 */
export function commandOnCases(name: string, answer: (data: unknown) => Read<object>): void {
	command(([file, ...more]) => {
		if (file === undefined || more.length > 0) throw new Refused(`usage: npm run --silent ${name} -- cases.json`);
		const parsed = z.object({ cases: z.array(z.unknown()) }).safeParse(load(file));
		if (!parsed.success) return refuse(file, 'has no cases to read', issuesOf(parsed.error));
		const results = parsed.data.cases.map((data, i) => {
			const named = z.object({ id: z.coerce.string() }).safeParse(data);
			const id = named.success ? named.data.id : String(i);
			const found = answer(data);
			return found.ok ? { ...found.value, id } : { id, issues: [wordIssues(found.issues)] };
		});
		return { results };
	});
}
