// A recipe as it is written, read into ingredients, steps with what each needs, and the questions that are left open.
import { actionsOf, type Action } from './actions';
import { wordsOf } from './called';
import { readIngredient, type ReadIngredient } from './ingredient';
import { orderOf } from './order';
import { printSeconds } from '../units/print';
import { rangePattern, type Range } from './numbers';
import type { Source } from './heads';
import { readSource } from './source';

export interface ReadStep extends Omit<
	Action,
	'isWritten' | 'section' | 'line' | 'sentence' | 'lead' | 'verb' | 'isAside'
> {
	readonly id: string;
	readonly after: readonly string[];
}

export interface Doubt {
	/** A step's id, or the line of an ingredient. */
	readonly about: string;
	readonly question: string;
	/** What is taken for it meanwhile. */
	readonly guess?: string;
	/** What an answer is: a thickness, a temperature, a time; absent: yes, or another reading. */
	readonly asks?: 'thickness' | 'celsius' | 'seconds';
}

export interface ReadRecipe {
	readonly title: string;
	readonly serves: number | Range | null;
	readonly ingredients: readonly ReadIngredient[];
	readonly steps: readonly ReadStep[];
	readonly doubts: readonly Doubt[];
}

export type RecipeRead =
	| { readonly ok: true; readonly recipe: ReadRecipe; readonly actions: readonly Action[]; readonly source: Source }
	| { readonly ok: false; readonly why: string };

/** A text with more steps holds many recipes, or none. */
const mostSteps = 400;

/** Read a recipe from a text, a page, JSON-LD or Markdown. Nothing is fetched; what cannot be read says why. */
export function readRecipe(text: string): RecipeRead {
	const source = readSource(text);
	if (typeof source === 'string') return { ok: false, why: source };
	const listed = source.ingredients.flatMap(({ text: line, section }) => readIngredient(line, section));
	const actions = actionsOf(source.instructions, isInFahrenheit(source, listed));
	if (actions.length > mostSteps)
		return {
			ok: false,
			why: `This has ${actions.length} steps: no recipe has more than ${mostSteps}. Paste one at a time.`
		};
	if (actions.length === 0) return { ok: false, why: 'No recipe was found: no step that says what to do with food.' };
	const ingredients = listed.length > 0 ? listed : fromInstructions(source);
	if (ingredients.length === 0 && actions.length < 3)
		return { ok: false, why: 'No recipe was found: nothing in it to cook.' };
	const before = orderOf(actions, ingredients, source.title);
	const steps = actions.map((a, i): ReadStep => {
		const { text: words, kind, station, heat, celsius, fan, seconds, hands, sign } = a;
		return {
			id: `s${i + 1}`,
			text: words,
			kind,
			station,
			heat,
			celsius,
			...(fan === undefined ? {} : { fan }),
			seconds,
			hands,
			after: (before[i] ?? []).map((b) => `s${b + 1}`),
			sign
		};
	});
	return {
		ok: true,
		recipe: { title: source.title, serves: source.serves, ingredients, steps, doubts: doubtsOf(ingredients, actions) },
		actions,
		source
	};
}

/**
 * Whether a recipe means °F where it names no unit: it says so elsewhere, names a heat that no oven has in °C, or weighs and
 * measures by cups, pounds and ounces alone. An oven at 250 is then no scorching one.
 */
function isInFahrenheit({ instructions }: Source, listed: readonly ReadIngredient[]): boolean {
	const text = instructions.map((l) => l.text).join(' ');
	if (/\d\s*(?:°|º|˚|deg(?:rees?)?\.?)?\s*(?:c|celsius)\b|\bgas mark\b/i.test(text)) return false;
	if (/\d\s*(?:°|º|˚|deg(?:rees?)?\.?)?\s*(?:f|fahrenheit)\b/i.test(text)) return true;
	const bare = [...text.matchAll(/\b(\d{3})(?:\s*(?:°|º|˚)|[\s-]*degrees?\b)/gi)].map((m) => Number(m[1]));
	if (bare.some((t) => t > 300)) return true;
	const units = new Set(listed.map((i) => i.unit));
	const isMetric = ['g', 'kg', 'ml', 'cl', 'dl', 'l'].some((u) => units.has(u));
	return !isMetric && ['cup', 'lb', 'oz', 'quart'].some((u) => units.has(u));
}

/** Amounts in the instructions, where there is no list. */
function fromInstructions(source: Source): readonly ReadIngredient[] {
	const stop = String.raw`(?=\s*(?:[,.;:()]|\band\b|\bin\b|\binto\b|\bwith\b|\bto\b|\bfor\b|\buntil\b|\bover\b|\bon\b|\bthen\b|\bthat\b|\bwhich\b|\bfrom\b|\bhave\b|\bis\b|\bare\b|$))`;
	const measured = new RegExp(
		String.raw`(?:${rangePattern}|\ban?\b|\bhalf\b)\s*(?:x\s*\d+\s*)?(?:[a-zà-ÿ.-]+\s+)?(?:of\s+)?(?:[a-zà-ÿ'’-]+\s*){1,4}?${stop}`,
		'gi'
	);
	const notFood =
		/\b(?:minutes?|mins?|hours?|hrs?|seconds?|secs?|degrees?|side|sides|batch|batches|bowl|pan|pot|oven|tray|tin|time|times|boil|simmer|heat|plate|lid|dish|people|ones|blender|mixer|processor|whisk|fork|spoon|knife|sheet of|rack|half(?:way)?|cm|mm|inch(?:es)?|while|bit|little|skillet|saucepan|wok|board|towel|paste|dough|rest|day|days|moment|stir|few|gas|mark|fan|third|quarters?|pieces|slices|sieve|colander|rolling|layer|ball|circle|thick|apart|low|medium|high|large|small|serves?)\b/i;
	const found = new Map<string, ReadIngredient>();
	for (const { text } of source.instructions) {
		for (const m of text.matchAll(measured)) {
			const line = m[0].trim();
			if (
				/^(?:an?|half)\b/i.test(line) &&
				!/^(?:an?|half)\s+(?:an?\s+)?(?:(?:big|small|large|finely|roughly|thinly|chopped|sliced|diced|crushed|ripe|good|fat|heaped)\s+)*(?:pinch|handful|knob|sprig|clove|splash|glug|dash|bunch|tin|can|stick|cup|mug|teaspoon|tablespoon|tsp|tbsp|litre|liter|pint|kilo|pound|couple|thumb|head|lemon|lime|onion|egg|carrot|chicken|shallot|leek|cucumber|courgette|aubergine|avocado|potato|tomato|red onion|bay)\b/i.test(
					line
				)
			)
				continue;
			if (/^\d+\s*°|^\d{3}\s*[cf]\b/i.test(line)) continue;
			const [one] = readIngredient(line, null);
			if (!one || one.name === '' || notFood.test(one.name) || one.amount === null) continue;
			const key = wordsOf(one.name).at(-1) ?? one.name;
			if (!found.has(key)) found.set(key, { ...one, line });
		}
	}
	return [...found.values()];
}

const small =
	/\b(?:salt|pepper|oil|water|herbs?|parsley|coriander|cilantro|basil|thyme|rosemary|mint|chives|dill|sage|oregano|bay|spices?|cooking spray|flour|butter|ice|garnish)\b/i;
const meat = /\b(?:steaks?|chops?|breasts?|thighs?|fillets?|sausages?|cutlets?|escalopes?|burgers?)\b/i;

/** A measure of length: “2.5 cm thick”. */
const measured = /\d\s*-?(?:cm|mm|inch)/i;

/** What a reading leaves open, as short questions. */
function doubtsOf(ingredients: readonly ReadIngredient[], actions: readonly Action[]): readonly Doubt[] {
	const doubts: Doubt[] = [];
	for (const i of ingredients) {
		if (
			i.amount === null &&
			!i.toTaste &&
			!small.test(i.name) &&
			!/\b(?:to serve|for serving|to garnish|optional)\b/i.test(i.line)
		)
			doubts.push({ about: i.line, question: `How much ${i.name}?` });
		if (/\bor\b/i.test(i.line) && i.alternative !== undefined)
			doubts.push({ about: i.line, question: `${i.name} or ${i.alternative}?`, guess: i.name });
	}
	let isAskedThick = false;
	actions.forEach((a, n) => {
		const id = `s${n + 1}`;
		if (a.station === 'oven' && a.celsius === null)
			doubts.push({ about: id, question: 'How hot is the oven?', guess: '180 °C', asks: 'celsius' });
		const food = meat.exec(a.text)?.[0];
		if (
			!isAskedThick &&
			food !== undefined &&
			['sear', 'fry', 'grill', 'roast', 'bake'].includes(a.kind) &&
			!measured.test(a.text) &&
			!ingredients.some(
				(i) => measured.test(i.line) && i.line.toLowerCase().includes(food.toLowerCase().replace(/s$/, ''))
			)
		) {
			isAskedThick = true;
			const is = /s$/i.test(food) ? 'are' : 'is';
			doubts.push({ about: id, question: `How thick ${is} the ${food.toLowerCase()}?`, asks: 'thickness' });
		}
		const isLong = [
			'bake',
			'roast',
			'simmer',
			'boil',
			'grill',
			'steam',
			'fry',
			'marinate',
			'soak',
			'chill',
			'rest'
		].includes(a.kind);
		if (isLong && !a.isWritten && a.sign === null)
			doubts.push({
				about: id,
				question: `How long: “${a.text.slice(0, 60)}”?`,
				asks: 'seconds',
				...(a.seconds === null ? {} : { guess: printSeconds(a.seconds[1]) })
			});
		if (/\b(?:same pan|a pan|the pan)\b/i.test(a.text) && a.kind === 'heat' && /\bsauce\b/i.test(a.text))
			doubts.push({ about: id, question: 'Is the sauce made in the same pan?' });
	});
	return doubts;
}
