// Every kind of station in one table: what it is called, what it is good for, how large, and what it is usually like.
import type { Duty, Station, StationKind, StationOf } from './kitchen';

type Fresh<K extends StationKind> = Omit<StationOf<K>, 'id' | 'name' | 'kind' | 'at'>;

interface StationRow<K extends StationKind> {
	/** Name of the first one in a kitchen. */
	readonly name: string;
	/** Whether food cooks there. */
	readonly isHot: boolean;
	/** Whether food stays there cold enough, or hot enough, not to spoil. */
	readonly isSafe: boolean;
	/** What a cook who is spared it does not work at. */
	readonly duty?: Duty;
	/** What its places are called. */
	readonly places?: string;
	/** Width along the worktop and depth, cm; absent: a burner has its zone's, a griddle that of what it covers. */
	readonly size?: readonly [width: number, depth: number];
	/** What a new one is like; a griddle's burners are those of the kitchen. */
	readonly fresh: K extends 'griddle' ? undefined : Fresh<K>;
}

const onePlace = { places: 1 } as const;

/** In the order that food mostly moves, on the floor from left to right and in the plan from top to bottom. */
export const stationTable = {
	cold: { name: 'Cold place', isHot: false, isSafe: true, places: 'Places', size: [60, 58], fresh: onePlace },
	board: { name: 'Board', isHot: false, isSafe: false, places: 'Places to work', size: [48, 34], fresh: onePlace },
	burner: { name: 'Burner', isHot: true, isSafe: true, duty: 'stove', fresh: { power: 1800, fuel: 'electric' } },
	griddle: { name: 'Griddle', isHot: true, isSafe: true, duty: 'stove', fresh: undefined },
	steamer: { name: 'Steamer', isHot: true, isSafe: true, places: 'Tiers', size: [36, 40], fresh: onePlace },
	'water bath': {
		name: 'Water bath',
		isHot: true,
		isSafe: true,
		places: 'Bags at once',
		size: [33, 40],
		fresh: onePlace
	},
	fryer: {
		name: 'Fryer',
		isHot: true,
		isSafe: true,
		duty: 'frying',
		places: 'Baskets',
		size: [30, 46],
		fresh: onePlace
	},
	grill: {
		name: 'Grill',
		isHot: true,
		isSafe: true,
		duty: 'stove',
		places: 'Places',
		size: [50, 50],
		fresh: { places: 1, fuel: 'gas' }
	},
	oven: {
		name: 'Oven',
		isHot: true,
		isSafe: true,
		duty: 'oven',
		size: [60, 58],
		fresh: { racks: 2, fan: true, lowest: 50, highest: 250, room: 20, rise: 4, fall: 15 }
	},
	'wood oven': {
		name: 'Wood oven',
		isHot: true,
		isSafe: true,
		duty: 'oven',
		places: 'Places',
		size: [90, 60],
		fresh: onePlace
	},
	warm: { name: 'Warm drawer', isHot: false, isSafe: true, places: 'Places', size: [54, 50], fresh: onePlace }
} as const satisfies { readonly [K in StationKind]: StationRow<K> };

/** All kinds, in the order of the table. */
export const stationKinds = Object.keys(stationTable) as readonly StationKind[];

/** What the table says of a kind. */
export function stationRow(kind: StationKind): StationRow<StationKind> {
	// Each row is checked against its own kind above, which TypeScript cannot follow through the union.
	return stationTable[kind];
}

/** The row of a lane of a plan; none for those that are no station, such as rest. */
export function laneRow(kind: string): StationRow<StationKind> | undefined {
	return Object.hasOwn(stationTable, kind) ? stationRow(kind as StationKind) : undefined;
}

/** What a station is like where the kitchen does not say: litres, watts, °C. */
export const usualStation = {
	fryer: { litres: 8, power: 3500, temperature: 175 },
	griddle: { temperature: 220 },
	steamer: { temperature: 100 },
	'water bath': { litres: 12, power: 1200 },
	grill: { temperature: 280 },
	'wood oven': { temperature: 380 }
} as const;

/** What a station burns where it is a live fire: it has to be lit long before, is fed, and falls. */
export function liveFuelOf(station: Station): 'charcoal' | 'wood' | undefined {
	if (station.kind === 'wood oven') return 'wood';
	return station.kind === 'grill' && station.fuel === 'charcoal' ? 'charcoal' : undefined;
}

/** A rack of an oven whose width and depth nobody measured, cm; and its walls, to each side of the rack. */
export const usualRack = { width: 46, depth: 36, wall: 7 } as const;

/** Diameter of a cooking zone, cm: as measured, or its area goes with its power (a zone of 1.8 kW measures 21 cm). */
function zoneDiameter({ power, diameter }: Pick<StationOf<'burner'>, 'power' | 'diameter'>): number {
	return diameter ?? Math.min(29, 21 * Math.sqrt(power / 1800));
}

/** Width and depth on the floor, cm; a griddle's are those of the burners below it, and none here. */
export function stationSize(station: Station): readonly [width: number, depth: number] {
	if (station.kind === 'burner') return [zoneDiameter(station), zoneDiameter(station)];
	if (station.kind === 'griddle') return [0, 0];
	const [width, depth] = stationTable[station.kind].size;
	return [station.kind === 'oven' && station.width !== undefined ? station.width + 2 * usualRack.wall : width, depth];
}
