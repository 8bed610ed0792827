// Why a computed time is what it is: what was put in, the model and its source, how far it may be off.
import { eggStyles } from '../heat/egg';
import type { PlannedStep } from '../model/plan';
import type { TimeFacts } from '../model/time-facts';
import { grams, millimetres, percent, plainCelsius } from './quantities';

export interface Reason {
	readonly from: string;
	readonly model: string;
	readonly off: string;
}

type Of<K extends TimeFacts['kind']> = Extract<TimeFacts, { kind: K }>;
type Rows = { readonly [K in TimeFacts['kind']]: (facts: Of<K>, sigma: number) => Reason };

function wordOven({ setting, hasFan, film, fire }: Of<'roast'>['oven']): string {
	if (fire) return `${fire} at ${plainCelsius(setting)}`;
	const own =
		film === undefined ? '' : `, its air taking heat in ${film.toFixed(2)} times as fast as most, by your probe`;
	return `oven ${plainCelsius(setting)}, ${hasFan ? 'fan' : 'no fan'}${own}`;
}

function wordBurner({ power, fuel, share, isMeasured }: Of<'boil'>['burner']): string {
	return `${power} W ${fuel}, of which ${Math.round(100 * share)} % arrives${isMeasured ? ', as measured' : ''}`;
}

function wordMedium({ in: medium, celsius, oven }: Of<'immerse'>['medium']): string {
	const words: Readonly<Record<typeof medium, string>> = {
		water: `water at ${celsius.toFixed(1)} °C`,
		bath: `a bath at ${plainCelsius(celsius)}`,
		steam: `steam at ${celsius.toFixed(1)} °C`,
		oil: 'oil, its wet face at the boil',
		ice: 'ice water',
		fridge: `the cold at ${plainCelsius(celsius)}`,
		room: `the room at ${plainCelsius(celsius)}`,
		place: oven ? wordOven(oven) : plainCelsius(celsius)
	};
	return words[medium];
}

const wordPace = (pace: number) =>
	pace === 1 ? 'a home cook’s pace' : `a pace of ${pace.toFixed(2)} times a home cook’s`;
const byHand = (sigma: number) => `${percent(sigma)}; your own records will correct it`;
const wordShape = { slab: '', cylinder: ' across', sphere: ' across', bird: '' } as const;
const wordSafe = ({ raised, logs }: { readonly raised?: number | undefined; readonly logs?: number | undefined }) => {
	const over =
		logs === undefined ? '' : `; ${logs < 20 ? logs.toFixed(1) : 'over 20'} log reductions over heat and rest`;
	return raised === undefined ? over : `; ${plainCelsius(raised)} was asked for, which is not safe there${over}`;
};
const wordSize = (shape: Of<'roast'>['shape'], size: number) =>
	shape === 'bird' ? `a bird of ${grams(size)}` : `${millimetres(size)}${wordShape[shape]}`;

const series = 'conduction, exact series (Carslaw & Jaeger)';
const roasting =
	'moist faces: water evaporates under a drying crust, by finite volumes, through heat and rest (Goñi & Salvadori; van der Sman)';
const oneBody = 'one body heated, losing heat (Incropera & DeWitt)';
const panModel = `${roasting}; each face on the metal in its turn`;

const rows: Rows = {
	boil: ({ litres, start, boil, altitude, burner }) => ({
		from: `${litres.toFixed(1)} l from ${plainCelsius(start)} to ${boil.toFixed(1)} °C (${altitude} m), lid on; ${wordBurner(burner)}`,
		model: `${oneBody}; boiling point by Antoine`,
		off: burner.isMeasured ? '± 3 %' : '± 10 %; ± 3 % once a litre has been timed on this burner'
	}),
	knife: ({ task, kilograms, pace }, sigma) => ({
		from: `${task}: ${grams(kilograms)}`,
		model: `${wordPace(pace)} by the kilogram, and setting up (estimate)`,
		off: byHand(sigma)
	}),
	pieces: ({ task, pieces, pace }, sigma) => ({
		from: `${task}: ${Number(pieces.toFixed(1))} times`,
		model: `${wordPace(pace)} by the piece, and setting up (estimate)`,
		off: byHand(sigma)
	}),
	'boiled-egg': ({ kilograms, start, boil, altitude, yolkEdge, style, cold }) => {
		const known = Object.entries(eggStyles).find(([name]) => name === style)?.[1].say;
		return {
			from: `${grams(kilograms)} from ${plainCelsius(start)} in water at ${boil.toFixed(1)} °C (${altitude} m), yolk’s edge to ${plainCelsius(yolkEdge)}${known === undefined ? '' : `: ${known}`}`,
			model: cold
				? 'a sphere in water that cools, off the heat and covered (finite volumes); half warmed on the way up (estimate)'
				: 'a sphere in boiling water (Williams)',
			off: cold ? '± 1 min: pot, burner and water decide too' : '± 20 s'
		};
	},
	egg: ({ way, kilograms, medium, firm, count }) => ({
		from: `${grams(kilograms)}, ${way}, at ${plainCelsius(medium)}${firm === 1 ? '' : `, ${Math.round(100 * firm)} % of the usual time`}${count === 1 ? '' : `, ${count} one after the other`}`,
		model: 'usual time for 58 g, with the mass to the power ⅔ (estimate)',
		off: 'the sign decides'
	}),
	soften: ({ vegetable, size, start, medium, how, soft, golden }) => {
		const wanted = typeof how === 'string' ? how : `${how} of tender`;
		const both = golden > 0 ? ` (${Math.round(soft / 60)} min) and golden (${Math.round(golden / 60)} min)` : '';
		return {
			from: `${vegetable}, ${millimetres(size)}, from ${plainCelsius(start)} in ${wordMedium(medium)}, until ${wanted}${both}`,
			model: 'conduction, and softening ten times as fast with each 23 K (Rao & Lund); doses are estimates',
			off: '± 30 % between varieties: the fork decides'
		};
	},
	immerse: ({ food, size, start, core, medium }, sigma) => ({
		from: `${millimetres(size)} of ${food} from ${plainCelsius(start)} in ${wordMedium(medium)}, until the middle has ${plainCelsius(core)}`,
		model: `${series}, the film of what it lies in`,
		off: `${percent(sigma)}: the probe decides`
	}),
	reduce: ({ from, to, level, burner }) => ({
		from: `${grams(from)} to ${grams(to)} at ${Math.round(100 * level)} % of ${wordBurner(burner)}; not above 8 g a minute and dm²`,
		model: 'heat of evaporation (Incropera & DeWitt), 15 % more for sugar and fat at the end (estimate)',
		off: '± 15 %: the spoon decides'
	}),
	roast: ({ food, thickness, shape, start, oven, pull, peak, ...safe }, sigma) => ({
		from: `${wordSize(shape, thickness)}${shape === 'bird' ? '' : ` of ${food}`} from ${plainCelsius(start)} on average, ${wordOven(oven)}; off at ${plainCelsius(pull)}, and it climbs to ${plainCelsius(peak)} at rest${wordSafe(safe)}`,
		model: roasting,
		off: `${percent(sigma)} in time, ± ${oven.setting > 200 ? 3 : 2} K in the climb: the probe decides`
	}),
	rest: ({ food, thickness, cover, room, after }) => ({
		from: `${food === 'poultry breast' && thickness > 0.3 ? `a bird of ${grams(thickness)}` : `${millimetres(thickness)} of ${food}`} ${cover}, room at ${plainCelsius(room)}: the core turns after ${Math.round(after / 60)} min`,
		model: roasting,
		off: '± 20 %'
	}),
	simmer: ({ vegetable, size, kilograms, litres, heating, soft, boiling, away, level, burner }) => ({
		from: `${grams(kilograms)} of ${vegetable}, ${millimetres(size)}, in ${litres.toFixed(2)} l at ${Math.round(100 * level)} % of ${wordBurner(burner)}: to the boil ${Math.round(heating / 60)} min, soft ${Math.round(soft / 60)} min, ${Math.round(100 * away)} % boiled away ${Math.round(boiling / 60)} min`,
		model: `${oneBody}; softening ten times as fast with each 23 K (Rao & Lund); heat of evaporation`,
		off: '± 30 %: the fork and the spoon decide'
	}),
	reheat: ({ kilograms, isThick, burner }) => ({
		from: `${grams(kilograms)}${isThick ? ', thick' : ''}, stirred, from the cold to 74 °C right through, over half of ${wordBurner(burner)}`,
		model: oneBody,
		off: '± 20 %: the probe decides; reheated once'
	}),
	pasteurise: ({ food, core, logs }) => ({
		from: `${food} held at ${plainCelsius(core)}, a degree taken off for the probe, for ${logs} log reductions`,
		model: 'published times (USDA FSIS), and a tenth more',
		off: 'not shorter; local codes decide'
	}),
	starch: ({ seconds, boil, altitude, z }) => ({
		from: `${Math.round(seconds / 60)} min in water at 100 °C; here it boils at ${boil.toFixed(1)} °C (${altitude} m)`,
		model: `the packet’s minutes, ten times as slow with each ${z} K less (estimate)`,
		off: '± 20 %: a bite decides'
	}),
	bake: ({ depth, start, oven, core, isSoftened, top = 0 }, sigma) => ({
		from: `${millimetres(depth)} deep from ${plainCelsius(start)}, ${wordOven(oven)}, until the middle has ${plainCelsius(core)}${isSoftened ? ', and it has softened there' : ''}${top > 0 ? `; its top is golden after ${Math.round(top / 60)} min` : ''}`,
		model: `${roasting}; cream and egg move the heat inside (estimate)`,
		off: `${percent(sigma)}: the knife decides`
	}),
	temper: ({ thickness, start, room, core }) => ({
		from: `${millimetres(thickness)} from ${plainCelsius(start)} in a room at ${plainCelsius(room)}, to ${plainCelsius(core)} in the middle; an hour at the most`,
		model: roasting,
		off: '± 15 %'
	}),
	pan: ({ food, thickness, start, every, pull, peak, ...safe }, sigma) => ({
		from: `${millimetres(thickness)} of ${food} from ${plainCelsius(start)}, ${every > 0 ? `turned every ${Math.round(every)} s` : 'turned once'}; off at ${plainCelsius(pull)}, and it climbs to ${plainCelsius(peak)} at rest${wordSafe(safe)}`,
		model: panModel,
		off: `${percent(sigma)}: the probe decides`
	}),
	'pan-rest': ({ food, thickness, room, peak, after }) => ({
		from: `${millimetres(thickness)} of ${food} on a board, room at ${plainCelsius(room)}: the middle turns at ${plainCelsius(peak)} after ${Math.round(after / 60)} min`,
		model: panModel,
		off: '± 20 %'
	}),
	crust: ({ faces, pan }) => ({
		from: `${faces} ${faces === 1 ? 'face' : 'faces'} at ${plainCelsius(pan)}`,
		model: 'browning as it goes with the heat of the pan (estimate; below 170 °C it greys)',
		off: 'the colour decides'
	}),
	'hot-pan': ({ mass, to, burner }) => ({
		from: `a pan of carbon steel, ${grams(mass)}, to ${plainCelsius(to)}; ${wordBurner(burner)}`,
		model: oneBody,
		off: '± 20 %: pans differ in weight; the shimmer of the oil decides'
	}),
	'hot-oil': ({ litres, to, burner }) => ({
		from: `${litres.toFixed(1)} l of oil to ${plainCelsius(to)}; ${wordBurner(burner)}`,
		model: oneBody,
		off: '± 15 %: the thermometer decides'
	}),
	said: ({ from, model, off }) => ({ from, model, off })
};

/**
 * The reason of a time in words, in metric units (see `inUnits`).
 *
 * @param sigma spread of the time's logarithm
 */
export function wordReason(facts: TimeFacts, sigma: number): Reason {
	// Each kind has its own row, which TypeScript cannot follow through the union.
	const row = rows[facts.kind] as (facts: TimeFacts, sigma: number) => Reason;
	return row(facts, sigma);
}

/** The same with what the cook's own records have put on it; `undefined` where there is neither. */
export function wordOwnRecord(
	reason: Reason | undefined,
	{ basis, sigma }: Pick<PlannedStep, 'basis' | 'sigma'>
): Reason | undefined {
	const learnt = basis?.learnt;
	if (!learnt) return reason;
	const share = `${learnt.factor.toFixed(2)} times that, by ${learnt.records} ${learnt.records === 1 ? 'record' : 'records'} of your own`;
	if (!reason)
		return { from: 'as the technique has it', model: `usual time (estimate); ${share}`, off: percent(sigma) };
	return { from: reason.from, model: `${reason.model}; ${share}`, off: percent(sigma) };
}
