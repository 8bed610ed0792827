// What a burner gives to a pot: its fuel's share, what a level means, and what a litre boiled says.
import { waterHeat } from './water';

export const fuels = ['induction', 'electric', 'gas'] as const;
export type Fuel = (typeof fuels)[number];

/** Share of the rated power that arrives, with its range (US DOE rulemaking documents; Livchak et al. 2019). */
export const efficiency: Readonly<Record<Fuel, { readonly usual: number; readonly range: readonly [number, number] }>> =
	{
		induction: { usual: 0.85, range: [0.8, 0.9] },
		electric: { usual: 0.74, range: [0.65, 0.8] },
		gas: { usual: 0.4, range: [0.3, 0.5] }
	};

/** A vessel smaller than its burner takes less (est.). */
export const smallVessel = 0.8;

/** Share of the full power at a level from 0 to 1: gas keeps a little at its lowest (est.). */
export function levelShare(fuel: Fuel, level: number): number {
	return fuel === 'gas' ? 0.15 + 0.85 * level : level;
}

/**
 * Net power of a burner, W, from the seconds in which it brought water from one temperature to another.
 *
 * @param loss mean loss on the way, W
 */
export function calibrated(
	kilograms: number,
	pot: number,
	from: number,
	to: number,
	seconds: number,
	loss = 0
): number {
	return ((kilograms * waterHeat + pot) * (to - from)) / seconds + loss;
}
