// Everything in one file, and what it would change where it is brought back.
import { z } from 'zod';
import { issuesOf, type Issue, type Read } from '../../issues';
import type { Kitchen } from '../../model/kitchen';
import { shelfOf, type Meal } from '../../model/meal';
import { readTechnique, type Technique } from '../../model/technique';
import { readEvening, type CookedEvening } from '../../record/evening';
import { readRun, type Run } from '../../run/events';
import { readKitchenData, readMealData } from './juntos';
import { pictureSchema, type FilePicture } from './record';

/** All that is kept. */
export interface Backup {
	/** Milliseconds since 1970. */
	readonly savedAt: number;
	readonly meals: readonly Meal[];
	readonly kitchens: readonly Kitchen[];
	/** The cook's own. */
	readonly techniques: readonly Technique[];
	/** With their events. */
	readonly runs: readonly Run[];
	readonly evenings: readonly CookedEvening[];
	readonly pictures: readonly FilePicture[];
	/** What the browser remembers of how the cook likes it, by key. */
	readonly settings: Readonly<Record<string, string>>;
}

const things = z.array(z.unknown()).max(20_000).default([]);
/** The file; what lies in it is read by its own schema, so that one thing that is broken does not spoil the rest. */
export const backupSchema = z.object({
	format: z.literal('juntos-backup'),
	version: z.literal(1),
	savedAt: z.number().min(0).max(8.64e15),
	meals: things,
	kitchens: things,
	techniques: things,
	runs: things,
	evenings: things,
	pictures: z.array(pictureSchema).default([]),
	settings: z.record(z.string().max(100), z.string().max(1000)).default({})
});

export const writeBackup = (backup: Backup): string =>
	`${JSON.stringify({ format: 'juntos-backup', version: 1, ...backup })}\n`;

/** Whether a text, or its beginning, is that of a backup. */
export const isBackup = (text: string): boolean => /^\s*\{\s*"format"\s*:\s*"juntos-backup"/.test(text);

/**
 * A backup from unknown data, older versions upgraded.
 *
 * @param library the techniques that ship: meals name them
 * @param today day and zone for a run of before runs had any
 * @returns with what could not be read, each with its place in the file; or what is wrong with the whole
 */
export function readBackup(
	data: unknown,
	library: ReadonlyMap<string, Technique>,
	today: { readonly date: string; readonly zone: string }
): Read<{ readonly backup: Backup; readonly unread: readonly Issue[] }> {
	const version = z.object({ format: z.literal('juntos-backup'), version: z.number() }).safeParse(data);
	if (version.success && version.data.version > 1)
		return {
			ok: false,
			issues: [{ code: 'future-version', path: ['version'], seen: version.data.version, newest: 1 }]
		};
	const parsed = backupSchema.safeParse(data);
	if (!parsed.success) return { ok: false, issues: issuesOf(parsed.error) };
	const { savedAt, pictures, settings, meals, kitchens, techniques: own, runs, evenings } = parsed.data;
	const lists = { meals, kitchens, techniques: own, runs, evenings };
	const unread: Issue[] = [];
	const all = <T>(name: keyof typeof lists, read: (one: unknown) => Read<T>): readonly T[] =>
		lists[name].flatMap((one, i) => {
			const found = read(one);
			if (found.ok) return [found.value];
			const [first] = found.issues;
			if (first) unread.push({ ...first, path: [name, i, ...first.path] });
			return [];
		});
	const techniques = all('techniques', (t) => readTechnique(t));
	const shelf = shelfOf(library, techniques);
	return {
		ok: true,
		value: {
			backup: {
				savedAt,
				techniques,
				kitchens: all('kitchens', readKitchenData),
				meals: all('meals', (m) => readMealData(m, shelf)),
				runs: all('runs', (r) => readRun(r, today)),
				evenings: all('evenings', readEvening),
				pictures,
				settings
			},
			unread
		}
	};
}

/** Kinds of what is compared. */
const backedUp = ['meals', 'kitchens', 'techniques', 'evenings'] as const;
type Kind = (typeof backedUp)[number];

/** Names of what would come, what is as it is here, what is here otherwise, and what is here only. */
export interface Difference {
	readonly kind: Kind;
	readonly fresh: readonly string[];
	readonly same: readonly string[];
	readonly other: readonly string[];
	readonly mine: readonly string[];
}

/** A value with its fields in one order, as text. */
const canonical = (value: unknown): string =>
	JSON.stringify(value, (_, v: unknown) =>
		typeof v === 'object' && v !== null && !Array.isArray(v)
			? Object.fromEntries(Object.entries(v).toSorted(([a], [b]) => (a < b ? -1 : 1)))
			: v
	);

interface Named {
	readonly id: string;
	readonly name: string;
}
const labelOf = (x: Named) => ('date' in x && typeof x.date === 'string' ? `${x.name}, ${x.date}` : x.name);

/** What is different between a backup and what is here. */
export function differencesOf(backup: Backup, here: Pick<Backup, Kind>): readonly Difference[] {
	return backedUp.map((kind): Difference => {
		const own: readonly Named[] = here[kind];
		const theirs: readonly Named[] = backup[kind];
		const mine = new Map(own.map((x) => [x.id, x]));
		const kept = new Set(theirs.map((x) => x.id));
		const isSame = (x: Named) => canonical(mine.get(x.id)) === canonical(x);
		const names = (list: readonly Named[]) => list.map(labelOf);
		return {
			kind,
			fresh: names(theirs.filter((x) => !mine.has(x.id))),
			same: names(theirs.filter((x) => mine.has(x.id) && isSame(x))),
			other: names(theirs.filter((x) => mine.has(x.id) && !isSame(x))),
			mine: names(own.filter((x) => !kept.has(x.id)))
		};
	});
}

/** `merge`: what is here stays, what is missing comes; `theirs`: where both have it, the backup's; `replace`: and what is here only is put away. */
export type Way = 'merge' | 'theirs' | 'replace';

/** A list after a backup was brought back. */
export function restored<T extends { readonly id: string }>(
	mine: readonly T[],
	theirs: readonly T[],
	way: Way,
	putAway: (value: T) => T
): readonly T[] {
	const given = new Map(theirs.map((x) => [x.id, x]));
	const own = mine.map((x) => {
		const other = given.get(x.id);
		if (other) return way === 'merge' ? x : other;
		return way === 'replace' ? putAway(x) : x;
	});
	return [...own, ...theirs.filter((x) => !mine.some((m) => m.id === x.id))];
}
