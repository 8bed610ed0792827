// The surface of food in hot or moist air: convection, radiation, evaporation.
import type { Film } from './body';
import { saturation } from './water';

const stefanBoltzmann = 5.670374e-8;
const kelvin = 273.15;
const normalPressure = 101_325;

export interface Air {
	/** Air and walls, °C; film by convection, W/(m² K). */
	readonly air: number;
	readonly wall: number;
	readonly h: number;
	/** Vapour pressure in the air, Pa. */
	readonly vapour: number;
	/** Share of the surface that evaporates as if it were free water. */
	readonly wetness: number;
	/** Boiling point here, °C. */
	readonly boil: number;
}

/** Vapour pressures, Pa (est.): vented cavity, one moist tray, full or steamed, kitchen. */
export const vapours = { vented: 3000, moist: 10_000, steamed: 27_000, kitchen: 1200 } as const;
/** Wetness (est.): a free film; meat, fish and oiled vegetables in an oven or at rest. */
export const wetness = { film: 1, food: 0.05 } as const;
const emissivity = 0.9;

/** Film coefficient of radiation between grey surfaces, W/(m² K); temperatures °C. */
export function radiation(surface: number, wall: number, grey = emissivity): number {
	const [a, b] = [surface + kelvin, wall + kelvin];
	return grey * stefanBoltzmann * (a * a + b * b) * (a + b);
}

/**
 * Water given off by a free wet surface, kg/(m² s), never negative.
 *
 * Lewis relation with Stefan flow (Incropera & DeWitt 2007, ch. 6): ṁ″ = 6.86·10⁻⁴ h ln[(p − p_v)/(p − p_s)].
 */
export function evaporationRate(h: number, surface: number, vapour: number, boil: number): number {
	const capped = Math.min(surface, boil - 0.5);
	const p = normalPressure;
	return Math.max(0, 6.86e-4 * h * Math.log((p - vapour) / (p - saturation(capped))));
}

/** Heat into the surface, W/m². */
export function surfaceFlux({ air, wall, h, vapour, wetness: w, boil }: Air, surface: number): number {
	const latent = (2501 - 2.38 * surface) * 1000;
	return (
		h * (air - surface) +
		radiation(surface, wall) * (wall - surface) -
		w * latent * evaporationRate(h, surface, vapour, boil)
	);
}

/** The tangent of that flux as a film: what the finite volumes take in each step. */
export function surfaceFilm(air: Air): (surface: number) => Film {
	return (surface) => {
		const step = 0.05;
		const q = surfaceFlux(air, surface);
		const slope = (surfaceFlux(air, surface + step) - surfaceFlux(air, surface - step)) / (2 * step);
		const h = Math.max(0.1, -slope);
		return { h, tinf: surface + q / h };
	};
}

/**
 * One film for all of a roast, for core targets up to 70 °C: the secant between 40 and 85 °C; with the exact series within
 * 6 % of the solver for a wetness up to 0.08.
 */
export function shortcutFilm(air: Air): Film {
	const h = (surfaceFlux(air, 40) - surfaceFlux(air, 85)) / 45;
	return { h, tinf: 40 + surfaceFlux(air, 40) / h };
}
