// Changes to a kitchen, each of which leaves it consistent.
import type { Kitchen, Station } from './kitchen';

/** A station in place of the one with its id. */
export function withStation(kitchen: Kitchen, station: Station): Kitchen {
	return { ...kitchen, stations: kitchen.stations.map((s) => (s.id === station.id ? station : s)) };
}

export function withoutStation(kitchen: Kitchen, id: string): Kitchen {
	return { ...kitchen, stations: kitchen.stations.filter((s) => s.id !== id) };
}

/** One more burner, like the last one. */
export function withBurner(kitchen: Kitchen): Kitchen {
	const last = kitchen.stations.findLastIndex((s) => s.kind === 'burner');
	const like = kitchen.stations[last];
	const number = free(kitchen.stations, 'burner');
	const { power, fuel } = like?.kind === 'burner' ? like : ({ power: 1800, fuel: 'electric' } as const);
	const burner: Station = { kind: 'burner', id: `burner-${number}`, name: `Burner ${number}`, power, fuel };
	return { ...kitchen, stations: kitchen.stations.toSpliced(last + 1, 0, burner) };
}

export function withVesselCount(kitchen: Kitchen, id: string, count: number): Kitchen {
	return { ...kitchen, vessels: kitchen.vessels.map((v) => (v.id === id ? { ...v, count } : v)) };
}

/** As many cooks as this; new ones are called by their number. */
export function withCooks(kitchen: Kitchen, count: number): Kitchen {
	let cooks = kitchen.cooks.slice(0, count);
	while (cooks.length < count) {
		const number = free(cooks, 'cook');
		cooks = [...cooks, { id: `cook-${number}`, name: `Cook ${number}` }];
	}
	return { ...kitchen, cooks };
}

/** The lowest number that no `kind-number` id of the list has. */
function free(list: readonly { readonly id: string }[], kind: string): number {
	const ids = new Set(list.map((x) => x.id));
	let number = 1;
	while (ids.has(`${kind}-${number}`)) number++;
	return number;
}
