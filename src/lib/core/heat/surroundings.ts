// What moist food meets, place by place: ovens, trays, pans, grills, fires, boards and covers.
import type { Around, Surroundings } from './moist';

/** How an oven's air moves: whether a fan blows, and its own factor on the film that this gives; absent: 1. */
export interface Airflow {
	readonly hasFan: boolean;
	readonly film?: number | undefined;
}

/** Film by convection in an oven, W/(m² K): falls with the size of the piece (est. after Carson, Willix & North 2006, J. Food Eng. 72, 293–301). */
function ovenFilm({ hasFan, film = 1 }: Airflow, size: number): number {
	const [h, low, high] = hasFan ? [15, 10, 22] : [7, 5, 9];
	return film * Math.min(high, Math.max(low, h * (0.1 / size) ** 0.25));
}

/** That over what is crowded or filled, as high as it lies, W/(m² K). */
export const flatFilm = ({ hasFan, film = 1 }: Airflow): number => film * (hasFan ? 15 : 7);

type Air = Extract<Around, { kind: 'air' }>;
const air = (h: number, celsius: number, wall: number, grey: number, vapour: number): Air => ({
	kind: 'air',
	h,
	air: celsius,
	wall,
	grey,
	vapour
});
const emissivity = 0.9;
/** Vapour in a vented oven, about a whole bird, round a moist dish; over a pan and a grill; in the kitchen; under a tent. Pa. */
const vapours = { oven: 5000, bird: 6000, dish: 8000, pan: 8000, grill: 6000, kitchen: 1200, tent: 4500 };

/** In an oven, open all round, on a rack. */
export const inOven = (setting: number, airflow: Airflow, size: number): Air =>
	air(ovenFilm(airflow, size), setting, setting, emissivity, vapours.oven);

/** A roast on its tray: one side is shielded. */
export function onItsTray(setting: number, airflow: Airflow, size: number): Air {
	const open = inOven(setting, airflow, size);
	return { ...open, h: 0.85 * open.h, grey: 0.85 * emissivity };
}

/** A whole bird on its tray. */
export function birdInOven(setting: number, airflow: Airflow): Air {
	const open = inOven(setting, airflow, 0.1);
	return { ...open, h: 0.9 * open.h, grey: 0.9 * emissivity, vapour: vapours.bird };
}

/** The underside of a flat piece on a tray. */
export function trayBelow(setting: number, airflow: Airflow, size: number): Air {
	const open = inOven(setting, airflow, size);
	return { ...open, h: 0.7 * open.h, grey: 0.6, sealed: true };
}

/** Top and base of a filled dish: cream or egg over it, the dish below. */
export function inDish(setting: number, airflow: Airflow): Surroundings {
	const h = flatFilm(airflow);
	return {
		outer: air(h, setting, setting, emissivity, vapours.dish),
		inner: { ...air(0.7 * h, setting, setting, 0.6, vapours.dish), sealed: true, behind: 0.006 }
	};
}

/** A face on a pan: the mean of high and then medium; a sear; skin down from a cold pan. */
export const onPan = {
	fried: { kind: 'contact', h: 150, at: 170 },
	seared: { kind: 'contact', h: 250, at: 190 },
	'skin down': { kind: 'contact', h: 150, at: 150 }
} as const satisfies Readonly<Record<string, Around>>;

/** The face that lies up in a pan; in part under ladled fat. */
export const aboveTheFat: Around = air(7, 60, 40, emissivity, vapours.pan);
export const ladled = (share: number): Around =>
	share <= 0 ? aboveTheFat : { kind: 'contact', h: 300 * Math.min(1, share), at: 140 };

/** On a grill's grate; the face above it, open or under its lid. */
export const onGrate = (celsius: number): Around => ({ kind: 'contact', h: 60, at: celsius });
export const aboveGrate = (isShut: boolean): Around =>
	isShut ? air(12, 200, 180, emissivity, vapours.dish) : air(10, 90, 60, emissivity, vapours.grill);

/** In a fired oven: on its floor, and the face under its vault. */
export const onHearth = (celsius: number): Around => ({ kind: 'contact', h: 60, at: Math.max(100, celsius - 100) });
export const underVault = (celsius: number): Around => air(12, celsius, celsius + 40, emissivity, vapours.oven);

export type Cover = 'bare' | 'tented' | 'wrapped';

/** At rest in a room. */
export function atRest(cover: Cover, room: number): Around {
	switch (cover) {
		case 'bare':
			return air(5, room, room, emissivity, vapours.kitchen);
		case 'tented':
			return air(2.5, 38, 38, 0.45, vapours.tent);
		case 'wrapped':
			return { ...air(5.5, room, room, 0.05, vapours.kitchen), sealed: true };
	}
}
