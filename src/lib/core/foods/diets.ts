// What those who eat no meat, no animal, no pork, no fish do not eat, by ingredient. A help, never a promise: labels hold.
import { allergensIn } from './ingredients';

/** What somebody does not eat. */
export const diets = ['vegetarian', 'vegan', 'no pork', 'no fish'] as const;
export type Diet = (typeof diets)[number];

interface Ingredient {
	readonly name: string;
	readonly aisle: string;
	readonly allergens?: readonly string[] | undefined;
}

const seafood = ['fish', 'crustaceans', 'molluscs'];
const isSeafood = (i: Ingredient) => [...allergensIn(i.name), ...(i.allergens ?? [])].some((a) => seafood.includes(a));
/** Meat and fish that stand on another shelf, by name. */
const meaty =
	/\b(stock|gelatine?|lard|suet|duck fat|goose fat|beef dripping|anchov|fish sauce|oyster sauce|bacon|ham)\b/i;
const isPlant = /\b(vegetable|mushroom) stock\b/i;
const isMeaty = (i: Ingredient) => !isPlant.test(i.name) && (i.aisle === 'meat and fish' || meaty.test(i.name));
const animal = /\b(honey|butter|ghee|cream|milk|yogurt|cheese|eggs?|yolk|mayonnaise)\b/i;

const rules: Readonly<Record<Diet, (i: Ingredient) => boolean>> = {
	vegetarian: (i) => isMeaty(i) || isSeafood(i),
	vegan: (i) => isMeaty(i) || isSeafood(i) || i.aisle === 'dairy and eggs' || animal.test(i.name),
	'no pork': (i) => /\b(pork|bacon|ham|lard|chorizo|salami|pancetta|gelatine?)\b/i.test(i.name),
	'no fish': isSeafood
};

/** The first ingredient that a diet has not; none where all is eaten. Sausages and stocks without a name are theirs to check. */
export function notEaten(diet: Diet, ingredients: readonly Ingredient[]): string | undefined {
	return ingredients.find(rules[diet])?.name;
}
