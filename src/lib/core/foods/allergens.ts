// What guests have to be told of, by law.

/** Regulation (EU) No 1169/2011, Annex II. */
export const allergens = [
	'gluten',
	'crustaceans',
	'eggs',
	'fish',
	'peanuts',
	'soy',
	'milk',
	'nuts',
	'celery',
	'mustard',
	'sesame',
	'sulphites',
	'lupin',
	'molluscs'
] as const;
export type Allergen = (typeof allergens)[number];
