// What all commands share: `npm run --silent NAME -- FILE`, JSON on standard output, one clear sentence on standard error
// and exit code 2 where it cannot be done.
import { readFileSync } from 'node:fs';
import { parseJson } from '$lib/core/formats/juntos/juntos';
import type { Issue } from '$lib/core/issues';
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

/** Run a command; what it returns goes to standard output as JSON. */
export function command(main: (args: string[]) => unknown): void {
	try {
		process.stdout.write(`${JSON.stringify(main(process.argv.slice(2)))}\n`);
	} catch (error) {
		const isUsage = error instanceof TypeError && 'code' in error && String(error.code).startsWith('ERR_PARSE_ARGS');
		if (!(error instanceof Refused) && !isUsage) throw error;
		process.stderr.write(`${error.message}\n`);
		process.exitCode = 2;
	}
}
