// A part, a meal or a technique as others read recipes: schema.org Recipe in JSON-LD.
import { isWash } from '../../plan/compile/clean';
import type { Meal } from '../../model/meal';
import type { Plan, PlannedStep } from '../../model/plan';
import { amountsOf, eatenBy, type Amount } from '../../model/quantities';
import type { Technique } from '../../model/technique';
import { wordFilled, wordUnfilled } from '../../words/steps';

/** A step as it is told. */
interface Told {
	readonly say: string;
	/** Kind of its place; absent: none in particular. */
	readonly place: string | undefined;
	readonly celsius: number | undefined;
	readonly heat: string | undefined;
	readonly vessel: string | undefined;
	readonly sign: string | undefined;
	readonly seconds: number | undefined;
}

interface Whole {
	readonly name: string;
	readonly covers: number;
	readonly amounts: readonly Amount[];
	readonly steps: readonly Told[];
	/** From its beginning to its end, seconds. */
	readonly total: number | undefined;
}

/** Seconds as an ISO 8601 duration: `PT1H20M`. */
export function isoDuration(seconds: number): string {
	const s = Math.max(0, Math.round(seconds));
	const [days, hours, minutes, rest] = [
		Math.floor(s / 86_400),
		Math.floor((s % 86_400) / 3600),
		Math.floor((s % 3600) / 60),
		s % 60
	];
	const time = `${hours > 0 ? `${hours}H` : ''}${minutes > 0 ? `${minutes}M` : ''}${rest > 0 ? `${rest}S` : ''}`;
	if (days === 0 && time === '') return 'PT0S';
	return `P${days > 0 ? `${days}D` : ''}${time === '' ? '' : `T${time}`}`;
}

const many = (n: number, unit: string) => `${n} ${unit}${n === 1 ? '' : 's'}`;

/** “1 hour 20 minutes”: as recipes write it. */
function writtenOut(seconds: number): string {
	if (seconds < 90) return many(Math.round(seconds), 'second');
	const minutes = Math.round(seconds / 60);
	const hours = Math.floor(minutes / 60);
	return [
		...(hours > 0 ? [many(hours, 'hour')] : []),
		...(minutes % 60 > 0 ? [many(minutes % 60, 'minute')] : [])
	].join(' ');
}

const places: Readonly<Record<string, string>> = {
	oven: 'in the oven',
	grill: 'on the grill',
	griddle: 'on the griddle',
	fryer: 'in the fryer',
	steamer: 'in the steamer',
	'water bath': 'in the water bath',
	'wood oven': 'in the wood oven',
	cold: 'in the fridge',
	broiler: 'under the grill'
};

const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);
const plain = (text: string) => text.replace(/[.\s]+$/, '');

/** A step in one sentence, with where, how hot, how long, and what it looks like when it is done. */
function sentenceOf({ say, place, celsius, heat, vessel, sign, seconds }: Told): string {
	const where = places[place ?? ''] ?? '';
	const at = celsius === undefined ? '' : `${where === '' ? '' : ' '}at ${Math.round(celsius)} °C`;
	const on = place === 'burner' && heat !== undefined ? `, heat ${heat}` : '';
	const inIt = place === 'burner' && vessel !== undefined ? ` (${vessel})` : '';
	const time = seconds === undefined ? '' : ` for ${writtenOut(seconds)}`;
	const done = sign === undefined ? '' : `. Done when: ${lowerFirst(plain(sign))}`;
	return `${plain(say)}${where === '' && at === '' ? '' : ' '}${where}${at}${time}${inIt}${on}${done}.`;
}

const stepOut = (told: Told) => ({
	'@type': 'HowToStep',
	text: sentenceOf(told),
	...(told.seconds === undefined ? {} : { timeRequired: isoDuration(told.seconds) }),
	...(told.vessel === undefined
		? {}
		: {
				itemListElement: [
					{ '@type': 'HowToDirection', text: plain(told.say), tool: [{ '@type': 'HowToTool', name: told.vessel }] }
				]
			})
});

/** “800 g celeriac”, “4 eggs”. */
function lineOf({ name, unit, used }: Amount): string {
	const value = unit === 'pieces' ? Number(used.toFixed(1)) : used < 10 ? Number(used.toFixed(1)) : Math.round(used);
	return unit === 'pieces' ? `${value} ${name}` : `${value} ${unit} ${name}`;
}

const recipe = ({ name, covers, amounts, steps, total }: Whole) => ({
	'@type': 'Recipe',
	name,
	recipeYield: String(covers),
	...(total === undefined ? {} : { totalTime: isoDuration(total) }),
	recipeIngredient: amounts.map(lineOf),
	recipeInstructions: steps.map(stepOut)
});

const written = (data: object): string =>
	`${JSON.stringify({ '@context': 'https://schema.org', ...data }, null, '\t')}\n`;

function toldOf(step: PlannedStep, kinds: ReadonlyMap<string, string>): Told {
	return {
		say: wordFilled(step.say, step).replace(/, 1 of \d+$/, ''),
		place: kinds.get(step.lane),
		celsius: step.setting,
		heat: step.heat,
		vessel: step.vessel,
		sign: step.sign === undefined ? undefined : wordFilled(step.sign, step),
		seconds: step.to - step.from
	};
}

/** The parts of a plan, each as a recipe; batches are told once, washing up is no step of a recipe. */
function partsOf(meal: Meal, plan: Plan, techniques: ReadonlyMap<string, Technique>): readonly Whole[] {
	const kinds = new Map(plan.lanes.map((l) => [l.id, l.kind]));
	return plan.parts.flatMap((part): Whole[] => {
		const steps = plan.steps
			.filter((s) => s.part === part.id && !isWash(s.id) && !/-b\d+$/.test(s.id))
			.toSorted((a, b) => a.from - b.from || a.to - b.to);
		const own = meal.parts.find((p) => p.id === (part.of ?? part.id));
		const technique = techniques.get(part.technique ?? own?.technique ?? '');
		const covers = part.covers ?? meal.covers;
		if (steps.length === 0) return [];
		const isOwn = own !== undefined && part.of === undefined;
		return [
			{
				name: part.name,
				covers,
				amounts: technique && own ? amountsOf(technique, own.settings, isOwn ? eatenBy(own, meal) : covers) : [],
				steps: steps.map((s) => toldOf(s, kinds)),
				total: part.plated - Math.min(...steps.map((s) => s.from))
			}
		];
	});
}

/** A meal as one recipe, each part a section of it. */
export function mealRecipe(meal: Meal, plan: Plan, techniques: ReadonlyMap<string, Technique>): string {
	const parts = partsOf(meal, plan, techniques);
	return written({
		'@type': 'Recipe',
		name: meal.name,
		recipeYield: String(meal.covers),
		totalTime: isoDuration(plan.to - plan.from),
		recipeIngredient: parts.flatMap((p) => p.amounts.map(lineOf)),
		recipeInstructions: parts.map((p) => ({
			'@type': 'HowToSection',
			name: p.name,
			itemListElement: p.steps.map(stepOut)
		})),
		hasPart: parts.map(recipe)
	});
}

/** What a need is called where nothing is planned. */
function placeOf({ need }: Technique['steps'][number]): { readonly place?: string; readonly celsius?: number } {
	if (!need) return {};
	const celsius =
		need.kind === 'oven'
			? need.settings[0]
			: (need.kind === 'fryer' || need.kind === 'water bath') && typeof need.setting === 'number'
				? need.setting
				: undefined;
	return { place: need.kind, ...(celsius === undefined ? {} : { celsius }) };
}

/** A technique by itself, for so many: written times where it has them; what is computed is known only in a kitchen. */
export function techniqueRecipe(technique: Technique, covers = 4): string {
	const settings = Object.fromEntries(technique.parameters.map((p) => [p.id, p.usual]));
	return written(
		recipe({
			name: technique.name,
			covers,
			amounts: amountsOf(technique, settings, covers),
			steps: technique.steps.map((s): Told => {
				const { place, celsius } = placeOf(s);
				const vessel = technique.vessels.find((v) => v.from === s.id)?.kind;
				return {
					say: wordUnfilled(s.say),
					place,
					celsius,
					heat: s.heat,
					vessel,
					sign: s.sign === undefined ? undefined : wordUnfilled(s.sign),
					seconds: s.time.usual
				};
			}),
			total: undefined
		})
	);
}
