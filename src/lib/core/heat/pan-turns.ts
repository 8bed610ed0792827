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

/** Cells of a full picture, and of a search for a time. */
const cells = 120;
const few = 30;
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

export interface PanPull extends Omit<PanTurns, 'intervals'> {
	/** Highest temperature of the middle at rest, °C. */
	readonly goal: number;
	/** Seconds between turns; 0: turned once, half way. */
	readonly every: number;
}

/**
 * Seconds in the pan after which the middle will peak at a temperature at rest, that peak's delay, and the middle at the pull;
 * `Infinity` where two hours do not do. By bisection on a coarse grid: within 2 % of the fine one.
 */
export function panPull({ goal, ...piece }: PanPull): Pulled {
	return firstAt(piece, goal, ({ peak }) => peak);
}

/** The same until the middle has a temperature when it comes off, °C, however far it climbs then. */
export function panUntil({ middle, ...piece }: Omit<PanPull, 'goal'> & { readonly middle: number }): Pulled {
	return firstAt(piece, middle, (outcome) => outcome.middle);
}

/** Seconds in the pan, seconds of rest until the middle turns, and the middle at the pull, °C. */
interface Pulled {
	readonly seconds: number;
	readonly after: number;
	readonly middle: number;
}

function firstAt(
	{ every, ...piece }: Omit<PanPull, 'goal'>,
	goal: number,
	of: (outcome: ReturnType<typeof peakOf>) => number
): Pulled {
	const turns = (seconds: number) => {
		if (every <= 0) return [seconds / 2, seconds / 2];
		const whole = Math.floor(seconds / every);
		return [...new Array<number>(whole).fill(every), ...(seconds - whole * every > 0 ? [seconds - whole * every] : [])];
	};
	const outcome = (seconds: number) => peakOf(piece, turns(seconds));
	if (goal <= piece.t0) return { seconds: 0, after: 0, middle: piece.t0 };
	let [low, high] = [0, 60];
	while (of(outcome(high)) < goal) {
		[low, high] = [high, 2 * high];
		if (high > 7200) return { seconds: Infinity, after: 0, middle: goal };
	}
	while (high - low > 1) {
		const middle = (low + high) / 2;
		if (of(outcome(middle)) < goal) low = middle;
		else high = middle;
	}
	const { after, middle } = outcome(high);
	return { seconds: high, after, middle };
}

function peakOf({ thickness, k, alpha, t0, pan, up, rest }: Omit<PanTurns, 'intervals'>, intervals: readonly number[]) {
	const piece = new Conduction({ shape: 'slab', L: thickness, n: few, isFull: true, k, alpha }, t0);
	intervals.forEach((seconds, i) => {
		const [inner, outer] = i % 2 === 0 ? [pan, up] : [up, pan];
		piece.run({ seconds, step: 3, inner, outer });
	});
	const middle = piece.at(0.5);
	let [peak, after] = [middle, 0];
	const limit = (2 * thickness * thickness) / alpha;
	piece.run({ seconds: limit, step: 5, inner: rest, outer: rest }, (t) => {
		const now = piece.at(0.5);
		if (now < peak) return 'stop';
		[peak, after] = [now, t];
		return 'on';
	});
	return { peak, after, middle };
}
