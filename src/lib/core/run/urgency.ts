// What of the things that are due comes first: what spoils soonest if it is left, then what holds up most, then by time.
import type { Plan } from '../model/plan';
import type { Cue } from './cues';

/** Hot food that stands at the pass gets cold, seconds. */
const atThePass = 2 * 60;

/** The instant from which something is the worse for having been left; `Infinity`: nothing spoils. */
export function spoilsAt({ kind, at, step: id }: Cue, plan: Pick<Plan, 'steps'>): number {
	if (kind === 'serve' || kind === 'plate') return at + atThePass;
	const step = plan.steps.find((s) => s.id === id);
	if (step?.kind !== 'cook' || (kind !== 'end' && kind !== 'touch' && kind !== 'look')) return Infinity;
	// Food on the heat bears about as much as its time is uncertain by.
	return at + step.sigma * (step.to - step.from);
}

/**
 * Cues that are due in the order in which a cook should do them.
 *
 * @param heldUp seconds that services slip by where a step's work is left for a while
 */
export function byUrgency(
	due: readonly Cue[],
	plan: Pick<Plan, 'steps'>,
	heldUp: (step: string) => number
): readonly Cue[] {
	const ranked = due.map((cue) => ({
		cue,
		spoils: spoilsAt(cue, plan),
		holds: cue.kind === 'start' && cue.step !== undefined ? heldUp(cue.step) : 0
	}));
	// Infinity less itself is no number: what does not spoil is equal in that.
	const compare = (a: number, b: number) => (a === b ? 0 : a - b);
	return ranked
		.toSorted((a, b) => compare(a.spoils, b.spoils) || b.holds - a.holds || a.cue.at - b.cue.at)
		.map((r) => r.cue);
}
