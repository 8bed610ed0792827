// All techniques that ship with Juntos, by id.
import type { Technique } from '../model/technique';
import { filterCoffee, ovenToast } from './bread-and-drinks';
import { lentilSalad, sunnyEggs, turnedEgg } from './eggs';
import { duckBreast, duckFurther } from './proteins';
import { breads } from './breads';
import { brokenEggs } from './eggs-broken';
import { shellEggs } from './eggs-in-the-shell';
import { fishes } from './fish';
import { fat } from './forms';
import { garnishes } from './garnishes';
import { wholeCuts } from './roasts';
import { steaks } from './steaks';
import { poultry } from './poultry';
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
		...steaks,
		...wholeCuts,
		...poultry,
		...fishes,
		...brokenEggs,
		...shellEggs,
		...vegetableWays,
		...starches,
		...sauceWays,
		...garnishes,
		...breads
	].map((technique) => [technique.id, withFat(technique)])
);

/** Whatever heats a pan lets the cook choose the fat. */
function withFat(technique: Technique): Technique {
	const isFried = technique.steps.some((s) => s.time.model?.kind === 'hot-pan');
	return isFried ? { ...technique, parameters: [...technique.parameters, fat] } : technique;
}
