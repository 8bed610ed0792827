// What a kitchen is really like, from what can be measured in it with a pot, a clock and a thermometer.
import { calibrated } from '../heat/burner';
import { boilingPoint, potLoss } from '../heat/water';
import { handTime, type KnifeTask } from './handwork';

/** Heat capacity of the pot itself, J/K (est.). */
const potHeat = 600;

/**
 * Watts that arrive in a pot, from so many litres that came to the boil, lid on, in so many seconds.
 *
 * @param start of the water, °C
 * @param altitude metres above the sea
 */
export function measuredPower(litres: number, start: number, seconds: number, altitude: number, room = 20): number {
	const boil = boilingPoint(altitude);
	const loss = potLoss(litres, true) * ((start + boil) / 2 - room);
	return calibrated(litres, potHeat, start, boil, seconds, loss);
}

/** Seconds for each °C, from so many seconds from cold until the oven has a temperature. */
export function measuredRise(room: number, celsius: number, seconds: number): number {
	return seconds / Math.max(1, celsius - room);
}

/** How long handwork takes against a home cook's 1, from a sample of knife work, seconds; the setting up counts for all the same. */
export function measuredPace(task: KnifeTask, kilograms: number, seconds: number): number {
	const setUp = handTime({ task, kilograms: 0 });
	return Math.min(5, Math.max(0.2, (seconds - setUp) / (handTime({ task, kilograms }) - setUp)));
}
