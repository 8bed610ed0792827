// A kitchen from above, in centimetres: stations along one worktop, hobs two burners deep.
import type { Kitchen, Station } from '../../core/model/kitchen';

export interface Placed {
	readonly station: Station;
	/** Centre and half sizes. */
	readonly x: number;
	readonly y: number;
	readonly rx: number;
	readonly ry: number;
}
export interface Floor {
	readonly width: number;
	readonly depth: number;
	/** The plate of glass or iron that the burners sit in. */
	readonly hob: { readonly x: number; readonly y: number; readonly width: number; readonly height: number } | undefined;
	readonly placed: readonly Placed[];
}

const depth = 64;
const gap = 10;
const burnerPitch = 31;

/** Width of a station on the worktop, and its depth, cm. Burners have theirs by power. */
const sizes: Record<Exclude<Station['kind'], 'burner'>, readonly [width: number, depth: number]> = {
	cold: [60, 58],
	board: [48, 34],
	oven: [60, 58],
	fryer: [30, 46],
	warm: [54, 50]
};

/** Diameter of a cooking zone, cm: its area goes with its power (a zone of 1.8 kW measures 21 cm). */
function zoneDiameter(power: number): number {
	return Math.min(29, 21 * Math.sqrt(power / 1800));
}

/** Lay the stations out from left to right: cold, boards, hob, fryers, ovens, drawers. */
export function layoutFloor(kitchen: Kitchen): Floor {
	const of = (kind: Station['kind']) => kitchen.stations.filter((s) => s.kind === kind);
	const placed: Placed[] = [];
	let x = gap;
	const row = (kind: keyof typeof sizes) => {
		const [width, deep] = sizes[kind];
		for (const station of of(kind)) {
			placed.push({ station, x: x + width / 2, y: depth / 2, rx: width / 2, ry: deep / 2 });
			x += width + gap;
		}
	};
	row('cold');
	row('board');
	const burners = of('burner');
	const columns = Math.ceil(burners.length / 2);
	const hob = burners.length > 0 ? { x, y: 2, width: columns * burnerPitch + 4, height: depth - 4 } : undefined;
	burners.forEach((station, i) => {
		if (station.kind !== 'burner') return;
		const r = zoneDiameter(station.power) / 2;
		const isAlone = i === burners.length - 1 && i % 2 === 0;
		const y = isAlone ? depth / 2 : i % 2 === 0 ? depth / 2 - burnerPitch / 2 : depth / 2 + burnerPitch / 2;
		placed.push({ station, x: x + 2 + (Math.floor(i / 2) + 0.5) * burnerPitch, y, rx: r, ry: r });
	});
	if (hob) x += hob.width + gap;
	row('fryer');
	row('oven');
	row('warm');
	return { width: x, depth, hob, placed };
}
