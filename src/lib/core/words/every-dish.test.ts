// Every dish of the library, planned for four in a kitchen that has everything: what the plan tells a cook is what a cook
// would do. The rules stand here in plain words, and share no line with the planner.
import { describe, expect, test } from 'vitest';
import { allergensIn } from '../foods/ingredients';
import { library } from '../library/library';
import type { Plan, PlannedStep } from '../model/plan';
import type { Technique } from '../model/technique';
import { stationFor } from '../plan/compile/places';
import { scheduleOf } from '../plan/compile/schedule-of';
import { checkSchedule } from '../plan/check';
import { cuesOf } from '../run/cues';
import { compiled, everything, mealOf, planned } from '../testing/library-meal';
import type { Measure } from '../units/amount';
import { speakCue, speakPlan } from './speak';

const mealFor = (t: Technique) => ({
	...mealOf([{ technique: t.id, ahead: 'evening' as const }]),
	earliest: 3600
});
const metric: Measure = 'metric';
const american: Measure = 'us';
const plans = new Map<string, Plan>();
const planOf = (t: Technique): Plan => {
	const plan = plans.get(t.id) ?? planned(mealFor(t), everything, 600);
	plans.set(t.id, plan);
	return plan;
};
/** The step of the technique that a planned step is, whichever batch. */
const stepOf = (t: Technique, s: PlannedStep) =>
	t.steps.find((x) => x.id === s.id.slice(s.id.indexOf('/') + 1).replace(/-b\d+$/, ''));
const kindOf = (plan: Plan, lane: string) => plan.lanes.find((l) => l.id === lane)?.kind ?? '';
const overlap = (a: { from: number; to: number }, b: { from: number; to: number }) =>
	Math.min(a.to, b.to) - Math.max(a.from, b.from);

/** Everything that is said to the cook, in one list. */
function saidIn(plan: Plan, measure: Measure): readonly string[] {
	const spoken = speakPlan(plan, measure);
	return [
		...spoken.steps.flatMap((s) => [
			s.say,
			s.sign ?? '',
			s.heat,
			s.vessel ?? '',
			s.heldBy,
			...s.hands.map((h) => h.say),
			...s.cautions,
			...(s.reason ? [s.reason.from, s.reason.model, s.reason.off] : [])
		]),
		...spoken.parts.map((p) => p.keep),
		...cuesOf(plan).flatMap((c) => {
			const cue = speakCue(c, plan, measure);
			return [cue.say, cue.where, cue.sign ?? '', ...cue.cautions];
		})
	];
}

describe.each([...library.values()])('$id', (technique) => {
	test('comes to the table in time, by rules that know nothing of the planner', () => {
		const plan = planOf(technique);
		const [service] = plan.services;
		expect(service?.at).toBe(service?.due);
		const problem = compiled(mealFor(technique));
		const answer = { ...scheduleOf(plan, problem, everything), objective: plan.objective };
		expect(checkSchedule(problem.problem, answer).violations).toEqual([]);
		expect(plan.steps.filter((s) => s.from >= s.to || s.from < plan.from || s.to > plan.to)).toEqual([]);
	});

	test('each step is where it can be done, after what has to be done before', () => {
		const plan = planOf(technique);
		const byId = new Map(plan.steps.map((s) => [s.id, s]));
		const wrong = plan.steps.filter((s) => {
			const need = stepOf(technique, s)?.need;
			const isElsewhere = need !== undefined && kindOf(plan, s.lane) !== stationFor(need);
			return isElsewhere || s.after.some((before) => (byId.get(before)?.to ?? 0) > s.from);
		});
		expect(wrong).toEqual([]);
	});

	test('no cook has two things in hand at once', () => {
		const work = planOf(technique).steps.flatMap((s) => s.hands.map((h) => ({ ...h, step: s.id })));
		const both = work.flatMap((a, i) =>
			work.slice(i + 1).flatMap((b) => (a.cook === b.cook && overlap(a, b) > 0 ? [`${a.step} and ${b.step}`] : []))
		);
		expect(both).toEqual([]);
	});

	test('no burner has two things on it at once', () => {
		const plan = planOf(technique);
		const hot = plan.steps.filter((s) => kindOf(plan, s.lane) === 'burner');
		const both = hot.flatMap((a, i) =>
			hot.slice(i + 1).flatMap((b) => (a.lane === b.lane && overlap(a, b) > 0 ? [`${a.id} and ${b.id}`] : []))
		);
		expect(both).toEqual([]);
	});

	test('it comes off no further below its goal than is trusted', () => {
		const name = `${technique.id} ${technique.makes ?? ''}`;
		const most = /chicken|turkey|pork|mince|meatball|burger/i.test(name) ? 10 : 16;
		const trusted = ({ pull, peak }: PlannedStep) =>
			pull === undefined || peak === undefined || (pull <= peak + 0.01 && peak - pull <= most + 0.01);
		expect(planOf(technique).steps.filter((s) => !trusted(s))).toEqual([]);
	});

	test('what guests must know of is told with the part', () => {
		const [part] = planOf(technique).parts;
		const within = (technique.ingredients ?? []).flatMap((i) => allergensIn(i.name));
		expect(within.filter((tag) => !(part?.allergens ?? []).includes(tag))).toEqual([]);
	});

	test('everything that is said can be read, with no hole in it', () => {
		const plan = planOf(technique);
		const hole = /[{}]|undefined|NaN|\[object|Infinity|null|°F/;
		expect(saidIn(plan, metric).filter((text) => hole.test(text))).toEqual([]);
		expect(cuesOf(plan).length).toBeGreaterThan(0);
	});

	test('a cook who measures in cups and Fahrenheit sees no other degrees', () => {
		expect(saidIn(planOf(technique), american).filter((text) => /\d ?°C/.test(text))).toEqual([]);
	});
});
