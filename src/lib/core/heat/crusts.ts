// Faces of food that dry: when a crust begins, how thick it grows with the water that has gone, how it lets vapour and heat
// through.

export interface Crust {
	/** kg/m² that evaporate before the face is dry. */
	readonly wet: number;
	/** Share of the volume of the water that has gone which becomes crust. */
	readonly grows: number;
	/** Vapour through the crust as a film: κ, W/(m K), and the crust's least thickness, metres. */
	readonly vapour: number;
	readonly least: number;
	/** Conductivity of the crust, W/(m K), and a layer that was there from the beginning (skin, fat, batter), m² K/W. */
	readonly k: number;
	readonly layer: number;
}

const crust = (wet: number, grows: number, vapour: number, least: number, k: number, layer: number): Crust => ({
	wet,
	grows,
	vapour,
	least: least / 1000,
	k,
	layer
});

/** By kind of face (est., fitted to roasting times, losses and climbs of practice; κ within a factor of 2). */
export const crusts = {
	meat: crust(0.1, 0.5, 0.005, 0.3, 0.25, 0),
	'fat cap': crust(0.05, 0.5, 0.003, 0.3, 0.25, 0),
	/** In a pan, on a grill: juice beads on it. */
	'seared meat': crust(0.1, 0.5, 0.03, 0.3, 0.25, 0),
	skin: crust(0.05, 0.4, 0.001, 0.4, 0.25, 0.004),
	'fat skin': crust(0.05, 0.4, 0.001, 0.4, 0.25, 0.015),
	fish: crust(0.1, 0.4, 0.012, 0.3, 0.25, 0),
	breaded: crust(0, 0.3, 0.02, 2, 0.1, 0.015),
	baked: crust(0.1, 0.5, 0.002, 0.5, 0.15, 0),
	liquid: crust(Infinity, 0, 1, 1, 1, 0)
} as const satisfies Readonly<Record<string, Crust>>;
export type CrustKind = keyof typeof crusts;
