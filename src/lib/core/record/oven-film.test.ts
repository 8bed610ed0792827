// The film of an oven: found again from the readings of roasts that are not quite what they are thought to be, with the spread that
// it says; from evenings through the log; and what plans make of it.
import { describe, expect, test } from 'vitest';
import { library } from '../library/library';
import type { Kitchen } from '../model/kitchen';
import type { Meal } from '../model/meal';
import type { PlannedStep } from '../model/plan';
import { planMealNow } from '../plan/plan-meal';
import { luckOf } from '../probe/simulate';
import type { Reading } from '../probe/posterior';
import { demoCases } from '../testing/demo-plan';
import { cook, goes } from '../timing/pieces';
import { eveningFrom } from './from-run';
import { lessonsOf, withLesson, withoutLesson } from './lessons';
import { filmOf, roastOf } from './oven-film';
import { cookEvening, gaugesOf, trueTimes } from './pretend';
import { sensitivityOf } from './usual-in';

const air = { room: 21, altitude: 100 };
type Roast = Extract<NonNullable<PlannedStep['facts']>, { kind: 'roast' }>;
const roast = (more: Partial<Roast>): Roast => ({
	kind: 'roast',
	food: 'lean meat',
	thickness: 0.09,
	shape: 'cylinder',
	start: 8,
	oven: { setting: 150, hasFan: true },
	pull: 50,
	peak: 55,
	...more
});

/** A stream from a roast in an oven so much other than it is thought to be. */
function streamOf(facts: Roast, off: { film: number; size: number; kelvin: number; offset: number; seed: number }) {
	const piece = roastOf({ facts }, air);
	if (!piece) throw new RangeError('no roast');
	const setting = facts.oven.setting + off.kelvin;
	const real = {
		...piece,
		bone: Math.exp(off.size),
		where: { ...piece.where, setting, film: Math.exp(off.film) }
	};
	const { seconds } = cook(real);
	const { normal } = luckOf(off.seed);
	return goes(real, seconds, 0)
		.filter((m, i) => i % 3 === 0 && m.at <= seconds)
		.map((m): Reading => [m.at, m.reading + off.offset + 0.3 * normal()]);
}

describe('one roast', () => {
	test.each([
		['a roll', roast({})],
		['a roll, low', roast({ oven: { setting: 120, hasFan: true } })],
		['a large one', roast({ thickness: 0.12, peak: 62 })]
	])('as it is thought to be, %s tells the film of its oven within a tenth', (_, facts) => {
		for (const film of [Math.log(0.7), 0, Math.log(1.3)]) {
			const seen = filmOf({ facts }, air, streamOf(facts, { film, size: 0, kelvin: 0, offset: 0, seed: 7 }));
			expect(Math.abs((seen?.mean ?? NaN) - film)).toBeLessThan(0.1);
			expect(seen?.sd).toBeLessThan(0.15);
		}
	});

	test('in food, ovens and probes as they scatter, eight in ten are within the spread that it says', () => {
		const { normal, uniform } = luckOf(3);
		let [inside, all] = [0, 0];
		for (let n = 0; n < 60; n++) {
			const facts = roast({
				thickness: 0.06 + 0.06 * uniform(),
				oven: { setting: 120 + 60 * uniform(), hasFan: uniform() < 0.7 }
			});
			const [film, kelvin] = [0.25 * normal(), 5 * normal()];
			const readings = streamOf(facts, { film, size: 0.13 * normal(), kelvin, offset: 0.5 * normal(), seed: n });
			const seen = filmOf({ facts }, air, readings);
			if (!seen) throw new RangeError('nothing seen');
			// It speaks of the film for an oven that is as hot as it is set to.
			if (Math.abs(seen.mean + seen.perKelvin * kelvin - film) <= 1.2816 * seen.sd) inside++;
			all++;
		}
		expect(inside / all).toBeGreaterThan(0.68);
		expect(inside / all).toBeLessThan(0.95);
	});

	test('nothing is said of what is no roast in an oven, nor by a handful of readings', () => {
		const facts = roast({});
		const readings = streamOf(facts, { film: 0, size: 0, kelvin: 0, offset: 0, seed: 1 });
		expect(filmOf({ facts: { ...facts, oven: { ...facts.oven, fire: 'grill' } } }, air, readings)).toBeUndefined();
		expect(filmOf({ facts: { ...facts, shape: 'bird' } }, air, readings)).toBeUndefined();
		expect(filmOf({ facts }, air, readings.slice(0, 8))).toBeUndefined();
		expect(filmOf({ facts: undefined }, air, readings)).toBeUndefined();
	});
});

describe('through the log', () => {
	const [harvest] = demoCases;
	if (!harvest) throw new RangeError('no demo meal');
	const { kitchen } = harvest;
	const [course] = harvest.meal.courses;
	if (!course) throw new RangeError('no course');
	const meal: Meal = {
		...harvest.meal,
		courses: [course],
		parts: [{ id: 'loin', name: 'Loin', technique: 'pork-loin-roast', course: course.id, tone: 0, settings: {} }]
	};
	const planIn = (k: Kitchen) => {
		const outcome = planMealNow({ meal, kitchen: k, techniques: [...library.values()], seed: 1, budget: 3000 });
		if (outcome.kind !== 'plan') throw new Error(JSON.stringify(outcome));
		return outcome.plan;
	};
	const plan = planIn(kitchen);
	const roasting = (k: Kitchen) => {
		const step = planIn(k).steps.find((s) => s.facts?.kind === 'roast');
		return (step?.to ?? NaN) - (step?.from ?? NaN);
	};
	const hidden = { pace: 1, oven: 6, power: 1, film: 1.35, warmUp: 1.4 };
	const evenings = (count: number, hasProbe: boolean) => {
		const times = trueTimes(meal, kitchen, library, plan, hidden);
		const sensitivity = sensitivityOf(meal, kitchen, library, plan);
		const gauges = gaugesOf(kitchen, plan, hidden);
		return Array.from({ length: count }, (_, n) => {
			const of = { run: `e${n}-${hasProbe}`, date: `2026-03-${10 + n}`, seed: n, thermometer: hidden.oven };
			const { run } = cookEvening(plan, times, { ...of, ...(hasProbe ? { gauges } : {}) });
			return eveningFrom(run, { meal, kitchen, sensitivity, say: () => undefined });
		});
	};

	test('five roasts with a probe find the film, the knob and the heat-up, each with what is believed of it', () => {
		const lessons = lessonsOf(evenings(5, true), kitchen, '2026-03-20');
		const of = (about: string) => lessons.find((l) => l.about === about);
		const film = of('film');
		expect(film?.isEnough).toBe(true);
		expect(Math.abs(Math.log((film?.value ?? NaN) / hidden.film))).toBeLessThan(0.1);
		expect(film?.low).toBeLessThan(hidden.film);
		expect(Math.abs((of('oven')?.value ?? NaN) - hidden.oven)).toBeLessThan(3);
		const rise = of('heat-up');
		expect(Math.abs(Math.log((rise?.value ?? NaN) / (rise?.now ?? NaN) / hidden.warmUp))).toBeLessThan(0.1);
	});

	test('without a probe nothing is said of the film', () => {
		expect(lessonsOf(evenings(3, false), kitchen, '2026-03-20').some((l) => l.about === 'film')).toBe(false);
	});

	test('accepted, a roast takes less where the air takes its heat in faster, and the oven is lit sooner; taken back, all is as it was', () => {
		const lessons = lessonsOf(evenings(5, true), kitchen, '2026-03-20');
		const film = lessons.find((l) => l.about === 'film');
		const rise = lessons.find((l) => l.about === 'heat-up');
		if (!film || !rise) throw new RangeError('nothing learnt');
		const quick = withLesson(kitchen, film);
		expect(roasting(quick)).toBeLessThan(0.95 * roasting(kitchen));
		expect(withoutLesson(quick, film)).toEqual(kitchen);
		const lit = (k: Kitchen) => {
			const { terrain, steps } = planIn(k);
			const first = steps.find((s) => s.facts?.kind === 'roast')?.from ?? NaN;
			return first - (terrain[0]?.points.findLast((p) => p.celsius < 60)?.at ?? NaN);
		};
		expect(lit(withLesson(kitchen, rise))).toBeGreaterThan(1.25 * lit(kitchen));
		expect(withoutLesson(withLesson(kitchen, rise), rise)).toEqual(kitchen);
	});

	test('a thermometer in an oven that is still on its way tells how fast it is, and nothing of its knob', () => {
		const gauges = { probed: () => [], warmUp: () => undefined };
		const times = trueTimes(meal, kitchen, library, plan, { pace: 1, oven: 0, power: 1 });
		const { run } = cookEvening(plan, times, { run: 'w', date: '2026-03-10', seed: 1, gauges });
		const lit = run.events.find((e) => e.kind === 'done' && e.cue.endsWith('#oven'));
		const oven = kitchen.stations.find((s) => s.kind === 'oven');
		if (!lit || oven?.kind !== 'oven') throw new RangeError('no oven');
		const seconds = 1.5 * oven.rise * (100 - oven.room);
		const read = { kind: 'heat', station: oven.id, celsius: 100 } as const;
		const events = [...run.events, { ...read, id: 'read', at: lit.at + 1000 * seconds, by: 'cook' }];
		const sensitivity = sensitivityOf(meal, kitchen, library, plan);
		const evening = eveningFrom({ ...run, events }, { meal, kitchen, sensitivity, say: () => undefined });
		expect(evening.heats).toEqual([]);
		expect(evening.warmed).toMatchObject([{ lane: oven.id, celsius: 100 }]);
		expect(evening.warmed?.[0]?.seconds).toBeCloseTo(seconds, 0);
	});
});
