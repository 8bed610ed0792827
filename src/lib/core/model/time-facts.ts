// What a computed time is made of, as facts: what was put in, and what came out. `words/reasons` makes sentences of them.
import { z } from 'zod';

const number = z.number();
/** Metres, °C, kilograms, litres, watts, seconds, shares. */
const burner = z.object({ power: number, fuel: z.string(), share: number, isMeasured: z.boolean() });
const oven = z.object({
	setting: number,
	hasFan: z.boolean(),
	film: number.optional(),
	fire: z.enum(['grill', 'wood oven']).optional()
});
const medium = z.object({
	in: z.enum(['water', 'bath', 'steam', 'oil', 'ice', 'fridge', 'room', 'place']),
	celsius: number,
	oven: oven.optional()
});
/** The goal that was asked for, °C, where safety raised it; log reductions over heat and rest, where they stand for a temperature. */
const safe = { raised: number.optional(), logs: number.optional() };

/** One kind for each model of a time; `said` is a sentence of old. */
export const timeFactsSchema = z.discriminatedUnion('kind', [
	z.object({ kind: z.literal('boil'), litres: number, start: number, boil: number, altitude: number, burner }),
	z.object({ kind: z.literal('knife'), task: z.string(), kilograms: number, pace: number }),
	z.object({ kind: z.literal('pieces'), task: z.string(), pieces: number, pace: number }),
	z.object({
		kind: z.literal('boiled-egg'),
		kilograms: number,
		start: number,
		boil: number,
		altitude: number,
		yolkEdge: number,
		style: z.string().optional(),
		cold: z.boolean()
	}),
	z.object({
		kind: z.literal('egg'),
		way: z.string(),
		kilograms: number,
		medium: number,
		firm: number,
		count: number
	}),
	z.object({
		kind: z.literal('soften'),
		vegetable: z.string(),
		size: number,
		start: number,
		medium,
		how: z.union([z.string(), number]),
		soft: number,
		golden: number
	}),
	z.object({
		kind: z.literal('simmer'),
		vegetable: z.string(),
		size: number,
		kilograms: number,
		litres: number,
		heating: number,
		soft: number,
		boiling: number,
		away: number,
		level: number,
		burner
	}),
	z.object({ kind: z.literal('reheat'), kilograms: number, isThick: z.boolean(), burner }),
	z.object({ kind: z.literal('pasteurise'), food: z.string(), core: number, logs: number }),
	z.object({ kind: z.literal('starch'), seconds: number, boil: number, altitude: number, z: number }),
	z.object({ kind: z.literal('immerse'), food: z.string(), size: number, start: number, core: number, medium }),
	z.object({ kind: z.literal('reduce'), from: number, to: number, level: number, burner }),
	z.object({
		kind: z.literal('roast'),
		food: z.string(),
		thickness: number,
		shape: z.enum(['slab', 'cylinder', 'sphere', 'bird']),
		start: number,
		/** What its face is like; how much longer by its bone: where they are not as usual. */
		face: z.string().optional(),
		bone: number.optional(),
		oven,
		pull: number,
		peak: number,
		loss: number.optional(),
		...safe
	}),
	z.object({
		kind: z.literal('rest'),
		food: z.string(),
		thickness: number,
		cover: z.enum(['on a board', 'tented', 'wrapped', 'served']),
		room: number,
		after: number
	}),
	z.object({
		kind: z.literal('bake'),
		depth: number,
		start: number,
		oven,
		core: number,
		isSoftened: z.boolean(),
		/** When its top is golden, seconds; 0: it need not be. */
		top: number.optional()
	}),
	z.object({ kind: z.literal('temper'), thickness: number, start: number, room: number, core: number }),
	z.object({
		kind: z.literal('pan'),
		food: z.string(),
		thickness: number,
		start: number,
		every: number,
		pull: number,
		peak: number,
		loss: number.optional(),
		...safe
	}),
	z.object({
		kind: z.literal('pan-rest'),
		food: z.string(),
		thickness: number,
		room: number,
		peak: number,
		after: number
	}),
	z.object({ kind: z.literal('crust'), faces: number, pan: number }),
	z.object({ kind: z.literal('hot-pan'), mass: number, to: number, burner }),
	z.object({ kind: z.literal('hot-oil'), litres: number, to: number, burner }),
	z.object({ kind: z.literal('said'), from: z.string(), model: z.string(), off: z.string() })
]);
export type TimeFacts = z.infer<typeof timeFactsSchema>;

/** What to take care of, where it depends on what was put in. */
export const careSchema = z.discriminatedUnion('kind', [
	/** The pan comes to where the fat smokes, or near it; °C. */
	z.object({
		kind: z.literal('fat-smokes'),
		fat: z.string(),
		from: number,
		pan: number,
		how: z.enum(['ventilate', 'smokes', 'fire'])
	}),
	/** The core stays below the heat that is advised for what it is, °C, and nothing stands in its stead. */
	z.object({
		kind: z.literal('below-advised'),
		peak: number,
		advised: number,
		what: z.string().optional(),
		whose: z.string().optional()
	}),
	/** It comes off below the advised heat, which its rest, or its time, makes good: to be checked, °C. */
	z.object({ kind: z.literal('check-after-rest'), pull: number, advised: number }),
	/** It begins too warm to be left lying about, °C. */
	z.object({
		kind: z.literal('start-too-warm'),
		start: number,
		limit: number,
		what: z.string(),
		isRefused: z.boolean()
	}),
	/** The heat is too fierce for the size: it would have to come off too far below its goal, °C. */
	z.object({ kind: z.literal('too-fierce'), pull: number, goal: number }),
	/** Its crust is past brown before its middle is warm, metres. */
	z.object({ kind: z.literal('pan-too-thick'), thickness: number, most: number }),
	/** Yolk or white stay soft. */
	z.object({ kind: z.literal('soft-egg') }),
	/** Too long where it is neither cold nor hot, seconds; °C there. */
	z.object({
		kind: z.literal('held-too-long'),
		seconds: number,
		celsius: number,
		most: number,
		isRefused: z.boolean()
	}),
	/** It does not cool in time: seconds until its middle has 21 and 5 °C, against what is allowed; metres, what it lies in. */
	z.object({ kind: z.literal('cooling'), first: number, whole: number, size: number, in: z.string() })
]);
export type Care = z.infer<typeof careSchema>;
