// Fats in one table: when they smoke, how they are measured, what is in them.
import type { Allergen } from './allergens';

interface FatRow {
	/** Smoke point, °C, low and high end (McGee 2004 and handbooks; sources disagree by 20 K: use the low end). */
	readonly smokes: readonly [low: number, high: number];
	/** Solid when cold: it is weighed, so many grams to the millilitre. */
	readonly weighed?: number;
	readonly allergens?: readonly Allergen[];
}

export const fats = {
	'refined avocado oil': { smokes: [250, 270] },
	'refined high-oleic sunflower oil': { smokes: [225, 265] },
	'refined peanut oil': { smokes: [225, 240], allergens: ['peanuts'] },
	'refined rapeseed oil': { smokes: [200, 230] },
	'refined olive oil': { smokes: [195, 240] },
	'grapeseed oil': { smokes: [195, 240] },
	ghee: { smokes: [190, 250], weighed: 0.91, allergens: ['milk'] },
	'beef tallow': { smokes: [200, 250], weighed: 0.9 },
	lard: { smokes: [182, 190], weighed: 0.87 },
	'duck fat': { smokes: [190, 190], weighed: 0.87 },
	'extra virgin olive oil': { smokes: [160, 210] },
	'virgin coconut oil': { smokes: [175, 175] },
	'toasted sesame oil': { smokes: [175, 175], allergens: ['sesame'] },
	'walnut oil': { smokes: [160, 160], allergens: ['nuts'] },
	'whole butter': { smokes: [120, 175], weighed: 0.96, allergens: ['milk'] },
	'flax oil': { smokes: [107, 107] }
} as const satisfies Readonly<Record<string, FatRow>>;
export type Fat = keyof typeof fats;

/** Fats for the pan, the usual one first. */
export const panFats = [
	'refined high-oleic sunflower oil',
	'refined rapeseed oil',
	'refined olive oil',
	'extra virgin olive oil',
	'ghee',
	'duck fat',
	'whole butter'
] as const satisfies readonly Fat[];

/** What is known of a fat. */
export const fatRow = (fat: Fat): FatRow => fats[fat];
