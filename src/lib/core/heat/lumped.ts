// A body of one temperature, heated and losing heat: pans, water, ovens, oil, plates.

/** C dT/dt = power − loss (T − ambient). */
export interface Lumped {
	/** Heat capacity, J/K. */
	readonly capacity: number;
	/** Net heat in, W. */
	readonly power: number;
	/** W/K. */
	readonly loss: number;
	/** °C. */
	readonly ambient: number;
}

/** A second sink, as a load of food: conductance W/K to a temperature °C. */
export function withSink(body: Lumped, conductance: number, temperature: number): Lumped {
	const loss = body.loss + conductance;
	if (loss === 0) return body;
	return { ...body, loss, ambient: (body.loss * body.ambient + conductance * temperature) / loss };
}

/** The temperature it comes to, °C; without losses it goes on for ever. */
export function equilibrium({ power, loss, ambient }: Lumped): number {
	return loss === 0 ? Math.sign(power) * Infinity : ambient + power / loss;
}

/** °C after so many seconds. */
export function lumpedAt(body: Lumped, start: number, seconds: number): number {
	const { capacity, power, loss } = body;
	const end = equilibrium(body);
	if (!Number.isFinite(end)) return start + (power * seconds) / capacity;
	return start - (end - start) * Math.expm1((-seconds * loss) / capacity);
}

/** Seconds from one temperature to another; 0 where it is there, `Infinity` where it never comes. */
export function lumpedTime(body: Lumped, start: number, target: number): number {
	const { capacity, power, loss } = body;
	if (start === target) return 0;
	const end = equilibrium(body);
	if (!Number.isFinite(end)) {
		const seconds = (capacity * (target - start)) / power;
		return seconds > 0 ? seconds : Infinity;
	}
	const share = (target - start) / (end - start);
	return share > 0 && share < 1 ? (-capacity / loss) * Math.log1p(-share) : Infinity;
}
