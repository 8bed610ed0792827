// When, within a step of a given length, hands are wanted.
import type { Step } from '../../model/technique';

/** A stretch of hands within a step, seconds from its start. */
export interface HandUse {
	readonly from: number;
	readonly to: number;
	readonly say: string;
	readonly whole: boolean;
}

/** A repeated touch keeps this far from any other touch, seconds. */
const apart = 60;

/**
 * The stretches of hands of a step, in order, none overlapping, on the grid.
 *
 * @param duration length of the step, seconds, a multiple of `grid`
 * @param grid all times are multiples of this, seconds
 */
export function handUses(step: Step, duration: number, grid: number): readonly HandUse[] {
	const { hands } = step;
	switch (hands.kind) {
		case 'none':
			return [];
		case 'whole':
			return [{ from: 0, to: duration, say: step.say, whole: true }];
		case 'touches': {
			const length = (seconds: number) => Math.min(duration, Math.max(grid, Math.ceil(seconds / grid) * grid));
			const uses = hands.at.map(({ share, seconds, say }) => {
				const long = length(seconds);
				const from = Math.round((share * (duration - long)) / grid) * grid;
				return { from, to: from + long, say, whole: false };
			});
			if (hands.every) {
				const { interval, seconds, say } = hands.every;
				const long = length(seconds);
				for (
					let from = Math.ceil(interval / grid) * grid;
					from + long < duration;
					from += Math.ceil(interval / grid) * grid
				) {
					const isClear = uses.every((u) => from >= u.to + apart || from + long + apart <= u.from);
					if (isClear) uses.push({ from, to: from + long, say, whole: false });
				}
			}
			return withoutOverlaps(uses);
		}
	}
}

/** In a short step touches close up: each begins when the one before ends; what no longer fits is left to the last. */
function withoutOverlaps(uses: readonly HandUse[]): readonly HandUse[] {
	const sorted = uses.toSorted((a, b) => a.from - b.from);
	const result: HandUse[] = [];
	for (const use of sorted) {
		const free = result.at(-1)?.to ?? 0;
		const from = Math.max(use.from, free);
		if (from < use.to) result.push({ ...use, from });
	}
	return result;
}
