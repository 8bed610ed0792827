// Handwork: by the kilogram and by the piece, at a cook's pace.
import { handTime } from '../learn/handwork';
import { usualSigma } from '../learn/spread';
import type { Computers } from './computing';

export const handwork: Computers<'knife' | 'pieces'> = {
	knife: ({ task, kilograms }, value, { pace = 1 }) => ({
		usual: handTime({ task, kilograms: value(kilograms) }, pace),
		sigma: usualSigma.hands,
		facts: { kind: 'knife', task, kilograms: value(kilograms), pace }
	}),
	pieces: ({ task, pieces }, value, { pace = 1 }) => ({
		usual: handTime({ task, pieces: value(pieces) }, pace),
		sigma: usualSigma.hands,
		facts: { kind: 'pieces', task, pieces: value(pieces), pace }
	})
};
