// What lies in a file: a recipe as JSON-LD, in a page's HTML, as Markdown or plain text, made into one shape: title, yield, lines of
// ingredients, instructions, each under its head.
import { parseDocument } from 'htmlparser2';
import { isTag, isText } from 'domhandler';
import { textContent } from 'domutils';
import type { ChildNode, Element } from 'domhandler';
import { looksLikeIngredient, plainLine, readIngredient } from './ingredient';
import { rangePattern, rangeOf, type Range } from './numbers';
import { isInstruction } from './verbs';

export interface Line {
	readonly text: string;
	readonly section: string | null;
}

export interface Source {
	readonly title: string;
	readonly serves: number | Range | null;
	readonly ingredients: readonly Line[];
	readonly instructions: readonly Line[];
}

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

function parsed(text: string): unknown {
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

function fromJson(data: unknown): Source | undefined {
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

/** How many it is for: a number, a range, or nothing. */
export function servesOf(text: string, isYield = false): Source['serves'] {
	const n = `(${rangePattern})`;
	// “1 loaf (10 slices)”.
	const slices = /\b(\d+)\s+(?:slices|portions|servings|pieces|squares|wedges)\b/i.exec(text);
	if (slices?.[1] !== undefined && /\b(?:1|one)\s+(?:large\s+|small\s+)?(?:loaf|cake|tart|tin|pie|tray)\b/i.test(text))
		return Number(slices[1]);
	const patterns = [
		new RegExp(
			String.raw`\b(?:serves?|serving|servings|portions?|yields?|makes?|feeds?|enough for|dinner for|supper for|(?:cuts|slices) into)\b\s*:?\s*(?:about|approx\.?|around|approximately|up to|between)?\s*${n}`,
			'i'
		),
		new RegExp(String.raw`${n}\s*(?:-|–)?\s*(?:servings?|portions?|people|persons|pers\.?|guests|covers)\b`, 'i'),
		new RegExp(String.raw`\bfor\s+${n}(?=\s*(?:$|[.;,)]|people|persons|hungry|as\b))`, 'i')
	];
	for (const pattern of patterns) {
		const m = pattern.exec(text);
		if (m?.[1] !== undefined) return simple(rangeOf(m[1]));
	}
	const bare = isYield ? new RegExp(n, 'i').exec(text) : null;
	return bare?.[1] === undefined ? null : simple(rangeOf(bare[1]));
}

const simple = (range: Range): number | Range => (range[0] === range[1] ? range[0] : range);

/** A piece of a page or of a text: a head of some rank, an item of a list, or a paragraph. */
interface Block {
	readonly kind: 'head' | 'item' | 'numbered' | 'text';
	/** After an empty line. */
	readonly gap?: boolean;
	readonly text: string;
	/** 1 is the title's. */
	readonly rank: number;
}

const skipped = new Set([
	'script',
	'style',
	'nav',
	'footer',
	'aside',
	'noscript',
	'template',
	'svg',
	'form',
	'button',
	'select',
	'iframe',
	'figcaption',
	'head'
]);
const breaks = new Set([
	'p',
	'div',
	'li',
	'section',
	'article',
	'tr',
	'table',
	'ul',
	'ol',
	'br',
	'dd',
	'dt',
	'blockquote',
	'header',
	'main',
	'figure',
	'label'
]);
const advert =
	/\b(?:ad|ads|advert|advertisement|promo|sponsor(?:ed)?|newsletter|comments?|related|share|social|cookie|breadcrumbs?|rating|subscribe|popup|banner|sidebar|author|bio)\b/i;

function fromHtml(html: string): Source | string {
	const document = parseDocument(html);
	const scripts: string[] = [];
	const blocks: Block[] = [];
	let text = '';
	const flush = (kind: Block['kind'] = 'text', rank = 0) => {
		const plain = text.replace(/[\s\u00a0]+/g, ' ').trim();
		text = '';
		if (plain !== '') blocks.push({ kind, text: plain, rank });
	};
	const whole = textContent(document.children).length;
	const walk = (nodes: readonly ChildNode[], list: 'ul' | 'ol' | undefined): void => {
		for (const node of nodes) {
			if (isText(node)) {
				text += node.data;
				continue;
			}
			// Scripts and styles are tags too.
			if (!isTag(node)) continue;
			const element = node;
			const { name, attribs } = element;
			if (name === 'script' && /ld\+json/i.test(attribs.type ?? '')) scripts.push(textContent(element));
			if (skipped.has(name) || isHidden(element, whole)) continue;
			if (/^h[1-6]$/.test(name)) {
				flush();
				text = textContent(element);
				flush('head', Number(name.slice(1)));
			} else if (name === 'li') {
				flush();
				walk(element.children, undefined);
				flush(list === 'ol' ? 'numbered' : 'item');
			} else if (name === 'tr') {
				flush();
				text = rowOf(element.children.map((cell) => textContent(cell)));
				flush('item');
			} else if (name === 'ul' || name === 'ol') {
				flush();
				walk(element.children, name);
				flush();
			} else if (breaks.has(name)) {
				flush();
				walk(element.children, list);
				flush();
			} else if ((name === 'strong' || name === 'b') && text.trim() === '' && isAlone(element)) {
				text = textContent(element);
				flush('head', 5);
			} else walk(element.children, list);
		}
	};
	walk(document.children, undefined);
	flush();
	for (const script of scripts) {
		const data = parsed(script.trim());
		const recipe = data === undefined ? undefined : fromJson(data);
		if (recipe && recipe.instructions.length > 0) return recipe;
	}
	return fromBlocks(blocks) ?? noRecipe;
}

/** Nobody advertises at such length, characters. */
const longAdvert = 2500;

/** What bears the page, whatever it is called. */
const bearing = new Set(['html', 'body', 'main', 'article']);

/** @param whole characters of the page */
const isHidden = (element: Element, whole: number) => {
	const { attribs, name } = element;
	const isNamed = advert.test(attribs.class ?? '') || advert.test(attribs.id ?? '');
	return (
		(isNamed && !bearing.has(name) && textContent(element).length < Math.min(longAdvert, 0.4 * whole)) ||
		attribs.hidden !== undefined ||
		attribs['aria-hidden'] === 'true'
	);
};

/** Bold words that are all that their paragraph says are its head. */
function isAlone(element: Element): boolean {
	const parent = element.parent;
	return parent !== null && isTag(parent) && textContent(parent).trim() === textContent(element).trim();
}

/** A row of a table as a line: an amount behind its thing comes first. */
function rowOf(cells: readonly string[]): string {
	const said = cells.map((c) => c.replace(/\s+/g, ' ').trim()).filter((c) => c !== '');
	const [thing, amount] = said;
	const isBehind =
		said.length === 2 && amount !== undefined && /^(?:\d|[½¼¾⅓⅔])/.test(amount) && /^[A-Za-zÀ-ÿ]/.test(thing ?? '');
	return (isBehind ? [amount, thing] : said).join(' ');
}

const number =
	/^\s*(?:step\s*\d+\s*[.:)–—-]?|\(?\d{1,2}[.)]|\d{1,2}\/(?=\s+[A-Z])|\d{1,2}\s*[–—-]\s|[①②③④⑤⑥⑦⑧⑨])\s+(?=\S)/i;
const stepWord = /^\s*step\s*(?:\d+|one|two|three|four|five|six|seven|eight|nine|ten)\s*[.:)–—-]*\s*/i;
/** “1 Preheat the oven”: a number without a stop, before something to do. */
const bareNumber = {
	test: (text: string) => {
		const m = /^\s*\d{1,2}\s+([A-Z][a-z].*)$/.exec(text);
		return m?.[1] !== undefined && m[1].split(' ').length > 3 && isInstruction(m[1]) && looksLikeIngredient(text) < 4;
	}
};
const unnumbered = (text: string) => text.replace(stepWord, '').replace(number, '').trim();

/** Lines of plain text or Markdown. */
function blocksOfText(text: string): readonly Block[] {
	const lines = text.split(/\r\n|\r|\n/);
	const blocks: Block[] = [];
	let isOpen = false;
	let isGap = false;
	lines.forEach((raw, i) => {
		const line = raw.replace(/[\s\u00a0]+$/, '');
		if (line.trim() === '' || /^\s*(?:[-=*_]\s*){3,}$/.test(line)) {
			isOpen = false;
			isGap = true;
			return;
		}
		const gap = isGap;
		isGap = false;
		const under = lines[i + 1] ?? '';
		const md = /^\s{0,3}(#{1,6})\s+(.*?)\s*#*$/.exec(line);
		const plain = line
			// “1. **Brown the beef.** In a large pan …”: a head.
			.replace(
				/^(\s*(?:\d+[.)]\s+|[-*]\s+)?)\*\*([A-Z][A-Za-z'&, -]{3,50}\.)\*\*(?=\s+\S)/,
				(_, before: string, head: string) => before + head.toUpperCase()
			)
			.replace(/\*\*|__|`/g, '')
			.replace(/\[([^\]]*)\]\([^)]*\)/g, '$1')
			.replace(/^\s*>\s?/, '')
			.replace(/(^|\s)[*_](\S[^*_]*)[*_](?=\s|$|[.,;:])/g, '$1$2');
		if (/^\s*\|.*\|\s*$/.test(line)) {
			if (!/^[\s|:-]+$/.test(line)) blocks.push({ kind: 'item', text: rowOf(line.split('|')), rank: 0 });
			isOpen = false;
		} else if (md) {
			blocks.push({ kind: 'head', text: (md[2] ?? '').replace(/\*\*|__/g, ''), rank: (md[1] ?? '#').length });
			isOpen = false;
		} else if (/^\s*(?:=+|-{3,})\s*$/.test(under) && !/^\s*[-*•]/.test(line)) {
			blocks.push({ kind: 'head', text: plain.trim(), rank: under.includes('=') ? 1 : 2 });
			isOpen = false;
		} else if (/^\s*\*\*[^*]+\*\*:?\s*$/.test(line) && headOf(plain.trim()) !== undefined) {
			blocks.push({ kind: 'head', text: plain.trim(), rank: 4 });
			isOpen = false;
		} else if (stepWord.test(plain) && plain.replace(stepWord, '') !== plain) {
			const rest = plain.replace(stepWord, '').trim();
			if (rest !== '') blocks.push({ kind: 'numbered', text: rest, rank: 0 });
			isOpen = rest !== '';
		} else if (bareNumber.test(plain) || (number.test(plain) && isInstruction(plain.replace(number, '')))) {
			blocks.push({
				kind: 'numbered',
				text: plain
					.replace(number, '')
					.replace(/^\s*\d{1,2}\s+/, '')
					.trim(),
				rank: 0
			});
			isOpen = true;
		} else if (/^\s*(?:[-*•·▢□☐◦‣–—+→➤►▸●○»✦✓]|\[\s?[xX]?\s?\])\s+/.test(plain)) {
			blocks.push({ kind: 'item', text: plainLine(plain), rank: 0 });
			isOpen = true;
		} else {
			const last = blocks.at(-1);
			// A wrapped line goes on; a new thought begins with a capital after a full stop, a list line stands alone.
			const goesOn =
				isOpen &&
				!/^\s*[A-Z][^:.]{2,40}:/.test(plain) &&
				last !== undefined &&
				last.kind !== 'head' &&
				((/^[a-zà-ÿ(]/.test(plain.trim()) &&
					!/[.!?:]$/.test(last.text) &&
					looksLikeIngredient(plain) < 3 &&
					last.text.length > (looksLikeIngredient(last.text) < 3 || isUnfinished(last.text) ? 45 : 62)) ||
					(last.text.length > 60 &&
						!(/^[A-Z][^:.]{2,40}:\s*[\d½¼¾]/.test(last.text) && /^\s*[A-Z]/.test(plain)) &&
						!/^\s*(?:plus\s+|and\s+)?[\d½¼¾⅓⅔]/i.test(plain) &&
						/[a-z,;]$/.test(last.text) &&
						looksLikeIngredient(last.text) < 1) ||
					(/^\s{2,}\S/.test(line) && last.kind !== 'text'));
			if (goesOn) blocks[blocks.length - 1] = { ...last, text: `${last.text} ${plain.trim()}` };
			else blocks.push({ kind: 'text', text: plain.trim(), rank: 0, gap });
			isOpen = true;
		}
	});
	return blocks;
}

/** What cannot end a line of a list. */
const isUnfinished = (text: string) =>
	/(?:[,(–-]|\b(?:and|or|of|with|for|in|to|the|a|plus|into|from))$/i.test(text.trim());

const forIngredients =
	/^(?:the\s+)?(?:ingredients?|what you(?:'|’)?(?:ll)? need|you(?:'|’)?(?:ll)? need|you will need|what to (?:buy|get)|shopping(?: list)?|for the shop|grocer(?:y|ies)(?: list)?|what goes in|the list|needed|stuff|larder|provisions|mise en place)\b/i;
const forMethod =
	/^(?:the\s+)?(?:method|directions?|instructions?|preparation|steps?|what to do|how to (?:make|cook|do)(?: it| this)?|procedure|to (?:make|cook|prepare)(?: it)?|make it|cooking|how|let(?:'|’)s cook|process|do this)\s*:?$/i;
const forMethodAny = /^(?:the\s+)?(?:method|directions?|instructions?|preparation|what to do|how to make|procedure)\b/i;
const forNotes =
	/^(?:(?:cook|chef|recipe|baker)(?:'|’)?s?(?:'|’)?\s+)?(?:notes?|tips?|storage|storing|nutrition(?:al)?|nutrition facts|variations?|make[- ]ahead|to store|leftovers|faqs?|equipment|you might also|more recipes|comments?|related|about|reviews?|substitutions?|keeping|to freeze|freezing|serving suggestions?|per serving|why this works|story|background|tools|special equipment)\b/i;

/** A line that heads others: what it says without its colon. */
function headOf(text: string): string | undefined {
	const t = text.replace(/\*\*|__/g, '').trim();
	if (t.length === 0 || t.length > 70) return undefined;
	if (forIngredients.test(t) || forMethod.test(t) || forNotes.test(t)) return t.replace(/:$/, '');
	if (/^(?:for|to make) (?:the |a |an )?[a-zà-ÿ' -]+:?$/i.test(t) && !/\b\d/.test(t) && t.split(' ').length <= 8)
		return t.replace(/:$/, '');
	if (t.endsWith(':') && !/[.!?,]/.test(t) && t.split(' ').length <= 7) return t.replace(/:$/, '');
	const isLoud = t === t.toUpperCase() && /[A-Z]{3}/.test(t) && !/\d/.test(t) && t.split(' ').length <= 6;
	return isLoud ? t.toLowerCase().replace(/^./, (c) => c.toUpperCase()) : undefined;
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
			/^[A-Z][a-zà-ÿ]+(?: [a-zà-ÿ]+){0,2}$/.test(text) &&
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
			new RegExp(`^\\W*${rangePattern}\\s*(?:servings?|portions?|people|persons|guests|covers)\\b`, 'i').test(text);
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

/** “Prep: 20 mins”, “Total time: 1 hour 20 min”: of the whole, not a step. */
const isTiming = (text: string) =>
	text.length < 60 &&
	/^\W*(?:prep(?:aration)?|cook(?:ing)?|bak(?:e|ing)|total|active|inactive|hands[- ]on|chill(?:ing)?|rest(?:ing)?|marinat(?:e|ing)|soak(?:ing)?|ready in)(?:\s+time)?\s*[:–—-]?\s*(?:about\s+)?\d[\d½¼¾\s–-]*(?:minutes?|mins?|m|hours?|hrs?|h)\b[^a-z]*(?:\d+\s*(?:minutes?|mins?|m)\b)?\W*$/i.test(
		text
	);

/** “For the soup: 500 g beans, 2 bay leaves, …” or “You need: …”, all in one line. */
function inlineList(text: string): { readonly section: string | null; readonly parts: readonly string[] } | undefined {
	const m =
		/(?:^|[.!?]\s+)((?:for|to make) the [a-z -]{2,30}|(?:you(?:'|’)?(?:ll)?|you will) need|ingredients|(?:to|for) (?:serve|garnish|finish|serving)|[A-Z][a-z]+(?: [a-z]+)?)\s*[:–—]\s*(.+)$/i.exec(
			text
		);
	const prose = /^(?:you(?:'|’)?(?:ll)?|you will) (?:need|want)\s+(.+)$/i.exec(text)?.[1];
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

const isListHead = (text: string) => forIngredients.test(text) || forMethod.test(text) || forNotes.test(text);

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
