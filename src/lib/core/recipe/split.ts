// One step made two, where a cook would cut it: each half is read for itself, and what waited for the whole waits for the second.
import { actionsOf } from './actions';
import type { ReadStep } from './read';

/** Places in a step's words where it may be cut: before “and”, “then”, a new clause. */
export function cutsIn(text: string): readonly number[] {
	const cuts = [
		...text.matchAll(/(?:[,;.]\s+(?:and\s+|then\s+|and then\s+)?|\s+and\s+(?:then\s+)?|\s+then\s+)(?=[a-z])/gi)
	].map((m) => m.index + m[0].length);
	// No half without a word of its own.
	return cuts.filter((at) => at >= 6 && text.length - at >= 6);
}

/**
 * A list of steps with one of them in two, named `id` and `id-b`.
 *
 * @param at place in its words at which the second begins
 */
export function splitAt(steps: readonly ReadStep[], id: string, at: number): readonly ReadStep[] {
	const step = steps.find((s) => s.id === id);
	if (!step || !cutsIn(step.text).includes(at)) return steps;
	const half = (text: string): Partial<ReadStep> => {
		const [action] = actionsOf([{ text, section: null }]);
		if (!action) return {};
		const { kind, station, heat, hands, sign } = action;
		return { kind, station, heat, hands, sign, ...(action.isWritten ? { seconds: action.seconds } : {}) };
	};
	const [first, second] = [
		step.text.slice(0, at).replace(/[\s,;.]*(?:\b(?:and|then)\b[\s,]*)*$/i, ''),
		step.text.slice(at)
	];
	const [one, two] = [half(first), half(second)];
	const place = (s: Partial<ReadStep>): Partial<ReadStep> =>
		s.station === undefined || s.station === step.station ? { celsius: step.celsius } : { celsius: null };
	const time = (own: Partial<ReadStep>, other: Partial<ReadStep>): ReadStep['seconds'] => {
		if (own.seconds !== undefined) return own.seconds;
		if (step.seconds === null || other.seconds !== undefined) return [30, 60, 120];
		// Neither says how long: half of it each.
		return step.seconds.map((s) => Math.max(15, Math.round(s / 2))) as unknown as ReadStep['seconds'];
	};
	const before: ReadStep = { ...step, ...one, ...place(one), text: first, seconds: time(one, two) };
	const after: ReadStep = {
		...step,
		...two,
		...place(two),
		text: second,
		seconds: time(two, one),
		id: `${id}-b`,
		after: [id]
	};
	return steps.flatMap((s) =>
		s.id === id
			? [before, after]
			: [s.after.includes(id) ? { ...s, after: s.after.map((a) => (a === id ? after.id : a)) } : s]
	);
}
