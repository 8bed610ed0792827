// Stations as resources and states: one row per kind of equipment.
import type { Fuel } from '../../heat/burner';
import type { Kitchen, Station, StationKind } from '../../model/kitchen';
import type { Step } from '../../model/technique';
import type { Problem } from '../problem';

type Need = NonNullable<Step['need']>;
type StationOf<K extends StationKind> = Extract<Station, { kind: K }>;
type NeedOf<K extends StationKind> = Extract<Need, { kind: K }>;

/** A place a step can be at, and what of it is taken. */
export interface Place {
	/** Resource of the problem, and how much of it. */
	readonly resource: string;
	readonly amount: number;
	/** One of the stations behind the resource; those of equal burners are told apart afterwards. */
	readonly station: string;
	readonly power?: number;
	readonly fuel?: Fuel;
	readonly setting?: number;
	readonly hasFan?: boolean;
}

interface Row<K extends StationKind> {
	/** Resource that a station is part of: equal burners share one. */
	readonly resource: (station: StationOf<K>) => string;
	readonly capacity: (station: StationOf<K>) => number;
	/** The ways in which a station can serve a need. */
	readonly places: (station: StationOf<K>, need: NeedOf<K>) => readonly Omit<Place, 'resource' | 'station'>[];
	readonly word: (need: NeedOf<K>) => string;
}

const simple = (word: string) => ({
	resource: (s: { id: string }) => s.id,
	capacity: (s: { places: number }) => s.places,
	places: () => [{ amount: 1 }],
	word: () => word
});

const equipment: { readonly [K in StationKind]: Row<K> } = {
	burner: {
		resource: (s) => `burner:${s.power} ${s.fuel}`,
		capacity: () => 1,
		places: (s, { leastPower = 0 }) => (s.power >= leastPower ? [{ amount: 1, power: s.power, fuel: s.fuel }] : []),
		word: ({ leastPower }) => (leastPower === undefined ? 'a burner' : `a burner of at least ${leastPower} W`)
	},
	oven: {
		resource: (s) => `racks:${s.id}`,
		capacity: (s) => s.racks,
		places: (s, need) =>
			need.racks > s.racks
				? []
				: need.settings
						.filter((setting) => setting >= s.lowest && setting <= s.highest)
						.map((setting) => ({ amount: need.racks, setting, hasFan: s.fan })),
		word: ({ settings, racks }) =>
			`an oven of at least ${racks} ${racks === 1 ? 'rack' : 'racks'} that can be set to ${settings.join(' or ')} °C`
	},
	board: simple('a board'),
	cold: simple('a cold place'),
	fryer: simple('a fryer'),
	warm: simple('a warm drawer')
};

// A station is looked up in its own row, which TypeScript cannot follow through the union.
const rowOf = (kind: StationKind) => equipment[kind] as unknown as Row<StationKind>;

/** All places in a kitchen where a step can be; one for each set of equal stations and each setting. */
export function placesFor(need: Need, kitchen: Kitchen): readonly Place[] {
	const row = rowOf(need.kind);
	const seen = new Set<string>();
	return kitchen.stations
		.filter((station) => station.kind === need.kind)
		.flatMap((station) => {
			const resource = row.resource(station);
			if (seen.has(resource)) return [];
			seen.add(resource);
			return row.places(station, need).map((place) => ({ ...place, resource, station: station.id }));
		});
}

/** The stations behind a resource, in the order of the kitchen. */
export function stationsBehind(resource: string, kitchen: Kitchen): readonly Station[] {
	return kitchen.stations.filter((station) => rowOf(station.kind).resource(station) === resource);
}

export function wordNeed(need: Need): string {
	return rowOf(need.kind).word(need);
}

/** Hands, stations and vessels of a kitchen as resources, its ovens' temperatures as states. */
export function resourcesOf(kitchen: Kitchen): Pick<Problem, 'resources' | 'states'> {
	const capacity = new Map<string, number>([['hands', kitchen.cooks.length]]);
	const add = (id: string, amount: number) => capacity.set(id, (capacity.get(id) ?? 0) + amount);
	for (const station of kitchen.stations) {
		const row = rowOf(station.kind);
		add(row.resource(station), row.capacity(station));
	}
	for (const vessel of kitchen.vessels) add(`vessel:${vessel.kind}`, vessel.count);
	return {
		resources: [...capacity].map(([id, amount]) => ({ id, capacity: amount })),
		states: kitchen.stations.flatMap((s) =>
			s.kind === 'oven' ? [{ id: s.id, initial: Math.round(s.room), rise: s.rise, fall: s.fall }] : []
		)
	};
}
