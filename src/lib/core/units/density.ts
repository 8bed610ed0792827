// Grams to the millilitre of ingredients, as a cook's measure holds them: packing is ± 10 % for solids.

/** g/ml (USDA FoodData Central, household weights). */
export const densities: Readonly<Record<string, number>> = {
	water: 1,
	milk: 1.03,
	cream: 1,
	yogurt: 1.03,
	'sour cream': 1.03,
	buttermilk: 1.03,
	butter: 0.96,
	ghee: 0.91,
	'vegetable oil': 0.92,
	'olive oil': 0.915,
	'duck fat': 0.87,
	lard: 0.87,
	vinegar: 1.01,
	wine: 0.99,
	spirits: 0.94,
	'fortified wine': 1.03,
	stock: 1.01,
	'lemon juice': 1.04,
	'orange juice': 1.04,
	'soy sauce': 1.1,
	'fish sauce': 1.2,
	honey: 1.43,
	molasses: 1.42,
	'maple syrup': 1.33,
	'golden syrup': 1.42,
	'tomato paste': 1.1,
	passata: 1.04,
	mustard: 1.05,
	mayonnaise: 0.93,
	ketchup: 1.1,
	'peanut butter': 1.07,
	tahini: 1.07,
	'coconut milk': 0.97,
	'whole egg': 1.03,
	'egg white': 1.03,
	'egg yolk': 1.03,
	'granulated sugar': 0.845,
	'caster sugar': 0.86,
	'brown sugar packed': 0.93,
	'icing sugar': 0.51,
	'fine salt': 1.23,
	'coarse salt': 1,
	'flaky salt': 0.55,
	'plain flour': 0.53,
	'wholemeal flour': 0.51,
	semolina: 0.71,
	cornmeal: 0.6,
	cornflour: 0.54,
	cocoa: 0.36,
	oats: 0.35,
	'dry breadcrumbs': 0.46,
	'coarse breadcrumbs': 0.22,
	'baking powder': 0.93,
	'baking soda': 0.93,
	'dry yeast': 0.65,
	rice: 0.8,
	'risotto rice': 0.85,
	quinoa: 0.73,
	couscous: 0.73,
	lentils: 0.81,
	'dried beans': 0.78,
	chickpeas: 0.83,
	'whole almonds': 0.6,
	'ground almonds': 0.4,
	'chopped walnuts': 0.49,
	sesame: 0.61,
	raisins: 0.63,
	'grated hard cheese': 0.42,
	'shredded soft cheese': 0.48,
	ricotta: 1.04,
	'cream cheese': 0.98,
	'ground spice': 0.47,
	'dried herb': 0.2,
	'chopped parsley': 0.25,
	'basil leaves': 0.1,
	spinach: 0.13,
	'chopped onion': 0.68,
	'diced carrot': 0.54,
	'sliced mushrooms': 0.3,
	peas: 0.61,
	'chopped tomato': 0.76
};

/** What else an ingredient is called. */
const otherNames: Readonly<Record<string, string>> = {
	flour: 'plain flour',
	'all-purpose flour': 'plain flour',
	'wheat flour': 'plain flour',
	'whole wheat flour': 'wholemeal flour',
	sugar: 'granulated sugar',
	'brown sugar': 'brown sugar packed',
	'powdered sugar': 'icing sugar',
	salt: 'fine salt',
	oil: 'vegetable oil',
	egg: 'whole egg',
	breadcrumbs: 'dry breadcrumbs',
	cornstarch: 'cornflour',
	yeast: 'dry yeast',
	lemon: 'lemon juice',
	orange: 'orange juice',
	port: 'fortified wine',
	'tomato purée': 'tomato paste'
};

const wordsOf = (name: string) =>
	name
		.toLowerCase()
		.split(/[^\p{L}]+/u)
		.filter(Boolean)
		.sort()
		.join(' ');
const byWords = new Map(Object.entries(densities).map(([name, density]) => [wordsOf(name), density]));
for (const [other, name] of Object.entries(otherNames)) byWords.set(wordsOf(other), densities[name] ?? NaN);

/** g/ml of an ingredient, whatever the order of its words; `undefined` where it is not known: never taken for water. */
export function densityOf(ingredient: string): number | undefined {
	return byWords.get(wordsOf(ingredient));
}
