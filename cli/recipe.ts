// npm run --silent recipe -- FILE: reads a recipe (text, Markdown, JSON-LD, a saved page) and writes what it comes to. No recipe in
// it: exit code 1 and one sentence on standard error.
import { readFileSync } from 'node:fs';
import { readRecipe } from '$lib/core/recipe/read';
import { Refused, command } from './command';

command(([file, ...more]) => {
	if (file === undefined || more.length > 0) throw new Refused('usage: npm run --silent recipe -- FILE');
	let text: string;
	try {
		text = readFileSync(file, 'utf8');
	} catch (cause) {
		throw new Refused(`${file} cannot be read (${cause instanceof Error ? cause.message : String(cause)}).`);
	}
	const read = readRecipe(text);
	if (read.ok) return read.recipe;
	process.stderr.write(`${read.why}\n`);
	process.exitCode = 1;
	return undefined;
});
