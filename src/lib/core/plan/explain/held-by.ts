// What keeps each step from starting later: the rule of the problem that would break first.
import type { Problem } from '../problem';
import type { Timed } from './timed';

/** The words of a reason; `say` names another step. */
export interface Wording {
	readonly say: (task: string) => string;
	readonly resource: (id: string) => string;
}

/**
 * For each task a sentence on why it is not later. Looks for a rule that is tight at the task's end: the plate, a
 * following step, something it shares with a task that takes over just then, an oven that changes.
 */
export function heldBy(
	problem: Problem,
	timed: ReadonlyMap<string, Timed>,
	words: Wording
): ReadonlyMap<string, string> {
	const takings = takingsOf(problem, timed);
	return new Map(
		[...timed.values()].map((task) => {
			const { id } = task;
			const follower = problem.lags.find((l) => {
				const next = l.from === id ? timed.get(l.to) : undefined;
				return next !== undefined && next.start - task.end === l.min;
			});
			const leader = problem.lags.find((l) => {
				const before = l.to === id && l.max !== undefined ? timed.get(l.from) : undefined;
				return before !== undefined && task.start - before.end === l.max;
			});
			const plate = problem.serve.find((s) => s.task === id);
			if (plate && task.wait === 0) return [id, 'It goes on the plate the moment it is done.'];
			if (follower) return [id, `“${words.say(follower.to)}” follows at once.`];
			const rival = takings
				.filter((own) => own.by === id)
				.flatMap((own) => takings.filter((x) => x.resource === own.resource && x.by !== id && x.from === own.to))
				.at(0);
			if (rival) return [id, `“${words.say(rival.by)}” needs ${words.resource(rival.resource)} right after.`];
			if (leader) return [id, `It must not come later after “${words.say(leader.from)}”.`];
			const change = [...timed.values()].find(
				(x) =>
					x.state !== undefined &&
					x.state.id === task.state?.id &&
					x.state.value !== task.state.value &&
					x.start > task.start
			);
			if (change) return [id, `The oven then changes for “${words.say(change.id)}”.`];
			return [id, 'It fits best here; it has room to move.'];
		})
	);
}

interface Taking {
	readonly by: string;
	readonly resource: string;
	readonly from: number;
	readonly to: number;
}

function takingsOf(problem: Problem, timed: ReadonlyMap<string, Timed>): readonly Taking[] {
	const uses = [...timed.values()].flatMap((t) =>
		t.uses.map((u) => ({ by: t.id, resource: u.resource, from: t.start + u.from, to: t.start + u.to }))
	);
	const holds = problem.holds.flatMap((h) => {
		const [first, last] = [timed.get(h.from), timed.get(h.to)];
		return first && last ? [{ by: h.to, resource: h.resource, from: first.start, to: last.end }] : [];
	});
	return [...uses, ...holds];
}
