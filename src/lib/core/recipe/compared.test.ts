// Computed times beside written ones: only of what is known, by the models that plans use, never far beyond them.
import { describe, expect, test } from 'vitest';
import { readFileSync } from 'node:fs';
import { demoKitchens } from '../library/demo';
import { library } from '../library/library';
import { comparedTimes, sizeIn } from './compared';
import { readRecipe, type ReadRecipe } from './read';

const [kitchen] = demoKitchens as [(typeof demoKitchens)[number]];
const read = (text: string): ReadRecipe => {
	const found = readRecipe(text);
	if (!found.ok) throw new Error(found.why);
	return found.recipe;
};
const recipeOf = (lines: readonly string[], steps: readonly string[]) =>
	read(
		`A dish\n\nServes 4\n\nIngredients\n${lines.join('\n')}\n\nMethod\n${steps.map((s, i) => `${i + 1}. ${s}`).join('\n')}\n`
	);
const compared = (lines: readonly string[], steps: readonly string[], answered = {}) =>
	comparedTimes(recipeOf(lines, steps), library, kitchen, answered);

test.each([
	['cut into 2 cm chunks', 20],
	['4 steaks, about 1 inch thick', 25.4],
	['2.5cm-thick chops', 25],
	['15 mm slices', 15],
	['into a 20 cm tin', undefined],
	['in a 28cm frying pan', undefined],
	['cover with 2 cm of water', undefined],
	['5 cm apart', undefined],
	['bake for 20 minutes', undefined]
])('“%s” is %s mm', (text, mm) => {
	expect(sizeIn(text)).toBe(mm);
});

describe('what is known is computed', () => {
	test.each([
		[
			'a bird by its weight',
			['1 chicken of about 1.6 kg'],
			['Roast the chicken at 200C for 30 minutes.'],
			'1600 g',
			true
		],
		[
			'steaks by their thickness',
			['2 sirloin steaks, 2.5 cm thick', '1 tbsp oil'],
			['Heat the oil in a pan.', 'Fry the steaks for 4 minutes a side, for medium rare.'],
			'25 mm, medium rare',
			false
		],
		[
			'chunks by their size',
			['800 g carrots'],
			['Cut the carrots into 2 cm chunks.', 'Roast at 200C for 35 minutes.'],
			'20 mm',
			false
		],
		['eggs by a usual one', ['4 eggs'], ['Boil the eggs for 2 minutes.'], '58 g, white firm, yolk like jam', true]
	])('%s', (_, lines, steps, of, isOff) => {
		const [found, ...more] = compared(lines, steps);
		expect(more).toEqual([]);
		expect(found).toMatchObject({ of, isOff });
		const [low, usual, high] = found!.seconds;
		expect(low).toBeLessThan(usual);
		expect(usual).toBeLessThan(high);
	});

	test('the hotter the oven, the sooner; the thicker, the later', () => {
		const bird = (celsius: number, kg: number) =>
			compared([`1 chicken of about ${kg} kg`], [`Roast the chicken at ${celsius}C for 1 hour.`])[0]!.seconds[1];
		expect(bird(220, 1.6)).toBeLessThan(bird(180, 1.6));
		expect(bird(180, 2.2)).toBeGreaterThan(bird(180, 1.4));
	});

	test('what the cook says goes before what is written', () => {
		const steps = ['Fry the chops for 4 minutes a side.'];
		expect(compared(['4 pork chops'], steps)).toEqual([]);
		const [thin] = compared(['4 pork chops'], steps, { s1: 18 });
		const [thick] = compared(['4 pork chops, 2 cm thick'], steps, { s1: 30 });
		expect(thin!.of).toMatch(/^18 mm/);
		expect(thick!.seconds[1]).toBeGreaterThan(thin!.seconds[1]);
	});
});

test('what is not known, or lies beyond the model, is not computed', () => {
	expect(compared(['1 chicken'], ['Simmer the chicken stock for 1 hour.'])).toEqual([]);
	expect(compared(['4 salmon fillets'], ['Bake the salmon at 200C for 12 minutes.'])).toEqual([]);
	expect(compared(['1 chicken of about 9 kg'], ['Roast the chicken at 200C for 3 hours.'])).toEqual([]);
	// A table that was made for something else says nothing: of pieces, of what is only called so.
	expect(compared(['1.2 kg chicken thighs'], ['Roast the chicken at 200C for 40 minutes.'])).toEqual([]);
	expect(compared(['1.2 kg chicken breasts'], ['Roast the chicken breasts at 200C for 25 minutes.'])).toEqual([]);
	expect(
		compared(['2 cauliflower steaks, 2.5 cm thick'], ['Fry the cauliflower steaks for 4 minutes a side.'])
	).toEqual([]);
	expect(compared(['4 bean burgers, 2 cm thick'], ['Fry the burgers for 4 minutes a side.'])).toEqual([]);
	expect(compared(['250 g egg noodles'], ['Boil the egg noodles for 4 minutes.'])).toEqual([]);
	expect(
		compared(['1 tbsp fish sauce', '2 carrots, 2 cm thick'], ['Fry the paste with the fish sauce for 1 minute.'])
	).toEqual([]);
	expect(compared(['4 egg whites'], ['Boil the syrup for 4 minutes.'])).toEqual([]);
	expect(
		compared(
			['800 g carrots', '1 lamb shank, 8 cm thick'],
			['Cut the carrots into 2 cm chunks.', 'Braise the lamb in the oven at 160C for 3 hours.']
		)
	).toEqual([]);
});

test('every recipe that is kept here: nothing is computed that is not a time', () => {
	for (const file of ['expected.json', 'own.json'])
		for (const name of Object.keys(JSON.parse(readFileSync(`recipes/${file}`, 'utf8')) as object)) {
			const recipe = read(readFileSync(`recipes/${name}`, 'utf8'));
			for (const c of comparedTimes(recipe, library, kitchen)) {
				const step = recipe.steps.find((s) => s.id === c.step)!;
				console.log(
					'CMP',
					name,
					step.text.slice(0, 70),
					'|',
					step.seconds?.join('-'),
					'|',
					c.of,
					c.by,
					c.seconds.join('-'),
					c.isOff
				);
				expect(c.seconds[0]).toBeGreaterThan(20);
				expect(c.seconds[2]).toBeLessThan(6 * 3600);
			}
		}
});
