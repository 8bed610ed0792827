// Ingredients in one table: what a measure of one weighs, what of it is lost, what it is to the heat, what is in it.
import type { Allergen } from './allergens';

/** Foods of the heat core. */
export const foodNames = [
	'lean meat',
	'pork',
	'mince',
	'poultry breast',
	'poultry thigh',
	'duck breast',
	'white fish',
	'salmon',
	'egg white',
	'egg yolk',
	'potato',
	'sweet potato',
	'root',
	'squash',
	'green vegetable',
	'gratin',
	'tofu',
	'dough'
] as const;

interface IngredientRow {
	/** g/ml as a cook's measure holds it; packing is ± 10 % for solids (USDA FoodData Central, household weights). */
	readonly density?: number;
	/** Percent trimmed off, percent lost in cooking (USDA Agriculture Handbook 102; Cooking Yields 2012; rounded, ± 5). */
	readonly yields?: readonly [trim: number, loss: number];
	readonly food?: (typeof foodNames)[number];
	/** As bought without a label; a label holds where it says otherwise. */
	readonly allergens?: readonly Allergen[];
	/** What else it is called. */
	readonly also?: readonly string[];
}

export const ingredients = {
	'beef steak': { yields: [5, 22], food: 'lean meat' },
	'beef roast': { yields: [8, 25], food: 'lean meat' },
	mince: { yields: [0, 25], food: 'mince', also: ['minced beef'] },
	sausages: { yields: [0, 20], food: 'mince', allergens: ['gluten', 'sulphites'] },
	'pork shoulder': { yields: [10, 38], food: 'pork' },
	'short ribs': { yields: [30, 40], food: 'lean meat' },
	'lamb shank': { yields: [35, 35], food: 'lean meat' },
	'lamb shoulder': { yields: [20, 35], food: 'lean meat' },
	'duck leg': { yields: [30, 30], food: 'duck breast' },
	tuna: { yields: [2, 12], food: 'white fish', allergens: ['fish'] },
	'veal cutlet': { yields: [2, 18], food: 'lean meat' },
	'stewing beef': { yields: [10, 35], food: 'lean meat' },
	'lamb rack': { yields: [35, 20], food: 'lean meat' },
	'lamb leg': { yields: [28, 25], food: 'lean meat' },
	'lamb chop': { yields: [20, 22], food: 'lean meat' },
	'pork loin': { yields: [8, 22], food: 'pork' },
	'pork chop': { yields: [20, 25], food: 'pork' },
	'pork belly': { yields: [5, 35], food: 'pork' },
	bacon: { yields: [0, 65], food: 'pork' },
	veal: { yields: [8, 22], food: 'lean meat' },
	'whole chicken': { yields: [30, 25], food: 'poultry breast' },
	'chicken breast': { yields: [3, 25], food: 'poultry breast' },
	'chicken thigh': { yields: [28, 28], food: 'poultry thigh' },
	'turkey breast': { yields: [8, 25], food: 'poultry breast' },
	'duck breast': { yields: [3, 30], food: 'duck breast' },
	'whole duck': { yields: [35, 35], food: 'duck breast' },
	'fish fillet': { yields: [5, 18], food: 'white fish', allergens: ['fish'] },
	'whole fish': { yields: [50, 18], food: 'white fish', allergens: ['fish'] },
	salmon: { yields: [5, 15], food: 'salmon', allergens: ['fish'] },
	prawns: { yields: [45, 18], allergens: ['crustaceans'] },
	scallops: { yields: [2, 25], allergens: ['molluscs'] },
	mussels: { yields: [75, 10], allergens: ['molluscs'] },
	squid: { yields: [25, 40], allergens: ['molluscs'] },
	egg: { density: 1.03, yields: [11, 2], allergens: ['eggs'] },
	potato: { yields: [18, 2], food: 'potato' },
	'roast potato': { yields: [18, 20], food: 'potato' },
	fries: { yields: [18, 40], food: 'potato' },
	'sweet potato': { yields: [20, 2], food: 'sweet potato' },
	carrot: { yields: [15, 5], food: 'root' },
	'roast carrot': { yields: [15, 25], food: 'root' },
	celeriac: { yields: [25, 5], food: 'root', allergens: ['celery'] },
	beet: { yields: [25, 5], food: 'root' },
	parsnip: { yields: [18, 5], food: 'root' },
	'roast parsnip': { yields: [18, 30], food: 'root' },
	onion: { yields: [10, 10] },
	'caramelised onion': { yields: [10, 70] },
	leek: { yields: [45, 10] },
	fennel: { yields: [28, 15] },
	cabbage: { yields: [20, 10], food: 'green vegetable' },
	'braised cabbage': { yields: [20, 30] },
	sprouts: { yields: [10, 5], food: 'green vegetable' },
	cauliflower: { yields: [45, 5], food: 'green vegetable' },
	broccoli: { yields: [40, 5], food: 'green vegetable' },
	'green beans': { yields: [10, 3], food: 'green vegetable' },
	'peas in the pod': { yields: [62, 2] },
	'shelled peas': { yields: [0, 2], food: 'green vegetable' },
	asparagus: { yields: [45, 5], food: 'green vegetable' },
	spinach: { density: 0.13, yields: [25, 15] },
	kale: { yields: [35, 20] },
	mushrooms: { yields: [4, 40] },
	courgette: { yields: [5, 25] },
	aubergine: { yields: [10, 30] },
	pepper: { yields: [18, 20] },
	tomato: { yields: [8, 35] },
	squash: { yields: [20, 8], food: 'squash' },
	'roast squash': { yields: [20, 20], food: 'squash' },
	'corn ear': { yields: [55, 2] },
	apple: { yields: [20, 15] },
	water: { density: 1 },
	milk: { density: 1.03, allergens: ['milk'] },
	cream: { density: 1, allergens: ['milk'] },
	yogurt: { density: 1.03, allergens: ['milk'] },
	'sour cream': { density: 1.03, allergens: ['milk'] },
	buttermilk: { density: 1.03, allergens: ['milk'] },
	butter: { density: 0.96, allergens: ['milk'] },
	ghee: { density: 0.91, allergens: ['milk'] },
	'vegetable oil': { density: 0.92, also: ['oil'] },
	'olive oil': { density: 0.915 },
	'duck fat': { density: 0.87 },
	lard: { density: 0.87 },
	vinegar: { density: 1.01, allergens: ['sulphites'] },
	wine: { density: 0.99, allergens: ['sulphites'] },
	spirits: { density: 0.94 },
	'fortified wine': { density: 1.03, allergens: ['sulphites'], also: ['port'] },
	stock: { density: 1.01, allergens: ['celery'] },
	'lemon juice': { density: 1.04, also: ['lemon'] },
	'orange juice': { density: 1.04, also: ['orange'] },
	'soy sauce': { density: 1.1, allergens: ['gluten', 'soy'] },
	'fish sauce': { density: 1.2, allergens: ['fish'] },
	honey: { density: 1.43 },
	molasses: { density: 1.42 },
	'maple syrup': { density: 1.33 },
	'golden syrup': { density: 1.42 },
	'tomato paste': { density: 1.1, also: ['tomato purée'] },
	passata: { density: 1.04 },
	mustard: { density: 1.05, allergens: ['mustard'] },
	mayonnaise: { density: 0.93, allergens: ['eggs', 'mustard'] },
	ketchup: { density: 1.1 },
	'peanut butter': { density: 1.07, allergens: ['peanuts'] },
	tahini: { density: 1.07, allergens: ['sesame'] },
	'coconut milk': { density: 0.97 },
	'whole egg': { density: 1.03, allergens: ['eggs'] },
	'egg white': { density: 1.03, food: 'egg white', allergens: ['eggs'] },
	'egg yolk': { density: 1.03, food: 'egg yolk', allergens: ['eggs'] },
	'granulated sugar': { density: 0.845, also: ['sugar'] },
	'caster sugar': { density: 0.86 },
	'brown sugar packed': { density: 0.93, also: ['brown sugar'] },
	'icing sugar': { density: 0.51, also: ['powdered sugar'] },
	'fine salt': { density: 1.23, also: ['salt'] },
	'coarse salt': { density: 1 },
	'flaky salt': { density: 0.55 },
	'plain flour': { density: 0.53, allergens: ['gluten'], also: ['flour', 'all-purpose flour', 'wheat flour'] },
	'wholemeal flour': { density: 0.51, allergens: ['gluten'], also: ['whole wheat flour'] },
	semolina: { density: 0.71, allergens: ['gluten'] },
	cornmeal: { density: 0.6 },
	cornflour: { density: 0.54, also: ['cornstarch'] },
	cocoa: { density: 0.36 },
	oats: { density: 0.35, allergens: ['gluten'] },
	'dry breadcrumbs': { density: 0.46, allergens: ['gluten'], also: ['breadcrumbs'] },
	'coarse breadcrumbs': { density: 0.22, allergens: ['gluten'] },
	'baking powder': { density: 0.93 },
	'baking soda': { density: 0.93 },
	'dry yeast': { density: 0.65, also: ['yeast'] },
	rice: { density: 0.8 },
	'risotto rice': { density: 0.85 },
	quinoa: { density: 0.73 },
	couscous: { density: 0.73, allergens: ['gluten'] },
	bulgur: { density: 0.75, allergens: ['gluten'] },
	'red lentils': { density: 0.83 },
	'dried chickpeas': { density: 0.83 },
	'short pastry': { allergens: ['gluten', 'milk'] },
	'lasagne sheets': { allergens: ['gluten', 'eggs'] },
	'dumpling wrappers': { allergens: ['gluten'] },
	'strong flour': { density: 0.53, allergens: ['gluten'] },
	'dark chocolate': { allergens: ['milk', 'soy'] },
	'vanilla ice cream': { allergens: ['milk', 'eggs'] },
	'vegetable stock': { density: 1.01, allergens: ['celery'] },
	'black beans': { density: 0.78 },
	'curry paste': { allergens: ['mustard', 'celery'] },
	'sesame oil': { density: 0.92, allergens: ['sesame'] },
	lentils: { density: 0.81 },
	'dried beans': { density: 0.78 },
	chickpeas: { density: 0.83 },
	'whole almonds': { density: 0.6, allergens: ['nuts'] },
	'ground almonds': { density: 0.4, allergens: ['nuts'] },
	'chopped walnuts': { density: 0.49, allergens: ['nuts'] },
	sesame: { density: 0.61, allergens: ['sesame'] },
	raisins: { density: 0.63, allergens: ['sulphites'] },
	'grated hard cheese': { density: 0.42, allergens: ['milk'] },
	'shredded soft cheese': { density: 0.48, allergens: ['milk'] },
	ricotta: { density: 1.04, allergens: ['milk'] },
	'cream cheese': { density: 0.98, allergens: ['milk'] },
	'ground spice': { density: 0.47 },
	'dried herb': { density: 0.2 },
	'chopped parsley': { density: 0.25 },
	'basil leaves': { density: 0.1 },
	'chopped onion': { density: 0.68 },
	'diced carrot': { density: 0.54 },
	'sliced mushrooms': { density: 0.3 },
	peas: { density: 0.61 },
	'chopped tomato': { density: 0.76 },
	'hard cheese': { allergens: ['milk'] },
	eggs: { allergens: ['eggs'] },
	pasta: { allergens: ['gluten'] },
	'pearl barley': { allergens: ['gluten'] },
	flatbread: { allergens: ['gluten'] },
	'white loaf': { allergens: ['gluten'] },
	'firm tofu': { food: 'tofu', allergens: ['soy'] },
	'celery stick': { allergens: ['celery'] }
} as const satisfies Readonly<Record<string, IngredientRow>>;

type Known = typeof ingredients;
/** Ingredients, and ways to cook them, of which it is known what is lost. */
export type Yielding = { [K in keyof Known]: Known[K] extends { readonly yields: unknown } ? K : never }[keyof Known];

/** Every row by its name. */
export const ingredientRows: readonly (readonly [string, IngredientRow])[] = Object.entries<IngredientRow>(ingredients);
const namesWith = (field: keyof IngredientRow) =>
	ingredientRows.filter(([, row]) => row[field] !== undefined).map(([name]) => name);
/** Names of ingredients whose density, or whose yields, are known. */
export const dense: readonly string[] = namesWith('density');
export const yielding = namesWith('yields') as readonly Yielding[];

const wordsOf = (name: string) =>
	name
		.toLowerCase()
		.split(/[^\p{L}]+/u)
		.filter(Boolean)
		.sort()
		.join(' ');
const byWords = new Map(
	ingredientRows.flatMap(([name, row]) => [name, ...(row.also ?? [])].map((n) => [wordsOf(n), row] as const))
);

/** The row of an ingredient, whatever the order of its words; `undefined` where it is not known. */
function rowOf(ingredient: string): IngredientRow | undefined {
	return byWords.get(wordsOf(ingredient));
}

/** g/ml of an ingredient; `undefined` where it is not known: never taken for water. */
export const densityOf = (ingredient: string): number | undefined => rowOf(ingredient)?.density;

/** What is in an ingredient that guests have to be told of; none where it is not known. */
export const allergensIn = (ingredient: string): readonly Allergen[] => rowOf(ingredient)?.allergens ?? [];

/** Whether a name is one of those whose yields are known. */
export const isYielding = (name: string): name is Yielding =>
	Object.hasOwn(ingredients, name) && 'yields' in ingredients[name as keyof Known];

/** kg to buy for so many kg on the plates. */
export function rawFor(served: number, what: Yielding): number {
	const [trim, loss] = ingredients[what].yields;
	return served / ((1 - trim / 100) * (1 - loss / 100));
}

/** kg raw and trimmed for so many kg on the plates. */
export function trimmedFor(served: number, what: Yielding): number {
	return served / (1 - ingredients[what].yields[1] / 100);
}

/** How many times its dry mass it weighs cooked. */
export const gains = { pasta: 2.2, rice: 2.9, quinoa: 3, lentils: 2.4, beans: 2.3, couscous: 2.4 } as const;

/** Raw and trimmed, for one (est.): grams, millilitres or pieces. */
export const portions = {
	protein: 175,
	'protein on the bone': 280,
	side: 135,
	potato: 200,
	leaves: 40,
	sauce: 50,
	eggs: 2,
	bread: 60
} as const;
