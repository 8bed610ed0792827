// What an ingredient is called in a recipe's steps: by the words of its name, by its family, by what it is cut into.
import type { ReadIngredient } from './ingredient';

export const singular = (word: string) =>
	word.length > 3 && /[^s]s$/.test(word)
		? word
				.replace(/ies$/, 'y')
				.replace(/(?:oes)$/, 'o')
				.replace(/(?<=ch|sh|x)es$/, '')
				.replace(/leaves$/, 'leaf')
				.replace(/s$/, '')
		: word;
export const wordsOf = (text: string): readonly string[] =>
	(text.toLowerCase().match(/[a-zà-ÿ]+(?:['’-][a-zà-ÿ]+)*/g) ?? []).map(singular);

export const plain = new Set(
	'the a an of and or with in on to for fresh large small medium ripe dry dried ground whole extra virgin olive vegetable sea black white red green yellow plain natural unsalted salted free range good quality cold hot warm boneless skinless thick thin baby new mixed cooked raw lean organic light dark double single full fat low sodium all purpose self raising strong sweet sour'.split(
		' '
	)
);
/** Words by which a text may name an ingredient: its last word first. */
const families: readonly (readonly [family: string, members: RegExp])[] = [
	[
		'fish',
		/\b(?:cod|haddock|salmon|trout|hake|halibut|sea bass|bass|bream|monkfish|pollock|tuna|mackerel|plaice|sole|turbot|snapper|tilapia|fillets?)\b/i
	],
	['meat', /\b(?:beef|pork|lamb|veal|mince|steaks?|venison|mutton|turkey|chuck|brisket|shoulder)\b/i],
	[
		'pasta',
		/\b(?:spaghetti|linguine|penne|rigatoni|tagliatelle|fusilli|macaroni|orecchiette|farfalle|lasagne|bucatini|pappardelle|fettuccine|orzo|shells|conchiglie)\b/i
	],
	['noodle', /\b(?:noodles?|udon|ramen|vermicelli|soba)\b/i],
	['cheese', /\b(?:cheddar|parmesan|gruy[eè]re|mozzarella|feta|pecorino|gouda|emmental|ricotta|mascarpone|goat)\b/i],
	['herb', /\b(?:parsley|basil|coriander|cilantro|thyme|rosemary|mint|chives|dill|tarragon|sage|oregano)\b/i],
	['nut', /\b(?:almonds?|walnuts?|hazelnuts?|pecans?|pistachios?|cashews?|peanuts?)\b/i],
	['spice', /\b(?:cumin|paprika|cinnamon|turmeric|cardamom|cloves|nutmeg|allspice|coriander seeds?)\b/i],
	['steak', /\b(?:ribeye|rib-eye|sirloin|rump|bavette|onglet|flank)\b/i],
	['chicken', /\b(?:chicken|poussin)\b/i],
	['bird', /\b(?:chicken|turkey|duck|goose|poussin|guinea fowl)\b/i],
	['prawn', /\b(?:prawns?|shrimps?)\b/i],
	['shrimp', /\b(?:prawns?|shrimps?)\b/i],
	['mushroom', /\b(?:porcini|chestnuts?|shiitake|oyster|button|portobello)\b/i],
	['bean', /\b(?:beans|cannellini|borlotti|chickpeas)\b/i],
	['egg', /\begg (?:yolks?|whites?)\b/i],
	['tortilla', /\btortillas?\b/i],
	['bacon', /\b(?:pancetta|lardons?)\b/i],
	['mince', /\b(?:minced|ground) (?:beef|pork|lamb|turkey|chicken)\b/i],
	[
		'vegetable',
		/\b(?:onions?|carrots?|celery|leeks?|(?:bell|red|green|yellow) peppers?|courgettes?|zucchini|fennel|aubergines?|eggplants?|parsnips?|swede|turnips?|cabbage|broccoli|cauliflower|mangetout|beansprouts)\b/i
	],
	['veg', /\b(?:carrots?|broccoli|peppers?|mangetout|beansprouts|courgettes?|peas)\b/i],
	['fruit', /\b(?:apples?|pears?|berries|plums?|peaches|apricots?|cherries)\b/i]
];

/** What it is called besides: its family, and what it is cut into. */
export function alsoCalled({ name, preparation }: Pick<ReadIngredient, 'name' | 'preparation'>): readonly string[] {
	const cut = [
		...(preparation ?? '').matchAll(
			/\b(?:into|in)\s+(?:[a-z0-9-]+\s+){0,3}?(wedges|chips|strips|chunks|slices|rounds|florets|cubes|matchsticks|fillets|slivers|pieces)\b/gi
		)
	].map((m) => singular((m[1] ?? '').toLowerCase()));
	return [
		...families.flatMap(([family, members]) => (members.test(name) ? [family] : [])),
		...cut.filter((w) => w !== 'piece')
	];
}

/** The words of its name that tell it from others. */
export function namesOf({ name }: Pick<ReadIngredient, 'name'>): readonly string[] {
	const words = wordsOf(name).filter((w) => !plain.has(w) && w.length > 2);
	return words.length > 0 ? words : wordsOf(name).slice(-1);
}
