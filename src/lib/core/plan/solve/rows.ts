// Lists of numbers by owner in two flat arrays.

/** Lists of numbers by owner, flattened: entries of i are `items[start[i]…start[i+1])`. */
export interface Rows {
	readonly start: Int32Array;
	readonly items: Int32Array;
}

/**
 * Group entries by owner, in their order (counting sort).
 *
 * @param owner owner of each entry
 * @param item the entries; absent: their own positions
 */
export function rowsOf(owners: number, owner: ArrayLike<number>, item?: ArrayLike<number>): Rows {
	const start = new Int32Array(owners + 1);
	const count = owner.length;
	for (let k = 0; k < count; k++) start[owner[k]! + 1]!++;
	for (let i = 0; i < owners; i++) start[i + 1]! += start[i]!;
	const next = start.slice();
	const items = new Int32Array(count);
	for (let k = 0; k < count; k++) items[next[owner[k]!]!++] = item ? item[k]! : k;
	return { start, items };
}
