// A plan as facts: what starts when, where, in what, with whose hands, and why there. Clock times in seconds after midnight
// of the day it begins (beyond 86 400 after the next midnight). `words/` makes sentences of it, in the cook's units.
import { z } from 'zod';
import { issuesOf, type Read } from '../issues';
import { stepKinds } from './technique';
import { careSchema, timeFactsSchema } from './time-facts';

const time = z.int();

/** What a step takes that another one needs: hands, a vessel, one station or one of several alike. */
const takenSchema = z.discriminatedUnion('kind', [
	z.object({ kind: z.literal('hands') }),
	z.object({ kind: z.literal('vessel'), vessel: z.string() }),
	z.object({ kind: z.literal('station'), station: z.string(), isOneOf: z.boolean() }),
	z.object({ kind: z.literal('other'), id: z.string() })
]);
export type Taken = z.infer<typeof takenSchema>;

/** What keeps a step from starting later; other steps by id (a plating too). `said` is a sentence of old. */
const heldBySchema = z.discriminatedUnion('kind', [
	z.object({ kind: z.literal('plate') }),
	z.object({ kind: z.literal('follower'), step: z.string() }),
	z.object({ kind: z.literal('rival'), step: z.string(), taken: takenSchema }),
	z.object({ kind: z.literal('leader'), step: z.string() }),
	z.object({ kind: z.literal('oven-changes'), step: z.string() }),
	z.object({ kind: z.literal('nothing') }),
	z.object({ kind: z.literal('said'), text: z.string() })
]);
export type HeldBy = z.infer<typeof heldBySchema>;

/** A stretch of one cook's hands: a whole step, or a touch within one. */
const handSchema = z.object({ cook: z.string(), from: time, to: time, say: z.string(), whole: z.boolean() });

/** A place where steps happen: a station of the kitchen, or where nothing is scarce (`rest`, `keep`). */
const laneSchema = z.object({ id: z.string(), kind: z.string(), name: z.string() });

const plannedStepSchema = z.object({
	/** `part/step`, unique in the plan. */
	id: z.string(),
	part: z.string(),
	say: z.string(),
	kind: z.enum(stepKinds),
	from: time,
	to: time,
	/** Durations it may have, seconds: the 10th and the 90th hundredth; ln of them ~ N(mu, sigma²). */
	shortest: time,
	longest: time,
	mu: z.number(),
	sigma: z.number(),
	/** Core at which it comes off, and the highest that it comes to at rest, °C: `{pull}` in its words. */
	pull: z.number().optional(),
	peak: z.number().optional(),
	lane: z.string(),
	/** Temperature of the oven, °C; what to set it to, where the two differ. */
	setting: z.number().optional(),
	knob: z.number().optional(),
	/** Its own set point, where this is another: how much sooner it is done so, seconds, and what else wants this one. */
	away: z.object({ own: z.number(), sooner: time, others: z.array(z.string()) }).optional(),
	heat: z.string().optional(),
	vessel: z.string().optional(),
	hands: z.array(handSchema),
	/** On the heat with hands all the time: once begun it cannot be left. */
	bound: z.literal(true).optional(),
	sign: z.string().optional(),
	cautions: z.array(z.string()),
	/** Cautions that depend on what was put in. */
	care: z.array(careSchema),
	/** What its time was computed from, where it was. */
	facts: timeFactsSchema.optional(),
	/**
	 * What it is a record of; seconds by the model alone, handwork at a home cook's pace, and what share of them goes by the pace;
	 * the factor that the cook's own records have put on it, and how many of them.
	 */
	basis: z
		.object({
			key: z.string(),
			model: z.number(),
			paced: z.number().optional(),
			learnt: z.object({ factor: z.number(), records: z.number() }).optional()
		})
		.optional(),
	heldBy: heldBySchema,
	/** Steps (ids) that must be done before. */
	after: z.array(z.string())
});

/** What a part is to a guest who has to be cooked for with care, and why it is not for them. */
const clashSchema = z.object({
	guest: z.string(),
	name: z.string(),
	/** The part of the meal, and what it is called. */
	part: z.string(),
	of: z.string(),
	why: z.discriminatedUnion('kind', [
		z.object({ kind: z.literal('allergen'), allergens: z.array(z.string()) }),
		z.object({ kind: z.literal('diet'), diet: z.string(), holds: z.string() }),
		z.object({ kind: z.literal('raw'), risk: z.string(), raw: z.string() }),
		z.object({ kind: z.literal('risk'), risk: z.string(), care: careSchema })
	])
});
export type Clash = z.infer<typeof clashSchema>;

const plannedPartSchema = z.object({
	id: z.string(),
	/** The part of the meal it comes from; other guests may have that otherwise. */
	of: z.string().optional(),
	name: z.string(),
	course: z.string(),
	tone: z.int(),
	/** Plates it goes on; how it is made. */
	covers: z.int().optional(),
	technique: z.string().optional(),
	/** What guests must know of. */
	allergens: z.array(z.string()).optional(),
	/** Steps of another part, in which it is added: it is not plated by itself. */
	into: z.array(z.string()).optional(),
	/** The part of the meal (id) that it is built onto. */
	onTop: z.string().optional(),
	/** Other parts of the meal (ids) that lie on its tray. */
	tray: z.array(z.string()).optional(),
	/** How it was kept, where it was made before the evening. */
	before: z.string().optional(),
	/** When its last step ends, when it goes on the plate; the wait between, and what that wait costs. */
	ready: time,
	plated: time,
	wait: time,
	free: time,
	cost: z.int(),
	/** Seconds between cold and hot, as far as the steps tell: off the heat and out of the cold, until it is plated. */
	between: time.default(0),
	keep: z.string(),
	/** The warm drawer that it waits in. */
	drawer: z.string().optional()
});

export const planSchema = z.object({
	format: z.literal('juntos-plan'),
	version: z.literal(2),
	meal: z.string(),
	name: z.string(),
	covers: z.int(),
	status: z.enum(['optimal', 'feasible']),
	objective: z.int(),
	bound: z.int(),
	/** First start and last service. */
	from: time,
	to: time,
	services: z.array(
		z.object({
			course: z.string(),
			name: z.string(),
			due: time,
			at: time,
			plating: time,
			/** When plates go to warm; absent: it is served cold. */
			warm: time.optional(),
			/** Who plates it first. */
			cook: z.string().optional(),
			/** What goes onto how many plates, by whom, and whether they go out then; the first wave goes out at `at`. */
			platings: z
				.array(
					z.object({
						from: time,
						to: time,
						plates: z.int(),
						/** Absent: all parts. */
						parts: z.array(z.string()).optional(),
						cooks: z.array(z.string()),
						goesOut: z.boolean()
					})
				)
				.optional()
		})
	),
	lanes: z.array(laneSchema),
	cooks: z.array(z.object({ id: z.string(), name: z.string() })),
	parts: z.array(plannedPartSchema),
	/** What is not for a guest who has to be cooked for with care. */
	clashes: z.array(clashSchema).default([]),
	steps: z.array(plannedStepSchema),
	/** Waits of a part between two of its steps, or before it is plated. */
	waits: z.array(z.object({ part: z.string(), after: z.string(), from: time, to: time, lane: z.string() })),
	/** Each oven's temperature over time: corners of a broken line. */
	terrain: z.array(z.object({ lane: z.string(), points: z.array(z.object({ at: time, celsius: z.number() })) })),
	/** What is made in the days before, seconds from the midnight that begins the day of the meal; absent: nothing. */
	days: z
		.object({
			/** Whether it fits into the hours in which somebody is free. */
			fits: z.boolean(),
			free: z.array(z.object({ from: time, to: time })),
			steps: z.array(
				z.object({
					part: z.string(),
					say: z.string(),
					from: time,
					to: time,
					hands: z.array(z.object({ from: time, to: time })),
					place: z.string().optional()
				})
			),
			/** From when to when each part may be kept, and how. */
			kept: z.array(z.object({ part: z.string(), since: time, until: time, how: z.string() }))
		})
		.optional(),
	/** Live fires: when each is lit, its fuel in all and to light it, kilograms; when it is hotter than before, when it is fed. */
	fires: z
		.array(
			z.object({
				lane: z.string(),
				fuel: z.enum(['charcoal', 'wood']),
				lit: time,
				hottest: z.number(),
				toLight: z.number(),
				kilograms: z.number(),
				built: z.array(z.object({ at: time, kilograms: z.number() })).default([]),
				feed: z.array(z.object({ at: time, kilograms: z.number() }))
			})
		)
		.optional(),
	/** Stretches where hands are wanted again and again, and where a cook is free. */
	tight: z.array(z.object({ from: time, to: time, count: z.int() })),
	idle: z.array(z.object({ cook: z.string(), from: time, to: time }))
});
export type Plan = z.infer<typeof planSchema>;
export type PlannedStep = Plan['steps'][number];
/** A stretch of plating. */
export type Plating = NonNullable<Plan['services'][number]['platings']>[number];
export type PlannedPart = Plan['parts'][number];
export type Lane = Plan['lanes'][number];

/** How a service is plated: in one go, where nothing else is said. */
export const platingsOf = (plan: Pick<Plan, 'covers'>, service: Plan['services'][number]): readonly Plating[] =>
	service.platings ?? [
		{
			from: service.plating,
			to: service.at,
			plates: plan.covers,
			cooks: service.cook === undefined ? [] : [service.cook],
			goesOut: true
		}
	];

/** A plan of version 1, which carried sentences, as one of version 2. */
const sentencesSchema = z.object({
	version: z.literal(1),
	steps: z.array(
		z.looseObject({
			shortest: time,
			longest: time,
			heldBy: z.string(),
			reason: z.object({ from: z.string(), model: z.string(), off: z.string() }).optional()
		})
	)
});

function fromSentences(data: unknown): unknown {
	const old = sentencesSchema.loose().safeParse(data);
	if (!old.success) return data;
	return {
		...old.data,
		version: 2,
		steps: old.data.steps.map(({ reason, heldBy, ...step }) => ({
			...step,
			mu: Math.log(Math.sqrt(Math.max(1, step.shortest) * Math.max(1, step.longest))),
			sigma: Math.log(Math.max(1, step.longest) / Math.max(1, step.shortest)) / 2.563,
			care: [],
			heldBy: { kind: 'said', text: heldBy },
			...(reason ? { facts: { kind: 'said', ...reason } } : {})
		}))
	};
}

/** Unknown data as a plan, of this version or the one before, or what is wrong with it. */
export function readPlan(data: unknown): Read<Plan> {
	const parsed = planSchema.safeParse(fromSentences(data));
	return parsed.success ? { ok: true, value: parsed.data } : { ok: false, issues: issuesOf(parsed.error) };
}
