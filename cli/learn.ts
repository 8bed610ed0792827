// npm run --silent learn -- cases.json: what records of evenings say of the next one, as `docs/learn.md` defines it.
import { z } from 'zod';
import { issuesOf } from '$lib/core/issues';
import { foretell, type Asked } from '$lib/core/learn/record';
import { commandOnCases } from './command';

const seconds = z.number().gt(0, 'must be above 0').max(10_000_000);
const askSchema = z.object({
	day: z.number().min(-1_000_000).max(1_000_000),
	step: z.string().min(1),
	kind: z.enum(['hands', 'heat']),
	cook: z.string().nullish(),
	equipment: z.string().nullish(),
	predicted_s: seconds
});
const recordSchema = askSchema.extend({ actual_s: seconds, disturbed: z.boolean().nullish() });
const caseSchema = z.object({
	id: z.coerce.string(),
	records: z.array(recordSchema).max(200_000),
	ask: z.array(askSchema).max(100_000)
});

const askedFrom = ({ cook, equipment, predicted_s: predicted, ...own }: z.infer<typeof askSchema>): Asked => ({
	...own,
	predicted,
	cook: cook ?? undefined,
	equipment: equipment ?? undefined
});

const to = (x: number) => Number(x.toPrecision(8));

commandOnCases('learn', (data) => {
	const parsed = caseSchema.safeParse(data);
	if (!parsed.success) return { ok: false, issues: issuesOf(parsed.error) };
	const records = parsed.data.records.map((r) => ({
		...askedFrom(r),
		actual: r.actual_s,
		disturbed: r.disturbed ?? false
	}));
	const answers = foretell(records, parsed.data.ask.map(askedFrom)).map(({ p10, p50, p90, isEnough }) => ({
		p10: to(p10),
		p50: to(p50),
		p90: to(p90),
		enough: isEnough
	}));
	return { ok: true, value: { answers } };
});
