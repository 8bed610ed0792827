// How the cook likes to measure; remembered by the browser.
import { measures, type Measure } from '../core/units/amount';
import { recall, remember } from './small-store';

const key = 'juntos-measure';

export class MeasureChoice {
	now: Measure = $state('metric');

	/** Take up what was chosen before; in the browser only. */
	start(): void {
		const kept = recall(key);
		this.now = measures.find((m) => m === kept) ?? 'metric';
	}

	choose(measure: Measure): void {
		this.now = measure;
		remember(key, measure);
	}
}
