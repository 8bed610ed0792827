// How much a line of a list says: a number or two, a unit, a size, and what is left of it.
import { numberOf, numberPattern, rangeOf, rangePattern, type Range } from './numbers';
import { gramsOf, millilitres, unitAt, unitAtAny, unitOf, unitPattern, vessels } from './units';

export interface Measured {
	readonly amount: Range | null;
	readonly unit: string | null;
	/** Grams that were said beside it. */
	readonly sized: number | undefined;
	readonly after: string;
}

const mass = String.raw`(${numberPattern})\s*-?\s*(g|kg|oz|lb|lbs|ounces?|pounds?|grams?|ml|l|cl|litres?|liters?)\b\.?`;

/** Grams or millilitres of a size such as “400 g”. */
function sizeIn(text: string | undefined): number | undefined {
	const m = new RegExp(`^(?:about|approx\\.?|approximately|around|roughly|each|ca\\.?|~)?\\s*${mass}`, 'i').exec(
		text ?? ''
	);
	if (!m) return undefined;
	const unit = unitOf((m[2] ?? '').toLowerCase()) ?? '';
	const by = gramsOf[unit] ?? millilitres[unit];
	return by === undefined ? undefined : numberOf(m[1] ?? '') * by;
}

/** Grams that are told behind what is counted: “a chicken of about 1.5 kg”, “2 duck breasts, about 200 g each”. */
export function sizeBehind(text: string, amount: Range | null): number | undefined {
	const m = new RegExp(
		String.raw`(?:,|\bof|\bweighing)\s+(?:about|around|approximately|roughly)?\s*(${mass}(\s*each)?)`,
		'i'
	).exec(text);
	const all = m ? sizeIn(m[1]) : undefined;
	if (!m || all === undefined) return undefined;
	return /each$/i.test(m[1] ?? '') ? (all * ((amount?.[0] ?? 1) + (amount?.[1] ?? 1))) / 2 : all;
}

export function amountOf(text: string, brackets: readonly string[]): Measured {
	const sizes = brackets.map(sizeIn);
	const sizedBeside = sizes.find((s) => s !== undefined);
	// Juice of 1 lemon; zest and juice of 2 limes.
	const of = new RegExp(
		String.raw`^((?:finely\s+)?(?:grated\s+)?(?:the\s+)?(?:juice|zest|rind|peel|seeds|leaves)(?:\s*(?:and|&)\s*(?:finely\s+)?(?:grated\s+)?(?:juice|zest|rind))?)\s+(?:of|from)\s+(.+)$`,
		'i'
	).exec(text);
	if (of) {
		const inner = amountOf(of[2] ?? '', brackets);
		if (inner.amount) return { ...inner, after: `${inner.after}, ${of[1] ?? ''}` };
	}
	// “½ a 25 g pack of chives”.
	const ofOne = new RegExp(`^([½¼¾⅓⅔]|1/2|1/4|3/4)\\s+an?\\s+(.+)$`).exec(text);
	if (ofOne) return afterCount(rangeOf(ofOne[1] ?? ''), ofOne[2] ?? '', sizedBeside);
	const twoTimes = new RegExp(String.raw`^(${rangePattern})\s*(?:x|×|\*)\s*(.+)$`, 'i').exec(text);
	if (twoTimes) {
		const count = rangeOf(twoTimes[1] ?? '');
		const inner = twoTimes[2] ?? '';
		const size = new RegExp(`^${mass}\\s*`, 'i').exec(inner);
		const rest = size ? inner.slice(size[0].length) : inner;
		const each = sizeIn(inner);
		const { unit, after } = takeUnit(rest);
		const middle = (count[0] + count[1]) / 2;
		return { amount: count, unit: unit ?? 'piece', sized: each === undefined ? undefined : each * middle, after };
	}
	const start =
		/^(?:plus|and|about|approximately|approx\.?|around|roughly|some|circa|ca\.?|~|up to|at least|another|a further|scant|generous|heaped|heaping)\s+/i.exec(
			text
		);
	const body =
		start && new RegExp(`^(?:${numberPattern}|an?\\s|half)`, 'i').test(text.slice(start[0].length))
			? text.slice(start[0].length)
			: text;
	const counted = new RegExp(String.raw`^(${rangePattern})\s*(.*)$`, 'i').exec(body);
	if (counted?.[2] !== undefined && !counted[2].startsWith('%'))
		return afterCount(rangeOf(counted[1] ?? ''), counted[2], sizedBeside);
	const word =
		/^(half\s+(?:of\s+)?(?:an?\s+)?|an?\s+half\s+|an?\s+dozen\s+|half\s+a\s+dozen\s+|an?\s+couple\s+(?:of\s+)?|an?\s+few\s+|an?\s+|several\s+)(.*)$/i.exec(
			body
		);
	if (word) {
		const w = (word[1] ?? '').toLowerCase().trim();
		const rest = word[2] ?? '';
		if (body.toLowerCase().startsWith('half a dozen'))
			return afterCount([6, 6], body.replace(/^half a dozen\s*/i, ''), sizedBeside);
		if (w.includes('dozen')) return afterCount([12, 12], rest, sizedBeside);
		if (w.includes('couple')) return afterCount([2, 2], rest, sizedBeside);
		if (/few|several/.test(w)) {
			const { unit, after } = takeUnit(rest);
			return { amount: [2, 4], unit: unit ?? 'piece', sized: sizedBeside, after };
		}
		if (w.includes('half')) return afterCount([0.5, 0.5], rest, sizedBeside);
		if (/^(?:little|bit of|touch of|lot of|good|small amount|generous amount)\b/i.test(rest) && !unitAtAny.test(rest))
			return {
				amount: null,
				unit: null,
				sized: undefined,
				after: rest.replace(/^(?:little|bit of|touch of|lot of|small amount of|generous amount of)\s+/i, '')
			};
		return afterCount([1, 1], rest, sizedBeside);
	}
	const bare = takeUnit(body);
	if (
		bare.unit !== undefined &&
		/^of\b/i.test(bare.rest) &&
		!['leaf', 'loaf', 'rib', 'ear', 'head'].includes(bare.unit)
	)
		return { amount: [1, 1], unit: bare.unit, sized: sizedBeside, after: bare.after };
	// “Small bunch thyme”.
	if (bare.unit !== undefined && /^(?:small|large|big|good|generous|heaped|thumb-sized)\s/i.test(body))
		return { amount: [1, 1], unit: bare.unit, sized: sizedBeside, after: bare.after };
	if (bare.unit === 'pinch' || bare.unit === 'handful' || bare.unit === 'knob' || bare.unit === 'dash')
		return { amount: [1, 1], unit: bare.unit, sized: sizedBeside, after: bare.after };
	// “Salmon 2 x 160g, skin on”.
	const pieces = /^([A-Za-zÀ-ÿ][A-Za-zà-ÿ' -]*?)\s+(\d+\s*x\s*\d+\s*(?:g|kg|ml|oz|lb))\b(.*)$/i.exec(body);
	if (pieces) return amountOf(`${pieces[2] ?? ''} ${pieces[1] ?? ''}${pieces[3] ?? ''}`, []);
	// The amount at the end: “Flour: 200 g”, “butter, 50g”, “Eggs 2”.
	const behind = new RegExp(
		String.raw`^(.*?[a-zà-ÿ)])\s*(?:[:–—=|,-]\s*|\s+|\.{2,}\s*)(${rangePattern})\s*(${unitPattern})?\.?(?:\s*[,;]\s*(.*))?$`,
		'i'
	).exec(body);
	if (behind) {
		const unit = behind[3] === undefined ? 'piece' : (unitOf(behind[3]) ?? unitOf(behind[3].toLowerCase()) ?? 'piece');
		const more = behind[4] === undefined ? '' : `, ${behind[4]}`;
		return { amount: rangeOf(behind[2] ?? ''), unit, sized: sizedBeside, after: `${(behind[1] ?? '').trim()}${more}` };
	}
	// “Dried chilli flakes - a pinch”, “parsley, 1 small bunch”.
	const worded = new RegExp(
		String.raw`^(.*?[a-zà-ÿ)])\s*[:–—,-]\s*(an?|half an?|${numberPattern})\s+(?:(?:small|large|good|big|generous|heaped|level)\s+)?(${unitPattern})$`,
		'i'
	).exec(body);
	if (worded) {
		const count = /^an?$/i.test(worded[2] ?? '')
			? 1
			: /^half/i.test(worded[2] ?? '')
				? 0.5
				: numberOf(worded[2] ?? '1');
		const unit = unitOf((worded[3] ?? '').toLowerCase()) ?? 'piece';
		return { amount: [count, count], unit, sized: sizedBeside, after: (worded[1] ?? '').trim() };
	}
	return { amount: null, unit: null, sized: undefined, after: body };
}

/** What follows a number: a unit, a size with a vessel, or the thing itself. */
function afterCount(amount: Range, text: string, sizedBeside: number | undefined): Measured {
	const middle = (amount[0] + amount[1]) / 2;
	// “1 14-ounce can”, “2 400g tins”.
	const sized = new RegExp(String.raw`^-?\s*${mass}\s*-?\s*`, 'i').exec(text);
	if (sized) {
		const next = takeUnit(text.slice(sized[0].length));
		if (next.unit !== undefined && gramsOf[next.unit] === undefined && millilitres[next.unit] === undefined)
			return { amount, unit: next.unit, sized: (sizeIn(text.replace(/^-?\s*/, '')) ?? 0) * middle, after: next.after };
	}
	// “One 4-lb chuck roast”.
	const big = /^(\d+(?:\.\d+)?)\s*-\s*(lbs?|pounds?|oz|ounces?|kg|kilos?|g|grams?)\b\.?\s+(.+)$/i.exec(text);
	if (big)
		return {
			amount,
			unit: 'piece',
			sized: (sizeIn(`${big[1] ?? ''} ${big[2] ?? ''}`) ?? 0) * middle,
			after: big[3] ?? ''
		};
	const { unit, after, rest } = takeUnit(text);
	if (unit === undefined) {
		// “2 cm piece of ginger” is one piece.
		const lump =
			/^(?:thumb(?:-sized)?(?:\s+(?:piece|knob|chunk))?|chunk|lump|slab|nub)\s+of\s+(?:fresh\s+)?(.*)$/i.exec(text);
		if (lump) return { amount, unit: 'piece', sized: sizedBeside, after: lump[1] ?? '' };
		const piece =
			/^(?:cm|mm|inch(?:es)?|in\.?|")[\s-]+(?:(?:piece|knob|thumb|chunk|length)s?\s+(?:of\s+)?)?(.*)$/i.exec(text);
		if (piece) return { amount: [1, 1], unit: 'piece', sized: sizedBeside, after: piece[1] ?? '' };
		return { amount, unit: 'piece', sized: sizedBeside, after: text };
	}
	// “400 g tin of tomatoes” is one tin.
	const inside = takeUnit(rest.replace(/^of\s+/i, ''));
	const isVessel = vessels.has(inside.unit ?? '');
	if (isVessel && inside.unit !== undefined && (gramsOf[unit] !== undefined || millilitres[unit] !== undefined)) {
		const by = gramsOf[unit] ?? millilitres[unit] ?? 1;
		return { amount: [1, 1], unit: inside.unit, sized: middle * by, after: inside.after };
	}
	// Of two systems side by side the first: “100 g/4 oz butter”, “1 cup / 240 ml milk”, “1 lb 2 oz”.
	const beside = new RegExp(
		String.raw`^\s*(?:/|\||,|or|\+|plus)?\s*(${rangePattern})\s*(${unitPattern})(?=[\s,.;)]|$)\.?\s*`,
		'i'
	).exec(rest);
	if (beside && /^\s*(?:[/|]|\d|[½¼¾])/.test(rest)) {
		const isMore = unit === 'lb' && unitOf((beside[2] ?? '').toLowerCase()) === 'oz' && !/^\s*[/|]/.test(rest);
		const more = isMore ? numberOf(beside[1] ?? '0') / 16 : 0;
		return {
			amount: [amount[0] + more, amount[1] + more],
			unit,
			sized: sizedBeside,
			after: rest.slice(beside[0].length).replace(/^of\s+/i, '')
		};
	}
	const slash = new RegExp(String.raw`^\s*/\s*(${rangePattern})\s*(?:${unitPattern})?\s*`, 'i').exec(rest);
	if (slash) return { amount, unit, sized: sizedBeside, after: rest.slice(slash[0].length) };
	return { amount, unit, sized: gramsOf[unit] === undefined ? sizedBeside : undefined, after };
}

/** The unit that a text begins with, if it does and something comes after it. */
function takeUnit(text: string): { readonly unit: string | undefined; readonly after: string; readonly rest: string } {
	const m = unitAt.exec(text) ?? unitAtAny.exec(text);
	const unit = m ? (unitOf(m[1] ?? '') ?? unitOf((m[1] ?? '').toLowerCase())) : undefined;
	if (!m || unit === undefined) return { unit: undefined, after: text, rest: text };
	const rest = text
		.slice(m[0].length)
		.replace(/^[.]\s*/, '')
		.trim();
	// “2 leaves” of what? “1 stick” and “1 loaf” alone are the thing.
	if (rest === '' || /^[,;]/.test(rest)) return { unit: undefined, after: text, rest: text };
	return { unit, after: rest.replace(/^of\s+(?:the\s+)?/i, ''), rest };
}
