// A piece in a pan, turned: both faces, the middle, and how far it climbs at rest.
import type { Film, Material } from './body';
import { Conduction, vertex } from './finite-volumes';

export interface PanTurns extends Material {
	/** Metres, full. */
	readonly thickness: number;
	readonly t0: number;
	/** What the face down meets, and the face up. */
	readonly pan: Film;
	readonly up: Film;
	/** Seconds between turns: the first with face A down. */
	readonly intervals: readonly number[];
	/** What both faces meet afterwards. */
	readonly rest: Film;
}

export interface PanResult {
	/** At the pull: middle plane, face A, face B; °C. */
	readonly middle: number;
	readonly faceA: number;
	readonly faceB: number;
	readonly peak: number;
	/** Seconds after the pull. */
	readonly peakAfter: number;
	/** Temperatures every few seconds: seconds since the start, face A, middle, face B. */
	readonly trace: readonly { readonly at: number; readonly a: number; readonly middle: number; readonly b: number }[];
}

/** Cells of a full picture. */
const cells = 120;
const step = 1;
/** Rest that is looked at, and how often the trace is kept, seconds. */
const restStep = 2;
const traceStep = 5;

/**
 * Odd intervals lie on face A, even ones on face B; turning takes no time. The middle plane is half way through.
 *
 * A wet face holds the contact near 105–112 °C, whatever the pan: give that as the pan's temperature (the crust is a matter
 * of its own, see `crust.ts`).
 */
export function panTurns({ thickness, k, alpha, t0, pan, up, intervals, rest }: PanTurns): PanResult {
	const piece = new Conduction({ shape: 'slab', L: thickness, n: cells, isFull: true, k, alpha }, t0);
	const trace: { at: number; a: number; middle: number; b: number }[] = [];
	let began = 0;
	const keep = (at: number) => {
		if (at - (trace.at(-1)?.at ?? -Infinity) < traceStep) return;
		trace.push({ at, a: piece.T[0]!, middle: piece.at(0.5), b: piece.T[cells]! });
	};
	keep(0);
	intervals.forEach((seconds, i) => {
		const [inner, outer] = i % 2 === 0 ? [pan, up] : [up, pan];
		piece.run({ seconds, step, inner, outer }, (s) => {
			keep(began + s);
		});
		began += seconds;
	});
	const [middle, faceA, faceB] = [piece.at(0.5), piece.T[0]!, piece.T[cells]!];
	let before: readonly [number, number] = [0, middle];
	let highest: readonly [number, number] = [0, middle];
	// The middle follows the faces after a while of about L²/α at the most.
	const limit = (2 * thickness * thickness) / alpha;
	for (let t = restStep; t <= limit; t += restStep) {
		piece.run({ seconds: restStep, step, inner: rest, outer: rest });
		keep(began + t);
		const now = [t, piece.at(0.5)] as const;
		if (now[1] < highest[1]) {
			if (highest[0] === 0) break;
			const { at, value } = vertex([before[0], highest[0], now[0]], [before[1], highest[1], now[1]]);
			return { middle, faceA, faceB, peak: value, peakAfter: at, trace };
		}
		[before, highest] = [highest, now];
	}
	return { middle, faceA, faceB, peak: highest[1], peakAfter: highest[0], trace };
}
