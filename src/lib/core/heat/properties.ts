// Thermal properties of food from its composition (Choi & Okos 1986), and of foods in use.

/** Mass fractions, together 1. */
export interface Composition {
	readonly water: number;
	readonly protein: number;
	readonly fat: number;
	readonly carbohydrate: number;
	readonly fibre: number;
	readonly ash: number;
}

export interface Properties {
	/** kg/m³, J/(kg K), W/(m K), m²/s. */
	readonly rho: number;
	readonly c: number;
	readonly k: number;
	readonly alpha: number;
}

type Row = readonly [a: number, b: number, c: number];

/** A + B T + C T², T in °C: conductivity, density, specific heat. Valid −40 to 150 °C, unfrozen. */
const table: Readonly<Record<keyof Composition, { readonly k: Row; readonly rho: Row; readonly c: Row }>> = {
	water: {
		k: [0.57109, 1.7625e-3, -6.7036e-6],
		rho: [997.18, 3.1439e-3, -3.7574e-3],
		c: [4176.2, -0.090864, 5.4731e-3]
	},
	protein: { k: [0.17881, 1.1958e-3, -2.7178e-6], rho: [1329.9, -0.5184, 0], c: [2008.2, 1.2089, -1.3129e-3] },
	fat: { k: [0.18071, -2.7604e-4, -1.7749e-7], rho: [925.59, -0.41757, 0], c: [1984.2, 1.4733, -4.8008e-3] },
	carbohydrate: { k: [0.20141, 1.3874e-3, -4.3312e-6], rho: [1599.1, -0.31046, 0], c: [1548.8, 1.9625, -5.9399e-3] },
	fibre: { k: [0.18331, 1.2497e-3, -3.1683e-6], rho: [1311.5, -0.36589, 0], c: [1845.9, 1.8306, -4.6509e-3] },
	ash: { k: [0.32962, 1.4011e-3, -2.9069e-6], rho: [2423.8, -0.28063, 0], c: [1092.6, 1.8896, -3.6817e-3] }
};

/**
 * Properties of a mixture at a temperature: specific heats by mass, densities by volume, conductivity the geometric mean of
 * layers in parallel and in series.
 *
 * @param porosity share of the volume that is air
 * Source: Choi & Okos 1986, in Food Engineering and Process Applications 1, 93–101; the mean is ours (docs/heat.md).
 */
export function propertiesOf(food: Composition, celsius = 50, porosity = 0): Properties {
	const at = ([a, b, c]: Row) => a + b * celsius + c * celsius * celsius;
	const parts = Object.entries(table).map(([name, row]) => {
		const x = food[name as keyof Composition];
		return { x, k: at(row.k), rho: at(row.rho), c: at(row.c) };
	});
	const solid = 1 / parts.reduce((sum, p) => sum + p.x / p.rho, 0);
	const c = parts.reduce((sum, p) => sum + p.x * p.c, 0);
	const volumes = parts.map((p) => ({ v: (p.x / p.rho) * solid, k: p.k }));
	const parallel = volumes.reduce((sum, { v, k }) => sum + v * k, 0);
	const serial = 1 / volumes.reduce((sum, { v, k }) => sum + v / k, 0);
	const k = Math.sqrt(parallel * serial);
	const rho = solid * (1 - porosity);
	return { rho, c, k, alpha: k / (rho * c) };
}

/** Percent of water, protein, fat, carbohydrate, fibre, ash (USDA FoodData Central, SR Legacy 2018, rounded). */
const composed = {
	'lean meat': [72, 21.5, 5.3, 0, 0, 1.2],
	pork: [72, 21.5, 5.3, 0, 0, 1.2],
	mince: [62, 17.3, 19.8, 0, 0, 0.9],
	'poultry breast': [74.8, 22.5, 1.6, 0, 0, 1.1],
	'poultry thigh': [75.5, 19.8, 3.6, 0, 0, 1.1],
	'duck breast': [75.5, 19.8, 3.6, 0, 0, 1.1],
	'duck skin': [35, 9.5, 55, 0, 0, 0.5],
	'white fish': [81, 17.5, 0.4, 0, 0, 1.1],
	salmon: [65.5, 20.5, 13, 0, 0, 1],
	'egg white': [87.6, 10.9, 0.2, 0.7, 0, 0.6],
	'egg yolk': [52.3, 15.9, 26.5, 3.6, 0, 1.7],
	potato: [79.2, 2.1, 0.1, 15.4, 2.1, 1.1],
	'sweet potato': [77.3, 1.6, 0.1, 17, 3, 1],
	root: [88, 1.1, 0.2, 7.2, 2.5, 1],
	squash: [87, 1, 0.1, 9, 2, 0.9],
	'green vegetable': [90, 2.4, 0.3, 4, 2.5, 0.8],
	gratin: [72, 3, 8, 14, 1.5, 1.5],
	tofu: [79, 11.5, 6, 1.5, 0.8, 1.2],
	dough: [42, 8, 2, 45, 2, 1]
} as const;

export type Food = keyof typeof composed;
export const foods = Object.keys(composed) as readonly Food[];

/** Properties of a food at the mean of start and end temperature. */
export function foodProperties(food: Food, celsius = 50): Properties {
	const [water, protein, fat, carbohydrate, fibre, ash] = composed[food];
	const total = water + protein + fat + carbohydrate + fibre + ash;
	return propertiesOf(
		{
			water: water / total,
			protein: protein / total,
			fat: fat / total,
			carbohydrate: carbohydrate / total,
			fibre: fibre / total,
			ash: ash / total
		},
		celsius
	);
}

/** Scatter of α between pieces of one food, as a share: grain, fat, air. */
export const scatter = 0.08;
