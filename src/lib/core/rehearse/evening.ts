// A plan of a meal rehearsed: how likely its courses are on time, and which steps are to blame where they are not.
import type { Plan, PlannedStep } from '../model/plan';
import { compileMeal } from '../plan/compile/compile';
import { scheduleOf } from '../plan/compile/schedule-of';
import type { Problem } from '../plan/problem';
import type { Sought } from '../plan/seek';
import type { Spread } from './draws';
import { asPlanned, type How } from './how';
import { rehearse, type Odds, type Rehearsal } from './rehearse';
import { replanned } from './replanned';
import { usualDithering, usualReplanned, usualRuns, usualTolerance } from './usual';

/** Shares of a step's variance that it has in common with others of its cook, or of its station (est.). */
const common = { cook: 0.3, station: 0.4 } as const;
/** Places where nothing heats. */
const cold: ReadonlySet<string> = new Set(['board', 'rest', 'keep', 'fridge']);

/** How long a step takes as a spread: with the others of its cook's hands, or of its station's heat. */
function spreadOfStep({ mu, sigma, hands, lane }: PlannedStep, kindOf: (lane: string) => string): Spread {
	const isHeated = !cold.has(kindOf(lane));
	const cook = hands.find((h) => h.whole)?.cook;
	const share = isHeated ? common.station : cook === undefined ? 0 : common.cook;
	if (share === 0 || sigma === 0) return { mu, sigma };
	const factor = isHeated ? `station ${lane}` : `cook ${cook ?? ''}`;
	return { mu, sigma: sigma * Math.sqrt(1 - share), shared: { [factor]: sigma * Math.sqrt(share) } };
}

/** Spreads of all steps of a plan, by step. */
export function spreadsOf(plan: Pick<Plan, 'steps' | 'lanes'>): Readonly<Record<string, Spread>> {
	const kinds = new Map(plan.lanes.map((l) => [l.id, l.kind]));
	return Object.fromEntries(plan.steps.map((s) => [s.id, spreadOfStep(s, (lane) => kinds.get(lane) ?? '')]));
}

/** A plan of a meal as what a rehearsal needs; `undefined` where it is of another one. */
function rehearsalOf(
	{ meal, kitchen, techniques, seed }: Omit<Sought, 'budget'>,
	plan: Plan,
	{ begin, mishaps }: How,
	runs: number,
	alter?: Alter
): { readonly rehearsal: Rehearsal; readonly origin: number } | undefined {
	const read = compileMeal(meal, kitchen, new Map(techniques.map((t) => [t.id, t])));
	if (!read.ok || plan.meal !== meal.id) return undefined;
	const { problem, trace } = read.value;
	const steps = new Map(plan.steps.map((s) => [s.id, s]));
	const struck = (task: string) => {
		const step = steps.get(task);
		return step && { part: step.part, cooks: step.hands.flatMap((h) => (h.whole ? [h.cook] : [])) };
	};
	return {
		origin: trace.origin,
		rehearsal: {
			problem: alter ? alter(problem, trace.origin) : problem,
			schedule: scheduleOf(plan, read.value, kitchen),
			durations: spreadsOf(plan),
			dithering: { mean: usualDithering, concerns: (task) => (steps.get(task)?.hands.length ?? 0) > 0 },
			mishaps: mishaps > 0 ? { perHour: mishaps, cooks: plan.cooks.map((c) => c.id), struck } : undefined,
			policy: begin === 'replan' ? 'hold' : begin,
			tolerance: usualTolerance,
			runs,
			seed
		}
	};
}

type Alter = (problem: Problem, origin: number) => Problem;

/**
 * Rehearse a plan of a meal: what is known so far after each batch of evenings; instants by the plan's clock.
 *
 * @param alter what its problem has that the meal and its kitchen have not
 */
export function* rehearsePlan(
	request: Omit<Sought, 'budget'>,
	plan: Plan,
	how: How = asPlanned,
	runs = how.begin === 'replan' ? usualReplanned : usualRuns,
	alter?: Alter
): Generator<Odds | undefined, Odds | undefined> {
	const asked = rehearsalOf(request, plan, how, runs, alter);
	if (!asked) return undefined;
	const { rehearsal, origin } = asked;
	const stream = how.begin === 'replan' ? replanned(request, plan, rehearsal, origin) : rehearse(rehearsal);
	const byClock = (odds: Odds): Odds => ({
		...odds,
		tasks: Object.fromEntries(
			Object.entries(odds.tasks).map(([id, { end, ...own }]) => {
				const to = (s: number) => s + origin;
				return [id, { ...own, end: { p10: to(end.p10), p50: to(end.p50), p90: to(end.p90) } }];
			})
		)
	});
	for (let batches = 0; ;) {
		const step = stream.next();
		if (step.done) return byClock(step.value);
		if (step.value) batches++;
		// To tell takes its time too: after one batch, two, four.
		yield step.value && (batches & (batches - 1)) === 0 ? byClock(step.value()) : undefined;
	}
}

/** Rehearse a plan to the end. */
export function* oddsOfPlan(...asked: Parameters<typeof rehearsePlan>): Generator<undefined, Odds | undefined> {
	const stream = rehearsePlan(...asked);
	for (;;) {
		const step = stream.next();
		if (step.done) return step.value;
		yield undefined;
	}
}

/** So many evenings tell one plan from another. */
const toCompare = 1024;

/** Share of the evenings on which a plan is on time, as planned, whatever else its problem has. */
export function* chanceOf(
	request: Omit<Sought, 'budget'>,
	plan: Plan,
	alter?: Alter
): Generator<undefined, number | undefined> {
	return (yield* oddsOfPlan(request, plan, asPlanned, toCompare, alter))?.onTime;
}

/** A step that makes the evening late by taking longer than planned. */
export interface Blame {
	readonly step: string;
	/** Share of the evenings that were not on time, and would have been earlier but for its overrun. */
	readonly share: number;
	/** By how much an evening is later for it, on the mean of all, seconds. */
	readonly delay: number;
}

/** Less is not worth a word. */
const leastShare = 0.01;

/** The steps to blame, the worst first; one of each part. */
export function blameOf({ tasks }: Odds, { steps }: Pick<Plan, 'steps'>): readonly Blame[] {
	const worst = new Map<string, Blame>();
	for (const { id, part } of steps) {
		const { blamed: share = 0, delay = 0 } = tasks[id] ?? {};
		if (share >= leastShare && delay > (worst.get(part)?.delay ?? 0)) worst.set(part, { step: id, share, delay });
	}
	return [...worst.values()].sort((a, b) => b.delay - a.delay);
}
