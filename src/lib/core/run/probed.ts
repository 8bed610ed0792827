// A probe in a part of a run: which steps may have one, what the body and its heat are as the plan has them, what was read.
import { biot, directionsOf, type Body, type Film } from '../heat/body';
import { foodProperties } from '../heat/properties';
import { foodNames } from '../foods/ingredients';
import type { PlannedStep } from '../model/plan';
import { nothingKnown, pullFor, Tables } from '../probe/curve';
import type { Asked } from '../probe/estimate';
import type { Medium, Reading } from '../probe/posterior';

/** The room that food rests in, °C, and its film there, W/(m² K); what a pan's faces meet at the most on the mean, °C (est.). */
const room = 21;
const resting = 20;
const panned = 150;
/** Films that are tried for what the plan has, W/(m² K). */
const films = [1, 2000] as const;

/**
 * Whether a probe can be in what is on: a piece of meat or fish whose plan knows where its core goes, and which was not seared
 * before: its faces are no longer as cold as its middle.
 *
 * @param all the steps of the plan
 */
export function mayBeProbed(step: PlannedStep, all: readonly PlannedStep[]): boolean {
	const { facts, pull, peak } = step;
	if (pull === undefined || peak === undefined) return false;
	if (all.some((s) => s.part === step.part && s.kind === 'cook' && s.to <= step.from)) return false;
	return facts?.kind === 'pan' || (facts?.kind === 'roast' && facts.shape !== 'bird');
}

/**
 * A step as a probe's stream is read against: its body, in a heat that brings its middle to the planned pull in the planned
 * time and lets it climb as far as planned at rest. `undefined` where its plan says nothing of its core.
 */
export function probedAs(step: PlannedStep): Omit<Asked, 'readings' | 'now'> | undefined {
	const { facts, pull, peak } = step;
	if (pull === undefined || peak === undefined || !facts) return undefined;
	if (facts.kind !== 'roast' && facts.kind !== 'pan') return undefined;
	const food = foodNames.find((f) => f === facts.food);
	if (!food) return undefined;
	const { k, alpha } = foodProperties(food, (facts.start + peak) / 2);
	const body = bodyOf(facts, k, alpha);
	const medium: Medium = facts.kind === 'pan' ? 'pan' : 'oven';
	if (!body) return undefined;
	const hottest = facts.kind === 'pan' ? panned : Math.max(peak + 10, facts.oven.setting);
	const seconds = step.to - step.from;
	const tables = new Tables();
	const rest: Film = { h: resting, tinf: room };
	/** The middle as it comes off, in surroundings so hot, with the film that this takes. */
	const heatedIn = (tinf: number) => {
		const middle = (h: number) => {
			let left = 1;
			for (const d of directionsOf(body))
				left *= tables.of(d.shape, biot(d, body, h)).at((body.alpha * seconds) / d.L ** 2, 0);
			return tinf + (facts.start - tinf) * left;
		};
		return { body, film: { h: between(middle, pull, films), tinf }, t0: facts.start };
	};
	// A moist face stays far below the air round it. The hotter it is, the further the middle climbs afterwards.
	const early = (tinf: number) => -pullFor(heatedIn(tinf), nothingKnown, rest, peak, tables).core;
	const setting = heatedIn(between(early, -pull, [peak + 2, hottest]));
	return { ...setting, medium, rest, peak };
}

type Piece = Extract<NonNullable<PlannedStep['facts']>, { kind: 'roast' | 'pan' }>;

function bodyOf(facts: Piece, k: number, alpha: number): Body | undefined {
	const shape = facts.kind === 'roast' ? facts.shape : 'slab';
	const size = facts.thickness;
	switch (shape) {
		case 'slab':
			return { shape, thickness: size, k, alpha };
		case 'cylinder':
		case 'sphere':
			return { shape, diameter: size, k, alpha };
		case 'bird':
			// A bird's size is its mass: no body that a series knows.
			return undefined;
	}
}

/** Where a function that grows comes to a value, by halving of the logarithm; an end where it does not. */
function between(f: (x: number) => number, value: number, [least, most]: readonly [number, number]): number {
	let [low, high] = [Math.log(least), Math.log(most)];
	for (let i = 0; i < 16; i++) {
		const middle = (low + high) / 2;
		if (f(Math.exp(middle)) < value) low = middle;
		else high = middle;
	}
	return Math.exp((low + high) / 2);
}

/** What of a part's readings is of a step, in seconds since it began. */
export function readingsIn(
	step: Pick<PlannedStep, 'part' | 'from'>,
	readings: ReadonlyMap<string, readonly Reading[]>
): readonly Reading[] {
	return (readings.get(step.part) ?? []).flatMap(([at, celsius]): Reading[] =>
		at >= step.from ? [[at - step.from, celsius]] : []
	);
}
