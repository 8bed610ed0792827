// Made-up evenings, as examples and for tests: cooked by somebody whose pace, oven and burners are not what the kitchen says, told through the app's own log.
import type { Kitchen } from '../model/kitchen';
import type { Meal } from '../model/meal';
import type { Plan, PlannedStep } from '../model/plan';
import type { Technique } from '../model/technique';
import { noise } from '../learn/factors';
import { efficiency } from '../heat/burner';
import { compileMeal } from '../plan/compile/compile';
import { normalOf } from '../rehearse/luck';
import { cuesOf } from '../run/cues';
import { mayBeProbed } from '../run/probed';
import { goes } from '../timing/pieces';
import { roomOf } from '../plan/compile/places';
import type { Reading } from '../probe/posterior';
import { roastOf } from './oven-film';
import { dateAt } from '../units/zoned';
import type { CookedEvening, Said } from './evening';
import { inHotterOven, sensitivityOf, usualIn } from './usual-in';
import { eveningFrom } from './from-run';
import { beginRun, instantAt, type Happening, type Run } from '../run/events';

/** What is really so: factor on the pace, K hotter than the knob, factor on the power; on the film of an oven's air, and on its time from cold. */
export interface Hidden {
	readonly pace: number;
	readonly oven: number;
	readonly power: number;
	readonly film?: number;
	readonly warmUp?: number;
}

/** The kitchen as it really is. */
function trueKitchen(kitchen: Kitchen, { pace, power, film }: Hidden): Kitchen {
	return {
		...kitchen,
		learnt: undefined,
		cooks: kitchen.cooks.map((c) => ({ ...c, measuredPace: (c.pace ?? 1) * pace })),
		stations: kitchen.stations.map((s) => {
			if (s.kind === 'oven')
				return { ...s, offset: undefined, film, lowest: s.lowest - 60, highest: Math.min(600, s.highest + 60) };
			return s.kind === 'burner' ? { ...s, measured: s.power * efficiency[s.fuel].usual * power } : s;
		})
	};
}

/**
 * How long each step of a plan really takes in the middle, seconds: worked out anew in the kitchen as it is. Ovens are set by
 * the plan's knob, and are so much hotter.
 */
export function trueTimes(
	meal: Meal,
	kitchen: Kitchen,
	techniques: ReadonlyMap<string, Technique>,
	plan: Plan,
	hidden: Hidden
): ReadonlyMap<string, number> {
	const real = trueKitchen(kitchen, hidden);
	const ovens = new Set(kitchen.stations.flatMap((s) => (s.kind === 'oven' ? [s.id] : [])));
	const knobs = new Map(
		plan.steps.flatMap((s) =>
			s.setting === undefined || !ovens.has(s.lane) ? [] : [[s.id, s.knob ?? s.setting] as const]
		)
	);
	const off = new Map<number, ReturnType<typeof compileMeal>>();
	const at = (kelvin: number) => {
		const known = off.get(kelvin);
		if (known) return known;
		const compiled = compileMeal(meal, real, inHotterOven(techniques, kelvin));
		off.set(kelvin, compiled);
		return compiled;
	};
	return new Map(
		plan.steps.map((step): [string, number] => {
			const knob = knobs.get(step.id);
			const kelvin = knob === undefined ? 0 : knob + hidden.oven - (step.setting ?? knob);
			const compiled = at(kelvin);
			const seconds = compiled.ok ? usualIn(compiled.value.trace, real, step, kelvin) : undefined;
			if (seconds === undefined) throw new Error(`${step.id} is nowhere done so`);
			return [step.id, seconds];
		})
	);
}

/** What reads in a kitchen that plays. */
export interface Gauges {
	/** What a probe in a step says, seconds since it began, °C; nothing where none is in it. */
	readonly probed: (step: PlannedStep, seconds: number, seed: number) => readonly Reading[];
	/** Seconds that the oven of a step takes from cold. */
	readonly warmUp: (step: PlannedStep) => number | undefined;
}

/** Seconds between readings; noise of a reading, K. */
const readEvery = 20;
const readNoise = 0.3;

/** Probes and lamps of a kitchen as it really is. */
export function gaugesOf(kitchen: Kitchen, plan: Plan, hidden: Hidden): Gauges {
	const ovens = new Map(kitchen.stations.flatMap((s) => (s.kind === 'oven' ? [[s.id, s] as const] : [])));
	const air = { room: roomOf(kitchen), altitude: kitchen.altitude };
	return {
		probed(step, seconds, seed) {
			const piece = mayBeProbed(step, plan.steps) ? roastOf(step, air) : undefined;
			const oven = ovens.get(step.lane);
			if (!piece || !oven) return [];
			const setting = (step.knob ?? piece.where.setting) + hidden.oven;
			const real = { ...piece, where: { ...piece.where, setting, film: hidden.film ?? 1 } };
			let next = 0;
			return goes(real, seconds, 0).flatMap(({ at, reading }): Reading[] => {
				if (at < next || at > seconds) return [];
				next += readEvery;
				return [[at, reading + readNoise * normalOf(seed, `probe ${step.id} ${at}`)]];
			});
		},
		warmUp({ lane, knob, setting = knob }) {
			const oven = ovens.get(lane);
			return oven && setting && (hidden.warmUp ?? 1) * oven.rise * ((knob ?? setting) - oven.room);
		}
	};
}

/** An evening as it goes: each step when all that it waits for allows, and not before its time; with the log of it. */
export function cookEvening(
	plan: Plan,
	times: ReadonlyMap<string, number>,
	of: {
		readonly run: string;
		readonly date: string;
		readonly seed: number;
		/** Ovens read by a thermometer: K hotter than the knob. */
		readonly thermometer?: number;
		/** Ovens whose lamp is heeded, and roasts with a probe in them: see `gaugesOf`. */
		readonly gauges?: Gauges;
	}
): { readonly run: Run; readonly late: ReadonlyMap<string, number> } {
	const { seed } = of;
	let run: Run = beginRun(plan, { run: of.run, date: of.date, zone: 'Europe/Lisbon', clock: { kind: 'wall' } });
	const events: { at: number; happening: Happening }[] = [];
	const tell = (at: number, happening: Happening) => events.push({ at, happening });
	const ends = new Map<string, number>();
	const free = new Map<string, number>();
	const cues = cuesOf(plan);
	const lengthOf = (s: PlannedStep) => {
		const isHands = s.hands.some((h) => h.whole);
		const sigma = noise[isHands ? 'hands' : 'heat'];
		// What goes by the clock alone takes as long as the clock says.
		const isByClock = !isHands && s.sign === undefined && s.pull === undefined;
		return isByClock ? s.to - s.from : (times.get(s.id) ?? s.to - s.from) * Math.exp(sigma * normalOf(seed, s.id));
	};
	for (const s of plan.steps.toSorted((a, b) => a.from - b.from || a.to - b.to)) {
		const isHands = s.hands.some((h) => h.whole);
		const cook = s.hands[0]?.cook ?? '';
		const waits = s.after.map((id) => {
			const before = plan.steps.find((x) => x.id === id);
			return (ends.get(id) ?? -Infinity) + (before ? Math.min(0, s.from - before.to) : 0);
		});
		const lane =
			plan.lanes.find((l) => l.id === s.lane)?.kind === 'burner' ? (free.get(s.lane) ?? -Infinity) : -Infinity;
		const from = Math.max(s.from, lane, ...waits, isHands ? (free.get(cook) ?? -Infinity) : -Infinity);
		const to = from + Math.max(10, lengthOf(s));
		ends.set(s.id, to);
		if (isHands) free.set(cook, to);
		if (plan.lanes.find((l) => l.id === s.lane)?.kind === 'burner') free.set(s.lane, to);
		for (const cue of cues.filter((c) => c.step === s.id)) {
			const share = (cue.at - s.from) / Math.max(1, s.to - s.from);
			const at = isHands
				? to
				: cue.kind === 'start' || cue.kind === 'oven'
					? from
					: cue.kind === 'end'
						? to
						: from + share * (to - from);
			if (cue.kind !== 'look') tell(cue.kind === 'oven' ? cue.at : at, { kind: 'done', cue: cue.id });
		}
		for (const [seconds, celsius] of of.gauges?.probed(s, to - from, seed) ?? [])
			tell(from + seconds, { kind: 'reading', part: s.part, celsius });
		const lit = cues.find((c) => c.step === s.id && c.kind === 'oven');
		const warm = lit && of.gauges?.warmUp(s);
		if (lit && warm !== undefined) {
			const takes = warm * Math.exp(0.05 * normalOf(seed, `warm ${s.id}`));
			tell(lit.at + takes, { kind: 'heat', station: s.lane, celsius: s.knob ?? s.setting ?? 180, lamp: true });
		}
		if (of.thermometer !== undefined && s.setting !== undefined && plan.terrain.some((t) => t.lane === s.lane)) {
			const celsius = (s.knob ?? s.setting) + of.thermometer + 4 * normalOf(seed, `thermometer ${s.id}`);
			const isOven = plan.lanes.find((l) => l.id === s.lane)?.kind === 'oven';
			if (isOven) tell(from + 1, { kind: 'heat', station: s.lane, celsius: Math.min(600, Math.max(40, celsius)) });
		}
	}
	const late = new Map<string, number>();
	for (const service of plan.services) {
		const parts = new Set(
			plan.parts.flatMap((p) => (p.course === service.course && p.into === undefined ? [p.id] : []))
		);
		const over = plan.steps.flatMap((s) => {
			const part = plan.parts.find((p) => p.id === s.part);
			return parts.has(s.part) && part && !s.id.includes('/wash-') ? [(ends.get(s.id) ?? s.to) - part.plated] : [];
		});
		const by = Math.max(0, ...over);
		late.set(service.course, by);
		for (const cue of cues.filter((c) => c.course === service.course)) tell(cue.at + by, { kind: 'done', cue: cue.id });
	}
	for (const { at, happening } of events.toSorted((a, b) => a.at - b.at)) {
		const id = `${of.run}-${String(run.events.length).padStart(4, '0')}`;
		const event = { ...happening, id, at: Math.round(instantAt(run, at)), by: 'cook' };
		run = { ...run, events: [...run.events, event] };
	}
	return { run, late };
}

/** Evenings that are made up, by their names. */
const examplePrefix = 'example-';
export const isExample = (id: string): boolean => id.startsWith(examplePrefix);
/** Days between them, and how many. */
const every = 4;
const usualCount = 10;
const words = ['Just right.', 'A minute less next time.', 'The plates could have been warmer.', 'Everybody had more.'];

/**
 * Made-up evenings of a plan, the last one on a day: a cook who is quicker than a home cook, an oven that is hotter than its
 * knob, burners that give less, with a verdict on each part.
 *
 * @param last day of the last one, milliseconds since 1970
 */
export function examplesOf(
	meal: Meal,
	kitchen: Kitchen,
	techniques: ReadonlyMap<string, Technique>,
	plan: Plan,
	last: number
): readonly CookedEvening[] {
	const hidden = { pace: 0.8, oven: 12, power: 0.85, film: 1.2, warmUp: 1.25 };
	const times = trueTimes(meal, kitchen, techniques, plan, hidden);
	const gauges = gaugesOf(kitchen, plan, hidden);
	const sensitivity = sensitivityOf(meal, kitchen, techniques, plan);
	return Array.from({ length: usualCount }, (_, k) => {
		const at = last - (usualCount - 1 - k) * every * 86_400_000;
		const date = dateAt(at, 'UTC');
		const { run } = cookEvening(plan, times, {
			run: `${examplePrefix}${meal.id}-${date}`,
			date,
			seed: k + 1,
			thermometer: hidden.oven,
			gauges
		});
		const evening = eveningFrom(run, { meal, kitchen, sensitivity, say: () => undefined });
		const said = evening.parts.map((part, i): Said => {
			const luck = (what: string) => normalOf(k + 1, `${what} ${part.id}`);
			return {
				id: `${evening.id}-verdict-${i}`,
				at: at + i,
				by: 'example',
				kind: 'verdict',
				part: part.id,
				done: Math.max(-2, Math.min(2, Math.round(0.7 * luck('done')))),
				warm: Math.max(-2, Math.min(1, Math.round(0.6 * luck('warm') - 0.2))),
				worth: Math.max(2, Math.min(5, Math.round(4 + 0.8 * luck('worth')))),
				...(luck('word') > 1 ? { word: words[(i + k) % words.length] ?? '' } : {})
			};
		});
		return { ...evening, said };
	});
}
