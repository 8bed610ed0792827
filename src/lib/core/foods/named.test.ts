// Foods by a cook's words: guests are told of all that is in them, and not of what only sounds like it.
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { allergens, type Allergen } from './allergens';
import { allergensNamed, allergenWords, rawNamed, shelfOf } from './named';
import { ingredientRows } from './ingredients';

const holds: Readonly<Record<Allergen, readonly string[]>> = {
	gluten: [
		'200 g plain flour',
		'spaghetti',
		'panko',
		'a can of stout',
		'light soy sauce',
		'1 sheet filo',
		'egg noodles',
		'oat milk'
	],
	crustaceans: ['12 raw prawns', 'crabmeat', 'scampi'],
	eggs: ['2 egg yolks', 'mayonnaise', 'brioche buns', 'ready-made custard'],
	fish: ['4 anchovy fillets', 'fish sauce', '2 sea bass fillets', 'Worcestershire sauce', 'dashi'],
	peanuts: ['peanut butter', 'groundnut oil', 'satay sauce'],
	soy: ['tofu', 'white miso', 'tamari', 'soya milk', 'edamame'],
	milk: ['200 ml double cream', 'feta', 'unsalted butter', 'paneer', 'crème fraîche', 'fresh pesto', 'milk chocolate'],
	nuts: ['ground almonds', 'pistachios', 'almond milk', 'marzipan', 'cashew butter'],
	celery: ['2 celery sticks', 'celeriac', '1 litre chicken stock'],
	mustard: ['Dijon mustard', 'curry powder', 'mayonnaise'],
	sesame: ['toasted sesame seeds', 'tahini', 'hummus', 'za’atar'],
	sulphites: ['150 ml dry white wine', 'sherry', 'red wine vinegar', 'raisins'],
	lupin: ['lupin flour'],
	molluscs: ['1 kg mussels', 'oyster sauce', 'squid', 'scallops']
};
const doesNot: readonly (readonly [string, Allergen])[] = [
	['400 ml coconut milk', 'milk'],
	['peanut butter', 'milk'],
	['1 butternut squash', 'milk'],
	['1 tin butter beans', 'milk'],
	['oat milk', 'milk'],
	['cream of tartar', 'milk'],
	['1 aubergine (eggplant)', 'eggs'],
	['rice noodles', 'gluten'],
	['cornflour', 'gluten'],
	['100 g gram flour', 'gluten'],
	['gluten-free flour', 'gluten'],
	['12 corn tortillas', 'gluten'],
	['oyster mushrooms', 'molluscs'],
	['nutmeg', 'nuts'],
	['coconut', 'nuts'],
	['chestnut mushrooms', 'nuts']
];

describe('allergens', () => {
	test.each(allergens.flatMap((a) => holds[a].map((line) => [line, a] as const)))('%s holds %s', (line, allergen) => {
		expect(allergensNamed(line)).toContain(allergen);
	});
	test.each(doesNot)('%s does not hold %s', (line, allergen) => {
		expect(allergensNamed(line)).not.toContain(allergen);
	});

	test('every ingredient of the table that holds one is told of, however it stands in a line', () => {
		const rows = ingredientRows.filter(([, row]) => (row.allergens ?? []).length > 0);
		const line = fc.tuple(
			fc.constantFrom(...rows),
			fc.constantFrom('', '200 g ', '2 tbsp finely chopped ', 'about 3 '),
			fc.constantFrom('', ', to serve', ' (optional)', ' or what you have')
		);
		fc.assert(
			fc.property(line, ([[name, { allergens: own = [] }], before, after]) => {
				expect(allergensNamed(before + name + after)).toEqual(expect.arrayContaining([...own]));
			}),
			{ numRuns: 300, seed: 5 }
		);
	});

	test('two things in one line are told of as each alone', () => {
		const lines = Object.values(holds).flat();
		fc.assert(
			fc.property(fc.constantFrom(...lines), fc.constantFrom(...lines), (a, b) => {
				const both = new Set(allergensNamed(`${a} or ${b}`));
				for (const one of [...allergensNamed(a), ...allergensNamed(b)]) expect(both.has(one)).toBe(true);
			}),
			{ numRuns: 300, seed: 6 }
		);
	});

	test('steps name foods, not tools or what is done', () => {
		const words = (text: string) => allergenWords(text).map((f) => f.word);
		expect(words('Scatter with toasted almonds and serve with crusty bread')).toEqual(['bread', 'almonds']);
		expect(words('Fish out the bay leaf, wrap in foil, slice with a bread knife')).toEqual([]);
	});
});

test.each<[string, string, 'egg' | 'fish' | 'meat' | undefined, string | undefined]>([
	['chicken thighs', 'skin on', 'meat', 'poultry thigh'],
	['beef', 'minced', 'meat', 'mince'],
	['chicken', 'minced', 'meat', 'poultry thigh'],
	['5 % fat beef mince', '', 'meat', 'mince'],
	['pork sausages', '', 'meat', 'mince'],
	['pork shoulder', '', 'meat', 'pork'],
	['lamb chops', '', 'meat', 'lean meat'],
	['haddock fillets', 'skinned', 'fish', 'white fish'],
	['smoked salmon', '', 'fish', 'salmon'],
	['egg yolks', '', 'egg', undefined],
	['tuna steaks', '', 'fish', 'white fish'],
	['cauliflower steaks', '', undefined, undefined],
	['quail eggs', '', 'egg', undefined],
	['chicken stock', '', undefined, undefined],
	['chicken', 'cooked, shredded', undefined, undefined],
	['tinned tuna', '', undefined, undefined],
	['anchovy fillets', '', undefined, undefined],
	['duck fat', '', undefined, undefined],
	['aubergine (eggplant)', '', undefined, undefined],
	['carrots', '', undefined, undefined]
])('%s, %s, is raw as %s, to the heat %s', (name, preparation, of, food) => {
	expect(rawNamed(name, preparation)?.of).toBe(of);
	expect(rawNamed(name, preparation)?.food).toBe(food);
});

test.each([
	['flat-leaf parsley', 'herbs'],
	['minced beef', 'meat and fish'],
	['ground beef', 'meat and fish'],
	['beef stock', 'store cupboard'],
	['coconut milk', 'store cupboard'],
	['whole milk', 'dairy and eggs'],
	['butter beans', 'vegetables and fruit'],
	['tomato purée', 'store cupboard'],
	['red pepper', 'vegetables and fruit'],
	['black pepper', 'store cupboard'],
	['brioche buns', 'bread']
])('%s stands with %s', (name, shelf) => {
	expect(shelfOf(name)).toBe(shelf);
});
