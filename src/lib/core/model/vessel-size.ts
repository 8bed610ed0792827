// What a vessel holds, from its size as it is written: across, by sides, or by volume.
import type { Vessel, VesselKind } from './kitchen';

export interface VesselSize {
	/** m² of its bottom. */
	readonly area: number;
	/** Sides of its bottom, metres; a round one is as long as it is wide. */
	readonly length: number;
	readonly width: number;
	readonly isRound: boolean;
	readonly litres: number;
}

/** Depth by kind, metres (est.): what a size in centimetres holds. */
const depths: Readonly<Record<VesselKind, number>> = {
	'frying pan': 0.045,
	'grill pan': 0.03,
	saucepan: 0.1,
	pot: 0.15,
	tray: 0.02,
	dish: 0.06,
	'steamer basket': 0.08,
	rack: 0.01,
	cups: 0.05
};
/** What an unreadable size is taken for. */
const usual: Readonly<Record<VesselKind, string>> = {
	'frying pan': '26 cm',
	'grill pan': '26 cm',
	saucepan: '18 cm',
	pot: '5 l',
	tray: '42 × 33 cm',
	dish: '30 × 20 cm',
	'steamer basket': '22 cm',
	rack: '40 × 30 cm',
	cups: '8 cm'
};

/** The size of a vessel, or of a usual one of its kind where what is written cannot be read. */
export function vesselSize({ kind, size }: Pick<Vessel, 'kind' | 'size'>): VesselSize {
	const found = read(kind, size) ?? read(kind, usual[kind]);
	if (!found) throw new RangeError(`no usual size for a ${kind}`);
	return found;
}

/** Whether a size is written so that it can be read. */
export const isSize = (kind: VesselKind, size: string) => read(kind, size) !== undefined;

function read(kind: VesselKind, size: string): VesselSize | undefined {
	const text = size.replace(',', '.');
	const depth = depths[kind];
	const sides = /^\s*([\d.]+)\s*[×x*]\s*([\d.]+)\s*cm\s*$/i.exec(text);
	if (sides) {
		const [length, width] = [Number(sides[1]) / 100, Number(sides[2]) / 100];
		if (!(length > 0 && width > 0)) return undefined;
		return { area: length * width, length, width, isRound: false, litres: length * width * depth * 1000 };
	}
	const across = /^\s*([\d.]+)\s*cm\s*$/i.exec(text);
	if (across) {
		const d = Number(across[1]) / 100;
		if (!(d > 0)) return undefined;
		const area = (Math.PI * d * d) / 4;
		return { area, length: d, width: d, isRound: true, litres: area * depth * 1000 };
	}
	const volume = /^\s*([\d.]+)\s*l\s*$/i.exec(text);
	if (volume) {
		const litres = Number(volume[1]);
		if (!(litres > 0)) return undefined;
		// As wide as it is high.
		const d = ((4 * litres) / 1000 / Math.PI) ** (1 / 3);
		return { area: (Math.PI * d * d) / 4, length: d, width: d, isRound: true, litres };
	}
	return undefined;
}
