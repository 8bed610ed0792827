// How the time to a core temperature changes with the temperature around the food.

/**
 * Ratio of the times in which a piece reaches a core temperature at two oven set points, all else equal.
 *
 * One term of the conduction series: θ = C₁ exp(−ζ₁² Fo), so the time goes as ln(C₁/θ*) with
 * θ* = (target − setpoint)/(start − setpoint); C₁ = 1.27 of a slab held at the set point. Good to 2 % for Fo > 0.2.
 *
 * @param setpoint new set point, °C, above `target`
 * @param reference set point the known time belongs to, °C, above `target`
 * @param start core temperature at the start, °C, below `target`
 * @param target core temperature wanted, °C
 * @returns time at `setpoint` ÷ time at `reference`; `Infinity` where the target is never reached
 * Source: Carslaw & Jaeger 1959, Conduction of Heat in Solids, § 3.3.
 */
export function setpointRatio(setpoint: number, reference: number, start: number, target: number): number {
	const slabFactor = 1.27;
	const time = (surroundings: number) => {
		const theta = (target - surroundings) / (start - surroundings);
		return surroundings <= target ? Infinity : Math.log(slabFactor / theta);
	};
	return time(setpoint) / time(reference);
}
