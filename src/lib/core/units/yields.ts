// From what is bought to what is served: trim and loss in cooking, and what grows instead.

/** Percent trimmed off, percent lost in cooking (USDA Agriculture Handbook 102; Cooking Yields 2012; rounded, ± 5). */
export const yields = {
	'beef steak': [5, 22],
	'beef roast': [8, 25],
	mince: [0, 25],
	'stewing beef': [10, 35],
	'lamb rack': [35, 20],
	'lamb leg': [28, 25],
	'lamb chop': [20, 22],
	'pork loin': [8, 22],
	'pork chop': [20, 25],
	'pork belly': [5, 35],
	bacon: [0, 65],
	veal: [8, 22],
	'whole chicken': [30, 25],
	'chicken breast': [3, 25],
	'chicken thigh': [28, 28],
	'turkey breast': [8, 25],
	'duck breast': [3, 30],
	'whole duck': [35, 35],
	'fish fillet': [5, 18],
	'whole fish': [50, 18],
	salmon: [5, 15],
	prawns: [45, 18],
	scallops: [2, 25],
	mussels: [75, 10],
	squid: [25, 40],
	egg: [11, 2],
	potato: [18, 2],
	'roast potato': [18, 20],
	fries: [18, 40],
	'sweet potato': [20, 2],
	carrot: [15, 5],
	'roast carrot': [15, 25],
	celeriac: [25, 5],
	beet: [25, 5],
	parsnip: [18, 5],
	'roast parsnip': [18, 30],
	onion: [10, 10],
	'caramelised onion': [10, 70],
	leek: [45, 10],
	fennel: [28, 15],
	cabbage: [20, 10],
	'braised cabbage': [20, 30],
	sprouts: [10, 5],
	cauliflower: [45, 5],
	broccoli: [40, 5],
	'green beans': [10, 3],
	'peas in the pod': [62, 2],
	asparagus: [45, 5],
	spinach: [25, 15],
	kale: [35, 20],
	mushrooms: [4, 40],
	courgette: [5, 25],
	aubergine: [10, 30],
	pepper: [18, 20],
	tomato: [8, 35],
	squash: [20, 8],
	'roast squash': [20, 20],
	'corn ear': [55, 2],
	apple: [20, 15]
} as const satisfies Readonly<Record<string, readonly [trim: number, loss: number]>>;
export type Yielding = keyof typeof yields;

/** kg to buy for so many kg on the plates. */
export function rawFor(served: number, what: Yielding): number {
	const [trim, loss] = yields[what];
	return served / ((1 - trim / 100) * (1 - loss / 100));
}

/** kg raw and trimmed for so many kg on the plates. */
export function trimmedFor(served: number, what: Yielding): number {
	return served / (1 - yields[what][1] / 100);
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
