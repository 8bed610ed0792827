// npm run --silent probe -- cases.json: what streams of a probe's readings say, as `docs/probe.md` defines it.
import { z } from 'zod';
import { issuesOf, type Issue } from '$lib/core/issues';
import { estimate, type Band } from '$lib/core/probe/estimate';
import { media } from '$lib/core/probe/posterior';
import { bodiesWith, bodyFrom, celsius, filmSchema } from '$lib/core/formats/bodies/shapes';
import { commandOnCases } from './command';

const caseSchema = z.object({
	id: z.coerce.string(),
	body: z.discriminatedUnion('shape', bodiesWith({ t0_c: celsius.optional() })),
	t0_c: celsius.optional(),
	medium: z.enum(media),
	film: filmSchema,
	rest: filmSchema,
	target_peak_c: celsius,
	now_s: z
		.number()
		.min(0)
		.max(7 * 86_400),
	readings: z
		.array(
			z.tuple([
				z
					.number()
					.min(0)
					.max(7 * 86_400),
				z.number().min(-100).max(1000)
			])
		)
		.max(200_000)
});

const rounded = ({ p10, p50, p90 }: Band, digits: number) => {
	const to = (x: number) => Number(x.toFixed(digits));
	return { p10: to(p10), p50: to(p50), p90: to(p90) };
};

commandOnCases('probe', (data) => {
	const parsed = caseSchema.safeParse(data);
	const refused = (...issues: readonly Issue[]) => ({ ok: false, issues }) as const;
	if (!parsed.success) return refused(...issuesOf(parsed.error));
	const { body, t0_c = body.t0_c, medium, film, rest, target_peak_c, now_s, readings } = parsed.data;
	if (t0_c === undefined)
		return refused({ code: 'shape', path: ['t0_c'], detail: 'is missing: how cold did the food go in?' });
	const found = estimate({
		body: bodyFrom(body),
		film,
		t0: t0_c,
		medium,
		rest,
		peak: target_peak_c,
		readings: readings.toSorted((a, b) => a[0] - b[0]),
		now: now_s
	});
	const told = { peak_after_pull_s: Number(found.peakAfter.toFixed(1)), doubt: found.doubt ?? null };
	if (!Number.isFinite(found.left.p50)) {
		const never = `The middle never peaks at ${target_peak_c} °C in ${film.tinf} °C: set a lower goal or more heat.`;
		return { ok: true, value: { ...told, issues: [never] } };
	}
	return { ok: true, value: { left_s: rounded(found.left, 1), pull_c: rounded(found.pull, 2), ...told } };
});
