// When, within a step of a given length, hands are wanted.
import type { Step } from '../../model/technique';
import { valueOf, type Quantity } from '../../model/time-model';

/** A stretch of hands within a step, seconds from its start. */
export interface HandUse {
	readonly from: number;
	readonly to: number;
	readonly say: string;
	readonly whole: boolean;
}

/**
 * A step's hands with their numbers put in: touches that grow with the pieces that are in at once, at the share that a
 * parameter says; those again and again as often as one says, or not at all; those of a choice where it is made. What is done again and again is not said once more in between.
 */
export function countedHands(hands: Step['hands'], of: (id: string) => number, pieces: number): Step['hands'] {
	if (hands.kind !== 'touches') return hands;
	const counted = <T extends { readonly seconds: number; readonly each?: number | undefined }>(touch: T) => ({
		...touch,
		seconds: Math.min(3600, Math.round(touch.seconds + (touch.each ?? 0) * pieces)),
		each: undefined
	});
	const { every } = hands;
	const interval = every && valueOf(every.interval, of);
	const isAgain = every !== undefined && interval !== undefined && interval >= least;
	const shareOf = (share: Quantity) => Math.min(1, Math.max(0, valueOf(share, of)));
	const at = hands.at
		.filter((t) => t.when?.is.includes(of(t.when.parameter)) ?? true)
		.filter((t) => !isAgain || t.say !== every.say)
		.map((t) => ({ ...counted(t), share: shareOf(t.share) }));
	return { kind: 'touches', at, ...(isAgain ? { every: { ...counted(every), interval: Math.round(interval) } } : {}) };
}

/** Nothing is done more often than this, seconds. */
const least = 30;

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
			return attended(duration, hands.leave, grid).map((u) => ({ ...u, say: step.say, whole: true }));
		case 'touches': {
			const length = (seconds: number) => Math.min(duration, Math.max(grid, Math.ceil(seconds / grid) * grid));
			const uses = hands.at.map(({ share: named, seconds, say }) => {
				const share = typeof named === 'number' ? named : 0.5;
				const long = length(seconds);
				const from = Math.round((share * (duration - long)) / grid) * grid;
				return { from, to: from + long, say, whole: false };
			});
			if (hands.every && typeof hands.every.interval === 'number') {
				const { interval, seconds, say } = hands.every;
				const long = length(seconds);
				const clear = Math.min(apart, Math.max(grid, interval - long));
				for (
					let from = Math.ceil(interval / grid) * grid;
					from + long < duration;
					from += Math.ceil(interval / grid) * grid
				) {
					const isClear = uses.every((u) => from >= u.to + clear || from + long + clear <= u.from);
					if (isClear) uses.push({ from, to: from + long, say, whole: false });
				}
			}
			return withoutOverlaps(uses);
		}
	}
}

/** All of a step, or all but the moments for which it may be left: never at its end. */
function attended(
	duration: number,
	leave: Extract<Step['hands'], { kind: 'whole' }>['leave'],
	grid: number
): readonly Pick<HandUse, 'from' | 'to'>[] {
	if (!leave) return [{ from: 0, to: duration }];
	const [after, away] = [Math.ceil(leave.after / grid) * grid, Math.floor(leave.seconds / grid) * grid];
	const found: { from: number; to: number }[] = [];
	let from = 0;
	while (away > 0 && from + after + away < duration) {
		found.push({ from, to: from + after });
		from += after + away;
	}
	return [...found, { from, to: duration }];
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
