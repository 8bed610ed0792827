// A kitchen from above, in centimetres: stations along one worktop, hobs two burners deep, or where the cook put them.
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
	/** The plate of glass or iron that the burners sit in; absent where they were moved apart. */
	readonly hob: { readonly x: number; readonly y: number; readonly width: number; readonly height: number } | undefined;
	readonly placed: readonly Placed[];
}

const depth = 64;
const gap = 10;
const burnerPitch = 31;

/** Width of a station on the worktop, and its depth, cm. Burners and ovens have theirs of their own; a griddle lies over two. */
const sizes: Record<Exclude<Station['kind'], 'burner' | 'griddle'>, readonly [width: number, depth: number]> = {
	cold: [60, 58],
	board: [48, 34],
	steamer: [36, 40],
	'water bath': [33, 40],
	fryer: [30, 46],
	grill: [50, 50],
	oven: [60, 58],
	'wood oven': [90, 60],
	warm: [54, 50]
};
/** From left to right. */
const order: readonly (keyof typeof sizes)[] = [
	'cold',
	'board',
	'steamer',
	'water bath',
	'fryer',
	'grill',
	'oven',
	'wood oven',
	'warm'
];
const beforeHob = 2;
/** An oven's walls, cm to each side of its rack. */
const wall = 7;

/** Diameter of a cooking zone, cm: as measured, or its area goes with its power (a zone of 1.8 kW measures 21 cm). */
function zoneDiameter({ power, diameter }: Extract<Station, { kind: 'burner' }>): number {
	return diameter ?? Math.min(29, 21 * Math.sqrt(power / 1800));
}

function sizeOf(station: Station): readonly [number, number] {
	if (station.kind === 'burner') return [zoneDiameter(station), zoneDiameter(station)];
	if (station.kind === 'griddle') return [0, 0];
	const [width, deep] = sizes[station.kind];
	return station.kind === 'oven' && station.width !== undefined ? [station.width + 2 * wall, deep] : [width, deep];
}

/** Lay the stations out from left to right; those that the cook put somewhere stay there. */
export function layoutFloor(kitchen: Kitchen): Floor {
	const auto = (kind: Station['kind']) => kitchen.stations.filter((s) => s.kind === kind && s.at === undefined);
	const placed: Placed[] = [];
	let x = gap;
	const row = (kind: keyof typeof sizes) => {
		for (const station of auto(kind)) {
			const [width, deep] = sizeOf(station);
			placed.push({ station, x: x + width / 2, y: depth / 2, rx: width / 2, ry: deep / 2 });
			x += width + gap;
		}
	};
	order.slice(0, beforeHob).forEach(row);
	const burners = auto('burner');
	const columns = Math.ceil(burners.length / 2);
	const pitch = Math.max(burnerPitch, ...burners.map((b) => sizeOf(b)[0] + 2));
	const hob =
		burners.length > 0
			? { x, y: 2, width: columns * pitch + 4, height: Math.max(depth, 2 * pitch + 2) - 4 }
			: undefined;
	const middle = hob ? hob.y + hob.height / 2 : depth / 2;
	burners.forEach((station, i) => {
		const r = sizeOf(station)[0] / 2;
		const isAlone = i === burners.length - 1 && i % 2 === 0;
		const y = isAlone ? middle : i % 2 === 0 ? middle - pitch / 2 : middle + pitch / 2;
		placed.push({ station, x: x + 2 + (Math.floor(i / 2) + 0.5) * pitch, y, rx: r, ry: r });
	});
	if (hob) x += hob.width + gap;
	order.slice(beforeHob).forEach(row);
	for (const station of kitchen.stations) {
		if (station.at === undefined || station.kind === 'griddle') continue;
		const [width, deep] = sizeOf(station);
		const { x: left, y: top } = station.at;
		placed.push({ station, x: left + width / 2, y: top + deep / 2, rx: width / 2, ry: deep / 2 });
	}
	for (const station of kitchen.stations) {
		if (station.kind !== 'griddle') continue;
		const [a, b] = station.covers.map((id) => placed.find((p) => p.station.id === id));
		if (!a || !b) continue;
		const [left, right] = [Math.min(a.x - a.rx, b.x - b.rx), Math.max(a.x + a.rx, b.x + b.rx)];
		const [top, bottom] = [Math.min(a.y - a.ry, b.y - b.ry), Math.max(a.y + a.ry, b.y + b.ry)];
		placed.push({
			station,
			x: (left + right) / 2,
			y: (top + bottom) / 2,
			rx: (right - left) / 2,
			ry: (bottom - top) / 2
		});
	}
	const right = Math.max(x, ...placed.map((p) => p.x + p.rx + gap));
	const bottom = Math.max(depth, hob ? hob.height + 4 : 0, ...placed.map((p) => p.y + p.ry + 4));
	return { width: right, depth: bottom, hob, placed };
}
