// In the pan: heating it, oil, a piece turned to its peak, its rest, and a crust.
import { efficiency } from '../../../heat/burner';
import { films, wetContact } from '../../../heat/films';
import { oilHeat } from '../../../heat/frying';
import { lumpedTime } from '../../../heat/lumped';
import { crustTime, preheatTime, smokeAt, smokePoints, type Fat } from '../../../heat/pan';
import { panPull } from '../../../heat/pan-turns';
import { foodProperties, scatter } from '../../../heat/properties';
import { panFats } from '../../../model/time-model';
import {
	burnerWords,
	celsius,
	conductionSigma,
	mm,
	netPower,
	percent,
	sigmaOf,
	type Circumstance,
	type Computers,
	type ModelOf,
	type Value
} from './timing-words';

/** A pan where the kitchen says nothing of it: carbon steel, 28 cm, 1.8 kg (est.). */
const usualPan = { mass: 1.8, metal: 'carbon steel', diameter: 0.28 } as const;
/** Litre of oil, kg; loss of a pot of oil, W/K (est.). */
const oilDensity = 0.92;
const oilLoss = 3;

function pulled(model: ModelOf<'pan'> | ModelOf<'pan-rest'>, value: Value, at: Circumstance) {
	const [thickness, t0, peak] = [value(model.thickness), value(model.start), value(model.peak)];
	const every = value(model.turns);
	const { k, alpha } = foodProperties(model.food, (t0 + peak) / 2);
	const air = { h: films['on a board'].h, tinf: at.room };
	const found = panPull({ thickness, k, alpha, t0, pan: wetContact, up: air, rest: air, goal: peak, every });
	return { ...found, thickness, t0, peak, every };
}

/** What a fat does in a pan so hot, and what else would do; nothing where it stays calm. */
function smokeWords(fat: Fat, pan: number): string | undefined {
	const [low] = smokePoints[fat];
	const how = smokeAt(fat, pan);
	if (how === 'calm') return undefined;
	if (how === 'ventilate') return `${capital(fat)} smokes from ${celsius(low)}: fan on, window open.`;
	return `${capital(fat)} smokes from ${celsius(low)}, and the pan comes to ${celsius(pan)}: put it in late, or take ${panFats[0]}.`;
}

const capital = (words: string) => words.slice(0, 1).toUpperCase() + words.slice(1);

const panModel =
	'conduction by finite volumes (Crank–Nicolson), each face on the pan in its turn at a wet contact of 108 °C';

export const panned: Computers<'pan' | 'pan-rest' | 'crust' | 'hot-pan' | 'hot-oil'> = {
	pan: (model, value, at) => {
		const { seconds, middle, thickness, t0, peak, every } = pulled(model, value, at);
		const sigma = conductionSigma(scatter, thickness, sigmaOf.pan);
		const turns = every > 0 ? `turned every ${Math.round(every)} s` : 'turned once';
		return {
			usual: seconds,
			sigma,
			pull: middle,
			isBelowAdvised: model.advised !== undefined && peak < model.advised,
			reason: {
				from: `${mm(thickness)} of ${model.food} from ${celsius(t0)}, ${turns}; off at ${celsius(middle)}, and it climbs to ${celsius(peak)} at rest`,
				model: panModel,
				off: `${percent(sigma)}: the probe decides`
			}
		};
	},
	'pan-rest': (model, value, at) => {
		const { after, thickness, peak } = pulled(model, value, at);
		return {
			usual: Math.max(120, after),
			sigma: 0.2,
			reason: {
				from: `${mm(thickness)} of ${model.food} on a board, room at ${celsius(at.room)}: the middle turns at ${celsius(peak)} after ${Math.round(after / 60)} min`,
				model: panModel,
				off: '± 20 %'
			}
		};
	},
	crust: ({ pan, faces }, value) => {
		const { shortest, usual, longest } = crustTime(value(pan));
		return {
			usual: usual * faces,
			sigma: Number.isFinite(usual) ? Math.log(longest / shortest) / 2.563 : 0.3,
			reason: {
				from: `${faces} ${faces === 1 ? 'face' : 'faces'} at ${celsius(value(pan))}`,
				model: 'browning as it goes with the heat of the pan (estimate; below 170 °C it greys)',
				off: 'the colour decides'
			}
		};
	},
	'hot-pan': ({ to, fat }, value, at) => {
		const name = fat === undefined ? undefined : panFats[value(fat)];
		const { power, efficiency: share } = netPower(at);
		const usual = preheatTime({ ...usualPan, power: power * share, ambient: at.room }, value(to));
		return {
			usual,
			sigma: 0.2,
			caution: name && smokeWords(name, value(to)),
			reason: {
				from: `a pan of carbon steel, ${usualPan.mass} kg, to ${celsius(value(to))}; ${burnerWords(at)}`,
				model: 'one body heated, losing heat (Incropera & DeWitt)',
				off: '± 20 %: pans differ in weight; the shimmer of the oil decides'
			}
		};
	},
	'hot-oil': ({ litres, to }, value, at) => {
		const mass = value(litres) * oilDensity;
		const { power, efficiency: share } = netPower({ ...at, fuel: at.fuel ?? 'electric' });
		const net = at.fuel === undefined && at.measured === undefined ? power * efficiency.electric.usual : power * share;
		const body = { capacity: mass * oilHeat, power: net, loss: oilLoss, ambient: at.room };
		return {
			usual: lumpedTime(body, at.room, value(to)),
			sigma: 0.15,
			reason: {
				from: `${value(litres).toFixed(1)} l of oil to ${celsius(value(to))}; ${burnerWords(at)}`,
				model: 'one body heated, losing heat (Incropera & DeWitt)',
				off: '± 15 %: the thermometer decides'
			}
		};
	}
};
