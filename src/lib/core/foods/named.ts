// Foods as a cook's own words name them: what guests have to be told of, the shelf they stand on, the heat they need to be
// safe. Words guess where a table knows: what is only likely within is named too, what only sounds like a food is not.
import type { Allergen } from './allergens';
import { ingredientRows, type foodNames } from './ingredients';

/** What is named after a food that is not in it. */
const soundsLike =
	/\b(?:coconut|almond|oat|soya?|rice|hazelnut|cashew)\s+(?:milk|cream|drink|yogh?urt)\b|\b(?:butter\s*beans?|butternut|butter lettuce|(?:cocoa|peanut|nut|almond|cashew|hazelnut) butter|cream of tartar|oyster mushrooms?|rice (?:noodles?|flour|vermicelli)|glass noodles?|(?:corn|potato|gram|chickpea|buckwheat) (?:flour|starch)|corn tortillas?|water chestnuts?|milkfish|eggplants?|crab ?apples?|mustard greens)\b|\b(?:gluten|dairy|milk|egg|nut)[- ]free\s+[a-z]+/gi;
/** What stays of it all the same. */
const stays: readonly (readonly [RegExp, Allergen])[] = [
	[/\b(?:almond|hazelnut|cashew|nut)\s+(?:milk|cream|drink|yogh?urt|butter)\b/i, 'nuts'],
	[/\bpeanut butter\b/i, 'peanuts'],
	[/\bsoya?\s+(?:milk|cream|drink|yogh?urt)\b/i, 'soy'],
	[/\boat\s+(?:milk|cream|drink|yogh?urt)\b/i, 'gluten'],
	[/\bmustard greens\b/i, 'mustard']
];

const likely: readonly (readonly [RegExp, Allergen])[] = [
	[
		/\b(?:flours?|pasta|spaghetti|linguine|penne|rigatoni|tagliatelle|fusilli|macaroni|orecchiette|farfalle|lasagne|pappardelle|fettuccine|orzo|gnocchi|noodles?|udon|ramen|soba|breads?|breadcrumbs|panko|sourdough|baguettes?|ciabatta|focaccia|brioche|bagels?|croutons|pittas?|naans?|wraps|couscous|barley|semolina|bulgur|freekeh|spelt|rye|oats?|seitan|beers?|ales?|stout|lager|malt|soy sauce|hoisin|teriyaki|worcestershire|pastry|filo|tortillas?|buns?|rolls|crackers?|biscuits?|cookies?|sausages?|stock cubes?|bouillon|wontons?|gyoza)\b/i,
		'gluten'
	],
	[
		/\b(?:milk|cream|butter|ghee|cheeses?|yogh?urt|feta|parmesan|pecorino|mozzarella|burrata|cheddar|gruy[eè]re|emmental|gouda|halloumi|paneer|ricotta|mascarpone|buttermilk|quark|skyr|labneh|kefir|whey|custard|pesto|brioche|chocolate|cr[eè]me|ice cream)\b/i,
		'milk'
	],
	[
		/\b(?:eggs?|yolks?|mayonnaise|mayo|aioli|hollandaise|meringues?|custard|brioche|egg noodles|fresh pasta)\b/i,
		'eggs'
	],
	[
		/\b(?:fish|anchov\w*|cod|haddock|salmon|tuna|(?:sea )?bass|bream|trout|hake|halibut|mackerel|sardines?|herrings?|kippers?|pollock|monkfish|plaice|sole|turbot|snapper|tilapia|swordfish|eel|roe|bonito|dashi|worcestershire)\b/i,
		'fish'
	],
	[/\b(?:prawns?|shrimps?|crab(?:meat)?|lobsters?|langoustines?|crayfish|scampi)\b/i, 'crustaceans'],
	[
		/\b(?:mussels?|clams?|oysters?|squid|calamari|octopus|cuttlefish|scallops?|cockles?|whelks?|snails?)\b/i,
		'molluscs'
	],
	[
		/\b(?:almonds?|walnuts?|hazelnuts?|pecans?|pistachios?|cashews?|macadamias?|brazil nuts?|praline|marzipan|frangipane|amaretti|pesto|nuts|nut butter)\b/i,
		'nuts'
	],
	[/\b(?:peanuts?|satay|groundnut)\b/i, 'peanuts'],
	[/\b(?:soya?|tofu|miso|tempeh|edamame|soy sauce|tamari|hoisin|teriyaki)\b/i, 'soy'],
	[
		/\b(?:wine|cider|sherry|marsala|vermouth|port|dried apricots|sultanas|raisins|balsamic|vinegar|sausages?)\b/i,
		'sulphites'
	],
	[/\b(?:mustard|mayonnaise|mayo|curry (?:powder|paste))\b/i, 'mustard'],
	[/\b(?:celery|celeriac|stock|broth|bouillon)\b/i, 'celery'],
	[/\b(?:sesame|tahini|hummus|za[’']?atar|halva|dukkah)\b/i, 'sesame'],
	[/\blupins?\b/i, 'lupin']
];

const wordsOf = (text: string) => ` ${text.toLowerCase().replace(/[^\p{L}]+/gu, ' ')} `;
const rowsNamed = ingredientRows.flatMap(([food, { allergens = [], also = [] }]) =>
	allergens.length === 0 ? [] : [{ names: [food, ...also].map(wordsOf), allergens }]
);

/** What guests have to be told of in what a line names, and in what it says may be taken instead. */
export function allergensNamed(line: string): readonly Allergen[] {
	const plain = line.replace(soundsLike, ' ');
	const words = wordsOf(plain);
	return [
		...new Set([
			...rowsNamed.flatMap(({ names, allergens }) => (names.some((n) => words.includes(n)) ? allergens : [])),
			...likely.flatMap(([word, allergen]) => (word.test(plain) ? [allergen] : [])),
			...stays.flatMap(([word, allergen]) => (word.test(line) ? [allergen] : []))
		])
	];
}

/** Made, cured or tinned: not raw any more, or nothing for the stove. */
const ready =
	/\b(?:tinned|canned|tins?|cans?|jars?|jarred|cured|stock|broth|bouillon|gravy|ham|prosciutto|salami|chorizo|anchov\w*|fish sauce|oyster sauce|paste|mayonnaise|mayo|powder|(?:duck|goose|beef|chicken|bacon) fat|dripping|lard|gelatine?|pickled|vegan|vegetarian|meat-free|tofu)\b/i;
const cooked = /\b(?:ready-cooked|cooked|boiled|hard-boiled|leftover)\b/i;

type Food = (typeof foodNames)[number];
/** In this order: a tuna steak is fish, and a chicken sausage needs what poultry needs. */
const animals: readonly (readonly [RegExp, Food])[] = [
	[/\b(?:chicken|turkey|poussin|goose|guinea fowl|quail|duck|poultry)\b(?!['’]?s?['’]? eggs?\b)/i, 'poultry thigh'],
	[/\b(?:mince|sausages?|(?<!veggie |bean |mushroom )burgers?|meatballs?|chipolatas|patties)\b/i, 'mince'],
	[/\b(?:salmon|trout)\b/i, 'salmon'],
	[
		/\b(?:fish|cod|haddock|tuna|(?:sea )?bass|bream|hake|halibut|mackerel|sardines?|pollock|monkfish|plaice|sole|turbot|snapper|tilapia|swordfish|prawns?|shrimps?|scallops?|squid|mussels?|clams?|oysters?|crab|lobster)\b/i,
		'white fish'
	],
	[/\b(?:pork|bacon|pancetta|lardons?|gammon)\b/i, 'pork'],
	[
		/\b(?:beef|lamb|veal|venison|mutton|(?<!cauliflower |cabbage |celeriac |mushroom |aubergine )steaks?|ribeye|rib-eye|sirloin|rump|bavette|onglet|brisket)\b/i,
		'lean meat'
	]
];
const minced = /\b(?:minced|ground)\b/i;
const shells = /\beggs?\b|\byolks?\b|\begg whites?\b/i;

/** What of an animal a thing is, raw to begin with: eaten so, and as a food of the heat core (none for eggs). */
export interface Raw {
	readonly of: 'egg' | 'fish' | 'meat';
	readonly food?: Food;
}

/** By its name and by what was done to it before; `undefined` for plants, and for what is not raw any more. */
export function rawNamed(name: string, preparation = ''): Raw | undefined {
	const plain = name.replace(soundsLike, ' ');
	if (ready.test(plain) || cooked.test(`${plain} ${preparation}`)) return undefined;
	const said = `${plain} ${preparation}`;
	const cut = animals.find(([word]) => word.test(said))?.[1];
	const food = (cut === 'lean meat' || cut === 'pork') && minced.test(said) ? 'mince' : cut;
	if (food === undefined) return shells.test(plain) ? { of: 'egg' } : undefined;
	return { of: food === 'salmon' || food === 'white fish' ? 'fish' : 'meat', food };
}

/** Shelves of a shop in the order in which a name is held against them; what is on none stands in the store cupboard. */
const shelves = [
	[/\b(?:parsley|basil|coriander|cilantro|thyme|rosemary|mint|chives|dill|tarragon|sage|oregano|bay)\b/i, 'herbs'],
	[
		/\b(?:chicken|beef|pork|lamb|veal|duck|turkey|bacon|sausages?|mince|steaks?|chops?|ham|chorizo|pancetta|fish|cod|haddock|salmon|tuna|prawns?|mussels|clams|anchov|bass|trout|hake)/i,
		'meat and fish'
	],
	[
		/\b(?:milk|cream|butter|cheese|yogh?urt|eggs?\b|feta|parmesan|mozzarella|cheddar|ricotta|mascarpone|cr[eè]me)/i,
		'dairy and eggs'
	],
	[/\b(?:bread|buns?|baguette|tortillas?|pitta|naan|brioche|rolls?)\b/i, 'bread'],
	[
		/\b(?:onions?|garlic|carrots?|potato|tomato(?!.*(?:paste|pur|tin|sauce))|lemons?|limes?|leeks?|celery|(?:(?:bell|green|red|yellow|sweet|romano) )pepper|peppers|courgettes?|zucchini|squash|beans|peas|spinach|kale|cabbage|lettuce|apples?|pears?|ginger|chill?i(?:es)?|mushrooms?|aubergines?|eggplants?|shallots?|fennel|broccoli|cucumber|radish|beetroot)/i,
		'vegetables and fruit'
	]
] as const satisfies readonly (readonly [RegExp, string])[];

/** What is kept dry, in a bottle or in a tin, whatever it is made of. */
const stored =
	/\b(?:stock|broth|sauce|powder|purée|puree|paste|dried|ground|tinned|tins?|cans?|jars?|syrup|oil|vinegar|seeds|noodles|pickled|dripping)\b/i;
const fresh = /\bground (?:beef|pork|lamb|veal|chicken|turkey|meat)\b/i;
/** What stands with vegetables or bread, whatever it is named after. */
const plants = /(?:beans?|lettuce|mushrooms?|chestnuts?|apples?|tortillas?|greens)$/i;
/** The shelf on which a thing stands, by its name. */
export function shelfOf(name: string) {
	if (stored.test(name) && !fresh.test(name)) return 'store cupboard';
	const plain = name.replace(soundsLike, (found) => plants.exec(found)?.[0] ?? ' ');
	return shelves.find(([word]) => word.test(plain))?.[1] ?? 'store cupboard';
}

/** Words of a text that name what guests have to be told of, with what it is: “bread” with gluten. */
export function allergenWords(text: string): readonly { readonly word: string; readonly allergen: Allergen }[] {
	const plain = text.replace(soundsLike, ' ').replace(notFood, ' ');
	return likely.flatMap(([word, allergen]) =>
		[...plain.matchAll(new RegExp(word.source, 'gi'))].map(([found]) => ({ word: found.toLowerCase(), allergen }))
	);
}
/** Tools and doings that are called after foods. */
const notFood =
	/\b(?:fish (?:out|slice|kettle|it|them)|stock ?pot|milk pan|bread knife|butter knife|egg timer|cheese grater|noodle bowl|pasta (?:pot|water|machine)|rice cooker|cream (?:the|together|it)|flour(?:ed)? (?:your|the (?:surface|board|hands))|sole (?:purpose|reason))\b/gi;
