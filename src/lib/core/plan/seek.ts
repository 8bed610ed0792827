// Compile → solve → describe: one search for a plan of a meal, with whatever is asked of it besides.
import type { Issue } from '../issues';
import type { Kitchen } from '../model/kitchen';
import type { Meal } from '../model/meal';
import type { Plan } from '../model/plan';
import type { Technique } from '../model/technique';
import { compileMeal, type Compiled } from './compile/compile';
import { compileOnce } from './compile/once';
import { scheduleOf } from './compile/schedule-of';
import { daysOf, type Days } from './days';
import { describePlan } from './describe/describe';
import type { Problem, Schedule } from './problem';
import { withRoom } from './room';
import { withFacts, type Standing } from './replan';
import { solve } from './solve/solve';

export interface Sought {
	readonly meal: Meal;
	readonly kitchen: Kitchen;
	readonly techniques: readonly Technique[];
	readonly seed: number;
	/** Work to spend, in propagator runs; with the seed it fixes the answer. */
	readonly budget: number;
	/** The plan in force and how it stands: it is kept to as far as can be. */
	readonly standing?: Standing | undefined;
}

/** What else may be asked. */
export interface Besides {
	/** A plan to begin from, where the work has not begun. */
	readonly from?: Plan | undefined;
	/** Changes the compiled problem too. */
	readonly alter?: ((problem: Problem, origin: number) => Problem) | undefined;
	/** Where the budget is spent and no plan is on time, how many times as much may be spent; absent: no more. */
	readonly patience?: number | undefined;
	/** Where there is no plan: name a conflict (as usual), or only say so. */
	readonly infeasible?: 'explain' | 'say' | undefined;
}

/** What a search says of itself after each slice of work. */
export interface Seeking {
	/** Present when there is a better plan than before. */
	readonly plan: Plan | undefined;
	readonly answer: Schedule;
	/** Share of the budget spent, 0 to 1. */
	readonly spent: number;
}

export type Found =
	| {
			readonly kind: 'answer';
			readonly compiled: Compiled;
			readonly answer: Schedule;
			readonly plan: Plan | undefined;
			/** As it was compiled, before what has happened was put in. */
			readonly before: Compiled;
	  }
	| { readonly kind: 'issues'; readonly issues: readonly Issue[] };

/**
 * Search for a plan, as a stream that the caller pulls and may drop. What is passed to `next` is the answer of another search
 * for the same request.
 *
 * Hands are pooled at first. Where an answer cannot be given out to the cooks so that nobody has two things at once, the
 * search begins again with each cook by name, from that answer.
 */
export function* seek(
	{ meal, kitchen, techniques, seed, budget, standing }: Sought,
	{ from, alter, infeasible, patience = 1 }: Besides = {}
): Generator<Seeking, Found, Schedule | undefined> {
	const byId = new Map(techniques.map((t) => [t.id, t]));
	const days = new Map<string, Days | undefined>();
	let spent = 0;
	let unmanned: Plan | undefined;
	for (const manning of ['pooled', 'named'] as const) {
		// The rest of an evening is planned again and again.
		const read = (standing ? compileOnce : compileMeal)(meal, kitchen, byId, manning);
		if (!read.ok) return { kind: 'issues', issues: read.issues };
		const near = standing?.plan ?? unmanned ?? from;
		const previous = near && scheduleOf(near, read.value, kitchen);
		// In the middle of the work room is there to be used up: no service waits for it.
		const begun = standing && previous ? withFacts(read.value, previous, standing) : withRoom(read.value, meal.room);
		const compiled = alter ? { ...begun, problem: alter(begun.problem, begun.trace.origin) } : begun;
		const describe = (answer: Schedule) => {
			const described = describePlan(meal, kitchen, compiled, answer);
			// In the middle of the work the days before are over.
			if (standing) return standing.plan.days ? withDays(described, standing.plan.days) : described;
			const before = new Set(described.plan.parts.flatMap((p) => (p.before === undefined ? [] : (p.of ?? p.id))));
			const key = [...before].join();
			if (!days.has(key)) days.set(key, daysOf(meal, kitchen, byId, before));
			const found = days.get(key);
			return found ? withDays(described, found) : described;
		};
		const left = Math.max(budget / 4, budget - spent);
		const moving = standing && { ...rereading, tasks: new Set(compiled.trace.steps.keys()) };
		const search = solve(compiled.problem, { seed, budget: left * patience, previous, moving, infeasible });
		unmanned = undefined;
		let news: Schedule | undefined;
		while (!unmanned) {
			const step = search.next(news);
			const answer = step.done ? step.value : step.value.schedule;
			const work = answer.stats?.nodes ?? 0;
			// Late is worth some patience; nothing at all is told soon, for what to do about it takes its time.
			const isEnough = answer.starts ? work >= left && isOnTime(answer) : work >= Math.max(noneYet * left, leastSought);
			const isNew = (step.done === true || step.value.improved) && answer.starts !== undefined;
			const described = isNew ? describe(answer) : undefined;
			if (manning === 'pooled' && described && !described.isManned) {
				unmanned = described.plan;
				spent = work;
			} else if (step.done || isEnough) {
				const plan = described?.plan ?? (answer.starts && describe(answer).plan);
				return { kind: 'answer', compiled, answer, plan, before: read.value };
			} else news = yield { plan: described?.plan, answer, spent: Math.min(0.99, work / left) };
		}
	}
	throw new RangeError('hands by name were not enough');
}

const withDays = (described: ReturnType<typeof describePlan>, days: Days) => ({
	...described,
	plan: { ...described.plan, days }
});

/** What a cook loses by reading a step anew, in the objective: as many seconds of the evening. A place is carried to as well. */
const rereading = { start: 10, place: 60 };
/** Where there is no plan yet, so many times the budget is spent before that is said. */
const noneYet = 1.5;
/** A plan is sought with so much work at the least. */
const leastSought = 20_000;

/** Whether there is an answer that lets no service wait. */
const isOnTime = ({ slips }: Schedule) => slips !== undefined && Object.values(slips).every((slip) => slip === 0);
