// How a step's time is computed: which model of the kitchen science, with what the cook knows put in.
import { z } from 'zod';
import { idSchema } from './kitchen';

/** A number, or so many times a parameter (or the covers), and more. */
const quantity = z.union([
	z.number(),
	z.object({ by: idSchema, times: z.number().default(1), plus: z.number().default(0) })
]);

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
	'cabbage'
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
	'carve a portion',
	'score a breast',
	'wash a pan'
] as const;
export const roasts = ['lean meat', 'poultry breast', 'duck breast', 'white fish', 'salmon', 'gratin'] as const;

/** Metres for sizes, kilograms, litres, °C. */
export const timeModelSchema = z.discriminatedUnion('kind', [
	/** Water from the tap to the boil, covered. */
	z.object({ kind: z.literal('boil'), litres: quantity, start: quantity }),
	/** Knife work by the kilogram; by the piece. */
	z.object({ kind: z.literal('knife'), task: z.enum(knifeTasks), kilograms: quantity }),
	z.object({ kind: z.literal('pieces'), task: z.enum(pieceTasks), pieces: quantity }),
	/** Boiled in the shell, from the boil. */
	z.object({ kind: z.literal('boiled-egg'), kilograms: quantity, start: quantity, style: z.enum(eggStyleNames) }),
	/** Other ways with eggs, by mass. */
	z.object({ kind: z.literal('egg'), way: z.enum(eggWayNames), kilograms: quantity }),
	/** In the oven until it will peak, at rest, at a core; a slab, perhaps seared through its skin before. */
	z.object({
		kind: z.literal('roast'),
		food: z.enum(roasts),
		thickness: quantity,
		start: quantity,
		peak: z.number(),
		seared: z.object({ seconds: z.number().positive(), skin: z.number().min(0) }).optional(),
		/** The advised core, °C: a peak below it is cautioned. */
		advised: z.number().optional()
	}),
	/** The rest after such a roast, until the core turns. */
	z.object({
		kind: z.literal('rest'),
		food: z.enum(roasts),
		thickness: quantity,
		start: quantity,
		peak: z.number(),
		seared: z.object({ seconds: z.number().positive(), skin: z.number().min(0) }).optional()
	}),
	/** Baked through: a filled dish until its middle is as hot, and has had so many minutes' worth at 100 °C. */
	z.object({
		kind: z.literal('bake'),
		food: z.enum(roasts),
		depth: quantity,
		start: quantity,
		core: z.number(),
		dose: z.number().min(0).default(0)
	}),
	/** Out of the cold until the core has risen so far. */
	z.object({ kind: z.literal('temper'), food: z.enum(roasts), thickness: quantity, start: quantity, core: z.number() }),
	/** Boiled or steamed until soft; round sticks by diameter, cubes by side. */
	z.object({
		kind: z.literal('soften'),
		vegetable: z.enum(vegetables),
		how: z.enum(softnesses),
		cut: z.enum(['stick', 'cube', 'round']),
		size: quantity,
		start: quantity
	}),
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
