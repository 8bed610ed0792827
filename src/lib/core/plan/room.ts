// Room behind each step: a plan that still holds where steps take longer than usual, at the price of a longer evening.
import { normalQuantile } from '../learn/spread';
import type { Room } from '../model/meal';
import { shortestOf, type TracedStep } from './compile/traced';
import type { Compiled } from './compile/compile';
import type { Problem } from './problem';

/** Of so many times that a step is done, it has ended within its room in this share. */
const shares: Readonly<Record<Room, number>> = { some: 0.75, much: 0.95 };

/**
 * The problem with room behind each task, so much that a share of them would end within it; where the wait may be as long
 * (time buffers: Herroelen & Leus 2004, Int. J. Prod. Res. 42, 1599–1620).
 *
 * @param sigmaOf spread of ln of a task's length
 * @param share one for all, or by task
 */
export function withRoomBehind(
	problem: Problem,
	sigmaOf: (task: string) => number,
	share: number | ((task: string) => number)
): Problem {
	const shareOf = typeof share === 'number' ? () => share : share;
	const room = new Map(
		problem.tasks.map((t) => {
			const length = Math.min(...t.modes.map((m) => m.duration));
			return [
				t.id,
				t.fixed ? 0 : Math.round(length * Math.expm1(normalQuantile(shareOf(t.id)) * sigmaOf(t.id)))
			] as const;
		})
	);
	const behind = (task: string) => room.get(task) ?? 0;
	return {
		...problem,
		lags: problem.lags.map((l) => ({
			...l,
			min: Math.max(l.min, Math.min(l.min + behind(l.from), l.max ?? Infinity))
		})),
		serve: problem.serve.map((s) => {
			const more = Math.min(behind(s.task), s.max ?? Infinity);
			const max = s.max === undefined ? {} : { max: s.max - more };
			return { ...s, ...max, offset: s.offset + more, free: Math.max(0, s.free - more) };
		})
	};
}

const sigmaOf = (step: TracedStep | undefined) =>
	step === undefined || shortestOf(step) === 0 ? 0 : Math.max(...step.ways.map((w) => w.timing.sigma));

/** Room that is none: half of the times it is enough. */
const none = 0.5;

/** A compiled meal with the room that its cook has asked for, in all or behind the steps of one part. */
export function withRoom(compiled: Compiled, room: Room | undefined): Compiled {
	const { problem, trace } = compiled;
	const roomOf = (task: string) => trace.steps.get(task)?.part.room ?? room;
	if (!room && ![...trace.steps.values()].some((s) => s.part.room)) return compiled;
	const shareOf = (task: string) => {
		const own = roomOf(task);
		return own ? shares[own] : none;
	};
	return { ...compiled, problem: withRoomBehind(problem, (id) => sigmaOf(trace.steps.get(id)), shareOf) };
}
