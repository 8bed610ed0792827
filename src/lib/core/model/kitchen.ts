// The kitchen: cooks, stations, vessels. Zod is the one source of its types and of its JSON Schema.
import { z } from 'zod';
import { duplicateIds, issuesOf, type Issue, type Read } from '../issues';

export const idSchema = z
	.string()
	.regex(/^[a-z0-9][a-z0-9-]{0,63}$/, 'must be lower-case letters, digits and hyphens, at most 64');
export const nameSchema = z.string().trim().min(1, 'must not be empty').max(80, 'must be at most 80 characters');

const base = { id: idSchema, name: nameSchema };
const places = z.int().min(1).max(20);
const celsius = z.number().min(-40).max(600);

const stationSchema = z.discriminatedUnion('kind', [
	z.object({
		kind: z.literal('burner'),
		...base,
		/** Rated power in watts. */
		power: z.int().min(200).max(20_000),
		fuel: z.enum(['induction', 'electric', 'gas'])
	}),
	z.object({
		kind: z.literal('oven'),
		...base,
		racks: places,
		fan: z.boolean(),
		lowest: celsius,
		highest: celsius,
		/** Temperature before it is lit. */
		room: celsius,
		/** Seconds per °C, up and down. */
		rise: z.int().min(0).max(600),
		fall: z.int().min(0).max(600)
	}),
	z.object({ kind: z.literal('board'), ...base, places }),
	z.object({ kind: z.literal('cold'), ...base, places }),
	z.object({ kind: z.literal('fryer'), ...base, places }),
	z.object({ kind: z.literal('warm'), ...base, places })
]);
export type Station = z.infer<typeof stationSchema>;
export type StationKind = Station['kind'];

export const vesselKinds = ['frying pan', 'saucepan', 'pot', 'tray', 'dish'] as const;

export const kitchenSchema = z.object({
	format: z.literal('juntos-kitchen'),
	version: z.literal(1),
	id: idSchema,
	name: nameSchema,
	/** Metres above the sea: water boils the cooler the higher. */
	altitude: z.number().min(-400).max(5000).default(0),
	cooks: z.array(z.object(base)).min(1, 'needs at least one cook').max(12, 'can have at most 12 cooks'),
	stations: z.array(stationSchema).max(60),
	vessels: z.array(
		z.object({ ...base, kind: z.enum(vesselKinds), size: z.string().max(40), count: z.int().min(0).max(60) })
	)
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
	stations.forEach((s, i) => {
		if (s.kind === 'oven' && s.lowest > s.highest) {
			const what = `the lowest temperature ${s.lowest} is above the highest ${s.highest}`;
			issues.push({ code: 'out-of-order', path: ['stations', i, 'lowest'], what });
		}
	});
	return issues.length > 0 ? { ok: false, issues } : { ok: true, value: parsed.data };
}
