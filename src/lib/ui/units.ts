// The cook's own units, for every component: texts and number fields are metric inside.
import { createContext } from 'svelte';
import { shownIn, type Measure, type Shown } from '../core/units/amount';
import { inUnits } from '../core/words/quantities';

export interface Units {
	readonly measure: Measure;
	/** A text with its metric quantities in the cook's units. */
	say(text: string): string;
	/** How a number in a metric unit is shown and typed. */
	shown(unit: string): Shown;
}

export const [getUnits, setUnits] = createContext<Units>();

/** @param measure read anew each time, so that all of it follows at once */
export function unitsOf(measure: () => Measure): Units {
	return {
		get measure() {
			return measure();
		},
		say: (text) => inUnits(text, measure()),
		shown: (unit) => shownIn(unit, measure())
	};
}
