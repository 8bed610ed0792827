// A meal's plan rehearsed: its odds by the plan's clock, who is to blame, and what room behind the steps brings.
import { describe, expect, test } from 'vitest';
import { library } from '../library/library';
import { hasRoom, withPartRoom, withRoom } from '../model/edit-meal';
import { rooms } from '../model/meal';
import { checkSchedule } from '../plan/check';
import { scheduleOf } from '../plan/compile/schedule-of';
import { planMealNow } from '../plan/plan-meal';
import { withRoomBehind } from '../plan/room';
import { runOf, runUntil, withEvent } from '../testing/some-run';
import { instantAt } from '../run/events';
import { standingOf, viewRun } from '../run/view';
import { compileDemo, demoCases, planDemo } from '../testing/demo-plan';
import { solveNow } from '../testing/solve-now';
import {
	inHundred,
	wordBlame,
	wordChance,
	wordLate,
	wordOnTime,
	wordEaten,
	wordMishaps,
	wordPriceOfRoom,
	wordRoom,
	wordWait
} from '../words/odds';
import { speakPlan } from '../words/speak';
import { blameOf, chanceOf, oddsOfPlan, rehearsePlan, spreadsOf } from './evening';
import { eatenAfter } from './eaten';
import { asPlanned, type How } from './how';
import { bestBuy, rehearsals, roomOffers, worthWhile, type RoomOffer } from './offers';
import type { Odds } from './rehearse';

const cases = demoCases.map((demo) => {
	const plan = planDemo(demo, 3000);
	return { demo, plan, request: { ...demo, techniques: [...library.values()], seed: 1, budget: 3000 } };
});

function oddsOf({ request, plan }: (typeof cases)[number], how: Partial<How> = {}, runs = 1024): Odds {
	const stream = rehearsePlan(request, plan, { ...asPlanned, ...how }, runs);
	for (;;) {
		const step = stream.next();
		if (!step.done) continue;
		if (!step.value) throw new Error('not rehearsed');
		return step.value;
	}
}

describe.each(cases.map((c) => [c.demo.meal.name, c] as const))('%s', (_, c) => {
	const { plan, demo, request } = c;
	const odds = oddsOf(c);

	test('its steps end around their planned ends, none before the plan begins', () => {
		for (const s of plan.steps) {
			const { end } = odds.tasks[s.id]!;
			expect(end.p10, s.id).toBeGreaterThan(plan.from);
			expect(end.p10).toBeLessThanOrEqual(end.p50);
			expect(end.p50).toBeLessThanOrEqual(end.p90);
			// Held, a step that takes its usual time ends no sooner than planned.
			expect(end.p90, s.id).toBeGreaterThan(s.to - 60);
		}
	});

	test('a course is late as its quantiles say, and all are on time no more often than each', () => {
		for (const s of plan.services) {
			const { onTime, slip } = odds.services[s.course]!;
			expect(odds.onTime).toBeLessThanOrEqual(onTime + 1e-9);
			expect(slip.p50).toBeLessThanOrEqual(slip.p80);
			expect(slip.p80).toBeLessThanOrEqual(slip.p95);
			expect(odds.late[s.course]).toHaveLength(101);
			const shareOnTime = odds.late[s.course]!.filter((late) => late <= 120).length / 101;
			expect(Math.abs(shareOnTime - onTime)).toBeLessThan(0.02);
		}
	});

	test('begun as soon as they can, steps make no course later', () => {
		const early = oddsOf(c, { begin: 'early' });
		expect(early.onTime).toBeGreaterThanOrEqual(odds.onTime);
	});

	test('with nothing going wrong mishaps cost nothing; the more there are, the less often it is on time', () => {
		const [none, some, many] = [0, 1, 4].map((mishaps) => oddsOf(c, { mishaps }));
		expect(none).toEqual(odds);
		expect(some!.onTime).toBeLessThan(odds.onTime);
		expect(many!.onTime).toBeLessThan(some!.onTime);
		for (const s of plan.services)
			expect(many!.services[s.course]!.slip.p95).toBeGreaterThanOrEqual(odds.services[s.course]!.slip.p95);
	});

	test('planned anew on the way, all that is served has its end, and evenings cost no more than without', () => {
		const [as, anew] = [oddsOf(c, {}, 12), oddsOf(c, { begin: 'replan' }, 12)];
		expect(anew.runs).toBe(12);
		for (const s of plan.steps) expect(anew.tasks[s.id]!.end.p50, s.id).toBeGreaterThan(plan.from);
		// A plan of the rest is gone on with only where it is worth it.
		expect(anew.cost).toBeLessThan(1.05 * as.cost);
		expect(anew.cost).not.toBe(as.cost);
	});

	test('what is eaten hot is cooler the longer it waits, and never colder than the room', () => {
		const eaten = (part: string, wait: number) => eatenAfter(plan, demo.kitchen, [...library.values()], part, wait);
		const hot = plan.parts.filter((p) => eaten(p.id, 0));
		expect(hot.length).toBeGreaterThan(0);
		for (const p of hot) {
			const at = [0, 300, 1200, 36_000].map((wait) => eaten(p.id, wait)!.celsius);
			expect(at, p.name).toEqual(at.toSorted((a, b) => b - a));
			expect(at[0]).toBeLessThan(90);
			expect(at[0], p.name).toBeGreaterThan(40);
			expect(at[3]).toBeGreaterThan(15);
		}
	});

	test('blame goes to what takes longer than planned, one step of each part, the worst first', () => {
		const blame = blameOf(odds, plan);
		expect(blame.length).toBeGreaterThan(0);
		expect(blame.map((b) => b.delay)).toEqual(blame.map((b) => b.delay).toSorted((a, b) => b - a));
		const parts = blame.map((b) => plan.steps.find((s) => s.id === b.step)?.part);
		expect(new Set(parts).size).toBe(parts.length);
		const spoken = speakPlan(plan, 'metric');
		expect(wordChance(0.61, blame, spoken)).toMatch(/^61 evenings in 100 on time; .+ is to blame in \d+$/);
		expect(wordChance(1, blame, spoken)).toBe('Every evening on time');
		for (const b of blame) {
			expect(plan.steps.find((s) => s.id === b.step)!.sigma).toBeGreaterThan(0);
			// Nobody is blamed for an evening that was on time.
			expect(b.share).toBeLessThanOrEqual(1 - odds.onTime + 1e-9);
			expect(b.share).toBeLessThanOrEqual(odds.tasks[b.step]!.critical);
			expect(wordBlame(b, spoken)).toMatch(/^.+: .+ \(.+, in \d+ of 100\)$/);
		}
	});

	test('a step has all of its spread, its own and what it shares', () => {
		const spreads = spreadsOf(plan);
		for (const s of plan.steps) {
			const { sigma, shared = {}, mu } = spreads[s.id]!;
			expect(Math.hypot(sigma, ...Object.values(shared))).toBeCloseTo(s.sigma, 9);
			expect(mu).toBe(s.mu);
		}
	});

	test('room behind the steps is a plan without it too, and is kept in what it brings', () => {
		const { problem } = compileDemo(demo);
		const roomy = withRoomBehind(problem, (id) => plan.steps.find((s) => s.id === id)?.sigma ?? 0, 0.75);
		const answer = solveNow(roomy, { budget: 6000, infeasible: 'say' });
		if (answer.starts) {
			const plain = { ...answer, objective: undefined, bound: undefined, status: 'feasible' as const };
			const broken = checkSchedule(problem, plain).violations.filter((v) => !v.startsWith('says '));
			expect(broken).toEqual([]);
		}
		const outcome = planMealNow({ ...request, meal: withRoom(demo.meal, 'some') });
		expect(outcome.kind).toBe('plan');
		if (outcome.kind !== 'plan') return;
		const compiled = compileDemo(demo);
		expect(Object.keys(scheduleOf(outcome.plan, compiled, demo.kitchen).starts ?? {}).length).toBeGreaterThan(10);
	});
});

test('in the middle of the work no service waits for room', () => {
	for (const { demo, request } of cases) {
		const roomy = { ...request, meal: withRoom(demo.meal, 'some') };
		const outcome = planMealNow(roomy);
		if (outcome.kind !== 'plan') throw new Error(outcome.kind);
		const { plan } = outcome;
		const clock = plan.from + 0.4 * (plan.to - plan.from);
		const run = runUntil(runOf(plan), clock);
		const late = viewRun(run, instantAt(run, clock)).on[0]?.step.id ?? plan.steps[0]!.id;
		const told = withEvent(run, { kind: 'late', step: late, seconds: 240 }, instantAt(run, clock));
		const standing = standingOf(told, instantAt(told, clock));
		const services = (meal: typeof demo.meal) => {
			const again = planMealNow({ ...roomy, meal, standing });
			return again.kind === 'plan' ? again.plan.services.map((s) => s.at) : again.kind;
		};
		expect(services(roomy.meal)).toEqual(services(demo.meal));
	}
});

test('what is found comes in its order: the odds, better known, then what other room brings', () => {
	const [, brunch] = cases;
	const found = [...rehearsals(brunch!.request, brunch!.plan, asPlanned)].filter((f) => f !== undefined);
	const kinds = found.map((f) => f.kind);
	expect(kinds.indexOf('offer')).toBeGreaterThan(kinds.lastIndexOf('odds'));
	const offers = found.flatMap((f) => (f.kind === 'offer' ? [f.offer] : []));
	const all = offers.filter((o) => o.part === undefined);
	expect(all.map((o) => o.room)).toEqual([...rooms]);
	expect(all.map((o) => o.meal.room)).toEqual([...rooms]);
	const own = offers.filter((o) => o.part !== undefined);
	expect(own.length).toBeGreaterThan(0);
	for (const o of own) {
		expect(o.meal.parts.filter((p) => p.room !== undefined).map((p) => p.id)).toEqual([o.part]);
		expect(wordRoom(o.room, 'Gratin')).toBe('With some room behind the steps of gratin');
		// Behind one part there is less to wait for than behind all.
		expect(o.begins).toBeGreaterThanOrEqual(all.find((a) => a.room === o.room)!.begins - 60);
	}
	const without = [...roomOffers({ ...brunch!.request, meal: withRoom(brunch!.demo.meal, 'much') }, brunch!.plan)];
	expect(without.flatMap((o) => (o ? [o.room] : []))).toEqual([undefined, 'some']);
	// Room behind one part is taken off by the same offer.
	const { meal } = brunch!.demo;
	const one = withPartRoom(meal, meal.parts[0]!.id, 'some');
	expect([hasRoom(meal), hasRoom(one), hasRoom(withRoom(one, undefined))]).toEqual([false, true, false]);
	const back = [...roomOffers({ ...brunch!.request, meal: one }, brunch!.plan)].find((o) => o && o.room === undefined);
	expect(back?.meal).toEqual(meal);
});

test('only what brings something is offered', () => {
	const meal = cases[0]!.demo.meal;
	const offer = (room: RoomOffer['room'], onTime: number, begins: number, waiting = 0) => ({
		room,
		onTime,
		begins,
		waiting,
		meal
	});
	const [some, much] = [offer('some', 0.3, 5000), offer('much', 0.5, 6000)];
	expect(worthWhile([some, much], 0.1)).toEqual([much]);
	expect(worthWhile([some, offer('much', 0.5, 4000)], 0.1)).toHaveLength(2);
	expect(worthWhile([some], 0.29)).toEqual([]);
	expect(worthWhile([offer(undefined, 0.1, 7000)], 0.5)).toHaveLength(1);
});

test('where a minute buys most: evenings gained for each minute that work begins earlier or food waits', () => {
	const { meal } = cases[0]!.demo;
	const offer = (onTime: number, begins: number, waiting = 0): RoomOffer => ({
		room: 'some',
		onTime,
		begins,
		waiting,
		meal
	});
	const [dear, cheap, slow] = [offer(0.9, 3000), offer(0.7, 5700), offer(0.75, 5700, 1200)];
	expect(bestBuy([dear, cheap, slow], 0.5, 6000)).toBe(cheap);
	expect(bestBuy([offer(0.51, 6000)], 0.5, 6000)).toBeUndefined();
});

test('a chance is that of as many evenings rehearsed; what a problem has besides counts', () => {
	const { request, plan } = cases[1]!;
	const end = <T>(stream: Generator<undefined, T>): T => {
		for (;;) {
			const step = stream.next();
			if (step.done) return step.value;
		}
	};
	const chance = end(chanceOf(request, plan));
	expect(chance).toBe(end(oddsOfPlan(request, plan, asPlanned, 1024))?.onTime);
	const later = end(
		chanceOf(request, plan, (p) => ({ ...p, services: p.services.map((s) => ({ ...s, due: s.due + 7200 })) }))
	);
	expect(later).toBeGreaterThan(0.99);
});

test('words: none and all only where that is so, times as a cook rounds them', () => {
	expect([0, 0.001, 0.5, 0.999, 1].map(inHundred)).toEqual([0, 1, 50, 99, 100]);
	expect(wordOnTime(0.61)).toBe('61 evenings in 100 on time');
	expect(wordOnTime(0.01)).toBe('1 evening in 100 on time');
	expect(wordOnTime(1)).toBe('Every evening on time');
	expect(wordLate({ p50: 0, p80: 0, p95: 10, mean: 1 })).toBe('hardly ever late');
	expect(wordLate({ p50: 0, p80: 95, p95: 240, mean: 50 })).toBe(
		'half of them on time, four in five at most 1½ min late, 19 in 20 at most 4 min late'
	);
	expect([0, 1, 3].map(wordMishaps)).toEqual(['none', 'one an hour', '3 an hour']);
	const at = (celsius: number) => ({ celsius, least: 55 });
	expect(wordEaten(undefined, at(40))).toBe('');
	expect(wordEaten(at(61.2), at(60.4))).toBe('; 61 °C at the first bite');
	expect(wordEaten(at(58), at(49))).toBe('; 58 °C at the first bite, in one of ten 49 °C, which is too cool');
	expect(wordWait({ p50: 100, p90: 30 })).toBe('hardly waits');
	expect(wordPriceOfRoom({ begins: 60_000, waiting: 240 }, 60_420)).toMatch(
		/^begin 7 min earlier \(16:40\); food waits 4 min longer in all$/
	);
	expect(wordPriceOfRoom({ begins: 60_338, waiting: 77 }, 60_420)).toBe(
		'begin 1½ min earlier (16:45); food waits 1½ min longer in all'
	);
	expect(wordWait({ p50: 0, p90: 150 })).toBe('hardly waits, in one of ten 3 min or more');
	expect(wordPriceOfRoom({ begins: 60_420, waiting: 0 }, 60_420)).toBe('begin at 16:47 as now');
});
