// What lies in a file: a recipe as JSON-LD, in a page's HTML, as Markdown or plain text, made into one shape: title, yield, lines of
// ingredients, instructions, each under its head.
import { blocksOfPage, blocksOfText, unnumbered, type Block } from './blocks';
import {
	forIngredients,
	forMethod,
	forMethodAny,
	forNotes,
	headOf,
	isListHead,
	isTiming,
	servesOf,
	type Line,
	type Source
} from './heads';
import { looksLikeIngredient, readIngredient } from './ingredient';
import { rangePattern } from './numbers';
import { fromJson, parsed } from './structured';
import { isInstruction } from './verbs';

/** A file with more is no recipe, characters. */
const longest = 400_000;

/** A recipe of a text, whatever it is written in; or why there is none. */
export function readSource(text: string): Source | string {
	const plain = text.replace(/^\uFEFF/, '').replaceAll('\u0000', '');
	if (plain.trim() === '') return 'The file is empty.';
	if (/^\s*[[{]/.test(plain)) {
		const data = parsed(plain);
		if (data !== undefined) return fromJson(data) ?? 'This JSON holds no recipe (schema.org Recipe).';
	}
	if (plain.length > longest)
		return `This is too long for a recipe: ${plain.length} characters of ${longest} at the most.`;
	if (/<(?:html|body|script|div|li|h1|p|!doctype)[\s>]/i.test(plain)) return fromHtml(plain);
	const { said, rest } = frontMatterOf(plain);
	const found = fromBlocks(blocksOfText(rest));
	if (!found) return noRecipe;
	const title = said.get('title') ?? said.get('name') ?? found.title;
	const serves = servesOf(said.get('serves') ?? said.get('servings') ?? said.get('yield') ?? '', true) ?? found.serves;
	return { ...found, title, serves };
}

/** What Markdown says of itself between two rules at its beginning, by name, and what comes after that. */
function frontMatterOf(text: string): { readonly said: ReadonlyMap<string, string>; readonly rest: string } {
	const m = /^\s*---\s*\n([\s\S]{0,2000}?)\n---\s*\n/.exec(text);
	const lines = (m?.[1] ?? '').split('\n').map((l) => /^([a-z_]+)\s*:\s*(.*)$/i.exec(l.trim()));
	if (!m || !lines.some((l) => l)) return { said: new Map(), rest: text };
	const unquoted = (x: string) => x.trim().replace(/^(["'])(.*)\1$/, '$2');
	const said = new Map(lines.flatMap((l) => (l ? [[(l[1] ?? '').toLowerCase(), unquoted(l[2] ?? '')] as const] : [])));
	return { said, rest: text.slice(m[0].length) };
}

const noRecipe = 'No recipe was found: no step that says what to do with food.';

/** A recipe of a page: of its data where they are whole, of what it shows otherwise. */
function fromHtml(html: string): Source | string {
	const { blocks, scripts } = blocksOfPage(html);
	for (const script of scripts) {
		const data = parsed(script.trim());
		const recipe = data === undefined ? undefined : fromJson(data);
		if (recipe && recipe.instructions.length > 0) return recipe;
	}
	return fromBlocks(blocks) ?? noRecipe;
}

/** Title, lists and steps of a page or a text; `undefined` where there is nothing to do. */
function fromBlocks(all: readonly Block[]): Source | undefined {
	let serves: Source['serves'] = null;
	let mode: 'head' | 'ingredients' | 'method' | 'notes' = 'head';
	let section: string | null = null;
	let notesRank = 0;
	const ingredients: Line[] = [];
	const instructions: Line[] = [];
	const hasMethodHead = all.some((b) => {
		const h = b.kind === 'head' ? b.text : headOf(b.text);
		return h !== undefined && (forMethod.test(h) || forMethodAny.test(h));
	});
	const hasListHead = all.some((b) => {
		const h = b.kind === 'head' ? b.text : headOf(b.text);
		return h !== undefined && forIngredients.test(h);
	});
	// The first main head is the title; of a text its first line.
	const firstList = all.findIndex((b) => b.kind === 'head' && isListHead(b.text));
	const heads = all.filter(
		(b, i) => b.kind === 'head' && b.rank === 1 && !isListHead(b.text) && (firstList < 0 || i < firstList)
	);
	const main = heads.at(-1) ?? all.find((b) => b.kind === 'head' && b.rank <= 3 && !isListHead(b.text));
	const titled =
		main ??
		all.find(
			(b, i) =>
				b.kind === 'text' && b.text.length < 100 && (firstList < 0 || i < firstList) && looksLikeIngredient(b.text) < 3
		);
	const title =
		titled?.text
			.replace(/^#+\s*/, '')
			.replace(/[:.]$/, '')
			.replace(/\s*(?:[.,–—-]|\()\s*(?:for|serves|makes)\s+\S+.*$/i, '') ??
		/^[^.!?]{3,90}/.exec(all.find((b) => !isListHead(b.text) && firstList !== 0)?.text ?? '')?.[0] ??
		'';
	for (const [k, block] of all.entries()) {
		if (block === titled) {
			serves ??= servesOf(block.text);
			continue;
		}
		const head =
			block.kind === 'head'
				? block.text.replace(/:$/, '')
				: block.kind === 'text' || block.kind === 'item'
					? headOf(block.text)
					: undefined;
		const isHead = head !== undefined && !(block.kind !== 'head' && looksLikeIngredient(block.text) >= 3);
		if (isHead) {
			serves ??= servesOf(block.text);
			// “For 4:” tells how many, and heads nothing.
			if (/^(?:for|serves|feeds|makes)\s+\d[\d\s–-]*:?$/i.test(head.trim())) {
				serves ??= servesOf(`serves ${/\d[\d\s–-]*/.exec(head)?.[0] ?? ''}`);
				continue;
			}
			if (forIngredients.test(head)) [mode, section] = ['ingredients', null];
			else if (forMethod.test(head) || forMethodAny.test(head)) [mode, section] = ['method', null];
			else if (forNotes.test(head)) {
				[mode, section] = ['notes', null];
				notesRank = block.rank;
			} else if (mode === 'notes' && block.kind === 'head' && block.rank > notesRank) continue;
			else if (mode === 'head' || mode === 'notes') {
				if (mode === 'notes' && block.kind !== 'head') continue;
				section = head;
				if (mode === 'notes') mode = 'head';
			} else section = head;
			continue;
		}
		const { text } = block;
		if (mode === 'notes' || isTiming(text)) continue;
		// A word by itself over the next lines of the list: “Dumplings”.
		const isOver =
			block.gap === true &&
			mode !== 'method' &&
			/^[A-Z][a-zà-ÿ]+(?: [A-Za-zà-ÿ]+){0,2}$/.test(text) &&
			[1, 2].every((n) => looksLikeIngredient(all[k + n]?.text ?? '') >= 3);
		if (isOver) {
			section = text;
			continue;
		}
		const inline = mode === 'method' ? undefined : inlineList(text);
		if (inline) {
			serves ??= servesOf(text);
			for (const part of inline.parts) ingredients.push({ text: part, section: inline.section });
			continue;
		}
		// A whole list in a line: “1 tbsp oil; 1 onion, sliced; …”.
		const row = mode === 'method' || (text.match(/;|\s\/\s/g) ?? []).length < 3 ? [] : split(text, section);
		if (row.length > 3 && row.filter((l) => looksLikeIngredient(l.text) > 0).length >= 0.7 * row.length) {
			ingredients.push(...row);
			continue;
		}
		const said = servesOf(text);
		const isServes =
			/^\W*(?:serves?|makes?|yields?|feeds?|servings?|portions?|for|(?:cuts|slices) into)\b/i.test(text) ||
			new RegExp(`^\\W*${rangePattern}\\s*(?:servings?|portions?|people|persons|pax|guests|covers)\\b`, 'i').test(text);
		if (
			said !== null &&
			text.length < 90 &&
			(isServes || looksLikeIngredient(text) < 3) &&
			!(isInstruction(text) && !isServes)
		) {
			serves ??= said;
			continue;
		}
		if (mode !== 'method' && said !== null && !isInstruction(text)) serves ??= said;
		const ingredient = looksLikeIngredient(text);
		const instruction = isInstruction(text);
		// An inline head: “For the sauce: 2 tbsp butter”.
		if (mode === 'ingredients') {
			if (block.kind === 'numbered' && instruction && ingredient < 3) mode = hasMethodHead ? mode : 'method';
			else if (!hasMethodHead && instruction && ingredient < 2 && (block.kind === 'text' || text.length > 60))
				mode = 'method';
			if (mode === 'ingredients') {
				if (text.length < 170 && !/[.!?]\s+\S/.test(text.replace(unitDot, '$1')))
					ingredients.push(...split(text, section));
				continue;
			}
			section = null;
		}
		if (mode === 'head') {
			const isItem =
				(ingredient >= 3 && text.length < 90) ||
				(block.kind === 'item' ? ingredient >= 0 && !instruction : ingredient >= 2 && !instruction);
			if (isItem && !(hasListHead && ingredient < 3)) {
				ingredients.push(...split(text, section));
				continue;
			}
			if (block.kind === 'item' && !instruction && !hasListHead && ingredients.length > 0) {
				ingredients.push(...split(text, section));
				continue;
			}
			const isStep =
				instruction && (block.kind === 'numbered' || ingredients.length > 0 || !hasMethodHead) && !hasListHead;
			if (isStep && !hasMethodHead) {
				mode = 'method';
				if (ingredients.length > 0 && section !== null && ingredients.at(-1)?.section === section) section = null;
			} else {
				// Between two items of a list without a number stands one more of them.
				if (
					ingredients.length > 0 &&
					block.kind !== 'numbered' &&
					text.split(' ').length <= 5 &&
					!/[.!?]$/.test(text) &&
					!hasListHead
				)
					ingredients.push(...split(text, section));
				continue;
			}
		}
		// The list may come back, for the next part of the dish.
		if (ingredient >= 3 && !instruction && block.kind !== 'numbered') {
			ingredients.push(...split(text, section));
			continue;
		}
		instructions.push({ text: unnumbered(text), section });
	}
	if (!instructions.some((l) => isInstruction(l.text))) return undefined;
	for (const { text } of instructions) serves ??= servesOf(text);
	return { title, serves, ingredients, instructions };
}

/** “For the soup: 500 g beans, 2 bay leaves, …” or “You need: …”, all in one line. */
function inlineList(text: string): { readonly section: string | null; readonly parts: readonly string[] } | undefined {
	const m =
		/(?:^|[.!?]\s+)((?:for|to make) the [a-z -]{2,30}|(?:you(?:'|’)?(?:ll)?|you will) need|ingredients|(?:to|for) (?:serve|garnish|finish|serving)|[A-Z][a-z]+(?: [a-z]+)?)\s*[:–—]\s*(.+)$/i.exec(
			text
		);
	const prose =
		/^(?:for \S+ (?:people|persons|servings|portions)?,?\s*)?(?:you(?:'|’)?(?:ll)?|you will) (?:need|want)\s*:?\s+(.+)$/i.exec(
			text
		)?.[1];
	const body = (prose ?? m?.[2])?.replace(/\.\s*$/, '');
	if (body === undefined || /[.!?]\s+[A-Z]/.test(body)) return undefined;
	const listed = body
		.split(
			/\s*;\s*|\s+\/\s+|,\s+(?=(?:and\s+)?(?:\d|[½¼¾⅓⅔]|an?\s|half\b|some\b|the juice|juice|zest|salt|pepper|olive oil|oil\b))|\s+and\s+(?=(?:\d|[½¼¾⅓⅔]|an?\s|half\b|some\b)|[a-z]+ [a-z]+$)/i
		)
		.map((p) => p.replace(/^and\s+/i, '').trim())
		.filter((p) => p !== '');
	// “To serve: 16 tortillas, lime wedges, coriander”.
	const short = body.split(/\s*,\s*(?:and\s+)?/).map((p) => p.trim());
	const isShort =
		/^(?:to|for) (?:serve|garnish|finish|serving)/i.test(m?.[1] ?? '') &&
		short.every((p) => p !== '' && p.split(' ').length <= 5);
	const parts = listed.length < 3 && isShort ? short : listed;
	const head = (m?.[1] ?? '').trim();
	const isPart = /^(?:for|to make) the\b/i.test(head) && looksLikeIngredient(parts[0] ?? '') >= 3;
	if ((parts.length < 3 && !isPart) || parts.filter((p) => looksLikeIngredient(p) >= 1).length < 0.6 * parts.length)
		return undefined;
	return { section: /^(?:you|ingredients)/i.test(head) ? null : head, parts };
}

/** A full stop that only shortens a unit. */
const unitDot = /\b(tbsp|tbsps|tsp|tsps|tbs|oz|lb|lbs|pkg|approx|pt|qt|g|kg|ml|no|c)\./gi;

/** A line of a list; one that holds several, parted by semicolons or by commas with amounts, as each of them. */
function split(text: string, section: string | null): readonly Line[] {
	const many = text.split(/\s*;\s*|\s+\/\s+/).filter((t) => t !== '');
	if (many.length > 2 && many.every((t) => t.length < 80)) return many.map((t) => ({ text: t, section }));
	const amounts = text.split(/,\s+(?=(?:\d|[½¼¾⅓⅔]|an?\s))|\s+and\s+(?=(?:\d|[½¼¾⅓⅔])\S*\s+[a-z])/);
	if (
		!amounts.some((t) =>
			/^[\d½¼¾.,\s-]+\s*(?:g|kg|oz|lb|cm|mm|inch(?:es)?|in)\b\.?\s*(?:each|thick|long|wide|across)?$/i.test(t)
		) &&
		(amounts.length > 2 || (amounts.length === 2 && /\band \d/.test(text))) &&
		amounts.every((t) => looksLikeIngredient(t) > 0)
	)
		return amounts.map((t) => ({ text: t, section }));
	return readIngredient(text, section).length > 0 ? [{ text, section }] : [];
}
