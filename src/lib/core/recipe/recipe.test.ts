// Reading recipes: more than twenty of them in many styles against what a cook reads in them, numbers and lines by rows, and laws: whatever
// is given is answered, in order, in no time.
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoCases } from '../testing/demo-plan';
import { judge, type Expected } from '../testing/judge-recipe';
import { withPart } from '../model/edit-meal';
import type { Meal } from '../model/meal';
import { readTechnique } from '../model/technique';
import { planMealNow } from '../plan/plan-meal';
import { library } from '../library/library';
import { actionsOf } from './actions';
import { clausesOf, sentencesOf } from './clauses';
import { isHot } from './careful';
import { looksLikeIngredient, readIngredient } from './ingredient';
import { numberOf, rangeOf, temperaturesIn, timesIn } from './numbers';
import { readRecipe, type ReadRecipe } from './read';
import { servesOf } from './heads';
import { readSource } from './source';
import { techniquesFrom } from './technique';

const folder = 'recipes';
const expectations = ['expected.json', 'own.json'].flatMap((file) =>
	Object.entries(JSON.parse(readFileSync(`${folder}/${file}`, 'utf8')) as Record<string, Expected>)
);
const textOf = (name: string) => readFileSync(`${folder}/${name}`, 'utf8');
const read = (text: string): ReadRecipe => {
	const found = readRecipe(text);
	if (!found.ok) throw new Error(found.why);
	return found.recipe;
};

describe('recipes as a cook reads them', () => {
	test.each(expectations)('%s', (name, expected) => {
		expect(judge(read(textOf(name)), expected).misses).toEqual([]);
	});

	test('the judge is no yes-man: it counts what is wrong', () => {
		const [name, expected] = expectations[0]!;
		const recipe = read(textOf(name));
		const bad: ReadRecipe = {
			...recipe,
			ingredients: [...recipe.ingredients.slice(1), { ...recipe.ingredients[0]!, name: 'sand', line: 'sand' }],
			steps: recipe.steps.map((s) => ({ ...s, station: 'none', seconds: [1, 1, 1], hands: 'none', after: [] }))
		};
		const misses = judge(bad, expected).misses.join('\n');
		for (const what of ['ingredients', 'no ingredient', 'station', 'seconds', 'hands', 'order'])
			expect(misses).toMatch(what);
	});
});

test.each([
	['1 cup flour\n2 cups milk', 'Heat the oven to 250 degrees.', 121],
	['1 cup flour\n2 cups milk', 'Oven to 250.', 121],
	['200 g flour\n300 ml milk', 'Heat the oven to 250 degrees.', 250],
	['200 g flour\n300 ml milk', 'Oven to 200.', 200],
	['1 cup flour\n2 cups milk', 'Heat the oven to 250°C.', 250],
	['200 g flour\n300 ml milk', 'Heat the oven to 250°F.', 121]
])('of “%s”, “%s” is an oven of %d °C', (list, oven, celsius) => {
	const recipe = read(`Custard bake\n\n${list}\n\n${oven} Mix the flour with the milk.\nBake for 40 minutes.`);
	expect(recipe.steps.find((s) => s.kind === 'bake')?.celsius).toBe(celsius);
});

test('what stands in the oven beside a figure is no temperature', () => {
	for (const text of ['Put in the oven with 200 ml water.', 'In the oven 250 grams of beans dry out.'])
		expect(temperaturesIn(text)).toEqual([]);
});

test('what never ends is no recipe, and is soon told so', () => {
	const endless = `Title\n\n1 cup flour\n\n${'Mix the flour and water and stir it well, then add 2 tsp. salt; '.repeat(5000)}`;
	expect(readRecipe(endless)).toMatchObject({ ok: false });
	expect(readRecipe('word soup '.repeat(200_000))).toMatchObject({ ok: false });
});

test.each([
	['1 1/2', 1.5],
	['1½', 1.5],
	['2 ½', 2.5],
	['3/4', 0.75],
	['1,5', 1.5],
	['1,200', 1200],
	['one and a half', 1.5],
	['twelve', 12],
	['0.25', 0.25]
])('the number %s', (text, value) => {
	expect(numberOf(text)).toBeCloseTo(value, 9);
});

test('ranges, in either order', () => {
	expect(rangeOf('2–3')).toEqual([2, 3]);
	expect(rangeOf('3 to 4')).toEqual([3, 4]);
	expect(rangeOf('4 or 3')).toEqual([3, 4]);
	expect(rangeOf('1½-2')).toEqual([1.5, 2]);
});

test.each<[string, number | undefined]>([
	['for 8–10 minutes', 540],
	['about half an hour', 1800],
	['an hour and a quarter', 4500],
	['1 hour 30 minutes', 5400],
	['1½ hrs', 5400],
	['1 hr 15 mins', 4500],
	['45 minutes to 1 hour', 3150],
	['2 minutes a side', 240],
	['3-4 minutes on each side', 420],
	['for a minute or two', 90],
	['a couple of minutes', 120],
	['overnight', 28_800],
	['at least 1 hour', 3600],
	['a further minute', 60],
	['90 seconds', 90],
	['basting every 20 minutes', undefined],
	['after 5 minutes', undefined],
	['30 minutes before serving', 1800],
	['an hour before cooking', undefined],
	['no time at all', undefined]
])('the time in “%s”', (text, usual) => {
	expect(timesIn(text)[0]?.seconds[1]).toBe(usual);
});

test.each<[string, number | undefined, boolean]>([
	['200C/180C fan/gas 6', 200, false],
	['180°C fan', 180, true],
	['fan 160°C', 160, true],
	['350°F', 177, false],
	['425 degrees F', 218, false],
	['gas mark 4', 180, false],
	['220°C (200°C fan)', 220, false],
	['75 g', undefined, false]
])('the temperature in “%s”', (text, celsius, isFan) => {
	expect(temperaturesIn(text)[0]?.celsius).toBe(celsius);
	if (celsius !== undefined) expect(temperaturesIn(text)[0]?.isFan).toBe(isFan);
});

test.each<[string, readonly [number, number] | null, string | null, string, number | null]>([
	['2 x 400 g tins chopped tomatoes', [2, 2], 'tin', 'tomatoes', 800],
	['1 (14-ounce) can coconut milk', [1, 1], 'tin', 'coconut milk', 397],
	['400 g tin of chickpeas', [1, 1], 'tin', 'chickpeas', 400],
	['100g/4oz butter', [100, 100], 'g', 'butter', 100],
	['1 lb (450 g) minced beef', [1, 1], 'lb', 'beef', 454],
	['1 heaped tbsp plain flour', [1, 1], 'tbsp', 'plain flour', 8],
	['4 garlic cloves, crushed', [4, 4], 'clove', 'garlic', 20],
	['half a bunch of parsley', [0.5, 0.5], 'bunch', 'parsley', null],
	['a pinch of saffron', [1, 1], 'pinch', 'saffron', null],
	['finely grated zest and juice of 2 limes', [2, 2], 'piece', 'limes', null],
	['Flour: 250 g', [250, 250], 'g', 'Flour', 250],
	['- [ ] 2–3 sprigs of thyme', [2, 3], 'sprig', 'thyme', null],
	['3 cm piece of ginger, grated', [1, 1], 'piece', 'ginger', null],
	['1,5 kg potatoes', [1.5, 1.5], 'kg', 'potatoes', 1500],
	['boneless, skinless chicken breasts', null, null, 'boneless skinless chicken breasts', null],
	['butter or margarine, 50 g', [50, 50], 'g', 'butter', 50],
	['oil, for deep-frying', null, null, 'oil', null],
	['6 rashers smoked bacon', [6, 6], 'rasher', 'smoked bacon', null],
	['1 cup (240 ml) whole milk', [1, 1], 'cup', 'whole milk', 242]
])('the line “%s”', (line, amount, unit, name, grams) => {
	const [one] = readIngredient(line, null);
	expect(one?.amount ?? null).toEqual(amount);
	expect(one?.unit ?? null).toBe(unit);
	expect(one?.name).toBe(name);
	expect(one?.grams === null || one === undefined ? null : Math.abs(one.grams - (grams ?? 0)) <= 5).toBe(
		grams === null ? null : true
	);
	expect(looksLikeIngredient(line)).toBeGreaterThan(-1);
});

test('one line may hold several', () => {
	expect(readIngredient('salt and freshly ground black pepper', null).map((i) => i.name)).toEqual([
		'salt',
		'black pepper'
	]);
	expect(readIngredient('1 tsp each ground cumin and coriander', null).map((i) => [i.amount?.[0], i.name])).toEqual([
		[1, 'ground cumin'],
		[1, 'coriander']
	]);
	expect(readIngredient('shredded lettuce, diced tomatoes and sour cream, to serve', null).map((i) => i.name)).toEqual([
		'lettuce',
		'tomatoes',
		'sour cream'
	]);
});

test.each<[string, unknown]>([
	['Serves 4', 4],
	['Makes about 12', 12],
	['For 4–6.', [4, 6]],
	['4 servings', 4],
	['Serves: six', 6],
	['Enough for 8', 8],
	['a nice day', null]
])('how many “%s” is for', (text, serves) => {
	expect(servesOf(text)).toEqual(serves);
});

test('sentences end where they end, not at a figure or a short word', () => {
	expect(sentencesOf('Bake for 25 min. until golden. Cool 1.5 hours. Serve.')).toHaveLength(3);
	expect(sentencesOf('Heat to 180C. Add the fish (about 2 min. a side).')).toHaveLength(2);
});

test('nouns are not verbs, and what only puts things in goes with what is done to them', () => {
	expect(clausesOf('Stir in the butter, oil and salt.')).toHaveLength(1);
	expect(clausesOf('Add the beans and bring to the boil, then simmer for 20 minutes.').map((c) => c.main.word)).toEqual(
		['bring', 'simmer']
	);
	expect(clausesOf('Cook until soft and brown, about 5 minutes.')).toHaveLength(1);
	expect(clausesOf('In a saucepan warm the milk.')).toHaveLength(1);
	expect(clausesOf('It keeps for three days.')).toHaveLength(0);
});

test('the oven is what it was set to last, and preheating is no step', () => {
	const lines = [
		'Preheat the oven to 220C.',
		'Roast for 20 minutes, then lower the oven to 160C and roast for 1 hour.'
	];
	const actions = actionsOf(lines.map((text) => ({ text, section: null })));
	expect(actions.map((a) => [a.kind, a.celsius])).toEqual([
		['roast', 220],
		['roast', 160]
	]);
});

describe('no recipe', () => {
	test.each([
		['', /empty/],
		['   \n\t', /empty/],
		['{"@type": "Event", "name": "A party"}', /no recipe/i],
		['Dear all, the meeting is on Tuesday. Best wishes.', /No recipe/],
		['lorem ipsum '.repeat(200_000), /long|No recipe/],
		['<html><body><p>Nothing here.</p></body></html>', /No recipe/]
	])('%# is refused in a sentence', (text, why) => {
		const found = readRecipe(text);
		expect(found.ok ? '' : found.why).toMatch(why);
	});
});

describe('laws', () => {
	const words = expectations.flatMap(([name]) => textOf(name).split(/\s+/)).slice(0, 2500);
	const anyText = fc
		.array(fc.oneof(fc.constantFrom(...words), fc.constantFrom('\n', '\n\n', '.', ',', '- ', '1. ', '## ')), {
			minLength: 1,
			maxLength: 160
		})
		.map((list) => list.join(' '));

	test('whatever is thrown together is answered: steps wait for steps before them, times are in order, all of it is the recipe’s words', () => {
		fc.assert(
			fc.property(anyText, (text) => {
				const found = readRecipe(text);
				if (!found.ok) {
					expect(found.why).toMatch(/\.$/);
					return;
				}
				const { steps, ingredients, doubts } = found.recipe;
				const seen = new Set<string>();
				for (const s of steps) {
					for (const a of s.after) expect(seen.has(a)).toBe(true);
					seen.add(s.id);
					const [low, usual, high] = s.seconds ?? [0, 0, 0];
					expect(low).toBeLessThanOrEqual(usual);
					expect(usual).toBeLessThanOrEqual(high);
					expect(s.celsius === null || ['oven', 'water bath', 'fryer', 'burner'].includes(s.station)).toBe(true);
				}
				for (const i of ingredients) {
					expect(i.name).not.toBe('');
					if (i.amount) expect(i.amount[0]).toBeLessThanOrEqual(i.amount[1]);
				}
				const about = new Set([...steps.map((s) => s.id), ...ingredients.map((i) => i.line)]);
				for (const d of doubts) expect(about.has(d.about)).toBe(true);
			}),
			{ numRuns: 150, seed: 16 }
		);
	});

	test('bullets, numbers, blank lines and the kind of line end change nothing', () => {
		const plain = textOf('4.txt');
		const reading = JSON.stringify(read(plain).steps);
		expect(JSON.stringify(read(plain.replaceAll('\n', '\r\n')).steps)).toBe(reading);
		expect(JSON.stringify(read(`\n\n${plain}\n\n\n`).steps)).toBe(reading);
		expect(JSON.stringify(read(plain.replace(/^(\d.*(?:g|ml|tbsp).*)$/gm, '* $1')).steps)).toBe(reading);
	});

	test('JSON-LD alone, in a graph, in an array and in a page is one recipe', () => {
		const data = JSON.parse(textOf('2.json')) as { '@graph': unknown[] };
		const recipe = data['@graph'][1];
		const same = [recipe, [recipe], { '@graph': [[recipe]] }, { mainEntity: recipe }].map((d) => JSON.stringify(d));
		const page = `<html><body><script type="application/ld+json">${JSON.stringify(recipe)}</script><p>Ad: chop prices!</p></body></html>`;
		const [first, ...others] = [...same, page].map((text) => JSON.stringify(read(text)));
		for (const other of others) expect(other).toBe(first);
	});

	test('read once more, a reading is the same', () => {
		for (const [name] of expectations) expect(readRecipe(textOf(name))).toEqual(readRecipe(textOf(name)));
	});
});

describe('a reading becomes techniques', () => {
	const [harvest] = demoCases;
	if (!harvest) throw new RangeError('no demo');

	test.each(expectations.map(([name]) => name))(
		'%s: valid, with all its steps and its source, and planned at once',
		(name) => {
			const text = textOf(name);
			const recipe = read(text);
			for (const { meal, kitchen } of demoCases.filter((c) => c.meal.parts.length < 12).slice(0, 2)) {
				const made = techniquesFrom(recipe, text, kitchen, [...library.keys()]);
				expect(made.length).toBeGreaterThan(0);
				for (const t of made) {
					const checked = readTechnique(JSON.parse(JSON.stringify(t)));
					expect(checked.ok ? [] : checked.issues).toEqual([]);
					expect(t.recipe?.text).toBe(text);
					expect(library.has(t.id)).toBe(false);
				}
				const steps = new Set(made.flatMap((t) => t.steps.map((s) => s.id)));
				for (const s of recipe.steps.filter((x) => x.kind !== 'plate')) expect(steps.has(s.id), s.text).toBe(true);
				// What is in the oven for six hours is begun as much sooner; what is left overnight is not waited for.
				const onHeat = recipe.steps.reduce((sum, s) => sum + (isHot(s) ? (s.seconds?.[1] ?? 0) : 0), 0);
				const [first = 0] = meal.courses.map((c) => c.service);
				const earliest = Math.min(meal.earliest, first - onHeat - 3 * 3600);
				const empty: Meal = { ...meal, parts: [], links: [], own: [], earliest };
				const [course] = meal.courses;
				const all = made.reduce((m, t) => withPart(m, t, course?.id ?? ''), empty);
				const outcome = planMealNow({ meal: all, kitchen, techniques: made, seed: 1, budget: 4000 });
				expect(outcome.kind, JSON.stringify(outcome).slice(0, 300)).toBe('plan');
			}
		},
		60_000
	);

	test('what is made for itself is a part of its own, and allergens are told', () => {
		const made = techniquesFrom(read(textOf('10.txt')), '', harvest.kitchen, []);
		expect(made.map((t) => t.name)).toEqual(['Thai green curry with rice', 'Rice']);
		const batter = techniquesFrom(read(textOf('8.txt')), '', harvest.kitchen, []).flatMap((t) => t.ingredients ?? []);
		expect(batter.find((i) => i.name === 'plain flour')?.allergens).toContain('gluten');
		expect(batter.find((i) => i.name === 'haddock fillets')?.allergens).toContain('fish');
		const pancakes = techniquesFrom(read(textOf('13.txt')), '', harvest.kitchen, []).flatMap(
			(t) => t.ingredients ?? []
		);
		expect(pancakes.find((i) => i.name === 'eggs')?.allergens).toContain('eggs');
		expect(pancakes.find((i) => i.name === 'whole milk')?.allergens).toContain('milk');
	});
});

test('a source tells its lines under their heads', () => {
	const source = readSource(textOf('1.txt'));
	if (typeof source === 'string') throw new Error(source);
	expect(source.title).toBe('Sausages with white beans and a parsley dressing');
	expect([...new Set(source.ingredients.map((l) => l.section))]).toEqual([
		'For the sausages and beans',
		'For the dressing'
	]);
	expect(source.instructions).toHaveLength(6);
});

test('a thickness that is told is not asked for, wherever it is told', () => {
	const asked = (line: string, step: string) => {
		const read = readRecipe(`Chops\n\nServes 2\n\nIngredients\n${line}\n1 tbsp oil\n\nMethod\n1. ${step}\n2. Serve.\n`);
		return read.ok && read.recipe.doubts.some((d) => d.asks === 'thickness');
	};
	expect(asked('2 pork chops', 'Fry the chops for 4 minutes a side.')).toBe(true);
	expect(asked('2 pork chops, 2.5 cm thick', 'Fry the chops for 4 minutes a side.')).toBe(false);
	expect(asked('2 pork chops', 'Fry the 2cm-thick chops for 4 minutes a side.')).toBe(false);
	expect(asked('2 pork chops', 'Fry the chops for 4 minutes a side in a wide pan.')).toBe(true);
});
