// All questions of the Bench, in the order in which they are shown.
import { core, pan, styles } from './meat';
import type { Question } from './question';
import { buy, convert, hold, safety, tray } from './table';
import { boil, calibrate, egg, freshness, guests, oil, oven, reduce } from './wet';

export const questions: readonly Question[] = [
	core,
	pan,
	styles,
	egg,
	guests,
	freshness,
	boil,
	reduce,
	oil,
	oven,
	calibrate,
	tray,
	hold,
	safety,
	convert,
	buy
];
