// Readings that cannot be of food: none for long, none that changes, a jump towards what is around it.
import { readingsAt, type Setting } from './curve';
import {
	medianOf,
	parameters,
	posterior,
	thinned,
	type Medium,
	type Posterior,
	type Reading,
	type Thinned
} from './posterior';

export type Doubt = 'placement' | 'out' | 'stuck' | 'lost';

/** No reading for so long, and for so many times the usual gap, is a lost probe. */
const lost = { seconds: 60, gaps: 2.5 };
/** Noise of a reading, K: what stays closer together than a share of it, for so long, does not move at all. */
const noise = 0.3;
const still = { seconds: 45, readings: 5, share: 0.35 };
/** How far the end of a stream may be from what its beginning foretells: standard deviations, and K. */
const surprising = { deviations: 6, kelvin: 2 };
/** Ends of a stream that are held against its beginning, s. */
const ends = [30, 60, 120, 240, 480, 900];
/** A run of stretches is no noise where its mean is off by so many standard deviations. */
const smooth = 4;
/** A leap: so many K, and so many times what the stream went at its fastest before. */
const leaping = { kelvin: 2, times: 1.6 };
/** Fewer stretches than this foretell nothing. */
const fewest = 5;

interface Doubted {
	readonly doubt: Doubt | undefined;
	/** Readings that can be trusted. */
	readonly trusted: readonly Reading[];
	/** What all readings say, where they are all trusted and that had to be known for it. */
	readonly found?: Posterior;
}

/** What is doubtful, if anything. */
export function doubtOf(setting: Setting, medium: Medium, readings: readonly Reading[], now: number): Doubted {
	const last = readings.at(-1);
	if (!last) return { doubt: 'lost', trusted: [] };
	const gaps = readings.slice(1).map(([t], i) => t - readings[i]![0]);
	const usual = gaps.length > 0 ? gaps.toSorted((a, b) => a - b)[gaps.length >> 1]! : 0;
	const isLost = now - last[0] > Math.max(lost.seconds, lost.gaps * usual);
	const ended = endOf(setting, medium, readings, usual);
	return isLost ? { ...ended, doubt: 'lost' } : ended;
}

/** Whether an end of the stream is not what its beginning foretells: it stands still, or it jumped. */
function endOf(setting: Setting, medium: Medium, readings: readonly Reading[], usual: number): Doubted {
	const last = readings.at(-1)![0];
	const frozen = frozenFrom(readings);
	if (frozen !== undefined) {
		const trusted = readings.filter(([t]) => t < frozen);
		return { doubt: 'stuck', trusted: trusted.length > 0 ? trusted : readings };
	}
	const all = thinned(readings);
	const found = posterior(setting, medium, all);
	const sound = { doubt: undefined, trusted: readings, found };
	if (isSmooth(setting, found, all)) return sound;
	const jumped = jumpAt(readings);
	if (jumped !== undefined) return { doubt: 'out', trusted: readings.filter(([t]) => t < jumped) };
	let worst: { deviations: number; isStill: boolean; from: number } | undefined;
	for (const length of ends) {
		const from = last - Math.max(length, 2.5 * usual);
		const head = thinned(readings.filter(([t]) => t <= from));
		const tail = thinned(readings.filter(([t]) => t > from));
		if (head.length < fewest || tail.length < 2) continue;
		const seen = surprise(setting, medium, head, tail);
		if (seen.deviations < surprising.deviations || Math.abs(seen.off) < surprising.kelvin) continue;
		if (!worst || seen.deviations > worst.deviations) worst = { ...seen, from };
	}
	if (!worst) return sound;
	const { from } = worst;
	return { doubt: worst.isStill ? 'stuck' : 'out', trusted: readings.filter(([t]) => t <= from) };
}

/**
 * When a stream leaps and does not come back, faster than it ever went before; `undefined`: never. Of three stretches on either
 * side the middle ones: one wild reading is no leap.
 */
function jumpAt(readings: readonly Reading[]): number | undefined {
	const all = thinned(readings);
	const smooth3 = all.map((_, i) => medianOf(all.slice(Math.max(0, i - 1), i + 2).map((r) => r.celsius)));
	let fastest = 0;
	for (let i = fewest; i + 2 < all.length; i++) {
		const seconds = all[i - 1]!.time - all[i - 4]!.time;
		fastest = Math.max(fastest, Math.abs(smooth3[i - 2]! - smooth3[i - 4]!) / Math.max(1, (2 / 3) * seconds));
		const before = medianOf(all.slice(i - 3, i).map((r) => r.celsius));
		const after = medianOf(all.slice(i, i + 3).map((r) => r.celsius));
		const later = medianOf(all.slice(i).map((r) => r.celsius));
		const leap = Math.abs(after - before);
		const gap = all[i + 1]!.time - all[i - 2]!.time;
		const stays = Math.abs(later - before) > leap / 2;
		if (leap > leaping.kelvin + leaping.times * fastest * gap && stays) return (all[i - 1]!.time + all[i]!.time) / 2;
	}
	return undefined;
}

/** Whether all of a stream is food as far as noise tells: then no end of it needs to be held against its beginning. */
function isSmooth(setting: Setting, { best }: Posterior, all: readonly Thinned[]): boolean {
	const model = readingsAt(
		setting,
		best.unknowns,
		all.map((r) => r.time)
	);
	const off = all.map((r, k) => (r.celsius - model[k]!) / r.sd);
	// Means over runs of stretches, of any length that doubles.
	for (let n = 1; n <= off.length; n *= 2)
		for (let i = 0; i + n <= off.length; i++) {
			const mean = off.slice(i, i + n).reduce((a, b) => a + b, 0) / Math.sqrt(n);
			if (Math.abs(mean) > (n === 1 ? 8 : smooth)) return false;
		}
	return true;
}

/** Since when a stream repeats itself, closer than noise allows; `undefined`: it does not. */
function frozenFrom(readings: readonly Reading[]): number | undefined {
	const [lastTime, lastValue] = readings.at(-1)!;
	let from = lastTime;
	let n = 0;
	let [low, high] = [lastValue, lastValue];
	for (let i = readings.length - 1; i >= 0; i--) {
		const [t, c] = readings[i]!;
		[low, high] = [Math.min(low, c), Math.max(high, c)];
		if (high - low > still.share * noise) break;
		from = t;
		n++;
	}
	return n >= still.readings && lastTime - from >= still.seconds ? from : undefined;
}

/** How far the tail is off what the head foretells: its mean, in K and in standard deviations; whether it stands still meanwhile. */
function surprise(setting: Setting, medium: Medium, head: readonly Thinned[], tail: readonly Thinned[]) {
	const { best, spots } = posterior(setting, medium, head);
	const times = tail.map((r) => r.time);
	const model = readingsAt(setting, best.unknowns, times);
	const off = tail.map((r, k) => r.celsius - model[k]!);
	const mean = off.reduce((a, b) => a + b, 0) / off.length;
	// What the unknowns leave open, as the mean over the tail; and what the spots do.
	const slopes = parameters.map((name, i) => {
		const step = Math.sqrt(best.covariance[i]![i]!);
		const moved = readingsAt(setting, { ...best.unknowns, [name]: best.unknowns[name] + step }, times);
		return moved.reduce((sum, m, k) => sum + (m - model[k]!), 0) / times.length / step;
	});
	let variance = tail.reduce((sum, r) => sum + r.sd ** 2, 0) / tail.length ** 2 + 0.1 ** 2;
	slopes.forEach((a, i) => {
		slopes.forEach((b, k) => (variance += a * b * best.covariance[i]![k]!));
	});
	for (const s of spots) {
		if (s.weight < 0.02 || s === best) continue;
		const other = readingsAt(setting, s.unknowns, times);
		const apart = other.reduce((sum, m, k) => sum + (m - model[k]!), 0) / times.length;
		variance += s.weight * apart * apart;
	}
	const changed = Math.abs(tail.at(-1)!.celsius - tail[0]!.celsius);
	const foretold = Math.abs(model.at(-1)! - model[0]!);
	const isStill = changed < Math.max(3 * noise, 0.35 * foretold) && foretold > changed;
	return { off: mean, deviations: Math.abs(mean) / Math.sqrt(variance), isStill };
}
