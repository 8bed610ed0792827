// In hot air: roasting to a peak at rest, that rest, baking through, losing the chill of the fridge.
import { Immersed, type Film } from '../../../heat/body';
import { behind, films, wetContact } from '../../../heat/films';
import { Conduction } from '../../../heat/finite-volumes';
import { foodProperties, scatter, type Food } from '../../../heat/properties';
import { HeatThenRest } from '../../../heat/rest';
import { softeningZ } from '../../../heat/softness';
import { shortcutFilm, surfaceFilm, vapours, wetness, type Air } from '../../../heat/surface';
import { boilingPoint } from '../../../heat/water';
import {
	celsius,
	conductionSigma,
	mm,
	percent,
	sigmaOf,
	type Circumstance,
	type Computers,
	type ModelOf,
	type Value
} from './timing-words';

/** A peak is met as near as this, K: far within what an oven leaves open. */
const near = 0.05;
/** Fat of a skin, W/(m K). */
const skinFat = 0.2;
/** Nothing is baked for longer, seconds. */
const longestBake = 4 * 3600;
/** An oven that nobody set, °C. */
export const usualOven = 180;

/** The film on food in an oven, in one piece. */
function ovenAir({ setting = usualOven, hasFan = false, fire, altitude }: Circumstance): Air {
	return {
		air: setting,
		wall: setting,
		h: films[fire === 'wood oven' ? 'wood oven' : hasFan ? 'fan oven' : 'still oven'].h,
		vapour: vapours.vented,
		wetness: wetness.food,
		boil: boilingPoint(altitude)
	};
}

/** What food meets at its place: the air and walls of an oven, or a grill's heat. */
export function placeFilm(at: Circumstance): Film {
	return at.fire === 'grill' ? { h: films.grill.h, tinf: at.setting ?? usualOven } : shortcutFilm(ovenAir(at));
}

export function placeWords({ setting = usualOven, hasFan = false, fire }: Circumstance): string {
	return fire ? `${fire} at ${celsius(setting)}` : `oven ${celsius(setting)}, ${hasFan ? 'fan' : 'no fan'}`;
}

export const bodyOf = (food: Food, shape: 'slab' | 'cylinder' | 'sphere', size: number, at: number) => {
	const { k, alpha } = foodProperties(food, at);
	return shape === 'slab' ? { shape, thickness: size, k, alpha } : { shape, diameter: size, k, alpha };
};

/** Mean temperature after a sear through the skin: one face on the pan, as half of a slab of double thickness. */
function afterSear(model: ModelOf<'roast'> | ModelOf<'rest'>, value: Value): number {
	const start = value(model.start);
	if (!model.seared) return start;
	const contact: Film = {
		h: behind(wetContact.h, [{ thickness: model.seared.skin, k: skinFat }]),
		tinf: wetContact.tinf
	};
	const slab = bodyOf(model.food, 'slab', 2 * value(model.thickness), 30);
	return new Immersed(slab, contact, start).temperature(model.seared.seconds, 'mean');
}

/** What lies over it at rest: 1 is tented. */
function restCover({ rest }: ModelOf<'roast'> | ModelOf<'rest'>, value: Value): 'on a board' | 'tented' {
	if (rest === undefined || typeof rest === 'string') return rest ?? 'on a board';
	return value(rest) === 1 ? 'tented' : 'on a board';
}

function roastStages(model: ModelOf<'roast'> | ModelOf<'rest'>, value: Value, at: Circumstance) {
	const thickness = value(model.thickness);
	const peak = value(model.peak);
	const start = afterSear(model, value);
	const cover = restCover(model, value);
	const body = bodyOf(model.food, model.shape ?? 'slab', thickness, (start + peak) / 2);
	const rest: Film = { h: films[cover].h, tinf: at.room };
	const oven = { ...at, setting: at.setting ?? model.oven };
	return { thickness, peak, start, cover, oven, stages: new HeatThenRest(body, placeFilm(oven), rest, start) };
}

const wordShape = { slab: '', cylinder: ' across', sphere: ' across' } as const;
const conduction = 'conduction, exact series (Carslaw & Jaeger), a film of air and radiation with a little evaporation';

export const roasting: Computers<'roast' | 'rest' | 'bake' | 'temper'> = {
	roast: (model, value, at) => {
		const { thickness, peak, start, oven, stages } = roastStages(model, value, at);
		const usual = stages.pullTimeFor(peak, near);
		const sigma = conductionSigma(scatter, thickness, at.fire ? sigmaOf.fire : sigmaOf.oven);
		const pull = Number.isFinite(usual) ? stages.atPull(usual).core : peak;
		return {
			usual,
			sigma,
			pull,
			isBelowAdvised: model.advised !== undefined && peak < model.advised,
			reason: {
				from: `${mm(thickness)}${wordShape[model.shape ?? 'slab']} of ${model.food} from ${celsius(start)} on average, ${placeWords(oven)}; off at ${celsius(pull)}, and it climbs to ${celsius(peak)} at rest`,
				model: conduction,
				off: `${percent(sigma)} in time, ± 1.5 K in the climb: the probe decides`
			}
		};
	},
	rest: (model, value, at) => {
		const { thickness, peak, cover, stages } = roastStages(model, value, at);
		const pulled = stages.pullTimeFor(peak, near);
		const { after } = stages.peak(Number.isFinite(pulled) ? pulled : 0);
		return {
			usual: Math.max(120, after),
			sigma: 0.2,
			reason: {
				from: `${mm(thickness)} of ${model.food} ${cover}, room at ${celsius(at.room)}: the core turns after ${Math.round(after / 60)} min`,
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
		const sigma = conductionSigma(scatter, thickness, sigmaOf.oven);
		const soft = needed > 0 ? ', and it has softened there' : '';
		return {
			usual,
			sigma,
			reason: {
				from: `${mm(thickness)} deep from ${celsius(value(start))}, ${placeWords(at)}, until the middle has ${celsius(core)}${soft}`,
				model: 'conduction by finite volumes (Crank–Nicolson), a wet surface in moist air',
				off: `${percent(sigma)}: the knife decides`
			}
		};
	},
	temper: ({ food, thickness, start, core }, value, at) => {
		const slab = bodyOf(food, 'slab', value(thickness), 15);
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
	}
};
