// Ratios that cooks think in: acid to oil, acid to water, milk or stock to egg, butter to egg; they follow from the amounts.
import { densityOf } from '../foods/ingredients';
import { amountsOf, settingOf, type Amount } from './quantities';
import type { Part } from './meal';
import type { Step, Technique } from './technique';
import { valueOf } from './time-model';

export interface Ratio {
	/** The step whose bowl holds the first of the two. */
	readonly step: string;
	readonly one: string;
	readonly to: string;
	/** How many times as much of the second, by weight. */
	readonly times: number;
}

const acids = /vinegar|lemon juice|lime juice|verjuice/;
const oils = /\boil\b/;
const eggs = /^(whole )?eggs?$|yolks?$|egg whites?$/;
const liquids = /^(milk|cream|stock|butter)$/;

/** Grams of an egg without its shell, as a share of it with it (USDA). */
const inShell = 0.88;
const usualEgg = 58;

/** Ratios within a part, as it is made for so many: acid where there is oil or water with it, liquid where there is egg. */
export function ratiosOf(technique: Technique, settings: Part['settings'], covers: number): readonly Ratio[] {
	const amounts = amountsOf(technique, settings, covers);
	const egg = settingOf(technique, settings, 'egg') ?? usualEgg;
	const grams = ({ name, unit, used }: Amount) =>
		unit === 'g' ? used : unit === 'ml' ? used * (densityOf(name) ?? 1) : eggs.test(name) ? used * egg * inShell : NaN;
	/** Grams of the water that is boiled in a step. */
	const waterOf = ({ time: { model } }: Step) => {
		if (model?.kind !== 'boil') return 0;
		const of = (id: string) => (id === 'covers' ? covers : (settingOf(technique, settings, id) ?? 0));
		return 1000 * valueOf(model.litres, of);
	};
	const found: Ratio[] = [];
	const add = (a: Amount, to: string, mass: number) => {
		const times = mass / grams(a);
		if (Number.isFinite(times) && times > 0) found.push({ step: a.step, one: a.name, to, times });
	};
	const all = (list: readonly Amount[]) => list.reduce((sum, b) => sum + grams(b), 0);
	for (const a of amounts) {
		if (acids.test(a.name)) {
			const oily = amounts.filter((b) => b.step === a.step && oils.test(b.name));
			const step = technique.steps.find((s) => s.id === a.step);
			add(a, oily.length === 1 ? (oily[0]?.name ?? '') : 'oil', all(oily));
			if (step) add(a, 'water', waterOf(step));
		}
		if (liquids.test(a.name)) add(a, 'egg', all(amounts.filter((b) => eggs.test(b.name))));
	}
	return found;
}
