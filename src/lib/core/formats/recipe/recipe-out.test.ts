// Recipes out: a JSON-LD processor and our own reader find in them what was told.
import jsonld from 'jsonld';
import { describe, expect, test } from 'vitest';
import { library } from '../../library/library';
import { readRecipe } from '../../recipe/read';
import { demoCases, planDemo } from '../../testing/demo-plan';
import { isoDuration, mealRecipe, techniqueRecipe } from './recipe-out';

interface Out {
	name: string;
	recipeYield: string;
	recipeIngredient: string[];
	recipeInstructions: { text: string; name?: string; itemListElement?: { text: string }[] }[];
	hasPart?: Out[];
}
const vocabulary = 'https://schema.org/';
/** The context without the network. */
const documentLoader = (url: string) =>
	Promise.resolve({ documentUrl: url, document: { '@context': { '@vocab': vocabulary } } } as never);

/** Seconds of an ISO 8601 duration. */
function secondsOf(text: string): number {
	const m = /^P(?:(\d+)D)?(?:T(?:(\d+)H)?(?:(\d+)M)?(?:(\d+)S)?)?$/.exec(text);
	if (!m) throw new Error(`no duration: ${text}`);
	const [, d = 0, h = 0, min = 0, s = 0] = m.map((x) => Number((x as string | undefined) ?? 0));
	return d * 86_400 + h * 3600 + min * 60 + s;
}

test.each([
	[0, 'PT0S'],
	[45, 'PT45S'],
	[90, 'PT1M30S'],
	[3600, 'PT1H'],
	[86_400, 'P1D'],
	[90_061, 'P1DT1H1M1S']
])('%i s is %s, and back', (seconds, text) => {
	expect(isoDuration(seconds)).toBe(text);
	expect(secondsOf(text)).toBe(seconds);
});

describe.each(demoCases.map((d) => [d.meal.name, d] as const))('%s', (_, demo) => {
	const plan = planDemo(demo, 2000);
	const text = mealRecipe(demo.meal, plan, library);
	const out = JSON.parse(text) as Out;

	test('a JSON-LD processor finds the recipe, its parts, and every step under it', async () => {
		const [expanded] = (await jsonld.expand(JSON.parse(text) as never, { documentLoader })) as Record<
			string,
			{ '@value': string }[]
		>[];
		expect((expanded!['@type'] as unknown as string[])[0]).toBe(`${vocabulary}Recipe`);
		expect(expanded![`${vocabulary}name`]![0]!['@value']).toBe(demo.meal.name);
		expect(expanded![`${vocabulary}hasPart`]).toHaveLength(out.hasPart!.length);
		expect(expanded![`${vocabulary}recipeIngredient`]).toHaveLength(out.recipeIngredient.length);
		const quads = (await jsonld.toRDF(JSON.parse(text) as never, { documentLoader })) as unknown as {
			predicate: { value: string };
			object: { value: string };
		}[];
		const texts = new Set(quads.filter((q) => q.predicate.value === `${vocabulary}text`).map((q) => q.object.value));
		for (const section of out.recipeInstructions)
			for (const step of section.itemListElement ?? []) expect(texts.has(step.text), step.text).toBe(true);
		for (const q of quads.filter((x) => x.predicate.value === `${vocabulary}timeRequired`))
			expect(secondsOf(q.object.value)).toBeGreaterThan(0);
	});

	test('read again: people, each amount, each oven, the written times', () => {
		const shares: boolean[] = [];
		for (const part of out.hasPart!) {
			const read = readRecipe(JSON.stringify({ '@context': 'https://schema.org', ...part }));
			if (!read.ok) throw new Error(`${part.name}: ${read.why}`);
			const { title, serves, ingredients, steps } = read.recipe;
			expect(title).toBe(part.name);
			expect(serves).toBe(Number(part.recipeYield));
			if (part.recipeIngredient.length > 0) expect(ingredients.map((i) => i.line)).toEqual(part.recipeIngredient);
			for (const i of ingredients) {
				const [, amount, unit] = /^([\d.]+) (?:(g|ml) )?/.exec(i.line) ?? [];
				if (amount === undefined) continue;
				expect(i.amount, i.line).toEqual([Number(amount), Number(amount)]);
				if (unit !== undefined) expect(i.unit, i.line).toBe(unit);
			}
			const ovens = part.recipeInstructions.flatMap((s) => /in the oven at (\d+) °C/.exec(s.text)?.[1] ?? []);
			const read_ = steps.filter((s) => s.station === 'oven').map((s) => s.celsius);
			for (const celsius of ovens) expect(read_, part.name).toContain(Number(celsius));
			const written = (JSON.stringify(part.recipeInstructions).match(/"timeRequired":"(\w+)"/g) ?? []).map((m) =>
				secondsOf(m.slice(16, -1))
			);
			const known = steps.map((s) => s.seconds?.[1] ?? -1);
			for (const w of written) shares.push(known.some((k) => Math.abs(k - w) <= 31));
		}
		// What only makes a place ready is no step to a reader.
		expect(shares.filter(Boolean).length / shares.length).toBeGreaterThan(0.9);
	});
});

test('every technique of the library is a recipe that can be read again', () => {
	for (const technique of library.values()) {
		const text = techniqueRecipe(technique);
		const out = JSON.parse(text) as Out;
		const read = readRecipe(text);
		if (!read.ok) throw new Error(`${technique.id}: ${read.why}`);
		expect(read.recipe.title).toBe(technique.name);
		if (out.recipeIngredient.length > 0) expect(read.recipe.ingredients).toHaveLength(out.recipeIngredient.length);
		expect(text).not.toMatch(/\{(?:pull|peak)\}/);
		expect(out.recipeInstructions.length).toBe(technique.steps.length);
	}
});
