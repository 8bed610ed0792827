// Changes to a kitchen, each of which leaves it consistent.
import { freeId } from './edit-meal';
import type { Cook, Kitchen, Station, StationKind, Vessel, VesselKind } from './kitchen';
import { stationTable } from './stations';

/** A station in place of the one with its id. */
export function withStation(kitchen: Kitchen, station: Station): Kitchen {
	return { ...kitchen, stations: kitchen.stations.map((s) => (s.id === station.id ? station : s)) };
}

/** Without a station, and without the griddle that lay over it. */
export function withoutStation(kitchen: Kitchen, id: string): Kitchen {
	return {
		...kitchen,
		stations: kitchen.stations.filter((s) => s.id !== id && !(s.kind === 'griddle' && s.covers.includes(id)))
	};
}

/** How hot the gentle half of a grill is, °C (est.): food is finished there, its lid on. */
const gentle = 170;

/** A grill of two places or more as two: half of it hot, half gentle; the same kitchen where it is none. */
export function withGrillHalved(kitchen: Kitchen, id: string): Kitchen {
	const at = kitchen.stations.findIndex((s) => s.id === id);
	const grill = kitchen.stations[at];
	if (grill?.kind !== 'grill' || grill.places < 2) return kitchen;
	const ids = kitchen.stations.map((s) => s.id);
	const places = Math.floor(grill.places / 2);
	const { name } = grill;
	const hot: Station = { ...grill, name: `${name}, hot half`.slice(0, 80), places: grill.places - places };
	const half: Station = {
		...without(grill, 'at'),
		id: freeId(ids, `${id}-gentle`.slice(0, 60)),
		name: `${name}, gentle half`.slice(0, 80),
		places,
		temperature: gentle
	};
	return { ...kitchen, stations: kitchen.stations.toSpliced(at, 1, hot, half) };
}

/** One more burner, like the last one. */
export function withBurner(kitchen: Kitchen): Kitchen {
	return withNewStation(kitchen, 'burner');
}

/** What a new station of a kind is like; a burner like the last one, a griddle over the last two that have none. */
function newStation(kitchen: Kitchen, kind: StationKind, base: { id: string; name: string }): Station | undefined {
	if (kind === 'burner') {
		const like = kitchen.stations.findLast((s) => s.kind === 'burner') ?? stationTable.burner.fresh;
		return { kind, ...base, power: like.power, fuel: like.fuel };
	}
	// A row of the table is fresh for its own kind, which TypeScript cannot follow through the union.
	if (kind !== 'griddle') return { kind, ...base, ...stationTable[kind].fresh } as Station;
	const taken = new Set(kitchen.stations.flatMap((s) => (s.kind === 'griddle' ? s.covers : [])));
	const free = kitchen.stations.filter((s) => s.kind === 'burner' && !taken.has(s.id));
	const [first, second] = free.slice(-2);
	return first && second ? { kind, ...base, covers: [first.id, second.id] } : undefined;
}

/** One more station of a kind, next to its like; the same kitchen where it cannot be: a griddle wants two free burners. */
export function withNewStation(kitchen: Kitchen, kind: StationKind): Kitchen {
	const count = kitchen.stations.filter((s) => s.kind === kind).length;
	const { name } = stationTable[kind];
	const slug = kind.replaceAll(' ', '-');
	const ids = kitchen.stations.map((s) => s.id);
	const id = kind === 'burner' ? numbered(ids, slug) : freeId(ids, slug);
	const number = kind === 'burner' ? Number(id.split('-').at(-1)) : count + 1;
	const station = newStation(kitchen, kind, { id, name: number === 1 ? name : `${name} ${number}` });
	if (!station) return kitchen;
	const last = kitchen.stations.findLastIndex((s) => s.kind === kind);
	const at = last < 0 ? kitchen.stations.length : last + 1;
	return { ...kitchen, stations: kitchen.stations.toSpliced(at, 0, station) };
}

export function withVesselCount(kitchen: Kitchen, id: string, count: number): Kitchen {
	return { ...kitchen, vessels: kitchen.vessels.map((v) => (v.id === id ? { ...v, count } : v)) };
}

/** A vessel in place of the one with its id. */
export function withVessel(kitchen: Kitchen, vessel: Vessel): Kitchen {
	return { ...kitchen, vessels: kitchen.vessels.map((v) => (v.id === vessel.id ? vessel : v)) };
}

const usualSizes: Readonly<Record<VesselKind, readonly [name: string, size: string]>> = {
	'frying pan': ['Pan', '26 cm'],
	'grill pan': ['Grill pan', '26 cm'],
	saucepan: ['Saucepan', '18 cm'],
	pot: ['Pot', '5 l'],
	tray: ['Tray', '42 × 33 cm'],
	dish: ['Dish', '30 × 20 cm'],
	'steamer basket': ['Steamer basket', '22 cm'],
	rack: ['Wire rack', '40 × 30 cm'],
	cups: ['Small cups', '8 cm']
};

export function withNewVessel(kitchen: Kitchen, kind: VesselKind): Kitchen {
	const [name, size] = usualSizes[kind];
	const id = freeId(
		kitchen.vessels.map((v) => v.id),
		kind.replaceAll(' ', '-')
	);
	return { ...kitchen, vessels: [...kitchen.vessels, { id, name, kind, size, count: kind === 'cups' ? 6 : 1 }] };
}

export function withoutVessel(kitchen: Kitchen, id: string): Kitchen {
	return { ...kitchen, vessels: kitchen.vessels.filter((v) => v.id !== id) };
}

/** As many cooks as this; new ones are called by their number. */
export function withCooks(kitchen: Kitchen, count: number): Kitchen {
	let cooks = kitchen.cooks.slice(0, count);
	while (cooks.length < count) {
		const id = numbered(
			cooks.map((c) => c.id),
			'cook'
		);
		cooks = [...cooks, { id, name: `Cook ${id.split('-').at(-1) ?? ''}` }];
	}
	return { ...kitchen, cooks };
}

/** A cook in place of the one with that id. */
export function withCook(kitchen: Kitchen, cook: Cook): Kitchen {
	return { ...kitchen, cooks: kitchen.cooks.map((c) => (c.id === cook.id ? cook : c)) };
}

/** The lowest-numbered id of a kind that is not among those. */
function numbered(ids: readonly string[], kind: string): string {
	const taken = new Set(ids);
	let number = 1;
	while (taken.has(`${kind}-${number}`)) number++;
	return `${kind}-${number}`;
}

/** What was measured of a station or a cook, or where it was put, forgotten: it goes by what is assumed again. */
export function without<T extends object>(thing: T, ...facts: readonly (keyof T)[]): T {
	return Object.fromEntries(Object.entries(thing).filter(([key]) => !facts.some((f) => f === key))) as T;
}
