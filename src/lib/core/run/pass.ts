// The pass during a run: each course with the minutes to it, each part with where it is.
import { isWash } from '../plan/compile/clean';
import type { View } from './view';

export type PartState =
	/** Nothing of it has begun; its next work begins at `at`. */
	| { readonly kind: 'later'; readonly at: number }
	/** Something of it is on, or waits for its next step; it will be ready at `at`. */
	| { readonly kind: 'on'; readonly at: number }
	/** It is ready since then, and at its best until `until`. */
	| { readonly kind: 'ready'; readonly at: number; readonly until: number }
	| { readonly kind: 'out' };

interface PassPart {
	readonly part: string;
	readonly state: PartState;
}

export interface PassCourse {
	readonly course: string;
	readonly name: string;
	/** When it goes out as things stand, the plan's clock, seconds. */
	readonly at: number;
	readonly isOut: boolean;
	readonly parts: readonly PassPart[];
}

/** What stands at the pass, course by course; parts that finish another one are that one's. */
export function passOf({
	plan,
	clock,
	begun,
	served
}: Pick<View, 'plan' | 'clock' | 'begun' | 'served'>): readonly PassCourse[] {
	return plan.services
		.toSorted((a, b) => a.at - b.at)
		.map(({ course, name, at }) => {
			const isOut = served.has(course);
			const own = plan.parts.filter((p) => p.course === course && p.into === undefined);
			return { course, name, at, isOut, parts: own.map((p) => ({ part: p.id, state: stateOf(p) })) };

			function stateOf({ id, free }: (typeof own)[number]): PartState {
				if (isOut) return { kind: 'out' };
				const steps = plan.steps.filter((s) => s.part === id && !isWash(s.id));
				const last = Math.max(...steps.map((s) => s.to));
				const open = steps.filter((s) => begun.get(s.id)?.hasEnded !== true);
				if (open.length === 0) return { kind: 'ready', at: last, until: last + free };
				const isBegun = open.length < steps.length || open.some((s) => begun.has(s.id));
				if (isBegun) return { kind: 'on', at: last };
				return { kind: 'later', at: Math.max(clock, Math.min(...open.map((s) => s.from))) };
			}
		});
}
