// A kitchen from above, in centimetres: stations along one worktop, hobs two burners deep, or where the cook put them.
import type { Kitchen, Station, StationKind } from '../../core/model/kitchen';
import { stationKinds, stationSize } from '../../core/model/stations';

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
/** A longer worktop goes on in the next row, cm; and the way between the two. */
const usualLength = 460;
const aisle = 24;

/** The hob lies after these. */
const beforeHob: ReadonlySet<StationKind> = new Set(['cold', 'board']);
const inBlocks = stationKinds.filter((kind) => kind !== 'burner' && kind !== 'griddle');

/** A block of the worktop: stations that stay together, from its own left and top edge. */
interface Block {
	readonly width: number;
	readonly depth: number;
	readonly placed: readonly Placed[];
	readonly isHob: boolean;
}

function blockOf(station: Station): Block {
	const [width, deep] = stationSize(station);
	const at = { station, x: width / 2, y: depth / 2, rx: width / 2, ry: deep / 2 };
	return { width, depth, placed: [at], isHob: false };
}

/** All burners that were not moved, two deep. */
function hobOf(burners: readonly Station[]): Block {
	const columns = Math.ceil(burners.length / 2);
	const pitch = Math.max(burnerPitch, ...burners.map((b) => stationSize(b)[0] + 2));
	const deep = Math.max(depth, 2 * pitch + 2);
	const placed = burners.map((station, i): Placed => {
		const r = stationSize(station)[0] / 2;
		const isAlone = i === burners.length - 1 && i % 2 === 0;
		const y = isAlone ? deep / 2 : deep / 2 + (i % 2 === 0 ? -pitch / 2 : pitch / 2);
		return { station, x: 2 + (Math.floor(i / 2) + 0.5) * pitch, y, rx: r, ry: r };
	});
	return { width: columns * pitch + 4, depth: deep, placed, isHob: true };
}

/**
 * Lay the stations out from left to right, in as many worktops as it takes; those that the cook put somewhere stay there.
 *
 * @param most length of a worktop, cm
 */
export function layoutFloor(kitchen: Kitchen, most = usualLength): Floor {
	const auto = (kind: Station['kind']) => kitchen.stations.filter((s) => s.kind === kind && s.at === undefined);
	const burners = auto('burner');
	const blocks = [
		...inBlocks.filter((k) => beforeHob.has(k)).flatMap((kind) => auto(kind).map(blockOf)),
		...(burners.length > 0 ? [hobOf(burners)] : []),
		...inBlocks.filter((k) => !beforeHob.has(k)).flatMap((kind) => auto(kind).map(blockOf))
	];
	const placed: Placed[] = [];
	let hob: Floor['hob'];
	let [x, y, deepest, width] = [gap, 0, depth, gap];
	for (const block of blocks) {
		if (x > gap && x + block.width + gap > most) {
			[x, y] = [gap, y + deepest + aisle];
			deepest = depth;
		}
		for (const p of block.placed) placed.push({ ...p, x: x + p.x, y: y + p.y });
		if (block.isHob) hob = { x, y: y + 2, width: block.width, height: block.depth - 4 };
		deepest = Math.max(deepest, block.depth);
		x += block.width + gap;
		width = Math.max(width, x);
	}
	for (const station of kitchen.stations) {
		if (station.at === undefined || station.kind === 'griddle') continue;
		const [wide, deep] = stationSize(station);
		const { x: left, y: top } = station.at;
		placed.push({ station, x: left + wide / 2, y: top + deep / 2, rx: wide / 2, ry: deep / 2 });
	}
	for (const station of kitchen.stations) {
		if (station.kind !== 'griddle') continue;
		const [a, b] = station.covers.map((id) => placed.find((p) => p.station.id === id));
		if (!a || !b) continue;
		const [left, right] = [Math.min(a.x - a.rx, b.x - b.rx), Math.max(a.x + a.rx, b.x + b.rx)];
		const [top, bottom] = [Math.min(a.y - a.ry, b.y - b.ry), Math.max(a.y + a.ry, b.y + b.ry)];
		const [rx, ry] = [(right - left) / 2, (bottom - top) / 2];
		placed.push({ station, x: left + rx, y: top + ry, rx, ry });
	}
	return {
		width: Math.max(width, ...placed.map((p) => p.x + p.rx + gap)),
		depth: Math.max(y + deepest, ...placed.map((p) => p.y + p.ry + 4)),
		hob,
		placed
	};
}
