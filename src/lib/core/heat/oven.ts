// An oven as one body: heating, cooling, the planner's rise and fall, doors and loads.
import { lumpedTime, type Lumped } from './lumped';

/** Heat capacity J/K, power W, loss W/K, room °C. */
export type Oven = Lumped;

/** A domestic oven of 60 to 70 litres; fitted to 10–12 min from 20 to 200 °C (est.). */
export const domesticOven: Oven = { capacity: 9000, power: 2700, loss: 3.5, ambient: 20 };
/** Loss with the fan on and the door ajar, W/K (est.). */
export const ajarLoss = 15;

/** Seconds to heat from one temperature to another. */
export function ovenHeating(oven: Oven, from: number, to: number): number {
	return to <= from ? 0 : lumpedTime(oven, from, to);
}

/** Seconds to cool from one temperature to another, off and shut; with `loss` of its own where the door is ajar. */
export function ovenCooling(oven: Oven, from: number, to: number, loss = oven.loss): number {
	return to >= from ? 0 : lumpedTime({ ...oven, power: 0, loss }, from, to);
}

/** Slopes of heating and of cooling between two set points, s/K: what the planner's `rise` and `fall` are made of. */
export function slopes(oven: Oven, low: number, high: number): { readonly rise: number; readonly fall: number } {
	return { rise: ovenHeating(oven, low, high) / (high - low), fall: ovenCooling(oven, high, low) / (high - low) };
}

/** Seconds per °C up and down that serve all pairs of the set points in use, rounded up. */
export function riseAndFall(oven: Oven, settings: readonly number[]): { readonly rise: number; readonly fall: number } {
	const used = [...new Set(settings)].sort((a, b) => a - b);
	const pairs = used.flatMap((low, i) => used.slice(i + 1).map((high) => slopes(oven, low, high)));
	return {
		rise: Math.ceil(Math.max(0, ...pairs.map((p) => p.rise))),
		fall: Math.ceil(Math.max(0, ...pairs.map((p) => p.fall)))
	};
}

/** Capacity and loss from two readings of a thermometer while it heats from cold: °C after so many seconds. */
export function fitOven(
	power: number,
	ambient: number,
	first: { readonly at: number; readonly celsius: number },
	second: { readonly at: number; readonly celsius: number }
): Pick<Oven, 'capacity' | 'loss'> | undefined {
	const [a, b] = first.at < second.at ? [first, second] : [second, first];
	// (T − room)/t falls as the loss grows: bisect on τ = C/U so that both readings lie on one curve.
	const [ya, yb] = [a.celsius - ambient, b.celsius - ambient];
	const ratio = (tau: number) => (1 - Math.exp(-b.at / tau)) / (1 - Math.exp(-a.at / tau));
	if (ya <= 0 || yb <= ya || yb / ya >= b.at / a.at) return undefined;
	let [low, high] = [1, 1e7];
	for (let i = 0; i < 200; i++) {
		const tau = Math.sqrt(low * high);
		if (ratio(tau) < yb / ya) low = tau;
		else high = tau;
	}
	const tau = Math.sqrt(low * high);
	const loss = (power * (1 - Math.exp(-b.at / tau))) / yb;
	return { capacity: tau * loss, loss };
}

/** How far the air drops at one opening of 10 to 20 s, K, and the seconds until half of it is back (est.). */
export function doorOpening(celsius: number, ambient: number): { readonly drop: number; readonly halfBack: number } {
	return { drop: 0.25 * (celsius - ambient), halfBack: 45 };
}

/** Factor on the time with so many trays (est.): each shades the one above. */
export function trayFactor(trays: number, hasFan: boolean): number {
	if (trays <= 1) return 1;
	if (hasFan) return trays === 2 ? 1.1 : 1.15;
	return trays === 2 ? 1.15 : 1.3;
}

/** A fired oven between readings, and beyond the last: −2 K/min without feeding, +3 with (est.). */
export function firedOven(start: number, seconds: number, isFed: boolean): number {
	return start + ((isFed ? 3 : -2) * seconds) / 60;
}
