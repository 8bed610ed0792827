// Evenings that are made up: without luck they go as the kitchen really is, and the record finds again what was hidden.
import { describe, expect, test } from 'vitest';
import { library } from '../library/library';
import { demoCases, planDemo } from '../testing/demo-plan';
import { readEvening } from './evening';
import { eveningFrom } from './from-run';
import { lessonsOf, type Lesson } from './lessons';
import { cookEvening, examplesOf, isExample, trueTimes } from './pretend';
import { sensitivityOf } from './usual-in';

const [harvest] = demoCases;
if (!harvest) throw new RangeError('no demo meal');
const { meal, kitchen } = harvest;
const plan = planDemo(harvest, 500);
const around = { meal, kitchen, sensitivity: sensitivityOf(meal, kitchen, library, plan), say: () => undefined };

describe('a hidden kitchen', () => {
	const hidden = { pace: 0.8, oven: 12, power: 0.85 };

	test('without luck every step takes what the kitchen as it is makes of it', () => {
		const same = trueTimes(meal, kitchen, library, plan, { pace: 1, oven: 0, power: 1 });
		for (const s of plan.steps) {
			// A burner that was measured is the same burner.
			expect(Math.log((same.get(s.id) ?? NaN) / Math.exp(s.mu))).toBeCloseTo(0, 2);
		}
		const real = trueTimes(meal, kitchen, library, plan, hidden);
		for (const s of plan.steps.filter((x) => x.facts?.kind === 'boil'))
			expect(real.get(s.id)).toBeGreaterThan(Math.exp(s.mu));
		for (const s of plan.steps.filter((x) => x.facts?.kind === 'knife'))
			expect(real.get(s.id)).toBeLessThan(Math.exp(s.mu));
		for (const s of plan.steps.filter((x) => x.setting !== undefined && x.facts?.kind === 'roast'))
			expect(real.get(s.id)).toBeLessThan(Math.exp(s.mu));
	});

	test('is found from ten evenings through the log: on average over many cooks, pace within a twentieth, burners within a twelfth, the oven within 2 K', () => {
		const off = { pace: 0, burner: 0, oven: 0 };
		const cooks = 6;
		for (let cook = 0; cook < cooks; cook++) {
			const times = trueTimes(meal, kitchen, library, plan, hidden);
			const evenings = Array.from({ length: 10 }, (_, n) => {
				const of = { run: `e${n}`, date: `2026-03-${10 + n}`, seed: 100 * cook + n, thermometer: hidden.oven };
				return eveningFrom(cookEvening(plan, times, of).run, around);
			});
			const lessons = lessonsOf(evenings, kitchen, '2026-03-20');
			const of = (about: Lesson['about']) => lessons.filter((l) => l.about === about && l.isEnough);
			off.pace += Math.log((of('pace')[0]?.value ?? NaN) / hidden.pace) / cooks;
			const burners = of('burner').map((l) => Math.log(l.value / l.now / hidden.power));
			off.burner += burners.reduce((sum, x) => sum + x, 0) / burners.length / cooks;
			off.oven += ((of('oven')[0]?.value ?? NaN) - hidden.oven) / cooks;
		}
		expect(Math.abs(off.pace)).toBeLessThan(0.05);
		expect(Math.abs(off.burner)).toBeLessThan(0.08);
		expect(Math.abs(off.oven)).toBeLessThan(2);
	});

	test('examples are marked as such, valid, and not all alike', () => {
		const examples = examplesOf(meal, kitchen, library, plan, Date.UTC(2026, 5, 1));
		expect(examples.every((e) => isExample(e.id) && readEvening(e).ok)).toBe(true);
		expect(new Set(examples.map((e) => JSON.stringify(e.steps))).size).toBe(examples.length);
		expect(new Set(examples.map((e) => e.date)).size).toBe(examples.length);
	});
});
