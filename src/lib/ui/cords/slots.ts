// Places within a lane: things that overlap in time lie side by side.

export interface Extent {
	readonly from: number;
	readonly to: number;
	readonly group: string;
}

/** A slot for each thing, so that no two overlap; a part keeps the slot it had where it can. First fit by start. */
export function packSlots(things: readonly Extent[]): { readonly slots: readonly number[]; readonly count: number } {
	const freeAt: number[] = [];
	const slotOf = new Map<string, number>();
	const slots = new Array<number>(things.length).fill(0);
	const order = things.map((thing, i) => ({ thing, i })).sort((a, b) => a.thing.from - b.thing.from);
	for (const { thing, i } of order) {
		const isFree = (slot: number) => (freeAt[slot] ?? -Infinity) <= thing.from;
		const kept = slotOf.get(thing.group);
		let slot = kept !== undefined && isFree(kept) ? kept : freeAt.findIndex((_, k) => isFree(k));
		if (slot < 0) slot = freeAt.length;
		freeAt[slot] = thing.to;
		slotOf.set(thing.group, slot);
		slots[i] = slot;
	}
	return { slots, count: Math.max(1, freeAt.length) };
}
