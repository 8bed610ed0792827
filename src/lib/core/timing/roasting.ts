// In hot air: roasting to a peak at rest, that rest, baking through, losing the chill of the fridge.
import { Immersed, type Film } from '../heat/body';
import { behind, films, wetContact } from '../heat/films';
import { Conduction } from '../heat/finite-volumes';
import { foodProperties, scatter, type Food } from '../heat/properties';
import { HeatThenRest } from '../heat/rest';
import { softeningZ } from '../heat/softness';
import { shortcutFilm, surfaceFilm, vapours, wetness, type Air } from '../heat/surface';
import { boilingPoint } from '../heat/water';
import { climbLimit } from './climb';
import {
	belowAdvised,
	conductionSigma,
	sigmaOf,
	type Circumstance,
	type Computers,
	type FactsOf,
	type ModelOf,
	type Value
} from './computing';

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

/** The oven, the grill or the fired oven as a fact. */
export function ovenOf({ setting = usualOven, hasFan = false, fire }: Circumstance): FactsOf<'roast'>['oven'] {
	return { setting, hasFan, ...(fire ? { fire } : {}) };
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

function pulled(model: ModelOf<'roast'> | ModelOf<'rest'>, value: Value, at: Circumstance) {
	const thickness = value(model.thickness);
	const peak = value(model.peak);
	const start = afterSear(model, value);
	const cover = restCover(model, value);
	const body = bodyOf(model.food, model.shape ?? 'slab', thickness, (start + peak) / 2);
	const rest: Film = { h: films[cover].h, tinf: at.room };
	const oven = { ...at, setting: at.setting ?? model.oven };
	const stages = new HeatThenRest(body, placeFilm(oven), rest, start);
	const free = stages.pullTimeFor(peak, near);
	const found = Number.isFinite(free) ? stages.atPull(free).core : peak;
	const least = peak - climbLimit(model.food);
	const isHeldBack = found < least;
	const usual = isHeldBack ? new Immersed(body, placeFilm(oven), start).timeToCore(least) : free;
	const pull = isHeldBack ? least : found;
	return { thickness, peak, start, cover, oven, stages, usual, pull, heldBack: isHeldBack ? least - found : undefined };
}

export const roasting: Computers<'roast' | 'rest' | 'bake' | 'temper'> = {
	roast: (model, value, at) => {
		const { thickness, peak, start, oven, usual, pull, heldBack } = pulled(model, value, at);
		return {
			usual,
			sigma: conductionSigma(scatter, thickness, at.fire ? sigmaOf.fire : sigmaOf.oven),
			pull,
			peak,
			care: belowAdvised(peak, model.advised),
			facts: {
				kind: 'roast',
				food: model.food,
				thickness,
				shape: model.shape ?? 'slab',
				start,
				oven: ovenOf(oven),
				pull,
				peak,
				heldBack
			}
		};
	},
	rest: (model, value, at) => {
		const { thickness, peak, cover, stages, usual } = pulled(model, value, at);
		const { after } = stages.peak(Number.isFinite(usual) ? usual : 0);
		return {
			usual: Math.max(120, after),
			sigma: 0.2,
			peak,
			facts: { kind: 'rest', food: model.food, thickness, cover, room: at.room, after }
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
		return {
			usual,
			sigma: conductionSigma(scatter, thickness, sigmaOf.oven),
			facts: {
				kind: 'bake',
				depth: thickness,
				start: value(start),
				oven: ovenOf(at),
				core,
				isSoftened: needed > 0
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
			facts: { kind: 'temper', thickness: value(thickness), start: value(start), room: at.room, core }
		};
	}
};
