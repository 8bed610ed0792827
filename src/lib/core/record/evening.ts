// An evening that was cooked, as it is kept: what was thought of each step and what it took, what was measured, what was said.
import { z } from 'zod';
import { issuesOf, type Read } from '../issues';

const id = z.string().min(1).max(200);
const name = z.string().max(200);
/** Seconds; the plan's clock where it is an instant of the evening. */
const seconds = z.number().min(-1e7).max(1e7);
/** Milliseconds since 1970, UTC. */
const instant = z.number().min(-8.64e15).max(8.64e15);

/** How a step's end is known: said when it was over, seen or probed to be done, or because the next one was begun. */
const endings = ['said', 'seen', 'followed', 'left out'] as const;

/** What of its place a time depends on, as it was assumed: how much ln of the time changes with it. */
const equipmentSchema = z.discriminatedUnion('kind', [
	/** Net watts; by ln of them. */
	z.object({ kind: z.literal('burner'), id, watts: z.number().positive(), per: z.number().min(-5).max(5) }),
	/** How much hotter it is than its knob, K; by K. The factor on its film; by ln of that. What a probe said of it. */
	z.object({
		kind: z.literal('oven'),
		id,
		offset: z.number().min(-200).max(200),
		per: z.number().min(-1).max(1),
		film: z.number().positive().optional(),
		perFilm: z.number().min(-5).max(5).optional(),
		/** ln of the factor, its spread, and how that changes for each K that the oven is hotter. */
		seen: z.object({ mean: z.number(), sd: z.number().positive(), perKelvin: z.number() }).optional()
	})
]);
export type Equipment = z.infer<typeof equipmentSchema>;

const stepSchema = z.object({
	/** As in the plan, `part/step`; `course#plate` for plating. */
	id,
	part: id.optional(),
	/** What it is a record of, over all evenings: a step of a technique, or a piece of handwork. */
	key: id,
	say: z.string().max(300),
	kind: z.enum(['hands', 'heat']),
	cook: id.optional(),
	lane: id.optional(),
	/** As first planned. */
	from: seconds,
	to: seconds,
	began: seconds.optional(),
	ended: seconds.optional(),
	how: z.enum(endings).optional(),
	/** The model's own, before anything learnt, handwork at a home cook's pace; and what of it goes by the pace. */
	model: z.number().positive(),
	paced: z.number().min(0).max(1).optional(),
	/** Pace that was assumed. */
	pace: z.number().positive().optional(),
	/** How far the model is trusted: σ of ln of the time. */
	sigma: z.number().min(0).max(3),
	/** What was told beforehand. */
	p10: z.number().positive(),
	p50: z.number().positive(),
	p90: z.number().positive(),
	equipment: equipmentSchema.optional(),
	/** Something came between: it teaches nothing. */
	disturbed: z.boolean().optional(),
	/** Ended by the clock alone, with no sign that it was done: it teaches nothing either. */
	byClock: z.boolean().optional()
});
export type CookedStep = z.infer<typeof stepSchema>;

const partSchema = z.object({
	id,
	/** The part of the meal that it comes from. */
	of: id,
	name,
	course: id,
	tone: z.int(),
	technique: id,
	covers: z.int(),
	settings: z.record(z.string(), z.number()),
	/** When it was to be ready, when it was, when it went out. */
	planned: seconds,
	ready: seconds.optional(),
	served: seconds.optional(),
	/** May wait so long without harm. */
	free: seconds,
	/** Core as it was read: the plan's clock, °C; thinned. */
	readings: z.array(z.tuple([seconds, z.number()])).max(200)
});
export type CookedPart = z.infer<typeof partSchema>;

/** What somebody said of an evening or of a part of it; what is said later holds. */
const common = { id, at: instant, by: z.string().max(80) };
const scale = { least: -2, most: 2 } as const;
const judged = z.int().min(scale.least).max(scale.most);
const saidSchema = z.discriminatedUnion('kind', [
	z.object({
		...common,
		kind: z.literal('verdict'),
		part: id,
		/** From under (−2) to over (2), from cold (−2) to too hot (2); worth 1 to 5. */
		done: judged.optional(),
		warm: judged.optional(),
		worth: z.int().min(1).max(5).optional(),
		word: z.string().max(500).optional()
	}),
	z.object({ ...common, kind: z.literal('note'), text: z.string().min(1).max(2000), part: id.optional() }),
	/** Grams before and after the heat. */
	z.object({
		...common,
		kind: z.literal('weighed'),
		part: id,
		raw: z.number().positive().max(1e5),
		cooked: z.number().positive().max(1e5)
	}),
	/** A picture by the name of its blob. */
	z.object({ ...common, kind: z.literal('picture'), picture: id, part: id.optional() }),
	/** Takes back something that was said. */
	z.object({ ...common, kind: z.literal('taken back'), what: id })
]);
export type Said = z.infer<typeof saidSchema>;
/** What is said, but for its name, its instant and its teller. */
export type Saying = Said extends infer S ? (S extends Said ? Omit<S, 'id' | 'at' | 'by'> : never) : never;

export const eveningSchema = z.object({
	format: z.literal('juntos-evening'),
	version: z.literal(1),
	/** The run's. */
	id,
	meal: id,
	name,
	kitchen: id,
	/** Day of the service, and its zone. */
	date: z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'must be a date, YYYY-MM-DD'),
	zone: z.string().max(80),
	covers: z.int(),
	/** Instant of the plan's clock time 0. */
	origin: instant,
	courses: z.array(z.object({ id, name, due: seconds, planned: seconds, out: seconds.optional() })),
	cooks: z.array(z.object({ id, name })),
	lanes: z.array(z.object({ id, name })),
	parts: z.array(partSchema),
	steps: z.array(stepSchema),
	/** What thermometers said of ovens: what they were set to, what was read, °C. */
	heats: z.array(z.object({ lane: id, at: seconds, knob: z.number(), celsius: z.number() })).max(200),
	/** How long ovens took from cold, seconds, to so many °C: by their lamp, or a thermometer on the way. */
	warmed: z
		.array(z.object({ lane: id, at: seconds, seconds: z.number().positive(), celsius: z.number() }))
		.max(50)
		.optional(),
	/** What happened that was not planned, in words. */
	happened: z.array(z.string().max(500)).max(200),
	said: z.array(saidSchema).max(2000),
	/** Put away: it teaches nothing, and is not shown. */
	archived: z.boolean().optional()
});
export type CookedEvening = z.infer<typeof eveningSchema>;

/** Unknown data as an evening, or what is wrong with it. */
export function readEvening(data: unknown): Read<CookedEvening> {
	const parsed = eveningSchema.safeParse(data);
	return parsed.success ? { ok: true, value: parsed.data } : { ok: false, issues: issuesOf(parsed.error) };
}

/** How long a step took, seconds; `undefined` where its beginning or its end is not known. */
export const tookOf = ({ began, ended, how }: CookedStep): number | undefined =>
	began === undefined || ended === undefined || how === 'left out' || ended <= began ? undefined : ended - began;

/** What is said in order, each thing once. */
const byTime = (said: readonly Said[]): Said[] =>
	[...new Map(said.map((s) => [s.id, s])).values()].sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));

/** What holds of what was said: nothing that was taken back. */
export function holding({ said }: Pick<CookedEvening, 'said'>): readonly Said[] {
	const back = new Set(said.flatMap((s) => (s.kind === 'taken back' ? [s.what] : [])));
	return byTime(said).filter((s) => s.kind !== 'taken back' && !back.has(s.id));
}

export type Verdict = Extract<Said, { kind: 'verdict' }>;

/** The verdict on a part: of each question the last answer. */
export function verdictOn(evening: Pick<CookedEvening, 'said'>, part: string): Partial<Verdict> {
	return holding(evening)
		.flatMap((s) => (s.kind === 'verdict' && s.part === part ? [s] : []))
		.reduce<Partial<Verdict>>((all, one) => ({ ...all, ...one }), {});
}

/** The one of two accounts that knows more; of two that know as much always the same one. */
function further<T extends object>(a: T, b: T, isKnown: (x: T) => boolean): T {
	if (isKnown(a) !== isKnown(b)) return isKnown(a) ? a : b;
	return JSON.stringify(a) < JSON.stringify(b) ? b : a;
}

/**
 * Two accounts of one evening, of two devices or from a file: each thing that was said once, each step as it is known best.
 */
export function mergedEvening(a: CookedEvening, b: CookedEvening): CookedEvening {
	const both = <T extends { readonly id: string }>(
		mine: readonly T[],
		theirs: readonly T[],
		isKnown: (x: T) => boolean
	): T[] => {
		const other = new Map(theirs.map((x) => [x.id, x]));
		const known = new Set(mine.map((x) => x.id));
		return [
			...mine.map((x) => {
				const y = other.get(x.id);
				return y ? further(x, y, isKnown) : x;
			}),
			...theirs.filter((x) => !known.has(x.id))
		];
	};
	return {
		...a,
		courses: both(a.courses, b.courses, (c) => c.out !== undefined),
		parts: both(a.parts, b.parts, (p) => p.ready !== undefined),
		steps: both(a.steps, b.steps, (s) => s.ended !== undefined),
		heats: measuredOnce([...a.heats, ...b.heats]),
		...(a.warmed || b.warmed ? { warmed: measuredOnce([...(a.warmed ?? []), ...(b.warmed ?? [])]) } : {}),
		happened: [...new Set([...a.happened, ...b.happened])],
		said: byTime([...a.said, ...b.said]),
		...(a.archived === true && b.archived === true ? { archived: true } : { archived: undefined })
	};
}

/** What was measured of places, each once, in order. */
const measuredOnce = <T extends { readonly lane: string; readonly at: number }>(all: readonly T[]): T[] =>
	[...new Map(all.map((h) => [`${h.lane} ${h.at}`, h])).values()].sort((x, y) => x.at - y.at);

/** An evening with something more said of it. */
export const withSaid = (evening: CookedEvening, said: Said): CookedEvening => ({
	...evening,
	said: byTime([...evening.said, said])
});

/** Evenings, each once as it was given last, the newest first. */
export function newestFirst(evenings: readonly CookedEvening[]): readonly CookedEvening[] {
	const byId = new Map(evenings.map((e) => [e.id, e]));
	return [...byId.values()].sort((a, b) => b.origin - a.origin || (a.id < b.id ? 1 : -1));
}
