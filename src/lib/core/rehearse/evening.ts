// A plan of a meal rehearsed: how likely its courses are on time, and what room behind the steps would bring.
import { withRoom as mealWithRoom } from '../model/edit-meal';
import type { Room } from '../model/meal';
import { rooms } from '../model/meal';
import type { Plan, PlannedStep } from '../model/plan';
import { compileMeal } from '../plan/compile/compile';
import { scheduleOf } from '../plan/compile/schedule-of';
import { seek, type Sought } from '../plan/seek';
import type { Spread } from './draws';
import type { Policy } from './network';
import { rehearse, type Odds } from './rehearse';
import { usualDithering, usualRuns, usualTolerance } from './usual';

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

/** Rehearse a plan of a meal: what is known so far after each batch of evenings; instants by the plan's clock. */
export function* rehearsePlan(
	{ meal, kitchen, techniques, seed }: Omit<Sought, 'budget'>,
	plan: Plan,
	policy: Policy = 'hold',
	runs = usualRuns
): Generator<Odds | undefined, Odds | undefined> {
	const read = compileMeal(meal, kitchen, new Map(techniques.map((t) => [t.id, t])));
	if (!read.ok || plan.meal !== meal.id) return undefined;
	const { problem, trace } = read.value;
	const seenTo = new Set(plan.steps.filter((s) => s.hands.length > 0).map((s) => s.id));
	const stream = rehearse({
		problem,
		schedule: scheduleOf(plan, read.value, kitchen),
		durations: spreadsOf(plan),
		dithering: { mean: usualDithering, concerns: (task) => seenTo.has(task) },
		policy,
		tolerance: usualTolerance,
		runs,
		seed
	});
	const byClock = (odds: Odds): Odds => ({
		...odds,
		tasks: Object.fromEntries(
			Object.entries(odds.tasks).map(([id, { end, ...own }]) => {
				const to = (s: number) => s + trace.origin;
				return [id, { ...own, end: { p10: to(end.p10), p50: to(end.p50), p90: to(end.p90) } }];
			})
		)
	});
	for (let batches = 1; ; batches++) {
		const step = stream.next();
		if (step.done) return byClock(step.value);
		// To tell takes its time too: after one batch, two, four.
		yield (batches & (batches - 1)) === 0 ? byClock(step.value()) : undefined;
	}
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

/** What other room behind the steps would come to: a plan that was found, rehearsed. */
export interface RoomOffer {
	readonly room: Room | undefined;
	/** Share of the evenings on time. */
	readonly onTime: number;
	/** When work would begin, and how much longer food would wait beyond what is free than now, seconds. */
	readonly begins: number;
	readonly waiting: number;
	readonly meal: Sought['meal'];
}

/** Work for each of those plans, in propagator runs. */
const offerBudget = 12_000;

const waitingOf = (plan: Plan) => plan.parts.reduce((sum, p) => sum + Math.max(0, p.wait - p.free), 0);

/** Plans with more room behind the steps, or less, each really made and rehearsed with the same luck. */
export function* roomOffers(
	request: Sought,
	plan: Plan,
	policy: Policy = 'hold'
): Generator<RoomOffer | undefined, void> {
	const { meal } = request;
	for (const room of [undefined, ...rooms].filter((r) => r !== meal.room)) {
		const own = { ...request, meal: mealWithRoom(meal, room), budget: offerBudget };
		const search = seek(own, { from: plan, infeasible: 'say' });
		let found: Plan | undefined;
		for (;;) {
			const step = search.next(undefined);
			if (step.done) {
				found = step.value.kind === 'answer' ? step.value.plan : undefined;
				break;
			}
			yield undefined;
		}
		if (!found) continue;
		const stream = rehearsePlan(own, found, policy);
		for (;;) {
			const step = stream.next();
			if (!step.done) {
				yield undefined;
				continue;
			}
			if (step.value)
				yield {
					room,
					onTime: step.value.onTime,
					begins: found.from,
					waiting: waitingOf(found) - waitingOf(plan),
					meal: own.meal
				};
			break;
		}
	}
}

/** What is found out about a plan in the background. */
export type Rehearsed =
	{ readonly kind: 'odds'; readonly odds: Odds } | { readonly kind: 'offer'; readonly offer: RoomOffer };

/** The plan as it stands, then with other room. */
export function* rehearsals(request: Sought, plan: Plan, policy: Policy): Generator<Rehearsed | undefined, void> {
	const stream = rehearsePlan(request, plan, policy);
	for (;;) {
		const step = stream.next();
		yield step.value && { kind: 'odds', odds: step.value };
		if (step.done) break;
	}
	for (const offer of roomOffers(request, plan, policy)) yield offer && { kind: 'offer', offer };
}

/** An offer has to bring so much to be worth its price. */
const worthOffering = 0.02;

/** What is worth offering: more evenings on time, and no other one that brings as much sooner; or less room, where there is some. */
export function worthWhile(offers: readonly RoomOffer[], onTime: number): readonly RoomOffer[] {
	return offers.filter((o) => {
		if (o.room === undefined) return true;
		const isBeaten = offers.some(
			(p) => p !== o && p.onTime >= o.onTime && p.begins >= o.begins && p.waiting <= o.waiting
		);
		return o.onTime > onTime + worthOffering && !isBeaten;
	});
}
