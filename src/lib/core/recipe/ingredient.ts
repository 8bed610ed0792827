// One line of a list of ingredients: how much, of what, how it is prepared.
import { amountOf, sizeBehind } from './amount';
import { numberPattern, rangePattern, type Range } from './numbers';
import { unitOf, unitPattern, weigh } from './units';

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
	/\s+\d+(?:\.\d+)?\s*(?:cm|mm|inch(?:es)?)\s+(?:thick|long|wide|across)\b.*$/i,
	/\s*[,–—-]?\s*\b(?:to taste|as needed|as required|if needed|if (?:you )?(?:like|liked|desired|wish|want)|or to taste|optional)\b.*$/i,
	/\s*[,–—-]?\s*\b(?:plus|and) (?:a little |some )?(?:more|extra)\b.*$/i,
	/\s*(?:[,–—-]?\s*\bplus|\s\+) \d.*$/i,
	/\s+of (?:about|around|approximately|at least|roughly)?\s*\d.*$/i,
	/\s*[,–—-]?\s*\b(?:for|to) (?:serve|serving|topping|garnish|garnishing|decorate|finish|frying|deep[- ]frying|shallow[- ]frying|greasing|brushing|dusting|drizzling|rolling|sprinkling|the (?:tin|pan|dish|tray|top|topping|sauce|dressing|table)|coating|cooking|basting|glazing|dredging|rubbing|sauteing|sautéing|grilling|roasting|kneading)\b.*$/i,
	/\s*[,–—-]?\s*\b(?:at room temperature|room temperature|cut in(?:to|to)?\b.*|broken into\b.*|torn into\b.*|separated into\b.*|see (?:note|tip)s?.*|such as\b.*|preferably\b.*|ideally\b.*|like\b .*|about \d.*|approximately \d.*|from (?:a|the|about)\b.*|with (?:the )?(?:skin|bone|their|its|stalks|leaves|rind)\b.*|without\b.*|in (?:their|its|oil|brine|water|juice)\b.*|each\b.*|skin on|skin-on|bone in|skins? (?:off|removed)|tails? (?:on|off)|leaves (?:picked|only)|leaves picked.*|tough.*removed|ends trimmed|on the side)$/i
];

const seasonings =
	/^(?:(?:sea|table|kosher|fine|coarse|flaky|maldon|rock)\s+)*salt$|^(?:(?:freshly|ground|black|white|cracked|milled)\s+)*pepper$/i;

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
			? /^(.*\S)\s+(cloves?|sticks?|sprigs?|rashers?|stalks?|slices?|sheets?|bulbs?|(?<=celery\s+)ribs?)$/i.exec(left)
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
		return [
			made(
				cleaned(behind[1].replace(/^(?:small|medium|large)\s+/i, '')),
				amount,
				unitOf((behind[2] ?? '').toLowerCase()) ?? 'piece'
			)
		];
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
