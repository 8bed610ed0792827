// A step as tasks see it: the ways of doing it, and a way as a mode of the problem.
import type { Part } from '../../model/meal';
import type { Step, Technique } from '../../model/technique';
import { usualOf, type Timing } from '../../timing/timing';
import { grid } from '../grid';
import type { Problem } from '../problem';
import type { HandUse } from './hands';
import type { Place } from './places';

/** One way of doing a step: what a mode of its task stands for. */
export interface Way {
	readonly place: Place | undefined;
	/** How long it takes, as a distribution. */
	readonly timing: Timing;
	readonly hands: readonly HandUse[];
	/** Resources that its hands take beside `hands`: those who do this, or do it at this pace. */
	readonly crew: readonly string[];
	/** Its vessel stays at its place: taken by the whole stay, or only tied to the same place. */
	readonly stay?: 'held' | 'tied';
	/** Where that is, and by whom where that is kept too. */
	readonly at?: string;
}

export interface TracedStep {
	/** As it is planned: a part, or those guests of it who have it otherwise. */
	readonly part: Part;
	readonly technique: Technique;
	readonly step: Step;
	/** In the order of the task's modes. */
	readonly ways: readonly Way[];
}

/** What is put together piece by piece. */
export type Mutable<T> = { -readonly [K in keyof T]: T[K] };

function roundNear(seconds: number): number {
	return Math.max(grid, Math.round(seconds / grid) * grid);
}

/** The usual length of a step on the grid, seconds. */
export const lengthOf = (timing: Timing) => roundNear(usualOf(timing));

/** How long a step takes in the quickest of its ways, seconds; 0 where there is none. */
export const shortestOf = (step: Pick<TracedStep, 'ways'> | undefined) =>
	step === undefined || step.ways.length === 0 ? 0 : Math.min(...step.ways.map((way) => lengthOf(way.timing)));

/** A way of doing a step as a mode of its task, as long as it usually takes, or just as long. */
export function modeOf(
	{ place, timing, hands, crew, stay, at }: Way,
	duration?: number
): Problem['tasks'][number]['modes'][number] {
	return {
		duration: duration ?? lengthOf(timing),
		uses: [
			...hands.flatMap(({ from, to }) => ['hands', ...crew].map((resource) => ({ resource, amount: 1, from, to }))),
			...(place && place.amount > 0 && stay !== 'held' ? [{ resource: place.resource, amount: place.amount }] : []),
			...(place?.also ?? []).map((resource) => ({ resource, amount: 1 }))
		],
		...(place?.isSet && place.level !== undefined ? { state: { id: place.station, value: place.level } } : {}),
		...atOf(place, stay && at)
	};
}

/** Where a mode is done, for ties: at the place that is kept, or at a set point, which may have a price. */
function atOf(place: Place | undefined, at: string | undefined): { readonly at?: string } {
	if (!place) return {};
	if (at !== undefined) return { at };
	return place.isSet && place.setting !== undefined ? { at: setPointOf(place.setting) } : {};
}

/** Where a mode at a set point is, for the tie to its price. */
export const setPointOf = (setting: number) => `${setting} °C`;
