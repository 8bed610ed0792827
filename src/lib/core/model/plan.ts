// A plan in the cook's words: what starts when, where, in what, with whose hands, and why there. Clock times in seconds
// after midnight (beyond 86 400 after the next midnight).
import { z } from 'zod';
import { stepKinds } from './technique';

const time = z.int();

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
	/** Durations it may have, seconds. */
	shortest: time,
	longest: time,
	lane: z.string(),
	/** Temperature of the oven, °C; what to set it to, where the two differ. */
	setting: z.number().optional(),
	knob: z.number().optional(),
	heat: z.string().optional(),
	vessel: z.string().optional(),
	hands: z.array(handSchema),
	sign: z.string().optional(),
	cautions: z.array(z.string()),
	/** Why it takes so long, where that was computed: what was put in, the model and its source, how far it may be off. */
	reason: z.object({ from: z.string(), model: z.string(), off: z.string() }).optional(),
	/** What keeps it from starting later. */
	heldBy: z.string(),
	/** Steps (ids) that must be done before. */
	after: z.array(z.string())
});

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
	keep: z.string()
});

export const planSchema = z.object({
	format: z.literal('juntos-plan'),
	version: z.literal(1),
	meal: z.string(),
	name: z.string(),
	covers: z.int(),
	status: z.enum(['optimal', 'feasible']),
	objective: z.int(),
	bound: z.int(),
	/** First start and last service. */
	from: time,
	to: time,
	services: z.array(z.object({ course: z.string(), name: z.string(), due: time, at: time, plating: time })),
	lanes: z.array(laneSchema),
	cooks: z.array(z.object({ id: z.string(), name: z.string() })),
	parts: z.array(plannedPartSchema),
	steps: z.array(plannedStepSchema),
	/** Waits of a part between two of its steps, or before it is plated. */
	waits: z.array(z.object({ part: z.string(), after: z.string(), from: time, to: time, lane: z.string() })),
	/** Each oven's temperature over time: corners of a broken line. */
	terrain: z.array(z.object({ lane: z.string(), points: z.array(z.object({ at: time, celsius: z.number() })) })),
	/** Stretches where hands are wanted again and again, and where a cook is free. */
	tight: z.array(z.object({ from: time, to: time, count: z.int(), say: z.string() })),
	idle: z.array(z.object({ cook: z.string(), from: time, to: time }))
});
export type Plan = z.infer<typeof planSchema>;
export type PlannedStep = Plan['steps'][number];
export type PlannedPart = Plan['parts'][number];
export type Lane = Plan['lanes'][number];
