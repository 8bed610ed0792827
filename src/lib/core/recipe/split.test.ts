// One step in two: no word is lost, no time is told twice, and all that waited still waits.
import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { demoKitchens } from '../library/demo';
import { readTechnique } from '../model/technique';
import { readRecipe } from './read';
import { cutsIn, splitAt } from './split';
import { techniquesFrom } from './technique';

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
				const [one, two] = [after.find((s) => s.id === step.id)!, after.find((s) => s.id === `${step.id}-b`)!];
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

test('cut, and a half of it cut again, it is kept as techniques that can be read', () => {
	for (const name of names) {
		const text = readFileSync(`recipes/${name}`, 'utf8');
		const read = readRecipe(text);
		if (!read.ok) throw new Error(read.why);
		const { recipe } = read;
		const cut = (steps: typeof recipe.steps, id: string) => {
			const at = cutsIn(steps.find((s) => s.id === id)?.text ?? '')[0];
			return at === undefined ? steps : splitAt(steps, id, at);
		};
		const step = recipe.steps.find((s) => cutsIn(s.text).length > 1);
		if (!step || recipe.steps.length > 36) continue;
		const steps = cut(cut(recipe.steps, step.id), `${step.id}-b`);
		expect(steps.length).toBeGreaterThan(recipe.steps.length);
		for (const t of techniquesFrom({ ...recipe, steps }, text, demoKitchens[0]!, []))
			expect(readTechnique(t), `${name}: ${t.name}`).toMatchObject({ ok: true });
	}
});
