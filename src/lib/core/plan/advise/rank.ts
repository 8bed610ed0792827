// What-ifs in the order in which a cook would take them: by what they gain for what they cost the cook.
import type { What } from './changes';
import type { WhatIf } from './what-if';

/**
 * What a change costs the cook, in the objective's seconds (est.): a knob is nothing, another way is a thought, work
 * beforehand is work, a friend's hands are a favour, a pan has to be bought. Leaving a part out is not weighed: see below.
 */
const effort: Readonly<Record<Exclude<What['kind'], 'without' | 'nothing'>, number>> = {
	oven: 60,
	otherwise: 150,
	before: 200,
	beforehand: 200,
	later: 300,
	fewer: 300,
	help: 400,
	board: 400,
	vessel: 700,
	burner: 1200
};

/** As many evenings more in a hundred on time are worth a word. */
const moreOften = 0.02;

/** The changes that make an evening on time more likely, the one that does so most first. */
export const rankedByChance = <T extends Pick<WhatIf, 'chance'>>(found: readonly T[]): readonly T[] => {
	const gain = ({ chance }: T) => (chance ? chance.after - chance.before : 0);
	return found.filter((f) => gain(f) >= moreOften).toSorted((a, b) => gain(b) - gain(a));
};

/** Less is not worth a word. */
const worthwhile = 60;

/**
 * The changes that are worth it, the best first. To leave a part out is named only where nothing less helps, or where it
 * alone makes a late plan less late.
 */
export function ranked<T extends Pick<WhatIf, 'what' | 'gain' | 'effect'>>(found: readonly T[]): readonly T[] {
	const net = ({ what, gain }: T) =>
		what.kind === 'without' || what.kind === 'nothing' ? gain : gain - effort[what.kind];
	const sorted = found.filter((f) => net(f) >= worthwhile).toSorted((a, b) => net(b) - net(a));
	const less = sorted.filter((f) => f.what.kind !== 'without');
	const isTimelier = (list: readonly T[]) => list.some((f) => f.effect.late < 0);
	const isNeeded = less.length === 0 || (isTimelier(sorted) && !isTimelier(less));
	return isNeeded ? sorted : less;
}
