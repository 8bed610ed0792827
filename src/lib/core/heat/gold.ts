// Vegetables on a tray: warmed, their faces dried, then coloured; what they lose on the way.
import { flatFilm, type Airflow } from './surroundings';
import type { Vegetable } from './softness';
import { radiation } from './surface';

/** Latent heat of what dries off at the boil, J/kg, and the mass per area at which most of a face's water has reached it, kg/m². */
const latent = 2.3e6;
const reach = 2.2;
/** Face while it dries, and the middle of the range over which it is warmed, °C. */
const drying = 85;
const warming = 50;
/** Colour: seconds at a set point, twice as long for each so many K less (est.). */
const colour = { seconds: 180, at: 210, doubling: 20 };

/** Water that a face gives off before it colours, kg/m² (est., ± 25 %; fitted to usual times). */
const usualWater = 1.3;
const water: Partial<Record<Vegetable, number>> = {
	squash: 1.5,
	parsnip: 1.5,
	'sweet potato': 1.5,
	sprouts: 1.1,
	broccoli: 1.1,
	asparagus: 0.6,
	'waxy potato': 1.8,
	'floury potato': 1.8,
	beet: 0
};
export const waterOf = (vegetable: Vegetable): number => water[vegetable] ?? usualWater;

/** kg of a piece for each m² of its faces: a long stick, or a cube or ball, so thick. */
export const massPerArea = (density: number, size: number, cut: 'stick' | 'cube' | 'round') =>
	(density * size) / (cut === 'stick' ? 4 : 6);

/** Film on pieces on a crowded tray, W/(m² K). */
export function trayFilm(celsius: number, airflow: Airflow): number {
	return 0.7 * flatFilm(airflow) + 0.6 * radiation(drying, celsius);
}

export interface Tray {
	/** kg/m², J/(kg K), °C. */
	readonly mass: number;
	readonly c: number;
	readonly start: number;
	/** kg/m² that dry off before it colours; 0: it is not browned. */
	readonly water: number;
	readonly celsius: number;
	readonly airflow: Airflow;
}

/** Seconds until pieces are golden: warm up, dry the faces, colour. `Infinity` where the oven is too cool to dry them. */
export function goldTime({ mass, c, start, water: wet, celsius, airflow }: Tray): number {
	if (wet === 0) return 0;
	if (celsius <= drying + 5) return Infinity;
	const h = trayFilm(celsius, airflow);
	const warm = (mass * c * Math.max(0, drying - start)) / (h * (celsius - warming));
	const dry = (wet * (1 - Math.exp(-mass / reach)) * latent) / (h * (celsius - drying));
	return warm + dry + colour.seconds * 2 ** ((colour.at - celsius) / colour.doubling);
}

/** Share of its mass that a piece loses until it is golden, %: fat on the faces of potatoes keeps a third of it in. */
export function goldLoss(vegetable: Vegetable, mass: number, wet: number): number {
	const kept = vegetable === 'waxy potato' || vegetable === 'floury potato' ? 0.65 : 1;
	return Math.min(45, (100 * kept * wet * (1 - Math.exp(-mass / reach))) / mass);
}
