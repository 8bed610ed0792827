// Handwork: by the kilogram and by the piece, at a cook's pace.
import { handTime } from '../../../learn/handwork';
import { usualSigma } from '../../../learn/spread';
import { grams, percent, type Computers } from './timing-words';

const off = `${percent(usualSigma.hands)}; your own records will correct it`;
const paced = (pace: number) =>
	pace === 1 ? 'a home cook’s pace' : `a pace of ${pace.toFixed(2)} times a home cook’s`;

export const handwork: Computers<'knife' | 'pieces'> = {
	knife: ({ task, kilograms }, value, { pace = 1 }) => ({
		usual: handTime({ task, kilograms: value(kilograms) }, pace),
		sigma: usualSigma.hands,
		reason: {
			from: `${task}: ${grams(value(kilograms))}`,
			model: `${paced(pace)} by the kilogram, and setting up (estimate)`,
			off
		}
	}),
	pieces: ({ task, pieces }, value, { pace = 1 }) => ({
		usual: handTime({ task, pieces: value(pieces) }, pace),
		sigma: usualSigma.hands,
		reason: {
			from: `${task}: ${Number(value(pieces).toFixed(1))} times`,
			model: `${paced(pace)} by the piece, and setting up (estimate)`,
			off
		}
	})
};
