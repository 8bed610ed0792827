// What goes into steps, in words: every bowl is told at its step and nowhere else, whatever is cooked and for how many.
import { expect, test } from 'vitest';
import { library } from '../library/library';
import { bowlsOf } from '../model/bowls';
import { asPlanned } from '../plan/describe/as-planned';
import { mealOf, planned } from '../testing/library-meal';
import { wordReady, wordTaken } from './amounts';

const evening = (id: string) =>
	library.get(id)!.steps.some((s) => s.ahead) ? { technique: id } : { technique: id, ahead: 'evening' as const };

test.each([...library.keys()].flatMap((id) => [2, 14].map((n) => [id, n] as const)))('%s for %i', (id, n) => {
	const meal = mealOf([evening(id)], n);
	const plan = planned(meal);
	const bowls = bowlsOf(asPlanned(meal, plan), library);
	const told = new Set(
		plan.steps.flatMap((s) => (wordTaken(s, plan, bowls).length > 0 ? [s.id.replace(/-b\d+$/, '')] : []))
	);
	const steps = new Set(plan.steps.map((s) => s.id.replace(/-b\d+$/, '')));
	expect(told).toEqual(new Set(bowls.map((b) => `${b.part}/${b.step}`).filter((s) => steps.has(s))));
	for (const s of plan.steps) {
		const words = [...wordTaken(s, plan, bowls), ...wordReady(s, plan, bowls)];
		expect(words.join(), s.say).not.toMatch(/NaN|undefined|Infinity|\b0 (g|ml)\b/);
		if (s.bound !== true) expect(wordReady(s, plan, bowls)).toEqual([]);
		else for (const w of wordTaken(s, plan, bowls)) expect(wordReady(s, plan, bowls)).toContain(w);
	}
});
