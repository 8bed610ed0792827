// In water, steam, oil and ice: boiling, softening, eggs, reducing, and anything until its core has a temperature.
import { Immersed, type Body, type Film, type Solid } from '../heat/body';
import { coldStartTimes, hardEdge, eggStyles, eggTime, eggWays, poachedFrom } from '../heat/egg';
import { films } from '../heat/films';
import { goldLoss, goldTime, massPerArea, trayFilm, waterOf } from '../heat/gold';
import { littleLiquid } from '../heat/little-liquid';
import { foodProperties, scatter, type Food } from '../heat/properties';
import { rimTime, softeningTime, softness, tender, type Softness, type Vegetable } from '../heat/softness';
import { remembering } from './remembering';
import { boilingPoint, boilOff, heatingTime, potLoss, reductionTime } from '../heat/water';
import { usualSigma } from '../learn/spread';
import type { Care } from '../model/time-facts';
import type { media } from '../model/time-model';
import { advisedFor } from '../safety/advised';
import { publishedTime } from '../safety/lethality';
import { cook } from './pieces';
import { bodyOf, ovenOf, placeFilm, usualOven } from './roasting';
import {
	airflowOf,
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
/** Water for each egg that steeps, and once more, litres. */
const steepLitres = 0.25;
/** Less is no pot of water, litres. */
const leastSteep = 1;
/** Water from the tap, °C. */
const tapWater = 12;
/** Milk that steams, °C: over half of the heat, and no more than so many W/m² of a saucepan's base (est.). */
const steaming = 85;
const gentle = { level: 0.5, most: 30_000, base: 0.0254 };
/** Reheated, stirred: J/(kg K), from the cold to right through, K; share of the burner; longer where it is thick (est.). */
const reheating = { c: 3600, rise: 70, level: 0.5, thick: 1.25 };
/** A simmer is a little below the boil, K; loss of an open pan, W/K (est.). */
const simmering = { below: 3, loss: 1.5 };
/** A grate heats one side at a time: as good as this all round, W/(m² K). */
const grateFilm = 20;
/** Eggs that are set through by their way, or were as far as they will be before it. */
const setEggs: ReadonlySet<string> = new Set(['custard', 'fried turned', 'omelette brown', 'fried coated']);
/** Seconds of stirring before and after eggs begin to set. */
const stirring = 60;
/** How many eggs a steeping pot is taken to hold. */
const steepEggs = 6;
/** Wet food in oil meets the boil of its own water, °C. */
const fryingFace = 98;
/** A bath that nobody set, °C. */
const usualBath = 60;

/** The name of a share of the dose for tender, where it has one. */
const nameOfSoftness = (share: number) => Object.entries(softness).find(([, value]) => value === share)?.[0];

type Medium = (typeof media)[number];

const solidOf = (cut: 'stick' | 'cube' | 'round', d: number): Solid =>
	cut === 'stick'
		? { shape: 'cylinder', diameter: d }
		: cut === 'cube'
			? { shape: 'brick', sides: [d, d, d] }
			: { shape: 'sphere', diameter: d };

interface Softened {
	readonly vegetable: Vegetable;
	readonly cut: 'stick' | 'cube' | 'round';
	readonly d: number;
	readonly film: Film;
	readonly start: number;
	readonly wanted: Softness | number;
	readonly hottest?: number | undefined;
}
/** The same on every burner: computed once. */
const softened = remembering(({ vegetable, cut, d, film, start, wanted, hottest }: Softened) =>
	softeningTime(vegetable, solidOf(cut, d), film, start, wanted, hottest)
);

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
			return of(films['bubbling oil'].h * 0.8, fryingFace);
		case 'ice':
			return of(films['ice water'].h, 1);
		case 'fridge':
			return of(films.fridge.h, 3);
		case 'room':
			return of(films['on a rack'].h, at.room);
		case 'place': {
			const oven = ovenOf(at);
			return { film: placeFilm(at), fact: { in: medium, celsius: oven.setting, oven } };
		}
	}
}

/** What a core that is reached and not climbed to calls for, and what begins too warm. */
function careOf(food: Food, core: number, start: number, isHeld: boolean): readonly Care[] {
	const advised = advisedFor(food);
	if (!advised) return [];
	const { celsius, what, whose, warm } = advised;
	const isRefused = start > warm[1];
	return [
		...(core < celsius && !(isHeld && advised.instead)
			? [{ kind: 'below-advised', peak: core, advised: celsius, what, whose } as const]
			: []),
		...(start > warm[0]
			? [{ kind: 'start-too-warm', start, limit: isRefused ? warm[1] : warm[0], what, isRefused } as const]
			: [])
	];
}

/** A probe's error, K; what is hotter than this comes from the heat, °C. */
const probeError = 1;
const stillHot = 40;
/** A bath below this is neither cold nor hot, °C: cautioned and refused after so many seconds (FSIS; FDA Food Code). */
const lukewarm = { below: 54.4, caution: 2.5 * 3600, refused: 4 * 3600 };

function bathCare(celsius: number, seconds: number): readonly Care[] {
	if (celsius >= lukewarm.below || seconds <= lukewarm.caution) return [];
	const isRefused = seconds > lukewarm.refused;
	return [{ kind: 'held-too-long', seconds, celsius, most: lukewarm.caution, isRefused }];
}

/** Cooling from 57 °C: to 21 in two hours and to 5 in six, at the middle (FDA Food Code). */
const cooling = { from: 57, first: { celsius: 21, within: 2 * 3600 }, whole: { celsius: 5, within: 6 * 3600 } };

function coolingCare(body: Body, film: Film, start: number, size: number, medium: 'fridge' | 'ice'): readonly Care[] {
	const piece = new Immersed(body, film, start);
	const since = start > cooling.from ? piece.timeToCore(cooling.from) : 0;
	const first = piece.timeToCore(cooling.first.celsius) - since;
	const whole = piece.timeToCore(cooling.whole.celsius) - since;
	if (first <= cooling.first.within && whole <= cooling.whole.within) return [];
	return [{ kind: 'cooling', first, whole, size, in: medium === 'ice' ? 'ice water' : 'the cold' }];
}

export const wet: Computers<
	'boil' | 'boiled-egg' | 'egg' | 'soften' | 'simmer' | 'starch' | 'reheat' | 'pasteurise' | 'reduce' | 'immerse'
> = {
	boil: ({ litres, start, gently = false }, value, at) => {
		const mass = value(litres);
		const boil = gently ? steaming : boilingPoint(at.altitude);
		const { power, efficiency: share } = netPower(at);
		const arriving = gently ? Math.min(gentle.level * power * share, gentle.most * gentle.base) : power * share;
		const pot = { mass, pot: potHeat, power: arriving, efficiency: 1, loss: potLoss(mass, true), ambient: at.room };
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
	'boiled-egg': ({ kilograms, start, style, cold = false, count }, value, at) => {
		const boil = boilingPoint(at.altitude);
		const yolkEdge = typeof style === 'string' ? eggStyles[style].yolkEdge : value(style);
		const mass = value(kilograms);
		const eggs = count === undefined ? steepEggs : Math.max(1, value(count));
		const burner = at.power === undefined && at.best ? { ...at, ...at.best } : at;
		const { power, efficiency: share } = netPower(burner);
		const usual = cold
			? coldStartTimes(
					{
						mass,
						start: value(start),
						count: eggs,
						power: power * share,
						water: Math.max(leastSteep, steepLitres * eggs + steepLitres),
						tap: tapWater,
						pot: potHeat,
						room: at.room,
						boil
					},
					yolkEdge
				).standing
			: eggTime(mass, value(start), boil, yolkEdge);
		return {
			usual,
			sigma: cold ? 0.15 : 0.06,
			care: yolkEdge < hardEdge ? [{ kind: 'soft-egg' }] : [],
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
	egg: ({ way, kilograms, firm = 1, count = 1, start, together }, value, at) => {
		const turns = value(count);
		const { usual, shortest, longest, medium } = eggWays[way];
		const byStart = start !== undefined && way === 'poached' ? poachedFrom(value(start)) : 1;
		const bySize = turns * usual * value(firm) * byStart * (value(kilograms) / 0.058) ** (2 / 3);
		const { power, efficiency: share } = netPower(at);
		// A pan of stirred eggs sets as fast as its burner heats it.
		const heated =
			together === undefined ? 0 : (value(together) * value(kilograms) * 3500 * 65) / (power * share * 0.4);
		const seconds = together === undefined ? bySize : (stirring + heated) * value(firm);
		return {
			usual: seconds,
			sigma: Math.log(longest / shortest) / 2.563,
			care: setEggs.has(way) ? [] : [{ kind: 'soft-egg' }],
			facts: { kind: 'egg', way, kilograms: value(kilograms), medium, firm: value(firm), count: turns }
		};
	},
	soften: ({ vegetable, how, cut, size, start, in: medium = 'water', water, rim = false }, value, at) => {
		const d = value(size);
		const isOven = medium === 'place' && at.fire !== 'grill';
		const { film, fact } = mediumOf(medium, at, undefined);
		const wanted = typeof how === 'string' ? how : value(how);
		const boil = boilingPoint(at.altitude);
		const setting = at.setting ?? usualOven;
		const around = isOven
			? { h: 0.65 * trayFilm(setting, airflowOf(at)), tinf: setting }
			: medium === 'place'
				? { h: grateFilm, tinf: (setting + 80) / 2 }
				: film;
		const hottest = medium === 'place' ? (isOven ? boil - 3 : 98) : undefined;
		const soft = rim
			? rimTime(vegetable, d, film, value(start))
			: softened({ vegetable, cut, d, film: around, start: value(start), wanted, hottest });
		const { food } = tender[vegetable];
		const { rho, c } = foodProperties(food);
		const mass = massPerArea(rho, d, cut);
		const wet = water ?? waterOf(vegetable);
		const golden = isOven
			? goldTime({ mass, c, start: value(start), water: wet, celsius: setting, airflow: airflowOf(at) })
			: 0;
		return {
			usual: Math.max(soft, golden),
			sigma: medium === 'place' ? 0.25 / 1.28 : sigmaOf.vegetables / 1.28,
			...(isOven ? { loss: goldLoss(vegetable, mass, wet) } : {}),
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
	simmer: ({ vegetable, how, cut, size, start, kilograms, liquid, away, level, besides }, value, at) => {
		const boil = boilingPoint(at.altitude);
		const { power, efficiency: share } = netPower(at);
		const [d, food, litres] = [value(size), value(kilograms), value(liquid)];
		const { c } = foodProperties(tender[vegetable].food);
		const { heating, boiling } = littleLiquid({
			food,
			c,
			liquid: litres,
			vessel: potHeat,
			power: power * share * level,
			loss: simmering.loss,
			room: at.room,
			start: value(start),
			boil,
			away: away * litres,
			fastest: mostBoilOff
		});
		const film = { h: films.simmer.h, tinf: boil - simmering.below };
		const wanted = typeof how === 'string' ? how : value(how);
		const soft = softened({ vegetable, cut, d, film, start: value(start), wanted });
		return {
			// What is covered softens first, and boils down at the end.
			usual: heating + (away === 1 ? Math.max(soft, boiling) : soft + boiling) + besides,
			sigma: sigmaOf.vegetables / 1.28,
			facts: {
				kind: 'simmer',
				vegetable,
				size: d,
				kilograms: food,
				litres,
				heating,
				soft,
				boiling,
				away,
				level,
				burner: burnerOf(at)
			}
		};
	},
	starch: ({ seconds, z }, value, at) => {
		const boil = boilingPoint(at.altitude);
		return {
			usual: value(seconds) * 10 ** ((100 - boil) / z),
			sigma: 0.15,
			facts: { kind: 'starch', seconds: value(seconds), boil, altitude: at.altitude, z }
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
			care: [
				...(to > from ? careOf(food, to, from, model.held === true) : []),
				...(medium === 'bath' ? bathCare(film.tinf, new Immersed(body, film, from).timeToCore(to)) : []),
				...((medium === 'fridge' || medium === 'ice') && from > stillHot
					? coolingCare(body, film, from, d, medium)
					: [])
			],
			facts
		};
	},
	reheat: ({ kilograms, isThick = false }, value, at) => {
		const mass = value(kilograms);
		const { power, efficiency: share } = netPower(at);
		const heat = (mass * reheating.c + potHeat) * reheating.rise;
		return {
			usual: (heat / (reheating.level * power * share)) * (isThick ? reheating.thick : 1),
			sigma: 0.2,
			facts: { kind: 'reheat', kilograms: mass, isThick, burner: burnerOf(at) }
		};
	},
	pasteurise: ({ food, core }, value) => {
		const advised = advisedFor(food);
		const { organism, logs } = advised?.instead ?? { organism: undefined, logs: 0 };
		const species = organism?.species;
		const seconds = species === undefined ? 0 : (publishedTime(value(core) - probeError, logs, species) ?? 0);
		return {
			usual: Math.max(60, 1.1 * seconds),
			sigma: 0.05,
			facts: { kind: 'pasteurise', food, core: value(core), logs }
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
