// Vessels as resources: all of a kind, and, where some are larger, those that are large enough.
import type { Kitchen, Vessel, VesselKind } from '../../model/kitchen';
import { vesselSize } from '../../model/vessel-size';
import type { Problem } from '../problem';

/** How one says which vessel it is. */
export const vesselName = ({ name, size }: Pick<Vessel, 'name' | 'size'>) => `${name}, ${size}`;

const roomIn = (vessel: Vessel): number => {
	const { area, litres } = vesselSize(vessel);
	return area * litres;
};

/** The vessels of a kind one by one, the smallest first. */
export const vesselsOf = (kitchen: Kitchen, kind: VesselKind): readonly Vessel[] =>
	kitchen.vessels
		.filter((v) => v.kind === kind)
		.toSorted((a, b) => roomIn(a) - roomIn(b))
		.flatMap((v) => Array.from({ length: v.count }, () => v));

/** The rooms of a kind's vessels of which there are larger and smaller ones, but for the smallest. */
const steps = (kitchen: Kitchen, kind: VesselKind): readonly number[] =>
	[...new Set(vesselsOf(kitchen, kind).map(roomIn))].slice(1);

const resourceId = (kind: VesselKind, step: number | undefined) =>
	step === undefined ? `vessel:${kind}` : `vessel:${kind}:${step + 1}`;

/** The kind of vessel that a resource stands for; `undefined` where it stands for none. */
export const vesselKindOf = (resource: string): string | undefined =>
	resource.startsWith('vessel:') ? resource.split(':')[1] : undefined;

export function vesselResources(kitchen: Kitchen): Problem['resources'] {
	return [...new Set(kitchen.vessels.map((v) => v.kind))].flatMap((kind) => {
		const rooms = vesselsOf(kitchen, kind).map(roomIn);
		return [
			{ id: resourceId(kind, undefined), capacity: rooms.length },
			...steps(kitchen, kind).map((least, k) => ({
				id: resourceId(kind, k),
				capacity: rooms.filter((room) => room >= least).length
			}))
		];
	});
}

/** Whether what was sized for a vessel, by its name, goes into another one; what was sized for none goes into any. */
export function fitsIn(kitchen: Kitchen, vessel: Vessel, size: string | undefined): boolean {
	const meant = kitchen.vessels.find((v) => v.kind === vessel.kind && vesselName(v) === size);
	return meant === undefined || roomIn(vessel) >= roomIn(meant);
}

/**
 * The resources that a hold takes: of nested sets of vessels all that are large enough, so that at every instant there are
 * enough of each size (Hall 1935, as for hands).
 */
export function resourcesHeld(kitchen: Kitchen, kind: VesselKind, size: string | undefined): readonly string[] {
	const meant = kitchen.vessels.find((v) => v.kind === kind && vesselName(v) === size);
	const own = meant ? steps(kitchen, kind).flatMap((least, k) => (roomIn(meant) >= least ? [k] : [])) : [];
	return [resourceId(kind, undefined), ...own.map((k) => resourceId(kind, k))];
}
