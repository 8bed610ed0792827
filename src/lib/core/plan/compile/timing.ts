// A step's time from the kitchen science: the model that its technique names, with this part, this kitchen, this place.
import { Immersed, type Body, type Film, type Solid } from '../../heat/body';
import { efficiency, type Fuel } from '../../heat/burner';
import { eggStyles, eggTime, eggWays } from '../../heat/egg';
import { behind, films, wetContact } from '../../heat/films';
import { Conduction } from '../../heat/finite-volumes';
import { foodProperties, scatter } from '../../heat/properties';
import { HeatThenRest } from '../../heat/rest';
import { softeningTime, softeningZ } from '../../heat/softness';
import { shortcutFilm, surfaceFilm, vapours, wetness, type Air } from '../../heat/surface';
import { boilingPoint, boilOff, heatingTime, potLoss, reductionTime } from '../../heat/water';
import { handTime } from '../../learn/handwork';
import { quantile, usualSigma } from '../../learn/spread';
import type { TimeModel } from '../../model/time-model';
import { printTemperature } from '../../units/print';

/** Where a step is done, as far as its time depends on it. */
export interface Circumstance {
	/** Rated power of the burner, watts, and what it burns. */
	readonly power?: number | undefined;
	readonly fuel?: Fuel | undefined;
	/** Set point of the oven, °C, and whether its fan blows. */
	readonly setting?: number | undefined;
	readonly hasFan?: boolean | undefined;
	/** Metres above the sea; room, °C. */
	readonly altitude: number;
	readonly room: number;
}

/** Why a time is what it is. */
interface Reason {
	/** What was put in, in words; the model and where it comes from; how far it may be off. */
	readonly from: string;
	readonly model: string;
	readonly off: string;
}

export interface Computed {
	/** Seconds; `Infinity` where it never comes to that. */
	readonly usual: number;
	/** Spread of the logarithm. */
	readonly sigma: number;
	readonly reason: Reason;
	/** Core at which to take it off, °C. */
	readonly pull?: number;
	/** Whether the core stays below what is advised. */
	readonly isBelowAdvised?: boolean;
}

type ModelOf<K extends TimeModel['kind']> = Extract<TimeModel, { kind: K }>;
type Value = (quantity: ModelOf<'boil'>['litres']) => number;
type Computer<K extends TimeModel['kind']> = (model: ModelOf<K>, value: Value, at: Circumstance) => Computed;

/** Pots, pans and their losses where the kitchen says nothing of them (est.). */
const potHeat = 600;
const usualPower = 1800;
const panArea = 0.062;
/** A sauce that would catch boils off no more than 8 g/(min dm²) (est.). */
const mostBoilOff = (0.008 / 60) * 100 * panArea;
/** A peak is met as near as this, K: far within what an oven leaves open. */
const near = 0.05;
/** Fat of a skin, W/(m K). */
const skinFat = 0.2;
/** Nothing is baked for longer, seconds. */
const longestBake = 4 * 3600;
/** Metres in which a thickness is measured, and σ of an oven, a bath and a pan (docs: how far to trust it). */
const thicknessError = 0.001;
const sigmaOf = { bath: 0.02, oven: 0.1, pan: 0.15, vegetables: 0.3 } as const;

const celsius = (T: number) => printTemperature(T);
const mm = (metres: number) => `${Math.round(metres * 1000)} mm`;
const grams = (kilograms: number) =>
	kilograms < 1 ? `${Math.round(kilograms * 1000)} g` : `${kilograms.toFixed(1)} kg`;
const percent = (sigma: number) => `± ${Math.round(100 * sigma)} %`;
const conductionSigma = (thickness: number, surroundings: number) =>
	Math.hypot(scatter, (2 * thicknessError) / thickness, surroundings);

function netPower({ power = usualPower, fuel = 'induction' }: Circumstance): {
	readonly power: number;
	readonly efficiency: number;
} {
	return { power, efficiency: efficiency[fuel].usual };
}

const burnerWords = ({ power = usualPower, fuel = 'induction' }: Circumstance) =>
	`${power} W ${fuel}, of which ${Math.round(100 * efficiency[fuel].usual)} % arrives`;

/** The film on food in an oven, in one piece. */
function ovenAir({ setting = 180, hasFan = false, altitude }: Circumstance): Air {
	return {
		air: setting,
		wall: setting,
		h: films[hasFan ? 'fan oven' : 'still oven'].h,
		vapour: vapours.vented,
		wetness: wetness.food,
		boil: boilingPoint(altitude)
	};
}

const ovenWords = ({ setting = 180, hasFan = false }: Circumstance) =>
	`${celsius(setting)}, ${hasFan ? 'fan' : 'no fan'}`;

/** Mean temperature after a sear through the skin: one face on the pan, as half of a slab of double thickness. */
function afterSear(model: ModelOf<'roast'> | ModelOf<'rest'>, value: Value): number {
	const start = value(model.start);
	if (!model.seared) return start;
	const thickness = value(model.thickness);
	const { k, alpha } = foodProperties(model.food, 30);
	const contact: Film = {
		h: behind(wetContact.h, [{ thickness: model.seared.skin, k: skinFat }]),
		tinf: wetContact.tinf
	};
	const slab: Body = { shape: 'slab', thickness: 2 * thickness, k, alpha };
	return new Immersed(slab, contact, start).temperature(model.seared.seconds, 'mean');
}

function roastStages(model: ModelOf<'roast'> | ModelOf<'rest'>, value: Value, at: Circumstance) {
	const thickness = value(model.thickness);
	const start = afterSear(model, value);
	const { k, alpha } = foodProperties(model.food, (start + model.peak) / 2);
	const slab: Body = { shape: 'slab', thickness, k, alpha };
	const rest: Film = { h: films['on a board'].h, tinf: at.room };
	return { thickness, start, stages: new HeatThenRest(slab, shortcutFilm(ovenAir(at)), rest, start) };
}

const conduction =
	'conduction through a slab, exact series (Carslaw & Jaeger), a film of air and radiation with a little evaporation';

const computers: { readonly [K in TimeModel['kind']]: Computer<K> } = {
	boil: ({ litres, start }, value, at) => {
		const mass = value(litres);
		const boil = boilingPoint(at.altitude);
		const pot = { mass, pot: potHeat, ...netPower(at), loss: potLoss(mass, true), ambient: at.room };
		return {
			usual: heatingTime(pot, value(start), boil),
			sigma: usualSigma.clock,
			reason: {
				from: `${mass.toFixed(1)} l from ${celsius(value(start))} to ${boil.toFixed(1)} °C (${at.altitude} m), lid on; ${burnerWords(at)}`,
				model: 'one body heated, losing heat (Incropera & DeWitt); boiling point by Antoine',
				off: '± 10 %; ± 3 % once a litre has been timed on this burner'
			}
		};
	},
	knife: ({ task, kilograms }, value) => ({
		usual: handTime({ task, kilograms: value(kilograms) }),
		sigma: usualSigma.hands,
		reason: {
			from: `${task}: ${grams(value(kilograms))}`,
			model: 'a home cook’s pace by the kilogram, and setting up (estimate)',
			off: `${percent(usualSigma.hands)}; your own records will correct it`
		}
	}),
	pieces: ({ task, pieces }, value) => ({
		usual: handTime({ task, pieces: value(pieces) }),
		sigma: usualSigma.hands,
		reason: {
			from: `${task}: ${value(pieces)} times`,
			model: 'a home cook’s pace by the piece, and setting up (estimate)',
			off: `${percent(usualSigma.hands)}; your own records will correct it`
		}
	}),
	'boiled-egg': ({ kilograms, start, style }, value, at) => {
		const boil = boilingPoint(at.altitude);
		const { yolkEdge, say } = eggStyles[style];
		return {
			usual: eggTime(value(kilograms), value(start), boil, yolkEdge),
			sigma: 0.06,
			reason: {
				from: `${grams(value(kilograms))} from ${celsius(value(start))} in water at ${boil.toFixed(1)} °C (${at.altitude} m), yolk’s edge to ${celsius(yolkEdge)}: ${say}`,
				model: 'a sphere in boiling water (Williams)',
				off: '± 20 s'
			}
		};
	},
	egg: ({ way, kilograms }, value) => {
		const { usual, shortest, longest, medium } = eggWays[way];
		return {
			usual: usual * (value(kilograms) / 0.058) ** (2 / 3),
			sigma: Math.log(longest / shortest) / 2.563,
			reason: {
				from: `${grams(value(kilograms))}, ${way}, at ${celsius(medium)}`,
				model: 'usual time for 58 g, with the mass to the power ⅔ (estimate)',
				off: 'the sign decides'
			}
		};
	},
	roast: (model, value, at) => {
		const { thickness, start, stages } = roastStages(model, value, at);
		const usual = stages.pullTimeFor(model.peak, near);
		const sigma = conductionSigma(thickness, sigmaOf.oven);
		const pull = Number.isFinite(usual) ? stages.atPull(usual).core : model.peak;
		return {
			usual,
			sigma,
			pull,
			isBelowAdvised: model.advised !== undefined && model.peak < model.advised,
			reason: {
				from: `${mm(thickness)} of ${model.food} from ${celsius(start)} on average, oven ${ovenWords(at)}; off at ${celsius(pull)}, and it climbs to ${celsius(model.peak)} at rest`,
				model: conduction,
				off: `${percent(sigma)} in time, ± 1.5 K in the climb: the probe decides`
			}
		};
	},
	rest: (model, value, at) => {
		const { thickness, stages } = roastStages(model, value, at);
		const pulled = stages.pullTimeFor(model.peak, near);
		const { after } = stages.peak(Number.isFinite(pulled) ? pulled : 0);
		return {
			usual: Math.max(120, after),
			sigma: 0.2,
			reason: {
				from: `${mm(thickness)} of ${model.food} on a board, room at ${celsius(at.room)}: the core turns after ${Math.round(after / 60)} min`,
				model: 'carryover: the exact second stage of conduction (Carslaw & Jaeger)',
				off: '± 20 %'
			}
		};
	},
	bake: ({ food, depth, start, core, dose: needed }, value, at) => {
		const thickness = value(depth);
		const { k, alpha } = foodProperties(food, (value(start) + core) / 2);
		const dish = new Conduction({ shape: 'slab', L: thickness / 2, n: 10, isFull: false, k, alpha }, value(start));
		const air = surfaceFilm({ ...ovenAir(at), vapour: vapours.moist });
		const step = 120;
		let [usual, had, before] = [Infinity, 0, value(start)];
		dish.run({ seconds: longestBake, step, outer: air }, (t) => {
			const now = dish.T[0] ?? 0;
			const gained = (step / 60) * 10 ** (((before + now) / 2 - 100) / softeningZ);
			had += gained;
			if (now >= core && had >= needed) {
				const late = Math.min((now - core) / Math.max(1e-9, now - before), needed > 0 ? (had - needed) / gained : 1);
				usual = t - step * Math.min(1, late);
				return 'stop';
			}
			before = now;
			return 'on';
		});
		const sigma = conductionSigma(thickness, sigmaOf.oven);
		const soft = needed > 0 ? ', and it has softened there' : '';
		return {
			usual,
			sigma,
			reason: {
				from: `${mm(thickness)} deep from ${celsius(value(start))}, oven ${ovenWords(at)}, until the middle has ${celsius(core)}${soft}`,
				model: 'conduction by finite volumes (Crank–Nicolson), a wet surface in moist air',
				off: `${percent(sigma)}: the knife decides`
			}
		};
	},
	temper: ({ food, thickness, start, core }, value, at) => {
		const { k, alpha } = foodProperties(food, 15);
		const slab: Body = { shape: 'slab', thickness: value(thickness), k, alpha };
		const air: Film = { h: films['on a board'].h, tinf: at.room };
		const usual = new Immersed(slab, air, value(start)).timeToCore(core);
		return {
			// Never longer than an hour out of the cold; what is warm already needs a moment only.
			usual: Math.min(3600, Math.max(60, usual)),
			sigma: 0.15,
			reason: {
				from: `${mm(value(thickness))} from ${celsius(value(start))} in a room at ${celsius(at.room)}, to ${celsius(core)} in the middle; an hour at the most`,
				model: conduction,
				off: '± 15 %'
			}
		};
	},
	soften: ({ vegetable, how, cut, size, start }, value, at) => {
		const boil = boilingPoint(at.altitude);
		const d = value(size);
		const solid: Solid =
			cut === 'stick'
				? { shape: 'cylinder', diameter: d }
				: cut === 'cube'
					? { shape: 'brick', sides: [d, d, d] }
					: { shape: 'sphere', diameter: d };
		return {
			usual: softeningTime(vegetable, solid, { h: films.simmer.h, tinf: boil }, value(start), how),
			sigma: sigmaOf.vegetables / 1.28,
			reason: {
				from: `${vegetable}, ${mm(d)}, in water at ${boil.toFixed(1)} °C (${at.altitude} m), until ${how}`,
				model: 'conduction, and softening ten times as fast with each 23 K (Rao & Lund); doses are estimates',
				off: '± 30 % between varieties: the fork decides'
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

/** What of the circumstance a model looks at besides the kitchen: places that are alike in it have the same time. */
export const looksAt: Readonly<Record<TimeModel['kind'], 'burner' | 'oven' | 'nothing'>> = {
	boil: 'burner',
	knife: 'nothing',
	pieces: 'nothing',
	'boiled-egg': 'nothing',
	egg: 'nothing',
	roast: 'oven',
	rest: 'nothing',
	bake: 'oven',
	temper: 'nothing',
	soften: 'nothing',
	reduce: 'burner'
};

/** Compute a step's time; quantities that name a parameter are looked up by `of`. */
export function compute(model: TimeModel, of: (id: string) => number, at: Circumstance): Computed {
	const value: Value = (q) => (typeof q === 'number' ? q : q.times * of(q.by) + q.plus);
	// Each model is computed in its own row, which TypeScript cannot follow through the union.
	const computer = computers[model.kind] as Computer<TimeModel['kind']>;
	return computer(model, value, at);
}

/** Shortest, usual and longest: the 10th, 50th and 90th hundredth. */
export function spreadOf({ usual, sigma }: Pick<Computed, 'usual' | 'sigma'>) {
	if (!Number.isFinite(usual)) return { shortest: usual, usual, longest: usual };
	const logNormal = { mu: Math.log(Math.max(1, usual)), sigma };
	return { shortest: quantile(logNormal, 0.1), usual: Math.max(1, usual), longest: quantile(logNormal, 0.9) };
}
