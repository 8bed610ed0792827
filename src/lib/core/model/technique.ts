// A technique: one way to make a part, as a graph of steps with what each needs. Zod is the source of types and schema.
import { z } from 'zod';
import { duplicateIds, issuesOf, type Issue, type Path, type Read } from '../issues';
import { idSchema, nameSchema, vesselKinds } from './kitchen';
import { timeModelSchema } from './time-model';

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

const timeSchema = z.object({
	shortest: seconds,
	usual: z.int().min(1),
	longest: z.int().min(1),
	scale: z.array(scaleSchema).optional(),
	/** Rated power in watts at which the durations hold: heating goes the faster the stronger the burner. */
	power: z.number().positive().optional(),
	/** Computed by the kitchen science; the durations above hold where it cannot be. */
	model: timeModelSchema.optional(),
	/** Core temperatures between which the oven step works, °C: they give its time at another set point. */
	core: z.object({ start: celsius, target: celsius }).optional()
});

const needSchema = z.discriminatedUnion('kind', [
	z.object({ kind: z.literal('burner'), leastPower: z.number().positive().optional() }),
	z.object({
		kind: z.literal('oven'),
		racks: z.int().min(1).max(10),
		/** Set points that will do, °C; the durations hold for the first. */
		settings: z.array(celsius).min(1).max(8)
	}),
	z.object({ kind: z.literal('board') }),
	z.object({ kind: z.literal('cold') }),
	z.object({ kind: z.literal('fryer') }),
	z.object({ kind: z.literal('warm') })
]);

const touch = { seconds: z.int().min(1).max(3600), say: nameSchema };
const handsSchema = z.discriminatedUnion('kind', [
	z.object({ kind: z.literal('whole') }),
	z.object({ kind: z.literal('none') }),
	z.object({
		kind: z.literal('touches'),
		/** At a share of the step: 0 when it begins, 1 when it ends. */
		at: z.array(z.object({ share: z.number().min(0).max(1), ...touch })),
		/** And again and again in between. */
		every: z.object({ interval: z.int().min(30), ...touch }).optional()
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

export const partKinds = ['protein', 'side', 'sauce', 'egg', 'garnish', 'bread', 'drink'] as const;

export const techniqueSchema = z.object({
	id: idSchema,
	name: nameSchema,
	kind: z.enum(partKinds),
	/** What it makes, where there are several ways to make it. */
	makes: nameSchema.optional(),
	parameters: z.array(
		z.object({
			id: idSchema,
			name: nameSchema,
			unit: z.enum(['mm', 'g', 'pieces', '°C']),
			least: z.number(),
			most: z.number(),
			usual: z.number()
		})
	),
	steps: z.array(stepSchema).min(1).max(40),
	/** Vessels that stay with the part from the start of one step to the end of another. */
	vessels: z.array(z.object({ kind: z.enum(vesselKinds), from: idSchema, to: idSchema })),
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
	technique.steps.forEach((s, i) => {
		const values: readonly unknown[] = Object.values(s.time.model ?? {});
		for (const value of values) {
			const by = z.object({ by: z.string() }).safeParse(value).data?.by ?? 'covers';
			const at = [...path, 'steps', i, 'time', 'model'];
			if (!scales.has(by)) issues.push({ code: 'unknown-id', path: at, id: by, among: 'parameters' });
		}
	});
	technique.steps.forEach((s, i) => {
		const { shortest, usual, longest } = s.time;
		if (shortest > usual || usual > longest) {
			const what = `${shortest}, ${usual}, ${longest} are not shortest ≤ usual ≤ longest`;
			issues.push({ code: 'out-of-order', path: [...path, 'steps', i, 'time'], what });
		}
		s.time.scale?.forEach(({ by }, k) => {
			const at = [...path, 'steps', i, 'time', 'scale', k, 'by'];
			if (!scales.has(by)) issues.push({ code: 'unknown-id', path: at, id: by, among: 'parameters' });
		});
		s.after.forEach((a, k) => {
			known(a.step, ['steps', i, 'after', k, 'step']);
			if (a.most !== undefined && a.least > a.most) {
				const what = `the least wait ${a.least} is above the most ${a.most}`;
				issues.push({ code: 'out-of-order', path: [...path, 'steps', i, 'after', k], what });
			}
		});
	});
	technique.vessels.forEach((v, i) => {
		known(v.from, ['vessels', i, 'from']);
		known(v.to, ['vessels', i, 'to']);
	});
	known(technique.plate.step, ['plate', 'step']);
	const circle = findCircle(technique.steps);
	if (circle) issues.push({ code: 'steps-in-a-circle', path: [...path, 'steps'], steps: circle });
	return issues.length > 0 ? { ok: false, issues } : { ok: true, value: technique };
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
