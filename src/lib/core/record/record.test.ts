// The record: what a log says of an evening, what evenings teach against a plain solution of the same equations, merging.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { noise } from '../learn/factors';
import { library } from '../library/library';
import type { Kitchen } from '../model/kitchen';
import { shoppingOf, yieldingOf } from '../model/quantities';
import { platingKey, recordKey } from '../model/record-key';
import { active, instantAt, planClock } from '../run/events';
import { cuesOf } from '../run/cues';
import { normalOf, uniformOf } from '../rehearse/luck';
import { compileDemo, demoCases, planDemo } from '../testing/demo-plan';
import { mutated } from '../testing/mutate';
import { drawer } from '../testing/odd-problem';
import { runOf, runUntil, withEvent } from '../testing/some-run';
import {
	holding,
	mergedEvening,
	newestFirst,
	readEvening,
	tookOf,
	verdictOn,
	withSaid,
	type CookedEvening,
	type CookedStep,
	type Said
} from './evening';
import { wordLesson, wordLessonEffect } from '../words/record';
import { eveningFrom } from './from-run';
import { calibrationOf, missedOver, stepHistory } from './honesty';
import { lessonsOf, pointsOf, withHeldBack, withLesson, withoutLesson } from './lessons';
import { lossOf, teaches } from './taught';
import { examplesOf } from './pretend';
import { cookedTechniques, differing, trialsOf } from './trials';
import { effectsOf, sensitivityOf } from './usual-in';

const [harvest] = demoCases;
if (!harvest) throw new RangeError('no demo meal');
const { meal, kitchen } = harvest;
const plan = planDemo(harvest, 500);
const sensitivity = sensitivityOf(meal, kitchen, library, plan);
const around = { meal, kitchen, sensitivity, say: () => undefined };
const whole = runUntil(runOf(plan), plan.to + 3600);

describe('an evening from its log', () => {
	test('done as planned, each step took what it was planned to, and each course went out when it was to', () => {
		const evening = eveningFrom(whole, around);
		expect(evening.courses.every((c) => c.out === c.planned)).toBe(true);
		const timed = evening.steps.filter((s) => tookOf(s) !== undefined);
		expect(timed.length).toBeGreaterThan(0.75 * evening.steps.length);
		for (const step of timed) {
			const planned = plan.steps.find((s) => s.id === step.id);
			// What is taken out is over when that begins.
			const out = planned?.hands.find((h) => !h.whole && h.from > planned.from && h.to >= planned.to);
			const off = (tookOf(step) ?? 0) - ((planned?.to ?? 0) - (planned?.from ?? 0));
			if (planned) expect(Math.abs(off), step.id).toBeLessThanOrEqual(60 + (out ? out.to - out.from : 0));
			expect([step.from, step.to]).toEqual(planned ? [planned.from, planned.to] : [step.from, step.to]);
			expect(step.p10).toBeLessThanOrEqual(step.p50);
			expect(step.p50).toBeLessThanOrEqual(step.p90);
		}
		for (const part of evening.parts) expect(part.served).toBeDefined();
	});

	test('of what was not tapped nothing is known, and nothing is made up', () => {
		const evening = eveningFrom(runOf(plan), around);
		expect(evening.steps.every((s) => s.began === undefined && s.ended === undefined)).toBe(true);
		expect(evening.courses.every((c) => c.out === undefined)).toBe(true);
		expect(lessonsOf([evening], kitchen, evening.date)).toEqual([]);
	});

	test('it knows more and more, and never an end before a beginning', () => {
		let known = 0;
		for (let k = 1; k <= 8; k++) {
			const clock = plan.from + ((plan.to - plan.from) * k) / 8;
			const evening = eveningFrom(runUntil(runOf(plan), clock), around);
			const ended = evening.steps.filter((s) => s.ended !== undefined);
			expect(ended.length).toBeGreaterThanOrEqual(known);
			for (const s of ended) expect(s.ended).toBeLessThanOrEqual(clock + 60);
			for (const s of ended) if (s.began !== undefined) expect(s.began).toBeLessThanOrEqual(s.ended ?? 0);
			known = ended.length;
		}
	});

	test('what was taken back is not in it, in whatever order the events came', () => {
		const last = active(whole.events).findLast((e) => e.kind === 'done');
		const undone = withEvent(whole, { kind: 'undo', event: last?.id ?? '' }, instantAt(whole, plan.to + 3600));
		const without = { ...whole, events: whole.events.filter((e) => e.id !== last?.id) };
		expect(eveningFrom(undone, around)).toEqual(eveningFrom(without, around));
		expect(eveningFrom({ ...whole, events: whole.events.toReversed() }, around)).toEqual(eveningFrom(whole, around));
	});

	test('handwork that a cook was called away from, and a part that failed, teach nothing', () => {
		const work = plan.steps.find((s) => s.hands.some((h) => h.whole) && s.to - s.from > 240);
		if (!work) throw new RangeError('no handwork');
		const half = (work.from + work.to) / 2;
		const before = runUntil(runOf(plan), work.from);
		const away = withEvent(
			before,
			{ kind: 'out', what: work.hands[0]?.cook ?? '', seconds: 120 },
			instantAt(before, half)
		);
		const step = (run: typeof whole) => eveningFrom(runUntil(run, plan.to), around).steps.find((s) => s.id === work.id);
		expect(step(before)?.disturbed).toBeUndefined();
		expect(step(away)?.disturbed).toBe(true);
		const part = plan.parts.find((p) => p.id === work.part);
		const failed = withEvent(before, { kind: 'failed', part: part?.of ?? '' }, instantAt(before, half));
		expect(step(failed)?.disturbed).toBe(true);
	});

	test('handwork without a tap for its beginning begins with the end of the work before, at the earliest when due', () => {
		const works = plan.steps.filter((s) => s.hands.some((h) => h.whole)).toSorted((a, b) => a.from - b.from);
		const cook = works[0]?.hands[0]?.cook;
		const evening = eveningFrom(whole, around);
		const own = works.filter((s) => s.hands[0]?.cook === cook).map((s) => evening.steps.find((x) => x.id === s.id));
		let free = -Infinity;
		for (const s of own) {
			if (s?.began === undefined || s.ended === undefined) continue;
			expect(s.began).toBeGreaterThanOrEqual(free);
			free = s.ended;
		}
	});

	test('a step that is seen to be done before its time ended then, by sight', () => {
		const long = plan.steps.find((s) => s.kind === 'cook' && s.sign !== undefined && s.hands.every((h) => !h.whole));
		if (!long) throw new RangeError('no long step');
		const at = long.from + 0.7 * (long.to - long.from);
		const run = runUntil(runOf(plan), at);
		const seen = withEvent(run, { kind: 'late', step: long.id, seconds: Math.round(at - long.to) }, instantAt(run, at));
		const step = eveningFrom(seen, around).steps.find((s) => s.id === long.id);
		expect(step?.how).toBe('seen');
		expect(step?.ended).toBeCloseTo(at, 0);
		// That it takes a minute less than planned is no end of it.
		const shorter = withEvent(run, { kind: 'late', step: long.id, seconds: -60 }, instantAt(run, at));
		expect(eveningFrom(shorter, around).steps.find((s) => s.id === long.id)?.ended).toBeUndefined();
	});

	test('a thermometer in the oven is kept with what the knob was at', () => {
		const baked = plan.steps.find((s) => s.setting !== undefined && s.lane === 'oven');
		if (!baked) throw new RangeError('nothing in the oven');
		const run = withEvent(whole, { kind: 'heat', station: 'oven', celsius: 212 }, instantAt(whole, baked.from + 60));
		expect(eveningFrom(run, around).heats).toEqual([
			{
				lane: 'oven',
				at: Math.round(planClock(whole, instantAt(whole, baked.from + 60))),
				knob: baked.knob ?? baked.setting,
				celsius: 212
			}
		]);
	});

	test('it comes back from JSON as it was; what is changed in it is refused or read, never thrown at', () => {
		const evening = eveningFrom(whole, around);
		const text = JSON.stringify(evening);
		const read = readEvening(JSON.parse(text));
		expect(read.ok && JSON.stringify(read.value)).toBe(text);
		for (let n = 0; n < 60; n++) {
			const again = readEvening(mutated(JSON.parse(text), drawer(n)));
			if (!again.ok) expect(again.issues.length).toBeGreaterThan(0);
		}
	});
});

describe('what was said', () => {
	const base = eveningFrom(whole, around);
	const [first] = base.parts;
	const part = first?.id ?? '';
	const anySaid = fc.array(
		fc.record({ n: fc.nat(8), at: fc.nat(20), done: fc.integer({ min: -2, max: 2 }), by: fc.constantFrom('a', 'b') }),
		{ maxLength: 12 }
	);
	const saidOf = (list: readonly { n: number; at: number; done: number; by: string }[]): readonly Said[] =>
		list.map(({ n, at, done, by }) => ({ id: `${by}-${n}-${at}-${done}`, at, by, kind: 'verdict', part, done }));

	test('two accounts of one evening come together: each thing once, whichever comes first', () => {
		fc.assert(
			fc.property(anySaid, anySaid, fc.double({ min: 0, max: 1, noNaN: true }), (mine, theirs, share) => {
				const half = eveningFrom(runUntil(runOf(plan), plan.from + share * (plan.to - plan.from)), around);
				const a = { ...base, said: [...saidOf(mine)] };
				const b = { ...half, said: [...saidOf(theirs)] };
				const both = mergedEvening(a, b);
				expect(mergedEvening(b, a).said).toEqual(both.said);
				expect(new Set(both.said.map((s) => s.id)).size).toBe(both.said.length);
				expect(new Set(both.said.map((s) => s.id))).toEqual(new Set([...a.said, ...b.said].map((s) => s.id)));
				expect(mergedEvening(both, a)).toEqual(both);
				// What either knows is known.
				for (const s of a.steps.filter((x) => x.ended !== undefined))
					expect(both.steps.find((x) => x.id === s.id)?.ended).toBeDefined();
				expect(verdictOn(both, part)).toEqual(verdictOn(mergedEvening(b, a), part));
			}),
			{ numRuns: 25, seed: 3 }
		);
	});

	test('a verdict is the last answer to each question; what is taken back is not held', () => {
		const at = (n: number, saying: object) => ({ id: `s${n}`, at: n, by: 'x', ...saying }) as Said;
		const evening = [
			at(1, { kind: 'verdict', part, done: -1, word: 'pale' }),
			at(2, { kind: 'verdict', part, worth: 4 }),
			at(3, { kind: 'verdict', part, done: 1 }),
			at(4, { kind: 'note', text: 'more salt' }),
			at(5, { kind: 'taken back', what: 's4' }),
			at(6, { kind: 'weighed', part, raw: 800, cooked: 640 })
		].reduce(withSaid, base);
		expect(verdictOn(evening, part)).toMatchObject({ done: 1, worth: 4, word: 'pale' });
		expect(holding(evening).map((s) => s.id)).not.toContain('s4');
		expect(lossOf(evening, part)).toBeCloseTo(0.2, 9);
		expect(lossOf(base, part)).toBeUndefined();
	});

	test('evenings are listed once each, the newest first', () => {
		const later = { ...base, id: 'later', origin: base.origin + 1 };
		expect(newestFirst([base, later, { ...base, covers: 9 }]).map((e) => [e.id, e.covers])).toEqual([
			['later', base.covers],
			[base.id, 9]
		]);
	});
});

/** An evening of bare steps, for what they teach. */
function eveningOf(
	n: number,
	steps: readonly Partial<CookedStep>[],
	heats: CookedEvening['heats'] = []
): CookedEvening {
	const date = `2026-03-${String(1 + n).padStart(2, '0')}`;
	return {
		...eveningFrom(runOf(plan, { run: `e${n}`, date }), around),
		heats,
		steps: steps.map((s, i) => ({
			id: `p/${i}`,
			key: `k/${i}`,
			say: 'Do',
			kind: 'heat',
			from: 0,
			to: 600,
			model: 600,
			sigma: 0.3,
			p10: 500,
			p50: 600,
			p90: 700,
			began: 0,
			...s
		}))
	};
}

describe('what evenings teach', () => {
	const cook = kitchen.cooks[0]?.id ?? '';
	const burner = kitchen.stations.find((s) => s.kind === 'burner');
	const power = burner?.kind === 'burner' ? burner : undefined;
	if (!power) throw new RangeError('no burner');

	test('within a day it is the ridge regression of all records at once', () => {
		// Two kinds of handwork and two boils on one burner, all in one day: nothing is forgotten, nothing is far.
		const watts = 2000;
		const luck = (what: string) => 0.1 * normalOf(5, what);
		const hand = (key: string, i: number): Partial<CookedStep> => ({
			key,
			kind: 'hands',
			cook,
			paced: 1,
			pace: 1,
			ended: 600 * Math.exp(-0.2 + luck(`${key} ${i}`))
		});
		const boil = (key: string, i: number): Partial<CookedStep> => ({
			key,
			sigma: 0.1,
			equipment: { kind: 'burner', id: power.id, watts, per: -1.1 },
			ended: 600 * Math.exp(0.12 + luck(`${key} ${i}`))
		});
		const steps = [0, 1, 2].flatMap((i) => [hand('a', i), hand('b', i), boil('c', i), boil('d', i)]);
		const evening = eveningOf(1, steps);
		const lessons = lessonsOf([evening], kitchen, evening.date);
		// Unknowns: steps a, b, c, d, pace, the burner by itself, what it shares with the others.
		const sd = [0.3, 0.3, 0.1, 0.1, 0.2, 0.15 * Math.sqrt(0.36), 0.15 * Math.sqrt(0.64)];
		const rated = (power.fuel === 'induction' ? 0.85 : power.fuel === 'electric' ? 0.74 : 0.4) * power.power;
		const rows = steps.map((s) => {
			const y = Math.log((s.ended ?? 0) / 600);
			const isHand = s.kind === 'hands';
			const v = ['a', 'b', 'c', 'd'].map((k) => (k === s.key ? 1 : 0));
			return {
				v: [...v, isHand ? 1 : 0, isHand ? 0 : -1.1, isHand ? 0 : -1.1],
				y: isHand ? y : y - 1.1 * Math.log(watts / rated),
				sigma: isHand ? noise.hands : noise.heat
			};
		});
		const A = sd.map((own, i) =>
			sd.map(
				(_, j) => (i === j ? 1 / own ** 2 : 0) + rows.reduce((sum, r) => sum + (r.v[i]! * r.v[j]!) / r.sigma ** 2, 0)
			)
		);
		const b = sd.map((_, i) => rows.reduce((sum, r) => sum + (r.v[i]! * r.y) / r.sigma ** 2, 0));
		const x = solved(A, b);
		const mean = (id: string) => lessons.find((l) => l.id === id)?.mean;
		['step a', 'step b', 'step c', 'step d', `pace ${cook}`].forEach((id, i) => {
			expect(mean(id), id).toBeCloseTo(x[i]!, 9);
		});
		expect(mean(`burner ${power.id}`)).toBeCloseTo(x[5]! + x[6]!, 9);
	});

	test('what was assumed then is taken out: records before and after a change of the kitchen say the same', () => {
		const truth = 1800;
		const boil = (watts: number, n: number): CookedEvening =>
			eveningOf(n, [
				{
					key: 'c',
					sigma: 0.05,
					equipment: { kind: 'burner', id: power.id, watts, per: -1 },
					ended: (600 * watts) / truth
				}
			]);
		const rated = [0, 1, 2, 3, 4, 5].map((n) => boil(2550, n));
		const mixed = [0, 1, 2, 3, 4, 5].map((n) => boil(n < 3 ? 2550 : 1900, n));
		const watts = (evenings: readonly CookedEvening[]) =>
			lessonsOf(evenings, kitchen, '2026-03-07').find((l) => l.about === 'burner')?.value ?? NaN;
		expect(watts(mixed) / watts(rated)).toBeCloseTo(1, 6);
		expect(Math.abs(watts(rated) - truth)).toBeLessThan(Math.abs(2550 - truth));
	});

	test('few records are not enough; what came between, what the clock ended and what was put away teach nothing', () => {
		const quick = { key: 'a', kind: 'hands' as const, cook, paced: 1, pace: 1, ended: 420 };
		const two = eveningOf(1, [quick, quick]);
		const lesson = (evenings: readonly CookedEvening[]) =>
			lessonsOf(evenings, kitchen, '2026-03-20').find((l) => l.id === `pace ${cook}`);
		expect(lesson([two])).toMatchObject({ isEnough: false, isNew: false, records: 2, evenings: 1 });
		for (const not of [{ disturbed: true }, { byClock: true }, { how: 'left out' as const }, { ended: 30_000 }]) {
			const step = eveningOf(1, [{ ...quick, ...not }]).steps[0];
			expect(step && teaches(step)).toBe(false);
			expect(lesson([eveningOf(1, [{ ...quick, ...not }])])).toBeUndefined();
		}
		expect(lesson([{ ...two, archived: true }])).toBeUndefined();
		expect(lesson([{ ...two, kitchen: 'another' }])).toBeUndefined();
	});

	test('thermometers alone find an oven that is off, and an oven that was replaced is believed soon', () => {
		const read = (n: number, off: number) =>
			eveningOf(
				n,
				[],
				[0, 1].map((k) => ({ lane: 'oven', at: k, knob: 180, celsius: 180 + off + 3 * normalOf(9, `${n} ${k}`) }))
			);
		const oven = (evenings: readonly CookedEvening[]) =>
			lessonsOf(evenings, kitchen, '2026-03-28').find((l) => l.about === 'oven');
		const old = Array.from({ length: 8 }, (_, n) => read(n, 20));
		expect(oven(old)?.value).toBeCloseTo(20, -0.7);
		const fresh = [...old, ...Array.from({ length: 3 }, (_, n) => read(10 + n, -5))];
		expect(Math.abs((oven(fresh)?.value ?? NaN) + 5)).toBeLessThan(8);
		const points = pointsOf(fresh, kitchen, oven(fresh)!, lessonsOf(fresh, kitchen, '2026-03-28'));
		expect(points).toHaveLength(11);
		expect(points[0]!.value - points.at(-1)!.value).toBeGreaterThan(15);
	});

	test('weighings say what the heat leaves: found by its own share, bought by it once it is accepted, and taken back', () => {
		const duck = library.get('duck-breast')!;
		const table = yieldingOf(duck)!.left;
		const leftOf = (id: string) => (id === duck.id ? table : undefined);
		const truth = 0.9 * table;
		const weighed = (n: number, share = truth): CookedEvening => {
			const evening = eveningOf(n, []);
			const at = evening.origin + n;
			const [first] = eveningFrom(whole, around).parts;
			const part = { ...first!, technique: duck.id };
			const cooked = 1000 * share * Math.exp(0.03 * normalOf(4, `${n}`));
			return {
				...evening,
				parts: [part],
				said: [{ id: `w${n}`, at, by: 'x', kind: 'weighed', part: part.id, raw: 1000, cooked }]
			};
		};
		const of = (evenings: readonly CookedEvening[], k = kitchen) =>
			lessonsOf(evenings, k, '2026-03-20', leftOf).find((l) => l.about === 'yield');
		const six = Array.from({ length: 6 }, (_, n) => weighed(n));
		const lesson = of(six)!;
		expect(lesson.value / truth).toBeGreaterThan(0.97);
		expect(lesson.value / truth).toBeLessThan(1.05);
		expect(lesson).toMatchObject({ isEnough: true, isNew: true, isTaken: false, now: table });
		expect(wordLesson(lesson, kitchen, six)).toMatch(/% of the raw weight is left by the heat; quantities take 70 %$/);
		expect(wordLessonEffect({ steps: 0, seconds: 0 }, lesson)).toMatch(/^Of it \d+ % more is bought/);
		// One weighing is not enough, what was typed wrong is none, and what no table knows teaches nothing.
		expect(of([weighed(0)])?.isEnough).toBe(false);
		expect(of([weighed(0, 0.05)])).toBeUndefined();
		expect(lessonsOf(six, kitchen, '2026-03-20').some((l) => l.about === 'yield')).toBe(false);
		const taken = withLesson(kitchen, lesson);
		expect(of(six, taken)).toMatchObject({ isNew: false, isTaken: true });
		const only = { ...meal, parts: meal.parts.filter((p) => p.technique === duck.id) };
		const bought = (learnt: Kitchen['learnt']) =>
			shoppingOf(only, library, learnt).find((l) => l.name.includes('duck'))!.bought;
		expect(bought(taken.learnt) / bought(undefined)).toBeCloseTo(table / lesson.value, 6);
		expect(withoutLesson(taken, lesson).learnt ?? {}).toEqual(kitchen.learnt ?? {});
		expect(pointsOf(six, kitchen, lesson, [lesson], leftOf)).toHaveLength(6);
	});

	const quicker = Array.from({ length: 5 }, (_, n) =>
		eveningOf(
			n,
			['a', 'b', 'c', 'd'].map((key) => ({ key, kind: 'hands' as const, cook, paced: 1, pace: 1, ended: 450 }))
		)
	);
	const lessons = lessonsOf(quicker, kitchen, '2026-03-06');
	const pace = lessons.find((l) => l.about === 'pace')!;

	test('accepted it is in force and no longer proposed; taken back the kitchen is as it was', () => {
		expect(pace.isNew).toBe(true);
		const taken = withLesson(kitchen, pace);
		expect(taken.cooks[0]?.measuredPace).toBeCloseTo(pace.value, 2);
		expect(lessonsOf(quicker, taken, '2026-03-06').find((l) => l.id === pace.id)?.isNew).toBe(false);
		expect(withoutLesson(taken, pace)).toEqual(kitchen);
		for (const lesson of lessons.filter((l) => l.about === 'step')) {
			const changed = withLesson(kitchen, lesson);
			expect(changed.learnt?.[lesson.of]).toMatchObject({ records: lesson.records });
			expect(withoutLesson(changed, lesson).learnt).toEqual({});
		}
	});

	test('held back it rests until it has moved', () => {
		const held = withHeldBack(kitchen, pace);
		const again = (k: Kitchen, evenings = quicker) =>
			lessonsOf(evenings, k, '2026-03-06').find((l) => l.id === pace.id);
		expect(again(held)?.isHeld).toBe(true);
		expect(again({ ...held, heldBack: { [pace.id]: pace.mean + 10 * pace.sd } })?.isHeld).toBe(false);
		// To accept it after all ends that.
		expect(withLesson(held, pace).heldBack).toEqual({});
	});
});

/** x of A x = b by elimination with pivots. */
function solved(A: readonly (readonly number[])[], b: readonly number[]): readonly number[] {
	const rows = A.map((row, i) => [...row, b[i]!]);
	const n = rows.length;
	for (let i = 0; i < n; i++) {
		const best = rows.slice(i).reduce((k, row, at) => (Math.abs(row[i]!) > Math.abs(rows[k]![i]!) ? i + at : k), i);
		[rows[i], rows[best]] = [rows[best]!, rows[i]!];
		for (let k = 0; k < n; k++) {
			if (k === i) continue;
			const f = rows[k]![i]! / rows[i]![i]!;
			rows[k] = rows[k]!.map((v, j) => v - f * rows[i]![j]!);
		}
	}
	return rows.map((row, i) => row[n]! / row[i]!);
}

describe('what was learnt goes into the plans', () => {
	test('every step of every demo takes the factor of its record, and says so', () => {
		for (const demo of demoCases) {
			const before = compileDemo(demo);
			const learnt = Object.fromEntries(
				[...before.trace.steps.values()].map(({ technique, step }) => [
					recordKey(technique.id, step),
					{ mean: 0.2 * (uniformOf(1, recordKey(technique.id, step)) - 0.5), sd: 0.05, records: 9 }
				])
			);
			const after = compileDemo({ meal: demo.meal, kitchen: { ...demo.kitchen, learnt } });
			let compared = 0;
			for (const [id, { technique, step, ways }] of after.trace.steps) {
				const was = before.trace.steps.get(id);
				ways.forEach((way, k) => {
					const old = was?.ways[k];
					// Touches that outlast their step lengthen it, whatever was learnt.
					if (!old || way.timing.learnt === undefined || Math.abs(way.timing.mu - old.timing.mu) < 1e-12) return;
					const factor = learnt[recordKey(technique.id, step)]?.mean ?? 0;
					if (step.hands.kind !== 'touches') expect(way.timing.mu - old.timing.mu).toBeCloseTo(factor, 6);
					expect(way.timing.learnt).toMatchObject({ records: 9 });
					compared++;
				});
			}
			expect(compared).toBeGreaterThan(10);
		}
	});

	test('a plan names what its steps are records of; plating takes its own factor', () => {
		expect(plan.steps.every((s) => s.basis !== undefined && s.basis.model > 0)).toBe(true);
		/** Hands of all that is no step. */
		const hands = (k: Kitchen) => {
			const { problem, trace } = compileDemo({ meal, kitchen: k });
			const plating = new Set([...trace.plating.values()].flat().map((x) => x.task));
			return problem.tasks.filter((t) => plating.has(t.id)).reduce((sum, t) => sum + (t.modes[0]?.duration ?? 0), 0);
		};
		const slow = hands({ ...kitchen, learnt: { [platingKey]: { mean: Math.log(2), sd: 0, records: 5 } } });
		expect(slow).toBeGreaterThan(1.5 * hands(kitchen));
	});

	test('what a lesson changes in a plan is what its steps take more or less', () => {
		const evenings = examplesOf(meal, kitchen, library, plan, Date.UTC(2026, 5, 1));
		const lessons = lessonsOf(evenings, kitchen, '2026-06-01').filter((l) => l.isNew);
		const effects = effectsOf(meal, kitchen, library, plan, lessons);
		const pace = lessons.find((l) => l.about === 'pace');
		expect(effects.get(pace?.id ?? '')?.seconds).toBeLessThan(-60);
		expect(effectsOf(meal, kitchen, library, plan, []).size).toBe(0);
	});
});

describe('how good predictions were', () => {
	test('times drawn from what was told fall inside eight times in ten, and the bounds hold that', () => {
		const told = { mu: Math.log(600), sigma: 0.2 };
		const evenings = Array.from({ length: 40 }, (_, n) =>
			eveningOf(
				n % 28,
				Array.from({ length: 25 }, (_, i) => ({
					p10: Math.exp(told.mu - 1.2815515655446 * told.sigma),
					p50: 600,
					p90: Math.exp(told.mu + 1.2815515655446 * told.sigma),
					ended: Math.exp(told.mu + told.sigma * normalOf(n, `${i}`))
				}))
			)
		);
		const [heat] = calibrationOf(evenings);
		expect(heat?.count).toBe(1000);
		expect((heat?.inside ?? 0) / 1000).toBeCloseTo(0.8, 1);
		expect(heat?.least).toBeLessThan(0.8);
		expect(heat?.most).toBeGreaterThan(0.8);
		expect((heat?.inside ?? 0) + (heat?.below ?? 0) + (heat?.above ?? 0)).toBe(heat?.count);
		// Half of a normal lies within 0.674 of its spread.
		const middle = missedOver(evenings).reduce((sum, m) => sum + m.median, 0) / evenings.length;
		expect(middle).toBeCloseTo(Math.expm1(0.674 * told.sigma), 1);
	});

	test('a step over its evenings, the oldest first', () => {
		const evenings = [3, 1, 2].map((n) => eveningOf(n, [{ key: 'a', ended: 100 * n }]));
		expect(stepHistory(evenings, 'a').map((h) => h.took)).toEqual([100, 200, 300]);
		expect(stepHistory(evenings, 'b')).toEqual([]);
	});
});

describe('trials', () => {
	const base = eveningFrom(whole, around);
	const evenings = [0, 1].map((k) => ({
		...base,
		id: `t${k}`,
		origin: base.origin + k * 86_400_000,
		parts: base.parts.map((p) => ({ ...p, settings: { ...p.settings, thickness: 30 + k, same: 1 } }))
	}));

	test('a technique over its evenings, the newest first, and what differs', () => {
		const [first] = base.parts;
		const trials = trialsOf(evenings, first?.technique ?? '');
		expect(trials.length).toBeGreaterThanOrEqual(2);
		expect(trials[0]?.evening).toBe('t1');
		expect(differing(trials)).toContain('thickness');
		expect(differing(trials)).not.toContain('same');
		for (const t of trials) expect(t.took).toBeGreaterThan(0);
	});

	test('what was cooked is told with how often', () => {
		const cooked = cookedTechniques(evenings);
		expect(cooked.reduce((sum, c) => sum + c.count, 0)).toBe(2 * base.parts.length);
		expect(cooked.map((c) => c.count)).toEqual(cooked.map((c) => c.count).toSorted((a, b) => b - a));
	});

	test('every cue of a plan that ends a step is one that the record can read', () => {
		const known = new Set(cuesOf(plan).flatMap((c) => (c.step === undefined ? [] : [c.step])));
		const evening = eveningFrom(whole, around);
		const unknown = evening.steps.filter((s) => known.has(s.id) && s.kind === 'hands' && tookOf(s) === undefined);
		expect(unknown).toEqual([]);
	});
});
