// A sauce or a dressing that finishes another part: that part has one more step, in which it is added and tasted; the sauce
// is not plated by itself.
import { densityOf } from '../foods/ingredients';
import type { Meal, Part, Wish } from './meal';
import { allergensOf, amountsOf, eatenBy, settingOf, type Amount } from './quantities';
import type { Step, Technique } from './technique';
import { valueOf } from './time-model';

/** Share of a dressing to begin with; the rest is kept by. */
const first = 0.6;
/** What is finished waits no longer for it than it would lose nothing, and at least so long, seconds. */
const leastWait = 60;

/** The parts that finish a part, in plating order. */
export const finishersOf = ({ parts }: Pick<Meal, 'parts'>, part: Pick<Part, 'id'>): readonly Part[] =>
	parts.filter((p) => p.finishes === part.id);

/** The step of a part in which another is added, by that other's id. */
export const finishStep = (sauce: Pick<Part, 'id'>): string => `with-${sauce.id}`.slice(0, 64);

/** "Carrots, roasted" are the carrots. */
const short = (name: string) => (name.split(',')[0] ?? name).toLowerCase();

/** Whether a guest does without a part. */
const isWithout = (sauce: Part, guest: Wish['guest']) =>
	guest !== undefined && (sauce.wishes ?? []).some((w) => w.guest === guest && w.without === true);

/**
 * A technique with a last step for each part that finishes it, but those that a guest does without: tossed, tasted, and then
 * plated.
 */
export function withFinish(
	technique: Technique,
	part: Pick<Part, 'name'>,
	sauces: readonly Part[],
	guest?: Wish['guest']
): Technique {
	return sauces
		.filter((s) => !isWithout(s, guest))
		.reduce((t, sauce): Technique => {
			const id = finishStep(sauce);
			const step: Step = {
				id,
				say: `Finish the ${short(part.name)} with the ${short(sauce.name)}, taste`.slice(0, 80),
				kind: 'finish',
				time: { shortest: 20, usual: 35, longest: 60, scale: [{ by: 'covers', at: 4, exponent: 0.5 }] },
				hands: { kind: 'whole' },
				after: [{ step: t.plate.step, least: 0, most: Math.max(leastWait, t.plate.free) }],
				sign: 'Taste; add of what is kept by until it is right.'
			};
			return { ...t, steps: [...t.steps, step], plate: { ...t.plate, step: id } };
		}, technique);
}

/** Grams that boil away while it is reduced, for so many. */
function boiledAway(technique: Technique, settings: Part['settings'], covers: number): number {
	const of = (id: string) => (id === 'covers' ? covers : (settingOf(technique, settings, id) ?? 0));
	return technique.steps.reduce((sum, { time: { model } }) => {
		if (model?.kind !== 'reduce') return sum;
		return sum + 1000 * (valueOf(model.from, of) - valueOf(model.to, of));
	}, 0);
}

/** What finishes a part as amounts for its last steps, grams: so much to begin with, the rest kept by. */
export function finishAmounts(
	meal: Meal,
	part: Part,
	techniques: ReadonlyMap<string, Technique>
): readonly (Amount & { readonly say: string })[] {
	const own = techniques.get(part.technique);
	if (!own) return [];
	const steps = withFinish(own, part, finishersOf(meal, part)).steps;
	return finishersOf(meal, part).flatMap((sauce) => {
		const technique = techniques.get(sauce.technique);
		if (!technique) return [];
		const covers = eatenBy(sauce, meal);
		const raw = amountsOf(technique, sauce.settings, covers).reduce((sum, { unit, used, name }) => {
			if (unit === 'pieces') return sum;
			return sum + (unit === 'g' ? used : used * (densityOf(name) ?? 1));
		}, 0);
		const all = Math.max(0, raw - boiledAway(technique, sauce.settings, covers));
		const step = finishStep(sauce);
		return [
			{
				name: short(sauce.name),
				unit: 'g' as const,
				used: all,
				bought: 0,
				first: first * all,
				isDamped: false,
				step,
				say: steps.find((s) => s.id === step)?.say ?? '',
				aisle: 'store cupboard' as const,
				allergens: sauce.allergens ?? allergensOf(technique, sauce.settings)
			}
		];
	});
}
