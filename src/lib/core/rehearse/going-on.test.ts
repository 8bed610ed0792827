// Going on as before, or by a plan made anew: the same plan promises the same, before anything has happened it is the rehearsal's
// own answer, and what is chosen is, on evenings that the choice has not seen, no dearer than what is not.
import { describe, expect, test } from 'vitest';
import { library } from '../library/library';
import type { Plan } from '../model/plan';
import { seek } from '../plan/seek';
import type { Standing } from '../plan/replan';
import { instantAt } from '../run/events';
import { standingOf } from '../run/view';
import { demoCases, planDemo } from '../testing/demo-plan';
import { runOf, runUntil, withEvent } from '../testing/some-run';
import { oddsOfPlan } from './evening';
import { isWorthIt, prospects } from './going-on';
import { asPlanned } from './how';

const cases = demoCases.map((demo) => {
	const plan = planDemo(demo, 4000);
	return { demo, plan, request: { ...demo, techniques: [...library.values()], seed: 1 } };
});
type Case = (typeof cases)[number];

/** All as planned until a share of the evening is over, then what is on longest takes so many seconds more. */
function lateAt({ plan }: Case, share: number, seconds: number) {
	const clock = plan.from + share * (plan.to - plan.from);
	const run = runUntil(runOf(plan), clock);
	const on = standingOf(run, instantAt(run, clock)).begun.filter((b) => b.to > clock);
	const longest = on.toSorted((a, b) => b.to - b.from - (a.to - a.from))[0];
	if (!longest) return undefined;
	const told = withEvent(run, { kind: 'late', step: longest.step, seconds }, instantAt(run, clock));
	return standingOf(told, instantAt(told, clock));
}

function anewFor({ request }: Case, standing: Standing): Plan | undefined {
	const search = seek({ ...request, budget: 3000, standing });
	for (;;) {
		const step = search.next();
		if (step.done) return step.value.kind === 'answer' ? step.value.plan : undefined;
	}
}

const prospect = (cost: number) => ({ cost, onTime: 0 });

describe.each(cases.map((c) => [c.demo.meal.name, c] as const))('%s', (_, c) => {
	test('before anything has happened going on is what a rehearsal says', () => {
		const { plan, request } = c;
		const standing = standingOf(runOf(plan), instantAt(runOf(plan), plan.from - 3600));
		const both = prospects({ ...request, standing }, plan, 2048);
		const stream = oddsOfPlan(request, plan, asPlanned, 2048);
		let odds;
		for (let step = stream.next(); ; step = stream.next()) {
			if (!step.done) continue;
			odds = step.value;
			break;
		}
		expect(both?.goOn).toEqual(both?.anew);
		expect(both?.reading).toBe(0);
		// A rehearsal has touches late as well: ten seconds on the mean each.
		expect(both?.goOn.onTime).toBeGreaterThanOrEqual((odds?.onTime ?? 1) - 0.04);
		expect(both?.goOn.onTime).toBeLessThanOrEqual((odds?.onTime ?? 0) + 0.25);
	});

	test('the more time is lost the dearer it is to go on, and no plan promises to be sooner than what has happened', () => {
		let before = -Infinity;
		for (const seconds of [0, 600, 1800, 3600]) {
			const late = lateAt(c, 0.5, seconds);
			if (!late) throw new RangeError('nothing is on');
			const both = prospects({ ...c.request, standing: late }, late.plan);
			expect(both?.goOn.cost).toBeGreaterThanOrEqual(before - 1e-6);
			before = both?.goOn.cost ?? NaN;
		}
		expect(before).toBeGreaterThan(0);
	});

	test('what is chosen costs no more on evenings that the choice has not seen', () => {
		let count = 0;
		for (const share of [0.3, 0.5, 0.7]) {
			for (const seconds of [-120, 90, 300]) {
				const standing = lateAt(c, share, seconds);
				const plan = standing && anewFor(c, standing);
				if (!standing || !plan) continue;
				const on = (seed: number, evenings: number) => prospects({ ...c.request, seed, standing }, plan, evenings);
				const [seen, fresh] = [on(1, 256), on(99, 2048)];
				if (!seen || !fresh) throw new RangeError('no prospects');
				const anew = fresh.anew.cost + fresh.reading;
				const [chosen, other] = isWorthIt(seen) ? [anew, fresh.goOn.cost] : [fresh.goOn.cost, anew];
				expect(chosen, `at ${share}, ${seconds} s`).toBeLessThanOrEqual(1.04 * other);
				count++;
			}
		}
		expect(count).toBeGreaterThan(3);
	});

	test('where all is over but one step, the rest is as likely on time as that one ends in time', () => {
		const { plan, request } = c;
		const last = plan.services.reduce((a, b) => (a.at > b.at ? a : b));
		const before = runUntil(runOf(plan), last.at - 20);
		const standing = standingOf(before, instantAt(before, last.at - 20));
		const both = prospects({ ...request, standing }, standing.plan, 512);
		// Twenty seconds before it goes out, two minutes of grace are enough.
		expect(both?.goOn.onTime).toBeGreaterThan(0.95);
	});
});

test.each<[number, number, number, boolean]>([
	[2, 1, 0, true],
	[2, 1, 0.9, true],
	[2, 1, 1, false],
	[1, 1, 0, false],
	[1, 0.995, 0, false],
	[1, 2, 0, false]
])('going on costs %d, anew %d, to read it %d: worth it is %s', (goOn, anew, reading, isWorth) => {
	expect(isWorthIt({ goOn: prospect(goOn), anew: prospect(anew), reading })).toBe(isWorth);
});
