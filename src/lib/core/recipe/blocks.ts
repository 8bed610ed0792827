// A text or a page as blocks: heads of some rank, items of lists, numbered steps, paragraphs.
import { parseDocument } from 'htmlparser2';
import { isTag, isText } from 'domhandler';
import { textContent } from 'domutils';
import type { ChildNode, Element } from 'domhandler';
import { headOf } from './heads';
import { looksLikeIngredient, plainLine } from './ingredient';
import { isInstruction } from './verbs';

/** A piece of a page or of a text: a head of some rank, an item of a list, or a paragraph. */
export interface Block {
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

/** The blocks of a page, and the data that it carries (JSON-LD). */
export function blocksOfPage(html: string): { readonly blocks: readonly Block[]; readonly scripts: readonly string[] } {
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
	return { blocks, scripts };
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
export const unnumbered = (text: string) => text.replace(stepWord, '').replace(number, '').trim();

/** Lines of plain text or Markdown. */
export function blocksOfText(text: string): readonly Block[] {
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
