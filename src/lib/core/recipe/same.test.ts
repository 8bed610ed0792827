// The same recipe in other clothes is read the same: line ends, blanks, marks before lines; and as data instead of text.
import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { readRecipe } from './read';
import { readSource } from './source';

const own = JSON.parse(readFileSync('recipes/own.json', 'utf8')) as Record<string, unknown>;
const texts = Object.keys(own)
	.filter((name) => name.endsWith('.txt'))
	.map((name) => [name, readFileSync(`recipes/${name}`, 'utf8')] as const);

/** What was read, without the lines that it came from. */
function meaningOf(text: string) {
	const found = readRecipe(text);
	if (!found.ok) return found.why;
	const { serves, ingredients, steps } = found.recipe;
	return {
		serves,
		ingredients: ingredients.map(({ amount, unit, grams, name }) => ({ amount, unit, grams, name })),
		steps: steps.map(({ kind, station, celsius, seconds, hands, after }) => ({
			kind,
			station,
			celsius,
			seconds,
			hands,
			after
		}))
	};
}

const clothes: readonly (readonly [string, (text: string) => string])[] = [
	['line ends of another machine', (t) => t.replaceAll('\n', '\r\n')],
	['a mark at its beginning', (t) => `\uFEFF${t}`],
	['blanks at the ends of lines', (t) => t.replaceAll('\n', '  \n')],
	['empty lines before and after', (t) => `\n\n${t}\n\n\n`]
];

describe.each(texts)('%s', (_, text) => {
	test.each(clothes)('in %s', (__, change) => {
		expect(meaningOf(change(text))).toEqual(meaningOf(text));
	});

	test('as data its steps are the same', () => {
		const source = readSource(text);
		if (typeof source === 'string') throw new Error(source);
		const lists = source.ingredients.map((l) => l.text);
		const data = {
			'@context': 'https://schema.org',
			'@type': 'Recipe',
			name: source.title,
			recipeIngredient: lists,
			recipeInstructions: source.instructions.map(({ text: t, section }) =>
				section === null
					? { '@type': 'HowToStep', text: t }
					: { '@type': 'HowToSection', name: section, itemListElement: [{ '@type': 'HowToStep', text: t }] }
			)
		};
		const again = readSource(JSON.stringify(data));
		if (typeof again === 'string') throw new Error(again);
		expect(again.ingredients.map((l) => l.text)).toEqual(lists);
		expect(again.instructions).toEqual(source.instructions);
	});
});
