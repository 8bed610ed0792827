// All techniques that ship with Juntos, by id.
import type { Technique } from '../model/technique';
import { filterCoffee, ovenToast } from './bread-and-drinks';
import { lentilSalad, sunnyEggs, turnedEgg } from './eggs';
import { duckBreast, duckFurther } from './proteins';
import { eggWays } from './egg-ways';
import { fat } from './forms';
import { meats } from './meats';
import { poultryAndFish } from './poultry-and-fish';
import { sauceWays } from './sauce-ways';
import { friedSage, herbYogurt, plumPanSauce, shallotCrumbs } from './sauces';
import { starches } from './starches';
import { vegetableWays } from './vegetable-ways';
import { braisedCabbage, cornFritters, greenBeans, roastTomatoes, rootGratin } from './vegetables';

export const library: ReadonlyMap<string, Technique> = new Map(
	[
		duckBreast,
		duckFurther,
		rootGratin,
		braisedCabbage,
		greenBeans,
		roastTomatoes,
		cornFritters,
		lentilSalad,
		sunnyEggs,
		turnedEgg,
		plumPanSauce,
		shallotCrumbs,
		friedSage,
		herbYogurt,
		ovenToast,
		filterCoffee,
		...meats,
		...poultryAndFish,
		...eggWays,
		...vegetableWays,
		...starches,
		...sauceWays
	].map((technique) => [technique.id, withFat(technique)])
);

/** Whatever heats a pan lets the cook choose the fat. */
function withFat(technique: Technique): Technique {
	const isFried = technique.steps.some((s) => s.time.model?.kind === 'hot-pan');
	return isFried ? { ...technique, parameters: [...technique.parameters, fat] } : technique;
}
