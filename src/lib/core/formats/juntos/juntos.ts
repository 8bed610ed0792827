// Juntos JSON: a meal with its kitchen in one file, either alone, or a technique. Version 1.
import { z } from 'zod';
import type { Issue, Read } from '../../issues';
import { kitchenSchema, readKitchen, type Kitchen } from '../../model/kitchen';
import { mealSchema, readMeal, type Meal } from '../../model/meal';
import { readTechnique, techniqueSchema, type Technique } from '../../model/technique';

const newest = 1;

/** The exported file. */
export const fileSchema = z.object({
	format: z.literal('juntos-file'),
	version: z.literal(newest),
	meal: mealSchema,
	kitchen: kitchenSchema
});

/** A technique as someone sends it: a file of its own. */
export const techniqueFileSchema = z.object({
	format: z.literal('juntos-technique'),
	version: z.literal(newest),
	technique: techniqueSchema
});

export interface Contents {
	readonly meal?: Meal;
	readonly kitchen?: Kitchen;
	readonly technique?: Technique;
}

/** The text of a file that holds a technique. */
export function writeTechnique(technique: Technique): string {
	return `${JSON.stringify({ format: 'juntos-technique', version: newest, technique }, null, '\t')}\n`;
}

/** The text of a file that holds a meal and its kitchen. */
export function writeFile(meal: Meal, kitchen: Kitchen): string {
	return `${JSON.stringify({ format: 'juntos-file', version: newest, meal, kitchen }, null, '\t')}\n`;
}

/**
 * The text of a `juntos-file`, `juntos-meal`, `juntos-kitchen` or `juntos-technique`, or everything that is wrong with it. A
 * record that was kept aside is read as what lies in it.
 */
export function readFile(text: string, techniques: ReadonlyMap<string, Technique>): Read<Contents> {
	const data = parseJson(text);
	return data.ok ? readContents(unwrapped(data.value), techniques) : data;
}

/** What lies in a record of the browser's database, where that is what was given; a bare technique gets its format. */
function unwrapped(data: unknown): unknown {
	if (typeof data !== 'object' || data === null || 'format' in data) return data;
	if ('value' in data && 'revision' in data) {
		const { value } = data;
		const isBare = typeof value === 'object' && value !== null && 'steps' in value && !('format' in value);
		return isBare ? { format: 'juntos-technique', version: newest, technique: value } : value;
	}
	return data;
}

/** Text as JSON, or the issue that it is not. */
export function parseJson(text: string): Read<unknown> {
	try {
		return { ok: true, value: JSON.parse(text) as unknown };
	} catch (error) {
		const detail = error instanceof Error ? error.message : String(error);
		return { ok: false, issues: [{ code: 'not-json', path: [], detail }] };
	}
}

/** A meal for the page or the route: format and version first, so that the right thing is said of a wrong file. */
export function readMealData(data: unknown, techniques: ReadonlyMap<string, Technique>): Read<Meal> {
	const issue = formatIssue(data, ['juntos-meal']);
	return issue ? { ok: false, issues: [issue] } : readMeal(data, techniques);
}

/** The same for a kitchen. */
export function readKitchenData(data: unknown): Read<Kitchen> {
	const issue = formatIssue(data, ['juntos-kitchen']);
	return issue ? { ok: false, issues: [issue] } : readKitchen(data);
}

function readContents(data: unknown, techniques: ReadonlyMap<string, Technique>): Read<Contents> {
	const issue = formatIssue(data, ['juntos-file', 'juntos-meal', 'juntos-kitchen', 'juntos-technique']);
	if (issue) return { ok: false, issues: [issue] };
	const { format, meal, kitchen, technique } = data as Record<'format' | 'meal' | 'kitchen' | 'technique', unknown>;
	if (format === 'juntos-technique') return mapped(readTechnique(technique, ['technique']), (t) => ({ technique: t }));
	if (format === 'juntos-meal') return mapped(readMeal(data, techniques), (m) => ({ meal: m }));
	if (format === 'juntos-kitchen') return mapped(readKitchen(data), (k) => ({ kitchen: k }));
	const [m, k] = [within('meal', readMealData(meal, techniques)), within('kitchen', readKitchenData(kitchen))];
	if (m.ok && k.ok) return { ok: true, value: { meal: m.value, kitchen: k.value } };
	return { ok: false, issues: [m, k].flatMap((r) => (r.ok ? [] : r.issues)) };
}

function formatIssue(data: unknown, formats: readonly string[]): Issue | undefined {
	const expected = formats.join('" or "');
	if (typeof data !== 'object' || data === null || Array.isArray(data)) {
		return { code: 'shape', path: [], detail: `this is not an object with the format "${expected}"` };
	}
	const { format, version } = data as { format?: unknown; version?: unknown };
	if (typeof format !== 'string' || !formats.includes(format)) {
		return {
			code: 'wrong-format',
			path: ['format'],
			seen: typeof format === 'string' ? `"${format}"` : 'absent',
			expected
		};
	}
	if (typeof version === 'number' && version > newest) {
		return { code: 'future-version', path: ['version'], seen: version, newest };
	}
	return undefined;
}

function mapped<A, B>(read: Read<A>, f: (value: A) => B): Read<B> {
	return read.ok ? { ok: true, value: f(read.value) } : read;
}

function within<T>(key: string, read: Read<T>): Read<T> {
	if (read.ok) return read;
	return { ok: false, issues: read.issues.map((i) => ({ ...i, path: [key, ...i.path] })) };
}
