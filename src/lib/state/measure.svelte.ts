// How the cook likes to measure; kept in the browser.
import { measures, type Measure } from '../core/units/amount';

const key = 'juntos-measure';

export class MeasureChoice {
	now: Measure = $state('metric');

	/** Take up what was chosen before; in the browser only. */
	start(): void {
		const kept = localStorage.getItem(key);
		this.now = measures.find((m) => m === kept) ?? 'metric';
	}

	choose(measure: Measure): void {
		this.now = measure;
		localStorage.setItem(key, measure);
	}
}
