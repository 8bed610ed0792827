// What keeps each step from starting later: the rule of the problem that would break first.
import type { HeldBy, Taken } from '../../model/plan';
import type { Problem } from '../problem';
import type { Timed } from '../describe/timed';

/**
 * For each task why it is not later. Looks for a rule that is tight at the task's end: the plate, a following step, something
 * it shares with a task that takes over just then, an oven that changes.
 *
 * @param taken what a resource is to a cook
 */
export function heldBy(
	problem: Problem,
	timed: ReadonlyMap<string, Timed>,
	taken: (resource: string) => Taken
): ReadonlyMap<string, HeldBy> {
	const takings = takingsOf(problem, timed);
	return new Map([...timed.values()].map((task) => [task.id, holderOf(task, problem, timed, takings, taken)]));
}

function holderOf(
	task: Timed,
	problem: Problem,
	timed: ReadonlyMap<string, Timed>,
	takings: readonly Taking[],
	taken: (resource: string) => Taken
): HeldBy {
	const { id } = task;
	if (task.wait === 0) return { kind: 'plate' };
	const follower = problem.lags.find((l) => {
		const next = l.from === id ? timed.get(l.to) : undefined;
		return next !== undefined && next.start - task.end === l.min;
	});
	if (follower) return { kind: 'follower', step: follower.to };
	const rival = takings
		.filter((own) => own.by === id)
		.flatMap((own) => takings.filter((x) => x.resource === own.resource && x.by !== id && x.from === own.to))
		.at(0);
	if (rival) return { kind: 'rival', step: rival.by, taken: taken(rival.resource) };
	const leader = problem.lags.find((l) => {
		const before = l.to === id && l.max !== undefined ? timed.get(l.from) : undefined;
		return before !== undefined && task.start - before.end === l.max;
	});
	if (leader) return { kind: 'leader', step: leader.from };
	const change = [...timed.values()].find(
		(x) =>
			x.state !== undefined &&
			x.state.id === task.state?.id &&
			x.state.value !== task.state.value &&
			x.start > task.start
	);
	return change ? { kind: 'oven-changes', step: change.id } : { kind: 'nothing' };
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
		const isVoid = h.at !== undefined && h.at !== first?.at;
		return first && last && !isVoid ? [{ by: h.to, resource: h.resource, from: first.start, to: last.end }] : [];
	});
	return [...uses, ...holds];
}
