// In the pan: heating it, oil, a piece turned to its peak, its rest, and a crust.
import { efficiency } from '../heat/burner';
import { oilHeat } from '../heat/frying';
import { lumpedTime } from '../heat/lumped';
import { crustTime, preheatTime, smokeAt } from '../heat/pan';
import { scatter } from '../heat/properties';
import { fats, panFats, type Fat } from '../foods/fats';
import type { Care } from '../model/time-facts';
import { commonOf, turnsOf } from './piece-of';
import { cook, type Piece } from './pieces';
import {
	burnerOf,
	conductionSigma,
	netPower,
	sigmaOf,
	type Circumstance,
	type Computers,
	type ModelOf,
	type Value
} from './computing';

/** A pan where the kitchen says nothing of it: carbon steel, 28 cm, 1.8 kg (est.). */
const usualPan = { mass: 1.8, metal: 'carbon steel', diameter: 0.28 } as const;
/** Litre of oil, kg; loss of a pot of oil, W/K (est.). */
const oilDensity = 0.92;
const oilLoss = 3;

function pieceOf(model: ModelOf<'pan'> | ModelOf<'pan-rest'>, value: Value, at: Circumstance): Piece {
	return {
		...commonOf(model, value, at),
		size: value(model.thickness),
		shape: 'slab',
		where: { kind: 'pan', baste: model.baste ?? 0 },
		turns: turnsOf(value(model.turns)),
		turnedAt: model.turnedAt ?? 0.5
	};
}

/** What a fat does in a pan so hot; nothing where it stays calm. */
function smokeOf(fat: Fat, pan: number): readonly Care[] {
	const how = smokeAt(fat, pan);
	return how === 'calm' ? [] : [{ kind: 'fat-smokes', fat, from: fats[fat].smokes[0], pan, how }];
}

export const panned: Computers<'pan' | 'pan-rest' | 'crust' | 'hot-pan' | 'hot-oil'> = {
	pan: (model, value, at) => {
		const piece = pieceOf(model, value, at);
		const { seconds, pull, peak, loss, raised, logs, care } = cook(piece);
		const { size: thickness, start, turns: every } = piece;
		return {
			usual: seconds,
			sigma: conductionSigma(scatter, thickness, sigmaOf.pan),
			pull,
			peak,
			loss,
			care,
			facts: { kind: 'pan', food: model.food, thickness, start, every, pull, peak, loss, raised, logs }
		};
	},
	'pan-rest': (model, value, at) => {
		const piece = pieceOf(model, value, at);
		const { after, peak } = cook(piece);
		return {
			usual: after,
			sigma: 0.2,
			peak,
			facts: { kind: 'pan-rest', food: model.food, thickness: piece.size, room: at.room, peak, after }
		};
	},
	crust: ({ pan, faces }, value) => {
		const { shortest, usual, longest } = crustTime(value(pan));
		return {
			usual: usual * faces,
			sigma: Number.isFinite(usual) ? Math.log(longest / shortest) / 2.563 : 0.3,
			facts: { kind: 'crust', faces, pan: value(pan) }
		};
	},
	'hot-pan': ({ to, fat }, value, at) => {
		const name = fat === undefined ? undefined : panFats[value(fat)];
		const { power, efficiency: share } = netPower(at);
		return {
			usual: preheatTime({ ...usualPan, power: power * share, ambient: at.room }, value(to)),
			sigma: 0.2,
			care: name === undefined ? [] : smokeOf(name, value(to)),
			facts: { kind: 'hot-pan', mass: usualPan.mass, to: value(to), burner: burnerOf(at) }
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
			facts: { kind: 'hot-oil', litres: value(litres), to: value(to), burner: burnerOf(at) }
		};
	}
};
