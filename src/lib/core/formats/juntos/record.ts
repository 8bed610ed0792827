// The record as files: all of it in one JSON with its pictures, and every step as a row of CSV.
import { z } from 'zod';
import { issuesOf, type Read } from '../../issues';
import { eveningSchema, tookOf, type CookedEvening } from '../../record/evening';

/** A picture as a data URL, by its name. */
export const pictureSchema = z.object({
	id: z.string().min(1).max(200),
	evening: z.string().min(1).max(200),
	data: z.string().regex(/^data:image\/[a-z+]+;base64,/, 'must be an image as a data URL')
});

const recordFileSchema = z.object({
	format: z.literal('juntos-record'),
	version: z.literal(1),
	evenings: z.array(eveningSchema),
	pictures: z.array(pictureSchema).default([])
});
export type RecordFile = z.infer<typeof recordFileSchema>;
export type FilePicture = z.infer<typeof pictureSchema>;

export function writeRecord(evenings: readonly CookedEvening[], pictures: readonly FilePicture[]): string {
	return `${JSON.stringify({ format: 'juntos-record', version: 1, evenings, pictures })}\n`;
}

/** Unknown data as a record file, or all that is wrong with it. */
export function readRecordFile(data: unknown): Read<RecordFile> {
	const parsed = recordFileSchema.safeParse(data);
	return parsed.success ? { ok: true, value: parsed.data } : { ok: false, issues: issuesOf(parsed.error) };
}

/** Whether a text, or its beginning, is that of a record file. */
export const isRecordFile = (text: string): boolean => /^\s*\{\s*"format"\s*:\s*"juntos-record"/.test(text);

const columns = [
	'evening',
	'date',
	'meal',
	'part',
	'step',
	'record of',
	'kind',
	'cook',
	'place',
	'predicted p10 s',
	'predicted p50 s',
	'predicted p90 s',
	'took s',
	'ended',
	'disturbed'
] as const;

/** Every step of every evening as a row of a table, its heads first. */
export function recordRows(evenings: readonly CookedEvening[]): readonly (readonly string[])[] {
	const rows = evenings.flatMap((e) =>
		e.steps.map((s) => [
			e.id,
			e.date,
			e.name,
			e.parts.find((p) => p.id === s.part)?.name ?? '',
			s.say,
			s.key,
			s.kind,
			e.cooks.find((c) => c.id === s.cook)?.name ?? '',
			e.lanes.find((l) => l.id === s.lane)?.name ?? '',
			...[s.p10, s.p50, s.p90].map((x) => String(Math.round(x))),
			tookOf(s) === undefined ? '' : String(Math.round(tookOf(s) ?? 0)),
			s.how ?? '',
			s.disturbed === true ? 'yes' : ''
		])
	);
	return [columns, ...rows];
}
