// What a cook can set: every option of every technique does something, and no setting within its limits breaks a plan.
import { describe, expect, test } from 'vitest';
import { amountsOf } from '../model/quantities';
import { compiled, mealOf } from '../testing/library-meal';
import { library } from './library';

const settable = [...library.values()].filter((t) => t.parameters.length > 0);

describe.each(settable.map((t) => [t.id, t] as const))('%s', (id, technique) => {
	/** Times, places, words, loads and lists with a setting. */
	const facts = (settings: Readonly<Record<string, number>>) => {
		const { trace } = compiled(mealOf([{ technique: id, ahead: 'evening', settings }], 4));
		return JSON.stringify([[...trace.steps], amountsOf(technique, settings, 4)]);
	};
	const usual = facts({});

	test.each(technique.parameters.map((p) => [p.id, p] as const))('%s does something, wherever it is set', (_, p) => {
		const values = [...(p.options ?? []).map((o) => o.value), ...(p.unit === 'choice' ? [] : [p.least, p.most])];
		for (const value of values.filter((v) => v !== p.usual)) {
			const other = facts({ [p.id]: value });
			expect(other, `${p.id} at ${value}`).not.toBe(usual);
		}
	});
});
