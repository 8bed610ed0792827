// What room behind the steps would bring: of all steps, or of one part's, where a minute buys most; each plan really made and
// rehearsed with the same luck.
import { withPartRoom, withRoom } from '../model/edit-meal';
import type { Room } from '../model/meal';
import { rooms } from '../model/meal';
import type { Plan } from '../model/plan';
import { seek, type Sought } from '../plan/seek';
import { blameOf, oddsOfPlan, rehearsePlan } from './evening';
import { asPlanned, type How } from './how';
import type { Odds } from './rehearse';

/** What other room behind the steps would come to: a plan that was found, rehearsed. */
export interface RoomOffer {
	readonly room: Room | undefined;
	/** The part of the meal (id) behind whose steps it is; absent: behind all. */
	readonly part?: string | undefined;
	/** Share of the evenings on time. */
	readonly onTime: number;
	/** When work would begin, and how much longer food would wait beyond what is free than now, seconds. */
	readonly begins: number;
	readonly waiting: number;
	readonly meal: Sought['meal'];
}

/** Work for each of those plans, in propagator runs. */
const offerBudget = 12_000;
/** Room is tried behind so many parts by themselves: those that are most to blame. */
const partsTried = 3;

const waitingOf = (plan: Plan) => plan.parts.reduce((sum, p) => sum + Math.max(0, p.wait - p.free), 0);

/** What room there might be: other room in all; and with the odds of the plan as it is, room for each part that is most to blame. */
function choices(
	{ meal }: Sought,
	plan: Plan,
	odds: Odds | undefined
): readonly Omit<RoomOffer, 'onTime' | 'begins' | 'waiting'>[] {
	const all = [undefined, ...rooms]
		.filter((r) => r !== meal.room || meal.parts.some((p) => p.room !== undefined))
		.map((room) => ({ room, meal: withRoom(meal, room) }));
	const blamed = (odds ? blameOf(odds, plan) : []).flatMap(({ step }) => {
		const id = plan.steps.find((s) => s.id === step)?.part;
		const part = plan.parts.find((p) => p.id === id);
		return meal.parts.filter((p) => p.id === (part?.of ?? part?.id));
	});
	const own = blamed.slice(0, partsTried).flatMap((part) => {
		const more = rooms[rooms.indexOf(part.room ?? meal.room ?? rooms[0]) + ((part.room ?? meal.room) ? 1 : 0)];
		return more === undefined ? [] : [{ room: more, part: part.id, meal: withPartRoom(meal, part.id, more) }];
	});
	return [...all, ...own];
}

/** Plans with more room behind the steps, or less, each really made and rehearsed with the same luck. */
export function* roomOffers(
	request: Sought,
	plan: Plan,
	how: How = asPlanned,
	odds?: Odds
): Generator<RoomOffer | undefined, void> {
	for (const choice of choices(request, plan, odds)) {
		const own = { ...request, meal: choice.meal, budget: offerBudget };
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
		const then = yield* oddsOfPlan(own, found, how);
		if (then) yield { ...choice, onTime: then.onTime, begins: found.from, waiting: waitingOf(found) - waitingOf(plan) };
	}
}

/** What is found out about a plan in the background. */
export type Rehearsed =
	{ readonly kind: 'odds'; readonly odds: Odds } | { readonly kind: 'offer'; readonly offer: RoomOffer };

/** The plan as it stands, then with other room. */
export function* rehearsals(request: Sought, plan: Plan, how: How): Generator<Rehearsed | undefined, void> {
	const stream = rehearsePlan(request, plan, how);
	let odds: Odds | undefined;
	for (;;) {
		const step = stream.next();
		odds = step.value ?? odds;
		yield step.value && { kind: 'odds', odds: step.value };
		if (step.done) break;
	}
	// Each evening of these asks the planner: other plans are not tried as well.
	if (how.begin === 'replan') return;
	for (const offer of roomOffers(request, plan, how, odds)) yield offer && { kind: 'offer', offer };
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

/** Of the offers the one that brings most evenings for each minute that work begins earlier: where a minute buys most. */
export function bestBuy(offers: readonly RoomOffer[], onTime: number, from: number): RoomOffer | undefined {
	const gain = (o: RoomOffer) => (o.onTime - onTime) / Math.max(60, from - o.begins + Math.max(0, o.waiting));
	const [first, ...rest] = offers.filter((o) => o.onTime > onTime + worthOffering);
	return first && rest.reduce((a, b) => (gain(b) > gain(a) ? b : a), first);
}
