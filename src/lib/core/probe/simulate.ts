// A probe that plays: hidden food, sensor and place drawn by a seed; noise, gaps, and what goes wrong on request.
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { HeatThenRest } from '../heat/rest';
import { readingsAt, Tables, usualLag, within, type Setting, type Unknowns } from './curve';
import type { Doubt } from './doubt';
import { trueSpread, type Medium, type Reading } from './posterior';

export interface Played {
	readonly unknowns: Unknowns;
	/** Seconds since heating began; all of the heating and a while beyond. */
	readonly readings: readonly Reading[];
	/** When what goes wrong begins, s; absent: nothing does. */
	readonly wrongFrom?: number;
}

export interface Play {
	readonly setting: Setting;
	readonly medium: Medium;
	readonly seed: number;
	/** Seconds between readings, and how long it reads. */
	readonly every: number;
	readonly until: number;
	readonly wrong?: Doubt | undefined;
}

/** Normal and uniform draws of a seed. */
export function luckOf(seed: number) {
	// Neighbouring seeds begin alike.
	const generator = xoroshiro128plus(Math.imul(seed + 1, 0x9e3779b1));
	const uniform = () => uniformFloat64(generator);
	for (let i = 0; i < 20; i++) uniform();
	const normal = () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
	return { uniform, normal };
}

/** Readings of a probe in food that is not quite as it is thought to be. */
export function play({ setting, medium, seed, every, until, wrong }: Play): Played {
	const { uniform, normal } = luckOf(seed);
	const sd = trueSpread(medium);
	const unknowns: Unknowns = {
		lnF: sd.lnF * normal(),
		lnG: setting.film.h === null ? 0 : sd.lnG * normal(),
		around: sd.around * normal(),
		start: sd.start * normal(),
		offset: sd.offset * normal(),
		lnTau: Math.log(usualLag) + sd.lnTau * normal(),
		spot: wrong === 'placement' ? 0.45 + 0.4 * uniform() : Math.min(0.9, Math.abs(0.15 * normal()))
	};
	const times: number[] = [];
	for (let t = 0; t <= until; t += every) if (uniform() > 0.02) times.push(t);
	const model = readingsAt(setting, unknowns, times);
	const wrongFrom = wrong === undefined || wrong === 'placement' ? undefined : until * (0.35 + 0.4 * uniform());
	const env = setting.film.tinf + unknowns.around;
	const around = uniform() < 0.5 ? env : 22;
	let stuck: number | undefined;
	const readings = times.flatMap((t, i): Reading[] => {
		const noise = uniform() < 0.01 ? 30 * (uniform() - 0.5) : 0.3 * normal();
		const value = (model[i] ?? 0) + noise;
		if (wrongFrom === undefined || t < wrongFrom) return [[t, value]];
		if (wrong === 'lost') return [];
		if (wrong === 'stuck') return [[t, (stuck ??= value)]];
		const left = Math.exp(-(t - wrongFrom) / Math.exp(unknowns.lnTau));
		const before = model[times.findIndex((x) => x >= wrongFrom)] ?? value;
		return [[t, around + (before - around) * left + noise]];
	});
	return { unknowns, readings, ...(wrongFrom === undefined ? {} : { wrongFrom }) };
}

/** When food with these unknowns should really be pulled, s since heating began, and what its middle has then, °C. */
export function truthOf(setting: Setting, u: Unknowns, rest: Setting['film'], peak: number) {
	const { body, film, t0 } = within(setting, u);
	const stages = new HeatThenRest(body, film, rest, t0);
	const at = stages.pullTimeFor(peak);
	return { at, core: stages.atPull(at).core };
}

/** A probe that plays on its own clock: what it reads so many seconds after heating began. */
export function playing(setting: Setting, medium: Medium, seed: number): (seconds: number) => number {
	const { unknowns } = play({ setting, medium, seed, every: 10, until: 0 });
	const { normal } = luckOf(seed + 1);
	const tables = new Tables();
	return (seconds) => (readingsAt(setting, unknowns, [Math.max(0, seconds)], tables)[0] ?? setting.t0) + 0.3 * normal();
}
