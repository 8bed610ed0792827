// What is read becomes what a cook can do: nothing of the list is lost or doubled, guests are told of all of it, pans stay with
// their food, nothing hot is left standing, and no wait is asked for that cannot be kept.
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { allergensNamed, allergenWords } from '../foods/named';
import { demoCases } from '../testing/demo-plan';
import { beforeAnd } from '../plan/compile/portions';
import type { Kitchen } from '../model/kitchen';
import type { Technique } from '../model/technique';
import { isHot } from './careful';
import { readRecipe, type ReadRecipe } from './read';
import { techniquesFrom } from './technique';

const names = ['expected.json', 'own.json'].flatMap((file) =>
	Object.keys(JSON.parse(readFileSync(`recipes/${file}`, 'utf8')) as object)
);
const textOf = (name: string) => readFileSync(`recipes/${name}`, 'utf8');
const read = (text: string): ReadRecipe => {
	const found = readRecipe(text);
	if (!found.ok) throw new Error(found.why);
	return found.recipe;
};
const someKitchen = demoCases[0]?.kitchen;
if (!someKitchen) throw new RangeError('no kitchen');
const kitchen: Kitchen = someKitchen;
const withFan = (fan: boolean): Kitchen => ({
	...kitchen,
	stations: kitchen.stations.map((s) => (s.kind === 'oven' ? { ...s, fan } : s))
});
const made = (text: string, at: Kitchen = kitchen) => techniquesFrom(read(text), text, at, []);
const all = (techniques: readonly Technique[]) => techniques.flatMap((t) => t.ingredients ?? []);

/** A recipe with one part in the oven, of lines and steps. */
const recipeOf = (lines: readonly string[], steps: readonly string[], serves = 4) =>
	`A dish\n\nServes ${serves}\n\nIngredients\n\n${lines.join('\n')}\n\nMethod\n\n${steps.map((s, i) => `${i + 1}. ${s}`).join('\n')}\n`;

describe.each(names)('%s', (name) => {
	const recipe = read(textOf(name));
	const techniques = made(textOf(name));

	test('every line goes into exactly one part, all of it', () => {
		const listed = all(techniques);
		const weights = listed
			.filter((i) => i.unit === 'g' && i.grows === undefined)
			.reduce((sum, i) => sum + Number(i.each), 0);
		const written = recipe.ingredients.reduce((sum, i) => sum + (i.grams ?? 0), 0);
		const people = written === 0 ? 1 : written / Math.max(weights, 1e-9);
		const { serves } = recipe;
		const middle = serves === null ? 4 : typeof serves === 'number' ? serves : (serves[0] + serves[1]) / 2;
		if (written > 0) expect([middle, 4].some((n) => Math.abs(people / n - 1) < 0.02)).toBe(true);
		const counted = listed.filter((i) => !i.name.endsWith('as the recipe says')).length;
		const salt =
			/^(?:(?:sea|black|flaky|fine|freshly|ground|cold|boiling|iced?|kosher|table|white) )*(?:salt|pepper|water|seasoning)$/i;
		const left = recipe.ingredients.filter((i) => i.amount !== null || !salt.test(i.name)).length;
		expect(counted).toBeGreaterThanOrEqual(left);
		expect(counted).toBeLessThanOrEqual(recipe.ingredients.length);
	});

	test('guests are told of what the list names, and of what only the steps do', () => {
		expect(techniques.length).toBeGreaterThan(0);
		const told = new Set(all(techniques).flatMap((i) => i.allergens ?? []));
		for (const i of recipe.ingredients)
			for (const a of allergensNamed(i.name)) expect(told.has(a), `${i.line}: ${a}`).toBe(true);
		const lines = recipe.ingredients.map((i) => i.line.toLowerCase()).join();
		for (const s of recipe.steps.filter((x) => x.kind !== 'plate'))
			for (const { word, allergen } of allergenWords(s.text))
				if (!lines.includes(word.replace(/s$/, ''))) expect(told.has(allergen), `${s.text}: ${word}`).toBe(true);
	});

	test('whatever is on the heat or in the oven is in one vessel, and stays in it', () => {
		for (const t of techniques) {
			const follows = (from: string, to: string) => beforeAnd(t, to).has(from);
			const held = t.steps.map((s) =>
				t.vessels.filter((v) => follows(v.from, s.id) && follows(s.id, v.to)).map((v) => v.kind)
			);
			expect(held).toHaveLength(t.steps.length);
			t.steps.forEach((s, i) => {
				if (s.need?.kind === 'burner' || s.need?.kind === 'oven') expect(held[i], s.say).toHaveLength(1);
			});
		}
	});

	test('what the steps ask for can be kept: no wait is longer than its most, whatever the durations', () => {
		for (const t of techniques)
			for (const share of ['shortest', 'usual', 'longest'] as const) expect(isConsistent(t, share), t.name).toBe(true);
	});
});

/**
 * Whether a simple temporal network has a schedule: no negative circle (Dechter, Meiri and Pearl 1991, Artificial
 * Intelligence 49), by relaxation as often as there are steps.
 */
function isConsistent({ steps }: Technique, share: 'shortest' | 'usual' | 'longest'): boolean {
	const at = new Map(steps.map((s) => [s.id, 0]));
	const time = new Map(steps.map((s) => [s.id, s.time[share] ?? 0]));
	for (let round = 0; round <= steps.length; round++) {
		let isStill = true;
		for (const s of steps)
			for (const a of s.after) {
				const end = at.get(a.step)! + time.get(a.step)!;
				if (at.get(s.id)! < end + a.least) [isStill] = [false, at.set(s.id, end + a.least)];
				if (a.most !== undefined && at.get(s.id)! > end + a.most)
					[isStill] = [false, at.set(a.step, at.get(s.id)! - a.most - time.get(a.step)!)];
			}
		if (isStill) return true;
	}
	return false;
}

test('steps of many recipes thrown together leave no wait that cannot be kept, and no vessel twice', () => {
	const steps = names.flatMap((name) => read(textOf(name)).steps.map((s) => s.text)).filter((s) => s.length < 160);
	const lines = names.flatMap((name) => read(textOf(name)).ingredients.map((i) => i.line));
	const recipe = fc.tuple(
		fc.array(fc.constantFrom(...lines), { minLength: 2, maxLength: 12 }),
		fc.array(fc.constantFrom(...steps), { minLength: 3, maxLength: 14 })
	);
	fc.assert(
		fc.property(recipe, ([some, told]) => {
			const text = recipeOf(some, told);
			const found = readRecipe(text);
			if (!found.ok) return;
			for (const t of techniquesFrom(found.recipe, text, kitchen, [])) {
				expect(isConsistent(t, 'usual')).toBe(true);
				const order = new Map(t.steps.map((s, i) => [s.id, i]));
				for (const v of t.vessels) expect(order.get(v.from)!).toBeLessThanOrEqual(order.get(v.to)!);
				expect(new Set(t.vessels.map((v) => v.from)).size).toBe(t.vessels.length);
			}
		}),
		{ numRuns: 200, seed: 17 }
	);
});

test('a hot pan waits for nobody, a seared steak not for long; what was set aside may', () => {
	const [t] = made(
		recipeOf(
			['2 sirloin steaks', '1 tbsp oil', '2 shallots'],
			['Heat the oil in a frying pan.', 'Sear the steaks for 2 minutes a side.', 'Rest for 5 minutes.']
		)
	);
	const most = t!.steps.map((s) => s.after.map((a) => a.most));
	expect(most.flat().every((m) => m !== undefined && m <= 240)).toBe(true);
	expect(most.flat()).toHaveLength(2);
});

test.each([
	['Bake at 200C for 20 minutes.', false, 200],
	['Bake at 200C for 20 minutes.', true, 180],
	['Bake at 180C fan for 20 minutes.', true, 180],
	['Bake at 180C fan for 20 minutes.', false, 200],
	['Bake until golden.', true, 160]
])('“%s” with a fan %s is set to %i', (step, fan, celsius) => {
	const [t] = made(
		recipeOf(['4 potatoes', '1 tbsp oil'], ['Slice the potatoes and put them in a dish.', step]),
		withFan(fan)
	);
	const baked = t!.steps.find((s) => s.need?.kind === 'oven')!;
	expect(baked.need?.kind === 'oven' && baked.need.settings).toEqual([celsius]);
	// Where the figure is another than the recipe's, the recipe's is told too.
	const written = /(\d+)C/.exec(step)?.[1];
	if (written !== undefined && Number(written) !== celsius) expect(baked.heat).toContain(written);
	// What has no time is not done in a moment.
	expect(baked.time.usual).toBeGreaterThanOrEqual(1200);
});

test.each<[string, readonly string[], readonly string[], RegExp | null, Technique['raw']]>([
	[
		'poultry',
		['8 chicken thighs'],
		['Roast the chicken for 40 minutes at 200C.'],
		/^Poultry: at least 74 °C/,
		undefined
	],
	[
		'minced meat',
		['500 g minced beef'],
		['Shape the beef into patties.', 'Fry for 4 minutes a side.'],
		/at least 71 °C/,
		undefined
	],
	['pork', ['4 pork chops'], ['Grill the chops for 5 minutes a side.'], /^Pork: at least 63 °C/, undefined],
	[
		'a steak',
		['2 sirloin steaks'],
		['Sear the steaks for 2 minutes a side.'],
		/below 63 °C .* not for pregnant/,
		undefined
	],
	['a stew', ['800 g stewing beef', '500 ml stock'], ['Simmer the beef in the stock for 2 hours.'], null, undefined],
	[
		'a mayonnaise',
		['2 egg yolks', '200 ml oil'],
		['Whisk the yolks.', 'Whisk in the oil in drops.', 'Season.'],
		null,
		'egg'
	],
	['a tartare', ['300 g beef fillet'], ['Chop the beef finely.', 'Season and serve.'], /its own board/, 'meat'],
	[
		'a ceviche',
		['400 g sea bass fillets', '4 limes'],
		['Dice the bass.', 'Marinate in the lime juice for 20 minutes.'],
		null,
		'fish'
	],
	[
		'a custard',
		['4 egg yolks', '300 ml milk'],
		['Whisk the yolks.', 'Add the milk and simmer gently for 5 minutes, stirring.'],
		null,
		undefined
	],
	['carrots', ['500 g carrots'], ['Boil the carrots for 8 minutes.'], null, undefined]
])('%s: what has to be known is told', (_, lines, steps, caution, raw) => {
	const [t] = made(recipeOf(lines, steps));
	const said = t!.steps.flatMap((s) => s.cautions ?? []);
	if (caution) expect(said.join('\n')).toMatch(new RegExp(caution.source, 'm'));
	else expect(said).toEqual([]);
	expect(t!.raw).toBe(raw);
});

test.each<[string, string, readonly string[], string | undefined]>([
	['beans', '300 g dried beans', ['Soak the beans overnight.', 'Simmer for 1 hour.'], 'Soak'],
	[
		'a marinade',
		'4 lamb chops',
		['Marinate the chops for 2 hours or overnight.', 'Grill for 4 minutes a side.'],
		'Marinate'
	],
	['ice cream', '300 ml cream', ['Whip the cream.', 'Freeze for at least 4 hours.'], 'Freeze'],
	['clams', '1 kg clams', ['Soak the clams in cold salted water for 1 hour.', 'Steam for 4 minutes.'], undefined],
	['a fish in lime', '400 g bass', ['Marinate the bass in lime juice for at least 1 hour.', 'Season.'], undefined],
	['rice', '300 g rice', ['Soak the rice for 30 minutes.', 'Boil for 12 minutes.'], undefined],
	['a roast', '2 kg beef roast', ['Roast the beef for 2 hours.', 'Rest for 30 minutes.'], undefined]
])('%s: what is left overnight is begun before the evening, nothing else', (_, line, steps, last) => {
	const [t] = made(recipeOf([line], steps));
	const step = t!.steps.find((s) => s.id === t!.ahead?.last);
	expect(step?.say.split(' ')[0]).toBe(last);
});

test('handwork takes longer for more people, a written time does not', () => {
	const [t] = made(
		recipeOf(
			['500 g bread flour', '8 carrots'],
			['Peel the carrots.', 'Knead the dough for 10 minutes.', 'Boil the carrots for 8 minutes.'],
			6
		)
	);
	const by = t!.steps.map((s) => s.time.scale?.[0]);
	expect(by[0]).toEqual({ by: 'covers', at: 6, exponent: 0.7 });
	expect(by.slice(1).every((x) => x === undefined)).toBe(true);
});

test('what goes in for the last of the time goes in before its end', () => {
	const [t] = made(
		recipeOf(
			['1 leg of lamb, 2 kg', '1 kg potatoes'],
			[
				'Roast the lamb at 200C for 90 minutes.',
				'Put the potatoes around the lamb for the last 50 minutes.',
				'Rest for 20 minutes.'
			]
		)
	);
	expect(t!.steps.map((s) => [s.kind, s.time.usual])).toEqual([
		['cook', 2400],
		['cook', 3000],
		['rest', 1200]
	]);
	expect(t!.ingredients?.find((i) => i.name.includes('lamb'))?.each).toBe(500);
});

test('an ovenproof pan goes into the oven with what is in it; what is put into a dish leaves its pan', () => {
	const steps = (into: string) => [
		'Brown the chicken in an ovenproof frying pan for 8 minutes.',
		'Stir in the cream.',
		`${into} and bake for 20 minutes at 200C.`
	];
	const vessels = (into: string) => made(recipeOf(['8 chicken thighs', '200 ml cream'], steps(into)))[0]!.vessels;
	expect(vessels('Move to the oven')).toHaveLength(1);
	expect(vessels('Tip into a baking dish')).toHaveLength(2);
});

test('an amount is for one, by weight, by measure or by the piece; what makes one loaf is not for one', () => {
	const each = (line: string, serves = 4) => {
		const [i] = all(
			made(recipeOf([line, '1 kg potatoes'], ['Boil the potatoes for 15 minutes.', 'Stir everything in.'], serves))
		);
		return [i!.each, i!.unit, i!.name];
	};
	expect(each('2 fl oz double cream')).toEqual([15, 'g', 'double cream']);
	expect(each('1 quart mystery')).toEqual([237, 'ml', 'mystery']);
	expect(each('2 dessertspoons capers')).toEqual([5, 'ml', 'capers']);
	expect(each('1 bunch parsley')).toEqual([0.25, 'pieces', 'parsley (bunch)']);
	expect(each('feta, to serve')).toEqual([0.25, 'pieces', 'feta, as needed']);
	expect(each('1 chicken, about 1.6 kg')).toEqual([400, 'g', 'chicken']);
	expect(each('500 g flour', 1)).toEqual([125, 'g', 'flour']);
});

test('a hot step that says no time has one that a cook would believe', () => {
	for (const name of names)
		for (const s of read(textOf(name)).steps.filter(isHot))
			expect(s.seconds?.[1] ?? 0, s.text).toBeGreaterThanOrEqual(20);
});
