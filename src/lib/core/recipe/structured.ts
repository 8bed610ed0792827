// A recipe as data: schema.org Recipe in JSON-LD, alone, in arrays, in a graph, within a page.
import { parseDocument } from 'htmlparser2';
import { textContent } from 'domutils';
import { headOf, servesOf, type Line, type Source } from './heads';
import { looksLikeIngredient } from './ingredient';
import { unnumbered } from './blocks';

export function parsed(text: string): unknown {
	try {
		return JSON.parse(text) as unknown;
	} catch {
		return undefined;
	}
}

const isObject = (x: unknown): x is Record<string, unknown> => typeof x === 'object' && x !== null && !Array.isArray(x);

/** The first Recipe in JSON-LD: alone, in arrays, in a graph, within a page. */
function recipeIn(data: unknown, depth = 0): Record<string, unknown> | undefined {
	if (depth > 12) return undefined;
	if (Array.isArray(data)) {
		for (const x of data) {
			const found = recipeIn(x, depth + 1);
			if (found) return found;
		}
		return undefined;
	}
	if (!isObject(data)) return undefined;
	const types = [data['@type'], data.type].flat();
	if (types.some((t) => typeof t === 'string' && /(?:^|[/:#])recipe$/i.test(t))) return data;
	if (data.recipeIngredient !== undefined || data.recipeInstructions !== undefined) return data;
	for (const x of Object.values(data)) {
		const found = typeof x === 'object' ? recipeIn(x, depth + 1) : undefined;
		if (found) return found;
	}
	return undefined;
}

/** Text of a value: entities and tags resolved. */
function textOf(value: unknown): string {
	if (typeof value === 'string') return unescaped(value);
	if (typeof value === 'number') return String(value);
	if (Array.isArray(value)) return textOf(value[0]);
	if (isObject(value)) return textOf(value.text ?? value.name ?? value['@value'] ?? '');
	return '';
}

const unescaped = (text: string): string =>
	textContent(parseDocument(text.replace(/<br\s*\/?>|<\/(?:p|li|div|h\d)>/gi, '\n')).children)
		.replace(/[ \t\u00a0]+/g, ' ')
		.trim();

export function fromJson(data: unknown): Source | undefined {
	const recipe = recipeIn(data);
	if (!recipe) return undefined;
	const lists = [recipe.recipeIngredient ?? recipe.ingredients ?? recipe.supply ?? []].flat();
	let head: string | null = null;
	const ingredients = lists.flatMap((item): Line[] =>
		textOf(item)
			.split('\n')
			.flatMap((text): Line[] => {
				const line = text.trim();
				if (line === '') return [];
				if (headOf(line) !== undefined && looksLikeIngredient(line) <= 0) {
					head = line.replace(/:$/, '');
					return [];
				}
				return [{ text: line, section: head }];
			})
	);
	const instructions = stepsOf(recipe.recipeInstructions ?? recipe.instructions ?? recipe.step ?? [], null);
	if (ingredients.length === 0 && instructions.length === 0) return undefined;
	return {
		title: textOf(recipe.name ?? recipe.headline ?? ''),
		serves: servesOf(textOf(recipe.recipeYield ?? recipe.yield ?? ''), true),
		ingredients,
		instructions
	};
}

function stepsOf(value: unknown, section: string | null): readonly Line[] {
	if (Array.isArray(value)) return value.flatMap((v) => stepsOf(v, section));
	if (typeof value === 'string')
		return unescaped(value)
			.split(/\n+/)
			.map((t) => t.trim())
			.filter((t) => t !== '')
			.map((text) => ({ text: unnumbered(text), section }));
	if (!isObject(value)) return [];
	const type = [value['@type']].flat().join(' ');
	if (/HowToSection/i.test(type) || (value.itemListElement !== undefined && value.text === undefined)) {
		const name = textOf(value.name ?? '');
		return stepsOf(
			value.itemListElement ?? value.steps ?? [],
			/HowToSection/i.test(type) && name !== '' ? name : section
		);
	}
	if (isObject(value.item)) return stepsOf(value.item, section);
	return stepsOf(textOf(value.text ?? value.description ?? value.name ?? ''), section);
}
