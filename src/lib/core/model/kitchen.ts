// The kitchen: who cooks, on what, in what. Zod is the source of its types and of its JSON Schema.
import { z } from 'zod';
import { duplicateIds, issuesOf, type Issue, type Read } from '../issues';

export const idSchema = z
	.string()
	.regex(/^[a-z0-9][a-z0-9-]{0,63}$/, 'must be lower-case letters, digits and hyphens, at most 64');
export const nameSchema = z.string().trim().min(1, 'must not be empty').max(80, 'must be at most 80 characters');

const base = {
	id: idSchema,
	name: nameSchema,
	/** Where it stands on the floor, cm from the top left corner to its own; absent: laid out by itself. */
	at: z.object({ x: z.number().min(0).max(2000), y: z.number().min(0).max(2000) }).optional()
};
const places = z.int().min(1).max(20);
const celsius = z.number().min(-40).max(600);
const centimetres = z.number().min(5).max(300);
const litres = z.number().min(0.5).max(200);
const watts = z.int().min(200).max(20_000);
/** Seconds per °C. */
const slope = z.number().min(0).max(3600);

const stationSchema = z.discriminatedUnion('kind', [
	z.object({
		kind: z.literal('burner'),
		...base,
		/** Rated power in watts; and what arrives in a pot, where a litre has been timed. */
		power: watts,
		measured: z.number().min(50).max(20_000).optional(),
		/** Of the cooking zone, cm; absent: as wide as its power calls for. */
		diameter: centimetres.optional(),
		fuel: z.enum(['induction', 'electric', 'gas'])
	}),
	z.object({
		kind: z.literal('oven'),
		...base,
		racks: places,
		/** Of a rack, cm; absent: 46 by 36. */
		width: centimetres.optional(),
		depth: centimetres.optional(),
		fan: z.boolean(),
		/** Whether it also heats from above alone. */
		broiler: z.boolean().optional(),
		lowest: celsius,
		highest: celsius,
		/** Temperature before it is lit. */
		room: celsius,
		/** Seconds per °C, up and down; up as measured, where a thermometer was read. */
		rise: slope,
		fall: slope,
		measuredRise: slope.optional(),
		/** How much hotter it is than what it is set to, K, by the thermometer. */
		offset: z.number().min(-80).max(80).optional(),
		/** Factor on the film of its air against others of its kind, as probes in roasts have shown. */
		film: z.number().min(0.4).max(2.5).optional()
	}),
	z.object({ kind: z.literal('board'), ...base, places }),
	z.object({ kind: z.literal('cold'), ...base, places }),
	z.object({
		kind: z.literal('fryer'),
		...base,
		/** Baskets, litres of oil, and power in watts: 8 l and 3,500 W where absent. */
		places,
		litres: litres.optional(),
		power: watts.optional()
	}),
	z.object({ kind: z.literal('warm'), ...base, places }),
	z.object({
		kind: z.literal('grill'),
		...base,
		places,
		fuel: z.enum(['gas', 'charcoal', 'electric']),
		/** What its grate is like, °C; absent: 280. */
		temperature: celsius.optional()
	}),
	/** A plate over two burners, which it takes both. */
	z.object({ kind: z.literal('griddle'), ...base, covers: z.tuple([idSchema, idSchema]) }),
	/** Absent: 12 l and 1,200 W. */
	z.object({ kind: z.literal('water bath'), ...base, places, litres: litres.optional(), power: watts.optional() }),
	z.object({ kind: z.literal('steamer'), ...base, places }),
	/** Fed with fuel, as hot as it is: 380 °C where absent. */
	z.object({ kind: z.literal('wood oven'), ...base, places, temperature: celsius.optional() })
]);
export type Station = z.infer<typeof stationSchema>;
export type StationKind = Station['kind'];
export type StationOf<K extends StationKind> = Extract<Station, { kind: K }>;

export const vesselKinds = [
	'frying pan',
	'grill pan',
	'saucepan',
	'pot',
	'tray',
	'dish',
	'steamer basket',
	'rack',
	'cups'
] as const;

/** What a cook may be spared; a step belongs to one of these by where and how it is done. */
export const duties = ['knife', 'frying', 'stove', 'oven'] as const;
export type Duty = (typeof duties)[number];

const pace = z.number().min(0.2).max(5);
const cookSchema = z.object({
	id: idSchema,
	name: nameSchema,
	/** How long handwork takes, against a home cook's 1; and as a sample of knife work measured it. */
	pace: pace.optional(),
	measuredPace: pace.optional(),
	/** What this cook does not do. */
	avoids: z.array(z.enum(duties)).optional()
});
export type Cook = z.infer<typeof cookSchema>;

const vesselSchema = z.object({
	id: idSchema,
	name: nameSchema,
	kind: z.enum(vesselKinds),
	/** "28 cm" across, "5 l", or "40 × 30 cm": see `vesselSize`. */
	size: z.string().max(40),
	count: z.int().min(0).max(60)
});
export type Vessel = z.infer<typeof vesselSchema>;

/** What records of evenings say of one kind of step here: ln of a factor on its time, its spread, and how many records. */
const learntSchema = z.object({
	mean: z.number().min(-2.5).max(2.5),
	sd: z.number().min(0).max(1),
	records: z.int().min(0).max(100_000)
});

export const kitchenSchema = z.object({
	format: z.literal('juntos-kitchen'),
	version: z.literal(1),
	id: idSchema,
	name: nameSchema,
	/** Put away: kept, and not offered. */
	archived: z.boolean().optional(),
	/** Metres above the sea: water boils the cooler the higher. */
	altitude: z.number().min(-400).max(5000).default(0),
	cooks: z.array(cookSchema).min(1, 'needs at least one cook').max(12, 'can have at most 12 cooks'),
	stations: z.array(stationSchema).max(60),
	vessels: z.array(vesselSchema),
	/** What was learnt here and accepted, by what it is a record of: see `recordKey`. */
	learnt: z.record(z.string().min(1).max(140), learntSchema).optional(),
	/** What was held back, as it was believed then. */
	heldBack: z.record(z.string().min(1).max(160), z.number()).optional()
});
export type Kitchen = z.infer<typeof kitchenSchema>;
export type VesselKind = (typeof vesselKinds)[number];

/** Unknown data as a consistent kitchen, or every issue found. */
export function readKitchen(data: unknown): Read<Kitchen> {
	const parsed = kitchenSchema.safeParse(data);
	if (!parsed.success) return { ok: false, issues: issuesOf(parsed.error) };
	const { cooks, stations, vessels } = parsed.data;
	const issues: Issue[] = [
		...duplicateIds(cooks, ['cooks']),
		...duplicateIds(stations, ['stations']),
		...duplicateIds(vessels, ['vessels'])
	];
	const burners = new Set(stations.filter((s) => s.kind === 'burner').map((s) => s.id));
	stations.forEach((s, i) => {
		if (s.kind === 'oven' && s.lowest > s.highest) {
			const what = `the lowest temperature ${s.lowest} is above the highest ${s.highest}`;
			issues.push({ code: 'out-of-order', path: ['stations', i, 'lowest'], what });
		}
		if (s.kind !== 'griddle') return;
		s.covers.forEach((id, k) => {
			const path = ['stations', i, 'covers', k];
			if (!burners.has(id)) issues.push({ code: 'unknown-id', path, id, among: 'burners' });
		});
		const [first, second] = s.covers;
		if (first === second) issues.push({ code: 'duplicate-id', path: ['stations', i, 'covers'], id: first });
	});
	return issues.length > 0 ? { ok: false, issues } : { ok: true, value: parsed.data };
}
