// One line of a list of ingredients: how much, of what, how it is prepared.
import { numberOf, numberPattern, rangeOf, rangePattern, type Range } from './numbers';

export interface ReadIngredient {
	readonly line: string;
	/** Low and high; `null` where no amount is said. */
	readonly amount: Range | null;
	/** As written, singular and short; *piece* for what is only counted. */
	readonly unit: string | null;
	readonly grams: number | null;
	/** What one buys. */
	readonly name: string;
	readonly preparation: string | null;
	readonly toTaste: boolean;
	readonly section: string | null;
	/** What may be taken instead. */
	readonly alternative?: string;
}

/** Units by what they are called, longer spellings first. */
const units: readonly (readonly [spelling: string, unit: string])[] = [
	['fluid ounces?|fl\\.?\\s*oz\\.?|fl\\.?\\s*ounces?', 'fl oz'],
	['kilograms?|kilos?|kgs?\\.?', 'kg'],
	['milligrams?|mg', 'mg'],
	['grams?|grammes?|gms?\\.?|gr\\.?|g\\.?', 'g'],
	['millilit(?:er|re)s?|mls?\\.?', 'ml'],
	['centilit(?:er|re)s?|cls?\\.?', 'cl'],
	['decilit(?:er|re)s?|dls?\\.?', 'dl'],
	['lit(?:er|re)s?|ltrs?\\.?|l\\.?', 'l'],
	['ounces?|ozs?\\.?', 'oz'],
	['pounds?|lbs?\\.?', 'lb'],
	['teaspoonfuls?|teaspoons?|tsps?\\.?|tspn\\.?|t(?=\\s)', 'tsp'],
	['tablespoonfuls?|tablespoons?|tbsps?\\.?|tbs\\.?|tblsps?\\.?|tbspn\\.?|T(?=\\s)', 'tbsp'],
	['dessertspoons?|dsp\\.?|dstspn\\.?', 'dessertspoon'],
	['cupfuls?|cups?|c\\.', 'cup'],
	['pints?|pts?\\.?', 'pint'],
	['quarts?|qts?\\.?', 'quart'],
	['gallons?', 'gallon'],
	['tins?|cans?', 'tin'],
	['jars?', 'jar'],
	['packets?|packs?|packages?|pkgs?\\.?|pkts?\\.?', 'packet'],
	['sachets?|envelopes?', 'sachet'],
	['boxes|box', 'box'],
	['bags?', 'bag'],
	['bottles?', 'bottle'],
	['cartons?', 'carton'],
	['tubs?|pots?|punnets?', 'pot'],
	['blocks?', 'block'],
	['balls?', 'ball'],
	['cloves?', 'clove'],
	['bulbs?', 'bulb'],
	['heads?', 'head'],
	['bunches|bunch', 'bunch'],
	['sprigs?', 'sprig'],
	['stalks?', 'stalk'],
	['sticks?', 'stick'],
	['ribs?', 'rib'],
	['ears?', 'ear'],
	['slices?', 'slice'],
	['rashers?', 'rasher'],
	['strips?', 'strip'],
	['sheets?', 'sheet'],
	['cubes?', 'cube'],
	['wedges?', 'wedge'],
	['pinches|pinch', 'pinch'],
	['dashes|dash', 'dash'],
	['drops?', 'drop'],
	['splashes|splash', 'splash'],
	['drizzles?', 'drizzle'],
	['glugs?', 'glug'],
	['knobs?', 'knob'],
	['handfuls?', 'handful'],
	['squeezes?', 'squeeze'],
	['scoops?', 'scoop'],
	['glasses|glass', 'glass'],
	['pieces?', 'piece'],
	['leaves|leaf', 'leaf'],
	['loaves|loaf', 'loaf']
];
const unitPattern = units.map(([spelling]) => spelling).join('|');
const unitAt = new RegExp(
	String.raw`^(?:(?:heaped|heaping|level|rounded|scant|generous|good|big|small|large|medium|packed|short|full|fat|thick|thin|little|whole|standard)[\s-]+)*(${unitPattern})(?=[\s,.;:/()–-]|$)`
);
const unitAtAny = new RegExp(unitAt.source, 'i');

function unitOf(word: string): string | undefined {
	for (const [spelling, unit] of units) {
		const isCased = /\bT\(|\bt\(/.test(spelling);
		if (new RegExp(`^(?:${spelling})$`, isCased ? '' : 'i').test(word) || new RegExp(`^(?:${spelling})$`).test(word))
			return unit;
	}
	return word === 'T' ? 'tbsp' : word === 't' ? 'tsp' : undefined;
}

/** ml of what holds, by its unit. */
export const millilitres: Readonly<Record<string, number>> = {
	ml: 1,
	cl: 10,
	dl: 100,
	l: 1000,
	tsp: 5,
	tbsp: 15,
	dessertspoon: 10,
	cup: 240,
	pint: 568,
	quart: 946,
	'fl oz': 29.6,
	gallon: 3785
};
const gramsOf: Readonly<Record<string, number>> = { mg: 0.001, g: 1, kg: 1000, oz: 28.35, lb: 453.6 };

/** What a word for a dry or a fluid thing weighs, g/ml (USDA FoodData Central, household weights; est.). */
const densities: readonly (readonly [RegExp, number])[] = [
	[/\b(?:icing|powdered|confectioners)/, 0.5],
	[/\b(?:brown|muscovado|demerara) sugar\b/, 0.85],
	[/\bsugar\b/, 0.835],
	[/\bflour\b/, 0.53],
	[/\b(?:cocoa)\b/, 0.42],
	[/\b(?:oats)\b/, 0.38],
	[/\b(?:breadcrumbs|panko)\b/, 0.35],
	[/\b(?:rice|lentils|barley|quinoa|couscous|bulgur|polenta|semolina)\b/, 0.8],
	[/\b(?:honey|syrup|molasses|treacle)\b/, 1.4],
	[/\b(?:oil)\b/, 0.91],
	[/\b(?:butter|lard|ghee|margarine)\b/, 0.95],
	[/\bsalt\b/, 1.2],
	[/\b(?:baking powder|baking soda|bicarbonate)\b/, 0.9],
	[
		/\b(?:yogh?urt|milk|cream|buttermilk|creme fraiche|stock|broth|water|wine|vinegar|juice|sauce|beer|cider|passata|mustard|ketchup|mayonnaise|tahini|paste)\b/,
		1.01
	],
	[/\b(?:parmesan|pecorino)\b/, 0.42],
	[/\b(?:cheese|cheddar|mozzarella|gruyere)\b/, 0.47],
	[/\b(?:nuts|almonds|walnuts|hazelnuts|pecans|seeds|peas|beans|chickpeas|raisins|sultanas)\b/, 0.6]
];
/** What one weighs, g (est.). */
const pieces: readonly (readonly [RegExp, number])[] = [
	[/\bgarlic\b/, 5],
	[/\b(?:spring|green|salad) onions?\b|\bscallions?\b/, 15],
	[/\b(?:red |white |yellow |brown )?onions?\b/, 150],
	[/\bshallots?\b/, 30],
	[/\bquails?['’]? eggs?\b/, 10],
	[/\beggs?\b(?! ?yolk| ?white)/, 50],
	[/\b(?:new|baby|salad) potato(?:es)?\b/, 40],
	[/\bpotato(?:es)?\b/, 180],
	[/\bcarrots?\b/, 80],
	[/\b(?:cherry|baby|grape) tomato(?:es)?\b/, 15],
	[/\b(?:sun-?dried|dried) tomato(?:es)?\b/, 8],
	[/\btomato(?:es)?\b/, 110],
	[/\bchicken breasts?\b/, 180],
	[/\bchicken thighs?\b/, 130],
	[/\b(?:chill?i|chile|hot|jalape[nñ]o) peppers?\b|\bpeppercorns?\b/, 0],
	[/\b(?:bell )?peppers?\b/, 160],
	[/\bcourgettes?|zucchini\b/, 200],
	[/\baubergines?|eggplants?\b/, 300],
	[/\bapples?\b/, 150],
	[/\bleeks?\b/, 200]
];

const without = (text: string) =>
	text
		.normalize('NFD')
		.replace(/[\u0300-\u036f]/g, '')
		.toLowerCase();

function weigh(amount: Range | null, unit: string | null, name: string, sized: number | undefined): number | null {
	if (sized !== undefined) return Math.round(sized);
	if (!amount || unit === null) return null;
	const middle = (amount[0] + amount[1]) / 2;
	const plain = without(name);
	const mass = gramsOf[unit];
	if (mass !== undefined) return Math.round(middle * mass);
	const volume = millilitres[unit];
	if (volume !== undefined) {
		const density = densities.find(([word]) => word.test(plain))?.[1];
		return density === undefined ? null : Math.round(middle * volume * density);
	}
	if (unit !== 'piece' && unit !== 'clove') return null;
	const each = pieces.find(([word]) => word.test(plain))?.[1];
	if (each === undefined || each === 0 || (unit === 'clove') !== /\bgarlic\b/.test(plain)) return null;
	return Math.round(middle * each);
}

const bullet = /^\s*(?:[-*•·▢□☐◦‣–—+→➤►▸●○»✦]|\[\s?[xX]?\s?\]|&bull;|✓|✔)+\s*/;
const spaces = /[\s\u00a0\u2009\u202f]+/g;

/** A line without its bullet, with plain spaces. */
export const plainLine = (line: string) =>
	line
		.replace(spaces, ' ')
		.trim()
		.replace(bullet, '')
		.replace(/\*\*|__/g, '')
		.trim();

/** What is done to it: words at the beginning or at the end of a name that one does not buy. */
const done =
	'chopped|sliced|diced|minced|grated|crushed|peeled|melted|softened|toasted|shredded|cubed|halved|quartered|trimmed|rinsed|drained|beaten|sifted|juiced|zested|deseeded|seeded|cored|pitted|stoned|torn|crumbled|mashed|squeezed|washed|thawed|defrosted|chilled|cooled|warmed|julienned|shelled|deveined|scrubbed|separated|picked|bruised|snipped|shaved|cut|split|hulled|podded|flaked|packed|divided|boned|deboned|skinned|patted|soaked|cooked|destalked|bashed|blanched|strained|pounded|butterflied|scored|lightly|finely|roughly|thinly|coarsely|freshly|very|well|thickly';
const how = String.raw`(?:(?:very|freshly|finely|roughly|thinly|coarsely|lightly|thickly|well|neatly|firmly|loosely|gently|hard|soft)[\s-]+)*`;
const leading = new RegExp(String.raw`^((?:${how}(?:${done})(?:\s*(?:,|and|or)\s*|\s+))+)(?=\S)`, 'i');
const trailing = new RegExp(
	String.raw`\s+(${how}(?:${done})\b(?!\s+(?:tomatoes|cheese|milk|peppers?|almonds)).*)$`,
	'i'
);
const asides: readonly RegExp[] = [
	/\s*[,–—-]?\s*\b(?:to taste|as needed|as required|if needed|if (?:you )?(?:like|liked|desired|wish|want)|or to taste|optional)\b.*$/i,
	/\s*[,–—-]?\s*\b(?:plus|and) (?:a little |some )?(?:more|extra)\b.*$/i,
	/\s*(?:[,–—-]?\s*\bplus|\s\+) \d.*$/i,
	/\s+of (?:about|around|approximately|at least|roughly)?\s*\d.*$/i,
	/\s*[,–—-]?\s*\b(?:for|to) (?:serve|serving|topping|garnish|garnishing|decorate|finish|frying|deep[- ]frying|shallow[- ]frying|greasing|brushing|dusting|drizzling|rolling|sprinkling|the (?:tin|pan|dish|tray|top|topping|sauce|dressing|table)|coating|cooking|basting|glazing|dredging|rubbing|sauteing|sautéing|grilling|roasting|kneading)\b.*$/i,
	/\s*[,–—-]?\s*\b(?:at room temperature|room temperature|cut in(?:to|to)?\b.*|broken into\b.*|torn into\b.*|separated into\b.*|see (?:note|tip)s?.*|such as\b.*|preferably\b.*|ideally\b.*|like\b .*|about \d.*|approximately \d.*|from (?:a|the|about)\b.*|with (?:the )?(?:skin|bone|their|its|stalks|leaves|rind)\b.*|without\b.*|in (?:their|its|oil|brine|water|juice)\b.*|each\b.*|skin on|skin-on|bone in|skins? (?:off|removed)|tails? (?:on|off)|leaves (?:picked|only)|leaves picked.*|tough.*removed|ends trimmed|on the side)$/i
];

const seasonings =
	/^(?:(?:sea|table|kosher|fine|coarse|flaky|maldon|rock)\s+)*salt$|^(?:(?:freshly|ground|black|white|cracked|milled)\s+)*pepper$/i;

/** Units that hold something. */
const vessels: ReadonlySet<string> = new Set([
	'tin',
	'jar',
	'packet',
	'pot',
	'bag',
	'block',
	'ball',
	'carton',
	'bottle',
	'sachet',
	'box'
]);

/** One or more ingredients of a line; none where it is none. */
export function readIngredient(source: string, section: string | null): readonly ReadIngredient[] {
	const line = plainLine(source);
	if (line === '' || !/[a-zà-ÿ]/i.test(line)) return [];
	const toTaste = /\b(?:to taste|to season|as needed|for seasoning)\b/i.test(line);
	let rest = line.replace(/[“”"]/g, '');
	// What stands in brackets: another size, what is done to it, that it may be left out.
	const brackets = [...rest.matchAll(/[([]([^()[\]]*)[)\]]/g)].map((m) => (m[1] ?? '').trim());
	rest = rest
		.replace(/\s*[([][^()[\]]*[)\]]\s*/g, ' ')
		.replace(spaces, ' ')
		.trim();
	const { amount, unit, sized: one, after } = amountOf(rest, brackets);
	// “2 (15-ounce) cans”, “2 (6 oz) fillets” are two of that size; “6 thighs (900 g)” are so much in all.
	const isEach = new RegExp(`^${numberPattern}\\s*[([]`).test(line);
	const beside = one !== undefined && isEach && amount ? (one * (amount[0] + amount[1])) / 2 : one;
	const sized = beside ?? (unit === 'piece' ? sizeBehind(rest, amount) : undefined);
	let { left, preparation } = nameOf(after);
	const extra = brackets.filter(
		(b) => b !== '' && !/^(?:about|approx|around|ca\.?|~)?\s*[\d½¼¾]/i.test(b) && !/^(?:optional)$/i.test(b)
	);
	preparation = [preparation, ...extra].filter((p) => p !== '').join(', ');
	// “4 garlic cloves” are four cloves of garlic.
	const behind =
		unit === 'piece'
			? /^(.*\S)\s+(cloves?|sticks?|sprigs?|rashers?|stalks?|slices?|sheets?|bulbs?|ribs?)$/i.exec(left)
			: null;
	const common = { line, toTaste, section };
	const made = (name: string, a: Range | null, u: string | null, alternative?: string): ReadIngredient => ({
		...common,
		amount: a,
		unit: u,
		grams: weigh(a, u, name, sized),
		name,
		preparation: preparation === '' ? null : preparation,
		...(alternative === undefined ? {} : { alternative })
	});
	if (left === '') return [];
	// “a thumb-sized piece of ginger” is a piece of it.
	const chunk =
		unit === 'piece'
			? /^(?:[a-zà-ÿ0-9-]+\s+){0,2}?(?:pieces?|knobs?|chunks?|lengths?|thumbs?|slabs?|strips?)\s+(?:of\s+)?(?:fresh\s+)?(.+)$/i.exec(
					left
				)
			: null;
	if (chunk?.[1] !== undefined) return [made(cleaned(chunk[1]), amount, 'piece')];
	if (behind?.[1] !== undefined)
		return [made(cleaned(behind[1]), amount, unitOf((behind[2] ?? '').toLowerCase()) ?? 'piece')];
	// “Salt and freshly ground black pepper”.
	const both =
		amount === null
			? /^((?:[a-z]+\s+){0,2}salt)\s*(?:,|and|&|\+)\s*(?:and\s+)?((?:[a-z]+\s+){0,3}pepper)\b/i.exec(after)
			: null;
	if (both) return [both[1] ?? '', both[2] ?? ''].map((name) => made(seasoningName(name), null, null));
	const served = amount === null && !/\bhalf[- ]and[- ]half\b/i.test(after) ? severalIn(after) : [];
	if (served.length > 1) return served.map((name) => made(cleaned(name), null, null));
	// “1 tsp each ground cumin and coriander”; “salt and pepper”.
	const each = /^(?:each|each of|each:)\s+(.+)$/i.exec(left);
	const list = (each?.[1] ?? left)
		.split(/\s*(?:,|\band\b|&|\+)\s*/i)
		.map((x) => x.trim())
		.filter((x) => x !== '');
	if (each) return list.map((name) => made(cleaned(name), amount, unit));
	if (
		list.length > 1 &&
		amount === null &&
		list.every((x) => x.split(' ').length <= 4) &&
		list.some((x) => seasonings.test(x))
	)
		return list.map((name) => made(seasoningName(name), null, null));
	const [first = left, ...others] = left.split(/\s+(?:or|and\/or)\s+/i);
	let name = first;
	const [other] = others;
	if (other !== undefined) {
		// “red or white onions” is onions; “butter or margarine” is butter.
		const [one, two] = [first.split(' '), other.split(' ')];
		if (one.length === 1 && two.length > 1 && !/^\d/.test(other)) name = `${first} ${two.slice(1).join(' ')}`;
	}
	left = name;
	return [made(seasonings.test(left) ? seasoningName(left) : cleaned(left), amount, unit, other)];
}

/** Several things in a line without an amount: “lettuce, diced tomatoes and sour cream, to serve”. */
function severalIn(text: string): readonly string[] {
	const plain = asides.reduce((t, aside) => (aside.exec(t)?.index === 0 ? t : t.replace(aside, '')), text);
	if (!/\s(?:and|&)\s/.test(plain) || /\b(?:or|from|with|for)\b/i.test(plain)) return [];
	const parts = plain.split(/\s*,\s*(?:and\s+|&\s+)?|\s+(?:and|&)\s+/i).map((x) => cleaned(x));
	const isThing = (x: string) =>
		x !== '' &&
		x.split(' ').length <= 4 &&
		!new RegExp(`^(?:${how})(?:${done})$`, 'i').test(x) &&
		!/^(?:to|for|in|into|cut)\b/i.test(x);
	return parts.every(isThing) ? parts : [];
}

const seasoningName = (name: string) =>
	name
		.replace(/^(?:freshly|coarsely|finely|some|good|a little)\s+/gi, '')
		.replace(/\bfreshly\s+/gi, '')
		.replace(/^(?:ground|cracked|milled)\s+(?=black|white|pepper)/i, '')
		.trim();

/** What of a name is what one buys. */
function cleaned(name: string): string {
	return name
		.replace(
			/^(?:of|the|some|a little|a bit of|a few|more|extra(?!\s+virgin)|fresh(?:ly)?(?=\s+(?:ground|grated|squeezed|chopped)))\s+/i,
			''
		)
		.replace(leading, '')
		.replace(/\s+/g, ' ')
		.replace(/^[\s,;:.–—-]+|[\s,;:.–—-]+$/g, '')
		.trim();
}

/** The name, and what is done to it. */
function nameOf(text: string): { left: string; preparation: string } {
	let left = text.replace(/^of\s+/i, '').trim();
	const said: string[] = [];
	// What is done may come first, with a comma: “chopped, toasted nuts”.
	const lead = leading.exec(left);
	if (lead && left.length > (lead[1] ?? '').length) {
		said.push((lead[1] ?? '').replace(/[\s,]+$/, '').replace(/\s+(?:and|or)$/i, ''));
		left = left.slice((lead[1] ?? '').length);
	}
	const cut = /^([^,;]*?[a-zà-ÿ][^,;]*?)\s*[,;]\s+(.*)$/i.exec(left);
	if (cut) {
		left = cut[1] ?? left;
		const later = cut[2] ?? '';
		// “boneless, skinless chicken thighs”: the thing itself comes after.
		if (
			/^(?:boneless|skinless|skin-on|bone-in|unsalted|fresh|large|small|medium|ripe|firm|good|dry|raw|low-sodium|all-purpose|extra[- ]virgin|full-fat|plain|lean|long|thick|thin|dark|light|free-range|organic)$/i.test(
				left.trim()
			)
		) {
			const next = nameOf(later);
			left = `${left} ${next.left}`;
			if (next.preparation !== '') said.push(next.preparation);
		} else said.push(later);
	}
	const dash = /^(.*?\S)\s+[–—-]\s+(.*)$/.exec(left);
	if (dash) {
		left = dash[1] ?? left;
		said.push(dash[2] ?? '');
	}
	for (const aside of asides) {
		const found = aside.exec(left);
		if (!found || found.index === 0) continue;
		said.push(found[0].replace(/^[\s,–—-]+/, ''));
		left = left.slice(0, found.index);
	}
	const tail = trailing.exec(left);
	if (tail && tail.index > 0 && !isBareAdjective(left.slice(0, tail.index))) {
		said.push(tail[1] ?? '');
		left = left.slice(0, tail.index);
	}
	return { left: left.trim(), preparation: said.filter((s) => s !== '').join(', ') };
}

/** “cold cooked rice” is no cold. */
const isBareAdjective = (text: string) =>
	/^(?:(?:cold|hot|warm|fresh|large|small|medium|dry|raw|good|plain|lean|ripe|thick|thin|leftover)\s*)+$/i.test(
		text.trim()
	);

interface Measured {
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
function sizeBehind(text: string, amount: Range | null): number | undefined {
	const m = new RegExp(
		String.raw`(?:,|\bof|\bweighing)\s+(?:about|around|approximately|roughly)?\s*(${mass}(\s*each)?)`,
		'i'
	).exec(text);
	const all = m ? sizeIn(m[1]) : undefined;
	if (!m || all === undefined) return undefined;
	return /each$/i.test(m[1] ?? '') ? (all * ((amount?.[0] ?? 1) + (amount?.[1] ?? 1))) / 2 : all;
}

function amountOf(text: string, brackets: readonly string[]): Measured {
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

const known =
	/\b(?:salt|pepper|oil|butter|flour|sugar|eggs?|milk|cream|cheese|onions?|garlic|tomato(?:es)?|chicken|beef|pork|lamb|fish|rice|pasta|bread|stock|broth|water|wine|vinegar|lemon|lime|parsley|basil|coriander|cilantro|thyme|rosemary|potato(?:es)?|carrots?|beans?|feta|parmesan|yogh?urt|honey|mustard|herbs?|leaves)\b/i;

/** How far a line looks like an ingredient: above 0 it does. */
export function looksLikeIngredient(source: string): number {
	const line = plainLine(source);
	if (line.length === 0 || line.length > 160) return -2;
	let score = 0;
	const start = new RegExp(`^(?:${numberPattern})(?!\\s*[.)]\\s)`, 'i');
	if (start.test(line)) score += 2;
	if (/^(?:an?|half|some|few|several|pinch|handful|knob|dash)\b/i.test(line)) score += 1;
	if (/^(?:finely\s+)?(?:grated\s+)?(?:the\s+)?(?:juice|zest|rind)\b.*\b(?:of|from)\b/i.test(line)) score += 3;
	if (
		new RegExp(String.raw`^(?:about\s+)?${rangePattern}\s*(?:x\s*\d+\s*)?(?:${unitPattern})(?:[\s,.]|$)`, 'i').test(
			line
		)
	)
		score += 2;
	if (line.length < 60) score += 1;
	if (known.test(line) && line.split(' ').length <= 6) score += 1;
	if (/[.!?]\s+[A-Z]/.test(line) || /[.!?]$/.test(line)) score -= 2;
	if (line.split(' ').length > 18) score -= 2;
	if (line.endsWith(':')) score -= 3;
	if (new RegExp(String.raw`[–—:,-]\s*(?:an?|half an?)\s+(?:small |large |good )?(?:${unitPattern})$`, 'i').test(line))
		score += 3;
	if (/^[A-Za-zà-ÿ' -]+\s\d+\s*x\s*\d+\s*(?:g|kg|ml|oz|lb)\b/i.test(line)) score += 3;
	if (
		line.length < 70 &&
		/,?\s(?:for|to) (?:topping|serving|serve|garnish|garnishing|decorate|dusting|frying|greasing)$/i.test(line)
	)
		score += 2;
	// The amount at its end: “Dry white wine 125 ml”.
	if (
		new RegExp(String.raw`[a-zà-ÿ),:–-]\s*${rangePattern}\s*(?:${unitPattern})(?:\s+[a-z]+)?$`, 'i').test(line) &&
		line.split(' ').length <= 8
	)
		score += 3;
	return score;
}
