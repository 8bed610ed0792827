// A technique: one way to make a part, as a graph of steps with what each needs. Zod is the source of types and schema.
import { allergens } from '../foods/allergens';
import { z } from 'zod';
import { duplicateIds, issuesOf, type Issue, type Path, type Read } from '../issues';
import { idSchema, nameSchema, vesselKinds } from './kitchen';
import { beyondLimits } from './limits';
import { namedIn, quantitySchema, timeModelSchema } from './time-model';

const seconds = z
	.int()
	.min(0)
	.max(7 * 86_400);
const celsius = z.number().min(-40).max(600);

export const stepKinds = [
	'prep',
	'preheat',
	'cook',
	'check',
	'rest',
	'chill',
	'soak',
	'marinate',
	'temper',
	'hold',
	'finish',
	'plate'
] as const;

/** What a duration may depend on besides the kitchen: `covers`, or a parameter of the technique. */
const scaleSchema = z.object({
	by: idSchema,
	/** Value at which the durations below hold. */
	at: z.number().positive(),
	/** Time goes as (value ÷ at)^exponent: 1 for handwork by the piece, up to 2 for conduction through a thickness. */
	exponent: z.number().min(-3).max(3)
});

/** Either a model of the kitchen science, or an estimate of shortest, usual and longest that the record will correct. */
const timeSchema = z.object({
	shortest: seconds.optional(),
	usual: z.int().min(1).optional(),
	longest: z.int().min(1).optional(),
	scale: z.array(scaleSchema).optional(),
	/** Rated power in watts at which the estimate holds: heating goes the faster the stronger the burner. */
	power: z.number().positive().optional(),
	model: timeModelSchema.optional(),
	/** Core temperatures between which the oven step works, °C: they give an estimate's time at another set point. */
	core: z.object({ start: celsius, target: celsius }).optional()
});

const racks = z.int().min(1).max(10);
const between = z.tuple([celsius, celsius]).refine(([low, high]) => low <= high, 'must be from low to high');
const needSchema = z.discriminatedUnion('kind', [
	z.object({ kind: z.literal('burner'), leastPower: z.number().positive().optional() }),
	z.object({
		kind: z.literal('oven'),
		racks,
		/** Set points that will do, °C; the durations hold for the first. */
		settings: z.array(celsius).min(1).max(8)
	}),
	/** The heat from above of an oven that has it. */
	z.object({ kind: z.literal('broiler'), racks }),
	z.object({ kind: z.literal('board') }),
	z.object({ kind: z.literal('cold') }),
	/** °C of its oil; absent: as usual. */
	z.object({ kind: z.literal('fryer'), setting: celsius.optional() }),
	z.object({ kind: z.literal('warm') }),
	/** °C between which it works there; absent: as hot as it is. */
	z.object({ kind: z.literal('grill'), between: between.optional() }),
	z.object({ kind: z.literal('griddle') }),
	/** °C of the bath, to whole degrees. */
	z.object({ kind: z.literal('water bath'), setting: quantitySchema }),
	z.object({ kind: z.literal('steamer') }),
	z.object({ kind: z.literal('wood oven'), between: between.optional() })
]);
export type Need = z.infer<typeof needSchema>;

/** What lies on a tray or in a pan, or goes into a pot or the oil, at once: what does not fit is done in batches. */
const loadSchema = z.discriminatedUnion('on', [
	z.object({
		/** On a tray, in a pan, on a griddle, on the grill, in the fire; side by side in a pot of water, or of oil; in a steamer. */
		on: z.enum(['tray', 'pan', 'griddle', 'grill', 'wood oven', 'water', 'oil', 'steamer']),
		pieces: quantitySchema,
		/** Footprint of one piece, metres: round where it has no width. */
		length: quantitySchema,
		width: quantitySchema.optional(),
		/** Cut small, or in single pieces: how full a tray may be and still brown. */
		sort: z.enum(['vegetables', 'pieces'])
	}),
	z.object({
		on: z.literal('pot'),
		kilograms: quantitySchema,
		start: quantitySchema,
		/** Litres of water for each kilogram at the least; absent: five. */
		litres: z.number().min(0).max(20).optional(),
		/** By how much it may drop the boil, K; absent: as little as greens and pasta bear. */
		drop: z.number().min(1).max(60).optional()
	}),
	/** In dishes as deep as so many metres; where it does not fit it goes into more dishes, not deeper. */
	z.object({ on: z.literal('dish'), litres: quantitySchema, depth: quantitySchema }),
	/** Stirred in a pan: by the room over its base. */
	z.object({ on: z.literal('base'), litres: quantitySchema }),
	/** Heaped in a steamer basket; in bags in a water bath. */
	z.object({ on: z.enum(['basket', 'bath']), kilograms: quantitySchema }),
	z.object({
		on: z.literal('fryer'),
		kilograms: quantitySchema,
		/** Metres. */ sides: z.tuple([z.number(), z.number(), z.number()])
	})
]);
export type Load = z.infer<typeof loadSchema>;

/** Seconds, and so many more for each piece that is in at once. */
const touch = {
	seconds: z.int().min(1).max(3600),
	say: nameSchema,
	each: z.number().min(0).max(600).optional(),
	/** Only where a choice is one of these values. */
	when: z.object({ parameter: idSchema, is: z.array(z.number()).min(1) }).optional()
};
const handsSchema = z.discriminatedUnion('kind', [
	z.object({
		kind: z.literal('whole'),
		/** Stirring that may be left for so many seconds, after so many at it; absent: it is not left. */
		leave: z.object({ after: z.int().min(30).max(3600), seconds: z.int().min(15).max(600) }).optional()
	}),
	z.object({ kind: z.literal('none') }),
	z.object({
		kind: z.literal('touches'),
		/** At a share of the step: 0 when it begins, 1 when it ends. */
		at: z.array(z.object({ share: z.union([z.number().min(0).max(1), quantitySchema]), ...touch })),
		/** And again and again in between. */
		every: z.object({ interval: z.union([z.int().min(30), quantitySchema]), ...touch }).optional()
	})
]);

const stepSchema = z.object({
	id: idSchema,
	/** What to do, verb first: "Turn the fillets". */
	say: nameSchema,
	kind: z.enum(stepKinds),
	time: timeSchema,
	/** Where; absent: nowhere that is scarce. */
	need: needSchema.optional(),
	load: loadSchema.optional(),
	/** Guests who have it longer or shorter share its vessel and its heat: lowered in, or lifted out, at their own minute. */
	together: z.boolean().optional(),
	/** Done only where a choice is one of these values. */
	when: z.object({ parameter: idSchema, is: z.array(z.number()).min(1) }).optional(),
	/** The heat, in a cook's words. */
	heat: z.string().max(60).optional(),
	hands: handsSchema,
	/** Steps that end before this one starts, with the wait between: at least, at most. */
	after: z.array(
		z.object({
			step: idSchema,
			least: z
				.int()
				.min(-86_400)
				.max(7 * 86_400),
			most: z
				.int()
				.min(-86_400)
				.max(7 * 86_400)
				.optional()
		})
	),
	/** Hours or days before; does not count in the length of the evening. */
	ahead: z.boolean().optional(),
	/** What to look, listen, smell or feel for that says it is done. */
	sign: z.string().max(160).optional(),
	cautions: z.array(z.string().max(200)).optional()
});
export type Step = z.infer<typeof stepSchema>;

export const partKinds = [
	'protein',
	'egg',
	'side',
	'starch',
	'sauce',
	'garnish',
	'bread',
	'table',
	'drink',
	'dessert'
] as const;

export const aisles = [
	'meat and fish',
	'dairy and eggs',
	'vegetables and fruit',
	'herbs',
	'bread',
	'store cupboard'
] as const;

const ingredientSchema = z.object({
	id: idSchema,
	name: nameSchema,
	unit: z.enum(['g', 'ml', 'pieces']),
	/** For one of four; grows with the people to the power of `grows`: 1 (where absent) in step, less where it does not scale, as frying oil. */
	each: quantitySchema,
	grows: z.number().min(0).max(1).optional(),
	/** Bought whole, in pieces of so much of the unit each: a bird, a rack. */
	whole: quantitySchema.optional(),
	/** A roast, round, so many millimetres across: its length follows from its weight. */
	across: quantitySchema.optional(),
	/** Taken only where a choice is one of these values. */
	when: z.object({ parameter: idSchema, is: z.array(z.number()).min(1) }).optional(),
	/** Row of the yields: `each` is what is served, trim and cooking loss come on top. */
	yields: z.string().max(40).optional(),
	/** To taste: share of it to begin with; the rest is kept by. */
	first: z.number().min(0).max(1).optional(),
	/** Bowl it waits in: the step that uses it. */
	step: idSchema,
	aisle: z.enum(aisles),
	allergens: z.array(z.enum(allergens)).optional()
});
export type Ingredient = z.infer<typeof ingredientSchema>;

const parameterSchema = z.object({
	id: idSchema,
	name: nameSchema,
	unit: z.enum(['mm', 'g', 'pieces', '°C', 'choice']),
	least: z.number(),
	most: z.number(),
	usual: z.number(),
	/** Named values: schools and styles. With the unit `choice` only these. */
	options: z.array(z.object({ value: z.number(), say: nameSchema })).optional(),
	/** Why the usual one is usual. */
	why: z.string().max(160).optional()
});
export type Parameter = z.infer<typeof parameterSchema>;

export const techniqueSchema = z.object({
	id: idSchema,
	name: nameSchema,
	kind: z.enum(partKinds),
	/** What it makes, where there are several ways to make it. */
	makes: nameSchema.optional(),
	/** It is made in a vessel of this kind that another part leaves: that part is named in the meal. */
	madeIn: z.enum(vesselKinds).optional(),
	/** What of it is eaten raw or nearly so: not for guests at risk. */
	raw: z.enum(['egg', 'fish', 'meat', 'sprouts', 'milk']).optional(),
	/** A cook's own that was put away: kept, and not offered. */
	archived: z.boolean().optional(),
	/** Other words it is found by. */
	words: z.array(z.string().max(40)).max(20).optional(),
	/** A line on when to choose it. */
	about: z.string().max(240).optional(),
	parameters: z.array(parameterSchema),
	ingredients: z.array(ingredientSchema).max(60).optional(),
	steps: z.array(stepSchema).min(1).max(40),
	/** Vessels that stay with the part from the start of one step to the end of another. */
	vessels: z.array(z.object({ kind: z.enum(vesselKinds), from: idSchema, to: idSchema })),
	/** All up to a step may be done before the evening: how long and how it keeps, and what to do when it is wanted. */
	ahead: z
		.object({
			last: idSchema,
			/** Seconds; the row of the agencies' table that they come from, or that they are an estimate. */
			keeps: z
				.int()
				.min(600)
				.max(30 * 86_400),
			source: z.string().max(80),
			how: z.string().max(120),
			/** Seconds of hands to take it out; absent: 30. */
			out: z.int().min(5).max(600).optional(),
			/** Eaten hot as it is: heated to 74 °C right through, once; kilograms, and whether it is too thick to move by itself. */
			reheat: z.object({ kilograms: quantitySchema, isThick: z.boolean().optional() }).optional()
		})
		.optional(),
	/** The cook's own recipe that it was read from: it can be read again. */
	recipe: z.object({ text: z.string().max(100_000) }).optional(),
	/** How it goes on the plate, and how it fades if it waits for that. */
	plate: z.object({
		step: idSchema,
		/** Hands for each plate, seconds. */
		perPlate: z.int().min(0).max(600),
		/** Seconds it waits without loss; then the price of each second; never longer than `most`. */
		free: seconds,
		rate: z.int().min(0).max(100),
		most: seconds,
		/** How to keep it meanwhile. */
		keep: z.string().max(120)
	})
});
export type Technique = z.infer<typeof techniqueSchema>;

/** Unknown data as a consistent technique, or every issue found. */
export function readTechnique(data: unknown, path: Path = []): Read<Technique> {
	const parsed = techniqueSchema.safeParse(data);
	if (!parsed.success) {
		return { ok: false, issues: issuesOf(parsed.error).map((i) => ({ ...i, path: [...path, ...i.path] })) };
	}
	const technique = parsed.data;
	const issues: Issue[] = [...duplicateIds(technique.steps, [...path, 'steps'])];
	const steps = new Set(technique.steps.map((s) => s.id));
	const known = (id: string, at: Path) => {
		if (!steps.has(id)) issues.push({ code: 'unknown-id', path: [...path, ...at], id, among: 'steps' });
	};
	const scales = new Set(['covers', ...technique.parameters.map((p) => p.id)]);
	const named = (ids: readonly string[], at: Path) => {
		for (const id of ids) {
			if (!scales.has(id)) issues.push({ code: 'unknown-id', path: [...path, ...at], id, among: 'parameters' });
		}
	};
	technique.parameters.forEach((p, i) => {
		const isWithin = p.least <= p.usual && p.usual <= p.most;
		const what = `${p.least}, ${p.usual}, ${p.most} are not least ≤ usual ≤ most`;
		if (!isWithin) issues.push({ code: 'out-of-order', path: [...path, 'parameters', i], what });
		if (p.unit === 'choice' && !p.options?.some((o) => o.value === p.usual)) {
			const detail = 'the usual value must be one of the options';
			issues.push({ code: 'shape', path: [...path, 'parameters', i, 'usual'], detail });
		}
	});
	technique.steps.forEach((s, i) => {
		const { model, shortest, usual, longest, scale = [] } = s.time;
		const at = ['steps', i, 'time'];
		if (model) named(namedIn(model), [...at, 'model']);
		else if (shortest === undefined || usual === undefined || longest === undefined) {
			const detail = 'needs shortest, usual and longest, or a model that computes them';
			issues.push({ code: 'shape', path: [...path, ...at], detail });
		} else if (shortest > usual || usual > longest) {
			const what = `${shortest}, ${usual}, ${longest} are not shortest ≤ usual ≤ longest`;
			issues.push({ code: 'out-of-order', path: [...path, ...at], what });
		}
		scale.forEach(({ by }, k) => {
			named([by], [...at, 'scale', k, 'by']);
		});
		if (s.hands.kind === 'touches') {
			const asked = [...s.hands.at, ...(s.hands.every ? [s.hands.every] : [])];
			for (const touch of asked)
				named([...namedIn(touch), ...(touch.when ? [touch.when.parameter] : [])], ['steps', i, 'hands']);
		}
		if (s.load) named(namedIn(s.load), ['steps', i, 'load']);
		if (s.need) named(namedIn(s.need), ['steps', i, 'need']);
		if (s.when) named([s.when.parameter], ['steps', i, 'when', 'parameter']);
		s.after.forEach((a, k) => {
			known(a.step, ['steps', i, 'after', k, 'step']);
			if (a.most !== undefined && a.least > a.most) {
				const what = `the least wait ${a.least} is above the most ${a.most}`;
				issues.push({ code: 'out-of-order', path: [...path, 'steps', i, 'after', k], what });
			}
		});
	});
	technique.ingredients?.forEach((x, i) => {
		named(namedIn(x), ['ingredients', i]);
		known(x.step, ['ingredients', i, 'step']);
		if (x.when) named([x.when.parameter], ['ingredients', i, 'when', 'parameter']);
	});
	if (technique.ahead) known(technique.ahead.last, ['ahead', 'last']);
	if (technique.steps.find((s) => s.id === technique.plate.step)?.when) {
		const detail = 'the step that is plated must not depend on a choice';
		issues.push({ code: 'shape', path: [...path, 'plate', 'step'], detail });
	}
	technique.vessels.forEach((v, i) => {
		known(v.from, ['vessels', i, 'from']);
		known(v.to, ['vessels', i, 'to']);
	});
	known(technique.plate.step, ['plate', 'step']);
	issues.push(...beyondLimits(technique, path));
	const circle = findCircle(technique.steps);
	if (circle) issues.push({ code: 'steps-in-a-circle', path: [...path, 'steps'], steps: circle });
	return issues.length > 0 ? { ok: false, issues } : { ok: true, value: technique };
}

/**
 * The one step of a technique that lies on a tray in the oven, where all of its baking is that and it is eaten as it comes
 * out: what rests has to come out before what does not, and what is in cups is on no tray with others.
 */
export function trayStep(technique: Technique | undefined): Step | undefined {
	const steps = technique?.steps ?? [];
	const baked = steps.filter((s) => s.need?.kind === 'oven');
	const [step] = baked;
	const kinds = new Set(technique?.vessels.map((v) => v.kind));
	const isBare = kinds.has('tray') && !kinds.has('cups') && !kinds.has('dish');
	if (!isBare || steps.some((s) => s.kind === 'rest')) return undefined;
	return baked.length === 1 && step?.kind === 'cook' && step.load?.on === 'tray' ? step : undefined;
}

/** Set points, °C, that all of some oven steps may have, in the order of the first. */
export function commonSettings(steps: readonly Step[]): readonly number[] {
	const lists = steps.map((s) => (s.need?.kind === 'oven' ? s.need.settings : []));
	return (lists[0] ?? []).filter((c) => lists.every((l) => l.includes(c)));
}

/** Steps that wait for one another in a circle, by their words, or `undefined`. */
function findCircle(steps: readonly Step[]): readonly string[] | undefined {
	const byId = new Map(steps.map((s) => [s.id, s]));
	const done = new Set<string>();
	const walk = (step: Step, trail: readonly Step[]): readonly Step[] | undefined => {
		const seen = trail.indexOf(step);
		if (seen >= 0) return trail.slice(seen);
		if (done.has(step.id)) return undefined;
		for (const { step: before } of step.after) {
			const next = byId.get(before);
			const circle = next && walk(next, [...trail, step]);
			if (circle) return circle;
		}
		done.add(step.id);
		return undefined;
	};
	for (const step of steps) {
		const circle = walk(step, []);
		if (circle) return circle.map((s) => s.say);
	}
	return undefined;
}
