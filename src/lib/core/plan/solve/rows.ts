// Lists of numbers by owner in two flat arrays.

/** Lists of numbers by owner, flattened: entries of i are `items[start[i]…start[i+1])`. */
export interface Rows {
	readonly start: Int32Array;
	readonly items: Int32Array;
}

/** Group entries by owner. */
export function rowsOf(owners: number, pairs: readonly (readonly [owner: number, item: number])[]): Rows {
	const start = new Int32Array(owners + 1);
	for (const [owner] of pairs) start[owner + 1]!++;
	for (let i = 0; i < owners; i++) start[i + 1]! += start[i]!;
	const next = start.slice();
	const items = new Int32Array(pairs.length);
	for (const [owner, item] of pairs) items[next[owner]!++] = item;
	return { start, items };
}
