// In hot air: roasting to a peak at rest, that rest, baking through, losing the chill of the fridge.
import { Immersed, type Film } from '../heat/body';
import { films } from '../heat/films';
import { foodProperties, scatter, type Food } from '../heat/properties';
import { softeningZ } from '../heat/softness';
import { shortcutFilm, vapours, wetness, type Air } from '../heat/surface';
import { crusts } from '../heat/crusts';
import { MoistBody, placeAt } from '../heat/moist';
import { inDish, type Airflow } from '../heat/surroundings';
import { remembering } from './remembering';
import { boilingPoint } from '../heat/water';
import { usualStation } from '../model/stations';
import { commonOf, turnsOf, usualFace } from './piece-of';
import { cook, wideOf, type Piece } from './pieces';
import {
	airflowOf,
	conductionSigma,
	sigmaOf,
	type Circumstance,
	type Computers,
	type FactsOf,
	type ModelOf,
	type Value
} from './computing';

/** Nothing is baked for longer, seconds. */
const longestBake = 4 * 3600;
/** An oven that nobody set, °C. */
export const usualOven = 180;

/** The film on food in an oven, in one piece. */
function ovenAir({ setting = usualOven, hasFan = false, film = 1, fire, altitude }: Circumstance): Air {
	const own = fire === undefined ? film : 1;
	return {
		air: setting,
		wall: setting,
		h: own * films[fire === 'wood oven' ? 'wood oven' : hasFan ? 'fan oven' : 'still oven'].h,
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
export function ovenOf({ setting = usualOven, hasFan = false, film, fire }: Circumstance): FactsOf<'roast'>['oven'] {
	if (fire) return { setting, hasFan, fire };
	return { setting, hasFan, ...(film === undefined ? {} : { film }) };
}

/** A solid of a food at a temperature. */
export const bodyOf = (food: Food, shape: 'slab' | 'cylinder' | 'sphere', size: number, at: number) => {
	const { k, alpha } = foodProperties(food, at);
	return shape === 'slab' ? { shape, thickness: size, k, alpha } : { shape, diameter: size, k, alpha };
};

/** Seconds between turns on a grill, and in a fired oven, where the technique does not say. */
const usualTurns = { grill: 60, 'wood oven': 120 } as const;

/** A grill no hotter than this is a gentle one, with its lid on, °C. */
const gentlest = 210;

function pieceOf(model: ModelOf<'roast'> | ModelOf<'rest'>, value: Value, at: Circumstance): Piece {
	const fire = at.fire ?? model.fire;
	const setting = at.setting ?? model.oven ?? (fire ? usualStation[fire].temperature : usualOven);
	const where: Piece['where'] =
		fire === 'grill'
			? { kind: 'grill', setting, isShut: setting <= gentlest }
			: fire === 'wood oven'
				? { kind: 'wood oven', setting }
				: { kind: 'oven', setting, hasFan: at.hasFan ?? true, film: at.film };
	return {
		...commonOf(model, value, at),
		size: value(model.thickness),
		shape: model.shape ?? 'slab',
		where,
		turns: model.turns === undefined ? (fire ? usualTurns[fire] : 0) : turnsOf(value(model.turns)),
		turnedAt: 0.5
	};
}

/** Cream moves between slices until it sets, egg and vegetables a little: conductivity so many times (est., fitted to usual times). */
const moving = (food: Food) => (food === 'gratin' ? 2.5 : 1.3);
/** The middle of a dish, as shares of its depth from the base: what has to be hot and soft. */
const middle = [0.45, 0.65] as const;
/** A top is golden when so much has dried off, kg/m², and some minutes later, seconds. */
const goldenTop = { dried: 0.9, more: 300 };

interface Dish {
	readonly food: Food;
	readonly depth: number;
	readonly start: number;
	readonly core: number;
	readonly dose: number;
	readonly isGolden: boolean;
	readonly setting: number;
	readonly airflow: Airflow;
	readonly altitude: number;
}

/** Seconds until a filled dish is hot and soft in its middle, and golden where it shall be; and when its top is. */
const bakedThrough = remembering(
	({ food, depth, start, core, dose, isGolden, setting, airflow, altitude }: Dish): { usual: number; top: number } => {
		const { k, alpha } = foodProperties(food, (start + core) / 2);
		const material = { k: k * moving(food), alpha: alpha * moving(food) };
		const solid = { ...material, size: depth, p: 0, outer: crusts.baked, inner: crusts.liquid };
		const dish = new MoistBody(solid, start, placeAt(altitude));
		const around = inDish(setting, airflow);
		const [step, n] = [10, dish.T.length - 1];
		const nodes = Array.from({ length: n + 1 }, (_, i) => i).filter((i) => i / n >= middle[0] && i / n <= middle[1]);
		const had = nodes.map(() => 0);
		let [inside, top] = [Infinity, Infinity];
		dish.run(longestBake, step, around, (t) => {
			nodes.forEach((node, i) => {
				had[i] = (had[i] ?? 0) + (step / 60) * 10 ** (((dish.T[node] ?? 0) - 100) / softeningZ);
			});
			const isDone = nodes.every((node, i) => (dish.T[node] ?? 0) >= core && (had[i] ?? 0) >= dose);
			if (isDone && inside === Infinity) inside = t;
			if (dish.gone.outer >= goldenTop.dried && top === Infinity) top = t + goldenTop.more;
			return inside < Infinity && (top < Infinity || !isGolden) ? 'stop' : 'on';
		});
		return { usual: isGolden ? Math.max(inside, top) : inside, top: isGolden ? top : 0 };
	}
);

export const roasting: Computers<'roast' | 'rest' | 'bake' | 'temper'> = {
	roast: (model, value, at) => {
		const piece = pieceOf(model, value, at);
		const { seconds, pull, peak, loss, raised, logs, care } = cook(piece);
		const size = piece.shape === 'bird' ? wideOf(piece.size) : piece.size;
		const { where } = piece;
		return {
			usual: seconds,
			sigma: conductionSigma(scatter, size, at.fire ? sigmaOf.fire : sigmaOf.oven),
			pull,
			peak,
			loss,
			care,
			facts: {
				kind: 'roast',
				food: model.food,
				thickness: piece.size,
				shape: piece.shape,
				start: piece.start,
				...(piece.face === usualFace(piece.food) ? {} : { face: piece.face }),
				...(piece.bone === 1 ? {} : { bone: piece.bone }),
				oven: {
					setting: where.kind === 'oven' || where.kind === 'grill' || where.kind === 'wood oven' ? where.setting : 0,
					hasFan: where.kind === 'oven' && where.hasFan,
					...(where.kind === 'oven' && where.film !== undefined ? { film: where.film } : {}),
					...(where.kind === 'grill' || where.kind === 'wood oven' ? { fire: where.kind } : {})
				},
				pull,
				peak,
				loss,
				raised,
				logs
			}
		};
	},
	rest: (model, value, at) => {
		const piece = pieceOf(model, value, at);
		const { after, peak } = cook(piece);
		const cover = piece.rest === 'bare' ? 'on a board' : piece.rest;
		return {
			usual: after,
			sigma: 0.2,
			peak,
			facts: { kind: 'rest', food: model.food, thickness: piece.size, cover, room: at.room, after }
		};
	},
	bake: ({ food, depth, start, core, dose: needed, golden = food === 'gratin' }, value, at) => {
		const thickness = value(depth);
		const { usual, top } = bakedThrough({
			food,
			depth: thickness,
			start: value(start),
			core,
			dose: needed,
			isGolden: golden,
			setting: at.setting ?? usualOven,
			airflow: airflowOf(at),
			altitude: at.altitude
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
				isSoftened: needed > 0,
				top
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
