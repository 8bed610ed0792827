// Trays: how full, whether it browns or steams, how many are needed.

/** Metres; the usable area of a tray in m². */
export const trays = {
	domestic: { length: 0.42, width: 0.33, area: 0.14 },
	half: { length: 0.33, width: 0.21, area: 0.07 },
	'gastronorm 1/1': { length: 0.53, width: 0.325, area: 0.172 }
} as const;
export type Tray = keyof typeof trays;

/** Fullest tray that still browns: cut vegetables; single pieces of meat (est.). */
export const fullest = { vegetables: 0.55, pieces: 0.7 } as const;

export type Footprint =
	| { readonly kind: 'round'; readonly diameter: number }
	| { readonly kind: 'stick'; readonly length: number; readonly width: number }
	| { readonly kind: 'area'; readonly area: number };

/** m² that one piece covers. */
export function footprintArea(piece: Footprint): number {
	switch (piece.kind) {
		case 'round':
			return (Math.PI * piece.diameter * piece.diameter) / 4;
		case 'stick':
			return piece.length * piece.width;
		case 'area':
			return piece.area;
	}
}

export interface TrayLoad {
	/** Share of the trays that is covered. */
	readonly coverage: number;
	readonly trays: number;
	readonly look: 'browns' | 'slow' | 'steams';
	/** Factor on the time. */
	readonly factor: number;
}

/** What so many pieces on so many trays come to. */
export function loadTrays(count: number, piece: Footprint, area: number, used: number): TrayLoad {
	const coverage = (count * footprintArea(piece)) / (area * used);
	const look = coverage <= 0.7 ? 'browns' : coverage <= 0.85 ? 'slow' : 'steams';
	return { coverage, trays: used, look, factor: look === 'browns' ? 1 : 1.2 };
}

/** Trays that so many pieces need to brown. */
export function traysNeeded(count: number, piece: Footprint, area: number, kind: keyof typeof fullest): number {
	return Math.ceil((count * footprintArea(piece)) / (fullest[kind] * area) - 1e-9);
}
