// Live fires of a plan: when each is lit, what it burns, when it is fed, and what whoever works at it has to know.
import { fires, fuelFor } from '../../heat/fire';
import type { Kitchen } from '../../model/kitchen';
import type { Plan } from '../../model/plan';
import { liveFuelOf } from '../../model/stations';
import type { Firing } from './terrain';

/** A fire that is done with within this time is not fed any more, seconds. */
const lastFeed = 10 * 60;

/** Cautions of the first step at a live fire. */
export const fireCautions = [
	'Long gloves, long tongs, nothing loose: the fire reaches further than it looks.',
	'Outdoors or under a hood: carbon monoxide has no smell. Ash stays hot for a day.'
] as const;

interface Heated {
	readonly lane: string;
	readonly firings: readonly Firing[];
	readonly lit: number | undefined;
}

/** Every live fire that a plan uses; between two heats it burns down and is not fed. */
export function firesOf(kitchen: Kitchen, heated: readonly Heated[]): NonNullable<Plan['fires']> {
	return heated.flatMap(({ lane, firings, lit }) => {
		const station = kitchen.stations.find((s) => s.id === lane);
		const fuel = station && liveFuelOf(station);
		if (!station || !fuel || !('places' in station) || lit === undefined || firings.length === 0) return [];
		const { places } = station;
		const hottest = Math.max(...firings.map((f) => f.celsius));
		const first = firings.reduce((a, b) => (b.from < a.from ? b : a));
		const lightOf = (celsius: number) => fuelFor(fuel, places, celsius).light;
		const held = heldIn(firings);
		const built = held.slice(1).flatMap(({ from, celsius }, i) => {
			const more = lightOf(celsius) - lightOf(held[i]?.celsius ?? celsius);
			return more > 0 ? [{ at: from, kilograms: roundKilograms(more) }] : [];
		});
		const feed = held.flatMap(({ from, to, celsius }) => {
			const { hourly } = fuelFor(fuel, places, celsius);
			const times: { at: number; kilograms: number }[] = [];
			const every = fires[fuel].feed;
			for (let at = from + every; at < to - lastFeed; at += every)
				times.push({ at, kilograms: roundKilograms((hourly * Math.min(every, to - at)) / 3600) });
			return times;
		});
		const toLight = roundKilograms(lightOf(first.celsius));
		const kilograms = [...built, ...feed].reduce((sum, f) => sum + f.kilograms, toLight);
		return [{ lane, fuel, lit, hottest, toLight, kilograms: roundKilograms(kilograms), built, feed }];
	});
}

/** Nobody weighs fuel closer than this, kg. */
const roundKilograms = (kilograms: number) => Math.max(0.1, Math.round(kilograms * 10) / 10);

/** Stretches in which one heat is held, in order. */
function heldIn(firings: readonly Firing[]): readonly Firing[] {
	const held: { from: number; to: number; celsius: number }[] = [];
	for (const f of firings.toSorted((a, b) => a.from - b.from)) {
		const last = held.at(-1);
		if (last?.celsius === f.celsius) last.to = Math.max(last.to, f.to);
		else held.push({ ...f });
	}
	return held;
}
