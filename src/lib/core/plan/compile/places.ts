// Stations as resources and states, and where a step can be: one row per kind of equipment, one per kind of need.
import type { Fuel } from '../../heat/burner';
import { fires } from '../../heat/fire';
import { waterHeat } from '../../heat/water';
import type { Wanted } from '../../issues';
import type { Kitchen, Station, StationKind, StationOf } from '../../model/kitchen';
import { liveFuelOf, usualStation } from '../../model/stations';
import type { Need } from '../../model/technique';
import { grid as timeGrid } from '../grid';
import type { Problem } from '../problem';
import { vesselResources } from './vessels';

type NeedOf<K extends Need['kind']> = Extract<Need, { kind: K }>;

/** A place a step can be at, and what of it is taken. */
export interface Place {
	/** Resource of the problem, and how much of it. */
	readonly resource: string;
	readonly amount: number;
	/** One of the stations behind the resource; those of equal burners are told apart afterwards. */
	readonly station: string;
	/** What else is taken meanwhile: the burners under a griddle. */
	readonly also?: readonly string[];
	readonly power?: number | undefined;
	readonly fuel?: Fuel;
	readonly measured?: number | undefined;
	/** Temperature it has, °C; where it is set, and to what by the knob. */
	readonly setting?: number;
	readonly knob?: number;
	readonly hasFan?: boolean;
	/** The oven's own factor on the film of its air. */
	readonly film?: number;
	readonly fire?: 'grill' | 'wood oven';
	/** Whether the place has to be brought to its temperature, as a state of the problem; its value then. */
	readonly isSet?: boolean;
	readonly level?: number;
}

/** How a station comes to its temperature: where it starts, °C, and seconds per °C up and down. */
export interface Heat {
	readonly room: number;
	readonly rise: number;
	readonly fall: number;
}

interface Row<K extends StationKind> {
	/** Resource that a station is part of: equal burners share one. */
	readonly resource: (station: StationOf<K>, kitchen: Kitchen) => string;
	readonly capacity: (station: StationOf<K>) => number;
	/** Where it is brought to a temperature. */
	readonly heat?: (station: StationOf<K>, kitchen: Kitchen) => Heat;
}

const own = { resource: (s: { id: string }) => s.id, capacity: (s: { places: number }) => s.places };

/** A bath cools by ice, seconds per °C (est.). */
const bathFall = 60;
/** °C, where no oven says how warm the room is. */
const usualRoom = 20;
/** Seconds from cold until it may be used, and how much slower it cools (est.): a fire has to be built first. */
const heating = { grill: 15 * 60, griddle: 8 * 60, fryer: 12 * 60, steamer: 8 * 60, 'wood oven': 75 * 60 } as const;
const coolsSlower = 4;

/** The state of a station that begins cold. */
function heatedUp(kind: keyof typeof heating, kitchen: Kitchen): Heat {
	const room = Math.round(roomOf(kitchen));
	const rise = Math.ceil(heating[kind] / (usualStation[kind].temperature - room));
	return { room, rise, fall: coolsSlower * rise };
}

/** The state of a live fire: lit from cold, it falls by itself. */
function firedUp(station: StationOf<'grill' | 'wood oven'>, kitchen: Kitchen): Heat | undefined {
	const fuel = liveFuelOf(station);
	if (!fuel) return undefined;
	const { lighting, fall } = fires[fuel];
	const room = Math.round(roomOf(kitchen));
	return { room, rise: Math.ceil(lighting / (fires[fuel].usual - room)), fall };
}

/** A fire is cooked on as it falls, this far apart, °C. */
const fallsBy = 40;

/** The heats of a grill or a fired oven at which a step may be done: as it is; burnt or turned down, lower ones too. */
function heatsOf(
	station: StationOf<'grill' | 'wood oven'>,
	[low, high]: readonly [number, number] = [-Infinity, Infinity]
): readonly number[] {
	const { temperature = usualStation[station.kind].temperature } = station;
	const lowest = low === -Infinity ? temperature : Math.max(low, coolest);
	const all: number[] = [];
	for (let celsius = temperature; celsius >= lowest; celsius -= fallsBy) all.push(celsius);
	return all.filter((c) => low <= c && c <= high);
}
/** Embers cooler than this cook nothing, °C. */
const coolest = 120;

/** Temperatures that are this close are one to a state, °C: no thermostat tells them apart. */
const apart: Partial<Record<StationKind, number>> = { 'water bath': 1 };
const usuallyApart = 5;

/**
 * A temperature as a value of the problem's state: so many times the grid from cold, so that all times stay on it. Heating
 * is rounded up; cooling too, to a whole multiple of heating.
 */
const levelOf = (kind: StationKind, { room, rise }: Heat, celsius: number) =>
	Math.max(
		0,
		Math.ceil((Math.max(rise, timeGrid / (apart[kind] ?? usuallyApart)) * (celsius - room)) / timeGrid - 1e-9)
	);

const stateOf = (kind: StationKind, { rise, fall }: Heat): Omit<Problem['states'][number], 'id'> => {
	const least = Math.max(rise, timeGrid / (apart[kind] ?? usuallyApart));
	return { initial: 0, rise: timeGrid, fall: timeGrid * Math.max(1, Math.ceil(fall / least - 1e-9)) };
};

const equipment: { readonly [K in StationKind]: Row<K> } = {
	burner: {
		resource: (s, kitchen) =>
			isUnderGriddle(s.id, kitchen)
				? `burner:${s.id}`
				: `burner:${s.power} ${s.fuel}${s.measured ? ` ${s.measured}` : ''}`,
		capacity: () => 1
	},
	oven: {
		resource: (s) => `racks:${s.id}`,
		capacity: (s) => s.racks,
		heat: (s) => ({ room: Math.round(s.room), rise: s.measuredRise ?? s.rise, fall: s.fall })
	},
	board: own,
	cold: own,
	fryer: { ...own, heat: (_, kitchen) => heatedUp('fryer', kitchen) },
	warm: own,
	grill: { ...own, heat: (s, kitchen) => firedUp(s, kitchen) ?? heatedUp('grill', kitchen) },
	griddle: { resource: (s) => s.id, capacity: () => 1, heat: (_, kitchen) => heatedUp('griddle', kitchen) },
	'water bath': {
		resource: (s) => `bath:${s.id}`,
		capacity: (s) => s.places,
		heat: ({ litres = usualStation['water bath'].litres, power = usualStation['water bath'].power }, kitchen) => ({
			room: Math.round(roomOf(kitchen)),
			rise: (litres * waterHeat) / power,
			fall: bathFall
		})
	},
	steamer: { ...own, heat: (_, kitchen) => heatedUp('steamer', kitchen) },
	'wood oven': { ...own, heat: (s, kitchen) => firedUp(s, kitchen) ?? heatedUp('wood oven', kitchen) }
};

interface NeedRow<K extends Need['kind'], S extends StationKind> {
	readonly at: S;
	/** The ways in which a station can serve a need. */
	readonly places: (
		station: StationOf<S>,
		need: NeedOf<K>,
		value: (quantity: NeedOf<'water bath'>['setting']) => number
	) => readonly Omit<Place, 'resource' | 'station'>[];
}

const row = <K extends Need['kind'], S extends StationKind>(r: NeedRow<K, S>) => r;
const simple = <S extends StationKind & Need['kind']>(at: S) => row<S, S>({ at, places: () => [{ amount: 1 }] });

const needs = {
	burner: row<'burner', 'burner'>({
		at: 'burner',
		places: (s, { leastPower = 0 }) =>
			s.power >= leastPower ? [{ amount: 1, power: s.power, fuel: s.fuel, measured: s.measured }] : []
	}),
	oven: row<'oven', 'oven'>({
		at: 'oven',
		places: (s, need) =>
			need.racks > s.racks
				? []
				: need.settings
						.filter((setting) => setting >= s.lowest && setting <= s.highest)
						.map((setting) => ({
							amount: need.racks,
							setting,
							knob: setting - (s.offset ?? 0),
							hasFan: s.fan,
							...(s.film === undefined ? {} : { film: s.film }),
							isSet: true
						}))
	}),
	broiler: row<'broiler', 'oven'>({
		at: 'oven',
		places: (s, { racks }) =>
			s.broiler && racks <= s.racks
				? [{ amount: racks, setting: s.highest, knob: s.highest, hasFan: false, isSet: true }]
				: []
	}),
	board: simple('board'),
	cold: simple('cold'),
	fryer: row<'fryer', 'fryer'>({
		at: 'fryer',
		places: ({ power = usualStation.fryer.power }, { setting = usualStation.fryer.temperature }) => [
			{ amount: 1, power, fuel: 'electric', setting, isSet: true }
		]
	}),
	warm: simple('warm'),
	grill: row<'grill', 'grill'>({
		at: 'grill',
		places: (s, { between }) =>
			heatsOf(s, between).map((setting) => ({ amount: 1, setting, fire: 'grill' as const, isSet: true }))
	}),
	griddle: row<'griddle', 'griddle'>({
		at: 'griddle',
		places: (s) => [
			{
				amount: 1,
				also: s.covers.map((id) => `burner:${id}`),
				setting: usualStation.griddle.temperature,
				isSet: true
			}
		]
	}),
	'water bath': row<'water bath', 'water bath'>({
		at: 'water bath',
		places: (_, { setting }, value) => [{ amount: 1, setting: Math.round(value(setting)), isSet: true }]
	}),
	steamer: row<'steamer', 'steamer'>({
		at: 'steamer',
		places: () => [{ amount: 1, setting: usualStation.steamer.temperature, isSet: true }]
	}),
	'wood oven': row<'wood oven', 'wood oven'>({
		at: 'wood oven',
		places: (s, { between }) =>
			heatsOf(s, between).map((setting) => ({ amount: 1, setting, fire: 'wood oven' as const, isSet: true }))
	})
};

// A station, and a need, is looked up in its own row, which TypeScript cannot follow through the union.
const rowOf = (kind: StationKind) => equipment[kind] as unknown as Row<StationKind>;
const needRowOf = (kind: Need['kind']) => needs[kind] as unknown as NeedRow<Need['kind'], StationKind>;

function isUnderGriddle(burner: string, kitchen: Kitchen): boolean {
	return kitchen.stations.some((s) => s.kind === 'griddle' && s.covers.includes(burner));
}

/** A kitchen is as warm as its cold oven. */
export function roomOf(kitchen: Pick<Kitchen, 'stations'>): number {
	for (const station of kitchen.stations) if (station.kind === 'oven') return station.room;
	return usualRoom;
}

/**
 * All places in a kitchen where a step can be; one for each set of equal stations and each setting.
 *
 * @param value a quantity of the need as a number
 */
export function placesFor(
	need: Need,
	kitchen: Kitchen,
	value: (quantity: NeedOf<'water bath'>['setting']) => number
): readonly Place[] {
	const { at, places } = needRowOf(need.kind);
	const seen = new Set<string>();
	return kitchen.stations
		.filter((station) => station.kind === at)
		.flatMap((station) => {
			const resource = rowOf(at).resource(station, kitchen);
			if (seen.has(resource)) return [];
			seen.add(resource);
			const heat = rowOf(at).heat?.(station, kitchen);
			return places(station, need, value).map((place) => ({
				...place,
				resource,
				station: station.id,
				...(heat && place.setting !== undefined ? { level: levelOf(at, heat, place.setting) } : {})
			}));
		});
}

/** The stations behind a resource, in the order of the kitchen. */
export function stationsBehind(resource: string, kitchen: Kitchen): readonly Station[] {
	return kitchen.stations.filter((station) => rowOf(station.kind).resource(station, kitchen) === resource);
}

/** How a station heats, where it is brought to a temperature. */
export const heatOf = (station: Station, kitchen: Kitchen): Heat | undefined =>
	rowOf(station.kind).heat?.(station, kitchen);

/** The kind of station that serves a need. */
export const stationFor = (need: Need): StationKind => needRowOf(need.kind).at;

/** What a step needs, as a fact for whoever lacks it. */
export function wantedOf(need: Need): Wanted {
	return {
		kind: 'station',
		station: need.kind,
		...('settings' in need ? { settings: need.settings } : {}),
		...('between' in need && need.between !== undefined ? { between: need.between } : {}),
		...('racks' in need ? { racks: need.racks } : {}),
		...('leastPower' in need && need.leastPower !== undefined ? { leastPower: need.leastPower } : {})
	};
}

/** Stations and vessels of a kitchen as resources, what is brought to a temperature as states. */
export function resourcesOf(kitchen: Kitchen): Pick<Problem, 'resources' | 'states'> {
	const capacity = new Map<string, number>();
	const add = (id: string, amount: number) => capacity.set(id, (capacity.get(id) ?? 0) + amount);
	for (const station of kitchen.stations) {
		const r = rowOf(station.kind);
		add(r.resource(station, kitchen), r.capacity(station));
	}
	return {
		resources: [...[...capacity].map(([id, amount]) => ({ id, capacity: amount })), ...vesselResources(kitchen)],
		states: kitchen.stations.flatMap((s) => {
			const heat = rowOf(s.kind).heat?.(s, kitchen);
			return heat ? [{ id: s.id, ...stateOf(s.kind, heat) }] : [];
		})
	};
}
