// In water, steam, oil and ice: boiling, softening, eggs, reducing, and anything until its core has a temperature.
import { Immersed, type Film, type Solid } from '../heat/body';
import { eggStyles, eggTime, eggTimeIn, eggWays } from '../heat/egg';
import { films } from '../heat/films';
import { scatter, type Food } from '../heat/properties';
import { goldenTime, softeningTime, softness } from '../heat/softness';
import { boilingPoint, boilOff, heatingTime, potLoss, reductionTime, steepedAt } from '../heat/water';
import { usualSigma } from '../learn/spread';
import type { Care } from '../model/time-facts';
import type { media } from '../model/time-model';
import { advisedFor } from '../safety/advised';
import { cook } from './pieces';
import { bodyOf, ovenOf, placeFilm, usualOven } from './roasting';
import {
	burnerOf,
	conductionSigma,
	netPower,
	sigmaOf,
	type Circumstance,
	type Computers,
	type FactsOf
} from './computing';

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
/** A bath that nobody set, °C. */
const usualBath = 60;

/** The name of a share of the dose for tender, where it has one. */
const nameOfSoftness = (share: number) => Object.entries(softness).find(([, value]) => value === share)?.[0];

type Medium = (typeof media)[number];

/** What food meets in a medium: the film, and the medium as a fact. */
function mediumOf(
	medium: Medium,
	at: Circumstance,
	celsiusIn: number | undefined
): { readonly film: Film; readonly fact: FactsOf<'immerse'>['medium'] } {
	const boil = boilingPoint(at.altitude);
	const of = (h: number, tinf: number, celsius = tinf) => ({ film: { h, tinf }, fact: { in: medium, celsius } });
	switch (medium) {
		case 'water':
			return of(films.simmer.h, Math.min(boil, celsiusIn ?? boil));
		case 'bath':
			return of(films['water bath'].h, celsiusIn ?? usualBath);
		case 'steam':
			// A steamer's air is never all steam.
			return of(films['steam with air'].h, boil - 3);
		case 'oil':
			return of(films['bubbling oil'].h, fryingFace);
		case 'ice':
			return of(films['ice water'].h, 1);
		case 'fridge':
			return of(films.fridge.h, 4);
		case 'room':
			return of(films['on a rack'].h, at.room);
		case 'place': {
			const oven = ovenOf(at);
			return { film: placeFilm(at), fact: { in: medium, celsius: oven.setting, oven } };
		}
	}
}

/** What a core that is reached and not climbed to calls for, and what begins too warm. */
function careOf(food: Food, core: number, start: number): readonly Care[] {
	const advised = advisedFor(food);
	if (!advised) return [];
	const { celsius, what, whose, warm } = advised;
	const isRefused = start > warm[1];
	return [
		...(core < celsius ? [{ kind: 'below-advised', peak: core, advised: celsius, what, whose } as const] : []),
		...(start > warm[0]
			? [{ kind: 'start-too-warm', start, limit: isRefused ? warm[1] : warm[0], what, isRefused } as const]
			: [])
	];
}

export const wet: Computers<'boil' | 'boiled-egg' | 'egg' | 'soften' | 'reduce' | 'immerse'> = {
	boil: ({ litres, start }, value, at) => {
		const mass = value(litres);
		const boil = boilingPoint(at.altitude);
		const pot = { mass, pot: potHeat, ...netPower(at), loss: potLoss(mass, true), ambient: at.room };
		return {
			usual: heatingTime(pot, value(start), boil),
			sigma: at.measured === undefined ? usualSigma.clock : 0.03,
			facts: {
				kind: 'boil',
				litres: mass,
				start: value(start),
				boil,
				altitude: at.altitude,
				burner: burnerOf(at)
			}
		};
	},
	'boiled-egg': ({ kilograms, start, style, cold = false }, value, at) => {
		const boil = boilingPoint(at.altitude);
		const yolkEdge = typeof style === 'string' ? eggStyles[style].yolkEdge : value(style);
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
			facts: {
				kind: 'boiled-egg',
				kilograms: mass,
				start: value(start),
				boil,
				altitude: at.altitude,
				yolkEdge,
				cold,
				...(typeof style === 'string' ? { style } : {})
			}
		};
	},
	egg: ({ way, kilograms, firm = 1, count = 1 }, value) => {
		const turns = value(count);
		const { usual, shortest, longest, medium } = eggWays[way];
		return {
			usual: turns * usual * value(firm) * (value(kilograms) / 0.058) ** (2 / 3),
			sigma: Math.log(longest / shortest) / 2.563,
			facts: { kind: 'egg', way, kilograms: value(kilograms), medium, firm: value(firm), count: turns }
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
		const { film, fact } = mediumOf(medium, at, undefined);
		const wanted = typeof how === 'string' ? how : value(how);
		const soft = softeningTime(vegetable, solid, film, value(start), wanted);
		const golden = medium === 'place' && at.fire !== 'grill' ? goldenTime(vegetable, d, at.setting ?? usualOven) : 0;
		return {
			usual: Math.max(soft, golden),
			sigma: sigmaOf.vegetables / 1.28,
			facts: {
				kind: 'soften',
				vegetable,
				size: d,
				start: value(start),
				medium: fact,
				how: typeof wanted === 'string' ? wanted : (nameOfSoftness(wanted) ?? wanted),
				soft,
				golden
			}
		};
	},
	immerse: (model, value, at) => {
		const { food, shape, in: medium } = model;
		const [d, from, to] = [value(model.size), value(model.start), value(model.core)];
		const { film, fact } = mediumOf(medium, at, model.at === undefined ? undefined : value(model.at));
		const surroundings = medium === 'bath' ? sigmaOf.bath : medium === 'place' && at.fire ? sigmaOf.fire : sigmaOf.oven;
		const sigma = conductionSigma(scatter, d, surroundings);
		const facts = { kind: 'immerse', food, size: d, start: from, core: to, medium: fact } as const;
		const climbs = (medium === 'water' || medium === 'steam') && advisedFor(food) !== undefined && to > from;
		if (climbs && film.h !== null) {
			const { seconds, pull, peak, loss, care } = cook({
				food,
				size: d,
				shape,
				face: 'liquid',
				skin: undefined,
				bone: 1,
				start: from,
				isTempered: false,
				goal: to,
				where: { kind: 'medium', h: film.h, celsius: film.tinf },
				turns: 0,
				turnedAt: 0.5,
				seared: undefined,
				finish: undefined,
				rest: model.rest === 'bare' ? 'bare' : 'served',
				room: at.room,
				altitude: at.altitude
			});
			return { usual: seconds, sigma, pull, peak, loss, care, facts };
		}
		const body = bodyOf(food, shape, d, (from + to) / 2);
		return {
			usual: new Immersed(body, film, from).timeToCore(to),
			sigma,
			...(to > from ? { pull: to, peak: to } : {}),
			care: to > from ? careOf(food, to, from) : [],
			facts
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
			facts: { kind: 'reduce', from: value(from), to: value(to), level, burner: burnerOf(at) }
		};
	}
};
