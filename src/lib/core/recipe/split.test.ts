// One step in two: no word is lost, no time is told twice, and all that waited still waits.
import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { readRecipe } from './read';
import { cutsIn, splitAt } from './split';

const names = ['expected.json', 'own.json'].flatMap((file) =>
	Object.keys(JSON.parse(readFileSync(`recipes/${file}`, 'utf8')) as object)
);
const stepsOf = (text: string) => {
	const read = readRecipe(text);
	if (!read.ok) throw new Error(read.why);
	return read.recipe.steps;
};
const words = (text: string) =>
	text
		.toLowerCase()
		.split(/[^a-z0-9½¼¾]+/)
		.filter((w) => w !== '' && w !== 'and' && w !== 'then');

test('every step of every recipe at every place', () => {
	for (const name of names) {
		const steps = stepsOf(readFileSync(`recipes/${name}`, 'utf8'));
		for (const step of steps)
			for (const at of cutsIn(step.text)) {
				const after = splitAt(steps, step.id, at);
				expect(after).toHaveLength(steps.length + 1);
				const [one, two] = [after.find((s) => s.id === step.id)!, after.find((s) => s.id === `${step.id}+`)!];
				expect(words(`${one.text} ${two.text}`)).toEqual(words(step.text));
				expect(two.after).toEqual([step.id]);
				expect(one.after).toEqual(step.after);
				expect(after.filter((s) => s.after.includes(step.id)).map((s) => s.id)).toEqual([two.id]);
				for (const s of [one, two]) if (s.seconds) expect(s.seconds.every((x) => x > 0)).toBe(true);
			}
	}
});

test('each half has its own place and its own time', () => {
	const steps = stepsOf(
		'A dish\n\nServes 2\n\nIngredients\n2 leeks\n\nMethod\n1. Fry the leeks for 5 minutes and bake them in the oven at 200C for 20 minutes.\n'
	);
	const whole = { ...steps[0]!, text: 'Fry the leeks for 5 minutes and bake in the oven for 20 minutes.' };
	const [one, two] = splitAt([whole], whole.id, cutsIn(whole.text)[0]!);
	expect([one!.kind, one!.station, one!.seconds?.[1]]).toEqual(['fry', 'burner', 300]);
	expect([two!.kind, two!.station, two!.seconds?.[1]]).toEqual(['bake', 'oven', 1200]);
});

test('elsewhere than at a cut nothing happens', () => {
	const steps = stepsOf('A dish\n\nServes 2\n\nIngredients\n2 leeks\n\nMethod\n1. Fry the leeks.\n2. Serve.\n');
	expect(splitAt(steps, 's1', 3)).toBe(steps);
	expect(splitAt(steps, 'none', 8)).toBe(steps);
});
