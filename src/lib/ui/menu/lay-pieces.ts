// How pieces lie on a tray or in a round pan, in rows, as far apart as they can.

export interface Laid {
	/** Centre, metres from the vessel's left and top; sides as it lies. */
	readonly x: number;
	readonly y: number;
	readonly long: number;
	readonly wide: number;
}

interface Vessel {
	readonly length: number;
	readonly width: number;
	readonly isRound: boolean;
}

/** How far rows of a round pan are pulled apart at the most. */
const loosest = 1.15;

/** So many pieces of one size in a vessel, lengthwise or across, in the number of columns that leaves most room. */
export function layPieces(
	count: number,
	piece: { readonly long: number; readonly wide: number },
	vessel: Vessel
): readonly Laid[] {
	const ways = [piece, { long: piece.wide, wide: piece.long }].flatMap((p) =>
		Array.from({ length: count }, (_, i) => {
			const columns = i + 1;
			const rows = Math.ceil(count / columns);
			const [across, down] = [columns * p.long, rows * p.wide];
			const fill = vessel.isRound
				? Math.hypot(across, down) / vessel.length
				: Math.max(across / vessel.length, down / vessel.width);
			return { p, columns, rows, fill };
		})
	);
	const best = ways.reduce((a, b) => (b.fill < a.fill - 1e-9 ? b : a));
	const { p, columns, rows, fill } = best;
	const apart = Math.min(loosest, 1 / fill);
	const [dx, dy] = vessel.isRound ? [p.long * apart, p.wide * apart] : [vessel.length / columns, vessel.width / rows];
	return Array.from({ length: count }, (_, i) => {
		const row = Math.floor(i / columns);
		const inRow = row === rows - 1 ? count - row * columns : columns;
		// The last row of a round pan is centred.
		const shift = vessel.isRound ? (inRow - 1) / 2 : (columns - 1) / 2;
		return {
			x: vessel.length / 2 + ((i % columns) - shift) * dx,
			y: vessel.width / 2 + (row - (rows - 1) / 2) * dy,
			long: p.long,
			wide: p.wide
		};
	});
}

/** A kind of piece on a tray that several share: how many there are of it, and how large each is by now. */
export interface Kind {
	readonly count: number;
	readonly long: number;
	readonly wide: number;
}

/** Several kinds side by side on a tray, each on a stretch of its length that goes by the area that it covers. */
export function layKinds(kinds: readonly Kind[], vessel: Omit<Vessel, 'isRound'>): readonly (readonly Laid[])[] {
	const areas = kinds.map((k) => k.count * k.long * k.wide);
	const all = areas.reduce((sum, a) => sum + a, 0);
	let from = 0;
	return kinds.map(({ count, long, wide }, i) => {
		const length = all > 0 ? (vessel.length * (areas[i] ?? 0)) / all : 0;
		const left = from;
		from += length;
		if (count === 0) return [];
		const own = layPieces(count, { long, wide }, { length, width: vessel.width, isRound: false });
		return own.map((at) => ({ ...at, x: at.x + left }));
	});
}
