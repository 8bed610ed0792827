// How a step's time is computed: which model of the kitchen science, with what the cook knows put in.
import { foodNames } from '../foods/ingredients';
import { z } from 'zod';
import { idSchema } from './kitchen';

/** A number, or so many times a parameter (or the covers), perhaps times others and divided by one, and more. */
export const quantitySchema = z.union([
	z.number(),
	z.object({
		by: idSchema,
		also: z.array(idSchema).max(3).optional(),
		per: idSchema.optional(),
		times: z.number().default(1),
		plus: z.number().default(0)
	})
]);
export type Quantity = z.infer<typeof quantitySchema>;

/** A quantity as a number; what it names is looked up by `of`. */
export function valueOf(quantity: Quantity, of: (id: string) => number): number {
	if (typeof quantity === 'number') return quantity;
	const { by, also = [], per, times, plus } = quantity;
	return also.reduce((product, id) => product * of(id), times * of(by)) / (per === undefined ? 1 : of(per)) + plus;
}
const quantity = quantitySchema;

export const vegetables = [
	'waxy potato',
	'floury potato',
	'sweet potato',
	'squash',
	'carrot',
	'celeriac',
	'parsnip',
	'turnip',
	'beet',
	'onion',
	'leek',
	'fennel',
	'green beans',
	'broccoli',
	'asparagus',
	'cauliflower',
	'sprouts',
	'cabbage',
	'aubergine',
	'courgette',
	'peas'
] as const;
export const softnesses = ['parcooked', 'crisp', 'tender', 'soft', 'puree'] as const;
export const eggStyleNames = ['barely set', 'runny', 'jammy', 'soft-hard', 'hard'] as const;
export const eggWayNames = [
	'poached',
	'fried sunny',
	'fried lidded',
	'fried turned',
	'scrambled fast',
	'scrambled slow',
	'omelette pale',
	'omelette brown',
	'baked in a cup',
	'custard',
	'fried coated'
] as const;
export const knifeTasks = [
	'peel potatoes',
	'peel celeriac',
	'dice onion',
	'slice onion',
	'dice roots',
	'stick roots',
	'trim beans',
	'trim sprouts',
	'shred cabbage',
	'slice leek',
	'slice roots',
	'pick herbs',
	'chop herbs',
	'slice mushrooms',
	'prepare apples',
	'wash leaves'
] as const;
export const pieceTasks = [
	'mince garlic',
	'mince shallot',
	'coat a piece',
	'peel an egg',
	'break an egg',
	'peel a prawn',
	'fill a pocket',
	'thread a skewer',
	'carve a portion',
	'score a breast',
	'wash a pan'
] as const;
/** What food lies in; `place` is the air of the oven, or what the grill or the fired oven is like. */
export const media = ['water', 'bath', 'steam', 'oil', 'ice', 'fridge', 'room', 'place'] as const;
const shapes = ['slab', 'cylinder', 'sphere'] as const;
/** Faces of food that dry, each in its way. */
export const crustKinds = [
	'meat',
	'fat cap',
	'seared meat',
	'skin',
	'fat skin',
	'fish',
	'breaded',
	'baked',
	'liquid'
] as const;

/** A sear before, seconds a face: of its faces; of the skin, where there is one (or where it has a thickness, as of old). */
const seared = z
	.object({
		seconds: z.number().positive(),
		skin: z.number().min(0).optional(),
		of: z.enum(['faces', 'skin']).optional()
	})
	.optional();
/** A piece from its first heat to the end of its rest; its steps name the same piece. */
const piece = {
	food: z.enum(foodNames),
	start: quantity,
	peak: quantity,
	/** 1: it has lost its chill before. */
	tempered: quantity.optional(),
	/** What its face is like where it is not as its food's usually is; skin on the face below. */
	face: z.enum(crustKinds).optional(),
	skin: z.enum(crustKinds).optional(),
	/** Longer by so much for its bone. */
	bone: z.number().min(1).max(1.5).optional(),
	/** A sear after it has come off and waited, seconds. */
	finish: z
		.object({ seconds: z.number().positive(), wait: z.number().min(0), faces: z.int().min(1).max(2) })
		.optional(),
	/** What it lies under at rest: 1 is tented, where it is a number; served: it does not rest. */
	rest: z.union([z.enum(['on a board', 'tented', 'served']), quantity]).optional()
};
const roasted = {
	...piece,
	/** Full thickness of a slab (where the shape is absent), diameter of a cylinder; of a bird its mass. */
	thickness: quantity,
	shape: z.enum([...shapes, 'bird']).optional(),
	seared,
	/** Set point of the oven, or the fire, that it came from: where the rest has no place of its own. */
	oven: z.number().optional(),
	fire: z.enum(['grill', 'wood oven']).optional(),
	/** On a grill or in a fired oven: seconds between turns; 0: turned once, half way. */
	turns: quantity.optional()
};
const panned = {
	...piece,
	thickness: quantity,
	/** Seconds between turns; 0: turned once, at a share of the time. */
	turns: quantity,
	turnedAt: z.number().min(0.1).max(0.9).optional(),
	/** Share of the time that its upper face is under ladled fat. */
	baste: z.number().min(0).max(1).optional(),
	seared
};

/** Metres for sizes, kilograms, litres, °C. */
export const timeModelSchema = z.discriminatedUnion('kind', [
	/** Water from the tap to the boil, covered. */
	z.object({
		kind: z.literal('boil'),
		litres: quantity,
		start: quantity,
		/** Milk and what catches: over half of the heat, and no hotter a base than it bears. */
		gently: z.boolean().optional()
	}),
	/** Knife work by the kilogram; by the piece. */
	z.object({ kind: z.literal('knife'), task: z.enum(knifeTasks), kilograms: quantity }),
	z.object({ kind: z.literal('pieces'), task: z.enum(pieceTasks), pieces: quantity }),
	/** Boiled in the shell, from the boil, until the yolk's edge has a temperature; `cold`: from cold water, off the heat at the boil. */
	z.object({
		kind: z.literal('boiled-egg'),
		kilograms: quantity,
		start: quantity,
		style: z.union([z.enum(eggStyleNames), quantity]),
		cold: z.boolean().optional(),
		/** Eggs in the pot: they cool its water. */
		count: quantity.optional()
	}),
	/** Other ways with eggs, by mass; `firm` lengthens, 1 is as usual; so many one after the other. */
	z.object({
		kind: z.literal('egg'),
		way: z.enum(eggWayNames),
		kilograms: quantity,
		firm: quantity.optional(),
		count: quantity.optional(),
		/** How cold it goes in, °C; eggs that are stirred in one pan. */
		start: quantity.optional(),
		together: quantity.optional()
	}),
	/** In the oven until it will peak, at rest, at a core; perhaps seared through its skin before. */
	z.object({
		kind: z.literal('roast'),
		...roasted,
		/** The advised core, °C: a peak below it is cautioned. */
		advised: z.number().optional()
	}),
	/** The rest after such a roast, until the core turns. */
	z.object({ kind: z.literal('rest'), ...roasted }),
	/** In a hot pan, turned, until it will peak at rest at a core; and that rest. */
	z.object({ kind: z.literal('pan'), ...panned, advised: z.number().optional() }),
	z.object({ kind: z.literal('pan-rest'), ...panned }),
	/** From the cold to 74 °C right through, stirred in a pot. */
	z.object({ kind: z.literal('reheat'), kilograms: quantity, isThick: z.boolean().optional() }),
	/** Held at a core, °C, until it is as safe as hotter, by the published times. */
	z.object({ kind: z.literal('pasteurise'), food: z.enum(foodNames), core: quantity }),
	/** In one medium until the core has a temperature. */
	z.object({
		kind: z.literal('immerse'),
		food: z.enum(foodNames),
		shape: z.enum(shapes),
		size: quantity,
		start: quantity,
		core: quantity,
		in: z.enum(media),
		/** °C; absent: the boil for water and steam, what the place is for `place`. */
		at: quantity.optional(),
		/** Whether it rests, after water or steam; absent: it is served as it comes out. */
		rest: z.enum(['bare', 'served']).optional(),
		/** A hold follows that makes it as safe as hotter. */
		held: z.boolean().optional(),
		advised: z.number().optional()
	}),
	/** Baked through: a filled dish until its middle is as hot, and has had so many minutes' worth at 100 °C. */
	z.object({
		kind: z.literal('bake'),
		food: z.enum(foodNames),
		depth: quantity,
		start: quantity,
		core: z.number(),
		dose: z.number().min(0).default(0),
		/** Until its top is golden too. */
		golden: z.boolean().optional()
	}),
	/** Out of the cold until the core has risen so far. */
	z.object({
		kind: z.literal('temper'),
		food: z.enum(foodNames),
		thickness: quantity,
		start: quantity,
		core: z.number()
	}),
	/** Cooked until soft; round sticks by diameter, cubes by side. A share of the dose for tender, where it is a number. */
	z.object({
		kind: z.literal('soften'),
		vegetable: z.enum(vegetables),
		how: z.union([z.enum(softnesses), quantity]),
		cut: z.enum(['stick', 'cube', 'round']),
		size: quantity,
		start: quantity,
		in: z.enum(['water', 'steam', 'oil', 'place']).optional(),
		/** Water that its faces give off before they colour, kg/m²; absent: as the vegetable's usually do; 0: it is not browned. */
		water: z.number().min(0).max(5).optional(),
		/** Par-cooked: only its rim. */
		rim: z.boolean().optional()
	}),
	/** In a little liquid, from cold: heated, softened, and so much of it boiled away. */
	z.object({
		kind: z.literal('simmer'),
		vegetable: z.enum(vegetables),
		how: z.union([z.enum(softnesses), quantity]),
		cut: z.enum(['stick', 'cube', 'round']),
		size: quantity,
		start: quantity,
		kilograms: quantity,
		/** Litres of liquid; share of it that boils away; share of the burner's power. */
		liquid: quantity,
		away: z.number().min(0).max(1),
		level: z.number().min(0.05).max(1),
		/** Work at the end, seconds. */
		besides: z.number().min(0)
	}),
	/** Grains, pasta, pulses: their minutes at sea level, slower by ten times for each so many K that water boils cooler. */
	z.object({ kind: z.literal('starch'), seconds: quantity, z: z.number().min(20).max(200) }),
	/** A crust: so many faces on a pan, a grill or a plate as hot as this. */
	z.object({ kind: z.literal('crust'), pan: quantity, faces: z.number().int().min(1).max(6) }),
	/** An empty pan to a temperature; so much oil in a pot, or in the fryer. */
	z.object({
		kind: z.literal('hot-pan'),
		to: quantity,
		/** Which fat goes in: its place among the fats, from 0; it may smoke. */
		fat: quantity.optional()
	}),
	z.object({ kind: z.literal('hot-oil'), litres: quantity, to: quantity }),
	/** Reduced in a pan at a share of the burner's power, and so many seconds of work besides. */
	z.object({
		kind: z.literal('reduce'),
		from: quantity,
		to: quantity,
		level: z.number().min(0).max(1),
		besides: z.number().min(0)
	})
]);
export type TimeModel = z.infer<typeof timeModelSchema>;

/** Every quantity of a model that names a parameter, by that name. */
export function namedIn(model: object): readonly string[] {
	const values: readonly unknown[] = Object.values(model);
	return values.flatMap((value) => {
		const named = z
			.object({ by: z.string(), also: z.array(z.string()).default([]), per: z.string().optional() })
			.safeParse(value);
		return named.success ? [named.data.by, ...named.data.also, named.data.per].filter((id) => id !== undefined) : [];
	});
}
