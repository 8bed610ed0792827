// Rows of what an experienced cook expects: a case, what is asked of it, and within which bounds.
import { z } from 'zod';
import { presets } from '../library/kitchens';
import { library } from '../library/library';
import { figuresOf, type Asked } from '../plan/figures';

const asked = {
	technique: z.string(),
	people: z.number(),
	values: z.record(z.string(), z.union([z.number(), z.string()])),
	kitchen: z.string(),
	altitude: z.number().optional()
};
const rowSchema = z.object({
	id: z.string(),
	kind: z.string(),
	...asked,
	ask: z.string(),
	then: z.object(asked).partial().optional(),
	low: z.number(),
	high: z.number(),
	why: z.string()
});
export type Row = z.infer<typeof rowSchema>;

/** Rows as they stand in `truth/`. */
export const readRows = (text: string): readonly Row[] =>
	z.object({ rows: z.array(rowSchema) }).parse(JSON.parse(text)).rows;

/** A figure of a case, or how often it has an issue. */
function figureOf(of: Asked, name: string): number | undefined {
	const { figures, warnings } = figuresOf(of, library, presets);
	if (name.startsWith('issue:')) return warnings.filter((w) => w.code === name.slice(6)).length;
	const value: unknown = figures && Object.entries(figures).find(([key]) => key === name)?.[1];
	return typeof value === 'number' ? value : undefined;
}

/** What a row asks for: a figure, or the ratio that a change makes. */
export function valueOf({ ask, then, ...row }: Row): number | undefined {
	if (!ask.startsWith('monotone:')) return figureOf(row, ask);
	const name = ask.slice('monotone:'.length);
	const { technique, people, values, kitchen, altitude } = { ...row, ...then };
	const changed: Asked = {
		technique: technique ?? row.technique,
		people: people ?? row.people,
		values: values ?? row.values,
		kitchen: kitchen ?? row.kitchen,
		altitude
	};
	const [before, after] = [figureOf(row, name), figureOf(changed, name)];
	return before === undefined || after === undefined ? undefined : after / before;
}
