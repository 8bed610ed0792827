// An oven's temperature over time, as a broken line.

export interface Firing {
	readonly from: number;
	readonly to: number;
	readonly celsius: number;
}
export interface TerrainPoint {
	readonly at: number;
	readonly celsius: number;
}

/** When an oven is switched on, to be hot for its first firing; `undefined` where there is none. */
export function litAt(
	firings: readonly Firing[],
	{ room, rise }: { readonly room: number; readonly rise: number }
): number | undefined {
	const [first] = firings.toSorted((a, b) => a.from - b.from);
	return first && Math.floor(first.from - rise * Math.max(0, first.celsius - room));
}

/**
 * Corners of the temperature line: flat while food is in, climbing or falling just in time for the next set point.
 *
 * @param firings what the oven holds and when; those of one value may overlap
 * @param oven temperature at the beginning, and seconds per °C up and down
 * @param span first and last instant drawn
 */
export function terrainOf(
	firings: readonly Firing[],
	oven: { readonly room: number; readonly rise: number; readonly fall: number },
	span: { readonly from: number; readonly to: number }
): readonly TerrainPoint[] {
	let celsius = oven.room;
	let until = span.from;
	const points: TerrainPoint[] = [{ at: span.from, celsius }];
	for (const firing of firings.toSorted((a, b) => a.from - b.from)) {
		if (firing.celsius !== celsius) {
			const change = firing.celsius - celsius;
			const takes = change > 0 ? oven.rise * change : -oven.fall * change;
			points.push({ at: Math.max(until, Math.round(firing.from - takes)), celsius });
			points.push({ at: firing.from, celsius: firing.celsius });
			celsius = firing.celsius;
		}
		until = Math.max(until, firing.to);
	}
	if (until > span.from) {
		const dropTo = Math.max(oven.room, oven.fall > 0 ? celsius - (span.to - until) / oven.fall : celsius);
		points.push({ at: until, celsius }, { at: Math.max(until, span.to), celsius: dropTo });
	}
	return points;
}
