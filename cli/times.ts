// npm run --silent times -- cases.json: what each part takes, as `docs/times.md` defines the figures; JSON on standard output.
import { issuesOf } from '$lib/core/issues';
import { presets } from '$lib/core/library/kitchens';
import { library } from '$lib/core/library/library';
import { figuresOf } from '$lib/core/plan/figures';
import { wordWarning } from '$lib/core/words/warnings';
import { z } from 'zod';
import { command, load, refuse, Refused } from './command';

const casesSchema = z.object({
	cases: z.array(
		z.object({
			id: z.coerce.string(),
			technique: z.string(),
			people: z.int().min(1).max(500),
			values: z.record(z.string(), z.union([z.number(), z.string()])).default({}),
			kitchen: z.string(),
			altitude: z.number().min(-500).max(5000).optional()
		})
	)
});

function main([file, ...more]: readonly string[]) {
	if (file === undefined || more.length > 0) throw new Refused('usage: npm run --silent times -- cases.json');
	const parsed = casesSchema.safeParse(load(file));
	if (!parsed.success) return refuse(file, 'has no cases to compute', issuesOf(parsed.error));
	return {
		results: parsed.data.cases.map(({ id, ...asked }) => {
			const { figures, warnings } = figuresOf(asked, library, presets);
			return { id, ...figures, issues: warnings.map((w) => ({ code: w.code, hard: w.hard, say: wordWarning(w) })) };
		})
	};
}

command(main);
