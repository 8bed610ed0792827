// Idle hands: which steps of a plan that is under way could be begun now, with everything else kept as it is.
import { compileOnce } from '../compile/once';
import { scheduleOf } from '../compile/schedule-of';
import { checkSchedule } from '../check';
import { grid } from '../grid';
import type { Schedule } from '../problem';
import { withFacts, type Standing } from '../replan';
import type { Sought } from '../seek';

/** A step that could be begun now. */
export interface Offer {
	readonly step: string;
	/** Seconds before it is due. */
	readonly sooner: number;
	/** Seconds of hands that it takes, all in all. */
	readonly hands: number;
	/** Whether it is one of those that make a stretch later on tight. */
	readonly isTight: boolean;
}

/** What is due sooner than this need not be offered, seconds. */
const soon = 2 * 60;
/** What is no preparation is not begun so long before its time, seconds: what is out of the cold or hot does not get better. */
const tooSoon = 20 * 60;
/** What it may cost, in the plan's objective, for each minute sooner: food that waits, a longer evening. */
const worthPerMinute = 2;
const mostOffers = 3;

/**
 * Steps that may be begun now: what they wait for is done, no longest wait is broken, place, vessel and hands are free for as
 * long as they take; judged by the plain rules, one step moved and everything else where it is. The most useful first: what
 * makes a tight stretch less tight, then what costs least, then what is due first.
 */
export function offersOf(
	{ meal, kitchen, techniques }: Omit<Sought, 'standing' | 'seed' | 'budget'>,
	standing: Standing
): readonly Offer[] {
	const read = compileOnce(meal, kitchen, new Map(techniques.map((t) => [t.id, t])), 'named');
	if (!read.ok) return [];
	const { plan, now } = standing;
	const previous = scheduleOf(plan, read.value, kitchen);
	const { problem, trace } = withFacts(read.value, previous, standing);
	const fixed = Object.fromEntries(problem.tasks.flatMap((t) => (t.fixed ? [[t.id, t.fixed.start] as const] : [])));
	const settled = Object.fromEntries(problem.tasks.flatMap((t) => (t.fixed ? [[t.id, t.fixed.mode] as const] : [])));
	const answer: Schedule = {
		...previous,
		problem: problem.name,
		status: 'feasible',
		starts: { ...previous.starts, ...fixed },
		modes: { ...previous.modes, ...settled }
	};
	const judge = (a: Schedule) => {
		const { violations, objective } = checkSchedule(problem, a);
		return { broken: violations.filter((v) => !/^(says|bound) /.test(v)), objective };
	};
	const before = judge(answer);
	const known = new Set(before.broken);
	if (before.objective === null) return [];
	const instant = Math.ceil((now - trace.origin) / grid) * grid;
	const free = plan.steps.filter((s) => {
		const sooner = s.from - now;
		const isIn = sooner > soon && (s.kind === 'prep' || sooner <= tooSoon);
		return isIn && s.hands.length > 0 && !(s.id in fixed);
	});
	const { objective: cost } = before;
	return free
		.flatMap((step): (Offer & { readonly price: number })[] => {
			const task = problem.tasks.find((t) => t.id === step.id);
			const sooner = step.from - now;
			const prices = (task?.modes ?? []).flatMap((_, mode) => {
				const starts = { ...answer.starts, [step.id]: instant };
				const { broken, objective } = judge({ ...answer, starts, modes: { ...answer.modes, [step.id]: mode } });
				return objective !== null && broken.every((v) => known.has(v)) ? [objective - cost] : [];
			});
			const price = Math.min(...prices);
			if (price > worthPerMinute * (sooner / 60)) return [];
			const isTight = plan.tight.some((t) => step.hands.some((h) => h.from < t.to && h.to > t.from));
			const hands = step.hands.reduce((sum, h) => sum + h.to - h.from, 0);
			return [{ step: step.id, sooner, hands, isTight, price }];
		})
		.toSorted((a, b) => Number(b.isTight) - Number(a.isTight) || a.price - b.price || a.sooner - b.sooner)
		.slice(0, mostOffers)
		.map(({ step, sooner, hands, isTight }) => ({ step, sooner, hands, isTight }));
}
