// The meal: covers, courses with their service times, parts in plating order. Zod is the source of types and schema.
import { z } from 'zod';
import { duplicateIds, issuesOf, type Issue, type Read } from '../issues';
import { idSchema, nameSchema } from './kitchen';
import { allergens } from '../foods/allergens';
import { diets } from '../foods/diets';
import { readTechnique, techniqueSchema, type Technique } from './technique';

const clock = z.int().min(0, 'must be a time of day').max(86_399, 'must be a time of day');

/** What makes somebody a guest at risk, to whom nothing risky is served. */
export const risks = ['pregnant', 'very young', 'old', 'ill'] as const;
const guestSchema = z.object({
	id: idSchema,
	/** Who, in the kitchen's words: "seat 4", "Ana". */
	name: nameSchema,
	risk: z.enum(risks).optional(),
	allergies: z.array(z.enum(allergens)).max(allergens.length).default([]),
	diet: z.enum(diets).optional()
});
export type Guest = z.infer<typeof guestSchema>;

const wishSchema = z.object({
	id: idSchema,
	/** The guest whose wish it is, where it is that of one who is named. */
	guest: idSchema.optional(),
	/** Who, in the kitchen's words: "seat 4". */
	name: nameSchema,
	covers: z.int().min(1).max(60),
	settings: z.record(idSchema, z.number()),
	/** They do without. */
	without: z.boolean().optional()
});
export type Wish = z.infer<typeof wishSchema>;

/** Room behind each step, for what takes longer than usual. */
export const rooms = ['some', 'much'] as const;
export type Room = (typeof rooms)[number];

const partSchema = z.object({
	id: idSchema,
	name: nameSchema,
	technique: idSchema,
	course: idSchema,
	/** People it is for, where not all of them. */
	covers: z.int().min(1).max(60).optional(),
	/** Values of the technique's parameters; absent ones are usual. */
	settings: z.record(idSchema, z.number()),
	/** The planner takes whichever technique that makes the same suits the evening. */
	choose: z.boolean().optional(),
	/** Lies on the tray of this part too: each is added at its own minute, and all come out together. */
	trayOf: idSchema.optional(),
	/** It is built onto this part on the plate, which comes first. */
	onTop: idSchema.optional(),
	/** A sauce or a dressing that is not plated by itself: this part is finished with it. */
	finishes: idSchema.optional(),
	/** Whether what can be made before the evening is: in the evening, before, or as the plan needs it (where absent). */
	ahead: z.enum(['evening', 'before', 'planner']).optional(),
	/** Guests who have it otherwise: with other settings, or without it. */
	wishes: z.array(wishSchema).max(12).optional(),
	/** Room behind its own steps; absent: as the meal has it. */
	room: z.enum(rooms).optional(),
	/** What guests must know of, where it is not just what the technique says. */
	allergens: z.array(z.enum(allergens)).optional(),
	/** Its food tone, one of eight. */
	tone: z.int().min(0).max(7)
});
export type Part = z.infer<typeof partSchema>;

const end = z.object({ part: idSchema, step: idSchema });

/** Orders of an evening, from the calmest to the shortest. */
export const evenings = ['calm', 'even', 'short'] as const;
export type Evening = (typeof evenings)[number];

export const mealSchema = z.object({
	format: z.literal('juntos-meal'),
	version: z.literal(1),
	id: idSchema,
	name: nameSchema,
	kitchen: idSchema,
	/** Put away: kept, and not offered. */
	archived: z.boolean().optional(),
	covers: z.int().min(1, 'must be at least 1').max(60, 'must be at most 60'),
	/** When somebody is free to cook in the days before: so many days before the day of the meal. */
	free: z
		.array(
			z
				.object({ days: z.int().min(0).max(30), from: clock, to: clock })
				.refine((f) => f.from < f.to, 'must end after it begins')
		)
		.max(60)
		.optional(),
	/** How the evening goes: handwork early, or all of it as short as can be; absent: even. */
	evening: z.enum(evenings).optional(),
	/** Absent: none. */
	room: z.enum(rooms).optional(),
	/** Nothing starts before this, seconds after midnight. A service that is no later on the clock is on the day after. */
	earliest: clock,
	courses: z
		.array(z.object({ id: idSchema, name: nameSchema, service: clock }))
		.min(1, 'needs at least one course')
		.max(8),
	/** Those of the people who have to be cooked for with care: named once, for every part. */
	guests: z.array(guestSchema).max(60).optional(),
	/** In plating order within their course. */
	parts: z.array(partSchema).max(40),
	/** Techniques of this meal alone, beside those of the library. */
	own: z.array(techniqueSchema).max(40).default([]),
	/** Waits between steps of different parts; with `sameVessel`, what the first cooks in is what the second goes on in. */
	links: z.array(
		z.object({
			from: end,
			to: end,
			least: z.int().min(-86_400).max(86_400),
			most: z.int().min(-86_400).max(86_400).optional(),
			sameVessel: z.boolean()
		})
	)
});
export type Meal = z.infer<typeof mealSchema>;

const day = 86_400;

/** When a course is served, seconds after midnight of the day on which work may begin. */
export function serviceOf(
	{ earliest }: Pick<Meal, 'earliest'>,
	{ service }: Pick<Meal['courses'][number], 'service'>
): number {
	return service > earliest ? service : service + day;
}

/** The techniques that a meal can name: the library's, and its own. */
export function withOwn(
	library: ReadonlyMap<string, Technique>,
	meal: Pick<Meal, 'own'>
): ReadonlyMap<string, Technique> {
	return meal.own.length === 0 ? library : shelfOf(library, meal.own);
}

/** Of all techniques those that a meal names, and those that make the same: what planning it can take. */
export function techniquesFor(meal: Meal, all: ReadonlyMap<string, Technique>): readonly Technique[] {
	const list = [...withOwn(all, meal).values()];
	const named = new Set(meal.parts.map((p) => p.technique));
	const made = new Set(list.filter((t) => named.has(t.id)).map((t) => t.makes));
	return list.filter((t) => named.has(t.id) || (t.makes !== undefined && made.has(t.makes)));
}

/** A meal with those of these techniques among its own that it names: it can be read where they are not. */
export function withNamedOwn(meal: Meal, techniques: readonly Technique[]): Meal {
	const named = new Set(meal.parts.map((p) => p.technique));
	const own = techniques.filter((t) => named.has(t.id) && !meal.own.some((o) => o.id === t.id));
	return { ...meal, own: [...meal.own, ...own] };
}

/** The library with a cook's own techniques. */
export function shelfOf(
	library: Iterable<readonly [string, Technique]>,
	own: readonly Technique[]
): ReadonlyMap<string, Technique> {
	return new Map([...library, ...own.map((t) => [t.id, t] as const)]);
}

/** Whether a stack of parts comes back to where it began. */
function isInCircle(part: Part, partOf: ReadonlyMap<string, Part>): boolean {
	const seen = new Set([part.id]);
	for (let at = partOf.get(part.onTop ?? ''); at; at = partOf.get(at.onTop ?? '')) {
		if (seen.has(at.id)) return true;
		seen.add(at.id);
	}
	return false;
}

/** Unknown data as a meal consistent with itself and with the techniques at hand, or every issue found. */
export function readMeal(data: unknown, library: ReadonlyMap<string, Technique>): Read<Meal> {
	const parsed = mealSchema.safeParse(data);
	if (!parsed.success) return { ok: false, issues: issuesOf(parsed.error) };
	const meal = parsed.data;
	const own = meal.own.map((t, i) => readTechnique(t, ['own', i]));
	const techniques = withOwn(library, meal);
	const issues: Issue[] = [
		...own.flatMap((read) => (read.ok ? [] : read.issues)),
		...duplicateIds(meal.own, ['own']),
		...duplicateIds(meal.courses, ['courses']),
		...duplicateIds(meal.parts, ['parts']),
		...duplicateIds(meal.guests ?? [], ['guests'])
	];
	const guests = new Set((meal.guests ?? []).map((g) => g.id));
	if (guests.size > meal.covers)
		issues.push({ code: 'too-many', path: ['guests'], what: 'guests', seen: guests.size, most: meal.covers });
	const courses = new Set(meal.courses.map((c) => c.id));
	meal.parts.forEach((p, i) => {
		const unknown = (key: string, id: string, among: string) => {
			issues.push({ code: 'unknown-id', path: ['parts', i, key], id, among });
		};
		if (!courses.has(p.course)) unknown('course', p.course, 'courses');
		const technique = techniques.get(p.technique);
		if (!technique) {
			unknown('technique', p.technique, 'techniques');
			return;
		}
		const wished = (p.wishes ?? []).reduce((sum, w) => sum + w.covers, 0);
		const covers = p.covers ?? meal.covers;
		if (wished > covers) {
			issues.push({
				code: 'too-many',
				path: ['parts', i, 'wishes'],
				what: 'guests with wishes',
				seen: wished,
				most: covers
			});
		}
		issues.push(...duplicateIds(p.wishes ?? [], ['parts', i, 'wishes']));
		(p.wishes ?? []).forEach((w, k) => {
			if (w.guest === undefined || guests.has(w.guest)) return;
			issues.push({ code: 'unknown-id', path: ['parts', i, 'wishes', k, 'guest'], id: w.guest, among: 'guests' });
		});
		const settings = [
			...Object.entries(p.settings).map(([key, value]) => ({ key, value, path: ['parts', i, 'settings', key] })),
			...(p.wishes ?? []).flatMap((w, k) =>
				Object.entries(w.settings).map(([key, value]) => ({
					key,
					value,
					path: ['parts', i, 'wishes', k, 'settings', key]
				}))
			)
		];
		for (const { key, value, path } of settings) {
			const parameter = technique.parameters.find((x) => x.id === key);
			if (!parameter) issues.push({ code: 'unknown-id', path, id: key, among: `parameters of "${technique.name}"` });
			else if (value < parameter.least || value > parameter.most) {
				const { least, most, unit } = parameter;
				const detail = `${value} ${unit} is outside ${least} to ${most} ${unit}`;
				issues.push({ code: 'shape', path, detail });
			}
		}
	});
	const partOf = new Map(meal.parts.map((p) => [p.id, p]));
	const belongs = {
		trayOf: 'lies on another part’s tray itself',
		finishes: 'finishes another part itself',
		onTop: undefined
	} as const;
	meal.parts.forEach((p, i) => {
		for (const key of ['trayOf', 'finishes', 'onTop'] as const) {
			const id = p[key];
			if (id === undefined) continue;
			const path = ['parts', i, key];
			const other = partOf.get(id);
			const refuse = (detail: string) => issues.push({ code: 'shape', path, detail });
			const twice = belongs[key];
			if (!other || other === p) issues.push({ code: 'unknown-id', path, id, among: 'other parts' });
			else if (other.course !== p.course) refuse(`"${other.name}" is of another course`);
			else if (twice !== undefined && other[key] !== undefined) refuse(`"${other.name}" ${twice}`);
		}
		if (isInCircle(p, partOf))
			issues.push({ code: 'shape', path: ['parts', i, 'onTop'], detail: 'a stack that stands on itself' });
	});
	meal.links.forEach((l, i) => {
		for (const side of ['from', 'to'] as const) {
			const { part, step } = l[side];
			const technique = techniques.get(partOf.get(part)?.technique ?? '');
			const path = ['links', i, side];
			if (!partOf.has(part)) issues.push({ code: 'unknown-id', path: [...path, 'part'], id: part, among: 'parts' });
			else if (technique && !technique.steps.some((s) => s.id === step)) {
				issues.push({ code: 'unknown-id', path: [...path, 'step'], id: step, among: `steps of "${technique.name}"` });
			}
		}
	});
	return issues.length > 0 ? { ok: false, issues } : { ok: true, value: meal };
}
