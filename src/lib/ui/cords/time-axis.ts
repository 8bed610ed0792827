// Clock time along the drawing: the last minutes get more room than the first hour.
import { formatClock, formatToService, minute } from '../../core/units/time';

/** How many minutes before service get half of the room they would like; `Infinity`: every minute gets the same. */
export type Lens = number;

export const lenses: readonly { readonly lens: Lens; readonly name: string }[] = [
	{ lens: Infinity, name: 'every minute alike' },
	{ lens: 60, name: 'the last two hours' },
	{ lens: 30, name: 'the last hour' },
	{ lens: 12, name: 'the last half hour' },
	{ lens: 4, name: 'the last ten minutes' }
];
export const usualLens = 60;

export interface Tick {
	readonly u: number;
	readonly clock: string;
	readonly toService: string;
	/** On a whole or half hour. */
	readonly isMajor: boolean;
}

export interface TimeAxis {
	readonly from: number;
	readonly to: number;
	readonly length: number;
	/** Place of a clock time (seconds after midnight), 0 to `length`. */
	u(time: number): number;
	/** The clock time at a place. */
	time(u: number): number;
	/** Round times at least `apart` from each other, from the pass backwards. */
	ticks(apart: number): readonly Tick[];
}

const steps = [1, 2, 5, 10, 15, 30, 60, 120, 240, 480].map((m) => m * minute);

/**
 * An axis from one clock time to the pass: u = L · (1 − ln(1 + m/c) / ln(1 + M/c)), where m is the time to service, M the
 * whole, c the lens. Its slope goes as 1/(c + m), so c shifts from even to logarithmic.
 */
export function timeAxis(from: number, to: number, length: number, lens: Lens): TimeAxis {
	const whole = Math.max(minute, to - from);
	const c = lens * minute;
	const isEven = !Number.isFinite(c);
	const scale = isEven ? 1 : Math.log1p(whole / c);
	const u = (time: number) =>
		length * (1 - (isEven ? (to - time) / whole : Math.log1p(Math.max(0, to - time) / c) / scale));
	const time = (at: number) => {
		const share = 1 - at / length;
		return to - (isEven ? share * whole : c * Math.expm1(share * scale));
	};
	const ticks = (apart: number) => {
		const result: Tick[] = [];
		for (let at = to; at >= from;) {
			const toService = to - at;
			const isMajor = at % (30 * minute) === 0;
			result.push({ u: u(at), clock: formatClock(at), toService: formatToService(toService), isMajor });
			const here = u(at);
			if (here < apart) break;
			const limit = time(here - apart);
			const round = steps.map((step) => Math.floor(limit / step) * step);
			const next = round.findLast((t) => here - u(t) <= 1.7 * apart) ?? round[0];
			at = next ?? -Infinity;
		}
		return result.reverse();
	};
	return { from, to, length, u, time, ticks };
}
