// In water, steam, oil and ice: boiling, softening, eggs, reducing, and anything until its core has a temperature.
import { Immersed, type Film, type Solid } from '../../../heat/body';
import { eggStyles, eggTime, eggTimeIn, eggWays } from '../../../heat/egg';
import { films } from '../../../heat/films';
import { scatter } from '../../../heat/properties';
import { goldenTime, softeningTime, softness } from '../../../heat/softness';
import { boilingPoint, boilOff, heatingTime, potLoss, reductionTime, steepedAt } from '../../../heat/water';
import { usualSigma } from '../../../learn/spread';
import type { media } from '../../../model/time-model';
import { bodyOf, placeFilm, placeWords, usualOven } from './roasting';
import {
	burnerWords,
	celsius,
	conductionSigma,
	grams,
	mm,
	netPower,
	percent,
	sigmaOf,
	type Circumstance,
	type Computers
} from './timing-words';

/** Pots, pans and their losses where the kitchen says nothing of them (est.). */
const potHeat = 600;
const panArea = 0.062;
/** A sauce that would catch boils off no more than 8 g/(min dm²) (est.). */
const mostBoilOff = (0.008 / 60) * 100 * panArea;
/** Water for each egg that steeps, litres, and the loss of its lidded pot, W/K (est.). */
const steepLitres = 0.25;
const steepLoss = 1.2;
/** How many eggs a steeping pot is taken to hold. */
const steepEggs = 6;
/** Wet food in oil meets the boil of its own water, °C. */
const fryingFace = 105;

/** A share of the dose for tender, by its name where it has one. */
const softnessWords = (share: number) =>
	Object.entries(softness).find(([, value]) => value === share)?.[0] ?? `${share} of tender`;

type Medium = (typeof media)[number];

/** What food meets in a medium: the film, and in words. */
function mediumOf(medium: Medium, at: Circumstance, celsiusIn: number | undefined): Film & { readonly words: string } {
	const boil = boilingPoint(at.altitude);
	const rows: Record<Medium, () => { h: number; tinf: number; words: string }> = {
		water: () => {
			const tinf = Math.min(boil, celsiusIn ?? boil);
			return { h: films.simmer.h, tinf, words: `water at ${tinf.toFixed(1)} °C` };
		},
		bath: () => ({ h: films['water bath'].h, tinf: celsiusIn ?? 60, words: `a bath at ${celsius(celsiusIn ?? 60)}` }),
		steam: () => ({ h: films.steam.h, tinf: boil, words: `steam at ${boil.toFixed(1)} °C` }),
		oil: () => ({ h: films['bubbling oil'].h, tinf: fryingFace, words: 'oil, its wet face at the boil' }),
		ice: () => ({ h: films['ice water'].h, tinf: 1, words: 'ice water' }),
		fridge: () => ({ h: films.fridge.h, tinf: 4, words: 'the cold at 4 °C' }),
		room: () => ({ h: films['on a rack'].h, tinf: at.room, words: `the room at ${celsius(at.room)}` }),
		place: () => ({ ...placeFilm(at), h: placeFilm(at).h ?? 0, words: placeWords(at) })
	};
	return rows[medium]();
}

export const wet: Computers<'boil' | 'boiled-egg' | 'egg' | 'soften' | 'reduce' | 'immerse'> = {
	boil: ({ litres, start }, value, at) => {
		const mass = value(litres);
		const boil = boilingPoint(at.altitude);
		const pot = { mass, pot: potHeat, ...netPower(at), loss: potLoss(mass, true), ambient: at.room };
		return {
			usual: heatingTime(pot, value(start), boil),
			sigma: at.measured === undefined ? usualSigma.clock : 0.03,
			reason: {
				from: `${mass.toFixed(1)} l from ${celsius(value(start))} to ${boil.toFixed(1)} °C (${at.altitude} m), lid on; ${burnerWords(at)}`,
				model: 'one body heated, losing heat (Incropera & DeWitt); boiling point by Antoine',
				off: at.measured === undefined ? '± 10 %; ± 3 % once a litre has been timed on this burner' : '± 3 %'
			}
		};
	},
	'boiled-egg': ({ kilograms, start, style, cold = false }, value, at) => {
		const boil = boilingPoint(at.altitude);
		const { yolkEdge, say } =
			typeof style === 'string'
				? eggStyles[style]
				: { yolkEdge: value(style), say: `yolk’s edge at ${celsius(value(style))}` };
		const mass = value(kilograms);
		const pot = { mass: steepLitres * steepEggs, pot: potHeat, loss: steepLoss, ambient: at.room };
		const steep = (_: number, seconds: number) => ({
			h: films['still bath'].h * 10,
			tinf: steepedAt(pot, boil, seconds)
		});
		// From cold water the egg has come up with it: about half way when it boils (est.).
		const warmed = (value(start) + boil) / 2;
		const usual = cold
			? eggTimeIn(mass, Math.min(warmed, yolkEdge - 8), steep, yolkEdge)
			: eggTime(mass, value(start), boil, yolkEdge);
		return {
			usual,
			sigma: cold ? 0.15 : 0.06,
			reason: {
				from: `${grams(mass)} from ${celsius(value(start))} in water at ${boil.toFixed(1)} °C (${at.altitude} m), yolk’s edge to ${celsius(yolkEdge)}: ${say}`,
				model: cold
					? 'a sphere in water that cools, off the heat and covered (finite volumes); half warmed on the way up (estimate)'
					: 'a sphere in boiling water (Williams)',
				off: cold ? '± 1 min: pot, burner and water decide too' : '± 20 s'
			}
		};
	},
	egg: ({ way, kilograms, firm = 1, count = 1 }, value) => {
		const turns = value(count);
		const { usual, shortest, longest, medium } = eggWays[way];
		return {
			usual: turns * usual * value(firm) * (value(kilograms) / 0.058) ** (2 / 3),
			sigma: Math.log(longest / shortest) / 2.563,
			reason: {
				from: `${grams(value(kilograms))}, ${way}, at ${celsius(medium)}${value(firm) === 1 ? '' : `, ${Math.round(100 * value(firm))} % of the usual time`}${turns === 1 ? '' : `, ${turns} one after the other`}`,
				model: 'usual time for 58 g, with the mass to the power ⅔ (estimate)',
				off: 'the sign decides'
			}
		};
	},
	soften: ({ vegetable, how, cut, size, start, in: medium = 'water' }, value, at) => {
		const d = value(size);
		const solid: Solid =
			cut === 'stick'
				? { shape: 'cylinder', diameter: d }
				: cut === 'cube'
					? { shape: 'brick', sides: [d, d, d] }
					: { shape: 'sphere', diameter: d };
		const { words, ...film } = mediumOf(medium, at, undefined);
		const wanted = typeof how === 'string' ? how : value(how);
		const soft = softeningTime(vegetable, solid, film, value(start), wanted);
		const golden = medium === 'place' && at.fire !== 'grill' ? goldenTime(vegetable, d, at.setting ?? usualOven) : 0;
		return {
			usual: Math.max(soft, golden),
			sigma: sigmaOf.vegetables / 1.28,
			reason: {
				from: `${vegetable}, ${mm(d)}, from ${celsius(value(start))} in ${words}, until ${typeof wanted === 'string' ? wanted : softnessWords(wanted)}${golden > 0 ? ` (${Math.round(soft / 60)} min) and golden (${Math.round(golden / 60)} min)` : ''}`,
				model: 'conduction, and softening ten times as fast with each 23 K (Rao & Lund); doses are estimates',
				off: '± 30 % between varieties: the fork decides'
			}
		};
	},
	immerse: ({ food, shape, size, start, core, in: medium, at: celsiusIn, advised }, value, at) => {
		const [d, from, to] = [value(size), value(start), value(core)];
		const { words, ...film } = mediumOf(medium, at, celsiusIn === undefined ? undefined : value(celsiusIn));
		const body = bodyOf(food, shape, d, (from + to) / 2);
		const surroundings = medium === 'bath' ? sigmaOf.bath : medium === 'place' && at.fire ? sigmaOf.fire : sigmaOf.oven;
		const sigma = conductionSigma(scatter, d, surroundings);
		return {
			usual: new Immersed(body, film, from).timeToCore(to),
			sigma,
			...(to > from ? { pull: to } : {}),
			isBelowAdvised: advised !== undefined && to < advised,
			reason: {
				from: `${mm(d)} of ${food} from ${celsius(from)} in ${words}, until the middle has ${celsius(to)}`,
				model: 'conduction, exact series (Carslaw & Jaeger), the film of what it lies in',
				off: `${percent(sigma)}: the probe decides`
			}
		};
	},
	reduce: ({ from, to, level, besides }, value, at) => {
		const { power, efficiency: share } = netPower(at);
		const boil = boilingPoint(at.altitude);
		const pot = { power: power * level, efficiency: share, loss: 1.5, ambient: at.room };
		const rate = Math.min(boilOff(pot, boil), mostBoilOff);
		const simple = reductionTime(value(from), value(to), pot, boil);
		const usual = simple === Infinity ? Infinity : Math.max(simple, (value(from) - value(to)) / rate) * 1.15 + besides;
		return {
			usual,
			sigma: 0.15,
			reason: {
				from: `${grams(value(from))} to ${grams(value(to))} at ${Math.round(100 * level)} % of ${burnerWords(at)}; not above 8 g a minute and dm²`,
				model: 'heat of evaporation (Incropera & DeWitt), 15 % more for sugar and fat at the end (estimate)',
				off: '± 15 %: the spoon decides'
			}
		};
	}
};
