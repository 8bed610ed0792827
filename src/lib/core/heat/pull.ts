// When a piece comes off the heat so that it peaks where it is wanted: one run of heat that is kept, and rests tried from it.
import { MoistBody, type Surroundings } from './moist';
import type { Crust } from './crusts';

/** So long, in steps, in one surrounding; what its faces are like meanwhile. */
export interface Stage {
	readonly seconds: number;
	readonly step: number;
	readonly around: Surroundings;
	readonly faces?: Faces;
}

export interface Faces {
	readonly outer: Crust;
	readonly inner?: Crust;
}

/** The heat whose length is looked for. */
export interface Heat {
	readonly step: number;
	readonly faces?: Faces;
	/** In one surrounding; turned over and over; or turned once, when such a share of the time is over. */
	readonly how:
		| { readonly kind: 'still'; readonly around: Surroundings }
		| { readonly kind: 'turned'; readonly every: number; readonly around: Surroundings }
		| { readonly kind: 'once'; readonly share: number; readonly around: Surroundings };
	/** Nobody heats longer, seconds. */
	readonly longest: number;
}

export interface Sequence {
	readonly body: MoistBody;
	readonly before: readonly Stage[];
	readonly heat: Heat;
	/** After it comes off: a while of rest, a sear. */
	readonly after: readonly Stage[];
	readonly rest: { readonly around: Surroundings; readonly step: number; readonly faces?: Faces };
	/** Shortest and longest rest, seconds. */
	readonly within: readonly [number, number];
	/** Highest reading wanted after it has come off, °C. */
	readonly goal: number;
	/** The pull is no further below the goal than this, K. */
	readonly deepest: number;
}

export interface Pulled {
	/** Seconds of the heat; `Infinity` where it never comes to that. */
	readonly seconds: number;
	/** Readings of a probe: when it comes off, and the highest afterwards; °C. */
	readonly pull: number;
	readonly peak: number;
	/** Seconds of rest until it turns, within what is rested at all. */
	readonly after: number;
	/** Whether the heat is too fierce for the size: the pull would have to be further below. */
	readonly isFierce: boolean;
	/** Mean at the pull, °C; kg/m² evaporated from its faces until it is rested. */
	readonly mean: number;
	readonly evaporated: number;
	/** Layers from one face to the other in stretches: run once more for whoever asks. */
	readonly told: () => Told;
}

/** Over all heat, and from the pull to the end of the longest rest. */
export interface Told {
	readonly history: Layers;
	readonly resting: Layers;
}

/** A history for each layer of a piece. */
type Layers = readonly (readonly Stretch[])[];

interface Stretch {
	readonly seconds: number;
	readonly from: number;
	readonly to: number;
}

const turnedOver = ({ outer, inner }: Surroundings): Surroundings => ({ outer: inner ?? outer, inner: outer });
const never: Omit<Pulled, 'pull' | 'peak'> = {
	seconds: Infinity,
	after: 0,
	isFierce: false,
	mean: NaN,
	evaporated: 0,
	told: () => ({ history: [], resting: [] })
};

/** A climb as it usually is, K: where to look first. */
const guessed = 5;
/** A peak so little above the goal is the goal, K. */
const enough = 0.06;
/** Stretches of a history are this long, seconds. */
const stretch = 30;

/** What follows the pull, from a state of the body. */
interface Rested {
	readonly pull: number;
	readonly mean: number;
	readonly peak: number;
	readonly after: number;
	readonly evaporated: number;
}

/**
 * Seconds of heat after which the highest reading at rest is the goal. The heat is run once and kept step by step; the
 * first state to rest from is found by regula falsi (Illinois) over those. Where it is turned once the
 * second half is run anew for each length that is tried.
 */
export function pulledOf(sequence: Sequence): Pulled {
	const { body, before, heat, goal, deepest } = sequence;
	const early = history(body);
	for (const stage of before) passing(body, stage, early);
	if (body.reading >= goal) {
		const told = history(body);
		const r = restFrom(sequence, told);
		return { ...r, seconds: 0, isFierce: false, told: () => ({ history: early.list, resting: told.list }) };
	}
	dress(body, heat.faces);
	const run = heat.how.kind === 'once' ? runOnce(sequence, heat.how) : runOn(sequence, heat.how);
	const peakAt = (i: number) => run.at(i).peak;
	// The reading itself comes to the goal there: later than that it never comes off.
	let high = run.lastFor(goal);
	if (high === undefined) return { ...never, pull: goal, peak: goal };
	const first = run.firstFor(goal - deepest);
	let low = first;
	// At the ends the climb is guessed: what it is there is looked at only where the search ends there.
	let [below, above] = [Math.max(1, deepest - guessed), -guessed];
	for (let i = 0; i < 40 && high - low > 1; i++) {
		const guess = low + ((high - low) * below) / (below - above);
		const at = Math.min(high - 1, Math.max(low + 1, Math.round(guess)));
		const y = goal - peakAt(at);
		if (y > 0) [low, below, above] = [at, y, i > 0 ? above / 2 : above];
		else [high, above, below] = [at, y, i > 0 ? below / 2 : below];
		if (y <= 0 && y > -enough) break;
	}
	const isAtEnd = low === first && high - low <= 1;
	const over = isAtEnd ? peakAt(low) - goal : -1;
	const isFierce = deepest > 0 && low > 0 && over > 0.5;
	if (over >= 0) high = low;
	// The first state that peaks at the goal or above: half a step too late is nothing, too early is raw.
	const found = run.at(high);
	const pulledAt = high;
	return { ...found, seconds: run.seconds(high), isFierce, told: () => run.told(pulledAt, early.list) };
}

interface Run {
	readonly count: number;
	readonly seconds: (index: number) => number;
	readonly at: (index: number) => Rested;
	/** The first state whose reading is at least this; the last, where none is above it. */
	readonly firstFor: (reading: number) => number;
	readonly lastFor: (reading: number) => number | undefined;
	/** The layers on the way to a state, and after it. */
	readonly told: (index: number, before: Layers) => Told;
}

function dress(body: MoistBody, faces: Faces | undefined): void {
	if (faces) body.dress(faces);
}

/** Layers in stretches. */
function history(body: MoistBody) {
	let last = body.layers();
	const list: Stretch[][] = last.map(() => []);
	let open = 0;
	return {
		list,
		pass(seconds: number) {
			open += seconds;
			if (open < stretch) return;
			this.close();
		},
		close() {
			if (open <= 0) return;
			const now = body.layers();
			for (const [i, to] of now.entries()) list[i]?.push({ seconds: open, from: last[i] ?? to, to });
			[last, open] = [now, 0];
		}
	};
}
type History = ReturnType<typeof history>;

function passing(body: MoistBody, { seconds, step, around, faces }: Stage, into?: History): void {
	dress(body, faces);
	let before = 0;
	body.run(seconds, step, around, (t) => {
		into?.pass(t - before);
		before = t;
	});
	into?.close();
}

/** From the state the body has now: what comes after the heat, and the rest until the reading turns. */
function restFrom({ body, after, rest, within: [least, most] }: Sequence, into: History | undefined): Rested {
	const [pull, mean] = [body.reading, body.mean];
	let peak = pull;
	let since = 0;
	for (const stage of after) {
		dress(body, stage.faces);
		let before = 0;
		body.run(stage.seconds, stage.step, stage.around, (t) => {
			into?.pass(t - before);
			before = t;
			if (body.reading > peak) peak = body.reading;
		});
	}
	dress(body, rest.faces);
	let at = 0;
	for (let t = rest.step; t <= most + 1e-9; t += rest.step) {
		body.step(rest.step, rest.around);
		into?.pass(rest.step);
		const now = body.reading;
		if (now > peak) [peak, at, since] = [now, t, 0];
		else if ((since += rest.step) > 60 && t >= least && !into && now < peak - 0.02) break;
	}
	into?.close();
	return { pull, mean, peak, after: Math.min(most, Math.max(least, at)), evaporated: body.evaporated };
}

/** States kept one behind the other. */
class States {
	private data = new Float64Array(64 * MoistBody.saved);
	count = 0;
	readonly readings: number[] = [];

	push(body: MoistBody): void {
		const need = (this.count + 1) * MoistBody.saved;
		if (need > this.data.length) {
			const more = new Float64Array(2 * this.data.length);
			more.set(this.data);
			this.data = more;
		}
		body.save(this.data, this.count * MoistBody.saved);
		this.readings.push(body.reading);
		this.count++;
	}
	load(body: MoistBody, index: number): void {
		body.load(this.data, index * MoistBody.saved);
	}
}

const remembered = (of: (index: number) => Rested) => {
	const known = new Map<number, Rested>();
	return (index: number) => {
		const found = known.get(index) ?? of(index);
		known.set(index, found);
		return found;
	};
};

/** Heat that does not depend on how long it will last. */
function runOn(sequence: Sequence, how: Exclude<Heat['how'], { kind: 'once' }>): Run {
	const { body, heat, goal } = sequence;
	const states = new States();
	states.push(body);
	const other = turnedOver(how.around);
	const limit = Math.ceil(heat.longest / heat.step);
	for (let i = 1; i <= limit; i++) {
		const isTurned = how.kind === 'turned' && Math.floor(((i - 0.5) * heat.step) / how.every) % 2 === 1;
		body.step(heat.step, isTurned ? other : how.around);
		states.push(body);
		if (body.reading >= goal) break;
	}
	const first = (reading: number) => {
		const i = states.readings.findIndex((r) => r >= reading);
		return i < 0 ? undefined : i;
	};
	return {
		count: states.count,
		seconds: (index) => index * heat.step,
		at: remembered((index) => {
			states.load(body, index);
			return restFrom(sequence, undefined);
		}),
		firstFor: (reading) => first(reading) ?? states.count - 1,
		lastFor: first,
		told: (index, before) => {
			states.load(body, 0);
			dress(body, heat.faces);
			const told = history(body);
			for (let i = 1; i <= index; i++) {
				const isTurned = how.kind === 'turned' && Math.floor(((i - 0.5) * heat.step) / how.every) % 2 === 1;
				body.step(heat.step, isTurned ? other : how.around);
				told.pass(heat.step);
			}
			told.close();
			const rested = history(body);
			restFrom(sequence, rested);
			return { history: told.list.map((l, i) => [...(before[i] ?? []), ...l]), resting: rested.list };
		}
	};
}

/** Heat turned once: the first face is run once, the second anew for each length. */
function runOnce(sequence: Sequence, how: Extract<Heat['how'], { kind: 'once' }>): Run {
	const { body, heat, goal } = sequence;
	const states = new States();
	states.push(body);
	const limit = Math.ceil((heat.longest * how.share) / heat.step);
	// A length of 2 steps is one of each at a half; lengths are counted in steps.
	const firstOf = (length: number) => Math.round(length * how.share);
	const other = turnedOver(how.around);
	const grow = (to: number) => {
		if (states.count > to) return;
		states.load(body, states.count - 1);
		dress(body, heat.faces);
		while (states.count <= to && states.count <= limit) {
			body.step(heat.step, how.around);
			states.push(body);
		}
	};
	const heated = (length: number, into?: History) => {
		const first = Math.min(limit, firstOf(length));
		grow(first);
		states.load(body, Math.min(first, states.count - 1));
		dress(body, heat.faces);
		for (let i = first; i < length; i++) {
			body.step(heat.step, other);
			into?.pass(heat.step);
		}
	};
	const readingAt = (length: number) => {
		heated(length);
		return body.reading;
	};
	const longest = Math.ceil(heat.longest / heat.step);
	/** The least length whose reading at the pull is as wanted. */
	const leastFor = (reading: number) => {
		let [low, high] = [0, 40];
		while (readingAt(high) < reading) {
			[low, high] = [high, 2 * high];
			if (high > longest) return undefined;
		}
		while (high - low > 1) {
			const middle = Math.floor((low + high) / 2);
			if (readingAt(middle) < reading) low = middle;
			else high = middle;
		}
		return high;
	};
	const most = leastFor(goal);
	return {
		count: (most ?? longest) + 2,
		seconds: (length) => length * heat.step,
		at: remembered((length) => {
			heated(length);
			return restFrom(sequence, undefined);
		}),
		firstFor: (reading) => leastFor(reading) ?? longest,
		lastFor: () => most,
		told: (length, before) => {
			states.load(body, 0);
			dress(body, heat.faces);
			const told = history(body);
			const first = Math.min(limit, firstOf(length));
			for (let i = 0; i < length; i++) {
				body.step(heat.step, i < first ? how.around : other);
				told.pass(heat.step);
			}
			told.close();
			const rested = history(body);
			restFrom(sequence, rested);
			return { history: told.list.map((l, i) => [...(before[i] ?? []), ...l]), resting: rested.list };
		}
	};
}
